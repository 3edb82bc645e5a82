#include "core/verdicts/array_limits.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kTouchMm = 0.01;     // bodies that touch do not overlap
constexpr double kWallToWall = 0.95;  // of the tank: what reaches so far is a brace

}  // namespace

std::optional<Problem> ArrayLimits::wrongHeight(Millimetre height) const {
    if (lowest && height < *lowest)
        return Problem{"height", say(GLUMET_SAY("Core", "must not be below the lowest allowed"))};
    if (highest && height > *highest)
        return Problem{"height", say(GLUMET_SAY("Core", "must not be above the highest allowed"))};
    return std::nullopt;
}

RowRoom::RowRoom(double tank_length_mm, double tank_width_mm, RowAlong along, double body_length_mm,
                 double body_width_mm, const ArrayLimits& limits, const std::vector<Footprint>& others) {
    const bool lengthwise = along == RowAlong::Length;
    length_ = lengthwise ? tank_length_mm : tank_width_mm;
    const double across = lengthwise ? tank_width_mm : tank_length_mm;
    body_ = lengthwise ? body_length_mm : body_width_mm;
    const double body_across = lengthwise ? body_width_mm : body_length_mm;
    const auto canopy = [](double asked, double tank) { return asked > 0.0 ? asked : tank; };
    const double room = canopy(lengthwise ? limits.canopy_length_mm : limits.canopy_width_mm, length_);
    const double room_across = canopy(lengthwise ? limits.canopy_width_mm : limits.canopy_length_mm, across);
    // Without a canopy a fixture wider than the tank may still hang over it.
    const bool bounded_across = (lengthwise ? limits.canopy_width_mm : limits.canopy_length_mm) > 0.0;
    low_ = 0.5 * (length_ - room) + 0.5 * body_;
    high_ = length_ - low_;
    any_ = low_ <= high_ + kTouchMm && (!bounded_across || body_across <= room_across + kTouchMm);
    if (low_ > high_) low_ = high_ = 0.5 * length_;
    if (limits.clear_of_braces)
        for (const auto& o : limits.obstacles) {
            const auto reach = lengthwise ? o.to_y - o.from_y : o.to_x - o.from_x;
            if (reach.value() < kWallToWall * across) continue;
            cut(lengthwise ? o.from_x.value() : o.from_y.value(),
                lengthwise ? o.to_x.value() : o.to_y.value());
        }
    for (const auto& other : others) {
        const double apart =
            lengthwise ? other.y_mm - 0.5 * tank_width_mm : other.x_mm - 0.5 * tank_length_mm;
        const double other_across = lengthwise ? other.width_mm : other.length_mm;
        if (std::abs(apart) >= 0.5 * (body_across + other_across) - kTouchMm) continue;
        const double middle = lengthwise ? other.x_mm : other.y_mm;
        const double extent = lengthwise ? other.length_mm : other.width_mm;
        cut(middle - 0.5 * extent, middle + 0.5 * extent);
    }
}

/// No body may cover this piece of the row.
void RowRoom::cut(double from, double to) {
    cuts_.emplace_back(from - 0.5 * body_ + kTouchMm, to + 0.5 * body_ - kTouchMm);
}

bool RowRoom::allows(double centre) const {
    if (centre < low_ - kTouchMm || centre > high_ + kTouchMm) return false;
    return std::none_of(cuts_.begin(), cuts_.end(),
                        [&](const auto& c) { return centre > c.first && centre < c.second; });
}

std::optional<double> RowRoom::nearest(double centre) const {
    std::vector<double> places{std::clamp(centre, low_, high_)};
    for (const auto& [from, to] : cuts_) {
        places.push_back(from);
        places.push_back(to);
    }
    std::optional<double> best;
    for (const double place : places)
        if (allows(place) && (!best || std::abs(place - centre) < std::abs(*best - centre))) best = place;
    return best;
}

bool RowRoom::allows(const std::vector<double>& centres) const {
    for (std::size_t i = 0; i < centres.size(); ++i) {
        if (!allows(centres[i])) return false;
        if (i > 0 && centres[i] - centres[i - 1] < body_ - kTouchMm) return false;
    }
    return true;
}

}  // namespace glumet
