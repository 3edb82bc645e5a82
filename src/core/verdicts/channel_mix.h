#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/bench/bench.h"
#include "core/bench/sweep.h"
#include "core/fit/fit.h"
#include "core/spectrum/mix.h"

namespace glumet {

/// The spectrum that stands for a channel, or for a whole mix.
struct StandingSpectrum {
    const SpectrumRecord* record = nullptr;  ///< what was read or filed; nullptr: none
    Spectrum spectrum;                       ///< empty: nothing is known
    bool assumed = false;                    ///< from stated peaks, or from the channel's name alone
};
/// Of a channel: the latest read in air or without a place, else of a file, else what was stated, else what a
/// channel of that name usually is. Points of blending tests stand for nothing.
StandingSpectrum spectrumOf(const Bench& bench, Id fixture, const Channel& channel);

/// Where a channel's light at a place comes from.
enum class ChannelBasis {
    Read,      ///< the channel was read alone there
    Modelled,  ///< it was read alone at other heights, and its fit speaks for this one
    Shares,    ///< all channels were read together, and the channel's flux share is stated
    Even,      ///< all were read together, and nothing tells them apart
};

/// A channel of a mix.
struct ChannelOfMix {
    Id channel = 0;
    std::string name;
    ChannelBasis basis = ChannelBasis::Even;
    bool watt_shared = false;    ///< its draw is a share of the whole, not read
    std::vector<double> points;  ///< PPFD at full level at each point of the run, µmol·m⁻²·s⁻¹
};

/// The channels of a run's fixture as light at the run's own points, plane by plane.
struct RunMix {
    std::vector<ChannelOfMix> channels;
    Mix mix{{}, {}};       ///< by the means of the chosen plane
    std::size_t from = 0;  ///< points of the chosen plane among all
    std::size_t to = 0;
    std::vector<Cell> cells;     ///< of the chosen plane, as its points; empty where it has no grid
    double water_m = 0.0;        ///< above the chosen plane: channels' spectra are as it leaves them
    double together = 1.0;       ///< what the channels give together, over what was read with all of them
    std::vector<double> set_to;  ///< levels of the run itself, 0–1
};

/// PPFD at full level of channels that were not read alone at this height, by their fits: one a channel of
/// the fixture, at every counted reading of the run, plane by plane; empty where there is no fit.
using ModelledChannels = std::vector<std::vector<double>>;

/// What is told where there is none: no channels, no readings.
Expected<RunMix> mixOf(const Bench& bench, const Run& run, const Plane& plane,
                       const ModelledChannels& modelled = {});

/// Sweeps of single channels of that fixture, one fixture hung, with the same accessory.
std::vector<const Sweep*> channelSweeps(const Bench& bench, const std::vector<Sweep>& sweeps,
                                        const Configuration& of);

/// What a fit of a channel gives at every counted reading of a run, as if its light hung there at full level;
/// empty where it cannot be hung there.
std::vector<double> modelledPoints(const Bench& bench, const Run& run, const FitResult& fit);

/// PPFD at every point of the run at these levels (0–1).
std::vector<double> pointsAt(const RunMix& mix, const std::vector<double>& levels);

/// Share of the run's points within the band at these levels.
double shareInBand(const RunMix& mix, const std::vector<double>& levels, const Band& band);

/// Levels of a preset, 0–1: channels that it does not list are off; all on for one without levels.
std::vector<double> levelsOf(const RunMix& mix, const Preset& preset);

/// Colour of each point of the chosen plane and its Δu'v' from the plane's middle, at these levels; empty
/// where a shining channel has no spectrum, or where all points have the same mix because no channel was read
/// alone.
struct PlaneColours {
    std::vector<Chromaticity> colours;
    std::vector<double> distances;
};
PlaneColours planeColours(const RunMix& mix, const std::vector<double>& levels);

/// The mix at one point of the run, by its number among all of them.
MixState stateAt(const RunMix& mix, const std::vector<double>& levels, std::size_t point);

/// A spectrum that was read at that place of the run: its fixture, tank and height, within 5 mm; the latest.
const SpectrumRecord* spectrumReadAt(const Bench& bench, const Run& run, Millimetre depth, Millimetre x,
                                     Millimetre y);

/// A light's output by its level, from runs of that channel, or mix, set as `like` is but for the level: each
/// against that at full level, over the places both have, four or more.
std::optional<DimmingCurve> dimmingOf(const Bench& bench, const Run& like, Id preset);

}  // namespace glumet
