#include <QTest>
#include <cmath>
#include <set>

#include "core/bench/grid.h"
#include "core/compare/criteria.h"
#include "core/verdicts/spacing_interval.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_criteria {

using namespace glumet;

/// What fixtures are ranked by, and the figures of rows of fixtures.
class TestCriteria : public QObject {
    Q_OBJECT

  private slots:
    void everyCriterionHasItsWordsOnce() {
        std::set<std::string> names;
        for (const auto criterion : allCriteria()) {
            const auto& info = infoOf(criterion);
            QVERIFY(!english(info.name).empty());
            QVERIFY(!english(info.better).empty());
            QVERIFY2(names.insert(english(info.name)).second, english(info.name).c_str());
        }
        QVERIFY(names.size() >= 10);
    }

    /// A tenth is a tenth in every criterion, whatever it is counted in.
    void aTenthIsATenthInAll() {
        for (const auto criterion : allCriteria()) {
            const auto& info = infoOf(criterion);
            const double value = std::max(0.5, 4.0 * info.least);
            const double more = info.decibel ? value + 10.0 * std::log2(1.1) : value * 1.1;
            const double step = goodness(criterion, more) - goodness(criterion, value);
            QVERIFY2(std::abs(std::abs(step) - std::log(1.1)) < 1e-9, english(info.name).c_str());
            QCOMPARE(step > 0.0, info.more_is_better);
        }
    }

    void whatIsBelowItsFloorCountsAsTheFloor() {
        for (const auto criterion : allCriteria()) {
            const auto& info = infoOf(criterion);
            if (info.decibel || !(info.least > 0.0)) continue;
            QCOMPARE(goodness(criterion, 0.0), goodness(criterion, info.least));
            QCOMPARE(goodness(criterion, info.least / 3.0), goodness(criterion, info.least));
            QVERIFY(std::isfinite(goodness(criterion, 0.0)));
        }
    }

    void weightsAreTheProjectsOrTheReadyOnes() {
        Bench bench;
        QCOMPARE(&weightsOf(bench), &readyWeights());
        QVERIFY(weightOf(readyWeights(), Criterion::Evenness) >
                weightOf(readyWeights(), Criterion::PeakRatio));
        bench.method.weights = {{Criterion::PeakRatio, 5.0}};
        QCOMPARE(weightOf(weightsOf(bench), Criterion::PeakRatio), 5.0);
        QCOMPARE(weightOf(weightsOf(bench), Criterion::Evenness), 0.0);
    }

    // Rows of fixtures.

    void theWidestSeamIsTheFarthestFromWhatLiesUnder() {
        // Under, between, under, between, under.
        const auto seam = widestSeam({100, 90, 100, 50, 100});
        QCOMPARE(seam.between, 50.0);
        QCOMPARE(seam.under, 100.0);
        QVERIFY(std::abs(seam.apart - std::log(2.0)) < 1e-12);
        const auto hump = widestSeam({100, 90, 100, 250, 100});
        QCOMPARE(hump.between, 250.0);
        QVERIFY(hump.apart > 0.0);
        QVERIFY(std::abs(widestSeam({100, 200, 400}).apart) < 1e-12);  // half way in the logarithm
        QCOMPARE(widestSeam({0, 50, 100}).apart, 0.0);                 // in the dark nothing is judged
        QCOMPARE(widestSeam({100}).apart, 0.0);
    }

    void ringsOfAGridAreMeansOfTheirCells() {
        const auto grid = cellCentres(Millimetre(600), Millimetre(400), 6, 4);
        std::vector<double> values;
        for (int row = 0; row < 4; ++row)
            for (int column = 0; column < 6; ++column)
                values.push_back(row == 0 || row == 3 || column == 0 || column == 5 ? 10.0 : 30.0);
        QCOMPARE(ringMean(grid, values, 0), 10.0);
        QCOMPARE(ringMean(grid, values, 1), 30.0);
        QCOMPARE(ringMean(grid, values, 7), 0.0);
    }

    void seamsAreReadUnderEachAndHalfWay() {
        ArrayQuestion question;
        question.tank.length_mm = 1200;
        question.tank.width_mm = 500;
        question.tank.water_depth_mm = 400;
        QCOMPARE(spacingDepth(question).value(), 200.0);
        question.depth = Millimetre(120);
        QCOMPARE(spacingDepth(question).value(), 120.0);
        const auto along = seamPoints(question, {200, 600, 1000});
        QCOMPARE(along.size(), std::size_t{5});
        for (std::size_t i = 0; i < along.size(); ++i) {
            QCOMPARE(along[i][0], 200.0 + 200.0 * static_cast<double>(i));
            QCOMPARE(along[i][1], 250.0);
        }
        question.along = RowAlong::Width;
        QCOMPARE(seamPoints(question, {100, 400})[1], (std::array<double, 2>{600.0, 250.0}));
    }
};

GLUMET_TEST(TestCriteria, "core_criteria", Windows)

}  // namespace core_criteria

#include "test_criteria.moc"
