#include "desk/array/kept_plans.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QShortcut>
#include <QVBoxLayout>

#include "core/verdicts/planned_light.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {

KeptPlans::KeptPlans(Session& session)
    : session_(session),
      list_(new FigureTable(tr("Arrays kept for the review"))),
      name_(new QLineEdit),
      keep_(action(tr("keep what hangs now"), "keepPlan")),
      show_(action(tr("hang the chosen one"), "showPlan")),
      remove_(action(tr("remove the chosen one"), "removePlan")) {
    list_->setObjectName(QStringLiteral("keptPlans"));
    list_->setHeads({tr("array"), tr("over"), tr("hung"), tr("height")});
    name_->setObjectName(QStringLiteral("planName"));
    name_->setAccessibleName(tr("Name to keep it by"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(18);
    row->addWidget(list_, 3);
    auto* actions = new QVBoxLayout;
    actions->setSpacing(6);
    for (QWidget* one : std::initializer_list<QWidget*>{name_, keep_, show_, remove_})
        actions->addWidget(one);
    actions->addStretch(1);
    row->addLayout(actions, 1);
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
                        text(hungWords(bench, plan), session_.unit()),
                        session_.length(plan.fixtures.front().height)});
        plans_.push_back(plan.id);
    }
    list_->setRows(rows, named, session_.palette());
    // What hangs takes what the rest leaves, and is read from its beginning.
    for (int column = 0; column < list_->columnCount(); ++column)
        list_->horizontalHeader()->setSectionResizeMode(
            column, column == 2 ? QHeaderView::Stretch : QHeaderView::ResizeToContents);
    name_->setPlaceholderText(shown);
    name_->setEnabled(!shown.isEmpty());
    keep_->setEnabled(!shown.isEmpty());
    show_->setEnabled(!plans_.empty());
    remove_->setEnabled(!plans_.empty());
}

}  // namespace glumet
