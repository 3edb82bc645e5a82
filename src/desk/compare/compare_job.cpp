#include "desk/compare/compare_job.h"

#include "desk/shared/fit_job.h"

namespace glumet {
Expected<Comparison> compareInBackground(std::shared_ptr<const Bench> bench, CompareQuestion question,
                                         const Asked& asked) {
    auto fits = fitsAlone(*bench, asked);
    question.stop = asked.stop;
    question.progress = asked.progress;
    auto out = compareAll(std::move(bench), fits.asked(), question);
    if (out.board.cancelled) return problem("", say(GLUMET_SAY("Core", "was cancelled")));
    return out;
}

Expected<std::vector<SchoolOrder>> schoolsInBackground(const std::shared_ptr<const Bench>& bench,
                                                       const ComparePlace& place, const Asked& asked) {
    auto fits = fitsAlone(*bench, asked);
    return schoolOrders(*bench, sweepsOf(*bench), place, fits.asked(), asked.stop);
}

}  // namespace glumet
