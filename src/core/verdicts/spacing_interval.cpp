#include "core/verdicts/spacing_interval.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/fit/posterior_draws.h"

namespace glumet {
namespace {

constexpr std::uint64_t kStepSeed = 1;

/// Light on planes of one layout, for any draw: what the row gives by the draw, and what hangs beside it.
class DrawnLayout {
  public:
    DrawnLayout(const SpacingAnswer& answer, const std::vector<double>& centres,
                const std::vector<Millimetre>& depths, const std::vector<std::array<double, 2>>& points)
        : row_(answer.used, rowOf(answer, centres), spread(depths, points)) {
        const auto& q = answer.asked;
        if (q.companions.empty()) return;
        auto lit = hung(answer.used, q, centres);
        if (!lit) return;
        lit->fixtures.erase(lit->fixtures.begin(),
                            lit->fixtures.begin() + static_cast<std::ptrdiff_t>(centres.size()));
        FastField beside(std::move(*lit));
        for (const auto& plane : beside.onPlanes(depths, points))
            beside_.insert(beside_.end(), plane.begin(), plane.end());
    }

    std::vector<double> values(const Eigen::VectorXd& draw) const {
        auto all = row_.values(draw);
        for (std::size_t i = 0; i < beside_.size(); ++i) all[i] += beside_[i];
        return all;
    }

  private:
    static LightScene rowOf(const SpacingAnswer& answer, const std::vector<double>& centres) {
        auto scene = answer.asked.tank;
        hangRow(scene, answer.asked, centres);
        return scene;
    }
    static std::vector<BasisField::Point> spread(const std::vector<Millimetre>& depths,
                                                 const std::vector<std::array<double, 2>>& points) {
        std::vector<BasisField::Point> all;
        for (const auto depth : depths)
            for (const auto& at : points) all.push_back({at[0], at[1], depth.value()});
        return all;
    }

    DrawnField row_;
    std::vector<double> beside_;
};

/// A school's figure of the values it weighs.
double figureOf(const SpacingVerdict& verdict, const ArrayQuestion& q, const ArrayPoints& points,
                const std::vector<double>& values) {
    switch (verdict.school) {
        case SpacingSchool::EdgeShare: {
            const double centre = ringMean(points.grid, values, ringCount(points.grid) - 1);
            return centre > 0.0 ? ringMean(points.grid, values, 0) / centre : 0.0;
        }
        case SpacingSchool::SmoothSeam:
            return std::expm1(widestSeam(values).apart);
        case SpacingSchool::BandFill:
            break;
    }
    return sharesByLevel(values, q.goal.band)[static_cast<std::size_t>(verdict.level_pct)];
}

DrawnLayout layoutFor(const SpacingVerdict& verdict, const SpacingAnswer& answer, const ArrayPoints& points) {
    const auto& q = answer.asked;
    const auto& centres = verdict.centres_mm;
    if (verdict.school == SpacingSchool::SmoothSeam)
        return {answer, centres, {spacingDepth(q)}, seamPoints(q, centres)};
    if (verdict.school == SpacingSchool::EdgeShare) return {answer, centres, {spacingDepth(q)}, points.all};
    return {answer, centres, judgedDepths(q.goal, Millimetre(q.tank.water_depth_mm), q.over), points.all};
}

}  // namespace

Millimetre spacingDepth(const ArrayQuestion& q) {
    return q.depth.value_or(Millimetre(0.5 * q.tank.water_depth_mm));
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

std::vector<std::array<double, 2>> seamPoints(const ArrayQuestion& q, const std::vector<double>& centres) {
    std::vector<std::array<double, 2>> points;
    const auto add = [&](double along) {
        if (q.along == RowAlong::Length)
            points.push_back({along, 0.5 * q.tank.width_mm});
        else
            points.push_back({0.5 * q.tank.length_mm, along});
    };
    for (std::size_t i = 0; i < centres.size(); ++i) {
        add(centres[i]);
        if (i + 1 < centres.size()) add(0.5 * (centres[i] + centres[i + 1]));
    }
    return points;
}

Seam widestSeam(const std::vector<double>& values) {
    Seam widest;
    for (std::size_t i = 1; i + 1 < values.size(); i += 2) {
        const double under = std::sqrt(values[i - 1] * values[i + 1]);
        if (under <= 0.0 || values[i] <= 0.0) continue;
        const double apart = std::abs(std::log(values[i] / under));
        if (apart >= widest.apart) widest = {apart, values[i], under};
    }
    return widest;
}

void addSpacingIntervals(SpacingAnswer& answer) {
    if (answer.asked.draws <= 0) return;
    const auto points = arrayPoints(answer.asked);
    // The schools are judged by the same fixtures.
    PosteriorDraws posterior(answer.used, kStepSeed);
    std::vector<Eigen::VectorXd> draws;
    for (int draw = 0; draw < answer.asked.draws; ++draw) draws.push_back(posterior.next());
    for (auto& school : answer.schools) {
        if (!school.speaks() || answer.asked.stop.stop_requested()) continue;
        const auto layout = layoutFor(school, answer, points);
        std::vector<double> figures;
        for (const auto& draw : draws)
            figures.push_back(figureOf(school, answer.asked, points, layout.values(draw)));
        const auto middle = middle95(std::move(figures));
        school.low = std::min(middle->first, school.best);
        school.high = std::max(middle->second, school.best);
        school.reason +=
            say(GLUMET_SAY("Core", "By the fit {} to {}."), Share{*school.low}, Share{*school.high});
    }
}

}  // namespace glumet
