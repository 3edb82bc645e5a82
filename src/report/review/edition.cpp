#include "report/review/edition.h"

#include <QFile>
#include <algorithm>
#include <map>

#include "core/base/limits.h"
#include "core/base/sentence.h"
#include "formats/json_text.h"

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;

constexpr int kFormat = 1;
constexpr std::size_t kMostEditions = 10'000;

std::vector<ChangedFigure> changesOf(const std::vector<NamedFigure>& before,
                                     const std::vector<NamedFigure>& now) {
    std::map<std::string, std::string> old;
    for (const auto& figure : before) old[figure.name] = figure.said;
    std::vector<ChangedFigure> out;
    for (const auto& figure : now) {
        const auto at = old.find(figure.name);
        if (at == old.end())
            out.push_back({figure.name, {}, figure.said});
        else if (at->second != figure.said)
            out.push_back({figure.name, at->second, figure.said});
        if (at != old.end()) old.erase(at);
    }
    for (const auto& figure : before)
        if (old.contains(figure.name)) out.push_back({figure.name, figure.said, {}});
    return out;
}

}  // namespace

Edition editionAfter(const Edition* last, std::string day, std::string hash,
                     std::vector<NamedFigure> figures) {
    Edition out;
    out.day = std::move(day);
    out.hash = std::move(hash);
    out.figures = std::move(figures);
    if (last == nullptr) return out;
    out.earlier = last->earlier;
    if (last->hash == out.hash) {
        out.number = last->number;
        out.since = last->since;
        return out;
    }
    out.number = last->number + 1;
    out.since = changesOf(last->figures, out.figures);
    out.earlier.push_back({last->number, last->day, last->hash});
    return out;
}

QByteArray jsonOf(const Edition& edition) {
    Json figures = Json::array();
    for (const auto& figure : edition.figures)
        figures.push_back({{"name", figure.name}, {"said", figure.said}});
    Json since = Json::array();
    for (const auto& change : edition.since)
        since.push_back({{"name", change.name}, {"before", change.before}, {"now", change.now}});
    Json earlier = Json::array();
    for (const auto& one : edition.earlier)
        earlier.push_back({{"edition", one.number}, {"day", one.day}, {"sha256", one.hash}});
    const Json json{{"format", "glumet-edition"},
                    {"version", kFormat},
                    {"edition", edition.number},
                    {"day", edition.day},
                    {"sha256", edition.hash},
                    {"figures", figures},
                    {"since", since},
                    {"earlier", earlier}};
    return QByteArray::fromStdString(jsonText(json, 2) + "\n");
}

Expected<Edition> parseEdition(const QByteArray& bytes) {
    const auto refused = [] {
        return problem("edition.json", say(GLUMET_SAY("Core", "is not what a publication keeps there")));
    };
    try {
        const auto parsed = parsedJson({bytes.constData(), static_cast<std::size_t>(bytes.size())});
        if (!parsed) return problem("edition.json", parsed.error().what);
        const auto& json = *parsed;
        if (json.at("format") != "glumet-edition" || json.at("version").get<int>() > kFormat)
            return refused();
        Edition out;
        out.number = json.at("edition").get<int>();
        out.day = json.at("day").get<std::string>();
        out.hash = json.at("sha256").get<std::string>();
        for (const auto& one : json.at("figures"))
            out.figures.push_back({one.at("name").get<std::string>(), one.at("said").get<std::string>()});
        for (const auto& one : json.at("since"))
            out.since.push_back({one.at("name").get<std::string>(), one.at("before").get<std::string>(),
                                 one.at("now").get<std::string>()});
        for (const auto& one : json.at("earlier"))
            out.earlier.push_back({one.at("edition").get<int>(), one.at("day").get<std::string>(),
                                   one.at("sha256").get<std::string>()});
        if (out.number < 1 || out.earlier.size() > kMostEditions) return refused();
        return out;
    } catch (const Json::exception&) {
        return refused();
    }
}

Expected<std::optional<Edition>> editionIn(const QString& folder) {
    QFile file(folder + QStringLiteral("/edition.json"));
    if (!file.exists()) return std::optional<Edition>();
    if (!file.open(QIODevice::ReadOnly))
        return problem(file.fileName().toStdString(), verbatim(file.errorString().toStdString()));
    const auto bytes = file.read(static_cast<qint64>(limits::kJsonBytes) + 1);
    if (static_cast<std::size_t>(bytes.size()) > limits::kJsonBytes)
        return problem("edition.json", say(GLUMET_SAY("Core", "is too large")));
    auto edition = parseEdition(bytes);
    if (!edition) return tl::make_unexpected(edition.error());
    return std::optional<Edition>(std::move(*edition));
}

}  // namespace glumet
