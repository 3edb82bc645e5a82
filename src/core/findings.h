#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/grid.h"
#include "core/plane_statistics.h"
#include "core/spill_limit.h"
#include "core/sweep.h"
#include "core/wording.h"

namespace glumet {

enum class FindingKind { Fact, Doubt, Next };

/// Where the evidence of a finding is shown.
enum class EvidenceView { None, Bench, Plan, Commission, Measure, Field, Height, Array };

/// A short sentence with its numbers and its reason, and the way to its evidence.
struct Finding {
    FindingKind kind = FindingKind::Fact;
    std::string title;
    std::string body;
    EvidenceView view = EvidenceView::None;
    std::optional<std::size_t> run;  ///< index into Bench::runs
    std::optional<Millimetre> depth;
    std::optional<Cell> cell;
};

/// What the words depend on.
struct FindingContext {
    LengthUnit unit = LengthUnit::Cm;
    std::optional<Band> band;
};

/// What one plane of a run says about the field: spread, fall-off, band, walls of doubt.
std::vector<Finding> fieldFindings(const Bench& bench, std::size_t run, Millimetre depth,
                                   const FindingContext& context);

/// Doubts about a run as a whole: draw against rating, room light, mirror pairs on each plane.
std::vector<Finding> runDoubts(const Bench& bench, std::size_t run, const FindingContext& context);

/// What a height verdict says, with what one step more or less would do.
std::vector<Finding> heightFindings(const Bench& bench, const Sweep& sweep, const SpillLimitVerdict& verdict,
                                    const FindingContext& context);

/// What is still to be read, and where to begin.
std::vector<Finding> measureFindings(const Bench& bench, std::size_t run, Millimetre depth,
                                     const FindingContext& context);

/// What the bench's description lacks.
std::vector<Finding> benchFindings(const Bench& bench, const FindingContext& context);

}  // namespace glumet
