#pragma once

#include <optional>
#include <vector>

#include "core/base/problem.h"
#include "core/bench/bench.h"

namespace glumet {

/// Figures of one plane over its counted readings (n of them).
struct PlaneStatistics {
    int n = 0;
    Ppfd mean{0};
    Ppfd min{0};
    Ppfd max{0};
    /// Standard deviation over the points / mean. The grid is the whole of what is described, not a
    /// sample of it, hence the divisor n. 0 when the mean is 0.
    double cv = 0.0;
    double min_over_mean = 0.0;
    double max_over_mean = 0.0;
    /// Mean per concentric ring of the grid, outermost first; empty when the points do not fill a grid.
    std::vector<Ppfd> ring_means;
    std::vector<int> ring_sizes;            ///< readings per ring, as ring_means
    std::optional<double> centre_to_outer;  ///< innermost ring mean / outermost; two rings and light needed
    std::optional<double> share_in_band;    ///< 0–1 of the n readings; nothing when no band was asked
    int below_band = 0;
    int above_band = 0;
};

/// Computes the above. Fails when the plane has no counted reading.
Expected<PlaneStatistics> planeStatistics(const Plane& plane, const std::optional<Band>& band = std::nullopt);

/// How the mean falls from the run's shallowest plane to each other one.
struct DepthStep {
    Millimetre depth{0};
    Ppfd mean{0};
    double share_of_shallowest = 1.0;  ///< mean / mean of the shallowest plane
};
/// One step per plane with counted readings and a mean above 0 at the shallowest; ascending depth.
std::vector<DepthStep> fallOffWithDepth(const Run& run);

/// Photons that arrive at a plane: mean PPFD (µmol·m⁻²·s⁻¹) × footprint area (m²).
PhotonFlux deliveredOutput(Ppfd mean, Millimetre length, Millimetre width);

/// Delivered output per watt at the wall, µmol/J. Needs power > 0.
double deliveredEfficacy(PhotonFlux delivered, Watt power);

}  // namespace glumet
