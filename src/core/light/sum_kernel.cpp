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
namespace glumet::kernel {
/// A block's bounds, or how far it lies beyond the footprint's four sides, mm.
struct Box {
    float x_low, x_high, y_low, y_high;
};
inline Box boxOf(const float* xs, const float* ys) {
    const auto [x_low, x_high] = std::minmax_element(xs, xs + kBlock);
    const auto [y_low, y_high] = std::minmax_element(ys, ys + kBlock);
    return {*x_low, *x_high, *y_low, *y_high};
}
/// Least distance that any receiver's image lies beyond each side; 0 where it may lie inside.
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
HWY_INLINE V straight(D d, const RadialTable& table, const Source& source, V x, V y) {
    const V dx = hn::Sub(x, hn::Set(d, source.x));
    const V dy = hn::Sub(y, hn::Set(d, source.y));
    const V s = hn::MulAdd(dx, dx, hn::Mul(dy, dy));
    return hn::Mul(hn::Set(d, source.flux), lightAt(d, table, cellOf(d, table, s), s));
}

/// The same by way of walls, or from outside the footprint.
HWY_INLINE V reflected(D d, const Footprint& footprint, const Group& group, const Image& image,
                       const Source& source, V x, V y) {
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
    const M enters = hn::And(
        hn::And(hn::And(hn::Ge(entry_x, zero), hn::Le(entry_x, hn::Set(d, footprint.length))), cell.within),
        hn::And(hn::Ge(entry_y, zero), hn::Le(entry_y, hn::Set(d, footprint.width))));
    if (hn::AllFalse(d, enters)) return zero;
    V light = hn::Mul(hn::Set(d, source.flux * image.weight), lightAt(d, table, cell, s));
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
                         const float* xs, const float* ys, float* sums) {
    const D d;
    for (std::size_t i = 0; i < kBlock; i += hn::Lanes(d)) {
        const V x = hn::MulAdd(hn::LoadU(d, xs + i), hn::Set(d, image.sign_x), hn::Set(d, image.offset_x));
        const V y = hn::MulAdd(hn::LoadU(d, ys + i), hn::Set(d, image.sign_y), hn::Set(d, image.offset_y));
        V sum = hn::LoadU(d, sums + i);
        for (const auto& source : group.sources) {
            if (image.itself && source.inside)
                sum = hn::Add(sum, straight(d, *group.table, source, x, y));
            else if (canReach(footprint, group, source, over))
                sum = hn::Add(sum, reflected(d, footprint, group, image, source, x, y));
        }
        hn::StoreU(sum, d, sums + i);
    }
}

void addBlocks(const Footprint& footprint, const Group* groups, std::size_t group_count, const float* xs,
               const float* ys, float* sums, std::size_t first, std::size_t last) {
    for (std::size_t block = first; block < last; ++block) {
        const std::size_t at = block * kBlock;
        const Box box = boxOf(xs + at, ys + at);
        for (std::size_t g = 0; g < group_count; ++g)
            for (const auto& image : groups[g].images) {
                const Box over = overshoot(box, image, footprint);
                const float x = std::max(over.x_low, over.x_high);
                const float y = std::max(over.y_low, over.y_high);
                if (x * x + y * y > groups[g].reach * groups[g].reach) continue;
                addImage(footprint, groups[g], image, over, xs + at, ys + at, sums + at);
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
    HWY_DYNAMIC_DISPATCH(addBlocks)
    (footprint, groups.data(), groups.size(), xs.data(), ys.data(), sums.data(), first, last);
}

const char* instructionSet() {
    const auto supported = hwy::SupportedTargets();
    // Better sets have lower bits.
    return hwy::TargetName(supported & ~(supported - 1));
}

}  // namespace glumet::kernel
#endif
