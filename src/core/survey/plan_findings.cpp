#include "core/survey/plan_findings.h"

#include <fmt/format.h>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/survey/pace.h"
#include "core/survey/progress.h"
#include "core/words/finding.h"

namespace glumet {
namespace {

Finding made(FindingKind kind, std::string title, std::string body, EvidenceView view) {
    Finding out;
    out.kind = kind;
    out.title = std::move(title);
    out.body = std::move(body);
    out.view = view;
    return out;
}

std::string capitalised(std::string words) {
    if (!words.empty() && words.front() >= 'a' && words.front() <= 'z')
        words.front() = static_cast<char>(words.front() - 'a' + 'A');
    return words;
}

Finding whereToGoOn(const Bench& bench, const WorkPlace& place, const FindingContext& context) {
    const auto& run = bench.run(place.run);
    const auto* plane = planeAt(run, place.depth);
    auto next = made(FindingKind::Next, "Go on at " + cellName(*plane->grid, place.cell),
                     fmt::format("{} at {}, {} under water.", configurationName(bench, configurationOf(run)),
                                 lengthText(run.height, context.unit), lengthText(place.depth, context.unit)),
                     EvidenceView::Measure);
    next.run = place.run;
    next.depth = place.depth;
    next.cell = place.cell;
    return next;
}

}  // namespace

std::vector<Finding> planFindings(const Bench& bench, const FindingContext& context) {
    std::vector<Finding> out;
    if (bench.runs.empty()) {
        out.push_back(made(FindingKind::Next, "Plan the first runs",
                           "\"Add runs\" makes them from a method: heights, depths and a grid.",
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
    out.push_back(made(FindingKind::Fact, fmt::format("{} of {} points read", read, planned),
                       doubtful > 0 ? fmt::format("{} of them are marked doubtful.", doubtful)
                                    : std::string("None is marked doubtful."),
                       EvidenceView::None));
    const auto pace = paceOf(bench);
    const auto left = estimateOf(bench.runs, pace);
    if (left.points > 0)
        out.push_back(made(
            FindingKind::Fact, fmt::format("About {} left", durationText(left.usual)),
            fmt::format("{} points on {} planes{} at {}.", left.points, left.planes,
                        durationText(left.quick) == durationText(left.slow)
                            ? std::string()
                            : fmt::format("; {} to {}", durationText(left.quick), durationText(left.slow)),
                        pace.points_timed > 0
                            ? fmt::format("your pace of {:.0f} s a point", pace.point.value())
                            : std::string("a usual pace")),
            EvidenceView::None));
    if (const auto place = whereItStopped(bench)) {
        out.push_back(whereToGoOn(bench, *place, context));
    } else {
        out.push_back(made(FindingKind::Next, "All that is planned is read",
                           "Height says how high to hang it.", EvidenceView::Height));
    }
    return out;
}

std::vector<Finding> commissionFindings(const Bench& bench, Id run, const std::string& today) {
    std::vector<Finding> out;
    int open = 0;
    std::string missing;
    for (const auto& state : commissionOf(bench, bench.run(run), today)) {
        if (state.open()) {
            ++open;
            missing += (missing.empty() ? "" : ", ") + checkName(state.kind);
            continue;
        }
        if (state.latest->passed) continue;
        auto doubt =
            made(FindingKind::Doubt,
                 capitalised(checkName(state.kind)) + (state.stops() ? " stops work" : ": overruled"),
                 state.latest->verdict, EvidenceView::Commission);
        if (!state.stops()) doubt.body += " Overruled: " + state.latest->overruled + ".";
        doubt.run = run;
        out.push_back(std::move(doubt));
    }
    if (open > 0) {
        auto next =
            made(FindingKind::Next, fmt::format("{} of {} checks are not made", open, kCheckKinds.size()),
                 capitalised(missing) + ".", EvidenceView::Commission);
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
