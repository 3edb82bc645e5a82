#pragma once

#include <array>
#include <map>
#include <memory>
#include <span>
#include <vector>

#include "core/light/azimuth_fold.h"
#include "core/light/radial_table.h"
#include "core/light/scene.h"

namespace glumet {

/// How the fast field computes.
struct FastFieldOptions {
    double relative_error = 1e-4;    ///< of each tabulated source, 1e-6…1e-2
    int threads = 0;                 ///< 0: as many as the machine has
    std::size_t most_tables = 4096;  ///< kept for later; the oldest are dropped
};

/// The light field of ExactField by tabulated sources: same scenes, same limits, each source within
/// `relative_error` where it gives more than 10⁻⁵ of its peak. The kinks of beams, the footprint's edge and
/// the onset of total reflection are kept sharp; a receiver within rounding (10⁻⁷ of the tank) of such an
/// edge may fall on its other side.
///
/// A beam by planes is tabulated plane by plane; shrouds and what is in the way are met by each ray as in
/// ExactField, those that no ray of a block can meet are passed over for all of it.
///
/// Tables are kept across scenes: a move sideways, a turn or a new level recomputes no table, a new height
/// only those of its own sources. Not for use by two threads at once.
class FastField {
  public:
    explicit FastField(LightScene scene, FastFieldOptions options = {});

    /// Replaces the scene. Tables stay unless beams, channels or water changed.
    void setScene(LightScene scene);
    const LightScene& scene() const { return scene_; }

    /// PPFD at points (x, y), mm, of the plane at `depth`; size of points.
    std::vector<double> onPlane(Millimetre depth, std::span<const std::array<double, 2>> points);
    /// The same points at several depths at once; [depth][point].
    std::vector<std::vector<double>> onPlanes(std::span<const Millimetre> depths,
                                              std::span<const std::array<double, 2>> points);

    /// What was spent, for benchmarks and the curious.
    struct Effort {
        std::size_t tables = 0;  ///< held now
        std::size_t table_bytes = 0;
        std::size_t evaluations = 0;  ///< exact evaluations for tables, since the start
        double worst_error = 0.0;     ///< of any table held
    };
    Effort effort() const;

  private:
    struct Batch;
    const RadialTable& tableOf(const RadialKey& key) const;
    void prepareTables(std::span<const Millimetre> depths);
    void dropOldTables();
    double farthest2() const;

    LightScene scene_;
    FastFieldOptions options_;
    std::vector<PointSource> sources_;
    std::vector<AzimuthFold> folds_;  ///< of each beam
    std::map<RadialKey, std::shared_ptr<const RadialTable>> tables_;
    double tables_reach2_ = 0.0;  ///< squared distance all tables cover
    std::size_t evaluations_ = 0;
};

}  // namespace glumet
