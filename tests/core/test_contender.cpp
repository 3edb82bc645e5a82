#include "core/compare/contender.h"

#include <QTest>
#include <cmath>

#include "core/compare/comparison.h"
#include "core/compare/shelved.h"
#include "core/fit/fit_as_described.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_contender {

using namespace glumet;

namespace {

/// The demonstration, with fits of the sweeps that are asked for, each made once.
struct Demo {
    std::shared_ptr<const Bench> bench = std::make_shared<const Bench>(demoReadings(20261124));
    std::vector<Sweep> sweeps = sweepsOf(*bench);
    std::map<Configuration, FitResult> fits;

    const FitResult* fitOf(const Sweep& sweep) {
        const auto at = fits.find(sweep.configuration);
        if (at != fits.end()) return &at->second;
        auto fit = fitAsDescribed(*bench, sweep);
        return fit ? &fits.emplace(sweep.configuration, std::move(*fit)).first->second : nullptr;
    }
    const Sweep& sweep(const char* fixture) const {
        for (const auto* one : comparedSweeps(*bench, sweeps))
            if (byId(bench->fixtures, one->configuration.fixture)->name == fixture) return *one;
        return sweeps.front();
    }
    Id raceway() const { return bench->tanks[1].id; }
};
Demo& demo() {
    static Demo one;
    return one;
}

/// Ratio of two figures against a tolerance.
bool near(double value, double expected, double tolerance) {
    return std::abs(value / expected - 1.0) < tolerance;
}

}  // namespace

class TestContender : public QObject {
    Q_OBJECT

  private slots:
    void whatWasReadIsTakenAsItIs() {
        const auto& bench = *demo().bench;
        const auto contender = contenderOf(bench, demo().sweep("Sedge Panel"), {0, Millimetre(250)}, nullptr);
        QCOMPARE(contender.basis, LightBasis::Read);
        QCOMPARE(contender.planes.size(), std::size_t{3});
        const auto& run = bench.run(contender.run);
        QCOMPARE(run.height, Millimetre(250));
        const auto& plane = contender.planes.front();
        QCOMPARE(plane.points.size(), std::size_t{36});
        QVERIFY(plane.grid.has_value());
        double sum = 0.0;
        for (const auto& reading : run.planes.front().readings)
            if (reading.counts()) sum += reading.mean.value() / 36.0;
        QVERIFY(near(plane.mean(), sum, 1e-12));
        // In the order of the grid's cells, row by row.
        QVERIFY(plane.points[1].x_mm > plane.points[0].x_mm && plane.points[6].y_mm > plane.points[0].y_mm);
        QVERIFY(plane.height_slope < 0.0 && plane.height_slope > -0.02);
        QVERIFY(plane.point_error > 0.01 && plane.point_error < 0.2);
        QVERIFY(contender.power && !contender.power_is_rated);
        QVERIFY(plane.points[0].swing > 0.0);
    }

    void repeatsTellTheErrorOfAReading() {
        // The cluster's runs hold repeats; what they scatter stands for its readings.
        const auto contender =
            contenderOf(*demo().bench, demo().sweep("Osier 60"), {0, Millimetre(210)}, nullptr);
        for (const auto& plane : contender.planes)
            QVERIFY(plane.point_error == contender.planes.front().point_error);
    }

    void aFitSpeaksForHeightsNobodyRead() {
        const auto& sweep = demo().sweep("Sedge Panel");
        const auto silent = contenderOf(*demo().bench, sweep, {0, Millimetre(275)}, nullptr);
        QVERIFY(!silent.speaks());
        QVERIFY(english(silent.missing).find("was not read at") != std::string::npos);
        const auto* fit = demo().fitOf(sweep);
        QVERIFY(fit != nullptr);
        const auto modelled = contenderOf(*demo().bench, sweep, {0, Millimetre(250)}, nullptr);
        const auto like = contenderOf(*demo().bench, sweep, {0, Millimetre(275)}, fit, &modelled);
        QCOMPARE(like.basis, LightBasis::Modelled);
        QCOMPARE(like.planes.size(), modelled.planes.size());
        for (std::size_t i = 0; i < like.planes.size(); ++i) {
            QCOMPARE(like.planes[i].points.size(), std::size_t{36});
            QVERIFY(like.planes[i].common_error > 0.0);
            QVERIFY(like.planes[i].draws.size() >= 40);
            // Between the heights that were read on either side.
            QVERIFY(like.planes[i].mean() < modelled.planes[i].mean());
            QVERIFY(like.planes[i].mean() > 0.75 * modelled.planes[i].mean());
            // The draws lie about the fit.
            double sum = 0.0;
            for (const auto& draw : like.planes[i].draws) sum += draw[14];
            QVERIFY(near(sum / static_cast<double>(like.planes[i].draws.size()),
                         like.planes[i].points[14].ppfd, 0.05));
        }
    }

    /// Held out: a fit to the other heights gives what was read at one, within its own interval.
    void whatIsModelledIsWhatWouldHaveBeenRead() {
        auto bench = *demo().bench;
        auto sweep = demo().sweep("Twin Alder");
        const auto place = ComparePlace{0, Millimetre(200)};
        const auto read = contenderOf(bench, sweep, place, nullptr);
        std::erase(sweep.runs, read.run);
        const auto fit = fitAsDescribed(bench, sweep);
        QVERIFY(fit.has_value());
        const auto modelled = contenderOf(bench, sweep, place, &*fit, &read);
        QCOMPARE(modelled.basis, LightBasis::Modelled);
        const auto pair = paired(read, modelled, true);
        QVERIFY(pair.resampled);
        QVERIFY2(pair.all.lo < 1.0 && pair.all.hi > 1.0, qPrintable(QString::number(pair.all.value)));
        QVERIFY(near(pair.all.value, 1.0, 0.03));
    }

    void anotherTankIsModelledAndSaysSo() {
        const auto& sweep = demo().sweep("Osier 60");
        const auto other =
            contenderOf(*demo().bench, sweep, {demo().raceway(), std::nullopt}, demo().fitOf(sweep));
        QCOMPARE(other.basis, LightBasis::Modelled);
        QCOMPARE(other.tank, demo().raceway());
        QCOMPARE(other.planes.size(), std::size_t{3});
        QCOMPARE(other.planes.front().grid->columns(), 12);
        const auto here = contenderOf(*demo().bench, sweep, {demo().raceway(), std::nullopt}, nullptr);
        QVERIFY(english(here.missing).find("not read in this tank") != std::string::npos);
        const auto rows = conditionsOf(*demo().bench, other, *demo().bench, other, {});
        const auto& tank = rows[static_cast<std::size_t>(Condition::Tank)];
        QCOMPARE(tank.state, ConditionState::Corrected);
        QVERIFY(tank.modelled);
    }

    void namesTellApartAndNoMore() {
        const auto contenders = contendersOf(*demo().bench, demo().sweeps, {}, {});
        std::vector<std::string> names;
        for (const auto& contender : contenders) names.push_back(contender.name);
        QCOMPARE(names,
                 (std::vector<std::string>{"Osier 60", "Osier 60, with frost diffuser", "Sallow 110",
                                           "Sedge Panel", "Twin Alder", "Rushlight 2T", "Osier 60, 9000 h"}));
    }

    /// Figures that take a fit, and what they rest on.
    void figuresByTheFitAreWorkedOutWhereTheyCount() {
        auto bench = *demo().bench;
        bench.method.weights = {{Criterion::RoomSpill, 2}, {Criterion::Shadow, 1}, {Criterion::Evenness, 1}};
        // Two fixtures are enough to see it.
        std::erase_if(bench.runs, [&](const Run& run) {
            const auto& name = byId(bench.fixtures, run.fixture)->name;
            return (name != "Sedge Panel" && name != "Twin Alder") || run.fixtures != 1;
        });
        const auto compared = compareAll(std::make_shared<const Bench>(bench),
                                         [](const Sweep& sweep) { return demo().fitOf(sweep); }, {});
        QCOMPARE(compared.judged.size(), std::size_t{2});
        const auto* panel = compared.board.figure(0, Criterion::RoomSpill);
        const auto* pair = compared.board.figure(1, Criterion::RoomSpill);
        QVERIFY(panel != nullptr && pair != nullptr);
        // A wide beam hung high spills more; neither is certain.
        QVERIFY(panel->value > pair->value && panel->value < 0.7);
        QVERIFY(panel->lo < panel->value && panel->hi > panel->value && !panel->assumed);
        QVERIFY(compared.board.figure(0, Criterion::Shadow) != nullptr);
        QVERIFY(compared.board.figure(0, Criterion::PriceForGoal) == nullptr);  // it does not count
    }

    void theNumberForAGoalAndItsPrice() {
        const auto& sweep = demo().sweep("Twin Alder");
        JudgeQuestion asked;
        asked.tank = demo().raceway();
        asked.wanted = {Criterion::PriceForGoal};
        const auto* fit = demo().fitOf(sweep);
        const auto judged =
            judge(*demo().bench, contenderOf(*demo().bench, sweep, {demo().raceway(), std::nullopt}, fit),
                  fit, asked);
        QVERIFY(judged.counted.has_value());
        QVERIFY(*judged.counted >= 2 && *judged.counted <= 6);
        QCOMPARE(judged.known.at(Criterion::PriceForGoal).value, *judged.counted * (305.0 + 22.0));
        QCOMPARE(judged.cost.count, *judged.counted);
        asked.goal_share = 1.01;
        const auto never =
            judge(*demo().bench, contenderOf(*demo().bench, sweep, {demo().raceway(), std::nullopt}, fit),
                  fit, asked);
        QVERIFY(!never.counted);
        QVERIFY(english(never.missing.at(Criterion::PriceForGoal)).find("6 of it do not") !=
                std::string::npos);
    }

    void shelvedBenchesClashWithNothing() {
        const auto& bench = *demo().bench;
        const auto both = withShelved(bench, {{bench, "one", true}, {bench, "two", false}});
        QCOMPARE(both.fixtures.size(), 3 * bench.fixtures.size());
        QCOMPARE(both.tanks.size(), bench.tanks.size());
        QCOMPARE(both.meters.size(), bench.meters.size());
        std::set<Id> ids;
        for (const auto& run : both.runs) {
            QVERIFY(ids.insert(run.id).second);
            QVERIFY(byId(both.fixtures, run.fixture) != nullptr);
            QVERIFY(byId(both.tanks, run.tank) != nullptr);
            QVERIFY(run.preset == 0 || presetById(both, run.preset) != nullptr);
        }
        const auto count = bench.runs.size();
        QVERIFY(!isShelved(both.runs[0].fixture) && isShelved(both.runs[count].fixture));
        QVERIFY(!both.runs[count].byOthers());
        QCOMPARE(both.runs[2 * count].read_by, std::string("two"));
        QVERIFY(both.fixtures.back().name.ends_with("· two"));
        QCOMPARE(both.ratings.size(), 3 * bench.ratings.size());
        for (const auto& rating : both.ratings) QVERIFY(byId(both.fixtures, rating.fixture) != nullptr);
    }

    void theDemonstrationsLampHasAged() {
        const auto ageings = ageingOf(*demo().bench, demo().sweeps);
        QCOMPARE(ageings.size(), std::size_t{1});
        const auto& aged = ageings.front().points.back();
        // 1.70 of 1.95 µmol/J, and a beam a degree wider.
        QVERIFY2(aged.output.lo < 0.872 && aged.output.hi > 0.845,
                 qPrintable(QString::number(aged.output.value)));
        QCOMPARE(aged.heights, 5);
        QVERIFY(ageings.front().look_again_h && *ageings.front().look_again_h > 500.0);
    }
};

GLUMET_TEST(TestContender, "core_contender", Nothing)

}  // namespace core_contender

#include "test_contender.moc"
