#include "core/living/places.h"

#include <algorithm>
#include <cmath>
#include <tuple>

#include "core/living/survey_history.h"

namespace glumet {
namespace {

constexpr double kAround = 1.25;

const SpotReading* lightOf(const Bench& bench, Id spot) {
    const auto* at = byId(bench.spots, spot);
    return at == nullptr ? nullptr : latestAt(*at);
}

double middleOf(const Band& band) {
    const double low = std::max(1e-3, band.low.value());
    return std::sqrt(low * std::max(low, band.high.value()));
}

}  // namespace

std::optional<WantedLight> wantedBy(const Bench& bench, const Organism& organism) {
    const auto* has = lightOf(bench, organism.spot);
    if (organism.seen_low && organism.seen_high)
        return WantedLight{WantedLight::Basis::Seen, {*organism.seen_low, *organism.seen_high}};
    if (!organism.goal.name.empty()) return WantedLight{WantedLight::Basis::Goal, organism.goal.band};
    if (has != nullptr && organism.state == Wellbeing::Thriving)
        return WantedLight{WantedLight::Basis::Had, {has->mean / kAround, has->mean * kAround}};
    return std::nullopt;
}

std::vector<PlaceFor> placesFor(const Bench& bench, const Organism& organism) {
    const auto wanted = wantedBy(bench, organism);
    if (!wanted) return {};
    std::vector<PlaceFor> out;
    for (const auto& spot : bench.spots) {
        const auto* reading = latestAt(spot);
        if (spot.id == organism.spot || reading == nullptr || !(reading->mean.value() > 0.0)) continue;
        PlaceFor place{spot.id, reading->mean};
        place.within = reading->mean >= wanted->band.low && reading->mean <= wanted->band.high;
        place.away = std::abs(std::log(reading->mean.value() / middleOf(wanted->band)));
        for (const auto& other : bench.organisms)
            if (other.spot == spot.id && other.id != organism.id) place.lives_there = other.id;
        out.push_back(place);
    }
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) {
        return std::tuple(!a.within, a.lives_there != 0, a.away) <
               std::tuple(!b.within, b.lives_there != 0, b.away);
    });
    return out;
}

std::vector<SameKind> sameKind(const Bench& bench, const Organism& organism) {
    std::vector<SameKind> out;
    for (const auto& other : bench.organisms)
        if (other.name == organism.name)
            if (const auto* reading = lightOf(bench, other.spot))
                out.push_back({other.id, reading->mean, other.state});
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.light > b.light; });
    return out;
}

LightZone zoneOf(Ppfd light, const Band& band) {
    return light < band.low ? LightZone::Dim : light > band.high ? LightZone::Bright : LightZone::Middle;
}

}  // namespace glumet
