#include <QSignalSpy>
#include <QTest>
#include <atomic>

#include "core/bench/sweep.h"
#include "core/simulation/demo_scenario.h"
#include "desk/shared/fit_shelf.h"

using namespace glumet;

namespace {

const Bench& demo() {
    static const Bench bench = demoReadings(2);
    return bench;
}

const Sweep& sweepOf(const char* fixture, const char* preset = "all channels full") {
    static const auto sweeps = sweepsOf(demo());
    for (const auto& sweep : sweeps)
        if (byId(demo().fixtures, sweep.configuration.fixture)->name == fixture &&
            presetName(demo(), sweep.configuration) == preset && sweep.configuration.fixtures == 1)
            return sweep;
    return sweeps.front();
}

}  // namespace

class TestFitShelf : public QObject {
    Q_OBJECT

  private slots:
    void theLastJobReportsAndNoOther() {
        Job<int> job;
        std::atomic<bool> first_may_end = false;
        std::vector<int> reported;
        job.start(
            this,
            [&](const std::stop_token& stop) {
                while (!first_may_end && !stop.stop_requested()) std::this_thread::yield();
                return 1;
            },
            [&](int result) { reported.push_back(result); });
        QVERIFY(job.running());
        job.start(
            this, [](const std::stop_token&) { return 2; }, [&](int result) { reported.push_back(result); });
        QTRY_VERIFY(!job.running());
        QCoreApplication::processEvents();
        QCOMPARE(reported, std::vector<int>{2});
    }

    void aCancelledJobReportsNothing() {
        Job<int> job;
        int reported = 0;
        job.start(
            this, [](const std::stop_token&) { return 3; }, [&](int) { ++reported; });
        job.cancel();
        QVERIFY(!job.running());
        QCoreApplication::processEvents();
        QCOMPARE(reported, 0);
    }

    void fitsAreMadeOneAfterTheOther() {
        FitShelf shelf;
        shelf.want(demo(), sweepOf("Osier 60", "deep red"), false);
        shelf.want(demo(), sweepOf("Osier 60", "warm white"), false);
        shelf.want(demo(), sweepOf("Rushlight 2T"), true);
        QVERIFY(shelf.busy());
        QVERIFY(shelf.of(sweepOf("Rushlight 2T").configuration) == nullptr);
        // The one that is looked at comes before those that wait.
        QTRY_VERIFY_WITH_TIMEOUT(shelf.of(sweepOf("Rushlight 2T").configuration) != nullptr, 30'000);
        QTRY_VERIFY_WITH_TIMEOUT(!shelf.busy(), 30'000);
        for (const auto* preset : {"deep red", "warm white"}) {
            const auto* found = shelf.of(sweepOf("Osier 60", preset).configuration);
            QVERIFY(found != nullptr && found->fit);
            QVERIFY(found->heights.empty());  // only part of a question
        }
        const auto* looked_at = shelf.of(sweepOf("Rushlight 2T").configuration);
        QVERIFY(looked_at->fit && !looked_at->heights.empty());
    }

    void whatIsCurrentIsNotMadeAgain() {
        FitShelf shelf;
        const auto& sweep = sweepOf("Osier 60", "deep red");
        shelf.want(demo(), sweep, false);
        QTRY_VERIFY_WITH_TIMEOUT(!shelf.busy(), 30'000);
        QSignalSpy changed(&shelf, &FitShelf::changed);
        shelf.want(demo(), sweep, false);
        QVERIFY(!shelf.busy());
        QCOMPARE(changed.count(), 0);
        // Looked at now, its heights are wanted too.
        shelf.want(demo(), sweep, true);
        QVERIFY(shelf.busy());
        QTRY_VERIFY_WITH_TIMEOUT(!shelf.busy(), 30'000);
        QVERIFY(shelf.current(sweep.configuration));
    }

    void anEditOutdatesButKeepsTheLast() {
        FitShelf shelf;
        const auto& sweep = sweepOf("Osier 60", "deep red");
        shelf.want(demo(), sweep, false);
        QTRY_VERIFY_WITH_TIMEOUT(!shelf.busy(), 30'000);
        const double flux = shelf.of(sweep.configuration)->fit->model.flux();
        shelf.outdate();
        QVERIFY(!shelf.current(sweep.configuration));
        QCOMPARE(shelf.of(sweep.configuration)->fit->model.flux(), flux);
        shelf.want(demo(), sweep, false);
        shelf.cancel();
        QVERIFY(!shelf.busy());
        QCOMPARE(shelf.of(sweep.configuration)->fit->model.flux(), flux);
        shelf.forget();
        QVERIFY(shelf.of(sweep.configuration) == nullptr);
    }

    void oneReadingMoreIsTakenIntoTheLastFit() {
        auto before = demo();
        const auto& sweep = sweepOf("Osier 60", "warm white");
        byId(before.runs, sweep.runs.back())->planes.back().readings.pop_back();
        KeptFit kept;
        const auto first = fitSweep(before, sweep, kept, {});
        QVERIFY(first.fit);
        QCOMPARE(kept.added, 0);
        const auto second = fitSweep(demo(), sweep, kept, {});
        QVERIFY(second.fit);
        QCOMPARE(kept.added, 1);
        QCOMPARE(second.fit->model.readings, first.fit->model.readings + 1);
        // Near to what a fit from the beginning finds.
        KeptFit anew;
        const auto whole = fitSweep(demo(), sweep, anew, {});
        QVERIFY(std::abs(second.fit->model.flux() / whole.fit->model.flux() - 1.0) < 0.01);
        // Something else edited: it begins anew.
        auto edited = demo();
        byId(edited.runs, sweep.runs.front())->planes[0].readings[0].flag = Mark::Excluded;
        QVERIFY(fitSweep(edited, sweep, kept, {}).fit);
        QCOMPARE(kept.added, 0);
    }

    void anotherGoalAsksTheSchoolsAnew() {
        const auto& sweep = sweepOf("Osier 60", "warm white");
        KeptFit kept;
        const auto before = fitSweep(demo(), sweep, kept, {});
        auto edited = demo();
        edited.method.goal.ceiling = Ppfd(120);  // the peak cap's
        const auto after = fitSweep(edited, sweep, kept, {});
        QCOMPARE(after.fit->model, before.fit->model);  // no reading changed
        const auto cap = [](const SweepFit& found) {
            for (const auto& height : found.heights)
                if (height.school == HeightSchool::PeakCap) return height.height;
            return std::optional<Millimetre>();
        };
        QVERIFY(cap(before) != cap(after));
    }

    void whatWasBrokenOffIsNotKept() {
        const auto& sweep = sweepOf("Osier 60", "warm white");
        KeptFit kept;
        QVERIFY(!fitSweep(demo(), sweep, kept, {}).heights.empty());
        auto edited = demo();
        edited.method.goal.ceiling = Ppfd(120);
        std::stop_source stopped;
        stopped.request_stop();
        QVERIFY(fitSweep(edited, sweep, kept, stopped.get_token()).heights.empty());
        KeptFit anew;
        const auto whole = fitSweep(edited, sweep, anew, {});
        const auto resumed = fitSweep(edited, sweep, kept, {});
        for (std::size_t i = 0; i < whole.heights.size(); ++i)
            QCOMPARE(resumed.heights[i].height, whole.heights[i].height);
    }

    void aSweepThatCannotBeFittedSaysWhy() {
        auto bench = demo();
        const auto& sweep = sweepOf("Osier 60", "deep red");
        for (const auto run : sweep.runs)
            for (auto& plane : byId(bench.runs, run)->planes) plane.readings.clear();
        KeptFit kept;
        const auto found = fitSweep(bench, sweep, kept, {});
        QVERIFY(!found.fit);
        QVERIFY(!found.fit.error().sentence().empty());
        QVERIFY(found.heights.empty());
    }
};

QTEST_MAIN(TestFitShelf)
#include "test_fit_shelf.moc"
