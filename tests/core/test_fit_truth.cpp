#include <QTest>

#include "core/bench/sweep.h"
#include "core/fit/fitter.h"
#include "core/fit_maker.h"
#include "core/verdicts/enough.h"
#include "core/verdicts/fitted_heights.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_fit_truth {

using namespace glumet;
using namespace glumet::testing;

namespace {

/// Narrow across (y), wide along (x).
Beam linearLens() {
    return beamByPlanes(90, 15, [](double theta, double phi) {
        const double q = std::tan(std::min(theta, 1.55));
        const double x = q * std::cos(phi) / std::tan(50.0 * M_PI / 180.0);
        const double y = q * std::sin(phi) / std::tan(26.0 * M_PI / 180.0);
        return std::exp(-std::log(2.0) * (x * x + y * y)) * std::cos(theta);
    });
}

EmitterLattice lattice(int columns, int rows, double pitch_x, double pitch_y) {
    return {columns, rows, Millimetre(pitch_x), Millimetre(pitch_y), Millimetre(0)};
}

/// The demonstration's tank under a fixture with such emitters.
Bench benchUnder(const EmitterLattice& emitters) {
    auto bench = demoBench();
    bench.fixtures.resize(1);
    bench.fixtures.front().emitters = emitters;
    return bench;
}

const std::vector<double> kHeights{150, 210, 270};
const std::vector<double> kDepths{150, 300, 450};

/// Adds twelve means: four heights, one depth, three rings.
void addRingMeans(Bench& bench, const Truth& truth) {
    std::vector<Run> made;
    auto unread = bench;
    unread.runs.clear();
    for (auto run : readOver(unread, truth, 0.0, {150, 200, 250, 300}, {300}).runs) {
        run.id += static_cast<Id>(bench.runs.size());
        std::array<double, 3> sums{};
        std::array<double, 3> counts{};
        for (const auto& reading : run.planes[0].readings) {
            const int i = static_cast<int>(reading.x.value() / 100.0);
            const int j = static_cast<int>(reading.y.value() / 100.0);
            const auto ring = static_cast<std::size_t>(std::min({i, j, 5 - i, 5 - j}));
            sums[ring] += reading.mean.value();
            ++counts[ring];
        }
        run.planes = {Plane{}};
        run.planes[0].depth = Millimetre(300);
        run.read_by = "a chart";
        for (int ring = 0; ring < 3; ++ring) {
            const auto at = static_cast<std::size_t>(ring);
            run.planes[0].means.push_back({0, 6, 6, {ring}, Ppfd(sums[at] / counts[at]), 0.02});
        }
        made.push_back(run);
    }
    bench.runs.insert(bench.runs.end(), made.begin(), made.end());
}

}  // namespace

/// What the fit makes of fixtures, rulers and layouts that are not as the plain picture has them.
class TestFitTruth : public QObject {
    Q_OBJECT

  private slots:
    void aLinearLensIsTold() {
        Truth truth;
        truth.beam = linearLens();
        const auto bench = readOver(benchUnder(lattice(10, 1, 40, 0)), truth, 0.02, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        QCOMPARE(fit->model.shape, BeamShape::TwoPlanes);
        FitOptions round;
        round.shapes = false;
        const auto forced = fitFixture(bench, allRuns(bench), round);
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.02, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
        QVERIFY(arrayError(bench, truth, forced->model).median > 2.0 * error.median);
        // Along the fixture it reaches farther than across it.
        const auto at = [&](double phi) {
            return BeamBasis::intensity(fit->model.shape, fit->model.beam, 40.0, phi);
        };
        QVERIFY(at(0.0) > 2.0 * at(M_PI / 2));
    }

    /// Where the lamp's ends are near the walls the field bends within millimetres of its place.
    void aLineNearlyAsLongAsItsTankIsPlaced_data() {
        QTest::addColumn<int>("emitters");
        QTest::newRow("ends 40 mm from the walls") << 14;
        QTest::newRow("ends 20 mm from the walls") << 15;
    }
    void aLineNearlyAsLongAsItsTankIsPlaced() {
        QFETCH(int, emitters);
        Truth truth;
        truth.beam = linearLens();
        const auto bench = readOver(benchUnder(lattice(emitters, 1, 40, 0)), truth, 0.03, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        for (const auto what : {FitQuantity::PlaceAlong, FitQuantity::UnevenAlong}) {
            const auto& all = fit->parameters;
            const auto found =
                std::find_if(all.begin(), all.end(), [&](const auto& p) { return p.what == what; });
            QVERIFY(found != all.end());
            QVERIFY2(std::abs(found->value) < 2.5 * found->error,
                     qPrintable(QStringLiteral("%1 ± %2").arg(found->value).arg(found->error)));
        }
    }

    /// What was measured again before the first reading is believed: a run that hangs higher than it says is
    /// found out sooner.
    void aHeightMeasuredAgainNarrowsItsRun() {
        const Truth truth;
        auto bench = read(truth, 0.03, kHeights, {150, 300});
        auto& run = bench.runs[1];
        run.height = run.height - Millimetre(8);  // it says so much less
        const auto slipOf = [&] {
            const auto fit = fitFixture(bench, allRuns(bench));
            for (const auto& slip : fit->slips)
                if (slip.run == run.id) return slip.height_mm;
            return 0.0;
        };
        const double untold = slipOf();
        CommissionCheck check;
        check.run = run.id;
        check.kind = CheckKind::Height;
        check.value = run.height.value() + 8.0;
        bench.checks.push_back(check);
        const double told = slipOf();
        QVERIFY2(std::abs(told - 8.0) < std::abs(untold - 8.0),
                 qPrintable(QStringLiteral("%1 told, %2 untold").arg(told).arg(untold)));
        QVERIFY(told > 4.0);
    }

    /// A run that was measured again is not bent where it is believed to hang.
    void whatWasMeasuredAgainIsNoStrain() {
        const Truth truth;
        auto bench = read(truth, 0.03, kHeights, {150, 300});
        auto& run = bench.runs[1];
        CommissionCheck check;
        check.run = run.id;
        check.kind = CheckKind::Height;
        check.value = run.height.value() + 15.0;
        run.height = run.height - Millimetre(15);
        bench.checks.push_back(check);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        QVERIFY(strainOf(*fit, bench) < scatterOf(*fit) + 0.1);
    }

    /// The beam may have come out turning about its axis to make up for the one run that a meter in the wrong
    /// mode spoilt: the run is named all the same, of three too.
    void aSpoiltRunIsNamedBehindABeamThatMakesUpForIt() {
        auto bench = demoReadings(16);
        const auto sweeps = sweepsOf(bench);
        const auto panel = std::find_if(sweeps.begin(), sweeps.end(), [&](const Sweep& sweep) {
            return configurationName(bench, sweep.configuration).starts_with("Sedge Panel");
        });
        QVERIFY(panel != sweeps.end());
        const std::vector<Id> three(panel->runs.begin(), panel->runs.begin() + 3);
        const auto fit = fitFixture(bench, three);
        QVERIFY(fit && fit->model.shape != BeamShape::Round);
        QVERIFY(saysOf(*fit, "the run at 200 mm: it reads −24 %"));
    }

    /// What spoils a fit is found by trying: a run in another unit, a run that hung elsewhere, a wall.
    void theLikeliestCauseIsNamed() {
        const Truth truth;
        const auto bench = read(truth, 0.02, kHeights, {150, 300});
        const auto says = [](const Bench& of, const char* words) {
            const auto fit = fitFixture(of, allRuns(of));
            return fit && saysOf(*fit, words);
        };
        QVERIFY(!says(bench, "likeliest cause"));
        auto dimmer = bench;
        for (auto& plane : dimmer.runs[1].planes)
            for (auto& reading : plane.readings) reading.mean = reading.mean * 0.8;
        QVERIFY(says(dimmer, "the run at 210 mm: it reads −20 %"));
        auto elsewhere = bench;
        elsewhere.runs[1].height = Millimetre(120);
        QVERIFY(says(elsewhere, "The likeliest cause is the run at 120 mm"));
        Truth shiny;
        shiny.reflectance = 0.9;
        auto painted = demoBench();
        painted.fixtures.resize(1);
        for (auto& wall : painted.tanks.front().walls) wall = {WallKind::Opaque, 0.05};
        QVERIFY(says(readOver(std::move(painted), shiny, 0.02, kHeights, {150, 300}),
                     "The painted walls reflect"));
    }

    /// A bar that hung across in one run, or in all of them, and nobody noted it.
    void aTurnNobodyNotedIsNamed() {
        Truth truth;
        truth.beam = linearLens();
        const auto along = benchUnder(lattice(10, 1, 40, 0));
        auto bench = readOver(along, truth, 0.02, {150, 270}, {150, 300});
        truth.turn_deg = 90.0;
        bench = readOver(std::move(bench), truth, 0.02, {210}, {150, 300});
        bench.runs.back().turn_deg = 0.0;
        const auto one = fitFixture(bench, allRuns(bench));
        QVERIFY(one);
        QVERIFY(saysOf(*one, "the run at 210 mm: it reads as if the fixture hung turned by 90° there"));
        truth.turn_deg = 0.0;
        const auto error = arrayError(bench, truth, one->model);
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
        truth.turn_deg = 90.0;
        truth.beam = *Beam::halfAngle(35.0);
        auto all = readOver(along, truth, 0.02, kHeights, {150, 300});
        for (auto& run : all.runs) run.turn_deg = 0.0;
        const auto fit = fitFixture(all, allRuns(all));
        QVERIFY(fit);
        QVERIFY(saysOf(*fit, "hung turned by 90° against what all runs say"));
    }

    void aShroudNobodyDescribedIsNamed() {
        auto bench = benchUnder(lattice(10, 6, 34, 34));
        auto& fixture = bench.fixtures.front();
        fixture.length = fixture.shroud_length = Millimetre(360);
        fixture.width = fixture.shroud_width = Millimetre(224);
        fixture.shroud_drop = Millimetre(45);
        Truth truth;
        truth.beam = *Beam::cosinePower(1.1);
        bench = readOver(std::move(bench), truth, 0.01, kHeights, kDepths);
        const auto told = fitFixture(bench, allRuns(bench));
        QVERIFY(told && !saysOf(*told, "shroud"));
        auto untold = bench;
        untold.fixtures.front().shroud_length = untold.fixtures.front().shroud_width = Millimetre(0);
        const auto fit = fitFixture(untold, allRuns(untold));
        QVERIFY(fit);
        QVERIFY(saysOf(*fit, "and none is described"));
        QVERIFY(fit->model.shroud);
        QVERIFY2(std::abs(fit->model.shroud->drop_mm - 45.0) < 10.0,
                 qPrintable(QString::number(fit->model.shroud->drop_mm)));
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.02, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
    }

    /// Where the readings leave open how far a shroud reaches, or whether there is one, the interval says so.
    void whatIsLeftOpenOfAShroudIsInTheInterval_data() {
        QTest::addColumn<double>("drop_mm");
        QTest::addColumn<double>("power");
        QTest::addColumn<double>("noise");
        QTest::addColumn<std::vector<double>>("depths");
        QTest::addColumn<bool>("taken");
        QTest::newRow("how far") << 45.0 << 1.4 << 0.02 << std::vector<double>{150} << true;
        QTest::newRow("whether") << 60.0 << 1.1 << 0.04 << std::vector<double>{150, 300} << false;
    }
    void whatIsLeftOpenOfAShroudIsInTheInterval() {
        QFETCH(double, drop_mm);
        QFETCH(double, power);
        QFETCH(double, noise);
        QFETCH(std::vector<double>, depths);
        QFETCH(bool, taken);
        auto bench = benchUnder(lattice(10, 6, 34, 34));
        auto& fixture = bench.fixtures.front();
        fixture.shroud_length = Millimetre(360);
        fixture.shroud_width = Millimetre(224);
        fixture.shroud_drop = Millimetre(drop_mm);
        Truth truth;
        truth.beam = *Beam::cosinePower(power);
        bench = readOver(std::move(bench), truth, noise, kHeights, depths);
        auto untold = bench;
        auto& body = untold.fixtures.front();
        body.length = body.shroud_length + Millimetre(14);
        body.width = body.shroud_width + Millimetre(14);
        body.shroud_length = body.shroud_width = Millimetre(0);
        const auto fit = fitFixture(untold, allRuns(untold));
        QVERIFY(fit);
        QCOMPARE(fit->model.shroud.has_value(), taken);
        QVERIFY2(fit->model.misfit > 0.02, qPrintable(QString::number(fit->model.misfit)));
        QVERIFY(saysOf(*fit, taken ? "and none is described" : "A shroud that nobody described would"));
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
    }

    /// A run with the fixture turned a quarter belongs to the same fit, and is seen as turned.
    void aTurnedRunIsFittedAsTurned() {
        Truth truth;
        truth.beam = linearLens();
        auto bench = readOver(benchUnder(lattice(10, 1, 40, 0)), truth, 0.02, {200}, kDepths);
        truth.turn_deg = 90.0;
        bench = readOver(std::move(bench), truth, 0.02, {200}, kDepths);
        const auto sweeps = sweepsOf(bench);
        QCOMPARE(sweeps.size(), std::size_t{2});
        QCOMPARE(sweeps[0].runs, std::vector<Id>{1});
        QCOMPARE(sweeps[0].turned, std::vector<Id>{2});
        const auto fit = fitFixture(bench, sweeps[0].forFit());
        QVERIFY(fit);
        QCOMPARE(fit->model.readings, 2 * 108);
        QCOMPARE(fit->model.shape, BeamShape::TwoPlanes);
        truth.turn_deg = 0.0;
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.02, qPrintable(QString::number(error.median)));
        auto untold = bench;
        for (auto& run : untold.runs) run.turn_deg = 0.0;
        FitOptions as_said;
        as_said.shapes = false;
        const auto confused = fitFixture(untold, allRuns(untold), as_said);
        QVERIFY(!confused || confused->reduced_chi_square > 4.0 * fit->reduced_chi_square);
    }

    /// The plane that narrows the chosen school's height is looked for among turned hangings and other
    /// heights too; what it is said to leave is less than there is.
    void thePlannerOffersTurnedHangingsAndOtherHeights() {
        Truth truth;
        truth.beam = linearLens();
        const auto bench = readOver(benchUnder(lattice(10, 1, 40, 0)), truth, 0.02, {180, 240}, {150, 300});
        const auto sweep = sweepsOf(bench).front();
        const auto fit = fitFixture(bench, sweep.forFit());
        QVERIFY(fit);
        FittedHeightsQuestion asked;
        asked.schools = schoolOptions(bench, sweep);
        const auto heights = fittedHeights(*fit, bench, sweep, asked);
        const auto speaks = std::find_if(heights.begin(), heights.end(), [](const FittedHeight& height) {
            return height.speaks() && height.low && !height.slope.empty();
        });
        QVERIFY(speaks != heights.end());
        EnoughQuestion question;
        question.tank = tankByFit(*fit, bench.tanks.front(), false);
        question.grid = *bench.runs[0].planes[0].grid;
        question.heights = {Millimetre(180), Millimetre(240)};
        question.further = {Millimetre(140), Millimetre(320)};
        question.depths = {Millimetre(150), Millimetre(300)};
        for (const auto height : question.heights)
            for (const auto depth : question.depths) question.read.emplace_back(height, depth);
        question.turns_deg = {0.0, 90.0};
        question.verdict = LeaningHeight{*speaks->height, speaks->slope};
        const auto known = whatTellsMost(fit->model, question);
        QCOMPARE(known.height, speaks->height);
        // Four turned at the heights that were read, and both turns at two heights more.
        QCOMPARE(known.offers.size(), std::size_t{12});
        for (const auto& offer : known.offers) {
            QVERIFY(!offer.planned);
            QVERIFY(offer.error_after_mm <= known.error_mm);
        }
        QVERIFY(known.offers.front().error_after_mm < 0.97 * known.error_mm);
        // Much of what the draws say is what the slopes say.
        const double half = 0.5 * (*speaks->high - *speaks->low).value();
        QVERIFY2(known.error_mm > 0.25 * half && known.error_mm < 4.0 * half,
                 qPrintable(QStringLiteral("%1 against %2").arg(known.error_mm).arg(half)));
    }

    void aRoundBeamIsLeftRound() {
        const Truth truth;
        const auto bench = read(truth, 0.03, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QCOMPARE(fit->model.shape, BeamShape::Round);
        QCOMPARE(fit->shape_evidence.size(), std::size_t{2});
        QCOMPARE(fit->model.beam.size(), std::size_t{BeamBasis::kSize});
    }

    /// Readings see the fixture's own offset and the ruler's as one; only the first goes along.
    void theRulerStaysBehind() {
        Truth truth;
        truth.height_offset = 0.0;
        truth.ruler = 8.0;
        const auto bench = read(truth, 0.01, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        const auto there = fit->model.elsewhere();
        QVERIFY2(fit->model.height_offset_mm > 1.5, qPrintable(QString::number(fit->model.height_offset_mm)));
        QVERIFY(std::abs(there.height_offset_mm) < std::abs(fit->model.height_offset_mm));
        QVERIFY(there.covariance.back() > 4.0 * 4.0);
        QVERIFY(there.covariance.back() > fit->model.covariance.back());
        // Elsewhere the interval holds the truth where the bench's own is sure of what does not hold.
        const auto sure = arrayError(bench, truth, fit->model);
        const auto honest = arrayError(bench, truth, there);
        QVERIFY2(honest.inside > 0.95, qPrintable(QString::number(honest.inside)));
        QVERIFY(sure.inside < honest.inside);
        // Once there, it is there.
        QCOMPARE(there.elsewhere(), there);
    }

    void checksOfRulerAndEmittersMakeItSurer() {
        const Truth truth;
        const auto bench = read(truth, 0.02, kHeights, kDepths);
        FitOptions checked;
        checked.ruler_mm = 1.0;
        const auto loose = fitFixture(bench, allRuns(bench))->model.elsewhere();
        const auto tight = fitFixture(bench, allRuns(bench), checked)->model.elsewhere();
        QVERIFY(tight.covariance.back() < 0.5 * loose.covariance.back());
    }

    void oneHalfThatIsBrighterIsFound() {
        Truth truth;
        truth.brighter_right = 0.15;
        auto pair = lattice(2, 1, 240, 0);
        pair.size = Millimetre(60);
        const auto bench = readOver(benchUnder(pair), truth, 0.02, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        const auto uneven = std::find_if(fit->parameters.begin(), fit->parameters.end(),
                                         [](const auto& p) { return p.what == FitQuantity::UnevenAlong; });
        QVERIFY(uneven != fit->parameters.end());
        QVERIFY2(std::abs(uneven->value - 15.0) < 4.0, qPrintable(QString::number(uneven->value)));
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.02, qPrintable(QString::number(error.median)));
    }

    void aDescribedShroudIsKept() {
        Truth truth;
        truth.beam = *Beam::cosinePower(1.0);
        auto with = benchUnder(lattice(8, 5, 40, 40));
        with.fixtures.front().shroud_length = Millimetre(340);
        with.fixtures.front().shroud_width = Millimetre(220);
        with.fixtures.front().shroud_drop = Millimetre(45);
        const auto bench = readOver(with, truth, 0.01, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit->model.shroud.has_value());
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.015, qPrintable(QString::number(error.median)));
        // The same readings under a fixture without one.
        auto without = bench;
        without.fixtures.front().shroud_length = Millimetre(0);
        FitOptions round;
        round.shapes = false;
        const auto bare = fitFixture(without, allRuns(without), round);
        QVERIFY(bare->reduced_chi_square > fit->reduced_chi_square);
    }

    void aWrongLayoutIsDoubtedAndAllowedFor_data() {
        QTest::addColumn<EmitterLattice>("lamps");
        QTest::addColumn<EmitterLattice>("told");
        QTest::addColumn<double>("half_deg");
        QTest::addColumn<bool>("explained");
        QTest::newRow("a panel as a point, by what is left over")
            << lattice(10, 6, 45, 45) << lattice(1, 1, 0, 0) << 58.0 << false;
        // A beam that turns makes up for it to the last reading, but from a height that nobody believes.
        QTest::newRow("a cluster as a panel, by its height")
            << lattice(4, 3, 28, 28) << lattice(6, 5, 50, 50) << 40.0 << true;
    }
    void aWrongLayoutIsDoubtedAndAllowedFor() {
        QFETCH(EmitterLattice, lamps);
        QFETCH(EmitterLattice, told);
        QFETCH(double, half_deg);
        QFETCH(bool, explained);
        Truth truth;
        truth.emitters = lamps;
        truth.beam = *Beam::halfAngle(half_deg);
        const auto bench = readOver(benchUnder(told), truth, 0.03, kHeights, kDepths);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        QCOMPARE(excessOf(*fit) < 1.0, explained);
        QVERIFY(saysOf(*fit, "as described do not explain the readings"));
        QVERIFY(fit->model.misfit > 0.02);
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.inside > 0.9, qPrintable(QString::number(error.inside)));
    }

    /// Emitters listed one by one are doubted as a lattice is, and the doubt outlives a reading more.
    void aDoubtStaysWhenAReadingIsAdded() {
        Truth truth;
        truth.emitters = lattice(10, 6, 45, 45);
        truth.beam = *Beam::cosinePower(1.1);
        auto bench = readOver(benchUnder(lattice(10, 6, 45, 45)), truth, 0.03, kHeights, kDepths);
        auto& plane = bench.runs[2].planes[2];
        const auto last = plane.readings.back();
        plane.readings.pop_back();
        FitOptions told;
        told.emitters = {{0.0, 0.0, 1.0}};
        auto stream = StreamingFit::begin(bench, allRuns(bench), told);
        QVERIFY(stream);
        QVERIFY(saysOf(stream->result(), "as described do not explain the readings"));
        const double misfit = stream->result().model.misfit;
        QVERIFY(stream->add(3, plane.depth, last));
        QVERIFY(saysOf(stream->result(), "as described do not explain the readings"));
        QVERIFY(stream->result().model.misfit >= misfit);
    }

    void nobodyNeedDescribeTheEmitters() {
        Truth truth;
        truth.emitters = lattice(6, 4, 80, 80);
        truth.beam = *Beam::cosinePower(1.1);
        const auto bench = readOver(benchUnder(lattice(1, 1, 0, 0)), truth, 0.02, kHeights, kDepths);
        const auto fit = fitUnknownLayout(bench, allRuns(bench));
        QVERIFY(fit);
        QVERIFY(saysOf(*fit, "emitters are not described"));
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.04, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.75, qPrintable(QString::number(error.inside)));
    }

    /// Tubes are lines of light: emitters far between, each seen through the walls to a place of its own,
    /// gave edges that tubes do not have.
    void nobodyNeedDescribeTubes() {
        Truth truth;
        truth.emitters = lattice(24, 2, 22, 70);
        truth.beam = tubesInReflector();
        const auto bench = readOver(benchUnder(lattice(1, 1, 0, 0)), truth, 0.03, kHeights, kDepths);
        const auto fit = fitUnknownLayout(bench, allRuns(bench));
        QVERIFY(fit);
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.02, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.9, qPrintable(QString::number(error.inside)));
    }

    void twelveRingMeansGiveAField() {
        Truth truth;
        truth.attenuation = 0.0;
        auto bench = demoBench();
        bench.fixtures.resize(1);
        addRingMeans(bench, truth);
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY2(fit, fit ? "" : english(fit.error()).c_str());
        QCOMPARE(fit->means, 12);
        QCOMPARE(fit->residuals[1].ring, std::optional<int>(1));
        QVERIFY(saysOf(*fit, "12 of the readings are means read by others"));
        QVERIFY(saysOf(*fit, "do not tell whether the light is round"));
        const auto error = arrayError(bench, truth, fit->model.elsewhere());
        QVERIFY2(error.median < 0.05, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.9, qPrintable(QString::number(error.inside)));
    }

    void whatMeansCannotCarryIsRefused() {
        const Truth truth;
        auto bench = demoBench();
        bench.fixtures.resize(1);
        addRingMeans(bench, truth);
        const auto why = [&] {
            const auto fit = fitFixture(bench, allRuns(bench));
            return fit ? std::string("fitted") : english(fit.error());
        };
        auto& mean = bench.runs[bench.runs.size() - 3].planes[0].means[1];
        mean.ring.number = 3;
        QVERIFY2(why().find("a grid of 6 × 6 points has no ring 3") != std::string::npos, why().c_str());
        mean.ring.number = 1;
        bench.runs.resize(bench.runs.size() - 2);
        QVERIFY2(why().find("too few") != std::string::npos, why().c_str());
    }

    /// Means and readings of one's own are weighed together, each by its own uncertainty.
    void meansAndReadingsAreFittedTogether() {
        const Truth truth;
        auto bench = read(truth, 0.02, kHeights, kDepths);
        const auto alone = fitFixture(bench, allRuns(bench));
        addRingMeans(bench, truth);
        const auto both = fitFixture(bench, allRuns(bench));
        QVERIFY(both);
        QCOMPARE(both->model.readings, alone->model.readings + 12);
        QCOMPARE(both->means, 12);
        QVERIFY(!saysOf(*both, "whether the light is round"));
        QVERIFY(std::abs(both->model.flux() / alone->model.flux() - 1.0) < 0.02);
    }
};

GLUMET_TEST(TestFitTruth, "core_fit_truth", Application)

}  // namespace core_fit_truth

#include "test_fit_truth.moc"
