#pragma once

#include "meters/connected_meter.h"

namespace glumet {

/// A clock that the test moves.
struct HandClock {
    double seconds = 0.0;
    MonotonicClock function() {
        return [this] { return seconds; };
    }
};

}  // namespace glumet
