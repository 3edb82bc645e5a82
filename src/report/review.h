#pragma once

#include <QString>
#include <optional>
#include <vector>

#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"
#include "core/survey/findings.h"
#include "core/verdicts/height_schools.h"
#include "core/verdicts/spill_limit.h"
#include "report/text.h"

namespace glumet {

/// What a review is made of: the choice of sweep and the way of writing.
struct ReviewChoice {
    Configuration configuration;
    LengthUnit unit = LengthUnit::Cm;
    QString day;  ///< date on the page, given by the caller who has the clock
};

/// One published review, everything computed, nothing laid out.
struct Review {
    Bench bench;  ///< all descriptions, and only the runs of the sweep
    Sweep sweep;
    LengthUnit unit = LengthUnit::Cm;
    Band band;
    QString title;     ///< fixture and configuration
    QString subtitle;  ///< project, day
    QString day;
    SpillLimitVerdict verdict;
    std::vector<SchoolVerdict> schools;  ///< all of them, the headline's among them
    Id shown_run = 0;                    ///< the run at the recommended height, or the lowest
    double scale_top = 1.0;

    struct PlaneRow {
        Millimetre height{0};
        Millimetre depth{0};
        PlaneStatistics statistics;
    };
    std::vector<PlaneRow> rows;  ///< every plane of the sweep with readings

    /// One thing said of the review. What is said is a value: renderers make text of it.
    struct Fact {
        Words name;
        Words value;
        bool missing = false;  ///< a condition that nobody recorded or described
    };
    std::vector<Fact> card;        ///< the recommendation, fact by fact
    std::vector<Fact> conditions;  ///< tank, water, meter, method
    std::vector<Fact> opinions;    ///< every school with its height and reason; the reviewer's dissent
    std::vector<Words> doubts;
    std::vector<Words> cautions;
    Words provenance;  ///< said when any reading is not from a real instrument; else empty

    /// The school the method speaks by.
    const SchoolVerdict* headline() const {
        for (const auto& school : schools)
            if (school.school == bench.method.school) return &school;
        return schools.empty() ? nullptr : &schools.front();
    }
    std::optional<Millimetre> headlineHeight() const {
        const auto* head = headline();
        return head == nullptr ? std::nullopt : head->height;
    }
    const Words& headlineReason() const {
        const auto* head = headline();
        return head == nullptr ? verdict.reason : head->reason;
    }
    /// Text of what is said, in the review's unit and the reader's language.
    QString said(const Words& words) const { return text(words, unit); }
};

/// Computes a review; a configuration without a reading is a problem.
Expected<Review> reviewOf(const Bench& bench, const ReviewChoice& choice);

/// The cautions every page carries; they defer to local electrical code and a licensed electrician.
std::vector<Words> usualCautions();

}  // namespace glumet
