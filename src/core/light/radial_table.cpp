#include "core/light/radial_table.h"

#include <array>
#include <bit>
#include <cmath>
#include <limits>

#include "core/base/angle.h"
#include "core/light/surface.h"

namespace glumet {
namespace {

constexpr int kMantissaBits = 23;
constexpr std::int32_t kBitsOfOne = std::bit_cast<std::int32_t>(1.0F);
constexpr int kFirstBits = 3;
constexpr int kMostBits = 9;
/// Relative step in cos θ that tells the two sides of a break apart; more than rounding, less than matters.
constexpr double kNudge = 1e-10;
/// A piece narrower than this share of its cell is taken as straight: its cubic would drown in rounding.
constexpr double kSliver = 1e-3;
/// Where in a piece it is tested.
constexpr std::array kTests{0.127, 0.873};
constexpr float kNever = std::numeric_limits<float>::infinity();

/// Value of the cubic through (0, 1/3, 2/3, 1) as coefficients of 1, t, t², t³.
std::array<double, 4> cubicThrough(double a, double b, double c, double d) {
    return {a, -5.5 * a + 9.0 * b - 4.5 * c + d, 9.0 * a - 22.5 * b + 18.0 * c - 4.5 * d,
            -4.5 * a + 13.5 * b - 13.5 * c + 4.5 * d};
}

double cubicAt(const std::array<double, 4>& k, double t) { return k[0] + t * (k[1] + t * (k[2] + t * k[3])); }

/// Start of a cell as s, mm².
double startOf(std::int32_t cell, int shift, double s0) {
    return (static_cast<double>(std::bit_cast<float>(kBitsOfOne + (cell << shift))) - 1.0) * s0;
}

/// The exact functions, counting how often they are asked.
class Exact {
  public:
    Exact(const Beam& beam, const Attenuation& attenuation, const RadialKey& key)
        : beam_(beam), attenuation_(attenuation), key_(key) {}

    /// One ray: what it brings of a beam, and how steep it is.
    struct Ray {
        double cos_air;
        double rest;  ///< light without the beam
        double tangent;
    };
    /// `side` says which limit is wanted where the beam breaks: −1 inside, +1 outside.
    Ray at(double s, int side) const {
        ++count_;
        const auto ray = crossSurface(key_.height_mm, key_.depth_mm, std::max(s, 0.0), key_.refractive_index);
        return {std::min(ray.cos_air * (1.0 - side * kNudge), 1.0),
                spreading(ray, key_.height_mm, key_.depth_mm, key_.refractive_index) *
                    attenuation_.transmittance(key_.depth_mm * 1e-3 / ray.cos_water),
                ray.tan_per_mm};
    }
    double light(const Ray& ray, std::size_t plane) const {
        return ray.rest * beam_.planeIntensity(plane, ray.cos_air);
    }
    std::size_t planes() const { return beam_.planeCount(); }
    int count() const { return count_; }

  private:
    const Beam& beam_;
    const Attenuation& attenuation_;
    const RadialKey& key_;
    mutable int count_ = 0;
};

/// Squared distances at which the beam has a kink or ends, ascending.
std::vector<double> breaksOf(const Beam& beam, const RadialKey& key) {
    std::vector<double> breaks;
    for (const double degrees : beam.breaks()) {
        const double theta = degrees * kDegree;
        const double sine = std::sin(theta) / key.refractive_index;
        const double r = key.height_mm * std::tan(theta) + key.depth_mm * sine / std::sqrt(1.0 - sine * sine);
        breaks.push_back(r * r);
    }
    return breaks;
}

/// One attempt with given B and s₀.
class Builder {
  public:
    Builder(const Exact& exact, const std::vector<double>& breaks, double farthest, int bits, double s0)
        : exact_(exact), breaks_(breaks), s0_(s0) {
        table_.shift = kMantissaBits - bits;
        table_.inverse_s0 = static_cast<float>(1.0 / s0);
        const auto last = std::bit_cast<std::int32_t>(static_cast<float>(1.0 + farthest / s0));
        table_.cells = ((last - kBitsOfOne) >> table_.shift) + 1;
    }

    /// Fills the table; false as soon as it is known to miss the error.
    bool fill(double relative_error) {
        const auto axis = exact_.at(0.0, -1);
        for (std::size_t plane = 0; plane < exact_.planes(); ++plane)
            peak_ = std::max(peak_, exact_.light(axis, plane));
        table_.planes = static_cast<std::int32_t>(exact_.planes());
        relative_error_ = relative_error;
        table_.has_splits = !breaks_.empty();
        table_.splits.reserve(static_cast<std::size_t>(table_.cells));
        auto next_break = breaks_.begin();
        for (std::int32_t cell = 0; cell < table_.cells; ++cell) {
            const double from = startOf(cell, table_.shift, s0_);
            const double to = startOf(cell + 1, table_.shift, s0_);
            while (next_break != breaks_.end() && *next_break <= from) ++next_break;
            double split = std::numeric_limits<double>::infinity();
            if (next_break != breaks_.end() && *next_break < to) split = *next_break;
            addCell(from, to, split);
            if (table_.error_met > relative_error && give_up_) return false;
        }
        return table_.error_met <= relative_error;
    }
    void setGiveUp(bool give_up) { give_up_ = give_up; }
    RadialTable& table() { return table_; }
    bool failedNearAxis() const { return failed_near_axis_; }

  private:
    void addCell(double from, double to, double split) {
        table_.splits.push_back(std::isfinite(split) ? static_cast<float>(split) : kNever);
        if (std::isfinite(split)) {
            addPiece(from, to, from, split);
            addPiece(from, to, split, to);
        } else {
            const auto tangent = addPiece(from, to, from, to);
            addTangent(tangent);
            if (table_.has_splits) repeatLight();
            return;
        }
        std::array<double, 4> tangent{};
        for (std::size_t i = 0; i < 4; ++i)
            tangent[i] = exact_.at(from + (to - from) * static_cast<double>(i) / 3.0, -1).tangent;
        addTangent(tangent);
    }

    /// Where a piece lies in its cell.
    struct Stretch {
        double from, to;   ///< the cell
        double low, high;  ///< the piece
        double at(double share) const { return low + (high - low) * share; }
    };

    /// For each plane a cubic in the whole cell's t that is right between `low` and `high`; returns tan θ/r
    /// at its nodes.
    std::array<double, 4> addPiece(double from, double to, double low, double high) {
        const Stretch stretch{from, to, low, high};
        std::vector<Exact::Ray> nodes;
        std::vector<Exact::Ray> tests;
        std::array<double, 4> tangent{};
        for (std::size_t i = 0; i < 4; ++i) {
            nodes.push_back(exact_.at(stretch.at(static_cast<double>(i) / 3.0), i == 0 ? 1 : -1));
            tangent[i] = nodes[i].tangent;
        }
        for (const double u : kTests) tests.push_back(exact_.at(stretch.at(u), 0));
        for (std::size_t plane = 0; plane < exact_.planes(); ++plane) addPlane(stretch, nodes, tests, plane);
        return tangent;
    }

    void addPlane(const Stretch& stretch, const std::vector<Exact::Ray>& nodes,
                  const std::vector<Exact::Ray>& tests, std::size_t plane) {
        const auto [from, to, low, high] = stretch;
        std::array<double, 4> light{};
        for (std::size_t i = 0; i < 4; ++i) {
            light[i] = exact_.light(nodes[i], plane);
            peak_ = std::max(peak_, light[i]);
        }
        const bool sliver = high - low < kSliver * (to - from);
        const auto local = sliver ? std::array{light[0], light[3] - light[0], 0.0, 0.0}
                                  : cubicThrough(light[0], light[1], light[2], light[3]);
        for (std::size_t i = 0; i < kTests.size(); ++i)
            check(stretch.at(kTests[i]), exact_.light(tests[i], plane), cubicAt(local, kTests[i]));
        // From the piece's own variable to the cell's: u = (t − a)/b.
        const double a = (low - from) / (to - from);
        const double b = (high - low) / (to - from);
        const std::array<double, 4> k{local[0], local[1] / b, local[2] / (b * b), local[3] / (b * b * b)};
        const std::array<double, 4> moved{k[0] - a * (k[1] - a * (k[2] - a * k[3])),
                                          k[1] - a * (2.0 * k[2] - 3.0 * a * k[3]), k[2] - 3.0 * a * k[3],
                                          k[3]};
        for (const double value : moved) table_.light.push_back(static_cast<float>(value));
    }

    void addTangent(const std::array<double, 4>& values) {
        for (const double k : cubicThrough(values[0], values[1], values[2], values[3]))
            table_.tangent.push_back(static_cast<float>(k));
    }

    void repeatLight() {
        const std::size_t size = table_.light.size();
        for (std::size_t i = size - 4 * exact_.planes(); i < size; ++i)
            table_.light.push_back(table_.light[i]);
    }

    void check(double s, double exact, double tabulated) {
        const double scale = std::max(exact, RadialTable::kFloor * peak_);
        const double error = scale > 0.0 ? std::abs(tabulated - exact) / scale : std::abs(tabulated);
        if (error > table_.error_met) {
            table_.error_met = error;
            if (error > relative_error_) failed_near_axis_ = s < s0_;
        }
    }

    const Exact& exact_;
    const std::vector<double>& breaks_;
    double s0_;
    double peak_ = 0.0;
    double relative_error_ = 0.0;
    bool give_up_ = true;
    bool failed_near_axis_ = false;
    RadialTable table_;
};

/// Whether two breaks share a cell: the finer of the two pieces would be lost.
bool crowded(const std::vector<double>& breaks, int shift, double s0) {
    std::int32_t last = -1;
    for (const double s : breaks) {
        const auto cell =
            (std::bit_cast<std::int32_t>(static_cast<float>(1.0 + s / s0)) - kBitsOfOne) >> shift;
        if (cell == last) return true;
        last = cell;
    }
    return false;
}

std::int32_t cellOf(const RadialTable& table, float s, float& t) {
    const auto bits = std::bit_cast<std::int32_t>(1.0F + s * table.inverse_s0);
    const auto mask = (1 << table.shift) - 1;
    t = std::bit_cast<float>(((bits & mask) << (kMantissaBits - table.shift)) | kBitsOfOne) - 1.0F;
    return (bits - kBitsOfOne) >> table.shift;
}

float cubic(const float* k, float t) { return k[0] + t * (k[1] + t * (k[2] + t * k[3])); }

}  // namespace

float RadialTable::lightAt(float s, std::int32_t plane) const {
    float t = 0.0F;
    const auto cell = cellOf(*this, s, t);
    if (cell >= cells) return 0.0F;
    const auto index = static_cast<std::size_t>(cell);
    const auto piece = has_splits ? 2 * index + (s > splits[index] ? 1 : 0) : index;
    const auto set = piece * static_cast<std::size_t>(planes) + static_cast<std::size_t>(plane);
    return cubic(light.data() + 4 * set, t);
}

float RadialTable::tangentAt(float s) const {
    float t = 0.0F;
    const auto cell = std::min(cellOf(*this, s, t), cells - 1);
    return cubic(tangent.data() + 4 * static_cast<std::size_t>(cell), t);
}

std::size_t RadialTable::bytes() const {
    return sizeof(float) * (splits.size() + light.size() + tangent.size());
}

RadialTable tabulate(const Beam& beam, const Attenuation& attenuation, const RadialKey& key,
                     double farthest_mm2, double relative_error) {
    const Exact exact(beam, attenuation, key);
    auto breaks = breaksOf(beam, key);
    const double apparent = key.height_mm + key.depth_mm / key.refractive_index;
    double s0 = apparent * apparent / 64.0;
    int bits = kFirstBits;
    // The axis of a table beam may be a cusp, which asks for a smaller s₀; anything else for more bits.
    for (;;) {
        const bool last = bits == kMostBits;
        if (!last && crowded(breaks, kMantissaBits - bits, s0)) {
            ++bits;
            continue;
        }
        Builder builder(exact, breaks, farthest_mm2, bits, s0);
        builder.setGiveUp(!last);
        if (builder.fill(relative_error) || last) {
            auto table = std::move(builder.table());
            table.error_asked = relative_error;
            table.evaluations = exact.count();
            return table;
        }
        if (builder.failedNearAxis() && s0 > apparent * apparent * 1e-7)
            s0 /= 64.0;
        else
            ++bits;
    }
}

}  // namespace glumet
