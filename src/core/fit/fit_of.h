#pragma once

#include <functional>

#include "core/bench/sweep.h"
#include "core/fit/fit.h"

namespace glumet {

/// Gives a sweep's fit, or nullptr where there is none.
using FitOf = std::function<const FitResult*(const Sweep&)>;

}  // namespace glumet
