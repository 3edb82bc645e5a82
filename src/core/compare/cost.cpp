#include "core/compare/cost.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace glumet {
namespace {

constexpr double kDaysAYear = 365.0;
constexpr double kSecondsAnHour = 3600.0;

void addEnergy(Cost& out, const CostQuestion& q) {
    if (!q.power) {
        out.missing.push_back(say(GLUMET_SAY("Core", "its watts")));
        return;
    }
    out.kwh_year = q.count * q.power->value() * q.level * q.hours_day * kDaysAYear / 1000.0;
    if (q.price_kwh > 0.0)
        out.energy_year = *out.kwh_year * q.price_kwh;
    else
        out.missing.push_back(say(GLUMET_SAY("Core", "the price of a kilowatt-hour")));
}

void addLamps(Cost& out, const Fixture& fixture, const CostQuestion& q) {
    out.lamps = 0.0;
    if (fixture.life_h <= 0.0) return;
    const double burnt = q.hours_day * kDaysAYear * q.years;
    // A lamp that dies with the last day is not bought again.
    out.replacements = std::max(0, static_cast<int>(std::ceil(burnt / fixture.life_h - 1e-9)) - 1);
    const double each = fixture.lamp_price > 0.0 ? fixture.lamp_price : fixture.price;
    out.lamps = out.replacements * q.count * each;
}

}  // namespace

std::optional<double> priceOfOne(const Bench& bench, Id fixture_id, Id accessory_id) {
    const auto* fixture = byId(bench.fixtures, fixture_id);
    if (fixture == nullptr || fixture->price <= 0.0) return std::nullopt;
    const auto* accessory = byId(bench.accessories, accessory_id);
    return fixture->price + fixture->mount_price + (accessory == nullptr ? 0.0 : accessory->price);
}

Cost costOf(const Bench& bench, Id fixture_id, Id accessory, const CostQuestion& q) {
    Cost out;
    out.count = q.count;
    out.idle_share = std::clamp(1.0 - q.level, 0.0, 1.0);
    const auto* fixture = byId(bench.fixtures, fixture_id);
    if (fixture == nullptr) {
        out.missing.push_back(say(GLUMET_SAY("Core", "the fixture")));
        return out;
    }
    out.currency = fixture->currency;
    if (const auto one = priceOfOne(bench, fixture_id, accessory)) {
        out.buying = q.count * *one;
        out.idle_price = out.idle_share * *out.buying;
    } else {
        out.missing.push_back(say(GLUMET_SAY("Core", "its price")));
    }
    addEnergy(out, q);
    if (out.buying) addLamps(out, *fixture, q);
    if (out.buying && out.energy_year) {
        out.total = *out.buying + *out.lamps + *out.energy_year * q.years;
        out.per_year = *out.total / q.years;
    }
    if (q.delivered) {
        out.moles_year = q.delivered->value() * q.level * q.hours_day * kSecondsAnHour * kDaysAYear / 1e6;
        if (out.per_year && *out.moles_year > 0.0) out.per_mole = *out.per_year / *out.moles_year;
    }
    return out;
}

bool Currencies::mixed() const { return std::find(other.begin(), other.end(), true) != other.end(); }

Currencies currenciesOf(const Bench& bench, const std::vector<Id>& fixtures) {
    const auto currencyOf = [&](Id id) -> const std::string* {
        const auto* fixture = byId(bench.fixtures, id);
        return fixture == nullptr || fixture->price <= 0.0 ? nullptr : &fixture->currency;
    };
    std::map<std::string, int> counts;
    Currencies out;
    for (const Id id : fixtures)
        if (const auto* currency = currencyOf(id)) ++counts[*currency];
    int most = 0;
    for (const auto& [currency, count] : counts)
        if (count > most) {
            most = count;
            out.common = currency;
        }
    for (const Id id : fixtures) {
        const auto* currency = currencyOf(id);
        out.other.push_back(currency != nullptr && *currency != out.common);
    }
    return out;
}

}  // namespace glumet
