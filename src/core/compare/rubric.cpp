#include "core/compare/rubric.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace glumet {
namespace {

constexpr int kFewestItems = 5;
constexpr int kFarApart = 2;
constexpr std::size_t kScores = kMostScore - kLeastScore + 1;

/// In the order of RubricCriterion: name, then what 1, 3 and 5 mean.
constexpr std::array<std::array<const char*, 4>, kRubricCriteria.size()> kAnchors{{
    {GLUMET_SAY("Core", "looks"), GLUMET_SAY("Core", "colours look washed out or of one tint, flat"),
     GLUMET_SAY("Core", "colours are true, little depth"),
     GLUMET_SAY("Core", "colours stand out against each other, with contrast and depth")},
    {GLUMET_SAY("Core", "shimmer"), GLUMET_SAY("Core", "flat, or so harsh that one looks away"),
     GLUMET_SAY("Core", "some ripple, or a little too much"),
     GLUMET_SAY("Core", "lively lines that move gently")},
    {GLUMET_SAY("Core", "colour flashes"), GLUMET_SAY("Core", "coloured specks wherever one looks"),
     GLUMET_SAY("Core", "specks when one looks for them"), GLUMET_SAY("Core", "none seen")},
    {GLUMET_SAY("Core", "dimming"), GLUMET_SAY("Core", "steps or flickers, does not go below a tenth"),
     GLUMET_SAY("Core", "smooth, but jumps on and off at its low end"),
     GLUMET_SAY("Core", "smooth from full to nothing, no flicker")},
    {GLUMET_SAY("Core", "night light"), GLUMET_SAY("Core", "none, or too bright for a night"),
     GLUMET_SAY("Core", "one level, one colour"), GLUMET_SAY("Core", "faint, even and adjustable")},
    {GLUMET_SAY("Core", "noise"), GLUMET_SAY("Core", "heard across the room"),
     GLUMET_SAY("Core", "heard beside the tank"), GLUMET_SAY("Core", "not heard")},
    {GLUMET_SAY("Core", "build"), GLUMET_SAY("Core", "flexes, gaps, splash gets in"),
     GLUMET_SAY("Core", "sound, some rough edges"), GLUMET_SAY("Core", "tight, protected, can be repaired")},
    {GLUMET_SAY("Core", "mounting"), GLUMET_SAY("Core", "no safe way to hang it comes with it"),
     GLUMET_SAY("Core", "one way, height set by trial"),
     GLUMET_SAY("Core", "several ways, height set finely, a second tether")},
    {GLUMET_SAY("Core", "control"), GLUMET_SAY("Core", "on and off, or settings get lost"),
     GLUMET_SAY("Core", "levels and times, needs its own box or account"),
     GLUMET_SAY("Core", "levels, ramps and presets that last, works by itself and with others' controllers")},
    {GLUMET_SAY("Core", "in the box"), GLUMET_SAY("Core", "must be bought besides: mount, control or supply"),
     GLUMET_SAY("Core", "complete but for a mount"), GLUMET_SAY("Core", "complete, ready to hang")},
}};

/// Score pairs of what both reviewers scored, by their steps.
using Pairs = std::array<std::array<double, kScores>, kScores>;

std::size_t step(int score) { return static_cast<std::size_t>(score - kLeastScore); }

double weight(std::size_t i, std::size_t j) {
    const double apart = static_cast<double>(i) - static_cast<double>(j);
    return apart * apart;
}

std::optional<double> kappaOf(const Pairs& pairs, int both) {
    std::array<double, kScores> a{};
    std::array<double, kScores> b{};
    for (std::size_t i = 0; i < kScores; ++i)
        for (std::size_t j = 0; j < kScores; ++j) {
            a[i] += pairs[i][j];
            b[j] += pairs[i][j];
        }
    double observed = 0.0;
    double expected = 0.0;
    for (std::size_t i = 0; i < kScores; ++i)
        for (std::size_t j = 0; j < kScores; ++j) {
            observed += weight(i, j) * pairs[i][j];
            expected += weight(i, j) * a[i] * b[j] / both;
        }
    if (expected <= 0.0) return std::nullopt;
    return 1.0 - observed / expected;
}

}  // namespace

RubricAnchors anchorsOf(RubricCriterion criterion) {
    const auto& at = kAnchors[static_cast<std::size_t>(criterion)];
    return {say(at[0]), say(at[1]), say(at[2]), say(at[3])};
}

const Rating* ratingOf(const Bench& bench, Id fixture, Id accessory, RubricCriterion criterion,
                       const std::string& by) {
    const Rating* found = nullptr;
    for (const auto& rating : bench.ratings)
        if (rating.fixture == fixture && rating.accessory == accessory && rating.criterion == criterion &&
            rating.by == by)
            found = &rating;
    return found;
}

std::vector<std::string> reviewersOf(const Bench& bench) {
    std::vector<std::string> names;
    for (const auto& rating : bench.ratings)
        if (std::find(names.begin(), names.end(), rating.by) == names.end()) names.push_back(rating.by);
    return names;
}

RubricAgreement rubricAgreement(const Bench& bench, const std::string& a, const std::string& b) {
    RubricAgreement out;
    Pairs pairs{};
    for (const auto& first : bench.ratings) {
        if (first.by != a || ratingOf(bench, first.fixture, first.accessory, first.criterion, a) != &first)
            continue;
        const auto* second = ratingOf(bench, first.fixture, first.accessory, first.criterion, b);
        if (second == nullptr) continue;
        ++out.both;
        pairs[step(first.score)][step(second->score)] += 1.0;
        const int apart = std::abs(first.score - second->score);
        out.same += apart == 0 ? 1 : 0;
        out.far += apart >= kFarApart ? 1 : 0;
    }
    if (out.both >= kFewestItems) out.kappa = kappaOf(pairs, out.both);
    return out;
}

Words agreementWords(const RubricAgreement& agreement, const std::string& a, const std::string& b) {
    if (agreement.both == 0) return say(GLUMET_SAY("Core", "{} and {} have scored nothing in common."), a, b);
    Words out = say(GLUMET_SAY("Core", "{} and {} scored {} alike of {}, {} two steps or more apart."), a, b,
                    Count{agreement.same}, Count{agreement.both}, Count{agreement.far});
    if (agreement.kappa)
        out += say(GLUMET_SAY("Core", "Weighted kappa {}: 1 is full agreement, 0 is chance."),
                   Figure{*agreement.kappa, 2});
    else
        out += say(GLUMET_SAY("Core", "That is too little to tell agreement from chance."));
    return out;
}

}  // namespace glumet
