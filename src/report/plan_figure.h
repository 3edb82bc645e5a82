#pragma once

#include <QPainter>
#include <QRectF>
#include <array>
#include <optional>
#include <vector>

#include "core/base/value.h"
#include "core/bench/grid.h"
#include "core/plane/plane_statistics.h"
#include "report/palette.h"

namespace glumet {

/// Where each cell of a plane stands in a rectangle, at true scale: the tank seen from above, front below.
class PlanLayout {
  public:
    /// Fits the footprint into `area`, keeping its proportions, at the top. Lengths > 0.
    PlanLayout(const QRectF& area, Millimetre length, Millimetre width);

    const QRectF& footprint() const { return footprint_; }
    double pixelsPerMm() const { return scale_; }
    QPointF at(double x_mm, double y_mm) const;
    /// From half way to the neighbour below to half way to the one above; outer cells as wide as inner ones.
    QRectF cell(const Grid& grid, Cell cell) const;
    std::optional<Cell> cellUnder(const Grid& grid, const QPointF& point) const;

  private:
    QRectF footprint_;
    double scale_ = 1.0;
};

/// What a plan shows.
struct PlanData {
    GLUMET_VALUE(PlanData);

    Millimetre length{600};
    Millimetre width{600};
    std::optional<std::array<Wall, 4>> walls;
    Grid grid;
    std::vector<std::optional<Ppfd>> values;  ///< row by row from the front; grid.cells() of them
    /// What a cell shows instead of its value: text on a ground of its own.
    struct Face {
        QString text;
        QColor ground;
    };
    std::vector<Face> faces;  ///< as values; empty: the values in the field scale
    /// A mean over a ring of the grid, or over all of it: one ground, and one figure that stands for all.
    struct Ring {
        int number = 0;  ///< 0 is the outermost; −1 all points
        int points = 0;
        Ppfd mean{0};
        std::optional<Face> face;  ///< instead of its value
    };
    std::vector<Ring> rings;           ///< from outside inward; drawn where there are no values
    std::vector<Reading> free_points;  ///< for a plane without a grid
    std::optional<Band> band;
    double scale_top = 1.0;  ///< PPFD of the cream end
    std::vector<Cell> doubtful;
    std::optional<Cell> selected;
    std::optional<Cell> next;
    double next_progress = -1.0;  ///< 0–1 draws a ring at the next point
    bool route = false;           ///< dotted way through the cells that are left
    std::vector<Cell> way;        ///< that way, whole; empty: the serpentine
    bool numbers = false;         ///< cells without a value carry their place on the way
    std::vector<Obstacle> obstacles;
    std::vector<double> contour_levels;
    std::optional<QRectF> body_mm;  ///< the fixture's outline over the tank
};

/// The plan of one plane: its grid or the lattice its points fill, its values.
PlanData planOf(const Bench& bench, const Run& run, const Plane& plane);

/// Paints walls, cells, values, marks, route and contours. `names` leaves room for column and row names.
void paintPlan(QPainter& painter, const QRectF& area, const PlanData& plan, const Palette& palette,
               bool names);

/// The layout paintPlan uses for the same arguments, for finding what is under the mouse.
PlanLayout planLayout(const QRectF& area, const PlanData& plan, bool names);

/// Only the coloured cells, without text: for sheets of many planes.
void paintSmallPlan(QPainter& painter, const QRectF& area, const PlanData& plan, const Palette& palette);

/// Faces of a plane's readings against a model: how far above or below in percent, neutral where they agree.
/// A cell without a reading has an empty face.
std::vector<PlanData::Face> differenceFaces(const std::vector<std::optional<Ppfd>>& readings,
                                            const std::vector<Ppfd>& model, const Palette& palette);

/// The same of the means of a plane's rings.
void showRingDifferences(PlanData& plan, const std::vector<Ppfd>& model, const Palette& palette);

/// A PPFD that the brightest fiftieth of a sweep's readings exceed, rounded up to two figures: the top of
/// one field scale for all its planes.
double scaleTop(const Bench& bench, const std::vector<Id>& runs);

}  // namespace glumet
