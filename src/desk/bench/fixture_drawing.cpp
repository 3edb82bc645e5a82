#include "desk/bench/fixture_drawing.h"

#include <QPainter>

#include "report/palette.h"

namespace glumet {
namespace {

constexpr double kMarginMm = 20.0;  // of a guessed body around its emitters
constexpr double kLeastMm = 60.0;
constexpr int kBelow = 44;
constexpr int kLabelHeight = 14;

double extent(int count, Millimetre pitch, Millimetre size) {
    return (count - 1) * pitch.value() + size.value();
}

}  // namespace

FixtureDrawing::FixtureDrawing(Session& session, FormColumn& form, Shown shown)
    : BenchDrawing(session),
      shown_(std::move(shown)),
      length_(take(form.lift(QStringLiteral("fixture_length_mm")), 84)),
      width_(take(form.lift(QStringLiteral("fixture_width_mm")), 78)),
      count_(take(form.lift(QStringLiteral("emitters")), 60)),
      spacing_(take(form.lift(QStringLiteral("emitterSpacing")), 124)),
      size_(take(form.lift(QStringLiteral("emitterSize")), 74)) {
    setAccessibleName(tr("The fixture in plan"));
    length_->setPlaceholderText(tr("length?"));
    width_->setPlaceholderText(tr("width?"));
}

double FixtureDrawing::bodyLength() const {
    const auto& f = shown_();
    if (f.length.value() > 0.0) return f.length.value();
    return std::max(kLeastMm,
                    extent(f.emitters.columns, f.emitters.pitch_x, f.emitters.size) + 2 * kMarginMm);
}

double FixtureDrawing::bodyWidth() const {
    const auto& f = shown_();
    if (f.width.value() > 0.0) return f.width.value();
    return std::max(kLeastMm, extent(f.emitters.rows, f.emitters.pitch_y, f.emitters.size) + 2 * kMarginMm);
}

QRectF FixtureDrawing::body() const {
    return fitted(QRectF(rect()).adjusted(kAcross, kAlong, -8, -kBelow - 6), bodyLength(), bodyWidth());
}

QRectF FixtureDrawing::emitterRect(int column, int row) const {
    const auto& e = shown_().emitters;
    const QRectF outline = body();
    const double scale = outline.width() / bodyLength();
    // A point is drawn as a small patch so that it can be seen.
    const double side = std::max(5.0, e.size.value() * scale);
    const QPointF middle(outline.center().x() + (column - 0.5 * (e.columns - 1)) * e.pitch_x.value() * scale,
                         outline.center().y() + (row - 0.5 * (e.rows - 1)) * e.pitch_y.value() * scale);
    return {middle.x() - side / 2, middle.y() - side / 2, side, side};
}

void FixtureDrawing::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = session_.palette();
    const auto& f = shown_();
    const QRectF outline = body();
    const bool stated = f.length.value() > 0.0 && f.width.value() > 0.0;
    p.setPen(QPen(stated ? c.text : c.muted, 1.6, stated ? Qt::SolidLine : Qt::DashLine));
    p.setBrush(c.panel);
    p.drawRoundedRect(outline, 7, 7);
    p.setBrush(c.raised);
    p.setPen(QPen(f.emitters.size.value() > 0.0 ? c.text : c.muted, 1.2,
                  f.emitters.size.value() > 0.0 ? Qt::SolidLine : Qt::DotLine));
    for (int row = 0; row < f.emitters.rows; ++row)
        for (int column = 0; column < f.emitters.columns; ++column) {
            const QRectF patch = emitterRect(column, row);
            p.drawRoundedRect(patch, patch.width() / 5, patch.width() / 5);
        }
    paintAlong(p, outline.left(), outline.right(), kAlong / 2.0 - 1, length_->geometry());
    paintAcross(p, kAcross / 2.0, outline.top(), outline.bottom(), width_->geometry());
    p.setPen(c.muted);
    p.setFont(houseFont(11));
    const auto label = [&](const QLineEdit* field, const QString& words) {
        const QRect at = field->geometry();
        p.drawText(QRect(at.left() - 20, at.top() - kLabelHeight, at.width() + 40, kLabelHeight),
                   Qt::AlignCenter, words);
    };
    label(count_, tr("emitters"));
    label(spacing_, tr("apart"));
    label(size_, tr("each wide"));
}

void FixtureDrawing::resizeEvent(QResizeEvent* /*event*/) {
    const QRectF area = QRectF(rect()).adjusted(kAcross, kAlong, -8, -kBelow);
    place(length_, {area.center().x(), kAlong / 2.0 - 1});
    place(width_, {kAcross / 2.0, area.center().y()});
    const double y = height() - 13;
    const double middle = width() / 2.0 - 2;
    place(spacing_, {middle, y});
    place(count_, {middle - 100, y});
    place(size_, {middle + 104, y});
}

}  // namespace glumet
