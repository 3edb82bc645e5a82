#include "core/fit/basis_field.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

#include "core/base/parallel.h"
#include "core/light/obstruction.h"
#include "core/light/surface.h"

namespace glumet {
namespace {

constexpr double kStepMm = 2.0;
constexpr double kDegrees = 180.0 / std::numbers::pi;

double wallsLeft(const LightScene& scene, const AxisImage& along, const AxisImage& across, double cos_x,
                 double cos_y) {
    double left = 1.0;
    const auto cross = [&](Side side, int times, double cosine) {
        if (times == 0) return;
        const auto& wall = scene.wall(side);
        const double once = wall.clear()
                                ? paneReflectance(cosine, scene.water.refractive_index, wall.refractive_index)
                                : wall.reflectance;
        for (int i = 0; i < times; ++i) left *= once;
    };
    cross(Side::Left, along.low_crossings, cos_x);
    cross(Side::Right, along.high_crossings, cos_x);
    cross(Side::Front, across.low_crossings, cos_y);
    cross(Side::Back, across.high_crossings, cos_y);
    return left;
}

}  // namespace

struct RayTables::Table {
    struct Entry {
        double light;  ///< spreading × attenuation, 1/m²
        double theta_deg;
        double sine_per_mm;  ///< sin θw / r
        double air_share;
    };
    double height = 0.0;
    double depth = 0.0;
    std::vector<Entry> entries;

    Table(double h, double d, double n, double attenuation, double farthest) : height(h), depth(d) {
        const auto count = static_cast<std::size_t>(farthest / kStepMm) + 3;
        entries.reserve(count);
        for (std::size_t i = 0; i < count; ++i) {
            const double r = static_cast<double>(i) * kStepMm;
            const auto ray = crossSurface(h, d, r * r, n);
            const double path_m = d * 1e-3 / ray.cos_water;
            entries.push_back({spreading(ray, h, d, n) * std::exp(-attenuation * path_m),
                               std::acos(std::min(1.0, ray.cos_air)) * kDegrees, ray.sine_per_mm,
                               ray.air_share});
        }
    }

    Entry at(double r) const {
        const double u = r / kStepMm;
        const auto i = std::min(static_cast<std::size_t>(u), entries.size() - 2);
        const double t = u - static_cast<double>(i);
        const auto& a = entries[i];
        const auto& b = entries[i + 1];
        return {a.light + t * (b.light - a.light), a.theta_deg + t * (b.theta_deg - a.theta_deg),
                a.sine_per_mm + t * (b.sine_per_mm - a.sine_per_mm),
                a.air_share + t * (b.air_share - a.air_share)};
    }
};

RayTables::RayTables() = default;
RayTables::~RayTables() = default;
void RayTables::clear() { tables_.clear(); }

const RayTables::Table& RayTables::at(const Key& key) {
    auto& table = tables_[key];
    if (!table)
        table = std::make_unique<Table>(key.height, key.depth, key.refractive_index, key.attenuation,
                                        key.farthest);
    return *table;
}

BasisField::BasisField(const LightScene& scene, std::vector<ModelEmitter> emitters, double attenuation_per_m,
                       BeamShape shape, RayTables* tables)
    : scene_(scene),
      attenuation_(scene.water.dry() ? 0.0 : attenuation_per_m),
      shape_(shape),
      clear_(scene.obstacles.empty()),
      tables_(tables) {
    for (std::size_t f = 0; f < scene.fixtures.size(); ++f) {
        const auto& fixture = scene.fixtures[f];
        clear_ = clear_ && !fixture.shroud;
        const double turn = fixture.rotation_deg / kDegrees;
        for (const auto& e : emitters)
            sources_.push_back({fixture.x_mm + e.dx_mm * std::cos(turn) - e.dy_mm * std::sin(turn),
                                fixture.y_mm + e.dx_mm * std::sin(turn) + e.dy_mm * std::cos(turn),
                                fixture.height_mm, fixture.level * e.share, turn, f, e});
        if (std::find(heights_.begin(), heights_.end(), fixture.height_mm) == heights_.end())
            heights_.push_back(fixture.height_mm);
    }
}

double BasisField::passes(const Source& source, const AxisImage& along, const AxisImage& across,
                          const std::array<double, 3>& entry, const std::array<double, 3>& receiver) const {
    if (const auto& shroud = scene_.fixtures[source.fixture].shroud) {
        const double slope_x = (entry[0] - source.x) / source.height;
        const double slope_y = (entry[1] - source.y) / source.height;
        const double c = std::cos(source.turn);
        const double s = std::sin(source.turn);
        if (!shroudPasses(*shroud, source.emitter.dx_mm, source.emitter.dy_mm, c * slope_x + s * slope_y,
                          c * slope_y - s * slope_x))
            return 0.0;
    }
    return obstaclesPass(scene_, along, across, {source.x, source.y, -source.height}, entry, receiver);
}

template <class See>
void BasisField::forEachRay(const Point& point, const std::vector<const Table*>& tables, See see) const {
    static const Beam everywhere = *Beam::cosinePower(0.0);
    const double n = scene_.water.refractive_index;
    for (const auto* table : tables) {
        const auto images = [&](double size, Side low, Side high) {
            return axisImages(size, waterReach(everywhere, table->height, point.depth_mm, n, size),
                              scene_.wall(low), scene_.wall(high));
        };
        const auto along = images(scene_.length_mm, Side::Left, Side::Right);
        const auto across = images(scene_.width_mm, Side::Front, Side::Back);
        for (const auto& a : along)
            for (const auto& b : across) {
                const double x = a.sign * point.x_mm + a.offset;
                const double y = b.sign * point.y_mm + b.offset;
                for (const auto& source : sources_) {
                    if (source.height != table->height) continue;
                    const double dx = x - source.x;
                    const double dy = y - source.y;
                    const double r = std::sqrt(dx * dx + dy * dy);
                    const auto ray = table->at(r);
                    const double entry_x = source.x + dx * ray.air_share;
                    const double entry_y = source.y + dy * ray.air_share;
                    if (entry_x < 0.0 || entry_x > scene_.length_mm || entry_y < 0.0 ||
                        entry_y > scene_.width_mm)
                        continue;
                    double light = source.share * ray.light;
                    if (a.index != 0 || b.index != 0)
                        light *= wallsLeft(scene_, a, b, ray.sine_per_mm * std::abs(dx),
                                           ray.sine_per_mm * std::abs(dy));
                    if (!clear_)
                        light *= passes(source, a, b, {entry_x, entry_y, 0.0}, {x, y, point.depth_mm});
                    const double phi = shape_ == BeamShape::Round ? 0.0 : std::atan2(dy, dx) - source.turn;
                    if (light > 0.0) see(ray.theta_deg, phi, light);
                }
            }
    }
}

BasisField::Tables BasisField::tablesFor(const std::vector<Point>& points, RayTables& tables) const {
    const double farthest = 2.2 * std::hypot(scene_.length_mm, scene_.width_mm) + 4.0 * scene_.water_depth_mm;
    Tables out;
    for (const auto& point : points) {
        auto& of_depth = out[point.depth_mm];
        if (!of_depth.empty()) continue;
        for (const double height : heights_)
            of_depth.push_back(
                &tables.at({height, point.depth_mm, scene_.water.refractive_index, attenuation_, farthest}));
    }
    return out;
}

std::vector<double> BasisField::rows(const std::vector<Point>& points) const {
    RayTables own;
    const auto tables = tablesFor(points, tables_ != nullptr ? *tables_ : own);
    const auto size = static_cast<std::size_t>(BeamBasis::size(shape_));
    std::vector<double> out(points.size() * size, 0.0);
    forEachIndex(points.size(), 0, [&](std::size_t i) {
        forEachRay(points[i], tables.at(points[i].depth_mm), [&](double theta_deg, double phi, double light) {
            BeamBasis::addTo(shape_, theta_deg, phi, light, out.data() + i * size);
        });
    });
    return out;
}

std::vector<double> BasisField::values(const std::vector<Point>& points, std::span<const double> beam) const {
    RayTables own;
    const auto tables = tablesFor(points, tables_ != nullptr ? *tables_ : own);
    std::vector<double> out(points.size(), 0.0);
    forEachIndex(points.size(), 0, [&](std::size_t i) {
        forEachRay(points[i], tables.at(points[i].depth_mm), [&](double theta_deg, double phi, double light) {
            out[i] += light * BeamBasis::intensity(shape_, beam, theta_deg, phi);
        });
    });
    return out;
}

}  // namespace glumet
