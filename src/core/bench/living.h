#pragma once

#include <array>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "core/base/id.h"
#include "core/base/value.h"
#include "core/bench/describe.h"
#include "core/bench/goal.h"

namespace glumet {

/// How the water moves at a spot: growth blamed on light is often flow.
enum class SpotFlow { Unknown, Low, Medium, High };
template <>
struct WordsOf<SpotFlow> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{SpotFlow::Unknown, "unknown"},
                                      std::pair{SpotFlow::Low, "low"}, std::pair{SpotFlow::Medium, "medium"},
                                      std::pair{SpotFlow::High, "high"}};
};

/// Light at a spot at one time.
struct SpotReading {
    Id id = 0;
    Ppfd mean{0};
    std::optional<Ppfd> min;  ///< of its swing
    std::optional<Ppfd> max;
    double tilt_deg = 0.0;  ///< of the probe against level: 0, or turned to the animal
    bool shaded = false;    ///< the reader saw something in the way
    std::string time;       ///< ISO date, or date and time
    std::string note;

    bool operator==(const SpotReading&) const = default;
};

/// A named place in a living tank, 0 ≤ x ≤ length, 0 ≤ y ≤ width, 0 ≤ depth ≤ water.
struct TankSpot {
    GLUMET_VALUE(TankSpot);

    Id id = 0;
    Id tank = 0;
    std::string name;
    Millimetre x{0};
    Millimetre y{0};
    Millimetre depth{0};
    SpotFlow flow = SpotFlow::Unknown;
    std::string note;
    std::string photo;  ///< a JPEG in base64; empty: none
    std::vector<SpotReading> readings;

    bool operator==(const TankSpot&) const = default;
};

/// Rock, wood or a grown colony that stands in the light: a box in the water, from < to, top < bottom.
struct Rock {
    Id id = 0;
    Id tank = 0;
    std::string name;
    Millimetre from_x{0};
    Millimetre to_x{0};
    Millimetre from_y{0};
    Millimetre to_y{0};
    Millimetre top{0};           ///< under the surface
    Millimetre bottom{0};        ///< the floor's depth where it stands on it
    double transmittance = 0.0;  ///< of its leaves or branches; 0 for stone
    std::string note;

    bool operator==(const Rock&) const = default;
};

/// How an organism does where it is.
enum class Wellbeing { Unknown, Thriving, Holding, Declining };
template <>
struct WordsOf<Wellbeing> {
    static constexpr bool stored = true;
    static constexpr std::array value{
        std::pair{Wellbeing::Unknown, "unknown"}, std::pair{Wellbeing::Thriving, "thriving"},
        std::pair{Wellbeing::Holding, "holding"}, std::pair{Wellbeing::Declining, "declining"}};
};

/// Something that lives at a spot, with the light it is given by a goal, or was seen to stand.
struct Organism {
    GLUMET_VALUE(Organism);

    Id id = 0;
    Id spot = 0;                   ///< 0: nowhere now
    std::string name;              ///< species
    Goal goal;                     ///< without a name: none
    std::optional<Ppfd> seen_low;  ///< the reviewer's own evidence of what it stands
    std::optional<Ppfd> seen_high;
    Wellbeing state = Wellbeing::Unknown;
    std::string since;  ///< ISO date at that spot
    std::string note;

    bool operator==(const Organism&) const = default;
};

enum class RampBy { Linear, Log };
template <>
struct WordsOf<RampBy> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{RampBy::Linear, "linear"}, std::pair{RampBy::Log, "log"}};
};

/// What happened on the way up.
enum class RampEventKind { Pause, Resume, StepBack };
template <>
struct WordsOf<RampEventKind> {
    static constexpr bool stored = true;
    static constexpr std::array value{std::pair{RampEventKind::Pause, "pause"},
                                      std::pair{RampEventKind::Resume, "resume"},
                                      std::pair{RampEventKind::StepBack, "step-back"}};
};
struct RampEvent {
    std::string day;  ///< ISO date
    RampEventKind kind = RampEventKind::Pause;
    std::string note;  ///< what was seen

    bool operator==(const RampEvent&) const = default;
};

/// A light that is raised slowly so that nothing bleaches; core/living/ramp.h computes its steps.
struct Acclimation {
    GLUMET_VALUE(Acclimation);

    Id id = 0;
    Id tank = 0;
    Id channel = 0;  ///< of a fixture; 0: all of the light
    std::string name;
    double from_pct = 50.0;
    double to_pct = 100.0;
    double weeks = 6.0;
    RampBy by = RampBy::Log;
    std::optional<double> cap_pct_week;  ///< per cent brighter that a week may be at most
    std::string start;                   ///< ISO date
    std::vector<RampEvent> events;       ///< in order of days
    std::string note;

    bool operator==(const Acclimation&) const = default;
};

}  // namespace glumet
