#include "core/verdicts/spill_limit.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <map>

#include "core/base/interval.h"
#include "core/base/monotone_cubic.h"
#include "core/bench/grid.h"
#include "core/survey/repeatability.h"

namespace glumet {
namespace {

constexpr double kGapInSteps = 2.5;
constexpr double kGapMm = 60.0;
/// A rise smaller than this share of the mean is never called a rise, however small the stated errors.
constexpr double kSmallestRise = 0.01;

/// One height under consideration, before losses are known.
struct SpillLevel {
    Id run;
    Millimetre height;
    const Plane* plane;
    PlaneStatistics statistics;
    double relative_error = 0.0;  ///< of the grid mean: ripple, then placing
};

/// The shallowest depth among those measured at the greatest number of heights.
std::optional<Millimetre> sharedShallowDepth(const Bench& bench, const Sweep& sweep) {
    std::optional<Millimetre> best;
    std::size_t most = 0;
    for (const auto depth : depthsOf(bench, sweep)) {
        std::size_t heights = 0;
        for (const auto index : sweep.runs) {
            const auto* plane = planeAt(bench.run(index), depth);
            if (plane != nullptr && planeStatistics(*plane)) ++heights;
        }
        if (heights > most) {
            most = heights;
            best = depth;
        }
    }
    return best;
}

bool samePoints(const Plane& a, const Plane& b) {
    const auto points = [](const Plane& plane) {
        std::vector<std::pair<long, long>> places;
        for (const auto& reading : plane.readings)
            if (reading.counts())
                places.emplace_back(std::lround(reading.x.value()), std::lround(reading.y.value()));
        std::sort(places.begin(), places.end());
        return places;
    };
    return points(a) == points(b);
}

/// Standard error of the grid mean from ripple alone, as a share of the mean. Counts the readings for
/// which `assumed` had to stand in.
double rippleError(const Plane& plane, double mean, double assumed, double repeatability,
                   int& assumed_count) {
    double variance = 0.0;
    int n = 0;
    for (const auto& reading : plane.readings) {
        if (!reading.counts()) continue;
        const auto own = reading.relativeStandardError();
        if (!own) ++assumed_count;
        // Repeats show ripple and placing together, so they stand for the smaller of the two.
        const double error = std::max(own.value_or(assumed), repeatability) * reading.mean.value();
        variance += error * error;
        ++n;
    }
    return std::sqrt(variance) / n / mean;
}

class SpillJudge {
  public:
    SpillJudge(const Bench& bench, const Sweep& sweep, const SpillLimitOptions& options)
        : bench_(bench), sweep_(sweep), options_(options) {
        verdict_.asked = options;
    }

    SpillLimitVerdict run() {
        if (const auto wrong = options_.invalid()) {
            verdict_.failed = true;
            return refuse(say("{}: {}", wrong->where, wrong->what));
        }
        verdict_.depth_used = options_.depth ? options_.depth : sharedShallowDepth(bench_, sweep_);
        if (!verdict_.depth_used)
            return refuse(say(GLUMET_SAY("Core", "There are no readings to judge by.")));
        collectLevels();
        keepLatestOfEachHeight();
        dropUnequalGrids();
        if (levels_.size() < 2) return refuse(tooFewSentence());
        if (levels_.front().statistics.mean.value() <= 0.0)
            return refuse(
                say(GLUMET_SAY("Core", "The readings at {} carry no light."), levels_.front().height));
        estimateErrors();
        fillEvidence();
        if (const auto rise = risingStep()) return refuse(*rise);
        decide();
        return verdict_;
    }

  private:
    SpillLimitVerdict refuse(Words why) {
        verdict_.height.reset();
        verdict_.reason = std::move(why);
        return verdict_;
    }

    void collectLevels() {
        std::vector<Millimetre> missing;
        for (const auto index : sweep_.runs) {
            const auto& run = bench_.run(index);
            const auto* plane = planeAt(run, *verdict_.depth_used);
            const auto statistics =
                plane == nullptr ? Expected<PlaneStatistics>(problem("", {})) : planeStatistics(*plane);
            if (statistics)
                levels_.push_back({index, run.height, plane, *statistics});
            else
                missing.push_back(run.height);
        }
        if (!missing.empty())
            verdict_.doubts.push_back(
                say(GLUMET_SAY("Core", "Nothing was read {} under water at {}: left out."),
                    *verdict_.depth_used, missing));
    }

    void keepLatestOfEachHeight() {
        std::vector<SpillLevel> kept;
        std::vector<Millimetre> repeated;
        for (auto& level : levels_) {
            const bool same =
                !kept.empty() && std::abs((kept.back().height - level.height).value()) <= kSamePointMm;
            if (same) {
                repeated.push_back(level.height);
                kept.back() = level;
            } else {
                kept.push_back(level);
            }
        }
        levels_ = std::move(kept);
        if (!repeated.empty())
            verdict_.doubts.push_back(
                say(GLUMET_SAY("Core", "Measured more than once at {}: the latest run counts."), repeated));
    }

    void dropUnequalGrids() {
        if (levels_.empty()) return;
        const Plane& reference = *levels_.front().plane;
        std::vector<Millimetre> unequal;
        std::erase_if(levels_, [&](const SpillLevel& level) {
            if (samePoints(reference, *level.plane)) return false;
            unequal.push_back(level.height);
            return true;
        });
        if (!unequal.empty())
            verdict_.doubts.push_back(say(GLUMET_SAY("Core",
                                                     "The points at {} are not those read at {}, so their "
                                                     "means cannot be compared: left out."),
                                          unequal, levels_.front().height));
    }

    Words tooFewSentence() const {
        const auto depth = *verdict_.depth_used;
        Words sentence = levels_.empty() ? say(GLUMET_SAY("Core",
                                                          "A sweep needs the same points at two heights or "
                                                          "more, {} under water; there is none."),
                                               depth)
                                         : say(GLUMET_SAY("Core",
                                                          "A sweep needs the same points at two heights or "
                                                          "more, {} under water; there is one, at {}."),
                                               depth, levels_.front().height);
        for (const auto& doubt : verdict_.doubts) sentence += doubt;
        return sentence;
    }

    /// Ripple of the readings plus what a misplaced height does to the mean, which falls about as fast
    /// as it does between the neighbouring heights.
    void estimateErrors() {
        for (std::size_t i = 0; i < levels_.size(); ++i) {
            auto& level = levels_[i];
            const double ripple =
                rippleError(*level.plane, level.statistics.mean.value(), options_.assumed_relative_error,
                            options_.repeatability, verdict_.readings_assumed);
            const auto& before = levels_[i == 0 ? 0 : i - 1];
            const auto& after = levels_[std::min(i + 1, levels_.size() - 1)];
            const double slope = (after.statistics.mean.value() - before.statistics.mean.value()) /
                                 (after.height - before.height).value();
            const double placing = slope * options_.height_error.value() / level.statistics.mean.value();
            level.relative_error = std::hypot(ripple, placing, options_.drift / std::sqrt(3.0));
        }
    }

    void fillEvidence() {
        const double base = levels_.front().statistics.mean.value();
        const double base_error = levels_.front().relative_error;
        for (const auto& level : levels_) {
            SpillEvidence row;
            row.run = level.run;
            row.height = level.height;
            row.grid_mean = level.statistics.mean;
            row.peak = level.statistics.max;
            const double kept = level.statistics.mean.value() / base;
            row.loss = 1.0 - kept;
            if (&level != &levels_.front())
                row.loss_error = kept * std::hypot(level.relative_error, base_error);
            row.within = row.loss <= options_.limit;
            if (!level.statistics.ring_means.empty()) {
                row.outer = level.statistics.ring_means.front();
                row.centre = level.statistics.ring_means.back();
            }
            verdict_.evidence.push_back(row);
        }
    }

    std::optional<Words> risingStep() const {
        for (std::size_t i = 1; i < levels_.size(); ++i) {
            const auto& below = levels_[i - 1];
            const auto& here = levels_[i];
            const double rise = here.statistics.mean / below.statistics.mean - 1.0;
            const double allowed =
                std::max(kSmallestRise, kInterval95 * std::hypot(here.relative_error, below.relative_error));
            if (rise > allowed)
                return say(GLUMET_SAY("Core",
                                      "The mean rises by {} from {} to {}, which raising a fixture cannot "
                                      "do: one of the two was not what it says. Read both again."),
                           Share{rise}, below.height, here.height);
        }
        return std::nullopt;
    }

    void decide() {
        const auto& rows = verdict_.evidence;
        const auto beyond =
            std::find_if(rows.begin(), rows.end(), [](const SpillEvidence& row) { return !row.within; });
        verdict_.height = (beyond - 1)->height;  // the lowest height loses nothing, so it is always within
        if (beyond == rows.end()) {
            verdict_.reason =
                say(GLUMET_SAY("Core",
                               "At {}, the highest read, {} of the light at {} is lost: the limit of {} is "
                               "not reached. Read higher."),
                    rows.back().height, Share{rows.back().loss}, rows.front().height, Share{options_.limit});
            return;
        }
        verdict_.next_height = beyond->height;
        findCrossing(static_cast<std::size_t>(beyond - rows.begin()));
        verdict_.reason = spokenSentence(*(beyond - 1), *beyond);
    }

    Words spokenSentence(const SpillEvidence& last, const SpillEvidence& next) const {
        const auto depth = *verdict_.depth_used;
        Words words =
            &last == &verdict_.evidence.front()
                ? say(GLUMET_SAY(
                          "Core",
                          "Already the first step up, to {}, loses {} of the grid mean {} under water."),
                      next.height, Share{next.loss}, depth)
                : say(GLUMET_SAY("Core",
                                 "{} loses {} of what {} gives {} under water; the next step, {}, loses {}."),
                      last.height, Share{std::max(last.loss, 0.0)}, verdict_.evidence.front().height, depth,
                      next.height, Share{next.loss});
        if (verdict_.crossing)
            words += say(GLUMET_SAY("Core", "The limit of {} is met at {}."), Share{options_.limit},
                         *verdict_.crossing);
        return words;
    }

    /// Crossing of the interpolated loss for given relative changes of each level's mean.
    std::optional<double> crossingOf(const std::vector<double>& relative_change) const {
        std::vector<double> heights;
        std::vector<double> losses;
        const double base = levels_.front().statistics.mean.value() * (1.0 + relative_change.front());
        for (std::size_t i = 0; i < levels_.size(); ++i) {
            heights.push_back(levels_[i].height.value());
            losses.push_back(1.0 - levels_[i].statistics.mean.value() * (1.0 + relative_change[i]) / base);
        }
        return MonotoneCubic(heights, losses).firstReaches(options_.limit);
    }

    void findCrossing(std::size_t beyond) {
        if (isGap(beyond)) {
            verdict_.doubts.push_back(say(GLUMET_SAY("Core",
                                                     "The limit is met somewhere between {} and {}, a gap in "
                                                     "the sweep: read a height in between."),
                                          levels_[beyond - 1].height, levels_[beyond].height));
            return;
        }
        std::vector<double> unchanged(levels_.size(), 0.0);
        const auto crossing = crossingOf(unchanged);
        if (!crossing) return;
        verdict_.crossing = Millimetre(*crossing);
        addInterval(*crossing);
    }

    bool isGap(std::size_t beyond) const {
        std::vector<double> steps;
        for (std::size_t i = 1; i < levels_.size(); ++i)
            steps.push_back((levels_[i].height - levels_[i - 1].height).value());
        const double here = steps[beyond - 1];
        std::sort(steps.begin(), steps.end());
        const double usual = steps[(steps.size() - 1) / 2];
        return here > kGapInSteps * usual && here > kGapMm;
    }

    /// 95 % interval: each level's mean moved by one standard error up and down, the shifts of the
    /// crossing added in quadrature. A shift that leaves the measured heights leaves that end open.
    void addInterval(double crossing) {
        double up = 0.0;
        double down = 0.0;
        bool open_above = false;
        for (std::size_t i = 0; i < levels_.size(); ++i) {
            for (const double sign : {-1.0, 1.0}) {
                std::vector<double> change(levels_.size(), 0.0);
                change[i] = sign * levels_[i].relative_error;
                const auto moved = crossingOf(change);
                if (!moved) {
                    open_above = true;
                    continue;
                }
                const double shift = *moved - crossing;
                (shift > 0 ? up : down) += shift * shift;
            }
        }
        verdict_.low =
            Millimetre(std::max(crossing - kInterval95 * std::sqrt(down), levels_.front().height.value()));
        const double high = crossing + kInterval95 * std::sqrt(up);
        if (!open_above && high <= levels_.back().height.value()) verdict_.high = Millimetre(high);
    }

    const Bench& bench_;
    const Sweep& sweep_;
    const SpillLimitOptions& options_;
    std::vector<SpillLevel> levels_;
    SpillLimitVerdict verdict_;
};

}  // namespace

std::optional<Problem> SpillLimitOptions::invalid() const {
    if (!(limit > 0.0 && limit < 1.0))
        return Problem{"limit", say(GLUMET_SAY("Core", "must lie between 0 and 1, is {}"), Figure{limit})};
    if (depth && !(depth->value() >= 0.0))
        return Problem{"depth",
                       say(GLUMET_SAY("Core", "must be 0 mm or more, is {}"), Figure{depth->value()})};
    if (!(height_error.value() >= 0.0))
        return Problem{"height_error",
                       say(GLUMET_SAY("Core", "must be 0 mm or more, is {}"), Figure{height_error.value()})};
    if (!(assumed_relative_error >= 0.0))
        return Problem{"assumed_relative_error",
                       say(GLUMET_SAY("Core", "must be 0 or more, is {}"), Figure{assumed_relative_error})};
    if (!(repeatability >= 0.0))
        return Problem{"repeatability",
                       say(GLUMET_SAY("Core", "must be 0 or more, is {}"), Figure{repeatability})};
    if (!(drift >= 0.0))
        return Problem{"drift", say(GLUMET_SAY("Core", "must be 0 or more, is {}"), Figure{drift})};
    return std::nullopt;
}

SpillLimitOptions spillLimitOptions(const Bench& bench, const Sweep& sweep) {
    constexpr int kLeastPairs = 3;
    SpillLimitOptions options;
    options.limit = bench.method.spill_limit;
    options.height_error = bench.method.height_error;
    const auto repeats = repeatabilityOf(bench, sweep.runs);
    if (repeats.pairs >= kLeastPairs) options.repeatability = repeats.relative_sd;
    if (repeats.drifts()) options.drift = repeats.largest_change;
    return options;
}

SpillLimitVerdict spillLimit(const Bench& bench, const Sweep& sweep, const SpillLimitOptions& options) {
    return SpillJudge(bench, sweep, options).run();
}

}  // namespace glumet
