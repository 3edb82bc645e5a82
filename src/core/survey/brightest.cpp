#include "core/survey/brightest.h"

namespace glumet {

std::optional<Ppfd> brightestReading(const Bench& bench) {
    std::optional<Ppfd> most;
    for (const auto& run : bench.runs)
        for (const auto& plane : run.planes)
            for (const auto& reading : plane.readings)
                if (reading.counts() && (!most || reading.mean > *most)) most = reading.mean;
    return most;
}

}  // namespace glumet
