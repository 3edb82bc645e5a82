#include "core/survey/commission.h"

#include <cmath>
#include <map>

#include "core/survey/checks.h"
#include "core/words/sentence.h"

namespace glumet {
namespace {

constexpr double kChannelSumTolerance = 0.15;
constexpr double kLeastChannelShare = 0.01;  // of the rating; less is a channel that does not light
constexpr double kSteadyPerMinute = 0.002;
constexpr double kDarkWithoutReadings = 1.0;  // µmol·m⁻²·s⁻¹
constexpr double kMostTilt = 2.0;             // degrees
constexpr double kLeastHeightError = 5.0;     // mm
constexpr std::size_t kLeastBlocks = 12;
constexpr double kHangingMargin = 5.0;

/// A rate of change, to the hundredth of a per cent.
Figure inPercent(double share) { return {share * 100.0, 2, true}; }

Words asSeen(WaterState state) {
    switch (state) {
        case WaterState::Still:
            return say(GLUMET_SAY("Core", "The water is still."));
        case WaterState::Moving:
            return say(GLUMET_SAY("Core", "The water is moving."));
        case WaterState::Dry:
            return say(GLUMET_SAY("Core", "There is no water."));
    }
    return {};
}

Words asPlanned(WaterState state) {
    switch (state) {
        case WaterState::Still:
            return say(GLUMET_SAY("Core", "The run says still."));
        case WaterState::Moving:
            return say(GLUMET_SAY("Core", "The run says moving."));
        case WaterState::Dry:
            return say(GLUMET_SAY("Core", "The run says dry."));
    }
    return {};
}

Words withHint(Words figures, bool fine, const char* as_it_should, const char* hint) {
    figures += say(fine ? as_it_should : hint);
    return figures;
}

}  // namespace

CheckVerdict judgeHanging(double rated_kg, double mass_kg, int fixtures, Tether tether) {
    if (!(rated_kg >= 0.0) || !std::isfinite(rated_kg))
        return {false, say(GLUMET_SAY("Core", "A rating is 0 kg or more."))};
    if (!(mass_kg > 0.0))
        return {false, say(GLUMET_SAY("Core",
                                      "The fixture's mass is not described: weigh it and say it in Bench."))};
    const double load = mass_kg * fixtures;
    const bool bears = rated_kg >= kHangingMargin * load;
    Words words =
        say(GLUMET_SAY("Core", "{} kg hang, the anchors are rated for {} kg: {} times, {} are asked."),
            Figure{load, 1}, Figure{rated_kg, 1}, Figure{rated_kg / load, 1}, Figure{kHangingMargin});
    if (!bears) words += say(GLUMET_SAY("Core", "Stop: stronger anchors first."));
    if (tether == Tether::None)
        words += say(GLUMET_SAY("Core", "Stop: hang a second tether that bears it alone."));
    if (tether == Tether::SomebodyBelow) words += say(GLUMET_SAY("Core", "Stop: nobody stays under it."));
    const bool fine = bears && tether == Tether::On;
    if (fine) words += say(GLUMET_SAY("Core", "A second tether is on, nobody is under it."));
    return {fine, std::move(words)};
}

CheckVerdict judgeEyesAndHands(EyesAndHandsState seen) {
    switch (seen) {
        case EyesAndHandsState::Safe:
            return {true, say(GLUMET_SAY("Core",
                                         "Eyewear at hand for violet and ultraviolet, plugs and hands dry, "
                                         "residual-current protection in the circuit."))};
        case EyesAndHandsState::NoEyewear:
            return {false, say(GLUMET_SAY(
                               "Core", "Stop: no eyewear. Violet and ultraviolet harm before they dazzle."))};
        case EyesAndHandsState::Wet:
            return {false,
                    say(GLUMET_SAY("Core", "Stop: a plug or a hand is wet. Dry them, and lay a drip loop."))};
        case EyesAndHandsState::NoResidualCurrentProtection:
            return {false, say(GLUMET_SAY("Core",
                                          "Stop: no residual-current protection. Local electrical code and a "
                                          "licensed electrician have the last word."))};
    }
    return {};
}

CheckVerdict judgeDraw(Watt drawn, std::optional<Watt> rated, std::optional<Watt> expected,
                       const std::string& subject) {
    if (!(drawn.value() >= 0.0) || !std::isfinite(drawn.value()))
        return {false, say(GLUMET_SAY("Core", "A draw is 0 W or more."))};
    if (!rated || rated->value() <= 0.0)
        return {
            true,
            say(GLUMET_SAY(
                    "Core",
                    "{} W; the fixture's rating is not described, so nothing says whether that is right."),
                Figure{drawn.value(), 1})};
    const double share = drawn / *rated;
    if (!subject.empty())
        return share > kLeastChannelShare
                   ? CheckVerdict{true, say(GLUMET_SAY("Core", "{}: {} W, {} of the rating."), subject,
                                            Figure{drawn.value(), 1}, Share{share})}
                   : CheckVerdict{false, say(GLUMET_SAY("Core", "{}: {} W. This channel draws nothing."),
                                             subject, Figure{drawn.value(), 1})};
    const double due = expected.value_or(*rated) / *rated;
    const bool fine = std::abs(share - due) <= kDrawTolerance;
    return {fine,
            withHint(say(GLUMET_SAY("Core", "{} W of {} W rated, {}."), Figure{drawn.value(), 1},
                         Figure{rated->value(), 0}, Share{share}),
                     fine, GLUMET_SAY("Core", "As it should be."),
                     share < due ? GLUMET_SAY("Core", "Stop: a driver may be dead. Find out before reading.")
                                 : GLUMET_SAY("Core", "Stop: more than it is rated for. Find out why."))};
}

CheckVerdict judgeChannelSum(const std::vector<Watt>& channels, Watt together) {
    double sum = 0.0;
    for (const auto channel : channels) sum += channel.value();
    if (channels.empty() || together.value() <= 0.0)
        return {false, say(GLUMET_SAY("Core", "There is nothing to compare."))};
    const double off = sum / together.value() - 1.0;
    const bool fine = std::abs(off) <= kChannelSumTolerance;
    Words words = say(GLUMET_SAY("Core", "Channels one by one draw {} W, together {} W."), Figure{sum, 1},
                      Figure{together.value(), 1});
    if (!fine) words += say(GLUMET_SAY("Core", "One of them is not on when all should be."));
    return {fine, std::move(words)};
}

void WarmUpWatch::add(Second time, Ppfd ppfd) {
    if (!std::isfinite(ppfd.value()) || ppfd.value() < 0.0) return;
    if (!first_s_) first_s_ = begun_s_ = time.value();
    running_s_ = time.value() - *first_s_;
    if (time.value() - begun_s_ >= kBlock && count_ > 0) {
        blocks_.push_back({0.5 * (begun_s_ + time.value()), sum_ / count_});
        while (blocks_.back().time - blocks_.front().time > kSpan) blocks_.pop_front();
        begun_s_ = time.value();
        sum_ = 0.0;
        count_ = 0;
    }
    sum_ += ppfd.value();
    ++count_;
}

std::optional<WarmUpRate> WarmUpWatch::rate() const {
    if (blocks_.size() < kLeastBlocks) return std::nullopt;
    const auto n = static_cast<double>(blocks_.size());
    double time = 0.0;
    double mean = 0.0;
    for (const auto& block : blocks_) {
        time += block.time / n;
        mean += block.mean / n;
    }
    if (mean <= 0.0) return std::nullopt;
    double spread = 0.0;
    double together = 0.0;
    for (const auto& block : blocks_) {
        spread += (block.time - time) * (block.time - time);
        together += (block.time - time) * (block.mean - mean);
    }
    const double slope = together / spread;
    double squares = 0.0;
    for (const auto& block : blocks_) {
        const double off = block.mean - mean - slope * (block.time - time);
        squares += off * off;
    }
    const double error = std::sqrt(squares / (n - 2.0) / spread);
    return WarmUpRate{60.0 * slope / mean, 60.0 * error / mean};
}

CheckVerdict judgeWarmUp(const WarmUpRate& rate) {
    const bool small = std::abs(rate.per_minute) <= kSteadyPerMinute;
    const bool known = rate.standard_error <= 2.0 * kSteadyPerMinute;
    Words figures = rate.standard_error > 0.0
                        ? say(GLUMET_SAY("Core", "{} % a minute, known to ± {} %:"),
                              inPercent(rate.per_minute), Figure{rate.standard_error * 100.0, 2})
                        : say(GLUMET_SAY("Core", "{} % a minute:"), inPercent(rate.per_minute));
    if (!known) {
        figures += say(GLUMET_SAY("Core", "not known well enough yet. Calm the water or wait."));
        return {false, std::move(figures)};
    }
    return {small, withHint(std::move(figures), small, GLUMET_SAY("Core", "steady."),
                            GLUMET_SAY("Core", "not steady yet. Wait."))};
}

CheckVerdict judgeWarmUpPercent(double percent_per_minute) {
    return judgeWarmUp({percent_per_minute / 100.0, 0.0});
}

CheckVerdict judgeDark(Ppfd dark, const Run& run) {
    Run asked = run;
    asked.dark_reading = dark;
    const auto share = roomLightShare(asked);
    const bool fine = share ? *share <= kDarkTolerance : dark.value() <= kDarkWithoutReadings;
    const auto figures =
        share ? say(GLUMET_SAY("Core", "{} with the fixture off, {} of the dimmest point."), dark,
                    Share{*share})
              : say(GLUMET_SAY("Core", "{} with the fixture off, limit {} before anything is read."), dark,
                    Ppfd(kDarkWithoutReadings));
    return {fine, withHint(figures, fine, GLUMET_SAY("Core", "Dark enough."),
                           GLUMET_SAY("Core", "Other light is on: find it."))};
}

CheckVerdict judgeWater(WaterState seen, const Run& run) {
    if (seen == run.water) return {true, asSeen(seen)};
    auto words = asSeen(seen);
    words += asPlanned(run.water);
    return {false, std::move(words)};
}

CheckVerdict judgeTilt(double degrees) {
    const bool fine = std::abs(degrees) <= kMostTilt;
    Words words = say(GLUMET_SAY("Core", "The probe stands {}° off level."), Figure{std::abs(degrees), 1});
    if (!fine) words += say(GLUMET_SAY("Core", "Light from one side counts too much. Level it."));
    return {fine, std::move(words)};
}

CheckVerdict judgeHeight(Millimetre again, const Run& run, Millimetre height_error) {
    const double allowed = std::max(kLeastHeightError, 2.0 * height_error.value());
    const double off = (again - run.height).value();
    const bool fine = std::abs(off) <= allowed;
    return {fine, withHint(say(GLUMET_SAY("Core", "{} mm measured again, {} mm planned, {} mm."),
                               Figure{again.value(), 0}, Figure{run.height.value(), 0}, Figure{off, 0, true}),
                           fine, GLUMET_SAY("Core", "As planned."),
                           GLUMET_SAY("Core", "Hang it again, or make it the run's height."))};
}

CheckVerdict judgeMeterMode(bool in_water_mode, const MeterProfile& meter, WaterState water) {
    const bool wet = water != WaterState::Dry;
    const bool by_meter = meter.immersion_by == ImmersionBy::MeterMode;
    if (!wet)
        return in_water_mode
                   ? CheckVerdict{false,
                                  say(GLUMET_SAY("Core",
                                                 "There is no water, and the meter is in its water mode."))}
                   : CheckVerdict{true,
                                  say(GLUMET_SAY("Core", "No water, no immersion factor: as it should be."))};
    if (in_water_mode && by_meter)
        return {true, say(GLUMET_SAY("Core", "The meter multiplies by {} itself: once, and only once."),
                          Figure{meter.immersion_factor})};
    if (!in_water_mode && meter.immersion_by == ImmersionBy::Glumet)
        return {true, say(GLUMET_SAY("Core", "Glumet multiplies by {}: once, and only once."),
                          Figure{meter.immersion_factor})};
    if (in_water_mode)
        return {false,
                meter.immersion_by == ImmersionBy::Glumet
                    ? say(GLUMET_SAY("Core", "The meter multiplies already, and Glumet would again by {}."),
                          Figure{meter.immersion_factor})
                    : say(GLUMET_SAY("Core", "The meter multiplies, and its profile says nobody does."))};
    if (by_meter)
        return {false,
                say(GLUMET_SAY("Core",
                               "The meter is in its air mode, and its profile says the meter multiplies."))};
    const bool needless = std::abs(meter.immersion_factor - 1.0) < 1e-9;
    return {needless, needless ? say(GLUMET_SAY("Core", "No factor is needed for this sensor."))
                               : say(GLUMET_SAY("Core", "Nobody multiplies by {}: readings would be low."),
                                     Figure{meter.immersion_factor})};
}

CheckVerdict judgeMeterTruth(Ppfd shown, Ppfd expected, double expected_uncertainty,
                             const MeterProfile& meter) {
    if (!(shown.value() > 0.0) || !(expected.value() > 0.0))
        return {false, say(GLUMET_SAY("Core", "Both readings must be above 0."))};
    const double off = shown / expected - 1.0;
    const double allowed = 2.0 * std::hypot(meter.relative_uncertainty, expected_uncertainty);
    const bool fine = std::abs(off) <= allowed;
    return {fine, withHint(say(GLUMET_SAY("Core", "{} shown, {} expected: {} %, allowed ± {}."), shown,
                               expected, inPercent(off), Share{allowed}),
                           fine, GLUMET_SAY("Core", "The meter tells the truth within its word."),
                           GLUMET_SAY("Core", "The meter is off by more than it claims."))};
}

std::vector<CommissionState> commissionOf(const Bench& bench, const Run& run, const std::string& today) {
    const auto day = [](const std::string& time) { return time.substr(0, 10); };
    std::vector<CommissionState> states;
    for (const auto kind : kCheckKinds) states.push_back({kind, nullptr});
    std::map<std::pair<CheckKind, std::string>, const CommissionCheck*> parts;
    for (const auto& check : bench.checks) {
        const auto* of = byId(bench.runs, check.run);
        if (of == nullptr) continue;
        const bool own = check.run == run.id;
        const bool shared = check.kind != CheckKind::Height && check.kind != CheckKind::Water &&
                            of->fixture == run.fixture && of->accessory == run.accessory &&
                            of->tank == run.tank && of->meter == run.meter && day(check.time) == day(today);
        if (!own && !shared) continue;
        parts[{check.kind, check.subject}] = &check;
        states[static_cast<std::size_t>(check.kind)].latest = &check;
    }
    // A failed part is not forgotten because another part passed after it.
    for (const auto& [part, latest] : parts)
        if (!latest->passed) states[static_cast<std::size_t>(part.first)].latest = latest;
    return states;
}

Words checkName(CheckKind kind) {
    switch (kind) {
        case CheckKind::Hanging:
            return say(GLUMET_SAY("Core", "hanging"));
        case CheckKind::EyesAndHands:
            return say(GLUMET_SAY("Core", "eyes and hands"));
        case CheckKind::Draw:
            return say(GLUMET_SAY("Core", "draw at the wall"));
        case CheckKind::WarmUp:
            return say(GLUMET_SAY("Core", "warm-up"));
        case CheckKind::Dark:
            return say(GLUMET_SAY("Core", "dark reading"));
        case CheckKind::Water:
            return say(GLUMET_SAY("Core", "water"));
        case CheckKind::ProbeLevel:
            return say(GLUMET_SAY("Core", "probe level"));
        case CheckKind::Height:
            return say(GLUMET_SAY("Core", "height measured again"));
        case CheckKind::MeterMode:
            return say(GLUMET_SAY("Core", "immersion factor"));
        case CheckKind::MeterTruth:
            return say(GLUMET_SAY("Core", "meter against a truth"));
    }
    return {};
}

std::string checkUnit(CheckKind kind) {
    switch (kind) {
        case CheckKind::Hanging:
            return "kg";
        case CheckKind::Draw:
            return "W";
        case CheckKind::WarmUp:
            return "%/min";
        case CheckKind::Dark:
        case CheckKind::MeterTruth:
            return "µmol·m⁻²·s⁻¹";
        case CheckKind::ProbeLevel:
            return "°";
        case CheckKind::Height:
            return "mm";
        case CheckKind::EyesAndHands:
        case CheckKind::Water:
        case CheckKind::MeterMode:
            return "";
    }
    return "";
}

}  // namespace glumet
