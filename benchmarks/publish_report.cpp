#include <sys/resource.h>

#include <QGuiApplication>
#include <chrono>
#include <cstdio>

#include "core/base/parallel.h"
#include "core/compare/kept_fits.h"
#include "core/fit/fit_as_described.h"
#include "core/simulation/demo_scenario.h"
#include "report/page/html_page.h"
#include "report/page/pdf_page.h"
#include "report/review/publish.h"

using namespace glumet;

namespace {

double secondsOf(const std::function<void()>& work) {
    const auto from = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - from).count();
}

/// The demonstration's six kinds of light, each at three heights and three depths.
Bench sixFixtures() {
    Bench bench = demoReadings(11);
    const auto sweeps = sweepsOf(bench);
    std::vector<Id> kept;
    int fixtures = 0;
    for (const auto& sweep : sweeps) {
        if (sweep.configuration.fixtures != 1 || sweep.runs.size() < 3 || fixtures == 6) continue;
        if (sweep.configuration.tank != sweeps.front().configuration.tank) continue;
        ++fixtures;
        kept.insert(kept.end(), sweep.runs.begin(), sweep.runs.begin() + 3);
    }
    std::erase_if(bench.runs,
                  [&](const Run& run) { return std::find(kept.begin(), kept.end(), run.id) == kept.end(); });
    return bench;
}

}  // namespace

/// What a full review of six fixtures costs, part by part.
int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    const QGuiApplication application(argc, argv);
    const auto bench = sixFixtures();
    PublicationQuestion question;
    for (const auto& sweep : sweepsOf(bench)) question.configurations.push_back(sweep.configuration);
    question.sections = templateOr({});
    question.day = QStringLiteral("2026-11-27");
    std::size_t planes = 0;
    for (const auto& run : bench.runs) planes += run.planes.size();
    std::printf("%zu fixtures, %zu planes, %zu readings\n", question.configurations.size(), planes,
                readingCount(bench));
    KeptFits fits([&](const Sweep& sweep) { return fitAsDescribed(bench, sweep); });
    const auto fitting = secondsOf([&] {
        const auto sweeps = sweepsOf(bench);
        forEachIndex(sweeps.size(), 0, [&](std::size_t i) { fits.of(sweeps[i]); });
    });
    Expected<Publication> made = problem("", Words());
    const auto computing = secondsOf([&] { made = publicationOf(bench, fits.asked(), question); });
    if (!made) return 1;
    LaidOut laid;
    Expected<PdfPages> pdf = problem("", Words());
    QByteArray html;
    const auto laying = secondsOf([&] { laid = laidOut(*made); });
    const auto printing = secondsOf([&] { pdf = pdfPagesOf(laid.document); });
    const auto paging = secondsOf([&] { html = htmlOf(laid.document); });
    std::size_t files = 0;
    const auto all = secondsOf([&] { files = filesOf(*made)->size(); });
    rusage used{};
    getrusage(RUSAGE_SELF, &used);
    std::printf(
        "fits %.2f s; the rest %.2f s: computing %.2f, laying out %.2f, PDF %.2f, HTML %.2f, all %zu files "
        "%.2f\n",
        fitting, computing + all, computing, laying, printing, paging, files, all);
    std::printf("HTML %.2f MB, PDF %.2f MB, most memory %.0f MB\n", static_cast<double>(html.size()) / 1e6,
                static_cast<double>(pdf->bytes.size()) / 1e6, static_cast<double>(used.ru_maxrss) / 1024.0);
    return 0;
}
