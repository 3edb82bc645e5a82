#include "desk/compare/compare_job.h"

#include <map>

#include "desk/shared/fit_job.h"

namespace glumet {
namespace {

/// Fits of sweeps while one question is worked on.
class JobFits {
  public:
    JobFits(const Bench& bench, const Asked& asked) : bench_(bench), asked_{asked.stop, [](double) {}} {}

    const FitResult* of(const Sweep& sweep) {
        if (asked_.stop.stop_requested()) return nullptr;
        const auto at = made_.find(sweep.configuration);
        if (at != made_.end()) return at->second ? &*at->second : nullptr;
        auto& slot = made_[sweep.configuration];
        if (auto found = fitAlone(bench_, sweep, asked_).fit) slot = std::move(*found);
        return slot ? &*slot : nullptr;
    }

  private:
    const Bench& bench_;
    Asked asked_;
    std::map<Configuration, std::optional<FitResult>> made_;
};

}  // namespace

Expected<Comparison> compareInBackground(std::shared_ptr<const Bench> bench, CompareQuestion question,
                                         const Asked& asked) {
    JobFits fits(*bench, asked);
    question.stop = asked.stop;
    question.progress = asked.progress;
    auto out = compareAll(
        std::move(bench), [&](const Sweep& sweep) { return fits.of(sweep); }, question);
    if (out.board.cancelled) return problem("", say(GLUMET_SAY("Core", "was cancelled")));
    return out;
}

Expected<std::vector<SchoolOrder>> schoolsInBackground(const std::shared_ptr<const Bench>& bench,
                                                       const ComparePlace& place, const Asked& asked) {
    JobFits fits(*bench, asked);
    return schoolOrders(
        *bench, sweepsOf(*bench), place, [&](const Sweep& sweep) { return fits.of(sweep); }, asked.stop);
}

}  // namespace glumet
