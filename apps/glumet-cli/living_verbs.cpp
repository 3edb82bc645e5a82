#include <fmt/format.h>

#include "core/living/living_findings.h"
#include "core/words/sentence.h"
#include "files.h"
#include "formats/calendar.h"
#include "project/project.h"
#include "verbs.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

Json readingJson(const SpotReading& reading) {
    const auto value = [](const std::optional<Ppfd>& ppfd) { return ppfd ? Json(ppfd->value()) : Json(); };
    return {{"time", reading.time},
            {"ppfd", reading.mean.value()},
            {"swing_lo", value(reading.min)},
            {"swing_hi", value(reading.max)},
            {"tilt_deg", reading.tilt_deg},
            {"shaded", reading.shaded},
            {"note", reading.note}};
}

Json spotJson(const Bench& bench, const TankSpot& spot) {
    Json out{{"name", spot.name},
             {"x_mm", spot.x.value()},
             {"y_mm", spot.y.value()},
             {"depth_mm", spot.depth.value()}};
    const auto* reading = latestAt(spot);
    const auto value = [](const std::optional<Ppfd>& ppfd) { return ppfd ? Json(ppfd->value()) : Json(); };
    out["ppfd"] = reading == nullptr ? Json() : Json(reading->mean.value());
    out["swing_lo"] = reading == nullptr ? Json() : value(reading->min);
    out["swing_hi"] = reading == nullptr ? Json() : value(reading->max);
    out["time"] = reading == nullptr ? Json() : Json(reading->time);
    out["flow"] = wordOf(spot.flow);
    const auto* who = livesAt(bench, spot.id);
    out["lives_there"] = who == nullptr ? Json() : Json(who->name);
    out["readings"] = Json::array();
    for (const auto& one : spot.readings) out["readings"].push_back(readingJson(one));
    return out;
}

}  // namespace

Expected<Output> spots(const std::string& name) {
    const auto project = Project::look(path(name));
    if (!project) return tl::make_unexpected(project.error());
    const auto& bench = (*project)->bench();
    Json tanks = Json::array();
    std::string text;
    for (const auto& tank : bench.tanks) {
        Json list = Json::array();
        for (const auto& spot : bench.spots) {
            if (spot.tank != tank.id) continue;
            list.push_back(spotJson(bench, spot));
            const auto* reading = latestAt(spot);
            text += fmt::format("{}, {}: {}\n", tank.name, spot.name,
                                reading == nullptr ? std::string("not read")
                                                   : ppfdFigure(reading->mean) + ", " + reading->time);
        }
        if (!list.empty()) tanks.push_back({{"name", tank.name}, {"spots", std::move(list)}});
    }
    if (tanks.empty()) text = "the project holds no spot\n";
    return Output{jsonText(Json{{"tanks", std::move(tanks)}}, 2), text};
}

Expected<Output> ramp(const RampVerbQuestion& question) {
    RampQuestion asked{question.from_pct, question.to_pct, question.weeks,
                       question.by == "linear" ? RampBy::Linear : RampBy::Log, question.cap_pct_week};
    const auto steps = rampSteps(asked);
    if (!steps) return tl::make_unexpected(Problem{"--" + steps.error().where, steps.error().what});
    Json list = Json::array();
    std::string text;
    for (const auto& step : *steps) {
        list.push_back({{"week", step.week}, {"level_pct", step.level_pct}});
        text += fmt::format("week {:2}: {:5.1f} %\n", step.week, step.level_pct);
    }
    if (!question.ics.empty()) {
        std::vector<DatedStep> dated;
        for (const auto& step : *steps)
            dated.push_back({daysAfter(question.start, 7 * step.week), step.level_pct});
        const auto calendar = calendarOf(calendarDays("Light", dated), question.start);
        if (!calendar) return tl::make_unexpected(calendar.error());
        if (const auto done = writeText(path(question.ics), *calendar); !done)
            return tl::make_unexpected(done.error());
    }
    const double first = (*steps)[1].level_pct - steps->front().level_pct;
    const std::string reason = asked.by == RampBy::Linear
                                   ? fmt::format("each week adds {:.1f} points", first)
                                   : fmt::format("each week adds {:.1f} % of what there was",
                                                 100.0 * first / steps->front().level_pct);
    return Output{jsonText(Json{{"steps", std::move(list)}, {"reason", reason}}, 2), text + reason + "\n"};
}

}  // namespace glumet::cli
