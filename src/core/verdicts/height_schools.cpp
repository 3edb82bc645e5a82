#include "core/verdicts/height_schools.h"

#include <algorithm>
#include <cmath>

#include "core/base/interval.h"
#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"

namespace glumet {
namespace {

constexpr double kAssumedNoise = 0.02;

/// A mounting height with its latest run; heights whose planes are incomplete are not compared.
struct ReadHeight {
    Millimetre height;
    const Run* run;
};

bool complete(const Run& run) {
    bool any = false;
    for (const auto& plane : run.planes) {
        if (plane.grid && nextCell(*plane.grid, plane.readings)) return false;
        any |= std::any_of(plane.readings.begin(), plane.readings.end(),
                           [](const Reading& r) { return r.counts(); });
    }
    return any;
}

std::vector<ReadHeight> levelsOf(const Bench& bench, const Sweep& sweep) {
    std::vector<ReadHeight> levels;
    for (const auto index : sweep.runs) {
        const auto& run = bench.run(index);
        if (!complete(run)) continue;
        if (!levels.empty() && (run.height - levels.back().height).value() <= kSamePointMm)
            levels.back() = {run.height, &run};
        else
            levels.push_back({run.height, &run});
    }
    return levels;
}

std::vector<double> valuesOf(const Run& run) {
    std::vector<double> values;
    for (const auto& plane : run.planes)
        for (const auto& reading : plane.readings)
            if (reading.counts()) values.push_back(reading.mean.value());
    return values;
}

SchoolVerdict silent(HeightSchool school, Words why) {
    SchoolVerdict out;
    out.school = school;
    out.reason = std::move(why);
    return out;
}

/// rms over the depths of ln(centre/edge), and its standard error from the readings' own.
struct Unevenness {
    double figure = 0.0;
    double error = 0.0;
};
std::optional<Unevenness> unevenness(const Run& run) {
    double squares = 0.0;
    double variance = 0.0;
    int planes = 0;
    for (const auto& plane : run.planes) {
        const auto statistics = planeStatistics(plane);
        if (!statistics || !statistics->centre_to_outer || *statistics->centre_to_outer <= 0.0) continue;
        const double log_ratio = std::log(*statistics->centre_to_outer);
        squares += log_ratio * log_ratio;
        const double centre_error = kAssumedNoise / std::sqrt(statistics->ring_sizes.back());
        const double outer_error = kAssumedNoise / std::sqrt(statistics->ring_sizes.front());
        variance += std::pow(log_ratio * std::hypot(centre_error, outer_error), 2);
        ++planes;
    }
    if (planes == 0) return std::nullopt;
    const double figure = std::sqrt(squares / planes);
    // The error of a root mean square; near zero the ratios' own error is all there is.
    const double error = figure > 1e-6 ? std::sqrt(variance) / (planes * figure) : kAssumedNoise;
    return Unevenness{figure, std::max(error, 0.005)};
}

/// Bottom of the parabola through three points, and how far it moves when each figure moves by its error.
void addBottom(const std::array<double, 3>& h, const std::array<double, 3>& y,
               const std::array<double, 3>& error, SchoolVerdict& verdict) {
    const auto bottom = [&](const std::array<double, 3>& v) -> std::optional<double> {
        const double a = (v[1] - v[0]) / (h[1] - h[0]);
        const double b = (v[2] - v[1]) / (h[2] - h[1]);
        const double curve = (b - a) / (h[2] - h[0]);
        if (curve <= 0.0) return std::nullopt;
        return std::clamp(0.5 * (h[0] + h[1]) - 0.5 * a / curve, h[0], h[2]);
    };
    const auto at = bottom(y);
    if (!at) return;
    double moved = 0.0;
    for (std::size_t i = 0; i < 3; ++i) {
        auto up = y;
        up[i] += error[i];
        if (const auto there = bottom(up)) moved += std::pow(*there - *at, 2);
    }
    verdict.crossing = Millimetre(*at);
    verdict.low = Millimetre(std::max(h[0], *at - kInterval95 * std::sqrt(moved)));
    verdict.high = Millimetre(std::min(h[2], *at + kInterval95 * std::sqrt(moved)));
}

PpfdSpan span(const Band& band) { return {band.low, band.high}; }

}  // namespace

SchoolOptions schoolOptions(const Bench& bench, const Sweep& sweep) {
    SchoolOptions options;
    options.band = bench.method.goal.band;
    options.ceiling = bench.method.goal.ceiling;
    options.spill = spillLimitOptions(bench, sweep);
    return options;
}

SchoolVerdict flattestField(const Bench& bench, const Sweep& sweep, const SchoolOptions& /*options*/) {
    std::vector<Unevenness> figures;
    std::vector<ReadHeight> levels;
    for (const auto& level : levelsOf(bench, sweep))
        if (const auto figure = unevenness(*level.run)) {
            levels.push_back(level);
            figures.push_back(*figure);
        }
    if (levels.size() < 3)
        return silent(
            HeightSchool::Flattest,
            say(GLUMET_SAY("Core",
                           "The flattest field needs complete grids with rings at three heights or more.")));
    SchoolVerdict out;
    out.school = HeightSchool::Flattest;
    std::size_t least = 0;
    for (std::size_t i = 0; i < levels.size(); ++i) {
        out.evidence.push_back(
            {levels[i].height, figures[i].figure,
             say(GLUMET_SAY("Core", "centre and edge {} apart"), Share{std::expm1(figures[i].figure)}),
             levels[i].run->id});
        if (figures[i].figure < figures[least].figure) least = i;
    }
    out.height = levels[least].height;
    const Share apart{std::expm1(figures[least].figure)};
    if (least > 0 && least + 1 < levels.size()) {
        addBottom({levels[least - 1].height.value(), levels[least].height.value(),
                   levels[least + 1].height.value()},
                  {figures[least - 1].figure, figures[least].figure, figures[least + 1].figure},
                  {figures[least - 1].error, figures[least].error, figures[least + 1].error}, out);
        out.reason =
            say(GLUMET_SAY("Core",
                           "At {} centre and edge are {} apart over all depths, the least of {} heights."),
                *out.height, apart, Count{static_cast<int>(levels.size())});
    } else {
        out.reason = least == 0 ? say(GLUMET_SAY("Core",
                                                 "At {}, the lowest read, centre and edge are {} apart, the "
                                                 "least of all: the flattest field may lie beyond."),
                                      *out.height, apart)
                                : say(GLUMET_SAY("Core",
                                                 "At {}, the highest read, centre and edge are {} apart, the "
                                                 "least of all: the flattest field may lie beyond."),
                                      *out.height, apart);
    }
    return out;
}

SchoolVerdict bandFill(const Bench& bench, const Sweep& sweep, const SchoolOptions& options) {
    const auto levels = levelsOf(bench, sweep);
    if (levels.empty())
        return silent(HeightSchool::BandFill,
                      say(GLUMET_SAY("Core", "Band fill needs complete planes at one height or more.")));
    SchoolVerdict out;
    out.school = HeightSchool::BandFill;
    double most = -1.0;
    double level_pct = 100.0;
    for (const auto& level : levels) {
        const auto best = bestLevel(valuesOf(*level.run), options.band);
        out.evidence.push_back({level.height, best.share,
                                say(GLUMET_SAY("Core", "{} in band at {}"), Share{best.share},
                                    Share{std::round(best.level_pct) / 100.0}),
                                level.run->id});
        if (best.share <= most + 1e-9) continue;
        most = best.share;
        level_pct = best.level_pct;
        out.height = level.height;
    }
    if (most <= 0.0) {
        out.height.reset();
        out.reason =
            say(GLUMET_SAY("Core", "No point reaches {} at any height, however dimmed."), span(options.band));
        return out;
    }
    // Heights whose share is no worse than chance tells apart: one point in the whole.
    const double tie = 1.0 / static_cast<double>(valuesOf(*levels.front().run).size());
    for (const auto& row : out.evidence)
        if (row.figure >= most - tie) {
            if (!out.low) out.low = row.height;
            out.high = row.height;
        }
    out.reason = say(
        GLUMET_SAY("Core", "At {} and {} output {} of all points lie in {}, more than at any other height."),
        *out.height, Share{std::round(level_pct) / 100.0}, Share{most}, span(options.band));
    return out;
}

SchoolVerdict peakCap(const Bench& bench, const Sweep& sweep, const SchoolOptions& options) {
    const auto levels = levelsOf(bench, sweep);
    const auto ceiling = options.ceiling.value_or(options.band.high);
    if (levels.empty())
        return silent(HeightSchool::PeakCap,
                      say(GLUMET_SAY("Core", "The peak cap needs complete planes at one height or more.")));
    SchoolVerdict out;
    out.school = HeightSchool::PeakCap;
    for (const auto& level : levels) {
        const auto values = valuesOf(*level.run);
        const double peak = *std::max_element(values.begin(), values.end());
        out.evidence.push_back(
            {level.height, peak, say(GLUMET_SAY("Core", "peak {}"), Ppfd(peak)), level.run->id});
    }
    const auto fits = std::find_if(out.evidence.begin(), out.evidence.end(),
                                   [&](const SchoolEvidence& row) { return row.figure <= ceiling.value(); });
    if (fits == out.evidence.end()) {
        out.reason = say(
            GLUMET_SAY("Core",
                       "Even at {}, the highest read, the peak is {}, above {}: hang it higher or dim it."),
            levels.back().height, Ppfd(out.evidence.back().figure), ceiling);
        return out;
    }
    out.height = fits->height;
    if (fits == out.evidence.begin()) {
        out.reason =
            say(GLUMET_SAY("Core", "At {} the peak is {}, within {}, already at the lowest height read."),
                *out.height, Ppfd(fits->figure), ceiling);
        return out;
    }
    const auto& below = *(fits - 1);
    const double drop = std::log(below.figure / fits->figure);
    if (drop > 0.0) {
        const double step = (fits->height - below.height).value();
        const double share = std::log(below.figure / ceiling.value()) / drop;
        const double error = kInterval95 * kAssumedNoise / drop * step;
        out.crossing = below.height + (fits->height - below.height) * share;
        out.low = Millimetre(out.crossing->value() - error);
        out.high = Millimetre(out.crossing->value() + error);
    }
    out.reason = say(GLUMET_SAY("Core", "At {} the peak is {}, within {}; at {} it was {}."), *out.height,
                     Ppfd(fits->figure), ceiling, below.height, Ppfd(below.figure));
    return out;
}

SchoolVerdict spillLimitSchool(const Bench& bench, const Sweep& sweep, const SchoolOptions& options) {
    const auto verdict = spillLimit(bench, sweep, options.spill);
    SchoolVerdict out;
    out.school = HeightSchool::SpillLimit;
    out.height = verdict.height;
    out.crossing = verdict.crossing;
    out.low = verdict.low;
    out.high = verdict.high;
    out.failed = verdict.failed;
    out.reason = verdict.reason;
    for (const auto& row : verdict.evidence)
        out.evidence.push_back({row.height, row.loss,
                                say(GLUMET_SAY("Core", "{} lost"), Share{std::max(0.0, row.loss)}), row.run});
    return out;
}

SchoolVerdict makersRange(const Bench& bench, const Sweep& sweep, const SchoolOptions& options) {
    const auto* fixture = byId(bench.fixtures, sweep.configuration.fixture);
    if (fixture == nullptr || !fixture->claimed_height_low || !fixture->claimed_height_high)
        return silent(HeightSchool::MakersRange,
                      say(GLUMET_SAY("Core", "The maker's claim is not described.")));
    const auto claim_low = *fixture->claimed_height_low;
    const auto claim_high = *fixture->claimed_height_high;
    const LengthSpan claim{claim_low, claim_high};
    const auto spill = spillLimitSchool(bench, sweep, options);
    const auto peak = peakCap(bench, sweep, options);
    SchoolVerdict out;
    out.school = HeightSchool::MakersRange;
    Words fails;
    const auto spill_end = spill.crossing ? spill.crossing : spill.height;
    if (spill.speaks() && *spill_end < claim_high)
        fails +=
            say(GLUMET_SAY("Core", "Above {} more light is lost than the spill limit allows."), *spill_end);
    const auto peak_end = peak.crossing ? peak.crossing : peak.height;
    if (peak.speaks() && *peak_end > claim_low)
        fails += say(GLUMET_SAY("Core", "Below {} the peak is above the ceiling."), *peak_end);
    if (!peak.speaks() && !peak.evidence.empty())
        fails += say(GLUMET_SAY("Core", "The peak is above the ceiling at every height read."));
    for (const auto& level : levelsOf(bench, sweep)) {
        if (level.height < claim_low || level.height > claim_high) continue;
        const bool spills = spill.speaks() && level.height > *spill_end;
        const bool dazzles = peak.speaks() ? level.height < *peak_end : !peak.evidence.empty();
        out.evidence.push_back({level.height, spills || dazzles ? 0.0 : 1.0,
                                spills    ? say(GLUMET_SAY("Core", "spills too much"))
                                : dazzles ? say(GLUMET_SAY("Core", "too bright"))
                                          : say(GLUMET_SAY("Core", "holds")),
                                level.run->id});
        if (!spills && !dazzles) out.height = level.height;
    }
    if (out.evidence.empty())
        return silent(HeightSchool::MakersRange,
                      say(GLUMET_SAY("Core", "Nothing was read within the maker's {}."), claim));
    out.low = claim_low;
    out.high = claim_high;
    if (fails.empty()) {
        out.reason =
            say(GLUMET_SAY("Core", "The maker's {} holds against the spill limit and the peak cap."), claim);
    } else {
        out.reason = say(GLUMET_SAY("Core", "The maker says {}."), claim);
        out.reason += fails;
    }
    return out;
}

std::vector<SchoolVerdict> heightSchools(const Bench& bench, const Sweep& sweep,
                                         const SchoolOptions& options) {
    std::vector<SchoolVerdict> all{spillLimitSchool(bench, sweep, options),
                                   flattestField(bench, sweep, options), bandFill(bench, sweep, options),
                                   peakCap(bench, sweep, options), makersRange(bench, sweep, options)};
    for (auto& verdict : all) verdict.asked = options;
    return all;
}

}  // namespace glumet
