#pragma once

#include <deque>
#include <optional>
#include <vector>

#include "core/base/quantity.h"
#include "core/bench/bench.h"

namespace glumet {

/// When a swinging reading is good enough.
struct SettleRule {
    double relative_error = 0.02;  ///< standard error of the mean / mean, > 0
    Second shortest{2.0};          ///< never settled before this
    Second longest{30.0};          ///< never waits beyond this
};

/// What a stretch of samples says.
struct Settled {
    Ppfd mean{0};
    Ppfd min{0};
    Ppfd max{0};
    double sd = 0.0;                 ///< of single samples, divisor count − 1
    double effective_samples = 0.0;  ///< independent samples that would give the same error, 1 … count
    double standard_error = 0.0;     ///< of the mean, µmol·m⁻²·s⁻¹
    Second duration{0};
    int count = 0;              ///< samples behind the mean
    int left_out = 0;           ///< samples of a passing shadow or flash, in none of the figures above
    bool within_error = false;  ///< the rule's relative error is met
    bool timed_out = false;     ///< the rule's longest time has passed

    bool settled() const { return within_error || timed_out; }
};

/// Collects the samples taken at one place and says when their mean is known well enough.
///
/// Ripple samples a few tenths of a second apart are not independent, so the error of the mean is
/// sd·√(τ/n) with τ = 1 + 2 Σ ρ(k), the sum of autocorrelations cut where a pair of neighbours first
/// turns negative (Geyer 1992, Statistical Science 7:473, initial positive sequence), or τ of a first-order
/// autoregression corrected for the stretch's shortness (Marriott & Pope 1954, Biometrika 41:390) if larger:
/// a short stretch shows less correlation than there is. Since a reading is taken when its error first looks
/// small enough, errors that happen to look small are favoured; the stated error is therefore raised by (1
/// + 1.25/√n_eff).
///
/// Something that passes over the probe (a fish, an arm) is left out: samples whose logarithm lies more than
/// kFarOut robust standard deviations (1.4826 × median absolute deviation) from the median, with their
/// neighbours on the same side, unless they are more than kMostLeftOut of all: then the light itself has
/// changed.
class SettledMean {
  public:
    static constexpr double kFarOut = 5.0;
    static constexpr double kMostLeftOut = 0.3;

    explicit SettledMean(SettleRule rule = {}) : rule_(rule) {}

    /// A sample and its time, ascending, s. NaN and negative values are the meter's fault: not added. What is
    /// older than the rule's longest time is forgotten, so that a probe left alone costs no memory.
    void add(Second time, Ppfd ppfd);
    void clear();

    /// Nothing before the second sample.
    std::optional<Settled> state() const;
    /// Whether state() would be settled, at a fraction of its cost while it would not.
    bool settled() const;

  private:
    std::vector<double> undisturbed() const;
    double median() const;
    double spread() const;
    double farthest() const;
    bool disturbed() const;
    bool surelyLoose() const;
    void forgetFirst();

    SettleRule rule_;
    std::deque<double> times_;
    std::deque<double> values_;
    std::deque<double> logarithms_;  ///< of the values
    std::vector<double> ordered_;    ///< the logarithms, ascending
    /// Running sums of the values above the first one: themselves, their squares, neighbours' products.
    struct Sums {
        double origin = 0.0;
        double values = 0.0;
        double squares = 0.0;
        double neighbours = 0.0;
    } sums_;
};

/// The reading that is kept of a settled stretch, at the place where the probe was meant to be.
Reading readingFrom(const Settled& settled, Millimetre x, Millimetre y);

/// Integrated autocorrelation time of equally spaced samples, in samples, ≥ 1. Needs two or more.
double integratedAutocorrelation(const std::vector<double>& values);

}  // namespace glumet
