#include "core/verdicts/day_findings.h"

#include <algorithm>
#include <cmath>

#include "core/verdicts/spectrum_finding.h"
#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr double kDriftDays = 90.0;
constexpr double kDriftWorthSaying = 5.0;  // minutes
constexpr double kDaysAYear = 365.0;
constexpr double kMolPerHour = 0.0036;  // of 1 µmol·m⁻²·s⁻¹

void sayDose(std::vector<Finding>& out, const Goal& goal, const DayFigures& day) {
    const double low = goal.band.low.value() * goal.photoperiod_h * kMolPerHour;
    const double high = goal.band.high.value() * goal.photoperiod_h * kMolPerHour;
    Words body = say(GLUMET_SAY("Core", "The goal's band over its {} h makes {}–{}."),
                     Figure{goal.photoperiod_h}, Figure{low, 1}, Figure{high, 1});
    const Figure dose{day.dli, 1};
    out.push_back(day.dli < low
                      ? spectrumFact(say(GLUMET_SAY("Core", "{} mol a day: below the goal"), dose), body)
                  : day.dli > high
                      ? spectrumFact(say(GLUMET_SAY("Core", "{} mol a day: above the goal"), dose), body)
                      : spectrumFact(say(GLUMET_SAY("Core", "{} mol a day: within the goal"), dose), body));
}

void sayPeaks(std::vector<Finding>& out, const DayFigures& day, const Words& whose) {
    if (day.short_peaks.empty()) return;
    double longest = 0.0;
    for (const auto& peak : day.short_peaks) longest = std::max(longest, peak.hours());
    out.push_back(spectrumDoubt(
        say(GLUMET_SAY("Core", "{} peaks at {} for {}"), whose, Ppfd(day.peak), Second(longest * 3600.0)),
        say(GLUMET_SAY("Core", "Its plateau is {}: judge by that, and look for what shines in."),
            Ppfd(day.plateau))));
}

void sayNight(std::vector<Finding>& out, const DayFigures& day) {
    if (day.night_ppfd <= 0.0) return;
    out.push_back(spectrumFact(say(GLUMET_SAY("Core", "Night light of {}"), Ppfd(day.night_ppfd)),
                               say(GLUMET_SAY("Core", "Held for an hour or longer outside the {} h of day."),
                                   Figure{day.photoperiod_h, 1})));
}

void sayEnergy(std::vector<Finding>& out, const Bench& bench, const std::vector<ClockedLight>& lights) {
    const auto energy = energyOf(lights);
    if (!energy) return;
    const double price = bench.method.price_kwh;
    const double a_year = *energy * kDaysAYear;
    const auto* fixture = byId(bench.fixtures, lights.front().schedule.fixture);
    const std::string currency = fixture == nullptr ? std::string() : fixture->currency;
    const Words cost =
        price > 0.0
            ? say(GLUMET_SAY("Core",
                             "{} kWh a year, which cost {} {}. Watts are taken to rise with the level."),
                  Figure{a_year, 0}, Figure{a_year * price, 0},
                  currency.empty() ? Words(say(GLUMET_SAY("Core", "in your currency")))
                                   : Words(verbatim(currency)))
            : say(GLUMET_SAY("Core",
                             "{} kWh a year. Watts are taken to rise with the level; with a price a kWh the "
                             "cost is said."),
                  Figure{a_year, 0});
    out.push_back(spectrumFact(say(GLUMET_SAY("Core", "{} kWh a day"), Figure{*energy, 2}), cost));
}

void sayClocks(std::vector<Finding>& out, const std::vector<ClockedLight>& lights) {
    std::vector<Schedule> schedules;
    for (const auto& light : lights) schedules.push_back(light.schedule);
    const double spread = clockSpread(schedules, kDriftDays);
    if (spread - clockSpread(schedules, 0.0) < kDriftWorthSaying) return;
    const double now = figuresOf(dayCurve(lights)).photoperiod_h;
    const double later = figuresOf(dayCurve(lights, kDriftDays)).photoperiod_h;
    out.push_back(spectrumDoubt(
        say(GLUMET_SAY("Core", "The clocks run apart: {} min after 90 days"), Figure{spread, 0}),
        say(GLUMET_SAY("Core",
                       "The day grows from {} to {} h. Set them together, or hang both on one "
                       "clock."),
            Figure{now, 1}, Figure{later, 1})));
}

void sayLog(std::vector<Finding>& out, const DayQuestion& q) {
    if (q.log == nullptr || q.logged.empty()) return;
    double least = q.logged.front().dli;
    double most = least;
    for (const auto& day : q.logged) {
        least = std::min(least, day.dli);
        most = std::max(most, day.dli);
    }
    const Words name = verbatim(q.log->name);
    out.push_back(
        q.logged.size() == 1
            ? spectrumFact(
                  say(GLUMET_SAY("Core", "{} saw {} mol"), name, Figure{least, 1}),
                  say(GLUMET_SAY("Core", "One whole day at its own place, which is not the plane's.")))
            : spectrumFact(
                  say(GLUMET_SAY("Core", "{} saw {}–{} mol a day"), name, Figure{least, 1}, Figure{most, 1}),
                  sayCounted(
                      GLUMET_SAY_N("Core", "{} whole days at its own place, which is not the plane's."),
                      countOf(q.logged.size()))));
    sayPeaks(out, q.logged.front(), name);
}

}  // namespace

std::optional<DoseSpan> doseOver(const RunMix& mix, const std::vector<ClockedLight>& lights) {
    if (mix.to == mix.from) return std::nullopt;
    std::vector<double> doses(mix.channels.front().points.size(), 0.0);
    for (std::size_t c = 0; c < mix.channels.size(); ++c) {
        double per_ppfd = 0.0;  // what a point gets for each µmol·m⁻²·s⁻¹ of the channel at full level
        for (const auto& light : lights) {
            ClockedLight alone{light.schedule,
                               {{mix.channels[c].channel, 1.0, {}, mix.mix.channels()[c].dimming}}};
            per_ppfd += figuresOf(dayCurve({alone})).dli;
        }
        for (std::size_t i = 0; i < doses.size(); ++i) doses[i] += per_ppfd * mix.channels[c].points[i];
    }
    const auto [low, high] = std::minmax_element(doses.begin(), doses.end());
    const auto begin = doses.begin() + static_cast<std::ptrdiff_t>(mix.from);
    const auto end = doses.begin() + static_cast<std::ptrdiff_t>(mix.to);
    const auto [plane_low, plane_high] = std::minmax_element(begin, end);
    return DoseSpan{*plane_low, *plane_high, *low, *high};
}

std::vector<Finding> dayFindings(const Bench& bench, const DayQuestion& q) {
    std::vector<Finding> out;
    if (!q.lights.empty()) {
        sayDose(out, bench.method.goal, q.day);
        sayPeaks(out, q.day, say(GLUMET_SAY("Core", "the day")));
        sayNight(out, q.day);
        sayEnergy(out, bench, q.lights);
        sayClocks(out, q.lights);
    } else {
        out.push_back(
            finding(FindingKind::Next, say(GLUMET_SAY("Core", "No clock yet")),
                    say(GLUMET_SAY("Core", "Add a schedule: times and levels, channel by channel.")),
                    EvidenceView::Spectrum));
    }
    sayLog(out, q);
    for (auto& finding : out) finding.title = finding.title.capitalised();
    return out;
}

}  // namespace glumet
