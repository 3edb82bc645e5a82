#pragma once

#include <cstddef>
#include <string>
#include <utility>
#include <variant>
#include <vector>

#include "core/base/quantity.h"

/// Marks a message for translation: Qt Linguist's lupdate finds it by -tr-function-alias
/// QT_TRANSLATE_NOOP+=GLUMET_SAY. The context of all is "Core".
#define GLUMET_SAY(context, message) message
/// The same where its first Count decides between singular and plural: alias of QT_TRANSLATE_N_NOOP.
#define GLUMET_SAY_N(context, message) message

/// Sentences as values: what is to be said, with its figures, before anybody knows the reader's unit and
/// language. core/words/sentence.h makes text of them.
namespace glumet {

struct Sentence;

/// Several sentences, said one after the other with a blank between.
class Words {
  public:
    Words();
    Words(Sentence sentence);  // NOLINT: one is some
    Words(const Words& other);
    Words(Words&& other) noexcept;
    Words& operator=(const Words& other);
    Words& operator=(Words&& other) noexcept;
    ~Words();

    bool empty() const;
    const std::vector<Sentence>& sentences() const { return sentences_; }
    Words& operator+=(const Words& more);
    /// The same, its first letter a capital when spoken.
    Words capitalised() const;
    bool operator==(const Words& other) const;

  private:
    std::vector<Sentence> sentences_;
};

struct Share {
    double value = 0.0;  ///< 0.05 is said as "5 %"
    bool operator==(const Share&) const = default;
};
/// A share with its sign: "+5 %", "−5 %".
struct SignedShare {
    double value = 0.0;
    bool operator==(const SignedShare&) const = default;
};
struct Count {
    int value = 0;
    bool operator==(const Count&) const = default;
};
inline Count countOf(std::size_t number) { return {static_cast<int>(number)}; }
/// A number that has no unit of the reader's: watts, seconds, degrees, a factor.
struct Figure {
    static constexpr int kShort = -1;  ///< as few digits as tell it, six at most
    double value = 0.0;
    int decimals = kShort;
    bool with_sign = false;
    bool operator==(const Figure&) const = default;
};
/// A length without its unit, before another that has it: "from 20 to 25 cm".
struct BareLength {
    Millimetre length{0};
    bool operator==(const BareLength&) const = default;
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
/// "a, b and c".
struct Listed {
    std::vector<Words> items;
    bool operator==(const Listed& other) const;
};

/// What stands in a message: text and names as they are, the others in the reader's unit and language. Made,
/// copied and ended in sentence.cpp: sentences stand in a thousand places, and what is in line there is
/// compiled in each.
class SentencePart {
  public:
    using Value = std::variant<std::string, Millimetre, BareLength, LengthSpan, Lengths, Ppfd, PpfdSpan,
                               Share, SignedShare, Count, Figure, Second, Words, Listed>;

    SentencePart(std::string text);    // NOLINT: each of these is a part
    SentencePart(const char* text);    // NOLINT
    SentencePart(Millimetre length);   // NOLINT
    SentencePart(BareLength length);   // NOLINT
    SentencePart(LengthSpan span);     // NOLINT
    SentencePart(Lengths lengths);     // NOLINT
    SentencePart(Ppfd ppfd);           // NOLINT
    SentencePart(PpfdSpan span);       // NOLINT
    SentencePart(Share share);         // NOLINT
    SentencePart(SignedShare change);  // NOLINT
    SentencePart(Count count);         // NOLINT
    SentencePart(Figure figure);       // NOLINT
    SentencePart(Second time);         // NOLINT
    SentencePart(Words words);         // NOLINT
    SentencePart(Sentence sentence);   // NOLINT
    SentencePart(Listed list);         // NOLINT
    SentencePart(const SentencePart& other);
    SentencePart(SentencePart&& other) noexcept;
    SentencePart& operator=(const SentencePart& other);
    SentencePart& operator=(SentencePart&& other) noexcept;
    ~SentencePart();

    const Value& value() const { return value_; }
    bool operator==(const SentencePart& other) const;

  private:
    Value value_;
};

/// A message in English with {} where its parts go, or {0}, {1} … in the order a translation wants.
struct Sentence {
    const char* message = "";
    std::vector<SentencePart> parts;
    bool counted = false;  ///< its first Count decides between singular and plural
    bool capital = false;  ///< begins with a capital, whatever its first part is

    /// Takes the parts from where they stand.
    Sentence(const char* said, SentencePart* first, std::size_t count, bool is_counted);
    Sentence(const Sentence& other);
    Sentence(Sentence&& other) noexcept;
    Sentence& operator=(const Sentence& other);
    Sentence& operator=(Sentence&& other) noexcept;
    ~Sentence();
    bool operator==(const Sentence& other) const;
};

/// `message` is marked by GLUMET_SAY and outlives the sentence.
template <class... Parts>
Sentence say(const char* message, Parts&&... parts) {
    if constexpr (sizeof...(parts) == 0) {
        return {message, nullptr, 0, false};
    } else {
        SentencePart all[] = {SentencePart(std::forward<Parts>(parts))...};
        return {message, all, sizeof...(parts), false};
    }
}

/// The same with a message of GLUMET_SAY_N.
template <class... Parts>
Sentence sayCounted(const char* message, Parts&&... parts) {
    SentencePart all[] = {SentencePart(std::forward<Parts>(parts))...};
    return {message, all, sizeof...(parts), true};
}

/// A name, or words that somebody typed: the same in every language.
Sentence verbatim(std::string text);

}  // namespace glumet
