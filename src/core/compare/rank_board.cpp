#include "core/compare/rank_board.h"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <random>

#include "core/base/interval.h"
#include "core/base/parallel.h"
#include "core/verdicts/goal_level.h"

namespace glumet {
namespace {

constexpr double kWeightSpread = 0.35;
constexpr std::size_t kDrawn = 1U << 16U;

/// Normal numbers, drawn once and walked through from anywhere.
class Normals {
  public:
    explicit Normals(std::uint64_t seed) : values_(kDrawn) {
        std::mt19937_64 random(seed);
        std::normal_distribution<float> normal;
        for (auto& value : values_) value = normal(random);
    }
    float at(std::size_t i) const { return values_[i & (kDrawn - 1)]; }

    /// Where a contender's walk of one resample begins: far from its other walks.
    static std::size_t start(std::size_t contender, std::size_t resample) {
        std::uint64_t x = (contender + 1) * 0x9E3779B97F4A7C15ULL + resample * 0xBF58476D1CE4E5B9ULL;
        x ^= x >> 31U;
        x *= 0x94D049BB133111EBULL;
        return static_cast<std::size_t>(x >> 20U);
    }

  private:
    std::vector<float> values_;
};

/// Shares of values within a band at the best level, by values sorted into bins of one per cent.
class BandShare {
  public:
    BandShare(const Band& band, double greatest)
        : low_(std::log(std::max(band.low.value(), 1e-3))),
          high_(std::log(std::max(band.high.value(), 1e-3))),
          base_(std::min(low_, std::log(std::max(greatest, 1e-3))) - kBelow) {
        const double top = std::max(high_, std::log(std::max(greatest, 1e-3))) + kBelow + kLevels;
        counts_.assign(static_cast<std::size_t>((top - base_) / kBin) + 2, 0);
    }
    void clear() {
        std::fill(counts_.begin(), counts_.end(), 0);
        all_ = 0;
    }
    void add(float log_value) {
        ++all_;
        const auto bin = static_cast<std::ptrdiff_t>((log_value - base_) / kBin);
        if (bin >= 0 && bin < static_cast<std::ptrdiff_t>(counts_.size()))
            ++counts_[static_cast<std::size_t>(bin)];
    }
    /// Dimming to a level moves the band up: from full down to a hundredth.
    double best() const {
        const auto width = static_cast<std::size_t>(std::max(1.0, (high_ - low_) / kBin));
        const auto first = static_cast<std::size_t>((low_ - base_) / kBin);
        const auto last = std::min(first + static_cast<std::size_t>(kLevels / kBin), counts_.size() - width);
        int inside = 0;
        for (std::size_t i = first; i < first + width && i < counts_.size(); ++i) inside += counts_[i];
        int best = inside;
        for (std::size_t i = first; i < last; ++i) {
            inside += counts_[i + width] - counts_[i];
            best = std::max(best, inside);
        }
        return all_ == 0 ? 0.0 : static_cast<double>(best) / all_;
    }

  private:
    static constexpr double kBin = 0.01;
    static constexpr double kBelow = 0.5;
    static constexpr double kLevels = 4.6;  // ln 100
    double low_;
    double high_;
    double base_;
    std::vector<int> counts_;
    int all_ = 0;
};

/// What the planes of one reading give.
struct PlaneFigures {
    double evenness = 0.0;
    double peak = 0.0;
    double mean = 0.0;
    double share = 0.0;
};

constexpr std::array kByPlanes{Criterion::Evenness,    Criterion::Output,    Criterion::Efficacy,
                               Criterion::ShareInBand, Criterion::PeakRatio, Criterion::PricePerOutput};

bool byPlanes(Criterion criterion) {
    return std::find(kByPlanes.begin(), kByPlanes.end(), criterion) != kByPlanes.end();
}

/// A criterion's figure from the planes; nothing where what else it needs is missing.
std::optional<double> figureOf(const Judged& j, Criterion criterion, const PlaneFigures& planes) {
    const double output = planes.mean * j.area_m2;
    switch (criterion) {
        case Criterion::Evenness:
            return planes.evenness;
        case Criterion::PeakRatio:
            return planes.peak;
        case Criterion::ShareInBand:
            return planes.share;
        case Criterion::Output:
            return output;
        case Criterion::Efficacy:
            if (!j.contender.power || j.contender.power->value() <= 0.0) return std::nullopt;
            return output / j.contender.power->value();
        case Criterion::PricePerOutput:
            if (!j.price || output <= 0.0) return std::nullopt;
            return *j.price / output;
        default:
            return std::nullopt;
    }
}

/// One contender's planes, read again and again.
class Rereading {
  public:
    Rereading(const Judged& judged, std::size_t number, const RankQuestion& question, bool meters_differ)
        : judged_(judged),
          number_(number),
          meter_error_(meters_differ ? judged.contender.meter_error : 0.0),
          share_(question.band, greatest(judged.contender)) {
        for (const auto& plane : judged.contender.planes) {
            auto& possible = flat_.emplace_back();
            for (const auto& draw : plane.draws) possible.push_back(flatOf(draw));
            if (!possible.empty()) continue;
            std::vector<double> values;
            for (const auto& point : plane.points) values.push_back(point.ppfd);
            possible.push_back(flatOf(values));
        }
    }

    PlaneFigures again(const Normals& normals, std::size_t resample) {
        auto at = Normals::start(number_, resample);
        const double height = normals.at(at++) * judged_.contender.height_error_mm;
        const double meter = normals.at(at++) * meter_error_;
        PlaneFigures out;
        share_.clear();
        const auto& planes = judged_.contender.planes;
        for (std::size_t p = 0; p < planes.size(); ++p) {
            const bool drawn = !planes[p].draws.empty();
            const double common =
                normals.at(at++) * (drawn ? planes[p].drawn_error : planes[p].common_error) + meter +
                planes[p].height_slope * height;
            const auto& flat = flat_[p][resample % flat_[p].size()];
            add(out, flat, static_cast<float>(planes[p].point_error), static_cast<float>(common), normals,
                at);
            at += flat.values.size();
        }
        const auto count = static_cast<double>(planes.size());
        out.evenness /= count;
        out.peak /= count;
        out.mean /= count;
        out.share = share_.best();
        return out;
    }

  private:
    struct Flat {
        std::vector<float> values;
        std::vector<float> logs;
    };

    static Flat flatOf(const std::vector<double>& values) {
        Flat out;
        for (const double value : values) {
            out.values.push_back(static_cast<float>(value));
            out.logs.push_back(static_cast<float>(std::log(std::max(value, 1e-3))));
        }
        return out;
    }

    static double greatest(const Contender& contender) {
        double most = 0.0;
        for (const auto& plane : contender.planes)
            for (const auto& point : plane.points) most = std::max(most, point.ppfd);
        return most;
    }

    void add(PlaneFigures& out, const Flat& flat, float error, float common, const Normals& normals,
             std::size_t at) {
        float sum = 0.0F;
        float least = std::numeric_limits<float>::max();
        float most = 0.0F;
        for (std::size_t i = 0; i < flat.values.size(); ++i) {
            const float moved = common + error * normals.at(at + i);
            const float value = flat.values[i] * std::max(0.0F, 1.0F + moved);
            sum += value;
            least = std::min(least, value);
            most = std::max(most, value);
            share_.add(flat.logs[i] + moved);
        }
        const float mean = sum / static_cast<float>(flat.values.size());
        if (mean <= 0.0F) return;
        out.mean += static_cast<double>(mean);
        out.evenness += static_cast<double>(least / mean);
        out.peak += static_cast<double>(most / mean);
    }

    const Judged& judged_;
    std::size_t number_;
    double meter_error_;
    BandShare share_;
    std::vector<std::vector<Flat>> flat_;  // by plane: as read, or as each draw has it
};

/// As read, without moving anything: the share at the best whole level.
PlaneFigures asRead(const Judged& judged) {
    PlaneFigures out;
    const auto count = static_cast<double>(judged.contender.planes.size());
    for (const auto& plane : judged.contender.planes) {
        const double mean = plane.mean();
        const auto [least, most] = std::minmax_element(
            plane.points.begin(), plane.points.end(),
            [](const ComparedPoint& a, const ComparedPoint& b) { return a.ppfd < b.ppfd; });
        out.mean += mean / count;
        if (mean <= 0.0) continue;
        out.evenness += least->ppfd / mean / count;
        out.peak += most->ppfd / mean / count;
    }
    out.share = judged.share;
    return out;
}

double quantile(std::vector<double>& values, double q) {
    const auto at = static_cast<std::ptrdiff_t>(q * static_cast<double>(values.size() - 1));
    std::nth_element(values.begin(), values.begin() + at, values.end());
    return values[static_cast<std::size_t>(at)];
}

class Board {
  public:
    Board(const std::vector<Judged>& judged, const RankQuestion& question)
        : judged_(judged), question_(question) {
        for (const auto criterion : allCriteria()) {
            const bool shown =
                std::find(question.shown.begin(), question.shown.end(), criterion) != question.shown.end();
            if (weightOf(question.weights, criterion) > 0.0 || shown) out_.criteria.push_back(criterion);
        }
        out_.rows.resize(judged.size());
        out_.resamples = std::max(1, question.resamples);
        for (const auto& j : judged)
            meters_differ_ = meters_differ_ ||
                             j.contender.configuration.meter != judged.front().contender.configuration.meter;
    }

    RankBoard made() {
        readAgain();
        if (question_.stop.stop_requested()) {
            out_.cancelled = true;
            return std::move(out_);
        }
        markTies();
        score();
        rank();
        return std::move(out_);
    }

  private:
    std::size_t resamples() const { return static_cast<std::size_t>(out_.resamples); }

    /// Every contender's figures, and their goodness in each resample.
    void readAgain() {
        const Normals normals(question_.seed);
        goodness_.resize(judged_.size());
        std::atomic<std::size_t> done{0};
        forEachIndex(judged_.size(), 0, [&](std::size_t c) {
            if (question_.stop.stop_requested()) return;
            readOne(c, normals);
            ++done;
            if (std::this_thread::get_id() == caller_)
                question_.progress(static_cast<double>(done) / static_cast<double>(judged_.size()));
        });
    }

    void readOne(std::size_t c, const Normals& normals) {
        const auto& judged = judged_[c];
        auto& row = out_.rows[c];
        std::vector<PlaneFigures> again;
        if (judged.contender.speaks()) {
            Rereading rereading(judged, c, question_, meters_differ_);
            for (std::size_t r = 0; r < resamples(); ++r) again.push_back(rereading.again(normals, r));
        }
        for (std::size_t k = 0; k < out_.criteria.size(); ++k) {
            auto& samples = goodness_[c].emplace_back();
            row.figures.push_back(byPlanes(out_.criteria[k])
                                      ? fromPlanes(judged, out_.criteria[k], again, samples)
                                      : fromKnown(judged, out_.criteria[k], c, k, normals, samples));
        }
    }

    RankedFigure fromPlanes(const Judged& judged, Criterion criterion, const std::vector<PlaneFigures>& again,
                            std::vector<float>& samples) const {
        RankedFigure out;
        out.criterion = criterion;
        const auto value =
            judged.contender.speaks() ? figureOf(judged, criterion, asRead(judged)) : std::nullopt;
        if (!value) {
            const auto why = judged.missing.find(criterion);
            out.missing = why != judged.missing.end() ? why->second : judged.contender.missing;
            return out;
        }
        out.there = true;
        out.value = *value;
        out.assumed = judged.contender.power_is_rated && criterion == Criterion::Efficacy;
        std::vector<double> values;
        for (const auto& planes : again) values.push_back(*figureOf(judged, criterion, planes));
        auto sorted = values;
        const double middle = quantile(sorted, 0.5);
        out.lo = out.value + quantile(sorted, 0.025) - middle;
        out.hi = out.value + quantile(sorted, 0.975) - middle;
        for (const double v : values)
            samples.push_back(static_cast<float>(goodness(criterion, v) - goodness(criterion, middle) +
                                                 goodness(criterion, out.value)));
        return out;
    }

    RankedFigure fromKnown(const Judged& judged, Criterion criterion, std::size_t c, std::size_t k,
                           const Normals& normals, std::vector<float>& samples) const {
        RankedFigure out;
        out.criterion = criterion;
        const auto known = judged.known.find(criterion);
        if (known == judged.known.end()) {
            const auto why = judged.missing.find(criterion);
            out.missing = why != judged.missing.end() ? why->second : judged.contender.missing;
            return out;
        }
        const auto& figure = known->second;
        const double reach = kInterval95 * figure.error * (infoOf(criterion).decibel ? 1.0 : figure.value);
        out.there = true;
        out.value = figure.value;
        out.lo = figure.value - reach;
        out.hi = figure.value + reach;
        out.assumed = figure.assumed;
        const double scale = infoOf(criterion).decibel ? std::log(2.0) / 10.0 : 1.0;
        auto at = Normals::start(c + judged_.size() * (k + 1), 0);
        for (std::size_t r = 0; r < resamples(); ++r)
            samples.push_back(static_cast<float>(goodness(criterion, figure.value) +
                                                 scale * figure.error * normals.at(at++)));
        return out;
    }

    /// Of each criterion, who cannot be told from the best.
    void markTies() {
        for (std::size_t k = 0; k < out_.criteria.size(); ++k) {
            const auto spread = [&](std::size_t c) {
                const auto& figure = out_.rows[c].figures[k];
                return std::abs(goodness(figure.criterion, figure.hi) -
                                goodness(figure.criterion, figure.lo)) /
                       (2.0 * kInterval95);
            };
            std::optional<std::size_t> best;
            for (std::size_t c = 0; c < judged_.size(); ++c)
                if (out_.rows[c].figures[k].there && (!best || good(c, k) > good(*best, k))) best = c;
            for (std::size_t c = 0; best && c < judged_.size(); ++c)
                out_.rows[c].figures[k].tied =
                    out_.rows[c].figures[k].there && c != *best &&
                    good(*best, k) - good(c, k) <= kNamed99 * std::hypot(spread(c), spread(*best));
        }
    }

    double good(std::size_t c, std::size_t k) const {
        return goodness(out_.criteria[k], out_.rows[c].figures[k].value);
    }

    void score() {
        for (std::size_t k = 0; k < out_.criteria.size(); ++k)
            out_.weights.push_back(weightOf(question_.weights, out_.criteria[k]));
        const double all = std::accumulate(out_.weights.begin(), out_.weights.end(), 0.0);
        for (std::size_t c = 0; c < judged_.size(); ++c) {
            auto& row = out_.rows[c];
            row.unranked = judged_[c].unlike;
            for (std::size_t k = 0; k < out_.criteria.size() && row.unranked.empty(); ++k)
                if (out_.weights[k] > 0.0 && !row.figures[k].there)
                    row.unranked = say(GLUMET_SAY("Core", "{}: {}"), infoOf(out_.criteria[k]).name,
                                       row.figures[k].missing);
            if (all <= 0.0)
                row.unranked = say(GLUMET_SAY("Core", "Nothing counts: give a criterion a weight."));
            if (!row.unranked.empty()) continue;
            row.score = scoreAt(c, out_.weights, std::nullopt);
            out_.order.push_back(c);
        }
        std::stable_sort(out_.order.begin(), out_.order.end(), [&](std::size_t a, std::size_t b) {
            return out_.rows[a].score > out_.rows[b].score;
        });
    }

    double scoreAt(std::size_t c, const std::vector<double>& weights,
                   std::optional<std::size_t> resample) const {
        double sum = 0.0;
        double all = 0.0;
        for (std::size_t k = 0; k < weights.size(); ++k) {
            if (weights[k] <= 0.0) continue;
            sum += weights[k] * (resample ? static_cast<double>(goodness_[c][k][*resample]) : good(c, k));
            all += weights[k];
        }
        return sum / all;
    }

    /// How far each place moves, and how often the first and the whole order stay.
    void rank() {
        const auto ranked = out_.order.size();
        if (ranked == 0) return;
        std::vector<std::vector<int>> places(ranked);
        const auto by_readings =
            stays([&](std::size_t c, std::size_t r) { return scoreAt(c, out_.weights, r); }, &places);
        out_.first_holds = by_readings.first;
        out_.order_holds = by_readings.second;
        std::mt19937_64 random(question_.seed + 1);
        std::normal_distribution<double> normal;
        std::vector<std::vector<double>> moved(resamples(), out_.weights);
        for (auto& weights : moved)
            for (auto& weight : weights) weight *= std::exp(kWeightSpread * normal(random));
        const auto by_weights =
            stays([&](std::size_t c, std::size_t r) { return scoreAt(c, moved[r], std::nullopt); }, nullptr);
        out_.first_holds_weights = by_weights.first;
        out_.order_holds_weights = by_weights.second;
        for (std::size_t i = 0; i < ranked; ++i) {
            auto& row = out_.rows[out_.order[i]];
            std::sort(places[i].begin(), places[i].end());
            const auto at = [&](double q) {
                return places[i][static_cast<std::size_t>(q * static_cast<double>(places[i].size() - 1))];
            };
            row.rank = static_cast<int>(i) + 1;
            row.rank_lo = std::min(row.rank, at(0.025));
            row.rank_hi = std::max(row.rank, at(0.975));
        }
    }

    template <class Score>
    std::pair<double, double> stays(Score score_of, std::vector<std::vector<int>>* places) {
        const auto ranked = out_.order.size();
        int first = 0;
        int whole = 0;
        std::vector<std::pair<double, std::size_t>> scores(ranked);
        for (std::size_t r = 0; r < resamples(); ++r) {
            for (std::size_t i = 0; i < ranked; ++i) scores[i] = {-score_of(out_.order[i], r), i};
            std::sort(scores.begin(), scores.end());
            bool same = true;
            for (std::size_t i = 0; i < ranked; ++i) {
                same = same && scores[i].second == i;
                if (places != nullptr) (*places)[scores[i].second].push_back(static_cast<int>(i) + 1);
            }
            first += scores.front().second == 0 ? 1 : 0;
            whole += same ? 1 : 0;
        }
        return {first / static_cast<double>(resamples()), whole / static_cast<double>(resamples())};
    }

    const std::vector<Judged>& judged_;
    const RankQuestion& question_;
    RankBoard out_;
    bool meters_differ_ = false;
    std::thread::id caller_ = std::this_thread::get_id();
    std::vector<std::vector<std::vector<float>>> goodness_;  // by contender, criterion, resample
};

}  // namespace

const RankedFigure* RankBoard::figure(std::size_t row, Criterion criterion) const {
    for (const auto& figure : rows[row].figures)
        if (figure.criterion == criterion) return figure.there ? &figure : nullptr;
    return nullptr;
}

std::vector<CriterionWeight> weightsFor(const Bench& bench, const std::vector<Judged>& judged) {
    auto weights = weightsOf(bench);
    if (!bench.method.weights.empty()) return weights;
    std::erase_if(weights, [&](const CriterionWeight& weight) {
        return std::none_of(judged.begin(), judged.end(), [&](const Judged& j) {
            return byPlanes(weight.criterion)
                       ? j.contender.speaks() && figureOf(j, weight.criterion, asRead(j)).has_value()
                       : j.known.contains(weight.criterion);
        });
    });
    return weights;
}

RankBoard rankBoard(const std::vector<Judged>& judged, const RankQuestion& question) {
    if (judged.empty()) return {};
    return Board(judged, question).made();
}

}  // namespace glumet
