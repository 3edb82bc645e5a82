#pragma once

#include <string>
#include <vector>

#include "core/base/id.h"
#include "core/base/quantity.h"
#include "core/base/value.h"

namespace glumet {

/// One fixture of a planned array: which, as whom it was read by knows it, and where it hangs.
struct HungFixture {
    Id id = 0;
    Id fixture = 0;
    Id accessory = 0;
    Id preset = 0;        ///< of the fixture
    std::string read_by;  ///< whose readings speak for it; empty: the reviewer's own
    Millimetre x{0};      ///< of its middle
    Millimetre y{0};
    double turn_deg = 0.0;  ///< of its length against the tank's, from +x towards +y
    Millimetre height{200};
    double level_pct = 100.0;

    bool operator==(const HungFixture&) const = default;
};

/// Fixtures over a tank as the reviewer means to hang them, of one kind or mixed. Nobody has read them
/// there: what is said of their light is modelled (core/verdicts/planned_light.h).
struct PlannedArray {
    GLUMET_VALUE(PlannedArray);

    Id id = 0;
    Id tank = 0;
    std::string name;
    std::string note;
    std::vector<HungFixture> fixtures;

    bool operator==(const PlannedArray&) const = default;
};

}  // namespace glumet
