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
        for (const auto& field : texts_)
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
    heading_->insertWidget(1, combo, 1);
    return combo;
}

QLineEdit* FormColumn::addText(const QString& name, Read read, Write write, const QString& hint) {
    auto* edit = new QLineEdit;
    edit->setPlaceholderText(hint);
    edit->setAccessibleName(name);
    edit->installEventFilter(this);
    const int row = grid_->rowCount();
    grid_->addWidget(makeLabel(name, TextRole::Muted), row, 0);
    grid_->addWidget(edit, row, 1);
    texts_.push_back({edit, std::move(read), std::move(write)});
    const auto index = texts_.size() - 1;
    connect(edit, &QLineEdit::editingFinished, this, [this, index] { finish(texts_[index]); });
    return edit;
}

QComboBox* FormColumn::addChoice(const QString& name, const QStringList& options, ReadIndex read,
                                 WriteIndex write) {
    auto* combo = makeChoice(name, std::move(read), std::move(write));
    combo->addItems(options);
    const int row = grid_->rowCount();
    grid_->addWidget(makeLabel(name, TextRole::Muted), row, 0);
    grid_->addWidget(combo, row, 1);
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

void FormColumn::finish(const TextField& field) {
    field.edit->setModified(false);
    if (field.edit->text() == field.read()) {
        markWrong(field.edit, false);
        return;
    }
    const QString fault = field.write(field.edit->text());
    markWrong(field.edit, !fault.isEmpty());
    if (fault.isEmpty())
        field.edit->setText(field.read());  // which also ends the field's own undo history
    else
        session_.warn(fault);
}

bool FormColumn::eventFilter(QObject* watched, QEvent* event) {
    // The wheel scrolls the page; it must not change a choice that happens to pass under it.
    if (event->type() == QEvent::Wheel && qobject_cast<QComboBox*>(watched) != nullptr) {
        event->ignore();
        return true;
    }
    auto* edit = qobject_cast<QLineEdit*>(watched);
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
    for (const auto& field : texts_) {
        if (field.edit->hasFocus() && field.edit->isModified()) continue;
        field.edit->setText(field.read());
        field.edit->setCursorPosition(0);
        markWrong(field.edit, false);
    }
    for (const auto& field : choices_) field.combo->setCurrentIndex(field.read());
}

}  // namespace glumet
