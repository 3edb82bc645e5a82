#include "formats/beam_json.h"

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

Expected<std::vector<double>> numbersAt(const Json& json, const char* key) {
    const auto found = json.find(key);
    if (found == json.end()) return problem(key, say(GLUMET_SAY("Core", "is missing")));
    if (!found->is_array()) return problem(key, say(GLUMET_SAY("Core", "must be a list")));
    std::vector<double> values;
    for (const auto& item : *found) {
        if (!item.is_number()) return problem(key, say(GLUMET_SAY("Core", "must hold numbers only")));
        values.push_back(item.get<double>());
    }
    return values;
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
    return {{"kind", "table"}, {"theta_deg", beam.thetaDeg()}, {"relative", beam.relative()}};
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
    const auto theta = numbersAt(json, "theta_deg");
    if (!theta) return tl::make_unexpected(theta.error());
    const auto relative = numbersAt(json, "relative");
    if (!relative) return tl::make_unexpected(relative.error());
    return Beam::table(*theta, *relative);
}

}  // namespace glumet
