#include <sys/resource.h>

#include <QDir>
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

#include "files/started.h"
#include "runner/registry.h"

namespace cli_hostile {

using glumet::testing::Started;

namespace {

struct Result {
    bool ended = false;  ///< by itself, not by a signal
    int code = 0;
    QByteArray out;
    QByteArray err;
};

/// With two gigabytes and half a minute of processor time: what asks for more is ended by the system.
void limit() {
    const rlimit memory{rlim_t{2} << 30U, rlim_t{2} << 30U};
    const rlimit time{30, 30};
    setrlimit(RLIMIT_AS, &memory);
    setrlimit(RLIMIT_CPU, &time);
    const rlimit none{0, 0};
    setrlimit(RLIMIT_CORE, &none);
}

QByteArray nested(int depth) { return QByteArray(depth, '[') + QByteArray(depth, ']'); }

constexpr const char* kTank =
    "{\"length_mm\":600,\"width_mm\":600,\"water_depth_mm\":500,\"walls\":{\"left\":{\"kind\":\"glass\"},"
    "\"right\":"
    "{\"kind\":\"glass\"},\"front\":{\"kind\":\"glass\"},\"back\":{\"kind\":\"glass\"}}}";

constexpr const char* kHead = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd\n";

/// Thirty-six readings of a run at a height.
QByteArray plane(const QByteArray& run, double height) {
    QByteArray rows;
    for (int i = 0; i < 36; ++i)
        rows += run + ",Fern 20," + QByteArray::number(height) + ",150," +
                QByteArray::number(50 + i % 6 * 100) + "," + QByteArray::number(50 + i / 6 * 100) + "," +
                QByteArray::number(100 + i % 6) + "\n";
    return rows;
}

}  // namespace

/// Inputs that nobody made by mistake: each is refused in one sentence, in bounded time and memory.
class TestHostile : public QObject {
    Q_OBJECT

  private slots:
    void init() { dir_ = std::make_unique<QTemporaryDir>(); }

    void everyInputEndsInOneSentence_data() {
        QTest::addColumn<QByteArray>("bytes");
        QTest::addColumn<QString>("command");  ///< %1 stands for the file
        QTest::addColumn<QString>("part");     ///< of what is said
        const QString stats = QStringLiteral("stats %1");
        const QString import = QStringLiteral("import %1 --into new.glumet");
        const QString field = QStringLiteral("field %1");
        const QByteArray deep = nested(100'000);
        QTest::newRow("bench, deep in a key that is ignored")
            << QByteArray("{\"format\":\"glumet bench\",\"version\":6,\"title\":\"x\",\"mood\":") + deep + "}"
            << QStringLiteral("import bench.json --into new.glumet") << "nested";
        QTest::newRow("scene, deep") << scene("\"mood\":" + deep) << field << "nested";
        QTest::newRow("tank, deep") << QByteArray("{\"tank\":{},\"mood\":" + deep + "}")
                                    << "fit good.csv --tank %1"
                                    << "nested";
        QTest::newRow("model, deep") << QByteArray("{\"mood\":" + deep + "}")
                                     << "predict tank.json --model %1"
                                     << "nested";
        QTest::newRow("endless device") << QByteArray() << "stats /dev/zero"
                                        << "larger than";
        QTest::newRow("endless photometry") << QByteArray() << "beam /dev/zero"
                                            << "larger than";
        QTest::newRow("a folder") << QByteArray() << "stats ."
                                  << "folder";
        QTest::newRow("no file") << QByteArray() << "stats nothing.csv"
                                 << "nothing.csv";
        QTest::newRow("no light is so bright")
            << kHead + QByteArray("A,F,200,150,1,1,1e308\n") << stats << "ppfd";
        QTest::newRow("no light is infinite")
            << kHead + QByteArray("A,F,200,150,1,1,inf\n") << stats << "ppfd";
        QTest::newRow("no room is so high")
            << kHead + QByteArray("A,F,1e9,150,1,1,100\n") << stats << "height_mm";
        QTest::newRow("a name that is no text")
            << kHead + QByteArray("A,\xff\xfe,200,150,1,1,100\n") << stats << "UTF-8";
        QTest::newRow("a name without end")
            << kHead + QByteArray("A,") + QByteArray(10'000'000, 'x') + ",200,150,1,1,100\n"
            << import << "longer than";
        QTest::newRow("many emitters") << fixture("\"emitter_columns\":65536,\"emitter_rows\":65536")
                                       << "fit good.csv --tank tank.json --fixture %1"
                                       << "emitter_";
        QTest::newRow("emitters beyond any number")
            << fixture("\"emitter_columns\":1e300,\"emitter_rows\":-1")
            << "fit good.csv --tank tank.json --fixture %1"
            << "emitter_";
        QTest::newRow("angles that nearly end") << QByteArray(
                                                       "IESNA:LM-63-2002\nTILT=NONE\n1 1000 1 3 1 1 2 0 0 "
                                                       "0\n1 1 10\n0 45 90.00001\n0\n100 50 0\n")
                                                << "beam %1"
                                                << "vertical angles";
        QTest::newRow("grid of a scene") << scene("\"grid\":{\"nx\":20000,\"ny\":20000}") << field << "grid";
    }
    void everyInputEndsInOneSentence() {
        QFETCH(QByteArray, bytes);
        QFETCH(QString, command);
        QFETCH(QString, part);
        write("bench.json", bytes);
        write("in", bytes);
        write("good.csv", kHead + plane("A", 200));
        write("tank.json", kTank);
        const auto result = run(command.replace(QStringLiteral("%1"), QStringLiteral("in")));
        saysOneSentence(result, part);
    }

    void benchesOfImpossibleSize_data() {
        QTest::addColumn<QByteArray>("from");
        QTest::addColumn<QByteArray>("to");
        QTest::addColumn<QString>("part");
        QTest::newRow("grid of the method")
            << QByteArray("\"grid_columns\": 6") << QByteArray("\"grid_columns\": 20000") << "grid_columns";
        QTest::newRow("fixtures") << QByteArray("\"fixtures\": 1,") << QByteArray("\"fixtures\": 1000000000,")
                                  << "fixtures";
        QTest::newRow("none") << QByteArray("\"fixtures\": 1,") << QByteArray("\"fixtures\": 0,")
                              << "fixtures";
        QTest::newRow("emitters") << QByteArray("\"emitter_columns\": 1,")
                                  << QByteArray("\"emitter_columns\": 65536,") << "emitter_columns";
        QTest::newRow("height") << QByteArray("\"height_mm\": 200.0") << QByteArray("\"height_mm\": 1e300")
                                << "height_mm";
    }
    void benchesOfImpossibleSize() {
        QFETCH(QByteArray, from);
        QFETCH(QByteArray, to);
        QFETCH(QString, part);
        write("good.csv", kHead + plane("A", 200));
        QCOMPARE(run(QStringLiteral("import good.csv --into one.glumet")).code, 0);
        QCOMPARE(run(QStringLiteral("export one.glumet --out out")).code, 0);
        QFile file(dir_->filePath(QStringLiteral("out/bench.json")));
        QVERIFY(file.open(QIODevice::ReadOnly));
        auto bytes = file.readAll();
        QVERIFY2(bytes.contains(from), bytes.constData());
        write("bench.json", bytes.replace(from, to));
        saysOneSentence(run(QStringLiteral("import bench.json --into new.glumet")), part);
        QVERIFY(!QFile::exists(dir_->filePath(QStringLiteral("new.glumet"))));
    }

    void photometryThatAllButReachesTheHorizontalIsRead() {
        write("in",
              "IESNA:LM-63-2002\nTILT=NONE\n1 1000 1 3 1 1 2 0 0 0\n1 1 10\n0 45 89.9999999\n0\n100 50 0\n");
        const auto result = run(QStringLiteral("beam in --json"));
        QVERIFY2(result.ended && result.code == 0, result.err.constData());
        QVERIFY(result.out.contains("90"));
    }

    /// Names as the system has them may be no UTF-8; JSON must be.
    void namesThatAreNoTextEndNothing() {
        write("good.csv", kHead + plane("A", 200));
        const QString odd = QStringLiteral("$(printf '\\377')");
        for (const auto* command :
             {"stats %1 --json", "import good.csv --into %1 --json", "check %1 --json",
              "fit good.csv --fixture %1 --tank none.json --json", "height good.csv --school %1 --json"}) {
            const auto result = run(QString::fromLatin1(command).arg(odd));
            QVERIFY2(result.ended, command);
            QVERIFY2(result.code == 0 || !result.err.isEmpty(), command);
        }
    }

    void anEndlessPipeIsRefused() {
        const auto result = runShell(
            QStringLiteral("mkfifo pipe; cat /dev/zero > pipe & %1 stats pipe; kill %%").arg(program()));
        QVERIFY2(result.err.contains("larger than"), result.err.constData());
    }

    /// A run far above ordinary ones: an answer or a sentence, in bounded time.
    void aFitOfAnOddRunEnds() {
        write("tank.json", kTank);
        write("odd.csv", kHead + plane("A", 200) + plane("B", 20'000));
        const auto result = run(QStringLiteral("fit odd.csv --tank tank.json --json"));
        QVERIFY2(result.ended, "it did not end by itself");
    }

    void cellsThatASpreadsheetWouldRun() {
        const QByteArray head = "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd,note,=mood\n";
        QByteArray rows;
        for (const char* note : {"=1+1", "+1", "-1", "@SUM(A1)", "'=1", "''-x", "plain", "it's", "'quoted'"})
            rows += QByteArray("A,=F,200,150,") + QByteArray::number(static_cast<int>(rows.size())) +
                    ",10,100," + note + "," + note + "\n";
        write("in.csv", head + rows);
        QCOMPARE(run(QStringLiteral("import in.csv --into one.glumet")).code, 0);
        QCOMPARE(run(QStringLiteral("export one.glumet --out first")).code, 0);
        const auto first = read("first/readings.csv");
        for (const auto& line : first.split('\n'))
            for (const auto& cell : line.split(','))
                QVERIFY2(cell.isEmpty() || !QByteArray("=+-@\t").contains(cell[0]), line.constData());
        QVERIFY(first.contains("'=1+1") && first.contains("''-x") && first.contains("it's"));
        QCOMPARE(run(QStringLiteral("import first/readings.csv first/bench.json --into two.glumet")).code, 0);
        QCOMPARE(run(QStringLiteral("export two.glumet --out second")).code, 0);
        QCOMPARE(read("second/readings.csv"), first);
        QCOMPARE(read("second/bench.json").replace("two", "one"), read("first/bench.json"));
    }

  private:
    static QString program() { return QStringLiteral(GLUMET_BINARY_DIR "/glumet-cli"); }

    Result run(const QString& command) {
        const auto ended =
            cli_.run(QProcess::splitCommand(command), QProcessEnvironment::systemEnvironment(), dir_->path());
        return {!ended.killed, ended.code, ended.out, ended.err};
    }

    Result runShell(const QString& command) {
        QProcess process;
        process.setWorkingDirectory(dir_->path());
        process.setChildProcessModifier(&limit);
        process.start(QStringLiteral("/bin/sh"), {QStringLiteral("-c"), command});
        process.waitForFinished(-1);
        return {process.exitStatus() == QProcess::NormalExit, process.exitCode(),
                process.readAllStandardOutput(), process.readAllStandardError()};
    }

    static void saysOneSentence(const Result& result, const QString& part) {
        QVERIFY2(result.ended, "ended by a signal");
        QVERIFY(result.code != 0);
        const auto line = QString::fromUtf8(result.err).trimmed();
        QVERIFY2(line.contains(part), qPrintable(line));
        QVERIFY2(line.size() < 300, qPrintable(line));
        for (const auto c : line) QVERIFY2(c.isPrint(), qPrintable(line));
    }

    static QByteArray scene(const QByteArray& more) {
        return "{\"tank\":" + QByteArray(kTank) +
               ",\"fixtures\":[{\"x_mm\":300,\"y_mm\":"
               "300,\"height_mm\":200,\"emitters\":[{\"dx_mm\":0,\"dy_mm\":0,\"flux_umol_s\":10,\"beam\":{"
               "\"kind\":"
               "\"cosine_power\",\"m\":1}}]}],\"depths_mm\":[100],\"water\":null," +
               (more.startsWith("\"grid\"") ? more : "\"grid\":{\"nx\":2,\"ny\":2}," + more) + "}";
    }

    static QByteArray fixture(const QByteArray& more) { return "{\"name\":\"F\"," + more + "}"; }

    void write(const QByteArray& name, const QByteArray& bytes) const {
        QFile file(dir_->filePath(QString::fromLatin1(name)));
        QVERIFY(file.open(QIODevice::WriteOnly));
        QCOMPARE(file.write(bytes), bytes.size());
    }
    QByteArray read(const char* name) const {
        QFile file(dir_->filePath(QLatin1String(name)));
        return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
    }

    std::unique_ptr<QTemporaryDir> dir_;
    Started cli_{QStringLiteral("glumet-cli"), &limit};
};

GLUMET_TEST(TestHostile, "cli_hostile", Application)

}  // namespace cli_hostile

#include "test_hostile.moc"
