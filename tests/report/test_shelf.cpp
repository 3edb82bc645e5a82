#include "report/shelf.h"

#include <QDir>
#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QTemporaryDir>
#include <QTest>

#include "core/words/sentence.h"
#include "project/shipped_demo.h"
#include "report/data_package.h"
#include "report/review/publish.h"
#include "runner/registry.h"

namespace report_shelf {

using namespace glumet;

namespace {

const Bench& demo() {
    static const Bench bench = testing::shippedDemo();
    return bench;
}

ShelfEntry about(const char* title, bool own = true) {
    ShelfEntry entry;
    entry.title = QString::fromUtf8(title);
    entry.from = QStringLiteral("/somewhere/bench.glumet");
    entry.kept = QStringLiteral("2026-11-24T12:00:00");
    entry.own = own;
    return entry;
}

}  // namespace

/// Fixtures of other projects, kept on this machine.
class TestShelf : public QObject {
    Q_OBJECT

  private slots:
    void init() { dir_ = std::make_unique<QTemporaryDir>(); }

    void whatIsKeptComesBackWhole() {
        QVERIFY(shelfEntries(shelf()).empty());
        const auto kept = keepOnShelf(shelf(), demo(), about("Nursery, first year"));
        QVERIFY2(kept, kept ? "" : english(kept.error()).c_str());
        const auto entries = shelfEntries(shelf());
        QCOMPARE(entries.size(), std::size_t{1});
        QCOMPARE(entries[0].title, QStringLiteral("Nursery, first year"));
        QCOMPARE(entries[0].fixtures.size(), 5);
        QVERIFY(entries[0].own && !entries[0].wrong);
        const auto back = fromShelf(entries[0]);
        QVERIFY2(back, back ? "" : english(back.error()).c_str());
        QCOMPARE(back->title, std::string("Nursery, first year"));
        QCOMPARE(back->bench.runs.size(), demo().runs.size());
        QCOMPARE(readingCount(back->bench), readingCount(demo()));
        QCOMPARE(back->bench.ratings.size(), demo().ratings.size());
        for (std::size_t i = 0; i < demo().runs.size(); ++i) {
            QCOMPARE(back->bench.runs[i].label, demo().runs[i].label);
            QCOMPARE(back->bench.runs[i].hours, demo().runs[i].hours);
        }
    }

    void theSameTitleIsReplacedAndOthersStayApart() {
        QVERIFY(keepOnShelf(shelf(), demo(), about("One")));
        QVERIFY(keepOnShelf(shelf(), demo(), about("One")));
        QCOMPARE(shelfEntries(shelf()).size(), std::size_t{1});
        // Titles that a file system would take for the same.
        QVERIFY(keepOnShelf(shelf(), demo(), about("a/b")));
        QVERIFY(keepOnShelf(shelf(), demo(), about("a:b")));
        QCOMPARE(shelfEntries(shelf()).size(), std::size_t{3});
        QVERIFY(removeFromShelf(shelfEntries(shelf()).front()));
        QCOMPARE(shelfEntries(shelf()).size(), std::size_t{2});
    }

    void aPublishedFolderIsTakenWithItsSource() {
        const auto folder = dir_->filePath(QStringLiteral("published"));
        QVERIFY(writeEdition(folder, dataOf(demo())));
        const auto taken = takeOntoShelf(shelf(), folder, QStringLiteral("2026-11-25"));
        QVERIFY2(taken, taken ? "" : english(taken.error()).c_str());
        QVERIFY(!taken->own);
        QCOMPARE(taken->from, folder);
        QCOMPARE(taken->title, QStringLiteral("Nursery raceway lamps"));
        const auto both = withShelved(demo(), {*fromShelf(*taken)});
        QCOMPARE(both.runs.back().read_by, std::string("Nursery raceway lamps"));
    }

    void aDataPackageIsTaken() {
        const auto path = dir_->filePath(QStringLiteral("package.zip"));
        write(path, QByteArray::fromStdString(*dataPackageOf(demo(), {})));
        const auto taken = takeOntoShelf(shelf(), path, QStringLiteral("2026-11-25"));
        QVERIFY2(taken, taken ? "" : english(taken.error()).c_str());
        QCOMPARE(readingCount(fromShelf(*taken)->bench), readingCount(demo()));
        write(path, "PK\x03\x04 and nothing else");
        QVERIFY(!takeOntoShelf(shelf(), path, {}));
    }

    void whatDoesNotReadIsRefusedWithOneSentence() {
        const auto folder = dir_->filePath(QStringLiteral("published"));
        const auto refusal = [&] {
            const auto taken = takeOntoShelf(shelf(), folder, {});
            return taken ? std::string() : english(taken.error());
        };
        QVERIFY(!refusal().empty());  // it is not there
        QVERIFY(writeEdition(folder, dataOf(demo())));
        write(folder + QStringLiteral("/readings.csv"), "run,fixture\n1,2\n");
        QVERIFY2(refusal().find("readings.csv") != std::string::npos, refusal().c_str());
        write(folder + QStringLiteral("/bench.json"), "{");
        QVERIFY2(refusal().find("bench.json") != std::string::npos, refusal().c_str());
        // A description without a reading is nothing to compare with.
        Bench bare;
        bare.title = "bare";
        QVERIFY(writeEdition(folder, dataOf(bare)));
        QVERIFY2(refusal().find("no reading") != std::string::npos, refusal().c_str());
        QVERIFY(shelfEntries(shelf()).empty());
    }

    void aPackageThatLiesIsRefused_data() {
        QTest::addColumn<QString>("file");
        QTest::newRow("readings") << QStringLiteral("readings.csv");
        QTest::newRow("bench") << QStringLiteral("bench.json");
    }
    void aPackageThatLiesIsRefused() {
        QFETCH(QString, file);
        const auto kept = keepOnShelf(shelf(), demo(), about("One"));
        QVERIFY(kept);
        QFile changed(kept->folder + QLatin1Char('/') + file);
        QVERIFY(changed.open(QIODevice::Append));
        changed.write("\n");
        changed.close();
        const auto entry = shelfEntries(shelf()).front();
        QVERIFY(entry.wrong.has_value());
        QVERIFY(english(*entry.wrong).find("its hash is another") != std::string::npos);
        QVERIFY(english(*entry.wrong).find(file.toStdString()) != std::string::npos);
        QVERIFY(!fromShelf(entry));
        // Nor does it become true by being taken as a published folder.
        QVERIFY(!takeOntoShelf(dir_->filePath(QStringLiteral("other")), kept->folder, {}));
    }

    void aFolderThatSaysNothingOfItselfIsNamed() {
        QVERIFY(QDir().mkpath(shelf() + QStringLiteral("/stray")));
        for (const char* about : {"", "[1,2]", "{\"title\":5}", "{\"sha256\":7}"}) {
            write(shelf() + QStringLiteral("/stray/shelf.json"), about);
            const auto entries = shelfEntries(shelf());
            QCOMPARE(entries.size(), std::size_t{1});
            QVERIFY2(entries[0].wrong.has_value(), about);
            QVERIFY(!fromShelf(entries[0]));
        }
    }

    void hashesAreOfTheBytes() {
        const auto kept = keepOnShelf(shelf(), demo(), about("One"));
        QVERIFY(kept);
        QFile file(kept->folder + QStringLiteral("/shelf.json"));
        QVERIFY(file.open(QIODevice::ReadOnly));
        const auto json = QJsonDocument::fromJson(file.readAll()).object();
        QCOMPARE(json[QLatin1String("format")].toString(), QStringLiteral("glumet shelf"));
        QCOMPARE(json[QLatin1String("sha256")].toObject()[QLatin1String("bench.json")].toString().size(), 64);
    }

  private:
    QString shelf() const { return dir_->filePath(QStringLiteral("shelf")); }
    static void write(const QString& path, const QByteArray& bytes) {
        QFile file(path);
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write(bytes);
    }

    std::unique_ptr<QTemporaryDir> dir_;
};

GLUMET_TEST(TestShelf, "report_shelf", Application)

}  // namespace report_shelf

#include "test_shelf.moc"
