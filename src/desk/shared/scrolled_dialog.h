#pragma once

#include <QDialog>
#include <QScrollArea>
#include <QVBoxLayout>

namespace glumet {

/// A dialog whose body scrolls where the screen is too small for it; its foot stays in sight.
class ScrolledDialog : public QDialog {
    Q_OBJECT

  public:
    /// `wanted` where the screen has that room; the body's own size where it asks for more.
    explicit ScrolledDialog(QWidget* parent, const QSize& wanted = {});

    /// As large as wanted, and no larger than this.
    void fit(const QSize& room);

  protected:
    QWidget* body() { return scroll_->widget(); }
    /// Takes buttons, and what is said beside them, into the foot.
    void addFoot(QLayout* buttons);
    void showEvent(QShowEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QSize wanted_;
    QScrollArea* scroll_;
    QVBoxLayout* foot_;
};

}  // namespace glumet
