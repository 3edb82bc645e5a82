#include "core/light/exact_field.h"

#include <ceres/jet.h>

#include <cmath>

#include "core/base/angle.h"
#include "core/light/images.h"
#include "core/light/obstruction.h"
#include "core/light/surface.h"

namespace glumet {
namespace {

/// Derivatives by the source's x, y and height, and by its turn about its own place.
using Jet = ceres::Jet<double, 4>;
constexpr int kTurn = 3;

double valueOf(double number) { return number; }
double valueOf(const Jet& number) { return number.a; }

double intensityOf(const Beam& beam, double cos_air, double phi) { return beam.intensity({cos_air, phi}); }
Jet intensityOf(const Beam& beam, const Jet& cos_air, const Jet& phi) {
    const Beam::Ray ray{std::min(cos_air.a, 1.0), phi.a};
    return {beam.intensity(ray), beam.intensitySlope(ray) * cos_air.v + beam.azimuthSlope(ray) * phi.v};
}

/// Azimuth of a ray in its fixture's frame; where a round beam does not ask for it, 0.
double azimuthOf(const Beam& beam, const PointSource& source, double dx, double dy) {
    return beam.round() ? 0.0 : std::atan2(dy, dx) - std::atan2(source.sin_turn, source.cos_turn);
}
Jet azimuthOf(const Beam& beam, const PointSource& source, const Jet& dx, const Jet& dy) {
    if (beam.round() || (dx.a == 0.0 && dy.a == 0.0)) return Jet(0.0);
    return atan2(dy, dx) - Jet(std::atan2(source.sin_turn, source.cos_turn), kTurn);
}

/// A receiver's image and the scene it lies in.
struct Target {
    const LightScene& scene;
    const AxisImage& along;   ///< x
    const AxisImage& across;  ///< y
    double x_mm;              ///< unfolded
    double y_mm;
    double depth_mm;
};

template <class T>
T wallsLeft(const Target& target, const T& cos_x, const T& cos_y) {
    T left(1.0);
    const auto cross = [&](Side side, int times, const T& cosine) {
        const auto& wall = target.scene.wall(side);
        if (times == 0) return;
        const T once =
            wall.clear() ? paneReflectance(cosine, target.scene.water.refractive_index, wall.refractive_index)
                         : T(wall.reflectance);
        for (int i = 0; i < times; ++i) left = left * once;
    };
    cross(Side::Left, target.along.low_crossings, cos_x);
    cross(Side::Right, target.along.high_crossings, cos_x);
    cross(Side::Front, target.across.low_crossings, cos_y);
    cross(Side::Back, target.across.high_crossings, cos_y);
    return left;
}

template <class T>
struct Incoming {
    T per_flux;                 ///< PPFD of one µmol/s, 1/m²
    double without_beam = 0.0;  ///< the same without I(θ, φ)
    Beam::Ray ray;
};

/// Share of a ray that neither its fixture's shroud nor anything in the way keeps back.
double passes(const Target& target, const PointSource& source, double entry_x, double entry_y) {
    const auto& scene = target.scene;
    if (const auto& shroud = scene.fixtures[source.fixture].shroud) {
        const double slope_x = (entry_x - source.x_mm) / source.height_mm;
        const double slope_y = (entry_y - source.y_mm) / source.height_mm;
        if (!shroudPasses(*shroud, source.dx_mm, source.dy_mm,
                          source.cos_turn * slope_x + source.sin_turn * slope_y,
                          source.cos_turn * slope_y - source.sin_turn * slope_x))
            return 0.0;
    }
    return obstaclesPass(scene, target.along, target.across, {source.x_mm, source.y_mm, -source.height_mm},
                         {entry_x, entry_y, 0.0}, {target.x_mm, target.y_mm, target.depth_mm});
}

/// What one source sends to one image; nothing when the ray does not enter through the footprint. `x`, `y`
/// and `height` are the source's, with derivatives where they are wanted.
template <class T>
std::optional<Incoming<T>> arrival(const Target& target, const PointSource& source, const T& x, const T& y,
                                   const T& height) {
    using std::abs;
    const auto& beam = target.scene.beams[source.beam];
    const auto& attenuation = target.scene.channels[source.channel].attenuation;
    const double n = target.scene.water.refractive_index;
    const T dx = target.x_mm - x;
    const T dy = target.y_mm - y;
    const T s = dx * dx + dy * dy;
    const double g = tangentPerMm(valueOf(height), target.depth_mm, valueOf(s), n);
    const double share = valueOf(height) * g;
    const double entry_x = valueOf(x) + valueOf(dx) * share;
    const double entry_y = valueOf(y) + valueOf(dy) * share;
    if (entry_x < 0.0 || entry_x > target.scene.length_mm || entry_y < 0.0 || entry_y > target.scene.width_mm)
        return std::nullopt;
    const double pass = passes(target, source, entry_x, entry_y);
    if (pass == 0.0) return std::nullopt;
    const auto ray = crossSurface(height, target.depth_mm, s, n, g);
    const T phi = azimuthOf(beam, source, dx, dy);
    const T intensity = intensityOf(beam, ray.cos_air, phi) * pass;
    T rest = spreading(ray, height, target.depth_mm, n) *
             attenuation.transmittance(T(target.depth_mm * 1e-3 / ray.cos_water));
    if (target.along.index != 0 || target.across.index != 0)
        rest = rest * wallsLeft<T>(target, ray.sine_per_mm * abs(dx), ray.sine_per_mm * abs(dy));
    return Incoming<T>{
        intensity * rest, valueOf(rest) * pass, {std::min(valueOf(ray.cos_air), 1.0), valueOf(phi)}};
}

/// Calls `see` for every image of a receiver that light of `source` can reach.
template <class See>
void forEachTarget(const LightScene& scene, const PointSource& source, double x, double y, double depth,
                   See see) {
    const auto& beam = scene.beams[source.beam];
    const double n = scene.water.refractive_index;
    const auto images = [&](double at, double size, Side low, Side high) {
        const double air_run = std::max(std::abs(at), std::abs(size - at));
        return axisImages(size, waterReach(beam, source.height_mm, depth, n, air_run), scene.wall(low),
                          scene.wall(high));
    };
    const auto along = images(source.x_mm, scene.length_mm, Side::Left, Side::Right);
    const auto across = images(source.y_mm, scene.width_mm, Side::Front, Side::Back);
    for (const auto& a : along)
        for (const auto& b : across)
            see(Target{scene, a, b, a.sign * x + a.offset, b.sign * y + b.offset, depth});
}

}  // namespace

ExactField::ExactField(LightScene scene) : scene_(std::move(scene)), sources_(sourcesOf(scene_)) {}

Ppfd ExactField::at(Millimetre x, Millimetre y, Millimetre depth) const {
    double sum = 0.0;
    for (const auto& source : sources_) {
        forEachTarget(scene_, source, x.value(), y.value(), depth.value(), [&](const Target& target) {
            if (const auto light =
                    arrival<double>(target, source, source.x_mm, source.y_mm, source.height_mm))
                sum += source.flux_umol_s * light->per_flux;
        });
    }
    return Ppfd(sum);
}

std::vector<ExactField::Arrival> ExactField::arrivals(Millimetre x, Millimetre y, Millimetre depth) const {
    std::vector<Arrival> out;
    const double n = scene_.water.refractive_index;
    for (std::size_t i = 0; i < sources_.size(); ++i) {
        const auto& source = sources_[i];
        forEachTarget(scene_, source, x.value(), y.value(), depth.value(), [&](const Target& target) {
            const auto light = arrival<double>(target, source, source.x_mm, source.y_mm, source.height_mm);
            if (!light) return;
            const double dx = target.x_mm - source.x_mm;
            const double dy = target.y_mm - source.y_mm;
            const auto ray = crossSurface(source.height_mm, target.depth_mm, dx * dx + dy * dy, n);
            out.push_back({i, source.flux_umol_s * light->per_flux, source.x_mm + dx * ray.air_share,
                           source.y_mm + dy * ray.air_share, ray.cos_air, ray.cos_water, std::atan2(dy, dx)});
        });
    }
    return out;
}

ExactField::Slopes ExactField::slopesAt(Millimetre x, Millimetre y, Millimetre depth) const {
    Slopes out;
    out.fixtures.resize(scene_.fixtures.size());
    for (auto& fixture : out.fixtures) fixture.channel_levels.assign(scene_.channels.size(), 0.0);
    for (const auto& beam : scene_.beams) out.beams.emplace_back(beam.parameters().size(), 0.0);
    // Emitters at level zero count here: the level's own slope is theirs too.
    auto lit = scene_;
    for (auto& fixture : lit.fixtures) {
        fixture.level = 1.0;
        fixture.channel_levels.clear();
    }
    for (const auto& source : sourcesOf(lit)) {
        const auto& beam = scene_.beams[source.beam];
        const auto& fixture = scene_.fixtures[source.fixture];
        const double full = source.flux_umol_s;
        const double flux = full * levelOf(fixture, source.channel);
        const double own =
            source.channel < fixture.channel_levels.size() ? fixture.channel_levels[source.channel] : 1.0;
        auto& slopes = out.fixtures[source.fixture];
        forEachTarget(scene_, source, x.value(), y.value(), depth.value(), [&](const Target& target) {
            const auto light = arrival<Jet>(target, source, Jet(source.x_mm, 0), Jet(source.y_mm, 1),
                                            Jet(source.height_mm, 2));
            if (!light) return;
            const auto& by = light->per_flux.v;
            out.ppfd += flux * light->per_flux.a;
            slopes.x_per_mm += flux * by[0];
            slopes.y_per_mm += flux * by[1];
            slopes.height_per_mm += flux * by[2];
            // Turning moves the emitter across its arm, and its beam about its own place.
            slopes.rotation_per_deg +=
                flux * kDegree *
                (by[1] * (source.x_mm - fixture.x_mm) - by[0] * (source.y_mm - fixture.y_mm) + by[kTurn]);
            slopes.level += full * own * light->per_flux.a;
            slopes.channel_levels[source.channel] += full * fixture.level * light->per_flux.a;
            const auto by_beam = beam.parameterSlopes(light->ray);
            for (std::size_t i = 0; i < by_beam.size(); ++i)
                out.beams[source.beam][i] += flux * light->without_beam * by_beam[i];
        });
    }
    return out;
}

}  // namespace glumet
