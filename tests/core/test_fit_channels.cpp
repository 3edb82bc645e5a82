#include <QTest>

#include "core/bench/sweep.h"
#include "core/fit/fit_as_described.h"
#include "core/fit_maker.h"
#include "runner/registry.h"

namespace core_fit_channels {

using namespace glumet;
using namespace glumet::testing;

namespace {

constexpr Id kBlue = 7;

/// The blue channel alone, a fifth as bright, behind the same lens.
Truth blue(double half_angle_deg) {
    Truth truth;
    truth.beam = *Beam::halfAngle(half_angle_deg);
    truth.flux = 25.0;
    return truth;
}

/// Every n-th point of a grid.
std::vector<Reading> fewOf(const std::vector<Reading>& readings, std::size_t count, std::size_t first) {
    std::vector<Reading> kept;
    for (std::size_t i = 0; i < count; ++i) kept.push_back(readings[(i * 13 + first) % readings.size()]);
    return kept;
}

/// All channels read over three heights and depths; blue alone at so many points of one plane, spread over
/// it.
Bench blueReadAt(int points, const Truth& of_blue, double noise = 0.02) {
    auto bench = read(Truth{}, noise, {150, 210, 270}, {150, 300, 450});
    auto alone = read(of_blue, noise, {210}, {300}).runs.front();
    auto& readings = alone.planes.front().readings;
    readings = fewOf(readings, static_cast<std::size_t>(points), 5);
    alone.id = static_cast<Id>(bench.runs.size()) + 1;
    alone.label = "blue alone";
    alone.preset = kBlue;
    bench.runs.push_back(alone);
    return bench;
}

/// Channels read alone, one after the other at each height, at so many points of each plane.
Bench eachReadAt(std::size_t points, const std::vector<Truth>& channels) {
    auto bench = read(Truth{}, 0.02, {}, {});
    for (std::size_t channel = 0; channel < channels.size(); ++channel)
        for (auto run : read(channels[channel], 0.02, {160, 240}, {150, 400}).runs) {
            for (auto& plane : run.planes)
                plane.readings = fewOf(plane.readings, points, 5 * channel + 3 * bench.runs.size());
            run.id = static_cast<Id>(bench.runs.size()) + 1;
            run.preset = kBlue + static_cast<Id>(channel);
            bench.runs.push_back(run);
        }
    return bench;
}

Sweep sweepOf(const Bench& bench, Id preset) {
    for (const auto& sweep : sweepsOf(bench))
        if (sweep.configuration.preset == preset) return sweep;
    return {};
}

}  // namespace

/// Channels read at few points lean on those read at many.
class TestFitChannels : public QObject {
    Q_OBJECT

  private slots:
    void byItselfItIsTooLittle() {
        const auto bench = blueReadAt(8, blue(40.0));
        QVERIFY(!fitFixture(bench, sweepOf(bench, kBlue).runs));
    }

    void eightPointsGiveTheArrayOfAChannel() {
        const auto truth = blue(40.0);
        const auto bench = blueReadAt(8, truth);
        const auto fit = fitAsDescribed(bench, sweepOf(bench, kBlue));
        QVERIFY(fit);
        QCOMPARE(fit->model.readings, 8);
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.03, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.9, qPrintable(QString::number(error.inside)));
        QVERIFY(saysOf(*fit, "leans on that of"));
    }

    /// The lens breaks blue light otherwise: a tenth narrower, a tenth wider.
    void aBeamThatIsNotQuiteTheSameIsHeld_data() {
        QTest::addColumn<double>("half_angle");
        QTest::newRow("narrower") << 36.0;
        QTest::newRow("wider") << 44.0;
    }
    void aBeamThatIsNotQuiteTheSameIsHeld() {
        QFETCH(double, half_angle);
        const auto truth = blue(half_angle);
        const auto bench = blueReadAt(8, truth);
        const auto fit = fitAsDescribed(bench, sweepOf(bench, kBlue));
        QVERIFY(fit);
        const auto error = arrayError(bench, truth, fit->model);
        QVERIFY2(error.median < 0.08, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
    }

    /// More points of its own, and less is believed of the other.
    void ofMorePointsItIsSurer() {
        const auto truth = blue(44.0);
        const auto few = blueReadAt(6, truth);
        const auto many = blueReadAt(30, truth);
        const auto by_few = fitAsDescribed(few, sweepOf(few, kBlue));
        const auto by_many = fitAsDescribed(many, sweepOf(many, kBlue));
        QVERIFY(by_few && by_many);
        QVERIFY(arrayError(many, truth, by_many->model).worst < arrayError(few, truth, by_few->model).worst);
        QVERIFY(by_many->model.fluxError() < by_few->model.fluxError());
    }

    void threePointsAreRefusedInWords() {
        const auto bench = blueReadAt(3, blue(40.0));
        const auto fit = fitAsDescribed(bench, sweepOf(bench, kBlue));
        QVERIFY(!fit);
        QCOMPARE(english(fit.error().what),
                 "3 readings are too few even beside those of other channels: 4 are needed");
    }

    void oneReadWellStandsByItself() {
        auto bench = read(Truth{}, 0.02, {150, 210}, {150, 300});
        QVERIFY(!leansOn(bench, sweepsOf(bench).front()));
        // Nor does it lean on one with an accessory, or on one that was read less than twice as much.
        bench = blueReadAt(8, blue(40.0));
        for (auto& run : bench.runs)
            if (run.preset != kBlue) run.accessory = 3;
        QVERIFY(!leansOn(bench, sweepOf(bench, kBlue)));
        bench = blueReadAt(8, blue(40.0));
        QVERIFY(leansOn(bench, sweepOf(bench, kBlue)));
        QVERIFY(!leansOn(bench, sweepOf(bench, 0)));
    }

    /// Sixteen readings of each of three channels: none can be fitted by itself, all of them can at once.
    void channelsReadAtFewPointsLeanOnAllTheOthers() {
        auto red = blue(42.0);
        red.flux = 60.0;
        const std::vector<Truth> channels{Truth{}, blue(38.0), red};
        const auto bench = eachReadAt(4, channels);
        for (std::size_t channel = 0; channel < channels.size(); ++channel) {
            const auto sweep = sweepOf(bench, kBlue + static_cast<Id>(channel));
            QVERIFY(!fitFixture(bench, sweep.runs));
            const auto on = leansOn(bench, sweep);
            QVERIFY(on);
            QCOMPARE(on->runs.size(), std::size_t{4});
            QCOMPARE(runsForFit(bench, sweep).size(), std::size_t{6});
            const auto fit = fitAsDescribed(bench, sweep);
            QVERIFY(fit);
            const auto error = arrayError(bench, channels[channel], fit->model);
            QVERIFY2(error.median < 0.04, qPrintable(QString::number(error.median)));
            QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
        }
    }

    /// However bright each of them is, runs of several channels are one beam.
    void ofRunsOfSeveralChannelsTheLevelIsThatOfTheFirst() {
        const auto bench = eachReadAt(12, {blue(40.0), Truth{}});
        const auto dim = fitFixture(bench, {1, 2, 3, 4});
        const auto bright = fitFixture(bench, {3, 4, 1, 2});
        QVERIFY(dim && bright);
        QVERIFY2(std::abs(dim->model.flux() / 25.0 - 1.0) < 0.06,
                 qPrintable(QString::number(dim->model.flux())));
        QVERIFY2(std::abs(bright->model.flux() / 120.0 - 1.0) < 0.06,
                 qPrintable(QString::number(bright->model.flux())));
    }

    /// A lens of its own shows in thirty readings: then nothing is taken from the others.
    void aBeamOfItsOwnStandsByItself() {
        const auto narrow = blue(24.0);
        auto bench = read(Truth{}, 0.02, {150, 210, 270}, {150, 300, 450});
        for (auto run : eachReadAt(8, {narrow}).runs) {
            run.id = static_cast<Id>(bench.runs.size()) + 1;
            bench.runs.push_back(run);
        }
        const auto sweep = sweepOf(bench, kBlue);
        QVERIFY(leansOn(bench, sweep));
        const auto fit = fitAsDescribed(bench, sweep);
        QVERIFY(fit);
        QVERIFY(!saysOf(*fit, "leans on that of"));
        QCOMPARE(*fit, *fitFixture(bench, sweep.runs));
    }

    /// Behind a linear lens all channels are as they are: narrow across and wide along.
    void theShapeIsTakenOver() {
        Truth all;
        all.emitters = EmitterLattice{10, 1, Millimetre(40), Millimetre(0), Millimetre(0)};
        std::vector<std::vector<double>> relative(7);
        std::vector<double> theta;
        for (int t = 0; t <= 90; t += 5) theta.push_back(t);
        for (std::size_t p = 0; p < relative.size(); ++p)
            for (const double t : theta) {
                const double half =
                    25.0 + 25.0 * std::pow(std::cos(15.0 * static_cast<double>(p) * M_PI / 180), 2);
                relative[p].push_back(std::exp(-std::log(2.0) * std::pow(t / half, 2)));
            }
        all.beam = *Beam::planes(theta, {0, 15, 30, 45, 60, 75, 90}, relative);
        auto bench = demoBench();
        bench.fixtures.resize(1);
        bench.fixtures.front().emitters = *all.emitters;
        auto of_blue = all;
        of_blue.flux = 25.0;
        auto alone = readOver(bench, of_blue, 0.02, {210}, {300}).runs.front();
        bench = readOver(bench, all, 0.02, {150, 210, 270}, {150, 300, 450});
        alone.planes.front().readings.resize(9);
        alone.id = static_cast<Id>(bench.runs.size()) + 1;
        alone.preset = kBlue;
        bench.runs.push_back(alone);
        const auto fit = fitAsDescribed(bench, sweepOf(bench, kBlue));
        QVERIFY(fit);
        QCOMPARE(fit->model.shape, BeamShape::TwoPlanes);
        const auto error = arrayError(bench, of_blue, fit->model);
        QVERIFY2(error.median < 0.05, qPrintable(QString::number(error.median)));
        QVERIFY2(error.inside > 0.85, qPrintable(QString::number(error.inside)));
    }
};

GLUMET_TEST(TestFitChannels, "core_fit_channels", Application)

}  // namespace core_fit_channels

#include "test_fit_channels.moc"
