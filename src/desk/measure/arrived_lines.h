#pragma once

#include <QMouseEvent>
#include <QPlainTextEdit>
#include <QTextBlock>

#include "meters/line_pattern.h"

namespace glumet {

/// The lines of an instrument as they come. A click on a number says which one is meant.
class ArrivedLines : public QPlainTextEdit {
    Q_OBJECT

  public:
    ArrivedLines() {
        setReadOnly(true);
        viewport()->setCursor(Qt::PointingHandCursor);
    }

  signals:
    void numberChosen(const QString& pattern);

  protected:
    void mouseReleaseEvent(QMouseEvent* event) override {
        QPlainTextEdit::mouseReleaseEvent(event);
        if (textCursor().hasSelection()) return;  // text was marked to be copied
        const auto cursor = cursorForPosition(event->position().toPoint());
        const QString pattern = patternAt(cursor.block().text(), cursor.positionInBlock());
        if (!pattern.isEmpty()) emit numberChosen(pattern);
    }
};

}  // namespace glumet
