#include "core/compare/pairs.h"

#include <algorithm>
#include <cmath>

#include "core/base/interval.h"
#include "core/bench/grid.h"

namespace glumet {
namespace {

constexpr double kComparedPlaceMm = 5.0;
constexpr int kFewestAlong = 4;
constexpr double kIndependent = 0.53;
constexpr double kLeastOfStated = 0.25;
constexpr double kMostOfStated = 1.5;

Ratio ratioOf(double value, double error) {
    Ratio out;
    out.value = value;
    out.lo = value * std::exp(-kInterval95 * error);
    out.hi = value * std::exp(kInterval95 * error);
    out.tie = value > 0.0 && std::abs(std::log(value)) <= kNamed99 * error;
    return out;
}

const ComparedPoint* pointAt(const ComparedPlane& plane, const ComparedPoint& like, std::size_t guess) {
    const auto near = [&](const ComparedPoint& p) {
        return std::abs(p.x_mm - like.x_mm) <= kComparedPlaceMm &&
               std::abs(p.y_mm - like.y_mm) <= kComparedPlaceMm;
    };
    if (guess < plane.points.size() && near(plane.points[guess])) return &plane.points[guess];
    const auto found = std::find_if(plane.points.begin(), plane.points.end(), near);
    return found == plane.points.end() ? nullptr : &*found;
}

/// Mixed differences of ln(b/a) over cells one and two apart: mean squares.
class Scatter {
  public:
    void add(const PairedPlane& plane) {
        if (!plane.grid || plane.grid->columns() < kFewestAlong || plane.grid->rows() < kFewestAlong) return;
        for (const auto& p : plane.points)
            if (!(p.a > 0.0) || !(p.b > 0.0)) return;
        near_.add(plane, 1);
        far_.add(plane, 2);
    }
    bool known() const { return near_.count > 0; }

    /// σ of a point. Chance gives 4 σ² at either distance; what two shapes differ in grows with the fourth
    /// power of it, so that (16 near − far)/15 is left of chance. Widened as Student's t is against the
    /// normal for being found from so few: neighbouring differences share points, about half of them count.
    double error() const {
        const double chance = std::max(0.0, (16.0 * near_.mean() - far_.mean()) / 15.0);
        const double freedom = std::max(1.0, kIndependent * near_.count);
        const double wider = 1.0 + (kInterval95 * kInterval95 + 1.0) / (4.0 * freedom);
        return wider * std::sqrt(chance / 4.0);
    }

  private:
    struct Squares {
        double sum = 0.0;
        int count = 0;

        double mean() const { return sum / count; }
        void add(const PairedPlane& plane, std::size_t apart) {
            const auto columns = static_cast<std::size_t>(plane.grid->columns());
            const auto rows = static_cast<std::size_t>(plane.grid->rows());
            const auto log = [&](std::size_t column, std::size_t row) {
                const auto& p = plane.points[row * columns + column];
                return std::log(p.b / p.a);
            };
            for (std::size_t row = apart; row < rows; ++row)
                for (std::size_t column = apart; column < columns; ++column) {
                    const double mixed = log(column, row) - log(column - apart, row) -
                                         log(column, row - apart) + log(column - apart, row - apart);
                    sum += mixed * mixed;
                    ++count;
                }
        }
    };
    Squares near_;
    Squares far_;
};

/// Sums over some of a pair's points, and what chance does to their ratio.
struct Sums {
    double a = 0.0;
    double b = 0.0;
    double a_squares = 0.0;
    double b_squares = 0.0;

    void add(const PairedPoint& p) {
        a += p.a;
        b += p.b;
        a_squares += p.a * p.a;
        b_squares += p.b * p.b;
    }
    /// Of ln(Σb/Σa) by the points' own errors, each side with its half of the ratio's variance.
    double error(double point_error) const {
        return point_error * std::sqrt(0.5 * (a_squares / (a * a) + b_squares / (b * b)));
    }
    bool lit() const { return a > 0.0 && b > 0.0; }
};

double meanSwing(const ComparedPlane& plane) {
    double sum = 0.0;
    for (const auto& p : plane.points) sum += p.swing;
    return plane.points.empty() ? 0.0 : sum / static_cast<double>(plane.points.size());
}

double spreadOf(const std::vector<PairedPoint>& points, double PairedPoint::*side) {
    double least = points.front().*side;
    double sum = 0.0;
    for (const auto& p : points) {
        least = std::min(least, p.*side);
        sum += p.*side;
    }
    return sum > 0.0 ? least * static_cast<double>(points.size()) / sum : 0.0;
}

class Pairing {
  public:
    Pairing(const Contender& a, const Contender& b, bool same_meter)
        : a_(a), b_(b), meters_(same_meter ? 0.0 : std::hypot(a.meter_error, b.meter_error)) {}

    Paired all() {
        if (!a_.speaks() || !b_.speaks()) {
            out_.refused = a_.speaks() ? b_.missing : a_.missing;
            return std::move(out_);
        }
        out_.resampled = a_.basis != LightBasis::Read || b_.basis != LightBasis::Read;
        for (const auto& plane : a_.planes)
            for (const auto& other : b_.planes)
                if (std::abs((plane.depth - other.depth).value()) <= kSamePointMm) collect(plane, other);
        finish();
        if (out_.planes.empty())
            out_.refused = say(GLUMET_SAY("Core", "They have no place at one depth in common."));
        else
            sumUp();
        return std::move(out_);
    }

  private:
    /// Points that both have at one depth, and what they scatter.
    void collect(const ComparedPlane& a, const ComparedPlane& b) {
        PairedPlane out;
        out.depth = a.depth;
        Sums sums;
        for (std::size_t i = 0; i < a.points.size(); ++i)
            if (const auto* other = pointAt(b, a.points[i], i)) {
                out.points.push_back({a.points[i].x_mm, a.points[i].y_mm, a.points[i].ppfd, other->ppfd});
                sums.add(out.points.back());
            }
        if (!sums.lit()) return;
        if (a.grid && out.points.size() == static_cast<std::size_t>(a.grid->cells())) out.grid = a.grid;
        if (!out_.resampled) scatter_.add(out);
        out_.planes.push_back(std::move(out));
        sides_.push_back({&a, &b});
    }

    void finish() {
        for (std::size_t i = 0; i < out_.planes.size(); ++i) {
            auto& plane = out_.planes[i];
            const auto& [a, b] = sides_[i];
            plane.point_error = pointError(*a, *b);
            const double common = commonError(*a, *b);
            common_ = std::max(common_, common);
            Sums sums;
            for (const auto& point : plane.points) sums.add(point);
            plane.mean = ratioOf(sums.b / sums.a, std::hypot(sums.error(plane.point_error), common));
            plane.difference = (sums.b - sums.a) / static_cast<double>(plane.points.size());
            const double one = std::hypot(plane.point_error, common);
            for (auto& point : plane.points)
                point.tie =
                    point.a > 0.0 && point.b > 0.0 && std::abs(std::log(point.b / point.a)) <= kNamed99 * one;
            addRings(plane, common);
            addExtremes(plane, *a, *b, one);
            addHeight(plane, *a, *b);
        }
    }

    double commonError(const ComparedPlane& a, const ComparedPlane& b) const {
        return std::hypot(meters_, std::hypot(a.common_error, b.common_error));
    }

    double pointError(const ComparedPlane& a, const ComparedPlane& b) const {
        const double stated = std::hypot(a.point_error, b.point_error);
        return !scatter_.known()
                   ? stated
                   : std::clamp(scatter_.error(), kLeastOfStated * stated, kMostOfStated * stated);
    }

    void addRings(PairedPlane& out, double common) const {
        if (!out.grid) return;
        std::vector<Sums> rings(static_cast<std::size_t>(ringCount(*out.grid)));
        for (std::size_t i = 0; i < out.points.size(); ++i) {
            const auto at = static_cast<int>(i);
            const Cell cell{at % out.grid->columns(), at / out.grid->columns()};
            rings[static_cast<std::size_t>(ringOf(*out.grid, cell))].add(out.points[i]);
        }
        for (const auto& ring : rings)
            out.rings.push_back(
                ring.lit() ? ratioOf(ring.b / ring.a, std::hypot(ring.error(out.point_error), common))
                           : Ratio{});
    }

    void addExtremes(PairedPlane& out, const ComparedPlane& a, const ComparedPlane& b, double one) const {
        const auto brightest = [&](double PairedPoint::*side) {
            return (*std::max_element(out.points.begin(), out.points.end(),
                                      [&](const auto& p, const auto& q) { return p.*side < q.*side; })).*
                   side;
        };
        out.peak = ratioOf(brightest(&PairedPoint::b) / brightest(&PairedPoint::a), one);
        out.spread_a = spreadOf(out.points, &PairedPoint::a);
        out.spread_b = spreadOf(out.points, &PairedPoint::b);
        out.swing_a = meanSwing(a);
        out.swing_b = meanSwing(b);
    }

    static void addHeight(PairedPlane& out, const ComparedPlane& a, const ComparedPlane& b) {
        const double slope = std::max(std::abs(a.height_slope), std::abs(b.height_slope));
        if (slope > 0.0) out.explained_by = Millimetre(std::abs(std::log(out.mean.value)) / slope);
    }

    /// All planes as one: their points' own errors by their sums, the common ones as the largest.
    void sumUp() {
        Sums sums;
        std::vector<Sums> each;
        for (const auto& plane : out_.planes) {
            auto& here = each.emplace_back();
            for (const auto& point : plane.points) here.add(point);
            sums.a += here.a;
            sums.b += here.b;
        }
        double slope_a = 0.0;
        double slope_b = 0.0;
        double own = 0.0;
        for (std::size_t i = 0; i < each.size(); ++i) {
            const auto& here = each[i];
            const auto& plane = out_.planes[i];
            own += std::pow(plane.point_error, 2) * 0.5 *
                   (here.a_squares / (sums.a * sums.a) + here.b_squares / (sums.b * sums.b));
            slope_a += slopeOf(a_, plane.depth) * here.a / sums.a;
            slope_b += slopeOf(b_, plane.depth) * here.b / sums.b;
        }
        const double error = std::hypot(std::sqrt(own), common_);
        out_.all = ratioOf(sums.b / sums.a, error);
        const double heights = std::hypot(slope_a * a_.height_error_mm, slope_b * b_.height_error_mm);
        const auto with = ratioOf(out_.all.value, std::hypot(error, heights));
        out_.lo_with_heights = with.lo;
        out_.hi_with_heights = with.hi;
    }

    static double slopeOf(const Contender& contender, Millimetre depth) {
        for (const auto& plane : contender.planes)
            if (std::abs((plane.depth - depth).value()) <= kSamePointMm) return plane.height_slope;
        return 0.0;
    }

    const Contender& a_;
    const Contender& b_;
    double meters_;
    double common_ = 0.0;
    Scatter scatter_;
    std::vector<std::pair<const ComparedPlane*, const ComparedPlane*>> sides_;
    Paired out_;
};

}  // namespace

Paired paired(const Contender& a, const Contender& b, bool same_meter) {
    return Pairing(a, b, same_meter).all();
}

}  // namespace glumet
