#include "desk/array/array_geometry.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kArrayMargin = 6.0;
// For the heights on the left, the head, the means on the right, the figures below.
constexpr QMarginsF kSideMargins(66, 44, 48, 142);
constexpr double kAirOverMm = 70.0;
constexpr double kAirStepMm = 100.0;
constexpr double kBodyMm = 32.0;
constexpr double kLeastBodyMm = 40.0;

}  // namespace

double ArrayGeometry::airFor(Millimetre height) {
    return std::ceil((height.value() + kAirOverMm) / kAirStepMm) * kAirStepMm;
}

ArrayGeometry::ArrayGeometry(const QSizeF& area, const ArrayLight& light, ArrayPart part, double air_mm)
    : light_(light) {
    const auto& tank = light.tank();
    const bool side = part == ArrayPart::Side;
    const QRectF room =
        QRectF(QPointF(0, 0), area)
            .marginsRemoved(side ? kSideMargins
                                 : QMarginsF(kArrayMargin, kArrayMargin, kArrayMargin, kArrayMargin));
    const double upright = side ? air_mm + tank.water_depth_mm : tank.width_mm;
    scale_ = std::max(0.01, std::min(room.width() / tank.length_mm, room.height() / upright));
    const double left = room.left() + std::max(0.0, (room.width() - tank.length_mm * scale_) / 2.0);
    // From the side the tank stands on its figures and the fixtures hang from far above.
    const double spare = std::max(0.0, room.height() - upright * scale_);
    const double top = room.top() + (side ? spare : spare / 2.0);
    tank_ = QRectF(left, top + (side ? air_mm * scale_ : 0.0), tank.length_mm * scale_,
                   (side ? tank.water_depth_mm : tank.width_mm) * scale_);
}

QRectF ArrayGeometry::fromAbove(std::size_t fixture) const {
    const auto& q = light_.what().question;
    const auto& m = light_.what().model;
    const double along_x = std::max(kLeastBodyMm, q.turned ? m.body_width_mm : m.body_length_mm) * scale_;
    const double along_y = std::max(kLeastBodyMm, q.turned ? m.body_length_mm : m.body_width_mm) * scale_;
    const double centre = light_.centres()[fixture];
    const QPointF middle(light_.lengthwise() ? x(centre) : tank_.center().x(),
                         light_.lengthwise() ? tank_.center().y() : yInPlan(centre));
    return {middle.x() - along_x / 2, middle.y() - along_y / 2, along_x, along_y};
}

QRectF ArrayGeometry::fromSide(std::size_t fixture) const {
    const auto above = fromAbove(fixture);
    const double bottom = yOfHeight(light_.height().value());
    return {above.left(), bottom - kBodyMm * scale_, above.width(), kBodyMm * scale_};
}

}  // namespace glumet
