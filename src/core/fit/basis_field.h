#pragma once

#include <map>
#include <memory>
#include <span>
#include <vector>

#include "core/fit/beam_basis.h"
#include "core/light/images.h"
#include "core/light/scene.h"

namespace glumet {

/// One emitter of a fixture: place on it, and its share of the fixture's light; shares add up to 1.
struct ModelEmitter {
    double dx_mm = 0.0;
    double dy_mm = 0.0;
    double share = 1.0;
    bool operator==(const ModelEmitter&) const = default;
};

/// What rays do between a height and a depth, by their horizontal distance; kept for fields that share them.
/// Not for use by two threads at once.
class RayTables {
  public:
    RayTables();
    RayTables(const RayTables&) = delete;
    RayTables& operator=(const RayTables&) = delete;
    ~RayTables();
    void clear();

  private:
    friend class BasisField;
    struct Table;
    struct Key {
        double height, depth, refractive_index, attenuation, farthest;
        auto operator<=>(const Key&) const = default;
    };
    const Table& at(const Key& key);
    std::map<Key, std::unique_ptr<Table>> tables_;
};

/// A tank with fixtures over it, their beam left open: what the light at a point is, bell by bell. The same
/// model as ExactField (Snell, Fresnel, mirror images through the real footprint, shrouds, what is in the
/// way), with the ray's quantities read from a table every 2 mm of distance (relative error below 10⁻⁴).
class BasisField {
  public:
    /// Fixtures' heights, places, turns, levels and shrouds are those of the scene; its emitters and beams
    /// are not used. `attenuation_per_m` replaces the water's; a dry tank has none. `tables` outlives the
    /// field.
    BasisField(const LightScene& scene, std::vector<ModelEmitter> emitters, double attenuation_per_m,
               BeamShape shape = BeamShape::Round, RayTables* tables = nullptr);

    struct Point {
        double x_mm = 0.0;
        double y_mm = 0.0;
        double depth_mm = 0.0;
    };

    /// One row of BeamBasis::size(shape) a point, row-major: PPFD = row · coefficients of the whole fixture.
    std::vector<double> rows(const std::vector<Point>& points) const;
    /// The same rows times one beam's coefficients: PPFD at each point.
    std::vector<double> values(const std::vector<Point>& points, std::span<const double> beam) const;

  private:
    using Table = RayTables::Table;
    using Tables = std::map<double, std::vector<const Table*>>;
    Tables tablesFor(const std::vector<Point>& points, RayTables& tables) const;
    /// Calls `see` with angle, azimuth and light without the beam of every ray that reaches a point.
    template <class See>
    void forEachRay(const Point& point, const std::vector<const Table*>& tables, See see) const;
    struct Source {
        double x, y, height, share;
        double turn;  ///< of its fixture, radians
        std::size_t fixture;
        ModelEmitter emitter;
    };
    /// Share of a ray that no shroud and nothing in the way keeps back.
    double passes(const Source& source, const AxisImage& along, const AxisImage& across,
                  const std::array<double, 3>& entry, const std::array<double, 3>& receiver) const;

    const LightScene scene_;
    std::vector<Source> sources_;
    std::vector<double> heights_;  ///< distinct
    double attenuation_;
    BeamShape shape_;
    bool clear_ = true;  ///< neither shroud nor obstacle
    RayTables* tables_;
};

}  // namespace glumet
