#pragma once

#include <QPainter>
#include <QRectF>
#include <optional>
#include <vector>

#include "core/bench/sweep.h"
#include "core/plane/contour.h"
#include "core/verdicts/height_schools.h"
#include "core/words/wording.h"
#include "report/palette.h"

namespace glumet {

enum class MarkKind { Planned, Measured, Doubtful };

/// What the section shows: the tank in side view with every mounting height above the water line and every
/// plane below it.
struct SectionData {
    Millimetre length{600};
    Millimetre water_depth{560};
    Millimetre body_length{200};
    std::vector<double> centres;  ///< of the bodies along the tank, mm
    LengthUnit unit = LengthUnit::Cm;

    struct HeightMark {
        Millimetre height{0};
        MarkKind kind = MarkKind::Planned;
    };
    struct Shelf {
        Millimetre depth{0};
        std::optional<Ppfd> mean;
        std::vector<std::pair<double, double>> profile;  ///< (x mm, PPFD) along the middle, left to right
    };
    std::vector<HeightMark> heights;   ///< ascending
    std::vector<Shelf> shelves;        ///< ascending depth
    double profile_top = 1.0;          ///< PPFD drawn as high as the room between shelves allows
    std::optional<Millimetre> height;  ///< where the fixture hangs in the picture
    std::optional<Millimetre> depth;   ///< the chosen shelf
    /// Where the modelled light crosses a PPFD, in the vertical plane along the middle: x and depth, mm.
    struct IsoLine {
        Ppfd level{0};
        std::vector<ContourSegment> segments;
    };
    std::vector<IsoLine> iso_lines;
    std::optional<Millimetre> recommended;
    std::optional<Millimetre> recommended_low;
    std::optional<Millimetre> recommended_high;
};

/// Fills the figure from a sweep; the profiles are those of the run at `height`. Heights with doubts are in
/// `doubtful_runs`; what is recommended is the school's that speaks.
SectionData sectionOf(const Bench& bench, const Sweep& sweep, std::optional<Millimetre> height,
                      std::optional<Millimetre> depth, const SchoolVerdict* headline,
                      const std::vector<Id>& doubtful_runs, LengthUnit unit);

/// Places lengths in a rectangle at one scale in both directions.
class SectionLayout {
  public:
    SectionLayout(const QRectF& area, const SectionData& data);

    double yOfHeight(Millimetre height) const { return surface_ - height.value() * scale_; }
    double yOfDepth(Millimetre depth) const { return surface_ + depth.value() * scale_; }
    double x(double x_mm) const { return left_ + x_mm * scale_; }
    double pixelsPerMm() const { return scale_; }
    double top() const { return top_; }
    /// The measured height or shelf whose mark is nearest to the point, within reach of a finger.
    std::optional<Millimetre> heightNear(const SectionData& data, const QPointF& point) const;
    std::optional<Millimetre> depthNear(const SectionData& data, const QPointF& point) const;

  private:
    double scale_ = 1.0;
    double surface_ = 0.0;
    double left_ = 0.0;
    double top_ = 0.0;
};

void paintSection(QPainter& painter, const QRectF& area, const SectionData& data, const Palette& palette);

/// One mark by its shape: planned a ring, measured a disc, doubtful a triangle.
void paintMark(QPainter& painter, const QPointF& centre, MarkKind kind, double size, const Palette& palette,
               bool chosen);

/// The recommendation's bracket at x from y_high up to y_low down.
void paintBracket(QPainter& painter, double x, double y_high, double y_low, const Palette& palette);

}  // namespace glumet
