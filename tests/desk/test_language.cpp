#include <QFile>
#include <QLabel>
#include <QProcess>
#include <QPushButton>
#include <QRegularExpression>
#include <QTranslator>
#include <QXmlStreamReader>
#include <filesystem>
#include <set>

#include "core/verdicts/height_findings.h"
#include "desk/height/height_stage.h"
#include "desk/window/language.h"
#include "desk/window_fixture.h"
#include "report/text.h"
#include "runner/registry.h"

namespace desk_language {

using namespace glumet;
using glumet::testing::WindowFixture;

namespace {

/// German, with a list of what it was asked and did not know.
class Listener : public QTranslator {
  public:
    explicit Listener(QObject* parent) : QTranslator(parent) {
        if (!german_.load(QStringLiteral(":/language/glumet_de.qm"))) qFatal("no German");
    }
    QString translate(const char* context, const char* source, const char* disambiguation,
                      int n) const override {
        const QString found = german_.translate(context, source, disambiguation, n);
        const QLatin1String of(context);
        if (found.isEmpty() && (of == QLatin1String("Core") || of == QLatin1String("glumet::HeightStage")))
            unknown.insert(QString::fromUtf8(source));
        return found;
    }
    bool isEmpty() const override { return false; }

    mutable QSet<QString> unknown;

  private:
    QTranslator german_;
};

QByteArray bytesOf(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
}

/// Every source text in a file of translations.
std::set<QString> sourcesIn(const QString& path) {
    std::set<QString> out;
    QXmlStreamReader xml(bytesOf(path));
    while (!xml.atEnd())
        if (xml.readNext() == QXmlStreamReader::StartElement && xml.name() == QLatin1String("source"))
            out.insert(xml.readElementText());
    return out;
}

/// The messages of the core marked in a file, pieces of one literal put together.
QStringList markedIn(const QString& code) {
    // No raw literals: moc loses its place at their quotes.
    static const QRegularExpression marked(
        QStringLiteral("GLUMET_SAY(?:_N)?\\(\"\\w+\",\\s*((?:\"(?:[^\"\\\\]|\\\\.)*\"\\s*)+)\\)"));
    static const QRegularExpression piece(QStringLiteral("\"((?:[^\"\\\\]|\\\\.)*)\""));
    QStringList out;
    for (auto at = marked.globalMatch(code); at.hasNext();) {
        QString message;
        for (auto part = piece.globalMatch(at.next().captured(1)); part.hasNext();)
            message += part.next().captured(1);
        out << message.replace(QLatin1String("\\\""), QLatin1String("\""));
    }
    return out;
}

}  // namespace

class TestLanguage : public QObject {
    Q_OBJECT

  private slots:
    void everyTextIsCollected() {
        QProcess collect;
        collect.start(QStringLiteral(GLUMET_SOURCE_DIR "/scripts/language"), {QStringLiteral("--count")});
        QVERIFY(collect.waitForFinished(60'000));
        const QString said = QString::fromUtf8(collect.readAllStandardOutput());
        QVERIFY2(said.contains(QLatin1String("(0 new")),
                 qPrintable(said + QString::fromUtf8(collect.readAllStandardError())));
    }

    void everyMessageOfTheCoreIsFound() {
        const auto known = sourcesIn(QStringLiteral(GLUMET_SOURCE_DIR "/data/language/glumet_de.ts"));
        int marked = 0;
        for (const auto& entry : std::filesystem::recursive_directory_iterator(GLUMET_SOURCE_DIR "/src")) {
            const auto extension = entry.path().extension();
            if (extension != ".cpp" && extension != ".h") continue;
            const auto code = QString::fromUtf8(bytesOf(QString::fromStdString(entry.path().string())));
            for (const auto& message : markedIn(code)) {
                ++marked;
                QVERIFY2(known.contains(message), qPrintable(message));
            }
        }
        QVERIFY(marked > 450);
    }

    void theHeightStageSpeaksGerman() {
        auto* german = new Listener(qApp);
        QVERIFY(qApp->installTranslator(german));
        WindowFixture w;
        QVERIFY(w.openDemo());
        w.window.showStage(QStringLiteral("height"));
        w.settle();
        QVERIFY(QTest::qWaitFor([&] { return w.session.fittedHeights() != nullptr; }, 30'000));
        const auto sweeps = w.session.sweeps();  // each change makes new ones
        for (const auto& sweep : sweeps) {
            w.session.chooseConfiguration(sweep.configuration);
            for (const auto school : kHeightSchools) {
                w.session.changeMethod([&](Method& method) { method.school = school; });
                w.settle();
            }
        }
        QVERIFY2(german->unknown.isEmpty(),
                 qPrintable(QStringList(german->unknown.values()).join(QLatin1Char('\n'))));
        w.session.chooseConfiguration(sweeps.front().configuration);
        w.session.changeMethod([](Method& method) { method.school = HeightSchool::SpillLimit; });
        w.settle();
        const auto* reason = w.find<QLabel>("heightReason");
        QVERIFY2(reason->text().contains(QLatin1String(" verliert ")), qPrintable(reason->text()));
        QVERIFY(reason->text().contains(QLatin1String(" cm")));
        w.session.setUnit(LengthUnit::Inch);
        w.settle();
        QVERIFY2(reason->text().contains(QLatin1String(" in ")), qPrintable(reason->text()));
        QVERIFY(!reason->text().contains(QLatin1String(" cm")));
        QCOMPARE(w.find<QPushButton>("school_flattest")->text().section(QLatin1Char('\n'), 0, 0),
                 QStringLiteral("am ebensten"));
        delete german;
    }

    void oneIsSaidAsOne() {
        QVERIFY(!speak(QStringLiteral("xx")));  // English all the same
        const auto said = [](int count) {
            return text(sayCounted("{} readings came without their swing: 2 % was assumed.", Count{count}),
                        LengthUnit::Cm);
        };
        QCOMPARE(said(1), QStringLiteral("1 reading came without its swing: 2 % was assumed."));
        QCOMPARE(said(3), QStringLiteral("3 readings came without their swing: 2 % was assumed."));
        QVERIFY(speak(QStringLiteral("de")));
        QVERIFY(said(1).startsWith(QLatin1String("1 Messwert kam ohne seine")));
        QVERIFY(said(3).startsWith(QLatin1String("3 Messwerte kamen ohne ihre")));
        QCOMPARE(text(say("cancelled"), LengthUnit::Cm), QStringLiteral("cancelled"));  // not said yet
    }
};

GLUMET_TEST(TestLanguage, "desk_language", Windows)

}  // namespace desk_language

#include "test_language.moc"
