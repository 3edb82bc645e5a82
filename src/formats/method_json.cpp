#include "formats/method_json.h"

#include "formats/described_json.h"

namespace glumet {
namespace {

using Json = described::Json;
constexpr int kMethodVersion = 1;
constexpr const char* kMethodFormat = "glumet methods";

}  // namespace

std::string writeMethods(const std::vector<SurveyMethod>& methods) {
    Json list = Json::array();
    for (const auto& method : methods) described::write(list.emplace_back(), method, {});
    return jsonText(Json{{"format", kMethodFormat}, {"version", kMethodVersion}, {"methods", list}}, 2) +
           "\n";
}

Expected<std::vector<SurveyMethod>> readMethods(std::string_view bytes) {
    std::vector<SurveyMethod> methods;
    try {
        const auto parsed = parsedJson(bytes);
        if (!parsed) return tl::make_unexpected(parsed.error());
        const auto& json = *parsed;
        if (json.at("format").get<std::string>() != kMethodFormat)
            return problem("format", say(GLUMET_SAY("Core", "is not a list of methods")));
        if (json.at("version").get<int>() > kMethodVersion)
            return problem("version", say(GLUMET_SAY("Core", "was written by a newer Glumet")));
        for (const auto& item : json.at("methods")) {
            described::Context context;
            described::read(item, methods.emplace_back(), context);
            if (const auto wrong = methods.back().invalid())
                return problem(methods.back().name + ", " + wrong->where, wrong->what);
        }
    } catch (const described::Fault& fault) {
        return problem("method " + std::to_string(methods.size()) + ", " + fault.key, fault.what);
    } catch (const nlohmann::json::exception&) {
        return problem("method " + std::to_string(methods.size()),
                       say(GLUMET_SAY("Core", "is not understood")));
    }
    return methods;
}

}  // namespace glumet
