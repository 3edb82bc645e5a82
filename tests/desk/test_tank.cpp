#include <QComboBox>
#include <QImage>
#include <QLineEdit>
#include <QPushButton>
#include <QSlider>

#include <fmt/format.h>

#include "core/plane/plane_statistics.h"
#include "core/simulation/demo_scenario.h"
#include "desk/tank/tank_stage.h"
#include "desk/window/import_dialog.h"
#include "desk/window_fixture.h"
#include "meters/simulated_meter.h"
#include "runner/registry.h"

namespace desk_tank {

using namespace glumet;
using glumet::testing::WindowFixture;

namespace {

/// Writes down what is said.
class PaperVoice : public Voice {
  public:
    explicit PaperVoice(QStringList& heard) : heard_(heard) {}
    void play(Tone) override {}
    void say(const QString& words) override { heard_ << words; }

  private:
    QStringList& heard_;
};

}  // namespace

/// The Tank stage by keys and mouse.
class TestTank : public QObject {
    Q_OBJECT

  private slots:
    void init() { w_ = std::make_unique<WindowFixture>(); }
    void cleanup() { w_.reset(); }

    void theDemonstrationsTankIsShown() {
        QVERIFY(w_->openDemo());
        show();
        QCOMPARE(view()->figure().marks.size(), std::size_t{14});
        QVERIFY(w_->find<QLabel>("tankSurvey")->text().contains(QStringLiteral("2026-11-16")));
        QVERIFY(w_->find<QLabel>("rampName")->text().contains(QStringLiteral("new lamps")));
        QVERIFY(told(QStringLiteral("C lost light by itself")));
        QVERIFY(told(QStringLiteral("new lamps:")));
        QVERIFY(told(QStringLiteral("Change one thing at a time")));
        // Spot after spot by the arrows, each told to who listens.
        const Id first = stage()->spot();
        view()->setFocus();
        QTest::keyClick(view(), Qt::Key_Right);
        w_->settle();
        QVERIFY(stage()->spot() != first);
        const auto cells = view()->accessibleCells();
        QCOMPARE(cells.size(), std::size_t{14});
        QVERIFY(std::any_of(cells.begin(), cells.end(), [](const auto& cell) { return cell.chosen; }));
        QVERIFY(std::any_of(cells.begin(), cells.end(),
                            [](const auto& cell) { return cell.name.contains(QStringLiteral("eelgrass")); }));
    }

    /// Under the pointer stands what the map knows there, with its interval.
    void thePointerTellsTheLightThere() {
        QVERIFY(w_->openDemo());
        show();
        auto* said = w_->find<QLabel>("mapSays");
        const auto before = said->text();
        const auto a = bench().spots[0];
        QTest::mouseMove(view(), view()->placeOf(a.x.value() + 30, a.y.value() - 20));
        w_->settle();
        QVERIFY2(said->text().contains(QStringLiteral("deep here")), qPrintable(said->text()));
        QVERIFY(said->text().contains(QStringLiteral("–")) ||
                said->text().contains(QStringLiteral("not known")));
        QTest::mouseMove(view(), QPoint(1, 1));  // beside the tank
        w_->settle();
        QCOMPARE(said->text(), before);
    }

    void aSpotIsMadeNamedMovedAndReadByHand() {
        QVERIFY(w_->createWithRuns({200}));
        show();
        QVERIFY(view()->figure().marks.empty());
        QTest::mouseDClick(view(), Qt::LeftButton, {}, view()->rect().center());
        w_->settle();
        QCOMPARE(bench().spots.size(), std::size_t{1});
        QCOMPARE(bench().spots[0].name, std::string("A"));
        type("spotName", QStringLiteral("left rock"));
        type("spotReading", QStringLiteral("123"));
        type("spotDepth", QStringLiteral("20"));
        type("organismName", QStringLiteral("moss"));
        type("organismSeen", QStringLiteral("50-100"));
        const auto& spot = bench().spots[0];
        QCOMPARE(spot.name, std::string("left rock"));
        QCOMPARE(spot.readings.size(), std::size_t{1});
        QCOMPARE(spot.readings[0].mean.value(), 123.0);
        QCOMPARE(spot.depth.value(), 200.0);
        QCOMPARE(bench().organisms[0].name, std::string("moss"));
        QCOMPARE(bench().organisms[0].seen_high->value(), 100.0);
        QCOMPARE(view()->figure().marks[0].mark, SpotMark::More);
        // Dragged, it is somewhere else; undo brings it back.
        const double x = spot.x.value();
        const auto from = view()->placeOf(spot.id);
        QTest::mousePress(view(), Qt::LeftButton, {}, from);
        QTest::mouseMove(view(), from + QPoint(30, 0));
        QTest::mouseMove(view(), from + QPoint(60, 0));
        QTest::mouseRelease(view(), Qt::LeftButton, {}, from + QPoint(60, 0));
        w_->settle();
        QVERIFY(bench().spots[0].x.value() > x + 20.0);
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(bench().spots[0].x.value(), x);
        // Outside the tank is nowhere.
        type("spotX", QStringLiteral("900"));
        QCOMPARE(bench().spots[0].x.value(), x);
        type("organismName", QString());
        QVERIFY(bench().organisms.empty());
        QTest::mouseClick(w_->find<QPushButton>("removeSpot"), Qt::LeftButton);
        w_->settle();
        QVERIFY(bench().spots.empty());
    }

    void aPlanIsMadeChangedAndRefusedInWords() {
        QVERIFY(w_->createWithRuns({200}));
        show();
        QTest::mouseClick(w_->find<QPushButton>("newRamp"), Qt::LeftButton);
        w_->settle();
        QCOMPARE(bench().ramps.size(), std::size_t{1});
        QCOMPARE(bench().ramps[0].start, std::string("2026-11-24"));
        type("rampFrom", QStringLiteral("40"));
        type("rampTo", QStringLiteral("85"));
        QCOMPARE(bench().ramps[0].to_pct, 85.0);
        QVERIFY(w_->find<QLabel>("rampSteps")->text().contains(QStringLiteral("2026-12-01")));
        type("rampWeeks", QStringLiteral("0"));
        QCOMPARE(bench().ramps[0].weeks, 6.0);
        type("rampTo", QStringLiteral("30"));
        QCOMPARE(bench().ramps[0].to_pct, 85.0);
        type("rampCap", QStringLiteral("5"));
        QVERIFY(!bench().ramps[0].cap_pct_week);
        type("rampCap", QStringLiteral("15"));
        QCOMPARE(*bench().ramps[0].cap_pct_week, 15.0);
        stage()->noteOnRamp(RampEventKind::Pause);
        w_->settle();
        QCOMPARE(bench().ramps[0].events.size(), std::size_t{1});
        stage()->writeCalendar(w_->path("plan.ics"));
        QFile file(w_->path("plan.ics"));
        QVERIFY(file.open(QIODevice::ReadOnly));
        QVERIFY(file.readAll().contains("BEGIN:VCALENDAR"));
        stage()->writeCalendar(QStringLiteral("/no/such/place.ics"));
        QVERIFY(w_->lastWord().contains(QStringLiteral("place.ics")));
        QTest::mouseClick(w_->find<QPushButton>("removeRamp"), Qt::LeftButton);
        w_->settle();
        QVERIFY(bench().ramps.empty());
        stage()->writeCalendar(w_->path("none.ics"));
        QVERIFY(w_->lastWord().contains(QStringLiteral("no look to come back to")));
        QVERIFY(!QFile::exists(w_->path("none.ics")));
    }

    // The walk.

    void spotsAreWalkedWithTheProbe() {
        makeSpots();
        auto& meter = w_->attachMeter();
        w_->key(Qt::Key_W, Qt::ControlModifier | Qt::ShiftModifier);
        auto& walk = stage()->walk();
        QVERIFY(walk.walking());
        QCOMPARE(w_->find<QLabel>("walkSpot")->text(), QStringLiteral("B"));  // the front left corner's
        QCOMPARE(stage()->spot(), walk.spot());
        QCOMPARE(meter.probe.first, 100.0);
        meter.send(180.0, 1.0);
        panelKey(Qt::Key_Space);
        QVERIFY(spotNamed("B").readings.empty());  // not settled yet
        meter.send(180.0, 1.5);
        w_->settle();
        QCOMPARE(spotNamed("B").readings.size(), std::size_t{1});
        QCOMPARE(spotNamed("B").readings[0].mean.value(), 180.0);
        QCOMPARE(w_->find<QLabel>("walkSpot")->text(), QStringLiteral("A"));
        // Turned to the animal, with something in the way; then the next is read free again.
        panelKey(Qt::Key_A);
        panelKey(Qt::Key_D);
        QVERIFY(w_->find<QLabel>("walkHeld")->text().contains(QStringLiteral("something in the way")));
        panelKey(Qt::Key_7);
        QTest::keyClicks(w_->find<QLineEdit>("walkTyped"), QStringLiteral("5"));
        QTest::keyClick(w_->find<QLineEdit>("walkTyped"), Qt::Key_Return);
        w_->settle();
        QCOMPARE(spotNamed("A").readings[0].mean.value(), 75.0);
        QCOMPARE(spotNamed("A").readings[0].tilt_deg, 30.0);
        QVERIFY(spotNamed("A").readings[0].shaded);
        QVERIFY(!walk.shaded());
        panelKey(Qt::Key_Backspace);
        QCOMPARE(w_->find<QLabel>("walkSpot")->text(), QStringLiteral("A"));
        panelKey(Qt::Key_N);
        QCOMPARE(w_->find<QLabel>("walkSpot")->text(), QStringLiteral("C"));
        panelKey(Qt::Key_N);  // past the last it ends
        QVERIFY(!walk.walking());
        QVERIFY(!stage()->walkPanel().isVisible());
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(spotNamed("A").readings.empty());
    }

    void handsFreeTheProbesMovementLeadsOn() {
        makeSpots();
        auto& meter = w_->attachMeter();
        QStringList heard;
        stage()->walkPanel().announcer().setVoice(std::make_unique<PaperVoice>(heard));
        stage()->walkPanel().announcer().setSpeech(true);
        stage()->walkOrEnd();
        w_->settle();
        panelKey(Qt::Key_H);
        meter.send(180.0, 3.0);
        QCOMPARE(spotNamed("B").readings.size(), std::size_t{1});
        QCOMPARE(heard, QStringList{QStringLiteral("180. Next, A, moss.")});
        meter.send(180.0, 10.0);  // the probe stays: nothing more is taken
        QVERIFY(spotNamed("A").readings.empty());
        meter.send(20.0, 1.0);
        meter.send(90.0, 6.0);
        QCOMPARE(spotNamed("A").readings.size(), std::size_t{1});
        QCOMPARE(qRound(spotNamed("A").readings[0].mean.value()), 90);
        w_->window.showStage(QStringLiteral("plan"));
        w_->settle();
        meter.send(20.0, 1.0);
        meter.send(70.0, 6.0);
        QVERIFY(spotNamed("C").readings.empty());  // nobody looks
    }

    /// The practice meter shines where the reader is: walking, and again in Measure.
    void thePracticeMeterGoesWithTheReader() {
        QVERIFY(w_->openDemo());
        auto practice = std::make_unique<SimulatedMeter>(3);
        auto* meter = practice.get();
        w_->session.setMeter(std::move(practice));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        const auto bench_scene = sceneOf(bench(), *w_->session.run());
        QVERIFY(meter->shows(bench_scene));
        show();
        stage()->walkOrEnd();
        w_->settle();
        QVERIFY(!meter->shows(bench_scene));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        QVERIFY(meter->shows(bench_scene));
        show();
        QVERIFY(!meter->shows(bench_scene));
        QVERIFY(stage()->walk().walking());
    }

    void aMissingMeterAndAFalseNumberAreSaid() {
        makeSpots();
        stage()->walkOrEnd();
        w_->settle();
        panelKey(Qt::Key_Space);
        QVERIFY(w_->lastWord().contains(QStringLiteral("No meter")));
        panelKey(Qt::Key_7);
        QTest::keyClicks(w_->find<QLineEdit>("walkTyped"), QStringLiteral("x"));
        QTest::keyClick(w_->find<QLineEdit>("walkTyped"), Qt::Key_Return);
        QVERIFY(w_->lastWord().contains(QStringLiteral("not a number")));
        QTest::keyClick(w_->find<QLineEdit>("walkTyped"), Qt::Key_Escape);
        QVERIFY(stage()->walk().walking());
        panelKey(Qt::Key_Escape);
        QVERIFY(!stage()->walk().walking());
    }

    // What is known of a reading, rocks, looks, plans, lamps.

    void aReadingsSwingTurnAndShadeAreTyped() {
        makeSpots();
        stage()->chooseSpot(spotNamed("A").id);
        w_->settle();
        type("spotReading", QStringLiteral("100"));
        // What was read is to be read again, plan or none.
        stage()->writeCalendar(w_->path("look.ics"));
        QFile look(w_->path("look.ics"));
        QVERIFY(look.open(QIODevice::ReadOnly));
        const auto days = look.readAll();
        QVERIFY(days.contains("read the spots") && days.contains("20261224"));
        type("readingSwing", QStringLiteral("80-130"));
        type("readingTilt", QStringLiteral("45"));
        type("readingNote", QStringLiteral("after feeding"));
        choose("readingShaded", 1);
        const auto& reading = spotNamed("A").readings.at(0);
        QCOMPARE(reading.min->value(), 80.0);
        QCOMPARE(reading.max->value(), 130.0);
        QCOMPARE(reading.tilt_deg, 45.0);
        QCOMPARE(reading.note, std::string("after feeding"));
        QVERIFY(reading.shaded);
        type("readingSwing", QStringLiteral("120-130"));  // the mean does not lie in it
        QCOMPARE(spotNamed("A").readings.at(0).min->value(), 80.0);
        type("readingTilt", QStringLiteral("300"));
        QCOMPARE(spotNamed("A").readings.at(0).tilt_deg, 45.0);
        QImage picture(40, 30, QImage::Format_RGB32);
        picture.fill(Qt::darkGreen);
        QVERIFY(picture.save(w_->path("spot.png")));
        stage()->form().choosePhoto(w_->path("spot.png"));
        QVERIFY(!spotNamed("A").photo.empty());
        stage()->form().choosePhoto(w_->path("bench.glumet"));
        QVERIFY(w_->lastWord().contains(QStringLiteral("no picture")));
        auto* fold = w_->find<QPushButton>("removeReading");
        fold->click();
        w_->settle();
        QVERIFY(spotNamed("A").readings.empty());
    }

    /// Every reading of a spot by its date, the latest first; the rows below speak of the chosen one.
    void everyReadingOfASpotIsListedByItsDate() {
        QVERIFY(w_->openDemo());
        show();
        const auto& spot = *byId(bench().spots, stage()->spot());
        const auto before = spot.readings;
        QVERIFY(before.size() >= 2);
        for (auto* fold : stage()->form().findChildren<QPushButton*>())
            if (fold->accessibleName() == QLatin1String("its readings")) fold->click();
        w_->settle();
        auto* list = w_->find<QTableWidget>("spotReadings");
        QCOMPARE(list->rowCount(), static_cast<int>(before.size()));
        for (int row = 1; row < list->rowCount(); ++row)
            QVERIFY(list->item(row - 1, 0)->text() >= list->item(row, 0)->text());
        // By keys down to the oldest; what is typed goes to it and not to the latest.
        list->setFocus();
        QTest::keyClick(list, Qt::Key_End, Qt::ControlModifier);
        w_->settle();
        const auto oldest = list->item(list->rowCount() - 1, 0)->text().toStdString();
        QVERIFY(w_->find<QLineEdit>("readingTime")->text().startsWith(QString::fromStdString(oldest)));
        type("readingNote", QStringLiteral("lamp was cold"));
        const auto noted = [&] {
            for (const auto& reading : byId(bench().spots, stage()->spot())->readings)
                if (reading.note == "lamp was cold") return dateOf(reading.time);
            return std::string();
        };
        QCOMPARE(noted(), oldest);
        QCOMPARE(list->currentRow(), list->rowCount() - 1);
        type("readingTime", QStringLiteral("2026-02-30"));  // no such day
        QCOMPARE(noted(), oldest);
        type("readingTime", QStringLiteral("2026-09-01"));
        QCOMPARE(noted(), std::string("2026-09-01"));
        w_->find<QPushButton>("removeReading")->click();
        w_->settle();
        QVERIFY(noted().empty());
        QCOMPARE(byId(bench().spots, stage()->spot())->readings.size(), before.size() - 1);
        // A fresh one stands on top and is the one that is spoken of.
        type("spotReading", QStringLiteral("77"));
        QCOMPARE(list->item(0, 1)->text(), QStringLiteral("77"));
        QCOMPARE(list->currentRow(), 0);
    }

    void rocksAreDrawnTypedAndRemoved() {
        makeSpots();
        w_->find<QPushButton>("newRock")->click();
        w_->settle();
        QCOMPARE(bench().rocks.size(), std::size_t{1});
        QCOMPARE(view()->figure().rocks.size(), std::size_t{1});
        type("rockName", QStringLiteral("slate"));
        type("rockX", QStringLiteral("10-20"));
        type("rockDepth", QStringLiteral("15-56"));
        type("rockThrough", QStringLiteral("30"));
        QCOMPARE(bench().rocks[0].name, std::string("slate"));
        QCOMPARE(bench().rocks[0].to_x.value(), 200.0);
        QCOMPARE(bench().rocks[0].top.value(), 150.0);
        QCOMPARE(bench().rocks[0].transmittance, 0.3);
        type("rockX", QStringLiteral("20-10"));
        QCOMPARE(bench().rocks[0].to_x.value(), 200.0);
        type("rockThrough", QStringLiteral("200"));
        QCOMPARE(bench().rocks[0].transmittance, 0.3);
        // By the mouse it is moved, no farther than the glass, and by its corner made larger.
        const auto drag = [&](QPoint from, QPoint to) {
            QTest::mousePress(view(), Qt::LeftButton, {}, from);
            QTest::mouseMove(view(), (from + to) / 2);
            QTest::mouseMove(view(), to);
            QTest::mouseRelease(view(), Qt::LeftButton, {}, to);
            w_->settle();
        };
        const auto before = bench().rocks[0];
        const auto middle = [](const Rock& rock) {
            return std::pair{0.5 * (rock.from_x + rock.to_x).value(),
                             0.5 * (rock.from_y + rock.to_y).value()};
        };
        const auto [x, y] = middle(before);
        drag(view()->placeOf(x, y), view()->placeOf(x + 60, y));
        QVERIFY(std::abs(middle(bench().rocks[0]).first - x - 60) < 15.0);
        QCOMPARE(bench().rocks[0].to_y.value(), before.to_y.value());
        drag(view()->placeOf(x + 60, y), view()->placeOf(x + 60, y + 5000));
        QCOMPARE(bench().rocks[0].to_y.value(), bench().tanks[0].width.value());
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(bench().rocks[0], before);
        const auto corner = view()->placeOf(before.to_x.value(), before.to_y.value()) + QPoint(-3, 3);
        drag(corner, view()->placeOf(before.to_x.value() + 80, before.to_y.value() + 40));
        QCOMPARE(bench().rocks[0].from_x.value(), before.from_x.value());
        QVERIFY(bench().rocks[0].to_x.value() > before.to_x.value() + 50);
        w_->find<QPushButton>("removeRock")->click();
        w_->settle();
        QVERIFY(bench().rocks.empty());
    }

    void twoLooksAreChosenToBeCompared() {
        QVERIFY(w_->openDemo());
        show();
        auto* strip = w_->find<SurveyStrip>("surveyStrip");
        QCOMPARE(strip->accessibleCells().size(), std::size_t{3});
        QVERIFY(told(QStringLiteral("C lost light by itself")));
        QTest::mouseClick(strip, Qt::LeftButton, {}, strip->placeOf(1));
        w_->settle();
        QVERIFY(!told(QStringLiteral("C lost light by itself")));
        // Before and after of every spot, and of all.
        auto* histories = w_->find<QLabel>("historiesSay");
        QVERIFY(histories->text().contains(QStringLiteral("from 2026-10-12 to 2026-11-02")));
        strip->setFocus();
        QTest::keyClick(strip, Qt::Key_Right);
        w_->settle();
        QVERIFY(histories->text().contains(QStringLiteral("to 2026-11-16, all in all −")));
        QVERIFY(told(QStringLiteral("C lost light by itself")));
        QTest::keyClick(strip, Qt::Key_Left, Qt::ShiftModifier);
        w_->settle();
        QVERIFY(strip->accessibleCells()[0].name.contains(QStringLiteral("compared")));
    }

    void plansAreSeveralAndOfAChannel() {
        QVERIFY(w_->createWithRuns({200}));
        auto fixture = bench().fixtures[0];
        fixture.channels.push_back({0, "blue", 0.4, {}, {}, {}});
        fixture.channels.push_back({0, "white", 0.6, {}, {}, {}});
        QVERIFY(w_->session.project()->save(fixture));
        show();
        for (int i = 0; i < 2; ++i) {
            QTest::mouseClick(w_->find<QPushButton>("newRamp"), Qt::LeftButton);
            w_->settle();
        }
        QCOMPARE(bench().ramps.size(), std::size_t{2});
        type("rampCalled", QStringLiteral("blue first"));
        choose("rampChannel", 1);
        QCOMPARE(bench().ramps[1].channel, bench().fixtures[0].channels[0].id);
        QCOMPARE(bench().ramps[0].channel, Id{0});
        choose("whichRamp", 0);
        QVERIFY(w_->find<QLabel>("rampName")->text().contains(QStringLiteral("new light")));
        choose("whichRamp", 1);
        QVERIFY(w_->find<QLabel>("rampName")->text().contains(QStringLiteral("blue first")));
        stage()->writeSheet(w_->path("sheet.pdf"));
        QFile sheet(w_->path("sheet.pdf"));
        QVERIFY(sheet.open(QIODevice::ReadOnly));
        QVERIFY(sheet.readAll().startsWith("%PDF"));
        stage()->writeSheet(QStringLiteral("/no/such/place.pdf"));
        QVERIFY(w_->lastWord().contains(QStringLiteral("place.pdf")));
    }

    /// Without a meter: another's fit says what lamps would give here, marked as an estimate.
    void lampsAsIfGiveAnEstimate() {
        QVERIFY(w_->openDemo());
        Tank other;
        other.name = "Second pond";
        other.use = TankUse::Living;
        other.length = Millimetre(900);
        const Id pond = *w_->session.project()->save(other);
        TankSpot spot;
        spot.tank = pond;
        spot.name = "ledge";
        spot.x = Millimetre(450);
        spot.y = Millimetre(300);
        spot.depth = Millimetre(200);
        QVERIFY(w_->session.project()->save(spot));
        show();
        choose("livingTank", 1);
        QCOMPARE(view()->figure().marks.size(), std::size_t{1});
        QCOMPARE(view()->figure().marks[0].name, QStringLiteral("ledge"));
        choose("lampsAsIf", 1);
        type("lampsCount", QStringLiteral("1"));
        type("lampsHeight", QStringLiteral("25"));
        type("lampsHeight", QStringLiteral("none"));
        QTRY_VERIFY_WITH_TIMEOUT(told(QStringLiteral("ledge would have about")), 60'000);
        QVERIFY(view()->figure().marks[0].name.contains(QStringLiteral("≈")));
        // Readings under other lamps colour nothing and judge nothing here.
        choose("livingTank", 0);
        QTRY_VERIFY_WITH_TIMEOUT(view()->figure().marks[0].name.contains(QStringLiteral("≈")), 60'000);
        QVERIFY(view()->figure().plan.empty() && !view()->figure().move);
        for (const auto& mark : view()->figure().marks) QCOMPARE(mark.mark, SpotMark::Unread);
        choose("livingTank", 1);
        QVERIFY(w_->find<QLabel>("mapSays")->text().contains(QStringLiteral("as if")));
        choose("lampsAsIf", 0);
        QVERIFY(!told(QStringLiteral("ledge would have about")));
    }

    /// Who published rings of means lends them too: the same lamps, known less well than by one's own
    /// readings.
    void lampsAsIfByAPublishedChart() {
        QVERIFY(w_->openDemo());
        ImportDialog chart(w_->session, QStringLiteral("chart.csv"),
                           QByteArray::fromStdString(publishedChart()), &w_->window);
        chart.show();
        chart.findChild<QPushButton*>(QStringLiteral("importButton"))->click();
        show();
        const auto byName = [&](const QString& part) {
            auto* lamps = w_->find<QComboBox>("lampsAsIf");
            for (int index = 1; index < lamps->count(); ++index)
                if (lamps->itemText(index).contains(part)) return index;
            return 0;
        };
        const auto estimated = [&](int index) {
            choose("lampsAsIf", index);
            return QTest::qWaitFor([&] { return told(QStringLiteral("would have about")); }, 60'000);
        };
        const int charted = byName(QStringLiteral("a chart"));
        QVERIFY(charted > 0);
        QVERIFY(estimated(charted));
        QVERIFY(told(QStringLiteral("a chart published")));
        const auto by_chart = *stage()->estimate();
        QVERIFY(estimated(byName(QString::fromStdString(demoBench().fixtures[0].name))));
        const auto by_readings = *stage()->estimate();
        QVERIFY(by_chart.lo < by_readings.ppfd && by_readings.ppfd < by_chart.hi);
        QVERIFY(by_chart.hi - by_chart.lo > by_readings.hi - by_readings.lo);
    }

    /// Another project has fixtures, tanks and looks of the same numbers: what was chosen here is not there.
    void whatWasChosenIsNotCarriedIntoAnotherProject() {
        QVERIFY(w_->openDemo());
        show();
        choose("lampsAsIf", 1);
        QTest::mouseClick(w_->find<SurveyStrip>("surveyStrip"), Qt::LeftButton, {},
                          w_->find<SurveyStrip>("surveyStrip")->placeOf(1));
        w_->settle();
        QVERIFY(w_->find<QLabel>("historiesSay")->text().contains(QStringLiteral("2026-10-12")));
        QVERIFY(QFile::copy(w_->path("demo.glumet"), w_->path("second.glumet")));
        QVERIFY(w_->window.openProject(w_->path("second.glumet")));
        show();
        QCOMPARE(w_->find<QComboBox>("lampsAsIf")->currentIndex(), 0);
        QVERIFY(w_->find<QLabel>("historiesSay")->text().contains(QStringLiteral("from 2026-11-02")));
    }

    /// What is exported comes back whole.
    void theTankGoesAlongWithABench() {
        QVERIFY(w_->openDemo());
        w_->window.exportTo(w_->path("out"));
        WindowFixture other;
        QVERIFY(other.create());
        other.window.importFile(w_->path("out/bench.json"));
        other.settle();
        const auto& there = other.session.bench();
        QCOMPARE(there.spots.size(), bench().spots.size());
        QCOMPARE(there.organisms.size(), bench().organisms.size());
        QCOMPARE(there.ramps.size(), bench().ramps.size());
        for (std::size_t i = 0; i < there.spots.size(); ++i) {
            QCOMPARE(there.spots[i].name, bench().spots[i].name);
            QCOMPARE(there.spots[i].readings.size(), bench().spots[i].readings.size());
        }
        for (std::size_t i = 0; i < there.organisms.size(); ++i)
            QCOMPARE(byId(there.spots, there.organisms[i].spot)->name,
                     byId(bench().spots, bench().organisms[i].spot)->name);
        // Once more, nothing is doubled.
        other.window.importFile(w_->path("out/bench.json"));
        other.settle();
        QCOMPARE(other.session.bench().spots.size(), bench().spots.size());
        QCOMPARE(other.session.bench().spots[0].readings.size(), bench().spots[0].readings.size());
        QCOMPARE(other.session.bench().organisms.size(), bench().organisms.size());
    }

  private:
    void show() {
        w_->window.showStage(QStringLiteral("tank"));
        w_->settle();
    }
    /// Three spots, named as they came; something lives at A.
    void makeSpots() {
        QVERIFY(w_->createWithRuns({200}));
        const Id tank = bench().tanks[0].id;
        const std::array<std::pair<double, double>, 3> places{{{300, 200}, {100, 100}, {500, 300}}};
        for (std::size_t i = 0; i < places.size(); ++i) {
            TankSpot spot;
            spot.tank = tank;
            spot.name = std::string(1, static_cast<char>('A' + i));
            spot.x = Millimetre(places[i].first);
            spot.y = Millimetre(places[i].second);
            spot.depth = Millimetre(200);
            QVERIFY(w_->session.project()->save(spot));
        }
        Organism organism;
        organism.spot = bench().spots[0].id;
        organism.name = "moss";
        QVERIFY(w_->session.project()->save(organism));
        show();
    }
    const TankSpot& spotNamed(const char* name) {
        for (const auto& spot : bench().spots)
            if (spot.name == name) return spot;
        qFatal("no spot %s", name);
    }
    /// The demonstration's first fixture as others would publish it: three rings of a grid, one depth.
    std::string publishedChart() {
        std::string csv = "run,fixture,tank,height_mm,depth_mm,nx,ny,ring,ppfd,source\n";
        for (const Id id : w_->session.sweeps().front().runs) {
            const auto& run = bench().run(id);
            const auto* plane = planeAt(run, Millimetre(300));
            const auto rings = plane == nullptr ? std::vector<Ppfd>() : planeStatistics(*plane)->ring_means;
            for (std::size_t ring = 0; ring < rings.size(); ++ring)
                csv +=
                    fmt::format("chart {0},{1},{2},{0},300,6,6,{3},{4},a chart\n", run.height.value(),
                                bench().fixtures[0].name, bench().tanks[0].name, ring, rings[ring].value());
        }
        return csv;
    }
    void panelKey(Qt::Key key) {
        QTest::keyClick(&stage()->walkPanel(), key);
        w_->settle();
    }
    /// By the arrows, as a closed list takes them.
    void choose(const char* name, int index) {
        auto* combo = w_->find<QComboBox>(name);
        combo->setFocus();
        for (int left = 20; left > 0 && combo->currentIndex() != index; --left) {
            QTest::keyClick(combo, combo->currentIndex() < index ? Qt::Key_Down : Qt::Key_Up);
            w_->settle();
        }
        QCOMPARE(combo->currentIndex(), index);
    }
    TankStage* stage() { return static_cast<TankStage*>(w_->window.stageWidget(QStringLiteral("tank"))); }
    TankView* view() { return w_->find<TankView>("tankView"); }
    const Bench& bench() { return w_->session.bench(); }
    void type(const char* field, const QString& typed) {
        auto* edit = w_->find<QLineEdit>(field);
        edit->setFocus();
        edit->selectAll();
        if (typed.isEmpty())
            QTest::keyClick(edit, Qt::Key_Delete);
        else
            QTest::keyClicks(edit, typed);
        QTest::keyClick(edit, Qt::Key_Return);
        w_->settle();
    }
    bool told(const QString& part) {
        for (const auto& finding : stage()->findings())
            if ((text(finding.title, LengthUnit::Cm) + text(finding.body, LengthUnit::Cm)).contains(part))
                return true;
        return false;
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestTank, "desk_tank", Windows)

}  // namespace desk_tank

#include "test_tank.moc"
