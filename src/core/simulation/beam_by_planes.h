#pragma once

#include <algorithm>
#include <cmath>
#include <vector>

#include "core/base/angle.h"
#include "core/base/beam.h"

namespace glumet {

/// An invented beam by planes, a table every 3° from the axis and every `step_deg` of azimuth up to
/// `last_deg` (90, 180 or 360, a multiple of it), from its relative intensity(theta, phi), radians; below 0
/// counts as 0.
template <class Intensity>
Beam beamByPlanes(double last_deg, double step_deg, Intensity intensity) {
    std::vector<double> theta;
    std::vector<double> phi;
    std::vector<std::vector<double>> relative;
    for (int degree = 0; degree <= 90; degree += 3) theta.push_back(degree);
    for (double azimuth = 0.0; azimuth <= last_deg; azimuth += step_deg) {
        phi.push_back(azimuth);
        auto& list = relative.emplace_back();
        for (const double at : theta)
            list.push_back(std::max(0.0, intensity(at * kDegree, std::fmod(azimuth, 360.0) * kDegree)));
    }
    return *Beam::planes(theta, phi, relative);
}

}  // namespace glumet
