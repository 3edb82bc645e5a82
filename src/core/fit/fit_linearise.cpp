#include <algorithm>
#include <cmath>
#include <span>

#include "core/fit/fitter.h"

namespace glumet {
namespace {

/// A nuisance whose slope is taken by a step, in its unit, where shrouds or obstacles cut the light off:
/// their edges move with everything. The others' slopes come with the rows by derivative.
struct Stepped {
    Shared nuisance;
    double step;
};
constexpr std::array kStepped{Stepped{kX, 2.0}, Stepped{kY, 2.0}, Stepped{kHeight, 1.0},
                              Stepped{kSpreadAlong, 0.05}, Stepped{kSpreadAcross, 0.05}};

/// Slopes taken by steps change little from round to round: they are taken in the first ones and then now and
/// again.
constexpr int kSteppedAtFirst = 2;
constexpr int kSteppedThen = 3;

struct Derived {
    Shared nuisance;
    double BasisField::Slopes::*slope;
};
constexpr std::array kDerived{
    Derived{kAttenuation, &BasisField::Slopes::attenuation},
    Derived{kReflectance, &BasisField::Slopes::reflectance},
    Derived{kUnevenAlong, &BasisField::Slopes::uneven_along},
    Derived{kUnevenAcross, &BasisField::Slopes::uneven_across},
    Derived{kHeight, &BasisField::Slopes::height},
    Derived{kX, &BasisField::Slopes::place_x},
    Derived{kY, &BasisField::Slopes::place_y},
    Derived{kSpreadAlong, &BasisField::Slopes::spread_along},
    Derived{kSpreadAcross, &BasisField::Slopes::spread_across},
};

/// A datum's slopes: those of its points, summed with that weight.
void addDerived(Eigen::MatrixXd& slopes, Eigen::Index row, double weight,
                std::span<const BasisField::Slopes> points) {
    for (const auto& point : points)
        for (const auto& [nuisance, slope] : kDerived) slopes(row, nuisance) += weight * point.*slope;
}

/// A body whose emitters spread less from its middle has no halves to tell apart.
constexpr double kLeastSpreadMm = 15.0;

}  // namespace

LightScene Fitter::sceneOfRun(std::size_t run, const std::array<double, kSharedCount>& shared) const {
    auto scene = runs_[run].scene;
    for (auto& fixture : scene.fixtures) {
        fixture.height_mm = std::max(5.0, fixture.height_mm + shared[kHeight] + nuisances_.run_height[run]);
        fixture.x_mm += shared[kX];
        fixture.y_mm += shared[kY];
    }
    for (auto& wall : scene.walls)
        if (!wall.clear())
            wall.reflectance =
                std::clamp(wall.reflectance + shared[kReflectance] - described_reflectance_, 0.0, 1.0);
    return scene;
}

/// Calls `take` for each run with its field, its points, which data they belong to and its level.
template <class Take>
void Fitter::forEachRun(const std::array<double, kSharedCount>& shared, Take take) const {
    const auto emitters = emittersBy(shared);
    for (std::size_t run = 0; run < runs_.size(); ++run) {
        std::vector<BasisField::Point> points;
        std::vector<Eigen::Index> at;
        for (std::size_t i = 0; i < data_.size(); ++i) {
            if (data_[i].run != run) continue;
            points.insert(points.end(), data_[i].points.begin(), data_[i].points.end());
            at.push_back(static_cast<Eigen::Index>(i));
        }
        if (points.empty()) continue;
        const BasisField field(sceneOfRun(run, shared), emitters, std::max(0.0, shared[kAttenuation]), shape_,
                               &tables_);
        take(field, points, at, std::exp(nuisances_.run_level[run]));
    }
}

Eigen::MatrixXd Fitter::designAt(const std::array<double, kSharedCount>& shared,
                                 Eigen::MatrixXd* slopes) const {
    Eigen::MatrixXd design(static_cast<Eigen::Index>(data_.size()), bells());
    const std::span<const double> beam(beam_.data(), slopes ? static_cast<std::size_t>(beam_.size()) : 0);
    const auto lean = leans(shared);
    forEachRun(shared, [&](const BasisField& field, const auto& points, const auto& at, double level) {
        std::vector<BasisField::Slopes> by_point;
        const auto rows = field.rows(points, beam, lean, by_point);
        const Eigen::Map<const Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>> all(
            rows.data(), static_cast<Eigen::Index>(points.size()), bells());
        Eigen::Index next = 0;
        for (const auto i : at) {
            const auto count = static_cast<Eigen::Index>(data_[static_cast<std::size_t>(i)].points.size());
            design.row(i) = level * all.middleRows(next, count).colwise().mean();
            if (slopes != nullptr)
                addDerived(*slopes, i, level / static_cast<double>(count),
                           std::span(by_point).subspan(static_cast<std::size_t>(next),
                                                       static_cast<std::size_t>(count)));
            next += count;
        }
    });
    if (slopes == nullptr) return design;
    for (const auto& [nuisance, slope] : kDerived)
        if (!matters(nuisance)) slopes->col(nuisance).setZero();
    return design;
}

Eigen::VectorXd Fitter::modelAt(const std::array<double, kSharedCount>& shared) const {
    Eigen::VectorXd model(static_cast<Eigen::Index>(data_.size()));
    const std::span<const double> beam(beam_.data(), static_cast<std::size_t>(beam_.size()));
    forEachRun(shared, [&](const BasisField& field, const auto& points, const auto& at, double level) {
        const auto values = field.values(points, beam);
        const Eigen::Map<const Eigen::VectorXd> all(values.data(), static_cast<Eigen::Index>(values.size()));
        Eigen::Index next = 0;
        for (const auto i : at) {
            const auto count = static_cast<Eigen::Index>(data_[static_cast<std::size_t>(i)].points.size());
            model(i) = level * all.segment(next, count).mean();
            next += count;
        }
    });
    return model;
}

/// To both sides: over a step to one side the bend of the field counts as slope, and a fixture whose ends are
/// near the walls settles millimetres off its place. Fits that are only held against others step to one side.
void Fitter::addStepped(Eigen::MatrixXd& slopes, const Eigen::VectorXd& model) const {
    if (!cutOff()) return;
    const bool held_against = !options_.shapes || given_shape_;
    for (const auto& [j, step] : kStepped) {
        if (!matters(j)) continue;
        auto there = nuisances_.shared;
        auto back = there;
        there[static_cast<std::size_t>(j)] += step;
        if (!held_against) back[static_cast<std::size_t>(j)] -= step;
        slopes.col(j) =
            (modelAt(there) - (held_against ? model : modelAt(back))) / (held_against ? step : 2.0 * step);
    }
}

/// Whether shrouds or obstacles keep light back.
bool Fitter::cutOff() const {
    return std::any_of(runs_.begin(), runs_.end(), [](const RunScene& run) {
        const auto& hung = run.scene.fixtures;
        return !run.scene.obstacles.empty() ||
               std::any_of(hung.begin(), hung.end(), [](const auto& one) { return one.shroud.has_value(); });
    });
}

void Fitter::addRow() {
    const auto now = nuisances_;
    nuisances_ = at_linearisation_;
    const auto whole = std::move(data_);
    data_ = {whole.back()};
    Eigen::MatrixXd slope = Eigen::MatrixXd::Zero(1, slopes_.cols());
    const Eigen::MatrixXd row = designAt(nuisances_.shared, &slope);
    const Eigen::VectorXd value = row * beam_;
    addStepped(slope, value);
    const auto run = static_cast<Eigen::Index>(whole.back().run);
    slope(0, kSharedCount + 2 * run) = slope(0, kHeight);
    slope(0, kSharedCount + 2 * run + 1) = value(0);
    data_ = whole;
    nuisances_ = now;
    const auto n = design_.rows();
    design_.conservativeResize(n + 1, Eigen::NoChange);
    slopes_.conservativeResize(n + 1, Eigen::NoChange);
    design_.row(n) = row.row(0);
    slopes_.row(n) = slope.row(0);
    model_ = design_ * beam_ + slopes_ * (nuisanceVector() - linearised_);
}

void Fitter::linearise() {
    at_linearisation_ = nuisances_;
    tables_.clear();
    linearised_ = nuisanceVectorOf(kSharedCount + 2 * static_cast<Eigen::Index>(runs_.size()));
    slopes_.setZero(static_cast<Eigen::Index>(data_.size()), linearised_.size());
    design_ = designAt(nuisances_.shared, &slopes_);
    model_ = design_ * beam_;
    if (result_.iterations <= kSteppedAtFirst || result_.iterations % kSteppedThen == 0) {
        stepped_.setZero(slopes_.rows(), kSharedCount);
        addStepped(stepped_, model_);
    }
    slopes_.leftCols(kSharedCount) += stepped_;
    for (Eigen::Index i = 0; i < design_.rows(); ++i) {
        const auto run = static_cast<Eigen::Index>(data_[static_cast<std::size_t>(i)].run);
        slopes_(i, kSharedCount + 2 * run) = slopes_(i, kHeight);
        slopes_(i, kSharedCount + 2 * run + 1) = model_(i);
    }
    weigh();
}

double Fitter::halfSpread(double ModelEmitter::*axis) const {
    double most = 0.0;
    for (const auto& emitter : emitters_) most = std::max(most, std::abs(emitter.*axis));
    return most;
}

double Fitter::brightened(const ModelEmitter& emitter, const std::array<double, kSharedCount>& shared) const {
    const auto [x, y] = leanOf(emitter);
    return std::max(0.0, 1.0 + shared[kUnevenAlong] * x + shared[kUnevenAcross] * y);
}

/// Where on the body an emitter sits, −1…1 along and across.
BasisField::Lean Fitter::leanOf(const ModelEmitter& emitter) const {
    const double along = halfSpread(&ModelEmitter::dx_mm);
    const double across = halfSpread(&ModelEmitter::dy_mm);
    return {along > 0.0 ? emitter.dx_mm / along : 0.0, across > 0.0 ? emitter.dy_mm / across : 0.0};
}

std::vector<ModelEmitter> Fitter::emittersBy(const std::array<double, kSharedCount>& shared) const {
    auto out = emitters_;
    double sum = 0.0;
    for (auto& emitter : out) {
        emitter.share *= brightened(emitter, shared);
        sum += emitter.share;
        emitter.dx_mm *= std::exp(shared[kSpreadAlong]);
        emitter.dy_mm *= std::exp(shared[kSpreadAcross]);
    }
    for (auto& emitter : out) emitter.share /= sum;
    return out;
}

/// Of share = s b / Σ s b with b = 1 + u x: d ln share / du = x/b − Σ share x/b.
std::vector<BasisField::Lean> Fitter::leans(const std::array<double, kSharedCount>& shared) const {
    const auto uneven = emittersBy(shared);
    std::vector<BasisField::Lean> out;
    BasisField::Lean mean;
    for (std::size_t i = 0; i < emitters_.size(); ++i) {
        const double b = brightened(emitters_[i], shared);
        auto lean = b > 0.0 ? leanOf(emitters_[i]) : BasisField::Lean{};
        if (b > 0.0) lean = {lean.along / b, lean.across / b};
        mean.along += uneven[i].share * lean.along;
        mean.across += uneven[i].share * lean.across;
        out.push_back(lean);
    }
    for (auto& lean : out) lean = {lean.along - mean.along, lean.across - mean.across};
    return out;
}

bool Fitter::matters(Eigen::Index shared) const {
    switch (shared) {
        case kReflectance:
            return paintedWalls();
        case kUnevenAlong:
            return halfSpread(&ModelEmitter::dx_mm) >= kLeastSpreadMm;
        case kUnevenAcross:
            return halfSpread(&ModelEmitter::dy_mm) >= kLeastSpreadMm;
        case kSpreadAlong:
            return options_.spread > 0.0 && halfSpread(&ModelEmitter::dx_mm) > 0.0;
        case kSpreadAcross:
            return options_.spread > 0.0 && halfSpread(&ModelEmitter::dy_mm) > 0.0;
        default:
            return true;
    }
}

bool Fitter::paintedWalls() const {
    for (const auto& run : runs_)
        for (const auto& wall : run.scene.walls)
            if (!wall.clear()) return true;
    return false;
}

void Fitter::weigh() {
    const auto n = design_.rows();
    noise_.resize(n);
    weights_.resize(n);
    for (Eigen::Index i = 0; i < n; ++i) {
        const auto& datum = data_[static_cast<std::size_t>(i)];
        const double level = std::max(model_(i), 0.02 * datum.value);
        const double placing = options_.placing_mm * std::hypot(slopes_(i, kX), slopes_(i, kY));
        noise_(i) = std::hypot(datum.own_noise * level, placing);
    }
    Eigen::VectorXd z = (values() - model_).cwiseQuotient(noise_);
    // Before the beam is known everything looks bad: the scale is that of the middle of them.
    std::vector<double> size(static_cast<std::size_t>(n));
    for (Eigen::Index i = 0; i < n; ++i) size[static_cast<std::size_t>(i)] = std::abs(z(i));
    std::nth_element(size.begin(), size.begin() + n / 2, size.end());
    const double scale = std::max(1.0, 1.4826 * size[static_cast<std::size_t>(n / 2)]);
    for (Eigen::Index i = 0; i < n; ++i) {
        const double u = z(i) / (kBiweight * scale);
        weights_(i) = std::abs(u) >= 1.0 ? 1e-6 : std::pow(1.0 - u * u, 2);
    }
}

Eigen::VectorXd Fitter::nuisanceVectorOf(Eigen::Index size) const {
    Eigen::VectorXd q(size);
    for (Eigen::Index j = 0; j < q.size(); ++j) q(j) = nuisance(j);
    return q;
}

double Fitter::nuisance(Eigen::Index j) const {
    if (j < kSharedCount) return nuisances_.shared[static_cast<std::size_t>(j)];
    const auto run = static_cast<std::size_t>((j - kSharedCount) / 2);
    return (j - kSharedCount) % 2 == 0 ? nuisances_.run_height[run] : nuisances_.run_level[run];
}

}  // namespace glumet
