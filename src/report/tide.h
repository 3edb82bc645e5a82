#pragma once

namespace glumet {

/// sRGB, each 0–255.
struct Rgb {
    int red = 0;
    int green = 0;
    int blue = 0;
    bool operator==(const Rgb&) const = default;
};

/// The field scale "tide", from deep slate (0) to cream (1): its OKLab lightness rises evenly enough to be
/// read in grey print and by any colour vision. Values outside 0…1 take the end colours.
Rgb tide(double share);

/// OKLab lightness of a colour, 0–1 (Ottosson 2020).
double perceivedLightness(Rgb colour);

/// Near-black or near-white, whichever is read more easily on `ground`.
Rgb inkOn(Rgb ground);

/// WCAG contrast ratio of two colours, 1–21.
double contrast(Rgb a, Rgb b);

}  // namespace glumet
