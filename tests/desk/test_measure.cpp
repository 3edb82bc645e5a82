#include "core/plane/plane_statistics.h"
#include "desk/measure/measure_stage.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_measure {

using namespace glumet;
using glumet::testing::WindowFixture;

class TestMeasure : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->createWithRuns({200, 250}));
        w_->session.chooseHeight(Millimetre(200));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
    }
    void cleanup() { w_.reset(); }

    void digitsTypeAValueAndEnterKeepsIt() {
        QCOMPARE(target(), QStringLiteral("A1"));
        w_->key(Qt::Key_2);
        w_->key(Qt::Key_1);
        w_->key(Qt::Key_4);
        w_->key(Qt::Key_Return);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        const auto& reading = w_->plane().readings[0];
        QCOMPARE(reading.mean.value(), 214.0);
        QCOMPARE(reading.x.value(), 100.0);
        QCOMPARE(reading.time, std::string("2026-11-24T12:00:00"));
        QVERIFY(!reading.sd);
        QCOMPARE(target(), QStringLiteral("B1"));
    }

    /// The light is looked at elsewhere too, for a check say: that takes no reading.
    void nothingIsTakenByItselfWhileAnotherStageIsShown() {
        auto& meter = w_->attachMeter();
        auto* stage = w_->window.findChild<MeasureStage*>();
        w_->settle();
        stage->taker().setHandsFree(true);
        w_->window.showStage(QStringLiteral("plan"));
        w_->settle();
        meter.send(180, 30);
        w_->settle();
        QVERIFY(w_->plane().readings.empty());
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        meter.send(180, 30);
        w_->settle();
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
    }

    /// Its plane may have the same id and another grid: what was aimed at in this one may not be there.
    void theAimIsNotCarriedIntoAnotherProject() {
        {
            auto other = *Project::create(w_->path("other.glumet"), QStringLiteral("other"));
            Fixture fixture;
            fixture.name = "Sedge 10";
            Tank tank;
            tank.name = "Jar";
            Run run;
            run.label = "one";
            run.fixture = *other->save(fixture);
            run.tank = *other->save(tank);
            run.height = Millimetre(200);
            run.planes.resize(1);
            run.planes[0].depth = Millimetre(150);
            run.planes[0].grid = cellCentres(tank.length, tank.width, 1, 1);
            QVERIFY(other->save(run));
        }
        for (int i = 0; i < 5; ++i) type(100 + i);
        QCOMPARE(target(), QStringLiteral("A2"));
        const auto plane = w_->plane().id;
        QVERIFY(w_->window.openProject(w_->path("other.glumet")));
        w_->settle();
        QCOMPARE(w_->plane().id, plane);
        QCOMPARE(target(), QStringLiteral("A1"));
        type(42);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
    }

    void aWrongNumberKeepsNothing() {
        w_->key(Qt::Key_2);
        QTest::keyClicks(QApplication::focusWidget(), QStringLiteral("x"));
        w_->key(Qt::Key_Return);
        QVERIFY(w_->plane().readings.empty());
        QVERIFY(w_->lastWord().contains(QStringLiteral("not a number")));
        w_->key(Qt::Key_Escape);
        QCOMPARE(target(), QStringLiteral("A1"));
    }

    void theRouteTurnsAtTheEndOfARow() {
        for (int i = 0; i < 4; ++i) type(100 + i);
        QCOMPARE(target(), QStringLiteral("B2"));
        type(1);
        type(2);
        QCOMPARE(target(), QStringLiteral("done"));
        QCOMPARE(w_->plane().readings.size(), std::size_t{6});
    }

    void backspaceStepsBackAndTheEarlierValueIsKept() {
        type(100);
        type(110);
        w_->key(Qt::Key_Backspace);
        w_->key(Qt::Key_Backspace);
        QCOMPARE(target(), QStringLiteral("A1"));
        type(105);
        QCOMPARE(w_->plane().readings.size(), std::size_t{3});
        QVERIFY(w_->plane().readings[0].superseded);
        QCOMPARE(w_->plane().readings[0].mean.value(), 100.0);
        QCOMPARE(planeStatistics(w_->plane())->n, 2);
    }

    void rReadsTheLastPointAgain() {
        type(100);
        w_->key(Qt::Key_R);
        QCOMPARE(target(), QStringLiteral("A1"));
    }

    void spaceTakesTheMeanOnceSettled() {
        auto& meter = w_->attachMeter();
        w_->settle();
        QCOMPARE(meter.probe.first, 100.0);
        meter.send(180.0, 1.0);
        w_->key(Qt::Key_Space);
        QVERIFY(w_->plane().readings.empty());
        QVERIFY(stage().taker().armed());
        meter.send(180.0, 1.5);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        QCOMPARE(w_->plane().readings[0].mean.value(), 180.0);
        QVERIFY(w_->plane().readings[0].samples);
        QVERIFY(w_->plane().readings[0].flag.empty());
        QCOMPARE(meter.probe.first, 300.0);
        QVERIFY(!stage().taker().armed());
    }

    void samplesOfTheLastPointDoNotLeakIntoTheNext() {
        auto& meter = w_->attachMeter();
        meter.send(500.0, 3.0);
        w_->key(Qt::Key_Space);
        meter.send(50.0, 3.0);
        w_->key(Qt::Key_Space);
        QCOMPARE(w_->plane().readings.size(), std::size_t{2});
        QCOMPARE(w_->plane().readings[1].mean.value(), 50.0);
    }

    void spaceTwiceTakesItUnsettledAndMarksIt() {
        auto& meter = w_->attachMeter();
        meter.swing(200.0, 2.0);
        w_->key(Qt::Key_Space);
        QVERIFY(w_->plane().readings.empty());
        w_->key(Qt::Key_Space);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        QVERIFY(w_->plane().readings[0].flag == Mark::Doubtful);
        QVERIFY(*w_->plane().readings[0].min < *w_->plane().readings[0].max);
    }

    void withoutAMeterSpaceSaysWhatToDo() {
        w_->key(Qt::Key_Space);
        QVERIFY(w_->lastWord().contains(QStringLiteral("type the value")));
        QVERIFY(w_->plane().readings.empty());
    }

    void arrowsChooseAPointToReadAgain() {
        for (int i = 0; i < 6; ++i) type(100 + i);
        w_->key(Qt::Key_Up);
        const auto aimed = target();
        QVERIFY(aimed != QStringLiteral("done"));
        type(500);
        QCOMPARE(w_->plane().readings.size(), std::size_t{7});
    }

    void gGoesToTheDoubtfulPoint() {
        for (const int value : {100, 100, 100, 100, 100, 300}) type(value);  // the last is A2
        w_->key(Qt::Key_G);
        QCOMPARE(target(), QStringLiteral("A2"));
    }

    void undoGivesThePointBack() {
        type(100);
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(w_->plane().readings.empty());
        w_->key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
    }

    void theLiveValueIsTallEnough() {
        auto& meter = w_->attachMeter();
        meter.send(888.0, 1.0);
        auto* live = w_->find<QLabel>("liveValue");
        QCOMPARE(live->text(), QStringLiteral("888"));
        QVERIFY(QFontMetrics(live->font()).tightBoundingRect(QStringLiteral("8")).height() >= 72);
    }

    void practiceReadingsAreMarkedSimulated() {
        w_->window.togglePractice();
        QVERIFY(w_->session.meter()->simulated());
        w_->session.meter()->stop();
        emit w_->session.meter()->sampled(1.0, 50.0);
        for (int i = 1; i < 80; ++i) emit w_->session.meter()->sampled(1.0 + i * 0.05, 50.0);
        w_->key(Qt::Key_Space);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        QCOMPARE(w_->plane().readings[0].note, std::string("simulated"));
    }

  private:
    MeasureStage& stage() {
        return *static_cast<MeasureStage*>(w_->window.stageWidget(QStringLiteral("measure")));
    }
    QString target() { return w_->find<QLabel>("targetPoint")->text(); }
    void type(int value) {
        for (const QChar digit : QString::number(value)) w_->key(Qt::Key_0 + digit.digitValue());
        w_->key(Qt::Key_Return);
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestMeasure, "desk_measure", Windows)

}  // namespace desk_measure

#include "test_measure.moc"
