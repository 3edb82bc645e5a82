#pragma once

#include "core/fit/fit.h"

namespace glumet {

/// Whether a fit rests on means that others published, and on no reading of one's own.
inline bool restsOnMeans(const FitResult& fit) { return fit.means > 0 && fit.means == fit.model.readings; }

}  // namespace glumet
