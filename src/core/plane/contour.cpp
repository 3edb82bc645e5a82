#include "core/plane/contour.h"

#include <algorithm>
#include <array>

#include "core/base/monotone_cubic.h"
#include "core/bench/grid.h"

namespace glumet {
namespace {

std::vector<double> finerAxis(const std::vector<double>& axis, int times) {
    std::vector<double> fine;
    for (std::size_t i = 0; i + 1 < axis.size(); ++i)
        for (int step = 0; step < times; ++step)
            fine.push_back(axis[i] + (axis[i + 1] - axis[i]) * step / times);
    fine.push_back(axis.back());
    return fine;
}

std::vector<double> resampled(const std::vector<double>& from, const std::vector<double>& values,
                              const std::vector<double>& to) {
    if (from.size() < 2) return std::vector<double>(to.size(), values.front());
    const MonotoneCubic curve(from, values);
    std::vector<double> out;
    out.reserve(to.size());
    for (const double at : to) out.push_back(curve(at));
    return out;
}

struct Corner {
    double x, y, value;
};

/// Crossing of `level` on the edge between two corners on different sides of it.
std::pair<double, double> crossingOn(const Corner& a, const Corner& b, double level) {
    const double t = (level - a.value) / (b.value - a.value);
    return {a.x + t * (b.x - a.x), a.y + t * (b.y - a.y)};
}

void contourOfCell(const std::array<Corner, 4>& corners, double level, std::vector<ContourSegment>& out) {
    std::array<std::pair<double, double>, 4> points;
    std::size_t count = 0;
    for (std::size_t i = 0; i < 4; ++i) {
        const auto& a = corners[i];
        const auto& b = corners[(i + 1) % 4];
        if ((a.value < level) != (b.value < level)) points[count++] = crossingOn(a, b, level);
    }
    // Four crossings are a saddle: joining them in pairs in edge order is one of the two sound readings.
    for (std::size_t i = 0; i + 1 < count; i += 2)
        out.push_back({points[i].first, points[i].second, points[i + 1].first, points[i + 1].second});
}

}  // namespace

std::optional<Surface> surfaceOf(const Plane& plane) {
    const auto grid = detectGrid(plane.readings);
    if (!grid) return std::nullopt;
    Surface surface{*grid, {}};
    for (const int index : readingOfCell(*grid, plane.readings))
        surface.values.push_back(plane.readings[static_cast<std::size_t>(index)].mean.value());
    return surface;
}

Surface refined(const Surface& coarse, int times) {
    const auto columns = static_cast<std::size_t>(coarse.grid.columns());
    const auto rows = static_cast<std::size_t>(coarse.grid.rows());
    Surface fine{{finerAxis(coarse.grid.xs_mm, times), finerAxis(coarse.grid.ys_mm, times)}, {}};
    std::vector<std::vector<double>> stretched;
    for (std::size_t row = 0; row < rows; ++row) {
        const auto first = coarse.values.begin() + static_cast<std::ptrdiff_t>(row * columns);
        stretched.push_back(resampled(
            coarse.grid.xs_mm, {first, first + static_cast<std::ptrdiff_t>(columns)}, fine.grid.xs_mm));
    }
    const auto fine_columns = fine.grid.xs_mm.size();
    fine.values.resize(fine_columns * fine.grid.ys_mm.size());
    for (std::size_t column = 0; column < fine_columns; ++column) {
        std::vector<double> along;
        for (const auto& row : stretched) along.push_back(row[column]);
        const auto values = resampled(coarse.grid.ys_mm, along, fine.grid.ys_mm);
        for (std::size_t row = 0; row < values.size(); ++row)
            fine.values[row * fine_columns + column] = values[row];
    }
    return fine;
}

std::vector<ContourSegment> contour(const Surface& surface, double level) {
    std::vector<ContourSegment> segments;
    const auto columns = surface.grid.xs_mm.size();
    const auto corner = [&](std::size_t column, std::size_t row) {
        return Corner{surface.grid.xs_mm[column], surface.grid.ys_mm[row],
                      surface.values[row * columns + column]};
    };
    for (std::size_t row = 0; row + 1 < surface.grid.ys_mm.size(); ++row)
        for (std::size_t column = 0; column + 1 < columns; ++column)
            contourOfCell({corner(column, row), corner(column + 1, row), corner(column + 1, row + 1),
                           corner(column, row + 1)},
                          level, segments);
    return segments;
}

}  // namespace glumet
