#pragma once

#include <QPainter>
#include <optional>

#include "core/words/wording.h"
#include "desk/array/array_geometry.h"
#include "report/palette.h"

namespace glumet {

/// What is marked besides the light.
struct ArrayMarks {
    bool active = false;  ///< focus, or something is held
    LengthUnit unit = LengthUnit::Cm;
    std::optional<Millimetre> recommended_low;  ///< of the mounting height
    std::optional<Millimetre> recommended_high;
};

/// From above: light with its values, walls, obstacles, fixtures.
void paintArrayPlan(QPainter& painter, const ArrayGeometry& at, const ArrayLight& light,
                    const ArrayMarks& marks, const Palette& palette);
/// From the side: light in the upright plane along the middle, fixtures with their height and the recommended
/// range, the plan's depth; what each judged depth gets below it, within `area`.
void paintArraySide(QPainter& painter, const QRectF& area, const ArrayGeometry& at, const ArrayLight& light,
                    const ArrayMarks& marks, const Palette& palette);

}  // namespace glumet
