#pragma once

#include <string>
#include <vector>

#include "core/bench/bench.h"
#include "core/spectrum/blending.h"

namespace glumet {

/// Spectra of a fixture that were read to see how well its channels blend: at several places while nothing
/// moves, or at one place from moment to moment.
struct BlendingTest {
    std::string name;
    std::vector<const SpectrumRecord*> points;  ///< of places: by y from the back, then by x
    bool over_time = false;                     ///< all at one place
    std::size_t centre = 0;                     ///< of places: nearest to the middle of all
    Blending result;                            ///< empty where there are fewer than three
};

/// Those of places first, each kind in the order of names. Of two spectra at one place of a test the later
/// counts, unless all are there.
std::vector<BlendingTest> blendingTests(const Bench& bench, Id fixture);

}  // namespace glumet
