#include <QLabel>
#include <QTableWidget>

#include "desk/shared/section_view.h"
#include "desk/window/stages.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_empty_project {

using namespace glumet;
using glumet::testing::WindowFixture;

/// Every screen of a project in which nothing is described yet, then with things described but not read.
class TestEmptyProject : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        w_->show();
    }
    void cleanup() { w_.reset(); }

    void everyStageShowsAndLeavesItEmpty_data() {
        QTest::addColumn<QString>("stage");
        for (const auto& entry : allStages()) QTest::newRow(qPrintable(entry.id)) << entry.id;
    }
    void everyStageShowsAndLeavesItEmpty() {
        QFETCH(QString, stage);
        QVERIFY(w_->create());
        const auto steps = w_->session.project()->undoTitle();
        w_->window.showStage(stage);
        w_->settle();
        // Every key of the keyboard's usual ones, without a thing to work on.
        for (const int key : {Qt::Key_Up, Qt::Key_Down, Qt::Key_Left, Qt::Key_Right, Qt::Key_PageUp,
                              Qt::Key_PageDown, Qt::Key_Escape, Qt::Key_Delete})
            w_->key(key);
        QCOMPARE(w_->session.project()->undoTitle(), steps);
        QVERIFY(w_->session.bench().runs.empty() && w_->session.bench().fixtures.empty());
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting(), 30'000);
    }

    void whatToDoIsSaidOnEveryStage_data() { everyStageShowsAndLeavesItEmpty_data(); }
    void whatToDoIsSaidOnEveryStage() {
        QFETCH(QString, stage);
        QVERIFY(w_->create());
        w_->window.showStage(stage);
        w_->settle();
        QString said;
        for (const auto* label : w_->window.findChildren<QLabel*>())
            if (label->isVisible()) said += label->text() + QLatin1Char('\n');
        for (const char* nonsense : {"nan", "inf", "-1 ", "1e+"})
            QVERIFY2(!said.contains(QLatin1String(nonsense)), qPrintable(said));
        QVERIFY(!said.trimmed().isEmpty());
    }

    void heightShowsNoAxesBeforeThereIsALevel() {
        QVERIFY(w_->createWithRuns({200, 300}));
        w_->window.showStage(QStringLiteral("height"));
        w_->settle();
        auto* words = w_->find<QLabel>("heightNothing");
        QVERIFY(words->isVisible());
        QVERIFY(words->text().contains(QStringLiteral("Plan lays them out")));
        QVERIFY(!w_->find<QTableWidget>("heightEvidence")->isVisible());
        // Two levels of one plane are read: plots and table take the place of the words.
        for (const auto& run : w_->session.bench().runs)
            for (const double x : {100.0, 300.0, 500.0})
                for (const double y : {150.0, 450.0}) read(run.planes[0].id, x, y, 4e4 / run.height.value());
        w_->settle();
        QVERIFY(!words->isVisible());
        QVERIFY(w_->find<QTableWidget>("heightEvidence")->isVisible());
        QCOMPARE(w_->find<QTableWidget>("heightEvidence")->rowCount(), 2);
    }

    void theSectionShowsTheTankBeforeThereIsALevel() {
        QVERIFY(w_->create());
        auto* section = w_->window.findChild<SectionView*>();
        QVERIFY(section != nullptr);
        QVERIFY(section->accessibleCells().empty());
        QVERIFY(section->grab().toImage().pixelColor(5, 5).isValid());
        Tank tank;
        tank.name = "Cube";
        QVERIFY(w_->session.project()->save(tank).has_value());
        w_->settle();
        // The tank is drawn; nothing hangs, no plane lies in it and no model says where the band would be.
        QVERIFY(section->accessibleCells().empty());
        QVERIFY(section->shown().iso_lines.empty());
        QVERIFY(section->shown().heights.empty());
        QCOMPARE(section->shown().length, tank.length);
    }

    void theModelsLineComesWithALevelOnly() {
        QVERIFY(w_->createWithRuns({200}));
        auto* section = w_->window.findChild<SectionView*>();
        auto fixture = w_->session.bench().fixtures.front();
        fixture.beam = *Beam::halfAngle(50.0);
        QVERIFY(w_->session.project()->save(fixture).has_value());
        w_->settle();
        QVERIFY(section->shown().iso_lines.empty());
        // A flux, and the model knows a level.
        fixture = w_->session.bench().fixtures.front();
        fixture.flux = PhotonFlux(120);
        QVERIFY(w_->session.project()->save(fixture).has_value());
        QTRY_COMPARE(section->shown().iso_lines.size(), std::size_t{2});
        QVERIFY(!section->shown().iso_lines[0].segments.empty());
    }

  private:
    void read(Id plane, double x, double y, double ppfd) {
        Reading reading;
        reading.x = Millimetre(x);
        reading.y = Millimetre(y);
        reading.mean = Ppfd(ppfd);
        QVERIFY(w_->session.project()->take(plane, reading).has_value());
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestEmptyProject, "desk_empty_project", Windows)

}  // namespace desk_empty_project

#include "test_empty_project.moc"
