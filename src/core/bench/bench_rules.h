#pragma once

#include <optional>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"

namespace glumet {

/// What a bench holds that cannot be, in its order, at most `most`: values that are not finite, or outside
/// their field's range (descriptions.h) or the limits (limits.h); texts that are too long or not UTF-8;
/// lattices and grids too large; references to nothing. `where` names the entity and the field.
std::vector<Problem> faultsOf(const Bench& bench, std::size_t most = 20);

// The same of one entity, without what is below it and what it refers to.
std::optional<Problem> faultOf(const Tank& tank);
std::optional<Problem> faultOf(const Fixture& fixture);
std::optional<Problem> faultOf(const Accessory& accessory);
std::optional<Problem> faultOf(const MeterProfile& meter);
std::optional<Problem> faultOf(const Run& run);
std::optional<Problem> faultOf(const Plane& plane);
std::optional<Problem> faultOf(const Reading& reading);
std::optional<Problem> faultOf(const RingMean& mean);
std::optional<Problem> faultOf(const CommissionCheck& check);
std::optional<Problem> faultOf(const Method& method);
std::optional<Problem> faultOf(const SpectrumRecord& record);
std::optional<Problem> faultOf(const Schedule& schedule);
std::optional<Problem> faultOf(const DayLog& log);
std::optional<Problem> faultOf(const Rating& rating);
std::optional<Problem> faultOf(const SpotReading& reading);
/// Of a place whether it lies within its tank, where that is known, too.
std::optional<Problem> faultOf(const TankSpot& spot, const Tank* tank = nullptr);
std::optional<Problem> faultOf(const Rock& rock, const Tank* tank = nullptr);
std::optional<Problem> faultOf(const Organism& organism);
std::optional<Problem> faultOf(const Acclimation& ramp);
std::optional<Problem> faultOf(const PlannedArray& plan, const Tank* tank = nullptr);

}  // namespace glumet
