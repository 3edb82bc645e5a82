#pragma once

#include <array>
#include <string>
#include <vector>

#include "core/base/sentence.h"
#include "core/bench/goal.h"
#include "core/verdicts/verdict_status.h"

namespace glumet {

/// A level and how much it matters.
struct BestLevel {
    double level_pct = 100.0;
    double share = 0.0;  ///< of the points in the band
    /// Levels next to it, without a gap, that lose no more than 2 points of that share.
    double plateau_low_pct = 100.0;
    double plateau_high_pct = 100.0;
};

/// The level from 1 to 100 % that puts most of these values (at full level) into the band; the middle of the
/// best where several are equal.
BestLevel bestLevel(const std::vector<double>& values, const Band& band);

/// Share of these values (at full level) in the band at 0, 1 … 100 %.
std::array<double, 101> sharesByLevel(const std::vector<double>& values, const Band& band);

/// Light to be judged, at full output, PPFD in µmol·m⁻²·s⁻¹.
struct LitPoints {
    std::vector<double> values;  ///< over the zone that counts
    std::vector<double> lowest;  ///< at the zone's lower end, for a floor; may be empty
};

/// What is judged of a goal.
enum class Over { Points, Volume };  ///< three planes as one would read them, or the zone's whole volume
/// Depths at which a goal is judged in water of this depth: 27, 54 and 80 % of its zone, or eight slices.
std::vector<Millimetre> judgedDepths(const Goal& goal, Millimetre water_depth, Over over);
/// Where its floor is judged: the zone's lower end.
Millimetre floorDepth(const Goal& goal, Millimetre water_depth);

/// The level that serves a goal best. Starts as "nothing reaches it".
struct GoalLevel {
    Goal asked;
    std::size_t used = 0;    ///< values judged
    BestLevel best;          ///< the value, and as its interval the levels that do about as well
    double five_less = 0.0;  ///< share at 5 percentage points less
    double five_more = 0.0;
    double peak = 0.0;       ///< at that level
    double least_low = 0.0;  ///< least at the zone's lower end, at that level
    bool ceiling_holds = true;
    bool floor_holds = true;
    Words reason;

    bool keeps() const { return ceiling_holds && floor_holds; }
    VerdictStatus status() const { return statusOf(used, best.share); }
};

/// Levels that keep ceiling and floor come first; among them the one with most values in the band. Where none
/// keeps both, the best share is taken and what is broken is said. Fails without values.
GoalLevel goalLevel(const LitPoints& points, const Goal& goal);

/// What one channel is to give where the mix is judged: neither less nor more at a point.
struct ChannelBand {
    std::string channel;  ///< by its name
    Band band;

    bool operator==(const ChannelBand&) const = default;
};

/// Levels of several channels, one LitPoints each, that together put most points into the band; a channel
/// with a band of its own must be within it there too. Light adds up. From the best equal level, and from the
/// best of a coarse lattice (10 %; 25 % for four or five channels), each channel in turn is set to its best
/// whole per cent until none helps.
struct ChannelMix {
    Goal asked;
    std::size_t used = 0;  ///< values judged of each channel
    std::vector<std::string> names;
    std::vector<double> level_pct;
    /// Of each channel, the others left as they are: levels next to its own that keep what the mix keeps and
    /// lose no more than 2 points of the share.
    std::vector<double> low_pct;
    std::vector<double> high_pct;
    double share = 0.0;
    double equal_share = 0.0;  ///< what the best equal level of all reaches
    Words reason;

    VerdictStatus status() const { return statusOf(used, share); }
};
ChannelMix channelMix(const std::vector<std::string>& names, const std::vector<LitPoints>& channels,
                      const Goal& goal, const std::vector<ChannelBand>& own = {});

/// Two goals in one tank under one level, each in its own zone.
struct SharedLevel {
    struct Part {
        Goal asked;
        std::size_t used = 0;          ///< values judged
        double share = 0.0;            ///< at the common level
        double alone_share = 0.0;      ///< at its own best level …
        double alone_level_pct = 0.0;  ///< … which is this
    };
    double level_pct = 100.0;
    double low_pct = 100.0;  ///< levels next to it at which the least served loses no more than 2 points
    double high_pct = 100.0;
    std::vector<Part> parts;
    Words reason;

    /// Silent where one of the goals gets nothing at any common level.
    VerdictStatus status() const;
};
/// The level whose least served goal is served best.
SharedLevel sharedLevel(const std::vector<Goal>& goals, const std::vector<LitPoints>& points);

}  // namespace glumet
