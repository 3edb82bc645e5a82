#include "desk/array/array_verdicts.h"

namespace glumet {

GLUMET_VALUE_COMPILED(ArrayOrder);
GLUMET_VALUE_COMPILED(ArrayVerdicts);
namespace {

constexpr int kMostFixtures = 6;

/// Where the first school that speaks hangs them, else equal division.
std::vector<double> places(const ArrayOrder& order, const SpacingAnswer& answer) {
    for (const auto& school : answer.schools)
        if (school.speaks()) return school.centres_mm;
    return equallyHung(order.model, order.question);
}

std::optional<LitPoints> litBy(const LightModel& model, const ArrayQuestion& question,
                               const std::vector<double>& centres, const Goal& goal) {
    auto scene = hung(model, question, centres);
    if (!scene) return std::nullopt;
    FastField field(std::move(*scene));
    return litPoints(field, question, goal);
}

std::optional<SharedLevel> sharedBy(const ArrayOrder& order, const std::vector<double>& centres) {
    if (!order.second) return std::nullopt;
    const std::vector<Goal> goals{order.question.goal, *order.second};
    std::vector<LitPoints> points;
    for (const auto& goal : goals)
        if (auto lit = litBy(order.model, order.question, centres, goal)) points.push_back(std::move(*lit));
    if (points.size() != goals.size()) return std::nullopt;
    return sharedLevel(goals, points);
}

std::optional<ChannelMix> mixBy(const ArrayOrder& order, const std::vector<double>& centres) {
    if (order.channel_models.empty()) return std::nullopt;
    // What hangs beside the row is not part of the mix.
    auto question = order.question;
    question.companions.clear();
    std::vector<LitPoints> points;
    for (const auto& model : order.channel_models) {
        auto lit = litBy(model, question, centres, question.goal);
        if (!lit) return std::nullopt;
        points.push_back(std::move(*lit));
    }
    return channelMix(order.channels, points, question.goal, order.channel_bands);
}

Expected<ArrayVerdicts> judgedAnew(const ArrayOrder& order, const Asked& asked) {
    // Spacing, goals and channels, measured arrays, numbers.
    const auto done = [&](int parts) { asked.progress(parts / 4.0); };
    auto question = order.question;
    question.stop = asked.stop;
    auto answer = spacing(order.model, question);
    if (!answer) return tl::make_unexpected(answer.error());
    ArrayVerdicts out;
    done(1);
    const auto centres = places(order, *answer);
    out.spacing = std::move(*answer);
    out.shared = sharedBy(order, centres);
    out.mix = mixBy(order, centres);
    done(2);
    for (const auto run : order.measured_runs)
        if (!asked.stop.stop_requested())
            out.measured.push_back({run, arrayAgreement(order.fit, order.bench, run)});
    done(3);
    // The numbers are only compared: each symmetric, however the chosen one may move.
    question.symmetric = true;
    if (auto rows = counts(order.model, question, order.goal_share, kMostFixtures))
        out.counts = std::move(*rows);
    if (asked.stop.stop_requested()) return problem("", say(GLUMET_SAY("Core", "cancelled")));
    return out;
}

}  // namespace

RememberedAnswers<ArrayOrder, ArrayVerdicts>& rememberedArrays() {
    static RememberedAnswers<ArrayOrder, ArrayVerdicts> remembered;
    return remembered;
}

Expected<ArrayVerdicts> judgeArray(const ArrayOrder& order, const Asked& asked) {
    if (auto known = rememberedArrays().find(order)) return *known;
    auto made = judgedAnew(order, asked);
    if (made && readingCount(order.bench) <= kMostRememberedReadings) rememberedArrays().keep(order, *made);
    return made;
}

}  // namespace glumet
