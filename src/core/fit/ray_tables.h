#pragma once

#include <algorithm>
#include <utility>
#include <vector>

#include "core/fit/basis_field.h"

namespace glumet {

/// What rays from one height to one depth do, every kStepMm of horizontal distance.
struct RayTables::Table {
    static constexpr double kStepMm = 2.0;

    struct Entry {
        double light;  ///< spreading × attenuation, 1/m²
        double theta_deg;
        double sine_per_mm;  ///< sin θw / r
        double air_share;
        double path_m;  ///< in the water
    };
    /// How an entry answers to the height, /mm.
    struct ByHeight {
        double log_light;
        double theta_deg;
        double sine_per_mm;
        double air_share;
    };
    double height = 0.0;
    double depth = 0.0;
    double farthest = 0.0;
    std::vector<Entry> entries;
    std::vector<ByHeight> by_height;

    Table(double h, double d, double n, double attenuation, double air_run);

    /// The entry before a run, and how far on to the next it ends, 0–1.
    std::pair<std::size_t, double> placeOf(double r) const {
        const double u = r / kStepMm;
        const auto i = std::min(static_cast<std::size_t>(u), entries.size() - 2);
        return {i, u - static_cast<double>(i)};
    }

    /// 0 ≤ r ≤ farthest.
    Entry at(double r) const {
        const auto [i, t] = placeOf(r);
        const auto& a = entries[i];
        const auto& b = entries[i + 1];
        const auto between = [&, part = t](double Entry::*member) {
            return a.*member + part * (b.*member - a.*member);
        };
        return {between(&Entry::light), between(&Entry::theta_deg), between(&Entry::sine_per_mm),
                between(&Entry::air_share), between(&Entry::path_m)};
    }

    /// How the ray answers to its run and to the height.
    struct Bend {
        Entry by_run;  ///< of all of it, /mm
        ByHeight by_height;
    };
    Bend bendAt(double r) const {
        const auto [i, t] = placeOf(r);
        const auto& a = entries[i];
        const auto& b = entries[i + 1];
        const auto steep = [&](double Entry::*member) { return (b.*member - a.*member) / kStepMm; };
        const auto& low = by_height[i];
        const auto& high = by_height[i + 1];
        const auto between = [&, part = t](double ByHeight::*member) {
            return low.*member + part * (high.*member - low.*member);
        };
        return {{steep(&Entry::light), steep(&Entry::theta_deg), steep(&Entry::sine_per_mm),
                 steep(&Entry::air_share), 0.0},
                {between(&ByHeight::log_light), between(&ByHeight::theta_deg),
                 between(&ByHeight::sine_per_mm), between(&ByHeight::air_share)}};
    }
};

}  // namespace glumet
