#pragma once

#include <cstddef>
#include <functional>

namespace glumet {

/// Calls work(i) for 0 ≤ i < count on up to `threads` threads, this one included; 0 means all the machine
/// has. Which thread takes which i is open, so work must not depend on it. Helpers are shared by all of the
/// program and are started once: where they are busy elsewhere this thread does all by itself. Exceptions are
/// the work's fault.
void forEachIndex(std::size_t count, int threads, const std::function<void(std::size_t)>& work);

}  // namespace glumet
