#pragma once

#include <QMetaObject>
#include <QObject>
#include <memory>
#include <stop_token>
#include <thread>
#include <utility>

namespace glumet {

/// One piece of work at a time off the interface thread. Each has its own stop token and number; what a job
/// that was cancelled or replaced still brings is dropped. A member of the object it reports to.
template <class Result>
class Job {
  public:
    Job() = default;
    Job(const Job&) = delete;
    Job& operator=(const Job&) = delete;
    ~Job() { cancel(); }

    /// Begins `work(stop token) → Result` in place of the one under way; `done(Result)` runs on the
    /// receiver's thread.
    template <class Work, class Done>
    void start(QObject* receiver, Work work, Done done) {
        cancel();
        running_ = true;
        const int number = ++number_;
        thread_ = std::jthread([this, receiver, number, work = std::move(work),
                                done = std::move(done)](const std::stop_token& stop) {
            const auto result = std::make_shared<Result>(work(stop));
            QMetaObject::invokeMethod(
                receiver,
                [this, number, result, done] {
                    if (number != number_ || !running_) return;
                    running_ = false;
                    done(std::move(*result));
                },
                Qt::QueuedConnection);
        });
    }

    void cancel() {
        running_ = false;
        ++number_;
        if (!thread_.joinable()) return;
        thread_.request_stop();
        thread_.join();
    }

    bool running() const { return running_; }

  private:
    std::jthread thread_;
    int number_ = 0;
    bool running_ = false;
};

}  // namespace glumet
