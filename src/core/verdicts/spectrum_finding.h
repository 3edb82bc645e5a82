#pragma once

#include <utility>

#include "core/words/finding.h"

namespace glumet {

/// Findings whose evidence stands in Spectrum.
inline Finding spectrumFact(Words title, Words body) {
    return finding(FindingKind::Fact, std::move(title), std::move(body), EvidenceView::Spectrum);
}
inline Finding spectrumDoubt(Words title, Words body) {
    return finding(FindingKind::Doubt, std::move(title), std::move(body), EvidenceView::Spectrum);
}

}  // namespace glumet
