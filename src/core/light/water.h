#pragma once

#include <cmath>
#include <vector>

#include "core/base/problem.h"
#include "core/base/spectrum.h"

namespace glumet {

/// How photons die along a path in water: transmittance(L) = Σ wₖ exp(−Kₖ L), Σ wₖ = 1. One term for light
/// of one colour or an unknown one; a term per wavelength for a channel whose spectrum is known.
struct Attenuation {
    struct Term {
        double weight = 1.0;
        double per_m = 0.0;  ///< K ≥ 0
        bool operator==(const Term&) const = default;
    };
    std::vector<Term> terms{{1.0, 0.0}};

    static Attenuation grey(double per_m) { return {{{1.0, per_m}}}; }
    bool operator==(const Attenuation&) const = default;

    /// Share of photons left after `path` metres, 0–1. T is double or a type that carries derivatives.
    template <class T>
    T transmittance(const T& path_m) const {
        using std::exp;
        T sum(0.0);
        for (const auto& term : terms)
            sum += term.per_m == 0.0 ? T(term.weight) : term.weight * exp(-term.per_m * path_m);
        return sum;
    }
};

/// What is in the water, or that there is none.
struct Water {
    double refractive_index = 1.333;  ///< 1 is a dry tank, else up to 2
    double attenuation_per_m = 0.0;   ///< at every wavelength, ≥ 0
    bool absorbs = false;             ///< add the absorption of pure water to channels with a spectrum
    double yellow_440_per_m = 0.0;  ///< yellow substance: a(440) ≥ 0, falling as exp(−0.014 (λ − 440))
    bool operator==(const Water&) const = default;

    static Water none() { return {1.0, 0.0, false, 0.0}; }
    bool dry() const { return refractive_index == 1.0; }
};

/// Attenuation at one wavelength, 1/m.
double attenuationAt(const Water& water, double wavelength_nm);

/// Attenuation of a channel: without a spectrum the grey coefficient alone, with one a term per 5 nm of it.
/// Fails naming the part of the spectrum that is wrong: fewer than two wavelengths, not ascending, outside
/// 200…1200 nm, negative, no light.
Expected<Attenuation> attenuationOf(const Water& water, const Spectrum* spectrum);

}  // namespace glumet
