#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/value.h"
#include "core/bench/sweep.h"
#include "core/compare/contender.h"
#include "core/plane/plane_statistics.h"
#include "core/survey/findings.h"
#include "core/verdicts/agreement.h"
#include "core/verdicts/height_schools.h"
#include "core/verdicts/planned_light.h"
#include "core/verdicts/recommendation.h"
#include "core/verdicts/spill_limit.h"
#include "report/page/document.h"

namespace glumet {

/// What there is to say of one configuration, everything computed, nothing laid out.
struct FixtureReview {
    GLUMET_VALUE(FixtureReview);

    Bench bench;  ///< all descriptions, and only the runs of the sweep
    Sweep sweep;
    Band band;
    std::string name;  ///< fixture and configuration
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

    std::optional<PlaneStatistics> judged;  ///< of the shown run at the depth that is judged by

    std::vector<Fact> short_facts;  ///< what matters, fact by fact
    std::vector<Fact> conditions;   ///< tank, water, meter, method
    std::vector<Words> doubts;
    Words provenance;  ///< said when any reading is not from a real instrument; else empty

    // By the fit, where there is one.
    std::optional<FitResult> fit;
    std::vector<Recommendation> recommended;  ///< for each tank and goal
    GoalsServed goals;
    struct Measured {
        Id run = 0;  ///< of the project's bench
        Words name;
        Expected<ArrayAgreement> agreement;
    };
    std::vector<Measured> measured;  ///< runs of several of it against the fit
    struct Planned {
        PlannedArray plan;
        Expected<PlannedLight> light;
        std::optional<LightScene> scene;  ///< lit, where there is light
    };
    std::vector<Planned> planned;  ///< arrays in which it hangs

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
    const Run& shown() const { return bench.run(shown_run); }
    const Fixture* fixture() const { return byId(bench.fixtures, sweep.configuration.fixture); }
    const Tank* tank() const { return byId(bench.tanks, sweep.configuration.tank); }
    int readings() const;
};

/// Whether a run, or any run of a sweep, holds a reading that counts, or a mean.
bool anyReading(const Run& run);
bool anyReading(const Bench& bench, const Sweep& sweep);
/// The shallowest plane that holds one; nullptr where none does.
const Plane* shallowestRead(const Run& run);

/// What readings alone say; a configuration without a reading is a problem.
Expected<FixtureReview> fixtureReviewOf(const Bench& bench, const Configuration& configuration);

/// Adds what takes a fit: recommendations for every tank and goal of the project, and measured arrays.
void addModelled(FixtureReview& review, const Bench& bench, const FitOf& fit_of, std::stop_token stop);

/// The project's planned arrays in which one of these hangs, each once, in their order.
std::vector<FixtureReview::Planned> plannedArrays(const Bench& bench, const FitOf& fit_of,
                                                  const std::vector<Configuration>& configurations,
                                                  std::stop_token stop);

/// The cautions every page carries; they defer to local electrical code and a licensed electrician.
std::vector<Words> usualCautions();

}  // namespace glumet
