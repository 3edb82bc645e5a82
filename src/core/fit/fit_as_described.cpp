#include "core/fit/fit_as_described.h"

namespace glumet {

bool layoutDescribed(const Bench& bench, const std::vector<Id>& runs) {
    const auto* fixture = byId(bench.fixtures, bench.run(runs.front()).fixture);
    return fixture != nullptr &&
           (fixture->emitters.columns * fixture->emitters.rows > 1 || fixture->emitters.size.value() > 0.0);
}

Expected<FitResult> fitAsDescribed(const Bench& bench, const std::vector<Id>& runs,
                                   const FitOptions& options) {
    return layoutDescribed(bench, runs) ? fitFixture(bench, runs, options)
                                        : fitUnknownLayout(bench, runs, options);
}

}  // namespace glumet
