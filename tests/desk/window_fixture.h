#pragma once

#include <QApplication>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>

#include "core/bench/grid.h"
#include "core/simulation/demo_scenario.h"
#include "desk/window/main_window.h"
#include "meters/meter.h"

namespace glumet::testing {

/// A meter that sends what the test says, when it says so.
class HandMeter : public Meter {
  public:
    QString name() const override { return QStringLiteral("Hand meter"); }
    void start() override { running = true; }
    void stop() override { running = false; }
    void probeMoved(Millimetre x, Millimetre y, Millimetre /*depth*/) override {
        probe = {x.value(), y.value()};
    }

    /// The same value for so many seconds, twenty a second. What is sent while it is stopped is lost.
    void send(double ppfd, double seconds) {
        for (int i = 0; i < qRound(seconds * 20); ++i) sample(ppfd);
    }
    /// A value that swings around a mean, slowly enough not to settle within a few seconds.
    void swing(double ppfd, double seconds) {
        for (int i = 0; i < qRound(seconds * 20); ++i) sample(ppfd * (i / 10 % 2 == 0 ? 1.3 : 0.7));
    }

    std::pair<double, double> probe{-1, -1};
    bool running = false;

  private:
    void sample(double ppfd) {
        clock_ += 0.05;
        if (running) emit sampled(clock_, ppfd);
    }

    double clock_ = 0.0;
};

/// The window over a project in a temporary folder, with a clock that stands still.
class WindowFixture {
  public:
    explicit WindowFixture(std::vector<StageEntry> stages = allStages(),
                           MonotonicClock meter_clock = machineClock())
        : session([] { return QStringLiteral("2026-11-24T12:00:00"); }, std::move(meter_clock)),
          window(session, std::move(stages)) {
        qputenv("XDG_DATA_HOME", dir.path().toLocal8Bit());  // nobody's own methods and settings
    }

    QString path(const char* name) const { return dir.filePath(QLatin1String(name)); }

    /// An empty project.
    bool create() { return window.createProject(path("bench.glumet")); }

    /// A project with a described fixture and tank, and runs at the given heights: one plane of 3 × 2 points
    /// each.
    bool createWithRuns(const std::vector<double>& heights) {
        if (!create()) return false;
        Fixture fixture;
        fixture.name = "Fern 20";
        fixture.rated_power = Watt(20);
        fixture.mass_kg = 2.0;
        const auto fixture_id = session.project()->save(fixture);
        Tank tank;
        tank.name = "Cube";
        const auto tank_id = session.project()->save(tank);
        if (!fixture_id || !tank_id) return false;
        for (const double height : heights) {
            Run run;
            run.label = std::to_string(height);
            run.fixture = *fixture_id;
            run.tank = *tank_id;
            run.height = Millimetre(height);
            Plane plane;
            plane.depth = Millimetre(150);
            plane.grid = cellCentres(tank.length, tank.width, 3, 2);
            run.planes = {plane};
            if (!session.project()->save(run)) return false;
        }
        show();
        return true;
    }

    /// The same with every point read: `mean` at the lowest height, a fifteenth less at each higher one.
    bool createRead(const std::vector<double>& heights, double mean) {
        if (!createWithRuns(heights)) return false;
        for (const auto& run : std::vector<Run>(session.bench().runs)) {
            for (const auto& plane : run.planes)
                for (const double y : plane.grid->ys_mm)
                    for (const double x : plane.grid->xs_mm) {
                        Reading reading;
                        reading.x = Millimetre(x);
                        reading.y = Millimetre(y);
                        reading.mean = Ppfd(mean);
                        if (!session.project()->take(plane.id, reading)) return false;
                    }
            mean *= 14.0 / 15.0;
        }
        settle();
        return true;
    }

    /// Opens a writable copy of the shipped demonstration.
    bool openDemo() {
        QFile::copy(QStringLiteral(GLUMET_SOURCE_DIR "/data/demo/nursery.glumet"), path("demo.glumet"));
        QFile::setPermissions(path("demo.glumet"), QFile::ReadOwner | QFile::WriteOwner);
        const bool done = window.openProject(path("demo.glumet"));
        show();
        return done;
    }

    HandMeter& attachMeter() {
        auto meter = std::make_unique<HandMeter>();
        auto& reference = *meter;
        session.setMeter(std::move(meter));
        // As the window does it: an instrument speaks where somebody listens.
        if (session.project() != nullptr && window.stageWidget(window.stage())->listens()) reference.start();
        return reference;
    }

    void show() {
        window.resize(1280, 800);
        window.show();
        window.activateWindow();
        settle();
    }

    /// Lets queued refreshes happen; no time is waited for.
    static void settle() {
        for (int turn = 0; turn < 3; ++turn) QCoreApplication::processEvents();
    }

    template <class T>
    T* find(const char* name) {
        auto* found = window.findChild<T*>(QLatin1String(name));
        if (found == nullptr) qWarning("no %s", name);
        return found;
    }

    void key(int key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        auto* target = QApplication::focusWidget();
        QTest::keyClick(target != nullptr ? target : &window, static_cast<Qt::Key>(key), modifiers);
        settle();
    }

    const Plane& plane() const { return *session.plane(); }
    QString lastWord() { return find<QLabel>("lastWord")->toolTip(); }

    QTemporaryDir dir;
    Session session;
    MainWindow window;
};

/// Works on the next dialog of its kind that opens, and closes it if it is still open then.
template <class Dialog, class Work>
void onDialog(Work work) {
    auto* look = new QTimer(qApp);
    look->setInterval(0);
    QObject::connect(look, &QTimer::timeout, look, [look, work] {
        auto* dialog = qobject_cast<Dialog*>(QApplication::activeModalWidget());
        if (dialog == nullptr || QApplication::activeWindow() != dialog) return;
        look->stop();
        look->deleteLater();
        work(*dialog);
        if (dialog->isVisible()) dialog->reject();
    });
    look->start();
}

}  // namespace glumet::testing
