#include "desk/bench/tank_drawing.h"

#include <QMenu>
#include <QMouseEvent>
#include <QPainter>

#include "report/palette.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kAbove = 16;
constexpr int kRight = 86;  // for the water's depth
constexpr double kGrip = 11.0;

}  // namespace

QStringList wallKindNames() {
    return {TankDrawing::tr("clear glass"), TankDrawing::tr("acrylic"),
            TankDrawing::tr("painted or covered")};
}

TankDrawing::TankDrawing(Session& session, FormColumn& form, Shown shown, Hung hung, Keep keep)
    : BenchDrawing(session),
      shown_(std::move(shown)),
      hung_(std::move(hung)),
      keep_(std::move(keep)),
      length_(take(form.lift(QStringLiteral("tank_length_mm")), 84)),
      width_(take(form.lift(QStringLiteral("tank_width_mm")), 80)),
      depth_(take(form.lift(QStringLiteral("tank_water_depth_mm")), 80)) {
    setAccessibleName(tr("The tank in plan"));
    setMouseTracking(true);
}

QRectF TankDrawing::basin() const {
    const auto& tank = shown_();
    return fitted(QRectF(rect()).adjusted(kAcross + 6, kAbove, -kRight, -kAlong - 6), tank.length.value(),
                  tank.width.value());
}

QRectF TankDrawing::wallRect(Side side) const {
    const QRectF b = basin();
    switch (side) {
        case Side::Left:
            return {b.left() - kGrip, b.top(), 2 * kGrip, b.height()};
        case Side::Right:
            return {b.right() - kGrip, b.top(), 2 * kGrip, b.height()};
        case Side::Front:
            return {b.left(), b.bottom() - kGrip, b.width(), 2 * kGrip};
        case Side::Back:
            return {b.left(), b.top() - kGrip, b.width(), 2 * kGrip};
    }
    return {};
}

std::optional<Side> TankDrawing::wallAt(const QPointF& point) const {
    for (const auto side : kSides)
        if (wallRect(side).contains(point)) return side;
    return std::nullopt;
}

void TankDrawing::offerKinds(Side side, const QPoint& at) {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setObjectName(QStringLiteral("wallKinds"));
    const auto names = wallKindNames();
    for (int i = 0; i < names.size(); ++i) {
        auto* action = menu->addAction(names[i], this, [this, side, i] {
            Tank changed = shown_();
            changed.wall(side).kind = static_cast<WallKind>(i);
            const QString fault = keep_(changed);
            if (!fault.isEmpty()) session_.warn(fault);
        });
        action->setCheckable(true);
        action->setChecked(static_cast<int>(shown_().wall(side).kind) == i);
    }
    menu->popup(at);
}

void TankDrawing::mousePressEvent(QMouseEvent* event) {
    if (const auto side = wallAt(event->position())) offerKinds(*side, event->globalPosition().toPoint());
}

void TankDrawing::mouseMoveEvent(QMouseEvent* event) {
    const auto side = wallAt(event->position());
    if (side == over_) return;
    over_ = side;
    over_ ? setCursor(Qt::PointingHandCursor) : unsetCursor();
    update();
}

void TankDrawing::leaveEvent(QEvent* /*event*/) {
    over_.reset();
    update();
}

/// Glass one line, acrylic two, painted a broad dull strip.
void TankDrawing::paintWall(QPainter& p, Side side) const {
    const auto& c = session_.palette();
    const QRectF b = basin();
    const auto line = [&](double out) {
        switch (side) {
            case Side::Left:
                return QLineF(b.left() - out, b.top(), b.left() - out, b.bottom());
            case Side::Right:
                return QLineF(b.right() + out, b.top(), b.right() + out, b.bottom());
            case Side::Front:
                return QLineF(b.left(), b.bottom() + out, b.right(), b.bottom() + out);
            case Side::Back:
                return QLineF(b.left(), b.top() - out, b.right(), b.top() - out);
        }
        return QLineF();
    };
    const QColor glass = over_ == side ? c.accent : c.water;
    switch (shown_().wall(side).kind) {
        case WallKind::Glass:
            p.setPen(QPen(glass, 3, Qt::SolidLine, Qt::FlatCap));
            p.drawLine(line(1.5));
            break;
        case WallKind::Acrylic:
            p.setPen(QPen(glass, 1.4, Qt::SolidLine, Qt::FlatCap));
            p.drawLine(line(1));
            p.drawLine(line(4.5));
            break;
        case WallKind::Opaque:
            p.setPen(QPen(over_ == side ? c.accent : c.muted, 7, Qt::SolidLine, Qt::FlatCap));
            p.drawLine(line(3.5));
            break;
    }
}

/// Obstacles hatched, the fixture dashed in the middle.
void TankDrawing::paintThings(QPainter& p, const QRectF& water) const {
    const auto& c = session_.palette();
    const auto& tank = shown_();
    const double scale = water.width() / tank.length.value();
    const auto inPlan = [&](Millimetre x, Millimetre y) {
        return QPointF(water.left() + x.value() * scale, water.bottom() - y.value() * scale);
    };
    p.setPen(QPen(c.muted, 1));
    p.setBrush(QBrush(c.muted, Qt::BDiagPattern));
    for (const auto& o : tank.obstacles)
        p.drawRect(QRectF(inPlan(o.from_x, o.to_y), inPlan(o.to_x, o.from_y)).intersected(water));
    const auto& fixture = hung_();
    if (fixture.length.value() <= 0.0 || fixture.width.value() <= 0.0) return;
    QRectF over(0, 0, fixture.length.value() * scale, fixture.width.value() * scale);
    over.moveCenter(water.center());
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(c.text, 1.2, Qt::DashLine));
    p.drawRoundedRect(over, 3, 3);
}

void TankDrawing::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = session_.palette();
    const QRectF water = basin();
    if (shown_().id == 0) {
        // None is described: the usual cube, as the guess it is.
        p.setPen(QPen(c.muted, 1.4, Qt::DashLine));
        p.drawRect(water);
    } else {
        p.fillRect(water, c.basin);
        paintThings(p, water);
        for (const auto side : kSides) paintWall(p, side);
    }
    const std::array names{tr("glass"), tr("acrylic"), tr("painted")};
    p.setFont(houseFont(11));
    p.setPen(c.muted);
    const auto named = [&](const QString& side, Side of) {
        return QStringLiteral("%1, %2").arg(side, names[static_cast<std::size_t>(shown_().wall(of).kind)]);
    };
    const QRectF inside = water.adjusted(4, 6, -4, -6);
    const bool known = shown_().id != 0;
    p.drawText(inside, Qt::AlignTop | Qt::AlignHCenter, known ? named(tr("back"), Side::Back) : tr("back"));
    p.drawText(inside, Qt::AlignBottom | Qt::AlignHCenter,
               known ? named(tr("front"), Side::Front) : tr("front"));
    if (!known) p.drawText(inside, Qt::AlignCenter | Qt::TextWordWrap, tr("a usual cube,\nuntil you say"));
    paintAlong(p, water.left(), water.right(), height() - kAlong / 2.0, length_->geometry());
    paintAcross(p, kAcross / 2.0, water.top(), water.bottom(), width_->geometry());
    const QRect deep = depth_->geometry();
    p.drawText(QRect(deep.left() - 4, deep.top() - 16, deep.width() + 8, 15), Qt::AlignCenter,
               tr("water deep"));
}

void TankDrawing::resizeEvent(QResizeEvent* /*event*/) {
    const QRectF area = QRectF(rect()).adjusted(kAcross + 6, kAbove, -kRight, -kAlong - 6);
    place(length_, {area.center().x(), height() - kAlong / 2.0});
    place(width_, {kAcross / 2.0, area.center().y()});
    place(depth_, {width() - kRight / 2.0 + 4, area.center().y() + 6});
}

}  // namespace glumet
