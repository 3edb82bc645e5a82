#pragma once

#include <cstddef>
#include <type_traits>

#include "core/base/quantity.h"

/// The one table of limits: what no bench, file or instrument of this trade comes near, and what lies beyond
/// it is refused by file, place and rule before it costs memory or time. docs/file-formats.md tells them to
/// users.
namespace glumet::limits {

// Magnitudes of single values.
inline constexpr double kLengthMm = 100'000.0;  ///< sizes, heights, depths, places
inline constexpr double kPpfd = 1'000'000.0;    ///< µmol·m⁻²·s⁻¹; full sun gives 2 200
inline constexpr double kFlux = 100'000'000.0;  ///< µmol·s⁻¹
inline constexpr double kWatts = 10'000'000.0;
inline constexpr double kSeconds = 100'000.0;
inline constexpr double kNumber = 1e12;  ///< shares, masses, prices, factors

// Counts.
inline constexpr int kAlongLattice = 1'000;  ///< emitters or cells along one side
inline constexpr int kAlongRings = 200;      ///< points along one side of a published grid
inline constexpr int kEmitters = 40'000;     ///< of a fixture
inline constexpr int kCells = 40'000;        ///< of a grid
inline constexpr int kFixtures = 1'000;      ///< over a tank
inline constexpr std::size_t kSceneEmitters = 100'000;
inline constexpr std::size_t kSceneObstacles = 1'000;
inline constexpr std::size_t kDepths = 1'000;           ///< of a scene
inline constexpr std::size_t kPoints = 1'000'000;       ///< of a scene
inline constexpr std::size_t kBeamNodes = 20'000;       ///< of a beam's table
inline constexpr double kAngles = 2'000;                ///< of a photometric file, each way
inline constexpr std::size_t kSpectrumPoints = 20'000;  ///< wavelengths of one spectrum
inline constexpr std::size_t kSpectra = 10'000;         ///< in one file
inline constexpr std::size_t kListed = 100'000;         ///< items of any list in a file
inline constexpr std::size_t kReadings = 5'000'000;     ///< of a project

// What a light model is fitted to; of more readings so many are used, spread evenly, and that is said.
inline constexpr std::size_t kFitReadings = 4'000;

// Texts.
inline constexpr std::size_t kNameBytes = 1'000;      ///< name, label, maker, kind, currency, time
inline constexpr std::size_t kTextBytes = 1'000'000;  ///< notes, spectra, values of unknown columns
inline constexpr std::size_t kShownName = 60;         ///< characters of a name in a sentence or list
inline constexpr std::size_t kErrorCharacters = 290;  ///< of the one line an error is
inline constexpr int kInstrumentLine = 512;           ///< bytes of a line that an instrument sends
inline constexpr int kSpectrumLine = 65'536;          ///< … of a spectrometer

// Time.
inline constexpr int kLinesPerSecond = 500;  ///< of an instrument; more are passed over and counted

// Files.
inline constexpr int kNesting = 64;  ///< of JSON
inline constexpr std::size_t kTableBytes = std::size_t{512} << 20U;
inline constexpr std::size_t kJsonBytes = std::size_t{64} << 20U;
inline constexpr std::size_t kPhotometryBytes = std::size_t{10} << 20U;
inline constexpr std::size_t kSpectrumBytes = std::size_t{10} << 20U;

/// The greatest magnitude of a value by its kind.
template <class Value>
constexpr double reach() {
    if constexpr (requires(Value v) {
                      typename Value::value_type;
                      v.has_value();
                  })
        return reach<typename Value::value_type>();
    else if constexpr (std::is_same_v<Value, Millimetre>)
        return kLengthMm;
    else if constexpr (std::is_same_v<Value, Ppfd>)
        return kPpfd;
    else if constexpr (std::is_same_v<Value, PhotonFlux>)
        return kFlux;
    else if constexpr (std::is_same_v<Value, Watt>)
        return kWatts;
    else if constexpr (std::is_same_v<Value, Second>)
        return kSeconds;
    else
        return kNumber;
}

}  // namespace glumet::limits
