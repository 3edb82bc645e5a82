#include "core/meter/meter_correction.h"

#include <QTest>
#include <cmath>

#include "core/spectrum/spectral_sample.h"
#include "runner/registry.h"

namespace core_meter_correction {

using namespace glumet;

class TestMeterCorrection : public QObject {
    Q_OBJECT

  private slots:
    void pairsGiveTheFactorAndHowSureItIs() {
        const std::vector<TwinPair> pairs{
            {Ppfd(100), Ppfd(108)}, {Ppfd(200), Ppfd(220)}, {Ppfd(50), Ppfd(56)}};
        const auto correction = correctionFrom(pairs, "blue alone", "Sensor S2", 0.03);
        QVERIFY(correction);
        QVERIFY(std::abs(correction->factor - 1.1) < 1e-12);
        const double scatter = 0.02 / std::sqrt(3.0) / 1.1;
        QVERIFY(std::abs(correction->uncertainty - std::hypot(scatter, 0.03)) < 1e-12);
        QCOMPARE(correction->source, std::string("twin Sensor S2, 3 pairs"));
    }

    void whatCannotBeATwinIsRefused() {
        QVERIFY(!correctionFrom({{Ppfd(100), Ppfd(108)}}, "", "S2", 0.05));
        QVERIFY(!correctionFrom({{Ppfd(100), Ppfd(108)}, {Ppfd(0), Ppfd(5)}}, "", "S2", 0.05));
        QVERIFY(!correctionFrom({{Ppfd(100), Ppfd(108)}, {Ppfd(10), Ppfd(108)}}, "", "S2", 0.05));
    }

    void theChannelsOwnFactorGoesBeforeThatOfAny() {
        MeterProfile meter;
        meter.corrections = {{"", 1.02, 0.05, "", "", true}, {"blue alone", 1.12, 0.05, "", "", true}};
        QCOMPARE(correctionFor(meter, "blue alone")->factor, 1.12);
        QCOMPARE(correctionFor(meter, "white")->factor, 1.02);
        meter.corrections.push_back({"blue alone", 1.15, 0.05, "", "", true});
        QCOMPARE(correctionFor(meter, "blue alone")->factor, 1.15);  // the newest
        for (auto& correction : meter.corrections) correction.applied = false;
        QVERIFY(correctionFor(meter, "blue alone") == nullptr);
    }

    void theRawValueStaysAndIsCorrectedOnce() {
        MeterProfile meter;
        meter.corrections = {{"", 1.1, 0.05, "", "", true}};
        Reading reading;
        reading.mean = Ppfd(200);
        reading.sd = 10.0;
        applyCorrection(reading, meter, "white");
        applyCorrection(reading, meter, "white");
        QVERIFY(std::abs(reading.mean.value() - 220.0) < 1e-9);
        QVERIFY(std::abs(*reading.sd - 11.0) < 1e-9);
        QCOMPARE(reading.extra.at(kBeforeCorrection), std::string("200"));
    }

    void responsesAreReadAsTheyAreWritten() {
        const auto response = parseResponse("400: 0.8, 450:0.92; 550: 1");
        QVERIFY(response);
        QCOMPARE(response->size(), std::size_t{3});
        QCOMPARE(*parseResponse(responseText(*response)), *response);
        QVERIFY(parseResponse("")->empty());
        for (const char* wrong : {"400", "400: x", "400: 0.8, 390: 1", "40: 1", "400: -1"})
            QVERIFY2(!parseResponse(wrong), wrong);
    }

    void partsOfUncertaintyAddInQuadrature() {
        const UncertaintyParts parts{0.03, 0.04, 0.0, 0.12, 0.0};
        QVERIFY(std::abs(parts.combined() - 0.13) < 1e-12);
    }

    void aFlatPhotonSpectrumIntegratesToItsWidth() {
        SpectralSample sample{380.0, 5.0, SpectralUnit::MicromolePerSquareMetreSecond,
                              std::vector<double>(81, 2.0)};
        QVERIFY(std::abs(sample.ppfd().value() - 600.0) < 1e-9);
        // Steps that do not meet the band's ends.
        sample.first_nm = 383.0;
        sample.step_nm = 7.0;
        QVERIFY(std::abs(sample.ppfd().value() - 600.0) < 1e-9);
    }

    void aWattAt550CarriesFourAndAHalfMicromoles() {
        // One W/m² in a triangle of half width 5 nm around 550 nm: 1 W/m² in all over 5 nm of full height.
        SpectralSample sample{540.0, 5.0, SpectralUnit::WattPerSquareMetre, {0.0, 0.0, 0.2, 0.0, 0.0}};
        QVERIFY(std::abs(sample.ppfd().value() - 550.0 / 119.627) < 1e-3);
    }

    void aSpectrumIsReadAsItIsWritten() {
        const SpectralSample sample{380.0, 5.0, SpectralUnit::WattPerSquareMetre, {0.125, 0.5, 1e-7}};
        QCOMPARE(*parseSpectralSample(sample.text()), sample);
        for (const char* wrong : {"", "380 5 W 1", "380 0 W 1 2", "380 5 lux 1 2", "380 5 W 1 two"})
            QVERIFY2(!parseSpectralSample(wrong), wrong);
    }
};

GLUMET_TEST(TestMeterCorrection, "core_meter_correction", Application)

}  // namespace core_meter_correction

#include "test_meter_correction.moc"
