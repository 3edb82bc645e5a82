#include <QFile>
#include <QSet>
#include <QTemporaryDir>
#include <QTest>

#include "files/failing_disk.h"
#include "files/started.h"
#include "project/described.h"
#include "project/project_maker.h"
#include "runner/registry.h"

namespace project_every_write {

using namespace glumet;
using glumet::testing::Started;

/// A reviewer's edits with the disk failing, or the program killed, at every write: what was said to be
/// stored is there, what was refused is not half there.
class TestEveryWrite : public QObject {
    Q_OBJECT

  private slots:
    void initTestCase() {
        path_ = dir_.filePath(QStringLiteral("bench.glumet"));
        projectWithRun(path_).reset();
        sound_ = bytesOf(path_);
        // The states that the edits lead through, one after the other.
        for (const auto& line : edited(0, {}).lines) states_ << line.last();  // a state may come again
        QVERIFY(states_.size() >= 11);
        QVERIFY(QSet<QString>(states_.begin(), states_.end()).size() >= 8);
    }

    void acceptedIsThereAndRefusedIsNotHalfThere_data() {
        QTest::addColumn<QString>("how");
        QTest::addColumn<int>("step");
        QTest::newRow("kill") << "kill" << 1;
        QTest::newRow("full") << "full" << 9;
        QTest::newRow("fault") << "fault" << 9;
        QTest::newRow("short") << "short" << 9;
    }
    void acceptedIsThereAndRefusedIsNotHalfThere() {
        QFETCH(QString, how);
        QFETCH(int, step);
        int killed = 0;
        for (int at = 1;; at += step) {
            QVERIFY(at < 1'000);
            const auto done = edited(at, how);
            // Not even opened: nothing was said, and nothing is changed.
            const auto last = done.lines.isEmpty() ? states_.front() : done.lines.last().last();
            const auto now = stateOf();
            // The edit under way when the blow fell may be there as well, whole: so may one whose bytes all
            // reached the disk before it failed to say so.
            const auto known =
                done.killed ? qMax<qsizetype>(0, done.lines.size() - 1) : states_.indexOf(last);
            const auto next = states_.value(known + 1, last);
            QVERIFY2(now == last || now == next, qPrintable(QStringLiteral("write %1").arg(at)));
            if (done.killed) {
                ++killed;
            } else {
                const bool all =
                    done.lines.size() == states_.size() && done.lines.last().last() == states_.last();
                if (all && (how == QLatin1String("kill") || at > 60)) break;
            }
        }
        if (how == QLatin1String("kill"))
            QVERIFY2(killed >= 60, qPrintable(QStringLiteral("%1 kills").arg(killed)));
    }

  private:
    struct Edited {
        QList<QStringList> lines;  ///< "stored" or "refused", and what the project holds then
        bool killed = false;
    };

    Edited edited(int at, const QString& how) {
        for (const char* end : {"-wal", "-shm"}) QFile::remove(path_ + QLatin1String(end));
        writeBytes(path_, sound_);

        const auto ended = editor_.run({path_}, failingDisk(how, at, path_));
        Edited done;
        done.killed = ended.killed;
        for (const auto& line : QString::fromUtf8(ended.out).split(QLatin1Char('\n'), Qt::SkipEmptyParts))
            done.lines << line.split(QLatin1Char(' '));
        return done;
    }

    /// What the project holds when it is opened again with a sound disk.
    QString stateOf() {
        const auto seen = Project::open(path_);
        return seen ? hashOf((*seen)->bench()) : QString();
    }

    Started editor_{QStringLiteral("editor")};
    QTemporaryDir dir_;
    QString path_;
    QByteArray sound_;
    QStringList states_;
};

GLUMET_TEST(TestEveryWrite, "project_every_write", Application)

}  // namespace project_every_write

#include "test_every_write.moc"
