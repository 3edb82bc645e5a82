#include "core/bench/run.h"

#include <cmath>

namespace glumet {

std::optional<double> Reading::relativeStandardError() const {
    if (!sd || !samples || *samples < 1.0 || mean.value() <= 0.0) return std::nullopt;
    return *sd / (mean.value() * std::sqrt(*samples));
}

std::optional<Watt> Run::power() const {
    double sum = 0.0;
    int count = 0;
    for (const auto& plane : planes)
        for (const auto& reading : plane.readings)
            if (reading.power && reading.counts()) {
                sum += reading.power->value();
                ++count;
            }
    if (count == 0) return std::nullopt;
    return Watt(sum / count);
}

}  // namespace glumet
