#include <QDir>
#include <QFile>
#include <QPushButton>

#include "desk/window/remembered.h"
#include "desk/window/start_page.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_start {

using namespace glumet;
using glumet::testing::WindowFixture;

/// What meets somebody who starts the program.
class TestStart : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        w_->show();
    }
    void cleanup() { w_.reset(); }

    void theDemonstrationIsACopyOfTheUsersOwn() {
        press("Look at the demonstration");
        QVERIFY(w_->session.project() != nullptr);
        QVERIFY(!w_->session.bench().runs.empty());
        QCOMPARE(Remembered().folder(), QDir::homePath());  // not where the copy lies
        const auto runs = w_->session.bench().runs.size();
        QVERIFY(
            w_->session
                .edit([&](Project& project) { return project.removeRun(w_->session.bench().runs.back().id); })
                .isEmpty());
        // Opened again it is as it was left.
        w_->session.setProject(nullptr);
        w_->settle();
        press("Look at the demonstration");
        QCOMPARE(w_->session.bench().runs.size(), runs - 1);
    }

    void whatWasOpenedLastIsOfferedAgain() {
        QVERIFY(w_->window.createProject(w_->path("first.glumet")));
        QVERIFY(w_->window.createProject(w_->path("second.glumet")));
        w_->session.setProject(nullptr);
        w_->settle();
        auto buttons = recent();
        QCOMPARE(buttons.size(), 2);
        QVERIFY(buttons[0]->text().startsWith(QLatin1String("second")));
        QTest::mouseClick(buttons[1], Qt::LeftButton);
        w_->settle();
        QCOMPARE(w_->session.bench().title, std::string("first"));
        // One that is gone is not offered.
        w_->session.setProject(nullptr);
        QFile::remove(w_->path("second.glumet"));
        w_->settle();
        QCOMPARE(recent().size(), 1);
    }

    void aPictureLeavesNoTrace() {
        w_->window.setRemembers(false);
        QVERIFY(w_->window.createProject(w_->path("shot.glumet")));
        QVERIFY(Remembered().recent().isEmpty());
        QCOMPARE(Remembered().folder(), QDir::homePath());
    }

    void dialogsBeginWhereTheLastFileWas() {
        QVERIFY(w_->window.createProject(w_->path("one.glumet")));
        QCOMPARE(Remembered().folder(), QFileInfo(w_->path("one.glumet")).absolutePath());
    }

    void theLookIsKept() {
        Remembered remembered;
        QVERIFY(remembered.dark());
        QVERIFY(remembered.unit() == LengthUnit::Cm);
        remembered.keepLook(LengthUnit::Inch, false);
        QVERIFY(!Remembered().dark());
        QVERIFY(Remembered().unit() == LengthUnit::Inch);
    }

    void aProjectIsNeverWrittenOver() {
        QVERIFY(w_->window.createProject(w_->path("mine.glumet")));
        QVERIFY(!w_->window.createProject(w_->path("mine.glumet")));
        QVERIFY(w_->lastWord().contains(QLatin1String("exists")));
    }

    void thePracticeKeyLeavesARealInstrumentAlone() {
        QVERIFY(w_->create());
        auto& meter = w_->attachMeter();
        w_->window.togglePractice();
        QCOMPARE(w_->session.meter(), &meter);
        QVERIFY(w_->lastWord().contains(QLatin1String("Hand meter")));
    }

  private:
    void press(const char* name) {
        for (auto* button : w_->window.findChild<StartPage*>()->findChildren<QPushButton*>())
            if (button->text() == QLatin1String(name))
                return QTest::mouseClick(button, Qt::LeftButton), w_->settle();
        QFAIL(name);
    }
    QList<QPushButton*> recent() {
        return w_->window.findChild<StartPage*>()->findChildren<QPushButton*>(
            QStringLiteral("recentProject"));
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestStart, "desk_start", Windows)

}  // namespace desk_start

#include "test_start.moc"
