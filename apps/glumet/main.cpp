#include <QApplication>
#include <QCommandLineParser>
#include <QDateTime>
#include <QDir>
#include <QKeyEvent>
#include <QStandardPaths>
#include <QStyleFactory>
#include <QTimer>
#include <cstdio>

#include "core/bench/sweep.h"
#include "desk/measure/sweep_progress.h"
#include "desk/window/demonstration.h"
#include "desk/window/first_paint.h"
#include "desk/window/language.h"
#include "desk/window/main_window.h"
#include "desk/window/remembered.h"
#include "meters/simulated_meter.h"

namespace {

using namespace glumet;  // one small program

constexpr std::uint64_t kDemoSeed = 20261124;
constexpr double kShotSeconds = 4.0;

const StageEntry* stageNamed(const MainWindow& window, const QString& name) {
    for (const auto& stage : window.stages())
        if (stage.id.compare(name, Qt::CaseInsensitive) == 0) return &stage;
    return nullptr;
}

QString stageIds() {
    QStringList ids;
    for (const auto& stage : allStages()) ids << stage.id;
    return ids.join(QStringLiteral(", "));
}

/// One picture of the documents a line: its name, then the options that make it.
void listShots() {
    for (const auto& stage : allStages())
        for (const auto& shot : stage.shots) {
            const QString keys =
                shot.letters.isEmpty() ? QString() : QStringLiteral(" --keys ") + shot.letters;
            std::printf("%s --stage %s%s %s\n", qPrintable(stage.id + shot.suffix), qPrintable(stage.id),
                        qPrintable(keys), qPrintable(shot.options));
        }
}

struct Options {
    QString demo;
    QString shot;
    QString stage;
    QString unit;
    QString file;
    QString select;
    QString keys;
    QString language;
    bool paper = false;
    bool startup_only = false;
    bool list_shots = false;
};

Options parse(const QApplication& app) {
    QCommandLineParser parser;
    parser.setApplicationDescription(
        QStringLiteral("Benchmarks aquarium fixtures: readings, field, height, page."));
    parser.addHelpOption();
    parser.addPositionalArgument(QStringLiteral("FILE"), QStringLiteral("project to open"),
                                 QStringLiteral("[FILE]"));
    const QCommandLineOption demo(QStringLiteral("demo"),
                                  QStringLiteral("open a copy of this demonstration project"),
                                  QStringLiteral("PROJECT"));
    const QCommandLineOption shot(QStringLiteral("screenshot"),
                                  QStringLiteral("render one stage at 1280×800 and exit"),
                                  QStringLiteral("PNG"));
    const QCommandLineOption stage(QStringLiteral("stage"), stageIds(), QStringLiteral("NAME"));
    const QCommandLineOption unit(QStringLiteral("unit"), QStringLiteral("cm, mm or in; without it, as last"),
                                  QStringLiteral("UNIT"));
    const QCommandLineOption select(QStringLiteral("fixture"),
                                    QStringLiteral("fixture or configuration to show"),
                                    QStringLiteral("NAME"));
    const QCommandLineOption keys(QStringLiteral("keys"),
                                  QStringLiteral("letters pressed before the picture is taken"),
                                  QStringLiteral("LETTERS"));
    const QCommandLineOption paper(QStringLiteral("paper"), QStringLiteral("light theme"));
    const QCommandLineOption language(QStringLiteral("language"),
                                      QStringLiteral("en; de so far speaks the Height stage only"),
                                      QStringLiteral("LANGUAGE"), QStringLiteral("en"));
    const QCommandLineOption startup(
        QStringLiteral("startup-only"),
        QStringLiteral("say ready once the window is painted, then exit; for benchmarks"));
    const QCommandLineOption shots(QStringLiteral("list-shots"),
                                   QStringLiteral("name the pictures of the documents and exit"));
    parser.addOptions({demo, shot, stage, unit, select, keys, language, paper, startup, shots});
    parser.process(app);
    return {parser.value(demo),
            parser.value(shot),
            parser.value(stage),
            parser.value(unit),
            parser.positionalArguments().value(0),
            parser.value(select),
            parser.value(keys),
            parser.value(language),
            parser.isSet(paper),
            parser.isSet(startup),
            parser.isSet(shots)};
}

void chooseFixture(Session& session, const QString& name) {
    for (const auto& sweep : session.sweeps())
        if (QString::fromStdString(configurationName(session.bench(), sweep.configuration))
                .startsWith(name)) {
            session.chooseConfiguration(sweep.configuration);
            return;
        }
}

/// The first plane with points left to read.
void resumeBrokenOff(Session& session) {
    for (const auto index : session.sweep()->runs)
        for (const auto& plane : session.bench().run(index).planes)
            if (planeProgress(plane) < 1.0) {
                session.chooseHeight(session.bench().run(index).height);
                session.chooseDepth(plane.depth);
                return;
            }
}

/// A change shows after a few turns of the loop: to refresh, to lay out what is new, to paint and to add what
/// comes after the first paint.
void letSettle() {
    for (int turn = 0; turn < 4; ++turn) QCoreApplication::processEvents();
}

void press(MainWindow& window, const QString& letters) {
    for (const QChar letter : letters) {
        QKeyEvent key(QEvent::KeyPress, letter.toUpper().unicode(), Qt::NoModifier, letter);
        auto* target = window.focusWidget();
        QCoreApplication::sendEvent(target == nullptr ? &window : target, &key);
        letSettle();
    }
}

int takeShot(MainWindow& window, Session& session, const QString& file, const QString& keys) {
    // What is ready may lead to the next question.
    const auto letFinish = [&] {
        const auto working = [&] { return session.fitting() || window.busy(); };
        do {
            letSettle();
            while (working()) QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
            letSettle();
        } while (working());
    };
    letFinish();
    press(window, keys);
    letFinish();
    if (auto* meter = dynamic_cast<SimulatedMeter*>(session.meter())) meter->advance(kShotSeconds);
    QCoreApplication::processEvents();
    const bool done = window.grab().save(file);
    if (!done) std::fprintf(stderr, "glumet: %s: cannot be written\n", qPrintable(file));
    return done ? 0 : 1;
}

}  // namespace

int main(int argc, char** argv) {
    QApplication::setStyle(QStringLiteral("fusion"));
    QApplication app(argc, argv);
    QApplication::setApplicationName(QStringLiteral("glumet"));
    const Options options = parse(app);
    if (options.list_shots) {
        listShots();
        return 0;
    }
    if (!speak(options.language)) {
        std::fprintf(stderr, "glumet: there is no language \"%s\"\n", qPrintable(options.language));
        return 2;
    }
    Session session([] { return QDateTime::currentDateTime().toString(Qt::ISODate); });
    // A picture or a benchmark shows the same whatever was done before.
    const bool shot = !options.shot.isEmpty();
    const bool by_hand = !shot && !options.startup_only;
    Remembered remembered;
    session.setDark(!options.paper && (!by_hand || remembered.dark()));
    session.setUnit(options.unit == QLatin1String("in")   ? LengthUnit::Inch
                    : options.unit == QLatin1String("mm") ? LengthUnit::Mm
                    : options.unit.isEmpty() && by_hand   ? remembered.unit()
                                                          : LengthUnit::Cm);
    MainWindow window(session);
    window.setRemembers(by_hand);
    if (shot) window.resize(1280, 800);
    if (by_hand) window.restoreGeometry(remembered.geometry());
    const auto* stage = stageNamed(window, options.stage.isEmpty() ? QStringLiteral("field") : options.stage);
    if (stage == nullptr) {
        std::fprintf(stderr, "glumet: there is no stage \"%s\"\n", qPrintable(options.stage));
        return 2;
    }
    QString file = options.demo.isEmpty() ? options.file : demonstrationCopy(options.demo, shot);
    if (!options.demo.isEmpty()) session.setMeter(std::make_unique<SimulatedMeter>(kDemoSeed));
    if (!file.isEmpty() && !window.openProject(file) && shot) return 1;
    if (!options.select.isEmpty()) chooseFixture(session, options.select);
    // A shown demonstration goes where the work is: the run that was broken off.
    if (!options.demo.isEmpty() && stage->resumes && session.sweep() != nullptr) resumeBrokenOff(session);
    std::optional<FirstPaint> first_paint;
    if (options.startup_only) first_paint.emplace(window);
    window.showStage(stage->id);
    window.show();
    if (shot) {
        const int code = takeShot(window, session, options.shot, options.keys);
        session.setProject(nullptr);
        if (!options.demo.isEmpty())
            for (const char* end : {"", "-wal", "-shm"}) QFile::remove(file + QLatin1String(end));
        return code;
    }
    const int code = QApplication::exec();
    if (by_hand) {
        remembered.keepGeometry(window.saveGeometry());
        remembered.keepLook(session.unit(), session.dark());
    }
    return code;
}
