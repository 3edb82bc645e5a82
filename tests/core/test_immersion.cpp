#include <QTest>

#include "core/meter/immersion.h"
#include "runner/registry.h"

namespace core_immersion {

using namespace glumet;

namespace {

Reading shown() {
    Reading reading;
    reading.mean = Ppfd(200);
    reading.min = Ppfd(180);
    reading.max = Ppfd(230);
    reading.sd = 10.0;
    return reading;
}

MeterProfile meterBy(ImmersionBy by) {
    MeterProfile meter;
    meter.immersion_factor = 1.1;
    meter.immersion_by = by;
    return meter;
}

}  // namespace

class TestImmersion : public QObject {
    Q_OBJECT

  private slots:
    void appliedOnceAndOnlyOnce() {
        auto reading = shown();
        const auto meter = meterBy(ImmersionBy::Glumet);
        applyImmersion(reading, meter, WaterState::Still);
        QCOMPARE(reading.mean.value(), 220.0);
        QCOMPARE(reading.min->value(), 198.0);
        QCOMPARE(reading.max->value(), 253.0);
        QCOMPARE(*reading.sd, 11.0);
        QCOMPARE(reading.extra.at(kBeforeImmersion), std::string("200"));
        const auto once = reading;
        applyImmersion(reading, meter, WaterState::Still);
        QVERIFY(reading == once);
    }

    void notWhereOthersDoItOrNoWaterIs() {
        for (const auto by : {ImmersionBy::Nobody, ImmersionBy::MeterMode}) {
            auto reading = shown();
            applyImmersion(reading, meterBy(by), WaterState::Still);
            QVERIFY(reading == shown());
        }
        auto dry = shown();
        applyImmersion(dry, meterBy(ImmersionBy::Glumet), WaterState::Dry);
        QVERIFY(dry == shown());
        QVERIFY(!immersionApplied(dry));
    }
};

GLUMET_TEST(TestImmersion, "core_immersion", Application)

}  // namespace core_immersion

#include "test_immersion.moc"
