// Rebuilds the demonstration project from its seed: make_demo OUT.glumet
#include <QCoreApplication>
#include <QFile>
#include <cstdio>

#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "project/project.h"

namespace {

constexpr std::uint64_t kSeed = 20261124;

/// The same in what else names tanks and fixtures.
void renamed(glumet::Bench& bench, glumet::Id glumet::Run::*member, glumet::Id old, glumet::Id now) {
    const bool tank = member == &glumet::Run::tank;
    for (auto& record : bench.spectra) {
        if (tank && record.tank == old) record.tank = now;
        if (member == &glumet::Run::fixture && record.fixture == old) record.fixture = now;
    }
    for (auto& schedule : bench.schedules)
        if (member == &glumet::Run::fixture && schedule.fixture == old) schedule.fixture = now;
    for (auto& log : bench.logs)
        if (tank && log.tank == old) log.tank = now;
}

/// Ids of a made bench turned negative: new, in the words of importBench.
glumet::Bench asNew(glumet::Bench bench) {
    glumet::Id next = -1;
    const auto renumber = [&](auto& items, auto member) {
        for (auto& item : items) {
            const auto old = item.id;
            item.id = next--;
            for (auto& run : bench.runs)
                if (run.*member == old) run.*member = item.id;
            renamed(bench, member, old, item.id);
        }
    };
    renumber(bench.tanks, &glumet::Run::tank);
    renumber(bench.fixtures, &glumet::Run::fixture);
    renumber(bench.accessories, &glumet::Run::accessory);
    renumber(bench.meters, &glumet::Run::meter);
    for (auto& fixture : bench.fixtures) {
        for (auto& channel : fixture.channels) {
            for (auto& preset : fixture.presets)
                for (auto& level : preset.levels)
                    if (level.channel == channel.id) level.channel = next;
            for (auto& record : bench.spectra)
                if (record.channel == channel.id) record.channel = next;
            for (auto& schedule : bench.schedules)
                for (auto& ramp : schedule.ramps)
                    if (ramp.channel == channel.id) ramp.channel = next;
            channel.id = next--;
        }
        renumber(fixture.presets, &glumet::Run::preset);
    }
    for (auto& run : bench.runs) {
        const auto old = run.id;
        run.id = next--;
        for (auto& check : bench.checks)
            if (check.run == old) check.run = run.id;
        for (auto& plane : run.planes) {
            plane.id = next--;
            plane.readings.clear();
        }
    }
    for (auto& check : bench.checks) check.id = next--;
    for (auto& record : bench.spectra) record.id = next--;
    for (auto& schedule : bench.schedules) {
        schedule.id = next--;
        for (auto& ramp : schedule.ramps) ramp.id = next--;
    }
    for (auto& log : bench.logs) log.id = next--;
    return bench;
}

}  // namespace

int main(int argc, char** argv) {
    QCoreApplication app(argc, argv);
    if (argc != 2) {
        std::fputs("usage: make_demo OUT.glumet\n", stderr);
        return 2;
    }
    const QString path = QString::fromLocal8Bit(argv[1]);
    const QString draft = path + QStringLiteral(".draft");
    QFile::remove(path);
    QFile::remove(draft);
    const auto bench = glumet::demoReadings(kSeed);
    auto project = glumet::Project::create(draft, QString::fromStdString(bench.title));
    if (!project) {
        std::fprintf(stderr, "make_demo: %s\n", english(project.error()).c_str());
        return 1;
    }
    const auto done =
        (*project)->importBench(asNew(bench), glumet::rowsOf(bench), QStringLiteral("the demonstration"));
    if (!done) {
        std::fprintf(stderr, "make_demo: %s\n", english(done.error()).c_str());
        return 1;
    }
    project->reset();
    // The demonstration is handed on without the steps of its making, so that undo cannot empty it.
    const auto file = glumet::ProjectFile::open(draft);
    glumet::UndoJournal(*file).forget();
    if (const auto copied = file->copyTo(path); !copied) {
        std::fprintf(stderr, "make_demo: %s\n", english(copied.error()).c_str());
        return 1;
    }
    for (const char* end : {"", "-wal", "-shm"}) QFile::remove(draft + QString::fromLatin1(end));
    std::printf("%d readings in %s\n", done->added, argv[1]);
    return 0;
}
