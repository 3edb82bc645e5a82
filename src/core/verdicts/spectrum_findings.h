#pragma once

#include <optional>
#include <vector>

#include "core/bench/bench.h"
#include "core/verdicts/blending_tests.h"
#include "core/verdicts/channel_mix.h"
#include "core/words/finding.h"

namespace glumet {

/// What a meter's readings of a mix are to be multiplied by, by the response that its profile states; nothing
/// without a response or a spectrum. Its uncertainty: half of what it changes where the spectrum is assumed,
/// a tenth where it was measured.
std::optional<MeterCorrection> correctionByResponse(const MeterProfile& meter, const Spectrum& light,
                                                    bool assumed, const std::string& preset);

/// What the stage is looking at.
struct SpectrumQuestion {
    const Run* run = nullptr;
    const Plane* plane = nullptr;
    const RunMix* mix = nullptr;
    std::vector<double> levels;  ///< of the mix, 0–1
    Band band{Ppfd(0), Ppfd(0)};
};

/// Coverage, colour, watts, the meter, the water, blending; then what is assumed and what to do about it.
std::vector<Finding> spectrumFindings(const Bench& bench, const SpectrumQuestion& question,
                                      const std::vector<BlendingTest>& tests);

}  // namespace glumet
