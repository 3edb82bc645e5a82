#pragma once

#include <array>
#include <utility>

#include "core/bench/describe.h"

namespace glumet {

/// How a verdict stands: it answers; it has nothing to say, and its reason says why; or what it was asked
/// cannot be asked.
enum class VerdictStatus { Ready, Silent, Failed };

/// As exports say it.
template <>
struct WordsOf<VerdictStatus> {
    static constexpr bool stored = false;
    static constexpr std::array value{std::pair{VerdictStatus::Ready, "ready"},
                                      std::pair{VerdictStatus::Silent, "silent"},
                                      std::pair{VerdictStatus::Failed, "failed"}};
};

/// Of what a share of `used` values answers: without values it could not be asked, without a share it is
/// silent.
constexpr VerdictStatus statusOf(std::size_t used, double share) {
    return used == 0 ? VerdictStatus::Failed : share > 0.0 ? VerdictStatus::Ready : VerdictStatus::Silent;
}

}  // namespace glumet
