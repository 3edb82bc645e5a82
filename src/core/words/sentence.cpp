#include "core/words/sentence.h"

#include <fmt/args.h>
#include <fmt/format.h>

#include <algorithm>
#include <cctype>
#include <cmath>

#include "core/base/limits.h"
#include "core/base/utf8.h"

namespace glumet {
namespace {

constexpr const char* kAnd = GLUMET_SAY("Core", " and ");  // before the last of a list

std::string figureText(const Figure& figure) {
    if (figure.decimals == Figure::kShort)
        return figure.with_sign ? fmt::format("{:+g}", figure.value) : fmt::format("{:g}", figure.value);
    return figure.with_sign ? fmt::format("{:+.{}f}", figure.value, figure.decimals)
                            : fmt::format("{:.{}f}", figure.value, figure.decimals);
}

/// Text of each kind of part.
struct PartText {
    LengthUnit unit;
    const Translate& translate;

    std::string operator()(const std::string& text) const { return text; }
    std::string operator()(Millimetre length) const { return lengthText(length, unit); }
    std::string operator()(const BareLength& bare) const { return lengthFigure(bare.length, unit); }
    std::string operator()(const LengthSpan& span) const { return lengthRange(span.low, span.high, unit); }
    std::string operator()(const Lengths& lengths) const {
        std::vector<std::string> figures;
        for (const auto length : lengths) figures.push_back(lengthFigure(length, unit));
        return listed(figures) + " " + unitName(unit);
    }
    std::string operator()(Ppfd ppfd) const { return ppfdFigure(ppfd); }
    std::string operator()(const PpfdSpan& span) const {
        return ppfdFigure(span.low) + "–" + ppfdFigure(span.high);
    }
    std::string operator()(Share share) const { return percentText(share.value); }
    std::string operator()(SignedShare change) const {
        return (change.value < 0.0 ? "−" : "+") + percentText(std::abs(change.value));
    }
    std::string operator()(Count count) const { return std::to_string(count.value); }
    std::string operator()(const Figure& figure) const { return figureText(figure); }
    std::string operator()(Second time) const { return durationText(time); }
    std::string operator()(const Words& words) const { return spoken(words, unit, translate); }
    std::string operator()(const Listed& list) const {
        std::vector<std::string> items;
        for (const auto& item : list.items) items.push_back(spoken(item, unit, translate));
        return listed(items);
    }

    std::string listed(const std::vector<std::string>& items) const {
        std::string text;
        for (std::size_t i = 0; i < items.size(); ++i) {
            if (i > 0) text += i + 1 == items.size() ? translate(kAnd, -1) : ", ";
            text += items[i];
        }
        return text;
    }
};

int countIn(const Sentence& sentence) {
    for (const auto& part : sentence.parts)
        if (const auto* count = std::get_if<Count>(&part.value())) return count->value;
    return -1;
}

/// The message in the reader's language. One without words of its own is the same in all.
std::string translated(const Sentence& sentence, const Translate& translate) {
    const std::string message = sentence.message;
    if (std::none_of(message.begin(), message.end(), [](unsigned char c) { return std::isalpha(c) != 0; }))
        return message;
    return translate(sentence.message, sentence.counted ? countIn(sentence) : -1);
}

void capitalise(std::string& text) {
    if (!text.empty() && text.front() >= 'a' && text.front() <= 'z')
        text.front() = static_cast<char>(text.front() - 'a' + 'A');
}

std::string spokenOne(const Sentence& sentence, LengthUnit unit, const Translate& translate) {
    fmt::dynamic_format_arg_store<fmt::format_context> parts;
    for (const auto& part : sentence.parts)
        parts.push_back(std::visit(PartText{unit, translate}, part.value()));
    std::string text;
    try {
        text = fmt::vformat(translated(sentence, translate), parts);
    } catch (const fmt::format_error&) {
        // A translation that names a part there is not must not take the sentence away.
        text = fmt::vformat(sentence.message, parts);
    }
    if (sentence.capital) capitalise(text);
    return text;
}

}  // namespace

std::string spoken(const Words& words, LengthUnit unit, const Translate& translate) {
    std::string text;
    for (const auto& sentence : words.sentences()) {
        if (!text.empty()) text += ' ';
        text += spokenOne(sentence, unit, translate);
    }
    return text;
}

std::string english(const Words& words, LengthUnit unit) {
    return spoken(words, unit, [](const char* message, int) { return std::string(message); });
}

std::string problemLine(const std::string& where, const std::string& what) {
    constexpr std::size_t kWhere = limits::kErrorCharacters / 2;
    const auto place = where.empty() ? std::string() : shownText(where, kWhere) + ": ";
    return shownText(place + what, limits::kErrorCharacters);
}

std::string english(const Problem& problem) { return problemLine(problem.where, english(problem.what)); }

std::string durationText(Second time) {
    if (time.value() < 90.0) return fmt::format("{:.0f} s", time.value());
    const auto minutes = std::lround(time.value() / 60.0);
    if (minutes < 60) return fmt::format("{} min", minutes);
    return minutes % 60 == 0 ? fmt::format("{} h", minutes / 60)
                             : fmt::format("{} h {} min", minutes / 60, minutes % 60);
}

}  // namespace glumet
