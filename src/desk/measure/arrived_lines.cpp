#include "desk/measure/arrived_lines.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QRegularExpression>
#include <QTextBlock>

#include "meters/line_pattern.h"

namespace glumet {

ArrivedLines::ArrivedLines() {
    setReadOnly(true);
    setTextInteractionFlags(Qt::TextSelectableByMouse | Qt::TextSelectableByKeyboard);
    setTabChangesFocus(true);
    viewport()->setCursor(Qt::PointingHandCursor);
    setAccessibleDescription(tr("Left and right go from number to number, Enter takes one."));
}

void ArrivedLines::take(const QTextCursor& at) {
    const QString pattern = patternAt(at.block().text(), at.positionInBlock());
    if (!pattern.isEmpty()) emit numberChosen(pattern);
}

void ArrivedLines::mouseReleaseEvent(QMouseEvent* event) {
    QPlainTextEdit::mouseReleaseEvent(event);
    if (textCursor().hasSelection()) return;  // text was marked to be copied
    take(cursorForPosition(event->position().toPoint()));
}

/// Marks the next number; from the newest line on where none is marked yet.
void ArrivedLines::step(QTextDocument::FindFlags way) {
    static const QRegularExpression number(QStringLiteral(R"([-+]?\d+(?:[.,]\d+)?)"));
    auto from = textCursor();
    if (!from.hasSelection()) {
        from.movePosition(QTextCursor::End);
        from.movePosition(QTextCursor::StartOfBlock);
    }
    const auto found = document()->find(number, from, way);
    if (!found.isNull()) setTextCursor(found);
}

void ArrivedLines::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Right:
            return step({});
        case Qt::Key_Left:
            return step(QTextDocument::FindBackward);
        case Qt::Key_Return:
        case Qt::Key_Enter: {
            auto at = textCursor();
            at.setPosition(at.selectionStart());
            return take(at);
        }
        default:
            QPlainTextEdit::keyPressEvent(event);
    }
}

}  // namespace glumet
