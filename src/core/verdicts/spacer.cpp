#include <algorithm>
#include <cmath>
#include <functional>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/verdicts/array.h"
#include "core/verdicts/band_fill.h"
#include "core/verdicts/spacing_interval.h"

namespace glumet {
namespace {

constexpr double kCellMm = 100.0;

enum class Asked { AllSchools, BandFill };

class Spacer {
  public:
    Spacer(const LightModel& model, const ArrayQuestion& question, Asked asked,
           std::optional<FastField>& field)
        : model_(model),
          q_(question),
          all_schools_(asked == Asked::AllSchools),
          points_(arrayPoints(question)),
          room_(roomOf(model, question)),
          field_(field) {
        depth_mm_ = spacingDepth(q_).value();
    }

    Expected<SpacingAnswer> run() {
        start_ = equallyHung(model_, q_);
        if (start_.empty())
            return problem("count", say(GLUMET_SAY("Core",
                                                   "of {} does not fit: the bodies would overlap, cross a "
                                                   "brace or reach beyond the room there is"),
                                        Count{q_.count}));
        auto lit = hung(model_, q_, start_);
        if (!lit) return tl::make_unexpected(lit.error());
        if (field_)
            field_->setScene(std::move(*lit));
        else
            field_.emplace(std::move(*lit));
        for (double outward = 0.0;; outward += q_.step.value()) {
            if (q_.stop.stop_requested()) return problem("", say(GLUMET_SAY("Core", "cancelled")));
            const auto centres = hungAt(outward);
            if (outward > 0.0 && (centres.front() < room_.low() - 1e-9 || q_.count == 1)) break;
            if (outward == 0.0 || room_.allows(centres)) answer_.steps.push_back(measure(outward, centres));
        }
        if (all_schools_) {
            edgeShare();
            smoothSeam();
        }
        fillBand();
        answer_.asked = q_;
        answer_.used = model_;
        return std::move(answer_);
    }

  private:
    std::vector<double> hungAt(double outward) const {
        auto centres = start_;
        if (centres.size() < 2) return centres;
        centres.front() -= outward;
        centres.back() += outward;
        if (q_.inner == InnerOnes::Spread)
            for (std::size_t i = 1; i + 1 < centres.size(); ++i)
                centres[i] = centres.front() + (centres.back() - centres.front()) * static_cast<double>(i) /
                                                   static_cast<double>(centres.size() - 1);
        return centres;
    }

    void light(const std::vector<double>& centres) {
        auto scene = field_->scene();
        for (std::size_t i = 0; i < centres.size(); ++i)
            (q_.along == RowAlong::Length ? scene.fixtures[i].x_mm : scene.fixtures[i].y_mm) = centres[i];
        field_->setScene(std::move(scene));
    }

    void addRings(SpacingStep& step) {
        const auto values = field_->onPlane(Millimetre(depth_mm_), points_.all);
        step.edge = ringMean(points_.grid, values, 0);
        step.centre = ringMean(points_.grid, values, ringCount(points_.grid) - 1);
        step.share = step.centre > 0.0 ? step.edge / step.centre : 0.0;
    }

    void addSeam(const std::vector<double>& centres, SpacingStep& step) {
        const auto seam = widestSeam(field_->onPlane(Millimetre(depth_mm_), seamPoints(q_, centres)));
        step.seam = seam.apart;
        step.between = seam.between;
        step.under = seam.under;
    }

    SpacingStep measure(double outward, const std::vector<double>& centres) {
        light(centres);
        SpacingStep step;
        step.centres_mm = centres;
        step.outward_mm = outward;
        if (all_schools_) {
            addRings(step);
            addSeam(centres, step);
        }
        const auto level = goalLevel(litPoints(*field_, q_, q_.goal), q_.goal);
        step.in_band = level.best.share;
        step.level_pct = level.best.level_pct;
        step.keeps = level.keeps();
        return step;
    }

    /// Moves each fixture by itself as long as `worse` says it helps: 20, 10, then 5 mm.
    SpacingStep refined(SpacingStep best,
                        const std::function<bool(const SpacingStep&, const SpacingStep&)>& worse) {
        if (q_.symmetric) return best;
        for (const double by : {20.0, 10.0, 5.0})
            for (bool better = true; better && !q_.stop.stop_requested();) {
                better = false;
                for (std::size_t i = 0; i < best.centres_mm.size(); ++i)
                    for (const double sign : {-1.0, 1.0}) {
                        auto centres = best.centres_mm;
                        centres[i] += sign * by;
                        if (!room_.allows(centres)) continue;
                        auto tried = measure(best.outward_mm, centres);
                        if (!worse(best, tried)) continue;
                        best = std::move(tried);
                        better = true;
                    }
            }
        return best;
    }

    Words where(const SpacingStep& step) const {
        const auto& c = step.centres_mm;
        if (c.size() == 1) return say(GLUMET_SAY("Core", "one fixture in the middle"));
        const Millimetre apart(c.back() - c.front());
        if (c != hungAt(step.outward_mm))
            return say(GLUMET_SAY("Core", "the outermost {} apart, each moved by itself,"), apart);
        return say(GLUMET_SAY("Core", "the outermost {} apart, {} outward of equal division,"), apart,
                   Millimetre(step.outward_mm));
    }

    void add(SpacingSchool school, std::optional<std::size_t> index, const SpacingStep* step, double best,
             Words reason) {
        SpacingVerdict verdict;
        verdict.school = school;
        if (school == SpacingSchool::EdgeShare) verdict.asked = q_.share;
        verdict.best = best;
        verdict.reason = std::move(reason);
        if (index) verdict.step = *index;
        if (step != nullptr) {
            verdict.centres_mm = step->centres_mm;
            verdict.level_pct = step->level_pct;
            verdict.seam = step->seam;
            verdict.between = step->between;
            verdict.under = step->under;
        }
        answer_.schools.push_back(std::move(verdict));
    }

    void edgeShare() {
        const auto& steps = answer_.steps;
        double best = 0.0;
        for (std::size_t i = 0; i < steps.size(); ++i) {
            best = std::max(best, steps[i].share);
            if (steps[i].share < q_.share) continue;
            return add(
                SpacingSchool::EdgeShare, i, &steps[i], steps[i].share,
                say(GLUMET_SAY("Core", "With {} the outer ring has {} of the centre's {}, {} under water."),
                    where(steps[i]), Share{steps[i].share}, Figure{steps[i].centre, 0},
                    Millimetre(depth_mm_)));
        }
        add(SpacingSchool::EdgeShare, std::nullopt, nullptr, best,
            say(GLUMET_SAY("Core", "No spacing reaches {} within the room there is; the best is {}."),
                Share{q_.share}, Share{best}));
    }

    std::size_t firstBest(const std::function<bool(const SpacingStep&, const SpacingStep&)>& worse) const {
        std::size_t best = 0;
        for (std::size_t i = 1; i < answer_.steps.size(); ++i)
            if (worse(answer_.steps[best], answer_.steps[i])) best = i;
        return best;
    }

    void smoothSeam() {
        if (q_.count < 2)
            return add(SpacingSchool::SmoothSeam, std::nullopt, nullptr, 0.0,
                       say(GLUMET_SAY("Core", "One fixture has no seam.")));
        const auto worse = [](const SpacingStep& a, const SpacingStep& b) { return b.seam < a.seam - 1e-12; };
        const auto index = firstBest(worse);
        const auto step = refined(answer_.steps[index], worse);
        const double apart = std::expm1(step.seam);
        add(SpacingSchool::SmoothSeam, index, &step, apart,
            say(GLUMET_SAY("Core",
                           "With {} the light between neighbours differs by {} from that under them."),
                where(step), Share{apart}));
    }

    void fillBand() {
        const auto worse = [](const SpacingStep& a, const SpacingStep& b) {
            return a.keeps != b.keeps ? b.keeps : b.in_band > a.in_band + 1e-9;
        };
        const auto index = firstBest(worse);
        const auto step = refined(answer_.steps[index], worse);
        if (step.in_band <= 0.0)
            return add(SpacingSchool::BandFill, std::nullopt, nullptr, 0.0,
                       say(GLUMET_SAY("Core", "No point reaches the band at any spacing, however dimmed.")));
        Words reason = say(q_.over == Over::Points
                               ? GLUMET_SAY("Core", "With {} at {} % output {} of the points lie in {}.")
                               : GLUMET_SAY("Core", "With {} at {} % output {} of the volume lies in {}."),
                           where(step), Figure{step.level_pct, 0}, Share{step.in_band},
                           PpfdSpan{q_.goal.band.low, q_.goal.band.high});
        if (!step.keeps) reason += say(GLUMET_SAY("Core", "Ceiling and floor cannot both be kept."));
        add(SpacingSchool::BandFill, index, &step, step.in_band, std::move(reason));
    }

    const LightModel& model_;
    const ArrayQuestion& q_;
    bool all_schools_;
    ArrayPoints points_;
    RowRoom room_;
    std::optional<FastField>& field_;
    std::vector<double> start_;
    double depth_mm_ = 0.0;
    SpacingAnswer answer_;
};

}  // namespace

ArrayPoints arrayPoints(const ArrayQuestion& q) {
    const auto cells = [](int asked, double length) {
        return asked > 0 ? asked : std::max(2, static_cast<int>(std::lround(length / kCellMm)));
    };
    ArrayPoints points;
    points.grid = cellCentres(Millimetre(q.tank.length_mm), Millimetre(q.tank.width_mm),
                              cells(q.columns, q.tank.length_mm), cells(q.rows, q.tank.width_mm));
    for (const double y : points.grid.ys_mm)
        for (const double x : points.grid.xs_mm) points.all.push_back({x, y});
    return points;
}

Expected<SpacingAnswer> bandFill(const LightModel& model, const ArrayQuestion& question,
                                 std::optional<FastField>& field) {
    if (const auto wrong = question.invalid()) return tl::make_unexpected(*wrong);
    return Spacer(model, question, Asked::BandFill, field).run();
}

Expected<SpacingAnswer> spacing(const LightModel& model, const ArrayQuestion& question) {
    if (const auto wrong = question.invalid()) return tl::make_unexpected(*wrong);
    std::optional<FastField> field;
    auto answer = Spacer(model, question, Asked::AllSchools, field).run();
    if (answer) addSpacingIntervals(*answer);
    return answer;
}

}  // namespace glumet
