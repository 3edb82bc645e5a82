#include "core/base/parallel.h"
#include "runner/registry.h"

#include <QTest>
#include <atomic>
#include <stdexcept>
#include <thread>
#include <vector>

namespace core_parallel {

using namespace glumet;

/// Every index once, whoever takes it.
class TestParallel : public QObject {
    Q_OBJECT

  private slots:
    void everyIndexIsTakenOnce_data() {
        QTest::addColumn<int>("count");
        QTest::addColumn<int>("threads");
        for (const int count : {0, 1, 2, 3, 1000})
            for (const int threads : {0, 1, 2, 64})
                QTest::addRow("%d by %d", count, threads) << count << threads;
    }
    void everyIndexIsTakenOnce() {
        QFETCH(int, count);
        QFETCH(int, threads);
        std::vector<std::atomic<int>> taken(static_cast<std::size_t>(count));
        forEachIndex(taken.size(), threads, [&](std::size_t i) { ++taken[i]; });
        for (const auto& times : taken) QCOMPARE(times.load(), 1);
    }

    void loopsWithinLoopsEnd() {
        std::atomic<int> all{0};
        forEachIndex(8, 0, [&](std::size_t) {
            forEachIndex(8, 0, [&](std::size_t) { forEachIndex(8, 0, [&](std::size_t) { ++all; }); });
        });
        QCOMPARE(all.load(), 512);
    }

    /// A fault in the caller's own share leaves when the helpers are done with theirs, and nothing of it
    /// behind.
    void aFaultOfTheCallersLeavesNothingBehind() {
        const auto caller = std::this_thread::get_id();
        for (int round = 0; round < 100; ++round) {
            std::vector<int> taken(50, 0);
            // Helpers on a busy machine could take all before the caller takes any: they wait for it.
            std::atomic<bool> begun{false};
            const auto faulty = [&](std::size_t i) {
                taken[i] = 1;
                if (std::this_thread::get_id() != caller) return begun.wait(false);
                begun = true;
                begun.notify_all();
                throw std::runtime_error("no");
            };
            QVERIFY_THROWS_EXCEPTION(std::runtime_error, forEachIndex(taken.size(), 0, faulty));
        }
        std::atomic<int> all{0};
        forEachIndex(100, 0, [&](std::size_t) { ++all; });
        QCOMPARE(all.load(), 100);
    }

    /// Each waits for its own loop only, and finds all of it done.
    void manyCallAtOnce() {
        std::atomic<int> wrong{0};
        {
            std::vector<std::jthread> callers;
            for (int caller = 0; caller < 4; ++caller)
                callers.emplace_back([&] {
                    for (int round = 0; round < 500; ++round) {
                        std::atomic<int> sum{0};
                        forEachIndex(20, 0, [&](std::size_t i) { sum += static_cast<int>(i); });
                        if (sum != 190) ++wrong;
                    }
                });
        }
        QCOMPARE(wrong.load(), 0);
    }
};

GLUMET_TEST(TestParallel, "core_parallel", Nothing)

}  // namespace core_parallel

#include "test_parallel.moc"
