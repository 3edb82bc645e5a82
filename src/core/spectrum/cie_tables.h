#pragma once

#include <array>
#include <cstddef>

/// Tables of the International Commission on Illumination (CIE), every 5 nm.
namespace glumet::cie {

inline constexpr double kFromNm = 360.0;
inline constexpr double kStepNm = 5.0;
inline constexpr std::size_t kSteps = 95;  ///< to 830 nm
using Table = std::array<double, kSteps>;

/// Colour-matching functions x̄, ȳ, z̄ of the 2° standard observer of 1931 (CIE 15). ȳ is V(λ) too.
extern const Table kMatching[3];
/// Components S0, S1, S2 of daylight (CIE 15).
extern const Table kDaylight[3];
/// Spectral radiance factors of the test colours 1–14 (CIE 13.3).
inline constexpr std::size_t kSampleCount = 14;
extern const Table kSamples[kSampleCount];

/// Relative power of fluorescent lamps from 380 nm every 5 nm (CIE 15): F2, an ordinary cool white one, and
/// F11, one of three narrow bands.
inline constexpr double kFluorescentFromNm = 380.0;
inline constexpr std::size_t kFluorescentSteps = 81;
using FluorescentTable = std::array<double, kFluorescentSteps>;
extern const FluorescentTable kF2;
extern const FluorescentTable kF11;

}  // namespace glumet::cie
