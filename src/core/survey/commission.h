#pragma once

#include <deque>

#include "core/bench/bench.h"

namespace glumet {

/// What a check found: whether work may go on, and one sentence with the figures. A check that stops can be
/// overruled with a reason, which is published.
struct CheckVerdict {
    bool passed = false;
    Words sentence = say(GLUMET_SAY("Core", "not made"));
};

/// Rating of all anchors together, kg ≥ 0, against the mass of all that hang: mass_kg (> 0, of one fixture) ×
/// fixtures, with a margin of five, the house's rule for a load that is moved and reached over (local code
/// may ask for more); and what else was seen there. A mass that is not described does not pass.
CheckVerdict judgeHanging(double rated_kg, double mass_kg, int fixtures, Tether tether);

/// Eyes and hands before the plug: looked at, not measured. Local electrical code and a licensed electrician
/// have the last word.
CheckVerdict judgeEyesAndHands(EyesAndHandsState seen);

/// Draw at the wall in W against what the run should draw (expectedDraw() in checks.h; else the rating), ± 10
/// % of the rating of all that hang: a half-dead driver draws half. `subject` names a channel; a single
/// channel is judged only for drawing anything, its share is kept.
CheckVerdict judgeDraw(Watt drawn, std::optional<Watt> rated, std::optional<Watt> expected,
                       const std::string& subject);

/// The channels' draws, each alone, against the draw of all together: ± 15 % (drivers are less efficient
/// when little is asked of them).
CheckVerdict judgeChannelSum(const std::vector<Watt>& channels, Watt together);

/// Rate of the output in relative change per minute and its standard error.
struct WarmUpRate {
    double per_minute = 0.0;
    double standard_error = 0.0;
};

/// Follows a warming fixture: straight line through the means of 5-second blocks of the last three minutes
/// (blocks are longer than ripple is correlated, so that their scatter gives the error of the slope).
class WarmUpWatch {
  public:
    static constexpr double kBlock = 5.0;
    static constexpr double kSpan = 180.0;

    /// Ascending times, s; negative or non-finite values are left out.
    void add(Second time, Ppfd ppfd);
    /// Nothing before a minute of blocks.
    std::optional<WarmUpRate> rate() const;
    /// Since the first sample.
    Second running() const { return Second(running_s_); }

  private:
    struct Block {
        double time;
        double mean;
    };
    std::deque<Block> blocks_;
    std::optional<double> first_s_;
    double running_s_ = 0.0;
    double begun_s_ = 0.0;
    double sum_ = 0.0;
    int count_ = 0;
};

/// Steady: less than 0.2 % a minute, and known to twice that.
CheckVerdict judgeWarmUp(const WarmUpRate& rate);
/// The same from a rate that was read by hand, in % per minute.
CheckVerdict judgeWarmUpPercent(double percent_per_minute);

/// Light with the fixture off, against the dimmest counted reading of the run (1 %), or 1 µmol·m⁻²·s⁻¹ when
/// nothing has been read yet.
CheckVerdict judgeDark(Ppfd dark, const Run& run);

/// Whether the water is as the run says; `seen` by the reviewer.
CheckVerdict judgeWater(WaterState seen, const Run& run);

/// Tilt of the probe from level, degrees: up to 2.
CheckVerdict judgeTilt(double degrees);

/// The height measured again, against the run's: within two standard errors of setting it, at least 5 mm.
CheckVerdict judgeHeight(Millimetre again, const Run& run, Millimetre height_error);

/// What multiplies by the immersion factor now (the meter's display is in its water mode or not) against the
/// profile, so that it is done once and only once. `in_water_mode`: what the display says.
CheckVerdict judgeMeterMode(bool in_water_mode, const MeterProfile& meter, WaterState water);

/// The meter's reading of something known against what it should be, both in µmol·m⁻²·s⁻¹: clear noon sun
/// (2000, taken as ± 10 %) or a twin with its own relative uncertainty (k = 1). Passes within twice the
/// combined uncertainty.
CheckVerdict judgeMeterTruth(Ppfd shown, Ppfd expected, double expected_uncertainty,
                             const MeterProfile& meter);
inline constexpr double kNoonSun = 2000.0;
inline constexpr double kNoonSunUncertainty = 0.10;

/// Where a run stands with its checks. The height is checked for every run; the others hold for all runs of
/// the same fixture, accessory, tank and meter whose check was made on the same day as this run's latest
/// reading or check, or for the run itself.
struct CommissionState {
    CheckKind kind = CheckKind::Draw;
    const CommissionCheck* latest = nullptr;  ///< nullptr: not made

    bool open() const { return latest == nullptr; }
    bool stops() const { return latest != nullptr && !latest->passed && latest->overruled.empty(); }
};

/// In the order of kCheckKinds. `today`: ISO date or time.
std::vector<CommissionState> commissionOf(const Bench& bench, const Run& run, const std::string& today);

/// "draw at the wall", "warm-up" …
Words checkName(CheckKind kind);
/// The unit of CommissionCheck::value: "W", "%/min" …; empty for a yes or no.
std::string checkUnit(CheckKind kind);

}  // namespace glumet
