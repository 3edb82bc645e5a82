#include "core/base/sentence.h"

#include <iterator>

namespace glumet {

Words::Words() = default;
Words::Words(Sentence sentence) { sentences_.push_back(std::move(sentence)); }
Words::Words(const Words& other) = default;
Words::Words(Words&& other) noexcept = default;
Words& Words::operator=(const Words& other) = default;
Words& Words::operator=(Words&& other) noexcept = default;
Words::~Words() = default;

bool Words::empty() const { return sentences_.empty(); }

Words& Words::operator+=(const Words& more) {
    sentences_.insert(sentences_.end(), more.sentences_.begin(), more.sentences_.end());
    return *this;
}

Words Words::capitalised() const {
    Words out = *this;
    if (!out.empty()) out.sentences_.front().capital = true;
    return out;
}

bool Words::operator==(const Words& other) const = default;
bool Listed::operator==(const Listed& other) const = default;

SentencePart::SentencePart(std::string text) : value_(std::move(text)) {}
SentencePart::SentencePart(const char* text) : value_(std::string(text)) {}
SentencePart::SentencePart(Millimetre length) : value_(length) {}
SentencePart::SentencePart(BareLength length) : value_(length) {}
SentencePart::SentencePart(LengthSpan span) : value_(span) {}
SentencePart::SentencePart(Lengths lengths) : value_(std::move(lengths)) {}
SentencePart::SentencePart(Ppfd ppfd) : value_(ppfd) {}
SentencePart::SentencePart(PpfdSpan span) : value_(span) {}
SentencePart::SentencePart(Share share) : value_(share) {}
SentencePart::SentencePart(SignedShare change) : value_(change) {}
SentencePart::SentencePart(Count count) : value_(count) {}
SentencePart::SentencePart(Figure figure) : value_(figure) {}
SentencePart::SentencePart(Second time) : value_(time) {}
SentencePart::SentencePart(Words words) : value_(std::move(words)) {}
SentencePart::SentencePart(Sentence sentence) : value_(Words(std::move(sentence))) {}
SentencePart::SentencePart(Listed list) : value_(std::move(list)) {}
SentencePart::SentencePart(const SentencePart& other) = default;
SentencePart::SentencePart(SentencePart&& other) noexcept = default;
SentencePart& SentencePart::operator=(const SentencePart& other) = default;
SentencePart& SentencePart::operator=(SentencePart&& other) noexcept = default;
SentencePart::~SentencePart() = default;
bool SentencePart::operator==(const SentencePart& other) const = default;

Sentence::Sentence(const char* said, SentencePart* first, std::size_t count, bool is_counted)
    : message(said),
      parts(std::make_move_iterator(first), std::make_move_iterator(first + count)),
      counted(is_counted) {}
Sentence::Sentence(const Sentence& other) = default;
Sentence::Sentence(Sentence&& other) noexcept = default;
Sentence& Sentence::operator=(const Sentence& other) = default;
Sentence& Sentence::operator=(Sentence&& other) noexcept = default;
Sentence::~Sentence() = default;
bool Sentence::operator==(const Sentence& other) const = default;

Sentence verbatim(std::string text) { return say("{}", std::move(text)); }

}  // namespace glumet
