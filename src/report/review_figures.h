#pragma once

#include "report/chart_figure.h"
#include "report/review.h"

namespace glumet {

/// Loss of the grid mean against mounting height, %, with limit and crossing; heights in the review's unit.
ChartData lossChart(const Review& review, const Palette& palette);
/// Centre, grid mean and outer ring against mounting height, µmol·m⁻²·s⁻¹.
ChartData spreadChart(const Review& review, const Palette& palette);

/// A length as a number in the unit of the words: 25.4 for 254 mm in cm, 10 in inches.
double inUnit(Millimetre length, LengthUnit unit);

/// The maps of the shown run side by side, each with its depth and mean, on one field scale.
void paintMaps(QPainter& painter, const QRectF& area, const Review& review, const Palette& palette);

/// The section with the recommendation at true scale.
void paintReviewSection(QPainter& painter, const QRectF& area, const Review& review, const Palette& palette);

}  // namespace glumet
