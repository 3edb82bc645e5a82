#include "desk/compare/schools_page.h"

#include <QHeaderView>
#include <QVBoxLayout>
#include <algorithm>

#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kSchoolRowHeight = 26;
constexpr int kSchoolHeadHeight = 44;
constexpr int kSchoolMostRows = 14;

/// Where an order has a fixture; nothing where it is not ranked.
std::optional<std::size_t> placeIn(const SchoolOrder& order, const std::string& name) {
    const auto at = std::find(order.names.begin(), order.names.end(), name);
    if (at == order.names.end()) return std::nullopt;
    return static_cast<std::size_t>(at - order.names.begin());
}

/// "3", "2 ▲1": the place, and how many were gained or lost.
QString placeText(const SchoolOrder& order, std::size_t at) {
    const int moved = order.moved[at];
    const QString place = QString::number(at + 1);
    if (moved == 0) return place;
    return QStringLiteral("%1 %2%3")
        .arg(place, moved > 0 ? QStringLiteral("▲") : QStringLiteral("▼"))
        .arg(std::abs(moved));
}

}  // namespace

SchoolsPage::SchoolsPage(Session& session)
    : session_(session),
      caption_(makeLabel({}, TextRole::Body)),
      table_(new FigureTable(tr("The order by school"))),
      why_(makeLabel({}, TextRole::Muted)) {
    caption_->setWordWrap(true);
    why_->setWordWrap(true);
    table_->setObjectName(QStringLiteral("schoolOrders"));
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(8);
    layout->addWidget(caption_);
    layout->addWidget(table_);
    layout->addWidget(why_);
    layout->addStretch(1);
    connect(table_, &QTableWidget::currentCellChanged, this, &SchoolsPage::sayWhy);
}

/// Of the cell that is looked at: the height there, and what moves the one that moves most.
void SchoolsPage::sayWhy(int row, int column) {
    const auto at = static_cast<std::size_t>(column - 1);
    if (orders_.empty() || row < 0 || column < 1 || at >= orders_.size()) return why_->clear();
    const auto& order = orders_[at];
    QString said = text(order.school, session_.unit()) + QStringLiteral(": ");
    const auto& names = orders_.front().names;
    if (const auto place = static_cast<std::size_t>(row) < names.size()
                               ? placeIn(order, names[static_cast<std::size_t>(row)])
                               : std::nullopt)
        said += tr("%1 hangs at %2. ").arg(text(order.names[*place]), session_.length(order.heights[*place]));
    if (!order.why.empty()) said += tr("Most moves because %1.").arg(text(order.why, session_.unit()));
    why_->setText(said);
}

void SchoolsPage::show(const std::vector<SchoolOrder>* orders) {
    rows_.clear();
    if (orders == nullptr || orders->empty()) {
        orders_.clear();
        table_->setRowCount(0);
        caption_->setText(orders == nullptr ? tr("The schools are being asked …")
                                            : tr("Nothing can be ranked yet."));
        return;
    }
    orders_ = *orders;
    const auto changed = std::count_if(orders_.begin(), orders_.end(),
                                       [](const SchoolOrder& order) { return order.changes(); });
    caption_->setText(
        changed == 0
            ? tr("The order is the same under every school.")
            : tr("%1 of %2 schools would order them otherwise.").arg(changed).arg(orders_.size() - 1));
    QStringList heads{tr("fixture")};
    for (const auto& order : orders_)
        heads << text(order.heading, session_.unit()).replace(QLatin1Char(' '), QLatin1Char('\n'));
    table_->setHeads(heads);
    rows_.push_back(heads);
    std::vector<QStringList> rows;
    for (const auto& name : orders_.front().names) {
        QStringList row{text(name)};
        for (const auto& order : orders_) {
            const auto place = placeIn(order, name);
            row << (place ? placeText(order, *place) : tr("–"));
        }
        rows.push_back(row);
        rows_.push_back(row);
    }
    table_->setRows(rows, -1, session_.palette());
    for (int row = 0; row < table_->rowCount(); ++row) {
        table_->item(row, 0)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        for (int column = 1; column < table_->columnCount(); ++column) {
            auto* cell = table_->item(row, column);
            cell->setTextAlignment(Qt::AlignCenter);
            if (cell->text().contains(QLatin1Char(' '))) cell->setForeground(session_.palette().accent);
        }
    }
    table_->verticalHeader()->setDefaultSectionSize(kSchoolRowHeight);
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    table_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::ResizeToContents);
    table_->setFixedHeight(kSchoolHeadHeight +
                           kSchoolRowHeight * std::min(table_->rowCount(), kSchoolMostRows));
    sayWhy(table_->currentRow(), table_->currentColumn());
}

}  // namespace glumet
