#include "core/verdicts/height_findings.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

void addStep(const SpillEvidence& from, const SpillEvidence& to, Millimetre depth,
             std::vector<Finding>& out) {
    const double change = to.grid_mean / from.grid_mean - 1.0;
    const Ppfd peak(std::abs((to.peak - from.peak).value()));
    const Words light = say(change < 0.0 ? GLUMET_SAY("Core", "Costs {} of the light")
                                         : GLUMET_SAY("Core", "Gains {} of the light"),
                            Share{std::abs(change)});
    const Words top = say(
        to.peak < from.peak ? GLUMET_SAY("Core", "{} off the peak") : GLUMET_SAY("Core", "{} onto the peak"),
        peak);
    Words body = say("{}, {}.", light, top);
    if (from.outer && to.outer) {
        const double change_of_edge = (*to.outer - *from.outer).value();
        const Words edge = say(change_of_edge < 0.0 ? GLUMET_SAY("Core", "the edge loses {}")
                                                    : GLUMET_SAY("Core", "the edge gains {}"),
                               Ppfd(std::abs(change_of_edge)));
        body = say("{}, {}, {}.", light, top, edge);
    }
    out.push_back(finding(FindingKind::Fact,
                          say(to.height > from.height ? GLUMET_SAY("Core", "Raising from {} to {}")
                                                      : GLUMET_SAY("Core", "Lowering from {} to {}"),
                              BareLength{from.height}, to.height),
                          std::move(body), EvidenceView::Height, FindingPlace{to.run, depth}));
}

void addClaim(const Bench& bench, const Sweep& sweep, const SpillLimitVerdict& verdict,
              std::vector<Finding>& out) {
    const auto* fixture = byId(bench.fixtures, sweep.configuration.fixture);
    if (fixture == nullptr || !fixture->claimed_height_low || !fixture->claimed_height_high ||
        !verdict.height)
        return;
    const auto low = *fixture->claimed_height_low;
    const auto high = *fixture->claimed_height_high;
    const auto here = verdict.crossing.value_or(*verdict.height);
    // The claim stands while any part of the verdict's own interval lies within it.
    const bool inside = verdict.low.value_or(here) <= high && verdict.high.value_or(here) >= low;
    out.push_back(finding(inside ? FindingKind::Fact : FindingKind::Doubt,
                          say(GLUMET_SAY("Core", "The maker says {}"), LengthSpan{low, high}),
                          inside        ? say(GLUMET_SAY("Core", "This school agrees within its doubt."))
                          : here > high ? say(GLUMET_SAY("Core", "This school hangs it higher."))
                                        : say(GLUMET_SAY("Core", "This school hangs it lower.")),
                          EvidenceView::Height));
}

void addInterval(const SpillLimitVerdict& verdict, std::vector<Finding>& out) {
    if (!verdict.low) return;
    Words title = verdict.high
                      ? say(GLUMET_SAY("Core", "Sure to {}"), LengthSpan{*verdict.low, *verdict.high})
                      : say(GLUMET_SAY("Core", "At least {}"), *verdict.low);
    Words body =
        say(GLUMET_SAY("Core", "Placing and ripple make up the doubt; the meter's own calibration cancels."));
    if (verdict.readings_assumed > 0)
        body += sayCounted(GLUMET_SAY_N("Core", "{} readings came without their swing: 2 % was assumed."),
                           Count{verdict.readings_assumed});
    out.push_back(finding(FindingKind::Fact, std::move(title), std::move(body), EvidenceView::Height));
}

}  // namespace

std::vector<Finding> heightFindings(const Bench& bench, const Sweep& sweep,
                                    const SpillLimitVerdict& verdict) {
    std::vector<Finding> out;
    if (!verdict.speaks()) {
        out.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "No height can be named yet")),
                              verdict.reason, EvidenceView::Measure));
        return out;
    }
    const auto at = std::find_if(verdict.evidence.begin(), verdict.evidence.end(),
                                 [&](const SpillEvidence& row) { return row.height == *verdict.height; });
    out.push_back(finding(FindingKind::Fact,
                          say(GLUMET_SAY("Core", "Hang it {} over the water"), *verdict.height),
                          verdict.reason, EvidenceView::Height, FindingPlace{at->run, *verdict.depth_used}));
    if (at + 1 != verdict.evidence.end()) addStep(*at, *(at + 1), *verdict.depth_used, out);
    if (at != verdict.evidence.begin()) addStep(*at, *(at - 1), *verdict.depth_used, out);
    addInterval(verdict, out);
    addClaim(bench, sweep, verdict, out);
    for (const auto& doubt : verdict.doubts)
        out.push_back(finding(FindingKind::Doubt, say(GLUMET_SAY("Core", "Evidence with a hole")), doubt,
                              EvidenceView::Height));
    if (!verdict.next_height) {
        out.push_back(
            finding(FindingKind::Next, say(GLUMET_SAY("Core", "Read higher")),
                    say(GLUMET_SAY("Core", "The limit was not reached, so the answer may lie above.")),
                    EvidenceView::Measure));
    }
    return out;
}

}  // namespace glumet
