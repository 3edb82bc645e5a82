#include "core/compare/ageing.h"

#include <algorithm>
#include <cmath>
#include <map>

#include "core/base/interval.h"
#include "core/bench/grid.h"

namespace glumet {
namespace {

constexpr double kLookAgain = 0.05;
constexpr double kReplace = 0.30;

double errorOf(const Ratio& ratio) { return std::log(ratio.hi / ratio.lo) / (2.0 * kInterval95); }

Ratio weighted(const std::vector<Ratio>& ratios) {
    double weights = 0.0;
    double sum = 0.0;
    for (const auto& ratio : ratios) {
        const double weight = 1.0 / std::pow(std::max(errorOf(ratio), 1e-6), 2);
        weights += weight;
        sum += weight * std::log(ratio.value);
    }
    const double mean = sum / weights;
    const double error = 1.0 / std::sqrt(weights);
    return {std::exp(mean), std::exp(mean - kInterval95 * error), std::exp(mean + kInterval95 * error),
            std::abs(mean) <= kNamed99 * error};
}

std::optional<AgedPoint> against(const Bench& bench, const Sweep& young, const Sweep& old) {
    AgedPoint out;
    out.hours = *old.configuration.hours;
    out.runs = old.runs;
    std::vector<Ratio> ratios;
    for (const Id id : young.runs) {
        const auto height = bench.run(id).height;
        const auto matches = [&](Id other) {
            return std::abs((bench.run(other).height - height).value()) <= kSamePointMm;
        };
        if (std::none_of(old.runs.begin(), old.runs.end(), matches)) continue;
        const ComparePlace place{young.configuration.tank, height, true};
        auto a = contenderOf(bench, young, place, nullptr);
        const auto b = contenderOf(bench, old, place, nullptr);
        const auto pair = paired(a, b, young.configuration.meter == old.configuration.meter);
        if (!pair.speaks()) continue;
        // Every height is set anew: its error belongs to that height's ratio.
        ratios.push_back({pair.all.value, pair.lo_with_heights, pair.hi_with_heights, pair.all.tie});
    }
    if (ratios.empty()) return std::nullopt;
    out.heights = static_cast<int>(ratios.size());
    out.output = weighted(ratios);
    return out;
}

void addRate(Ageing& out) {
    double weights = 0.0;
    double sum = 0.0;
    for (const auto& point : out.points) {
        const double span = point.hours - out.from_hours;
        const double weight = std::pow(span / std::max(errorOf(point.output), 1e-6), 2);
        weights += weight;
        sum -= weight * std::log(point.output.value) / span;
    }
    out.rate = sum / weights;
    const double error = kInterval95 / std::sqrt(weights);
    out.rate_lo = out.rate - error;
    out.rate_hi = out.rate + error;
    if (out.rate_hi > 0.0) out.look_again_h = -std::log(1.0 - kLookAgain) / out.rate_hi;
    if (out.rate_lo > 0.0)
        out.replace_h =
            std::max(0.0, -std::log(1.0 - kReplace) / out.rate + out.from_hours - out.points.back().hours);
}

void sayIt(Ageing& out) {
    const auto& last = out.points.back();
    out.reason = say(GLUMET_SAY("Core",
                                "After {} h it gives {} of what it gave at {} h ({} to {}), read at the "
                                "same heights."),
                     Figure{last.hours, 0}, Share{last.output.value}, Figure{out.from_hours, 0},
                     Share{last.output.lo}, Share{last.output.hi});
    if (last.output.tie) out.reason += say(GLUMET_SAY("Core", "That is within what the readings scatter."));
    if (out.look_again_h)
        out.reason +=
            say(GLUMET_SAY("Core", "Look again after {} h more: by then another twentieth may be gone."),
                Figure{std::round(*out.look_again_h / 100.0) * 100.0, 0});
    if (out.replace_h)
        out.reason += say(GLUMET_SAY("Core",
                                     "At this rate three tenths are gone {} h from the last look; whether "
                                     "the rate is steady, ages between would tell."),
                          Figure{std::round(*out.replace_h / 100.0) * 100.0, 0});
}

}  // namespace

std::vector<Ageing> ageingOf(const Bench& bench, const std::vector<Sweep>& sweeps) {
    std::map<Configuration, std::vector<const Sweep*>> alike;
    for (const auto& sweep : sweeps) {
        if (!sweep.configuration.hours) continue;
        auto ageless = sweep.configuration;
        ageless.hours.reset();
        alike[ageless].push_back(&sweep);
    }
    std::vector<Ageing> out;
    for (auto& [configuration, group] : alike) {
        if (group.size() < 2) continue;
        std::sort(group.begin(), group.end(), [](const Sweep* a, const Sweep* b) {
            return a->configuration.hours < b->configuration.hours;
        });
        Ageing ageing;
        ageing.fixture = configuration.fixture;
        ageing.youngest = group.front()->configuration;
        ageing.from_hours = *ageing.youngest.hours;
        for (std::size_t i = 1; i < group.size(); ++i)
            if (auto point = against(bench, *group.front(), *group[i]))
                ageing.points.push_back(std::move(*point));
        if (ageing.points.empty()) continue;
        addRate(ageing);
        sayIt(ageing);
        out.push_back(std::move(ageing));
    }
    return out;
}

}  // namespace glumet
