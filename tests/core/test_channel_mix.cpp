#include <QTest>
#include <cmath>

#include "bench_maker.h"
#include "core/spectrum/bands.h"
#include "core/spectrum/generic_spectra.h"
#include "core/verdicts/blending_tests.h"
#include "core/verdicts/channel_mix.h"
#include "core/verdicts/day_findings.h"
#include "core/verdicts/spectrum_findings.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_channel_mix {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

constexpr Id kWhite = 11;
constexpr Id kRed = 12;
constexpr Id kAll = 21;
constexpr Id kWhiteAlone = 22;
constexpr Id kRedAlone = 23;

Run runOf(Id id, Id preset, double height, const std::function<double(int, int)>& value) {
    Run run;
    run.id = id;
    run.fixture = 1;
    run.preset = preset;
    run.meter = 31;
    run.height = Millimetre(height);
    run.water = WaterState::Dry;
    run.planes.push_back(planeOfValues(150, 3, 3, value));
    return run;
}

/// White gives 100 everywhere; red 40, and 20 at one corner.
double white(int, int) { return 100.0; }
double red(int i, int j) { return i == 2 && j == 2 ? 20.0 : 40.0; }
double both(int i, int j) { return white(i, j) + red(i, j); }

Bench twoChannels() {
    Bench bench;
    Fixture fixture;
    fixture.id = 1;
    fixture.name = "Fern 20";
    fixture.rated_power = Watt(50);
    fixture.channels = {{kWhite, "white", {}, {}, {}, {}}, {kRed, "deep red", {}, {}, {}, {}}};
    fixture.presets = {{kAll, "all on", {}},
                       {kWhiteAlone, "white", {{1, kWhite, 100}}},
                       {kRedAlone, "deep red", {{2, kRed, 100}}}};
    bench.fixtures = {fixture};
    MeterProfile meter;
    meter.id = 31;
    meter.name = "Sensor";
    bench.meters = {meter};
    bench.runs = {runOf(1, kAll, 200, both)};
    return bench;
}

void readAlone(Bench& bench) {
    bench.runs.push_back(runOf(2, kWhiteAlone, 200, white));
    bench.runs.push_back(runOf(3, kRedAlone, 200, red));
    for (auto& reading : bench.runs[1].planes[0].readings) reading.power = Watt(36);
    for (auto& reading : bench.runs[2].planes[0].readings) reading.power = Watt(12);
}

SpectrumRecord measured(Id channel, const Spectrum& spectrum) {
    SpectrumRecord record;
    record.id = 100 + channel;
    record.fixture = 1;
    record.channel = channel;
    record.spectrum = spectrum;
    return record;
}

Expected<RunMix> mixAt(const Bench& bench) { return mixOf(bench, bench.runs[0], bench.runs[0].planes[0]); }

bool says(const std::vector<Finding>& findings, const char* part) {
    for (const auto& finding : findings)
        if ((english(finding.title) + " " + english(finding.body)).find(part) != std::string::npos)
            return true;
    return false;
}

std::vector<Finding> findingsOf(const Bench& bench, const RunMix& mix, std::vector<double> levels) {
    SpectrumQuestion question;
    question.run = &bench.runs[0];
    question.plane = &bench.runs[0].planes[0];
    question.mix = &mix;
    question.levels = std::move(levels);
    return spectrumFindings(bench, question, blendingTests(bench, 1));
}

}  // namespace

class TestChannelMix : public QObject {
    Q_OBJECT

  private slots:
    void channelsReadAloneAreAsTheyWereRead() {
        auto bench = twoChannels();
        readAlone(bench);
        const auto mix = mixAt(bench);
        QVERIFY(mix);
        QVERIFY(mix->channels[0].basis == ChannelBasis::Read && mix->channels[1].basis == ChannelBasis::Read);
        QVERIFY(std::abs(mix->mix.channels()[0].ppfd - 100) < 1e-9);
        QVERIFY(std::abs(mix->together - 1.0) < 1e-9);
        QCOMPARE(*mix->mix.channels()[0].watt, 36.0);
        const auto points = pointsAt(*mix, {0.5, 1.0});
        QCOMPARE(points.front(), 90.0);
        QCOMPARE(points.back(), 70.0);
        QVERIFY(std::abs(shareInBand(*mix, {0.5, 1.0}, {Ppfd(80), Ppfd(95)}) - 8.0 / 9.0) < 1e-12);
    }

    void aChannelThatWasNotReadIsWhatIsLeft() {
        auto bench = twoChannels();
        bench.runs.push_back(runOf(2, kWhiteAlone, 200, white));
        const auto mix = mixAt(bench);
        QVERIFY(mix->channels[1].basis == ChannelBasis::Even);
        QCOMPARE(mix->channels[1].points.front(), 40.0);
        QCOMPARE(mix->channels[1].points.back(), 20.0);
        // Draws: neither was measured; the rating is shared by light.
        QVERIFY(mix->channels[1].watt_shared);
    }

    void aFitSpeaksWhereAChannelWasNotReadAlone() {
        auto bench = twoChannels();
        const ModelledChannels modelled{std::vector<double>(9, 99.0), std::vector<double>(9, 41.0)};
        const auto mix = mixOf(bench, bench.runs[0], bench.runs[0].planes[0], modelled);
        QVERIFY(mix->channels[0].basis == ChannelBasis::Modelled &&
                mix->channels[1].basis == ChannelBasis::Modelled);
        QVERIFY(says(findingsOf(bench, *mix, {1, 1}), "here their fits speak"));
        // Of one alone the other is what is left.
        const auto one =
            mixOf(bench, bench.runs[0], bench.runs[0].planes[0], {std::vector<double>(9, 99.0), {}});
        QVERIFY(one->channels[1].basis == ChannelBasis::Even);
        QVERIFY(std::abs(one->channels[1].points.front() - 41.0) < 1e-9);
        // A fit of other points is none of these.
        const auto other =
            mixOf(bench, bench.runs[0], bench.runs[0].planes[0], {std::vector<double>(4, 99.0), {}});
        QVERIFY(other->channels[0].basis == ChannelBasis::Even);
        readAlone(bench);
        QVERIFY(mixOf(bench, bench.runs[0], bench.runs[0].planes[0], modelled)->channels[0].basis ==
                ChannelBasis::Read);
    }

    void sweepsOfSingleChannelsAreFound() {
        auto bench = twoChannels();
        readAlone(bench);
        const auto sweeps = sweepsOf(bench);
        QCOMPARE(channelSweeps(bench, sweeps, configurationOf(bench.runs[0])).size(), std::size_t{2});
        Configuration other;
        other.fixture = 7;
        QVERIFY(channelSweeps(bench, sweeps, other).empty());
    }

    void theMetersErrorIsToldInTheBand() {
        auto bench = twoChannels();
        readAlone(bench);
        bench.meters[0].response = {{400, 0.8}, {700, 0.8}};
        const auto mix = mixAt(bench);
        SpectrumQuestion question;
        question.run = &bench.runs[0];
        question.plane = &bench.runs[0].planes[0];
        question.mix = &*mix;
        question.levels = {1, 1};
        question.band = {Ppfd(130), Ppfd(145)};
        // 140 read is 175: eight of nine points lie in the band as read, none when corrected.
        QVERIFY(says(spectrumFindings(bench, question, {}), "Then 0 % lie in the band, not 89 %"));
    }

    void withoutRunsOfTheirOwnTheyAreSharedOut() {
        auto bench = twoChannels();
        const auto even = mixAt(bench);
        QVERIFY(even->channels[0].basis == ChannelBasis::Even);
        QCOMPARE(even->channels[0].points.front(), 70.0);
        QVERIFY(says(findingsOf(bench, *even, {1, 1}), "Nothing tells the channels apart"));
        bench.fixtures[0].channels[0].flux_share = 0.75;
        bench.fixtures[0].channels[1].flux_share = 0.25;
        const auto shared = mixAt(bench);
        QVERIFY(shared->channels[0].basis == ChannelBasis::Shares);
        QCOMPARE(shared->channels[0].points.front(), 105.0);
        QVERIFY(planeColours(*shared, {1, 1}).distances.empty());
    }

    void runsAtAnotherHeightDoNotCount() {
        auto bench = twoChannels();
        bench.runs.push_back(runOf(2, kWhiteAlone, 220, white));
        QVERIFY(mixAt(bench)->channels[0].basis == ChannelBasis::Even);
    }

    void theColourChangesWhereAChannelIsWeak() {
        auto bench = twoChannels();
        readAlone(bench);
        const auto mix = mixAt(bench);
        const auto distances = planeColours(*mix, {1, 1}).distances;
        QCOMPARE(distances.size(), std::size_t{9});
        QVERIFY(distances.back() > 0.004);
        QVERIFY(distances.front() < 1e-12);
        for (const double one : planeColours(*mix, {1, 0}).distances) QVERIFY(one < 1e-12);
    }

    void aPointHasItsOwnMixAndMayHaveItsOwnSpectrum() {
        auto bench = twoChannels();
        readAlone(bench);
        const auto mix = mixAt(bench);
        const auto corner = stateAt(*mix, {1, 1}, 8);
        QVERIFY(std::abs(corner.ppfd - 120.0) < 1e-9);
        QVERIFY(!corner.watt);
        const auto middle = stateAt(*mix, {1, 1}, 4);
        QVERIFY(corner.band_shares[8] < middle.band_shares[8]);  // deep red
        const auto& run = bench.runs[0];
        const auto& reading = run.planes[0].readings[4];
        QVERIFY(spectrumReadAt(bench, run, Millimetre(150), reading.x, reading.y) == nullptr);
        auto read = measured(0, daylightPhase(6000));
        read.tank = bench.runs[0].tank = 41;
        read.height = Millimetre(200);
        read.depth = Millimetre(150);
        read.x = reading.x + Millimetre(3);
        read.y = reading.y;
        bench.spectra = {read};
        QVERIFY(spectrumReadAt(bench, bench.runs[0], Millimetre(150), reading.x, reading.y) ==
                &bench.spectra[0]);
        QVERIFY(spectrumReadAt(bench, bench.runs[0], Millimetre(300), reading.x, reading.y) == nullptr);
        QVERIFY(spectrumReadAt(bench, bench.runs[1], Millimetre(150), reading.x, reading.y) == nullptr);
    }

    void aMixIsHeldAgainstAllThatWasPaidFor() {
        auto bench = twoChannels();
        readAlone(bench);
        const auto mix = mixAt(bench);
        QVERIFY(says(findingsOf(bench, *mix, {0.5, 0.5}), "50 % of what all channels full give"));
        QVERIFY(says(findingsOf(bench, *mix, {0.5, 0.5}), "Δu'v' 0.0"));
        QVERIFY(!says(findingsOf(bench, *mix, {1, 1}), "all channels full give"));
    }

    void waterTakesRedFromTheMix() {
        auto bench = twoChannels();
        readAlone(bench);
        const auto dry = mixAt(bench)->mix.at({1, 1});
        for (auto& run : bench.runs) {
            run.water = WaterState::Still;
            run.planes[0].depth = Millimetre(900);
        }
        bench.spectra = {measured(kRed, ledSpectrum({{600, 100, 1}}))};
        bench.spectra.front().depth = Millimetre(900);
        const auto wet = mixAt(bench);
        QCOMPARE(wet->water_m, 0.9);
        QVERIFY(wet->mix.at({1, 0}).light->x < dry.light->x);
        // What was read under water has passed it already.
        QVERIFY(wet->mix.channels()[1].spectrum == bench.spectra.front().spectrum);
    }

    void measuredSpectraGoBeforeAssumedOnes() {
        auto bench = twoChannels();
        const auto& channel = bench.fixtures[0].channels[1];
        QVERIFY(spectrumOf(bench, 1, channel).assumed);
        auto stated = measured(kRed, ledSpectrum({{640, 20, 1}}));
        stated.origin = SpectrumOrigin::Assumed;
        bench.spectra = {stated};
        QVERIFY(spectrumOf(bench, 1, channel).assumed);
        bench.spectra.push_back(measured(kRed, ledSpectrum({{661, 19, 1}})));
        bench.spectra.back().id = 5;
        QVERIFY(!spectrumOf(bench, 1, channel).assumed);
        auto read = measured(kRed, ledSpectrum({{662, 19, 1}}));
        read.origin = SpectrumOrigin::Read;
        bench.spectra.insert(bench.spectra.begin(), read);
        QVERIFY(spectrumOf(bench, 1, channel).record->origin == SpectrumOrigin::Read);
        bench.spectra.front().test = "a point";
        QVERIFY(spectrumOf(bench, 1, channel).record->origin == SpectrumOrigin::File);
    }

    void whatIsMissingIsSaid() {
        auto bench = twoChannels();
        bench.fixtures[0].channels.clear();
        QVERIFY(!mixAt(bench));
        bench = twoChannels();
        bench.runs[0].planes[0].readings.clear();
        QVERIFY(!mixAt(bench));
        bench = twoChannels();
        bench.fixtures[0].channels[1].name = "channel 2";
        const auto mix = mixAt(bench);
        QVERIFY(!mix->mix.at({1, 1}).light);
        QVERIFY(says(findingsOf(bench, *mix, {1, 1}), "A channel has no spectrum"));
    }

    void aDimmingCurveComesFromRunsAtSeveralLevels() {
        auto bench = twoChannels();
        readAlone(bench);
        bench.runs[1].level_pct = 100;
        auto half = runOf(4, kWhiteAlone, 200, [](int, int) { return 58.0; });
        half.level_pct = 50;
        bench.runs.push_back(half);
        const auto mix = mixAt(bench);
        QVERIFY(mix->mix.channels()[0].dimming.measured());
        QVERIFY(std::abs(mix->mix.channels()[0].dimming.at(0.5) - 0.58) < 1e-9);
        QVERIFY(std::abs(pointsAt(*mix, {0.5, 0}).front() - 58) < 1e-9);
        QVERIFY(!mix->mix.channels()[1].dimming.measured());
    }

    void findingsTellCoverageWattsAndTheMeter() {
        auto bench = twoChannels();
        readAlone(bench);
        bench.spectra = {measured(kWhite, ledSpectrum({{450, 20, 1}, {560, 60, 1}})),
                         measured(kRed, ledSpectrum({{660, 20, 1}}))};
        auto mix = mixAt(bench);
        auto findings = findingsOf(bench, *mix, {0.25, 1});
        QVERIFY(says(findings, "A gap at"));
        QVERIFY(says(findings, "56 % of the watts sleep"));
        QVERIFY(says(findings, "How Sensor sees colours is not stated"));
        bench.meters[0].response = {{400, 1}, {640, 1}, {641, 0.8}, {700, 0.8}};
        bench.meters[0].corrections = {{"all on", 1.5, 0.01, "twin", "", true}};
        mix = mixAt(bench);
        findings = findingsOf(bench, *mix, {0, 1});
        QVERIFY(says(findings, "The meter reads 20 % low here"));
        QVERIFY(!says(findings, "agree"));  // twins were read under the run's own mix
        QVERIFY(says(findingsOf(bench, *mix, {1, 1}), "the two do not agree"));
        QVERIFY(says(findings, "Not a white"));
        for (auto& point : bench.meters[0].response) point.relative = 1.0;
        QVERIFY(says(findingsOf(bench, *mix, {0, 1}), "tells this mix as it is"));
    }

    void channelsThatDoNotAddUpAreDoubted() {
        auto bench = twoChannels();
        readAlone(bench);
        for (auto& reading : bench.runs[0].planes[0].readings) reading.mean = reading.mean * 0.9;
        QVERIFY(says(findingsOf(bench, *mixAt(bench), {1, 1}), "do not add up"));
    }

    void ofTwoReadingsAtOnePlaceOfATestTheLaterCounts() {
        auto bench = twoChannels();
        for (int i = 0; i < 9; ++i) {
            auto point = measured(0, daylightPhase(6000));
            point.test = "nine";
            point.x = Millimetre(i % 3 * 200 - 200);
            point.y = Millimetre(i / 3 * 200 - 200);
            point.time = "1";
            bench.spectra.push_back(point);
        }
        auto again = bench.spectra[8];
        again.spectrum = daylightPhase(9000);
        again.time = "2";
        bench.spectra.push_back(again);
        const auto tests = blendingTests(bench, 1);
        QCOMPARE(tests.size(), std::size_t{1});
        QCOMPARE(tests[0].points.size(), std::size_t{9});
        QVERIFY(!tests[0].over_time);
        QCOMPARE(tests[0].points[tests[0].centre]->x->value(), 0.0);
        // From the back: the corner that was read again is the last of the first row.
        QVERIFY(tests[0].result.colour_from_centre[2] > 0.01);
        QVERIFY(blendingTests(bench, 2).empty());
    }

    void momentsAtOnePlaceAreOverTime() {
        auto bench = twoChannels();
        for (int i = 0; i < 5; ++i) {
            auto moment = measured(0, daylightPhase(6000 + 400 * i));
            moment.test = "water";
            bench.spectra.push_back(moment);
        }
        const auto tests = blendingTests(bench, 1);
        QVERIFY(tests[0].over_time);
        QCOMPARE(tests[0].points.size(), std::size_t{5});
        QVERIFY(tests[0].result.figure.value > 0.001);
    }

    void aDoseIsToldPointByPoint() {
        auto bench = twoChannels();
        readAlone(bench);
        const auto mix = mixAt(bench);
        Schedule schedule;
        schedule.fixture = 1;
        schedule.ramps = {{1, 0, {{0, 100}}}, {2, kRed, {{0, 50}}}};
        const std::vector<ClockedLight> lights{{schedule, {{kWhite, 100, {}, {}}, {kRed, 40, {}, {}}}}};
        const auto span = doseOver(*mix, lights);
        QVERIFY(std::abs(span->plane_high - 120 * 0.0864) < 1e-6);
        QVERIFY(std::abs(span->plane_low - 110 * 0.0864) < 1e-6);
        QCOMPARE(span->all_high, span->plane_high);
    }

    void daysAreJudged() {
        auto bench = twoChannels();
        bench.method.price_kwh = 0.4;
        DayQuestion question;
        Schedule schedule;
        schedule.fixture = 1;
        schedule.ramps = {{1, 0, {{8, 0}, {9, 100}, {18, 100}, {19, 0}}}};
        question.lights = {{schedule, {{kWhite, 200, 50.0, {}}}}};
        auto later = question.lights[0];
        later.schedule.drift_s_day = 20;
        question.lights.push_back(later);
        question.day = figuresOf(dayCurve(question.lights));
        const auto findings = dayFindings(bench, question);
        QVERIFY(says(findings, "14.4 mol a day"));
        QVERIFY(says(findings, "1.00 kWh a day"));
        QVERIFY(says(findings, "365 kWh a year, which cost 146 in your currency"));
        QVERIFY(says(findings, "30 min after 90 days"));
        QVERIFY(says(dayFindings(bench, {}), "No clock yet"));
    }
};

GLUMET_TEST(TestChannelMix, "core_channel_mix", Application)

}  // namespace core_channel_mix

#include "test_channel_mix.moc"
