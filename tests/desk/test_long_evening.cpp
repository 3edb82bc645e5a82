#include <malloc.h>
#include <unistd.h>

#include <QFile>

#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_long_evening {

using namespace glumet;
using namespace glumet::testing;

namespace {

/// Bytes that the program holds of the heap.
double heldBytes() {
    const auto info = mallinfo2();
    return static_cast<double>(info.uordblks + info.hblkhd);
}

}  // namespace

/// Eight hours at the tank, twenty samples a second, on the meter's own clock.
class TestLongEvening : public QObject {
    Q_OBJECT

  private slots:
    void whatIsHeldStaysFlat() {
        WindowFixture w;
        QVERIFY(w.createWithRuns({200}));
        w.show();
        auto& meter = w.attachMeter();
        w.window.showStage(QStringLiteral("measure"));
        QVERIFY(meter.running);
        constexpr int kHours = 8;
        constexpr int kMinutes = 60;
        double after_first = 0.0;
        for (int hour = 1; hour <= kHours; ++hour) {
            for (int minute = 0; minute < kMinutes; ++minute) {
                minute % 2 == 0 ? meter.send(150.0 + hour, 60.0) : meter.swing(150.0 + hour, 60.0);
                w.settle();
            }
            // One reading an hour is kept; the value at the point before stays, superseded.
            w.key(Qt::Key_Return);
            if (hour == 1) after_first = heldBytes();
        }
        const double grown = heldBytes() - after_first;
        QVERIFY2(grown < 256.0 * 1024, qPrintable(QStringLiteral("%1 bytes").arg(grown)));
    }
};

GLUMET_TEST(TestLongEvening, "desk_long_evening", Windows)

}  // namespace desk_long_evening

#include "test_long_evening.moc"
