#include <QTest>
#include <algorithm>
#include <cmath>

#include "core/meter/settled_mean.h"
#include "core/simulation/ripple.h"
#include "runner/registry.h"

namespace core_settled_mean {

using namespace glumet;

namespace {

constexpr double kInterval = 0.05;

/// Lets a rippling point of true value 100 settle and returns what was taken.
Settled settleOnRipple(std::uint64_t seed, double ripple_sd, double correlation_s) {
    RippleProcess ripple(ripple_sd, correlation_s, seed);
    SettledMean mean;
    for (int i = 0; !mean.settled(); ++i)
        mean.add(Second(i * kInterval), Ppfd(100.0 * ripple.next(kInterval)));
    return *mean.state();
}

/// Samples beyond five robust standard deviations with their neighbours on the same side, counted by sorting
/// everything anew.
int leftOutBySorting(const std::vector<double>& values) {
    std::vector<double> logs;
    for (const double value : values) logs.push_back(std::log(value));
    const auto middleOf = [](std::vector<double> sorted) {
        std::sort(sorted.begin(), sorted.end());
        return sorted[sorted.size() / 2];
    };
    const double median = middleOf(logs);
    std::vector<double> sizes;
    for (double& log : logs) {
        log -= median;
        sizes.push_back(std::abs(log));
    }
    const double spread = std::max(1.4826 * middleOf(sizes), 0.01);
    std::vector<bool> out(logs.size(), false);
    const auto spreadFrom = [&](int from, int step) {
        const double side = logs[static_cast<std::size_t>(from)] > 0.0 ? 1.0 : -1.0;
        for (int i = from; i >= 0 && i < static_cast<int>(logs.size()); i += step) {
            if (side * logs[static_cast<std::size_t>(i)] / spread <= 1.0) return;
            out[static_cast<std::size_t>(i)] = true;
        }
    };
    for (int i = 0; i < static_cast<int>(logs.size()); ++i)
        if (std::abs(logs[static_cast<std::size_t>(i)]) / spread > SettledMean::kFarOut) {
            spreadFrom(i, 1);
            spreadFrom(i, -1);
        }
    const auto count = std::count(out.begin(), out.end(), true);
    const double most = SettledMean::kMostLeftOut * static_cast<double>(logs.size());
    return static_cast<double>(count) > most ? 0 : static_cast<int>(count);
}

}  // namespace

class TestSettledMean : public QObject {
    Q_OBJECT

  private slots:
    void nothingBeforeTheSecondSample() {
        SettledMean mean;
        QVERIFY(!mean.state());
        mean.add(Second(0), Ppfd(10));
        QVERIFY(!mean.state());
    }

    void aStillReadingSettlesAfterTheShortestTime() {
        SettledMean mean;
        for (int i = 0; i < 39; ++i) mean.add(Second(i * kInterval), Ppfd(214.6));
        QVERIFY(!mean.state()->settled());
        for (int i = 39; i < 42; ++i) mean.add(Second(i * kInterval), Ppfd(214.6));
        QVERIFY(mean.state()->within_error);
        QCOMPARE(mean.state()->mean.value(), 214.6);
        QVERIFY(mean.state()->sd < 1e-9);
    }

    void whatIsKeptGivesTheErrorThatWasStated() {
        for (std::uint64_t seed = 1; seed <= 20; ++seed) {
            const auto settled = settleOnRipple(seed, 0.05, 0.3);
            const auto reading = readingFrom(settled, Millimetre(0), Millimetre(0));
            QVERIFY(reading.relativeStandardError().has_value());
            const double stated = settled.standard_error / settled.mean.value();
            QVERIFY(std::abs(*reading.relativeStandardError() / stated - 1.0) < 1e-9);
        }
    }

    /// What is kept in order as it comes tells the same shadows as sorting it all anew, at every sample, long
    /// after the first were forgotten.
    void shadowsAreToldAsBySortingEverything() {
        SettleRule rule;
        rule.longest = Second(8.0);
        SettledMean mean(rule);
        RippleProcess ripple(0.03, 0.2, 11);
        std::vector<double> kept;
        int seen = 0;
        for (int i = 0; i < 900; ++i) {
            const bool shadow = i % 97 > 90;
            const double value = 100.0 * ripple.next(kInterval) * (shadow ? 0.6 : 1.0);
            mean.add(Second(i * kInterval), Ppfd(value));
            kept.push_back(value);
            if (kept.size() < 20) continue;
            const auto state = *mean.state();
            const auto held = static_cast<std::size_t>(state.count + state.left_out);
            kept.erase(kept.begin(), kept.end() - static_cast<std::ptrdiff_t>(held));
            QCOMPARE(state.left_out, leftOutBySorting(kept));
            seen = std::max(seen, state.left_out);
        }
        QVERIFY(seen > 5);
        QVERIFY(kept.size() < 200);
    }

    /// The quick answer is the one that the whole state gives, sample by sample.
    void theQuickLookAgreesWithTheWholeState() {
        for (const double correlation_s : {0.1, 0.4}) {
            RippleProcess ripple(0.08, correlation_s, 7);
            SettledMean mean;
            for (int i = 0; i < 700; ++i) {
                // Now and then something passes over the probe.
                const double shade = i % 211 < 6 ? 0.3 : 1.0;
                mean.add(Second(i * kInterval), Ppfd(100.0 * shade * ripple.next(kInterval)));
                const auto state = mean.state();
                QCOMPARE(mean.settled(), state && state->settled());
            }
        }
    }

    void neverWaitsBeyondTheLongestTime() {
        SettleRule rule;
        rule.relative_error = 1e-6;
        SettledMean mean(rule);
        RippleProcess ripple(0.2, 0.3, 3);
        int count = 0;
        while (!mean.state() || !mean.state()->settled())
            mean.add(Second(count++ * kInterval), Ppfd(ripple.next(kInterval)));
        QVERIFY(mean.state()->timed_out);
        QVERIFY(!mean.state()->within_error);
        QVERIFY(std::abs(mean.state()->duration.value() - rule.longest.value()) < 2 * kInterval);
    }

    void badSamplesAreNotAdded() {
        SettledMean mean;
        mean.add(Second(0), Ppfd(5));
        mean.add(Second(1), Ppfd(std::nan("")));
        mean.add(Second(2), Ppfd(-3));
        mean.add(Second(0), Ppfd(7));  // time runs backwards
        mean.add(Second(3), Ppfd(7));
        QCOMPARE(mean.state()->count, 2);
        QCOMPARE(mean.state()->mean.value(), 6.0);
        mean.clear();
        QVERIFY(!mean.state());
    }

    void autocorrelationTimeOfARippleIsFound() {
        // For exponential correlation τ = (1+ρ)/(1−ρ); here ρ = e^(−1/6).
        RippleProcess ripple(0.1, 0.3, 11);
        std::vector<double> values;
        for (int i = 0; i < 20000; ++i) values.push_back(ripple.next(kInterval));
        const double rho = std::exp(-kInterval / 0.3);
        const double expected = (1 + rho) / (1 - rho);
        constexpr double kTolerance = 0.15;  // its own standard error at this length
        QVERIFY(std::abs(integratedAutocorrelation(values) / expected - 1.0) < kTolerance);
    }

    void aPassingFishIsLeftOut() {
        for (std::uint64_t seed = 1; seed <= 40; ++seed) {
            RippleProcess ripple(0.08, 0.3, seed);
            SettledMean with;
            SettledMean without;
            for (int i = 0; i < 240; ++i) {
                const double value = 200.0 * ripple.next(kInterval);
                const bool fish = i >= 60 && i < 90;  // a second and a half in its shadow
                with.add(Second(i * kInterval), Ppfd(fish ? value * 0.35 : value));
                without.add(Second(i * kInterval), Ppfd(value));
            }
            const auto seen = *with.state();
            QVERIFY(seen.left_out >= 25 && seen.left_out <= 60);
            QVERIFY(std::abs(seen.mean / without.state()->mean - 1.0) < 0.03);
            QVERIFY(seen.min.value() > 100.0);
        }
    }

    void aChangeThatStaysIsNotLeftOut() {
        SettledMean mean;
        for (int i = 0; i < 100; ++i) mean.add(Second(i * kInterval), Ppfd(i < 50 ? 100.0 : 50.0));
        QCOMPARE(mean.state()->left_out, 0);
        QCOMPARE(mean.state()->mean.value(), 75.0);
    }

    void plainRippleIsHardlyTouched() {
        int left_out = 0;
        for (std::uint64_t seed = 1; seed <= 50; ++seed) {
            RippleProcess ripple(0.12, 0.3, seed);
            SettledMean mean;
            for (int i = 0; i < 300; ++i) mean.add(Second(i * kInterval), Ppfd(ripple.next(kInterval)));
            left_out += mean.state()->left_out;
        }
        QVERIFY2(left_out < 50 * 300 / 500, qPrintable(QString::number(left_out)));
    }

    void independentSamplesHaveTauNearOne() {
        Noise noise(5);
        std::vector<double> values;
        for (int i = 0; i < 5000; ++i) values.push_back(noise.normal());
        QVERIFY(integratedAutocorrelation(values) < 1.2);
    }

    void theStatedErrorIsTheRealOne_data() {
        QTest::addColumn<double>("ripple_sd");
        QTest::addColumn<double>("correlation_s");
        QTest::addColumn<bool>("in_time");
        QTest::newRow("calm") << 0.05 << 0.2 << true;
        QTest::newRow("usual") << 0.10 << 0.3 << true;
        QTest::newRow("lively") << 0.12 << 0.5 << false;
    }
    void theStatedErrorIsTheRealOne() {
        QFETCH(double, ripple_sd);
        QFETCH(double, correlation_s);
        QFETCH(bool, in_time);  // or the longest time ends it, with its larger error stated
        double squares = 0.0;
        double stated = 0.0;
        constexpr int kRuns = 300;
        for (int i = 0; i < kRuns; ++i) {
            const auto result = settleOnRipple(static_cast<std::uint64_t>(i) + 1, ripple_sd, correlation_s);
            squares += std::pow(result.mean.value() / 100.0 - 1.0, 2);
            stated += std::pow(result.standard_error / result.mean.value(), 2);
        }
        const double real = std::sqrt(squares / kRuns);
        QVERIFY2(!in_time || real < 1.2 * 0.02, qPrintable(QString::number(real)));
        QVERIFY(real < 1.2 * std::sqrt(stated / kRuns));
    }
};

GLUMET_TEST(TestSettledMean, "core_settled_mean", Application)

}  // namespace core_settled_mean

#include "test_settled_mean.moc"
