#include "core/verdicts/recommendation.h"

#include <algorithm>
#include <numeric>

#include "core/verdicts/spacing_interval.h"

namespace glumet {
namespace {

constexpr double kAsGood = 0.03;  // of the share: not worth another fixture
constexpr double kServed = 0.8;
constexpr double kNotServed = 0.5;

double meanOf(const std::vector<double>& values) {
    return values.empty()
               ? 0.0
               : std::accumulate(values.begin(), values.end(), 0.0) / static_cast<double>(values.size());
}

bool inZone(const Goal& goal, Millimetre depth) {
    return !goal.zoned() || (depth >= goal.zone_from && depth <= goal.zone_to);
}

/// The run's readings as light at full output; the deepest plane of the zone stands for its lower end.
LitPoints pointsOf(const Run& run, const Goal& goal) {
    const double level = run.level_pct.value_or(100.0) / 100.0;
    LitPoints out;
    if (!(level > 0.0)) return out;
    for (const auto& plane : run.planes) {
        if (!inZone(goal, plane.depth)) continue;
        std::vector<double> values;
        for (const auto& reading : plane.readings)
            if (reading.counts()) values.push_back(reading.mean.value() / level);
        if (values.empty()) continue;
        out.values.insert(out.values.end(), values.begin(), values.end());
        if (goal.floor) out.lowest = std::move(values);
    }
    return out;
}

class Recommender {
  public:
    Recommender(const Bench& bench, const Sweep& sweep, const FitResult* fit,
                const RecommendationQuestion& question)
        : bench_(bench), sweep_(sweep), fit_(fit), q_(question) {}

    Recommendation make() {
        auto read = asRead();
        if (read && read->enough) return *read;
        auto modelled = byFit();
        if (modelled.speaks() || !read) return modelled;
        return *read;
    }

  private:
    Recommendation begun() const {
        Recommendation out;
        out.tank = q_.tank;
        out.goal = q_.goal;
        out.height = q_.height;
        return out;
    }

    void judge(Recommendation& out, const LitPoints& points) const {
        out.level = goalLevel(points, q_.goal);
        out.mean = Ppfd(meanOf(points.values) * out.level.best.level_pct / 100.0);
        out.dli = out.mean.value() * q_.goal.photoperiod_h * 3600.0 / 1e6;
        out.enough = out.level.best.share >= q_.goal_share && out.level.keeps();
    }

    std::optional<Recommendation> asRead() const {
        if (sweep_.configuration.tank != q_.tank || sweep_.configuration.fixtures != 1) return std::nullopt;
        for (const auto id : sweep_.runs) {
            const auto& run = bench_.run(id);
            if (run.height != q_.height) continue;
            const auto points = pointsOf(run, q_.goal);
            if (points.values.empty()) continue;
            auto out = begun();
            out.read = true;
            judge(out, points);
            return out;
        }
        return std::nullopt;
    }

    Recommendation silent(Words why) const {
        auto out = begun();
        out.missing = std::move(why);
        return out;
    }

    /// The first that is enough, else the fewest that come near the best of all.
    const CountRow& fewestAsGood(const std::vector<CountRow>& rows) const {
        const auto& last = rows.back();
        if (last.keeps && last.share >= q_.goal_share) return last;
        const auto best = std::max_element(rows.begin(), rows.end(), [](const auto& a, const auto& b) {
            return std::pair(a.keeps, a.share) < std::pair(b.keeps, b.share);
        });
        return *std::find_if(rows.begin(), rows.end(), [&](const auto& row) {
            return row.keeps == best->keeps && row.share >= best->share - kAsGood;
        });
    }

    Recommendation byFit() {
        const auto* tank = byId(bench_.tanks, q_.tank);
        if (tank == nullptr) return silent(say(GLUMET_SAY("Core", "the tank is not described")));
        if (fit_ == nullptr) return silent(say(GLUMET_SAY("Core", "no fit speaks for several of it")));
        const auto model = fit_->model.elsewhere();
        ArrayQuestion asked;
        asked.tank = tankByFit(*fit_, *tank, sweep_.configuration.water == WaterState::Dry);
        asked.height = q_.height;
        asked.goal = q_.goal;
        asked.stop = q_.stop;
        asked.limits.obstacles = tank->obstacles;
        const auto rows = counts(model, asked, q_.goal_share, q_.most);
        if (!rows) return silent(rows.error().what);
        if (rows->empty()) return silent(say(GLUMET_SAY("Core", "it does not fit over the tank")));
        const auto& row = fewestAsGood(*rows);
        auto out = begun();
        out.count = asked.count = row.count;
        out.along = asked.along = row.along;
        out.turned = asked.turned = row.turned;
        asked.draws = q_.draws;
        out.centres_mm = row.centres_mm;
        auto scene = hung(model, asked, row.centres_mm);
        if (!scene) return silent(scene.error().what);
        FastField field(std::move(*scene));
        judge(out, litPoints(field, asked, q_.goal));
        addInterval(model, asked, out);
        return out;
    }

    /// Of the share, with the fixtures where they hang.
    static void addInterval(const LightModel& model, const ArrayQuestion& asked, Recommendation& out) {
        SpacingAnswer answer;
        answer.asked = asked;
        answer.used = model;
        SpacingVerdict fill;
        fill.school = SpacingSchool::BandFill;
        fill.centres_mm = out.centres_mm;
        fill.best = out.level.best.share;
        fill.level_pct = out.level.best.level_pct;
        answer.schools = {fill};
        addSpacingIntervals(answer);
        out.share_low = answer.schools.front().low;
        out.share_high = answer.schools.front().high;
    }

    const Bench& bench_;
    const Sweep& sweep_;
    const FitResult* fit_;
    const RecommendationQuestion& q_;
};

}  // namespace

std::optional<Millimetre> Recommendation::spacing() const {
    if (centres_mm.size() < 2) return std::nullopt;
    const auto middle = centres_mm.size() / 2;
    return Millimetre(centres_mm[middle] - centres_mm[middle - 1]);
}

Recommendation recommend(const Bench& bench, const Sweep& sweep, const FitResult* fit,
                         const RecommendationQuestion& question) {
    return Recommender(bench, sweep, fit, question).make();
}

GoalsServed goalsServed(const Run& run, const std::vector<Goal>& goals) {
    GoalsServed out;
    for (const auto& goal : goals) {
        const auto points = pointsOf(run, goal);
        if (points.values.empty()) continue;
        auto level = goalLevel(points, goal);
        if (level.best.share >= kServed && level.keeps())
            out.served.push_back(std::move(level));
        else if (level.best.share < kNotServed)
            out.not_served.push_back(std::move(level));
    }
    return out;
}

}  // namespace glumet
