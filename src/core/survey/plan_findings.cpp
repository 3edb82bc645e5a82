#include "core/survey/plan_findings.h"

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/survey/findings.h"
#include "core/survey/pace.h"
#include "core/survey/progress.h"
#include "core/words/finding.h"
#include "core/words/sentence.h"

namespace glumet {
namespace {

Words stillToRead(const TimeEstimate& left, const Pace& pace) {
    Words body =
        sayCounted(GLUMET_SAY_N("Core", "{} points on {} planes."), Count{left.points}, Count{left.planes});
    if (durationText(left.quick) != durationText(left.slow))
        body += say(GLUMET_SAY("Core", "It may take {} to {}."), left.quick, left.slow);
    if (pace.points_timed > 0)
        body += say(GLUMET_SAY("Core", "At your pace of {} s a point."), Figure{pace.point.value(), 0});
    else
        body += say(GLUMET_SAY("Core", "At a usual pace."));
    return body;
}

Finding whereToGoOn(const Bench& bench, const WorkPlace& place) {
    const auto& run = bench.run(place.run);
    const auto* plane = planeAt(run, place.depth);
    auto next =
        finding(FindingKind::Next, say(GLUMET_SAY("Core", "Go on at {}"), cellName(*plane->grid, place.cell)),
                say(GLUMET_SAY("Core", "{} at {}, {} under water."),
                    configurationName(bench, configurationOf(run)), run.height, place.depth),
                EvidenceView::Measure);
    next.run = place.run;
    next.depth = place.depth;
    next.cell = place.cell;
    return next;
}

}  // namespace

std::vector<Finding> planFindings(const Bench& bench) {
    std::vector<Finding> out;
    if (bench.runs.empty()) {
        if (bench.fixtures.empty() || bench.tanks.empty()) return benchFindings(bench);
        out.push_back(finding(
            FindingKind::Next, say(GLUMET_SAY("Core", "Plan the first runs")),
            say(GLUMET_SAY("Core", "\"Add runs\" makes them from a method: heights, depths and a grid.")),
            EvidenceView::Plan));
        return out;
    }
    int planned = 0;
    int read = 0;
    int doubtful = 0;
    for (const auto& plane : surveyProgress(bench)) {
        planned += plane.planned;
        read += plane.read;
        doubtful += plane.doubtful;
    }
    out.push_back(finding(
        FindingKind::Fact, say(GLUMET_SAY("Core", "{} of {} points read"), Count{read}, Count{planned}),
        doubtful > 0 ? sayCounted(GLUMET_SAY_N("Core", "{} of them are marked doubtful."), Count{doubtful})
                     : say(GLUMET_SAY("Core", "None is marked doubtful.")),
        EvidenceView::None));
    const auto pace = paceOf(bench);
    const auto left = estimateOf(bench.runs, pace);
    if (left.points > 0)
        out.push_back(finding(FindingKind::Fact, say(GLUMET_SAY("Core", "About {} left"), left.usual),
                              stillToRead(left, pace), EvidenceView::None));
    if (const auto place = whereItStopped(bench)) {
        out.push_back(whereToGoOn(bench, *place));
    } else {
        out.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "All that is planned is read")),
                              say(GLUMET_SAY("Core", "Height says how high to hang it.")),
                              EvidenceView::Height));
    }
    return out;
}

std::vector<Finding> commissionFindings(const Bench& bench, Id run, const std::string& today) {
    std::vector<Finding> out;
    int open = 0;
    Listed missing;
    for (const auto& state : commissionOf(bench, bench.run(run), today)) {
        if (state.open()) {
            ++open;
            missing.items.push_back(checkName(state.kind));
            continue;
        }
        if (state.latest->passed) continue;
        const Words name = checkName(state.kind);
        auto doubt = finding(FindingKind::Doubt,
                             Words(state.stops() ? say(GLUMET_SAY("Core", "{} stops work"), name)
                                                 : say(GLUMET_SAY("Core", "{}: overruled"), name))
                                 .capitalised(),
                             verbatim(state.latest->verdict), EvidenceView::Commission);
        if (!state.stops()) doubt.body += say(GLUMET_SAY("Core", "Overruled: {}."), state.latest->overruled);
        doubt.run = run;
        out.push_back(std::move(doubt));
    }
    if (open > 0) {
        auto next =
            finding(FindingKind::Next,
                    say(GLUMET_SAY("Core", "{} of {} checks are not made"), Count{open},
                        Count{static_cast<int>(kCheckKinds.size())}),
                    Words(say(GLUMET_SAY("Core", "{}."), missing)).capitalised(), EvidenceView::Commission);
        next.run = run;
        out.push_back(std::move(next));
    }
    return out;
}

std::optional<CommissionCheck> stoppingCheck(const Bench& bench, const Run& run, const std::string& today) {
    for (const auto& state : commissionOf(bench, run, today))
        if (state.stops()) return *state.latest;
    return std::nullopt;
}

}  // namespace glumet
