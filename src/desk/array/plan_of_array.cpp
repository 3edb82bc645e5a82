#include "desk/array/plan_of_array.h"

#include <algorithm>
#include <cmath>

#include "core/verdicts/planned_light.h"

namespace glumet {
namespace {

constexpr double kQuarterTurn = 90.0;
constexpr double kNear = 1.0;  // mm
constexpr int kSides = 4;

bool near(double a, double b) { return std::abs(a - b) < kNear; }

/// The row's centres and way; nothing where they do not hang alike along the middle.
bool takeRow(const std::vector<HungFixture>& row, const Tank& tank, ChosenPlan& out) {
    const auto& first = row.front();
    const bool alike = std::all_of(row.begin(), row.end(), [&](const HungFixture& one) {
        return one.turn_deg == first.turn_deg && one.height == first.height &&
               one.level_pct == first.level_pct;
    });
    const auto middle = [&](const Millimetre HungFixture::*at, Millimetre whole) {
        return std::all_of(row.begin(), row.end(), [&](const HungFixture& one) {
            return near((one.*at).value(), 0.5 * whole.value());
        });
    };
    const bool turned = near(first.turn_deg, kQuarterTurn);
    const bool lengthwise = middle(&HungFixture::y, tank.width);
    if (!alike || (!turned && first.turn_deg != 0.0) ||
        (!lengthwise && !middle(&HungFixture::x, tank.length)))
        return false;
    for (const auto& one : row) out.centres_mm.push_back(lengthwise ? one.x.value() : one.y.value());
    std::sort(out.centres_mm.begin(), out.centres_mm.end());
    out.choices.count = static_cast<int>(row.size());
    out.choices.way = (lengthwise ? 0 : 2) + (turned ? 1 : 0);
    out.choices.height = first.height;
    out.choices.level_pct = first.level_pct;
    return true;
}

bool takeBeside(const HungFixture& hung, const Tank& tank, const std::vector<Sweep>& sweeps,
                double body_width_mm, ChosenPlan& out) {
    const auto* sweep = sweepOf(sweeps, hung);
    if (sweep == nullptr || hung.height != *out.choices.height) return false;
    for (int side = 0; side < kSides; ++side) {
        const auto place = besidePlace(tank.length.value(), tank.width.value(), body_width_mm, side);
        if (!near(place.x_mm, hung.x.value()) || !near(place.y_mm, hung.y.value()) ||
            place.turned != near(hung.turn_deg, kQuarterTurn))
            continue;
        out.choices.beside = sweep->configuration;
        out.choices.side = side;
        out.choices.beside_level = hung.level_pct / out.choices.level_pct;
        return true;
    }
    return false;
}

}  // namespace

BesidePlace besidePlace(double length_mm, double width_mm, double body_width_mm, int side) {
    constexpr double kGap = 15.0;
    const bool ends = side >= 2;
    const bool far_side = side % 2 == 1;
    const double off = 0.5 * body_width_mm + kGap;
    return {!ends      ? 0.5 * length_mm
            : far_side ? length_mm - off
                       : off,
            ends       ? 0.5 * width_mm
            : far_side ? width_mm - off
                       : off,
            ends};
}

PlannedArray planOf(const ArrayLight::Shown& shown, const ArrayChoices& choices, const Configuration& row,
                    const std::string& name) {
    const auto& q = shown.question;
    PlannedArray plan;
    plan.tank = choices.tank;
    plan.name = name;
    for (const double centre : shown.centres) {
        auto hung = hungAs(row);
        const bool lengthwise = q.along == RowAlong::Length;
        hung.x = Millimetre(lengthwise ? centre : 0.5 * q.tank.length_mm);
        hung.y = Millimetre(lengthwise ? 0.5 * q.tank.width_mm : centre);
        hung.turn_deg = q.turned ? kQuarterTurn : 0.0;
        hung.height = q.height;
        hung.level_pct = choices.level_pct;
        plan.fixtures.push_back(std::move(hung));
    }
    for (const auto& companion : q.companions) {
        if (!choices.beside) break;  // just taken down
        auto hung = hungAs(*choices.beside);
        hung.x = Millimetre(companion.x_mm);
        hung.y = Millimetre(companion.y_mm);
        hung.turn_deg = companion.rotation_deg;
        hung.height = companion.height;
        hung.level_pct = choices.level_pct * companion.level;
        plan.fixtures.push_back(std::move(hung));
    }
    return plan;
}

bool hangAlike(const PlannedArray& a, const PlannedArray& b) {
    constexpr double kNearLevel = 0.1;  // %
    return a.tank == b.tank &&
           std::equal(a.fixtures.begin(), a.fixtures.end(), b.fixtures.begin(), b.fixtures.end(),
                      [](const HungFixture& one, const HungFixture& other) {
                          auto same = one;
                          same.id = other.id;
                          for (const auto at : {&HungFixture::x, &HungFixture::y, &HungFixture::height})
                              if (near((one.*at).value(), (other.*at).value())) same.*at = other.*at;
                          if (std::abs(one.level_pct - other.level_pct) < kNearLevel)
                              same.level_pct = other.level_pct;
                          return same == other;
                      });
}

std::optional<ChosenPlan> chosenPlan(const PlannedArray& plan, const Tank& tank, const Bench& bench,
                                     const std::vector<Sweep>& sweeps, const Configuration& row,
                                     ArrayChoices before) {
    std::vector<HungFixture> own;
    std::vector<HungFixture> others;
    for (const auto& hung : plan.fixtures) (knownAs(hung, row) ? own : others).push_back(hung);
    if (own.empty() || others.size() > 1) return std::nullopt;
    ChosenPlan out{std::move(before), {}};
    out.choices.tank = tank.id;
    out.choices.beside.reset();
    if (!takeRow(own, tank, out)) return std::nullopt;
    if (others.empty()) return out;
    const auto* body = byId(bench.fixtures, others.front().fixture);
    if (body == nullptr || !takeBeside(others.front(), tank, sweeps, body->width.value(), out))
        return std::nullopt;
    return out;
}

}  // namespace glumet
