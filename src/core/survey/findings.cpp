#include "core/survey/findings.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"
#include "core/survey/checks.h"
#include "core/survey/field_so_far.h"
#include "core/survey/route.h"

namespace glumet {
namespace {

std::string spreadTitle(double centre_to_outer) {
    if (centre_to_outer >= 2.0) return "Bright middle, thin edge";
    if (centre_to_outer >= 1.25) return "Brighter in the middle";
    if (centre_to_outer > 0.9) return "Middle and edge agree";
    return "The edge beats the middle";
}

void addSpread(const PlaneStatistics& statistics, FindingPlace place, const FindingContext& context,
               std::vector<Finding>& out) {
    if (!statistics.centre_to_outer) return;
    out.push_back(finding(
        FindingKind::Fact, spreadTitle(*statistics.centre_to_outer),
        fmt::format("The centre reads {:.2f} times the outer ring at {}: {} against {}.",
                    *statistics.centre_to_outer, lengthText(place.depth, context.unit),
                    ppfdFigure(statistics.ring_means.back()), ppfdFigure(statistics.ring_means.front())),
        EvidenceView::Field, place));
}

void addBandShare(const PlaneStatistics& statistics, FindingPlace place, const FindingContext& context,
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

void addFallOff(const Run& run, FindingPlace place, const FindingContext& context,
                std::vector<Finding>& out) {
    const auto steps = fallOffWithDepth(run);
    if (steps.size() < 2) return;
    const auto& first = steps.front();
    const auto& last = steps.back();
    out.push_back(finding(FindingKind::Fact,
                          fmt::format("{} left at {}", percentText(last.share_of_shallowest),
                                      lengthText(last.depth, context.unit)),
                          fmt::format("The mean goes from {} at {} to {} there.", ppfdFigure(first.mean),
                                      lengthText(first.depth, context.unit), ppfdFigure(last.mean)),
                          EvidenceView::Field, FindingPlace{place.run, last.depth}));
}

void addDrawDoubt(const Bench& bench, Id index, std::vector<Finding>& out) {
    const auto& run = bench.run(index);
    const auto* fixture = byId(bench.fixtures, run.fixture);
    if (fixture == nullptr) return;
    const auto share = drawShare(run, *fixture);
    if (!share) return;
    const bool off = std::abs(*share - 1.0) > kDrawTolerance;
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

void addRoomLightDoubt(const Run& run, Id index, std::vector<Finding>& out) {
    const auto share = roomLightShare(run);
    if (!share || *share <= kDarkTolerance) return;
    auto doubt = finding(FindingKind::Doubt, "Other light was on",
                         fmt::format("With the fixture off the meter still read {}: {} of the dimmest point.",
                                     ppfdFigure(*run.dark_reading), percentText(*share)),
                         EvidenceView::Field);
    doubt.run = index;
    out.push_back(doubt);
}

void addMirrorDoubts(const Run& run, Id index, const FindingContext& context, std::vector<Finding>& out) {
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
                        EvidenceView::Field, FindingPlace{index, plane.depth});
            if (run.planes.size() > 1)
                item.body.insert(0, fmt::format("{} under water: ", lengthText(plane.depth, context.unit)));
            item.cell = doubt.cell;
            out.push_back(item);
        }
    }
}

/// The first plane of the same configuration that still lacks points; else what to look at.
Finding afterRun(const Bench& bench, FindingPlace place, const FindingContext& context) {
    const auto configuration = configurationOf(bench.run(place.run));
    for (const auto& run : bench.runs) {
        if (configurationOf(run) != configuration) continue;
        for (const auto& plane : run.planes)
            if (nextOnWay(bench, run, plane))
                return finding(FindingKind::Next, "Go on at " + lengthText(run.height, context.unit),
                               fmt::format("This run is complete; that one lacks points {} under water.",
                                           lengthText(plane.depth, context.unit)),
                               EvidenceView::Measure, FindingPlace{run.id, plane.depth});
    }
    return finding(FindingKind::Next, "This sweep is complete", "Height says how high to hang it.",
                   EvidenceView::Height, place);
}

}  // namespace

std::vector<Finding> runDoubts(const Bench& bench, Id run, const FindingContext& context) {
    std::vector<Finding> out;
    addDrawDoubt(bench, run, out);
    addRoomLightDoubt(bench.run(run), run, out);
    // A pair is no evidence where light and tank differ from left to right.
    if (isSymmetric(bench, bench.run(run))) addMirrorDoubts(bench.run(run), run, context, out);
    return out;
}

std::vector<Finding> fieldFindings(const Bench& bench, Id run, Millimetre depth,
                                   const FindingContext& context) {
    std::vector<Finding> out;
    const FindingPlace place{run, depth};
    const auto* plane = planeAt(bench.run(run), depth);
    const auto statistics = plane == nullptr ? Expected<PlaneStatistics>(problem("", "missing"))
                                             : planeStatistics(*plane, context.band);
    if (!statistics) {
        out.push_back(finding(FindingKind::Next, "Nothing read here yet",
                              "Measure takes the readings of this plane.", EvidenceView::Measure, place));
        return out;
    }
    addSpread(*statistics, place, context, out);
    addBandShare(*statistics, place, context, out);
    addFallOff(bench.run(run), place, context, out);
    const auto doubts = runDoubts(bench, run, context);
    out.insert(out.end(), doubts.begin(), doubts.end());
    return out;
}

std::vector<Finding> measureFindings(const Bench& bench, Id run, Millimetre depth,
                                     const FindingContext& context) {
    std::vector<Finding> out = runDoubts(bench, run, context);
    const auto* plane = planeAt(bench.run(run), depth);
    if (plane == nullptr || !plane->grid) return out;
    const FindingPlace place{run, depth};
    if (const auto next = nextOnWay(bench, bench.run(run), *plane)) {
        auto item = finding(FindingKind::Next, cellName(*plane->grid, *next) + " is next",
                            "Put the probe there; space takes the mean once it has settled.",
                            EvidenceView::Measure, place);
        item.cell = next;
        out.push_back(item);
        return out;
    }
    for (const auto& other : bench.run(run).planes)
        if (nextOnWay(bench, bench.run(run), other)) {
            out.push_back(
                finding(FindingKind::Next, "This plane is complete",
                        fmt::format("Lower the probe to {}.", lengthText(other.depth, context.unit)),
                        EvidenceView::Measure, FindingPlace{run, other.depth}));
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
    for (const auto& run : bench.runs) {
        std::vector<Finding> doubts;
        addDrawDoubt(bench, run.id, doubts);
        addRoomLightDoubt(run, run.id, doubts);
        std::erase_if(doubts, [](const Finding& item) { return item.kind != FindingKind::Doubt; });
        for (auto& doubt : doubts) {
            doubt.body.insert(0, configurationName(bench, configurationOf(run)) + " at " +
                                     lengthText(run.height, context.unit) + ": ");
            out.push_back(doubt);
        }
    }
    return out;
}

}  // namespace glumet
