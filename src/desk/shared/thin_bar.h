#pragma once

#include <QPainter>
#include <QWidget>
#include <algorithm>
#include <cmath>

#include "report/palette.h"

namespace glumet {

/// How much of something is done, as a thin bar. A stock progress bar repaints the window at once for each
/// new value; this one waits for the loop, so that samples never block the interface.
class ThinBar : public QWidget {
    Q_OBJECT

  public:
    explicit ThinBar(QWidget* parent = nullptr) : QWidget(parent) { setFixedHeight(7); }

    /// 0–1.
    void setShare(double share) {
        share = std::clamp(share, 0.0, 1.0);
        if (std::abs(share - share_) < 1e-3) return;
        share_ = share;
        update();
    }
    double share() const { return share_; }
    void setColours(const Palette& palette) {
        palette_ = &palette;
        update();
    }

  protected:
    void paintEvent(QPaintEvent* /*event*/) override {
        if (palette_ == nullptr) return;
        QPainter p(this);
        p.setRenderHint(QPainter::Antialiasing);
        p.setPen(Qt::NoPen);
        p.setBrush(palette_->panel);
        p.drawRoundedRect(QRectF(rect()), 3, 3);
        p.setBrush(palette_->accent);
        p.drawRoundedRect(QRectF(0, 0, width() * share_, height()), 3, 3);
    }

  private:
    const Palette* palette_ = nullptr;
    double share_ = 0.0;
};

}  // namespace glumet
