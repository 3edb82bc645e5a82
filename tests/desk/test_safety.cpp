#include <QFileDialog>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>

#include "desk/hands.h"
#include "desk/window/copies_dialog.h"
#include "desk/window_fixture.h"
#include "project/held_project.h"
#include "project/kept_copies.h"
#include "runner/registry.h"

namespace desk_safety {

using namespace glumet;
using namespace glumet::testing;

/// What the window does with projects that cannot be written, are damaged, held or foreign.
class TestSafety : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        hands_ = std::make_unique<Hands>(w_->window);
    }
    void cleanup() {
        hands_.reset();
        w_.reset();
    }

    void aDamagedProjectIsShownAsFarAsItCanBeAndCopied() {
        damagedDemo();
        QVERIFY(w_->window.openProject(w_->path("demo.glumet")));
        w_->show();
        QVERIFY(w_->session.project()->lookedAt());
        QVERIFY2(w_->lastWord().contains(QStringLiteral("damaged")), qPrintable(w_->lastWord()));
        bool named = false;
        for (const auto* widget : w_->window.findChildren<QWidget*>())
            named = named || widget->accessibleDescription().contains(QStringLiteral("Missing: "));
        QVERIFY(named);
        QVERIFY(w_->window.windowTitle().contains(QStringLiteral("read only")));
        QVERIFY(!w_->session.project()->missing().empty());
        const auto readings = readingCount(w_->session.bench());
        QVERIFY(readings > 100);
        // Judged as ever; edits are refused in words and change nothing.
        for (const auto& stage : w_->window.stages()) w_->window.showStage(stage.id);
        const auto fault = rename("Fern 99");
        QVERIFY2(fault.contains(QStringLiteral("looked at only")), qPrintable(fault));
        w_->window.exportTo(w_->path("out"));
        QVERIFY(QFile::exists(w_->path("out/readings.csv")));
        const auto damaged = bytesOf("demo.glumet");
        onDialog<QFileDialog>([&](QFileDialog& dialog) { hands_->saveAs(dialog, "saved.glumet"); });
        hands_->press(Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
        QVERIFY(w_->window.openProject(w_->path("saved.glumet")));
        QVERIFY(!w_->session.project()->lookedAt());
        QCOMPARE(readingCount(w_->session.bench()), readings);
        QVERIFY(rename("Fern 99").isEmpty());
        QCOMPARE(bytesOf("demo.glumet"), damaged);
    }

    void whatIsNoProjectLeavesTheOpenOneAlone() {
        QVERIFY(w_->createWithRuns({200}));
        QFile file(w_->path("noise.glumet"));
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write("noise");
        file.close();
        QVERIFY(!w_->window.openProject(w_->path("noise.glumet")));
        QVERIFY(w_->lastWord().contains(QStringLiteral("not a Glumet project")));
        QVERIFY(rename("Fern 99").isEmpty());
    }

    void aProjectThatAnotherProgramHoldsIsSaidAndTakesNothing() {
        QVERIFY(w_->createWithRuns({200}));
        {
            const HeldProject held(w_->path("bench.glumet"));
            QVERIFY(held.holds());
            const auto fault = rename("Fern 99");
            QVERIFY2(fault.contains(QStringLiteral("locked")), qPrintable(fault));
            QCOMPARE(w_->session.bench().fixtures[0].name, std::string("Fern 20"));
        }
        QVERIFY(rename("Fern 99").isEmpty());
    }

    /// A settled reading that could not be stored is tried again after a pause, not with every sample.
    void aReadingThatCouldNotBeStoredIsTriedAgain() {
        QVERIFY(w_->createWithRuns({200}));
        auto& meter = w_->attachMeter();
        w_->window.showStage(QStringLiteral("measure"));
        int refusals = 0;
        connect(&w_->session, &Session::said, this, [&](const QString& said, bool problem) {
            if (problem && said.contains(QStringLiteral("locked"))) ++refusals;
        });
        {
            const HeldProject held(w_->path("bench.glumet"));
            QVERIFY(held.holds());
            hands_->press(Qt::Key_H);
            meter.send(150.0, 8.0);
            QVERIFY2(refusals >= 1 && refusals <= 5, qPrintable(QString::number(refusals)));
            QCOMPARE(readingCount(w_->session.bench()), std::size_t{0});
        }
        meter.send(150.0, 4.0);
        QCOMPARE(readingCount(w_->session.bench()), std::size_t{1});
    }

    void anEarlierCopyIsRestoredUnderANameOfItsOwn() {
        QVERIFY(w_->createWithRuns({200}));
        // The first edit has one kept, beside the window's work; a later one is chosen here.
        QTRY_VERIFY(!KeptCopies().of(w_->path("bench.glumet")).isEmpty());
        QVERIFY(rename("Fern 21").isEmpty());
        QVERIFY(*KeptCopies().keep(w_->path("bench.glumet"), QDateTime(QDate(2026, 12, 1), QTime(9, 0))));
        QVERIFY(rename("Fern 99").isEmpty());
        bool listed = false;
        onDialog<CopiesDialog>([&](CopiesDialog& dialog) {
            listed = dialog.findChild<QListWidget*>()->count() > 0;
            onDialog<QFileDialog>([&](QFileDialog& files) { hands_->saveAs(files, "restored.glumet"); });
            hands_->click(dialog.findChild<QPushButton*>(QStringLiteral("restoreCopy")));
        });
        hands_->command("earlier copies");
        QTRY_VERIFY(QFile::exists(w_->path("restored.glumet")));
        QVERIFY(listed);
        QTRY_COMPARE(w_->session.project()->path(), w_->path("restored.glumet"));
        QCOMPARE(w_->session.bench().fixtures[0].name, std::string("Fern 21"));
        QCOMPARE((*Project::look(w_->path("bench.glumet")))->bench().fixtures[0].name,
                 std::string("Fern 99"));
    }

    void openingKeepsACopy() {
        QVERIFY(w_->openDemo());
        QTRY_COMPARE(KeptCopies().of(w_->path("demo.glumet")).size(), 1);
    }

  private:
    QString rename(const char* name) {
        auto fixture = w_->session.bench().fixtures.front();
        fixture.name = name;
        const auto fault = w_->session.edit([&](Project& project) { return project.save(fixture); });
        w_->settle();
        return fault;
    }

    /// The demonstration with half a page of readings overwritten.
    void damagedDemo() {
        QFile demo(QStringLiteral(GLUMET_SOURCE_DIR "/data/demo/nursery.glumet"));
        QVERIFY(demo.open(QIODevice::ReadOnly));
        auto bytes = demo.readAll();
        const auto at = bytes.size() / 4096 / 2 * 4096;
        bytes.replace(at, 2048, QByteArray(2048, '\x55'));
        QFile file(w_->path("demo.glumet"));
        QVERIFY(file.open(QIODevice::WriteOnly));
        QCOMPARE(file.write(bytes), bytes.size());
    }

    QByteArray bytesOf(const char* name) const {
        QFile file(w_->path(name));
        return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
    }

    std::unique_ptr<WindowFixture> w_;
    std::unique_ptr<Hands> hands_;
};

GLUMET_TEST(TestSafety, "desk_safety", Windows)

}  // namespace desk_safety

#include "test_safety.moc"
