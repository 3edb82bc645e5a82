#pragma once

#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/base/value.h"
#include "core/bench/descriptions.h"

namespace glumet {

/// A test matrix without the things it is applied to: heights × depths × grid, and what is varied besides.
/// The runs it makes are every combination of accessory, spread, height and channel mix.
struct SurveyMethod {
    GLUMET_VALUE(SurveyMethod);

    std::string name;
    std::string purpose;  ///< one sentence
    std::vector<Millimetre> heights;
    std::vector<Millimetre> depths;
    int columns = 6;  ///< of the grid; not used with spots
    int rows = 6;
    std::vector<Spot> spots;
    std::vector<std::string> presets{"all channels full"};  ///< channel mixes
    std::vector<std::string> accessories{""};               ///< names; "" is the bare fixture
    int fixtures = 1;                                       ///< how many hang
    std::vector<Millimetre> spreads;       ///< outermost centres apart; empty: equal division
    WaterState water = WaterState::Still;  ///< dry: a static test in air, depths are from the rim

    /// The first field out of its range, and why.
    std::optional<Problem> invalid() const;
    bool operator==(const SurveyMethod&) const = default;
};

std::vector<PartType> fieldsOf(Of<SurveyMethod>);
template <>
const EntityType& entityType<SurveyMethod>();

/// What a method is applied to. Tank and at least one fixture are needed; generations are compared by naming
/// two fixtures.
struct SurveySubject {
    std::vector<Id> fixtures;
    Id tank = 0;
    Id meter = 0;
};

/// Ready methods to begin with, in the order of work: height sweep, three-depth map, spacing sweep, channel
/// by channel, with and without accessory, generation against generation, spots before and after, blending in
/// air. Lengths fit the tank; channels are those of the fixture, accessories those described.
std::vector<SurveyMethod> readyMethods(const Tank& tank, const Fixture& fixture,
                                       const std::vector<Accessory>& accessories);

/// The runs of a method, in the order in which the heavy things are changed least: fixture, accessory,
/// spread, height, channel mix. Runs the bench has already (same configuration, height and depths) are left
/// out; points that no probe reaches are left out of the grids. The problem names what is missing or does not
/// fit.
Expected<NewRuns> plannedRuns(const Bench& bench, const SurveyMethod& method, const SurveySubject& subject);

}  // namespace glumet
