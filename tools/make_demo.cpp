// Rebuilds the demonstration project from its seed: make_demo OUT.glumet
#include <QCoreApplication>
#include <QFile>
#include <cstdio>
#include <map>

#include "core/bench/move_ids.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "project/project.h"

namespace {

constexpr std::uint64_t kSeed = 20261124;

/// New, in the words of importBench: every id negative, no two alike, and readings go as rows.
glumet::Bench asNew(glumet::Bench bench) {
    constexpr glumet::Id kBeyond = 1'000'000;
    for (auto& run : bench.runs)
        for (auto& plane : run.planes) plane.readings.clear();
    std::map<std::string, glumet::Id> tables;
    glumet::moveIds(bench, [&](const char* table) {
        return tables.try_emplace(table, kBeyond * static_cast<glumet::Id>(tables.size() + 1)).first->second;
    });
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
