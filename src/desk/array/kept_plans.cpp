#include "desk/array/kept_plans.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QShortcut>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>
#include <map>
#include <utility>

#include "core/verdicts/planned_light.h"
#include "desk/array/plan_of_array.h"
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
      note_(new QLineEdit),
      keep_(action(tr("keep what hangs now"), "keepPlan")),
      show_(action(tr("hang it"), "showPlan")),
      rename_(action(tr("rename it"), "renamePlan")),
      remove_(action(tr("remove it"), "removePlan")) {
    list_->setObjectName(QStringLiteral("keptPlans"));
    list_->setHeads({tr("array"), tr("over"), tr("hung"), tr("height")});
    for (int column = 0; column < kFirstFigure; ++column)
        list_->horizontalHeaderItem(column)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    name_->setObjectName(QStringLiteral("planName"));
    name_->setAccessibleName(tr("Name to keep it by"));
    note_->setObjectName(QStringLiteral("planNote"));
    note_->setAccessibleName(tr("Words about the chosen one, for the review"));
    layOut();
    makeActions();
}

void KeptPlans::layOut() {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    column->addWidget(list_, 1);
    const auto addRow = [&](QLineEdit* words, const std::vector<QPushButton*>& actions) {
        auto* row = new QHBoxLayout;
        row->setSpacing(6);
        row->addWidget(words, 1);
        for (auto* one : actions) row->addWidget(one);
        column->addLayout(row);
    };
    addRow(note_, {show_, rename_, remove_});
    addRow(name_, {keep_});
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
        if (const auto* plan = chosen()) emit showAsked(plan->id);
    };
    connect(show_, &QPushButton::clicked, this, show);
    connect(list_, &QTableWidget::cellActivated, this, show);
    connect(remove_, &QPushButton::clicked, this, &KeptPlans::remove);
    const auto rename = [this] {
        if (chosen() != nullptr) list_->editItem(list_->item(list_->currentRow(), 0));
    };
    connect(rename_, &QPushButton::clicked, this, rename);
    const auto addKey = [this](const QKeySequence& key, auto work) {
        auto* shortcut = new QShortcut(key, list_);
        shortcut->setContext(Qt::WidgetShortcut);
        connect(shortcut, &QShortcut::activated, this, work);
    };
    addKey(QKeySequence::Delete, [this] { remove(); });
    addKey(Qt::Key_F2, rename);
    // Queued: a cell is not to be made anew while it is told of its change.
    connect(list_, &QTableWidget::cellChanged, this, &KeptPlans::takeName, Qt::QueuedConnection);
    connect(list_, &QTableWidget::currentCellChanged, this, &KeptPlans::showNote);
    connect(note_, &QLineEdit::editingFinished, this, &KeptPlans::explain);
}

const PlannedArray* KeptPlans::current() const {
    const int row = list_->currentRow();
    if (row < 0 || row >= static_cast<int>(plans_.size())) return nullptr;
    return byId(session_.bench().plans, plans_[static_cast<std::size_t>(row)]);
}

const PlannedArray* KeptPlans::chosen() const {
    const auto* plan = current();
    if (plan == nullptr)
        session_.warn(plans_.empty() ? tr("No array is kept yet.") : tr("Choose one of the list first."));
    return plan;
}

void KeptPlans::remove() {
    if (const auto* plan = chosen())
        session_.edit([id = plan->id](Project& project) { return project.removePlan(id); });
}

/// Takes the name that was typed into the list, or puts back the one it has.
void KeptPlans::takeName(int row, int column) {
    const auto at = static_cast<std::size_t>(row);
    const auto* known = at < plans_.size() ? byId(session_.bench().plans, plans_[at]) : nullptr;
    if (known == nullptr || column != 0 || list_->item(row, 0)->text() == text(known->name)) return;
    auto plan = *known;
    plan.name = list_->item(row, 0)->text().trimmed().toStdString();
    const auto taken = [&](const PlannedArray& other) {
        return other.id != plan.id && other.tank == plan.tank && other.name == plan.name;
    };
    const auto& plans = session_.bench().plans;
    if (std::any_of(plans.begin(), plans.end(), taken))
        session_.warn(tr("Another array over that tank is called %1.").arg(text(plan.name)));
    else
        session_.edit([&](Project& project) { return project.save(plan); });
    // As it is called now: a name may have been refused, or had blanks about it.
    if (at < plans.size()) list_->item(row, 0)->setText(text(plans[at].name));
}

void KeptPlans::explain() {
    const auto* known = byId(session_.bench().plans, note_of_);
    if (known == nullptr || text(known->note) == note_->text()) return;
    auto plan = *known;
    plan.note = note_->text().toStdString();
    session_.edit([&](Project& project) { return project.save(plan); });
    showNote();
}

void KeptPlans::showNote() {
    const auto* plan = current();
    note_of_ = plan == nullptr ? 0 : plan->id;
    note_->setEnabled(plan != nullptr);
    note_->setText(plan == nullptr ? QString() : text(plan->note));
    note_->setCursorPosition(0);  // its beginning is what is seen
    note_->setPlaceholderText(plan == nullptr ? tr("choose an array of the list")
                                              : tr("words about it, for the review"));
}

void KeptPlans::refresh(const std::optional<PlannedArray>& shown) {
    const auto& bench = session_.bench();
    plans_.clear();
    std::vector<QStringList> rows;
    int named = -1;
    for (const auto& plan : bench.plans) {
        const auto* tank = byId(bench.tanks, plan.tank);
        if (shown && hangAlike(plan, *shown)) named = static_cast<int>(rows.size());
        rows.push_back({text(plan.name), tank == nullptr ? QString() : text(tank->name),
                        hungShort(bench, plan), session_.length(plan.fixtures.front().height)});
        plans_.push_back(plan.id);
    }
    list({std::move(rows), named, session_.palette().accent});
    name_->setPlaceholderText(shown ? text(shown->name) : QString());
    name_->setEnabled(shown.has_value());
    keep_->setEnabled(shown.has_value());
    for (auto* of_chosen : {show_, rename_, remove_}) of_chosen->setEnabled(!plans_.empty());
    if (!note_->hasFocus() || byId(bench.plans, note_of_) == nullptr) showNote();
}

/// Answers come in while a name is being typed: a list that is the same stays as it is.
void KeptPlans::list(Listed listed) {
    if (listed == listed_) return;
    listed_ = std::move(listed);
    const QSignalBlocker quiet(list_);
    const auto& [rows, named, accent] = listed_;
    list_->setRows(rows, named, session_.palette());
    if (list_->currentRow() < 0 && !rows.empty()) list_->setCurrentCell(std::max(0, named), 0);
    // Its name takes what the rest leaves.
    for (int column = 1; column < list_->columnCount(); ++column)
        list_->horizontalHeader()->setSectionResizeMode(column, QHeaderView::ResizeToContents);
    for (int row = 0; row < list_->rowCount(); ++row) {
        for (int column = 0; column < list_->columnCount(); ++column) {
            auto* cell = list_->item(row, column);
            if (column < kFirstFigure) cell->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
            if (column > 0) cell->setFlags(cell->flags() & ~Qt::ItemIsEditable);
        }
        const auto& bench = session_.bench();
        list_->item(row, 2)->setToolTip(
            text(hungWords(bench, bench.plans[static_cast<std::size_t>(row)]), session_.unit()));
    }
}

}  // namespace glumet
