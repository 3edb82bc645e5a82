#include "formats/model_json.h"

#include <algorithm>
#include <cmath>
#include <nlohmann/json.hpp>

#include "core/bench/bench_rules.h"
#include "formats/json_text.h"

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;
constexpr const char* kModelFormat = "glumet light model";
constexpr int kModelVersion = 2;

/// What the JSON library says, without its own prefix.
Problem problemOf(const nlohmann::json::exception& error) {
    const std::string text = error.what();
    const auto end = text.find("] ");
    return {"", verbatim(text.substr(end == std::string::npos ? 0 : end + 2))};
}

/// A count of at least 0; what lies beyond any lattice is cut to one more, which the rules refuse.
int countAt(const Json& json, const char* key) {
    const double number = json.contains(key) && !json.at(key).is_null() ? json.at(key).get<double>() : 1.0;
    return static_cast<int>(std::clamp(number, 0.0, limits::kAlongLattice + 1.0));
}

double optionalNumber(const Json& json, const char* key, double otherwise) {
    return json.contains(key) && !json.at(key).is_null() ? json.at(key).get<double>() : otherwise;
}

std::vector<ModelEmitter> emittersOf(const Json& list) {
    std::vector<ModelEmitter> emitters;
    double sum = 0.0;
    for (const auto& item : list) {
        emitters.push_back({optionalNumber(item, "dx_mm", 0.0), optionalNumber(item, "dy_mm", 0.0),
                            optionalNumber(item, "share", optionalNumber(item, "flux_umol_s", 1.0))});
        sum += emitters.back().share;
    }
    for (auto& e : emitters) e.share /= sum;
    return emitters;
}

SceneShroud shroudOf(const Json& json) {
    return {json.at("length_mm").get<double>(), json.at("width_mm").get<double>(),
            json.at("drop_mm").get<double>()};
}

std::optional<Problem> wrongWithModel(const LightModel& model) {
    if (model.emitters.empty()) return Problem{"emitters", say(GLUMET_SAY("Core", "are missing"))};
    for (const auto& e : model.emitters)
        if (!std::isfinite(e.share) || e.share < 0.0)
            return Problem{"emitters", say(GLUMET_SAY("Core", "need a share of 0 or more each"))};
    double sum = 0.0;
    for (const double value : model.beam) {
        if (!(value >= 0.0) || !std::isfinite(value))
            return Problem{"beam", say(GLUMET_SAY("Core", "needs values of 0 or more"))};
        sum += value;
    }
    if (sum <= 0.0) return Problem{"beam", say(GLUMET_SAY("Core", "carries no light"))};
    if (model.covariance.size() != model.parameters() * model.parameters())
        return Problem{"covariance", say(GLUMET_SAY("Core", "has the wrong size"))};
    return std::nullopt;
}

}  // namespace

std::string writeModel(const LightModel& m) {
    Json emitters = Json::array();
    for (const auto& e : m.emitters)
        emitters.push_back({{"dx_mm", e.dx_mm}, {"dy_mm", e.dy_mm}, {"share", e.share}});
    Json json{{"format", kModelFormat},
              {"version", kModelVersion},
              {"fixture", m.fixture},
              {"configuration", m.configuration},
              {"flux_umol_s", m.flux()},
              {"flux_error_umol_s", m.fluxError()},
              {"height_offset_mm", m.height_offset_mm},
              {"body_length_mm", m.body_length_mm},
              {"body_width_mm", m.body_width_mm},
              {"readings", m.readings},
              {"relative_residual", m.relative_residual},
              {"emitters", emitters},
              {"basis",
               {{"kind", "even cubic B-spline over 0…90 degrees"},
                {"intervals", BeamBasis::kIntervals},
                {"azimuths", wordOf(m.shape)}}},
              {"beam_umol_s_sr", m.beam},
              {"covariance", m.covariance},
              {"own_offset_share", m.own_offset_share},
              {"ruler_mm", m.ruler_mm},
              {"misfit", m.misfit}};
    if (m.shroud)
        json["shroud"] = {{"length_mm", m.shroud->length_mm},
                          {"width_mm", m.shroud->width_mm},
                          {"drop_mm", m.shroud->drop_mm}};
    return jsonText(json, 1) + "\n";
}

Expected<LightModel> readModel(std::string_view bytes) {
    try {
        const auto parsed = parsedJson<Json>(bytes);
        if (!parsed) return tl::make_unexpected(parsed.error());
        const auto& json = *parsed;
        if (json.at("format").get<std::string>() != kModelFormat)
            return problem("format", say(GLUMET_SAY("Core", "is not a Glumet light model")));
        if (json.at("version").get<int>() > kModelVersion)
            return problem("version", say(GLUMET_SAY("Core", "was written by a newer Glumet")));
        if (json.at("basis").at("intervals").get<int>() != BeamBasis::kIntervals)
            return problem("basis", say(GLUMET_SAY("Core", "has another number of intervals")));
        LightModel m;
        m.fixture = json.at("fixture").get<std::string>();
        m.configuration = json.at("configuration").get<std::string>();
        m.height_offset_mm = json.at("height_offset_mm").get<double>();
        m.body_length_mm = json.at("body_length_mm").get<double>();
        m.body_width_mm = json.at("body_width_mm").get<double>();
        m.readings = json.at("readings").get<int>();
        m.relative_residual = json.at("relative_residual").get<double>();
        m.emitters = emittersOf(json.at("emitters"));
        // Models of the first version are round, and all of their offset goes along.
        if (json.at("basis").contains("azimuths") &&
            !readWord(json.at("basis").at("azimuths").get<std::string>(), m.shape))
            return problem("basis.azimuths", say(GLUMET_SAY("Core", "is not round, two-planes or free")));
        m.beam = json.at("beam_umol_s_sr").get<std::vector<double>>();
        if (m.beam.size() != static_cast<std::size_t>(BeamBasis::size(m.shape)))
            return problem("beam_umol_s_sr", say(GLUMET_SAY("Core", "has the wrong size")));
        m.own_offset_share = optionalNumber(json, "own_offset_share", 1.0);
        m.ruler_mm = optionalNumber(json, "ruler_mm", 0.0);
        m.misfit = optionalNumber(json, "misfit", 0.0);
        if (json.contains("shroud")) m.shroud = shroudOf(json.at("shroud"));
        m.covariance = json.at("covariance").get<std::vector<double>>();
        if (const auto wrong = wrongWithModel(m)) return tl::make_unexpected(*wrong);
        return m;
    } catch (const nlohmann::json::exception& error) {
        return tl::make_unexpected(problemOf(error));
    }
}

Expected<ModelScene> readModelScene(std::string_view bytes, const OpenNamed& open) {
    ModelScene out;
    std::string words;
    try {
        auto parsed = parsedJson<Json>(bytes);
        if (!parsed) return tl::make_unexpected(parsed.error());
        auto& json = *parsed;
        auto& fixtures = json.at("fixtures");
        for (std::size_t i = 0; i < fixtures.size(); ++i) {
            auto& fixture = fixtures[i];
            if (!fixture.contains("use")) continue;
            if (fixture.at("use").get<std::string>() != "model")
                return problem("fixtures[" + std::to_string(i) + "].use",
                               say(GLUMET_SAY("Core", "knows only \"model\"")));
            fixture.erase("use");
            fixture["emitters"] = *parsedJson<Json>(
                R"([{"dx_mm":0,"dy_mm":0,"flux_umol_s":1,"beam":{"kind":"cosine_power","m":1}}])");
            out.of_model.push_back(i);
        }
        words = jsonText(json);
    } catch (const nlohmann::json::exception& error) {
        return tl::make_unexpected(problemOf(error));
    }
    auto file = readScene(words, open);
    if (!file) return tl::make_unexpected(file.error());
    out.file = std::move(*file);
    return out;
}

Expected<LightScene> readTank(std::string_view bytes) {
    std::string words;
    try {
        const auto parsed = parsedJson<Json>(bytes);
        if (!parsed) return tl::make_unexpected(parsed.error());
        const auto& json = *parsed;
        Json scene;
        scene["tank"] = json.contains("tank") ? json.at("tank") : json;
        scene["water"] = json.contains("water")
                             ? json.at("water")
                             : Json{{"refractive_index", 1.333}, {"attenuation_per_m", 0.0}};
        scene["fixtures"] = *parsedJson<Json>(
            R"([{"x_mm":1,"y_mm":1,"height_mm":100,"emitters":[{"flux_umol_s":1,"dx_mm":0,"dy_mm":0,"beam":{"kind":"cosine_power","m":1}}]}])");
        scene["depths_mm"] = {1};
        scene["grid"] = {{"nx", 1}, {"ny", 1}};
        words = jsonText(scene);
    } catch (const nlohmann::json::exception& error) {
        return tl::make_unexpected(problemOf(error));
    }
    auto file = readScene(words, [](const std::string& name) -> Expected<std::string> {
        return problem(name, say(GLUMET_SAY("Core", "is not part of a tank")));
    });
    if (!file) return tl::make_unexpected(file.error());
    file->scene.fixtures.clear();
    file->scene.beams.clear();
    return std::move(file->scene);
}

Expected<FixtureFile> readFixtureFile(std::string_view bytes) {
    try {
        const auto parsed = parsedJson<Json>(bytes);
        if (!parsed) return tl::make_unexpected(parsed.error());
        const auto& json = *parsed;
        FixtureFile out;
        auto& f = out.fixture;
        if (json.contains("name")) f.name = json.at("name").get<std::string>();
        f.length = Millimetre(optionalNumber(json, "length_mm", 0.0));
        f.width = Millimetre(optionalNumber(json, "width_mm", 0.0));
        f.emitters.columns = countAt(json, "emitter_columns");
        f.emitters.rows = countAt(json, "emitter_rows");
        f.emitters.pitch_x = Millimetre(optionalNumber(json, "emitter_pitch_x_mm", 0.0));
        f.emitters.pitch_y = Millimetre(optionalNumber(json, "emitter_pitch_y_mm", 0.0));
        f.emitters.size = Millimetre(optionalNumber(json, "emitter_size_mm", 0.0));
        if (json.contains("shroud")) {
            const auto shroud = shroudOf(json.at("shroud"));
            f.shroud_length = Millimetre(shroud.length_mm);
            f.shroud_width = Millimetre(shroud.width_mm);
            f.shroud_drop = Millimetre(shroud.drop_mm);
        }
        if (f.emitters.columns < 1 || f.emitters.rows < 1 || f.emitters.columns * f.emitters.rows > 4000)
            return problem("emitter_columns",
                           say(GLUMET_SAY("Core", "times emitter_rows must lie between 1 and 4000")));
        if (const double watt = optionalNumber(json, "rated_power_w", 0.0); watt > 0.0)
            f.rated_power = Watt(watt);
        if (const double low = optionalNumber(json, "claimed_height_low_mm", 0.0); low > 0.0) {
            f.claimed_height_low = Millimetre(low);
            f.claimed_height_high = Millimetre(optionalNumber(json, "claimed_height_high_mm", low));
        }
        if (auto fault = faultOf(f)) return tl::make_unexpected(std::move(*fault));
        if (json.contains("emitters")) out.emitters = emittersOf(json.at("emitters"));
        return out;
    } catch (const nlohmann::json::exception& error) {
        return tl::make_unexpected(problemOf(error));
    }
}

}  // namespace glumet
