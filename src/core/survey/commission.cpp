#include "core/survey/commission.h"

#include <fmt/format.h>

#include <cmath>

#include "core/survey/checks.h"
#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr double kChannelSumTolerance = 0.15;
constexpr double kLeastChannelShare = 0.01;  // of the rating; less is a channel that does not light
constexpr double kSteadyPerMinute = 0.002;
constexpr double kDarkWithoutReadings = 1.0;  // µmol·m⁻²·s⁻¹
constexpr double kMostTilt = 2.0;             // degrees
constexpr double kLeastHeightError = 5.0;     // mm
constexpr std::size_t kLeastBlocks = 12;

const char* waterWord(WaterState state) {
    switch (state) {
        case WaterState::Still:
            return "still";
        case WaterState::Moving:
            return "moving";
        case WaterState::Dry:
            return "absent";
    }
    return "";
}

std::string signedPercent(double share) { return fmt::format("{:+.2f} %", share * 100.0); }

}  // namespace

CheckVerdict judgeDraw(Watt drawn, std::optional<Watt> rated, std::optional<Watt> expected,
                       const std::string& subject) {
    if (!(drawn.value() >= 0.0) || !std::isfinite(drawn.value())) return {false, "A draw is 0 W or more."};
    if (!rated || rated->value() <= 0.0)
        return {true, fmt::format("{:.1f} W; the fixture's rating is not described, so nothing says whether "
                                  "that is right.",
                                  drawn.value())};
    const double share = drawn / *rated;
    if (!subject.empty())
        return share > kLeastChannelShare
                   ? CheckVerdict{true, fmt::format("{}: {:.1f} W, {} of the rating.", subject, drawn.value(),
                                                    percentText(share))}
                   : CheckVerdict{false, fmt::format("{}: {:.1f} W. This channel draws nothing.", subject,
                                                     drawn.value())};
    const double due = expected.value_or(*rated) / *rated;
    const bool fine = std::abs(share - due) <= kDrawTolerance;
    return {fine, fmt::format("{:.1f} W of {:.0f} W rated, {}. {}", drawn.value(), rated->value(),
                              percentText(share),
                              fine          ? "As it should be."
                              : share < due ? "Stop: a driver may be dead. Find out before reading."
                                            : "Stop: more than it is rated for. Find out why.")};
}

CheckVerdict judgeChannelSum(const std::vector<Watt>& channels, Watt together) {
    double sum = 0.0;
    for (const auto channel : channels) sum += channel.value();
    if (channels.empty() || together.value() <= 0.0) return {false, "There is nothing to compare."};
    const double off = sum / together.value() - 1.0;
    const bool fine = std::abs(off) <= kChannelSumTolerance;
    return {fine, fmt::format("Channels one by one draw {:.1f} W, together {:.1f} W{}", sum, together.value(),
                              fine ? "." : ": one of them is not on when all should be.")};
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
    auto figures = signedPercent(rate.per_minute) + " a minute";
    if (rate.standard_error > 0.0)
        figures += fmt::format(", known to ± {:.2f} %", rate.standard_error * 100.0);
    if (!known) return {false, figures + ": not known well enough yet. Calm the water or wait."};
    return {small, figures + (small ? ": steady." : ": not steady yet. Wait.")};
}

CheckVerdict judgeWarmUpPercent(double percent_per_minute) {
    return judgeWarmUp({percent_per_minute / 100.0, 0.0});
}

CheckVerdict judgeDark(Ppfd dark, const Run& run) {
    Run asked = run;
    asked.dark_reading = dark;
    const auto share = roomLightShare(asked);
    const bool fine = share ? *share <= kDarkTolerance : dark.value() <= kDarkWithoutReadings;
    const std::string against = share ? fmt::format("{} of the dimmest point", percentText(*share))
                                      : fmt::format("limit {} before anything is read", kDarkWithoutReadings);
    return {fine, fmt::format("{} with the fixture off, {}. {}", ppfdFigure(dark), against,
                              fine ? "Dark enough." : "Other light is on: find it.")};
}

CheckVerdict judgeWater(WaterState seen, const Run& run) {
    if (seen == run.water) return {true, fmt::format("The water is {}, as the run says.", waterWord(seen))};
    return {false,
            fmt::format("The water is {}, and the run says {}.", waterWord(seen), waterWord(run.water))};
}

CheckVerdict judgeTilt(double degrees) {
    const bool fine = std::abs(degrees) <= kMostTilt;
    return {fine, fmt::format("The probe stands {:.1f}° off level{}", std::abs(degrees),
                              fine ? "." : ": light from one side counts too much. Level it.")};
}

CheckVerdict judgeHeight(Millimetre again, const Run& run, Millimetre height_error) {
    const double allowed = std::max(kLeastHeightError, 2.0 * height_error.value());
    const double off = (again - run.height).value();
    const bool fine = std::abs(off) <= allowed;
    return {fine, fmt::format("{:.0f} mm measured again, {:.0f} mm planned, {:+.0f} mm. {}", again.value(),
                              run.height.value(), off,
                              fine ? "As planned." : "Hang it again, or make it the run's height.")};
}

CheckVerdict judgeMeterMode(bool in_water_mode, const MeterProfile& meter, WaterState water) {
    const bool wet = water != WaterState::Dry;
    const bool by_meter = meter.immersion_by == ImmersionBy::MeterMode;
    if (!wet)
        return in_water_mode ? CheckVerdict{false, "There is no water, and the meter is in its water mode."}
                             : CheckVerdict{true, "No water, no immersion factor: as it should be."};
    if (in_water_mode && by_meter)
        return {true, fmt::format("The meter multiplies by {:g} itself: once, and only once.",
                                  meter.immersion_factor)};
    if (!in_water_mode && meter.immersion_by == ImmersionBy::Glumet)
        return {true, fmt::format("Glumet multiplies by {:g}: once, and only once.", meter.immersion_factor)};
    if (in_water_mode)
        return {false, meter.immersion_by == ImmersionBy::Glumet
                           ? fmt::format("The meter multiplies already, and Glumet would again by {:g}.",
                                         meter.immersion_factor)
                           : "The meter multiplies, and its profile says nobody does."};
    if (by_meter) return {false, "The meter is in its air mode, and its profile says the meter multiplies."};
    const bool needless = std::abs(meter.immersion_factor - 1.0) < 1e-9;
    return {needless, needless ? "No factor is needed for this sensor."
                               : fmt::format("Nobody multiplies by {:g}: readings would be low.",
                                             meter.immersion_factor)};
}

CheckVerdict judgeMeterTruth(Ppfd shown, Ppfd expected, double expected_uncertainty,
                             const MeterProfile& meter) {
    if (!(shown.value() > 0.0) || !(expected.value() > 0.0)) return {false, "Both readings must be above 0."};
    const double off = shown / expected - 1.0;
    const double allowed = 2.0 * std::hypot(meter.relative_uncertainty, expected_uncertainty);
    const bool fine = std::abs(off) <= allowed;
    return {fine, fmt::format("{} shown, {} expected: {}, allowed ± {}. {}", ppfdFigure(shown),
                              ppfdFigure(expected), signedPercent(off), percentText(allowed),
                              fine ? "The meter tells the truth within its word."
                                   : "The meter is off by more than it claims.")};
}

std::vector<CommissionState> commissionOf(const Bench& bench, const Run& run, const std::string& today) {
    const auto day = [](const std::string& time) { return time.substr(0, 10); };
    std::vector<CommissionState> states;
    for (const auto kind : kCheckKinds) states.push_back({kind, nullptr});
    for (const auto& check : bench.checks) {
        const auto* of = byId(bench.runs, check.run);
        if (of == nullptr) continue;
        const bool own = check.run == run.id;
        const bool shared = check.kind != CheckKind::Height && check.kind != CheckKind::Water &&
                            of->fixture == run.fixture && of->accessory == run.accessory &&
                            of->tank == run.tank && of->meter == run.meter && day(check.time) == day(today);
        if (!own && !shared) continue;
        auto& state = states[static_cast<std::size_t>(check.kind)];
        // A failed part is not forgotten because another part passed after it.
        const bool same_part = state.latest == nullptr || state.latest->subject == check.subject;
        if (same_part || !check.passed || state.latest->passed) state.latest = &check;
    }
    return states;
}

std::string checkName(CheckKind kind) {
    switch (kind) {
        case CheckKind::Draw:
            return "draw at the wall";
        case CheckKind::WarmUp:
            return "warm-up";
        case CheckKind::Dark:
            return "dark reading";
        case CheckKind::Water:
            return "water";
        case CheckKind::ProbeLevel:
            return "probe level";
        case CheckKind::Height:
            return "height measured again";
        case CheckKind::MeterMode:
            return "immersion factor";
        case CheckKind::MeterTruth:
            return "meter against a truth";
    }
    return "";
}

std::string checkUnit(CheckKind kind) {
    switch (kind) {
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
        case CheckKind::Water:
        case CheckKind::MeterMode:
            return "";
    }
    return "";
}

}  // namespace glumet
