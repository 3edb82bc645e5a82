#include "desk/shared/fit_shelf.h"

namespace glumet {

const SweepFit* FitShelf::of(const Configuration& configuration) const {
    const auto at = found_.find(configuration);
    return at == found_.end() ? nullptr : &at->second;
}

void FitShelf::want(const Bench& bench, const Sweep& sweep, bool looked_at) {
    const auto asked = asked_.find(sweep.configuration);
    if (asked != asked_.end() && (asked->second || !looked_at)) return;
    asked_[sweep.configuration] = looked_at;
    bench_ = &bench;
    // The one under way is finished first.
    const bool ahead = looked_at && !orders_.empty();
    orders_.insert(ahead ? orders_.begin() + 1 : orders_.end(), {sweep, looked_at});
    if (!busy()) next();
    emit changed();
}

void FitShelf::next() {
    if (orders_.empty()) return;
    job_.start(
        this,
        [bench = *bench_, order = orders_.front(), kept = kept_](const std::stop_token& stop) {
            return order.whole ? fitSweep(bench, order.sweep, *kept, stop)
                               : fitAlone(bench, order.sweep, stop);
        },
        [this](SweepFit found) {
            found_.insert_or_assign(orders_.front().sweep.configuration, std::move(found));
            orders_.pop_front();
            next();
            emit changed();
        });
}

void FitShelf::outdate() {
    job_.cancel();
    orders_.clear();
    asked_.clear();
}

void FitShelf::forget() {
    outdate();
    found_.clear();
    kept_ = std::make_shared<KeptFit>();
}

void FitShelf::cancel() {
    job_.cancel();
    orders_.clear();
    emit changed();
}

}  // namespace glumet
