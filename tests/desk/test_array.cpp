#include "desk/array/array_stage.h"
#include "desk/field/field_stage.h"
#include "desk/height/height_stage.h"
#include "desk/window_fixture.h"

using namespace glumet;
using glumet::testing::WindowFixture;

class TestArray : public QObject {
    Q_OBJECT

  private slots:
    void init() { w_ = std::make_unique<WindowFixture>(); }
    void cleanup() { w_.reset(); }

    void theFittedFixtureIsHungOverAnotherTank() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(StageId::Array);
        QTRY_VERIFY_WITH_TIMEOUT(stage().answer().has_value(), 30'000);
        QCOMPARE(stage().view()->centres().size(), std::size_t{2});
        QVERIFY(w_->find<QLabel>("arrayFigures")->text().contains(QStringLiteral("Centres at")));
        const auto before = stage().view()->centres();
        type("arrayCount", "3");
        QCOMPARE(stage().view()->centres().size(), std::size_t{3});
        type("arrayCount", "none");
        QCOMPARE(stage().view()->centres().size(), std::size_t{3});
        QVERIFY(!w_->lastWord().isEmpty());
        QVERIFY(before.size() == 2);
    }

    void schoolsHangThemAndTheKeysMoveThem() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(StageId::Array);
        QTRY_VERIFY_WITH_TIMEOUT(stage().answer().has_value(), 30'000);
        stage().hangBy(2);
        w_->settle();
        QCOMPARE(stage().view()->centres(), stage().answer()->schools[2].centres_mm);
        const auto before = stage().view()->centres();
        stage().view()->setFocus();
        w_->key(Qt::Key_Right);
        QCOMPARE(stage().view()->centres()[0], before[0] + 5.0);
        // Bodies never overlap, however long it is pushed.
        for (int i = 0; i < 300; ++i) QTest::keyClick(stage().view(), Qt::Key_Right);
        const auto& pushed = stage().view()->centres();
        QVERIFY(pushed[1] - pushed[0] >= w_->session.bench().fixtures[0].length.value() - 1e-9);
    }

    void aFixtureIsDraggedByTheMouse() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(StageId::Array);
        QTRY_VERIFY_WITH_TIMEOUT(stage().answer().has_value(), 30'000);
        auto* view = stage().view();
        const double before = view->centres()[0];
        const QPoint from(view->width() / 4, view->height() / 2);
        QTest::mousePress(view, Qt::LeftButton, Qt::NoModifier, from);
        QMouseEvent drag(QEvent::MouseMove, from + QPoint(90, 0), view->mapToGlobal(from + QPoint(90, 0)),
                         Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
        QCoreApplication::sendEvent(view, &drag);
        QTest::mouseRelease(view, Qt::LeftButton, Qt::NoModifier, from + QPoint(90, 0));
        QVERIFY(view->centres()[0] != before);
    }

    void withoutReadingsItSaysWhatToDo() {
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(StageId::Array);
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting(), 30'000);
        w_->settle();
        QVERIFY(!stage().answer());
        const auto findings = stage().findings();
        QCOMPARE(findings.front().kind, FindingKind::Next);
        QVERIFY(findings.front().body.find("reading") != std::string::npos);
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
        w_->session.cancelFit();
        QVERIFY(!w_->session.fitting());
        QCOMPARE((*w_->session.fit())->model.flux(), flux);
    }

    void theReviewerChoosesTheSchoolAndDissents() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(StageId::Height);
        w_->settle();
        const auto by_spill = w_->find<QLabel>("heightAnswer")->text();
        w_->find<QPushButton>("school_flattest")->click();
        w_->settle();
        QCOMPARE(w_->session.bench().method.school, std::string("flattest"));
        QVERIFY(w_->session.headline()->school == "flattest");
        QVERIFY(w_->find<QLabel>("heightReason")->text().contains(QStringLiteral("edge")));
        type("dissent", "too flat to please the eye");
        QCOMPARE(w_->session.bench().method.dissent, std::string("too flat to please the eye"));
        w_->find<QPushButton>("school_spill-limit")->click();
        w_->settle();
        QCOMPARE(w_->find<QLabel>("heightAnswer")->text(), by_spill);
    }

    void fieldShowsTheFittedModel() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(StageId::Field);
        w_->key(Qt::Key_M);
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fit() != nullptr, 30'000);
        w_->settle();
        QVERIFY(w_->session.model()->has_value() && (*w_->session.model())->isFitted());
        // What is fitted lies nearer to the readings than what the maker says.
        QVERIFY((*w_->session.model())->agreement().rms < 0.05);
    }

  private:
    ArrayStage& stage() { return *static_cast<ArrayStage*>(w_->window.stageWidget(StageId::Array)); }

    void type(const char* field, const char* words) {
        auto* edit = w_->find<QLineEdit>(field);
        edit->setText(QString::fromUtf8(words));
        emit edit->editingFinished();
        w_->settle();
    }

    std::unique_ptr<WindowFixture> w_;
};

QTEST_MAIN(TestArray)
#include "test_array.moc"
