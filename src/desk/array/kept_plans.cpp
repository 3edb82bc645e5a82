#include "desk/array/kept_plans.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QShortcut>
#include <QVBoxLayout>
#include <map>
#include <utility>

#include "core/verdicts/planned_light.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kFirstFigure = 3;  // words stand to the left of it

/// "2 × Osier 60, Rushlight 2T"
QString hungShort(const Bench& bench, const PlannedArray& plan) {
    std::map<Id, int> counts;
    for (const auto& hung : plan.fixtures) ++counts[hung.fixture];
    QStringList words;
    for (const auto& hung : plan.fixtures) {
        const int count = std::exchange(counts[hung.fixture], 0);
        const auto* fixture = byId(bench.fixtures, hung.fixture);
        if (count == 0 || fixture == nullptr) continue;
        words << (count == 1 ? text(fixture->name)
                             : QStringLiteral("%1 × %2").arg(count).arg(text(fixture->name)));
    }
    return words.join(QStringLiteral(", "));
}

}  // namespace

KeptPlans::KeptPlans(Session& session)
    : session_(session),
      list_(new FigureTable(tr("Arrays kept for the review"))),
      name_(new QLineEdit),
      keep_(action(tr("keep what hangs now"), "keepPlan")),
      show_(action(tr("hang it"), "showPlan")),
      remove_(action(tr("remove it"), "removePlan")) {
    list_->setObjectName(QStringLiteral("keptPlans"));
    list_->setHeads({tr("array"), tr("over"), tr("hung"), tr("height")});
    for (int column = 0; column < kFirstFigure; ++column)
        list_->horizontalHeaderItem(column)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    name_->setObjectName(QStringLiteral("planName"));
    name_->setAccessibleName(tr("Name to keep it by"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    column->addWidget(list_, 1);
    auto* actions = new QHBoxLayout;
    actions->setSpacing(6);
    actions->addWidget(name_, 1);
    for (auto* one : {keep_, show_, remove_}) actions->addWidget(one);
    column->addLayout(actions);
    makeActions();
}

QPushButton* KeptPlans::action(const QString& words, const char* object) {
    auto* button = new QPushButton(words);
    button->setObjectName(QLatin1String(object));
    return button;
}

void KeptPlans::makeActions() {
    connect(keep_, &QPushButton::clicked, this, [this] {
        const QString typed = name_->text().trimmed();
        emit keepAsked(typed.isEmpty() ? name_->placeholderText() : typed);
    });
    connect(name_, &QLineEdit::returnPressed, keep_, &QPushButton::click);
    const auto show = [this] {
        if (const auto plan = chosen()) emit showAsked(*plan);
    };
    connect(show_, &QPushButton::clicked, this, show);
    connect(list_, &QTableWidget::cellActivated, this, show);
    connect(remove_, &QPushButton::clicked, this, &KeptPlans::remove);
    auto* away = new QShortcut(QKeySequence::Delete, list_);
    away->setContext(Qt::WidgetShortcut);
    connect(away, &QShortcut::activated, this, &KeptPlans::remove);
}

std::optional<Id> KeptPlans::chosen() const {
    const int row = list_->currentRow();
    if (row < 0 || row >= static_cast<int>(plans_.size())) {
        session_.warn(plans_.empty() ? tr("No array is kept yet.") : tr("Choose one of the list first."));
        return std::nullopt;
    }
    return plans_[static_cast<std::size_t>(row)];
}

void KeptPlans::remove() {
    if (const auto plan = chosen())
        session_.edit([&](Project& project) { return project.removePlan(*plan); });
}

void KeptPlans::refresh(const QString& shown) {
    const auto& bench = session_.bench();
    plans_.clear();
    std::vector<QStringList> rows;
    int named = -1;
    for (const auto& plan : bench.plans) {
        const auto* tank = byId(bench.tanks, plan.tank);
        if (text(plan.name) == shown) named = static_cast<int>(rows.size());
        rows.push_back({text(plan.name), tank == nullptr ? QString() : text(tank->name),
                        hungShort(bench, plan), session_.length(plan.fixtures.front().height)});
        plans_.push_back(plan.id);
    }
    list_->setRows(rows, named, session_.palette());
    // Its name takes what the rest leaves.
    for (int column = 1; column < list_->columnCount(); ++column)
        list_->horizontalHeader()->setSectionResizeMode(column, QHeaderView::ResizeToContents);
    for (int row = 0; row < list_->rowCount(); ++row) {
        for (int column = 0; column < kFirstFigure; ++column)
            list_->item(row, column)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        list_->item(row, 2)->setToolTip(
            text(hungWords(bench, bench.plans[static_cast<std::size_t>(row)]), session_.unit()));
    }
    name_->setPlaceholderText(shown);
    name_->setEnabled(!shown.isEmpty());
    keep_->setEnabled(!shown.isEmpty());
    show_->setEnabled(!plans_.empty());
    remove_->setEnabled(!plans_.empty());
}

}  // namespace glumet
