#include "core/survey/field_so_far.h"

#include <Eigen/Core>
#include <algorithm>
#include <cmath>

#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/linear/linear.h"
#include "core/survey/checks.h"

namespace glumet {
namespace {

// Reach of the field's parts, mm, and their size in the logarithm. Set by maximum likelihood over simulated
// fixtures (benchmarks/check_report.cpp) and rounded.
constexpr double kLongReach = 800.0;
constexpr double kLongSize = 1.1;
constexpr double kShortReach = 120.0;
constexpr double kShortSize = 0.3;
constexpr double kDepthStretch = 1.9;   // the field changes slower with depth …
constexpr double kHeightStretch = 1.4;  // … and with height than across
constexpr double kTrendSize = 3.0;
constexpr double kRunShift = 0.02;
constexpr double kPlaneShift = 0.033;
constexpr double kAsymmetricShare = 0.006;  // of the variance, where all is symmetric
constexpr double kLeastNoise = 0.02;
constexpr double kUnknownRipple = 0.02;
constexpr double kScale = 300.0;  // mm, of the trend's coordinates
constexpr std::size_t kLeastReadings = 6;
constexpr std::size_t kMostEvidence = 320;
constexpr int kMostSetAside = 12;

/// One reading as the process sees it.
struct Evidence {
    double x, y, depth, height;
    double log_value;
    double noise;  // variance
    std::size_t run;
    std::size_t plane;
    std::ptrdiff_t reading;  // index into the judged plane's readings; −1 for all others
};

double square(double value) { return value * value; }

double smooth(const Evidence& a, const Evidence& b, double bx, double reach) {
    const double apart = square(a.x - bx) + square(a.y - b.y) + square((a.depth - b.depth) / kDepthStretch) +
                         square((a.height - b.height) / kHeightStretch);
    return std::exp(-0.5 * apart / (reach * reach));
}

double parts(const Evidence& a, const Evidence& b, double bx) {
    return square(kLongSize) * smooth(a, b, bx, kLongReach) +
           square(kShortSize) * smooth(a, b, bx, kShortReach);
}

double trend(const Evidence& a, const Evidence& b, double middle_x, double middle_y) {
    const auto basis = [&](const Evidence& e) {
        const double x = (e.x - middle_x) / kScale;
        const double y = (e.y - middle_y) / kScale;
        const double d = e.depth / kScale;
        const double h = e.height / kScale;
        return std::array{1.0, x * x, y, y * y, d, h, d * h, d * d, h * h};
    };
    const auto at = basis(a);
    const auto bt = basis(b);
    double sum = 0.0;
    for (std::size_t i = 0; i < at.size(); ++i) sum += at[i] * bt[i];
    return square(kTrendSize) * sum;
}

/// Relative change of a plane's readings per mm beside one of them: over its nearest neighbours.
double steepnessAt(const Plane& plane, const Reading& here) {
    double sum = 0.0;
    int count = 0;
    std::vector<std::pair<double, double>> near;  // distance, relative change per mm
    for (const auto& other : plane.readings) {
        if (!other.counts() || &other == &here || other.mean.value() <= 0.0) continue;
        const double apart = std::hypot((other.x - here.x).value(), (other.y - here.y).value());
        if (apart > kSamePointMm)
            near.emplace_back(apart, std::abs(std::log(other.mean / here.mean)) / apart);
    }
    std::sort(near.begin(), near.end());
    for (const auto& [apart, change] : near) {
        if (count == 4 || apart > 1.5 * near.front().first) break;
        sum += change;
        ++count;
    }
    return count == 0 ? 0.0 : sum / count;
}

class FieldSoFar {
  public:
    FieldSoFar(const Bench& bench, const Run& run, const Plane& plane, const MisfitRule& rule)
        : bench_(bench), run_(run), plane_(plane), rule_(rule), symmetric_(isSymmetric(bench, run)) {
        const auto* tank = byId(bench.tanks, run.tank);
        if (tank != nullptr) {
            length_ = tank->length.value();
            width_ = tank->width.value();
        } else {
            for (const auto& reading : plane.readings) {
                length_ = std::max(length_, reading.x.value());
                width_ = std::max(width_, reading.y.value());
            }
        }
    }

    std::vector<PointMisfit> run() {
        gather();
        std::vector<PointMisfit> out;
        if (own_ < kLeastReadings && evidence_.size() < 2 * kLeastReadings) return out;
        solve();
        setAside();
        for (std::size_t i = 0; i < evidence_.size(); ++i)
            if (evidence_[i].reading >= 0) out.push_back(misfitOf(i));
        return out;
    }

  private:
    void gather() {
        addPlane(run_, plane_, 0);
        own_ = evidence_.size();
        for (const auto& other : run_.planes)
            if (&other != &plane_) addPlane(run_, other, 0);
        std::vector<const Run*> others;
        for (const auto& other : bench_.runs)
            if (other.id != run_.id && configurationOf(other) == configurationOf(run_))
                others.push_back(&other);
        const auto apart = [&](const Run* other) { return std::abs((other->height - run_.height).value()); };
        std::stable_sort(others.begin(), others.end(),
                         [&](const Run* a, const Run* b) { return apart(a) < apart(b); });
        if (others.size() > 3) others.resize(3);
        std::size_t number = 1;
        for (const auto* other : others)
            if (const auto* same = planeAt(*other, plane_.depth); same != nullptr)
                addPlane(*other, *same, number++);
    }

    void addPlane(const Run& run, const Plane& plane, std::size_t run_number) {
        const bool judged = &plane == &plane_;
        for (std::size_t i = 0; i < plane.readings.size(); ++i) {
            const auto& reading = plane.readings[i];
            if (!reading.counts() || reading.mean.value() <= 0.0) continue;
            if (!judged && evidence_.size() >= kMostEvidence) return;
            const double ripple = reading.relativeStandardError().value_or(kUnknownRipple);
            const double noise =
                square(ripple) + square(steepnessAt(plane, reading) * kPlacingErrorMm) + square(kLeastNoise);
            evidence_.push_back({reading.x.value(), reading.y.value(), plane.depth.value(),
                                 run.height.value(), std::log(reading.mean.value()), noise, run_number,
                                 planes_, judged ? static_cast<std::ptrdiff_t>(i) : -1});
        }
        ++planes_;
    }

    double covariance(const Evidence& a, const Evidence& b) const {
        double sum = trend(a, b, length_ / 2.0, width_ / 2.0);
        const double straight = parts(a, b, b.x);
        if (symmetric_) {
            const double mirrored = parts(a, b, length_ - b.x);
            sum += 0.5 * (1.0 - kAsymmetricShare) * (straight + mirrored) + kAsymmetricShare * straight;
        } else {
            sum += straight +
                   square(kTrendSize) * (a.x - length_ / 2.0) * (b.x - length_ / 2.0) / square(kScale);
        }
        if (a.run == b.run) sum += square(kRunShift);
        if (a.plane == b.plane) sum += square(kPlaneShift);
        return sum;
    }

    void solve() {
        const auto n = static_cast<Eigen::Index>(evidence_.size());
        Eigen::MatrixXd k(n, n);
        values_.resize(n);
        double mean = 0.0;
        for (const auto& e : evidence_) mean += e.log_value / static_cast<double>(n);
        for (Eigen::Index i = 0; i < n; ++i) {
            const auto& a = evidence_[static_cast<std::size_t>(i)];
            values_(i) = a.log_value - mean;
            for (Eigen::Index j = 0; j <= i; ++j)
                k(i, j) = k(j, i) = covariance(a, evidence_[static_cast<std::size_t>(j)]);
            k(i, i) += a.noise;
        }
        inverse_ = Cholesky(k).inverse();
        weights_ = inverse_ * values_;
        aside_.assign(evidence_.size(), std::nullopt);
    }

    PointMisfit misfitOf(std::size_t i) const {
        if (aside_[i]) return *aside_[i];
        const auto at = static_cast<Eigen::Index>(i);
        PointMisfit out;
        out.reading = static_cast<std::size_t>(evidence_[i].reading);
        out.error = std::sqrt(1.0 / inverse_(at, at));
        out.excess = weights_(at) / inverse_(at, at);
        out.doubtful =
            std::abs(out.excess) > rule_.excess && std::abs(out.standardErrors()) > rule_.standard_errors;
        return out;
    }

    void setAside() {
        for (int round = 0; round < kMostSetAside; ++round) {
            std::optional<std::size_t> worst;
            double most = rule_.standard_errors;
            for (std::size_t i = 0; i < evidence_.size(); ++i) {
                if (aside_[i]) continue;
                const auto misfit = misfitOf(i);
                if (std::abs(misfit.standardErrors()) <= most || !misfit.doubtful) continue;
                most = std::abs(misfit.standardErrors());
                worst = i;
            }
            if (!worst) return;
            leaveOut(*worst);
        }
    }

    /// Takes a point out of the process: the inverse of the rest follows from the whole one.
    void leaveOut(std::size_t i) {
        aside_[i] = misfitOf(i);
        const auto at = static_cast<Eigen::Index>(i);
        const Eigen::VectorXd column = inverse_.col(at);
        inverse_ -= column * column.transpose() / column(at);
        inverse_.row(at).setZero();
        inverse_.col(at).setZero();
        inverse_(at, at) = 1.0;  // never asked for again
        values_(at) = 0.0;
        weights_ = inverse_ * values_;
    }

    const Bench& bench_;
    const Run& run_;
    const Plane& plane_;
    const MisfitRule& rule_;
    bool symmetric_;
    double length_ = 1.0;
    double width_ = 1.0;
    std::vector<Evidence> evidence_;
    std::size_t own_ = 0;
    std::size_t planes_ = 0;
    Eigen::MatrixXd inverse_;
    Eigen::VectorXd values_;
    Eigen::VectorXd weights_;
    std::vector<std::optional<PointMisfit>> aside_;
};

}  // namespace

bool isSymmetric(const Bench& bench, const Run& run) {
    const auto* tank = byId(bench.tanks, run.tank);
    if (tank == nullptr || tank->wall(Side::Left) != tank->wall(Side::Right)) return false;
    if (run.placement.empty()) return true;
    const auto centres = run.placement.centres;
    if (centres.empty()) return false;
    for (std::size_t i = 0; i < centres.size(); ++i) {
        const auto mirrored = tank->length - centres[centres.size() - 1 - i];
        if (std::abs((centres[i] - mirrored).value()) > kPlacingErrorMm) return false;
    }
    return true;
}

std::vector<PointMisfit> misfitsOf(const Bench& bench, const Run& run, const Plane& plane,
                                   const MisfitRule& rule) {
    return FieldSoFar(bench, run, plane, rule).run();
}

}  // namespace glumet
