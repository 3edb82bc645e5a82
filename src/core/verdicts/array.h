#pragma once

#include <optional>
#include <stop_token>

#include "core/fit/light_model.h"
#include "core/verdicts/height_schools.h"

namespace glumet {

/// Several fixtures of one model over a tank, in a row along its length.
struct ArrayQuestion {
    LightScene tank;  ///< walls and water; fixtures are put in
    int count = 2;
    Millimetre height{200};
    double share = 0.75;              ///< of the edge-share school
    std::optional<Millimetre> depth;  ///< of edge share and seam; default: half the water
    int columns = 0;                  ///< of the grid; 0: cells of about 100 mm
    int rows = 0;
    Band band{Ppfd(150), Ppfd(300)};
    LengthUnit words = LengthUnit::Mm;
    std::stop_token stop;

    std::optional<Problem> invalid() const;
};

/// One step of the outermost two moving outward.
struct SpacingStep {
    double outward_mm = 0.0;   ///< from equal division
    double edge = 0.0;         ///< mean of the outer ring at the depth
    double centre = 0.0;       ///< mean of the innermost ring
    double share = 0.0;        ///< edge / centre
    double seam = 0.0;         ///< largest |ln(between / under)| of neighbours along the middle line
    double in_band = 0.0;      ///< share of points over three depths, at the best level
    double level_pct = 100.0;  ///< that level
};

struct SpacingVerdict {
    std::string school;
    std::vector<double> centres_mm;  ///< empty: it cannot be met
    double best = 0.0;               ///< the school's figure there, or the best found
    std::size_t step = 0;            ///< index into the evidence
    std::string reason = "not computed";

    bool speaks() const { return !centres_mm.empty(); }
};

struct SpacingAnswer {
    std::vector<SpacingVerdict> schools;  ///< edge-share, smooth-seam, band-fill
    std::vector<SpacingStep> steps;       ///< as it would be measured, 5 mm apart
};

/// Where to hang n fixtures: centres at (i+1)·L/(n+1) along the middle, the outermost two move outward
/// together in 5 mm steps until their bodies meet the tank's ends, inner ones stay.
///   edge share:  the first step whose outer ring reaches `share` of the innermost ring at mid depth;
///   smooth seam: the step with neither hump nor trough between neighbours (2 or more fixtures);
///   band fill:   the step with the most points in the band at its best level, over three depths.
/// One fixture does not move: each school judges it where it is.
Expected<SpacingAnswer> spacing(const LightModel& model, const ArrayQuestion& question);

/// The fewest fixtures, up to `most`, whose best spacing puts at least `goal` of the points into the band;
/// every count tried with its best share.
struct CountRow {
    int count = 0;
    double share = 0.0;
    double level_pct = 100.0;
    std::vector<double> centres_mm;
};
Expected<std::vector<CountRow>> counts(const LightModel& model, ArrayQuestion question, double goal,
                                       int most = 6);

/// The overall level that puts most points of a scene's planes into the band, and what 5 % more or less
/// costs.
struct IntensityVerdict {
    BestLevel best;
    double five_less = 0.0;  ///< share at 5 percentage points less
    double five_more = 0.0;
    std::string reason;
};
IntensityVerdict intensity(const std::vector<double>& values, const Band& band);

}  // namespace glumet
