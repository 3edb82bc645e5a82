#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/bench/run.h"

namespace glumet {

/// A reading with everything its row in a readings table says about the run around it. Names stand for
/// the fixture, accessory, tank and meter; an empty one means none or not recorded.
struct ReadingRow {
    std::string run;
    std::string fixture;
    Millimetre height{0};
    Millimetre depth{0};
    Reading reading;
    std::string preset;
    std::string accessory;
    std::optional<double> level_pct;
    int fixtures = 1;
    std::string placement;
    std::string meter;
    std::string tank;
    WaterState water = WaterState::Still;
};

/// What a merge did.
struct MergeReport {
    int added = 0;
    int already_there = 0;       ///< same place, value and time as a reading the bench held
    int superseding = 0;         ///< replaced an earlier value of the same point, which is kept
    std::vector<Id> superseded;  ///< stored readings that are now superseded
};

/// The bench with the rows added. Fixtures, accessories, meters and tanks are found by name or made; a run
/// is found by its label, configuration and height or made; a later value of a point supersedes the earlier.
/// Whatever is new has a negative id, so that a store can tell; planes of new points get the grid they fill.
Bench withRows(Bench bench, const std::vector<ReadingRow>& rows, MergeReport& report);

/// Every reading of the bench as a row, run by run.
std::vector<ReadingRow> rowsOf(const Bench& bench);

}  // namespace glumet
