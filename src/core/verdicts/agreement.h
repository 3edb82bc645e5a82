#pragma once

#include <string>
#include <vector>

#include "core/fit/fit.h"
#include "core/verdicts/verdict_status.h"
#include "core/words/wording.h"

namespace glumet {

/// The one thing that would explain why a measured array differs from its prediction.
enum class Cause { None, Level, Height, Along, Across, OneFixture };

/// A measured run of several fixtures beside what one fixture's fit predicts of it.
struct ArrayAgreement {
    Id asked = 0;                        ///< the run of several
    std::vector<Id> used;                ///< runs that the prediction is of
    std::vector<FitResidual> residuals;  ///< in the order of planes and readings
    double mean_ratio = 1.0;             ///< Σ readings / Σ predicted
    double mean_ratio_low = 1.0;         ///< 95 % interval
    double mean_ratio_high = 1.0;
    double rms = 0.0;     ///< of reading/predicted − 1
    double within = 0.0;  ///< share of readings within two standard errors
    double reduced_chi_square = 0.0;
    bool agrees = false;
    Cause cause = Cause::None;  ///< of most of a disagreement
    int cause_fixture = 0;      ///< of OneFixture, from 1 at the left
    double cause_size = 0.0;    ///< mm, or a share for Level and OneFixture
    double cause_low = 0.0;     ///< 95 % interval
    double cause_high = 0.0;
    Words reason;

    /// What cannot be compared is an error instead, so this answers.
    VerdictStatus status() const { return VerdictStatus::Ready; }
};

/// Lays a run's readings over the prediction. It agrees when the reduced chi-square is at most 2 and the mean
/// within 3 %. Otherwise single causes are tried, each by weighted least squares of its own derivative: a
/// common level, the mounting height, the row moved along the tank or across, one fixture's output. The one
/// that takes away most of Σz² is named when the scene with it really explains more than half; else the
/// difference is one of shape. The intervals hold each reading's own error, taken as its own, and what the
/// fit leaves open, taken as common to all readings because it moves them together; that of a cause is
/// widened by what stays unexplained. Fails in words: no tank, no reading that counts.
Expected<ArrayAgreement> arrayAgreement(const FitResult& single, const Bench& bench, Id run,
                                        const FitOptions& options = {});

}  // namespace glumet
