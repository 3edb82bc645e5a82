// Compiled once for each instruction set by hwy/foreach_target.h; the best one is chosen when it runs.
#undef HWY_TARGET_INCLUDE
#define HWY_TARGET_INCLUDE "core/light/sum_kernel.cpp"
#include <hwy/foreach_target.h>  // must come before highway.h
#include <hwy/highway.h>

#include "core/light/sum_kernel.h"

#ifndef GLUMET_SUM_KERNEL_ONCE
#define GLUMET_SUM_KERNEL_ONCE
#include <algorithm>
#include <cmath>
#include <numbers>
namespace glumet::kernel {
/// A block's bounds.
inline Box boxOf(const float* xs, const float* ys) {
    const auto [x_low, x_high] = std::minmax_element(xs, xs + kBlock);
    const auto [y_low, y_high] = std::minmax_element(ys, ys + kBlock);
    return {*x_low, *x_high, *y_low, *y_high};
}
/// Least distance that any receiver's image lies beyond each side; 0 where it may lie inside.
/// The block seen in an image.
inline Box seenIn(const Box& box, const Image& image) {
    const float x0 = image.sign_x * box.x_low + image.offset_x;
    const float x1 = image.sign_x * box.x_high + image.offset_x;
    const float y0 = image.sign_y * box.y_low + image.offset_y;
    const float y1 = image.sign_y * box.y_high + image.offset_y;
    return {std::min(x0, x1), std::max(x0, x1), std::min(y0, y1), std::max(y0, y1)};
}
/// Whether some way from the sources' box to the receivers' may pass under or over an obstruction.
inline bool mayMeet(const Obstruction& o, const Box& sources, const Box& receivers) {
    const auto within = [&](float s_low, float s_high, float r_low, float r_high, float centre, float half) {
        const auto low = [&](float share) { return r_low + share * (s_low - r_low); };
        const auto high = [&](float share) { return r_high + share * (s_high - r_high); };
        constexpr float kSlackMm = 0.01F;
        return std::min(low(o.least), low(o.most)) <= centre + half + kSlackMm &&
               std::max(high(o.least), high(o.most)) >= centre - half - kSlackMm;
    };
    return within(sources.x_low, sources.x_high, receivers.x_low, receivers.x_high, o.centre_x, o.half_x) &&
           within(sources.y_low, sources.y_high, receivers.y_low, receivers.y_high, o.centre_y,
                  o.disc ? o.half_x : o.half_y);
}
/// The obstructions that some source of the group may shine at on its way to the block; how many.
inline std::size_t gather(const Group& group, const Image& image, const Box& receivers,
                          std::uint32_t* found) {
    std::size_t count = 0;
    for (std::size_t i = 0; i < image.obstructions.size(); ++i)
        if (mayMeet(image.obstructions[i], group.bounds, receivers))
            found[count++] = static_cast<std::uint32_t>(i);
    return count;
}
inline Box overshoot(const Box& box, const Image& image, const Footprint& footprint) {
    const float x0 = image.sign_x * box.x_low + image.offset_x;
    const float x1 = image.sign_x * box.x_high + image.offset_x;
    const float y0 = image.sign_y * box.y_low + image.offset_y;
    const float y1 = image.sign_y * box.y_high + image.offset_y;
    return {std::max(0.0F, -std::max(x0, x1)), std::max(0.0F, std::min(x0, x1) - footprint.length),
            std::max(0.0F, -std::max(y0, y1)), std::max(0.0F, std::min(y0, y1) - footprint.width)};
}
}  // namespace glumet::kernel
#endif

HWY_BEFORE_NAMESPACE();
namespace glumet::kernel::HWY_NAMESPACE {
namespace hn = hwy::HWY_NAMESPACE;

using D = hn::CappedTag<float, kBlock>;
using DI = hn::RebindToSigned<D>;
using V = hn::VFromD<D>;
using VI = hn::VFromD<DI>;
using M = decltype(hn::MaskFromVec(hn::Zero(D())));

constexpr int kMantissa = 23;
constexpr std::int32_t kOneBits = 0x3F800000;

#if HWY_TARGET != HWY_SCALAR
/// The four coefficients of lanes j, 4 + j, 8 + j … side by side.
HWY_INLINE V coefficientsOf(const float* coefficients, const std::int32_t* pieces, std::size_t j) {
    const hn::Full128<float> d4;
#if HWY_TARGET <= HWY_AVX3
    const hn::FixedTag<float, 8> d8;
    return hn::Combine(D(),
                       hn::Combine(d8, hn::LoadU(d4, coefficients + 4 * pieces[12 + j]),
                                   hn::LoadU(d4, coefficients + 4 * pieces[8 + j])),
                       hn::Combine(d8, hn::LoadU(d4, coefficients + 4 * pieces[4 + j]),
                                   hn::LoadU(d4, coefficients + 4 * pieces[j])));
#elif HWY_TARGET == HWY_AVX2
    return hn::Combine(D(), hn::LoadU(d4, coefficients + 4 * pieces[4 + j]),
                       hn::LoadU(d4, coefficients + 4 * pieces[j]));
#else
    return hn::LoadU(d4, coefficients + 4 * pieces[j]);
#endif
}
#endif

/// Value of each lane's cubic. A whole set of coefficients is one load of 16 bytes, turned about in
/// registers: measured twice as quick as four gathers.
HWY_INLINE V cubicAt(D d, const float* coefficients, VI piece, V t) {
#if HWY_TARGET == HWY_SCALAR
    const float* k = coefficients + 4 * hn::GetLane(piece);
    return hn::MulAdd(hn::MulAdd(hn::MulAdd(hn::Set(d, k[3]), t, hn::Set(d, k[2])), t, hn::Set(d, k[1])), t,
                      hn::Set(d, k[0]));
#else
    alignas(64) std::array<std::int32_t, kBlock> pieces;
    hn::Store(piece, DI(), pieces.data());
    const V a = coefficientsOf(coefficients, pieces.data(), 0);
    const V b = coefficientsOf(coefficients, pieces.data(), 1);
    const V c = coefficientsOf(coefficients, pieces.data(), 2);
    const V e = coefficientsOf(coefficients, pieces.data(), 3);
    const hn::Repartition<double, D> dd;
    const auto ab01 = hn::BitCast(dd, hn::InterleaveLower(d, a, b));
    const auto ab23 = hn::BitCast(dd, hn::InterleaveUpper(d, a, b));
    const auto ce01 = hn::BitCast(dd, hn::InterleaveLower(d, c, e));
    const auto ce23 = hn::BitCast(dd, hn::InterleaveUpper(d, c, e));
    const V k0 = hn::BitCast(d, hn::InterleaveLower(dd, ab01, ce01));
    const V k1 = hn::BitCast(d, hn::InterleaveUpper(dd, ab01, ce01));
    const V k2 = hn::BitCast(d, hn::InterleaveLower(dd, ab23, ce23));
    const V k3 = hn::BitCast(d, hn::InterleaveUpper(dd, ab23, ce23));
    return hn::MulAdd(hn::MulAdd(hn::MulAdd(k3, t, k2), t, k1), t, k0);
#endif
}

/// Cell of each lane and the place in it.
struct Cell {
    VI index;
    V t;
    M within;
};
HWY_INLINE Cell cellOf(D d, const RadialTable& table, V s) {
    const DI di;
    const VI bits = hn::BitCast(di, hn::MulAdd(s, hn::Set(d, table.inverse_s0), hn::Set(d, 1.0F)));
    const VI mask = hn::Set(di, (1 << table.shift) - 1);
    const VI fraction =
        hn::Or(hn::ShiftLeftSame(hn::And(bits, mask), kMantissa - table.shift), hn::Set(di, kOneBits));
    const VI cell = hn::ShiftRightSame(hn::Sub(bits, hn::Set(di, kOneBits)), table.shift);
    const VI last = hn::Set(di, table.cells - 1);
    return {hn::Min(cell, last), hn::Sub(hn::BitCast(d, fraction), hn::Set(d, 1.0F)),
            hn::RebindMask(d, hn::Gt(hn::Set(di, table.cells), cell))};
}

HWY_INLINE V lightAt(D d, const RadialTable& table, const Cell& cell, V s) {
    const DI di;
    VI piece = cell.index;
    if (table.has_splits) {
        const V split = hn::GatherIndex(d, table.splits.data(), cell.index);
        const VI second = hn::VecFromMask(di, hn::RebindMask(di, hn::Gt(s, split)));  // −1 where past it
        piece = hn::Sub(hn::ShiftLeft<1>(cell.index), second);
    }
    return hn::IfThenElseZero(cell.within, cubicAt(d, table.light.data(), piece, cell.t));
}

/// Arc tangent on 0…1 within 2·10⁻⁸ (Abramowitz & Stegun 1964, 4.4.49).
HWY_INLINE V arcTangent(D d, V t) {
    constexpr std::array kTerms{-.0161657367F, .0429096138F, -.0752896400F, .1065626393F,
                                -.1420889944F, .1999355085F, -.3333314528F, 1.0F};
    const V t2 = hn::Mul(t, t);
    V sum = hn::Set(d, .0028662257F);
    for (const float term : kTerms) sum = hn::MulAdd(sum, t2, hn::Set(d, term));
    return hn::Mul(sum, t);
}

/// Azimuth of each lane in the fixture's frame, folded by the beam's planes of symmetry, radians.
HWY_INLINE V foldedAzimuth(D d, AzimuthFold::Symmetry symmetry, V x, V y) {
    const V ax = hn::Abs(x);
    const V ay = hn::Abs(y);
    const V longer = hn::Max(hn::Max(ax, ay), hn::Set(d, 1e-30F));
    V angle = arcTangent(d, hn::Div(hn::Min(ax, ay), longer));
    angle =
        hn::IfThenElse(hn::Gt(ay, ax), hn::Sub(hn::Set(d, std::numbers::pi_v<float> / 2.0F), angle), angle);
    if (symmetry == AzimuthFold::Symmetry::TwoPlanes) return angle;
    angle =
        hn::IfThenElse(hn::Lt(x, hn::Zero(d)), hn::Sub(hn::Set(d, std::numbers::pi_v<float>), angle), angle);
    if (symmetry == AzimuthFold::Symmetry::AboutX) return angle;
    return hn::IfThenElse(hn::Lt(y, hn::Zero(d)),
                          hn::Sub(hn::Set(d, 2.0F * std::numbers::pi_v<float>), angle), angle);
}

/// Plane at or below each lane's azimuth, and the share of the way to the next.
struct Between {
    VI plane;
    V share;
};
HWY_INLINE Between planesAt(D d, const AzimuthFold& fold, V azimuth) {
    const DI di;
    const V scaled = hn::Mul(azimuth, hn::Set(d, fold.bins_per_rad));
    const VI bin = hn::Min(hn::ConvertTo(di, scaled), hn::Set(di, fold.bins - 1));
    if (fold.even) return {bin, hn::Min(hn::Sub(scaled, hn::ConvertTo(d, bin)), hn::Set(d, 1.0F))};
    VI plane = hn::GatherIndex(di, fold.plane_of_bin.data(), bin);
    const VI next = hn::Add(plane, hn::Set(di, 1));
    const auto past = hn::Ge(azimuth, hn::GatherIndex(d, fold.start.data(), next));
    const VI last = hn::Set(di, static_cast<std::int32_t>(fold.start.size()) - 2);
    plane = hn::Min(hn::IfThenElse(hn::RebindMask(di, past), next, plane), last);
    const V share = hn::Mul(hn::Sub(azimuth, hn::GatherIndex(d, fold.start.data(), plane)),
                            hn::GatherIndex(d, fold.per_rad.data(), plane));
    return {plane, hn::Min(hn::Max(share, hn::Zero(d)), hn::Set(d, 1.0F))};
}

/// Light of a beam by planes along (dx, dy): between the tables of two of them.
HWY_INLINE V lightBetween(D d, const Group& group, const Source& source, const Cell& cell, V s, V dx, V dy) {
    const DI di;
    const auto& table = *group.table;
    VI piece = cell.index;
    if (table.has_splits) {
        const V split = hn::GatherIndex(d, table.splits.data(), cell.index);
        const VI second = hn::VecFromMask(di, hn::RebindMask(di, hn::Gt(s, split)));
        piece = hn::Sub(hn::ShiftLeft<1>(cell.index), second);
    }
    const V c = hn::Set(d, source.cos_turn);
    const V sine = hn::Set(d, source.sin_turn);
    const V x = hn::MulAdd(c, dx, hn::Mul(sine, dy));
    const V y = hn::MulSub(c, dy, hn::Mul(sine, dx));
    const auto at = planesAt(d, *group.fold, foldedAzimuth(d, group.fold->symmetry, x, y));
    const VI set = hn::Add(hn::Mul(piece, hn::Set(di, table.planes)), at.plane);
    const V low = cubicAt(d, table.light.data(), set, cell.t);
    const V high = cubicAt(d, table.light.data(), hn::Add(set, hn::Set(di, 1)), cell.t);
    return hn::IfThenElseZero(cell.within, hn::MulAdd(at.share, hn::Sub(high, low), low));
}

HWY_INLINE V beamAt(D d, const Group& group, const Source& source, const Cell& cell, V s, V dx, V dy) {
    return group.fold->round() ? lightAt(d, *group.table, cell, s)
                               : lightBetween(d, group, source, cell, s, dx, dy);
}

/// Lanes whose light leaves the shroud; g = tan θ / r.
HWY_INLINE M leavesShroud(D d, const Source& source, V g, V dx, V dy) {
    const V c = hn::Set(d, source.cos_turn);
    const V s = hn::Set(d, source.sin_turn);
    const V x = hn::Mul(g, hn::MulAdd(c, dx, hn::Mul(s, dy)));
    const V y = hn::Mul(g, hn::MulSub(c, dy, hn::Mul(s, dx)));
    return hn::And(
        hn::And(hn::Ge(x, hn::Set(d, source.shroud_x[0])), hn::Le(x, hn::Set(d, source.shroud_x[1]))),
        hn::And(hn::Ge(y, hn::Set(d, source.shroud_y[0])), hn::Le(y, hn::Set(d, source.shroud_y[1]))));
}

/// A run of the unfolded path, as seen from above.
struct Run {
    V x, y;    ///< its beginning: the receiver in the water, the source in air
    V dx, dy;  ///< from there to the entry point
};

/// Lanes that meet an obstruction: a point in a disc, or a stretch that no axis and no normal of its own sets
/// apart from a rectangle.
HWY_INLINE M meets(D d, const Obstruction& o, const Run& run) {
    const V half = hn::Set(d, 0.5F * (o.from + o.to));
    const V x = hn::Sub(hn::MulAdd(run.dx, half, run.x), hn::Set(d, o.centre_x));
    const V y = hn::Sub(hn::MulAdd(run.dy, half, run.y), hn::Set(d, o.centre_y));
    if (o.disc) return hn::Le(hn::MulAdd(x, x, hn::Mul(y, y)), hn::Set(d, o.half_x * o.half_x));
    const V share = hn::Set(d, 0.5F * std::abs(o.from - o.to));
    const V dx = hn::Mul(run.dx, share);  // half of the stretch
    const V dy = hn::Mul(run.dy, share);
    const V hx = hn::Set(d, o.half_x);
    const V hy = hn::Set(d, o.half_y);
    const M near =
        hn::And(hn::Le(hn::Abs(x), hn::Add(hx, hn::Abs(dx))), hn::Le(hn::Abs(y), hn::Add(hy, hn::Abs(dy))));
    if (hn::AllFalse(d, near)) return near;
    const V across = hn::Abs(hn::MulSub(dx, y, hn::Mul(dy, x)));
    return hn::And(near, hn::Le(across, hn::MulAdd(hx, hn::Abs(dy), hn::Mul(hy, hn::Abs(dx)))));
}

/// What of an image stands in some source's way to the block.
struct InTheWay {
    const std::uint32_t* which = nullptr;
    std::size_t count = 0;
};

/// Product of the transmittances of all that is met, each once.
HWY_INLINE V passed(D d, const Image& image, const InTheWay& way, const Run& water, const Run& air) {
    V pass = hn::Set(d, 1.0F);
    for (std::size_t i = 0; i < way.count;) {
        const auto& first = image.obstructions[way.which[i]];
        M met = meets(d, first, first.air ? air : water);
        for (++i; i < way.count && image.obstructions[way.which[i]].obstacle == first.obstacle; ++i) {
            const auto& part = image.obstructions[way.which[i]];
            met = hn::Or(met, meets(d, part, part.air ? air : water));
        }
        pass = hn::IfThenElse(met, hn::Mul(pass, hn::Set(d, first.transmittance)), pass);
    }
    return pass;
}

HWY_INLINE V squaredRatio(V x, V y) {
    const V r = hn::Div(hn::Sub(x, y), hn::Add(x, y));
    return hn::Mul(r, r);
}

/// Both faces of a pane with the bounces between them: (a + b − 2ab)/(1 − ab).
HWY_INLINE V bothFaces(D d, V a, V b) {
    const V ab = hn::Mul(a, b);
    return hn::Div(hn::Sub(hn::Add(a, b), hn::Add(ab, ab)), hn::Sub(hn::Set(d, 1.0F), ab));
}

/// paneReflectance of surface.h; lanes in total reflection get 1.
HWY_INLINE V paneReflectance(D d, V cosine, float n_water, float n_pane) {
    const V one = hn::Set(d, 1.0F);
    const V nw = hn::Set(d, n_water);
    const V np = hn::Set(d, n_pane);
    const V sine2 = hn::Mul(hn::NegMulAdd(cosine, cosine, one), hn::Mul(nw, nw));
    const M partly = hn::Lt(sine2, one);
    if (hn::AllFalse(d, partly)) return one;
    const V cos_pane = hn::Sqrt(hn::NegMulAdd(sine2, hn::Set(d, 1.0F / (n_pane * n_pane)), one));
    const V cos_out = hn::Sqrt(hn::Max(hn::Zero(d), hn::Sub(one, sine2)));
    const V s = bothFaces(d, squaredRatio(hn::Mul(nw, cosine), hn::Mul(np, cos_pane)),
                          squaredRatio(hn::Mul(np, cos_pane), cos_out));
    const V p = bothFaces(d, squaredRatio(hn::Mul(np, cosine), hn::Mul(nw, cos_pane)),
                          squaredRatio(cos_pane, hn::Mul(np, cos_out)));
    return hn::IfThenElse(partly, hn::Mul(hn::Set(d, 0.5F), hn::Add(s, p)), one);
}

HWY_INLINE V panes(D d, V cosine, const std::array<PaneCrossing, 2>& crossed, float n_water, V light) {
    for (const auto& pane : crossed) {
        if (pane.times == 0) continue;
        const V once = paneReflectance(d, cosine, n_water, pane.refractive_index);
        for (int i = 0; i < pane.times; ++i) light = hn::Mul(light, once);
    }
    return light;
}

/// Light of a source of the table over the tank itself: no entry can fall outside, no wall is met.
HWY_INLINE V straight(D d, const Group& group, const Source& source, V x, V y) {
    const V dx = hn::Sub(x, hn::Set(d, source.x));
    const V dy = hn::Sub(y, hn::Set(d, source.y));
    const V s = hn::MulAdd(dx, dx, hn::Mul(dy, dy));
    const Cell cell = cellOf(d, *group.table, s);
    return hn::Mul(hn::Set(d, source.flux), beamAt(d, group, source, cell, s, dx, dy));
}

/// The same by way of walls, from outside the footprint, out of a shroud or past what is in the way.
HWY_INLINE V reflected(D d, const Footprint& footprint, const Group& group, const Image& image,
                       const Source& source, const InTheWay& way, V x, V y) {
    const auto& table = *group.table;
    const V dx = hn::Sub(x, hn::Set(d, source.x));
    const V dy = hn::Sub(y, hn::Set(d, source.y));
    const V s = hn::MulAdd(dx, dx, hn::Mul(dy, dy));
    const Cell cell = cellOf(d, table, s);
    const V g = cubicAt(d, table.tangent.data(), cell.index, cell.t);
    const V share = hn::Mul(g, hn::Set(d, group.height));  // of the way that is run in air
    const V entry_x = hn::MulAdd(dx, share, hn::Set(d, source.x));
    const V entry_y = hn::MulAdd(dy, share, hn::Set(d, source.y));
    const V zero = hn::Zero(d);
    M enters = hn::And(
        hn::And(hn::And(hn::Ge(entry_x, zero), hn::Le(entry_x, hn::Set(d, footprint.length))), cell.within),
        hn::And(hn::Ge(entry_y, zero), hn::Le(entry_y, hn::Set(d, footprint.width))));
    if (source.shrouded) enters = hn::And(enters, leavesShroud(d, source, g, dx, dy));
    if (hn::AllFalse(d, enters)) return zero;
    V light = hn::Mul(hn::Set(d, source.flux * image.weight), beamAt(d, group, source, cell, s, dx, dy));
    if (way.count != 0) {
        const V start_x = hn::Set(d, source.x);
        const V start_y = hn::Set(d, source.y);
        light =
            hn::Mul(light, passed(d, image, way, {x, y, hn::Sub(entry_x, x), hn::Sub(entry_y, y)},
                                  {start_x, start_y, hn::Sub(entry_x, start_x), hn::Sub(entry_y, start_y)}));
    }
    if (!image.itself) {
        // cos = sin θw |dx| / r with sin θw / r = g / (n √(1 + g² s)). Reflection is total while
        // cos² ≤ 1 − 1/n², which is told without root or quotient; most often it holds for all lanes.
        const V g2 = hn::Mul(g, g);
        const V stretch = hn::MulAdd(g2, s, hn::Set(d, 1.0F));
        const float n = footprint.refractive_index;
        const V total = hn::Mul(stretch, hn::Set(d, n * n - 1.0F));
        const M partly_x = hn::Gt(hn::Mul(g2, hn::Mul(dx, dx)), total);
        const M partly_y = hn::Gt(hn::Mul(g2, hn::Mul(dy, dy)), total);
        if (!hn::AllFalse(d, hn::And(enters, hn::Or(partly_x, partly_y)))) {
            const V sine = hn::Div(g, hn::Mul(hn::Set(d, n), hn::Sqrt(stretch)));
            light = panes(d, hn::Mul(sine, hn::Abs(dx)), image.panes_x, n, light);
            light = panes(d, hn::Mul(sine, hn::Abs(dy)), image.panes_y, n, light);
        }
    }
    return hn::IfThenElseZero(enters, light);
}

/// Whether light of the source can come to the box by way of the image. What is run in the water beyond a
/// wall is at most (1 − u)/u of what was run in air before it, u the share run in air, which is least for the
/// box's nearest point.
HWY_INLINE bool canReach(const Footprint& footprint, const Group& group, const Source& source,
                         const Box& over) {
    if (!source.inside) return true;
    const float run_x = over.x_low > 0.0F ? source.x : footprint.length - source.x;
    const float run_y = over.y_low > 0.0F ? source.y : footprint.width - source.y;
    const float beyond_x = std::max(over.x_low, over.x_high);
    const float beyond_y = std::max(over.y_low, over.y_high);
    if (beyond_x > group.run_ratio * run_x || beyond_y > group.run_ratio * run_y) return false;
    const float dx = beyond_x > 0.0F ? beyond_x + run_x : 0.0F;
    const float dy = beyond_y > 0.0F ? beyond_y + run_y : 0.0F;
    constexpr float kSlack = 1.0F + 1e-5F;
    const float share = group.height * group.table->tangentAt(dx * dx + dy * dy);
    return beyond_x * share <= (kSlack - share) * run_x && beyond_y * share <= (kSlack - share) * run_y;
}

HWY_INLINE void addImage(const Footprint& footprint, const Group& group, const Image& image, const Box& over,
                         const InTheWay& way, const float* xs, const float* ys, float* sums) {
    const D d;
    for (std::size_t i = 0; i < kBlock; i += hn::Lanes(d)) {
        const V x = hn::MulAdd(hn::LoadU(d, xs + i), hn::Set(d, image.sign_x), hn::Set(d, image.offset_x));
        const V y = hn::MulAdd(hn::LoadU(d, ys + i), hn::Set(d, image.sign_y), hn::Set(d, image.offset_y));
        V sum = hn::LoadU(d, sums + i);
        for (const auto& source : group.sources) {
            if (image.itself && source.inside && !source.shrouded && way.count == 0)
                sum = hn::Add(sum, straight(d, group, source, x, y));
            else if (canReach(footprint, group, source, over))
                sum = hn::Add(sum, reflected(d, footprint, group, image, source, way, x, y));
        }
        hn::StoreU(sum, d, sums + i);
    }
}

void addBlocks(const Footprint& footprint, const Group* groups, std::size_t group_count, const float* xs,
               const float* ys, float* sums, std::size_t first, std::size_t last, std::uint32_t* found) {
    for (std::size_t block = first; block < last; ++block) {
        const std::size_t at = block * kBlock;
        const Box box = boxOf(xs + at, ys + at);
        for (std::size_t g = 0; g < group_count; ++g)
            for (const auto& image : groups[g].images) {
                const Box over = overshoot(box, image, footprint);
                const float x = std::max(over.x_low, over.x_high);
                const float y = std::max(over.y_low, over.y_high);
                if (x * x + y * y > groups[g].reach * groups[g].reach) continue;
                InTheWay way;
                if (!image.obstructions.empty())
                    way = {found, gather(groups[g], image, seenIn(box, image), found)};
                addImage(footprint, groups[g], image, over, way, xs + at, ys + at, sums + at);
            }
    }
}

}  // namespace glumet::kernel::HWY_NAMESPACE
HWY_AFTER_NAMESPACE();

#if HWY_ONCE
namespace glumet::kernel {

HWY_EXPORT(addBlocks);

void addLight(const Footprint& footprint, std::span<const Group> groups, std::span<const float> xs,
              std::span<const float> ys, std::span<float> sums, std::size_t first, std::size_t last) {
    std::size_t most = 0;
    for (const auto& group : groups)
        for (const auto& image : group.images) most = std::max(most, image.obstructions.size());
    std::vector<std::uint32_t> found(most);
    HWY_DYNAMIC_DISPATCH(addBlocks)
    (footprint, groups.data(), groups.size(), xs.data(), ys.data(), sums.data(), first, last, found.data());
}

const char* instructionSet() {
    const auto supported = hwy::SupportedTargets();
    // Better sets have lower bits.
    return hwy::TargetName(supported & ~(supported - 1));
}

}  // namespace glumet::kernel
#endif
