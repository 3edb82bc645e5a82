#include <fmt/format.h>

#include <nlohmann/json.hpp>
#include <set>

#include "core/light/shadow.h"
#include "files.h"
#include "formats/model_json.h"
#include "formats/scene_json.h"
#include "verbs.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

/// The fixtures that use the model get its emitters, beam, height offset and shroud; the others stay.
std::optional<Problem> putIn(const std::string& name, ModelScene& scene) {
    if (name.empty()) {
        if (scene.of_model.empty()) return std::nullopt;
        return Problem{"--model", verbatim("is needed: the scene's fixtures use one")};
    }
    const auto model = readAs(name, readModel);
    if (!model) return model.error();
    const auto there = model->elsewhere();
    const auto beam = there.sceneBeam();
    if (!beam) return inFile(name, beam.error());
    auto& lit = scene.file.scene;
    lit.beams.push_back(*beam);
    for (const auto index : scene.of_model) {
        auto& fixture = lit.fixtures[index];
        fixture.height_mm = std::max(1.0, fixture.height_mm + there.height_offset_mm);
        fixture.emitters = there.sceneEmitters(lit.beams.size() - 1);
        fixture.shroud = there.shroud;
    }
    return std::nullopt;
}

/// Channels by which something shines.
std::vector<std::size_t> litChannels(const ExactField& field) {
    std::set<std::size_t> lit;
    for (const auto& source : field.sources()) lit.insert(source.channel);
    return {lit.begin(), lit.end()};
}

template <class Figure>
double meanOver(const std::vector<std::array<double, 2>>& points, Figure figure) {
    double sum = 0.0;
    for (const auto& at : points)
        sum += figure(Millimetre(at[0]), Millimetre(at[1])) / static_cast<double>(points.size());
    return sum;
}

}  // namespace

Expected<Output> shadow(const std::string& model, const std::string& name) {
    auto scene = modelScene(name);
    if (!scene) return tl::make_unexpected(scene.error());
    if (const auto wrong = putIn(model, *scene)) return tl::make_unexpected(*wrong);
    const auto& file = scene->file;
    const ExactField field(file.scene);
    const auto points = middleRing(file.points, file.columns, file.rows);
    const auto channels = litChannels(field);
    Json planes = Json::array();
    Json shimmer = Json::array();
    std::string text;
    for (const auto depth : file.depths) {
        const double shaded = shadowFigure(file.scene, depth, points);
        const double moved = meanOver(points, [&](auto x, auto y) { return shimmerAt(field, x, y, depth); });
        planes.push_back({{"depth_mm", depth.value()}, {"shadow", shaded}});
        text +=
            fmt::format("{:g} mm under water: {:.0f} % of the light stays under the disc, shimmer {:.2f}\n",
                        depth.value(), 100.0 * shaded, moved);
        Json flashes = Json::array();
        for (std::size_t a = 0; a < channels.size(); ++a)
            for (std::size_t b = a + 1; b < channels.size(); ++b) {
                const double flash = meanOver(points, [&](auto x, auto y) {
                    return colourFlashAt(field, x, y, depth, channels[a], channels[b]);
                });
                const auto& first = file.scene.channels[channels[a]].name;
                const auto& second = file.scene.channels[channels[b]].name;
                flashes.push_back({{"a", first}, {"b", second}, {"value", flash}});
                text += fmt::format("  colour flash of {} and {}: {:.2f}\n", first, second, flash);
            }
        shimmer.push_back(
            {{"depth_mm", depth.value()}, {"shimmer", moved}, {"colour_flash", std::move(flashes)}});
    }
    return Output{jsonText(Json{{"planes", std::move(planes)}, {"shimmer", std::move(shimmer)}}, 2), text};
}

}  // namespace glumet::cli
