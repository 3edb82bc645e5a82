#include "core/verdicts/fitted_heights.h"

#include <Eigen/Core>
#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/plane_grid.h"
#include "core/bench/sweep.h"
#include "core/fit/bench_scene.h"
#include "core/fit/posterior_draws.h"
#include "core/linear/linear.h"

namespace glumet {
namespace {

using Rows = Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>;

/// The sweep's planes at heights that were not read, ready to be filled with any beam.
class ModelledSweep {
  public:
    ModelledSweep(const FitResult& fit, const Bench& bench, const Sweep& sweep, const Tank& tank,
                  const FittedHeightsQuestion& question)
        : fit_(fit) {
        const auto& first = bench.run(sweep.runs.front());
        const auto grid = *gridOf(first.planes.front(), tank);
        bench_.fixtures = bench.fixtures;
        bench_.tanks = bench.tanks;
        const double low = first.height.value();
        const double high = bench.run(sweep.runs.back()).height.value() + question.beyond_mm;
        for (double h = low; h <= high + 1e-9; h += question.step_mm) {
            Run run = first;
            run.id = static_cast<Id>(bench_.runs.size()) + 1;
            run.planes.clear();
            run.height = Millimetre(h);
            for (const auto depth : depthsOf(bench, sweep)) {
                Plane plane;
                plane.depth = depth;
                plane.grid = grid;
                for (const auto cell : serpentine(grid)) {
                    Reading reading;
                    reading.x = Millimetre(grid.xs_mm[static_cast<std::size_t>(cell.column)]);
                    reading.y = Millimetre(grid.ys_mm[static_cast<std::size_t>(cell.row)]);
                    plane.readings.push_back(reading);
                }
                run.planes.push_back(std::move(plane));
            }
            bench_.runs.push_back(std::move(run));
        }
        step_mm_ = question.step_mm;
        tabulate(tank, first);
    }

    /// The bench with the light of these parameters.
    const Bench& lit(const Eigen::VectorXd& parameters) {
        const Eigen::VectorXd values = rows_ * parameters.head(parameters.size() - 1);
        const double offset = parameters(parameters.size() - 1) - fit_.model.height_offset_mm;
        const auto of_run = values.size() / static_cast<Eigen::Index>(bench_.runs.size());
        Eigen::Index at = 0;
        for (std::size_t r = 0; r < bench_.runs.size(); ++r)
            for (auto& plane : bench_.runs[r].planes)
                for (auto& reading : plane.readings) {
                    // A height offset is a step along the heights: taken from the neighbours' difference.
                    const Eigen::Index below = r == 0 ? at : at - of_run;
                    const Eigen::Index above = r + 1 == bench_.runs.size() ? at : at + of_run;
                    const double apart = step_mm_ * static_cast<double>((above - below) / of_run);
                    const double slope = apart > 0.0 ? (values(above) - values(below)) / apart : 0.0;
                    reading.mean = Ppfd(std::max(0.0, values(at) + offset * slope));
                    ++at;
                }
        return bench_;
    }

  private:
    void tabulate(const Tank& tank, const Run& first) {
        const auto scene = tankByFit(fit_, tank, first.water == WaterState::Dry);
        std::vector<double> all;
        for (const auto& run : bench_.runs) {
            auto here = scene;
            hangRun(here, run, run.height, run.level_pct.value_or(100.0) / 100.0, {});
            std::vector<BasisField::Point> points;
            for (const auto& plane : run.planes)
                for (const auto& r : plane.readings)
                    points.push_back({r.x.value(), r.y.value(), plane.depth.value()});
            const auto rows =
                fit_.model.over(here, fit_.model.height_offset_mm, fit_.attenuation_per_m).rows(points);
            all.insert(all.end(), rows.begin(), rows.end());
        }
        const auto size = static_cast<Eigen::Index>(fit_.model.beam.size());
        rows_ = Eigen::Map<const Rows>(all.data(), static_cast<Eigen::Index>(all.size()) / size, size);
    }

    const FitResult& fit_;
    Bench bench_;
    Rows rows_;
    double step_mm_ = 10.0;
};

/// Adds what the schools' answers change by along a direction of the parameters, one standard deviation to
/// either side. A side that silences a school tells nothing of it.
class Slopes {
  public:
    Slopes(const LightModel& model, int most) {
        const auto size = static_cast<Eigen::Index>(model.parameters());
        const Eigen::Map<const Eigen::MatrixXd> covariance(model.covariance.data(), size, size);
        const auto solved = eigenPairs(covariance);
        const auto count = std::min<Eigen::Index>(most, size);
        axes_ = solved.vectors.rightCols(count);
        variances_ = solved.values.tail(count).cwiseMax(0.0);
    }

    Eigen::Index count() const { return variances_.size(); }
    Eigen::VectorXd step(Eigen::Index k) const { return axes_.col(k) * std::sqrt(variances_(k)); }

    void add(Eigen::Index k, std::optional<double> up, std::optional<double> down,
             std::vector<double>& slope) const {
        if (!up || !down || variances_(k) <= 0.0) return;
        slope.resize(static_cast<std::size_t>(axes_.rows()));
        const double by = (*up - *down) / (2.0 * std::sqrt(variances_(k)));
        for (Eigen::Index i = 0; i < axes_.rows(); ++i)
            slope[static_cast<std::size_t>(i)] += by * axes_(i, k);
    }

  private:
    Eigen::MatrixXd axes_;
    Eigen::VectorXd variances_;
};

std::optional<double> answerOf(const SchoolVerdict& verdict) {
    if (verdict.crossing) return verdict.crossing->value();
    return verdict.height ? std::optional(verdict.height->value()) : std::nullopt;
}

/// The middle 95 % of the answers, the fit's own among them.
void spread(const std::vector<double>& answers, FittedHeight& out) {
    const auto middle = middle95(answers);
    if (!middle) return;
    out.low = Millimetre(std::min(middle->first, out.height->value()));
    out.high = Millimetre(std::max(middle->second, out.height->value()));
}

}  // namespace

std::vector<FittedHeight> fittedHeights(const FitResult& fit, const Bench& bench, const Sweep& sweep,
                                        const FittedHeightsQuestion& question) {
    std::vector<FittedHeight> out;
    const auto* tank = byId(bench.tanks, sweep.configuration.tank);
    if (tank == nullptr || sweep.configuration.fixtures != 1 || sweep.runs.empty()) return out;
    const auto& first = bench.run(sweep.runs.front());
    if (first.planes.empty() || !gridOf(first.planes.front(), *tank)) return out;
    ModelledSweep modelled(fit, bench, sweep, *tank, question);
    const auto ask = [&](const Eigen::VectorXd& parameters) {
        const auto& lit = modelled.lit(parameters);
        return heightSchools(lit, sweepsOf(lit).front(), question.schools);
    };
    PosteriorDraws draws(fit.model, question.seed);
    for (const auto& verdict : ask(draws.mean())) {
        FittedHeight height;
        height.school = verdict.school;
        height.asked = question.schools;
        height.used = runsOf(fit);
        height.reason = verdict.reason;
        if (const auto answer = answerOf(verdict)) height.height = Millimetre(*answer);
        out.push_back(std::move(height));
    }
    const Slopes slopes(fit.model, question.directions);
    for (Eigen::Index k = 0; k < slopes.count() && !question.stop.stop_requested(); ++k) {
        const auto up = ask(draws.mean() + slopes.step(k));
        const auto down = ask(draws.mean() - slopes.step(k));
        for (std::size_t i = 0; i < out.size(); ++i)
            slopes.add(k, answerOf(up[i]), answerOf(down[i]), out[i].slope);
    }
    std::vector<std::vector<double>> answers(out.size());
    for (int draw = 0; draw < question.draws && !question.stop.stop_requested(); ++draw) {
        const auto verdicts = ask(draws.next());
        for (std::size_t i = 0; i < verdicts.size(); ++i)
            if (const auto answer = answerOf(verdicts[i])) answers[i].push_back(*answer);
        question.progress((draw + 1.0) / question.draws);
    }
    for (std::size_t i = 0; i < out.size(); ++i) {
        const bool often = 2 * answers[i].size() > static_cast<std::size_t>(question.draws);
        if (!often) out[i].height.reset();
        if (!out[i].speaks()) out[i].slope.clear();
        if (out[i].speaks() && often) spread(answers[i], out[i]);
    }
    return out;
}

Words fittedHeightWords(const FittedHeight& verdict) {
    if (!verdict.height) return say(GLUMET_SAY("Core", "silent"));
    if (!verdict.low || !verdict.high) return say("{}", *verdict.height);
    return say("{}, {}", *verdict.height, LengthSpan{*verdict.low, *verdict.high});
}

}  // namespace glumet
