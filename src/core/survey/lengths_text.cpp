#include "core/survey/lengths_text.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/base/trimmed.h"
#include "core/words/typed.h"

namespace glumet {
namespace {

constexpr std::size_t kMostLengths = 200;

std::vector<std::string> pieces(std::string_view text, std::string_view separators) {
    std::vector<std::string> out;
    while (true) {
        const auto end = text.find_first_of(separators);
        if (const auto piece = trimmed(text.substr(0, end)); !piece.empty()) out.emplace_back(piece);
        if (end == std::string_view::npos) return out;
        text.remove_prefix(end + 1);
    }
}

std::string replaced(std::string_view text, std::string_view from, char to) {
    std::string out;
    while (true) {
        const auto at = text.find(from);
        out += text.substr(0, at);
        if (at == std::string_view::npos) return out;
        out += to;
        text.remove_prefix(at + from.size());
    }
}

}  // namespace

std::string obstaclesText(const std::vector<Obstacle>& obstacles, LengthUnit unit) {
    std::string text;
    for (const auto& o : obstacles) {
        if (!text.empty()) text += "; ";
        text +=
            fmt::format("{} {}–{} × {}–{}", o.name, lengthFigure(o.from_x, unit), lengthFigure(o.to_x, unit),
                        lengthFigure(o.from_y, unit), lengthFigure(o.to_y, unit));
    }
    return text;
}

Expected<std::vector<Obstacle>> parseObstacles(std::string_view text, LengthUnit unit, const Tank& tank) {
    const auto plain = replaced(replaced(replaced(text, "–", '-'), "×", '*'), " x ", '*');
    std::vector<Obstacle> out;
    for (const auto& piece : pieces(plain, ";")) {
        const auto sides = pieces(piece, "*");
        // The name ends where the first figure begins.
        const auto figure = sides.empty() ? std::string::npos : sides.front().find_first_of("0123456789");
        std::optional<std::pair<Millimetre, Millimetre>> along;
        std::optional<std::pair<Millimetre, Millimetre>> across;
        if (sides.size() == 2 && figure != std::string::npos) {
            along = parseLengthRange(sides[0].substr(figure), unit);
            across = parseLengthRange(sides[1], unit);
        }
        if (!along || !across)
            return problem("", say(GLUMET_SAY("Core",
                                              "\"{}\" is not understood: write name, range along the length "
                                              "× range along the width, such as brace 28–32 × 0–60"),
                                   piece));
        if (along->first >= tank.length || across->first >= tank.width)
            return problem("", say(GLUMET_SAY("Core", "\"{}\" lies outside the tank"), piece));
        const std::string name(trimmed(sides.front().substr(0, figure)));
        out.push_back(
            {name.empty() ? "obstacle" : name, along->first, along->second, across->first, across->second});
    }
    return out;
}

Expected<std::vector<Millimetre>> parseLengths(std::string_view text, LengthUnit unit) {
    const auto plain = replaced(text, "–", '-');
    const bool semicolons = plain.find(';') != std::string::npos;
    std::vector<Millimetre> out;
    const auto wrong = [](const std::string& piece) {
        return problem(
            "", say(GLUMET_SAY("Core",
                               "\"{}\" is not understood: write lengths such as 12, 15, 18 or 12–30 by 3"),
                    piece));
    };
    for (const auto& piece : pieces(plain, semicolons ? ";" : ",;")) {
        const auto by = piece.find(" by ");
        if (by == std::string::npos) {
            const auto length = parseLength(piece, unit);
            if (!length || length->value() < 0.0) return wrong(piece);
            out.push_back(*length);
            continue;
        }
        const auto range = parseLengthRange(piece.substr(0, by), unit);
        const auto step = parseLength(piece.substr(by + 4), unit);
        if (!range || !step || step->value() <= 0.0) return wrong(piece);
        const double count = std::floor((range->second - range->first) / *step + 1e-9);
        if (count > static_cast<double>(kMostLengths))
            return problem("", say(GLUMET_SAY("Core", "more than 200 steps are asked for")));
        for (int i = 0; i <= static_cast<int>(count); ++i) out.push_back(range->first + *step * i);
    }
    if (out.size() > kMostLengths)
        return problem("", say(GLUMET_SAY("Core", "more than 200 lengths are asked for")));
    std::sort(out.begin(), out.end());
    out.erase(std::unique(out.begin(), out.end(),
                          [](Millimetre a, Millimetre b) { return std::abs((a - b).value()) <= 0.5; }),
              out.end());
    return out;
}

std::string lengthsText(const std::vector<Millimetre>& lengths, LengthUnit unit) {
    std::string text;
    for (const auto length : lengths)
        text += fmt::format("{}{}", text.empty() ? "" : ", ", lengthFigure(length, unit));
    return text;
}

}  // namespace glumet
