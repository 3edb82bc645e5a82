#pragma once

#include <QRectF>

#include "desk/array/array_light.h"

namespace glumet {

/// The two pictures of an array.
enum class ArrayPart { Side, Plan };

/// Places the side view or the plan in a rectangle, to scale.
class ArrayGeometry {
  public:
    /// `air_mm`: how much is shown above the water, from the side.
    ArrayGeometry(const QSizeF& area, const ArrayLight& light, ArrayPart part, double air_mm);
    /// Enough air for fixtures at this height, in steps, so that small moves do not change the scale.
    static double airFor(Millimetre height);

    double pixelsPerMm() const { return scale_; }
    QRectF tank() const { return tank_; }  ///< from above with its back on top, or the water from the side
    double x(double x_mm) const { return tank_.left() + x_mm * scale_; }
    double yInPlan(double y_mm) const { return tank_.bottom() - y_mm * scale_; }
    double yOfHeight(double height_mm) const { return tank_.top() - height_mm * scale_; }
    double yOfDepth(double depth_mm) const { return tank_.top() + depth_mm * scale_; }
    double mmAlongX(double x) const { return (x - tank_.left()) / scale_; }
    double mmAlongY(double y) const { return (tank_.bottom() - y) / scale_; }
    /// Outlines of a fixture from above and from the side.
    QRectF fromAbove(std::size_t fixture) const;
    QRectF fromSide(std::size_t fixture) const;

  private:
    const ArrayLight& light_;
    double scale_ = 1.0;
    QRectF tank_;
};

}  // namespace glumet
