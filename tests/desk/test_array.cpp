#include <QScrollBar>

#include "core/words/finding.h"
#include "core/words/sentence.h"
#include "desk/array/array_stage.h"
#include "desk/field/field_stage.h"
#include "desk/height/height_stage.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_array {

using namespace glumet;
using glumet::testing::WindowFixture;

class TestArray : public QObject {
    Q_OBJECT

  private slots:
    void init() { w_ = std::make_unique<WindowFixture>(); }
    void cleanup() { w_.reset(); }

    void theFittedFixtureIsHungOverAnotherTank() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(stage().verdicts() != nullptr && stage().light().shown(), 30'000);
        w_->settle();
        QCOMPARE(stage().light().centres().size(), std::size_t{2});
        QVERIFY(w_->find<QLabel>("arrayFigures")->text().contains(QStringLiteral("Centres ")));
        const auto before = stage().light().centres();
        type("arrayCount", "3");
        QCOMPARE(stage().light().centres().size(), std::size_t{3});
        type("arrayCount", "none");
        QCOMPARE(stage().light().centres().size(), std::size_t{3});
        QCOMPARE(w_->lastWord(), QStringLiteral("1 to 12 fixtures may hang."));
        QVERIFY(before.size() == 2);
    }

    void schoolsHangThemAndTheKeysMoveThem() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(stage().verdicts() != nullptr && stage().light().shown(), 30'000);
        stage().hangBy(2);
        w_->settle();
        QCOMPARE(stage().light().centres(), stage().verdicts()->spacing.schools[2].centres_mm);
        const auto before = stage().light().centres();
        stage().view()->setFocus();
        w_->key(Qt::Key_Right);
        QCOMPARE(stage().light().centres()[0], before[0] + 5.0);
        // Bodies never overlap, however long it is pushed.
        for (int i = 0; i < 300; ++i) QTest::keyClick(stage().view(), Qt::Key_Right);
        const auto& pushed = stage().light().centres();
        QVERIFY(pushed[1] - pushed[0] >= w_->session.bench().fixtures[0].length.value() - 1e-9);
    }

    void aFixtureIsDraggedByTheMouse() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(stage().verdicts() != nullptr && stage().light().shown(), 30'000);
        auto* view = stage().view();
        const double before = stage().light().centres()[0];
        const ArrayGeometry geometry(view->size(), stage().light(), ArrayPart::Plan, 0);
        const QPoint from = geometry.fromAbove(0).center().toPoint();
        drag(view, from, from + QPoint(30, 0));
        QVERIFY(stage().light().centres()[0] != before);
        QVERIFY(w_->find<QLabel>("arrayReason")->text().contains(QStringLiteral("by hand")));
    }

    void theSideViewRaisesThem() {
        QVERIFY(openArray());
        auto* view = stage().side();
        const auto before = stage().light().height();
        const QPoint from(view->width() / 2, 120);
        drag(view, from, from - QPoint(0, 25));
        QVERIFY(stage().light().height() > before);
        // Judged anew at that height, with the fixtures left where they hang.
        QTRY_VERIFY_WITH_TIMEOUT(!stage().busy(), 30'000);
        view->setFocus();
        const auto raised = stage().light().height();
        w_->key(Qt::Key_Down);
        QCOMPARE(stage().light().height(), raised - Millimetre(5));
        QTRY_VERIFY_WITH_TIMEOUT(!stage().busy(), 30'000);
        QVERIFY(w_->find<QLineEdit>("arrayHeight")
                    ->text()
                    .startsWith(w_->session.figure(raised - Millimetre(5))));
    }

    void rowsRunCrosswiseAndLimitsHold() {
        QVERIFY(openArray());
        choose("arrayWay", 2);
        QVERIFY(!stage().light().lengthwise());
        choose("arrayWay", 0);
        type("arrayCanopy", "80 x 60 cm");
        for (const auto& step : stage().verdicts()->spacing.steps)
            QVERIFY(step.centres_mm.front() >= 290.0 - 1e-6);
        const auto with_canopy = stage().light().centres();
        type("arrayCanopy", "nonsense");
        QVERIFY(w_->lastWord().startsWith(QStringLiteral("Give the canopy as length × width")));
        QCOMPARE(stage().light().centres(), with_canopy);
        type("arrayHeights", "15-20 cm");
        QVERIFY(stage().light().height() <= Millimetre(200));
        type("arrayHeights", "");
    }

    void aNumberThatCannotHangIsSaidAndNothingBreaks() {
        QVERIFY(openArray());
        type("arrayCount", "12");
        QTRY_VERIFY_WITH_TIMEOUT(!stage().busy(), 30'000);
        QVERIFY(stage().verdicts() == nullptr);
        QVERIFY(w_->lastWord().contains(QStringLiteral("does not fit")));
        QCOMPARE(stage().findings().front().kind, FindingKind::Next);
        type("arrayCount", "3");
        QVERIFY(stage().verdicts() != nullptr);
    }

    void theFewestAreFoundAndHungFromTheTable() {
        QVERIFY(openArray());
        type("arrayGoalShare", "60");
        auto* table = w_->find<QTableWidget>("arrayCounts");
        QVERIFY(table->rowCount() >= 1);
        const auto& last = stage().verdicts()->counts.back();
        w_->find<QPushButton>("paneCounts")->click();
        emit table->cellActivated(table->rowCount() - 1, 0);
        QTRY_VERIFY_WITH_TIMEOUT(!stage().busy(), 30'000);
        QCOMPARE(stage().light().centres().size(), static_cast<std::size_t>(last.count));
    }

    void levelAndBrightnessFollow() {
        QVERIFY(openArray());
        const double before = stage().light().figures().mean;
        w_->find<QPushButton>("paneBrightness")->click();
        type("arrayLevel", "50");
        const double level = stage().light().what().level;
        QCOMPARE(level, 0.5);
        QVERIFY(stage().light().figures().mean < before);
        QVERIFY(w_->find<QLabel>("brightnessWords")->text().contains(QStringLiteral("At 50 %")));
    }

    void anotherFixtureHangsBeside() {
        QVERIFY(openArray());
        const double before = stage().light().figures().mean / stage().light().what().level;
        auto* beside = w_->find<QComboBox>("arrayBeside");
        choose("arrayBeside", beside->findText(QStringLiteral("Rushlight"), Qt::MatchStartsWith));
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && !stage().busy(), 30'000);
        QCOMPARE(stage().light().what().question.companions.size(), std::size_t{1});
        QVERIFY(stage().light().figures().mean / stage().light().what().level > before);
    }

    void whatHangsIsKeptForTheReviewAndHungAgain() {
        QVERIFY(openArray());
        choose(
            "arrayBeside",
            w_->find<QComboBox>("arrayBeside")->findText(QStringLiteral("Rushlight"), Qt::MatchStartsWith));
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && !stage().busy(), 30'000);
        choose("arraySide", 1);
        type("arrayBesideLevel", "120");
        type("arrayBesideLevel", "0");
        QVERIFY(w_->lastWord().contains(QStringLiteral("10 to 200 %")));
        QCOMPARE(stage().light().what().question.companions[0].level, 1.2);
        stage().view()->setFocus();
        for (int i = 0; i < 4; ++i) w_->key(Qt::Key_Right);
        type("arrayLevel", "70");
        const auto centres = stage().light().centres();
        const auto before = w_->session.bench().plans.size();
        w_->find<QPushButton>("paneKept")->click();
        auto* name = w_->find<QLineEdit>("planName");
        QVERIFY(name->placeholderText().contains(QStringLiteral("Rushlight 2T beside")));
        name->setText(QStringLiteral("for the evening"));
        QTest::keyClick(name, Qt::Key_Return);
        w_->settle();
        const auto& plans = w_->session.bench().plans;
        QCOMPARE(plans.size(), before + 1);
        QCOMPARE(plans.back().name, std::string("for the evening"));
        QCOMPARE(plans.back().fixtures.size(), centres.size() + 1);
        QCOMPARE(plans.back().fixtures[0].x.value(), centres[0]);
        QCOMPARE(plans.back().fixtures[0].level_pct, 70.0);
        QCOMPARE(plans.back().fixtures.back().level_pct, 84.0);
        QVERIFY(plans.back().fixtures.back().y.value() > 0.5 * w_->session.bench().tanks[1].width.value());
        // Once more by the same name is the same array.
        QTest::keyClick(name, Qt::Key_Return);
        QCOMPARE(plans.size(), before + 1);
        // Other fixtures hang, and the kept one again.
        choose("arrayBeside", 0);
        type("arrayCount", "3");
        auto* list = w_->find<QTableWidget>("keptPlans");
        list->selectRow(list->rowCount() - 1);
        w_->find<QPushButton>("showPlan")->click();
        QCOMPARE(stage().light().centres(), centres);
        w_->settle();
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && !stage().busy(), 30'000);
        QCOMPARE(stage().light().centres(), centres);
        QCOMPARE(stage().light().what().question.companions.size(), std::size_t{1});
        QCOMPARE(stage().light().what().level, 0.7);
        QCOMPARE(stage().light().what().question.companions[0].level, 1.2);
        QVERIFY(w_->find<QLabel>("arrayReason")->text().contains(QStringLiteral("for the evening")));
        // Known again though its name is its own, renamed by a key, and explained for the review.
        list->selectRow(list->rowCount() - 1);
        QVERIFY(list->item(list->rowCount() - 1, 0)->font().bold() && !list->item(0, 0)->font().bold());
        renameTo(list, QStringLiteral("Two clusters, tubes behind"));
        QVERIFY(w_->lastWord().contains(QStringLiteral("Another array over that tank")));
        QCOMPARE(plans.back().name, std::string("for the evening"));
        renameTo(list, QString());
        QCOMPARE(plans.back().name, std::string("for the evening"));
        renameTo(list, QStringLiteral("for the night "));
        QCOMPARE(plans.back().name, std::string("for the night"));
        QCOMPARE(list->item(list->rowCount() - 1, 0)->text(), QStringLiteral("for the night"));
        renameTo(list, QStringLiteral(" for the night"));
        QCOMPARE(list->item(list->rowCount() - 1, 0)->text(), QStringLiteral("for the night"));
        auto* note = w_->find<QLineEdit>("planNote");
        QTest::keyClicks(note, QStringLiteral("dimmed after nine"));
        QTest::keyClick(note, Qt::Key_Return);
        QCOMPARE(plans.back().note, std::string("dimmed after nine"));
        list->selectRow(0);
        QVERIFY(note->text() != QStringLiteral("dimmed after nine"));
        // Removed by the key, and back.
        list->setFocus();
        list->selectRow(list->rowCount() - 1);
        QTest::keyClick(list, Qt::Key_Delete);
        QCOMPARE(w_->session.bench().plans.size(), before);
        QVERIFY(*w_->session.project()->undo());
        QCOMPARE(w_->session.bench().plans.size(), before + 1);
    }

    void channelsReadByThemselvesAreMixed() {
        QVERIFY(openArray());
        // Between the last channel's fit and the question that it brings nobody is at work.
        QTRY_VERIFY_WITH_TIMEOUT(stage().verdicts()->mix.has_value(), 60'000);
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && !stage().busy(), 60'000);
        QCOMPARE(stage().verdicts()->mix->names.size(), std::size_t{3});
        // With every pane there is, the narrowest window that is kept free for a stage is wide enough.
        w_->window.resize(1224, 640);
        w_->settle();
        QVERIFY(w_->find<QPushButton>("paneChannels")->isVisible() &&
                w_->find<QPushButton>("paneMeasured")->isVisible());
        QCOMPARE(w_->find<QScrollArea>("stageScroll")->horizontalScrollBar()->maximum(), 0);
        w_->window.resize(1280, 800);
        QVERIFY(stage().verdicts()->mix->share >= stage().verdicts()->mix->equal_share);
        // A channel may have a band of its own.
        const auto red = stage().verdicts()->mix->level_pct[2];
        auto* bands = w_->find<QLineEdit>("arrayChannelBands");
        const auto type = [&](const QString& words) {
            bands->setText(words);
            QTest::keyClick(bands, Qt::Key_Return);
            w_->settle();
            QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && !stage().busy(), 60'000);
        };
        type(QStringLiteral("ultraviolet 1–2"));
        QCOMPARE(stage().verdicts()->mix->level_pct[2], red);
        type(QStringLiteral("deep red 0–8"));
        QVERIFY2(stage().verdicts()->mix->level_pct[2] < 25.0,
                 qPrintable(QString::number(stage().verdicts()->mix->level_pct[2])));
        QVERIFY(
            text(stage().verdicts()->mix->reason, LengthUnit::Cm).contains(QStringLiteral("its own band")));
        type({});
        QCOMPARE(stage().verdicts()->mix->level_pct[2], red);
    }

    void measuredArraysLieBesideTheirPrediction() {
        QVERIFY(openArray());
        w_->settle();
        auto* table = w_->find<QTableWidget>("arrayMeasured");
        QCOMPARE(table->rowCount(), 2);
        int agreeing = 0;
        int too_high = 0;
        for (int row = 0; row < 2; ++row) {
            const auto verdict = table->item(row, table->columnCount() - 1)->text();
            agreeing += verdict == QStringLiteral("agrees") ? 1 : 0;
            too_high += verdict.endsWith(QStringLiteral("too high")) ? 1 : 0;
        }
        QCOMPARE(agreeing, 1);
        QCOMPARE(too_high, 1);  // the one that was planted
        emit table->cellActivated(0, 0);
        w_->settle();
        QCOMPARE(w_->session.run()->fixtures, 2);
    }

    /// Another question is judged in the background: what is being read is not taken away meanwhile.
    void thePaneStaysWhileItIsJudgedAnew() {
        QVERIFY(openArray());
        auto* measured = w_->find<QPushButton>("paneMeasured");
        QTest::mouseClick(measured, Qt::LeftButton);
        w_->settle();
        QVERIFY(measured->isChecked());
        stage().view()->setFocus();
        w_->key(Qt::Key_Up);
        w_->session.setUnit(LengthUnit::Inch);
        auto goal = w_->session.goal();
        goal.band.high = Ppfd(310);
        w_->session.changeMethod([&](Method& method) { method.goal = goal; });
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && !stage().busy(), 60'000);
        w_->settle();
        QVERIFY(measured->isChecked() && measured->isVisible());
        QVERIFY(w_->find<QTableWidget>("arrayMeasured")->isVisible());
    }

    void keysWalkPanesAndSchools() {
        QVERIFY(openArray());
        stage().view()->setFocus();
        w_->key(Qt::Key_P);
        QVERIFY(w_->find<QPushButton>("paneSpacing")->isChecked());
        const auto before = stage().light().centres();
        w_->key(Qt::Key_S);
        QVERIFY(stage().light().centres() != before);
        QVERIFY(w_->find<QPushButton>("arraySchool1")->isChecked());
    }

    /// Edge share hangs two lamps far apart; what that leaves in the middle is said, and who would not.
    void aTroughBetweenTheLampsIsSaid() {
        QVERIFY(openArray());
        const auto doubt = [&] {
            const auto findings = stage().findings();
            return std::any_of(findings.begin(), findings.end(), [](const Finding& f) {
                return f.kind == FindingKind::Doubt && english(f.title) == "A trough between the lamps" &&
                       english(f.body).find("Smooth seam would not") != std::string::npos;
            });
        };
        const auto& chosen = stage().verdicts()->spacing.schools[0];
        QVERIFY(chosen.between < 0.5 * chosen.under);
        QVERIFY(doubt());
        w_->key(Qt::Key_S);  // smooth seam speaks now
        QVERIFY(!doubt());
    }

    void twoGoalsShareTheTank() {
        QVERIFY(openArray());
        choose("arraySecond", 1);
        QVERIFY(stage().verdicts()->shared.has_value());
        const auto findings = stage().findings();
        QVERIFY(std::any_of(findings.begin(), findings.end(),
                            [](const Finding& f) { return english(f.title) == "Two goals"; }));
    }

    void readingsInAnotherUnitAreRefused() {
        QVERIFY(w_->openDemo());
        // A rating of a tenth of what was drawn: the readings seem ten times too bright.
        auto fixture = w_->session.bench().fixtures[0];
        fixture.rated_power = Watt(4);
        QVERIFY(w_->session.project()->save(fixture));
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fit() != nullptr && !w_->session.fitting(), 30'000);
        w_->settle();
        QVERIFY(stage().verdicts() == nullptr);
        QVERIFY(english(stage().findings().front().body).find("unit") != std::string::npos);
    }

    void theFitReportsWhatItDistrusts() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("field"));
        w_->key(Qt::Key_M);
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fit() != nullptr && !w_->session.fitting(), 30'000);
        w_->settle();
        w_->key(Qt::Key_M);
        QVERIFY(w_->find<QLabel>("fitSummary")->isVisible());
        QVERIFY(w_->find<QTableWidget>("fitParameters")->rowCount() >= 5);
        auto* outliers = w_->find<QTableWidget>("fitOutliers");
        QCOMPARE(outliers->rowCount(), (*w_->session.fit())->distrusted());
        emit outliers->cellActivated(0, 0);
        w_->settle();
        const auto worst = *w_->session.cell();
        const auto& grid = *w_->session.plane()->grid;
        QVERIFY(grid.planned(worst));
        w_->key(Qt::Key_M);
        QVERIFY(!w_->find<QLabel>("fitSummary")->isVisible());
    }

    void theFitSpeaksBesideTheSchools() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("height"));
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fittedHeights() != nullptr, 30'000);
        w_->settle();
        QVERIFY(w_->find<QLabel>("heightByFit")->text().startsWith(QStringLiteral("by the fit")));
    }

    void aReadingMoreIsTakenIntoTheFit() {
        QVERIFY(w_->openDemo());
        w_->session.wantFit();
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fit() != nullptr && !w_->session.fitting(), 30'000);
        const int before = (*w_->session.fit())->model.readings;
        const auto& runs = w_->session.sweep()->runs;
        const auto& run = w_->session.bench().run(runs.back());
        const Plane* open = nullptr;
        for (const auto& plane : run.planes)
            if (nextCell(*plane.grid, plane.readings)) open = &plane;
        QVERIFY(open != nullptr);
        const auto cell = *nextCell(*open->grid, open->readings);
        Reading reading;
        reading.x = Millimetre(open->grid->xs_mm[static_cast<std::size_t>(cell.column)]);
        reading.y = Millimetre(open->grid->ys_mm[static_cast<std::size_t>(cell.row)]);
        reading.mean = Ppfd(150);
        QVERIFY(w_->session.project()->take(open->id, reading));
        w_->session.wantFit();
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting(), 30'000);
        QCOMPARE((*w_->session.fit())->model.readings, before + 1);
    }

    void withoutReadingsItSaysWhatToDo() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting(), 30'000);
        w_->settle();
        QVERIFY(stage().verdicts() == nullptr);
        const auto findings = stage().findings();
        QCOMPARE(findings.front().kind, FindingKind::Next);
        QVERIFY(english(findings.front().body).find("reading") != std::string::npos);
    }

    void aFitOfOldReadingsIsReplaced() {
        QVERIFY(w_->openDemo());
        w_->session.wantFit();
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fit() != nullptr, 30'000);
        QVERIFY(w_->session.fit()->has_value());
        const double flux = (*w_->session.fit())->model.flux();
        auto fixture = w_->session.bench().fixtures[0];
        fixture.note = "edited";
        QVERIFY(w_->session.project()->save(fixture));
        QVERIFY(w_->session.fit() != nullptr);  // the old one stays until the new is there
        w_->session.wantFit();
        QVERIFY(w_->session.fitting());
        w_->session.cancelWork();
        QVERIFY(!w_->session.fitting());
        QCOMPARE((*w_->session.fit())->model.flux(), flux);
    }

    void theReviewerChoosesTheSchoolAndDissents() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("height"));
        w_->settle();
        const auto by_spill = w_->find<QLabel>("heightAnswer")->text();
        w_->find<QPushButton>("school_flattest")->click();
        w_->settle();
        QVERIFY(w_->session.bench().method.school == HeightSchool::Flattest);
        QVERIFY(w_->session.headline()->school == HeightSchool::Flattest);
        QVERIFY(w_->find<QLabel>("heightReason")->text().contains(QStringLiteral("edge")));
        type("dissent", "too flat to please the eye");
        QCOMPARE(w_->session.bench().method.dissent, std::string("too flat to please the eye"));
        w_->find<QPushButton>("school_spill-limit")->click();
        w_->settle();
        QCOMPARE(w_->find<QLabel>("heightAnswer")->text(), by_spill);
    }

    void fieldShowsTheFittedModel() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("field"));
        w_->key(Qt::Key_M);
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fit() != nullptr, 30'000);
        w_->settle();
        QVERIFY(w_->session.model()->has_value() && (*w_->session.model())->isFitted());
        // What is fitted lies nearer to the readings than what the maker says.
        QVERIFY((*w_->session.model())->agreement().rms < 0.05);
    }

  private:
    ArrayStage& stage() { return *static_cast<ArrayStage*>(w_->window.stageWidget(QStringLiteral("array"))); }

    bool openArray() {
        if (!w_->openDemo()) return false;
        w_->window.showStage(QStringLiteral("array"));
        const bool there = QTest::qWaitFor(
            [this] { return stage().verdicts() != nullptr && stage().light().shown() && !stage().busy(); },
            60'000);
        w_->settle();
        return there;
    }

    void drag(QWidget* view, QPoint from, QPoint to) {
        QTest::mousePress(view, Qt::LeftButton, Qt::NoModifier, from);
        QMouseEvent move(QEvent::MouseMove, to, view->mapToGlobal(to), Qt::NoButton, Qt::LeftButton,
                         Qt::NoModifier);
        QCoreApplication::sendEvent(view, &move);
        QTest::mouseRelease(view, Qt::LeftButton, Qt::NoModifier, to);
    }

    void choose(const char* combo, int index) {
        auto* box = w_->find<QComboBox>(combo);
        box->setCurrentIndex(index);
        emit box->activated(index);
        w_->settle();
        QTRY_VERIFY_WITH_TIMEOUT(!stage().busy(), 30'000);
        w_->settle();
    }

    void type(const char* field, const char* words) {
        auto* edit = w_->find<QLineEdit>(field);
        edit->setText(QString::fromUtf8(words));
        emit edit->editingFinished();
        w_->settle();
        QTRY_VERIFY_WITH_TIMEOUT(!stage().busy(), 30'000);
        w_->settle();
    }

    /// Gives the last of the list another name, by keys.
    void renameTo(QTableWidget* list, const QString& name) {
        list->setFocus();
        list->selectRow(list->rowCount() - 1);
        QTest::keyClick(list, Qt::Key_F2);
        auto* editor = list->viewport()->findChild<QLineEdit*>();
        QVERIFY(editor != nullptr);
        editor->setText(name);
        QTest::keyClick(editor, Qt::Key_Return);
        w_->settle();
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestArray, "desk_array", Windows)

}  // namespace desk_array

#include "test_array.moc"
