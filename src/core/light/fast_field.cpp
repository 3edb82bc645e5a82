#include "core/light/fast_field.h"

#include <cmath>
#include <limits>
#include <numeric>
#include <set>

#include "core/base/parallel.h"
#include "core/light/images.h"
#include "core/light/obstruction.h"
#include "core/light/sum_kernel.h"

namespace glumet {
namespace {

/// Blocks of receivers a thread takes at a time.
constexpr std::size_t kBlocksPerTask = 2;
/// Below so many look-ups a second thread costs more than it saves.
constexpr std::size_t kWorthAThread = 20'000;

kernel::Image kernelImage(const LightScene& scene, const AxisImage& along, const AxisImage& across) {
    kernel::Image image;
    image.sign_x = static_cast<float>(along.sign);
    image.offset_x = static_cast<float>(along.offset);
    image.sign_y = static_cast<float>(across.sign);
    image.offset_y = static_cast<float>(across.offset);
    image.itself = along.index == 0 && across.index == 0;
    double weight = 1.0;
    const auto cross = [&](Side side, int times) {
        const auto& wall = scene.wall(side);
        if (wall.clear()) return kernel::PaneCrossing{static_cast<float>(wall.refractive_index), times};
        weight *= std::pow(wall.reflectance, times);
        return kernel::PaneCrossing{1.0F, 0};
    };
    image.panes_x = {cross(Side::Left, along.low_crossings), cross(Side::Right, along.high_crossings)};
    image.panes_y = {cross(Side::Front, across.low_crossings), cross(Side::Back, across.high_crossings)};
    image.weight = static_cast<float>(weight);
    return image;
}

/// Points in whole blocks of near neighbours, padded with the last: the closer a block's points, the more of
/// the images it cannot see are dropped for the whole block.
struct Blocks {
    std::vector<float> xs;
    std::vector<float> ys;
    std::vector<std::uint32_t> order;  ///< index of each place's point
    std::size_t count = 0;

    explicit Blocks(std::span<const std::array<double, 2>> points)
        : order(points.size()), count((points.size() + kernel::kBlock - 1) / kernel::kBlock) {
        std::iota(order.begin(), order.end(), 0U);
        gather(points, 0, points.size());
        for (std::size_t i = 0; i < count * kernel::kBlock; ++i) {
            const auto& point = points[order[std::min(i, points.size() - 1)]];
            xs.push_back(static_cast<float>(point[0]));
            ys.push_back(static_cast<float>(point[1]));
        }
    }

  private:
    /// Halves a range across its longer side, at a whole block, until one block is left.
    void gather(std::span<const std::array<double, 2>> points, std::size_t first, std::size_t last) {
        if (last - first <= kernel::kBlock) return;
        std::array<double, 2> low = points[order[first]];
        std::array<double, 2> high = low;
        for (std::size_t i = first; i < last; ++i)
            for (std::size_t axis = 0; axis < 2; ++axis) {
                low[axis] = std::min(low[axis], points[order[i]][axis]);
                high[axis] = std::max(high[axis], points[order[i]][axis]);
            }
        const std::size_t axis = high[0] - low[0] >= high[1] - low[1] ? 0 : 1;
        const std::size_t blocks = (last - first + kernel::kBlock - 1) / kernel::kBlock;
        const std::size_t middle = first + blocks / 2 * kernel::kBlock;
        const auto at = [&](std::size_t i) { return order.begin() + static_cast<std::ptrdiff_t>(i); };
        std::nth_element(at(first), at(middle), at(last),
                         [&](std::uint32_t a, std::uint32_t b) { return points[a][axis] < points[b][axis]; });
        gather(points, first, middle);
        gather(points, middle, last);
    }
};

/// Sources that share height, beam and channel.
struct SourceGroup {
    RadialKey key;  ///< depth left open
    std::vector<kernel::Source> sources;
    double air_run_x = 0.0;
    double air_run_y = 0.0;
};

kernel::Source kernelSource(const LightScene& scene, const PointSource& source, bool inside) {
    kernel::Source out;
    out.x = static_cast<float>(source.x_mm);
    out.y = static_cast<float>(source.y_mm);
    out.flux = static_cast<float>(source.flux_umol_s);
    out.inside = inside;
    out.cos_turn = static_cast<float>(source.cos_turn);
    out.sin_turn = static_cast<float>(source.sin_turn);
    const auto& shroud = scene.fixtures[source.fixture].shroud;
    if (!shroud) return out;
    out.shrouded = true;
    // |d + drop·slope| ≤ size/2; a shroud without drop keeps nothing of the emitters over its rectangle.
    const auto between = [&](double at, double size) {
        constexpr float kNever = std::numeric_limits<float>::infinity();
        const bool over = std::abs(at) <= size / 2.0;
        if (shroud->drop_mm <= 0.0) return std::array{over ? -kNever : kNever, over ? kNever : -kNever};
        return std::array{static_cast<float>((-size / 2.0 - at) / shroud->drop_mm),
                          static_cast<float>((size / 2.0 - at) / shroud->drop_mm)};
    };
    out.shroud_x = between(source.dx_mm, shroud->length_mm);
    out.shroud_y = between(source.dy_mm, shroud->width_mm);
    return out;
}

std::vector<SourceGroup> groupsOf(const LightScene& scene, const std::vector<PointSource>& sources) {
    std::map<RadialKey, SourceGroup> groups;
    const double length = scene.length_mm;
    const double width = scene.width_mm;
    for (const auto& source : sources) {
        const RadialKey key{source.height_mm, 0.0, scene.water.refractive_index, source.beam, source.channel};
        auto& group = groups[key];
        group.key = key;
        const bool inside =
            source.x_mm >= 0.0 && source.x_mm <= length && source.y_mm >= 0.0 && source.y_mm <= width;
        group.sources.push_back(kernelSource(scene, source, inside));
        group.air_run_x = std::max({group.air_run_x, std::abs(source.x_mm), std::abs(length - source.x_mm)});
        group.air_run_y = std::max({group.air_run_y, std::abs(source.y_mm), std::abs(width - source.y_mm)});
    }
    std::vector<SourceGroup> list;
    for (auto& [key, group] : groups) list.push_back(std::move(group));
    return list;
}

/// What of the scene's obstacles a group's light can meet on its way to an image, over one depth.
class Obstructions {
  public:
    Obstructions(const LightScene& scene, double height, double depth)
        : scene_(scene), height_(height), depth_(depth) {
        const double apparent = depth / scene.water.refractive_index;
        most_in_water_ = apparent / (height + apparent);
    }

    std::vector<kernel::Obstruction> of(const AxisImage& along, const AxisImage& across) const {
        std::vector<kernel::Obstruction> out;
        if (scene_.obstacles.empty()) return out;
        const auto columns = imagesBetween(along, scene_.length_mm);
        const auto rows = imagesBetween(across, scene_.width_mm);
        for (std::uint32_t i = 0; i < scene_.obstacles.size(); ++i) {
            if (const auto air = partInAir(scene_.obstacles[i]))
                if (const auto part = inAir(*air)) out.push_back(shaped(*part, *air, i));
            const auto water = partInWater(scene_.obstacles[i]);
            if (!water || water->low()[2] > depth_) continue;
            for (const auto& a : columns)
                for (const auto& b : rows) out.push_back(shaped(inWater(*water), mirrored(*water, a, b), i));
        }
        return out;
    }

  private:
    /// Height over the surface h, way run in air u·r: at depth z < 0 a ray has run u·(h + z)/h of r.
    std::optional<kernel::Obstruction> inAir(const SceneObstacle& obstacle) const {
        if (obstacle.high()[2] < -height_) return std::nullopt;
        kernel::Obstruction out;
        out.air = true;
        const double from = (height_ + std::max(obstacle.low()[2], -height_)) / height_;
        const double to = (height_ + obstacle.high()[2]) / height_;
        out.from = static_cast<float>(from);
        out.to = static_cast<float>(to);
        out.least = static_cast<float>(1.0 - to);
        out.most = static_cast<float>(1.0 - from * (1.0 - most_in_water_));
        return out;
    }
    /// At depth z a ray still has (1 − u)(1 − z/d) of r before it, u ≥ h/(h + d/n).
    kernel::Obstruction inWater(const SceneObstacle& obstacle) const {
        kernel::Obstruction out;
        const auto left = [&](double z) { return depth_ > 0.0 ? 1.0 - std::min(z, depth_) / depth_ : 0.0; };
        out.from = static_cast<float>(left(obstacle.low()[2]));
        out.to = static_cast<float>(left(obstacle.high()[2]));
        out.least = 0.0F;
        out.most = static_cast<float>(out.from * most_in_water_);
        return out;
    }
    static kernel::Obstruction shaped(kernel::Obstruction out, const SceneObstacle& obstacle,
                                      std::uint32_t index) {
        const auto low = obstacle.low();
        const auto high = obstacle.high();
        out.obstacle = index;
        out.disc = obstacle.kind == SceneObstacle::Kind::Disc;
        out.centre_x = static_cast<float>((low[0] + high[0]) / 2.0);
        out.centre_y = static_cast<float>((low[1] + high[1]) / 2.0);
        out.half_x = static_cast<float>((high[0] - low[0]) / 2.0);
        out.half_y = static_cast<float>((high[1] - low[1]) / 2.0);
        out.transmittance = static_cast<float>(obstacle.transmittance);
        return out;
    }

    const LightScene& scene_;
    double height_;
    double depth_;
    double most_in_water_ = 0.0;  ///< greatest share of r that is run in the water
};

kernel::Box boundsOf(const std::vector<kernel::Source>& sources) {
    kernel::Box box{sources[0].x, sources[0].x, sources[0].y, sources[0].y};
    for (const auto& source : sources)
        box = {std::min(box.x_low, source.x), std::max(box.x_high, source.x), std::min(box.y_low, source.y),
               std::max(box.y_high, source.y)};
    return box;
}

}  // namespace

/// Everything of one depth that the kernel reads.
struct FastField::Batch {
    std::vector<std::vector<kernel::Image>> images;
    std::vector<kernel::Group> groups;
    std::vector<float> sums;

    Batch(const FastField& field, const std::vector<SourceGroup>& source_groups, double depth,
          std::size_t receivers)
        : sums(receivers, 0.0F) {
        const auto& scene = field.scene_;
        const double n = scene.water.refractive_index;
        images.reserve(source_groups.size());
        for (const auto& group : source_groups) {
            auto key = group.key;
            key.depth_mm = depth;
            const auto& beam = scene.beams[key.beam];
            const double reach_x = waterReach(beam, key.height_mm, depth, n, group.air_run_x);
            const double reach_y = waterReach(beam, key.height_mm, depth, n, group.air_run_y);
            auto& list = images.emplace_back();
            const Obstructions obstructions(scene, key.height_mm, depth);
            for (const auto& along :
                 axisImages(scene.length_mm, reach_x, scene.wall(Side::Left), scene.wall(Side::Right)))
                for (const auto& across :
                     axisImages(scene.width_mm, reach_y, scene.wall(Side::Front), scene.wall(Side::Back))) {
                    list.push_back(kernelImage(scene, along, across));
                    list.back().obstructions = obstructions.of(along, across);
                }
            kernel::Group out;
            out.fold = &field.folds_[key.beam];
            out.bounds = boundsOf(group.sources);
            out.table = &field.tableOf(key);
            out.sources = group.sources;
            out.images = list;
            out.height = static_cast<float>(key.height_mm);
            // Not bounded by the run in air here: that is tested source by source.
            out.reach = static_cast<float>(
                waterReach(beam, key.height_mm, depth, n, std::hypot(group.air_run_x, group.air_run_y)) *
                    (1.0 + 1e-6) +
                1e-3);
            out.run_ratio = static_cast<float>(depth / (n * key.height_mm) * (1.0 + 1e-6));
            groups.push_back(out);
        }
    }
};

FastField::FastField(LightScene scene, FastFieldOptions options) : options_(options) {
    setScene(std::move(scene));
}

void FastField::setScene(LightScene scene) {
    if (scene.beams != scene_.beams || scene.channels != scene_.channels) tables_.clear();
    scene_ = std::move(scene);
    folds_.clear();
    for (const auto& beam : scene_.beams) folds_.push_back(AzimuthFold::of(beam));
    sources_ = sourcesOf(scene_);
    if (farthest2() > tables_reach2_) {
        tables_.clear();
        tables_reach2_ = farthest2() * 1.2;
    }
}

double FastField::farthest2() const {
    // The farthest image that can qualify lies one longest run in air plus one in water away; beyond that the
    // table need not go. A dry tank has no bound by angle, so the run in air bounds it.
    double farthest = 0.0;
    for (const auto& source : sources_) {
        const double run =
            std::hypot(std::max(std::abs(source.x_mm), std::abs(scene_.length_mm - source.x_mm)),
                       std::max(std::abs(source.y_mm), std::abs(scene_.width_mm - source.y_mm)));
        const double reach = waterReach(scene_.beams[source.beam], source.height_mm, scene_.water_depth_mm,
                                        scene_.water.refractive_index, run);
        farthest = std::max(farthest, run + reach);
    }
    return farthest * farthest;
}

const RadialTable& FastField::tableOf(const RadialKey& key) const { return *tables_.at(key); }

void FastField::prepareTables(std::span<const Millimetre> depths) {
    std::set<RadialKey> missing;
    for (const auto& source : sources_)
        for (const auto depth : depths) {
            const RadialKey key{source.height_mm, depth.value(), scene_.water.refractive_index, source.beam,
                                source.channel};
            if (!tables_.contains(key)) missing.insert(key);
        }
    const std::vector<RadialKey> keys(missing.begin(), missing.end());
    std::vector<std::shared_ptr<const RadialTable>> made(keys.size());
    forEachIndex(keys.size(), options_.threads, [&](std::size_t i) {
        made[i] = std::make_shared<RadialTable>(tabulate(scene_.beams[keys[i].beam],
                                                         scene_.channels[keys[i].channel].attenuation,
                                                         keys[i], tables_reach2_, options_.relative_error));
    });
    // Old tables go before, not after: none of those needed now may be dropped.
    if (tables_.size() + keys.size() > options_.most_tables) dropOldTables();
    for (std::size_t i = 0; i < keys.size(); ++i) {
        evaluations_ += static_cast<std::size_t>(made[i]->evaluations);
        tables_.emplace(keys[i], std::move(made[i]));
    }
}

void FastField::dropOldTables() {
    std::set<double> heights;
    for (const auto& source : sources_) heights.insert(source.height_mm);
    std::erase_if(tables_, [&](const auto& entry) { return !heights.contains(entry.first.height_mm); });
}

std::vector<double> FastField::onPlane(Millimetre depth, std::span<const std::array<double, 2>> points) {
    return onPlanes({&depth, 1}, points).front();
}

std::vector<std::vector<double>> FastField::onPlanes(std::span<const Millimetre> depths,
                                                     std::span<const std::array<double, 2>> points) {
    if (points.empty()) return std::vector<std::vector<double>>(depths.size());
    prepareTables(depths);
    const Blocks blocks(points);
    const auto groups = groupsOf(scene_, sources_);
    std::vector<Batch> batches;
    batches.reserve(depths.size());
    for (const auto depth : depths) batches.emplace_back(*this, groups, depth.value(), blocks.xs.size());
    const kernel::Footprint footprint{static_cast<float>(scene_.length_mm),
                                      static_cast<float>(scene_.width_mm),
                                      static_cast<float>(scene_.water.refractive_index)};
    const std::size_t tasks_per_depth = (blocks.count + kBlocksPerTask - 1) / kBlocksPerTask;
    const bool small = depths.size() * points.size() * sources_.size() < kWorthAThread;
    forEachIndex(depths.size() * tasks_per_depth, small ? 1 : options_.threads, [&](std::size_t task) {
        auto& batch = batches[task / tasks_per_depth];
        const std::size_t first = task % tasks_per_depth * kBlocksPerTask;
        kernel::addLight(footprint, batch.groups, blocks.xs, blocks.ys, batch.sums, first,
                         std::min(first + kBlocksPerTask, blocks.count));
    });
    std::vector<std::vector<double>> out;
    for (const auto& batch : batches) {
        auto& values = out.emplace_back(points.size());
        for (std::size_t i = 0; i < points.size(); ++i) values[blocks.order[i]] = batch.sums[i];
    }
    return out;
}

FastField::Effort FastField::effort() const {
    Effort effort;
    effort.tables = tables_.size();
    effort.evaluations = evaluations_;
    for (const auto& [key, table] : tables_) {
        effort.table_bytes += table->bytes();
        effort.worst_error = std::max(effort.worst_error, table->error_met);
    }
    return effort;
}

}  // namespace glumet
