#pragma once

#include <string>
#include <string_view>

#include "core/base/problem.h"
#include "core/bench/run.h"

namespace glumet {

/// Version of the bench description that this program writes and the newest it reads.
///   1 (2026-11-24): first version. 2 (2026-11-25): a fixture's beam and photon flux.
///   3 (2026-11-25): obstacles, cells left out and named, meter response and corrections, checks of a run.
///   4 (2026-11-25): the goal whole, and the reviewer's own goals.
inline constexpr int kBenchJsonVersion = 4;

/// Writes everything of a bench but its readings: tanks, fixtures, accessories, meters, method, and the
/// runs with their planes' grids. Lengths in mm, powers in W, PPFD in µmol·m⁻²·s⁻¹, named in each key.
/// With the readings CSV of the same bench nothing is lost.
std::string writeBench(const Bench& bench);

/// Reads what writeBench writes. Whatever it holds gets a negative id, as in withRows. The error names the
/// key that is missing or of the wrong kind.
Expected<Bench> readBench(std::string_view bytes);

}  // namespace glumet
