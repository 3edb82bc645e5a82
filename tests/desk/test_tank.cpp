#include <QLineEdit>
#include <QPushButton>
#include <QSlider>

#include "desk/tank/tank_stage.h"
#include "desk/window_fixture.h"

using namespace glumet;
using glumet::testing::WindowFixture;

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
            if (text(finding.title, LengthUnit::Cm).contains(part)) return true;
        return false;
    }

    std::unique_ptr<WindowFixture> w_;
};

QTEST_MAIN(TestTank)
#include "test_tank.moc"
