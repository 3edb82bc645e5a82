#include "core/findings.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/checks.h"
#include "core/survey/field_so_far.h"
#include "core/survey/route.h"

namespace glumet {
namespace {

/// Where a plane of a run stands.
struct Place {
    std::size_t run;
    Millimetre depth;
};

Finding finding(FindingKind kind, std::string title, std::string body, EvidenceView view,
                const std::optional<Place>& place = {}) {
    Finding out;
    out.kind = kind;
    out.title = std::move(title);
    out.body = std::move(body);
    out.view = view;
    if (place) {
        out.run = place->run;
        out.depth = place->depth;
    }
    return out;
}

std::string spreadTitle(double centre_to_outer) {
    if (centre_to_outer >= 2.0) return "Bright middle, thin edge";
    if (centre_to_outer >= 1.25) return "Brighter in the middle";
    if (centre_to_outer > 0.9) return "Middle and edge agree";
    return "The edge beats the middle";
}

void addSpread(const PlaneStatistics& statistics, Place place, const FindingContext& context,
               std::vector<Finding>& out) {
    if (!statistics.centre_to_outer) return;
    out.push_back(finding(
        FindingKind::Fact, spreadTitle(*statistics.centre_to_outer),
        fmt::format("The centre reads {:.2f} times the outer ring at {}: {} against {}.",
                    *statistics.centre_to_outer, lengthText(place.depth, context.unit),
                    ppfdFigure(statistics.ring_means.back()), ppfdFigure(statistics.ring_means.front())),
        EvidenceView::Field, place));
}

void addBandShare(const PlaneStatistics& statistics, Place place, const FindingContext& context,
                  std::vector<Finding>& out) {
    if (!statistics.share_in_band || !context.band) return;
    out.push_back(finding(FindingKind::Fact,
                          fmt::format("{} of this plane in {}–{}", percentText(*statistics.share_in_band),
                                      ppfdFigure(context.band->low), ppfdFigure(context.band->high)),
                          fmt::format("{} of {} points; {} too dim, {} too bright.",
                                      statistics.n - statistics.below_band - statistics.above_band,
                                      statistics.n, statistics.below_band, statistics.above_band),
                          EvidenceView::Field, place));
}

void addFallOff(const Run& run, Place place, const FindingContext& context, std::vector<Finding>& out) {
    const auto steps = fallOffWithDepth(run);
    if (steps.size() < 2) return;
    const auto& first = steps.front();
    const auto& last = steps.back();
    out.push_back(finding(FindingKind::Fact,
                          fmt::format("{} left at {}", percentText(last.share_of_shallowest),
                                      lengthText(last.depth, context.unit)),
                          fmt::format("The mean goes from {} at {} to {} there.", ppfdFigure(first.mean),
                                      lengthText(first.depth, context.unit), ppfdFigure(last.mean)),
                          EvidenceView::Field, Place{place.run, last.depth}));
}

void addDrawDoubt(const Bench& bench, std::size_t index, std::vector<Finding>& out) {
    const auto& run = bench.runs[index];
    const auto* fixture = byId(bench.fixtures, run.fixture);
    if (fixture == nullptr) return;
    const auto share = drawShare(run, *fixture);
    if (!share) return;
    const double expected = run.level_pct.value_or(100.0) / 100.0;
    const bool off = std::abs(*share - expected) > kDrawTolerance;
    auto body = fmt::format("It draws {:.1f} W of {:.0f} W rated", run.power()->value(),
                            fixture->rated_power->value());
    if (!off) {
        out.push_back(
            finding(FindingKind::Fact, "The draw agrees with the rating", body + ".", EvidenceView::Bench));
        return;
    }
    auto doubt =
        finding(FindingKind::Doubt, fmt::format("Draws {} of its rating", percentText(*share)),
                body + ". Find out why before trusting this run: a driver may be dead.", EvidenceView::Bench);
    doubt.run = index;
    out.push_back(doubt);
}

void addRoomLightDoubt(const Run& run, std::size_t index, std::vector<Finding>& out) {
    const auto share = roomLightShare(run);
    if (!share || *share <= kDarkTolerance) return;
    auto doubt = finding(FindingKind::Doubt, "Other light was on",
                         fmt::format("With the fixture off the meter still read {}: {} of the dimmest point.",
                                     ppfdFigure(*run.dark_reading), percentText(*share)),
                         EvidenceView::Field);
    doubt.run = index;
    out.push_back(doubt);
}

void addMirrorDoubts(const Run& run, std::size_t index, const FindingContext& context,
                     std::vector<Finding>& out) {
    constexpr std::size_t kMostShown = 2;
    for (const auto& plane : run.planes) {
        auto doubts = mirrorDoubts(plane);
        if (doubts.size() > kMostShown) doubts.resize(kMostShown);
        for (const auto& doubt : doubts) {
            auto item =
                finding(FindingKind::Doubt, fmt::format("{} disagrees with its mirror", cellName(doubt.cell)),
                        fmt::format("{} against {} at {}, {} apart. Read it again.", ppfdFigure(doubt.value),
                                    ppfdFigure(doubt.mirror_value), cellName(doubt.mirror),
                                    percentText(doubt.difference)),
                        EvidenceView::Field, Place{index, plane.depth});
            if (run.planes.size() > 1)
                item.body.insert(0, fmt::format("{} under water: ", lengthText(plane.depth, context.unit)));
            item.cell = doubt.cell;
            out.push_back(item);
        }
    }
}

void addStep(const SpillEvidence& from, const SpillEvidence& to, Millimetre depth,
             const FindingContext& context, std::vector<Finding>& out) {
    const double change = to.grid_mean / from.grid_mean - 1.0;
    std::string body = fmt::format(
        "{} {} of the light, {} {} the peak", change < 0 ? "Costs" : "Gains", percentText(std::abs(change)),
        ppfdFigure(Ppfd(std::abs((to.peak - from.peak).value()))), to.peak < from.peak ? "off" : "onto");
    if (from.outer && to.outer) {
        const double edge = (*to.outer - *from.outer).value();
        body += fmt::format(", the edge {} by {}", edge < 0 ? "loses" : "gains",
                            ppfdFigure(Ppfd(std::abs(edge))));
    }
    out.push_back(
        finding(FindingKind::Fact,
                fmt::format("{} from {} to {}", to.height > from.height ? "Raising" : "Lowering",
                            lengthFigure(from.height, context.unit), lengthText(to.height, context.unit)),
                body + ".", EvidenceView::Height, Place{to.run, depth}));
}

void addClaim(const Bench& bench, const Sweep& sweep, const SpillLimitVerdict& verdict,
              const FindingContext& context, std::vector<Finding>& out) {
    const auto* fixture = byId(bench.fixtures, sweep.configuration.fixture);
    if (fixture == nullptr || !fixture->claimed_height_low || !fixture->claimed_height_high ||
        !verdict.height)
        return;
    const auto low = *fixture->claimed_height_low;
    const auto high = *fixture->claimed_height_high;
    const auto here = verdict.crossing.value_or(*verdict.height);
    const auto claim = "The maker says " + lengthRange(low, high, context.unit);
    // The claim stands while any part of the verdict's own interval lies within it.
    const bool inside = verdict.low.value_or(here) <= high && verdict.high.value_or(here) >= low;
    const char* side = here > high ? "higher" : "lower";
    out.push_back(finding(
        inside ? FindingKind::Fact : FindingKind::Doubt, claim,
        inside ? "This school agrees within its doubt." : fmt::format("This school hangs it {}.", side),
        EvidenceView::Height));
}

void addInterval(const SpillLimitVerdict& verdict, const FindingContext& context, std::vector<Finding>& out) {
    if (!verdict.low) return;
    std::string title = verdict.high ? "Sure to " + lengthRange(*verdict.low, *verdict.high, context.unit)
                                     : "At least " + lengthText(*verdict.low, context.unit);
    std::string body = "Placing and ripple make up the doubt; the meter's own calibration cancels.";
    if (verdict.readings_assumed > 0)
        body +=
            fmt::format(" {} readings came without their swing: 2 % was assumed.", verdict.readings_assumed);
    out.push_back(finding(FindingKind::Fact, title, body, EvidenceView::Height));
}

}  // namespace

namespace {

/// The first plane of the same configuration that still lacks points; else what to look at.
Finding afterRun(const Bench& bench, Place place, const FindingContext& context) {
    const auto configuration = configurationOf(bench.runs[place.run]);
    for (std::size_t i = 0; i < bench.runs.size(); ++i) {
        if (configurationOf(bench.runs[i]) != configuration) continue;
        for (const auto& plane : bench.runs[i].planes)
            if (nextOnWay(bench, bench.runs[i], plane))
                return finding(FindingKind::Next,
                               "Go on at " + lengthText(bench.runs[i].height, context.unit),
                               fmt::format("This run is complete; that one lacks points {} under water.",
                                           lengthText(plane.depth, context.unit)),
                               EvidenceView::Measure, Place{i, plane.depth});
    }
    return finding(FindingKind::Next, "This sweep is complete", "Height says how high to hang it.",
                   EvidenceView::Height, place);
}

}  // namespace

std::vector<Finding> runDoubts(const Bench& bench, std::size_t run, const FindingContext& context) {
    std::vector<Finding> out;
    addDrawDoubt(bench, run, out);
    addRoomLightDoubt(bench.runs[run], run, out);
    // A pair is no evidence where light and tank differ from left to right.
    if (isSymmetric(bench, bench.runs[run])) addMirrorDoubts(bench.runs[run], run, context, out);
    return out;
}

std::vector<Finding> fieldFindings(const Bench& bench, std::size_t run, Millimetre depth,
                                   const FindingContext& context) {
    std::vector<Finding> out;
    const Place place{run, depth};
    const auto* plane = planeAt(bench.runs[run], depth);
    const auto statistics = plane == nullptr ? Expected<PlaneStatistics>(problem("", "missing"))
                                             : planeStatistics(*plane, context.band);
    if (!statistics) {
        out.push_back(finding(FindingKind::Next, "Nothing read here yet",
                              "Measure takes the readings of this plane.", EvidenceView::Measure, place));
        return out;
    }
    addSpread(*statistics, place, context, out);
    addBandShare(*statistics, place, context, out);
    addFallOff(bench.runs[run], place, context, out);
    const auto doubts = runDoubts(bench, run, context);
    out.insert(out.end(), doubts.begin(), doubts.end());
    return out;
}

std::vector<Finding> heightFindings(const Bench& bench, const Sweep& sweep, const SpillLimitVerdict& verdict,
                                    const FindingContext& context) {
    std::vector<Finding> out;
    if (!verdict.speaks()) {
        out.push_back(
            finding(FindingKind::Next, "No height can be named yet", verdict.reason, EvidenceView::Measure));
        return out;
    }
    const auto at = std::find_if(verdict.evidence.begin(), verdict.evidence.end(),
                                 [&](const SpillEvidence& row) { return row.height == *verdict.height; });
    out.push_back(finding(FindingKind::Fact,
                          "Hang it " + lengthText(*verdict.height, context.unit) + " over the water",
                          verdict.reason, EvidenceView::Height, Place{at->run, *verdict.depth_used}));
    if (at + 1 != verdict.evidence.end()) addStep(*at, *(at + 1), *verdict.depth_used, context, out);
    if (at != verdict.evidence.begin()) addStep(*at, *(at - 1), *verdict.depth_used, context, out);
    addInterval(verdict, context, out);
    addClaim(bench, sweep, verdict, context, out);
    for (const auto& doubt : verdict.doubts)
        out.push_back(finding(FindingKind::Doubt, "Evidence with a hole", doubt, EvidenceView::Height));
    if (!verdict.next_height) {
        out.push_back(finding(FindingKind::Next, "Read higher",
                              "The limit was not reached, so the answer may lie above.",
                              EvidenceView::Measure));
    }
    return out;
}

std::vector<Finding> measureFindings(const Bench& bench, std::size_t run, Millimetre depth,
                                     const FindingContext& context) {
    std::vector<Finding> out = runDoubts(bench, run, context);
    const auto* plane = planeAt(bench.runs[run], depth);
    if (plane == nullptr || !plane->grid) return out;
    const Place place{run, depth};
    if (const auto next = nextOnWay(bench, bench.runs[run], *plane)) {
        auto item = finding(FindingKind::Next, cellName(*plane->grid, *next) + " is next",
                            "Put the probe there; space takes the mean once it has settled.",
                            EvidenceView::Measure, place);
        item.cell = next;
        out.push_back(item);
        return out;
    }
    for (const auto& other : bench.runs[run].planes)
        if (nextOnWay(bench, bench.runs[run], other)) {
            out.push_back(
                finding(FindingKind::Next, "This plane is complete",
                        fmt::format("Lower the probe to {}.", lengthText(other.depth, context.unit)),
                        EvidenceView::Measure, Place{run, other.depth}));
            return out;
        }
    out.push_back(afterRun(bench, place, context));
    return out;
}

std::vector<Finding> benchFindings(const Bench& bench, const FindingContext& context) {
    std::vector<Finding> out;
    if (bench.fixtures.empty())
        out.push_back(finding(FindingKind::Next, "Describe a fixture first",
                              "Or import readings: the fixture is made from the file.", EvidenceView::Bench));
    if (bench.tanks.empty())
        out.push_back(finding(FindingKind::Next, "Describe the tank",
                              "Length, width and water depth place the grid.", EvidenceView::Bench));
    for (std::size_t i = 0; i < bench.runs.size(); ++i) {
        std::vector<Finding> doubts;
        addDrawDoubt(bench, i, doubts);
        addRoomLightDoubt(bench.runs[i], i, doubts);
        std::erase_if(doubts, [](const Finding& item) { return item.kind != FindingKind::Doubt; });
        for (auto& doubt : doubts) {
            doubt.body.insert(0, configurationName(bench, configurationOf(bench.runs[i])) + " at " +
                                     lengthText(bench.runs[i].height, context.unit) + ": ");
            out.push_back(doubt);
        }
    }
    return out;
}

}  // namespace glumet
