#include "core/base/parallel.h"

#include <algorithm>
#include <atomic>
#include <condition_variable>
#include <mutex>
#include <thread>
#include <vector>

namespace glumet {
namespace {

/// One call of forEachIndex.
struct Loop {
    std::size_t count;
    std::size_t places;  ///< for helpers that have not come yet
    const std::function<void(std::size_t)>& work;
    std::size_t helping = 0;
    std::atomic<std::size_t> next{0};

    void run() {
        for (std::size_t i = next++; i < count; i = next++) work(i);
    }
};

/// The program's other threads. Whoever calls works too and waits only for those at work on its own loop, so
/// that loops within loops come to an end however few helpers there are.
class Helpers {
  public:
    static Helpers& shared() {
        static Helpers helpers;
        return helpers;
    }

    std::size_t size() const { return threads_.size(); }

    void share(Loop& loop) {
        const bool one = loop.places == 1;
        {
            const std::lock_guard lock(mutex_);
            open_.push_back(&loop);
        }
        one ? wanted_.notify_one() : wanted_.notify_all();
        const Closed closed(*this, loop);
        loop.run();
    }

  private:
    /// Takes a loop back and waits for those at work on it, however it is left.
    struct Closed {
        Closed(Helpers& all, Loop& of) : helpers(all), loop(of) {}
        Closed(const Closed&) = delete;
        Closed& operator=(const Closed&) = delete;
        ~Closed() {
            std::unique_lock lock(helpers.mutex_);
            std::erase(helpers.open_, &loop);
            helpers.left_.wait(lock, [this] { return loop.helping == 0; });
        }
        Helpers& helpers;
        Loop& loop;
    };

    Helpers() {
        // Asked once: the system reads a file to answer.
        const auto all = std::max(1U, std::thread::hardware_concurrency());
        for (unsigned i = 1; i < all; ++i)
            threads_.emplace_back([this](const std::stop_token& stop) { help(stop); });
    }

    void help(const std::stop_token& stop) {
        std::unique_lock lock(mutex_);
        while (wanted_.wait(lock, stop, [this] { return !open_.empty(); })) {
            Loop& loop = *open_.back();
            ++loop.helping;
            if (--loop.places == 0) open_.pop_back();
            lock.unlock();
            loop.run();
            lock.lock();
            std::erase(open_, &loop);
            if (--loop.helping == 0) left_.notify_all();
        }
    }

    std::mutex mutex_;
    std::condition_variable_any wanted_;
    std::condition_variable left_;
    std::vector<Loop*> open_;  ///< that have a place left, the newest last
    std::vector<std::jthread> threads_;
};

}  // namespace

void forEachIndex(std::size_t count, int threads, const std::function<void(std::size_t)>& work) {
    const auto alone = [&] {
        for (std::size_t i = 0; i < count; ++i) work(i);
    };
    if (threads == 1 || count < 2) return alone();
    auto& helpers = Helpers::shared();
    const auto wanted = threads > 0 ? static_cast<std::size_t>(threads) : helpers.size() + 1;
    const auto places = std::min({wanted, count, helpers.size() + 1}) - 1;
    if (places == 0) return alone();
    Loop loop{.count = count, .places = places, .work = work};
    helpers.share(loop);
}

}  // namespace glumet
