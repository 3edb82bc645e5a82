#include "core/fit/ray_tables.h"

#include <ceres/jet.h>

#include <cmath>
#include <numbers>

#include "core/light/surface.h"

namespace glumet {

using Jet = ceres::Jet<double, 1>;

RayTables::Table::Table(double h, double d, double n, double attenuation, double air_run)
    : height(h), depth(d) {
    // The share run in air is never less than on the axis: farther rays enter beyond the footprint.
    farthest = air_run * (h + d / n) / h;
    const auto count = static_cast<std::size_t>(farthest / kStepMm) + 3;
    entries.reserve(count);
    double tangent = 0.0;
    for (std::size_t i = 0; i < count; ++i) {
        const double r = static_cast<double>(i) * kStepMm;
        tangent = tangentPerMm(h, d, r * r, n, tangent);
        const Jet at_height(h, 0);
        const auto ray = crossSurface(at_height, d, Jet(r * r), n, tangent);
        const Jet path_m = d * 1e-3 / ray.cos_water;
        const Jet light = spreading(ray, at_height, d, n) * exp(-attenuation * path_m);
        const Jet theta = ray.cos_air.a < 1.0 ? acos(ray.cos_air) * (180.0 / std::numbers::pi) : Jet(0.0);
        entries.push_back({light.a, theta.a, ray.sine_per_mm.a, ray.air_share.a, path_m.a});
        by_height.push_back({light.a > 0.0 ? light.v[0] / light.a : 0.0, theta.v[0], ray.sine_per_mm.v[0],
                             ray.air_share.v[0]});
    }
}

RayTables::RayTables() = default;
RayTables::~RayTables() = default;
void RayTables::clear() { tables_.clear(); }

const RayTables::Table& RayTables::at(const Key& key) {
    auto& table = tables_[key];
    if (!table)
        table = std::make_unique<Table>(key.height, key.depth, key.refractive_index, key.attenuation,
                                        key.air_run);
    return *table;
}

}  // namespace glumet
