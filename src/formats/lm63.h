#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/base/beam.h"

namespace glumet {

/// What a photometric file says of a luminaire that Glumet uses.
struct Photometry {
    Beam beam;               ///< 0…90° from straight down; by planes unless all are alike
    std::string name;        ///< of the luminaire, from its keywords; may be empty
    double length_mm = 0.0;  ///< of the luminous opening; 0 where it is a point
    double width_mm = 0.0;
    double watt = 0.0;          ///< input power stated, 0 if none
    double upward_share = 0.0;  ///< of the flux above the horizontal, which no tank sees; 0–1
    double unevenness = 0.0;    ///< greatest departure of a plane from their mean, as a share of the peak
};

/// Reads IES LM-63-2002 and LM-63-2019: photometric type C, horizontal angles 0; 0…90; 0…180; 0…360; 90…270,
/// TILT=NONE. Other revisions, types A and B and other tilts are refused by name. Candela values times the
/// multiplier and the ballast factors make the table; its unit does not matter for a beam. Planes that differ
/// by more than 10⁻⁹ of the peak are kept, from the length of the opening (x) towards its width (y); those
/// of 90…270° are mirrored into a whole turn. Shares of the flux weigh each plane by half the angles to its
/// neighbours.
/// The error says what is wrong at which line. Limits: 10 MB, 2 000 vertical and 2 000 horizontal angles.
Expected<Photometry> readLm63(std::string_view bytes);

/// Writes a beam as LM-63-2019, type C, with its planes, at the beam's own angles or every degree.
/// Intensities are photons, µmol·s⁻¹·sr⁻¹ for `flux_umol_s` emitted, in the places of candela, and the file's
/// keywords say so. Six significant figures.
std::string writeLm63(const Beam& beam, double flux_umol_s, const std::string& name);

}  // namespace glumet
