#include "desk/shared/answer_store.h"
#include "report/text.h"

#include <QMetaObject>
#include <algorithm>
#include <exception>

namespace glumet {

const Problem* AnswerStore::failure(const AnswerKey& key) const {
    const auto at = entries_.find(key);
    return at == entries_.end() || !at->second.failed ? nullptr : &*at->second.failed;
}

bool AnswerStore::busy(const AnswerKey& key) const {
    return std::any_of(orders_.begin(), orders_.end(), [&](const Order& order) { return order.key == key; });
}

bool AnswerStore::busy(const std::string& question) const {
    return std::any_of(orders_.begin(), orders_.end(),
                       [&](const Order& order) { return order.key.question == question; });
}

bool AnswerStore::wanted(const AnswerKey& key, const Revision& revision) const {
    const auto at = entries_.find(key);
    return at != entries_.end() && at->second.asked && at->second.asked->covers(revision);
}

std::int64_t AnswerStore::serialOf(const AnswerKey& key) const {
    const auto at = entries_.find(key);
    return at == entries_.end() ? 0 : at->second.serial;
}

std::int64_t AnswerStore::serialOf(const std::string& question) const {
    std::int64_t newest = 0;
    for (const auto& [key, entry] : entries_)
        if (key.question == question) newest = std::max(newest, entry.serial);
    return newest;
}

AnswerState AnswerStore::state(const AnswerKey& key) const {
    if (!orders_.empty() && orders_.front().key == key) return AnswerState::Running;
    if (busy(key)) return AnswerState::Waiting;
    const auto at = entries_.find(key);
    if (at == entries_.end()) return AnswerState::None;
    if (at->second.failed) return AnswerState::Failed;
    return at->second.value == nullptr ? AnswerState::None : AnswerState::Ready;
}

Revision AnswerStore::revisionOf(const AnswerKey& key) const {
    const auto at = entries_.find(key);
    return at == entries_.end() || at->second.value == nullptr ? Revision{-1, -1, -1, -1} : at->second.of;
}

void AnswerStore::order(const AnswerKey& key, const Revision& revision, bool urgent, Work work) {
    if (wanted(key, revision)) return;
    auto& entry = entries_[key];
    entry.asked = revision;
    entry.failed.reset();
    const auto same = [&](const Order& order) { return order.key == key; };
    if (underWay() && same(orders_.front())) breakOff();
    orders_.erase(std::remove_if(orders_.begin(), orders_.end(), same), orders_.end());
    // The one under way is finished first.
    const auto place = !urgent ? orders_.end() : orders_.begin() + (underWay() ? 1 : 0);
    orders_.insert(place, {key, revision, std::move(work)});
    next();
    emit changed();
}

/// Begins the front, unless the thread is still at something: then it follows when that has ended.
void AnswerStore::next() {
    if (thread_.joinable()) return;
    progress_ = 0.0;
    if (orders_.empty()) return;
    const int number = working_ = ++number_;
    thread_ = std::jthread([this, number, work = orders_.front().work](const std::stop_token& stop) {
        const auto tell = [this, number](double share) {
            QMetaObject::invokeMethod(
                this,
                [this, number, share] {
                    if (number != number_) return;
                    progress_ = share;
                    emit progressed();
                },
                Qt::QueuedConnection);
        };
        auto made =
            std::make_shared<Expected<Value>>(problem("", say(GLUMET_SAY("Core", "the work was not done"))));
        try {
            *made = work({stop, tell});
        } catch (const std::exception& error) {
            *made = problem("", say(GLUMET_SAY("Core", "an unforeseen fault stopped the work: {}"),
                                    std::string(error.what())));
        } catch (...) {
            *made = problem("", say(GLUMET_SAY("Core", "an unforeseen fault stopped the work")));
        }
        QMetaObject::invokeMethod(
            this, [this, number, made] { take(number, std::move(*made)); }, Qt::QueuedConnection);
    });
}

void AnswerStore::take(int number, Expected<Value> made) {
    thread_.join();  // this was the last it did
    if (number != number_ || orders_.empty()) return next();
    auto& entry = entries_[orders_.front().key];
    entry.serial = ++serial_;
    if (made) {
        entry.value = std::move(made->held);
        entry.type = made->type;
        entry.of = orders_.front().revision;
    } else {
        entry.failed = made.error();
    }
    orders_.pop_front();
    next();
    emit changed();
}

/// What the thread still brings is dropped. Nobody waits for its end: work that looks seldom whether it is to
/// stop would hold up whoever types.
void AnswerStore::breakOff() {
    ++number_;
    thread_.request_stop();
}

void AnswerStore::forgo(const AnswerKey& key) {
    if (!busy(key)) return;
    if (underWay() && orders_.front().key == key) breakOff();
    entries_[key].asked.reset();
    orders_.erase(
        std::remove_if(orders_.begin(), orders_.end(), [&](const Order& order) { return order.key == key; }),
        orders_.end());
    emit changed();
}

void AnswerStore::cancel() {
    breakOff();
    orders_.clear();
    emit changed();
}

void AnswerStore::stop() {
    breakOff();
    for (const auto& order : orders_) entries_[order.key].asked.reset();
    orders_.clear();
}

void AnswerStore::forget() {
    stop();
    entries_.clear();
}

}  // namespace glumet
