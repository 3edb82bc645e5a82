#include "core/compare/compare_findings.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kSwingChange = 0.1;
constexpr double kDepthChange = 0.04;
constexpr int kMostNamed = 4;

Finding saying(FindingKind kind, Words title, Words body) {
    return finding(kind, std::move(title), std::move(body), EvidenceView::None);
}

SignedShare change(double ratio) { return {ratio - 1.0}; }

/// What one is ahead of the other in, of what counts and is no tie: where it weighs most.
std::optional<Criterion> aheadIn(const RankBoard& board, std::size_t one, std::size_t other) {
    std::optional<Criterion> best;
    double most = 0.0;
    for (std::size_t k = 0; k < board.criteria.size(); ++k) {
        const auto* a = board.figure(one, board.criteria[k]);
        const auto* b = board.figure(other, board.criteria[k]);
        if (a == nullptr || b == nullptr || board.weights[k] <= 0.0) continue;
        const auto& info = infoOf(board.criteria[k]);
        const bool better = info.more_is_better ? a->lo > b->hi : a->hi < b->lo;
        const double by = info.decibel
                              ? std::abs(a->value - b->value) * std::log(2.0) / 10.0
                              : std::abs(std::log(std::max(a->value, 1e-9) / std::max(b->value, 1e-9)));
        if (better && board.weights[k] * by > most) {
            most = board.weights[k] * by;
            best = board.criteria[k];
        }
    }
    return best;
}

Words titleOf(const std::vector<Judged>& judged, const RankBoard& board) {
    const auto& first = judged[board.order[0]].contender.name;
    if (board.order.size() == 1) return say(GLUMET_SAY("Core", "Only {} can be ranked"), first);
    const auto& second = judged[board.order[1]].contender.name;
    const auto ahead = aheadIn(board, board.order[0], board.order[1]);
    const auto behind = aheadIn(board, board.order[1], board.order[0]);
    if (!ahead && !behind) return say(GLUMET_SAY("Core", "A tie at the top: {} and {}"), first, second);
    if (ahead && behind)
        return say(GLUMET_SAY("Core", "{} {}, {} {}"), first, infoOf(*ahead).better, second,
                   infoOf(*behind).better);
    if (ahead)
        return say(GLUMET_SAY("Core", "{} {} than {}, and loses nowhere"), first, infoOf(*ahead).better,
                   second);
    return say(GLUMET_SAY("Core", "{} {} than {}, which leads by many small things"), second,
               infoOf(*behind).better, first);
}

int hundredths(double share) { return static_cast<int>(std::floor(100.0 * share + 1e-9)); }

void sayPair(std::vector<Finding>& out, const LookedAtPair& pair) {
    const auto& a = pair.a->name;
    const auto& b = pair.b->name;
    const auto& paired = *pair.paired;
    if (!paired.speaks()) {
        out.push_back(saying(FindingKind::Doubt, say(GLUMET_SAY("Core", "{} and {} cannot be paired"), a, b),
                             paired.refused));
        return;
    }
    const auto& all = paired.all;
    const Words title =
        all.tie
            ? Words(say(GLUMET_SAY("Core", "A tie in light")))
            : Words(all.value > 1.0 ? say(GLUMET_SAY("Core", "{} gives {} more"), b, Share{all.value - 1.0})
                                    : say(GLUMET_SAY("Core", "{} gives {} less"), b, Share{1.0 - all.value}));
    Words body = pairWords(paired, b, a);
    const auto& shallow = paired.planes.front();
    const auto& deep = paired.planes.back();
    if (paired.planes.size() > 1 && std::abs(deep.mean.value - shallow.mean.value) > kDepthChange)
        body += say(GLUMET_SAY("Core", "{} at {}, {} at {}."), change(shallow.mean.value), shallow.depth,
                    change(deep.mean.value), deep.depth);
    if (paired.resampled) body += say(GLUMET_SAY("Core", "Modelled: a fit stands for one of them."));
    out.push_back(saying(FindingKind::Fact, title, std::move(body)));
    if (!shallow.peak.tie)
        out.push_back(
            saying(FindingKind::Fact,
                   shallow.peak.value > 1.0
                       ? say(GLUMET_SAY("Core", "Its peak is {} higher"), Share{shallow.peak.value - 1.0})
                       : say(GLUMET_SAY("Core", "{} comes off the peak"), Share{1.0 - shallow.peak.value}),
                   say(GLUMET_SAY("Core", "Least over mean: {} against {}, {} under water."),
                       Share{shallow.spread_b}, Share{shallow.spread_a}, shallow.depth)));
    if (shallow.swing_a > 0.0 && shallow.swing_b > 0.0 &&
        std::abs(shallow.swing_b / shallow.swing_a - 1.0) > kSwingChange)
        out.push_back(
            saying(FindingKind::Fact,
                   say(GLUMET_SAY("Core", "Readings swing by {}"), change(shallow.swing_b / shallow.swing_a)),
                   say(GLUMET_SAY("Core", "From least to greatest sample {} of the mean, against {}."),
                       Share{shallow.swing_b}, Share{shallow.swing_a})));
    if (paired.heightsCouldExplain() && shallow.explained_by)
        out.push_back(saying(
            FindingKind::Doubt,
            say(GLUMET_SAY("Core", "{} of height would explain it"), *shallow.explained_by),
            say(GLUMET_SAY("Core",
                           "With both heights' setting error the ratio is {} to {}: check both heights "
                           "before it is called a difference."),
                change(paired.lo_with_heights), change(paired.hi_with_heights))));
}

void sayConditions(std::vector<Finding>& out, const LookedAtPair& pair) {
    const auto changed = changedThings(*pair.conditions);
    if (changed.size() > 1) {
        Listed names;
        for (const auto condition : changed) names.items.push_back(conditionName(condition));
        out.push_back(
            saying(FindingKind::Doubt,
                   sayCounted(GLUMET_SAY_N("Core", "{} things differ at once"), countOf(changed.size())),
                   say(GLUMET_SAY("Core",
                                  "{}: which of them makes the difference, this pair cannot "
                                  "tell. Change one thing."),
                       std::move(names))));
    }
    for (const auto& row : *pair.conditions)
        if (row.state == ConditionState::NotComparable)
            out.push_back(saying(FindingKind::Doubt,
                                 say(GLUMET_SAY("Core", "Not comparable: {}"), conditionName(row.condition)),
                                 row.remedy));
}

void sayUnranked(std::vector<Finding>& out, const std::vector<Judged>& judged, const RankBoard& board) {
    int left_out = 0;
    for (std::size_t c = 0; c < judged.size(); ++c)
        if (!board.rows[c].unranked.empty() && ++left_out <= kMostNamed)
            out.push_back(saying(FindingKind::Doubt,
                                 say(GLUMET_SAY("Core", "{} is not ranked"), judged[c].contender.name),
                                 board.rows[c].unranked));
    if (left_out > kMostNamed)
        out.push_back(
            saying(FindingKind::Doubt,
                   sayCounted(GLUMET_SAY_N("Core", "{} more are not ranked"), Count{left_out - kMostNamed}),
                   say(GLUMET_SAY("Core", "The table that is copied says why."))));
}

}  // namespace

CompareAnswer compareAnswer(const std::vector<Judged>& judged, const RankBoard& board) {
    CompareAnswer out;
    if (board.order.empty()) {
        out.title = say(GLUMET_SAY("Core", "Nothing can be ranked yet"));
        out.body = say(GLUMET_SAY("Core", "Two configurations read in one tank make a comparison."));
        return out;
    }
    out.title = titleOf(judged, board);
    const auto& first = judged[board.order[0]].contender;
    out.body = first.own_height ? say(GLUMET_SAY("Core", "Each at its own height."))
                                : say(GLUMET_SAY("Core", "All at {}."), first.height);
    if (board.order.size() > 1)
        out.body += say(GLUMET_SAY("Core",
                                   "The first place holds in {} of 100 re-readings, and in {} of 100 "
                                   "as weights move; the whole order in {} and {}."),
                        Count{hundredths(board.first_holds)}, Count{hundredths(board.first_holds_weights)},
                        Count{hundredths(board.order_holds)}, Count{hundredths(board.order_holds_weights)});
    return out;
}

std::vector<Finding> compareFindings(const std::vector<Judged>& judged, const RankBoard& board,
                                     const LookedAtPair& pair, const std::vector<Ageing>& ageings) {
    std::vector<Finding> out;
    if (pair.paired != nullptr) {
        sayPair(out, pair);
        sayConditions(out, pair);
    }
    sayUnranked(out, judged, board);
    for (const auto& ageing : ageings)
        out.push_back(saying(
            FindingKind::Fact,
            say(GLUMET_SAY("Core", "Maintenance factor {}"), Figure{ageing.points.back().output.value, 2}),
            ageing.reason));
    return out;
}

Words pairWords(const Paired& paired, const std::string& b, const std::string& a) {
    const auto& all = paired.all;
    if (all.tie)
        return say(
            GLUMET_SAY("Core",
                       "{} and {} are a tie in light: between {} and {}, over all points that both have."),
            b, a, change(all.lo), change(all.hi));
    return all.value > 1.0
               ? say(GLUMET_SAY(
                         "Core",
                         "{} gives {} more than {}: between {} and {}, over all points that both have."),
                     b, Share{all.value - 1.0}, a, change(all.lo), change(all.hi))
               : say(GLUMET_SAY(
                         "Core",
                         "{} gives {} less than {}: between {} and {}, over all points that both have."),
                     b, Share{1.0 - all.value}, a, change(all.lo), change(all.hi));
}

}  // namespace glumet
