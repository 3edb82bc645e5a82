#pragma once

#include <functional>
#include <optional>

#include "core/bench/sweep.h"
#include "core/fit/fit.h"

namespace glumet {

/// Whether a fixture's emitters are described; a bare cluster is a guess.
bool layoutDescribed(const Bench& bench, const std::vector<Id>& runs);

/// What a sweep leans on: of the same fixture alone, with the same accessory, age and reader, the sweep that
/// was read most, where it holds at least twice the readings in more than one plane, and this one fewer than
/// 60 or a single plane. Nothing where it stands by itself.
std::optional<Sweep> leansOn(const Bench& bench, const Sweep& sweep);

/// The runs whose readings speak for a sweep's fit: its own, and those of what it leans on.
std::vector<Id> runsForFit(const Bench& bench, const Sweep& sweep);

/// A sweep's fit, however it is made.
using FitOther = std::function<Expected<FitResult>(const Sweep&)>;

/// The fit of a sweep that leans on another (leansOn()), which `other` fits; where there is none to lean on
/// or that cannot be fitted, by itself. `options` are those of the leaning fit. Fails as fitFixture() does.
Expected<FitResult> fitLeaning(const Bench& bench, const Sweep& sweep, FitOptions options,
                               const FitOther& other, const FitOther& by_itself);

/// The fit of a sweep: fitFixture() where the emitters are described, else fitUnknownLayout(); of channels
/// read at few points by leaning on those read at many (leansOn()), which `other` fits where it is given.
/// Where those cannot be fitted, it stands by itself.
Expected<FitResult> fitAsDescribed(const Bench& bench, const Sweep& sweep, const FitOptions& options = {},
                                   const FitOther& other = {});

}  // namespace glumet
