#include "core/fit/light_model.h"

#include <Eigen/Core>
#include <algorithm>
#include <cmath>

#include "core/base/interval.h"

namespace glumet {
namespace {

constexpr double kHeightStepMm = 1.0;

LightScene raised(const LightScene& scene, double by_mm) {
    auto out = scene;
    for (auto& fixture : out.fixtures) fixture.height_mm = std::max(1.0, fixture.height_mm + by_mm);
    return out;
}

double quadratic(const std::vector<double>& covariance, const double* row) {
    if (covariance.empty()) return 0.0;
    const auto size =
        static_cast<Eigen::Index>(std::lround(std::sqrt(static_cast<double>(covariance.size()))));
    const Eigen::Map<const Eigen::MatrixXd> c(covariance.data(), size, size);
    const Eigen::Map<const Eigen::VectorXd> v(row, size);
    return std::max(0.0, v.dot(c * v));
}

double dot(const double* row, const std::vector<double>& beam) {
    double sum = 0.0;
    for (std::size_t k = 0; k < beam.size(); ++k) sum += row[k] * beam[k];
    return sum;
}

}  // namespace

double LightModel::flux() const { return dot(BeamBasis::fluxes(shape).data(), beam); }

double LightModel::fluxError() const {
    auto row = BeamBasis::fluxes(shape);
    row.push_back(0.0);
    return std::sqrt(quadratic(covariance, row.data()));
}

LightModel LightModel::elsewhere() const {
    auto out = *this;
    out.height_offset_mm *= own_offset_share;
    const std::size_t size = parameters();
    if (out.covariance.size() == size * size) {
        for (std::size_t i = 0; i < size; ++i) {
            out.covariance[i * size + size - 1] *= own_offset_share;
            out.covariance[(size - 1) * size + i] *= own_offset_share;
        }
        out.covariance.back() += ruler_mm * ruler_mm * (own_offset_share + 1.0);
    }
    out.own_offset_share = 1.0;
    out.ruler_mm = 0.0;
    return out;
}

BasisField LightModel::over(LightScene scene, double offset_mm, double attenuation_per_m) const {
    scene = raised(scene, offset_mm);
    for (auto& hung : scene.fixtures) hung.shroud = shroud;
    return BasisField(scene, emitters, attenuation_per_m, shape);
}

std::vector<SceneEmitter> LightModel::sceneEmitters(std::size_t beam_index) const {
    std::vector<SceneEmitter> out;
    for (const auto& e : emitters) out.push_back({e.dx_mm, e.dy_mm, e.share * flux(), beam_index, 0});
    return out;
}

std::vector<Predicted> predict(const LightModel& model, const LightScene& scene,
                               const std::vector<BasisField::Point>& points) {
    const double attenuation = scene.water.attenuation_per_m;
    const auto rowsAt = [&](double offset) { return model.over(scene, offset, attenuation).rows(points); };
    const auto rows = rowsAt(model.height_offset_mm);
    const auto higher = rowsAt(model.height_offset_mm + kHeightStepMm);
    std::vector<Predicted> out;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double* row = rows.data() + i * model.beam.size();
        const double value = dot(row, model.beam);
        std::vector<double> slope(row, row + model.beam.size());
        slope.push_back((dot(higher.data() + i * model.beam.size(), model.beam) - value) / kHeightStepMm);
        const double error =
            std::hypot(std::sqrt(quadratic(model.covariance, slope.data())), model.misfit * value);
        out.push_back({value, std::max(0.0, value - kInterval95 * error), value + kInterval95 * error});
    }
    return out;
}

Expected<LightScene> sceneWith(const LightModel& model, LightScene scene) {
    auto beam = model.sceneBeam();
    if (!beam) return tl::make_unexpected(beam.error());
    scene = raised(scene, model.height_offset_mm);
    scene.beams = {*beam};
    scene.channels = {SceneChannel{{}, Attenuation::grey(scene.water.attenuation_per_m)}};
    for (auto& fixture : scene.fixtures) {
        fixture.emitters = model.sceneEmitters(0);
        fixture.shroud = model.shroud;
    }
    return scene;
}

}  // namespace glumet
