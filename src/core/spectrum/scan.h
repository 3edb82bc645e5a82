#pragma once

#include <vector>

#include "core/base/problem.h"
#include "core/base/spectrum.h"

namespace glumet {

/// Scans of one light, averaged.
struct ScanAverage {
    Spectrum spectrum;      ///< mean less dark, noise below 0 as 0
    double sd_share = 0.0;  ///< relative sd of single scans' PPFD
    int scans = 0;
    bool saturated = false;  ///< a scan is flat at its top: three greatest values on end
};

/// The mean of scans at the same wavelengths, less a dark scan at the same (empty: none). Fails without a
/// scan, where wavelengths differ, and where the dark is brighter than the light.
Expected<ScanAverage> averageOf(const std::vector<Spectrum>& scans, const Spectrum& dark = {});

/// Whether a scan has its greatest value three times on end, of more than six, in photons or in power.
bool isSaturated(const Spectrum& scan);

}  // namespace glumet
