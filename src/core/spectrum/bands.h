#pragma once

#include <vector>

#include "core/base/problem.h"
#include "core/base/spectrum.h"

namespace glumet {

/// Near-UV to far red, 380–780 nm without a gap: what is named where the reviewer named nothing else.
const std::vector<SpectralBand>& standardBands();
/// The reviewer's bands, or the ready ones.
const std::vector<SpectralBand>& bandsOr(const std::vector<SpectralBand>& own);

/// Share of the photons of 380–780 nm in each band; all 0 without light there.
std::vector<double> bandShares(const Spectrum& spectrum, const std::vector<SpectralBand>& bands);

/// PAR, 400–700 nm, and extended PAR, 400–750 nm, in the unit of the spectrum times nm.
double parOf(const Spectrum& spectrum);
double extendedParOf(const Spectrum& spectrum);

/// "near-UV 380–400, violet 400–430": names and spans, both ways. A span ends after it begins, within
/// 200–1200 nm; names are not repeated.
std::string bandsText(const std::vector<SpectralBand>& bands);
Expected<std::vector<SpectralBand>> parseBands(const std::string& text);

}  // namespace glumet
