#pragma once

#include <QPushButton>
#include <QStyleOptionButton>
#include <QStylePainter>

namespace glumet {

/// A button whose name gives way where room is short, and says it whole in its tip.
class ElidedButton : public QPushButton {
  public:
    using QPushButton::QPushButton;

    QSize minimumSizeHint() const override {
        return {std::min(kLeast, QPushButton::minimumSizeHint().width()),
                QPushButton::minimumSizeHint().height()};
    }

  protected:
    void paintEvent(QPaintEvent* /*event*/) override {
        QStylePainter painter(this);
        QStyleOptionButton option;
        initStyleOption(&option);
        const int around = sizeHint().width() - fontMetrics().horizontalAdvance(text());
        if (width() < sizeHint().width())
            option.text = fontMetrics().elidedText(text(), Qt::ElideRight, width() - around);
        painter.drawControl(QStyle::CE_PushButton, option);
    }

  private:
    static constexpr int kLeast = 90;
};

}  // namespace glumet
