#include "desk/shared/form_column.h"

#include <QKeyEvent>
#include <QLabel>
#include <QStyle>

#include "desk/shared/theme.h"

namespace glumet {
namespace {

constexpr int kLeastField = 60;
constexpr int kLeastName = 62;

void markWrong(QLineEdit* edit, bool wrong) {
    if (edit->property("wrong").toBool() == wrong) return;
    edit->setProperty("wrong", wrong);
    edit->style()->unpolish(edit);
    edit->style()->polish(edit);
}

}  // namespace

FormColumn::FormColumn(Session& session) : session_(session), grid_(new QGridLayout(this)) {
    connect(&session, &Session::settling, this, [this] {
        for (auto& field : texts_)
            if (field.edit->isModified()) finish(field);
    });
    setObjectName(QStringLiteral("formColumn"));
    grid_->setContentsMargins(0, 0, 0, 0);
    grid_->setHorizontalSpacing(12);
    grid_->setVerticalSpacing(1);
    grid_->setColumnMinimumWidth(0, 96);
    grid_->setColumnStretch(1, 1);
}

void FormColumn::addHeading(const QString& text, QWidget* beside) {
    fold_ = nullptr;
    const int row = grid_->rowCount();
    if (row > 1) grid_->setRowMinimumHeight(row, 10);
    heading_ = new QHBoxLayout;
    heading_->setSpacing(12);
    heading_->addWidget(makeLabel(text, TextRole::Heading));
    heading_->addStretch(1);
    if (beside != nullptr) heading_->addWidget(beside);
    grid_->addLayout(heading_, row + 1, 0, 1, 2);
}

QComboBox* FormColumn::addHeadingChoice(const QString& name, ReadIndex read, WriteIndex write) {
    auto* combo = makeChoice(name, std::move(read), std::move(write));
    heading_->insertWidget(1, combo, 5);
    return combo;
}

QLineEdit* FormColumn::addText(const QString& name, Read read, Write write, const QString& hint) {
    auto* edit = new QLineEdit;
    edit->setPlaceholderText(hint);
    edit->setAccessibleName(name);
    edit->installEventFilter(this);
    auto* label = makeLabel(name, TextRole::Muted);
    addRow(label, edit);
    texts_.push_back({edit, label, std::move(read), std::move(write)});
    const auto index = texts_.size() - 1;
    connect(edit, &QLineEdit::editingFinished, this, [this, index] { finish(texts_[index]); });
    return edit;
}

QComboBox* FormColumn::addChoice(const QString& name, const QStringList& options, ReadIndex read,
                                 WriteIndex write) {
    auto* combo = makeChoice(name, std::move(read), std::move(write));
    combo->addItems(options);
    addRow(makeLabel(name, TextRole::Muted), combo);
    return combo;
}

QComboBox* FormColumn::makeChoice(const QString& name, ReadIndex read, WriteIndex write) {
    auto* combo = new QComboBox;
    combo->setAccessibleName(name);
    combo->setFocusPolicy(Qt::StrongFocus);
    combo->installEventFilter(this);
    combo->setMinimumContentsLength(14);
    combo->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    choices_.push_back({combo, std::move(read)});
    connect(combo, &QComboBox::activated, this, [this, write = std::move(write)](int index) {
        const QString fault = write(index);
        if (!fault.isEmpty()) session_.warn(fault);
    });
    return combo;
}

void FormColumn::addStretch() { grid_->setRowStretch(grid_->rowCount(), 1); }

void FormColumn::letShrink() {
    grid_->setColumnMinimumWidth(0, kLeastName);
    grid_->setHorizontalSpacing(6);
    for (const auto& field : texts_) field.edit->setMinimumWidth(kLeastField);
    for (const auto& field : choices_) {
        field.combo->setMinimumContentsLength(0);
        field.combo->setMinimumWidth(kLeastField);
        field.combo->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
    }
}

void FormColumn::addRow(QLabel* name, QWidget* field) {
    const int row = grid_->rowCount();
    grid_->addWidget(name, row, 0);
    grid_->addWidget(field, row, 1);
    for (QWidget* part : {static_cast<QWidget*>(name), field}) putIntoFold(part);
}

void FormColumn::putIntoFold(QWidget* part) {
    if (fold_ == nullptr) return;
    part->setVisible(fold_->isChecked());
    connect(fold_, &QPushButton::toggled, part, &QWidget::setVisible);
}

void FormColumn::addWide(QWidget* widget) {
    grid_->addWidget(widget, grid_->rowCount(), 0, 1, 2);
    putIntoFold(widget);
}

void FormColumn::addFold(const QString& name) {
    fold_ = new QPushButton;
    fold_->setCheckable(true);
    fold_->setProperty("quiet", true);
    fold_->setProperty("fold", true);
    fold_->setAccessibleName(name);
    const auto show = [fold = fold_, name](bool open) {
        fold->setText((open ? QStringLiteral("▾  ") : QStringLiteral("▸  ")) + name);
    };
    connect(fold_, &QPushButton::toggled, this, show);
    show(false);
    grid_->addWidget(fold_, grid_->rowCount(), 0, 1, 2, Qt::AlignLeft);
}

QLineEdit* FormColumn::lift(const QString& object_name) {
    for (auto& field : texts_)
        if (field.edit->objectName() == object_name) {
            grid_->removeWidget(field.name);
            grid_->removeWidget(field.edit);
            field.name->hide();
            if (fold_ != nullptr) disconnect(fold_, nullptr, field.name, nullptr);
            return field.edit;
        }
    return nullptr;
}

QLabel* FormColumn::nameOf(const QLineEdit* edit) const {
    for (const auto& field : texts_)
        if (field.edit == edit) return field.name;
    return nullptr;
}

void FormColumn::finish(TextField& field) {
    field.edit->setModified(false);
    if (field.edit->text() == field.read()) return accept(field);
    const QString fault = field.write(field.edit->text());
    if (!fault.isEmpty()) return refuse(field, fault);
    accept(field);
    field.edit->setText(field.read());  // which also ends the field's own undo history
}

/// The text stays to be mended, with the reason under it.
void FormColumn::refuse(TextField& field, const QString& reason) {
    markWrong(field.edit, true);
    if (field.reason == nullptr) {
        field.reason = makeLabel({}, TextRole::Problem, field.edit->parentWidget());
        field.reason->setObjectName(QStringLiteral("refusal"));
        field.reason->setWordWrap(true);
        field.reason->setAutoFillBackground(true);
        field.reason->setAttribute(Qt::WA_TransparentForMouseEvents);
    }
    field.reason->setText(reason);
    const QRect at = field.edit->geometry();
    const int wide = std::max(at.width(), std::min(260, field.edit->parentWidget()->width() - at.left()));
    field.reason->setGeometry(at.left(), at.bottom() + 2, wide, field.reason->heightForWidth(wide));
    field.reason->raise();
    field.reason->show();
    session_.warn(reason);
}

void FormColumn::accept(TextField& field) {
    markWrong(field.edit, false);
    if (field.reason == nullptr || field.reason->isHidden()) return;
    field.reason->hide();
    session_.say({});  // the warning goes with its cause
}

bool FormColumn::eventFilter(QObject* watched, QEvent* event) {
    // The wheel scrolls the page; it must not change a choice that happens to pass under it.
    if (event->type() == QEvent::Wheel && qobject_cast<QComboBox*>(watched) != nullptr) {
        event->ignore();
        return true;
    }
    auto* edit = qobject_cast<QLineEdit*>(watched);
    if (edit != nullptr && event->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape && edit->property("wrong").toBool())
        return giveUp(edit);
    if (edit == nullptr || event->type() != QEvent::ShortcutOverride)
        return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    const bool undo = key->matches(QKeySequence::Undo) && !edit->isUndoAvailable();
    const bool redo = key->matches(QKeySequence::Redo) && !edit->isRedoAvailable();
    if (!undo && !redo) return false;
    event->ignore();
    return true;
}

void FormColumn::refresh() {
    for (const auto& fill : fills_) fill();
    for (auto& field : texts_) {
        auto* edit = field.edit;
        if ((edit->hasFocus() && edit->isModified()) || edit->property("wrong").toBool()) continue;
        const QString now = field.read();
        if (edit->text() == now) continue;  // what is selected stays so
        edit->setText(now);
        edit->hasFocus() ? edit->selectAll() : edit->setCursorPosition(0);
    }
    for (const auto& field : choices_) field.combo->setCurrentIndex(field.read());
}

/// What was stored stands again.
bool FormColumn::giveUp(QLineEdit* edit) {
    for (auto& field : texts_)
        if (field.edit == edit) {
            accept(field);
            edit->setText(field.read());
            edit->selectAll();
        }
    return true;
}

void FormColumn::refreshAnew() {
    for (auto& field : texts_) accept(field);
    refresh();
}

}  // namespace glumet
