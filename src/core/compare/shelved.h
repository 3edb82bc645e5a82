#pragma once

#include <string>
#include <vector>

#include "core/bench/bench.h"

namespace glumet {

/// A bench that lies on the shelf: another project of one's own, or what others published.
struct Shelved {
    Bench bench;
    std::string title;  ///< where it is from
    bool own = false;   ///< read by the reviewer, on another day
};

/// The bench with the shelved ones' fixtures, runs and scores beside its own, under ids that clash with none
/// (isShelved()) and names that say where they are from. A tank or a meter that is described alike is taken
/// for the same one; others' readings are marked as theirs. Method and checks stay the bench's own.
Bench withShelved(Bench bench, std::vector<Shelved> shelf);

bool isShelved(Id id);

}  // namespace glumet
