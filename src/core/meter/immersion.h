#pragma once

#include "core/bench/bench.h"

namespace glumet {

/// Where a corrected reading keeps the value that the meter showed: Reading::extra, and so a column of the
/// CSV.
inline constexpr const char* kBeforeImmersion = "ppfd_before_immersion";

/// Whether Glumet has multiplied this reading by an immersion factor.
bool immersionApplied(const Reading& reading);

/// Multiplies mean, min, max and sd by the meter's immersion factor if Glumet is to do it, in water, and not
/// yet done; the mean as it came is kept beside. A sensor calibrated in air reads low under water by that
/// factor.
void applyImmersion(Reading& reading, const MeterProfile& meter, WaterState water);

}  // namespace glumet
