#include "core/survey/point_doubts.h"

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
            const auto* message =
                share > 0.0 ? GLUMET_SAY("Core", "{} reads {} above what the field around it says ({})")
                            : GLUMET_SAY("Core", "{} reads {} below what the field around it says ({})");
            add(reading.x, reading.y, share,
                say(message, reading.mean, Share{std::abs(share)}, reading.mean * std::exp(-misfit.excess)));
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
            const auto* message = share > 0.0 ? GLUMET_SAY("Core", "{} reads {} above the fitted field ({})")
                                              : GLUMET_SAY("Core", "{} reads {} below the fitted field ({})");
            add(residual.x, residual.y, share,
                say(message, Ppfd(residual.reading), Share{std::abs(share)}, Ppfd(residual.model)));
        }
    }

    void addMirror() {
        if (!isSymmetric(bench_, run_)) return;
        for (const auto& doubt : mirrorDoubts(plane_))
            add(doubt.cell, doubt.difference,
                say(GLUMET_SAY("Core", "{} against {} at its mirror {}"), doubt.value, doubt.mirror_value,
                    cellName(doubt.mirror)),
                true);
    }

    void addMarked() {
        for (const auto& reading : plane_.readings)
            if (reading.counts() && reading.flag == Mark::Doubtful)
                add(reading.x, reading.y, 0.0,
                    reading.note.empty() ? say(GLUMET_SAY("Core", "marked by hand"))
                                         : verbatim(reading.note));
    }

    void addDrift() {
        if (const auto drift = latestDrift(plane_))
            add(drift->cell, drift->change,
                say(GLUMET_SAY("Core", "the reference point has changed by {} since its first reading"),
                    Share{std::abs(drift->change)}));
    }

    std::vector<PointDoubt> take() {
        std::stable_sort(doubts_.begin(), doubts_.end(), [](const PointDoubt& a, const PointDoubt& b) {
            return std::abs(a.excess) > std::abs(b.excess);
        });
        return std::move(doubts_);
    }

  private:
    void add(Millimetre x, Millimetre y, double excess, Words reason) {
        if (!plane_.grid) return;
        if (const auto cell = cellAt(*plane_.grid, x, y)) add(*cell, excess, std::move(reason));
    }
    void add(Cell cell, double excess, Words reason, bool by_mirror = false) {
        const auto same = [&](const PointDoubt& other) { return other.cell == cell; };
        if (std::none_of(doubts_.begin(), doubts_.end(), same))
            doubts_.push_back({cell, excess, std::move(reason), by_mirror});
    }

    const Bench& bench_;
    const Run& run_;
    const Plane& plane_;
    std::vector<PointDoubt> doubts_;
};

Finding doubtAt(Words title, Words body, Id run, Millimetre depth, EvidenceView view) {
    Finding out;
    out.kind = FindingKind::Doubt;
    out.title = std::move(title);
    out.body = std::move(body);
    out.view = view;
    out.run = run;
    out.depth = depth;
    return out;
}

void addHeights(const Bench& bench, const Sweep& sweep, std::vector<Finding>& out) {
    for (const auto& misfit : heightMisfits(bench, sweep)) {
        const auto& run = bench.run(misfit.run);
        const bool above = misfit.excess > 0.0;
        Words body =
            say(above ? GLUMET_SAY("Core", "Its mean {} under water is {} above what the other heights say.")
                      : GLUMET_SAY("Core", "Its mean {} under water is {} below what the other heights say."),
                misfit.depth, Share{std::abs(misfit.excess)});
        const double off = misfit.as_if_higher.value();
        if (std::abs(off) >= 1.0)
            body += say(off > 0.0 ? GLUMET_SAY("Core", "It reads as if it hung {} higher.")
                                  : GLUMET_SAY("Core", "It reads as if it hung {} lower."),
                        Millimetre(std::abs(off)));
        body += say(GLUMET_SAY("Core", "Measure its height, draw and meter mode again."));
        out.push_back(doubtAt(say(GLUMET_SAY("Core", "{} does not fit the sweep"), run.height),
                              std::move(body), misfit.run, misfit.depth, EvidenceView::Field));
    }
}

void addRepeats(const Bench& bench, const Sweep& sweep, std::vector<Finding>& out) {
    const auto repeats = repeatabilityOf(bench, sweep.runs);
    if (repeats.drifts()) {
        Finding drift;
        drift.kind = FindingKind::Doubt;
        drift.title = say(GLUMET_SAY("Core", "The bench drifts {} % an hour"),
                          Figure{repeats.drift_per_hour * 100.0, 1, true});
        drift.body = sayCounted(GLUMET_SAY_N("Core", "± {} %, from {} returns to reference points."),
                                Figure{repeats.drift_error * 100.0, 1}, Count{repeats.returns});
        out.push_back(drift);
    }
    if (repeats.pairs < 3) return;
    Finding fact;
    fact.title = say(GLUMET_SAY("Core", "Readings repeat to {}"), Share{repeats.relative_sd});
    fact.body =
        sayCounted(GLUMET_SAY_N("Core", "From {} points read twice or more; it goes into every interval."),
                   Count{repeats.pairs});
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
        auto item =
            doubtAt(say(GLUMET_SAY("Core", "{} should be read again"), cellName(*plane.grid, doubt.cell)),
                    say(GLUMET_SAY("Core", "{}."), doubt.reason), run, plane.depth, EvidenceView::Measure);
        item.cell = doubt.cell;
        out.push_back(std::move(item));
    }
    return out;
}

std::vector<Finding> sweepDoubts(const Bench& bench, const Sweep& sweep) {
    std::vector<Finding> out;
    addHeights(bench, sweep, out);
    addRepeats(bench, sweep, out);
    return out;
}

void addBeforeNext(std::vector<Finding>& list, const std::vector<Finding>& more) {
    const auto next =
        std::find_if(list.begin(), list.end(), [](const Finding& f) { return f.kind == FindingKind::Next; });
    list.insert(next, more.begin(), more.end());
}

}  // namespace glumet
