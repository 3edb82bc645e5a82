#include "core/light/budget.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/base/angle.h"
#include "core/base/parallel.h"
#include "core/light/obstruction.h"
#include "core/light/surface.h"

namespace glumet {
namespace {

using std::numbers::pi;

/// Nodes and weights of Gauss and Legendre's 8-point rule on −1…1.
constexpr std::array kNodes{-.9602898564975363, -.7966664774136267, -.5255324099163290, -.1834346424956498,
                            .1834346424956498,  .5255324099163290,  .7966664774136267,  .9602898564975363};
constexpr std::array kWeights{.1012285362903763, .2223810344533745, .3137066458778873, .3626837833783620,
                              .3626837833783620, .3137066458778873, .2223810344533745, .1012285362903763};
/// The widest pieces that are integrated in one go.
constexpr double kWidestTheta = 4.0 * kDegree;
constexpr double kWidestPhi = 30.0 * kDegree;
/// … where a beam by planes, a shroud or an obstacle makes steps that no cut meets.
constexpr double kFineTheta = 2.0 * kDegree;
constexpr double kFinePhi = 7.5 * kDegree;

template <class See>
void integrate(double from, double to, double widest, See see) {
    const int pieces = std::max(1, static_cast<int>(std::ceil((to - from) / widest)));
    const double half = (to - from) / pieces / 2.0;
    for (int piece = 0; piece < pieces; ++piece)
        for (std::size_t i = 0; i < kNodes.size(); ++i)
            see(from + half * (2.0 * piece + 1.0 + kNodes[i]), half * kWeights[i]);
}

struct Arc {
    double from = 0.0;
    double to = 0.0;
    bool inside = false;
};

/// The circle of radius rho about (x, y), cut where it crosses the footprint's sides.
std::vector<Arc> arcsOf(const LightScene& scene, double x, double y, double rho) {
    // The axes are cut too: a ray's walls change there.
    std::vector<double> cuts{0.0, 0.5 * pi, pi, 1.5 * pi, 2.0 * pi};
    const auto add = [&](double angle) { cuts.push_back(angle < 0.0 ? angle + 2.0 * pi : angle); };
    for (const double wall : {0.0, scene.length_mm})
        if (const double cosine = (wall - x) / rho; std::abs(cosine) < 1.0) {
            add(std::acos(cosine));
            add(-std::acos(cosine));
        }
    for (const double wall : {0.0, scene.width_mm})
        if (const double sine = (wall - y) / rho; std::abs(sine) < 1.0) {
            add(std::asin(sine));
            add(pi - std::asin(sine));
        }
    std::sort(cuts.begin(), cuts.end());
    std::vector<Arc> arcs;
    for (std::size_t i = 0; i + 1 < cuts.size(); ++i) {
        const double middle = 0.5 * (cuts[i] + cuts[i + 1]);
        const double at_x = x + rho * std::cos(middle);
        const double at_y = y + rho * std::sin(middle);
        arcs.push_back({cuts[i], cuts[i + 1],
                        at_x >= 0.0 && at_x <= scene.length_mm && at_y >= 0.0 && at_y <= scene.width_mm});
    }
    return arcs;
}

/// Angles at which the ring about a source first touches a side or a corner, or the beam breaks.
std::vector<double> thetaCuts(const LightScene& scene, const PointSource& source) {
    const auto& beam = scene.beams[source.beam];
    const double last = beam.lastAngle() * kDegree;
    std::vector<double> cuts{0.0, last};
    for (const double degrees : beam.breaks()) cuts.push_back(degrees * kDegree);
    const auto touch = [&](double distance) {
        cuts.push_back(std::atan(std::abs(distance) / source.height_mm));
    };
    for (const double wall_x : {0.0, scene.length_mm}) {
        touch(wall_x - source.x_mm);
        for (const double wall_y : {0.0, scene.width_mm})
            touch(std::hypot(wall_x - source.x_mm, wall_y - source.y_mm));
    }
    for (const double wall_y : {0.0, scene.width_mm}) touch(wall_y - source.y_mm);
    std::sort(cuts.begin(), cuts.end());
    std::erase_if(cuts, [&](double cut) { return cut > last; });
    return cuts;
}

/// One ray in the water on its way down.
class Descent {
  public:
    Descent(const LightScene& scene, const Attenuation& attenuation, LightBudget& budget)
        : scene_(scene), attenuation_(attenuation), budget_(budget) {}

    /// From (x, y) on the surface with horizontal direction phi and water angle given by its sine; `met`:
    /// obstacles met above the water.
    void follow(double x, double y, double phi, double sine, double power, std::vector<bool> met) {
        cosine_ = std::sqrt(1.0 - sine * sine);
        left_ = 1.0;
        length_m_ = 0.0;
        power_ = power;
        met_ = std::move(met);
        const double tangent = sine / cosine_;
        Axis along{
            x,          std::cos(phi) * tangent, scene_.length_mm, sine * std::abs(std::cos(phi)), Side::Left,
            Side::Right};
        Axis across{
            y,         std::sin(phi) * tangent, scene_.width_mm, sine * std::abs(std::sin(phi)), Side::Front,
            Side::Back};
        std::size_t plane = 0;
        const double bottom = scene_.water_depth_mm;
        for (double depth = 0.0; depth < bottom && left_ > 1e-9;) {
            const double to_wall = std::min(along.depthToWall(), across.depthToWall());
            double next = std::min(depth + to_wall, bottom);
            const bool to_a_wall = next == depth + to_wall && next < bottom;
            const auto obstacle = nextObstacle(along, across, depth, next);
            while (plane < budget_.planes.size() && budget_.planes[plane].depth.value() <= next) {
                const double at = budget_.planes[plane].depth.value();
                const double path = length_m_ + (at - depth) * 1e-3 / cosine_;
                budget_.planes[plane++].delivered += power_ * left_ * attenuation_.transmittance(path);
            }
            advance(next - depth);
            along.move(next - depth);
            across.move(next - depth);
            depth = next;
            if (obstacle) {
                dim(*obstacle);
                continue;
            }
            if (depth >= bottom || !to_a_wall) break;
            bounce(along.depthToWall() <= across.depthToWall() ? along : across);
        }
        budget_.bottom += power_ * left_ * attenuation_.transmittance(length_m_);
    }

  private:
    struct Axis {
        double at;
        double per_depth;  ///< movement per depth, signed
        double size;
        double cos_incidence;
        Side low;
        Side high;

        double depthToWall() const {
            if (per_depth > 0.0) return std::max(0.0, (size - at) / per_depth);
            return per_depth < 0.0 ? std::max(0.0, -at / per_depth) : 1e300;
        }
        void move(double depth) { at += per_depth * depth; }
    };

    /// The obstacle that is met first, and `next` shortened to where.
    std::optional<std::size_t> nextObstacle(const Axis& along, const Axis& across, double depth,
                                            double& next) {
        std::optional<std::size_t> first;
        const std::array from{along.at, across.at, depth};
        for (std::size_t i = 0; i < scene_.obstacles.size(); ++i) {
            if (met_[i]) continue;
            const double run = next - depth;
            const std::array to{along.at + along.per_depth * run, across.at + across.per_depth * run, next};
            if (const auto share = meetingAt(scene_.obstacles[i], from, to)) {
                next = depth + *share * run;
                first = i;
            }
        }
        return first;
    }

    void dim(std::size_t obstacle) {
        const double through = scene_.obstacles[obstacle].transmittance;
        budget_.obstructed += power_ * left_ * (1.0 - through) * attenuation_.transmittance(length_m_);
        left_ *= through;
        met_[obstacle] = true;
    }

    void advance(double depth) {
        const double further = length_m_ + depth * 1e-3 / cosine_;
        budget_.absorbed +=
            power_ * left_ * (attenuation_.transmittance(length_m_) - attenuation_.transmittance(further));
        length_m_ = further;
    }

    void bounce(Axis& axis) {
        const auto side = axis.per_depth > 0.0 ? axis.high : axis.low;
        const auto& wall = scene_.wall(side);
        const double r = wall.clear() ? paneReflectance(axis.cos_incidence, scene_.water.refractive_index,
                                                        wall.refractive_index)
                                      : wall.reflectance;
        budget_.walls[static_cast<std::size_t>(side)] +=
            power_ * left_ * (1.0 - r) * attenuation_.transmittance(length_m_);
        left_ *= r;
        axis.at = axis.per_depth > 0.0 ? axis.size : 0.0;
        axis.per_depth = -axis.per_depth;
    }

    const LightScene& scene_;
    const Attenuation& attenuation_;
    LightBudget& budget_;
    double cosine_ = 1.0;
    double left_ = 1.0;      ///< share not lost to walls
    double length_m_ = 0.0;  ///< run in the water
    double power_ = 0.0;
    std::vector<bool> met_;
};

/// The rays of one source, ring by ring about its axis.
class SourceRays {
  public:
    SourceRays(const LightScene& scene, const PointSource& source, LightBudget& budget)
        : scene_(scene),
          source_(source),
          beam_(scene.beams[source.beam]),
          shroud_(scene.fixtures[source.fixture].shroud),
          turn_(std::atan2(source.sin_turn, source.cos_turn)),
          plain_(beam_.round() && !shroud_ && scene.obstacles.empty()),
          budget_(budget),
          descent_(scene, scene.channels[source.channel].attenuation, budget) {}

    void follow() {
        budget_.emitted += source_.flux_umol_s;
        const auto cuts = thetaCuts(scene_, source_);
        for (std::size_t i = 0; i + 1 < cuts.size(); ++i)
            if (cuts[i + 1] - cuts[i] >= 1e-12)
                integrate(cuts[i], cuts[i + 1], plain_ ? kWidestTheta : kFineTheta,
                          [&](double theta, double weight) { addRing(theta, weight); });
    }

  private:
    struct Ring {
        double cosine, sine, tangent;
        double rho;        ///< of its circle on the surface, mm
        double through;    ///< the surface, 0–1
        double intensity;  ///< of a round beam
    };

    void addRing(double theta, double weight) {
        const double cosine = std::cos(theta);
        const Ring ring{cosine,
                        std::sin(theta),
                        std::tan(theta),
                        source_.height_mm * std::tan(theta),
                        surfaceTransmittance(cosine, scene_.water.refractive_index),
                        beam_.round() ? beam_.intensity(cosine) : 0.0};
        const double flux = source_.flux_umol_s * ring.sine * weight;
        for (const auto& arc : arcsOf(scene_, source_.x_mm, source_.y_mm, ring.rho)) {
            if (arc.to - arc.from < 1e-12) continue;
            if (plain_ && !arc.inside)
                budget_.spilled += flux * ring.intensity * (arc.to - arc.from);
            else
                integrate(arc.from, arc.to, plain_ ? kWidestPhi : kFinePhi,
                          [&](double phi, double share) { addRay(ring, phi, flux * share, arc.inside); });
        }
    }

    void addRay(const Ring& ring, double phi, double flux, bool inside) {
        const double turned = phi - turn_;
        const double power = flux * (beam_.round() ? ring.intensity : beam_.intensity({ring.cosine, turned}));
        if (shroud_ && !shroudPasses(*shroud_, source_.dx_mm, source_.dy_mm, ring.tangent * std::cos(turned),
                                     ring.tangent * std::sin(turned))) {
            budget_.shrouded += power;
            return;
        }
        const double x = source_.x_mm + ring.rho * std::cos(phi);
        const double y = source_.y_mm + ring.rho * std::sin(phi);
        auto met = metInAir(x, y);
        double arriving = power;
        for (std::size_t i = 0; i < met.size(); ++i)
            if (met[i]) arriving *= scene_.obstacles[i].transmittance;
        budget_.obstructed += power - arriving;
        if (!inside) {
            budget_.spilled += arriving;
            return;
        }
        budget_.reflected += arriving * (1.0 - ring.through);
        descent_.follow(x, y, phi, ring.sine / scene_.water.refractive_index, arriving * ring.through,
                        std::move(met));
    }

    /// Obstacles met on the way to (x, y) on the surface.
    std::vector<bool> metInAir(double x, double y) const {
        std::vector<bool> met(scene_.obstacles.size());
        for (std::size_t i = 0; i < met.size(); ++i) {
            const auto air = partInAir(scene_.obstacles[i]);
            met[i] = air && meets(*air, {source_.x_mm, source_.y_mm, -source_.height_mm}, {x, y, 0.0});
        }
        return met;
    }

    const LightScene& scene_;
    const PointSource& source_;
    const Beam& beam_;
    const std::optional<SceneShroud>& shroud_;
    double turn_;
    bool plain_;  ///< direction decides about no more than the beam's angle and the footprint
    LightBudget& budget_;
    Descent descent_;
};

void add(LightBudget& to, const LightBudget& from) {
    to.emitted += from.emitted;
    to.shrouded += from.shrouded;
    to.obstructed += from.obstructed;
    to.spilled += from.spilled;
    to.reflected += from.reflected;
    to.absorbed += from.absorbed;
    to.bottom += from.bottom;
    for (std::size_t i = 0; i < to.walls.size(); ++i) to.walls[i] += from.walls[i];
    for (std::size_t i = 0; i < to.planes.size(); ++i) to.planes[i].delivered += from.planes[i].delivered;
}

}  // namespace

double LightBudget::accounted() const {
    double sum = shrouded + obstructed + spilled + reflected + absorbed + bottom;
    for (const double wall : walls) sum += wall;
    return sum;
}

double LightBudget::residual() const { return emitted > 0.0 ? (emitted - accounted()) / emitted : 0.0; }

LightBudget lightBudget(const LightScene& scene, std::span<const Millimetre> depths) {
    LightBudget total;
    for (const auto depth : depths) total.planes.push_back({depth, 0.0});
    std::sort(total.planes.begin(), total.planes.end(),
              [](const auto& a, const auto& b) { return a.depth < b.depth; });
    const auto sources = sourcesOf(scene);
    std::vector<LightBudget> parts(sources.size(), total);
    forEachIndex(sources.size(), 0, [&](std::size_t i) { SourceRays(scene, sources[i], parts[i]).follow(); });
    for (const auto& part : parts) add(total, part);
    return total;
}

}  // namespace glumet
