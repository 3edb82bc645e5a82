#pragma once

#include <functional>
#include <optional>

#include "core/bench/sweep.h"
#include "core/fit/fit.h"

namespace glumet {

/// Whether a fixture's emitters are described; a bare cluster is a guess.
bool layoutDescribed(const Bench& bench, const std::vector<Id>& runs);

/// What a sweep of fewer than 60 readings, or of a single plane, leans on: of the same fixture alone, with
/// the same accessory, age and reader, the sweep that was read most, where that is more than this; where none
/// is, all the others at once, as a sweep of runs of several channels. Either holds at least twice the
/// readings, in more than one plane; else nothing.
std::optional<Sweep> leansOn(const Bench& bench, const Sweep& sweep);

/// The runs whose readings speak for a sweep's fit: its own, and those of what it leans on.
std::vector<Id> runsForFit(const Bench& bench, const Sweep& sweep);

/// A sweep's fit, however it is made.
using FitOther = std::function<Expected<FitResult>(const Sweep&)>;

/// The fit of a sweep that leans on another (leansOn()), which `other` fits; by itself where there is none to
/// lean on, that cannot be fitted, or its readings are more probable so: channels may well have
/// lenses of their own. `options` are those of the leaning fit. Fails as fitFixture() does.
Expected<FitResult> fitLeaning(const Bench& bench, const Sweep& sweep, FitOptions options,
                               const FitOther& other, const FitOther& by_itself);

/// The fit of a sweep: fitFixture() where the emitters are described, else fitUnknownLayout(); of channels
/// read at few points by fitLeaning() on others, which `other` fits where it is given.
Expected<FitResult> fitAsDescribed(const Bench& bench, const Sweep& sweep, const FitOptions& options = {},
                                   const FitOther& other = {});

}  // namespace glumet
