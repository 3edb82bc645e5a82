#pragma once

#include <deque>
#include <mutex>
#include <optional>

namespace glumet {

/// Answers to the last questions, whichever window asked them, the latest first: what comes back by undo, by
/// stepping to and fro, or by opening a project once more, is there at once. Questions are compared whole.
template <class Question, class Answer>
class RememberedAnswers {
  public:
    std::optional<Answer> find(const Question& question) {
        const std::lock_guard lock(mutex_);
        for (const auto& [asked, answer] : known_)
            if (asked == question) return answer;
        return std::nullopt;
    }

    void keep(Question question, Answer answer) {
        constexpr std::size_t kMost = 12;
        const std::lock_guard lock(mutex_);
        known_.emplace_front(std::move(question), std::move(answer));
        if (known_.size() > kMost) known_.pop_back();
    }

    void forget() {
        const std::lock_guard lock(mutex_);
        known_.clear();
    }

  private:
    std::mutex mutex_;
    std::deque<std::pair<Question, Answer>> known_;
};

/// Answers about benches of more readings are not kept: they would take the room of a project each.
inline constexpr std::size_t kMostRememberedReadings = 20'000;

}  // namespace glumet
