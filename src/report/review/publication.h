#pragma once

#include <QString>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <stop_token>
#include <vector>

#include "core/compare/comparison.h"
#include "report/page/document.h"
#include "report/page/markdown.h"
#include "report/review/edition.h"
#include "report/review/fixture_review.h"
#include "report/review/template.h"

namespace glumet {

/// What is to be published.
struct PublicationQuestion {
    std::vector<Configuration> configurations;  ///< in the order of the project; at least one
    ReviewTemplate sections;
    LengthUnit unit = LengthUnit::Cm;
    QString day;                  ///< ISO date, given by the caller who has the clock
    std::optional<Edition> last;  ///< that this one follows
    std::stop_token stop;
    std::function<void(double)> progress = [](double) {};
};

/// A publication, everything computed, nothing laid out.
struct Publication {
    Bench bench;  ///< all descriptions, and the runs of what is published and of several of it
    std::vector<FixtureReview> fixtures;
    std::shared_ptr<const Comparison> comparison;  ///< of several
    ReviewTemplate sections;
    LengthUnit unit = LengthUnit::Cm;
    QString title;
    QString day;
    Edition edition;

    /// Figures that words may name: of all, and of one fixture where it is given or the only one.
    NamedValues namedValues(const FixtureReview* one) const;
    NamedValues valuesOf(const FixtureReview& one) const;
    NamedValues valuesOfAll() const;
    /// "Glumet 0.1.0, edition 2, data 3f9a…": what stands at the foot of pages and pictures.
    QString provenance() const;
};

/// The runs that a review of these configurations rests on, with all descriptions: those runs, and those of
/// several of the same fixture, mix and accessory. Of planned arrays those in which one of them hangs.
Bench benchOf(const Bench& bench, const std::vector<Configuration>& configurations);

/// Computes everything; fits are asked for where they are wanted, of several fixtures at the same time, so
/// `fit_of` is called from several threads. A configuration without a reading is a problem, and so is being
/// stopped.
Expected<Publication> publicationOf(const Bench& bench, const FitOf& fit_of,
                                    const PublicationQuestion& question);

/// How a section of a publication stands.
struct SectionStanding {
    ReviewSection section = ReviewSection::Card;
    Words missing;   ///< why there is nothing in it
    int doubts = 0;  ///< that it prints
};

/// A publication laid out as a document, section by section, with the reviewer's words between. Its pictures
/// refer to the publication, which must outlive it.
struct LaidOut {
    Document document;
    std::vector<SectionStanding> standings;  ///< of the parts that are shown, in their order
    std::vector<std::string> unknown;        ///< names in the reviewer's words that nothing bears
};
LaidOut laidOut(const Publication& publication);

/// The configurations whose runs are marked as part of the review, in the order of the project; none marked:
/// none.
std::vector<Configuration> chosenForReview(const Bench& bench);

}  // namespace glumet
