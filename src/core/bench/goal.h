#pragma once

#include <optional>
#include <string>

#include "core/base/band.h"
#include "core/bench/schools.h"

namespace glumet {

/// How much light a class of livestock is given, as an editable profile. Ready ones are starting points in
/// round figures (core/verdicts/goals.h).
struct Goal {
    std::string name;
    Band band{Ppfd(150), Ppfd(300)};
    double photoperiod_h = 10.0;  ///< 0–24
    std::optional<Ppfd> ceiling;  ///< nothing in the zone may exceed it
    std::optional<Ppfd> floor;    ///< nothing at the zone's lower end may fall below it
    Millimetre zone_from{0};      ///< under water; where from = to the goal holds for the whole depth
    Millimetre zone_to{0};
    LightSchool school = LightSchool::NarrowBand;  ///< that this goal speaks for

    bool zoned() const { return zone_to > zone_from; }
    bool operator==(const Goal&) const = default;
};

}  // namespace glumet
