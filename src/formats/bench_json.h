#pragma once

#include <string>
#include <string_view>

#include "core/base/problem.h"
#include "core/bench/bench.h"

namespace glumet {

/// Writes everything of a bench but its readings: tanks, fixtures, accessories, meters, method, and the
/// runs with their planes' grids. Lengths in mm, powers in W, PPFD in µmol·m⁻²·s⁻¹, named in each key.
/// With the readings CSV of the same bench nothing is lost. Its version is kBenchFormat; docs/file-formats.md
/// tells what each version brought.
std::string writeBench(const Bench& bench);

/// Reads what writeBench writes. Whatever it holds gets a negative id, as in withRows. The error names the
/// key that is missing or of the wrong kind.
Expected<Bench> readBench(std::string_view bytes);

}  // namespace glumet
