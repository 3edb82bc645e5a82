#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QSpinBox>
#include <QTextBlock>
#include <QTimer>
#include <QVBoxLayout>

#include "core/bench/grid.h"
#include "core/light/exact_field.h"
#include "desk/measure/arrived_lines.h"
#include "desk/measure/instrument_dialog.h"
#include "desk/measure/measure_stage.h"
#include "desk/shared/ledger_line.h"
#include "desk/shared/loaded_voice.h"
#include "desk/window_fixture.h"
#include "meters/simulated_meter.h"
#include "runner/registry.h"
#include "servers.h"

namespace desk_instruments {

using namespace glumet;
using glumet::testing::WindowFixture;

namespace {

/// The rig's bench and automatic hand as a meter whose clock the test moves.
class RigMeter : public Meter {
  public:
    explicit RigMeter(rig::Rig& rig) : rig_(rig) {}
    QString name() const override { return QStringLiteral("Rig"); }
    void start() override {}
    void stop() override {}
    void run(double seconds) {
        for (double t = 0.0; t < seconds; t += 0.05) {
            rig_.advance(0.05);
            emit sampled(clock_ += 0.05, rig_.ppfd());
        }
    }
    void lose() { emit stateChanged(MeterState::Lost); }

  private:
    rig::Rig& rig_;
    double clock_ = 0.0;
};

/// A described fixture and tank with `heights` × `depths` of 6 × 6 points.
bool planMatrix(WindowFixture& w, const std::vector<double>& heights, const std::vector<double>& depths,
                int cells) {
    if (!w.create()) return false;
    auto bench = demoBench();
    auto fixture = bench.fixtures.front();
    fixture.id = 0;
    auto tank = bench.tanks.front();
    tank.id = 0;
    Method method = w.session.bench().method;
    method.settled_relative_error = 0.05;
    const auto fixture_id = w.session.project()->save(fixture);
    const auto tank_id = w.session.project()->save(tank);
    if (!fixture_id || !tank_id || !w.session.project()->saveMethod(QStringLiteral("Matrix"), method))
        return false;
    for (const double height : heights) {
        Run run;
        run.label = std::to_string(height);
        run.fixture = *fixture_id;
        run.tank = *tank_id;
        run.height = Millimetre(height);
        for (const double depth : depths) {
            Plane plane;
            plane.depth = Millimetre(depth);
            plane.grid = cellCentres(tank.length, tank.width, cells, cells);
            run.planes.push_back(plane);
        }
        if (!w.session.project()->save(run)) return false;
    }
    w.show();
    return true;
}

}  // namespace

class TestInstruments : public QObject {
    Q_OBJECT

  private slots:
    void init() { w_ = std::make_unique<WindowFixture>(); }
    void cleanup() { w_.reset(); }

    /// Sound and speech lie in a library of their own, found beside the program.
    void theVoiceIsLoadedWhenItIsFirstHeard() {
        LoadedVoice voice;
        QVERIFY(voice.available());
        voice.play(Tone::Taken);  // silent where there is no sound device
        voice.say(QStringLiteral("two hundred"));
    }

    /// 3 heights × 3 depths × 36 points, hands free through the real window, on the simulated meter's own
    /// clock.
    void aWholeBenchmarkIsTakenHandsFree() {
        QVERIFY(planMatrix(*w_, {150, 200, 250}, {150, 300, 450}, 6));
        auto owned = std::make_unique<SimulatedMeter>(5);
        auto* meter = owned.get();
        w_->session.setMeter(std::move(owned));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        meter->stop();  // its timer; the test moves the clock
        w_->key(Qt::Key_H);
        auto& taker = w_->window.findChild<MeasureStage*>()->taker();
        QVERIFY(taker.handsFree());
        for (const double height : {150.0, 200.0, 250.0})
            for (const double depth : {150.0, 300.0, 450.0}) {
                w_->session.chooseHeight(Millimetre(height));
                w_->session.chooseDepth(Millimetre(depth));
                w_->settle();
                for (int guard = 0; taker.target() && guard < 3000; ++guard) meter->advance(1.0);
                QVERIFY(!taker.target());
                w_->settle();
            }
        int readings = 0;
        double squares = 0.0;
        for (const auto& run : w_->session.bench().runs) {
            const ExactField truth(sceneOf(w_->session.bench(), run));
            for (const auto& plane : run.planes)
                for (const auto& reading : plane.readings) {
                    ++readings;
                    squares += std::pow(reading.mean / truth.at(reading.x, reading.y, plane.depth) - 1.0, 2);
                }
        }
        QCOMPARE(readings, 324);
        QVERIFY(std::sqrt(squares / readings) < 0.08);  // 5 % asked, and a hand that misses by millimetres
    }

    /// The rig's hand lifts the probe and moves it on at its own pace; nobody touches a key.
    void theProbesMovementIsNoticed() {
        QVERIFY(planMatrix(*w_, {200}, {200}, 3));
        const auto& run = w_->session.bench().runs[0];
        rig::Rig rig(sceneOf(w_->session.bench(), run), 11);
        std::vector<Place> route;
        for (const auto cell : serpentine(*run.planes[0].grid))
            route.push_back({run.planes[0].grid->xs_mm[static_cast<std::size_t>(cell.column)],
                             run.planes[0].grid->ys_mm[static_cast<std::size_t>(cell.row)], 200.0});
        rig.setRoute(route, {true, 25.0, 2.0});
        auto owned = std::make_unique<RigMeter>(rig);
        auto* meter = owned.get();
        w_->session.setMeter(std::move(owned));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        w_->key(Qt::Key_H);
        meter->run(27.0 * 9 + 10.0);
        w_->settle();
        const auto& readings = w_->plane().readings;
        QCOMPARE(readings.size(), std::size_t{9});
        const ExactField truth(sceneOf(w_->session.bench(), w_->session.bench().runs[0]));
        for (const auto& reading : readings) {
            const double off = reading.mean / truth.at(reading.x, reading.y, Millimetre(200)) - 1.0;
            QVERIFY2(
                std::abs(off) < 0.15,
                qPrintable(
                    QStringLiteral("%1 | %2: %3").arg(reading.x.value()).arg(reading.y.value()).arg(off)));
        }
    }

    void aPulledCableBeginsThePointAgain() {
        QVERIFY(planMatrix(*w_, {200}, {200}, 3));
        rig::Rig rig(sceneOf(w_->session.bench(), w_->session.bench().runs[0]), 11);
        auto owned = std::make_unique<RigMeter>(rig);
        auto* meter = owned.get();
        w_->session.setMeter(std::move(owned));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        auto& taker = w_->window.findChild<MeasureStage*>()->taker();
        meter->run(1.0);
        QVERIFY(taker.state().has_value());
        meter->lose();
        QVERIFY(!taker.state().has_value());
        QVERIFY(w_->plane().readings.empty());
    }

    void anInstrumentIsSetUpTestedAndUsed() {
        QVERIFY(w_->createWithRuns({200}));
        rig::Rig rig(sceneOf(demoBench(), {}), 2);
        rig::Servers servers(rig);
        const auto port = servers.lines(0)->section(QLatin1Char(' '), 2).toInt();
        const InstrumentStore store(w_->path("instruments.json"));
        InstrumentDialog dialog(w_->session, store);
        dialog.show();
        const auto edit = [&](const char* name) { return dialog.findChild<QLineEdit*>(QLatin1String(name)); };
        edit("instrumentName")->setText(QStringLiteral("Wand"));
        dialog.findChild<QComboBox*>(QStringLiteral("instrumentTransport"))->setCurrentIndex(1);
        dialog.findChild<QComboBox*>(QStringLiteral("instrumentPlace"))
            ->setEditText(QStringLiteral("127.0.0.1"));
        dialog.findChild<QSpinBox*>(QStringLiteral("instrumentNumber"))->setValue(port);
        edit("instrumentPattern")->setText(QStringLiteral("PPFD=("));
        auto* test = dialog.findChild<QPushButton*>(QStringLiteral("testInstrument"));
        QTest::mouseClick(test, Qt::LeftButton);
        QVERIFY(dialog.findChild<QLabel*>(QStringLiteral("instrumentFault"))
                    ->text()
                    .startsWith(QLatin1String("pattern")));
        edit("instrumentPattern")->setText(QStringLiteral("PPFD=([0-9.]+)"));
        QTest::mouseClick(test, Qt::LeftButton);
        auto* state = dialog.findChild<QLabel*>(QStringLiteral("testState"));
        QTRY_VERIFY((rig.advance(0.05), state->text().startsWith(QLatin1String("Live"))));
        auto* value = dialog.findChild<QLabel*>(QStringLiteral("testValue"));
        QTRY_VERIFY((rig.advance(0.05), value->text() != QStringLiteral("–")));
        QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("useInstrument")), Qt::LeftButton);
        QCOMPARE(dialog.result(), static_cast<int>(QDialog::Accepted));
        QCOMPARE(w_->session.meter()->name(), QStringLiteral("Wand"));
        QCOMPARE(store.load()->first().number, port);
        // And it measures: two dozen samples through the socket, then space takes their mean.
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        auto& taker = w_->window.findChild<MeasureStage*>()->taker();
        QTRY_VERIFY((rig.advance(0.05), taker.state() && taker.state()->count > 24));
        auto* stage = w_->window.findChild<MeasureStage*>();
        QTest::keyClick(stage, Qt::Key_Space);
        QTest::keyClick(stage, Qt::Key_Space);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
    }

    void theLedgerLineSaysWhatIsConnectedAndWhatIsLost() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("measure"));
        auto& meter = w_->attachMeter();
        auto power = std::make_unique<glumet::testing::HandMeter>();
        auto* plug = power.get();
        w_->session.setPowerMeter(std::move(power));
        w_->settle();
        const auto shown = [&](const QString& part) {
            const auto* ledger = w_->window.findChild<LedgerLine*>();
            for (const auto* label : ledger->findChildren<QLabel*>())
                if (label->text().contains(part)) return true;
            return ledger->findChild<QPushButton*>(QStringLiteral("instrumentsButton"))
                ->text()
                .contains(part);
        };
        QVERIFY(shown(QStringLiteral("Hand meter")));
        QVERIFY(shown(QStringLiteral("Hand meter silent")));
        plug->send(61.8, 0.1);
        QVERIFY(shown(QStringLiteral("61.8 W")));
        meter.send(214.6, 1.0);
        QVERIFY(shown(QStringLiteral("214.6")));
        emit meter.stateChanged(MeterState::Lost);
        QVERIFY(!shown(QStringLiteral("214.6")));
        QVERIFY(shown(QStringLiteral("connection lost")));
        emit plug->stateChanged(MeterState::Lost);
        QVERIFY(!shown(QStringLiteral("61.8 W")));
    }

    void aPassingShadowIsNotedWithTheReading() {
        QVERIFY(w_->createWithRuns({200}));
        auto& meter = w_->attachMeter();
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        auto& taker = w_->window.findChild<MeasureStage*>()->taker();
        meter.send(200.0, 1.2);
        meter.send(60.0, 0.5);
        meter.send(200.0, 1.4);
        QVERIFY(taker.state()->left_out >= 9);
        QCOMPARE(taker.state()->mean.value(), 200.0);
        w_->key(Qt::Key_Space);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        QVERIFY(w_->plane().readings[0].note.find("shadow") != std::string::npos);
        QCOMPARE(w_->plane().readings[0].min->value(), 200.0);
    }

    void aReadingThatTimedOutSaysSo() {
        QVERIFY(w_->createWithRuns({200}));
        auto& meter = w_->attachMeter();
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        w_->key(Qt::Key_H);
        meter.swing(200.0, 31.0);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        QVERIFY(w_->plane().readings[0].note.find("longest time") != std::string::npos);
    }

    void handsFreeCanBeHurriedByTheSpaceBar() {
        QVERIFY(w_->createWithRuns({200}));
        auto& meter = w_->attachMeter();
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        auto& taker = w_->window.findChild<MeasureStage*>()->taker();
        w_->key(Qt::Key_H);
        meter.send(200.0, 3.0);
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        QVERIFY(taker.awaited() == MovementWatch::State::Resting);
        meter.send(200.0, 10.0);  // nobody moves: nothing more is taken
        QCOMPARE(w_->plane().readings.size(), std::size_t{1});
        w_->key(Qt::Key_Space);  // "it is there"
        QVERIFY(!taker.awaited());
        meter.send(201.0, 3.0);
        QCOMPARE(w_->plane().readings.size(), std::size_t{2});
        w_->key(Qt::Key_H);
        QVERIFY(!taker.handsFree() && !taker.awaited());
    }

    void theDialogShowsTheFieldsThatCount() {
        QVERIFY(w_->createWithRuns({200}));
        InstrumentDialog dialog(w_->session, InstrumentStore(w_->path("instruments.json")));
        dialog.show();
        auto* by = dialog.findChild<QComboBox*>(QStringLiteral("instrumentTransport"));
        const auto visible = [&](const char* name) {
            return dialog.findChild<QWidget*>(QLatin1String(name))->isVisibleTo(&dialog);
        };
        by->setCurrentIndex(static_cast<int>(Transport::Serial));
        QVERIFY(visible("instrumentPattern") && visible("instrumentNumber") && !visible("instrumentAddress"));
        by->setCurrentIndex(static_cast<int>(Transport::ModbusRtu));
        QVERIFY(!visible("instrumentPattern") && visible("instrumentNumber") && visible("instrumentAddress"));
        // A host is asked for, and the serial port chosen before is none.
        auto* place = dialog.findChild<QComboBox*>(QStringLiteral("instrumentPlace"));
        by->setCurrentIndex(static_cast<int>(Transport::Serial));
        place->setEditText(QStringLiteral("/dev/ttyUSB7"));
        by->setCurrentIndex(static_cast<int>(Transport::Tcp));
        QVERIFY(place->currentText().isEmpty());
        QCOMPARE(place->accessibleName(), QStringLiteral("host"));
        auto* lines = dialog.findChild<ArrivedLines*>(QStringLiteral("arrivedLines"));
        lines->appendPlainText(QStringLiteral("PPFD=120.5 uE"));
        QTextCursor at(lines->document()->lastBlock());
        at.movePosition(QTextCursor::Right, QTextCursor::MoveAnchor, 7);
        QTest::mouseClick(lines->viewport(), Qt::LeftButton, {}, lines->cursorRect(at).center());
        QVERIFY(dialog.findChild<QLineEdit*>(QStringLiteral("instrumentPattern"))
                    ->text()
                    .startsWith(QLatin1String("^PPFD=(")));
        by->setCurrentIndex(static_cast<int>(Transport::LogFile));
        QVERIFY(visible("instrumentColumn") && !visible("instrumentNumber") &&
                !visible("instrumentQuestion"));
        auto* factor = dialog.findChild<QLineEdit*>(QStringLiteral("instrumentFactor"));
        factor->setText(QStringLiteral("many"));
        dialog.findChild<QComboBox*>(QStringLiteral("instrumentPlace"))
            ->setEditText(QStringLiteral("/nowhere/log"));
        auto* fault = dialog.findChild<QLabel*>(QStringLiteral("instrumentFault"));
        auto* test = dialog.findChild<QPushButton*>(QStringLiteral("testInstrument"));
        QTest::mouseClick(test, Qt::LeftButton);
        QVERIFY(fault->text().startsWith(QLatin1String("factor")));
        factor->setText(QStringLiteral("1,5"));
        QCOMPARE(dialog.profile().format.factor, 1.5);
        QTest::mouseClick(test, Qt::LeftButton);
        auto* state = dialog.findChild<QLabel*>(QStringLiteral("testState"));
        QTRY_VERIFY(state->text().contains(QLatin1String("silent")));
    }

    void instrumentsAreAddedAndRemoved() {
        QVERIFY(w_->createWithRuns({200}));
        const InstrumentStore store(w_->path("instruments.json"));
        {
            InstrumentDialog dialog(w_->session, store);
            auto* list = dialog.findChild<QListWidget*>(QStringLiteral("instrumentList"));
            QCOMPARE(list->count(), 1);
            QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("newInstrument")),
                              Qt::LeftButton);
            QCOMPARE(list->count(), 2);
            dialog.findChild<QLineEdit*>(QStringLiteral("instrumentName"))->setText(QStringLiteral("Plug"));
            dialog.findChild<QComboBox*>(QStringLiteral("instrumentMeasures"))->setCurrentIndex(1);
            dialog.findChild<QComboBox*>(QStringLiteral("instrumentTransport"))->setCurrentIndex(1);
            dialog.findChild<QComboBox*>(QStringLiteral("instrumentPlace"))
                ->setEditText(QStringLiteral("127.0.0.1"));
            dialog.findChild<QSpinBox*>(QStringLiteral("instrumentNumber"))->setValue(5025);
            QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("useInstrument")),
                              Qt::LeftButton);
        }
        QCOMPARE(store.load()->size(), 2);
        QCOMPARE(w_->session.powerMeter()->name(), QStringLiteral("Plug"));
        QVERIFY(w_->session.meter() == nullptr);
        w_->session.setPowerMeter(nullptr);
        QFile broken(w_->path("instruments.json"));
        QVERIFY(broken.open(QIODevice::WriteOnly));
        broken.write("{}");
        broken.close();
        InstrumentDialog dialog(w_->session, store);
        QVERIFY(dialog.findChild<QLabel*>(QStringLiteral("instrumentFault"))
                    ->text()
                    .contains(QLatin1String("not a list")));
    }

    void theImmersionFactorIsAppliedOnceAndTheRawValueKept() {
        QVERIFY(w_->createWithRuns({200}));
        MeterProfile profile;
        profile.name = "S2";
        profile.immersion_factor = 1.1;
        profile.immersion_by = ImmersionBy::Glumet;
        const auto meter_id = w_->session.project()->save(profile);
        QVERIFY(meter_id.has_value());
        auto run = w_->session.bench().runs[0];
        run.meter = *meter_id;
        QVERIFY(w_->session.project()->save(run));
        w_->settle();
        auto& meter = w_->attachMeter();
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        meter.send(200.0, 3.0);
        w_->key(Qt::Key_Space);
        const auto& readings = w_->plane().readings;
        QCOMPARE(readings.size(), std::size_t{1});
        QVERIFY(std::abs(readings[0].mean.value() - 220.0) < 1e-9);
        QCOMPARE(readings[0].extra.at("ppfd_before_immersion"), std::string("200"));
    }

    void theDrawIsKeptWithEachReading() {
        QVERIFY(w_->createWithRuns({200}));
        auto owned = std::make_unique<glumet::testing::HandMeter>();
        auto* power = owned.get();
        w_->session.setPowerMeter(std::move(owned));
        power->send(61.8, 0.1);
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        w_->key(Qt::Key_2);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        w_->settle();
        QCOMPARE(w_->plane().readings.front().power->value(), 61.8);
        emit power->stateChanged(MeterState::Lost);
        w_->key(Qt::Key_3);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        w_->settle();
        QVERIFY(!w_->plane().readings.back().power);
    }

  private:
    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestInstruments, "desk_instruments", Windows)

}  // namespace desk_instruments

#include "test_instruments.moc"
