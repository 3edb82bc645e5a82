#include <QComboBox>
#include <QPushButton>
#include <QSignalSpy>
#include <QTableWidget>

#include "core/bench/grid.h"
#include "core/plane/plane_statistics.h"
#include "desk/field/field_stage.h"
#include "desk/height/height_stage.h"
#include "desk/window_fixture.h"
#include "formats/zip_archive.h"
#include "runner/registry.h"

namespace desk_stages {

using namespace glumet;
using glumet::testing::WindowFixture;

class TestStages : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->openDemo());
    }
    void cleanup() { w_.reset(); }

    void everyCellIsReadByKeyboardAndByMouse() {
        goTo(QStringLiteral("field"));
        auto* map = w_->window.findChild<PlanMap*>();
        auto* read_out = w_->find<QLabel>("cellReadOut");
        QTest::mouseClick(map, Qt::LeftButton, {}, map->cellRect({0, 0}).center().toPoint());
        w_->settle();
        for (int row = 0; row < 6; ++row) {
            for (int column = 0; column < 6; ++column) {
                const Cell cell{row % 2 == 0 ? column : 5 - column, row};
                QCOMPARE(*w_->session.cell(), cell);
                const auto index = static_cast<std::size_t>(readingOfCell(
                    *w_->plane().grid,
                    w_->plane().readings)[static_cast<std::size_t>(cell.row * 6 + cell.column)]);
                const auto expected = QString::fromStdString(cellName(cell) + "  " +
                                                             ppfdFigure(w_->plane().readings[index].mean));
                QVERIFY2(read_out->text().startsWith(expected), qPrintable(read_out->text()));
                if (column < 5) w_->key(row % 2 == 0 ? Qt::Key_Right : Qt::Key_Left);
            }
            w_->key(Qt::Key_Up);
        }
        QTest::mouseMove(map, map->cellRect({2, 3}).center().toPoint());
        QVERIFY(read_out->text().startsWith(QStringLiteral("C4")));
    }

    void excludingAPointChangesTheFiguresAndUndoBringsItBack() {
        goTo(QStringLiteral("field"));
        const auto before = planeStatistics(w_->plane())->n;
        w_->session.chooseCell(Cell{1, 1});
        w_->settle();
        w_->key(Qt::Key_X);
        QCOMPARE(planeStatistics(w_->plane())->n, before - 1);
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(planeStatistics(w_->plane())->n, before);
        w_->key(Qt::Key_D);
        const auto index =
            static_cast<std::size_t>(readingOfCell(*w_->plane().grid, w_->plane().readings)[7]);
        QVERIFY(w_->plane().readings[index].flag == Mark::Doubtful);
    }

    void theDescribedModelIsLaidBesideTheReadings() {
        goTo(QStringLiteral("field"));
        auto* map = w_->window.findChild<PlanMap*>();
        const auto readings = map->plan().values;
        w_->key(Qt::Key_M);
        const auto model = map->plan().values;
        QCOMPARE(model.size(), readings.size());
        double off = 0.0;
        double sum = 0.0;
        for (std::size_t i = 0; i < model.size(); ++i) {
            off += std::abs(*model[i] / *readings[i] - 1.0);
            sum += *model[i] / *readings[i];
        }
        // Close, because the maker's beam is nearly right; not equal, because these are not the readings.
        QVERIFY(off > 0.0 && off / 36.0 < 0.05);
        QVERIFY(std::abs(sum / 36.0 - 1.0) < 0.02);
        w_->key(Qt::Key_M);
        QCOMPARE(map->plan().faces.size(), readings.size());
        const double first = *readings[0] / *model[0] - 1.0;
        QVERIFY(map->plan().faces[0].text.endsWith(QString::number(std::abs(qRound(first * 100.0)))));
        w_->key(Qt::Key_M);
        QVERIFY(!map->plan().faces[14].text.isEmpty());
        w_->key(Qt::Key_M);
        // What is kept under a hand's breadth of colony: a share, and least straight under a single cluster.
        const auto keeps = [&](std::size_t cell) { return map->plan().faces[cell].text.toInt(); };
        QVERIFY(keeps(0) > 50 && keeps(0) <= 100);
        QVERIFY(keeps(14) < 10);
        w_->key(Qt::Key_M);
        // The colour, where channels were read alone at this height; the middle is its own measure.
        QVERIFY(map->plan().faces[14].text.toDouble() < map->plan().faces[0].text.toDouble());
        w_->key(Qt::Key_M);
        QVERIFY(map->plan().faces.empty());
        QVERIFY(map->plan().values == readings);
        // Only the factor follows an edit; without a beam there is nothing to show, and it says so.
        auto fixture = w_->session.bench().fixtures.front();
        fixture.beam.reset();
        QVERIFY(w_->session.project()->save(fixture));
        w_->settle();
        w_->key(Qt::Key_M);
        QVERIFY(map->plan().values == readings);
        QVERIFY(w_->lastWord().contains(QLatin1String("beam is not described")));
    }

    void thePlaneSheetChoosesAPlane() {
        goTo(QStringLiteral("field"));
        auto* sheet = w_->window.findChild<PlaneSheetView*>();
        const auto height = *w_->session.height();
        sheet->setFocus();
        w_->key(Qt::Key_Right);
        w_->key(Qt::Key_Down);
        QVERIFY(*w_->session.height() > height);
        QCOMPARE(w_->session.depth()->value(), 300.0);
        QTest::mouseClick(sheet, Qt::LeftButton, {}, QPoint(40, 10));
        QCOMPARE(w_->session.depth()->value(), 150.0);
        QCOMPARE(w_->session.height()->value(), 120.0);
    }

    void theSectionNavigates() {
        goTo(QStringLiteral("field"));
        auto* section = w_->window.findChild<SectionView*>();
        section->setFocus();
        const auto height = *w_->session.height();
        w_->key(Qt::Key_Up);
        QVERIFY(*w_->session.height() > height);
        w_->key(Qt::Key_PageDown);
        QCOMPARE(w_->session.depth()->value(), 300.0);
        QVERIFY(section->accessibleDescription().contains(QStringLiteral("30 cm")));
    }

    void theLimitMovesTheAnswer() {
        goTo(QStringLiteral("height"));
        auto* answer = w_->find<QLabel>("heightAnswer");
        const auto at15 = *w_->session.verdict()->height;
        QCOMPARE(answer->text(), w_->session.length(at15));
        QTest::mouseClick(w_->find<QPushButton>("limit_10"), Qt::LeftButton);
        w_->settle();
        QVERIFY(w_->session.bench().method.spill_limit == 0.10);
        QVERIFY(*w_->session.verdict()->height < at15);
        QCOMPARE(answer->text(), w_->session.length(*w_->session.verdict()->height));
        QVERIFY(w_->find<QLabel>("heightReason")->text().contains(QStringLiteral("10 %")));
    }

    void theEvidenceTableShowsAndChoosesHeights() {
        goTo(QStringLiteral("height"));
        auto* table = w_->find<QTableWidget>("heightEvidence");
        QCOMPARE(table->rowCount(), static_cast<int>(w_->session.verdict()->evidence.size()));
        table->setFocus();
        table->setCurrentCell(0, 0);
        w_->settle();
        QCOMPARE(w_->session.height()->value(), 120.0);
        w_->key(Qt::Key_Down);
        QCOMPARE(w_->session.height()->value(), 150.0);
    }

    void aSweepThatCannotSpeakSaysWhy() {
        for (const auto& sweep : w_->session.sweeps())
            if (byId(w_->session.bench().fixtures, sweep.configuration.fixture)->name == "Sedge Panel") {
                w_->session.chooseConfiguration(sweep.configuration);
                break;
            }
        goTo(QStringLiteral("height"));
        QCOMPARE(w_->find<QLabel>("heightAnswer")->text(), QStringLiteral("–"));
        QVERIFY(w_->find<QLabel>("heightReason")->text().contains(QStringLiteral("rises")));
    }

    void unitsSwitchEverywhereAtOnce() {
        goTo(QStringLiteral("height"));
        QTest::mouseClick(w_->find<QPushButton>("unit_in"), Qt::LeftButton);
        w_->settle();
        QVERIFY(w_->find<QLabel>("heightAnswer")->text().endsWith(QStringLiteral(" in")));
        QVERIFY(w_->find<QLabel>("heightReason")->text().contains(QStringLiteral(" in ")));
        QTest::mouseClick(w_->find<QPushButton>("unit_mm"), Qt::LeftButton);
        w_->settle();
        QVERIFY(w_->find<QLabel>("heightAnswer")->text().endsWith(QStringLiteral(" mm")));
    }

    void bothThemesDressTheWindow() {
        const auto dark = w_->session.palette().ground;
        QTest::mouseClick(w_->find<QPushButton>("themeSwitch"), Qt::LeftButton);
        w_->settle();
        QVERIFY(!w_->session.dark());
        QVERIFY(w_->session.palette().ground != dark);
        QCOMPARE(qApp->palette().color(QPalette::Window), paper().ground);
    }

    void mutedTextStaysReadable() {
        const auto rgb = [](const QColor& c) { return Rgb{c.red(), c.green(), c.blue()}; };
        for (const auto* palette : {&dimRoom(), &paper()})
            for (const auto& ground : {palette->ground, palette->panel}) {
                QVERIFY(contrast(rgb(palette->muted), rgb(ground)) >= 4.5);
                QVERIFY(contrast(rgb(palette->text), rgb(ground)) >= 7.0);
                QVERIFY(contrast(rgb(palette->accent), rgb(ground)) >= 4.5);
            }
    }

    void goalsAreChosenEditedAndKept() {
        goTo(QStringLiteral("bench"));
        const auto goal = [&]() -> const Goal& { return w_->session.goal(); };
        const auto type = [&](const char* field, const char* words) {
            auto* edit = w_->find<QLineEdit>(field);
            edit->setText(QString::fromUtf8(words));
            emit edit->editingFinished();
            w_->settle();
        };
        const auto choose = [&](const char* field, int index) {
            auto* combo = w_->find<QComboBox>(field);
            combo->setCurrentIndex(index);
            emit combo->activated(index);
            w_->settle();
        };
        choose("goalChoice", 0);
        QCOMPARE(goal().name, std::string("low-light plants"));
        choose("goalSchool", 1);
        QVERIFY(goal().school == LightSchool::BroadRange);
        QCOMPARE(goal().band.high.value(), 180.0);
        // Another school reads the goal it began with, not what the last made of it.
        choose("goalSchool", 2);
        QCOMPARE(goal().band.high.value(), 60.0);
        QCOMPARE(goal().floor->value(), 30.0);
        type("goalCeiling", "90");
        type("goalZone", "5-20 cm");
        type("goalPhotoperiod", "9 h");
        QCOMPARE(goal().ceiling->value(), 90.0);
        QCOMPARE(goal().zone_to.value(), 200.0);
        QCOMPARE(goal().photoperiod_h, 9.0);
        const auto before = goal();
        for (const auto& [field, words, why] : {std::tuple{"targetBand", "nonsense", "low–high"},
                                                {"goalCeiling", "5", "under the band's lower end"},
                                                {"goalZone", "30-10 cm", "depths from–to"},
                                                {"goalPhotoperiod", "30", "between 0 and 24 hours"},
                                                {"goalName", "clams", "A ready goal has that name"}}) {
            type(field, words);
            QVERIFY2(goal() == before, field);
            QVERIFY2(w_->lastWord().contains(QString::fromUtf8(why)), qPrintable(w_->lastWord()));
        }
        type("goalName", "bog corner");
        QCOMPARE(w_->session.bench().method.goals.size(), std::size_t{1});
        choose("goalChoice", 3);
        QVERIFY(goal().name != "bog corner");
        choose("goalChoice",
               w_->find<QComboBox>("goalChoice")->findText(QStringLiteral("bog"), Qt::MatchStartsWith));
        QCOMPARE(goal().ceiling->value(), 90.0);
        type("goalName", "");
        QVERIFY(w_->session.bench().method.goals.empty());
        QVERIFY(*w_->session.project()->undo());
        QCOMPARE(w_->session.bench().method.goals.size(), std::size_t{1});
    }

    void theWheelPassesByChoices() {
        goTo(QStringLiteral("bench"));
        auto* combo = w_->find<QComboBox>("goalChoice");
        const auto before = w_->session.goal();
        const QPoint middle = combo->rect().center();
        QWheelEvent wheel(middle, combo->mapToGlobal(middle), {}, {0, -120}, Qt::NoButton, Qt::NoModifier,
                          Qt::NoScrollPhase, false);
        QCoreApplication::sendEvent(combo, &wheel);
        w_->settle();
        QVERIFY(w_->session.goal() == before);
        QCOMPARE(combo->currentText().section(QLatin1Char(','), 0, 0),
                 QStringLiteral("seagrass and macroalgae"));
    }

    void aFindingLeadsToItsEvidence() {
        goTo(QStringLiteral("bench"));
        FindingItem* doubt = nullptr;
        for (auto* item : w_->window.findChildren<FindingItem*>())
            if (item->isVisible() && item->accessibleName().contains(QStringLiteral("Other light")))
                doubt = item;
        QVERIFY(doubt);
        QTest::mouseClick(doubt, Qt::LeftButton);
        w_->settle();
        QCOMPARE(w_->window.stage(), QStringLiteral("field"));
        QCOMPARE(byId(w_->session.bench().fixtures, w_->session.run()->fixture)->name,
                 std::string("Twin Alder"));
    }

    /// The unit is the reader's: no verdict of the Height stage is judged anew for it.
    void anotherUnitRecomputesNoHeight() {
        goTo(QStringLiteral("height"));
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting(), 30'000);
        w_->settle();
        const auto cm = w_->find<QLabel>("heightReason")->text();
        QVERIFY(cm.contains(QStringLiteral(" cm")));
        const int computed = w_->session.answers().computed();
        w_->session.setUnit(LengthUnit::Inch);
        w_->settle();
        QVERIFY(w_->find<QLabel>("heightReason")->text().contains(QStringLiteral(" in")));
        QCOMPARE(w_->session.answers().computed(), computed);
        QVERIFY(!w_->session.fitting());
    }

    void stageAndPlaneChangesKeepTheChoice() {
        w_->session.stepHeight(1);
        const auto height = *w_->session.height();
        for (const auto& stage : allStages()) {
            goTo(stage.id);
            QCOMPARE(w_->window.stage(), stage.id);
            QCOMPARE(*w_->session.height(), height);
        }
    }

    /// Of two fixtures over one plane nothing is fitted, and that is said where it was asked for.
    void aFitThatCannotBeSaysWhy() {
        auto& w = *w_;
        const auto sweeps = w.session.sweeps();
        const auto pair = std::find_if(sweeps.begin(), sweeps.end(),
                                       [](const Sweep& sweep) { return sweep.configuration.fixtures == 2; });
        QVERIFY(pair != sweeps.end());
        w.session.chooseConfiguration(pair->configuration);
        goTo(QStringLiteral("field"));
        // The fit that Field looks at is that of one fixture alone; without its runs there is none.
        QVERIFY(w.session.fitSweep() != nullptr);
        const auto alone = w.session.fitSweep()->runs;
        QVERIFY(w.session
                    .edit([&](Project& project) -> Expected<bool> {
                        for (const auto run : alone)
                            if (const auto done = project.removeRun(run); !done)
                                return tl::make_unexpected(done.error());
                        return true;
                    })
                    .isEmpty());
        w.settle();
        w.key(Qt::Key_J, Qt::ControlModifier);
        QVERIFY(QTest::qWaitFor([&] { return !w.session.fitting(); }, 30'000));
        QTRY_VERIFY2(w.lastWord().contains(QStringLiteral("plane")) ||
                         w.lastWord().contains(QStringLiteral("no reading")),
                     qPrintable(w.lastWord()));
    }

    /// A channel that was read at nine points of one plane is fitted beside all channels together.
    void aChannelReadAtFewPointsIsFitted() {
        auto& w = *w_;
        const auto& bench = w.session.bench();
        const auto red = std::find_if(bench.runs.begin(), bench.runs.end(),
                                      [&](const Run& run) { return presetName(bench, run) == "deep red"; });
        QVERIFY(red != bench.runs.end());
        NewRuns more;
        Run few = *red;
        few.id = 0;
        few.label = "a few";
        few.preset = more.preset(bench, few.fixture, "red, a few");
        few.planes.resize(1);
        few.planes.front().id = 0;
        few.planes.front().readings.resize(9);
        for (auto& reading : few.planes.front().readings) reading.id = 0;
        more.runs = {few};
        const auto fault =
            w.session.edit([&](Project& project) { return project.addRuns(more, QStringLiteral("runs")); });
        QVERIFY2(fault.isEmpty(), qPrintable(fault));
        w.settle();
        const auto sweeps = w.session.sweeps();
        const auto sweep = std::find_if(sweeps.begin(), sweeps.end(), [&](const Sweep& one) {
            return presetName(w.session.bench(), one.configuration) == "red, a few";
        });
        QVERIFY(sweep != sweeps.end());
        w.session.chooseConfiguration(sweep->configuration);
        w.window.showStage(QStringLiteral("field"));
        w.key(Qt::Key_J, Qt::ControlModifier);
        const auto fitted = [&] { return w.session.fit() != nullptr && !w.session.fitting(); };
        QVERIFY(QTest::qWaitFor(fitted, 30'000));
        QVERIFY(QTest::qWaitFor([&] { return w.lastWord() == QStringLiteral("The fit is up to date."); }));
        QVERIFY(*w.session.fit());
        QCOMPARE((*w.session.fit())->model.readings, 9);
        goTo(QStringLiteral("field"));
        for (auto* button : w.window.findChild<FieldStage*>()->findChildren<QPushButton*>())
            if (button->text() == QStringLiteral("off, %")) QTest::mouseClick(button, Qt::LeftButton);
        w.settle();
        QVERIFY(w.find<QLabel>("fitSummary")->text().contains(QStringLiteral("taken over, not read")));
    }

  private:
    void goTo(const QString& stage) {
        w_->window.showStage(stage);
        w_->settle();
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestStages, "desk_stages", Windows)

}  // namespace desk_stages

#include "test_stages.moc"
