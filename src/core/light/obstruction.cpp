#include "core/light/obstruction.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

using Point = std::array<double, 3>;

std::optional<double> meetingDisc(const SceneObstacle& disc, const Point& from, const Point& to) {
    const double z = disc.centre_mm[2];
    const double low = std::min(from[2], to[2]);
    const double high = std::max(from[2], to[2]);
    if (z < low || z > high) return std::nullopt;
    const double share = high > low ? (z - from[2]) / (to[2] - from[2]) : 0.0;
    const double dx = from[0] + share * (to[0] - from[0]) - disc.centre_mm[0];
    const double dy = from[1] + share * (to[1] - from[1]) - disc.centre_mm[1];
    const bool within = dx * dx + dy * dy <= disc.diameter_mm * disc.diameter_mm / 4.0;
    return within ? std::optional(share) : std::nullopt;
}

std::optional<double> meetingBox(const SceneObstacle& box, const Point& from, const Point& to) {
    double begin = 0.0;
    double end = 1.0;
    for (std::size_t axis = 0; axis < 3; ++axis) {
        const double run = to[axis] - from[axis];
        if (run == 0.0) {
            if (from[axis] < box.from_mm[axis] || from[axis] > box.to_mm[axis]) return std::nullopt;
            continue;
        }
        const double a = (box.from_mm[axis] - from[axis]) / run;
        const double b = (box.to_mm[axis] - from[axis]) / run;
        begin = std::max(begin, std::min(a, b));
        end = std::min(end, std::max(a, b));
    }
    return begin <= end ? std::optional(begin) : std::nullopt;
}

void mirror(double& low, double& high, const AxisImage& image) {
    const double a = image.sign * low + image.offset;
    const double b = image.sign * high + image.offset;
    low = std::min(a, b);
    high = std::max(a, b);
}

}  // namespace

std::optional<double> meetingAt(const SceneObstacle& obstacle, const Point& from, const Point& to) {
    return obstacle.kind == SceneObstacle::Kind::Disc ? meetingDisc(obstacle, from, to)
                                                      : meetingBox(obstacle, from, to);
}

bool meets(const SceneObstacle& obstacle, const Point& from, const Point& to) {
    return meetingAt(obstacle, from, to).has_value();
}

SceneObstacle mirrored(const SceneObstacle& obstacle, const AxisImage& along, const AxisImage& across) {
    auto out = obstacle;
    if (obstacle.kind == SceneObstacle::Kind::Disc) {
        out.centre_mm[0] = along.sign * obstacle.centre_mm[0] + along.offset;
        out.centre_mm[1] = across.sign * obstacle.centre_mm[1] + across.offset;
    } else {
        mirror(out.from_mm[0], out.to_mm[0], along);
        mirror(out.from_mm[1], out.to_mm[1], across);
    }
    return out;
}

std::optional<SceneObstacle> partInWater(const SceneObstacle& obstacle) {
    auto part = obstacle;
    if (obstacle.kind == SceneObstacle::Kind::Disc)
        return obstacle.centre_mm[2] >= 0.0 ? std::optional(part) : std::nullopt;
    if (obstacle.to_mm[2] <= 0.0) return std::nullopt;
    part.from_mm[2] = std::max(part.from_mm[2], 0.0);
    return part;
}

std::optional<SceneObstacle> partInAir(const SceneObstacle& obstacle) {
    auto part = obstacle;
    if (obstacle.kind == SceneObstacle::Kind::Disc)
        return obstacle.centre_mm[2] < 0.0 ? std::optional(part) : std::nullopt;
    if (obstacle.from_mm[2] >= 0.0) return std::nullopt;
    part.to_mm[2] = std::min(part.to_mm[2], 0.0);
    return part;
}

std::vector<AxisImage> imagesBetween(const AxisImage& image, double size_mm) {
    std::vector<AxisImage> images;
    const int step = image.index < 0 ? -1 : 1;
    for (int i = 0; i != image.index + step; i += step) images.push_back(axisImage(i, size_mm));
    return images;
}

double obstaclesPass(const LightScene& scene, const AxisImage& along, const AxisImage& across,
                     const Point& emitter, const Point& entry, const Point& receiver) {
    if (scene.obstacles.empty()) return 1.0;
    const auto columns = imagesBetween(along, scene.length_mm);
    const auto rows = imagesBetween(across, scene.width_mm);
    double pass = 1.0;
    for (const auto& obstacle : scene.obstacles) {
        const auto air = partInAir(obstacle);
        bool met = air && meets(*air, emitter, entry);
        const auto water = partInWater(obstacle);
        for (auto a = columns.begin(); water && !met && a != columns.end(); ++a)
            for (auto b = rows.begin(); !met && b != rows.end(); ++b)
                met = meets(mirrored(*water, *a, *b), entry, receiver);
        if (met) pass *= obstacle.transmittance;
    }
    return pass;
}

bool shroudPasses(const SceneShroud& shroud, double dx_mm, double dy_mm, double slope_x, double slope_y) {
    return std::abs(dx_mm + shroud.drop_mm * slope_x) <= shroud.length_mm / 2.0 &&
           std::abs(dy_mm + shroud.drop_mm * slope_y) <= shroud.width_mm / 2.0;
}

}  // namespace glumet
