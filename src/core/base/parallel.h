#pragma once

#include <algorithm>
#include <atomic>
#include <thread>
#include <vector>

namespace glumet {

/// Calls work(i) for 0 ≤ i < count on up to `threads` threads, this one included; 0 means all the machine
/// has. Which thread takes which i is open, so work must not depend on it. Exceptions are the work's fault.
template <class Work>
void forEachIndex(std::size_t count, int threads, const Work& work) {
    const auto wanted = static_cast<std::size_t>(
        threads > 0 ? threads : std::max(1, static_cast<int>(std::thread::hardware_concurrency())));
    std::atomic<std::size_t> next{0};
    const auto run = [&] {
        for (std::size_t i = next++; i < count; i = next++) work(i);
    };
    std::vector<std::jthread> helpers;
    for (std::size_t i = 1; i < std::min(wanted, count); ++i) helpers.emplace_back(run);
    run();
}

}  // namespace glumet
