#include "core/fit/beam_basis.h"

#include <cmath>
#include <numbers>

namespace glumet {

void BeamBasis::addTo(double theta_deg, double weight, double* row) {
    const double u = std::min(theta_deg, 90.0) * kIntervals / 90.0;
    const int interval = std::min(static_cast<int>(u), kIntervals - 1);
    const double t = u - interval;
    const double s = 1.0 - t;
    const std::array heights{s * s * s / 6.0, (3.0 * t * t * t - 6.0 * t * t + 4.0) / 6.0,
                             (3.0 * s * s * s - 6.0 * s * s + 4.0) / 6.0, t * t * t / 6.0};
    for (int i = 0; i < 4; ++i) {
        // The bell left of the axis is the mirror of the one right of it.
        const int bell = std::abs(interval - 1 + i);
        row[bell] += weight * heights[static_cast<std::size_t>(i)];
    }
}

double BeamBasis::intensity(const Coefficients& beam, double theta_deg) {
    Coefficients row{};
    addTo(theta_deg, 1.0, row.data());
    double sum = 0.0;
    for (std::size_t i = 0; i < row.size(); ++i) sum += row[i] * beam[i];
    return sum;
}

const BeamBasis::Coefficients& BeamBasis::fluxes() {
    static const Coefficients values = [] {
        Coefficients out{};
        constexpr int kSteps = 3600;
        for (int i = 0; i < kSteps; ++i) {
            const double theta = (i + 0.5) * 90.0 / kSteps;
            const double ring = 2.0 * std::numbers::pi * std::sin(theta * std::numbers::pi / 180.0) *
                                (std::numbers::pi / 2.0 / kSteps);
            addTo(theta, ring, out.data());
        }
        return out;
    }();
    return values;
}

Expected<Beam> BeamBasis::tableOf(const Coefficients& beam) {
    std::vector<double> theta;
    std::vector<double> relative;
    for (int degree = 0; degree <= 90; ++degree) {
        theta.push_back(degree);
        relative.push_back(std::max(0.0, intensity(beam, degree)));
    }
    return Beam::table(std::move(theta), std::move(relative));
}

}  // namespace glumet
