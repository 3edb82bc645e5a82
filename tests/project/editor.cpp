// Edits a project step by step, as a reviewer does, and says after each what it holds, or that it was
// refused.
#include <QCoreApplication>
#include <cstdio>
#include <functional>

#include "project/described.h"
#include "project/project.h"

namespace {

using namespace glumet;  // NOLINT: one small program

void tell(bool done, const Project& project) {
    std::printf("%s %s\n", done ? "stored" : "refused", qPrintable(hashOf(project.bench())));
    std::fflush(stdout);
}

Reading readingAt(double x, double ppfd) {
    Reading reading;
    reading.x = Millimetre(x);
    reading.y = Millimetre(50);
    reading.mean = Ppfd(ppfd);
    return reading;
}

}  // namespace

int main(int argc, char** argv) {
    QCoreApplication app(argc, argv);
    auto opened = Project::open(QString::fromLocal8Bit(argv[1]));
    if (!opened) return 1;
    auto& project = **opened;
    tell(true, project);
    if (argc > 2) return 0;  // looked at only
    const auto plane = project.bench().runs.front().planes.front().id;
    const auto step = [&](const auto& done) { tell(done.has_value(), project); };
    step(project.take(plane, readingAt(50, 100)));
    step(project.take(plane, readingAt(50, 101)));
    if (!project.bench().runs.front().planes.front().readings.empty())
        step(
            project.setFlag(project.bench().runs.front().planes.front().readings.front().id, Mark::Doubtful));
    Fixture fixture = project.bench().fixtures.front();
    fixture.name = "Renamed";
    fixture.channels.push_back({0, "blue", 0.5, {}, {}, {}});
    step(project.save(fixture));
    NewRuns runs;
    for (int i = 0; i < 3; ++i) {
        Run run = project.bench().runs.front();
        run.id = 0;
        run.label = "more " + std::to_string(i);
        for (auto& each : run.planes) {
            each.id = 0;
            each.readings.clear();
        }
        runs.runs.push_back(run);
    }
    step(project.addRuns(runs, QStringLiteral("runs")));
    step(project.undo());
    step(project.redo());
    step(project.removeRun(project.bench().runs.back().id));
    step(project.saveMethod(QStringLiteral("Other"), project.bench().method));
    step(project.undo());
    return 0;
}
