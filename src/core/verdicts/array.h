#pragma once

#include <array>
#include <cmath>
#include <optional>
#include <stop_token>

#include "core/base/value.h"
#include "core/bench/schools.h"
#include "core/fit/light_model.h"
#include "core/light/fast_field.h"
#include "core/verdicts/array_limits.h"
#include "core/verdicts/height_schools.h"
#include "core/verdicts/verdict_status.h"

namespace glumet {

/// A fixture that hangs beside the row and does not move: another model, a strip along one side.
struct Companion {
    LightModel model;
    double x_mm = 0.0;  ///< its middle
    double y_mm = 0.0;
    double rotation_deg = 0.0;  ///< +x towards +y
    Millimetre height{200};
    double level = 1.0;  ///< against the row's; both are dimmed together

    bool operator==(const Companion&) const = default;
};

/// What the fixtures between the outermost two do as those move.
enum class InnerOnes { Stay, Spread };

/// Several fixtures of one model over a tank, in a row along its middle.
struct ArrayQuestion {
    GLUMET_VALUE(ArrayQuestion);

    LightScene tank;  ///< walls and water; fixtures are put in
    int count = 2;
    Millimetre height{200};
    RowAlong along = RowAlong::Length;
    bool turned = false;  ///< each by 90°
    InnerOnes inner = InnerOnes::Stay;
    bool symmetric = true;            ///< else seam and band fill may move each fixture by itself
    Millimetre step{5};               ///< the outermost are tried further out by so much each time
    double share = 0.75;              ///< of the edge-share school
    std::optional<Millimetre> depth;  ///< of edge share and seam; default: half the water
    int columns = 0;                  ///< of the grid; 0: cells of about 100 mm
    int rows = 0;
    Goal goal;
    Over over = Over::Points;
    ArrayLimits limits;
    std::vector<Companion> companions;
    int draws = 40;  ///< from the fit's posterior, for the intervals; 0: none are asked
    std::stop_token stop;

    std::optional<Problem> invalid() const;

    bool operator==(const ArrayQuestion&) const = default;
};

/// One step of the outermost two moving outward.
struct SpacingStep {
    std::vector<double> centres_mm;  ///< along the row
    double outward_mm = 0.0;         ///< from equal division
    double edge = 0.0;               ///< mean of the outer ring at the depth
    double centre = 0.0;             ///< mean of the innermost ring
    double share = 0.0;              ///< edge / centre
    double seam = 0.0;               ///< largest |ln(between / under)| of neighbours along the middle line
    double between = 0.0;            ///< light half way between the neighbours that differ most …
    double under = 0.0;              ///< … and under them, geometric mean, at full level
    double in_band = 0.0;      ///< share of points in the goal's band, at the best level that keeps the goal
    double level_pct = 100.0;  ///< that level
    bool keeps = true;         ///< ceiling and floor, where the goal has them
};

/// Light between lamps and under them that an eye tells apart, as a ratio.
inline constexpr double kSeenApart = 1.25;

struct SpacingVerdict {
    SpacingSchool school = SpacingSchool::EdgeShare;
    double asked = 0.0;              ///< the share of edge share; the others ask for the best there is
    std::vector<double> centres_mm;  ///< along the row; empty: it cannot be met
    double best = 0.0;               ///< the school's figure there, or the best found
    std::optional<double> low;  ///< its 95 % interval with the fixtures there, by what the fit leaves open
    std::optional<double> high;
    double level_pct = 100.0;  ///< the best level for the goal with the fixtures there
    double seam = 0.0;         ///< of the fixtures there, see SpacingStep
    double between = 0.0;
    double under = 0.0;
    std::size_t step = 0;  ///< index into the evidence, of the nearest step where it moved freely
    Words reason;

    bool speaks() const { return !centres_mm.empty(); }
    /// Neighbours with a trough or a hump between them that an eye sees: a quarter off.
    bool uneven() const { return speaks() && seam > std::log(kSeenApart); }
    VerdictStatus status() const { return speaks() ? VerdictStatus::Ready : VerdictStatus::Silent; }
};

struct SpacingAnswer {
    ArrayQuestion asked;
    LightModel used;                      ///< that the light is of
    std::vector<SpacingVerdict> schools;  ///< edge-share, smooth-seam, band-fill
    std::vector<SpacingStep> steps;       ///< as it would be measured, 5 mm apart; only what is allowed
};

/// Where to hang n fixtures: centres at (i+1)·L/(n+1) along the middle, the outermost two move outward
/// together in 5 mm steps as far as the limits let them; inner ones stay, or spread evenly between them.
///   edge share:  the first step whose outer ring reaches `share` of the innermost ring at mid depth;
///   smooth seam: the step with neither hump nor trough between neighbours (2 or more fixtures);
///   band fill:   the step with the most points, or most of the volume, in the goal's band at its best level.
/// Not symmetric: from there the last two schools move each fixture by itself as long as that helps.
/// One fixture does not move: each school judges it where it is.
/// Fails in words: a question out of range, bodies that do not fit.
Expected<SpacingAnswer> spacing(const LightModel& model, const ArrayQuestion& question);

/// The scene of a question with the fixtures at these centres, lit; companions last.
Expected<LightScene> hung(const LightModel& model, const ArrayQuestion& question,
                          const std::vector<double>& centres_mm);

/// Puts a question's row into a scene at these centres, unlit.
void hangRow(LightScene& scene, const ArrayQuestion& question, const std::vector<double>& centres_mm);

/// Cell centres of a question's grid, and the same as a list, row by row from the front.
struct ArrayPoints {
    Grid grid;
    std::vector<std::array<double, 2>> all;
};
ArrayPoints arrayPoints(const ArrayQuestion& question);

/// The values that judge a goal in a lit scene, on the question's grid.
LitPoints litPoints(FastField& field, const ArrayQuestion& question, const Goal& goal);

/// Room of the question's row.
RowRoom roomOf(const LightModel& model, const ArrayQuestion& question);

/// Equal division, moved to where the limits allow; empty where they do not fit.
std::vector<double> equallyHung(const LightModel& model, const ArrayQuestion& question);

/// A number of fixtures with its best spacing.
struct CountRow {
    int count = 0;
    RowAlong along = RowAlong::Length;
    bool turned = false;
    double share = 0.0;
    double level_pct = 100.0;
    bool keeps = true;
    std::vector<double> centres_mm;
};
/// The fewest fixtures, up to `most`, whose best spacing puts at least `goal_share` into the band and keeps
/// ceiling and floor; lengthwise, turned, and crosswise. Every number tried with its best way, which coarse
/// steps tell and the question's own then space; the last row is the answer when it reaches the share.
Expected<std::vector<CountRow>> counts(const LightModel& model, ArrayQuestion question, double goal_share,
                                       int most = 6);

}  // namespace glumet
