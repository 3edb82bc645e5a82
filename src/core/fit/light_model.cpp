#include "core/fit/light_model.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kTwoSided95 = 1.96;
constexpr double kHeightStepMm = 1.0;

LightScene raised(const LightScene& scene, double by_mm) {
    auto out = scene;
    for (auto& fixture : out.fixtures) fixture.height_mm = std::max(1.0, fixture.height_mm + by_mm);
    return out;
}

double quadratic(const std::vector<double>& covariance, const double* row) {
    constexpr auto kSize = static_cast<std::size_t>(LightModel::kParameters);
    double sum = 0.0;
    for (std::size_t i = 0; i < kSize; ++i)
        for (std::size_t j = 0; j < kSize; ++j) sum += row[i] * covariance[i * kSize + j] * row[j];
    return std::max(0.0, sum);
}

double dot(const double* row, const BeamBasis::Coefficients& beam) {
    double sum = 0.0;
    for (std::size_t k = 0; k < beam.size(); ++k) sum += row[k] * beam[k];
    return sum;
}

}  // namespace

double LightModel::flux() const { return dot(BeamBasis::fluxes().data(), beam); }

double LightModel::fluxError() const {
    std::array<double, kParameters> row{};
    std::copy(BeamBasis::fluxes().begin(), BeamBasis::fluxes().end(), row.begin());
    return std::sqrt(quadratic(covariance, row.data()));
}

std::vector<SceneEmitter> LightModel::sceneEmitters(std::size_t beam_index) const {
    std::vector<SceneEmitter> out;
    for (const auto& e : emitters) out.push_back({e.dx_mm, e.dy_mm, e.share * flux(), beam_index, 0});
    return out;
}

std::vector<Predicted> predict(const LightModel& model, const LightScene& scene,
                               const std::vector<BasisField::Point>& points) {
    const double attenuation = scene.water.attenuation_per_m;
    const auto rowsAt = [&](double offset) {
        return BasisField(raised(scene, offset), model.emitters, attenuation).rows(points);
    };
    const auto rows = rowsAt(model.height_offset_mm);
    const auto higher = rowsAt(model.height_offset_mm + kHeightStepMm);
    std::vector<Predicted> out;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double* row = rows.data() + i * BeamBasis::kSize;
        const double value = dot(row, model.beam);
        std::array<double, LightModel::kParameters> slope{};
        std::copy(row, row + BeamBasis::kSize, slope.begin());
        slope.back() = (dot(higher.data() + i * BeamBasis::kSize, model.beam) - value) / kHeightStepMm;
        const double error = std::sqrt(quadratic(model.covariance, slope.data()));
        out.push_back({value, std::max(0.0, value - kTwoSided95 * error), value + kTwoSided95 * error});
    }
    return out;
}

Expected<LightScene> sceneWith(const LightModel& model, LightScene scene) {
    auto beam = model.sceneBeam();
    if (!beam) return tl::make_unexpected(beam.error());
    scene = raised(scene, model.height_offset_mm);
    scene.beams = {*beam};
    scene.channels = {SceneChannel{{}, Attenuation::grey(scene.water.attenuation_per_m)}};
    for (auto& fixture : scene.fixtures) fixture.emitters = model.sceneEmitters(0);
    return scene;
}

}  // namespace glumet
