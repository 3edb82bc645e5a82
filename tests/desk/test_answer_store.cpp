#include <QSignalSpy>
#include <QTest>
#include <atomic>

#include "core/bench/sweep.h"
#include "core/words/sentence.h"
#include "desk/shared/answer_store.h"
#include "desk/shared/fit_job.h"
#include "project/shipped_demo.h"
#include "runner/registry.h"

namespace desk_answer_store {

using namespace glumet;

namespace {

const Bench& demo() {
    static const Bench bench = testing::shippedDemo();
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

class TestAnswerStore : public QObject {
    Q_OBJECT

  private slots:
    void whatIsQuickIsMadeOnceARevision() {
        AnswerStore store;
        int made = 0;
        const auto ask = [&](Revision revision) {
            return store.now<int>({"sum"}, revision, [&](const int* earlier) {
                ++made;
                return earlier == nullptr ? 1 : *earlier + 1;
            });
        };
        QCOMPARE(ask({1}), 1);
        QCOMPARE(ask({1}), 1);
        QCOMPARE(made, 1);
        QVERIFY(store.stale({"sum"}, {2}));
        QCOMPARE(ask({2}), 2);  // from the one before
        QCOMPARE(store.computed(), 2);
    }

    void anotherRevisionTakesThePlaceOfTheOneUnderWay() {
        AnswerStore store;
        store.want<int>({"slow"}, {1}, false, [](const Asked& asked) -> Expected<int> {
            while (!asked.stop.stop_requested()) std::this_thread::yield();
            return 1;
        });
        QVERIFY(store.state({"slow"}) == AnswerState::Running);
        store.want<int>({"slow"}, {2}, false, [](const Asked&) -> Expected<int> { return 2; });
        QTRY_VERIFY(!store.busy());
        QCOMPARE(*store.value<int>({"slow"}), 2);
        QVERIFY(store.state({"slow"}) == AnswerState::Ready);
        QVERIFY(store.value<double>({"slow"}) == nullptr);  // asked as something it is not
    }

    void whatWasCancelledReportsNothingAndIsNotBegunAgain() {
        AnswerStore store;
        std::atomic<int> begun = 0;
        const auto ask = [&](Revision revision) {
            store.want<int>({"slow"}, revision, false, [&](const Asked& asked) -> Expected<int> {
                ++begun;
                while (!asked.stop.stop_requested()) std::this_thread::yield();
                return 3;
            });
        };
        ask({1});
        QTRY_COMPARE(begun.load(), 1);
        store.cancel();
        QVERIFY(!store.busy());
        QCoreApplication::processEvents();
        QVERIFY(store.value<int>({"slow"}) == nullptr);
        ask({1});
        QVERIFY(!store.busy());
        ask({2});
        QTRY_COMPARE(begun.load(), 2);
        store.stop();  // as an edit does: it may be asked again
        ask({2});
        QTRY_COMPARE(begun.load(), 3);
    }

    void anExceptionIsAFailedAnswer() {
        AnswerStore store;
        store.want<int>({"wild"}, {1}, false,
                        [](const Asked&) -> Expected<int> { throw std::runtime_error("out of lamps"); });
        QTRY_VERIFY(store.state({"wild"}) == AnswerState::Failed);
        QVERIFY(english(*store.failure({"wild"})).find("out of lamps") != std::string::npos);
        store.want<int>({"wild"}, {2}, false,
                        [](const Asked&) -> Expected<int> { return problem("", verbatim("no")); });
        QTRY_VERIFY(!store.busy());
        QCOMPARE(english(*store.failure({"wild"})), std::string("no"));
        store.want<int>({"wild"}, {3}, false, [](const Asked&) -> Expected<int> { return 4; });
        QTRY_VERIFY(store.failure({"wild"}) == nullptr && store.value<int>({"wild"}) != nullptr);
    }

    void whatIsUrgentComesBeforeWhatWaits() {
        AnswerStore store;
        std::atomic<bool> first_may_end = false;
        QStringList order;
        const auto note = [&](const char* name) {
            connect(&store, &AnswerStore::changed, this, [&store, &order, name] {
                if (store.value<int>({name}) != nullptr && !order.contains(QLatin1String(name)))
                    order << QLatin1String(name);
            });
        };
        for (const char* name : {"first", "waits", "urgent"}) note(name);
        store.want<int>({"first"}, {1}, false, [&](const Asked& asked) -> Expected<int> {
            while (!first_may_end) std::this_thread::yield();
            asked.progress(1.0);
            return 1;
        });
        QSignalSpy progress(&store, &AnswerStore::progressed);
        store.want<int>({"waits"}, {1}, false, [](const Asked&) -> Expected<int> { return 2; });
        store.want<int>({"urgent"}, {1}, true, [](const Asked&) -> Expected<int> { return 3; });
        QVERIFY(store.state({"waits"}) == AnswerState::Waiting);
        first_may_end = true;
        QTRY_VERIFY(!store.busy());
        QCOMPARE(order,
                 (QStringList{QStringLiteral("first"), QStringLiteral("urgent"), QStringLiteral("waits")}));
        QCOMPARE(progress.count(), 1);
    }

    /// Work that does not look whether it is to stop holds nobody up, and what follows it waits for its end.
    void whoAsksAnewDoesNotWaitForWhatEnds() {
        AnswerStore store;
        std::atomic<bool> may_end = false;
        std::atomic<int> at_once = 0;
        std::atomic<int> most_at_once = 0;
        const auto ask = [&](Revision revision, int answer) {
            store.want<int>({"deaf"}, revision, false, [&, answer](const Asked&) -> Expected<int> {
                most_at_once = std::max(most_at_once.load(), ++at_once);
                while (!may_end) std::this_thread::yield();
                --at_once;
                return answer;
            });
        };
        ask({1}, 1);
        QTRY_COMPARE(at_once.load(), 1);
        ask({2}, 2);  // comes back while the first still runs
        QVERIFY(!may_end && store.busy());
        store.stop();
        QVERIFY(!store.busy());
        ask({3}, 3);
        may_end = true;
        QTRY_VERIFY(!store.busy());
        QCOMPARE(*store.value<int>({"deaf"}), 3);
        QCOMPARE(most_at_once.load(), 1);
    }

    void whatNobodyLooksAtAnyMoreIsNotMade() {
        AnswerStore store;
        std::atomic<int> begun = 0;
        std::atomic<int> waited = 0;
        const auto ask = [&] {
            store.want<int>({"endless"}, {1}, false, [&](const Asked& asked) -> Expected<int> {
                ++begun;
                while (!asked.stop.stop_requested()) std::this_thread::yield();
                return 1;
            });
        };
        ask();
        QTRY_COMPARE(begun.load(), 1);
        store.want<int>({"waits"}, {1}, false, [&](const Asked&) -> Expected<int> { return ++waited; });
        store.want<int>({"next"}, {1}, false, [](const Asked&) -> Expected<int> { return 2; });
        store.forgo({"nobody asked"});
        store.forgo({"waits"});
        store.forgo({"endless"});
        QTRY_VERIFY(!store.busy());
        QCOMPARE(*store.value<int>({"next"}), 2);
        QVERIFY(store.value<int>({"endless"}) == nullptr);
        QCOMPARE(waited.load(), 0);
        ask();  // it may be looked at again
        QTRY_COMPARE(begun.load(), 2);
    }

    void moreDetailHoldsWhatLessWould() {
        AnswerStore store;
        const auto ask = [&](std::int64_t detail) {
            store.want<int>({"fit"}, {1, 0, 0, detail}, false,
                            [](const Asked&) -> Expected<int> { return 1; });
        };
        ask(1);
        QTRY_VERIFY(!store.busy());
        ask(0);
        QVERIFY(!store.busy());
        ask(2);
        QVERIFY(store.busy());
        QTRY_VERIFY(!store.busy());
        store.forget();
        QVERIFY(store.state({"fit"}) == AnswerState::None);
    }

    void oneReadingMoreIsTakenIntoTheLastFit() {
        auto before = demo();
        const auto& sweep = sweepOf("Osier 60", "warm white");
        byId(before.runs, sweep.runs.back())->planes.back().readings.pop_back();
        KeptFit kept;
        rememberedFits().forget();
        std::vector<double> shares;
        const auto first =
            fitSweep(before, sweep, kept, {{}, [&](double share) { shares.push_back(share); }});
        QVERIFY(shares.size() > 40);  // rounds, then forty draws
        QVERIFY(std::is_sorted(shares.begin(), shares.end()));
        QVERIFY(shares.front() > 0.0);
        QCOMPARE(shares.back(), 1.0);
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

    /// What was asked before, undone and come back to say, is there without any work.
    void aQuestionThatComesBackIsAnsweredAtOnce() {
        const auto& sweep = sweepOf("Osier 60", "warm white");
        KeptFit kept;
        rememberedFits().forget();
        const auto first = fitSweep(demo(), sweep, kept, {});
        KeptFit other;
        std::stop_source stopped;
        stopped.request_stop();  // no work could be done
        const auto again = fitSweep(demo(), sweep, other, {stopped.get_token()});
        QVERIFY(again.fit);
        QCOMPARE(again.fit->model, first.fit->model);
        QCOMPARE(again.heights.size(), first.heights.size());
        auto edited = demo();
        edited.fixtures.front().rated_power = Watt(1);
        QVERIFY(fitSweep(edited, sweep, other, {stopped.get_token()}).heights.empty());
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
        rememberedFits().forget();  // what other tests asked is no answer here
        QVERIFY(!fitSweep(demo(), sweep, kept, {}).heights.empty());
        auto edited = demo();
        edited.method.goal.ceiling = Ppfd(120);
        std::stop_source stopped;
        stopped.request_stop();
        QVERIFY(fitSweep(edited, sweep, kept, {stopped.get_token()}).heights.empty());
        KeptFit anew;
        const auto whole = fitSweep(edited, sweep, anew, {});
        rememberedFits().forget();
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
        QVERIFY(!english(found.fit.error()).empty());
        QVERIFY(found.heights.empty());
    }
};

GLUMET_TEST(TestAnswerStore, "desk_answer_store", Windows)

}  // namespace desk_answer_store

#include "test_answer_store.moc"
