#include "report/tide.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace glumet {
namespace {

struct Lab {
    double lightness;
    double a;
    double b;
};

double linear(int channel) {
    const double value = channel / 255.0;
    return value <= 0.04045 ? value / 12.92 : std::pow((value + 0.055) / 1.055, 2.4);
}

int encoded(double value) {
    value = std::clamp(value, 0.0, 1.0);
    const double gamma = value <= 0.0031308 ? 12.92 * value : 1.055 * std::pow(value, 1.0 / 2.4) - 0.055;
    return static_cast<int>(std::lround(gamma * 255.0));
}

Lab labOf(Rgb colour) {
    const double r = linear(colour.red);
    const double g = linear(colour.green);
    const double b = linear(colour.blue);
    const double l = std::cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
    const double m = std::cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
    const double s = std::cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
    return {0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
            1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
            0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s};
}

Rgb rgbOf(Lab lab) {
    const auto cubed = [](double v) { return v * v * v; };
    const double l = cubed(lab.lightness + 0.3963377774 * lab.a + 0.2158037573 * lab.b);
    const double m = cubed(lab.lightness - 0.1055613458 * lab.a - 0.0638541728 * lab.b);
    const double s = cubed(lab.lightness - 0.0894841775 * lab.a - 1.2914855480 * lab.b);
    return {encoded(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s),
            encoded(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s),
            encoded(-0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s)};
}

struct Stop {
    double at;
    Rgb colour;
};

constexpr std::array kStops{Stop{0.00, {0x12, 0x22, 0x2A}}, Stop{0.22, {0x17, 0x42, 0x4E}},
                            Stop{0.45, {0x2D, 0x70, 0x6C}}, Stop{0.66, {0x78, 0xA0, 0x68}},
                            Stop{0.84, {0xD6, 0xC4, 0x6E}}, Stop{1.00, {0xFC, 0xF0, 0xCC}}};

double luminance(Rgb colour) {
    return 0.2126 * linear(colour.red) + 0.7152 * linear(colour.green) + 0.0722 * linear(colour.blue);
}

}  // namespace

Rgb tide(double share) {
    share = std::isfinite(share) ? std::clamp(share, 0.0, 1.0) : 0.0;
    std::size_t next = 1;
    while (next + 1 < kStops.size() && kStops[next].at < share) ++next;
    const auto& from = kStops[next - 1];
    const auto& to = kStops[next];
    const double t = (share - from.at) / (to.at - from.at);
    const Lab a = labOf(from.colour);
    const Lab b = labOf(to.colour);
    return rgbOf({std::lerp(a.lightness, b.lightness, t), std::lerp(a.a, b.a, t), std::lerp(a.b, b.b, t)});
}

double perceivedLightness(Rgb colour) { return labOf(colour).lightness; }

double contrast(Rgb a, Rgb b) {
    const double high = std::max(luminance(a), luminance(b));
    const double low = std::min(luminance(a), luminance(b));
    return (high + 0.05) / (low + 0.05);
}

Rgb inkOn(Rgb ground) {
    constexpr Rgb dark{0x12, 0x12, 0x10};
    constexpr Rgb light{0xF6, 0xF0, 0xE4};
    return contrast(dark, ground) >= contrast(light, ground) ? dark : light;
}

}  // namespace glumet
