#include "core/words/sentence.h"

#include <fmt/args.h>
#include <fmt/format.h>

namespace glumet {
namespace {

/// Text of each kind of part.
struct PartText {
    LengthUnit unit;
    const Translate& translate;

    std::string operator()(const std::string& text) const { return text; }
    std::string operator()(Millimetre length) const { return lengthText(length, unit); }
    std::string operator()(const LengthSpan& span) const { return lengthRange(span.low, span.high, unit); }
    std::string operator()(const Lengths& lengths) const {
        std::string text;
        for (std::size_t i = 0; i < lengths.size(); ++i) {
            if (i > 0) text += i + 1 == lengths.size() ? translate(GLUMET_SAY("Core", " and "), -1) : ", ";
            text += lengthFigure(lengths[i], unit);
        }
        return text + " " + unitName(unit);
    }
    std::string operator()(Ppfd ppfd) const { return ppfdFigure(ppfd); }
    std::string operator()(const PpfdSpan& span) const {
        return ppfdFigure(span.low) + "–" + ppfdFigure(span.high);
    }
    std::string operator()(Share share) const { return percentText(share.value); }
    std::string operator()(Count count) const { return std::to_string(count.value); }
};

int countIn(const Sentence& sentence) {
    for (const auto& part : sentence.parts)
        if (const auto* count = std::get_if<Count>(&part)) return count->value;
    return -1;
}

std::string spokenOne(const Sentence& sentence, LengthUnit unit, const Translate& translate) {
    fmt::dynamic_format_arg_store<fmt::format_context> parts;
    for (const auto& part : sentence.parts) parts.push_back(std::visit(PartText{unit, translate}, part));
    try {
        return fmt::vformat(translate(sentence.message, countIn(sentence)), parts);
    } catch (const fmt::format_error&) {
        // A translation that names a part there is not must not take the sentence away.
        return fmt::vformat(sentence.message, parts);
    }
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

}  // namespace glumet
