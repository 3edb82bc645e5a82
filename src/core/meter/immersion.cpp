#include "core/meter/immersion.h"

#include <fmt/format.h>

namespace glumet {

bool immersionApplied(const Reading& reading) { return reading.extra.contains(kBeforeImmersion); }

void applyImmersion(Reading& reading, const MeterProfile& meter, WaterState water) {
    if (meter.immersion_by != ImmersionBy::Glumet || water == WaterState::Dry || immersionApplied(reading))
        return;
    const double factor = meter.immersion_factor;
    reading.extra[kBeforeImmersion] = fmt::format("{}", reading.mean.value());
    reading.mean = reading.mean * factor;
    if (reading.min) reading.min = *reading.min * factor;
    if (reading.max) reading.max = *reading.max * factor;
    if (reading.sd) reading.sd = *reading.sd * factor;
}

}  // namespace glumet
