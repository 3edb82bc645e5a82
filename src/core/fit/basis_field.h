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
        double height, depth, refractive_index, attenuation, air_run;
        auto operator<=>(const Key&) const = default;
    };
    const Table& at(const Key& key);
    std::map<Key, std::unique_ptr<Table>> tables_;
};

/// A tank with fixtures over it, their beam left open: what the light at a point is, bell by bell. The same
/// model as ExactField (Snell, Fresnel, mirror images through the real footprint, shrouds, what is in the
/// way), with the ray's quantities read from a table every 2 mm of distance (relative error below 10⁻⁴).
/// Rays that enter beyond the footprint are not followed.
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

    /// How the PPFD E at a point, µmol·m⁻²·s⁻¹, answers to what is believed of the tank and the fixture, by
    /// derivative. Where shrouds or obstacles cut the light off, height, place and spread are not told.
    struct Slopes {
        double attenuation = 0.0;   ///< dE/dK, K in 1/m
        double reflectance = 0.0;   ///< dE/dρ of all opaque walls together
        double uneven_along = 0.0;  ///< dE/du, every emitter brighter by u · lean
        double uneven_across = 0.0;
        double height = 0.0;   ///< dE/dh, /mm, of all fixtures together
        double place_x = 0.0;  ///< dE/dx, /mm, of all fixtures together
        double place_y = 0.0;
        double spread_along = 0.0;  ///< dE/ds, the emitters' places times exp(s) along the body
        double spread_across = 0.0;
    };
    /// By how much each emitter's light answers to unevenness along and across: d ln share / du.
    struct Lean {
        double along = 0.0;
        double across = 0.0;
    };
    /// To either side of an edge of the footprint, on the surface; fits come out alike from 4 to 20 mm.
    static constexpr double kEdgeMm = 8.0;
    /// rows(), and the slopes under one beam, one for each point. `leans` as the emitters. By way of a wall a
    /// ray may come to enter the footprint, or cease to, as its source moves. E has no slope there; in its
    /// place a ray at a distance u from the edge counts as E (1 − |u|/w)/w · du/dx, w = `edge_mm` > 0: over a
    /// walk across the edge that adds up to E.
    std::vector<double> rows(const std::vector<Point>& points, std::span<const double> beam,
                             const std::vector<Lean>& leans, std::vector<Slopes>& slopes,
                             double edge_mm = kEdgeMm) const;

  private:
    using Table = RayTables::Table;
    /// What all rays from one height to one depth have in common.
    struct Setting {
        const Table* table;
        std::vector<AxisImage> along;
        std::vector<AxisImage> across;
    };
    using Settings = std::map<double, std::vector<Setting>>;  ///< by depth
    Settings settingsFor(const std::vector<Point>& points, RayTables& tables) const;
    struct Source {
        double x, y, height, share;
        double turn;  ///< of its fixture, radians
        std::size_t fixture;
        std::size_t index;  ///< of its emitter
        ModelEmitter emitter;
    };
    /// A ray that reaches a point.
    struct Ray {
        const Source& source;
        double theta_deg;
        double phi;
        double light;           ///< without the beam
        double by_reflectance;  ///< its derivative by the opaque walls' reflectance
        double path_m;          ///< in the water
        const Table* table;
        double dx, dy;           ///< from the source to the image it reaches, mm
        const AxisImage* along;  ///< nullptr for a direct ray
        const AxisImage* across;
        double entry_x, entry_y;  ///< where it enters the water, mm
    };
    /// Whether a place on the surface is within the footprint, or that near to it.
    bool enters(double x, double y, double near_mm) const;
    /// Adds how a ray's light under a beam answers to its source's height and place.
    void addMoved(const Ray& ray, const BeamCurve::Slopes& beam, Slopes& slopes) const;
    /// The same of its entering the footprint or not.
    void addEdges(const Ray& ray, double intensity, double edge_mm, Slopes& slopes) const;
    void addPlaced(const Source& source, double by_x, double by_y, Slopes& slopes) const;
    /// Calls `see` with every ray that reaches a point, and with those that enter beyond the footprint by no
    /// more than `near_mm`.
    template <class See>
    void forEachRay(const Point& point, const std::vector<Setting>& settings, double near_mm, See see) const;
    /// Share of a ray that no shroud and nothing in the way keeps back.
    double passes(const Source& source, const AxisImage& along, const AxisImage& across,
                  const std::array<double, 3>& entry, const std::array<double, 3>& receiver) const;

    const LightScene scene_;
    std::vector<Source> sources_;
    std::vector<double> heights_;  ///< distinct
    double attenuation_;
    BeamShape shape_;
    double run_x_ = 0.0;  ///< the longest run in air along the tank from a source into the footprint, mm
    double run_y_ = 0.0;  ///< the same across it
    bool clear_ = true;   ///< neither shroud nor obstacle
    RayTables* tables_;
};

}  // namespace glumet
