#pragma once

#include <QObject>
#include <atomic>
#include <deque>
#include <functional>
#include <map>
#include <memory>
#include <stop_token>
#include <string>
#include <thread>
#include <typeindex>

#include "core/base/problem.h"
#include "core/bench/sweep.h"

namespace glumet {

/// A question and what it is asked of.
struct AnswerKey {
    std::string question;
    Configuration of = {};

    auto operator<=>(const AnswerKey&) const = default;
};

/// What an answer depends on. Another bench, fit or subject makes it stale; more detail of the same holds
/// what less would.
struct Revision {
    std::int64_t bench = 0;
    std::int64_t fits = 0;
    std::int64_t subject = 0;
    std::int64_t detail = 0;

    bool covers(const Revision& other) const {
        return bench == other.bench && fits == other.fits && subject == other.subject &&
               detail >= other.detail;
    }
    bool operator==(const Revision&) const = default;
};

enum class AnswerState { None, Waiting, Running, Ready, Failed };

/// What long work is given: when to stop, and where to say how far it is (0–1).
struct Asked {
    std::stop_token stop;
    std::function<void(double)> progress = [](double) {};
};

/// Every answer of the core that the window shows, by question and revision. What is quick is computed when
/// it is first asked for; what is long is made in the background, one after the other, and the last answer
/// stays, stale, until the next is ready. An exception in the work becomes a failed answer. What was
/// cancelled is not begun again before it is asked by another revision.
class AnswerStore : public QObject {
    Q_OBJECT

  public:
    AnswerStore() = default;
    /// Waits for what was begun.
    ~AnswerStore() override { stop(); }

    /// The answer at this revision, made at once by `compute(T* earlier) → T` where it is not there;
    /// `earlier` is the one it replaces, or nullptr.
    template <class T, class Compute>
    T& now(const AnswerKey& key, const Revision& revision, Compute compute) {
        auto& entry = entries_[key];
        if (entry.value == nullptr || !entry.of.covers(revision)) {
            auto* earlier = entry.as<T>();
            entry.keep(std::make_shared<T>(compute(earlier)), revision);
            ++computed_;
        }
        return *entry.as<T>();
    }

    /// Has `work(Asked) → Expected<T>` answer in the background unless that is there or under way at this
    /// revision. What is urgent comes before what waits.
    template <class T, class Work>
    void want(const AnswerKey& key, const Revision& revision, bool urgent, Work work) {
        order(key, revision, urgent, [work = std::move(work)](const Asked& asked) -> Expected<Value> {
            auto made = work(asked);
            if (!made) return tl::make_unexpected(made.error());
            return Value{std::make_shared<T>(std::move(*made)), typeid(T)};
        });
    }

    /// The last answer there is, of whatever revision; nullptr without one.
    template <class T>
    const T* value(const AnswerKey& key) const {
        const auto at = entries_.find(key);
        return at == entries_.end() ? nullptr : at->second.template as<T>();
    }
    /// Why the last asking had no answer; nullptr where it had, or has not been made.
    const Problem* failure(const AnswerKey& key) const;
    AnswerState state(const AnswerKey& key) const;
    /// Of the answer that value() gives.
    Revision revisionOf(const AnswerKey& key) const;
    bool stale(const AnswerKey& key, const Revision& revision) const {
        return !revisionOf(key).covers(revision);
    }
    /// How far the question under way has come, 0–1.
    double progress() const { return progress_; }

    /// Whether this has been answered, given up, or is under way at this revision: want() would do nothing.
    bool wanted(const AnswerKey& key, const Revision& revision) const;
    /// A number that grows with every answer or failure of a key, or of any key of a question; 0 before the
    /// first.
    std::int64_t serialOf(const AnswerKey& key) const;
    std::int64_t serialOf(const std::string& question) const;

    bool busy() const { return !orders_.empty(); }
    bool busy(const AnswerKey& key) const;
    bool busy(const std::string& question) const;
    /// What nobody looks at any more is not made; it is begun again when it is next asked for.
    void forgo(const AnswerKey& key);
    /// Breaks off everything under way and waiting.
    void cancel();
    /// The same, to be begun again when it is next asked for.
    void stop();
    /// Drops every answer: another project.
    void forget();

    /// Answers that were made at once since the beginning, for tests.
    int computed() const { return computed_; }

  signals:
    void changed();     ///< a question was begun, answered or given up
    void progressed();  ///< the one under way has come further

  private:
    struct Value {
        std::shared_ptr<void> held;
        std::type_index type = typeid(void);
    };
    struct Entry {
        std::shared_ptr<void> value;
        std::type_index type = typeid(void);
        Revision of;
        std::optional<Revision> asked;
        std::optional<Problem> failed;
        std::int64_t serial = 0;

        template <class T>
        T* as() const {
            return value != nullptr && type == typeid(T) ? static_cast<T*>(value.get()) : nullptr;
        }
        template <class T>
        void keep(std::shared_ptr<T> made, const Revision& revision) {
            value = std::move(made);
            type = typeid(T);
            of = revision;
        }
    };
    using Work = std::function<Expected<Value>(const Asked&)>;
    struct Order {
        AnswerKey key;
        Revision revision;
        Work work;
    };

    void order(const AnswerKey& key, const Revision& revision, bool urgent, Work work);
    /// Whether the front is being worked on, and not what was broken off before it.
    bool underWay() const { return thread_.joinable() && working_ == number_; }
    void next();
    void take(int number, Expected<Value> made);
    void breakOff();

    std::map<AnswerKey, Entry> entries_;
    std::deque<Order> orders_;  ///< the front is under way
    std::jthread thread_;
    int number_ = 0;    ///< of the work that counts; what another brings is dropped
    int working_ = -1;  ///< of the work the thread is at
    double progress_ = 0.0;
    int computed_ = 0;
    std::int64_t serial_ = 0;
};

}  // namespace glumet
