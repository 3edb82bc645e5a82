#pragma once

#include "core/base/problem.h"
#include "core/bench/bench.h"

namespace glumet {

/// Column of Reading::extra that holds the value before a meter's correction.
inline constexpr const char* kBeforeCorrection = "ppfd_before_correction";

/// Readings of the same light by two meters side by side, µmol·m⁻²·s⁻¹.
struct TwinPair {
    Ppfd own{0};
    Ppfd twin{0};
};

/// What the own meter's readings of a channel are to be multiplied by: mean of twin/own, its standard error
/// (sd/√n) and the twin's own calibration in quadrature. Needs two pairs, all above 0, ratios within 0.3–3.
Expected<MeterCorrection> correctionFrom(const std::vector<TwinPair>& pairs, const std::string& channel,
                                         const std::string& twin_name, double twin_uncertainty);

/// The correction of a meter that holds for a run's channel mix: that of the channel, else that of any, if it
/// is to be applied.
const MeterCorrection* correctionFor(const MeterProfile& meter, const std::string& preset);

/// Multiplies a reading's mean, swing and sd once, and keeps the raw mean beside. Does nothing without a
/// correction or when one has been applied already.
void applyCorrection(Reading& reading, const MeterProfile& meter, const std::string& preset);

/// "400: 0.8, 450: 0.9, 550: 1": wavelengths in nm, ascending, 200–1200, and relative response, 0–5.
Expected<std::vector<ResponsePoint>> parseResponse(const std::string& text);
std::string responseText(const std::vector<ResponsePoint>& response);

/// Relative standard uncertainty (k = 1) of a single absolute reading: calibration, correction, cosine error
/// (as a rectangular spread), repeatability and drift, in quadrature.
struct UncertaintyParts {
    double calibration = 0.0;
    double correction = 0.0;
    double cosine = 0.0;
    double repeatability = 0.0;
    double drift = 0.0;

    double combined() const;
};

}  // namespace glumet
