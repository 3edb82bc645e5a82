#pragma once

#include <compare>

namespace glumet {

/// A number with its unit in its type, so that a height is never passed for a PPFD.
/// `Unit` is a tag; the stored value is in the unit the alias names. Any double is allowed,
/// NaN included: whoever needs a range checks it and says so.
template <class Unit>
class Quantity {
  public:
    constexpr Quantity() = default;
    constexpr explicit Quantity(double value) : value_(value) {}

    constexpr double value() const { return value_; }

    constexpr auto operator<=>(const Quantity&) const = default;
    constexpr Quantity operator-() const { return Quantity(-value_); }
    constexpr Quantity operator+(Quantity other) const { return Quantity(value_ + other.value_); }
    constexpr Quantity operator-(Quantity other) const { return Quantity(value_ - other.value_); }
    constexpr Quantity operator*(double factor) const { return Quantity(value_ * factor); }
    constexpr Quantity operator/(double divisor) const { return Quantity(value_ / divisor); }
    /// Ratio of two quantities of one kind: a bare number.
    constexpr double operator/(Quantity other) const { return value_ / other.value_; }

  private:
    double value_ = 0.0;
};

using Millimetre = Quantity<struct MillimetreUnit>;  ///< length, mm
using Ppfd = Quantity<struct PpfdUnit>;  ///< photosynthetic photon flux density, µmol·m⁻²·s⁻¹
using PhotonFlux = Quantity<struct PhotonFluxUnit>;  ///< photons per time, µmol·s⁻¹
using Watt = Quantity<struct WattUnit>;              ///< electrical power at the wall, W
using Second = Quantity<struct SecondUnit>;          ///< time, s

}  // namespace glumet
