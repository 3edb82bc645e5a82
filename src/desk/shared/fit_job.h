#pragma once

#include <optional>
#include <vector>

#include "core/bench/sweep.h"
#include "core/compare/kept_fits.h"
#include "core/fit/added_readings.h"
#include "core/fit/fit.h"
#include "core/verdicts/enough.h"
#include "core/verdicts/fitted_heights.h"
#include "desk/shared/answer_store.h"
#include "desk/shared/remembered_answers.h"

namespace glumet {

/// What there is to find of one sweep.
struct SweepFit {
    Expected<FitResult> fit;
    std::optional<HeightKnowledge> knowledge;  ///< which plane of the sweep tells most next
    std::vector<FittedHeight> heights;         ///< of all schools
};

/// The fit alone, of a sweep that is only part of a question; an emitter layout is chosen by the readings
/// where none is described.
SweepFit fitAlone(const Bench& bench, const Sweep& sweep, const Asked& asked);

/// Fits of a bench's sweeps while one question is worked on, remembered beyond it. The bench outlives them.
KeptFits fitsAlone(const Bench& bench, const Asked& asked);

/// A fit that is kept to take further readings one by one, and the bench as it knows it.
struct KeptFit {
    Bench bench;
    Sweep sweep;
    std::optional<StreamingFit> fit;
    std::vector<FittedHeight> heights;
    Method method;  ///< that the heights are by
    int added = 0;  ///< readings since it began
};

/// What a fit was asked of, and whether the schools' heights were asked with it.
struct FitAsked {
    Bench bench;
    Sweep sweep;
    bool heights = false;

    bool operator==(const FitAsked&) const = default;
};
RememberedAnswers<FitAsked, SweepFit>& rememberedFits();

/// Fits a sweep and asks what the fit knows of heights. When only a few readings were added to what is kept,
/// they are taken in one by one, a few milliseconds each; else the fit begins anew and is kept. The schools'
/// heights are those of the beginning, asked anew when the method or goal is another.
SweepFit fitSweep(const Bench& bench, const Sweep& sweep, KeptFit& kept, const Asked& asked);

}  // namespace glumet
