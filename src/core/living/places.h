#pragma once

#include <optional>
#include <vector>

#include "core/base/band.h"
#include "core/bench/bench.h"

namespace glumet {

/// What light an organism is looked for, and why.
struct WantedLight {
    enum class Basis { Seen, Goal, Had } basis = Basis::Seen;
    Band band{Ppfd(0), Ppfd(0)};
};
/// Its own evidence first, else its goal's band, else, where it thrives, what it has now a quarter either
/// way. Nothing where none of that is known.
std::optional<WantedLight> wantedBy(const Bench& bench, const Organism& organism);

/// A spot for an organism.
struct PlaceFor {
    Id spot = 0;
    Ppfd light{0};        ///< read there last
    bool within = false;  ///< of the band that is wanted
    double away = 0.0;    ///< |ln| of the light against the band's geometric middle
    Id lives_there = 0;   ///< another organism; 0: free
};
/// Every spot that was read, in any of the user's living tanks, but its own: those within the band first,
/// then by how near they come to its middle, free ones before taken ones of the same.
std::vector<PlaceFor> placesFor(const Bench& bench, const Organism& organism);

/// What others of its kind were seen at: levels with how they did, brightest first. The broad-range school
/// shows these instead of one number.
struct SameKind {
    Id organism = 0;
    Ppfd light{0};
    Wellbeing state = Wellbeing::Unknown;
};
std::vector<SameKind> sameKind(const Bench& bench, const Organism& organism);

/// How bright a spot is against a goal's band.
enum class LightZone { Dim, Middle, Bright };
LightZone zoneOf(Ppfd light, const Band& band);

}  // namespace glumet
