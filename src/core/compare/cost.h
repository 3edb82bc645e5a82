#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/quantity.h"
#include "core/base/sentence.h"
#include "core/bench/bench.h"

namespace glumet {

/// What running a number of fixtures is asked with.
struct CostQuestion {
    int count = 1;
    std::optional<Watt> power;  ///< of one at full level
    double level = 1.0;         ///< 0–1, it is run at
    double hours_day = 10.0;
    double price_kwh = 0.0;               ///< 0: not stated
    double years = 5.0;                   ///< > 0
    std::optional<PhotonFlux> delivered;  ///< at full level, of all together, at the plane that counts
};

/// What fixtures cost over the years. What is not stated is missing, and what rests on it is not given.
struct Cost {
    int count = 1;
    std::string currency;
    std::optional<double> buying;  ///< fixtures, accessories, mounts
    std::optional<double> kwh_year;
    std::optional<double> energy_year;
    int replacements = 0;         ///< of lamps, within the years, by the stated life
    std::optional<double> lamps;  ///< what those cost
    std::optional<double> total;  ///< over the years
    std::optional<double> per_year;
    std::optional<double> moles_year;  ///< delivered
    std::optional<double> per_mole;
    double idle_share = 0.0;           ///< of the paid output that is turned down
    std::optional<double> idle_price;  ///< that share of the buying price
    std::vector<Words> missing;
};

/// Price of one with its accessory and mounts; nothing where the fixture's is not stated.
std::optional<double> priceOfOne(const Bench& bench, Id fixture, Id accessory);

/// Buying: count × (fixture + accessory + mounts). Energy a year: count × watts × level × hours × 365 ÷ 1000
/// kWh; watts are taken to rise with the level. Lamps: every `life_h` hours of burning new ones, or the
/// fixture again where no price of lamps is stated; none where no life is. Moles: delivered × level × hours
/// × 3600 × 365 ÷ 10⁶.
Cost costOf(const Bench& bench, Id fixture, Id accessory, const CostQuestion& question);

/// The currency that most priced fixtures among these have, and of each whether it has another.
struct Currencies {
    std::string common;
    std::vector<bool> other;

    bool mixed() const;
};
Currencies currenciesOf(const Bench& bench, const std::vector<Id>& fixtures);

}  // namespace glumet
