// How long a rippling reading takes to settle to 2 %, against the least time its statistics allow, and how
// far the settled means really are from the truth: the table of docs/method.md. Usage: settle_report
// [REPEATS]
#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <vector>

#include "core/meter/settled_mean.h"
#include "core/simulation/ripple.h"

int main(int argc, char** argv) {
    using namespace glumet;  // one small program
    const int repeats = argc > 1 ? std::atoi(argv[1]) : 200;
    constexpr double kStep = 0.05;
    std::printf("%8s %12s %10s %12s %8s %12s\n", "swing", "correlation", "bound", "median time", "ratio",
                "rms error");
    for (const double sd : {0.05, 0.10, 0.15, 0.20})
        for (const double correlation : {0.2, 0.3, 0.5}) {
            SettleRule rule;
            rule.longest = Second(300.0);
            // Variance of the mean of a process with exponential correlation over T: sd² · 2τ/T.
            const double bound =
                std::max(rule.shortest.value(),
                         2.0 * correlation * sd * sd / (rule.relative_error * rule.relative_error));
            std::vector<double> times;
            double squares = 0.0;
            for (int i = 0; i < repeats; ++i) {
                RippleProcess ripple(sd, correlation, static_cast<std::uint64_t>(i) + 1);
                SettledMean mean(rule);
                for (double t = 0.0;; t += kStep) {
                    mean.add(Second(t), Ppfd(200.0 * ripple.next(kStep)));
                    if (std::fmod(t, 0.2) > kStep) continue;
                    const auto state = mean.state();
                    if (!state || !state->settled()) continue;
                    times.push_back(t);
                    squares += std::pow(state->mean.value() / 200.0 - 1.0, 2);
                    break;
                }
            }
            std::sort(times.begin(), times.end());
            const double median = times[times.size() / 2];
            std::printf("%7.0f%% %10.1f s %8.1f s %10.1f s %8.2f %11.2f%%\n", sd * 100.0, correlation, bound,
                        median, median / bound, 100.0 * std::sqrt(squares / repeats));
        }
}
