#include <fmt/format.h>

#include <QFileInfo>
#include <array>
#include <nlohmann/json.hpp>

#include "core/base/parallel.h"
#include "core/light/budget.h"
#include "core/light/exact_field.h"
#include "files.h"
#include "formats/beam_json.h"
#include "formats/lm63.h"
#include "formats/scene_json.h"
#include "verbs.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

Expected<SceneFile> sceneOfFile(const std::string& name) {
    const auto bytes = bytesOf(name, limits::kJsonBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    // Files that a scene names lie beside it.
    const auto folder = QFileInfo(path(name)).absolutePath();
    auto scene = readScene(*bytes, [&](const std::string& beside) {
        return bytesOf((folder + QLatin1Char('/') + path(beside)).toStdString(), limits::kPhotometryBytes);
    });
    if (!scene) return problem(name + ", " + scene.error().where, scene.error().what);
    return scene;
}

std::vector<double> exactPlane(const ExactField& field, const SceneFile& file, Millimetre depth) {
    std::vector<double> values(file.points.size());
    forEachIndex(values.size(), 0, [&](std::size_t i) {
        values[i] = field.at(Millimetre(file.points[i][0]), Millimetre(file.points[i][1]), depth).value();
    });
    return values;
}

Json budgetJson(const LightBudget& budget) {
    Json planes = Json::array();
    for (const auto& plane : budget.planes)
        planes.push_back({{"depth_mm", plane.depth.value()}, {"delivered_umol_s", plane.delivered}});
    return {{"emitted_umol_s", budget.emitted},
            {"shrouded_umol_s", budget.shrouded},
            {"obstructed_umol_s", budget.obstructed},
            {"spilled_umol_s", budget.spilled},
            {"reflected_umol_s", budget.reflected},
            {"absorbed_umol_s", budget.absorbed},
            {"left_wall_umol_s", budget.walls[0]},
            {"right_wall_umol_s", budget.walls[1]},
            {"front_wall_umol_s", budget.walls[2]},
            {"back_wall_umol_s", budget.walls[3]},
            {"bottom_umol_s", budget.bottom},
            {"residual", budget.residual()},
            {"planes", planes}};
}

std::string budgetText(const LightBudget& b) {
    const auto line = [&](const char* what, double value) {
        return fmt::format("  {:<24}{:>9.2f} µmol/s{:>7.1f} %\n", what, value,
                           b.emitted > 0.0 ? value / b.emitted * 100.0 : 0.0);
    };
    std::string text =
        line("emitted", b.emitted) + line("kept back by shrouds", b.shrouded) +
        line("kept back by what is in the way", b.obstructed) + line("spilled past the tank", b.spilled) +
        line("reflected at the surface", b.reflected) + line("absorbed by the water", b.absorbed);
    constexpr std::array kNames{"lost at the left wall", "lost at the right wall", "lost at the front wall",
                                "lost at the back wall"};
    for (std::size_t i = 0; i < kNames.size(); ++i) text += line(kNames[i], b.walls[i]);
    text += line("arrives at the bottom", b.bottom);
    for (const auto& plane : b.planes)
        text += line(fmt::format("passes {:g} mm", plane.depth.value()).c_str(), plane.delivered);
    return text;
}

}  // namespace

Expected<Output> field(const std::string& name, bool with_budget) {
    const auto file = sceneOfFile(name);
    if (!file) return tl::make_unexpected(file.error());
    const ExactField exact(file->scene);
    Json planes = Json::array();
    std::string text;
    for (const auto depth : file->depths) {
        const auto values = exactPlane(exact, *file, depth);
        Json points = Json::array();
        text += fmt::format("{:g} mm under water\n", depth.value());
        for (std::size_t i = 0; i < values.size(); ++i) {
            const auto& at = file->points[i];
            points.push_back({{"x_mm", at[0]}, {"y_mm", at[1]}, {"ppfd_umol_m2_s", values[i]}});
            text += fmt::format("  {:>8.1f} {:>8.1f} mm  {:>9.2f}\n", at[0], at[1], values[i]);
        }
        planes.push_back({{"depth_mm", depth.value()}, {"points", std::move(points)}});
    }
    Json out{{"planes", std::move(planes)}};
    if (with_budget) {
        const auto budget = lightBudget(file->scene, file->depths);
        out["budget"] = budgetJson(budget);
        text += budgetText(budget);
    }
    return Output{jsonText(out, 2), text};
}

Expected<Output> beam(const std::string& name, const std::string& target) {
    const auto bytes = bytesOf(name, limits::kPhotometryBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    const auto photometry = readLm63(*bytes);
    if (!photometry)
        return problem(photometry.error().where.empty() ? name : name + ", " + photometry.error().where,
                       photometry.error().what);
    if (!target.empty())
        if (const auto done = writeText(path(target), writeLm63(photometry->beam, 1.0, photometry->name));
            !done)
            return tl::make_unexpected(done.error());
    const Json json{{"name", photometry->name},
                    {"beam", jsonOfBeam(photometry->beam)},
                    {"upward_share", photometry->upward_share},
                    {"unevenness", photometry->unevenness},
                    {"input_w", photometry->watt}};
    return Output{
        jsonText(json, 2),
        fmt::format("{}: {} angles, {:.1f} % of the light upward, planes differ by up to {:.1f} % of "
                    "the peak\n",
                    photometry->name.empty() ? name : photometry->name, photometry->beam.thetaDeg().size(),
                    photometry->upward_share * 100.0, photometry->unevenness * 100.0)};
}

}  // namespace glumet::cli
