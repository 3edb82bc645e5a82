#pragma once

#include <array>
#include <utility>

#include "core/bench/describe.h"

namespace glumet {

/// Schools of mounting height; core/verdicts/height_schools.h says what each holds.
enum class HeightSchool { SpillLimit, Flattest, BandFill, PeakCap, MakersRange };
inline constexpr std::array kHeightSchools{HeightSchool::SpillLimit, HeightSchool::Flattest,
                                           HeightSchool::BandFill, HeightSchool::PeakCap,
                                           HeightSchool::MakersRange};
template <>
struct WordsOf<HeightSchool> {
    static constexpr bool stored = true;
    static constexpr std::array value{
        std::pair{HeightSchool::SpillLimit, "spill-limit"}, std::pair{HeightSchool::Flattest, "flattest"},
        std::pair{HeightSchool::BandFill, "band-fill"}, std::pair{HeightSchool::PeakCap, "peak-cap"},
        std::pair{HeightSchool::MakersRange, "makers-range"}};
};

/// Schools of spacing; core/verdicts/array.h.
enum class SpacingSchool { EdgeShare, SmoothSeam, BandFill };
template <>
struct WordsOf<SpacingSchool> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{SpacingSchool::EdgeShare, "edge-share"},
                                      std::pair{SpacingSchool::SmoothSeam, "smooth-seam"},
                                      std::pair{SpacingSchool::BandFill, "band-fill"}};
};

/// Schools of how much light:
///   NarrowBand  aims at the range of the livestock class;
///   BroadRange  takes anything from a third of it to three times it, and asks for slow change;
///   SandBed     asks besides for the band's lower end at the bottom;
///   Gradient    wants the range in the upper third of the water only, dimmer below on purpose.
enum class LightSchool { NarrowBand, BroadRange, SandBed, Gradient };
inline constexpr std::array kLightSchools{LightSchool::NarrowBand, LightSchool::BroadRange,
                                          LightSchool::SandBed, LightSchool::Gradient};
template <>
struct WordsOf<LightSchool> {
    static constexpr bool stored = true;
    static constexpr std::array value{
        std::pair{LightSchool::NarrowBand, "narrow-band"}, std::pair{LightSchool::BroadRange, "broad-range"},
        std::pair{LightSchool::SandBed, "sand-bed"}, std::pair{LightSchool::Gradient, "gradient"}};
};

}  // namespace glumet
