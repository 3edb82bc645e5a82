#pragma once

#include <QByteArray>
#include <QPainter>
#include <QString>
#include <functional>
#include <vector>

#include "report/review.h"

namespace glumet {

/// A figure of a review that stands alone.
struct ReviewFigure {
    QString name;  ///< of its files
    QString caption;
    QSize size;
    std::function<void(QPainter&)> paint;
};

/// All of a review's figures: maps, section, and the charts where there are two heights. They refer to the
/// review, which must outlive them.
std::vector<ReviewFigure> figuresOf(const Review& review);
QByteArray svgOf(const ReviewFigure& figure);
/// Twice as fine as its size.
QByteArray pngOf(const ReviewFigure& figure);

}  // namespace glumet
