#include "formats/beam_json.h"

#include <fmt/format.h>

#include <nlohmann/json.hpp>

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;

Expected<double> numberAt(const Json& json, const char* key) {
    const auto found = json.find(key);
    if (found == json.end()) return problem(key, say(GLUMET_SAY("Core", "is missing")));
    if (!found->is_number()) return problem(key, say(GLUMET_SAY("Core", "must be a number")));
    return found->get<double>();
}

Expected<std::vector<double>> numbersIn(const Json& list, const std::string& key) {
    if (!list.is_array()) return problem(key, say(GLUMET_SAY("Core", "must be a list")));
    std::vector<double> values;
    for (const auto& item : list) {
        if (!item.is_number()) return problem(key, say(GLUMET_SAY("Core", "must hold numbers only")));
        values.push_back(item.get<double>());
    }
    return values;
}

Expected<std::vector<double>> numbersAt(const Json& json, const char* key) {
    const auto found = json.find(key);
    if (found == json.end()) return problem(key, say(GLUMET_SAY("Core", "is missing")));
    return numbersIn(*found, key);
}

Expected<std::vector<std::vector<double>>> listsAt(const Json& json, const char* key) {
    const auto found = json.find(key);
    if (found == json.end()) return problem(key, say(GLUMET_SAY("Core", "is missing")));
    if (!found->is_array()) return problem(key, say(GLUMET_SAY("Core", "must be a list of lists")));
    std::vector<std::vector<double>> lists;
    for (std::size_t i = 0; i < found->size(); ++i) {
        auto list = numbersIn((*found)[i], fmt::format("{}[{}]", key, i));
        if (!list) return tl::make_unexpected(list.error());
        lists.push_back(std::move(*list));
    }
    return lists;
}

Expected<Beam> tableFrom(const Json& json) {
    auto theta = numbersAt(json, "theta_deg");
    if (!theta) return tl::make_unexpected(theta.error());
    if (!json.contains("phi_deg")) {
        auto relative = numbersAt(json, "relative");
        if (!relative) return tl::make_unexpected(relative.error());
        return Beam::table(std::move(*theta), std::move(*relative));
    }
    auto phi = numbersAt(json, "phi_deg");
    if (!phi) return tl::make_unexpected(phi.error());
    const auto relative = listsAt(json, "relative");
    if (!relative) return tl::make_unexpected(relative.error());
    return Beam::planes(std::move(*theta), std::move(*phi), *relative);
}

}  // namespace

Json jsonOfBeam(const Beam& beam) {
    switch (beam.kind()) {
        case Beam::Kind::HalfAngle:
            return {{"kind", "half_angle"}, {"half_angle_deg", beam.parameters().front()}};
        case Beam::Kind::CosinePower:
            return {{"kind", "cosine_power"}, {"m", beam.parameters().front()}};
        case Beam::Kind::Table:
            break;
    }
    if (beam.round())
        return {{"kind", "table"}, {"theta_deg", beam.thetaDeg()}, {"relative", beam.relative()}};
    Json lists = Json::array();
    for (std::size_t plane = 0; plane < beam.planeCount(); ++plane)
        lists.push_back(beam.planeRelative(plane));
    return {{"kind", "table"},
            {"theta_deg", beam.thetaDeg()},
            {"phi_deg", beam.phiDeg()},
            {"relative", std::move(lists)}};
}

Expected<Beam> beamFromJson(const Json& json) {
    if (!json.is_object()) return problem("", say(GLUMET_SAY("Core", "must be an object")));
    const auto kind = json.find("kind");
    if (kind == json.end() || !kind->is_string())
        return problem("kind", say(GLUMET_SAY("Core", "is missing")));
    const auto word = kind->get<std::string>();
    if (word == "half_angle") return numberAt(json, "half_angle_deg").and_then(Beam::halfAngle);
    if (word == "cosine_power") return numberAt(json, "m").and_then(Beam::cosinePower);
    if (word != "table")
        return problem(
            "kind", say(GLUMET_SAY("Core", "\"{}\" is not half_angle, cosine_power, table or lm63"), word));
    return tableFrom(json);
}

}  // namespace glumet
