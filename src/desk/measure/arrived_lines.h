#pragma once

#include <QPlainTextEdit>

namespace glumet {

/// The lines of an instrument as they come. A click on a number says which one is meant; with the keys, left
/// and right go from number to number and Enter takes one.
class ArrivedLines : public QPlainTextEdit {
    Q_OBJECT

  public:
    ArrivedLines();

  signals:
    void numberChosen(const QString& pattern);

  protected:
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void step(QTextDocument::FindFlags way);
    void take(const QTextCursor& at);
};

}  // namespace glumet
