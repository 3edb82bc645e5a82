#include "files/file_writer.h"
#include "runner/registry.h"

#include <sys/resource.h>
#include <sys/stat.h>

#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <QTest>
#include <csignal>

namespace files_file_writer {

using namespace glumet;

namespace {

/// No file of this process may grow beyond so many bytes while this lives: a disk that is full.
class SmallDisk {
  public:
    explicit SmallDisk(rlim_t bytes) {
        ::getrlimit(RLIMIT_FSIZE, &before_);
        before_action_ = std::signal(SIGXFSZ, SIG_IGN);
        const rlimit small{bytes, before_.rlim_max};
        ::setrlimit(RLIMIT_FSIZE, &small);
    }
    ~SmallDisk() {
        ::setrlimit(RLIMIT_FSIZE, &before_);
        std::signal(SIGXFSZ, before_action_);
    }
    SmallDisk(const SmallDisk&) = delete;
    SmallDisk& operator=(const SmallDisk&) = delete;

  private:
    rlimit before_{};
    void (*before_action_)(int) = nullptr;
};

QStringList listOf(std::initializer_list<const char*> names) {
    QStringList list;
    for (const auto* name : names) list << QLatin1String(name);
    return list;
}

EditionFile part(const char* name, const QByteArray& bytes) { return {QLatin1String(name), bytes}; }

}  // namespace

class TestFileWriter : public QObject {
    Q_OBJECT

  private slots:
    void init() { dir_ = std::make_unique<QTemporaryDir>(); }
    void cleanup() { dir_.reset(); }

    void whatIsWrittenIsThere() {
        QVERIFY(writeWhole(path("a.txt"), "one"));
        QCOMPARE(bytes("a.txt"), QByteArray("one"));
        QVERIFY(writeWhole(path("a.txt"), ""));
        QCOMPARE(bytes("a.txt"), QByteArray());
        QByteArray large(5'000'000, 'x');
        QVERIFY(writeWhole(path("a.txt"), large));
        QCOMPARE(bytes("a.txt"), large);
        QCOMPARE(names(), QStringList{QStringLiteral("a.txt")});
    }

    void aFullDiskLeavesTheGoodFileAndSaysSo() {
        QVERIFY(writeWhole(path("a.txt"), "good"));
        {
            const SmallDisk disk(3000);
            const auto done = writeWhole(path("a.txt"), QByteArray(4000, 'x'));
            QVERIFY(!done);
            QCOMPARE(done.error().where, path("a.txt").toStdString());
            // And where nothing stood, nothing stands.
            QVERIFY(!writeWhole(path("b.txt"), QByteArray(4000, 'x')));
            QVERIFY(writeWhole(path("c.txt"), "small enough"));
        }
        QCOMPARE(bytes("a.txt"), QByteArray("good"));
        QCOMPARE(names(), (listOf({"a.txt", "c.txt"})));
    }

    void aLinkIsFollowedAndPermissionsStay() {
        QVERIFY(writeWhole(path("real.txt"), "one"));
        ::chmod(QFile::encodeName(path("real.txt")).constData(), 0600);
        QVERIFY(QFile::link(path("real.txt"), path("link.txt")));
        QVERIFY(writeWhole(path("link.txt"), "two"));
        QVERIFY(QFileInfo(path("link.txt")).isSymLink());
        QCOMPARE(bytes("real.txt"), QByteArray("two"));
        struct stat seen {};
        QCOMPARE(::stat(QFile::encodeName(path("real.txt")).constData(), &seen), 0);
        QCOMPARE(seen.st_mode & 0777, 0600u);
    }

    void whereNothingCanBeWrittenIsSaid() {
        const auto done = writeWhole(path("no/such/folder/a.txt"), "one");
        QVERIFY(!done);
        QVERIFY(done.error().where.find("a.txt") != std::string::npos);
        QVERIFY(QDir().mkpath(path("folder")));
        QVERIFY(!writeWhole(path("folder"), "a folder is no file"));
        QVERIFY(QFileInfo(path("folder")).isDir());
        QVERIFY(writeWhole(path("plain"), "a file"));
        QVERIFY(!writeEdition(path("plain"), {part("a.txt", "one")}));
        QCOMPARE(bytes("plain"), QByteArray("a file"));
    }

    void anEditionTakesThePlaceOfTheOneBefore() {
        QVERIFY(writeEdition(path("out"), {part("a.txt", "1"), part("b.txt", "1")}));
        QVERIFY(writeWhole(path("out/notes.txt"), "mine"));
        QVERIFY(writeEdition(path("out"), {part("a.txt", "2"), part("b.txt", "2"), part("c.txt", "2")}));
        QCOMPARE(bytes("out/a.txt") + bytes("out/b.txt") + bytes("out/c.txt"), QByteArray("222"));
        QCOMPARE(bytes("out/notes.txt"), QByteArray("mine"));
        QCOMPARE(names("out"), (listOf({"a.txt", "b.txt", "c.txt", "notes.txt"})));
        QCOMPARE(names(), QStringList{QStringLiteral("out")});
    }

    /// The second file does not fit any more: the first must not be new either.
    void anEditionThatDoesNotFitChangesNothing_data() {
        QTest::addColumn<bool>("with_folder");
        QTest::newRow("exchanged") << false;
        QTest::newRow("one by one") << true;  // a folder within cannot be exchanged
    }
    void anEditionThatDoesNotFitChangesNothing() {
        QFETCH(bool, with_folder);
        QVERIFY(writeEdition(path("out"), {part("a.txt", "1"), part("b.txt", "1")}));
        if (with_folder) QVERIFY(QDir().mkpath(path("out/pictures")));
        const auto before = names("out");
        {
            const SmallDisk disk(3000);
            QVERIFY(!writeEdition(
                path("out"), {part("a.txt", "2"), part("c.txt", "2"), part("b.txt", QByteArray(4000, '2'))}));
        }
        QCOMPARE(bytes("out/a.txt") + bytes("out/b.txt"), QByteArray("11"));
        QCOMPARE(names("out"), before);
        QCOMPARE(names(), QStringList{QStringLiteral("out")});
        QVERIFY(writeEdition(path("out"), {part("a.txt", "3"), part("c.txt", "3"), part("b.txt", "3")}));
        QCOMPARE(bytes("out/a.txt") + bytes("out/b.txt") + bytes("out/c.txt"), QByteArray("333"));
        QCOMPARE(QFileInfo(path("out/pictures")).isDir(), with_folder);
    }

    /// One by one, a file that cannot be put in its place takes back those that were.
    void whatWasPutIsTakenBack() {
        QVERIFY(writeEdition(path("out"), {part("a.txt", "1")}));
        QVERIFY(QDir().mkpath(path("out/b.txt/in the way")));
        QVERIFY(!writeEdition(path("out"), {part("a.txt", "2"), part("new.txt", "2"), part("b.txt", "2")}));
        QCOMPARE(bytes("out/a.txt"), QByteArray("1"));
        QCOMPARE(names("out"), (listOf({"a.txt", "b.txt"})));
    }

  private:
    QString path(const char* name) const { return dir_->filePath(QLatin1String(name)); }
    QByteArray bytes(const char* name) const {
        QFile file(path(name));
        return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray("missing");
    }
    QStringList names(const char* folder = "") const {
        return QDir(path(folder))
            .entryList(QDir::AllEntries | QDir::Hidden | QDir::NoDotAndDotDot, QDir::Name);
    }

    std::unique_ptr<QTemporaryDir> dir_;
};

GLUMET_TEST(TestFileWriter, "files_file_writer", Nothing)

}  // namespace files_file_writer

#include "test_file_writer.moc"
