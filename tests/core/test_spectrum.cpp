#include <QFile>
#include <QTest>
#include <cmath>
#include <random>

#include "core/spectrum/bands.h"
#include "core/spectrum/blending.h"
#include "core/spectrum/colour.h"
#include "core/spectrum/correction_factor.h"
#include "core/spectrum/generic_spectra.h"
#include "core/spectrum/mix.h"
#include "core/spectrum/overlay.h"
#include "core/spectrum/pure_water.h"
#include "core/spectrum/sampled.h"
#include "core/spectrum/scan.h"
#include "core/spectrum/shape.h"
#include "core/spectrum/weighting.h"
#include "runner/registry.h"

namespace core_spectrum {

using namespace glumet;

namespace {

/// A published table of relative power.
Spectrum published(const char* name) {
    QFile file(QStringLiteral(GLUMET_SOURCE_DIR "/tests/data/spectra/%1.csv").arg(QLatin1String(name)));
    Spectrum s;
    if (!file.open(QIODevice::ReadOnly)) return s;
    file.readLine();
    while (!file.atEnd()) {
        const auto row = file.readLine().trimmed().split(',');
        s.wavelength_nm.push_back(row[0].toDouble());
        s.values.push_back(row[1].toDouble());
    }
    s.values = photonsFromWatts(s.wavelength_nm, s.values);
    return s;
}

Spectrum equalEnergy() {
    Spectrum s{{360, 830}, {1, 1}};
    for (double nm = 361; nm < 830; nm += 1) {
        s.wavelength_nm.insert(s.wavelength_nm.end() - 1, nm);
        s.values.push_back(1);
    }
    s.values = photonsFromWatts(s.wavelength_nm, s.values);
    return s;
}

Spectrum led(double peak, double width) { return ledSpectrum({{peak, width, 1.0}}); }

}  // namespace

class TestSpectrum : public QObject {
    Q_OBJECT

  private slots:
    void wattsCarryPhotonsByTheirWavelength() {
        // A joule at 555 nm is 4.6394 µmol.
        const auto photons = photonsFromWatts({555.0}, {1.0});
        QVERIFY(std::abs(photons[0] - 4.63944) < 1e-5);
        QVERIFY(std::abs(wattsFromPhotons({555.0}, photons)[0] - 1.0) < 1e-15);
    }

    void integralsAreExactForStraightLines() {
        const Spectrum ramp{{400, 500, 700}, {0, 10, 10}};
        QCOMPARE(photonsIn(ramp, 400, 700), 2500.0);
        QCOMPARE(photonsIn(ramp, 450, 460), 52.5 + 2.5);
        QCOMPARE(photonsIn(ramp, 300, 350), 0.0);
        const Spectrum half{{0.0 + 200, 1200}, {0.5, 0.5}};
        QCOMPARE(weighedIn(ramp, half, 400, 700), 1250.0);
        // ∫ (x/10)·(x/100) over 0…100, both from 400 nm: x³/3000.
        const Spectrum rising{{400, 500}, {0, 1}};
        QVERIFY(std::abs(weighedIn(ramp, rising, 400, 500) - 1e6 / 3000.0) < 1e-9);
    }

    void samplingLosesNoPhotons() {
        const Spectrum line{{450, 450.1, 450.2}, {0, 10, 0}};
        const auto s = sampled(line);
        double sum = 0;
        for (const double v : s) sum += v;
        QVERIFY(std::abs(sum - 1.0) < 1e-12);
        QVERIFY(std::abs(s[sampledStep(450)] - 1.0) < 1e-12);
        const auto wide = published("F11");
        const auto by_nm = sampled(wide);
        double all = 0;
        for (const double v : by_nm) all += v;
        QVERIFY(std::abs(all / photonsIn(wide, 360, 830) - 1.0) < 1e-9);
    }

    void coloursOfKnownLights_data() {
        QTest::addColumn<QString>("light");
        QTest::addColumn<double>("x");
        QTest::addColumn<double>("y");
        QTest::newRow("A") << "A" << 0.44758 << 0.40745;
        QTest::newRow("D65") << "D65" << 0.31272 << 0.32903;
        QTest::newRow("F2") << "F2" << 0.37208 << 0.37529;
        QTest::newRow("F7") << "F7" << 0.31292 << 0.32933;
        QTest::newRow("F11") << "F11" << 0.38052 << 0.37713;
    }
    void coloursOfKnownLights() {
        QFETCH(QString, light);
        QFETCH(double, x);
        QFETCH(double, y);
        const auto c = chromaticityOf(published(light.toLatin1().constData()));
        QVERIFY2(std::abs(c.x - x) < 5e-4, qPrintable(QString::number(c.x, 'f', 6)));
        QVERIFY2(std::abs(c.y - y) < 5e-4, qPrintable(QString::number(c.y, 'f', 6)));
    }

    void equalEnergyIsAThirdEach() {
        const auto c = chromaticityOf(equalEnergy());
        QVERIFY(std::abs(c.x - 1.0 / 3.0) < 5e-4);
        QVERIFY(std::abs(c.y - 1.0 / 3.0) < 5e-4);
    }

    void daylightIsThePublishedPhase() {
        // D65 is the phase of 6504 K.
        const auto ours = chromaticityOf(daylightPhase(6504));
        const auto theirs = chromaticityOf(published("D65"));
        QVERIFY(colourDistance(ours, theirs) < 2e-4);
    }

    void blackBodiesHaveTheirTemperature() {
        for (double kelvin = 2000; kelvin <= 20000; kelvin *= 1.07) {
            const auto t = temperatureOf(chromaticityOf(blackbody(kelvin)));
            QVERIFY2(std::abs(t.kelvin / kelvin - 1.0) < 0.005, qPrintable(QString::number(kelvin)));
            QVERIFY(std::abs(t.duv) < 1e-4);
            QVERIFY(t.meaningful());
        }
    }

    void daylightLiesAboveTheLocusAndBlueMixesFarFromIt() {
        const auto day = temperatureOf(chromaticityOf(published("D65")));
        QVERIFY(std::abs(day.kelvin - 6504) < 20);
        QVERIFY(day.duv > 0.002 && day.duv < 0.0045);
        const auto blue = temperatureOf(chromaticityOf(led(450, 20)));
        QVERIFY(!blue.meaningful());
        const auto green = temperatureOf(chromaticityOf(led(530, 30)));
        QVERIFY(green.duv > 0.05);
        const auto pink = temperatureOf(chromaticityOf(ledSpectrum({{450, 20, 1}, {660, 20, 4}})));
        QVERIFY(pink.duv < -0.02);
    }

    void renderingOfKnownLamps() {
        QVERIFY(std::abs(renderingOf(published("F2"))->general - 64) < 0.5);
        QVERIFY(std::abs(renderingOf(published("F7"))->general - 90) < 0.5);
        QVERIFY(std::abs(renderingOf(published("F11"))->general - 83) < 0.5);
        QVERIFY(renderingOf(published("A"))->general > 99.5);
        const auto day = renderingOf(daylightPhase(6500));
        for (const double one : day->special) QVERIFY(one > 99.0);
        QVERIFY(!renderingOf(led(450, 20)));
        QVERIFY(!renderingOf({{400, 700}, {0, 0}}));
    }

    void screensShowWhatTheyCan() {
        const auto white = swatchOf({0.31272, 0.32903});
        QVERIFY(white.in_gamut);
        QVERIFY(white.red >= 253 && white.green >= 253 && white.blue >= 253);
        const auto blue = swatchOf(chromaticityOf(led(450, 20)));
        QVERIFY(!blue.in_gamut);
        QVERIFY(blue.blue == 255 && blue.red < 200);
    }

    void bandsShareThePhotons() {
        const auto shares = bandShares({{380, 780}, {2, 2}}, standardBands());
        double sum = 0;
        for (std::size_t i = 0; i < shares.size(); ++i) {
            const auto& band = standardBands()[i];
            QVERIFY(std::abs(shares[i] - (band.to_nm - band.from_nm) / 400.0) < 1e-12);
            sum += shares[i];
        }
        QVERIFY(std::abs(sum - 1.0) < 1e-12);
        for (const double share : bandShares({{500, 600}, {0, 0}}, standardBands())) QCOMPARE(share, 0.0);
    }

    void bandsAreReadAsTheyAreWritten() {
        const auto again = parseBands(bandsText(standardBands()));
        QVERIFY(again);
        QVERIFY(*again == standardBands());
        QVERIFY(*parseBands("my band 420-460 nm") == std::vector<SpectralBand>({{"my band", 420, 460}}));
        for (const char* wrong :
             {"cyan", "cyan 500", "cyan 500–400", "a 400–500, a 500–600", "x 4000–5000", "x 4..1.2.3–500"})
            QVERIFY2(!parseBands(wrong), wrong);
    }

    void peaksWidthsAndGaps() {
        const auto mix = ledSpectrum({{450, 20, 1}, {660, 24, 1}});
        const auto peaks = peaksOf(mix);
        QCOMPARE(peaks.size(), std::size_t{2});
        QVERIFY(std::abs(peaks[0].nm - 450) <= 1);
        QVERIFY(std::abs(*peaks[0].width_nm - 20) < 0.3);
        QVERIFY(std::abs(*peaks[1].width_nm - 24) < 0.3);
        const auto gaps = gapsOf(mix);
        QCOMPARE(gaps.size(), std::size_t{1});
        QVERIFY(gaps[0].from_nm > 460 && gaps[0].to_nm < 650);
        QVERIFY(gapsOf(daylightPhase(5500)).empty());
        QVERIFY(gapsOf(led(660, 20)).empty());
        QVERIFY(std::abs(blueWidth(mix, 0.5) - 20) < 0.3);
        // A bell at a tenth of its height is √(log 10 / log 2) times as wide.
        QVERIFY(std::abs(blueWidth(mix, 0.1) - 20 * std::sqrt(std::log2(10.0))) < 0.5);
        QCOMPARE(blueWidth(led(660, 10), 0.5), 0.0);
    }

    void theEyeAndFarRedWeighDifferently() {
        const auto far_red = led(730, 20);
        QVERIFY(weighedShare(far_red, readyWeightings()[0]) < 0.01);
        QVERIFY(weighedShare(far_red, readyWeightings()[1]) > 0.9);
        QVERIFY(weighedShare(led(555, 10), readyWeightings()[2]) > 0.95);
    }

    void redFadesInWaterAndBlueHardly() {
        const auto red = led(660, 20);
        const double left = parOf(afterPureWater(red, 0.45)) / parOf(red);
        QVERIFY(std::abs(left - std::exp(-0.41 * 0.45)) < 0.01);
        const auto blue = led(450, 20);
        QVERIFY(parOf(afterPureWater(blue, 0.45)) / parOf(blue) > 0.99);
        // Two values 200 nm apart still follow the curve between them.
        const auto after = afterPureWater({{500, 700}, {1, 1}}, 10.0);
        QVERIFY(after.wavelength_nm.size() > 30);
        QVERIFY(std::abs(valueAt(after, 600) - std::exp(-2.224)) < 1e-12);
    }

    void correctionFactorsAreTheirIntegrals() {
        const auto light = ledSpectrum({{450, 20, 1}, {555, 120, 2}});
        const Spectrum response{{400, 450, 500, 650, 700}, {0.6, 0.85, 1.0, 1.02, 0.8}};
        // Simpson over 0.01 nm; both are lines between whole nanometres.
        double all = 0;
        double seen = 0;
        for (int i = 0; i < 30000; ++i) {
            const double a = 400 + i * 0.01;
            const auto product = [&](double nm) { return valueAt(light, nm) * curveAt(response, nm); };
            all += (valueAt(light, a) + 4 * valueAt(light, a + 0.005) + valueAt(light, a + 0.01)) / 6 * 0.01;
            seen += (product(a) + 4 * product(a + 0.005) + product(a + 0.01)) / 6 * 0.01;
        }
        QVERIFY(std::abs(*correctionFactor(light, response) / (all / seen) - 1.0) < 1e-6);
        QVERIFY(std::abs(*correctionFactor(light, response, light) - 1.0) < 1e-12);
        QVERIFY(!correctionFactor(Spectrum{{800, 850}, {1, 1}}, response));
        QVERIFY(!correctionFactor(light, {{400, 700}, {0, 0}}));
    }

    void aMixIsTheSumOfItsChannels() {
        Mix mix({{"white", led(560, 100), false, 100, 40.0, {}}, {"red", led(660, 20), true, 50, 10.0, {}}},
                standardBands());
        const auto full = mix.at({1, 1});
        QVERIFY(std::abs(full.ppfd - 150) < 1e-9);
        QCOMPARE(*full.watt, 50.0);
        QCOMPARE(*full.idle_watt, 0.0);
        QVERIFY(full.assumed);
        const auto half = mix.at({0.5, 0});
        QVERIFY(std::abs(half.ppfd - 50) < 1e-9);
        QCOMPARE(*half.watt, 20.0);
        QCOMPARE(*half.idle_watt, 30.0);
        QVERIFY(!half.assumed);
        // Its colour and shares are those of the spectrum it has.
        const auto spectrum = mix.spectrumAt({0.5, 1});
        QVERIFY(std::abs(parOf(spectrum) / mix.at({0.5, 1}).ppfd - 1.0) < 1e-6);
        const auto shares = bandShares(spectrum, standardBands());
        const auto state = mix.at({0.5, 1});
        for (std::size_t i = 0; i < shares.size(); ++i)
            QVERIFY(std::abs(shares[i] - state.band_shares[i]) < 2e-3);
        QVERIFY(colourDistance(chromaticityOf(spectrum), chromaticityOf(*state.light)) < 1e-4);
    }

    void anUnknownSpectrumHasNoColour() {
        Mix mix({{"white", led(560, 100), false, 100, {}, {}}, {"mystery", {}, false, 50, 10.0, {}}},
                standardBands());
        QVERIFY(!mix.at({1, 1}).light);
        QVERIFY(mix.at({1, 1}).band_shares.empty());
        QVERIFY(mix.at({1, 0}).light);
        QVERIFY(!mix.at({1, 0}).watt);
        QVERIFY(std::abs(mix.at({1, 1}).ppfd - 150) < 1e-9);
        QVERIFY(!mix.at({0, 0}).light);
    }

    void dimmingIsLinearUntilMeasured() {
        QCOMPARE(DimmingCurve{}.at(0.3), 0.3);
        const auto curve = dimmingCurve({{1.0, 200}, {0.5, 120}, {0.5, 124}, {0.25, 70}});
        QVERIFY(curve && curve->measured());
        QVERIFY(std::abs(curve->at(0.5) - 0.61) < 1e-12);
        QVERIFY(std::abs(curve->at(0.75) - 0.805) < 1e-12);
        QCOMPARE(curve->at(0.0), 0.0);
        QVERIFY(!dimmingCurve({{1.0, 200}}));
        QVERIFY(!dimmingCurve({{0.5, 100}, {0.25, 50}}));
    }

    void blendingOfEqualPointsIsNothing() {
        const std::vector<Spectrum> alike(9, daylightPhase(6000));
        const auto blend = blendingOf(alike, 4, standardBands());
        QCOMPARE(blend.figure.value, 0.0);
        QVERIFY(std::abs(blend.angle_from_mean[3]) < 1e-4);
    }

    void blendingFindsTheOddPointAndIgnoresBrightness() {
        std::vector<Spectrum> points(9, ledSpectrum({{450, 20, 1}, {560, 120, 3}}));
        points[2] = ledSpectrum({{450, 20, 1.3}, {560, 120, 3}});
        points[7] = scaled(points[7], 0.4);
        const auto blend = blendingOf(points, 4, standardBands());
        QVERIFY(blend.colour_from_centre[2] > 0.005);
        QVERIFY(blend.colour_from_centre[7] < 1e-12);
        QVERIFY(std::abs(blend.figure.value - blend.colour_from_centre[2] / 8) < 1e-12);
        QVERIFY(blend.figure.low <= blend.figure.value && blend.figure.high > blend.figure.value);
        QVERIFY(blend.angle_from_centre[2] > 1.0);
        QVERIFY(blendingOf({points[0], points[1]}, 0, standardBands()).colour_from_centre.empty());
        QVERIFY(
            blendingOf({points[0], points[1], {{400, 700}, {0, 0}}}, 0, standardBands()).band_shares.empty());
    }

    void overlaysHoldWhatTheyWereMadeOf() {
        std::mt19937 random(7);
        std::uniform_real_distribution<double> level(0.0, 10.0);
        std::vector<Spectrum> many;
        for (int i = 0; i < 101; ++i) many.push_back({{400, 700}, {double(i), double(i)}});
        std::shuffle(many.begin(), many.end(), random);
        const auto s = overlayStatistics(many, OverlayScale::Absolute);
        const auto at = sampledStep(550);
        QCOMPARE(s.least[at], 0.0);
        QCOMPARE(s.tenth[at], 10.0);
        QCOMPARE(s.median[at], 50.0);
        QCOMPARE(s.ninetieth[at], 90.0);
        QCOMPARE(s.greatest[at], 100.0);
        const auto peak = overlayStatistics({{{400, 700}, {5, 5}}, {{400, 700}, {9, 9}}}, OverlayScale::Peak);
        QVERIFY(std::abs(peak.least[at] - peak.greatest[at]) < 1e-6);
        QVERIFY(overlayStatistics({}, OverlayScale::Peak).median.empty());
        QCOMPARE(overlayStatistics({{{400, 700}, {5, 5}}}, OverlayScale::Absolute).median[at], 5.0);
    }

    void scansAreAveragedAndTheDarkIsTaken() {
        const std::vector<double> nm{400, 410, 420, 430, 440, 450, 460};
        const Spectrum low{nm, {1, 2, 5, 9, 5, 2, 1}};
        const Spectrum high{nm, {3, 2, 5, 11, 5, 2, 1}};
        const Spectrum dark{nm, {1, 1, 1, 1, 1, 3, 1}};
        const auto average = averageOf({low, high}, dark);
        QVERIFY(average);
        QVERIFY(average->spectrum.values == std::vector<double>({1, 1, 4, 9, 4, 0, 0}));
        QCOMPARE(average->scans, 2);
        QVERIFY(average->sd_share > 0.0 && !average->saturated);
        const Spectrum flat{nm, {1, 9, 9, 9, 5, 2, 1}};
        QVERIFY(averageOf({low, flat})->saturated);
        QCOMPARE(averageOf({low})->sd_share, 0.0);
        QVERIFY(!averageOf({}));
        QVERIFY(!averageOf({low, {{400, 500}, {1, 1}}}));
        QVERIFY(!averageOf({low}, {{400, 500}, {1, 1}}));
        QVERIFY(!averageOf({dark}, high));
    }

    void binsAreReadAsTheyAreWritten() {
        const auto bins = usualBins("Cool White");
        QVERIFY(!bins.empty());
        QVERIFY(*parseBins(binsText(bins)) == bins);
        QVERIFY(*parseBins("450/20") == std::vector<LedBin>({{450, 20, 1}}));
        QCOMPARE(usualBins("deep red").front().peak_nm, 660.0);
        QVERIFY(usualBins("channel 3").empty());
        for (const char* wrong : {"", "450", "450/", "450/2", "45/20", "450/20 x", "450/20 -1", "a/b"})
            QVERIFY2(!parseBins(wrong), wrong);
    }

    void referencesAreSpectra() {
        for (const auto& reference : referenceSpectra()) {
            QVERIFY2(!spectrumFault(reference.spectrum), reference.id.c_str());
            QVERIFY2(parOf(reference.spectrum) > 0.0, reference.id.c_str());
        }
    }

    void faultsAreNamed() {
        QVERIFY(spectrumFault({{400}, {1}}));
        QVERIFY(spectrumFault({{400, 400}, {1, 1}}));
        QVERIFY(spectrumFault({{400, 500}, {1, -1}}));
        QVERIFY(spectrumFault({{400, 500}, {1, std::nan("")}}));
        QVERIFY(spectrumFault({{100, 500}, {1, 1}}));
        QVERIFY(!spectrumFault({{400, 500}, {1, 0}}));
    }
};

GLUMET_TEST(TestSpectrum, "core_spectrum", Application)

}  // namespace core_spectrum

#include "test_spectrum.moc"
