#include <xlsxwriter.h>

#include <QDropEvent>
#include <QFileDialog>
#include <QInputDialog>
#include <QLabel>
#include <QListWidget>
#include <QMimeData>
#include <QPlainTextEdit>
#include <cmath>

#include "core/fit/described_model.h"
#include "desk/bench/twin_dialog.h"
#include "desk/hands.h"
#include "desk/measure/instrument_dialog.h"
#include "desk/plan/plan_stage.h"
#include "desk/shared/command_list.h"
#include "desk/window/import_dialog.h"
#include "project/kept_copies.h"
#include "runner/registry.h"
#include "servers.h"

namespace desk_errands {

using namespace glumet;
using glumet::testing::Hands;
using glumet::testing::onDialog;
using glumet::testing::WindowFixture;

/// What is done now and then: dropped files, copies, things made by command, methods and factors kept.
class TestErrands : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        hands_ = std::make_unique<Hands>(w_->window);
    }
    void cleanup() { w_.reset(); }

    void droppedReadingsAreShownAndTaken() {
        QVERIFY(w_->createWithRuns({200}));
        const auto file = written("dropped.csv",
                                  "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n"
                                  "B,Fern 20,250,150,50,50,88\nB,Fern 20,250,150,150,50,91\n");
        onDialog<ImportDialog>([this](ImportDialog& dialog) {
            hands_->click(dialog.findChild<QPushButton*>(QStringLiteral("importButton")));
        });
        QVERIFY(drop(file));
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{2});
        QCOMPARE(w_->session.bench().runs.back().planes.front().readings.size(), std::size_t{2});
    }

    /// As a spreadsheet program stores it.
    void aDroppedWorkbookIsAskedAboutAndTaken() {
        QVERIFY(w_->createWithRuns({200}));
        const auto file = w_->path("readings.xlsx");
        auto* book = workbook_new(file.toLocal8Bit().constData());
        auto* sheet = workbook_add_worksheet(book, "Tank");
        const std::array heads{"run", "fixture", "height_mm", "depth_mm", "x_mm", "y_mm", "ppfd"};
        for (std::size_t i = 0; i < heads.size(); ++i)
            worksheet_write_string(sheet, 0, static_cast<lxw_col_t>(i), heads[i], nullptr);
        for (lxw_row_t row = 1; row <= 3; ++row) {
            worksheet_write_string(sheet, row, 0, "evening", nullptr);
            worksheet_write_string(sheet, row, 1, "Fern 20", nullptr);
            const std::array values{250.0, 150.0, 50.0 * row, 50.0, 100.25 + row};
            for (std::size_t i = 0; i < values.size(); ++i)
                worksheet_write_number(sheet, row, static_cast<lxw_col_t>(i + 2), values[i], nullptr);
        }
        QCOMPARE(workbook_close(book), LXW_NO_ERROR);
        onDialog<ImportDialog>([this](ImportDialog& dialog) {
            hands_->click(dialog.findChild<QPushButton*>(QStringLiteral("importButton")));
        });
        QVERIFY(drop(file));
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{2});
        const auto& readings = w_->session.bench().runs.back().planes.front().readings;
        QCOMPARE(readings.size(), std::size_t{3});
        QCOMPARE(readings.back().mean.value(), 103.25);
    }

    void aDroppedProjectIsOpened() {
        QVERIFY(w_->create());
        QVERIFY(w_->window.createProject(w_->path("other.glumet")));
        w_->show();
        QCOMPARE(w_->session.bench().title, std::string("other"));
        QVERIFY(drop(w_->path("bench.glumet")));
        QCOMPARE(w_->session.bench().title, std::string("bench"));
        // Words are no file: they are not even taken hold of.
        QMimeData words;
        words.setText(QStringLiteral("214"));
        QDragEnterEvent enter(QPoint(5, 5), Qt::CopyAction, &words, Qt::LeftButton, Qt::NoModifier);
        enter.ignore();
        QCoreApplication::sendEvent(&w_->window, &enter);
        QVERIFY(!enter.isAccepted());
    }

    void closingKeepsWhatIsBeingTyped() {
        QVERIFY(w_->createWithRuns({200}));
        auto& meter = w_->attachMeter();
        w_->window.showStage(QStringLiteral("measure"));
        QVERIFY(meter.running);
        w_->window.showStage(QStringLiteral("bench"));
        QVERIFY(!meter.running);
        auto* name = w_->find<QLineEdit>("fixture_name");
        name->setFocus();
        name->selectAll();
        hands_->type(QStringLiteral("Fern 22"));
        QCOMPARE(w_->session.bench().fixtures[0].name, std::string("Fern 20"));
        w_->window.showStage(QStringLiteral("measure"));
        w_->window.showStage(QStringLiteral("bench"));
        name->setFocus();
        name->selectAll();
        hands_->type(QStringLiteral("Fern 24"));
        QVERIFY(w_->window.close());
        auto again = Project::open(w_->path("bench.glumet"));
        QVERIFY(again);
        QCOMPARE((*again)->bench().fixtures[0].name, std::string("Fern 24"));
    }

    void aCopyIsWrittenElsewhereAndTheWorkGoesOnHere() {
        QVERIFY(w_->createWithRuns({200, 250}));
        const auto copy = w_->path("copy of it.glumet");
        onDialog<QFileDialog>([&](QFileDialog& dialog) { saveAs(dialog, "copy of it.glumet"); });
        hands_->press(Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
        auto opened = Project::open(copy);
        QVERIFY(opened);
        QCOMPARE((*opened)->bench().runs.size(), std::size_t{2});
        QCOMPARE(w_->session.bench().title, std::string("bench"));
        // What is there already is not written over.
        onDialog<QFileDialog>([&](QFileDialog& dialog) { saveAs(dialog, "bench.glumet"); });
        hands_->press(Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
        QVERIFY(w_->lastWord().contains(QStringLiteral("bench.glumet")));
        QVERIFY(!w_->lastWord().startsWith(QStringLiteral("Copied")));
    }

    /// Somebody takes the file away, or puts another in its place: work goes on, and nothing is called saved.
    void aProjectThatIsGoneIsSaidAndCanBeCopied() {
        QVERIFY(w_->createWithRuns({200}));
        QVERIFY(w_->session.project()->inPlace());
        const auto file = w_->path("bench.glumet");
        const auto rename = [&](const QByteArray& name) {
            auto fixture = w_->session.bench().fixtures.front();
            fixture.name = name.toStdString();
            const auto fault = w_->session.edit([&](Project& project) { return project.save(fixture); });
            w_->settle();
            if (!fault.isEmpty()) qWarning("%s", qPrintable(fault));
            return fault.isEmpty();
        };
        const auto says = [&](const char* words) {
            for (const auto* label : w_->window.findChildren<QLabel*>())
                if (label->text().startsWith(QLatin1String(words))) return true;
            return false;
        };
        QVERIFY(rename("Fern 21"));
        QVERIFY(says("saved "));
        // The copy that the first edit has made beside it holds the log for a moment.
        QTRY_VERIFY(!KeptCopies().of(file).isEmpty());
        QVERIFY(QFile::rename(file, w_->path("away.glumet")));
        QVERIFY(rename("Fern 22"));
        QVERIFY(says("file is gone") && !says("saved "));
        QVERIFY(w_->lastWord().contains(QStringLiteral("Ctrl+Shift+S")));
        // Another file at the same place is not this project either, and takes nothing of it.
        QVERIFY(Project::create(file, QStringLiteral("Stranger")));
        QVERIFY(rename("Fern 23"));
        QVERIFY(says("file is gone"));
        onDialog<QFileDialog>([&](QFileDialog& dialog) { saveAs(dialog, "rescued.glumet"); });
        hands_->press(Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
        auto rescued = Project::open(w_->path("rescued.glumet"));
        QVERIFY(rescued);
        QCOMPARE((*rescued)->bench().fixtures[0].name, std::string("Fern 23"));
        auto stranger = Project::open(file);
        QVERIFY(stranger);
        QVERIFY((*stranger)->bench().fixtures.empty());
        auto away = Project::open(w_->path("away.glumet"));
        QVERIFY(away);
        QCOMPARE((*away)->bench().fixtures[0].name, std::string("Fern 23"));
    }

    /// A file that another program has put in its place is not written into.
    void aProjectThatWasReplacedIsNotWrittenOver() {
        QVERIFY(w_->createWithRuns({200}));
        QVERIFY(Project::create(w_->path("other.glumet"), QStringLiteral("Other")));
        const auto file = w_->path("bench.glumet");
        QFile other(w_->path("other.glumet"));
        QVERIFY(other.open(QIODevice::ReadOnly));
        const auto bytes = other.readAll();
        QVERIFY(QFile::remove(file) && QFile::rename(w_->path("other.glumet"), file));
        auto fixture = w_->session.bench().fixtures.front();
        fixture.name = "Fern 21";
        const auto fault = w_->session.edit([&](Project& project) { return project.save(fixture); });
        QVERIFY2(fault.contains(QStringLiteral("another file has taken the place")), qPrintable(fault));
        QFile now(file);
        QVERIFY(now.open(QIODevice::ReadOnly));
        QCOMPARE(now.readAll(), bytes);
        QVERIFY(w_->session.project()->copyTo(w_->path("rescued.glumet")));
        auto rescued = Project::open(w_->path("rescued.glumet"));
        QCOMPARE((*rescued)->bench().fixtures[0].name, std::string("Fern 20"));
    }

    void thingsAreMadeByCommand() {
        QVERIFY(w_->createWithRuns({200}));
        command("new tank");
        QCOMPARE(w_->session.bench().tanks.size(), std::size_t{2});
        QCOMPARE(w_->window.stage(), QStringLiteral("bench"));
        QCOMPARE(w_->find<QLineEdit>("tank_name")->text(), QStringLiteral("New tank 2"));
        command("new meter");
        QCOMPARE(w_->session.bench().meters.size(), std::size_t{1});
        command("new accessory", [this] {
            onDialog<QInputDialog>([this](QInputDialog&) {
                hands_->type(QStringLiteral("frost diffuser"));
                hands_->press(Qt::Key_Return);
            });
        });
        QCOMPARE(w_->session.bench().accessories.size(), std::size_t{1});
        QCOMPARE(w_->session.bench().accessories[0].name, std::string("frost diffuser"));
        command("new accessory",
                [] { onDialog<QInputDialog>([](QInputDialog& dialog) { dialog.reject(); }); });
        QCOMPARE(w_->session.bench().accessories.size(), std::size_t{1});
    }

    void aMethodIsKeptForOtherProjectsAndForgotten() {
        QVERIFY(w_->createWithRuns({200}));
        hands_->press(Qt::Key_P, Qt::ControlModifier);
        auto* methods = w_->find<QComboBox>("methodChoice");
        QVERIFY(hands_->fillByKeys("planHeights", QStringLiteral("11, 22, 33")));
        keepMethodAs("My three");
        QVERIFY(methods->findText(QStringLiteral("My three")) >= 0);
        // Another project, another window: it is there.
        Session other([] { return QStringLiteral("2026-11-25T12:00:00"); });
        MainWindow window(other);
        QVERIFY(window.createProject(w_->path("second.glumet")));
        window.showStage(QStringLiteral("plan"));
        static_cast<PlanStage*>(window.stageWidget(QStringLiteral("plan")))->show(PlanStage::View::Method);
        w_->settle();
        auto* there = window.findChild<QComboBox*>(QStringLiteral("methodChoice"));
        QVERIFY(there->findText(QStringLiteral("My three")) >= 0);
        QVERIFY(hands_->click(w_->find<QPushButton>("forgetMethod")));
        QVERIFY(methods->findText(QStringLiteral("My three")) < 0);
    }

    void aTwinReadingBecomesAFactor() {
        QVERIFY(w_->createWithRuns({200}));
        command("new meter");
        auto* twin = w_->find<QPushButton>("twinReading");
        onDialog<TwinDialog>([this](TwinDialog& dialog) {
            if (!hands_->tabTo("twinName")) return;
            hands_->type(QStringLiteral("Lab standard"));
            if (!hands_->tabTo("twinPairs")) return;
            hands_->type(QStringLiteral("200 210"));
            hands_->press(Qt::Key_Return);
            hands_->type(QStringLiteral("100 105"));
            for (auto* button : dialog.findChildren<QPushButton*>())
                if (button->text().startsWith(QStringLiteral("Use this factor"))) hands_->click(button);
        });
        twin->click();
        w_->settle();
        const auto& meter = w_->session.bench().meters.front();
        QCOMPARE(meter.corrections.size(), std::size_t{1});
        QVERIFY(std::abs(meter.corrections[0].factor - 1.05) < 1e-6);
        QVERIFY(w_->find<QLineEdit>("meterCorrections")->text().contains(QStringLiteral("1.05")));
        hands_->press(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(w_->session.bench().meters.front().corrections.empty());
    }

    void lookingFindsTheInstrumentThatSpeaks() {
        QVERIFY(w_->createWithRuns({200}));
        rig::Rig rig(sceneOf(demoBench(), {}), 2);
        rig::Servers servers(rig);
        InstrumentProfile wand;
        wand.name = QStringLiteral("Wand");
        wand.transport = Transport::Tcp;
        wand.place = QStringLiteral("127.0.0.1");
        wand.number = servers.lines(0)->section(QLatin1Char(' '), 2).toInt();
        wand.format.pattern = QStringLiteral("PPFD=([0-9.]+)");
        auto mute = wand;
        mute.name = QStringLiteral("Mute");
        mute.number = 1;  // nobody listens there
        const InstrumentStore store(w_->path("instruments.json"));
        QVERIFY(store.save({mute, wand}));
        InstrumentDialog dialog(w_->session, store);
        dialog.show();
        w_->settle();
        auto* look = dialog.findChild<QPushButton*>(QStringLiteral("lookForInstruments"));
        auto* said = dialog.findChild<QLabel*>(QStringLiteral("instrumentFault"));
        QVERIFY(hands_->click(look));
        QVERIFY(look->text().startsWith(QStringLiteral("Stop")));
        QTRY_VERIFY((rig.advance(0.05), said->text().startsWith(QStringLiteral("Wand sends"))));
        QCOMPARE(dialog.findChild<QListWidget*>()->currentItem()->text(), QStringLiteral("Wand"));
        QCOMPARE(dialog.profile().number, wand.number);
        QVERIFY(hands_->click(look));  // enough
        QVERIFY(look->text().startsWith(QStringLiteral("Look")));
    }

    void aBeamWithoutALevelDrawsNothing() {
        QVERIFY(w_->createWithRuns({200}));
        auto fixture = w_->session.bench().fixtures.front();
        fixture.beam = *Beam::halfAngle(40.0);
        QVERIFY(w_->session.edit([&](Project& project) { return project.save(fixture); }).isEmpty());
        w_->window.showStage(QStringLiteral("field"));
        w_->settle();
        QVERIFY(w_->session.model() != nullptr && *w_->session.model());
        QVERIFY(!(*w_->session.model())->hasLevel());
        QPushButton* view = nullptr;
        for (auto* button : w_->window.findChildren<QPushButton*>())
            if (button->text() == QStringLiteral("model")) view = button;
        QVERIFY(view != nullptr && !view->isEnabled());
        QVERIFY(view->toolTip().contains(QStringLiteral("Neither a flux nor a reading")));
        fixture = w_->session.bench().fixtures.front();
        fixture.flux = PhotonFlux(60);
        QVERIFY(w_->session.edit([&](Project& project) { return project.save(fixture); }).isEmpty());
        w_->settle();
        QVERIFY(view->isEnabled());
    }

  private:
    QString written(const char* name, const QByteArray& text) const {
        QFile file(w_->path(name));
        if (file.open(QIODevice::WriteOnly)) file.write(text);
        return w_->path(name);
    }
    /// Lets a file fall on the window, as a file manager would.
    bool drop(const QString& path) {
        QMimeData data;
        data.setUrls({QUrl::fromLocalFile(path)});
        QDragEnterEvent enter(QPoint(300, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(&w_->window, &enter);
        if (!enter.isAccepted()) return false;
        QDropEvent fall(QPointF(300, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(&w_->window, &fall);
        w_->settle();
        return true;
    }
    void saveAs(QFileDialog& dialog, const char* name) { hands_->saveAs(dialog, name); }
    /// Finds a command in the list of all and runs it; `then` sees to the dialog that it opens.
    void command(
        const char* words, const std::function<void()>& then = [] {}) {
        hands_->command(words, then);
    }
    void keepMethodAs(const char* name) {
        onDialog<QInputDialog>([this, name](QInputDialog&) {
            hands_->type(QLatin1String(name));
            hands_->press(Qt::Key_Return);
        });
        hands_->click(w_->find<QPushButton>("keepMethod"));
    }

    std::unique_ptr<WindowFixture> w_;
    std::unique_ptr<Hands> hands_;
};

GLUMET_TEST(TestErrands, "desk_errands", Windows)

}  // namespace desk_errands

#include "test_errands.moc"
