#include <fmt/format.h>

#include <nlohmann/json.hpp>

#include "core/compare/comparison.h"
#include "core/compare/kept_fits.h"
#include "core/compare/school_orders.h"
#include "core/fit/fit_as_described.h"
#include "core/words/sentence.h"
#include "files.h"
#include "project/project.h"
#include "verbs.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

/// "own", or a height in mm; what the project compares at where nothing is said.
Expected<std::optional<Millimetre>> heightFrom(const std::string& at, const Method& method) {
    if (at.empty()) return method.compared_height;
    if (at == "own") return std::optional<Millimetre>();
    const auto height = parseNumber(at);
    if (!height || *height <= 0.0)
        return problem("--at", say(GLUMET_SAY("Core", "is \"own\" or a height in mm")));
    return std::optional(Millimetre(*height));
}

Expected<Id> tankFrom(const Bench& bench, const std::string& name) {
    if (name.empty()) return Id{0};
    for (const auto& tank : bench.tanks)
        if (sameName(tank.name, name)) return tank.id;
    return problem("--tank", say(GLUMET_SAY("Core", "the project has no tank \"{}\""), name));
}

Json ratioJson(const Ratio& ratio) {
    return {{"ratio", ratio.value}, {"lo", ratio.lo}, {"hi", ratio.hi}, {"tie", ratio.tie}};
}

Json pairJson(const Comparison& compared, std::size_t one, std::size_t other) {
    Json conditions = Json::array();
    const auto rows = compared.conditions(one, other);
    for (const auto& row : rows)
        conditions.push_back({{"name", wordOf(row.condition)},
                              {"a", row.a.empty() ? Json() : Json(english(row.a))},
                              {"b", row.b.empty() ? Json() : Json(english(row.b))},
                              {"state", wordOf(row.state)},
                              {"modelled", row.modelled},
                              {"remedy", english(row.remedy)}});
    const auto pair = compared.pairOf(one, other);
    Json planes = Json::array();
    for (const auto& plane : pair.planes) {
        Json at = {{"depth_mm", plane.depth.value()}};
        at.update(ratioJson(plane.mean));
        at["n"] = plane.points.size();
        at["difference_umol_m2_s"] = plane.difference;
        at["rings"] = Json::array();
        for (const auto& ring : plane.rings) at["rings"].push_back(ratioJson(ring));
        at["peak"] = ratioJson(plane.peak);
        at["height_to_explain_mm"] = plane.explained_by ? Json(plane.explained_by->value()) : Json();
        planes.push_back(std::move(at));
    }
    Json changed = Json::array();
    for (const auto condition : changedThings(rows)) changed.push_back(wordOf(condition));
    Json out = {{"a", compared.judged[one].contender.name},
                {"b", compared.judged[other].contender.name},
                {"ratio_of", "b/a"},
                {"conditions", std::move(conditions)},
                {"comparable", comparable(rows)},
                {"changed", std::move(changed)},
                {"planes", std::move(planes)}};
    if (pair.speaks()) {
        out["all"] = ratioJson(pair.all);
        out["all"]["lo_with_heights"] = pair.lo_with_heights;
        out["all"]["hi_with_heights"] = pair.hi_with_heights;
    } else {
        out["all"] = nullptr;
        out["refused"] = english(pair.refused);
    }
    return out;
}

const char* basisWord(LightBasis basis) {
    return basis == LightBasis::Read ? "read" : basis == LightBasis::Modelled ? "modelled" : "charted";
}

Json rankJson(const Judged& judged, const RankRow& row) {
    Json criteria = Json::object();
    Json missing = Json::object();
    for (const auto& figure : row.figures) {
        const char* name = wordOf(figure.criterion);
        if (figure.there)
            criteria[name] = {{"value", figure.value},
                              {"lo", figure.lo},
                              {"hi", figure.hi},
                              {"unit", english(infoOf(figure.criterion).unit)},
                              {"tie_with_best", figure.tied},
                              {"assumed", figure.assumed}};
        else
            missing[name] = english(figure.missing);
    }
    const auto rank = [&](int value) { return row.rank == 0 ? Json() : Json(value); };
    return {{"configuration", judged.contender.name},
            {"height_mm", judged.contender.height.value()},
            {"basis", basisWord(judged.contender.basis)},
            {"criteria", std::move(criteria)},
            {"missing", std::move(missing)},
            {"level_pct", 100.0 * judged.level},
            {"count", judged.counted ? Json(*judged.counted) : Json()},
            {"rank", rank(row.rank)},
            {"rank_lo", rank(row.rank_lo)},
            {"rank_hi", rank(row.rank_hi)},
            {"unranked", english(row.unranked)}};
}

Json schoolsJson(const std::vector<SchoolOrder>& orders) {
    Json out = Json::array();
    for (const auto& order : orders) {
        Json heights = Json::array();
        for (const auto height : order.heights) heights.push_back(height.value());
        out.push_back({{"school", english(order.school)},
                       {"order", order.names},
                       {"heights_mm", std::move(heights)},
                       {"changes", order.changes()},
                       {"why", english(order.why)}});
    }
    return out;
}

std::string boardText(const std::vector<Judged>& judged, const RankBoard& board) {
    const auto answer = compareAnswer(judged, board);
    std::string text = english(answer.title) + "\n" + english(answer.body) + "\n";
    for (const auto at : board.order) {
        const auto& row = board.rows[at];
        text += fmt::format("{:>3}  {}{}\n", row.rank, judged[at].contender.name,
                            row.rank_lo == row.rank_hi
                                ? std::string()
                                : fmt::format(" (between {} and {})", row.rank_lo, row.rank_hi));
    }
    for (std::size_t i = 0; i < judged.size(); ++i)
        if (!board.rows[i].unranked.empty())
            text += fmt::format("  -  {}: {}\n", judged[i].contender.name, english(board.rows[i].unranked));
    return text;
}

}  // namespace

Expected<Output> compare(const CompareQuestion& question) {
    const auto project = Project::look(path(question.project));
    if (!project) return tl::make_unexpected(project.error());
    const auto& bench = (*project)->bench();
    const auto height = heightFrom(question.at, bench.method);
    if (!height) return tl::make_unexpected(height.error());
    const auto tank = tankFrom(bench, question.tank);
    if (!tank) return tl::make_unexpected(tank.error());
    KeptFits fits([&](const Sweep& sweep) { return fitAsDescribed(bench, sweep); });
    glumet::CompareQuestion asked;
    asked.place = {*tank, *height};
    asked.all_figures = *tank != 0;
    const FitOf fit_of = fits.asked();
    // The bench is the project's, which outlives the comparison.
    const auto compared =
        compareAll(std::shared_ptr<const Bench>(&bench, [](const Bench*) {}), fit_of, asked);
    if (compared.judged.size() < 2)
        return problem(
            question.project,
            say(GLUMET_SAY("Core", "holds fewer than two configurations with readings to compare")));
    const auto& judged = compared.judged;
    const auto& board = compared.board;
    Json pairs = Json::array();
    for (std::size_t a = 0; a < judged.size(); ++a)
        for (std::size_t b = a + 1; b < judged.size(); ++b) pairs.push_back(pairJson(compared, a, b));
    Json ranks = Json::array();
    for (std::size_t i = 0; i < judged.size(); ++i) ranks.push_back(rankJson(judged[i], board.rows[i]));
    const Json json = {
        {"pairs", std::move(pairs)},
        {"ranks", std::move(ranks)},
        {"answer", english(compared.answer().title)},
        {"first_holds", board.first_holds},
        {"order_holds", board.order_holds},
        {"first_holds_weights", board.first_holds_weights},
        {"order_holds_weights", board.order_holds_weights},
        {"schools", schoolsJson(schoolOrders(bench, compared.sweeps, compared.place, fit_of))}};
    return Output{jsonText(json, 2), boardText(judged, board)};
}

}  // namespace glumet::cli
