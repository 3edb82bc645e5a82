#pragma once

#include <string>
#include <vector>

#include "core/base/id.h"
#include "core/base/value.h"

namespace glumet {

/// Who multiplied by the immersion factor, so that it is done once and only once.
enum class ImmersionBy { Nobody, MeterMode, Glumet };

/// One point of a sensor's spectral response, 1 where it tells the truth.
struct ResponsePoint {
    double wavelength_nm = 0.0;
    double relative = 1.0;

    bool operator==(const ResponsePoint&) const = default;
};

/// What a meter's readings of one channel are multiplied by, found beside another meter. Stored readings keep
/// their raw value.
struct MeterCorrection {
    std::string channel;       ///< the run's preset it holds for; empty: any
    double factor = 1.0;       ///< > 0
    double uncertainty = 0.0;  ///< of the factor, k = 1, relative
    std::string source;        ///< in words: "twin Sensor S2, 9 pairs"
    std::string time;
    bool applied = true;  ///< to readings taken from now on

    bool operator==(const MeterCorrection&) const = default;
};

struct MeterProfile {
    GLUMET_VALUE(MeterProfile);

    Id id = 0;
    std::string name;
    std::string kind;  ///< in words: "quantum sensor, silicon"
    double immersion_factor = 1.0;
    ImmersionBy immersion_by = ImmersionBy::MeterMode;
    double relative_uncertainty = 0.05;  ///< absolute calibration, k = 1 share of the reading
    std::string calibrated_on;           ///< ISO date or empty
    std::string note;
    std::vector<ResponsePoint> response;  ///< ascending wavelength; empty: not known
    double cosine_error = 0.0;  ///< largest relative error of oblique light up to 60°, 0: not stated
    std::vector<MeterCorrection> corrections;

    bool operator==(const MeterProfile&) const = default;
};

}  // namespace glumet
