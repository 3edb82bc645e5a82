#include "desk/plan/plan_stage.h"

#include <QProcess>

#include "core/bench/grid.h"
#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"
#include "core/survey/lengths_text.h"
#include "core/survey/plan_findings.h"
#include "desk/bench/twin_dialog.h"
#include "desk/measure/measure_stage.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_plan {

using namespace glumet;
using glumet::testing::WindowFixture;

namespace {

/// Writes down what would be heard.
class PaperVoice : public Voice {
  public:
    explicit PaperVoice(QStringList& heard) : heard_(heard) {}
    void play(Tone tone) override {
        heard_ << (tone == Tone::Settled ? QStringLiteral("settled")
                   : tone == Tone::Taken ? QStringLiteral("taken")
                                         : QStringLiteral("doubtful"));
    }
    void say(const QString& words) override { heard_ << words; }

  private:
    QStringList& heard_;
};

}  // namespace

class TestPlan : public QObject {
    Q_OBJECT

  private slots:
    void init() { w_ = std::make_unique<WindowFixture>(); }
    void cleanup() { w_.reset(); }

    void aMethodIsEditedAndBecomesRuns() {
        QVERIFY(w_->createWithRuns({200}));
        showPlan(PlanStage::View::Method);
        type("planHeights", "15–21 by 3");
        type("planDepths", "15, 30");
        type("planGrid", "4 × 3");
        auto* add = w_->find<QPushButton>("addRuns");
        QVERIFY(add->isEnabled());
        QVERIFY(w_->find<QLabel>("plannedCount")->text().contains(QStringLiteral("3 runs, 72 points")));
        add->click();
        w_->settle();
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{4});
        QCOMPARE(w_->session.bench().runs[3].height.value(), 210.0);
        QCOMPARE(w_->session.bench().runs[1].planes[1].grid->cells(), 12);
        QCOMPARE(plan().view(), PlanStage::View::Matrix);
        w_->key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{1});
    }

    void whatCannotBePlannedIsSaidAndAddsNothing() {
        QVERIFY(w_->createWithRuns({200}));
        showPlan(PlanStage::View::Method);
        type("planDepths", "15, 90");
        QVERIFY(!w_->find<QPushButton>("addRuns")->isEnabled());
        QVERIFY(w_->find<QLabel>("planFault")->text().contains(QStringLiteral("below the bottom")));
        type("planHeights", "high");
        QVERIFY(w_->lastWord().contains(QStringLiteral("not understood")));
        plan().methodPage()->addRuns();
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{1});
    }

    void whatIsMissingIsSaidBeforeThereIsAPlan() {
        QVERIFY(w_->create());
        w_->show();
        showPlan(PlanStage::View::Method);
        auto* fault = w_->find<QLabel>("planFault");
        QVERIFY(fault->text().contains(QStringLiteral("fixture first, in Bench")));
        Fixture fixture;
        fixture.name = "Fern 20";
        QVERIFY(w_->session.edit([&](Project& project) { return project.save(fixture); }).isEmpty());
        w_->settle();
        QVERIFY(fault->text().contains(QStringLiteral("tank first, in Bench")));
        const auto findings = plan().findings();
        QCOMPARE(findings.size(), std::size_t{1});
        QCOMPARE(english(findings.front().title), std::string("Describe the tank"));
        QVERIFY(findings.front().view == EvidenceView::Bench);
    }

    void everyReadyMethodCanBeChosen() {
        QVERIFY(w_->openDemo());
        showPlan(PlanStage::View::Method);
        auto* choice = w_->find<QComboBox>("methodChoice");
        for (int i = 0; i < choice->count(); ++i) {
            plan().methodPage()->choose(i);
            QVERIFY2(w_->find<QLabel>("planFault")->text().isEmpty(), qPrintable(choice->itemText(i)));
        }
    }

    void bracesChangeThePlanAndTheWay() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("bench"));
        type("tankObstacles", "brace 24–36 × 0–60");
        QCOMPARE(w_->session.bench().tanks[0].obstacles.size(), std::size_t{1});
        type("tankObstacles", "brace");
        QCOMPARE(w_->session.bench().tanks[0].obstacles.size(), std::size_t{1});
        showPlan(PlanStage::View::Method);
        type("planHeights", "15");
        type("planDepths", "15");
        QVERIFY(w_->find<QLabel>("plannedCount")->text().contains(QStringLiteral("24 points")));
    }

    void itGoesOnWhereItStopped() {
        QVERIFY(w_->openDemo());
        w_->session.chooseConfiguration(w_->session.sweeps()[2].configuration);
        w_->key(Qt::Key_G, Qt::ControlModifier);
        QCOMPARE(w_->window.stage(), QStringLiteral("measure"));
        const auto place = *whereItStopped(w_->session.bench());
        QCOMPARE(w_->session.runId(), place.run);
        QCOMPARE(*w_->session.depth(), place.depth);
        QCOMPARE(*measure().taker().target(), place.cell);
    }

    void theMatrixIsWalkedByKeys() {
        QVERIFY(w_->openDemo());
        showPlan(PlanStage::View::Matrix);
        const auto before = *w_->session.height();
        w_->key(Qt::Key_Right);
        QVERIFY(*w_->session.height() > before);
        const auto configuration = w_->session.sweep()->configuration;
        w_->key(Qt::Key_Down);
        QVERIFY(w_->session.sweep()->configuration != configuration);
        w_->key(Qt::Key_Return);
        QCOMPARE(w_->window.stage(), QStringLiteral("measure"));
    }

    void sheetsAreWrittenForWhatIsLeft() {
        QVERIFY(w_->createWithRuns({200, 250}));
        showPlan(PlanStage::View::Matrix);
        const auto file = w_->path("sheets.pdf");
        plan().printSheetsTo(file);
        QProcess reader;
        reader.start(QStringLiteral("pdftotext"), {QStringLiteral("-layout"), file, QStringLiteral("-")});
        QVERIFY(reader.waitForFinished());
        const auto words = QString::fromUtf8(reader.readAllStandardOutput());
        QVERIFY(words.contains(QStringLiteral("Before the first reading")));
        QVERIFY(words.contains(QStringLiteral("12 points on 2 planes")));
        QVERIFY(words.contains(QStringLiteral("Lamp at 25 cm, plane 15 cm under water")));
        QVERIFY(words.contains(QStringLiteral("C2")));
        plan().printSheetsTo(w_->path("no/such/folder.pdf"));
        QVERIFY(w_->lastWord().contains(QStringLiteral("no/such/folder.pdf: ")));
    }

    void aDeadDriverStopsTheReadingUntilItIsOverruled() {
        QVERIFY(w_->createWithRuns({200}));
        showPlan(PlanStage::View::Commission);
        auto* draw = plan().commissionPage()->row(CheckKind::Draw);
        draw->valueField()->setText(QStringLiteral("11"));
        draw->record();
        w_->settle();
        QCOMPARE(w_->session.bench().checks.size(), std::size_t{1});
        QVERIFY(!w_->session.bench().checks[0].passed);
        w_->window.showStage(QStringLiteral("measure"));
        QVERIFY(!measure().taker().keepTyped(100));
        QVERIFY(w_->lastWord().contains(QStringLiteral("No reading is taken")));
        QVERIFY(w_->plane().readings.empty());
        showPlan(PlanStage::View::Commission);
        draw->overrule(QStringLiteral("  "));
        QVERIFY(w_->session.bench().checks[0].overruled.empty());
        draw->overrule(QStringLiteral("read on purpose"));
        QCOMPARE(w_->session.bench().checks[0].overruled, std::string("read on purpose"));
        w_->window.showStage(QStringLiteral("measure"));
        QVERIFY(measure().taker().keepTyped(100));
    }

    void everyCheckIsRecordedWithItsVerdict() {
        QVERIFY(w_->createWithRuns({200}));
        showPlan(PlanStage::View::Commission);
        auto* page = plan().commissionPage();
        const auto record = [&](CheckKind kind, const char* value) {
            if (auto* field = page->row(kind)->valueField()) field->setText(QLatin1String(value));
            page->row(kind)->record();
            w_->settle();
        };
        record(CheckKind::Hanging, "20");
        record(CheckKind::EyesAndHands, "");
        record(CheckKind::Draw, "20.5");
        record(CheckKind::WarmUp, "0.1");
        record(CheckKind::Dark, "0.3");
        record(CheckKind::Water, "");
        record(CheckKind::ProbeLevel, "1");
        record(CheckKind::Height, "20.2");
        page->row(CheckKind::MeterMode)->choice()->setCurrentIndex(1);
        record(CheckKind::MeterMode, "");
        record(CheckKind::MeterTruth, "1950");
        QCOMPARE(w_->session.bench().checks.size(), kCheckKinds.size());
        for (const auto& check : w_->session.bench().checks) QVERIFY2(check.passed, check.verdict.c_str());
        record(CheckKind::Height, "tall");
        QCOMPARE(w_->session.bench().checks.size(), kCheckKinds.size());
        QVERIFY(!stoppingCheck(w_->session.bench(), *w_->session.run(), "2026-11-24"));
    }

    void theMeterOffersDarkReadingAndWarmUp() {
        QVERIFY(w_->createWithRuns({200}));
        auto& meter = w_->attachMeter();
        showPlan(PlanStage::View::Commission);
        meter.send(0.4, 80.0);
        auto* dark = plan().commissionPage()->row(CheckKind::Dark);
        QVERIFY(dark->valueField()->placeholderText().startsWith(QStringLiteral("0.4")));
        dark->record();
        plan().commissionPage()->row(CheckKind::WarmUp)->record();
        QCOMPARE(w_->session.bench().checks.size(), std::size_t{2});
        QCOMPARE(w_->session.bench().checks[0].value, 0.4);
        QVERIFY(w_->session.bench().checks[1].passed);
    }

    void checkPointsAreAskedForAndKeptApart() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("bench"));
        type("checkEvery", "4");
        QCOMPARE(w_->session.bench().method.check_every, 4);
        w_->window.showStage(QStringLiteral("measure"));
        auto& taker = measure().taker();
        for (const double ppfd : {100, 120, 101, 99}) QVERIFY(taker.keepTyped(ppfd));
        QCOMPARE(*taker.checking(), CheckPointKind::Reference);
        QCOMPARE(*taker.target(), (Cell{1, 0}));
        QVERIFY(taker.keepTyped(123));
        QVERIFY(!taker.checking());
        QVERIFY(w_->plane().readings.back().flag == Mark::Reference);
        QVERIFY(taker.keepTyped(110) && taker.keepTyped(98));
        QVERIFY(!taker.target());
        QCOMPARE(planeStatistics(w_->plane())->n, 6);
    }

    void aPointThatDoesNotFitIsSaidAtOnceAndOneKeyGoesBack() {
        QVERIFY(w_->createWithRuns({200}));
        std::vector<Run> runs(2, *w_->session.run());
        for (auto& run : runs) {
            run.id = run.planes[0].id = 0;
            run.planes[0].grid = cellCentres(Millimetre(600), Millimetre(600), 5, 5);
            run.height = Millimetre(&run == &runs[0] ? 240 : 280);
        }
        QVERIFY(w_->session.project()->addRuns({runs, {}}, QStringLiteral("plan")));
        fillSmooth(240, {});
        QVERIFY(!heard_.contains(QStringLiteral("doubtful")));
        fillSmooth(280, Cell{2, 3});
        QCOMPARE(heard_.count(QStringLiteral("doubtful")), 1);
        w_->key(Qt::Key_G);
        QCOMPARE(*measure().taker().target(), (Cell{2, 3}));
    }

    void theNextPointIsSpoken() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("measure"));
        listen();
        measure().announcer().setSpeech(true);
        measure().taker().keepTyped(214);
        QCOMPARE(heard_, (QStringList{QStringLiteral("taken"), QStringLiteral("214. Next, B 1.")}));
        heard_.clear();
        w_->key(Qt::Key_T);
        w_->key(Qt::Key_S);
        measure().taker().keepTyped(200);
        QVERIFY(heard_.isEmpty());
        w_->key(Qt::Key_T);
    }

    void aTwinReadingCorrectsWhatIsTakenAfterwards() {
        QVERIFY(w_->createWithRuns({200}));
        MeterProfile meter;
        meter.name = "S1";
        meter.id = *w_->session.project()->save(meter);
        TwinDialog dialog(w_->session, meter);
        QVERIFY(!dialog.corrected());
        dialog.findChild<QLineEdit*>(QStringLiteral("twinName"))->setText(QStringLiteral("S2"));
        auto* pairs = dialog.findChild<QPlainTextEdit*>(QStringLiteral("twinPairs"));
        pairs->setPlainText(QStringLiteral("100 110\n200 oops"));
        QVERIFY(!dialog.corrected());
        pairs->setPlainText(QStringLiteral("100 110\n200 220\n"));
        const auto corrected = dialog.corrected();
        QVERIFY(corrected);
        QVERIFY(w_->session.project()->save(*corrected));
        auto run = *w_->session.run();
        run.meter = meter.id;
        QVERIFY(w_->session.project()->save(run));
        w_->settle();
        w_->window.showStage(QStringLiteral("measure"));
        w_->session.chooseConfiguration(configurationOf(run));
        QVERIFY(measure().taker().keepTyped(200));
        QVERIFY(std::abs(w_->plane().readings.back().mean.value() - 220.0) < 1e-6);
        QCOMPARE(w_->plane().readings.back().extra.at(kBeforeCorrection), std::string("200"));
    }

  private:
    PlanStage& plan() { return *static_cast<PlanStage*>(w_->window.stageWidget(QStringLiteral("plan"))); }
    MeasureStage& measure() {
        return *static_cast<MeasureStage*>(w_->window.stageWidget(QStringLiteral("measure")));
    }

    void showPlan(PlanStage::View view) {
        w_->window.showStage(QStringLiteral("plan"));
        plan().show(view);
        w_->settle();
    }

    void type(const char* field, const char* words) {
        auto* edit = w_->find<QLineEdit>(field);
        edit->setText(QString::fromUtf8(words));
        emit edit->editingFinished();
        w_->settle();
    }

    void listen() {
        heard_.clear();
        measure().announcer().setVoice(std::make_unique<PaperVoice>(heard_));
    }

    /// Types a smooth field at one height; one cell, if asked, far too high.
    void fillSmooth(double height, std::optional<Cell> wrong) {
        w_->session.chooseHeight(Millimetre(height));
        w_->window.showStage(QStringLiteral("measure"));
        listen();
        auto& taker = measure().taker();
        while (const auto cell = taker.target()) {
            const double field =
                200.0 - 3.0 * (cell->column - 2) * (cell->column - 2) - 6.0 * cell->row - 0.2 * height;
            QVERIFY(taker.keepTyped(wrong == cell ? 1.9 * field : field));
        }
    }

    std::unique_ptr<WindowFixture> w_;
    QStringList heard_;
};

GLUMET_TEST(TestPlan, "desk_plan", Windows)

}  // namespace desk_plan

#include "test_plan.moc"
