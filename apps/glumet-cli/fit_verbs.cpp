#include <fmt/format.h>

#include <map>
#include <nlohmann/json.hpp>
#include <set>
#include <utility>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/fit/fit_as_described.h"
#include "core/light/exact_field.h"
#include "core/verdicts/array.h"
#include "core/words/sentence.h"
#include "files.h"
#include "formats/model_json.h"
#include "formats/readings_csv.h"
#include "formats/ring_csv.h"
#include "verbs.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

/// A described tank as the bench has it.
Tank tankOf(const LightScene& scene) {
    Tank tank;
    tank.id = 1;
    tank.name = "tank";
    tank.length = Millimetre(scene.length_mm);
    tank.width = Millimetre(scene.width_mm);
    tank.water_depth = Millimetre(scene.water_depth_mm);
    for (const auto side : kSides)
        tank.wall(side) = {scene.wall(side).kind,
                           scene.wall(side).clear() ? 0.05 : scene.wall(side).reflectance};
    return tank;
}

/// The model's fixtures by the fit, all others as they are described.
std::vector<Predicted> predictAt(const LightModel& model, const ModelScene& scene, Millimetre depth) {
    LightScene modelled = scene.file.scene;
    LightScene described = scene.file.scene;
    modelled.fixtures.clear();
    for (const auto index : scene.of_model) modelled.fixtures.push_back(scene.file.scene.fixtures[index]);
    for (auto index = scene.of_model.rbegin(); index != scene.of_model.rend(); ++index)
        described.fixtures.erase(described.fixtures.begin() + static_cast<std::ptrdiff_t>(*index));
    std::vector<BasisField::Point> points;
    for (const auto& p : scene.file.points) points.push_back({p[0], p[1], depth.value()});
    auto values = predict(model.elsewhere(), modelled, points);
    if (described.fixtures.empty()) return values;
    const ExactField rest(described);
    for (std::size_t i = 0; i < values.size(); ++i) {
        const double more = rest.at(Millimetre(points[i].x_mm), Millimetre(points[i].y_mm), depth).value();
        values[i].ppfd += more;
        values[i].lo += more;
        values[i].hi += more;
    }
    return values;
}

Json parametersJson(const FitResult& fit) {
    Json list = Json::array();
    for (const auto& p : fit.parameters)
        list.push_back({{"name", english(p.name)},
                        {"unit", p.unit},
                        {"value", p.value},
                        {"error", p.error},
                        {"prior_error", p.prior_error < 1e8 ? Json(p.prior_error) : Json(nullptr)}});
    return list;
}

Json distrustedJson(const Bench& bench, const FitResult& fit) {
    Json list = Json::array();
    for (const auto& r : fit.residuals)
        if (r.distrusted)
            list.push_back({{"run", bench.run(r.run).label},
                            {"height_mm", bench.run(r.run).height.value()},
                            {"depth_mm", r.depth.value()},
                            {"x_mm", r.x.value()},
                            {"y_mm", r.y.value()},
                            {"ppfd_umol_m2_s", r.reading},
                            {"model_umol_m2_s", r.model},
                            {"standard_errors", r.standard_errors}});
    return list;
}

/// What the files hold: readings by the rows of one kind of file, means by those of the other.
struct Read {
    std::vector<ReadingRow> rows;
    std::vector<RingTable> rings;
};

Expected<bool> readOne(const std::string& file, Read& into) {
    return readAs(
        file,
        [&](std::string_view bytes) -> Expected<bool> {
            const auto text = splitDelimited(bytes);
            if (!text) return tl::make_unexpected(text.error());
            if (looksLikeRings(*text)) {
                into.rings.push_back(readRings(*text));
                const auto& rings = into.rings.back();
                if (!rings.problems.empty()) return tl::make_unexpected(rings.problems.front());
                if (rings.means == 0) return problem("", verbatim("holds no mean"));
                return true;
            }
            auto read = readReadings(*text);
            if (!read.problems.empty()) return tl::make_unexpected(read.problems.front());
            if (read.rows.empty()) return problem("", verbatim("holds no reading"));
            std::move(read.rows.begin(), read.rows.end(), std::back_inserter(into.rows));
            return true;
        },
        limits::kTableBytes);
}

/// Adds others' means to the bench: their runs get ids of their own and the first fixture of the bench, whose
/// model they speak of too.
void addRingRuns(const RingTable& rings, Bench& bench) {
    if (bench.fixtures.empty()) bench.fixtures.push_back(rings.bench.fixtures.front());
    for (auto run : rings.bench.runs) {
        run.id = static_cast<Id>(bench.runs.size()) + 1;
        run.fixture = bench.fixtures.front().id;
        run.accessory = 0;
        run.preset = 0;
        bench.runs.push_back(run);
    }
}

Expected<Bench> benchFor(const FitQuestion& q, FitOptions& options, bool& layout_known) {
    Read read;
    for (const auto& file : q.files)
        if (const auto done = readOne(file, read); !done) return tl::make_unexpected(done.error());
    const auto tank = readAs(q.tank, readTank);
    if (!tank) return tl::make_unexpected(tank.error());
    MergeReport merged;
    auto bench = withRows({}, read.rows, merged);
    // What a merge adds has negative ids, in order.
    for (std::size_t i = 0; i < bench.runs.size(); ++i) bench.runs[i].id = static_cast<Id>(i) + 1;
    for (const auto& rings : read.rings) addRingRuns(rings, bench);
    bench.tanks = {tankOf(*tank)};
    for (auto& run : bench.runs) {
        run.tank = 1;
        if (tank->water.dry()) run.water = WaterState::Dry;
    }
    if (tank->water.attenuation_per_m > 0.0) options.known_attenuation_per_m = tank->water.attenuation_per_m;
    layout_known = !q.fixture.empty();
    if (!layout_known) return bench;
    const auto described = readAs(q.fixture, readFixtureFile);
    if (!described) return tl::make_unexpected(described.error());
    for (auto& fixture : bench.fixtures) {
        // What the readings say of it stays: its name, and the presets that runs are of.
        const auto as_read = std::exchange(fixture, described->fixture);
        fixture.id = as_read.id;
        fixture.name = as_read.name;
        fixture.channels = as_read.channels;
        fixture.presets = as_read.presets;
    }
    options.emitters = described->emitters;
    return bench;
}

Json countsJson(const std::vector<CountRow>& rows) {
    Json list = Json::array();
    for (const auto& row : rows)
        list.push_back({{"count", row.count},
                        {"along", row.along == RowAlong::Length ? "length" : "width"},
                        {"turned", row.turned},
                        {"share_pct", row.share * 100.0},
                        {"level_pct", row.level_pct},
                        {"centres_mm", row.centres_mm}});
    return list;
}

Json percent(const std::optional<double>& share) { return share ? Json(*share * 100.0) : Json(nullptr); }

/// One model is of one fixture as it was set: the sweep of the preset asked for, else the first.
Expected<Sweep> sweepToFit(const Bench& bench, const std::string& preset) {
    const auto sweeps = sweepsOf(bench);
    if (preset.empty()) return sweeps.front();
    std::set<std::string> names;
    for (const auto& sweep : sweeps) {
        const auto name = presetName(bench, sweep.configuration);
        if (name == preset) return sweep;
        if (!name.empty()) names.insert(name);
    }
    return problem("--preset",
                   verbatim(fmt::format("no run has the preset \"{}\"; there {} {}", preset,
                                        names.size() == 1 ? "is" : "are",
                                        names.empty() ? "none" : fmt::format("{}", fmt::join(names, ", ")))));
}

/// The sweep's runs. Others' means speak of it too, at whatever level they were read.
std::vector<Id> runsToFit(const Bench& bench, const Sweep& sweep) {
    auto runs = sweep.forFit();
    for (const auto& run : bench.runs)
        if (run.byOthers() && std::find(runs.begin(), runs.end(), run.id) == runs.end())
            runs.push_back(run.id);
    return runs;
}

/// Whether the bench holds runs that were left out.
bool leftSome(const Bench& bench, const std::vector<Id>& runs) { return runs.size() < bench.runs.size(); }

}  // namespace

Expected<Output> fit(const FitQuestion& q) {
    FitOptions options;
    bool layout_known = false;
    const auto bench = benchFor(q, options, layout_known);
    if (!bench) return tl::make_unexpected(bench.error());
    const auto sweep = sweepToFit(*bench, q.preset);
    if (!sweep) return tl::make_unexpected(sweep.error());
    const auto runs = runsToFit(*bench, *sweep);
    const auto by_itself = [&](const Sweep& one) {
        const auto all = runsToFit(*bench, one);
        return layout_known ? fitFixture(*bench, all, options) : fitUnknownLayout(*bench, all, options);
    };
    const auto fit = fitLeaning(*bench, *sweep, options, by_itself, by_itself);
    if (!fit) return tl::make_unexpected(inFile(q.files.front(), fit.error()));
    if (!q.out.empty())
        if (const auto done = writeText(path(q.out), writeModel(fit->model)); !done)
            return tl::make_unexpected(done.error());
    std::vector<std::string> doubts;
    for (const auto& words : fit->cannot_tell) doubts.push_back(english(words));
    const auto& fixture = bench->fixtures.front();
    if (const auto factor = unitSuspicion(fit->model.flux(), fixture.rated_power))
        doubts.push_back(
            fmt::format("{:.0f} µmol/s from {:.0f} W cannot be: a unit seems off by a factor of {:g}.",
                        fit->model.flux(), fixture.rated_power->value(), *factor));
    if (q.preset.empty() && leftSome(*bench, runs))
        doubts.push_back("The file holds several configurations; the first was fitted.");
    const Json json{{"fixture", fit->model.fixture},
                    {"configuration", fit->model.configuration},
                    {"readings", fit->model.readings},
                    {"read_by_others", fit->means},
                    {"beam", wordOf(fit->model.shape)},
                    {"misfit", fit->model.misfit},
                    {"flux_umol_s", fit->model.flux()},
                    {"relative_residual", fit->model.relative_residual},
                    {"reduced_chi_square", fit->reduced_chi_square},
                    {"iterations", fit->iterations},
                    {"parameters", parametersJson(*fit)},
                    {"distrusted", distrustedJson(*bench, *fit)},
                    {"cannot_tell", doubts}};
    auto text = fmt::format("{}: {} readings, {:.0f} µmol/s, residual {}, reduced chi-square {:.2f}\n",
                            fit->model.configuration, fit->model.readings, fit->model.flux(),
                            percentText(fit->model.relative_residual), fit->reduced_chi_square);
    for (const auto& p : fit->parameters)
        text += fmt::format("  {:<30}{:>9.3f} ± {:.3f} {}\n", english(p.name), p.value, p.error, p.unit);
    for (const auto& r : fit->residuals)
        if (r.distrusted)
            text += fmt::format(
                "  distrusted: {} at {:g} mm deep, x {:g} y {:g}: {:.1f} read, {:.1f} expected\n",
                bench->run(r.run).label, r.depth.value(), r.x.value(), r.y.value(), r.reading, r.model);
    for (const auto& doubt : doubts) text += "  " + doubt + "\n";
    return Output{jsonText(json, 2), text};
}

Expected<Output> predicted(const std::string& model_file, const std::string& scene_file) {
    const auto model = readAs(model_file, readModel);
    if (!model) return tl::make_unexpected(model.error());
    const auto scene = modelScene(scene_file);
    if (!scene) return tl::make_unexpected(scene.error());
    if (scene->of_model.empty())
        return problem(scene_file, verbatim("no fixture names the model: give one \"use\": \"model\""));
    Json planes = Json::array();
    std::string text;
    for (const auto depth : scene->file.depths) {
        const auto values = predictAt(*model, *scene, depth);
        Json points = Json::array();
        text += fmt::format("{:g} mm under water\n", depth.value());
        for (std::size_t i = 0; i < values.size(); ++i) {
            const auto& at = scene->file.points[i];
            points.push_back({{"x_mm", at[0]},
                              {"y_mm", at[1]},
                              {"ppfd_umol_m2_s", values[i].ppfd},
                              {"lo", values[i].lo},
                              {"hi", values[i].hi}});
            text += fmt::format("  {:>8.1f} {:>8.1f} mm  {:>9.2f}  {:.2f}–{:.2f}\n", at[0], at[1],
                                values[i].ppfd, values[i].lo, values[i].hi);
        }
        planes.push_back({{"depth_mm", depth.value()}, {"points", std::move(points)}});
    }
    return Output{jsonText(Json{{"planes", std::move(planes)}}, 2), text};
}

namespace {

ArrayQuestion arrayQuestion(const SpacingQuestion& q, const LightScene& tank) {
    ArrayQuestion question;
    question.tank = tank;
    question.count = q.count;
    question.height = Millimetre(q.height_mm);
    question.share = q.share_pct / 100.0;
    if (q.depth_mm) question.depth = Millimetre(*q.depth_mm);
    question.columns = q.columns;
    question.rows = q.rows;
    if (q.band) question.goal.band = *q.band;
    if (q.ceiling) question.goal.ceiling = Ppfd(*q.ceiling);
    if (q.floor) question.goal.floor = Ppfd(*q.floor);
    question.along = q.crosswise ? RowAlong::Width : RowAlong::Length;
    question.turned = q.turned;
    question.inner = q.spread_inner ? InnerOnes::Spread : InnerOnes::Stay;
    question.symmetric = !q.each;
    question.over = q.volume ? Over::Volume : Over::Points;
    question.limits.canopy_length_mm = q.canopy_length_mm;
    question.limits.canopy_width_mm = q.canopy_width_mm;
    return question;
}

}  // namespace

Expected<Output> spacingVerb(const SpacingQuestion& q) {
    const auto model = readAs(q.model, readModel);
    if (!model) return tl::make_unexpected(model.error());
    const auto tank = readAs(q.tank, readTank);
    if (!tank) return tl::make_unexpected(tank.error());
    const auto question = arrayQuestion(q, *tank);
    const auto answer = spacing(model->elsewhere(), question);
    if (!answer) return problem("--" + answer.error().where, answer.error().what);
    Json evidence = Json::array();
    for (const auto& step : answer->steps)
        evidence.push_back({{"outward_mm", step.outward_mm},
                            {"centres_mm", step.centres_mm},
                            {"edge_umol_m2_s", step.edge},
                            {"centre_umol_m2_s", step.centre},
                            {"share_pct", step.share * 100.0},
                            {"seam_pct", std::expm1(step.seam) * 100.0},
                            {"in_band_pct", step.in_band * 100.0},
                            {"level_pct", step.level_pct}});
    Json schools = Json::array();
    std::string text;
    for (const auto& school : answer->schools) {
        schools.push_back({{"school", wordOf(school.school)},
                           {"centres_mm", school.speaks() ? Json(school.centres_mm) : Json(nullptr)},
                           {"share_pct", school.best * 100.0},
                           {"lo_pct", percent(school.low)},
                           {"hi_pct", percent(school.high)},
                           {"level_pct", school.level_pct},
                           {"status", wordOf(school.status())},
                           {"reason", english(school.reason)},
                           {"evidence", evidence}});
        text += fmt::format("{}: {}\n", wordOf(school.school), english(school.reason));
    }
    Json json{{"schools", schools}};
    if (q.fewest_pct) {
        const auto rows = counts(*model, question, *q.fewest_pct / 100.0);
        if (!rows) return tl::make_unexpected(rows.error());
        json["counts"] = countsJson(*rows);
        for (const auto& row : *rows)
            text += fmt::format("{} {}{}: {} in band at {:.0f} %\n", row.count,
                                row.along == RowAlong::Length ? "lengthwise" : "crosswise",
                                row.turned ? ", turned" : "", percentText(row.share), row.level_pct);
    }
    return Output{jsonText(json, 2), text};
}

Expected<Output> intensityVerb(const std::vector<std::string>& model_files, const std::string& scene_file,
                               const Band& band) {
    const auto scene = modelScene(scene_file);
    if (!scene) return tl::make_unexpected(scene.error());
    Goal goal;
    goal.band = band;
    std::vector<std::string> names;
    std::vector<LitPoints> channels;
    for (const auto& file : model_files) {
        const auto model = readAs(file, readModel);
        if (!model) return tl::make_unexpected(model.error());
        names.push_back(model->configuration);
        channels.emplace_back();
        for (const auto depth : scene->file.depths)
            for (const auto& value : predictAt(*model, *scene, depth))
                channels.back().values.push_back(value.ppfd);
    }
    LitPoints together = channels.front();
    for (std::size_t c = 1; c < channels.size(); ++c)
        for (std::size_t i = 0; i < together.values.size(); ++i) together.values[i] += channels[c].values[i];
    const auto verdict = goalLevel(together, goal);
    Json json{{"level_pct", verdict.best.level_pct},
              {"share_in_band", verdict.best.share},
              {"plateau_pct", {verdict.best.plateau_low_pct, verdict.best.plateau_high_pct}},
              {"status", wordOf(verdict.status())},
              {"values_used", verdict.used},
              {"share_five_less", verdict.five_less},
              {"share_five_more", verdict.five_more},
              {"reason", english(verdict.reason)}};
    std::string text = english(verdict.reason) + "\n";
    if (channels.size() > 1) {
        const auto mix = channelMix(names, channels, goal);
        json["channels"] = Json::array();
        for (std::size_t c = 0; c < names.size(); ++c)
            json["channels"].push_back({{"model", names[c]},
                                        {"level_pct", mix.level_pct[c]},
                                        {"about_as_well_pct", {mix.low_pct[c], mix.high_pct[c]}}});
        json["mix_status"] = wordOf(mix.status());
        json["mix_share_in_band"] = mix.share;
        text += english(mix.reason) + "\n";
    }
    return Output{jsonText(json, 2), text};
}

}  // namespace glumet::cli
