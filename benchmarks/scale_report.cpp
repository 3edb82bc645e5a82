// How importing and opening grow with the number of readings: time and the most memory that a process of its
// own took, up to a million readings in 2 000 runs.
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <QCoreApplication>
#include <QTemporaryDir>
#include <chrono>
#include <cstdio>
#include <fstream>

#include "core/bench/reading_row.h"
#include "core/words/sentence.h"
#include "files/file_reader.h"
#include "formats/readings_csv.h"
#include "project/project.h"

namespace {

using namespace glumet;  // NOLINT: one small program

constexpr int kReadingsInRun = 500;

void writeTable(const QString& path, int runs) {
    std::ofstream out(path.toStdString());
    out << "run,fixture,height_mm,depth_mm,x_mm,y_mm,ppfd,ppfd_min,ppfd_max,samples,sd,time,tank\n";
    for (int run = 0; run < runs; ++run)
        for (int i = 0; i < kReadingsInRun; ++i) {
            const double value = 400.0 - run % 40 * 5.0 + i % 17;
            out << "run " << run << ",Fern " << run % 20 << ',' << 100 + run % 40 * 10 << ','
                << 50 + i / 100 * 80 << ',' << 30 + i % 10 * 60 << ',' << 30 + i / 10 % 10 * 60 << ','
                << value << ',' << value - 3 << ',' << value + 3 << ",20,2.5,2026-11-26T12:" << 10 + i % 50
                << ":00,Cube\n";
        }
}

int importTable(const QString& table, const QString& project) {
    const auto bytes = readFile(table, std::size_t{1} << 30U);
    if (!bytes) return 1;
    MergeReport report;
    RowMerge merge({}, report);
    streamReadings(std::string_view(bytes->constData(), static_cast<std::size_t>(bytes->size())),
                   [&](ReadingRow&& row) { merge.add(std::move(row)); });
    auto made = Project::create(project, QStringLiteral("Large"));
    return made && (*made)->importReadings({}, merge.finish(), report, QStringLiteral("table")) ? 0 : 1;
}

struct Cost {
    double seconds = 0.0;
    double megabytes = 0.0;
};

/// What a piece of work costs a process of its own.
template <class Work>
Cost costOf(Work work) {
    const auto begun = std::chrono::steady_clock::now();
    const auto child = fork();
    if (child == 0) _exit(work());
    int status = 0;
    rusage used{};
    wait4(child, &status, 0, &used);
    if (status != 0) std::fprintf(stderr, "it failed\n");
    return {std::chrono::duration<double>(std::chrono::steady_clock::now() - begun).count(),
            static_cast<double>(used.ru_maxrss) / 1024.0};
}

}  // namespace

int main(int argc, char** argv) {
    QCoreApplication app(argc, argv);
    std::printf("%10s %12s %10s %10s %12s %10s\n", "readings", "import, s", "MB", "µs each", "opening, s",
                "MB");
    for (const int runs : {125, 500, 2000}) {
        const QTemporaryDir dir;
        const auto table = dir.filePath(QStringLiteral("table.csv"));
        const auto project = dir.filePath(QStringLiteral("large.glumet"));
        writeTable(table, runs);
        const auto import = costOf([&] { return importTable(table, project); });
        const auto open = costOf([&] { return Project::open(project) ? 0 : 1; });
        const int readings = runs * kReadingsInRun;
        std::printf("%10d %12.2f %10.0f %10.2f %12.2f %10.0f\n", readings, import.seconds, import.megabytes,
                    import.seconds * 1e6 / readings, open.seconds, open.megabytes);
        std::fflush(stdout);
    }
    std::printf("bars for a million: import 10 s, 400 MB; opening 2 s, 600 MB\n");
    return 0;
}
