#pragma once

#include <string>
#include <string_view>

#include "core/bench/run.h"

/// The note of a reading: remarks as text, "; " between them, as files and tables keep it.
namespace glumet {

/// The remark of a reading that the practice meter gave.
inline constexpr std::string_view kSimulatedRemark = "simulated";

/// Adds a remark behind those that are there.
void remark(Reading& reading, std::string_view words);

/// Whether a reading was simulated, not measured: one of its remarks is kSimulatedRemark, whole.
bool isSimulated(const Reading& reading);

}  // namespace glumet
