#pragma once

#include <string>
#include <vector>

#include "core/fit/fit.h"
#include "core/words/wording.h"

namespace glumet {

/// The one thing that would explain why a measured array differs from its prediction.
enum class Cause { None, Level, Height, Along, Across, OneFixture };

/// A measured run of several fixtures beside what one fixture's fit predicts of it.
struct ArrayAgreement {
    std::vector<FitResidual> residuals;  ///< in the order of planes and readings
    double mean_ratio = 1.0;             ///< Σ readings / Σ predicted
    double rms = 0.0;                    ///< of reading/predicted − 1
    double within = 0.0;                 ///< share of readings within two standard errors
    double reduced_chi_square = 0.0;
    bool agrees = false;
    Cause cause = Cause::None;  ///< of most of a disagreement
    int cause_fixture = 0;      ///< of OneFixture, from 1 at the left
    double cause_size = 0.0;    ///< mm, or a share for Level and OneFixture
    Words reason;
};

/// Lays a run's readings over the prediction. It agrees when the reduced chi-square is at most 2 and the mean
/// within 3 %. Otherwise single causes are tried, each by weighted least squares of its own derivative: a
/// common level, the mounting height, the row moved along the tank or across, one fixture's output. The one
/// that takes away most of Σz² is named when that is more than half; else the difference is one of shape.
/// Fails in words: no tank, no reading that counts.
Expected<ArrayAgreement> arrayAgreement(const FitResult& single, const Bench& bench, Id run,
                                        const FitOptions& options = {});

}  // namespace glumet
