#pragma once

#include <QPainter>
#include <QString>
#include <optional>
#include <vector>

#include "core/words/wording.h"
#include "report/palette.h"

namespace glumet {

/// A small x–y chart for figures on paper. Values are in the units the labels name.
struct ChartData {
    struct Series {
        QString name;
        QColor colour;
        std::vector<QPointF> points;  ///< ascending x
    };
    std::vector<Series> series;
    QString x_label;
    QString y_label;
    std::optional<double> level;  ///< a horizontal limit
    QString level_name;
    std::optional<double> mark;  ///< a vertical answer, with its band
    std::optional<double> mark_low;
    std::optional<double> mark_high;
};

/// A length as a number in the unit of the words: 25.4 for 254 mm in cm, 10 in inches.
double inUnit(Millimetre length, LengthUnit unit);

/// Round tick positions, about `count` of them, covering [low, high].
std::vector<double> roundTicks(double low, double high, int count);

void paintChart(QPainter& painter, const QRectF& area, const ChartData& chart, const Palette& palette);

}  // namespace glumet
