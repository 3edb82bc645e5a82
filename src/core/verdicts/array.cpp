#include "core/verdicts/array.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/grid.h"
#include "core/placement.h"

namespace glumet {
namespace {

constexpr double kStepMm = 5.0;
constexpr double kCellMm = 100.0;
constexpr std::array kBandDepths{0.27, 0.54, 0.8};  // of the water

struct Points {
    Grid grid;
    std::vector<std::array<double, 2>> all;
};

Points pointsOf(const ArrayQuestion& q) {
    const auto cells = [](int asked, double length) {
        return asked > 0 ? asked : std::max(2, static_cast<int>(std::lround(length / kCellMm)));
    };
    Points points;
    points.grid = cellCentres(Millimetre(q.tank.length_mm), Millimetre(q.tank.width_mm),
                              cells(q.columns, q.tank.length_mm), cells(q.rows, q.tank.width_mm));
    for (const double y : points.grid.ys_mm)
        for (const double x : points.grid.xs_mm) points.all.push_back({x, y});
    return points;
}

double ringMean(const Grid& grid, const std::vector<double>& values, int ring) {
    double sum = 0.0;
    int count = 0;
    for (int row = 0; row < grid.rows(); ++row)
        for (int column = 0; column < grid.columns(); ++column) {
            if (ringOf(grid, {column, row}) != ring) continue;
            sum += values[static_cast<std::size_t>(row * grid.columns() + column)];
            ++count;
        }
    return count == 0 ? 0.0 : sum / count;
}

/// Largest departure of the light half way between neighbours from that under them, in the logarithm.
double seamOf(FastField& field, const std::vector<double>& centres, double depth_mm, double y_mm) {
    std::vector<std::array<double, 2>> points;
    for (std::size_t i = 0; i < centres.size(); ++i) {
        points.push_back({centres[i], y_mm});
        if (i + 1 < centres.size()) points.push_back({0.5 * (centres[i] + centres[i + 1]), y_mm});
    }
    const auto values = field.onPlane(Millimetre(depth_mm), points);
    double worst = 0.0;
    for (std::size_t i = 1; i + 1 < values.size(); i += 2) {
        const double under = std::sqrt(values[i - 1] * values[i + 1]);
        if (under > 0.0 && values[i] > 0.0) worst = std::max(worst, std::abs(std::log(values[i] / under)));
    }
    return worst;
}

class Spacer {
  public:
    Spacer(const LightModel& model, const ArrayQuestion& question)
        : model_(model), q_(question), points_(pointsOf(question)) {
        depth_mm_ = q_.depth ? q_.depth->value() : 0.5 * q_.tank.water_depth_mm;
    }

    Expected<SpacingAnswer> run() {
        const auto start = equalDivision(Millimetre(q_.tank.length_mm), q_.count);
        const double first = start.front().value();
        const double most = q_.count == 1 ? 0.0 : first - 0.5 * model_.body_length_mm;
        auto scene = q_.tank;
        hangAt(scene, hungAt(0.0), q_.height, 1.0, {});
        auto lit = sceneWith(model_, scene);
        if (!lit) return tl::make_unexpected(lit.error());
        FastField field(*lit);
        for (double outward = 0.0; outward <= std::max(0.0, most) + 1e-9; outward += kStepMm) {
            if (q_.stop.stop_requested()) return problem("", "cancelled");
            const auto centres = hungAt(outward);
            auto moved = *lit;
            for (std::size_t i = 0; i < centres.size(); ++i) moved.fixtures[i].x_mm = centres[i];
            field.setScene(std::move(moved));
            answer_.steps.push_back(measure(field, outward, centres));
        }
        edgeShare();
        smoothSeam();
        fillBand();
        return std::move(answer_);
    }

  private:
    std::vector<double> hungAt(double outward) const {
        std::vector<double> centres;
        for (const auto centre : equalDivision(Millimetre(q_.tank.length_mm), q_.count))
            centres.push_back(centre.value());
        if (q_.count > 1) {
            centres.front() -= outward;
            centres.back() += outward;
        }
        return centres;
    }

    SpacingStep measure(FastField& field, double outward, const std::vector<double>& centres) const {
        SpacingStep step;
        step.outward_mm = outward;
        const auto values = field.onPlane(Millimetre(depth_mm_), points_.all);
        step.edge = ringMean(points_.grid, values, 0);
        step.centre = ringMean(points_.grid, values, ringCount(points_.grid) - 1);
        step.share = step.centre > 0.0 ? step.edge / step.centre : 0.0;
        step.seam = seamOf(field, centres, depth_mm_, 0.5 * q_.tank.width_mm);
        std::vector<Millimetre> depths;
        for (const double share : kBandDepths) depths.emplace_back(share * q_.tank.water_depth_mm);
        std::vector<double> all;
        for (const auto& plane : field.onPlanes(depths, points_.all))
            all.insert(all.end(), plane.begin(), plane.end());
        const auto best = bestLevel(all, q_.band);
        step.in_band = best.share;
        step.level_pct = best.level_pct;
        return step;
    }

    std::string where(std::size_t step) const {
        if (q_.count == 1) return "one fixture in the middle";
        const auto centres = hungAt(answer_.steps[step].outward_mm);
        return fmt::format("the outermost {} apart, {} outward of equal division,",
                           lengthText(Millimetre(centres.back() - centres.front()), q_.words),
                           lengthText(Millimetre(answer_.steps[step].outward_mm), q_.words));
    }

    void add(const char* school, std::optional<std::size_t> step, double best, std::string reason) {
        SpacingVerdict verdict;
        verdict.school = school;
        verdict.best = best;
        verdict.reason = std::move(reason);
        if (step) {
            verdict.step = *step;
            verdict.centres_mm = hungAt(answer_.steps[*step].outward_mm);
        }
        answer_.schools.push_back(std::move(verdict));
    }

    void edgeShare() {
        const auto& steps = answer_.steps;
        double best = 0.0;
        for (std::size_t i = 0; i < steps.size(); ++i) {
            best = std::max(best, steps[i].share);
            if (steps[i].share < q_.share) continue;
            return add("edge-share", i, steps[i].share,
                       fmt::format("With {} the outer ring has {} of the centre's {:.0f}, {} under water.",
                                   where(i), percentText(steps[i].share), steps[i].centre,
                                   lengthText(Millimetre(depth_mm_), q_.words)));
        }
        add("edge-share", std::nullopt, best,
            fmt::format("No spacing reaches {} before the bodies meet the tank's ends; the best is {}.",
                        percentText(q_.share), percentText(best)));
    }

    void smoothSeam() {
        if (q_.count < 2) return add("smooth-seam", std::nullopt, 0.0, "One fixture has no seam.");
        std::size_t best = 0;
        for (std::size_t i = 0; i < answer_.steps.size(); ++i)
            if (answer_.steps[i].seam < answer_.steps[best].seam) best = i;
        const double apart = std::expm1(answer_.steps[best].seam);
        add("smooth-seam", best, apart,
            fmt::format("With {} the light between neighbours differs by {} from that under them.",
                        where(best), percentText(apart)));
    }

    void fillBand() {
        std::size_t best = 0;
        for (std::size_t i = 0; i < answer_.steps.size(); ++i)
            if (answer_.steps[i].in_band > answer_.steps[best].in_band + 1e-9) best = i;
        const auto& step = answer_.steps[best];
        if (step.in_band <= 0.0)
            return add("band-fill", std::nullopt, 0.0,
                       "No point reaches the band at any spacing, however dimmed.");
        add("band-fill", best, step.in_band,
            fmt::format("With {} at {:.0f} % output {} of the points lie in the band, over three depths.",
                        where(best), step.level_pct, percentText(step.in_band)));
    }

    const LightModel& model_;
    const ArrayQuestion& q_;
    Points points_;
    double depth_mm_ = 0.0;
    SpacingAnswer answer_;
};

}  // namespace

std::optional<Problem> ArrayQuestion::invalid() const {
    if (count < 1 || count > 20) return Problem{"count", "must lie between 1 and 20"};
    if (!(height.value() > 0.0 && height.value() < 1e5)) return Problem{"height", "must be above 0 mm"};
    if (!(share > 0.0 && share <= 1.5)) return Problem{"share", "must lie between 0 and 150 %"};
    if (depth && !(depth->value() >= 0.0 && depth->value() <= tank.water_depth_mm))
        return Problem{"depth", "must lie within the water"};
    if (columns < 0 || rows < 0 || columns > 200 || rows > 200)
        return Problem{"grid", "must have 1 to 200 cells a side"};
    return std::nullopt;
}

Expected<SpacingAnswer> spacing(const LightModel& model, const ArrayQuestion& question) {
    if (const auto wrong = question.invalid()) return tl::make_unexpected(*wrong);
    return Spacer(model, question).run();
}

Expected<std::vector<CountRow>> counts(const LightModel& model, ArrayQuestion question, double goal,
                                       int most) {
    std::vector<CountRow> rows;
    for (int count = 1; count <= most; ++count) {
        if (model.body_length_mm * count > question.tank.length_mm) break;
        question.count = count;
        const auto answer = spacing(model, question);
        if (!answer) return tl::make_unexpected(answer.error());
        const auto& fill = answer->schools.back();
        const auto& step = answer->steps[fill.step];
        rows.push_back({count, fill.best, step.level_pct, fill.centres_mm});
        if (fill.best >= goal) break;
    }
    return rows;
}

IntensityVerdict intensity(const std::vector<double>& values, const Band& band) {
    IntensityVerdict out;
    out.best = bestLevel(values, band);
    const auto at = [&](double level) {
        const auto inside = std::count_if(values.begin(), values.end(),
                                          [&](double v) { return band.contains(Ppfd(v * level / 100.0)); });
        return values.empty() ? 0.0 : static_cast<double>(inside) / static_cast<double>(values.size());
    };
    out.five_less = at(std::max(0.0, out.best.level_pct - 5.0));
    out.five_more = at(std::min(100.0, out.best.level_pct + 5.0));
    out.reason = out.best.share <= 0.0
                     ? "No level up to 100 % brings any point into the band."
                     : fmt::format(
                           "{:.0f} % puts {} of the points into the band; 5 % less leaves {}, 5 % more {}. "
                           "Anything from {:.0f} to {:.0f} % does about as well.",
                           out.best.level_pct, percentText(out.best.share), percentText(out.five_less),
                           percentText(out.five_more), out.best.plateau_low_pct, out.best.plateau_high_pct);
    return out;
}

}  // namespace glumet
