#include "core/fit/basis_field.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>
#include <optional>

#include "core/base/parallel.h"
#include "core/fit/ray_tables.h"
#include "core/light/obstruction.h"
#include "core/light/surface.h"

namespace glumet {
namespace {

constexpr double kDegrees = 180.0 / std::numbers::pi;
/// Runs in air are rounded up by this much at least, to steps: a source that is moved a little, for a slope,
/// keeps its table.
constexpr double kMovedMm = 32.0;
constexpr double kRunStepMm = 64.0;
/// A black wall's images are followed all the same, for the slope by its reflectance.
constexpr double kLeastReflectance = 1e-6;

SceneWall lightened(const SceneWall& wall) {
    return wall.clear() ? wall : SceneWall::opaque(std::max(wall.reflectance, kLeastReflectance));
}

/// What walls send back of a ray: all of them, opaque ones alone, and the slope of that by their reflectance.
struct SentBack {
    double clear = 1.0;
    double opaque = 1.0;
    double opaque_slope = 0.0;
};

SentBack sentBack(const LightScene& scene, const AxisImage& along, const AxisImage& across, double cos_x,
                  double cos_y) {
    SentBack out;
    const auto cross = [&](Side side, int times, double cosine) {
        if (times == 0) return;
        const auto& wall = scene.wall(side);
        if (wall.clear()) {
            const double once = paneReflectance(cosine, scene.water.refractive_index, wall.refractive_index);
            for (int i = 0; i < times; ++i) out.clear *= once;
            return;
        }
        for (int i = 0; i < times; ++i) {
            out.opaque_slope = out.opaque_slope * wall.reflectance + out.opaque;
            out.opaque *= wall.reflectance;
        }
    };
    cross(Side::Left, along.low_crossings, cos_x);
    cross(Side::Right, along.high_crossings, cos_x);
    cross(Side::Front, across.low_crossings, cos_y);
    cross(Side::Back, across.high_crossings, cos_y);
    return out;
}

/// d ln of what clear walls on one axis send back, by the cosine on them. Over a span, as of a move by a
/// millimetre or two: where total reflection sets in the slope itself has no bound.
double logSlope(const SceneWall& low, const SceneWall& high, const AxisImage& image, double cosine,
                double n) {
    constexpr double kSpan = 0.005;
    double slope = 0.0;
    for (const auto& [wall, times] : {std::pair{&low, image.low_crossings}, {&high, image.high_crossings}}) {
        if (times == 0 || !wall->clear()) continue;
        // Where all of it comes back, as it does of nearly all rays, nothing changes.
        if ((cosine + kSpan) * (cosine + kSpan) <= 1.0 - 1.0 / (n * n)) continue;
        const auto back = [n, pane = wall->refractive_index](double c) {
            return paneReflectance(c, n, pane);
        };
        const double from = std::max(0.0, cosine - kSpan);
        const double to = std::min(1.0, cosine + kSpan);
        slope += times * std::log(back(to) / back(from)) / (to - from);
    }
    return slope;
}

/// Whether a run from a source along one axis can enter the footprint 0…size: the share run in air is at
/// least that on the axis.
bool mayEnter(double source, double run, double least_air_share, double size, double near) {
    const double nearest = source + run * least_air_share;
    return run > 0.0 ? nearest <= size + near : nearest >= -near;
}

/// How much of an emitter's light comes to enter 0…size for each mm that its entry moves on, spread over so
/// much to both sides.
double entersPerMm(double entry, double size, double edge_mm) {
    const auto edge = [=](double at) {
        return std::max(0.0, 1.0 - std::abs(entry - at) / edge_mm) / edge_mm;
    };
    return edge(0.0) - edge(size);
}

}  // namespace

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
        for (std::size_t i = 0; i < emitters.size(); ++i) {
            const auto& e = emitters[i];
            sources_.push_back({fixture.x_mm + e.dx_mm * std::cos(turn) - e.dy_mm * std::sin(turn),
                                fixture.y_mm + e.dx_mm * std::sin(turn) + e.dy_mm * std::cos(turn),
                                fixture.height_mm, fixture.level * e.share, turn, f, i, e});
            const auto& at = sources_.back();
            run_x_ = std::max({run_x_, at.x, scene.length_mm - at.x});
            run_y_ = std::max({run_y_, at.y, scene.width_mm - at.y});
        }
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

bool BasisField::enters(double x, double y, double near_mm) const {
    return x >= -near_mm && x <= scene_.length_mm + near_mm && y >= -near_mm &&
           y <= scene_.width_mm + near_mm;
}

template <class See>
void BasisField::forEachRay(const Point& point, const std::vector<Setting>& settings, double near_mm,
                            See see) const {
    const double n = scene_.water.refractive_index;
    for (const auto& [table, along, across] : settings) {
        const double least = table->height / (table->height + point.depth_mm / n);
        for (const auto& source : sources_) {
            if (source.height != table->height) continue;
            for (const auto& a : along) {
                const double x = a.sign * point.x_mm + a.offset;
                const double dx = x - source.x;
                if (!mayEnter(source.x, dx, least, scene_.length_mm, near_mm)) continue;
                for (const auto& b : across) {
                    const double y = b.sign * point.y_mm + b.offset;
                    const double dy = y - source.y;
                    if (!mayEnter(source.y, dy, least, scene_.width_mm, near_mm)) continue;
                    const double r = std::sqrt(dx * dx + dy * dy);
                    if (r > table->farthest) continue;
                    const auto ray = table->at(r);
                    const double entry_x = source.x + dx * ray.air_share;
                    const double entry_y = source.y + dy * ray.air_share;
                    if (!enters(entry_x, entry_y, near_mm)) continue;
                    double light = source.share * ray.light;
                    SentBack walls;
                    const bool mirrored = a.index != 0 || b.index != 0;
                    if (mirrored)
                        walls = sentBack(scene_, a, b, ray.sine_per_mm * std::abs(dx),
                                         ray.sine_per_mm * std::abs(dy));
                    light *= walls.clear;
                    if (!clear_)
                        light *= passes(source, a, b, {entry_x, entry_y, 0.0}, {x, y, point.depth_mm});
                    if (!(light > 0.0)) continue;
                    const double phi = shape_ == BeamShape::Round ? 0.0 : std::atan2(dy, dx) - source.turn;
                    see(Ray{source, ray.theta_deg, phi, light * walls.opaque, light * walls.opaque_slope,
                            ray.path_m, table, dx, dy, mirrored ? &a : nullptr, mirrored ? &b : nullptr,
                            entry_x, entry_y});
                }
            }
        }
    }
}

void BasisField::addMoved(const Ray& ray, const BeamCurve::Slopes& beam, Slopes& slopes) const {
    const double r = std::hypot(ray.dx, ray.dy);
    const auto entry = ray.table->at(r);
    const auto bend = ray.table->bendAt(r);
    const double n = scene_.water.refractive_index;
    const double away_x = std::abs(ray.dx);
    const double away_y = std::abs(ray.dy);
    // By the cosines on clear walls, which run and height change, and the place besides.
    const bool direct = ray.along == nullptr;
    const double on_x = direct ? 0.0
                               : logSlope(scene_.wall(Side::Left), scene_.wall(Side::Right), *ray.along,
                                          entry.sine_per_mm * away_x, n);
    const double on_y = direct ? 0.0
                               : logSlope(scene_.wall(Side::Front), scene_.wall(Side::Back), *ray.across,
                                          entry.sine_per_mm * away_y, n);
    const double by_sine = on_x * away_x + on_y * away_y;
    slopes.height +=
        ray.light * (beam.value * (bend.by_height.log_light + by_sine * bend.by_height.sine_per_mm) +
                     beam.by_theta_deg * bend.by_height.theta_deg);
    if (!(r > 0.0)) return;
    const double log_by_run = bend.by_run.light / std::max(entry.light, 1e-300);
    const double by_run = beam.value * (log_by_run + by_sine * bend.by_run.sine_per_mm) +
                          beam.by_theta_deg * bend.by_run.theta_deg;
    const double turn = beam.by_phi / (r * r);
    const auto along = [&](double run, double on_wall) {
        return by_run * run / r + beam.value * on_wall * entry.sine_per_mm * (run < 0.0 ? -1.0 : 1.0);
    };
    // The source moves one way as the image would the other.
    addPlaced(ray.source, -ray.light * (along(ray.dx, on_x) - turn * ray.dy),
              -ray.light * (along(ray.dy, on_y) + turn * ray.dx), slopes);
}

void BasisField::addEdges(const Ray& ray, double intensity, double edge_mm, Slopes& slopes) const {
    // Where no wall sends it back a ray from over the water enters between its source and the point.
    const auto entering = [&](const AxisImage* image, double source, double entry, double size) {
        const bool between = (image == nullptr || image->index == 0) && source >= 0.0 && source <= size;
        return between ? 0.0 : ray.light * intensity * entersPerMm(entry, size, edge_mm);
    };
    const double by_entry_x = entering(ray.along, ray.source.x, ray.entry_x, scene_.length_mm);
    const double by_entry_y = entering(ray.across, ray.source.y, ray.entry_y, scene_.width_mm);
    const double r = std::hypot(ray.dx, ray.dy);
    if ((by_entry_x == 0.0 && by_entry_y == 0.0) || !(r > 0.0)) return;
    const auto bend = ray.table->bendAt(r);
    const double air_share = ray.table->at(r).air_share;
    // Entry x = source x + dx · share(r, h), and the run grows shorter by what the source moves.
    const auto by_place = [&](double run) { return 1.0 - air_share - run * run * bend.by_run.air_share / r; };
    const double crossed = -ray.dx * ray.dy * bend.by_run.air_share / r;
    addPlaced(ray.source, by_entry_x * by_place(ray.dx) + by_entry_y * crossed,
              by_entry_y * by_place(ray.dy) + by_entry_x * crossed, slopes);
    slopes.height += (by_entry_x * ray.dx + by_entry_y * ray.dy) * bend.by_height.air_share;
}

void BasisField::addPlaced(const Source& source, double by_x, double by_y, Slopes& slopes) const {
    slopes.place_x += by_x;
    slopes.place_y += by_y;
    const double c = std::cos(source.turn);
    const double s = std::sin(source.turn);
    slopes.spread_along += source.emitter.dx_mm * (c * by_x + s * by_y);
    slopes.spread_across += source.emitter.dy_mm * (c * by_y - s * by_x);
}

BasisField::Settings BasisField::settingsFor(const std::vector<Point>& points, RayTables& tables) const {
    static const Beam everywhere = *Beam::cosinePower(0.0);
    const double n = scene_.water.refractive_index;
    const auto rounded = [](double run) { return std::ceil((run + kMovedMm) / kRunStepMm) * kRunStepMm; };
    const double run_x = rounded(run_x_);
    const double run_y = rounded(run_y_);
    const double air_run = std::hypot(run_x, run_y);
    Settings out;
    for (const auto& point : points) {
        auto& of_depth = out[point.depth_mm];
        if (!of_depth.empty()) continue;
        for (const double height : heights_) {
            const auto images = [&](double size, double run, Side low, Side high) {
                return axisImages(size, waterReach(everywhere, height, point.depth_mm, n, run),
                                  lightened(scene_.wall(low)), lightened(scene_.wall(high)));
            };
            of_depth.push_back({&tables.at({height, point.depth_mm, n, attenuation_, air_run}),
                                images(scene_.length_mm, run_x, Side::Left, Side::Right),
                                images(scene_.width_mm, run_y, Side::Front, Side::Back)});
        }
    }
    return out;
}

std::vector<double> BasisField::rows(const std::vector<Point>& points) const {
    std::vector<Slopes> none;
    return rows(points, {}, {}, none);
}

std::vector<double> BasisField::rows(const std::vector<Point>& points, std::span<const double> beam,
                                     const std::vector<Lean>& leans, std::vector<Slopes>& slopes,
                                     double edge_mm) const {
    RayTables own;
    const auto settings = settingsFor(points, tables_ != nullptr ? *tables_ : own);
    const auto size = static_cast<std::size_t>(BeamBasis::size(shape_));
    const auto curve = beam.empty() ? std::nullopt : std::optional<BeamCurve>(std::in_place, shape_, beam);
    slopes.assign(curve ? points.size() : 0, {});
    const double near_mm = curve && clear_ ? edge_mm : 0.0;
    std::vector<double> out(points.size() * size, 0.0);
    forEachIndex(points.size(), 0, [&](std::size_t i) {
        forEachRay(points[i], settings.at(points[i].depth_mm), near_mm, [&](const Ray& ray) {
            const bool within = enters(ray.entry_x, ray.entry_y, 0.0);
            if (!within) {
                addEdges(ray, curve->at(ray.theta_deg, ray.phi), edge_mm, slopes[i]);
                return;
            }
            BeamBasis::addTo(shape_, ray.theta_deg, ray.phi, ray.light, out.data() + i * size);
            if (!curve) return;
            const auto here = curve->slopesAt(ray.theta_deg, ray.phi);
            const double intensity = here.value;
            if (clear_) {
                addMoved(ray, here, slopes[i]);
                addEdges(ray, intensity, edge_mm, slopes[i]);
            }
            const double ppfd = ray.light * intensity;
            const auto& lean = leans[ray.source.index];
            slopes[i].attenuation -= ray.path_m * ppfd;
            slopes[i].reflectance += ray.by_reflectance * intensity;
            slopes[i].uneven_along += lean.along * ppfd;
            slopes[i].uneven_across += lean.across * ppfd;
        });
    });
    return out;
}

std::vector<double> BasisField::values(const std::vector<Point>& points, std::span<const double> beam) const {
    RayTables own;
    const auto settings = settingsFor(points, tables_ != nullptr ? *tables_ : own);
    const BeamCurve curve(shape_, beam);
    std::vector<double> out(points.size(), 0.0);
    forEachIndex(points.size(), 0, [&](std::size_t i) {
        forEachRay(points[i], settings.at(points[i].depth_mm), 0.0,
                   [&](const Ray& ray) { out[i] += ray.light * curve.at(ray.theta_deg, ray.phi); });
    });
    return out;
}

}  // namespace glumet
