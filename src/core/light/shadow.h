#pragma once

#include <array>
#include <optional>
#include <span>
#include <vector>

#include "core/light/exact_field.h"

namespace glumet {

/// The disc that stands for a colony or a hand over a receiver: opaque, horizontal.
struct ShadowDisc {
    Millimetre diameter{100};
    Millimetre above{100};  ///< the receiver
};

/// How hard a fixture is to shadow: PPFD under the disc over PPFD without it, each receiver under a disc of
/// its own, the mean over the points; 0 under a point source, 1 under an endless sky. Depth within the water;
/// a disc that would hang above the surface does. Points in the dark count for nothing; none lit gives 0.
double shadowFigure(const LightScene& scene, Millimetre depth, std::span<const std::array<double, 2>> points,
                    const ShadowDisc& disc = {});

/// The same of each point by itself; nothing where no light falls.
std::vector<std::optional<double>> shadowShares(const LightScene& scene, Millimetre depth,
                                                std::span<const std::array<double, 2>> points,
                                                const ShadowDisc& disc = {});

/// The ripple of a surface as far as figures of shimmer need it: the curvature's autocorrelation
///   ρ(Δ) = exp(−Δ²/ℓ²).
struct SurfaceRipple {
    Millimetre correlation{20};  ///< ℓ
};

/// How much the light at a point moves under small ripple, against that of one point emitter straight above
/// at the same height: the standard deviation of the relative fluctuation, first order in the slopes.
///
/// A ray entering at u meets the surface's second derivatives along and across its way with
///   a_l = (cos θw − cos θ/n)/cos³θw / (1 + d cos³θ/(n h cos³θw)),
///   a_t = (cos θw − cos θ/n)/cos θw / (1 + d cos θ/(n h cos θw)),
/// from the Jacobian of the refracted ray's landing point; both are (1 − 1/n)/(1 + d/(n h)) straight down, by
/// which they are divided. With w the shares of the light, ways by the walls included, and A(k) = a_l cos² +
/// a_t sin² of the angle between wave and way,
///   shimmer² = Σᵢ Σⱼ wᵢ wⱼ ⟨Aᵢ Aⱼ exp(i k·Δᵢⱼ)⟩
/// over the spectrum of that ρ: exp(−k²ℓ²/4), all directions alike. Without obliquity that is √(Σ Σ w w
/// ρ(Δ)). 0 in a dry tank, at the surface and in the dark.
double shimmerAt(const ExactField& field, Millimetre x, Millimetre y, Millimetre depth,
                 const SurfaceRipple& ripple = {});

/// The same with wᵃ − wᵇ in place of w, the shares within each channel: 0 where two channels shine from the
/// same places.
double colourFlashAt(const ExactField& field, Millimetre x, Millimetre y, Millimetre depth,
                     std::size_t channel_a, std::size_t channel_b, const SurfaceRipple& ripple = {});

/// The points of the innermost ring of a grid of columns × rows points, row by row; all points without one.
std::vector<std::array<double, 2>> middleRing(std::span<const std::array<double, 2>> points, int columns,
                                              int rows);

}  // namespace glumet
