#include "formats/method_json.h"

#include <nlohmann/json.hpp>

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;
constexpr int kVersion = 1;
constexpr const char* kFormat = "glumet methods";

std::vector<double> numbers(const std::vector<Millimetre>& lengths) {
    std::vector<double> out;
    for (const auto length : lengths) out.push_back(length.value());
    return out;
}

std::vector<Millimetre> lengthsAt(const Json& json, const char* key) {
    std::vector<Millimetre> out;
    for (const double value : json.at(key).get<std::vector<double>>()) out.emplace_back(value);
    return out;
}

const char* waterWord(WaterState water) {
    return water == WaterState::Still ? "still" : water == WaterState::Moving ? "moving" : "dry";
}

WaterState waterOf(const std::string& word) {
    return word == "moving" ? WaterState::Moving : word == "dry" ? WaterState::Dry : WaterState::Still;
}

Json jsonOf(const SurveyMethod& m) {
    Json spots = Json::array();
    for (const auto& spot : m.spots)
        spots.push_back({{"name", spot.name}, {"x_mm", spot.x.value()}, {"y_mm", spot.y.value()}});
    return {{"name", m.name},
            {"purpose", m.purpose},
            {"heights_mm", numbers(m.heights)},
            {"depths_mm", numbers(m.depths)},
            {"columns", m.columns},
            {"rows", m.rows},
            {"spots", spots},
            {"presets", m.presets},
            {"accessories", m.accessories},
            {"fixtures", m.fixtures},
            {"spreads_mm", numbers(m.spreads)},
            {"water", waterWord(m.water)}};
}

SurveyMethod methodOf(const Json& json) {
    SurveyMethod m;
    m.name = json.at("name").get<std::string>();
    m.purpose = json.at("purpose").get<std::string>();
    m.heights = lengthsAt(json, "heights_mm");
    m.depths = lengthsAt(json, "depths_mm");
    m.columns = json.at("columns").get<int>();
    m.rows = json.at("rows").get<int>();
    for (const auto& spot : json.at("spots"))
        m.spots.push_back({spot.at("name").get<std::string>(), Millimetre(spot.at("x_mm").get<double>()),
                           Millimetre(spot.at("y_mm").get<double>())});
    m.presets = json.at("presets").get<std::vector<std::string>>();
    m.accessories = json.at("accessories").get<std::vector<std::string>>();
    m.fixtures = json.at("fixtures").get<int>();
    m.spreads = lengthsAt(json, "spreads_mm");
    m.water = waterOf(json.at("water").get<std::string>());
    return m;
}

}  // namespace

std::string writeMethods(const std::vector<SurveyMethod>& methods) {
    Json list = Json::array();
    for (const auto& method : methods) list.push_back(jsonOf(method));
    return Json{{"format", kFormat}, {"version", kVersion}, {"methods", list}}.dump(2) + "\n";
}

Expected<std::vector<SurveyMethod>> readMethods(std::string_view bytes) {
    std::vector<SurveyMethod> methods;
    try {
        const auto json = Json::parse(bytes);
        if (json.at("format").get<std::string>() != kFormat)
            return problem("format", "is not a list of methods");
        if (json.at("version").get<int>() > kVersion)
            return problem("version", "was written by a newer Glumet");
        for (const auto& item : json.at("methods")) {
            methods.push_back(methodOf(item));
            if (const auto wrong = methods.back().invalid())
                return problem(methods.back().name + ", " + wrong->where, wrong->what);
        }
    } catch (const nlohmann::json::exception&) {
        return problem("method " + std::to_string(methods.size() + 1), "is not understood");
    }
    return methods;
}

}  // namespace glumet
