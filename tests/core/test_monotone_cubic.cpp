#include <QTest>
#include <cmath>

#include "core/base/monotone_cubic.h"
#include "core/simulation/ripple.h"
#include "runner/registry.h"

namespace core_monotone_cubic {

using namespace glumet;

class TestMonotoneCubic : public QObject {
    Q_OBJECT

  private slots:
    void straightLinesStayStraight() {
        const MonotoneCubic curve({0, 1, 3, 4}, {1, 3, 7, 9});
        for (double x = 0; x <= 4; x += 0.1) QVERIFY(std::abs(curve(x) - (1 + 2 * x)) < 1e-12);
        QVERIFY(std::abs(*curve.firstReaches(6) - 2.5) < 1e-9);
    }

    /// Slope at 1 by the rule's own arithmetic: secants 1 and 3 on equal steps, (3+3)/(3/1 + 3/3) = 1.5.
    void innerSlopeIsTheHarmonicMean() {
        const MonotoneCubic curve({0, 1, 2}, {0, 1, 4});
        constexpr double kStep = 1e-6;
        QVERIFY(std::abs((curve(1 + kStep) - curve(1 - kStep)) / (2 * kStep) - 1.5) < 1e-4);
    }

    void neverOvershoots() {
        Noise noise(17);
        for (int trial = 0; trial < 200; ++trial) {
            std::vector<double> x{0};
            std::vector<double> y{noise.normal()};
            for (int i = 0; i < 6; ++i) {
                x.push_back(x.back() + 0.1 + noise.uniform());
                y.push_back(noise.normal());
            }
            const MonotoneCubic curve(x, y);
            for (std::size_t i = 0; i + 1 < x.size(); ++i)
                for (double t = 0; t <= 1; t += 0.05) {
                    const double value = curve(x[i] + t * (x[i + 1] - x[i]));
                    QVERIFY(value >= std::min(y[i], y[i + 1]) - 1e-12);
                    QVERIFY(value <= std::max(y[i], y[i + 1]) + 1e-12);
                }
        }
    }

    void nothingIsExtrapolated() {
        const MonotoneCubic curve({1, 2}, {5, 8});
        QCOMPARE(curve(0), 5.0);
        QCOMPARE(curve(9), 8.0);
        QVERIFY(!curve.firstReaches(8.01));
        QCOMPARE(*curve.firstReaches(4), 1.0);
    }
};

GLUMET_TEST(TestMonotoneCubic, "core_monotone_cubic", Application)

}  // namespace core_monotone_cubic

#include "test_monotone_cubic.moc"
