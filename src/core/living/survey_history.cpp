#include "core/living/survey_history.h"

#include <algorithm>
#include <cmath>
#include <string_view>
#include <tuple>

#include "core/base/median.h"

namespace glumet {
namespace {

constexpr std::size_t kFewestSpots = 3;
constexpr double kSpreads = 3.0;
constexpr double kLeastChange = 1.0 / 7.0;
constexpr double kMadToSd = 1.4826;
constexpr std::size_t kDateLetters = 10;

const TankSurvey* onDay(const std::vector<TankSurvey>& surveys, const std::string& day) {
    for (const auto& survey : surveys)
        if (survey.day == day) return &survey;
    return nullptr;
}

}  // namespace

const SpotReading* TankSurvey::at(Id spot) const {
    for (const auto& one : spots)
        if (one.spot == spot) return one.reading;
    return nullptr;
}

std::vector<TankSurvey> surveysOf(const Bench& bench, Id tank) {
    struct Row {
        std::string_view day;
        std::size_t order;
        Id spot;
        const SpotReading* reading;
    };
    std::vector<Row> rows;
    std::size_t order = 0;
    for (const auto& spot : bench.spots) {
        if (spot.tank != tank) continue;
        for (const auto& reading : spot.readings)
            rows.push_back(
                {std::string_view(reading.time).substr(0, kDateLetters), order, spot.id, &reading});
        ++order;
    }
    std::stable_sort(rows.begin(), rows.end(), [](const Row& a, const Row& b) {
        return std::tie(a.day, a.order) < std::tie(b.day, b.order);
    });
    std::vector<TankSurvey> out;
    for (const auto& row : rows) {
        if (out.empty() || out.back().day != row.day) out.push_back({std::string(row.day), {}});
        auto& spots = out.back().spots;
        if (spots.empty() || spots.back().spot != row.spot)
            spots.push_back({row.spot, row.reading});
        else if (spots.back().reading->time <= row.reading->time)
            spots.back().reading = row.reading;
    }
    return out;
}

std::string dateOf(const std::string& time) { return time.substr(0, kDateLetters); }

const SpotReading* latestAt(const TankSpot& spot) {
    const SpotReading* latest = nullptr;
    for (const auto& reading : spot.readings)
        if (latest == nullptr || latest->time <= reading.time) latest = &reading;
    return latest;
}

std::optional<SurveyChange> changeBetween(const std::vector<TankSurvey>& surveys, const std::string& before,
                                          const std::string& now) {
    const auto* first = onDay(surveys, before);
    const auto* second = onDay(surveys, now);
    if (first == nullptr || second == nullptr || before == now) return std::nullopt;
    SurveyChange out{before, now, 1.0, 0.0, {}};
    std::vector<double> logs;
    for (const auto& one : first->spots) {
        const auto* then = second->at(one.spot);
        if (then == nullptr || !(one.reading->mean.value() > 0.0) || !(then->mean.value() > 0.0)) continue;
        const double ratio = then->mean / one.reading->mean;
        out.spots.push_back({one.spot, one.reading->mean, then->mean, ratio, false, false});
        logs.push_back(std::log(ratio));
    }
    if (logs.size() < kFewestSpots) return std::nullopt;
    const double middle = medianOf(logs);
    std::vector<double> away;
    for (const double log : logs) away.push_back(std::abs(log - middle));
    out.field = std::exp(middle);
    out.spread = kMadToSd * medianOf(away);
    const double beyond = std::max(kSpreads * out.spread, kLeastChange);
    for (std::size_t i = 0; i < logs.size(); ++i) {
        out.spots[i].lost = logs[i] < middle - beyond;
        out.spots[i].gained = logs[i] > middle + beyond;
    }
    return out;
}

std::optional<FirstLevel> firstLevel(const std::vector<TankSurvey>& surveys, const std::string& before,
                                     const std::string& now, double share) {
    const auto* first = onDay(surveys, before);
    const auto* second = onDay(surveys, now);
    if (first == nullptr || second == nullptr) return std::nullopt;
    FirstLevel out;
    for (const auto& one : first->spots) {
        const auto* then = second->at(one.spot);
        if (then == nullptr || !(then->mean.value() > 0.0)) continue;
        ++out.spots;
        const double level = 100.0 * (one.reading->mean * (1.0 + share) / then->mean);
        if (level < out.level_pct) {
            out.level_pct = level;
            out.limited_by = one.spot;
        }
    }
    if (out.spots == 0) return std::nullopt;
    return out;
}

}  // namespace glumet
