#include "core/verdicts/agreement.h"

#include <QTest>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/fit/added_readings.h"
#include "core/fit/described_model.h"
#include "core/light/fast_field.h"
#include "core/simulation/demo_scenario.h"
#include "core/verdicts/fitted_heights.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_agreement {

using namespace glumet;

namespace {

/// The demo's cluster, fitted once for all tests.
struct Fitted {
    Bench bench = demoReadings(1);
    std::vector<Sweep> sweeps = sweepsOf(bench);
    FitResult fit = *fitFixture(bench, sweeps.front().runs);
};
const Fitted& fitted() {
    static const Fitted one;
    return one;
}

/// How a measured row of two differs from what is written of it.
struct Error {
    double level = 1.0;
    double raised_mm = 0.0;
    double along_mm = 0.0;
    double second_fixture = 1.0;
    bool other_beam = false;
};

Bench withArray(const Error& error) {
    Bench bench = fitted().bench;
    Run run = bench.runs.front();
    run.id = static_cast<Id>(bench.runs.size()) + 1;
    run.tank = bench.tanks[1].id;
    run.fixtures = 2;
    run.height = Millimetre(210);
    run.placement = placementAt({Millimetre(330), Millimetre(870)});
    auto as_hung = run;
    as_hung.height = run.height + Millimetre(error.raised_mm);
    auto scene = sceneOf(bench, as_hung);
    for (auto& fixture : scene.fixtures) fixture.x_mm += error.along_mm;
    scene.fixtures[1].level *= error.second_fixture;
    if (error.other_beam) scene.beams = {*Beam::cosinePower(6.0)};
    FastField field(scene);
    Noise random(5);
    run.planes.clear();
    Plane plane;
    plane.depth = Millimetre(220);
    plane.grid = cellCentres(Millimetre(1200), Millimetre(600), 12, 6);
    for (const auto cell : serpentine(*plane.grid)) {
        const std::array<double, 2> at{plane.grid->xs_mm[static_cast<std::size_t>(cell.column)],
                                       plane.grid->ys_mm[static_cast<std::size_t>(cell.row)]};
        Reading reading;
        reading.x = Millimetre(at[0]);
        reading.y = Millimetre(at[1]);
        const double light = field.onPlane(plane.depth, {&at, 1}).front();
        reading.mean = Ppfd(light * error.level * (1.0 + 0.02 * random.normal()));
        plane.readings.push_back(reading);
    }
    run.planes = {plane};
    bench.runs.push_back(run);
    return bench;
}

ArrayAgreement agreementOf(const Error& error) {
    const auto bench = withArray(error);
    return *arrayAgreement(fitted().fit, bench, bench.runs.back().id);
}

}  // namespace

class TestAgreement : public QObject {
    Q_OBJECT

  private slots:
    void aRowAsDescribedAgrees() {
        const auto agreement = agreementOf({});
        QVERIFY2(agreement.agrees, english(agreement.reason).c_str());
        QVERIFY(std::abs(agreement.mean_ratio - 1.0) < 0.02);
        QVERIFY(agreement.within > 0.85);
        QCOMPARE(agreement.residuals.size(), std::size_t{72});
        QVERIFY(agreement.mean_ratio_low < 1.0 && 1.0 < agreement.mean_ratio_high);
        QVERIFY(agreement.mean_ratio_high - agreement.mean_ratio_low < 0.1);
        QCOMPARE(agreement.asked, withArray({}).runs.back().id);
        QCOMPARE(agreement.used, runsOf(fitted().fit));
        QVERIFY(agreement.used.size() > 3);
    }

    void aCommonFactorIsTheLevel() {
        const auto agreement = agreementOf({.level = 0.85});
        QVERIFY(!agreement.agrees);
        QVERIFY(agreement.cause == Cause::Level);
        QVERIFY(std::abs(agreement.cause_size + 0.15) < 0.03);
        QVERIFY(agreement.cause_low < -0.15 && -0.15 < agreement.cause_high);
    }

    void aWrongHeightIsNamedWithItsSize() {
        const auto agreement = agreementOf({.raised_mm = 30.0});
        QVERIFY(!agreement.agrees);
        QVERIFY(agreement.cause == Cause::Height);
        QVERIFY2(std::abs(agreement.cause_size - 30.0) < 10.0, english(agreement.reason).c_str());
        QVERIFY(agreement.cause_low < 30.0 && 30.0 < agreement.cause_high);
        QVERIFY(agreement.cause_low > 10.0 && agreement.cause_high < 50.0);
        QVERIFY(english(agreement.reason).find("give or take") != std::string::npos);
    }

    void aRowMovedAlongIsNamed() {
        const auto agreement = agreementOf({.along_mm = -40.0});
        QVERIFY(!agreement.agrees);
        QVERIFY(agreement.cause == Cause::Along);
        QVERIFY(agreement.cause_size < -20.0);
        QVERIFY(english(agreement.reason).find("left") != std::string::npos);
    }

    void oneWeakFixtureIsNamed() {
        const auto agreement = agreementOf({.second_fixture = 0.75});
        QVERIFY(!agreement.agrees);
        QVERIFY(agreement.cause == Cause::OneFixture);
        QCOMPARE(agreement.cause_fixture, 2);
        QVERIFY(std::abs(agreement.cause_size + 0.25) < 0.05);
    }

    void anotherBeamHasNoSingleCause() {
        const auto agreement = agreementOf({.other_beam = true});
        QVERIFY(!agreement.agrees);
        QVERIFY2(agreement.cause == Cause::None, english(agreement.reason).c_str());
        QVERIFY(english(agreement.reason).find("differs in shape") != std::string::npos);
    }

    void withoutReadingsThereIsNothingToCompare() {
        auto bench = withArray({});
        bench.runs.back().planes.front().readings.clear();
        QVERIFY(!arrayAgreement(fitted().fit, bench, bench.runs.back().id));
        bench.runs.back().tank = 0;
        QVERIFY(!arrayAgreement(fitted().fit, bench, bench.runs.back().id));
    }

    void whatTheFitFoundOfWallsHoldsInItsTankOnly() {
        auto fit = fitted().fit;
        fit.reflectance_change = 0.1;
        fit.attenuation_per_m = 0.3;
        const auto& tanks = fitted().bench.tanks;
        const auto here = tankByFit(fit, tanks[0], false);
        const auto there = tankByFit(fit, tanks[1], false);
        QCOMPARE(here.wall(Side::Back).reflectance, tanks[0].wall(Side::Back).reflectance + 0.1);
        QCOMPARE(there.wall(Side::Back).reflectance, tanks[1].wall(Side::Back).reflectance);
        QCOMPARE(here.water.attenuation_per_m, 0.3);
        QCOMPARE(there.water.attenuation_per_m, 0.3);
    }

    void theFittedFieldHoldsWaterWallsAndPlace() {
        // The model shown beside the readings is the one the fit judged them by.
        const auto& f = fitted();
        const auto run = f.sweeps.front().runs.front();
        auto model = DescribedModel::fitted(f.bench, run, f.fit);
        QVERIFY(model);
        int compared = 0;
        for (const auto& residual : f.fit.residuals) {
            if (residual.run != run || ++compared > 20) continue;
            Grid point;
            point.xs_mm = {residual.x.value()};
            point.ys_mm = {residual.y.value()};
            const double shown = model->onGrid(point, residual.depth).front().value();
            QVERIFY(std::abs(shown / residual.model - 1.0) < 0.005);
        }
        QVERIFY(compared > 20);
    }

    void theSingleSpeaksForTheArray() {
        const auto& sweeps = fitted().sweeps;
        int arrays = 0;
        for (const auto& sweep : sweeps) {
            if (sweep.configuration.fixtures < 2) continue;
            ++arrays;
            QCOMPARE(&singleOf(sweeps, sweep), &sweeps.front());
        }
        QVERIFY(arrays > 0);
        QCOMPARE(&singleOf(sweeps, sweeps.front()), &sweeps.front());
    }

    void schoolsSpeakByTheFitBetweenTheHeights() {
        const auto& f = fitted();
        FittedHeightsQuestion question;
        question.schools = schoolOptions(f.bench, f.sweeps.front());
        question.draws = 20;
        const auto heights = fittedHeights(f.fit, f.bench, f.sweeps.front(), question);
        QCOMPARE(heights.size(), kHeightSchools.size());
        QCOMPARE(heights.front().used, runsOf(f.fit));
        QCOMPARE(heights.front().asked.spill.limit, question.schools.spill.limit);
        const auto read = heightSchools(f.bench, f.sweeps.front(), question.schools);
        int spoke = 0;
        for (std::size_t i = 0; i < heights.size(); ++i) {
            QCOMPARE(heights[i].school, read[i].school);
            if (!heights[i].speaks()) continue;
            ++spoke;
            QVERIFY(*heights[i].low <= *heights[i].height && *heights[i].height <= *heights[i].high);
        }
        QVERIFY(spoke >= 3);
        // The spill limit of the readings and that of the fit are the same question.
        QVERIFY(std::abs((*heights[0].height - *read[0].crossing).value()) < 20.0);
        QVERIFY(english(fittedHeightWords(heights[0])).find("mm") != std::string::npos);
    }

    void surerReadingsGiveNarrowerHeights() {
        const auto& f = fitted();
        FittedHeightsQuestion question;
        question.schools = schoolOptions(f.bench, f.sweeps.front());
        question.draws = 20;
        auto unsure = f.fit;
        for (auto& entry : unsure.model.covariance) entry *= 9.0;
        const auto width = [&](const FitResult& fit) {
            const auto verdict = fittedHeights(fit, f.bench, f.sweeps.front(), question).front();
            return (*verdict.high - *verdict.low).value();
        };
        QVERIFY(width(unsure) > 1.5 * width(f.fit));
    }

    void onlyAddedReadingsAreTakenOneByOne() {
        const auto& f = fitted();
        const auto& sweep = f.sweeps.front();
        QCOMPARE(readingsAdded(f.bench, f.bench, sweep)->size(), std::size_t{0});
        auto before = f.bench;
        auto& readings = byId(before.runs, sweep.runs.back())->planes[0].readings;
        readings.pop_back();
        const auto added = readingsAdded(before, f.bench, sweep);
        QCOMPARE(added->size(), std::size_t{1});
        QCOMPARE(added->front().run, sweep.runs.back());
        byId(before.runs, sweep.runs.front())->planes[0].readings[3].flag = Mark::Excluded;
        QVERIFY(!readingsAdded(before, f.bench, sweep));
        before = f.bench;
        byId(before.runs, sweep.runs.front())->height = Millimetre(111);
        QVERIFY(!readingsAdded(before, f.bench, sweep));
        before = f.bench;
        before.tanks.front().wall(Side::Back).reflectance = 0.4;
        QVERIFY(!readingsAdded(before, f.bench, sweep));
    }
};

GLUMET_TEST(TestAgreement, "core_agreement", Nothing)

}  // namespace core_agreement

#include "test_agreement.moc"
