#pragma once

#include <algorithm>
#include <vector>

namespace glumet {

/// Median of one value or more: the middle one, of an even number the mean of the two in the middle.
inline double medianOf(std::vector<double> values) {
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    if (values.size() % 2 == 1) return *middle;
    return 0.5 * (*middle + *std::max_element(values.begin(), middle));
}

}  // namespace glumet
