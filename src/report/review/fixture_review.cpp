#include "report/review/fixture_review.h"

#include <algorithm>
#include <cmath>

#include "core/bench/reading_note.h"
#include "core/meter/immersion.h"
#include "core/meter/meter_correction.h"
#include "core/survey/checks.h"
#include "core/survey/point_doubts.h"
#include "core/survey/repeatability.h"
#include "core/verdicts/goals.h"
#include "core/words/finding.h"
#include "report/plan_figure.h"

namespace glumet {

GLUMET_VALUE_COMPILED(FixtureReview);
namespace {

Words wallWords(const Wall& wall) {
    switch (wall.kind) {
        case WallKind::Glass:
            return say(GLUMET_SAY("Core", "clear glass"));
        case WallKind::Acrylic:
            return say(GLUMET_SAY("Core", "acrylic"));
        case WallKind::Opaque:
            return say(GLUMET_SAY("Core", "covered (reflects {})"), Share{wall.reflectance});
    }
    return {};
}

Words wallsOf(const Tank& tank) {
    const bool alike = std::all_of(tank.walls.begin(), tank.walls.end(),
                                   [&](const Wall& wall) { return wall == tank.walls.front(); });
    if (alike) return say(GLUMET_SAY("Core", "all {}"), wallWords(tank.walls.front()));
    return say(GLUMET_SAY("Core", "left {}, right {}, front {}, back {}"), wallWords(tank.wall(Side::Left)),
               wallWords(tank.wall(Side::Right)), wallWords(tank.wall(Side::Front)),
               wallWords(tank.wall(Side::Back)));
}

Words waterOf(const Tank* tank, WaterState water) {
    if (water == WaterState::Dry) return say(GLUMET_SAY("Core", "dry"));
    const Words kind = tank != nullptr && tank->water_kind == WaterKind::Sea
                           ? say(GLUMET_SAY("Core", "sea water"))
                           : say(GLUMET_SAY("Core", "fresh water"));
    return say(
        water == WaterState::Moving ? GLUMET_SAY("Core", "{}, moving") : GLUMET_SAY("Core", "{}, pumps off"),
        kind);
}

/// What Glumet was to do is said by what it has done: readings that came otherwise, from a file say, were not
/// touched.
Words immersionOf(const MeterProfile& meter, const Run& run) {
    int applied = 0;
    int all = 0;
    for (const auto& plane : run.planes)
        for (const auto& reading : plane.readings) {
            if (!reading.counts()) continue;
            ++all;
            applied += immersionApplied(reading) ? 1 : 0;
        }
    const Figure factor{meter.immersion_factor};
    switch (meter.immersion_by) {
        case ImmersionBy::Nobody:
            return say(GLUMET_SAY("Core", "immersion factor not applied"));
        case ImmersionBy::MeterMode:
            return say(GLUMET_SAY("Core", "immersion ×{} applied by the meter"), factor);
        case ImmersionBy::Glumet:
            return applied == all
                       ? say(GLUMET_SAY("Core", "immersion ×{} applied by Glumet"), factor)
                       : say(GLUMET_SAY("Core", "immersion ×{} applied by Glumet to {} of {} readings"),
                             factor, Count{applied}, Count{all});
    }
    return {};
}

Words powerOf(const Run& run, const Fixture* fixture) {
    const auto power = run.power();
    if (!power) return {};
    const Figure drawn{power->value(), 1};
    if (fixture != nullptr && fixture->rated_power)
        return say(GLUMET_SAY("Core", "{} W at the wall of {} W rated"), drawn,
                   Figure{fixture->rated_power->value(), 0});
    return say(GLUMET_SAY("Core", "{} W at the wall"), drawn);
}

constexpr int kPlanDraws = 40;         // for the interval of a planned array
constexpr std::size_t kMostGoals = 4;  // of the reviewer's own that a review goes through

/// Name of a fact on the page.
Words named(const char* message) { return say(message); }

class ReviewMaker {
  public:
    ReviewMaker(const Bench& bench, const Configuration& configuration) : of_(configuration) {
        // Only what this review is about: its descriptions, and the runs of its sweep.
        r_.bench.title = bench.title;
        r_.bench.tanks = bench.tanks;
        r_.bench.fixtures = bench.fixtures;
        r_.bench.accessories = bench.accessories;
        r_.bench.meters = bench.meters;
        r_.bench.method = bench.method;
        r_.bench.checks = bench.checks;
        r_.bench.spectra = bench.spectra;
        r_.bench.ratings = bench.ratings;
        for (const auto& run : bench.runs)
            if (configurationOf(run) == configuration) r_.bench.runs.push_back(run);
        r_.band = bench.method.goal.band;
    }

    Expected<FixtureReview> make() {
        const auto sweeps = sweepsOf(r_.bench);
        if (sweeps.empty())
            return problem("", say(GLUMET_SAY("Core", "there is no such configuration in the project")));
        r_.sweep = sweeps.front();
        rows();
        if (r_.rows.empty())
            return problem(configurationName(r_.bench, of_),
                           say(GLUMET_SAY("Core", "has no reading to publish")));
        r_.name = configurationName(r_.bench, of_);
        const auto asked = schoolOptions(r_.bench, r_.sweep);
        r_.verdict = spillLimit(r_.bench, r_.sweep, asked.spill);
        r_.scale_top = scaleTop(r_.bench, r_.sweep.runs);
        r_.schools = heightSchools(r_.bench, r_.sweep, asked);
        chooseRun();
        shortFacts();
        conditions();
        doubts();
        provenance();
        r_.goals = goalsServed(r_.shown(), readyGoals());
        return std::move(r_);
    }

  private:
    void rows() {
        for (const auto index : r_.sweep.runs)
            for (const auto& plane : r_.bench.run(index).planes)
                if (auto statistics = planeStatistics(plane, r_.band))
                    r_.rows.push_back({r_.bench.run(index).height, plane.depth, *statistics});
    }

    /// At the height that the headline names; without one where comparisons look at it.
    void chooseRun() {
        const auto height = ownHeight(r_.bench, r_.sweep, r_.bench.method.school);
        r_.shown_run = r_.sweep.runs.front();
        for (const auto index : r_.sweep.runs)
            if (r_.bench.run(index).height == r_.headlineHeight().value_or(height)) r_.shown_run = index;
    }

    void shortFacts() {
        const auto& v = r_.verdict;
        const auto* head = r_.headline();
        const bool by_spill = head == nullptr || head->school == HeightSchool::SpillLimit;
        if (!by_spill) {
            addFact(GLUMET_SAY("Core", "School"), verbatim(wordOf(head->school)));
            if (head->crossing) addFact(GLUMET_SAY("Core", "Best at"), say("{}", *head->crossing));
        }
        addFact(by_spill ? GLUMET_SAY("Core", "School") : GLUMET_SAY("Core", "Beside it"),
                say(GLUMET_SAY("Core", "spill limit, at most {} lost"), Share{v.asked.limit}));
        if (v.depth_used)
            addFact(GLUMET_SAY("Core", "Judged"), say(GLUMET_SAY("Core", "{} under water"), *v.depth_used));
        if (v.crossing) addFact(GLUMET_SAY("Core", "Limit met at"), say("{}", *v.crossing));
        if (v.low && v.high) addFact(GLUMET_SAY("Core", "95 % sure"), say("{}", LengthSpan{*v.low, *v.high}));
        if (const auto* plane = v.depth_used ? planeAt(r_.shown(), *v.depth_used) : nullptr) output(*plane);
        const auto* fixture = byId(r_.bench.fixtures, r_.sweep.configuration.fixture);
        if (fixture != nullptr && fixture->claimed_height_low && fixture->claimed_height_high)
            addFact(GLUMET_SAY("Core", "Maker says"),
                    say("{}", LengthSpan{*fixture->claimed_height_low, *fixture->claimed_height_high}));
    }

    void addFact(const char* name, Words value) { r_.short_facts.push_back({named(name), std::move(value)}); }
    void addCondition(const char* name, Words value) {
        r_.conditions.push_back({named(name), std::move(value)});
    }
    void addMissing(const char* name, Words value) {
        r_.conditions.push_back({named(name), std::move(value), true});
    }

    void output(const Plane& plane) {
        const auto statistics = planeStatistics(plane, r_.band);
        if (!statistics) return;
        r_.judged = *statistics;
        addFact(GLUMET_SAY("Core", "Mean there"),
                say(GLUMET_SAY("Core", "{} µmol·m⁻²·s⁻¹, peak {}"), statistics->mean, statistics->max));
        r_.short_facts.push_back({say(GLUMET_SAY("Core", "In {}"), PpfdSpan{r_.band.low, r_.band.high}),
                                  say(GLUMET_SAY("Core", "{} of {} points"),
                                      Share{*statistics->share_in_band}, Count{statistics->n})});
        const auto* tank = byId(r_.bench.tanks, r_.sweep.configuration.tank);
        if (tank == nullptr) return;
        const auto delivered = deliveredOutput(statistics->mean, tank->length, tank->width);
        const Figure flux{delivered.value(), 0};
        const auto power = r_.shown().power();
        addFact(GLUMET_SAY("Core", "Delivered"), power && power->value() > 0
                                                     ? say(GLUMET_SAY("Core", "{} µmol/s, {} µmol/J"), flux,
                                                           Figure{deliveredEfficacy(delivered, *power), 2})
                                                     : say(GLUMET_SAY("Core", "{} µmol/s"), flux));
    }

    void conditions() {
        const auto& run = r_.shown();
        tankAndWater(byId(r_.bench.tanks, run.tank), run.water);
        if (const auto* meter = byId(r_.bench.meters, run.meter))
            addCondition(
                GLUMET_SAY("Core", "Meter"),
                say(GLUMET_SAY("Core", "{}, {}; {}; calibration ± {}"), meter->name,
                    meter->kind.empty() ? say(GLUMET_SAY("Core", "kind not stated")) : verbatim(meter->kind),
                    immersionOf(*meter, run), Share{meter->relative_uncertainty}));
        else
            addMissing(GLUMET_SAY("Core", "Meter"), say(GLUMET_SAY("Core", "not recorded")));
        if (auto power = powerOf(run, byId(r_.bench.fixtures, run.fixture)); !power.empty())
            addCondition(GLUMET_SAY("Core", "Draw"), std::move(power));
        if (run.warm_up_min)
            addCondition(GLUMET_SAY("Core", "Warm-up"),
                         say(GLUMET_SAY("Core", "{} min"), Figure{*run.warm_up_min, 0}));
        if (run.dark_reading) addCondition(GLUMET_SAY("Core", "Dark reading"), say("{}", *run.dark_reading));
        checksMade();
        const auto repeats = repeatabilityOf(r_.bench, r_.sweep.runs);
        if (repeats.pairs > 0) addCondition(GLUMET_SAY("Core", "Repeats"), repeatsOf(repeats));
        uncertainty(repeats);
        addCondition(
            GLUMET_SAY("Core", "Readings"),
            say(GLUMET_SAY("Core",
                           "means of settled readings, {} in all; table gives spread over the points"),
                Count{r_.readings()}));
    }

    void tankAndWater(const Tank* tank, WaterState state) {
        if (tank == nullptr) {
            addMissing(GLUMET_SAY("Core", "Tank"), say(GLUMET_SAY("Core", "not described")));
            addCondition(GLUMET_SAY("Core", "Water"), waterOf(tank, state));
            return;
        }
        addCondition(GLUMET_SAY("Core", "Tank"),
                     say(GLUMET_SAY("Core", "{}, {} × {}, {} deep; walls {}"), tank->name,
                         BareLength{tank->length}, tank->width, tank->water_depth, wallsOf(*tank)));
        addCondition(GLUMET_SAY("Core", "Water"),
                     say(tank->use == TankUse::Bench
                             ? GLUMET_SAY("Core", "{}; bare bench tank")
                             : GLUMET_SAY("Core", "{}; living tank, an impression and no benchmark"),
                         waterOf(tank, state)));
    }

    static Words repeatsOf(const Repeatability& repeats) {
        const Words agree = say(GLUMET_SAY("Core", "{} points read twice agree to {}"), Count{repeats.pairs},
                                Share{repeats.relative_sd});
        if (repeats.returns < 3) return agree;
        return say(GLUMET_SAY("Core", "{}; drift {} ± {} % an hour"), agree,
                   Figure{repeats.drift_per_hour * 100.0, 1}, Figure{repeats.drift_error * 100.0, 1});
    }

    /// What the meter's readings of this mix are multiplied by, or would be; those of others stand in the
    /// data.
    void corrections(const MeterProfile& meter) {
        Listed all;
        for (const auto& c : meter.corrections) {
            if (!c.channel.empty() && c.channel != presetName(r_.bench, r_.shown())) continue;
            const Words mix = c.channel.empty() ? say(GLUMET_SAY("Core", "any mix")) : verbatim(c.channel);
            const Figure factor{c.factor, 3};
            const Share doubt{c.uncertainty};
            all.items.push_back(
                c.applied ? say(GLUMET_SAY("Core", "{} × {} ± {} ({})"), mix, factor, doubt, c.source)
                          : say(GLUMET_SAY("Core", "{} × {} ± {} ({}), not applied"), mix, factor, doubt,
                                c.source));
        }
        if (!all.items.empty()) addCondition(GLUMET_SAY("Core", "Meter factors"), say("{}", std::move(all)));
    }

    /// What a single absolute reading is worth, part by part.
    void uncertainty(const Repeatability& repeats) {
        const auto* meter = byId(r_.bench.meters, r_.shown().meter);
        if (meter == nullptr) return;
        corrections(*meter);
        UncertaintyParts parts;
        parts.calibration = meter->relative_uncertainty;
        if (const auto* correction = correctionFor(*meter, presetName(r_.bench, r_.shown())))
            parts.correction = correction->uncertainty;
        parts.cosine = meter->cosine_error / std::sqrt(3.0);
        parts.repeatability = repeats.relative_sd;
        parts.drift = repeats.largest_change / std::sqrt(3.0);
        addCondition(GLUMET_SAY("Core", "Sure to"),
                     say(GLUMET_SAY("Core", "± {} for one reading in absolute terms (k = 1)"),
                         Share{parts.combined()}));
    }

    /// What was checked before the first reading of the runs, and what was overruled.
    void checksMade() {
        int made = 0;
        for (const auto index : r_.sweep.runs) {
            const auto& run = r_.bench.run(index);
            for (const auto& check : r_.bench.checks) {
                if (check.run != run.id) continue;
                ++made;
                if (!check.overruled.empty())
                    r_.doubts.emplace_back(say(GLUMET_SAY("Core", "At {}, overruled: {} Reason given: {}"),
                                               run.height, check.verdict, check.overruled));
            }
        }
        addCondition(GLUMET_SAY("Core", "Checks"),
                     made == 0
                         ? say(GLUMET_SAY("Core", "none recorded before the first reading"))
                         : say(GLUMET_SAY("Core", "{} recorded before the first readings"), Count{made}));
    }

    void doubts() {
        r_.doubts.insert(r_.doubts.end(), r_.verdict.doubts.begin(), r_.verdict.doubts.end());
        for (const auto index : r_.sweep.runs)
            for (const auto& finding : runDoubts(r_.bench, index))
                if (finding.kind == FindingKind::Doubt)
                    r_.doubts.emplace_back(say(GLUMET_SAY("Core", "At {}: {}. {}"),
                                               r_.bench.run(index).height, finding.title, finding.body));
        for (const auto& finding : sweepDoubts(r_.bench, r_.sweep))
            if (finding.kind == FindingKind::Doubt)
                r_.doubts.emplace_back(say("{}. {}", finding.title, finding.body));
    }

    void provenance() {
        bool simulated = false;
        for (const auto index : r_.sweep.runs)
            for (const auto& plane : r_.bench.run(index).planes)
                for (const auto& reading : plane.readings)
                    simulated |= reading.counts() && isSimulated(reading);
        if (simulated)
            r_.provenance = say(GLUMET_SAY(
                "Core", "Some readings come from the practice meter: they are simulated, not measured."));
        if (!r_.bench.method.note.empty()) r_.provenance += verbatim(r_.bench.method.note);
    }

    const Configuration& of_;
    FixtureReview r_;
};

}  // namespace

std::vector<Words> usualCautions() {
    return {
        say(GLUMET_SAY(
            "Core",
            "Mains over water: residual-current protection, drip loops, and a second tether for any "
            "housing that carries mains voltage. "
            "Local electrical code and a licensed electrician have the last word.")),
        say(GLUMET_SAY(
            "Core",
            "A hanging load asks for anchors rated well above it; nobody stands or reaches under it while "
            "it is moved. Glass edges and braces carry no loads.")),
        say(GLUMET_SAY(
            "Core",
            "Never look into bright blue, violet or ultraviolet emitters; wear eye protection while they "
            "are on. Housings get hot.")),
        say(GLUMET_SAY("Core", "Livestock: begin dim and raise over weeks, whatever the figures say."))};
}

Expected<FixtureReview> fixtureReviewOf(const Bench& bench, const Configuration& configuration) {
    return ReviewMaker(bench, configuration).make();
}

int FixtureReview::readings() const {
    int count = 0;
    for (const auto& row : rows) count += row.statistics.n;
    return count;
}

bool anyReading(const Run& run) { return shallowestRead(run) != nullptr; }

bool anyReading(const Bench& bench, const Sweep& sweep) {
    return std::any_of(sweep.runs.begin(), sweep.runs.end(),
                       [&](Id run) { return anyReading(bench.run(run)); });
}

const Plane* shallowestRead(const Run& run) {
    for (const auto& plane : run.planes)
        if (planeStatistics(plane)) return &plane;
    return nullptr;
}

void addModelled(FixtureReview& review, const Bench& bench, const FitOf& fit_of, std::stop_token stop) {
    const auto sweeps = sweepsOf(bench);
    const Sweep* whole = nullptr;
    for (const auto& sweep : sweeps)
        if (sweep.configuration == review.sweep.configuration) whole = &sweep;
    if (whole == nullptr) return;
    const auto& single = singleOf(sweeps, *whole);
    const FitResult* fit = single.configuration.fixtures == 1 ? fit_of(single) : nullptr;
    if (fit != nullptr) review.fit = *fit;
    std::vector<Goal> goals{bench.method.goal};
    goals.insert(goals.end(), bench.method.goals.begin(), bench.method.goals.end());
    for (const auto& tank : bench.tanks)
        for (std::size_t i = 0; i < std::min(goals.size(), kMostGoals); ++i) {
            if (stop.stop_requested()) return;
            RecommendationQuestion asked;
            asked.tank = tank.id;
            asked.goal = goals[i];
            asked.height = review.shown().height;
            asked.stop = stop;
            review.recommended.push_back(recommend(bench, *whole, fit, asked));
        }
    if (fit == nullptr || whole->configuration.fixtures != 1) return;
    for (const auto& sweep : sweeps) {
        const auto& of = sweep.configuration;
        const auto& own = whole->configuration;
        if (of.fixtures < 2 || of.fixture != own.fixture || of.preset != own.preset ||
            of.accessory != own.accessory)
            continue;
        for (const auto run : sweep.runs)
            if (anyReading(bench.run(run)))
                review.measured.push_back(
                    {run,
                     say(GLUMET_SAY("Core", "{} at {}"), configurationName(bench, of), bench.run(run).height),
                     arrayAgreement(*fit, bench, run)});
    }
}

std::vector<FixtureReview::Planned> plannedArrays(const Bench& bench, const FitOf& fit_of,
                                                  const std::vector<Configuration>& configurations,
                                                  std::stop_token stop) {
    const auto sweeps = sweepsOf(bench);
    std::vector<FixtureReview::Planned> out;
    for (const auto& plan : bench.plans) {
        if (stop.stop_requested() ||
            std::none_of(configurations.begin(), configurations.end(),
                         [&](const Configuration& one) { return hangsIn(plan, sweeps, one); }))
            continue;
        out.push_back({plan, plannedLight(bench, plan, fit_of, {bench.method.goal, kPlanDraws, stop}), {}});
        if (auto scene = plannedScene(bench, plan, fit_of)) out.back().scene = std::move(*scene);
    }
    return out;
}

}  // namespace glumet
