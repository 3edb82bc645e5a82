#include "core/verdicts/goal_level.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "core/bench/fixture.h"
#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr double kPlateau = 0.02;
constexpr double kSame = 1e-12;
constexpr int kLevels = 101;  // 0 … 100 %
constexpr std::array kPointShares{0.27, 0.54, 0.8};
constexpr int kSlices = 8;

using Shares = std::array<double, kLevels>;

double shareAt(const std::vector<double>& values, const Band& band, double factor) {
    if (values.empty()) return 0.0;
    const auto inside = std::count_if(values.begin(), values.end(),
                                      [&](double v) { return band.contains(Ppfd(v * factor)); });
    return static_cast<double>(inside) / static_cast<double>(values.size());
}

/// Levels around this one, without a gap, of which `good` holds.
template <class Good>
std::pair<int, int> around(int level, Good good) {
    int low = level;
    int high = level;
    while (low > 1 && good(low - 1)) --low;
    while (high + 1 < kLevels && good(high + 1)) ++high;
    return {low, high};
}

/// The middle of the best, and which of its neighbours are about as good; levels with a negative share are
/// out of the question. Equal shares may lie apart: the widest stretch of them is taken, it forgives most.
BestLevel bestOf(const Shares& shares) {
    BestLevel best;
    best.share = *std::max_element(shares.begin() + 1, shares.end());
    const auto within = [&](double slack) {
        return
            [&, slack](int level) { return shares[static_cast<std::size_t>(level)] >= best.share - slack; };
    };
    const auto top = within(kSame);
    std::pair widest{0, -1};
    for (int level = 1; level < kLevels; ++level) {
        if (!top(level)) continue;
        const auto stretch = around(level, top);
        if (stretch.second - stretch.first > widest.second - widest.first) widest = stretch;
        level = stretch.second;
    }
    const int middle = static_cast<int>(std::lround(0.5 * (widest.first + widest.second)));
    const auto [low, high] = around(middle, within(kPlateau));
    best.level_pct = middle;
    best.plateau_low_pct = low;
    best.plateau_high_pct = high;
    return best;
}

double largest(const std::vector<double>& values) {
    return values.empty() ? 0.0 : *std::max_element(values.begin(), values.end());
}
double least(const std::vector<double>& values) {
    return values.empty() ? 0.0 : *std::min_element(values.begin(), values.end());
}

Words kept(const GoalLevel& out, const Goal& goal) {
    Words words;
    if (goal.ceiling)
        words += out.ceiling_holds ? say(GLUMET_SAY("Core", "The peak of {} stays under {}."), Ppfd(out.peak),
                                         *goal.ceiling)
                                   : say(GLUMET_SAY("Core", "The peak of {} breaks the ceiling of {}."),
                                         Ppfd(out.peak), *goal.ceiling);
    if (goal.floor)
        words += out.floor_holds ? say(GLUMET_SAY("Core", "The bottom gets {} or more."), Ppfd(out.least_low))
                                 : say(GLUMET_SAY("Core", "The bottom gets {} where {} is asked."),
                                       Ppfd(out.least_low), *goal.floor);
    return words;
}

Words reasonFor(const GoalLevel& out, const Goal& goal) {
    if (out.best.share <= 0.0)
        return say(GLUMET_SAY("Core", "No level up to 100 % brings any point into the band."));
    Words words =
        say(GLUMET_SAY("Core", "{} % puts {} of the points into {}; 5 % less leaves {}, 5 % more {}."),
            Figure{out.best.level_pct, 0}, Share{out.best.share}, PpfdSpan{goal.band.low, goal.band.high},
            Share{out.five_less}, Share{out.five_more});
    words += say(GLUMET_SAY("Core", "Anything from {} to {} % does about as well."),
                 Figure{out.best.plateau_low_pct, 0}, Figure{out.best.plateau_high_pct, 0});
    words += kept(out, goal);
    return words;
}

}  // namespace

std::array<double, kLevels> sharesByLevel(const std::vector<double>& values, const Band& band) {
    Shares shares{};
    for (int level = 0; level < kLevels; ++level)
        shares[static_cast<std::size_t>(level)] = shareAt(values, band, level / 100.0);
    return shares;
}

BestLevel bestLevel(const std::vector<double>& values, const Band& band) {
    return bestOf(sharesByLevel(values, band));
}

std::vector<Millimetre> judgedDepths(const Goal& goal, Millimetre water_depth, Over over) {
    const Millimetre from = goal.zoned() ? std::min(goal.zone_from, water_depth) : Millimetre(0);
    const Millimetre height = floorDepth(goal, water_depth) - from;
    std::vector<Millimetre> depths;
    if (over == Over::Points)
        for (const double share : kPointShares) depths.push_back(from + height * share);
    else
        for (int i = 0; i < kSlices; ++i) depths.push_back(from + height * ((i + 0.5) / kSlices));
    return depths;
}

Millimetre floorDepth(const Goal& goal, Millimetre water_depth) {
    return goal.zoned() ? std::min(goal.zone_to, water_depth) : water_depth;
}

GoalLevel goalLevel(const LitPoints& points, const Goal& goal) {
    GoalLevel out;
    out.asked = goal;
    out.used = points.values.size();
    const double peak = largest(points.values);
    const double low = least(points.lowest);
    const auto keepsCeiling = [&](double level) {
        return !goal.ceiling || peak * level / 100.0 <= goal.ceiling->value() + 1e-9;
    };
    const auto keepsFloor = [&](double level) {
        return !goal.floor || points.lowest.empty() || low * level / 100.0 >= goal.floor->value() - 1e-9;
    };
    const auto shares = sharesByLevel(points.values, goal.band);
    Shares kept_shares = shares;
    bool any = false;
    for (int level = 1; level < kLevels; ++level) {
        auto& share = kept_shares[static_cast<std::size_t>(level)];
        if (!keepsCeiling(level) || !keepsFloor(level)) share = -1.0;
        any |= share > 0.0;
    }
    out.best = bestOf(any ? kept_shares : shares);
    const double level = out.best.level_pct;
    out.five_less = shares[static_cast<std::size_t>(std::max(0.0, level - 5.0))];
    out.five_more = shares[static_cast<std::size_t>(std::min(100.0, level + 5.0))];
    out.peak = peak * level / 100.0;
    out.least_low = low * level / 100.0;
    out.ceiling_holds = keepsCeiling(level);
    out.floor_holds = keepsFloor(level);
    out.reason = reasonFor(out, goal);
    return out;
}

namespace {

/// Searches the levels of channels, in whole per cent.
class MixSearch {
  public:
    /// `own`: each channel's own band; nothing: none.
    MixSearch(const std::vector<LitPoints>& channels, const Goal& goal, std::vector<std::optional<Band>> own)
        : channels_(channels), goal_(goal), own_(std::move(own)) {}

    static constexpr double kBroken = 2.0;
    static constexpr std::size_t kMostOnLattice = 5;

    /// Share in the band, less kBroken where ceiling or floor is not kept.
    double rankOf(const std::vector<double>& levels) const {
        std::vector<double> sum(channels_.front().values.size(), 0.0);
        std::vector<double> bottom(channels_.front().lowest.size(), 0.0);
        for (std::size_t c = 0; c < channels_.size(); ++c) {
            for (std::size_t i = 0; i < sum.size(); ++i) sum[i] += channels_[c].values[i] * levels[c] / 100.0;
            for (std::size_t i = 0; i < bottom.size(); ++i)
                bottom[i] += channels_[c].lowest[i] * levels[c] / 100.0;
        }
        const bool broken = (goal_.ceiling && largest(sum) > goal_.ceiling->value()) ||
                            (goal_.floor && !bottom.empty() && least(bottom) < goal_.floor->value());
        // What breaks a limit is worse than anything that keeps it, but still ranked.
        return shareOf(sum, levels) - (broken ? kBroken : 0.0);
    }

    /// Each channel in turn at its best of all levels, until none helps.
    std::vector<double> climb(std::vector<double> levels) const {
        double best = rankOf(levels);
        for (bool better = true; better;) {
            better = false;
            for (auto& level : levels) {
                double kept = level;
                for (int tried = 0; tried < kLevels; ++tried) {
                    level = tried;
                    const double rank = rankOf(levels);
                    if (rank <= best + kSame) continue;
                    best = rank;
                    kept = level;
                    better = true;
                }
                level = kept;
            }
        }
        return levels;
    }

    /// The best of a coarse lattice, from which the climb starts: shares have flats on which it would stand.
    std::vector<double> coarse() const {
        std::vector<double> levels(channels_.size(), 0.0);
        auto winner = levels;
        double best = rankOf(levels);
        const double step = channels_.size() <= 3 ? 10.0 : 25.0;
        while (advance(levels, step)) {
            const double rank = rankOf(levels);
            if (rank <= best + kSame) continue;
            best = rank;
            winner = levels;
        }
        return winner;
    }

    /// The level that serves best when all have it.
    double bestEqual() const {
        double best = 1.0;
        for (int level = 2; level < kLevels; ++level)
            if (rankOf(std::vector<double>(channels_.size(), level)) >
                rankOf(std::vector<double>(channels_.size(), best)) + kSame)
                best = level;
        return best;
    }

    std::vector<double> best() const {
        auto winner = climb(std::vector<double>(channels_.size(), bestEqual()));
        if (channels_.size() > kMostOnLattice) return winner;
        auto other = climb(coarse());
        return rankOf(other) > rankOf(winner) + kSame ? other : winner;
    }

    /// Levels of one channel that do about as well, the others left as they are.
    std::pair<int, int> about(std::vector<double> levels, std::size_t channel) const {
        const double least = rankOf(levels) - kPlateau;
        return around(static_cast<int>(levels[channel]), [&](int level) {
            levels[channel] = level;
            return rankOf(levels) >= least;
        });
    }

  private:
    /// Of the points whose sum and whose channels with a band of their own are within theirs.
    double shareOf(const std::vector<double>& sum, const std::vector<double>& levels) const {
        if (std::none_of(own_.begin(), own_.end(), [](const auto& band) { return band.has_value(); }))
            return shareAt(sum, goal_.band, 1.0);
        std::size_t inside = 0;
        for (std::size_t i = 0; i < sum.size(); ++i) {
            bool good = within(sum[i], goal_.band);
            for (std::size_t c = 0; good && c < channels_.size(); ++c)
                good = !own_[c] || within(channels_[c].values[i] * levels[c] / 100.0, *own_[c]);
            inside += good ? 1 : 0;
        }
        return sum.empty() ? 0.0 : static_cast<double>(inside) / static_cast<double>(sum.size());
    }
    static bool within(double ppfd, const Band& band) {
        return ppfd >= band.low.value() && ppfd <= band.high.value();
    }

    /// The next point of the lattice; false after the last.
    static bool advance(std::vector<double>& levels, double step) {
        for (auto& level : levels) {
            level += step;
            if (level <= 100.0) return true;
            level = 0.0;
        }
        return false;
    }

    const std::vector<LitPoints>& channels_;
    const Goal& goal_;
    std::vector<std::optional<Band>> own_;
};

}  // namespace

ChannelMix channelMix(const std::vector<std::string>& names, const std::vector<LitPoints>& channels,
                      const Goal& goal, const std::vector<ChannelBand>& own) {
    ChannelMix out;
    out.asked = goal;
    out.names = names;
    if (channels.empty()) {
        out.reason = say(GLUMET_SAY("Core", "No channel has been read by itself."));
        return out;
    }
    out.used = channels.front().values.size();
    std::vector<std::optional<Band>> bands(channels.size());
    for (std::size_t c = 0; c < names.size() && c < bands.size(); ++c)
        for (const auto& wanted : own)
            if (sameName(wanted.channel, names[c])) bands[c] = wanted.band;
    const bool any_own =
        std::any_of(bands.begin(), bands.end(), [](const auto& band) { return band.has_value(); });
    const MixSearch search(channels, goal, std::move(bands));
    out.level_pct = search.best();
    for (std::size_t c = 0; c < channels.size(); ++c) {
        const auto [low, high] = search.about(out.level_pct, c);
        out.low_pct.push_back(low);
        out.high_pct.push_back(high);
    }
    const double rank = search.rankOf(out.level_pct);
    const bool broken = rank < 0.0;
    out.share = broken ? rank + MixSearch::kBroken : rank;
    out.equal_share = std::max(0.0, search.rankOf(std::vector<double>(channels.size(), search.bestEqual())));
    Listed levels;
    for (std::size_t c = 0; c < channels.size(); ++c)
        levels.items.emplace_back(
            out.low_pct[c] < out.high_pct[c]
                ? say(GLUMET_SAY("Core", "{} at {} % ({} to {})"), names[c], Figure{out.level_pct[c], 0},
                      Figure{out.low_pct[c], 0}, Figure{out.high_pct[c], 0})
                : say(GLUMET_SAY("Core", "{} at {} %"), names[c], Figure{out.level_pct[c], 0}));
    out.reason =
        out.share <= 0.0
            ? say(GLUMET_SAY("Core", "No mix of the channels brings any point into the band."))
            : say(GLUMET_SAY("Core", "{}: {} of the points in the band; all equally dimmed reach {}."),
                  std::move(levels), Share{out.share}, Share{out.equal_share});
    if (broken) out.reason += say(GLUMET_SAY("Core", "No mix keeps ceiling and floor."));
    if (any_own)
        out.reason += say(GLUMET_SAY("Core", "A point counts where each channel keeps its own band too."));
    return out;
}

VerdictStatus SharedLevel::status() const {
    if (parts.empty()) return VerdictStatus::Failed;
    auto worst = VerdictStatus::Ready;
    for (const auto& part : parts) worst = std::max(worst, statusOf(part.used, part.share));
    return worst;
}

SharedLevel sharedLevel(const std::vector<Goal>& goals, const std::vector<LitPoints>& points) {
    std::vector<Shares> shares;
    for (std::size_t g = 0; g < goals.size(); ++g)
        shares.push_back(sharesByLevel(points[g].values, goals[g].band));
    const auto leastAt = [&](int level) {
        double least = 1.0;
        for (const auto& of_goal : shares) least = std::min(least, of_goal[static_cast<std::size_t>(level)]);
        return least;
    };
    // The least served decides; the sum breaks ties.
    const auto worthOf = [&](int level) {
        double sum = 0.0;
        for (const auto& of_goal : shares) sum += of_goal[static_cast<std::size_t>(level)];
        return leastAt(level) + 1e-3 * sum;
    };
    SharedLevel out;
    double best = -1.0;
    for (int level = 1; level < kLevels; ++level) {
        const double worth = worthOf(level);
        if (worth <= best + kSame) continue;
        best = worth;
        out.level_pct = level;
    }
    const auto first = static_cast<int>(out.level_pct);
    const auto same = around(first, [&](int level) { return worthOf(level) >= best - kSame; });
    const auto chosen = static_cast<int>(std::lround(0.5 * (same.first + same.second)));
    out.level_pct = chosen;
    const auto [low, high] =
        around(chosen, [&](int level) { return leastAt(level) >= leastAt(chosen) - kPlateau; });
    out.low_pct = low;
    out.high_pct = high;
    Listed parts;
    for (std::size_t g = 0; g < goals.size(); ++g) {
        const auto alone = bestOf(shares[g]);
        const double share = shares[g][static_cast<std::size_t>(chosen)];
        out.parts.push_back({goals[g], points[g].values.size(), share, alone.share, alone.level_pct});
        parts.items.emplace_back(say(GLUMET_SAY("Core", "{} gets {} ({} at {} % for itself)"), goals[g].name,
                                     Share{share}, Share{alone.share}, Figure{alone.level_pct, 0}));
    }
    out.reason = say(GLUMET_SAY("Core", "At {} %: {}."), Figure{out.level_pct, 0}, std::move(parts));
    if (low < high)
        out.reason += say(GLUMET_SAY("Core", "Anything from {} to {} % does about as well."),
                          Figure{out.low_pct, 0}, Figure{out.high_pct, 0});
    return out;
}

}  // namespace glumet
