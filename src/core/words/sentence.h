#pragma once

#include <functional>
#include <string>
#include <utility>
#include <variant>
#include <vector>

#include "core/words/wording.h"

/// Marks a message for translation: Qt Linguist's lupdate finds it by -tr-function-alias
/// QT_TRANSLATE_NOOP+=GLUMET_SAY. The context of all is "Core".
#define GLUMET_SAY(context, message) message

/// Sentences as values: what is to be said, with its figures, before anybody knows the reader's unit and
/// language.
namespace glumet {

struct Share {
    double value = 0.0;  ///< 0.05 is said as "5 %"
    bool operator==(const Share&) const = default;
};
struct Count {
    int value = 0;
    bool operator==(const Count&) const = default;
};
struct LengthSpan {
    Millimetre low{0};
    Millimetre high{0};
    bool operator==(const LengthSpan&) const = default;
};
struct PpfdSpan {
    Ppfd low{0};
    Ppfd high{0};
    bool operator==(const PpfdSpan&) const = default;
};
using Lengths = std::vector<Millimetre>;

/// What stands in a message: text and names as they are, the others in the reader's unit.
using SentencePart = std::variant<std::string, Millimetre, LengthSpan, Lengths, Ppfd, PpfdSpan, Share, Count>;

/// A message in English with {} where its parts go, or {0}, {1} … in the order a translation wants.
struct Sentence {
    const char* message = "";
    std::vector<SentencePart> parts;
    bool operator==(const Sentence&) const = default;
};

/// A message in another language, or the same; `count` is its first Count, for plurals, or −1.
using Translate = std::function<std::string(const char* message, int count)>;

/// Several sentences, said one after the other with a blank between.
class Words {
  public:
    Words() = default;
    Words(Sentence sentence) : sentences_{std::move(sentence)} {}  // NOLINT: one is some

    bool empty() const { return sentences_.empty(); }
    const std::vector<Sentence>& sentences() const { return sentences_; }
    Words& operator+=(const Words& more) {
        sentences_.insert(sentences_.end(), more.sentences_.begin(), more.sentences_.end());
        return *this;
    }
    bool operator==(const Words&) const = default;

  private:
    std::vector<Sentence> sentences_;
};

/// `message` is marked by GLUMET_SAY and outlives the sentence.
template <class... Parts>
Sentence say(const char* message, Parts&&... parts) {
    return {message, {SentencePart(std::forward<Parts>(parts))...}};
}

/// The text in the reader's unit and language.
std::string spoken(const Words& words, LengthUnit unit, const Translate& translate);
/// The same in English.
std::string english(const Words& words, LengthUnit unit);

}  // namespace glumet
