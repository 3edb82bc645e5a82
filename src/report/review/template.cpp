#include "report/review/template.h"

#include <QFile>
#include <algorithm>
#include <optional>

#include "core/words/sentence.h"

namespace glumet {
namespace {

constexpr std::array kIds{"card",   "short",    "field",   "height",  "arrays", "spectrum",
                          "shadow", "cost",     "compare", "change",  "rubric", "method",
                          "doubts", "glossary", "data",    "cautions"};
static_assert(kIds.size() == kReviewSections);

constexpr std::string_view kBegin = "<!-- glumet:";
constexpr std::string_view kEnd = "-->";
constexpr std::string_view kOff = " off";

std::string_view trimmed(std::string_view text) {
    const auto from = text.find_first_not_of(" \t\r\n");
    if (from == std::string_view::npos) return {};
    return text.substr(from, text.find_last_not_of(" \t\r\n") - from + 1);
}

/// What a line names: "field" or "field off"; nothing for a line of words.
std::optional<std::string_view> named(std::string_view line) {
    line = trimmed(line);
    if (!line.starts_with(kBegin) || !line.ends_with(kEnd)) return std::nullopt;
    line.remove_prefix(kBegin.size());
    line.remove_suffix(kEnd.size());
    return trimmed(line);
}

std::optional<ReviewSection> sectionOf(std::string_view id) {
    const auto at = std::find(kIds.begin(), kIds.end(), id);
    if (at == kIds.end()) return std::nullopt;
    return static_cast<ReviewSection>(at - kIds.begin());
}

std::string shippedTemplate(const char* name) {
    QFile file(QStringLiteral(":/publish/%1.md").arg(QLatin1String(name)));
    return file.open(QIODevice::ReadOnly) ? file.readAll().toStdString() : std::string();
}

void addAlways(ReviewTemplate& sections) {
    for (const auto section : {ReviewSection::Doubts, ReviewSection::Cautions}) {
        const auto at = std::find_if(sections.parts.begin(), sections.parts.end(),
                                     [&](const auto& part) { return part.section == section; });
        if (at == sections.parts.end())
            sections.parts.push_back({section});
        else
            at->shown = true;
    }
}

}  // namespace

const char* idOf(ReviewSection section) { return kIds[static_cast<std::size_t>(section)]; }

Expected<ReviewTemplate> parseTemplate(std::string_view text) {
    ReviewTemplate out;
    std::string* words = &out.opening;
    int number = 0;
    while (!text.empty()) {
        ++number;
        const auto end = std::min(text.find('\n'), text.size());
        const auto line = text.substr(0, end);
        text.remove_prefix(std::min(end + 1, text.size()));
        const auto name = named(line);
        if (!name) {
            *words += std::string(line) + "\n";
            continue;
        }
        const bool off = name->ends_with(kOff);
        const auto id = off ? trimmed(name->substr(0, name->size() - kOff.size())) : *name;
        const auto section = sectionOf(id);
        const auto where = say(GLUMET_SAY("Core", "line {}"), Count{number});
        if (!section)
            return problem(english(where),
                           say(GLUMET_SAY("Core", "there is no section \"{}\""), std::string(id)));
        if (std::any_of(out.parts.begin(), out.parts.end(),
                        [&](const auto& part) { return part.section == *section; }))
            return problem(english(where),
                           say(GLUMET_SAY("Core", "the section \"{}\" stands there twice"), std::string(id)));
        out.parts.push_back({*section, !off, {}});
        words = &out.parts.back().words;
    }
    out.opening = trimmed(out.opening);
    for (auto& part : out.parts) part.words = trimmed(part.words);
    addAlways(out);
    return out;
}

std::string textOf(const ReviewTemplate& sections) {
    std::string out;
    const auto add = [&](const std::string& words) {
        if (!words.empty()) out += words + "\n\n";
    };
    add(sections.opening);
    for (const auto& part : sections.parts) {
        out += std::string(kBegin) + " " + idOf(part.section) + (part.shown ? "" : std::string(kOff)) + " " +
               std::string(kEnd) + "\n";
        add(part.words);
    }
    return out;
}

const std::vector<ReadyTemplate>& readyTemplates() {
    static const std::vector<ReadyTemplate> ready{
        {"full", say(GLUMET_SAY("Core", "full review")), shippedTemplate("full")},
        {"card", say(GLUMET_SAY("Core", "short card")), shippedTemplate("card")},
        {"comparison", say(GLUMET_SAY("Core", "comparison of several")), shippedTemplate("comparison")},
        {"before-after", say(GLUMET_SAY("Core", "before and after")), shippedTemplate("before-after")}};
    return ready;
}

ReviewTemplate templateOr(const std::string& text) {
    if (!trimmed(text).empty())
        if (auto own = parseTemplate(text)) return std::move(*own);
    auto full = parseTemplate(readyTemplates().front().text);
    return full ? std::move(*full) : ReviewTemplate{};
}

}  // namespace glumet
