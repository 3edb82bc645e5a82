#include <QComboBox>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QTableWidget>
#include <QTimer>

#include "desk/bench/bench_stage.h"
#include "desk/bench/run_dialog.h"
#include "desk/shared/command_list.h"
#include "desk/window/import_dialog.h"
#include "desk/window_fixture.h"
#include "meters/simulated_meter.h"
#include "project/held_project.h"
#include "project/shipped_demo.h"
#include "runner/registry.h"

namespace desk_window {

using namespace glumet;
using glumet::testing::HeldProject;
using glumet::testing::onDialog;
using glumet::testing::WindowFixture;

namespace {

const QByteArray kSheet = "height 20 cm, depth 15 cm\n124;122;156\n181;197;263\n";
const QByteArray kReadings =
    "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\nA,Fern 20,200,150,50,50,100\nA,Fern "
    "20,200,150,150,50,110\n";

}  // namespace

class TestWindow : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        w_->show();
    }
    void cleanup() { w_.reset(); }

    void withoutAProjectItSaysWhatToDoFirst() {
        QVERIFY(w_->session.project() == nullptr);
        const auto buttons = w_->window.findChildren<QPushButton*>();
        QVERIFY(std::any_of(buttons.begin(), buttons.end(), [](const QPushButton* b) {
            return b->isVisible() && b->text() == QStringLiteral("New bench…");
        }));
        w_->key(Qt::Key_3, Qt::ControlModifier);
        w_->key(Qt::Key_Z, Qt::ControlModifier);
    }

    void anEmptyProjectLeadsThroughAllStages() {
        QVERIFY(w_->create());
        for (const int key : {Qt::Key_1, Qt::Key_2, Qt::Key_3, Qt::Key_4, Qt::Key_5, Qt::Key_6, Qt::Key_7,
                              Qt::Key_8, Qt::Key_9})
            w_->key(key, Qt::ControlModifier);
        QCOMPARE(w_->window.stage(), QStringLiteral("publish"));
        QVERIFY(!w_->find<QPushButton>("publishButton")->isEnabled());
    }

    void aDamagedFileKeepsTheOpenProject() {
        QVERIFY(w_->create());
        const auto path = w_->path("broken.glumet");
        QFile file(path);
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write("no project");
        file.close();
        const auto* before = w_->session.project();
        QVERIFY(!w_->window.openProject(path));
        QCOMPARE(w_->session.project(), before);
        QVERIFY(w_->lastWord().contains(QStringLiteral("not a Glumet project")));
    }

    void benchFieldsWriteToTheProject() {
        QVERIFY(w_->createWithRuns({200}));
        typeFixtureName(QStringLiteral("Fern 24"));
        w_->key(Qt::Key_Return);
        QCOMPARE(w_->session.bench().fixtures[0].name, std::string("Fern 24"));
        auto* length = w_->find<QLineEdit>("tank_length_mm");
        length->setFocus();
        length->selectAll();
        QTest::keyClicks(length, QStringLiteral("23 5/8 in"));
        w_->key(Qt::Key_Return);
        QVERIFY(std::abs(w_->session.bench().tanks[0].length.value() - 600.075) < 1e-6);
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(w_->session.bench().tanks[0].length.value(), 600.0);
    }

    void aWrongFieldIsMarkedAndChangesNothing() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("bench"));
        w_->settle();
        for (const auto& [object, typed] : {std::pair{"fixture_rated_power_w", "-5"},
                                            {"tank_length_mm", "wide"},
                                            {"targetBand", "300-100"}}) {
            auto* edit = w_->find<QLineEdit>(object);
            edit->setFocus();
            edit->selectAll();
            QTest::keyClicks(edit, QLatin1String(typed));
            w_->key(Qt::Key_Return);
            QVERIFY2(edit->property("wrong").toBool(), object);
        }
        QCOMPARE(w_->session.bench().fixtures[0].rated_power->value(), 20.0);
        QCOMPARE(w_->session.bench().tanks[0].length.value(), 600.0);
        QCOMPARE(w_->session.bench().method.goal.band.low.value(), 150.0);
    }

    void aRunIsPlannedByTheDialog() {
        QVERIFY(w_->createWithRuns({200}));
        onDialog<RunDialog>([](RunDialog& dialog) {
            auto* height = dialog.findChild<QLineEdit*>(QStringLiteral("height"));
            QVERIFY(height->hasFocus());
            height->setText(QStringLiteral("0"));
            QVERIFY(!dialog.runs());
            height->setText(QStringLiteral("26 cm"));
            dialog.findChild<QLineEdit*>(QStringLiteral("depths"))->setText(QStringLiteral("15; 99"));
            QVERIFY(!dialog.runs());  // below the tank's bottom
            dialog.findChild<QLineEdit*>(QStringLiteral("depths"))->setText(QStringLiteral("30; 15"));
            QTest::keyClick(&dialog, Qt::Key_Return);
        });
        w_->key(Qt::Key_R, Qt::ControlModifier);
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{2});
        const auto& run = w_->session.bench().runs[1];
        QCOMPARE(run.height.value(), 260.0);
        QCOMPARE(run.planes.size(), std::size_t{2});
        QCOMPARE(run.planes[0].depth.value(), 150.0);
        QCOMPARE(run.planes[0].grid->cells(), 6);
        QCOMPARE(w_->session.height()->value(), 260.0);
    }

    void aSheetAsksForWhatIsMissingAndImports() {
        QVERIFY(w_->create());
        ImportDialog dialog(w_->session, QStringLiteral("planes.csv"), kSheet, &w_->window);
        dialog.show();
        auto* import = dialog.findChild<QPushButton*>(QStringLiteral("importButton"));
        auto* problems = dialog.findChild<QPlainTextEdit*>(QStringLiteral("importProblems"));
        QVERIFY(!import->isEnabled());
        QVERIFY(problems->toPlainText().contains(QStringLiteral("fixture needs a name")));
        QVERIFY(problems->toPlainText().contains(QStringLiteral("distance between")));
        dialog.findChild<QLineEdit*>(QStringLiteral("askFixture"))->setText(QStringLiteral("Fern 20"));
        dialog.findChild<QLineEdit*>(QStringLiteral("askPitchX"))->setText(QStringLiteral("20"));
        QVERIFY(!import->isEnabled());
        dialog.findChild<QLineEdit*>(QStringLiteral("askPitchY"))->setText(QStringLiteral("20 cm"));
        QVERIFY(import->isEnabled());
        QTest::mouseClick(import, Qt::LeftButton);
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{1});
        const auto& plane = w_->session.bench().runs[0].planes[0];
        QCOMPARE(plane.readings.size(), std::size_t{6});
        QCOMPARE(plane.readings[0].y.value(), 300.0);
        QCOMPARE(plane.grid->columns(), 3);
    }

    void badRowsStopAnImportUnlessLeftOutOnPurpose() {
        QVERIFY(w_->create());
        ImportDialog dialog(w_->session, QStringLiteral("r.csv"),
                            kReadings + "A,Fern 20,200,150,250,50,oops\n", &w_->window);
        dialog.show();
        auto* import = dialog.findChild<QPushButton*>(QStringLiteral("importButton"));
        QVERIFY(!import->isEnabled());
        QVERIFY(dialog.findChild<QPlainTextEdit*>(QStringLiteral("importProblems"))
                    ->toPlainText()
                    .contains(QStringLiteral("line 4, ppfd")));
        QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("soundRowsOnly")), Qt::LeftButton);
        QVERIFY(import->isEnabled());
        QTest::mouseClick(import, Qt::LeftButton);
        QCOMPARE(w_->session.bench().runs[0].planes[0].readings.size(), std::size_t{2});
    }

    /// A large table is read row by row: the first rows are shown, all are imported, and what could not be
    /// stored can be tried again.
    void aLargeTableIsGatheredAndCanBeTriedAgain() {
        QVERIFY(w_->create());
        QByteArray table("run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n");
        for (int i = 0; i < 4000; ++i)
            table += QByteArrayLiteral("run ") + QByteArray::number(i / 1000) + ",Fern 20,200,150," +
                     QByteArray::number(10 + i % 50 * 10) + ',' + QByteArray::number(10 + i / 50 % 20 * 10) +
                     ',' + QByteArray::number(100 + i) + '\n';
        QVERIFY(table.size() > 100'000);
        ImportDialog dialog(w_->session, QStringLiteral("large.csv"), table, &w_->window);
        dialog.show();
        auto* import = dialog.findChild<QPushButton*>(QStringLiteral("importButton"));
        QCOMPARE(import->text(), QStringLiteral("Import 4000 readings"));
        QVERIFY(dialog.findChild<QLabel*>(QStringLiteral("understood"))
                    ->text()
                    .startsWith(QStringLiteral("4000 readings in 4 runs of 1 fixtures.")));
        QCOMPARE(dialog.findChild<QTableWidget*>()->rowCount(), 200);
        {
            // Another program holds the project: nothing is stored, the sentence says so.
            const HeldProject held(w_->session.project()->path());
            QVERIFY(held.holds());
            QTest::mouseClick(import, Qt::LeftButton);
            QVERIFY(!dialog.findChild<QPlainTextEdit*>(QStringLiteral("importProblems"))
                         ->toPlainText()
                         .isEmpty());
            QVERIFY(w_->session.bench().runs.empty());
        }
        QTest::mouseClick(import, Qt::LeftButton);
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{4});
        QCOMPARE(readingCount(w_->session.bench()), std::size_t{4000});
    }

    /// Others' ring means are no readings, and are kept apart from them.
    void ringMeansAreToldFromReadings() {
        QVERIFY(w_->create());
        ImportDialog dialog(w_->session, QStringLiteral("rings.csv"),
                            "run,fixture,height_mm,depth_mm,nx,ny,ring,ppfd\nA,F,200,150,6,6,0,80\n",
                            &w_->window);
        dialog.show();
        QVERIFY(dialog.findChild<QLabel*>(QStringLiteral("understood"))
                    ->text()
                    .contains(QStringLiteral("read by others")));
        dialog.findChild<QPushButton*>(QStringLiteral("importButton"))->click();
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{1});
        QVERIFY(w_->session.bench().runs[0].byOthers());
        QCOMPARE(readingCount(w_->session.bench()), std::size_t{0});
    }

    /// To read the open project's own file and close it would drop its locks.
    void theOpenProjectIsNoFileToImport() {
        QVERIFY(w_->create());
        w_->window.importFile(w_->session.project()->path());
        QCOMPARE(w_->lastWord(), QStringLiteral("This is the project that is open."));
    }

    void cancellingAnImportLeavesNothing() {
        QVERIFY(w_->create());
        QFile file(w_->path("r.csv"));
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write(kReadings);
        file.close();
        bool seen = false;
        onDialog<ImportDialog>([&seen](ImportDialog& dialog) {
            seen = dialog.ready().has_value();
            dialog.reject();
        });
        w_->window.importFile(w_->path("r.csv"));
        QVERIFY(seen);
        QVERIFY(w_->session.bench().runs.empty());
    }

    void exportAndImportLoseNothing() {
        QVERIFY(w_->openDemo());
        QVERIFY(QDir().mkpath(w_->path("out")));
        w_->window.exportTo(w_->path("out"));
        QFile csv(w_->path("out") + QStringLiteral("/readings.csv"));
        QVERIFY(csv.open(QIODevice::ReadOnly));
        const auto readings = rowsOf(w_->session.bench()).size();
        WindowFixture other;
        QVERIFY(other.create());
        other.window.importFile(w_->path("out") + QStringLiteral("/bench.json"));
        ImportDialog dialog(other.session, QStringLiteral("readings.csv"), csv.readAll(), &other.window);
        dialog.show();
        QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("importButton")), Qt::LeftButton);
        QCOMPARE(rowsOf(other.session.bench()).size(), readings);
        QCOMPARE(other.session.bench().title, w_->session.bench().title);
        QCOMPARE(other.session.bench().runs.size(), w_->session.bench().runs.size());
    }

    void commandsAreFoundByWords() {
        QVERIFY(w_->createWithRuns({200}));
        onDialog<CommandList>([](CommandList&) {
            QTest::keyClicks(QApplication::focusWidget(), QStringLiteral("go heig"));
            QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        });
        w_->key(Qt::Key_K, Qt::ControlModifier);
        QCOMPARE(w_->window.stage(), QStringLiteral("height"));
    }

    /// What is typed lands on the row it was typed for, whatever is chosen next.
    void typedTextStaysWithItsFixture() {
        QVERIFY(w_->createWithRuns({200}));
        Fixture other;
        other.name = "Moss 30";
        Run run = *w_->session.run();
        run.id = 0;
        run.planes.clear();
        run.fixture = *w_->session.project()->save(other);
        QVERIFY(w_->session.project()->save(run));
        auto* name = typeFixtureName(QStringLiteral("Fern 21"));
        w_->session.chooseConfiguration(w_->session.sweeps()[1].configuration);
        w_->settle();
        QCOMPARE(w_->session.bench().fixtures[0].name, std::string("Fern 21"));
        QCOMPARE(w_->session.bench().fixtures[1].name, std::string("Moss 30"));
        QCOMPARE(name->text(), QStringLiteral("Moss 30"));
    }

    /// The bench is made anew by what is stored on the way.
    void aRunIsChosenWhileSomethingIsTyped() {
        QVERIFY(w_->createWithRuns({200, 300}));
        const auto& runs = w_->session.bench().runs;
        w_->session.chooseRun(runs[0].id);
        typeFixtureName(QStringLiteral("Fern 21"));
        w_->session.chooseRun(runs[1].id);
        w_->settle();
        QCOMPARE(w_->session.bench().fixtures[0].name, std::string("Fern 21"));
        QCOMPARE(w_->session.run()->height, Millimetre(300));
        QCOMPARE(*w_->session.height(), Millimetre(300));
    }

    void whatIsBeingTypedIsKeptOnClosing() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("bench"));
        w_->settle();
        auto* maker = w_->find<QLineEdit>("fixture_maker");
        maker->setFocus();
        QTest::keyClicks(maker, QStringLiteral("Withy & Fen"));
        w_->window.close();
        QCOMPARE(w_->session.bench().fixtures[0].maker, std::string("Withy & Fen"));
    }

    void aRepeatedRunOfTheSameHeightIsChosenAndRemoved() {
        QVERIFY(w_->createWithRuns({150, 200}));
        Run again = *w_->session.run();
        again.id = 0;
        again.height = Millimetre(200);
        again.label = "again";
        again.planes.front().id = 0;
        again.planes.front().readings.clear();
        QVERIFY(w_->session.project()->save(again));
        w_->window.showStage(QStringLiteral("bench"));
        w_->settle();
        const auto runs = w_->session.sweep()->runs;
        QCOMPARE(runs.size(), std::size_t{3});
        auto* table = w_->find<QTableWidget>("runTable");
        table->setCurrentCell(1, 0);
        w_->settle();
        QCOMPARE(w_->session.runId(), runs[1]);
        QVERIFY(w_->session.run()->label != "again");
        table->setCurrentCell(2, 0);
        w_->settle();
        QCOMPARE(w_->session.run()->label, std::string("again"));
        w_->find<QPushButton>("removeRun")->click();
        w_->settle();
        QCOMPARE(w_->session.sweep()->runs, (std::vector<Id>{runs[0], runs[1]}));
    }

    void theKeySheetOpens() {
        bool seen = false;
        onDialog<KeySheet>([&seen](KeySheet&) { seen = true; });
        w_->key(Qt::Key_F1);
        QVERIFY(seen);
    }

    void stagesAreChosenByMouseAndArrows() {
        QVERIFY(w_->createWithRuns({200}));
        auto* bar = w_->window.findChild<StageBar*>();
        QTest::mouseClick(bar, Qt::LeftButton, {}, QPoint(bar->width() - 10, 20));
        w_->settle();
        QCOMPARE(w_->window.stage(), QStringLiteral("tank"));
        bar->setFocus();
        w_->key(Qt::Key_Left);
        QCOMPARE(w_->window.stage(), QStringLiteral("publish"));
    }

    void everyControlHasAName() {
        QVERIFY(w_->openDemo());
        for (const auto& stage : allStages()) {
            w_->window.showStage(stage.id);
            w_->settle();
            for (const auto* widget : w_->window.findChildren<QWidget*>()) {
                if (!widget->isVisible() || widget->focusPolicy() == Qt::NoFocus) continue;
                const auto* button = qobject_cast<const QAbstractButton*>(widget);
                const bool named = !widget->accessibleName().isEmpty() ||
                                   (button != nullptr && !button->text().isEmpty()) ||
                                   qobject_cast<const QComboBox*>(widget->parentWidget()) != nullptr;
                QVERIFY2(named, qPrintable(QString::fromLatin1(widget->metaObject()->className()) +
                                           widget->objectName()));
            }
        }
    }

    /// The instrument's name takes room from a word that is said with it: what does not fit ends in dots.
    void aLongWordIsCutWithDots() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("measure"));
        w_->settle();
        w_->key(Qt::Key_M, Qt::ControlModifier);
        w_->settle();
        const auto* word = w_->find<QLabel>("lastWord");
        QVERIFY(w_->lastWord().startsWith(QStringLiteral("Practice meter on")));
        QVERIFY(word->text() != w_->lastWord());
        QVERIFY2(word->fontMetrics().horizontalAdvance(word->text()) <= word->width(),
                 qPrintable(word->text()));
    }

    void theSimulatedMeterSpeaksOnlyWithASceneAndAPlace() {
        SimulatedMeter meter(1);
        std::vector<double> samples;
        connect(&meter, &Meter::sampled, this, [&](double, double ppfd) { samples.push_back(ppfd); });
        meter.advance(1.0);
        QVERIFY(samples.empty());
        const auto bench = testing::shippedDemo();
        meter.setScene(sceneOf(bench, bench.runs[0]));
        meter.advance(1.0);
        QVERIFY(samples.empty());
        meter.probeMoved(Millimetre(300), Millimetre(300), Millimetre(150));
        meter.advance(1.0);
        QCOMPARE(samples.size(), std::size_t{20});
        const double still = ExactField(sceneOf(bench, bench.runs[0]))
                                 .at(Millimetre(300), Millimetre(300), Millimetre(150))
                                 .value();
        for (const double sample : samples) QVERIFY(sample > 0.3 * still && sample < 3.0 * still);
    }

    void theFixturesLightIsDescribedInBench() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("bench"));
        w_->settle();
        const auto type = [&](const char* name, const char* words) {
            auto* edit = w_->find<QLineEdit>(name);
            edit->setFocus();
            edit->selectAll();
            QTest::keyClicks(edit, QString::fromUtf8(words));
            QTest::keyClick(edit, Qt::Key_Return);
            w_->settle();
        };
        const auto fixture = [&] { return w_->session.bench().fixtures[0]; };
        QVERIFY(!*w_->session.model());
        type("emitters", "4 x 3");
        type("emitterSpacing", "2.8 x 30 mm");
        type("emitterSize", "12 mm");
        type("beam", "42");
        type("flux", "88,5");
        QCOMPARE(fixture().emitters.columns, 4);
        QCOMPARE(fixture().emitters.rows, 3);
        QCOMPARE(fixture().emitters.pitch_x.value(), 2.8);
        QCOMPARE(fixture().emitters.pitch_y.value(), 30.0);
        QCOMPARE(fixture().emitters.size.value(), 12.0);
        QVERIFY(fixture().beam == *Beam::halfAngle(42.0));
        QCOMPARE(fixture().flux->value(), 88.5);
        QVERIFY(*w_->session.model());
        const auto kept = fixture();
        type("beam", "wide");
        type("beam", "90");
        type("emitters", "0 x 3");
        type("emitterSpacing", "near");
        type("flux", "-4");
        QVERIFY(fixture() == kept);
    }

    void aPhotometricFileBecomesTheBeam() {
        QVERIFY(w_->createWithRuns({200}));
        const auto drop = [&](const char* name, const QByteArray& bytes) {
            QFile file(w_->path(name));
            QVERIFY(file.open(QIODevice::WriteOnly));
            file.write(bytes);
            file.close();
            w_->window.importFile(w_->path(name));
            w_->settle();
        };
        drop("good.ies",
             "IES:LM-63-2019\n[LUMINAIRE] Reed 4\nTILT=NONE\n1 -1 1 4 1 1 2 0 0 0\n1 1 0\n"
             "0 30 60 90\n0\n100 80 30 0\n");
        const auto beam = w_->session.bench().fixtures[0].beam;
        QVERIFY(beam && beam->kind() == Beam::Kind::Table);
        QVERIFY(std::abs(beam->relative()[1] / beam->relative()[0] - 0.8) < 1e-9);
        drop("tilted.ies", "IES:LM-63-2019\nTILT=INCLUDE\n");
        QVERIFY(w_->lastWord().contains(QLatin1String("TILT=INCLUDE")));
        QVERIFY(w_->session.bench().fixtures[0].beam == beam);
    }

  private:
    /// In Bench, and not committed yet.
    QLineEdit* typeFixtureName(const QString& words) {
        w_->window.showStage(QStringLiteral("bench"));
        w_->settle();
        auto* name = w_->find<QLineEdit>("fixture_name");
        name->setFocus();
        name->selectAll();
        QTest::keyClicks(name, words);
        return name;
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestWindow, "desk_window", Windows)

}  // namespace desk_window

#include "test_window.moc"
