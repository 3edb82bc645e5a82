#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/spectrum.h"
#include "core/base/value.h"
#include "core/bench/criteria.h"
#include "core/bench/goal.h"
#include "core/bench/schools.h"

namespace glumet {

/// How the reviewer measures and judges.
struct Method {
    GLUMET_VALUE(Method);

    double spill_limit = 0.15;  ///< share of the grid mean that may be lost
    Goal goal;                  ///< what the fixture is judged for
    int grid_columns = 6;
    int grid_rows = 6;
    double settled_relative_error = 0.02;  ///< standard error of the mean at which a reading is settled
    Second longest_reading{30};            ///< a reading is offered after this, settled or not
    Millimetre height_error{2.5};          ///< standard error of setting the mounting height
    std::string note;
    int check_every = 0;  ///< readings between two check points (reference or repeat); 0: none
    HeightSchool school = HeightSchool::SpillLimit;  ///< whose height is the headline
    std::string dissent;                             ///< the reviewer's own words against it; published
    std::vector<Goal> goals;                         ///< the reviewer's own profiles to choose from
    std::vector<SpectralBand> bands;                 ///< of the spectrum; none: the ready ones
    double price_kwh = 0.0;                          ///< what a kilowatt-hour costs; 0: not stated
    double years = 5.0;                              ///< over which costs are added up, > 0
    std::vector<CriterionWeight> weights;            ///< of the rank board; none: the ready ones
    std::vector<Condition> on_purpose;               ///< that compared runs differ in on purpose
    std::optional<Millimetre> compared_height;       ///< of all; none: each at its own
    Millimetre eye_away{1000};                       ///< a seated viewer's eye, from the tank's front …
    Millimetre eye_above{250};                       ///< … and above the water

    std::string reviewer;  ///< who publishes
    std::string licence;   ///< of the published data, by its SPDX name; empty: not stated
    /// The review's sections in order with the reviewer's own words, as a Markdown template
    /// (report/review/template.h); empty: the full review.
    std::string review;

    bool operator==(const Method&) const = default;
};

}  // namespace glumet
