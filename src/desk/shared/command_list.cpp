#include "desk/shared/command_list.h"

#include <QGridLayout>
#include <QKeyEvent>
#include <QScreen>
#include <QVBoxLayout>

#include "desk/shared/theme.h"

namespace glumet {
namespace {

constexpr int kTwoColumns = 960;

QString plainText(const QAction* action) {
    return action->text().remove(QLatin1Char('&')).remove(QStringLiteral("…"));
}

}  // namespace

CommandList::CommandList(const QList<QAction*>& actions, QWidget* parent)
    : ScrolledDialog(parent, {460, 420}), actions_(actions), search_(new QLineEdit), list_(new QListWidget) {
    setWindowTitle(tr("All commands"));
    search_->setPlaceholderText(tr("What do you want to do?"));
    search_->setAccessibleName(tr("Search commands"));
    search_->installEventFilter(this);
    list_->setFocusPolicy(Qt::NoFocus);
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(16, 16, 16, 16);
    layout->addWidget(search_);
    layout->addWidget(list_, 1);
    connect(search_, &QLineEdit::textChanged, this, &CommandList::filter);
    connect(search_, &QLineEdit::returnPressed, this, &CommandList::runCurrent);
    connect(list_, &QListWidget::itemClicked, this, &CommandList::runCurrent);
    filter({});
}

void CommandList::filter(const QString& words) {
    list_->clear();
    const auto wanted = words.split(QLatin1Char(' '), Qt::SkipEmptyParts);
    for (qsizetype i = 0; i < actions_.size(); ++i) {
        const QString name = plainText(actions_[i]);
        const bool fits = std::all_of(wanted.begin(), wanted.end(), [&](const QString& word) {
            return name.contains(word, Qt::CaseInsensitive);
        });
        if (!fits || !actions_[i]->isEnabled()) continue;
        const QString keys = actions_[i]->shortcut().toString(QKeySequence::NativeText);
        auto* item =
            new QListWidgetItem(keys.isEmpty() ? name : QStringLiteral("%1    %2").arg(name, keys), list_);
        item->setData(Qt::UserRole, static_cast<int>(i));
    }
    list_->setCurrentRow(0);
}

bool CommandList::eventFilter(QObject* watched, QEvent* event) {
    if (watched != search_ || event->type() != QEvent::KeyPress) return QDialog::eventFilter(watched, event);
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (key != Qt::Key_Down && key != Qt::Key_Up) return false;
    const int step = key == Qt::Key_Down ? 1 : -1;
    list_->setCurrentRow(qBound(0, list_->currentRow() + step, list_->count() - 1));
    return true;
}

void CommandList::runCurrent() {
    const auto* item = list_->currentItem();
    if (item == nullptr) return;
    auto* action = actions_[item->data(Qt::UserRole).toInt()];
    accept();
    action->trigger();
}

KeySheet::KeySheet(const std::vector<StageEntry>& stages, const QList<QAction*>& actions, QWidget* parent)
    : ScrolledDialog(parent) {
    setWindowTitle(tr("Keys"));
    auto* grid = new QGridLayout(body());
    grid->setContentsMargins(24, 20, 24, 20);
    grid->setHorizontalSpacing(20);
    grid->setVerticalSpacing(7);
    QList<std::pair<QString, QString>> lines;
    const auto add = [&](const QString& keys, const QString& what) { lines.append({keys, what}); };
    for (const auto& stage : stages)
        for (const auto& key : stage.keys) add(key.keys, key.what);
    add(tr("Tab"), tr("Next part of the window"));
    for (const auto* action : actions)
        if (!action->shortcut().isEmpty())
            add(action->shortcut().toString(QKeySequence::NativeText), plainText(action));
    // Two columns of equal length, one where the screen has no room for two.
    const int columns = screen()->availableSize().width() >= kTwoColumns ? 2 : 1;
    const int rows = (static_cast<int>(lines.size()) + columns - 1) / columns;
    for (int i = 0; i < lines.size(); ++i) {
        grid->addWidget(makeLabel(lines[i].first, TextRole::Accent), i % rows, 2 * (i / rows));
        grid->addWidget(makeLabel(lines[i].second, TextRole::Body), i % rows, 2 * (i / rows) + 1);
    }
}

}  // namespace glumet
