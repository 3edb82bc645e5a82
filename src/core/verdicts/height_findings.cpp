#include "core/verdicts/height_findings.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

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
                body + ".", EvidenceView::Height, FindingPlace{to.run, depth}));
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

std::vector<Finding> heightFindings(const Bench& bench, const Sweep& sweep, const SpillLimitVerdict& verdict,
                                    const FindingContext& context) {
    std::vector<Finding> out;
    if (!verdict.speaks()) {
        out.push_back(finding(FindingKind::Next, "No height can be named yet",
                              english(verdict.reason, context.unit), EvidenceView::Measure));
        return out;
    }
    const auto at = std::find_if(verdict.evidence.begin(), verdict.evidence.end(),
                                 [&](const SpillEvidence& row) { return row.height == *verdict.height; });
    out.push_back(finding(FindingKind::Fact,
                          "Hang it " + lengthText(*verdict.height, context.unit) + " over the water",
                          english(verdict.reason, context.unit), EvidenceView::Height,
                          FindingPlace{at->run, *verdict.depth_used}));
    if (at + 1 != verdict.evidence.end()) addStep(*at, *(at + 1), *verdict.depth_used, context, out);
    if (at != verdict.evidence.begin()) addStep(*at, *(at - 1), *verdict.depth_used, context, out);
    addInterval(verdict, context, out);
    addClaim(bench, sweep, verdict, context, out);
    for (const auto& doubt : verdict.doubts)
        out.push_back(finding(FindingKind::Doubt, "Evidence with a hole", english(doubt, context.unit),
                              EvidenceView::Height));
    if (!verdict.next_height) {
        out.push_back(finding(FindingKind::Next, "Read higher",
                              "The limit was not reached, so the answer may lie above.",
                              EvidenceView::Measure));
    }
    return out;
}

}  // namespace glumet
