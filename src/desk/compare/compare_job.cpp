#include "desk/compare/compare_job.h"

#include "core/compare/kept_fits.h"
#include "desk/shared/fit_job.h"

namespace glumet {
namespace {

/// Fits while one question is worked on, remembered beyond it.
KeptFits fitsOf(const Bench& bench, const Asked& asked) {
    return KeptFits(
        [&bench, quiet = Asked{asked.stop, [](double) {}}](const Sweep& sweep) -> Expected<FitResult> {
            if (quiet.stop.stop_requested()) return problem("", say(GLUMET_SAY("Core", "was cancelled")));
            return fitAlone(bench, sweep, quiet).fit;
        });
}

}  // namespace

Expected<Comparison> compareInBackground(std::shared_ptr<const Bench> bench, CompareQuestion question,
                                         const Asked& asked) {
    auto fits = fitsOf(*bench, asked);
    question.stop = asked.stop;
    question.progress = asked.progress;
    auto out = compareAll(std::move(bench), fits.asked(), question);
    if (out.board.cancelled) return problem("", say(GLUMET_SAY("Core", "was cancelled")));
    return out;
}

Expected<std::vector<SchoolOrder>> schoolsInBackground(const std::shared_ptr<const Bench>& bench,
                                                       const ComparePlace& place, const Asked& asked) {
    auto fits = fitsOf(*bench, asked);
    return schoolOrders(*bench, sweepsOf(*bench), place, fits.asked(), asked.stop);
}

}  // namespace glumet
