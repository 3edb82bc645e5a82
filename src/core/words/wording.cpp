#include "core/words/wording.h"

#include <fmt/format.h>

#include <array>
#include <charconv>
#include <cmath>

#include "core/base/trimmed.h"

namespace glumet {
namespace {

constexpr double kMillimetrePerInch = 25.4;

/// Up to one decimal, none when it is zero: 25 → "25", 25.46 → "25.5".
std::string shortDecimal(double value) {
    const double rounded = std::round(value * 10.0) / 10.0;
    if (rounded == std::round(rounded)) return fmt::format("{:.0f}", rounded + 0.0);
    return fmt::format("{:.1f}", rounded);
}

std::string inchFigure(Millimetre length) {
    const long eighths = std::lround(std::abs(length.value()) / kMillimetrePerInch * 8.0);
    const char* sign = length.value() < 0 && eighths != 0 ? "-" : "";
    const long whole = eighths / 8;
    long top = eighths % 8;
    long bottom = 8;
    while (top != 0 && top % 2 == 0) {
        top /= 2;
        bottom /= 2;
    }
    if (top == 0) return fmt::format("{}{}", sign, whole);
    if (whole == 0) return fmt::format("{}{}/{}", sign, top, bottom);
    return fmt::format("{}{} {}/{}", sign, whole, top, bottom);
}

/// "9 7/8", "7/8" or a plain decimal.
std::optional<double> parseMixedFraction(std::string_view text) {
    const auto slash = text.find('/');
    if (slash == std::string_view::npos) return parseNumber(text);
    const auto bottom = parseNumber(text.substr(slash + 1));
    const auto space = text.substr(0, slash).find_last_of(' ');
    const auto start = space == std::string_view::npos ? 0 : space + 1;
    const auto top = parseNumber(text.substr(start, slash - start));
    if (!top || !bottom || *bottom <= 0.0) return std::nullopt;
    const auto wholeText = trimmed(text.substr(0, start));
    const auto whole = wholeText.empty() ? std::optional<double>(0.0) : parseNumber(wholeText);
    if (!whole) return std::nullopt;
    return *whole + *top / *bottom;
}

struct UnitWord {
    std::string_view word;
    double millimetre;
};

constexpr std::array kUnitWords{UnitWord{"mm", 1.0},
                                UnitWord{"cm", 10.0},
                                UnitWord{"inch", kMillimetrePerInch},
                                UnitWord{"in", kMillimetrePerInch},
                                UnitWord{"\"", kMillimetrePerInch},
                                UnitWord{"m", 1000.0}};

double millimetresPer(LengthUnit unit) {
    switch (unit) {
        case LengthUnit::Cm:
            return 10.0;
        case LengthUnit::Mm:
            return 1.0;
        case LengthUnit::Inch:
            return kMillimetrePerInch;
    }
    return 1.0;
}

}  // namespace

std::string lengthFigure(Millimetre length, LengthUnit unit) {
    if (unit == LengthUnit::Inch) return inchFigure(length);
    if (unit == LengthUnit::Mm) return fmt::format("{:.0f}", std::round(length.value()) + 0.0);
    return shortDecimal(length.value() / 10.0);
}

std::string unitName(LengthUnit unit) {
    switch (unit) {
        case LengthUnit::Cm:
            return "cm";
        case LengthUnit::Mm:
            return "mm";
        case LengthUnit::Inch:
            return "in";
    }
    return "mm";
}

std::string lengthText(Millimetre length, LengthUnit unit) {
    return lengthFigure(length, unit) + " " + unitName(unit);
}

std::string lengthRange(Millimetre low, Millimetre high, LengthUnit unit) {
    return lengthFigure(low, unit) + "–" + lengthText(high, unit);
}

std::optional<Millimetre> parseLength(std::string_view text, LengthUnit assumed) {
    text = trimmed(text);
    double factor = millimetresPer(assumed);
    for (const auto& unit : kUnitWords) {
        if (!text.ends_with(unit.word)) continue;
        text = trimmed(text.substr(0, text.size() - unit.word.size()));
        factor = unit.millimetre;
        break;
    }
    const auto number = parseMixedFraction(text);
    if (!number) return std::nullopt;
    return Millimetre(*number * factor);
}

std::string ppfdFigure(Ppfd ppfd) {
    if (std::abs(ppfd.value()) < 9.95) return fmt::format("{:.1f}", ppfd.value());
    return fmt::format("{:.0f}", ppfd.value());
}

std::string percentText(double share) {
    const double percent = share * 100.0;
    if (std::abs(percent) < 9.95 && percent != std::round(percent)) return fmt::format("{:.1f} %", percent);
    return fmt::format("{:.0f} %", percent);
}

std::optional<double> parseNumber(std::string_view text) {
    text = trimmed(text);
    std::string dotted(text);
    const auto comma = dotted.find(',');
    if (comma != std::string::npos) {
        if (dotted.find_first_of(",.", comma + 1) != std::string::npos) return std::nullopt;
        if (dotted.find('.') < comma) return std::nullopt;
        dotted[comma] = '.';
    }
    if (dotted.starts_with('+')) dotted.erase(0, 1);
    double value = 0.0;
    const auto* end = dotted.data() + dotted.size();
    const auto [stop, error] = std::from_chars(dotted.data(), end, value);
    if (error != std::errc() || stop != end || !std::isfinite(value)) return std::nullopt;
    return value;
}

}  // namespace glumet
