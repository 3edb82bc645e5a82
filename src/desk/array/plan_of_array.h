#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/bench/planned_array.h"
#include "desk/array/array_form.h"
#include "desk/array/array_light.h"

namespace glumet {

/// What hangs as shown, as an array to be kept: the row known as `row` is, and what hangs beside it.
PlannedArray planOf(const ArrayLight::Shown& shown, const ArrayChoices& choices, const Configuration& row,
                    const std::string& name);

/// Whether both hang alike over the same tank, whatever they are called: to a millimetre and a thousandth of
/// their level.
bool hangAlike(const PlannedArray& a, const PlannedArray& b);

/// A kept array as it is chosen and shown here.
struct ChosenPlan {
    ArrayChoices choices;
    std::vector<double> centres_mm;  ///< of the row
};

/// Chooses what shows a kept array of which `row` is the row; the rest stays as chosen before. Nothing where
/// it hangs otherwise than a row along the middle with at most one fixture along a side.
std::optional<ChosenPlan> chosenPlan(const PlannedArray& plan, const Tank& tank, const Bench& bench,
                                     const std::vector<Sweep>& sweeps, const Configuration& row,
                                     ArrayChoices before);

/// Where a fixture of that width hangs along a side: its middle, and whether its length runs along the
/// tank's width. Sides are front, back, left, right.
struct BesidePlace {
    double x_mm = 0.0;
    double y_mm = 0.0;
    bool turned = false;
};
BesidePlace besidePlace(double length_mm, double width_mm, double body_width_mm, int side);

}  // namespace glumet
