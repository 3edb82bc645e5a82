#pragma once

#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "core/base/value.h"
#include "core/bench/bench.h"

namespace glumet {

/// A reading with everything its row in a readings table says about the run around it. Names stand for what
/// the run's ids will name; an empty one means none or not recorded.
struct ReadingRow {
    GLUMET_VALUE(ReadingRow);

    Run run;  ///< without planes
    std::string fixture;
    std::string accessory;
    std::string tank;
    std::string meter;
    std::string preset;
    Millimetre depth{0};
    Reading reading;
};

/// What a merge did.
struct MergeReport {
    int added = 0;
    int already_there = 0;       ///< same place, value and time as a reading the bench held
    int superseding = 0;         ///< replaced an earlier value of the same point, which is kept
    std::vector<Id> superseded;  ///< stored readings that are now superseded
};

/// A bench to which rows are added one by one. Fixtures, their presets, accessories, meters and
/// tanks are found by name or made; a run
/// is found by its label, configuration and height or made; a later value of a point supersedes the earlier.
/// Whatever is new has a negative id, so that a store can tell; planes of new points get the grid they fill.
class RowMerge {
  public:
    /// The report outlives the merge.
    RowMerge(Bench bench, MergeReport& report);
    RowMerge(RowMerge&& other) noexcept;
    ~RowMerge();

    void add(ReadingRow row);
    /// The bench; to be called once, after the last row.
    Bench finish();

  private:
    class Work;
    std::unique_ptr<Work> work_;
};

/// The bench with the rows added.
Bench withRows(Bench bench, const std::vector<ReadingRow>& rows, MergeReport& report);

/// Adds every reading of a bench, which is let go plane by plane.
void takeRows(Bench bench, RowMerge& into);

/// Every reading of the bench as a row, run by run.
std::vector<ReadingRow> rowsOf(const Bench& bench);

}  // namespace glumet
