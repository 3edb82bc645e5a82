#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/base/spectrum.h"
#include "core/spectrum/colour.h"

namespace glumet {

/// What a channel gives at a level, as shares of full: from readings at several levels, else linear.
struct DimmingCurve {
    std::vector<double> level;   ///< 0–1, ascending, from 0 to 1; empty: linear
    std::vector<double> output;  ///< share of full output at each

    bool measured() const { return !level.empty(); }
    double at(double level_share) const;
};
/// Of pairs of level and output in any unit, the greatest level taken for full if it is 1; needs one more
/// than that. Straight lines between; nothing at level 0.
std::optional<DimmingCurve> dimmingCurve(std::vector<std::pair<double, double>> readings);

/// A channel as the mixer needs it. All of a mix is a sum of its channels.
struct MixChannel {
    std::string name;
    Spectrum spectrum;           ///< shape, relative; empty: not known
    bool assumed = false;        ///< the shape is not measured
    double ppfd = 0.0;           ///< at full level where the mix is asked for, µmol·m⁻²·s⁻¹
    std::optional<double> watt;  ///< at full level, at the wall
    DimmingCurve dimming;
};

/// A mix at some levels.
struct MixState {
    double ppfd = 0.0;                 ///< µmol·m⁻²·s⁻¹, 400–700 nm
    std::optional<double> watt;        ///< at the wall
    std::optional<double> idle_watt;   ///< that full levels would draw beside it: paid for and turned down
    std::optional<Tristimulus> light;  ///< nothing where a channel that shines has no spectrum
    std::vector<double> band_shares;   ///< of 380–780 nm; empty as `light`
    bool assumed = false;              ///< rests on spectra that are not measured
};

/// Channels made ready: every level asked afterwards costs a sum over channels.
class Mix {
  public:
    Mix(std::vector<MixChannel> channels, const std::vector<SpectralBand>& bands);

    const std::vector<MixChannel>& channels() const { return channels_; }
    /// `levels`: 0–1, one a channel. Watts rise with the level, whatever the output does.
    MixState at(const std::vector<double>& levels) const;
    /// The same of light that each channel gives at some place, µmol·m⁻²·s⁻¹, without watts.
    MixState ofLight(const std::vector<double>& ppfds) const;
    /// Photons by wavelength, µmol·m⁻²·s⁻¹·nm⁻¹, of the channels whose spectra are known.
    Spectrum spectrumAt(const std::vector<double>& levels) const;
    /// A channel's share of the light at these levels, by PPFD.
    std::vector<double> outputs(const std::vector<double>& levels) const;

  private:
    struct Ready {
        bool known = false;
        Tristimulus per_par;          ///< per µmol·m⁻²·s⁻¹ of 400–700 nm
        std::vector<double> photons;  ///< in each band, per that
        double seen = 0.0;            ///< in 380–780 nm, per that
        Spectrum shape;               ///< by the nanometre, per that
    };
    std::vector<MixChannel> channels_;
    std::vector<Ready> ready_;
    std::size_t bands_ = 0;
};

}  // namespace glumet
