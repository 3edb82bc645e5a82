#include <QTest>

#include "core/bench/sweep.h"
#include "core/fit/fit_as_described.h"
#include "core/fit_maker.h"

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

/// All channels read over three heights and depths; blue alone at so many points of one plane, spread over
/// it.
Bench blueReadAt(int points, const Truth& of_blue, double noise = 0.02) {
    auto bench = read(Truth{}, noise, {150, 210, 270}, {150, 300, 450});
    auto alone = read(of_blue, noise, {210}, {300}).runs.front();
    auto& readings = alone.planes.front().readings;
    std::vector<Reading> kept;
    for (int i = 0; i < points; ++i)
        kept.push_back(readings[(static_cast<std::size_t>(i) * 13 + 5) % readings.size()]);
    readings = kept;
    alone.id = static_cast<Id>(bench.runs.size()) + 1;
    alone.label = "blue alone";
    alone.preset = kBlue;
    bench.runs.push_back(alone);
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

QTEST_GUILESS_MAIN(TestFitChannels)
#include "test_fit_channels.moc"
