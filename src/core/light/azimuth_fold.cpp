#include "core/light/azimuth_fold.h"

#include <algorithm>

#include "core/base/angle.h"

namespace glumet {

AzimuthFold AzimuthFold::of(const Beam& beam) {
    AzimuthFold fold;
    if (beam.round()) return fold;
    const auto& phi = beam.phiDeg();
    const double last = phi.back();
    fold.symmetry = last == 90.0 ? Symmetry::TwoPlanes : last == 180.0 ? Symmetry::AboutX : Symmetry::None;
    double least = last;
    for (std::size_t i = 1; i < phi.size(); ++i) least = std::min(least, phi[i] - phi[i - 1]);
    const double steps = static_cast<double>(phi.size() - 1);
    fold.even = least * steps > last * (1.0 - 1e-9);
    fold.bins = static_cast<std::int32_t>(fold.even ? steps : std::ceil(last / least * (1.0 + 1e-9)));
    fold.bins_per_rad = static_cast<float>(fold.bins / (last * kDegree));
    for (std::int32_t bin = 0; bin < fold.bins; ++bin) {
        const double at = bin * last / fold.bins;
        const auto next = std::upper_bound(phi.begin() + 1, phi.end() - 1, at);
        fold.plane_of_bin.push_back(static_cast<std::int32_t>(next - phi.begin()) - 1);
    }
    for (std::size_t i = 0; i < phi.size(); ++i) {
        fold.start.push_back(static_cast<float>(phi[i] * kDegree));
        fold.per_rad.push_back(
            i + 1 < phi.size() ? static_cast<float>(1.0 / ((phi[i + 1] - phi[i]) * kDegree)) : 0.0F);
    }
    return fold;
}

}  // namespace glumet
