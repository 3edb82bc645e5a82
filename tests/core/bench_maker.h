#pragma once

#include <functional>
#include <vector>

#include "core/bench/bench.h"
#include "core/bench/grid.h"

namespace glumet::testing {

/// A plane whose cell (i, j) reads value(i, j), on a grid over a 600 × 600 mm footprint.
inline Plane planeOfValues(double depth_mm, int columns, int rows,
                           const std::function<double(int, int)>& value) {
    Plane plane;
    plane.depth = Millimetre(depth_mm);
    plane.grid = cellCentres(Millimetre(600), Millimetre(600), columns, rows);
    for (int j = 0; j < rows; ++j)
        for (int i = 0; i < columns; ++i) {
            Reading reading;
            reading.x = Millimetre(plane.grid->xs_mm[static_cast<std::size_t>(i)]);
            reading.y = Millimetre(plane.grid->ys_mm[static_cast<std::size_t>(j)]);
            reading.mean = Ppfd(value(i, j));
            plane.readings.push_back(reading);
        }
    return plane;
}

/// A bench with one fixture and one run per (height, mean), each a flat 2 × 2 plane at 150 mm.
inline Bench flatSweep(const std::vector<std::pair<double, double>>& heights_and_means) {
    Bench bench;
    Fixture fixture;
    fixture.id = 1;
    fixture.name = "Fern 20";
    bench.fixtures.push_back(fixture);
    for (const auto& [height, mean] : heights_and_means) {
        Run run;
        run.id = static_cast<Id>(bench.runs.size()) + 1;
        run.fixture = 1;
        run.height = Millimetre(height);
        run.planes.push_back(planeOfValues(150, 2, 2, [m = mean](int, int) { return m; }));
        bench.runs.push_back(run);
    }
    return bench;
}

}  // namespace glumet::testing
