#include "desk/bench/form_column.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QStyle>

#include "desk/shared/theme.h"

namespace glumet {
namespace {

void markWrong(QLineEdit* edit, bool wrong) {
    if (edit->property("wrong").toBool() == wrong) return;
    edit->setProperty("wrong", wrong);
    edit->style()->unpolish(edit);
    edit->style()->polish(edit);
}

}  // namespace

FormColumn::FormColumn(Session& session) : session_(session), grid_(new QGridLayout(this)) {
    grid_->setContentsMargins(0, 0, 0, 0);
    grid_->setHorizontalSpacing(12);
    grid_->setVerticalSpacing(4);
    grid_->setColumnMinimumWidth(0, 96);
    grid_->setColumnStretch(1, 1);
}

void FormColumn::addHeading(const QString& text, QWidget* beside) {
    const int row = grid_->rowCount();
    if (row > 1) grid_->setRowMinimumHeight(row, 12);
    auto* holder = new QHBoxLayout;
    holder->addWidget(makeLabel(text, TextRole::Heading), 1);
    if (beside != nullptr) holder->addWidget(beside);
    grid_->addLayout(holder, row + 1, 0, 1, 2);
}

QLineEdit* FormColumn::addText(const QString& name, Read read, Write write, const QString& hint) {
    auto* edit = new QLineEdit;
    edit->setPlaceholderText(hint);
    edit->setAccessibleName(name);
    const int row = grid_->rowCount();
    grid_->addWidget(makeLabel(name, TextRole::Muted), row, 0);
    grid_->addWidget(edit, row, 1);
    texts_.push_back({edit, std::move(read), std::move(write)});
    const auto index = texts_.size() - 1;
    connect(edit, &QLineEdit::editingFinished, this, [this, index] { finish(texts_[index]); });
    return edit;
}

QComboBox* FormColumn::addChoice(const QString& name, const QStringList& options, ReadIndex read, WriteIndex write) {
    auto* combo = new QComboBox;
    combo->addItems(options);
    combo->setAccessibleName(name);
    combo->setMinimumContentsLength(6);
    combo->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    const int row = grid_->rowCount();
    grid_->addWidget(makeLabel(name, TextRole::Muted), row, 0);
    grid_->addWidget(combo, row, 1);
    choices_.push_back({combo, std::move(read)});
    connect(combo, &QComboBox::activated, this, [this, write = std::move(write)](int index) {
        const QString fault = write(index);
        if (!fault.isEmpty()) session_.warn(fault);
    });
    return combo;
}

void FormColumn::addWide(QWidget* widget) { grid_->addWidget(widget, grid_->rowCount(), 0, 1, 2); }
void FormColumn::addStretch() { grid_->setRowStretch(grid_->rowCount(), 1); }

void FormColumn::finish(const TextField& field) {
    if (field.edit->text() == field.read()) {
        markWrong(field.edit, false);
        return;
    }
    const QString fault = field.write(field.edit->text());
    markWrong(field.edit, !fault.isEmpty());
    if (!fault.isEmpty()) session_.warn(fault);
}

void FormColumn::refresh() {
    for (const auto& field : texts_) {
        if (field.edit->hasFocus() && field.edit->isModified()) continue;
        field.edit->setText(field.read());
        field.edit->setCursorPosition(0);
        markWrong(field.edit, false);
    }
    for (const auto& field : choices_) field.combo->setCurrentIndex(field.read());
}

}  // namespace glumet
