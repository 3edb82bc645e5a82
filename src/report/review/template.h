#pragma once

#include <QString>
#include <array>
#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"

namespace glumet {

/// What a review can be made of; sections.h makes them.
enum class ReviewSection {
    Card,
    Short,
    Field,
    Height,
    Arrays,
    Spectrum,
    Shadow,
    Cost,
    Compare,
    Change,
    Rubric,
    Method,
    Doubts,
    Glossary,
    Data,
    Cautions,
};

/// A section of a review, with the reviewer's own words under its heading.
struct ReviewPart {
    ReviewSection section = ReviewSection::Card;
    bool shown = true;
    std::string words = {};  ///< Markdown

    bool operator==(const ReviewPart&) const = default;
};

/// Which sections, in which order. As text it is Markdown in which a line <!-- glumet: field --> stands for a
/// section and <!-- glumet: field off --> for one that is left out; what follows it are the reviewer's words
/// there, what precedes all of them the words at the beginning. {{name}} in the words is a figure of the
/// project (namedValues()).
struct ReviewTemplate {
    std::string opening;
    std::vector<ReviewPart> parts;

    bool operator==(const ReviewTemplate&) const = default;
};

/// Each section once; one that is not known is refused by its line. Doubts and cautions are part of every
/// review: where a text leaves them out or off they stand at its end.
Expected<ReviewTemplate> parseTemplate(std::string_view text);
std::string textOf(const ReviewTemplate& sections);

/// A template that ships: "full", "card", "comparison", "before-after".
struct ReadyTemplate {
    std::string id;
    Words name;
    std::string text;
};
const std::vector<ReadyTemplate>& readyTemplates();

/// What the project holds, or the full review where it holds nothing or nothing that reads.
ReviewTemplate templateOr(const std::string& text);

/// What stands for a section in a template: "field".
const char* idOf(ReviewSection section);
/// In every review: what cannot be left out.
constexpr bool always(ReviewSection section) {
    return section == ReviewSection::Doubts || section == ReviewSection::Cautions;
}
/// Said of each fixture; the others of all together.
constexpr bool ofEachFixture(ReviewSection section) { return section <= ReviewSection::Cost; }

inline constexpr std::size_t kReviewSections = static_cast<std::size_t>(ReviewSection::Cautions) + 1;

}  // namespace glumet
