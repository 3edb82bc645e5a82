#include <QTest>
#include <cmath>
#include <numeric>
#include <random>

#include "core/dose/day.h"
#include "core/spectrum/bands.h"
#include "core/spectrum/blending.h"
#include "core/spectrum/colour.h"
#include "core/spectrum/correction_factor.h"
#include "core/spectrum/generic_spectra.h"
#include "core/spectrum/mix.h"
#include "core/spectrum/overlay.h"
#include "core/spectrum/pure_water.h"
#include "core/spectrum/sampled.h"
#include "core/spectrum/shape.h"
#include "core/spectrum/weighting.h"
#include "runner/registry.h"

namespace core_spectrum_laws {

using namespace glumet;

namespace {

bool near(double value, double expected, double relative = 1e-9) {
    return std::abs(value - expected) <= relative * std::max(1e-12, std::abs(expected));
}

/// Spectra of no lamp: any steps, any span, any values.
class Anything {
  public:
    explicit Anything(unsigned seed) : engine_(seed) {}

    double between(double low, double high) { return std::uniform_real_distribution<>(low, high)(engine_); }
    int whole(int low, int high) { return std::uniform_int_distribution<>(low, high)(engine_); }
    Spectrum spectrum() {
        Spectrum out;
        double nm = between(360, 420);
        const double end = between(690, 830);
        const double step = between(0.2, 12.0);
        while (nm < end) {
            out.wavelength_nm.push_back(nm);
            out.values.push_back(whole(0, 4) == 0 ? 0.0 : between(0, 3));
            nm += step * between(0.5, 1.5);
        }
        return out;
    }
    std::vector<Spectrum> several(int count) {
        std::vector<Spectrum> out;
        for (int i = 0; i < count; ++i) out.push_back(spectrum());
        return out;
    }

  private:
    std::mt19937 engine_;
};

Spectrum sum(const Spectrum& a, const Spectrum& b) {
    auto x = sampled(a);
    const auto y = sampled(b);
    for (std::size_t i = 0; i < kSampledSteps; ++i) x[i] += y[i];
    Spectrum out;
    for (std::size_t i = 0; i < kSampledSteps; ++i) {
        out.wavelength_nm.push_back(sampledNm(i));
        out.values.push_back(x[i]);
    }
    return out;
}

}  // namespace

/// What holds of every spectrum, whatever it is of.
class TestSpectrumLaws : public QObject {
    Q_OBJECT

  private slots:
    void whatIsDrawnIsASpectrum() {
        Anything any(1);
        for (int i = 0; i < 200; ++i) QVERIFY(!spectrumFault(any.spectrum()));
    }

    void integralsOfPartsAddUp() {
        Anything any(2);
        for (int i = 0; i < 200; ++i) {
            const auto s = any.spectrum();
            const double at = any.between(420, 690);
            QVERIFY(near(photonsIn(s, 400, at) + photonsIn(s, at, 700), photonsIn(s, 400, 700)));
            const auto w = any.spectrum();
            QVERIFY(
                near(weighedIn(s, w, 400, at) + weighedIn(s, w, at, 700), weighedIn(s, w, 400, 700), 1e-8));
            QVERIFY(near(parOf(scaled(s, 3.5)), 3.5 * parOf(s)));
        }
    }

    void aWeightOfOneChangesNothing() {
        Anything any(3);
        const Spectrum one{{200, 1200}, {1, 1}};
        for (int i = 0; i < 100; ++i) {
            const auto s = any.spectrum();
            QVERIFY(near(weighedIn(s, one, 380, 780), photonsIn(s, 380, 780)));
            QVERIFY(near(*correctionFactor(s, one), 1.0));
        }
    }

    void aFactorKnowsNoBrightness() {
        Anything any(4);
        for (int i = 0; i < 100; ++i) {
            const auto s = any.spectrum();
            auto response = any.spectrum();
            for (double& value : response.values) value += 0.2;
            const double factor = *correctionFactor(s, response);
            QVERIFY(near(*correctionFactor(scaled(s, 7), response), factor));
            QVERIFY(near(*correctionFactor(s, scaled(response, 2)), factor / 2));
            QVERIFY(near(*correctionFactor(s, response, s), 1.0));
        }
    }

    void samplingKeepsEveryPhoton() {
        Anything any(5);
        for (int i = 0; i < 200; ++i) {
            const auto s = any.spectrum();
            const auto by_nm = sampled(s);
            const double all = std::accumulate(by_nm.begin(), by_nm.end(), 0.0);
            QVERIFY(near(all, photonsIn(s, kSampledFromNm - 0.5, sampledNm(kSampledSteps - 1) + 0.5), 1e-9));
            for (const double value : by_nm) QVERIFY(value >= 0.0);
        }
    }

    void coloursAddAsLightDoes() {
        Anything any(6);
        for (int i = 0; i < 100; ++i) {
            const auto a = any.spectrum();
            const auto b = any.spectrum();
            const auto both = tristimulusOf(sum(a, b));
            const auto apart = tristimulusOf(a) + tristimulusOf(b);
            QVERIFY(near(both.x, apart.x, 1e-3));
            QVERIFY(near(both.y, apart.y, 1e-3));
            QVERIFY(colourDistance(chromaticityOf(a), chromaticityOf(scaled(a, 40))) < 1e-12);
        }
    }

    void everyColourLiesWhereColoursLie() {
        Anything any(7);
        for (int i = 0; i < 300; ++i) {
            const auto c = chromaticityOf(any.spectrum());
            QVERIFY(c.x > 0.0 && c.y > 0.0 && c.x + c.y < 1.0);
            const auto t = temperatureOf(c);
            QVERIFY(t.kelvin >= 1000.0 * 0.999 && t.kelvin <= 100000.0 * 1.001);
            QVERIFY(std::isfinite(t.duv) && std::abs(t.duv) < 0.5);
        }
    }

    void noLampRendersBetterThanItsReference() {
        Anything any(8);
        for (double kelvin = 2600; kelvin < 12000; kelvin += 500) {
            const auto reference = kelvin < 5000 ? blackbody(kelvin) : daylightPhase(kelvin);
            const auto r = renderingOf(reference);
            QVERIFY(r && r->general > 99.0 && r->general <= 100.0 + 1e-9);
            for (const double one : r->special) QVERIFY(one <= 100.0 + 1e-9);
        }
    }

    void sharesOfAllBandsAreAll() {
        Anything any(9);
        for (int i = 0; i < 200; ++i) {
            const auto shares = bandShares(any.spectrum(), standardBands());
            QVERIFY(near(std::accumulate(shares.begin(), shares.end(), 0.0), 1.0));
        }
    }

    void waterAddsUpAndOnlyTakes() {
        Anything any(10);
        for (int i = 0; i < 100; ++i) {
            const auto s = any.spectrum();
            const double a = any.between(0, 5);
            const double b = any.between(0, 5);
            const auto steps = afterPureWater(afterPureWater(s, a), b);
            const auto once = afterPureWater(s, a + b);
            for (double nm = 400; nm < 690; nm += 7.3)
                QVERIFY(near(valueAt(steps, nm), valueAt(once, nm), 0.02) || valueAt(once, nm) < 1e-6);
            QVERIFY(parOf(once) <= parOf(s));
            QVERIFY(afterPureWater(s, 0.0).values.size() >= s.values.size());
            QVERIFY(near(parOf(afterPureWater(s, 0.0)), parOf(s)));
        }
    }

    void aMixIsLinearInItsLevels() {
        Anything any(11);
        for (int i = 0; i < 40; ++i) {
            std::vector<MixChannel> channels;
            for (int c = 0; c < 4; ++c)
                channels.push_back(
                    {std::to_string(c), any.spectrum(), false, any.between(5, 200), any.between(1, 50), {}});
            const Mix mix(channels, standardBands());
            std::vector<double> levels;
            for (int c = 0; c < 4; ++c) levels.push_back(any.between(0.05, 1));
            const auto state = mix.at(levels);
            auto halved = levels;
            for (double& level : halved) level *= 0.5;
            const auto half = mix.at(halved);
            QVERIFY(near(half.ppfd, 0.5 * state.ppfd));
            QVERIFY(near(*half.watt, 0.5 * *state.watt));
            QVERIFY(near(*half.watt + *half.idle_watt, *state.watt + *state.idle_watt));
            QVERIFY(colourDistance(chromaticityOf(*half.light), chromaticityOf(*state.light)) < 1e-9);
            QVERIFY(
                near(std::accumulate(state.band_shares.begin(), state.band_shares.end(), 0.0), 1.0, 1e-6));
            QVERIFY(near(parOf(mix.spectrumAt(levels)), state.ppfd, 0.02));
        }
    }

    void blendingKnowsNoOrderButTheMiddle() {
        Anything any(12);
        for (int i = 0; i < 20; ++i) {
            auto points = any.several(7);
            const auto before = blendingOf(points, 3, standardBands());
            QCOMPARE(before.colour_from_centre[3], 0.0);
            std::swap(points[0], points[6]);
            const auto after = blendingOf(points, 3, standardBands());
            QVERIFY(near(before.figure.value, after.figure.value));
            QVERIFY(near(before.colour_from_mean[0], after.colour_from_mean[6], 1e-6));
            QVERIFY(before.figure.low <= before.figure.value && before.figure.value <= before.figure.high);
            for (const double angle : before.angle_from_centre) QVERIFY(angle >= 0.0 && angle <= 90.0);
            QVERIFY(near(spectralAngle(points[1], points[2]), spectralAngle(points[2], points[1])));
        }
    }

    void spansOfAnOverlayLieInEachOther() {
        Anything any(13);
        for (const int count : {1, 2, 3, 10, 64, 65, 200}) {
            for (const auto scale : {OverlayScale::Par, OverlayScale::Peak, OverlayScale::Absolute}) {
                const auto s = overlayStatistics(any.several(count), scale);
                for (std::size_t i = 0; i < kSampledSteps; ++i) {
                    QVERIFY(s.least[i] <= s.tenth[i] && s.tenth[i] <= s.median[i]);
                    QVERIFY(s.median[i] <= s.ninetieth[i] && s.ninetieth[i] <= s.greatest[i]);
                }
            }
        }
    }

    void peaksAreHighAndGapsAreLow() {
        Anything any(14);
        for (int i = 0; i < 200; ++i) {
            const auto s = any.spectrum();
            const auto by_nm = sampled(s);
            for (const auto& peak : peaksOf(s)) {
                const auto at = sampledStep(peak.nm);
                QVERIFY(by_nm[at] > by_nm[at - 1] && by_nm[at] >= by_nm[at + 1]);
                if (peak.width_nm) QVERIFY(*peak.width_nm > 0.0);
            }
            for (const auto& gap : gapsOf(s)) {
                QVERIFY(gap.to_nm - gap.from_nm >= 10.0 && gap.from_nm >= 410.0 && gap.to_nm <= 690.0);
                QVERIFY(by_nm[sampledStep(0.5 * (gap.from_nm + gap.to_nm))] < 0.25 * parOf(s) / 300.0);
            }
            QVERIFY(blueWidth(s, 0.1) >= blueWidth(s, 0.5) - 1e-9);
        }
    }

    void dosesAddUpAndClocksComeRound() {
        Anything any(15);
        for (int i = 0; i < 20; ++i) {
            std::vector<ClockPoint> points;
            for (double hour = any.between(0, 5); hour < 24; hour += any.between(0.5, 6))
                points.push_back({hour, any.between(0, 100)});
            Schedule schedule;
            schedule.ramps = {{1, 0, points}};
            QVERIFY(near(levelAt(schedule, 1, 0.0), levelAt(schedule, 1, 24.0), 1e-6));
            for (double hour = 0; hour < 24; hour += 0.37) {
                const double level = levelAt(schedule, 1, hour);
                QVERIFY(level >= 0.0 && level <= 1.0);
                QVERIFY(near(level, levelAt(schedule, 1, hour - 24.0), 1e-6));
            }
            const ClockedLight one{schedule, {{1, 120.0, 30.0, {}}}};
            const auto single = figuresOf(dayCurve({one}));
            const auto twice = figuresOf(dayCurve({one, one}));
            QVERIFY(near(twice.dli, 2 * single.dli));
            QVERIFY(single.plateau <= single.peak + 1e-9);
            QVERIFY(near(*energyOf({one, one}), 2 * *energyOf({one})));
            // What a clock is ahead moves the day and not its dose.
            auto moved = one;
            moved.schedule.ahead_min = 90;
            QVERIFY(near(figuresOf(dayCurve({moved})).dli, single.dli, 2e-3));
            QVERIFY(*parseClock(clockText(points)) == *parseClock(clockText(*parseClock(clockText(points)))));
        }
    }

    void textsOfBinsAndBandsComeBack() {
        Anything any(16);
        for (int i = 0; i < 100; ++i) {
            std::vector<LedBin> bins;
            for (int k = any.whole(1, 5); k > 0; --k)
                bins.push_back(
                    {double(any.whole(300, 900)), double(any.whole(5, 200)), 1.0 + any.whole(0, 8)});
            if (bins.size() == 1) bins.front().share = 1.0;
            QVERIFY(*parseBins(binsText(bins)) == bins);
            std::vector<SpectralBand> bands;
            double from = 380;
            for (int k = 0; from < 760; ++k) {
                const double to = from + any.whole(5, 60);
                bands.push_back({"band " + std::to_string(k), from, to});
                from = to;
            }
            QVERIFY(*parseBands(bandsText(bands)) == bands);
        }
    }
};

GLUMET_TEST(TestSpectrumLaws, "core_spectrum_laws", Application)

}  // namespace core_spectrum_laws

#include "test_spectrum_laws.moc"
