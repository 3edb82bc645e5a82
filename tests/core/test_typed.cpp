#include <QTest>

#include "core/words/typed.h"
#include "runner/registry.h"

namespace core_typed {

using namespace glumet;

class TestTyped : public QObject {
    Q_OBJECT

  private slots:
    void aUnitAtTheEndHoldsForBoth() {
        const auto cm = parseLengthRange("13–18 cm", LengthUnit::Mm);
        QCOMPARE(cm->first.value(), 130.0);
        QCOMPARE(cm->second.value(), 180.0);
        const auto inches = parseLengthRange("4-8\"", LengthUnit::Cm);
        QCOMPARE(inches->first.value(), 101.6);
        const auto mixed = parseLengthRange("90 mm – 18 cm", LengthUnit::Inch);
        QCOMPARE(mixed->first.value(), 90.0);
        QCOMPARE(parseLengthRange("4 1/2-8 in", LengthUnit::Cm)->first.value(), 114.3);
        QCOMPARE(parseLengthPair("2.8 × 3 cm", LengthUnit::Mm)->first.value(), 28.0);
        QCOMPARE(parseLengthPair("2.8 cm", LengthUnit::Mm)->second.value(), 28.0);
    }

    void pairsAreTypedInMoreWaysThanOne() {
        for (const char* typed : {"4 × 3", "4x3", "4*3", "4 3", " 4 x 3 "})
            QCOMPARE(*parseCounts(typed, 200), (std::pair{4, 3}));
        QCOMPARE(*parseCounts("5", 200), (std::pair{5, 5}));
        for (const char* typed : {"", "x", "4x", "4x3x2", "0x3", "4x201", "4.5x3", "a x b"})
            QVERIFY2(!parseCounts(typed, 200), typed);
    }

    void rangesRunUpward() {
        QCOMPARE(*parseNumberRange("150-300"), (std::pair{150.0, 300.0}));
        QCOMPARE(*parseNumberRange("150:300"), (std::pair{150.0, 300.0}));
        QCOMPARE(*parseNumberRange("12,5–20"), (std::pair{12.5, 20.0}));
        for (const char* typed : {"300-150", "150", "150-", "a-b", "1-2-3"})
            QVERIFY2(!parseNumberRange(typed), typed);
        QVERIFY(!parseLengthRange("18–13 cm", LengthUnit::Cm));
    }
};

GLUMET_TEST(TestTyped, "core_typed", Application)

}  // namespace core_typed

#include "test_typed.moc"
