#pragma once

#include <string>
#include <tl/expected.hpp>
#include <vector>

#include "core/base/sentence.h"

namespace glumet {

/// Why something could not be done, for a person to read: `where` names the file, line or field (may be
/// empty), `what` is one clear sentence without a full stop.
struct Problem {
    std::string where;
    Words what;
    bool operator==(const Problem&) const = default;
};

/// A value, or the one reason why there is none.
template <class T>
using Expected = tl::expected<T, Problem>;

/// A value, or everything that is wrong with the input, in the order of the input.
template <class T>
using Checked = tl::expected<T, std::vector<Problem>>;

inline tl::unexpected<Problem> problem(std::string where, Words what) {
    return tl::make_unexpected(Problem{std::move(where), std::move(what)});
}

}  // namespace glumet
