#pragma once

#include <QPainter>
#include <QString>
#include <vector>

#include "core/dose/day.h"
#include "report/palette.h"

namespace glumet {

/// The light of a day at one place: what schedules give, lights stacked, and what a logger saw over it.
struct DayFigure {
    std::vector<DayCurve> lights;  ///< each by itself, on the same hours; stacked from the bottom
    QStringList names;
    std::vector<DayCurve> logged;  ///< dots and a line
    std::vector<DaySpan> short_peaks;
    double plateau = 0.0;  ///< a level line; 0: none
    QString empty;
};

void paintDay(QPainter& painter, const QRectF& area, const DayFigure& figure, const Palette& palette);

}  // namespace glumet
