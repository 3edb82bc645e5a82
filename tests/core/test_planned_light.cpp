#include <QTest>

#include "core/bench/bench_rules.h"
#include "core/fit/fit_as_described.h"
#include "core/simulation/demo_scenario.h"
#include "core/verdicts/array.h"
#include "core/verdicts/planned_light.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_planned_light {

using namespace glumet;

namespace {

/// Fits of the demonstration, each made once.
class Fits {
  public:
    const FitResult* of(const Sweep& sweep) {
        auto& kept = made_[sweep.configuration];
        if (!kept) kept = std::make_unique<Expected<FitResult>>(fitAsDescribed(bench, sweep));
        return *kept ? &**kept : nullptr;
    }
    FitOf asked() {
        return [this](const Sweep& sweep) { return of(sweep); };
    }

    Bench bench = demoReadings(11);

  private:
    std::map<Configuration, std::unique_ptr<Expected<FitResult>>> made_;
};
Fits& demo() {
    static Fits fits;
    return fits;
}

const PlannedArray& mixed() { return demo().bench.plans.front(); }

PlanQuestion inBand(double low, double high) {
    PlanQuestion out;
    out.goal.band = {Ppfd(low), Ppfd(high)};
    return out;
}

Expected<PlannedLight> lightOf(const PlannedArray& plan, const PlanQuestion& question) {
    return plannedLight(demo().bench, plan, demo().asked(), question);
}

}  // namespace

/// Arrays that are planned and that nobody has hung.
class TestPlannedLight : public QObject {
    Q_OBJECT

  private slots:
    /// A plan of one kind is what spacing lights with its fixtures there.
    void oneKindIsLitAsARowIs() {
        auto plan = mixed();
        plan.fixtures.pop_back();
        for (auto& hung : plan.fixtures) hung.level_pct = 100.0;
        const auto sweeps = sweepsOf(demo().bench);
        const auto* fit = demo().of(*sweepOf(sweeps, plan.fixtures.front()));
        ArrayQuestion q;
        q.tank = tankByFit(*fit, *byId(demo().bench.tanks, plan.tank), false);
        q.height = plan.fixtures.front().height;
        q.goal = inBand(100, 250).goal;
        FastField field(*hung(fit->model.elsewhere(), q, {300, 900}));
        const auto values = litPoints(field, q, q.goal).values;
        const auto light = lightOf(plan, inBand(100, 250));
        QVERIFY(light);
        QCOMPARE(light->used, values.size());
        QCOMPARE(light->most.value(), *std::max_element(values.begin(), values.end()));
        QCOMPARE(light->least.value(), *std::min_element(values.begin(), values.end()));
    }

    /// Light adds up: the whole is what its parts give.
    void aMixIsTheSumOfItsParts() {
        auto clusters = mixed();
        clusters.fixtures.pop_back();
        auto tubes = mixed();
        tubes.fixtures.erase(tubes.fixtures.begin(), tubes.fixtures.begin() + 2);
        const auto any = inBand(1, 5000);
        const auto whole = lightOf(mixed(), any);
        const auto a = lightOf(clusters, any);
        const auto b = lightOf(tubes, any);
        QVERIFY(whole && a && b);
        // Water and walls are those of the first one's fit, which the tubes by themselves are not.
        const double sum = (a->mean + b->mean).value();
        QVERIFY2(std::abs(whole->mean.value() - sum) < 0.02 * sum,
                 qPrintable(QStringLiteral("%1 of %2").arg(whole->mean.value()).arg(sum)));
        QVERIFY(b->mean.value() > 0.05 * sum);
    }

    /// Against what the simulated fixtures give when they are hung there.
    void theTruthLiesWithinItsInterval() {
        const auto& bench = demo().bench;
        LightScene truth;
        for (const auto& hung : mixed().fixtures) {
            Run run = bench.run(sweepOf(sweepsOf(bench), hung)->runs.front());
            run.tank = mixed().tank;
            run.height = hung.height;
            auto scene = sceneOf(bench, run);
            auto& fixture = scene.fixtures.front();
            fixture.x_mm = hung.x.value();
            fixture.y_mm = hung.y.value();
            fixture.level = hung.level_pct / 100.0;
            if (truth.beams.empty()) {
                truth = scene;
                continue;
            }
            for (auto& emitter : fixture.emitters) emitter.beam += truth.beams.size();
            truth.beams.insert(truth.beams.end(), scene.beams.begin(), scene.beams.end());
            truth.fixtures.push_back(fixture);
        }
        const auto question = inBand(100, 250);
        ArrayQuestion q;
        q.tank = truth;
        q.tank.fixtures.clear();
        q.goal = question.goal;
        FastField field(truth);
        const auto values = litPoints(field, q, question.goal).values;
        const double share = sharesByLevel(values, question.goal.band).back();
        const auto light = lightOf(mixed(), question);
        QVERIFY(light);
        QVERIFY(light->share_low <= light->share && light->share <= light->share_high);
        QVERIFY(light->share_high - light->share_low < 0.5);
        // One point more or less besides: the share goes by whole points.
        const double point = 1.0 / static_cast<double>(values.size());
        QVERIFY2(share >= light->share_low - point && share <= light->share_high + point,
                 qPrintable(
                     QStringLiteral("%1 in %2–%3").arg(share).arg(light->share_low).arg(light->share_high)));
    }

    void ceilingFloorAndDimming() {
        auto question = inBand(1, 60);
        question.goal.ceiling = Ppfd(1);
        question.goal.floor = Ppfd(1e5);
        const auto light = lightOf(mixed(), question);
        QVERIFY(light);
        QVERIFY(!light->ceiling_holds);
        QVERIFY(!light->floor_holds);
        QVERIFY(light->dimmed.level_pct < 100.0);
        QVERIFY(light->dimmed.share > light->share);
    }

    void whatCannotBeLitIsSaid() {
        auto plan = mixed();
        plan.fixtures.back().read_by = "nobody";
        auto light = lightOf(plan, inBand(1, 2));
        QVERIFY(!light);
        QVERIFY(english(light.error().what).find("no fit speaks for Rushlight 2T") != std::string::npos);
        plan = mixed();
        plan.tank = 99;
        light = lightOf(plan, inBand(1, 2));
        QVERIFY(!light);
        QCOMPARE(english(light.error().what), std::string("the tank is not described"));
    }

    void saysWhatHangs() {
        QCOMPARE(english(hungWords(demo().bench, mixed())),
                 std::string("2 × Osier 60, all channels full at 80 % and Rushlight 2T, all channels full at "
                             "100 %"));
        // The new lamp speaks for itself, not the worn one.
        const auto sweeps = sweepsOf(demo().bench);
        const auto young = configurationOf(demo().bench.runs.front());
        QVERIFY(hangsIn(mixed(), sweeps, young));
        auto other = young;
        other.hours = 9000;
        QVERIFY(std::any_of(sweeps.begin(), sweeps.end(),
                            [&](const Sweep& sweep) { return sweep.configuration == other; }));
        QVERIFY(!hangsIn(mixed(), sweeps, other));
        QVERIFY(knownAs(mixed().fixtures.front(), other));
        other.accessory = 1;
        QVERIFY(!knownAs(mixed().fixtures.front(), other));
    }

    void whatCannotHangIsAFault() {
        const auto& tank = *byId(demo().bench.tanks, mixed().tank);
        QVERIFY(!faultOf(mixed(), &tank));
        auto plan = mixed();
        plan.fixtures[1].x = tank.length + Millimetre(1);
        QVERIFY(faultOf(plan, &tank));
        plan = mixed();
        plan.fixtures[0].level_pct = 0;
        QVERIFY(faultOf(plan, &tank));
        plan = mixed();
        plan.fixtures.clear();
        QVERIFY(faultOf(plan, &tank));
        plan = mixed();
        plan.name.clear();
        QVERIFY(faultOf(plan, &tank));
        auto bench = demo().bench;
        QVERIFY(faultsOf(bench).empty());
        bench.plans[0].fixtures[0].preset = 12345;
        bench.plans[0].fixtures[1].fixture = 12345;
        QCOMPARE(faultsOf(bench).size(), std::size_t{2});
    }
};

GLUMET_TEST(TestPlannedLight, "core_planned_light", Application)

}  // namespace core_planned_light

#include "test_planned_light.moc"
