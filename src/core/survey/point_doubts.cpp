#include "core/survey/point_doubts.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/survey/checks.h"
#include "core/survey/field_so_far.h"
#include "core/survey/height_consistency.h"
#include "core/survey/repeatability.h"
#include "core/words/finding.h"

namespace glumet {
namespace {

class Doubts {
  public:
    Doubts(const Bench& bench, const Run& run, const Plane& plane)
        : bench_(bench), run_(run), plane_(plane) {}

    void addField() {
        for (const auto& misfit : misfitsOf(bench_, run_, plane_)) {
            if (!misfit.doubtful) continue;
            const auto& reading = plane_.readings[misfit.reading];
            const double share = std::expm1(misfit.excess);
            add(reading.x, reading.y, share,
                fmt::format("{} reads {} {} what the field around it says ({})", ppfdFigure(reading.mean),
                            percentText(std::abs(share)), share > 0.0 ? "above" : "below",
                            ppfdFigure(reading.mean * std::exp(-misfit.excess))));
        }
    }

    /// Against the fitted model.
    void addFit(const FitResult& fit) {
        const MisfitRule rule{.standard_errors = 3.0};
        if (byId(bench_.runs, run_.id) == nullptr) return;
        for (const auto& residual : residualsAgainst(fit, bench_, run_.id, plane_)) {
            const double share = residual.model > 0.0 ? residual.reading / residual.model - 1.0 : 0.0;
            if (std::abs(residual.standard_errors) <= rule.standard_errors || std::abs(share) <= rule.excess)
                continue;
            add(residual.x, residual.y, share,
                fmt::format("{} reads {} {} the fitted field ({})", ppfdFigure(Ppfd(residual.reading)),
                            percentText(std::abs(share)), share > 0.0 ? "above" : "below",
                            ppfdFigure(Ppfd(residual.model))));
        }
    }

    void addMirror() {
        if (!isSymmetric(bench_, run_)) return;
        for (const auto& doubt : mirrorDoubts(plane_))
            add(doubt.cell, doubt.difference,
                fmt::format("{} against {} at its mirror {}", ppfdFigure(doubt.value),
                            ppfdFigure(doubt.mirror_value), cellName(doubt.mirror)),
                true);
    }

    void addMarked() {
        for (const auto& reading : plane_.readings)
            if (reading.counts() && reading.flag == Mark::Doubtful)
                add(reading.x, reading.y, 0.0, reading.note.empty() ? "marked by hand" : reading.note);
    }

    void addDrift() {
        if (const auto drift = latestDrift(plane_))
            add(drift->cell, drift->change,
                fmt::format("the reference point has changed by {} since its first reading",
                            percentText(std::abs(drift->change))));
    }

    std::vector<PointDoubt> take() {
        std::stable_sort(doubts_.begin(), doubts_.end(), [](const PointDoubt& a, const PointDoubt& b) {
            return std::abs(a.excess) > std::abs(b.excess);
        });
        return std::move(doubts_);
    }

  private:
    void add(Millimetre x, Millimetre y, double excess, std::string reason) {
        if (!plane_.grid) return;
        if (const auto cell = cellAt(*plane_.grid, x, y)) add(*cell, excess, std::move(reason));
    }
    void add(Cell cell, double excess, std::string reason, bool by_mirror = false) {
        const auto same = [&](const PointDoubt& other) { return other.cell == cell; };
        if (std::none_of(doubts_.begin(), doubts_.end(), same))
            doubts_.push_back({cell, excess, std::move(reason), by_mirror});
    }

    const Bench& bench_;
    const Run& run_;
    const Plane& plane_;
    std::vector<PointDoubt> doubts_;
};

Finding doubtAt(std::string title, std::string body, Id run, Millimetre depth, EvidenceView view) {
    Finding out;
    out.kind = FindingKind::Doubt;
    out.title = std::move(title);
    out.body = std::move(body);
    out.view = view;
    out.run = run;
    out.depth = depth;
    return out;
}

void addHeights(const Bench& bench, const Sweep& sweep, const FindingContext& context,
                std::vector<Finding>& out) {
    for (const auto& misfit : heightMisfits(bench, sweep)) {
        const auto& run = bench.run(misfit.run);
        auto body = fmt::format("Its mean {} under water is {} {} what the other heights say",
                                lengthText(misfit.depth, context.unit), percentText(std::abs(misfit.excess)),
                                misfit.excess > 0.0 ? "above" : "below");
        if (std::abs(misfit.as_if_higher.value()) >= 1.0)
            body += fmt::format(", as if it hung {} {}",
                                lengthText(Millimetre(std::abs(misfit.as_if_higher.value())), context.unit),
                                misfit.as_if_higher.value() > 0.0 ? "higher" : "lower");
        out.push_back(doubtAt(lengthText(run.height, context.unit) + " does not fit the sweep",
                              body + ". Measure its height, draw and meter mode again.", misfit.run,
                              misfit.depth, EvidenceView::Field));
    }
}

void addRepeats(const Bench& bench, const Sweep& sweep, std::vector<Finding>& out) {
    const auto repeats = repeatabilityOf(bench, sweep.runs);
    if (repeats.drifts()) {
        Finding drift;
        drift.kind = FindingKind::Doubt;
        drift.title = fmt::format("The bench drifts {:+.1f} % an hour", repeats.drift_per_hour * 100.0);
        drift.body = fmt::format("± {:.1f} %, from {} returns to reference points.",
                                 repeats.drift_error * 100.0, repeats.returns);
        out.push_back(drift);
    }
    if (repeats.pairs < 3) return;
    Finding fact;
    fact.title = fmt::format("Readings repeat to {}", percentText(repeats.relative_sd));
    fact.body = fmt::format("From {} points read twice or more; it goes into every interval.", repeats.pairs);
    out.push_back(fact);
}

}  // namespace

std::vector<PointDoubt> pointDoubts(const Bench& bench, const Run& run, const Plane& plane,
                                    const FitResult* fit) {
    Doubts doubts(bench, run, plane);
    doubts.addDrift();
    // A model that does not fit at all, of a wrong layout perhaps, must not judge anybody. One that does
    // holds the mirror too.
    constexpr double kPoorFit = 2.0;
    if (fit != nullptr && fit->reduced_chi_square < kPoorFit) {
        doubts.addFit(*fit);
    } else {
        doubts.addField();
        doubts.addMirror();
    }
    doubts.addMarked();
    return doubts.take();
}

std::vector<Finding> doubtFindings(const std::vector<PointDoubt>& doubts, const Plane& plane, Id run) {
    std::vector<Finding> out;
    if (!plane.grid) return out;
    for (const auto& doubt : doubts) {
        if (doubt.by_mirror) continue;
        auto item = doubtAt(cellName(*plane.grid, doubt.cell) + " should be read again", doubt.reason + ".",
                            run, plane.depth, EvidenceView::Measure);
        item.cell = doubt.cell;
        out.push_back(std::move(item));
    }
    return out;
}

std::vector<Finding> sweepDoubts(const Bench& bench, const Sweep& sweep, const FindingContext& context) {
    std::vector<Finding> out;
    addHeights(bench, sweep, context, out);
    addRepeats(bench, sweep, out);
    return out;
}

void addBeforeNext(std::vector<Finding>& list, const std::vector<Finding>& more) {
    const auto next =
        std::find_if(list.begin(), list.end(), [](const Finding& f) { return f.kind == FindingKind::Next; });
    list.insert(next, more.begin(), more.end());
}

}  // namespace glumet
