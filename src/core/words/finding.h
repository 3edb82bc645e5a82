#pragma once

#include <optional>

#include "core/base/band.h"
#include "core/base/id.h"
#include "core/base/lattice.h"
#include "core/base/sentence.h"

namespace glumet {

enum class FindingKind { Fact, Doubt, Next };

/// Where the evidence of a finding is shown.
enum class EvidenceView { None, Bench, Plan, Commission, Measure, Field, Spectrum, Height, Array, Compare };

/// A short sentence with its numbers and its reason, and the way to its evidence.
struct Finding {
    FindingKind kind = FindingKind::Fact;
    Words title;
    Words body;
    EvidenceView view = EvidenceView::None;
    Id run = 0;  ///< 0: none
    std::optional<Millimetre> depth;
    std::optional<Cell> cell;

    bool operator==(const Finding&) const = default;
};

/// Where a plane of a run stands.
struct FindingPlace {
    Id run;
    Millimetre depth;
};

Finding finding(FindingKind kind, Words title, Words body, EvidenceView view,
                const std::optional<FindingPlace>& place = {});

}  // namespace glumet
