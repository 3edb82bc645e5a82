#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/bench/sweep.h"
#include "core/fit/fit_of.h"

namespace glumet {

/// A value at a place of a compared plane.
struct ComparedPoint {
    double x_mm = 0.0;
    double y_mm = 0.0;
    double ppfd = 0.0;   ///< µmol·m⁻²·s⁻¹
    double swing = 0.0;  ///< (max − min)/mean of its samples; 0: not recorded
};

/// A plane as it is compared: read there, or as a fit has it.
struct ComparedPlane {
    Millimetre depth{0};
    std::optional<Grid> grid;           ///< that the points fill, row by row; nothing: free points
    std::vector<ComparedPoint> points;  ///< in the order of the grid's cells, where it has one
    double point_error = 0.03;          ///< relative standard error of each by itself
    double common_error = 0.0;          ///< … and of all together: what a fit leaves open
    double height_slope = 0.0;          ///< change of ln PPFD with the mounting height, 1/mm; 0: not known
    /// The points as a fit leaves them possible, draw by draw; empty where they were read. Besides, all of a
    /// draw are in doubt together by `drawn_error`, and each by point_error: what the readings hold and the
    /// fit does not.
    std::vector<std::vector<double>> draws = {};
    double drawn_error = 0.0;

    double mean() const;
};

/// What a contender's values are.
enum class LightBasis {
    Read,      ///< at this height, in this tank
    Modelled,  ///< as its fit has it at this height, or in this tank
    Charted,   ///< as a fit to means that others published has it
};

/// One configuration at one height over one tank, ready to be compared.
struct Contender {
    Configuration configuration;
    std::string name;
    std::vector<Id> runs;
    Id run = 0;   ///< whose conditions speak: the one at that height, else the nearest
    Id tank = 0;  ///< over which it is compared
    Millimetre height{0};
    bool own_height = true;  ///< recommended for it; false: the same for all
    LightBasis basis = LightBasis::Read;
    std::vector<ComparedPlane> planes;  ///< ascending depth; empty: nothing to compare, see `missing`
    Words missing;
    double level = 1.0;           ///< it was read at; values are brought to full level
    double dark = 0.0;            ///< other light that was taken off, µmol·m⁻²·s⁻¹
    std::optional<Watt> power;    ///< at full level
    bool power_is_rated = false;  ///< nobody read it
    double meter_error = 0.05;    ///< relative, of its meter
    double height_error_mm = 2.5;

    bool speaks() const { return !planes.empty(); }
};

/// At which heights and where contenders are compared.
struct ComparePlace {
    Id tank = 0;                              ///< 0: the one that most configurations were read in
    std::optional<Millimetre> height;         ///< of all; nothing: each at the height its school recommends
    bool keep_levels = false;                 ///< levels differ on purpose: values stay as they were read
    std::optional<HeightSchool> school = {};  ///< whose height; nothing: the project's
};

/// The sweeps that are compared: one fixture hung, not a channel by itself, something read.
std::vector<const Sweep*> comparedSweeps(const Bench& bench, const std::vector<Sweep>& sweeps);

/// The tank that most of them were read in; 0 without one.
Id commonTank(const std::vector<const Sweep*>& sweeps);

/// Names that tell contenders apart: the fixture, and of the rest what others of that fixture do not share;
/// accessory, age and reader always.
void nameApart(const Bench& bench, std::vector<Contender>& contenders);

/// The height of a sweep that a school recommends, else the spill limit's, else the middle one of those read.
Millimetre ownHeight(const Bench& bench, const Sweep& sweep, HeightSchool school);

/// Lays one sweep out at that place. What was read there is taken as it is: dark reading taken off where it
/// is more than a hundredth, brought to full level. Else the fit speaks, on `like`'s grid and depths (its
/// points and planes; none: cells of about 100 mm at 27, 54 and 80 % of the water).
///
/// The error of a single reading is what repeats showed (six or more), else its own standard error or 3 %,
/// with a probe placed 4 mm off in the plane's slope.
Contender contenderOf(const Bench& bench, const Sweep& sweep, const ComparePlace& place, const FitResult* fit,
                      const Contender* like = nullptr);

/// All of them at one place, in the order of their first runs.
std::vector<Contender> contendersOf(const Bench& bench, const std::vector<Sweep>& sweeps,
                                    const ComparePlace& place, const FitOf& fit_of);

}  // namespace glumet
