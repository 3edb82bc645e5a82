#include "core/survey/findings.h"

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

Words spreadTitle(double centre_to_outer) {
    if (centre_to_outer >= 2.0) return say(GLUMET_SAY("Core", "Bright middle, thin edge"));
    if (centre_to_outer >= 1.25) return say(GLUMET_SAY("Core", "Brighter in the middle"));
    if (centre_to_outer > 0.9) return say(GLUMET_SAY("Core", "Middle and edge agree"));
    return say(GLUMET_SAY("Core", "The edge beats the middle"));
}

void addSpread(const PlaneStatistics& statistics, FindingPlace place, std::vector<Finding>& out) {
    if (!statistics.centre_to_outer) return;
    out.push_back(
        finding(FindingKind::Fact, spreadTitle(*statistics.centre_to_outer),
                say(GLUMET_SAY("Core", "The centre reads {} times the outer ring at {}: {} against {}."),
                    Figure{*statistics.centre_to_outer, 2}, place.depth, statistics.ring_means.back(),
                    statistics.ring_means.front()),
                EvidenceView::Field, place));
}

void addBandShare(const PlaneStatistics& statistics, FindingPlace place, const std::optional<Band>& band,
                  std::vector<Finding>& out) {
    if (!statistics.share_in_band || !band) return;
    out.push_back(
        finding(FindingKind::Fact,
                say(GLUMET_SAY("Core", "{} of this plane in {}"), Share{*statistics.share_in_band},
                    PpfdSpan{band->low, band->high}),
                say(GLUMET_SAY("Core", "{} of {} points; {} too dim, {} too bright."),
                    Count{statistics.n - statistics.below_band - statistics.above_band}, Count{statistics.n},
                    Count{statistics.below_band}, Count{statistics.above_band}),
                EvidenceView::Field, place));
}

void addFallOff(const Run& run, FindingPlace place, std::vector<Finding>& out) {
    const auto steps = fallOffWithDepth(run);
    if (steps.size() < 2) return;
    const auto& first = steps.front();
    const auto& last = steps.back();
    out.push_back(
        finding(FindingKind::Fact,
                say(GLUMET_SAY("Core", "{} left at {}"), Share{last.share_of_shallowest}, last.depth),
                say(GLUMET_SAY("Core", "The mean goes from {} at {} to {} there."), first.mean, first.depth,
                    last.mean),
                EvidenceView::Field, FindingPlace{place.run, last.depth}));
}

void addDrawDoubt(const Bench& bench, Id index, std::vector<Finding>& out) {
    const auto& run = bench.run(index);
    const auto* fixture = byId(bench.fixtures, run.fixture);
    if (fixture == nullptr) return;
    const auto share = drawShare(run, *fixture);
    if (!share) return;
    const bool off = std::abs(*share - 1.0) > kDrawTolerance;
    Words body = say(GLUMET_SAY("Core", "It draws {} W of {} W rated."), Figure{run.power()->value(), 1},
                     Figure{fixture->rated_power->value(), 0});
    if (!off) {
        out.push_back(finding(FindingKind::Fact, say(GLUMET_SAY("Core", "The draw agrees with the rating")),
                              std::move(body), EvidenceView::Bench));
        return;
    }
    body += say(GLUMET_SAY("Core", "Find out why before trusting this run: a driver may be dead."));
    auto doubt = finding(FindingKind::Doubt, say(GLUMET_SAY("Core", "Draws {} of its rating"), Share{*share}),
                         std::move(body), EvidenceView::Bench);
    doubt.run = index;
    out.push_back(doubt);
}

void addRoomLightDoubt(const Run& run, Id index, std::vector<Finding>& out) {
    const auto share = roomLightShare(run);
    if (!share || *share <= kDarkTolerance) return;
    auto doubt = finding(
        FindingKind::Doubt, say(GLUMET_SAY("Core", "Other light was on")),
        say(GLUMET_SAY("Core", "With the fixture off the meter still read {}: {} of the dimmest point."),
            *run.dark_reading, Share{*share}),
        EvidenceView::Field);
    doubt.run = index;
    out.push_back(doubt);
}

void addMirrorDoubts(const Run& run, Id index, std::vector<Finding>& out) {
    constexpr std::size_t kMostShown = 2;
    for (const auto& plane : run.planes) {
        auto doubts = mirrorDoubts(plane);
        if (doubts.size() > kMostShown) doubts.resize(kMostShown);
        for (const auto& doubt : doubts) {
            auto item =
                finding(FindingKind::Doubt,
                        say(GLUMET_SAY("Core", "{} disagrees with its mirror"), cellName(doubt.cell)),
                        say(GLUMET_SAY("Core", "{} against {} at {}, {} apart. Read it again."), doubt.value,
                            doubt.mirror_value, cellName(doubt.mirror), Share{doubt.difference}),
                        EvidenceView::Field, FindingPlace{index, plane.depth});
            if (run.planes.size() > 1)
                item.body = say(GLUMET_SAY("Core", "{} under water: {}"), plane.depth, item.body);
            item.cell = doubt.cell;
            out.push_back(item);
        }
    }
}

/// The first plane of the same configuration that still lacks points; else what to look at.
Finding afterRun(const Bench& bench, FindingPlace place) {
    const auto configuration = configurationOf(bench.run(place.run));
    for (const auto& run : bench.runs) {
        if (configurationOf(run) != configuration) continue;
        for (const auto& plane : run.planes)
            if (nextOnWay(bench, run, plane))
                return finding(
                    FindingKind::Next, say(GLUMET_SAY("Core", "Go on at {}"), run.height),
                    say(GLUMET_SAY("Core", "This run is complete; that one lacks points {} under water."),
                        plane.depth),
                    EvidenceView::Measure, FindingPlace{run.id, plane.depth});
    }
    return finding(FindingKind::Next, say(GLUMET_SAY("Core", "This sweep is complete")),
                   say(GLUMET_SAY("Core", "Height says how high to hang it.")), EvidenceView::Height, place);
}

}  // namespace

std::vector<Finding> runDoubts(const Bench& bench, Id run) {
    std::vector<Finding> out;
    addDrawDoubt(bench, run, out);
    addRoomLightDoubt(bench.run(run), run, out);
    // A pair is no evidence where light and tank differ from left to right.
    if (isSymmetric(bench, bench.run(run))) addMirrorDoubts(bench.run(run), run, out);
    return out;
}

std::vector<Finding> fieldFindings(const Bench& bench, Id run, Millimetre depth,
                                   const std::optional<Band>& band) {
    std::vector<Finding> out;
    const FindingPlace place{run, depth};
    const auto* plane = planeAt(bench.run(run), depth);
    const auto statistics =
        plane == nullptr ? Expected<PlaneStatistics>(problem("", {})) : planeStatistics(*plane, band);
    if (!statistics && plane != nullptr && !plane->means.empty()) {
        out.push_back(finding(FindingKind::Fact,
                              say(GLUMET_SAY("Core", "Read by {}"), bench.run(run).read_by),
                              say(GLUMET_SAY("Core",
                                             "Means of rings, not points: what each point reads nobody "
                                             "knows, and the fit alone answers for height and array.")),
                              EvidenceView::Field, place));
        return out;
    }
    if (!statistics) {
        out.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "Nothing read here yet")),
                              say(GLUMET_SAY("Core", "Measure takes the readings of this plane.")),
                              EvidenceView::Measure, place));
        return out;
    }
    addSpread(*statistics, place, out);
    addBandShare(*statistics, place, band, out);
    addFallOff(bench.run(run), place, out);
    const auto doubts = runDoubts(bench, run);
    out.insert(out.end(), doubts.begin(), doubts.end());
    return out;
}

std::vector<Finding> measureFindings(const Bench& bench, Id run, Millimetre depth) {
    std::vector<Finding> out = runDoubts(bench, run);
    const auto* plane = planeAt(bench.run(run), depth);
    if (plane == nullptr || !plane->grid) return out;
    const FindingPlace place{run, depth};
    if (const auto next = nextOnWay(bench, bench.run(run), *plane)) {
        auto item =
            finding(FindingKind::Next, say(GLUMET_SAY("Core", "{} is next"), cellName(*plane->grid, *next)),
                    say(GLUMET_SAY("Core", "Put the probe there; space takes the mean once it has settled.")),
                    EvidenceView::Measure, place);
        item.cell = next;
        out.push_back(item);
        return out;
    }
    for (const auto& other : bench.run(run).planes)
        if (nextOnWay(bench, bench.run(run), other)) {
            out.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "This plane is complete")),
                                  say(GLUMET_SAY("Core", "Lower the probe to {}."), other.depth),
                                  EvidenceView::Measure, FindingPlace{run, other.depth}));
            return out;
        }
    out.push_back(afterRun(bench, place));
    return out;
}

std::vector<Finding> benchFindings(const Bench& bench) {
    std::vector<Finding> out;
    if (bench.fixtures.empty())
        out.push_back(
            finding(FindingKind::Next, say(GLUMET_SAY("Core", "Describe a fixture first")),
                    say(GLUMET_SAY("Core", "Or import readings: the fixture is made from the file.")),
                    EvidenceView::Bench));
    if (bench.tanks.empty())
        out.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "Describe the tank")),
                              say(GLUMET_SAY("Core", "Length, width and water depth place the grid.")),
                              EvidenceView::Bench));
    if (out.empty() && bench.runs.empty())
        out.push_back(finding(
            FindingKind::Next, say(GLUMET_SAY("Core", "Enough to begin: plan the first runs")),
            say(GLUMET_SAY("Core", "Heights, depths and a grid, made from a method.")), EvidenceView::Plan));
    for (const auto& run : bench.runs) {
        std::vector<Finding> doubts;
        addDrawDoubt(bench, run.id, doubts);
        addRoomLightDoubt(run, run.id, doubts);
        std::erase_if(doubts, [](const Finding& item) { return item.kind != FindingKind::Doubt; });
        for (auto& doubt : doubts) {
            doubt.body = say(GLUMET_SAY("Core", "{} at {}: {}"),
                             configurationName(bench, configurationOf(run)), run.height, doubt.body);
            out.push_back(doubt);
        }
    }
    return out;
}

}  // namespace glumet
