#include "core/light/sampling.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

std::vector<double> centres(double size_mm, double pitch_mm) {
    const auto count = std::max(1, static_cast<int>(std::lround(size_mm / pitch_mm)));
    std::vector<double> list;
    for (int i = 0; i < count; ++i) list.push_back((i + 0.5) * size_mm / count);
    return list;
}

std::vector<Millimetre> depthsOf(const std::vector<double>& depths_mm) {
    std::vector<Millimetre> list;
    for (const double depth : depths_mm) list.emplace_back(depth);
    return list;
}

}  // namespace

std::vector<Ppfd> alongLine(const ExactField& field, const Place& from, const Place& to, int count) {
    std::vector<Ppfd> values;
    for (int i = 0; i < count; ++i) {
        const double share = static_cast<double>(i) / (count - 1);
        const auto between = [&](double a, double b) { return Millimetre(a + share * (b - a)); };
        values.push_back(field.at(between(from.x_mm, to.x_mm), between(from.y_mm, to.y_mm),
                                  between(from.depth_mm, to.depth_mm)));
    }
    return values;
}

Expected<LightVolume> sampleVolume(FastField& field, Millimetre pitch) {
    const auto& scene = field.scene();
    if (!(pitch.value() >= 1.0))
        return problem("pitch_mm",
                       say(GLUMET_SAY("Core", "must be 1 or more, is {}"), Figure{pitch.value()}));
    const double nodes = scene.length_mm * scene.width_mm * scene.water_depth_mm / std::pow(pitch.value(), 3);
    if (nodes > kMostNodes)
        return problem("pitch_mm", say(GLUMET_SAY("Core", "asks for {} nodes, at most {} are computed"),
                                       Figure{nodes}, Figure{kMostNodes}));
    LightVolume volume{centres(scene.length_mm, pitch.value()),
                       centres(scene.width_mm, pitch.value()),
                       centres(scene.water_depth_mm, pitch.value()),
                       {}};
    std::vector<std::array<double, 2>> points;
    for (const double y : volume.ys_mm)
        for (const double x : volume.xs_mm) points.push_back({x, y});
    for (const auto& layer : field.onPlanes(depthsOf(volume.depths_mm), points))
        volume.values.insert(volume.values.end(), layer.begin(), layer.end());
    return volume;
}

double shareInBand(const LightVolume& volume, const Band& band) {
    const auto inside = std::count_if(volume.values.begin(), volume.values.end(), [&](double value) {
        return value >= band.low.value() && value <= band.high.value();
    });
    return static_cast<double>(inside) / static_cast<double>(volume.values.size());
}

namespace {

/// Depth between two nodes at which the light crosses the limit of the band it crosses.
Millimetre crossing(const LightVolume& volume, std::size_t inside, std::size_t outside, double in_value,
                    double out_value, const Band& band) {
    const double limit = out_value < in_value ? band.low.value() : band.high.value();
    const double share = (limit - in_value) / (out_value - in_value);
    return Millimetre(volume.depths_mm[inside] +
                      share * (volume.depths_mm[outside] - volume.depths_mm[inside]));
}

BandRange rangeOf(const LightVolume& volume, std::size_t column, std::size_t row, const Band& band) {
    const std::size_t layers = volume.depths_mm.size();
    const auto value = [&](std::size_t layer) { return volume.at(column, row, layer); };
    std::size_t first = layers;
    std::size_t last = 0;
    std::size_t count = 0;
    for (std::size_t layer = 0; layer < layers; ++layer) {
        if (!band.contains(Ppfd(value(layer)))) continue;
        first = std::min(first, layer);
        last = layer;
        ++count;
    }
    if (count == 0) return {};
    BandRange range;
    range.kind = count == layers ? BandRange::Kind::All : BandRange::Kind::Part;
    range.share = static_cast<double>(count) / static_cast<double>(layers);
    range.from =
        first == 0 ? Millimetre(0) : crossing(volume, first, first - 1, value(first), value(first - 1), band);
    // The layers stand in the middle of equal cells, of which the last ends at the bottom.
    const Millimetre bottom(volume.depths_mm.front() + volume.depths_mm.back());
    range.to =
        last + 1 == layers ? bottom : crossing(volume, last, last + 1, value(last), value(last + 1), band);
    return range;
}

}  // namespace

std::vector<BandRange> bandRanges(const LightVolume& volume, const Band& band) {
    std::vector<BandRange> map;
    for (std::size_t row = 0; row < volume.ys_mm.size(); ++row)
        for (std::size_t column = 0; column < volume.xs_mm.size(); ++column)
            map.push_back(rangeOf(volume, column, row, band));
    return map;
}

Surface verticalSlice(FastField& field, Millimetre y, Millimetre pitch) {
    const auto& scene = field.scene();
    Surface slice;
    slice.grid.xs_mm = centres(scene.length_mm, pitch.value());
    slice.grid.ys_mm = centres(scene.water_depth_mm, pitch.value());
    std::vector<std::array<double, 2>> points;
    for (const double x : slice.grid.xs_mm) points.push_back({x, y.value()});
    for (const auto& row : field.onPlanes(depthsOf(slice.grid.ys_mm), points))
        slice.values.insert(slice.values.end(), row.begin(), row.end());
    return slice;
}

}  // namespace glumet
