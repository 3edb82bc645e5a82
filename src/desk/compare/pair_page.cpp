#include "desk/compare/pair_page.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "report/compare_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kMapWidth = 240;
constexpr int kLeastConditions = 150;
constexpr int kPairRowHeight = 22;

/// "+12", "−3.4": per cent, as heads say.
QString changeText(double ratio) {
    const double percent = 100.0 * (ratio - 1.0);
    const QString figure = QString::number(std::abs(percent), 'f', std::abs(percent) < 10.0 ? 1 : 0);
    return (percent < 0.0 ? QStringLiteral("−") : QStringLiteral("+")) + figure;
}

QString ratioText(const Ratio& ratio) { return ratio.tie ? FigureTable::tr("tie") : changeText(ratio.value); }

}  // namespace

PairPage::PairPage(Session& session)
    : session_(session),
      caption_(makeLabel({}, TextRole::Body)),
      map_(new PlanMap),
      map_caption_(makeLabel({}, TextRole::Muted)),
      depths_(new FigureTable(tr("The pair by depth"))),
      conditions_(new FigureTable(tr("Conditions of the pair"))),
      remedy_(makeLabel({}, TextRole::Muted)),
      purpose_(quietButton(tr("differs on purpose"))) {
    caption_->setWordWrap(true);
    caption_->setObjectName(QStringLiteral("pairCaption"));
    map_->setObjectName(QStringLiteral("differenceMap"));
    map_->setAccessibleName(tr("Where the chosen one is brighter"));
    depths_->setObjectName(QStringLiteral("pairDepths"));
    conditions_->setObjectName(QStringLiteral("pairConditions"));
    purpose_->setObjectName(QStringLiteral("onPurpose"));
    remedy_->setWordWrap(true);
    map_caption_->setWordWrap(true);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(8);
    layout->addWidget(caption_);
    auto* row = new QHBoxLayout;
    row->setSpacing(16);
    auto* left = new QVBoxLayout;
    map_->setFixedWidth(kMapWidth);
    left->addWidget(map_);
    left->addStretch(1);
    row->addLayout(left);
    auto* right = new QVBoxLayout;
    right->addWidget(depths_);
    right->addWidget(map_caption_);
    right->addStretch(1);
    row->addLayout(right, 1);
    layout->addLayout(row);
    conditions_->setMinimumHeight(kLeastConditions);
    layout->addWidget(conditions_, 1);
    auto* foot = new QHBoxLayout;
    foot->addWidget(remedy_, 1);
    foot->addWidget(purpose_);
    layout->addLayout(foot);
    connect(depths_, &QTableWidget::currentCellChanged, this, [this](int line) {
        if (line < 0 || line >= static_cast<int>(paired_.planes.size())) return;
        session_.chooseDepth(paired_.planes[static_cast<std::size_t>(line)].depth);
    });
    connect(conditions_, &QTableWidget::currentCellChanged, this, [this](int line) {
        const bool there = line >= 0 && line < static_cast<int>(rows_.size());
        const auto* condition = there ? &rows_[static_cast<std::size_t>(line)] : nullptr;
        remedy_->setText(there ? text(condition->remedy, session_.unit()) : QString());
        const auto& meant = session_.bench().method.on_purpose;
        const bool said = there && std::find(meant.begin(), meant.end(), condition->condition) != meant.end();
        purpose_->setVisible(there && (said || condition->state == ConditionState::NotComparable ||
                                       condition->condition == Condition::Level));
        purpose_->setText(said ? tr("not on purpose") : tr("differs on purpose"));
    });
    connect(purpose_, &QPushButton::clicked, this, &PairPage::togglePurpose);
}

void PairPage::togglePurpose() {
    const int line = conditions_->currentRow();
    if (line < 0 || line >= static_cast<int>(rows_.size())) return;
    const auto condition = rows_[static_cast<std::size_t>(line)].condition;
    session_.changeMethod([&](Method& method) {
        auto& meant = method.on_purpose;
        const auto at = std::find(meant.begin(), meant.end(), condition);
        at == meant.end() ? static_cast<void>(meant.push_back(condition))
                          : static_cast<void>(meant.erase(at));
    });
}

const PairedPlane* PairPage::plane() const {
    if (!paired_.speaks()) return nullptr;
    for (const auto& plane : paired_.planes)
        if (session_.depth() && std::abs((plane.depth - *session_.depth()).value()) < 0.5) return &plane;
    return &paired_.planes.front();
}

void PairPage::show(const Comparison& compared, std::size_t chosen, std::size_t against) {
    paired_ = compared.pairOf(against, chosen);
    const auto& a = compared.judged[against].contender;
    const auto& b = compared.judged[chosen].contender;
    caption_->setText(
        text(paired_.speaks() ? pairWords(paired_, b.name, a.name) : paired_.refused, session_.unit()));
    showMap(compared, a, b);
    showDepths();
    showConditions(compared, chosen, against);
}

void PairPage::showMap(const Comparison& compared, const Contender& a, const Contender& b) {
    const auto* here = plane();
    const auto plan = here == nullptr ? std::nullopt : differencePlan(compared, *here, session_.palette());
    map_->setVisible(plan.has_value());
    if (plan) map_->setPlan(*plan, session_.palette());
    map_caption_->setText(
        here == nullptr ? QString()
        : !here->grid   ? tr("%1 free points, each within 5 mm of the other's.").arg(here->points.size())
                        : tr("In the map, %1 under water: how much brighter or dimmer %2 is than %3, in per "
                               "cent; = is a tie. In "
                               "the table the means of all points, of the outermost ring and of the innermost.")
                            .arg(session_.length(here->depth), text(b.name), text(a.name)));
}

std::vector<QStringList> PairPage::table() const {
    std::vector<QStringList> out{{tr("depth"), tr("ratio"), tr("low"), tr("high"), tr("tie"),
                                  tr("outer ring"), tr("middle"), tr("peak"), tr("swing"),
                                  tr("swing, other")}};
    const auto number = [](double value) { return QString::number(value, 'f', 4); };
    for (const auto& plane : paired_.planes)
        out.push_back({session_.length(plane.depth), number(plane.mean.value), number(plane.mean.lo),
                       number(plane.mean.hi), plane.mean.tie ? tr("yes") : tr("no"),
                       plane.rings.empty() ? QString() : number(plane.rings.front().value),
                       plane.rings.empty() ? QString() : number(plane.rings.back().value),
                       number(plane.peak.value), number(plane.swing_b), number(plane.swing_a)});
    return out;
}

void PairPage::showDepths() {
    depths_->setHeads(
        {tr("depth"), tr("light %"), tr("interval"), tr("edge"), tr("middle"), tr("peak"), tr("swing")});
    std::vector<QStringList> rows;
    int at = -1;
    for (const auto& plane : paired_.planes) {
        if (&plane == this->plane()) at = static_cast<int>(rows.size());
        const bool rings = plane.rings.size() > 1;
        rows.push_back({session_.length(plane.depth), ratioText(plane.mean),
                        tr("%1 to %2").arg(changeText(plane.mean.lo), changeText(plane.mean.hi)),
                        rings ? ratioText(plane.rings.front()) : QString(),
                        rings ? ratioText(plane.rings.back()) : QString(), ratioText(plane.peak),
                        plane.swing_a > 0.0 && plane.swing_b > 0.0 ? changeText(plane.swing_b / plane.swing_a)
                                                                   : tr("–")});
    }
    depths_->setRows(rows, at, session_.palette());
    depths_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    for (const int column : {0, 2})
        depths_->horizontalHeader()->setSectionResizeMode(column, QHeaderView::ResizeToContents);
    depths_->setFixedHeight(33 + kPairRowHeight * std::max(1, static_cast<int>(rows.size())));
}

void PairPage::showConditions(const Comparison& compared, std::size_t chosen, std::size_t against) {
    rows_ = compared.conditions(against, chosen);
    // What differs first, the worst at the top.
    std::stable_sort(rows_.begin(), rows_.end(), [](const ConditionRow& a, const ConditionRow& b) {
        return static_cast<int>(a.state) > static_cast<int>(b.state);
    });
    const auto unit = session_.unit();
    const auto shown = [&](const Words& words) {
        return words.empty() ? tr("not recorded") : text(words, unit);
    };
    std::vector<QStringList> rows;
    for (const auto& row : rows_)
        rows.push_back({text(conditionName(row.condition), unit), shown(row.b), shown(row.a),
                        QStringLiteral("%1 %2").arg(stateMark(row.state),
                                                    row.modelled ? tr("modelled") : stateName(row.state))});
    const int current = conditions_->currentRow();
    conditions_->setHeads({tr("condition"), text(compared.judged[chosen].contender.name),
                           text(compared.judged[against].contender.name), tr("alike?")});
    conditions_->setRows(rows, -1, session_.palette());
    for (int row = 0; row < conditions_->rowCount(); ++row) {
        const auto state = rows_[static_cast<std::size_t>(row)].state;
        conditions_->item(row, 0)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        conditions_->item(row, 3)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        if (state == ConditionState::NotComparable)
            conditions_->item(row, 3)->setForeground(session_.palette().accent);
    }
    conditions_->setCurrentCell(std::clamp(current, 0, conditions_->rowCount() - 1), 0);
}

}  // namespace glumet
