#include "core/survey/route.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kWorthIt = 1e-6;  // mm; smaller gains are rounding

struct Point {
    double x;
    double y;
};

Point pointOf(const Grid& grid, Cell cell) {
    return {grid.xs_mm[static_cast<std::size_t>(cell.column)],
            grid.ys_mm[static_cast<std::size_t>(cell.row)]};
}

/// Whether the straight move passes over the rectangle (clipping a segment, Liang & Barsky 1984, ACM
/// Transactions on Graphics 3:1).
bool crosses(const Obstacle& o, Point from, Point to) {
    double enter = 0.0;
    double leave = 1.0;
    const auto clip = [&](double start, double step, double low, double high) {
        if (step == 0.0) return start > low && start < high;
        double first = (low - start) / step;
        double last = (high - start) / step;
        if (first > last) std::swap(first, last);
        enter = std::max(enter, first);
        leave = std::min(leave, last);
        return enter < leave;
    };
    return clip(from.x, to.x - from.x, o.from_x.value(), o.to_x.value()) &&
           clip(from.y, to.y - from.y, o.from_y.value(), o.to_y.value());
}

double moveLength(const std::vector<Obstacle>& obstacles, Point from, Point to) {
    double length = std::hypot(to.x - from.x, to.y - from.y);
    for (const auto& obstacle : obstacles)
        if (crosses(obstacle, from, to)) length += kLiftMm;
    return length;
}

/// Lengths between all pairs of a set of cells, and a way over them that is made shorter.
class Shortener {
  public:
    Shortener(const Grid& grid, const std::vector<Obstacle>& obstacles, std::vector<Cell> cells)
        : cells_(std::move(cells)), n_(cells_.size()), lengths_(n_ * n_), order_(n_) {
        for (std::size_t i = 0; i < n_; ++i) {
            order_[i] = i;
            for (std::size_t j = 0; j < n_; ++j)
                lengths_[i * n_ + j] =
                    moveLength(obstacles, pointOf(grid, cells_[i]), pointOf(grid, cells_[j]));
        }
    }

    std::vector<Cell> run() {
        while (turnOneRound() || moveOne()) continue;
        std::vector<Cell> way;
        for (const auto index : order_) way.push_back(cells_[index]);
        return way;
    }

  private:
    /// Length between two positions of the way; 0 beyond its open ends.
    double between(std::ptrdiff_t a, std::ptrdiff_t b) const {
        const auto n = static_cast<std::ptrdiff_t>(n_);
        if (a < 0 || b < 0 || a >= n || b >= n) return 0.0;
        return lengths_[order_[static_cast<std::size_t>(a)] * n_ + order_[static_cast<std::size_t>(b)]];
    }

    bool turnOneRound() {
        const auto n = static_cast<std::ptrdiff_t>(n_);
        for (std::ptrdiff_t i = 0; i < n; ++i)
            for (std::ptrdiff_t j = i + 1; j < n; ++j) {
                const double gain =
                    between(i - 1, i) + between(j, j + 1) - between(i - 1, j) - between(i, j + 1);
                if (gain <= kWorthIt) continue;
                std::reverse(order_.begin() + i, order_.begin() + j + 1);
                return true;
            }
        return false;
    }

    bool moveOne() {
        const auto n = static_cast<std::ptrdiff_t>(n_);
        for (std::ptrdiff_t from = 0; from < n; ++from)
            for (std::ptrdiff_t before = 0; before <= n; ++before) {
                if (before == from || before == from + 1) continue;
                const bool ends = from == 0 || from == n - 1;
                const double closed = ends ? 0.0 : between(from - 1, from + 1);
                const double freed = between(from - 1, from) + between(from, from + 1) - closed;
                const bool at_end = before == 0 || before == n;
                const double opened = at_end ? 0.0 : between(before - 1, before);
                const double added = between(before - 1, from) + between(from, before) - opened;
                if (freed - added <= kWorthIt) continue;
                const auto moved = order_[static_cast<std::size_t>(from)];
                order_.erase(order_.begin() + from);
                order_.insert(order_.begin() + (before > from ? before - 1 : before), moved);
                return true;
            }
        return false;
    }

    std::vector<Cell> cells_;
    std::size_t n_;
    std::vector<double> lengths_;
    std::vector<std::size_t> order_;
};

std::vector<Cell> serpentineAlongWidth(const Grid& grid) {
    std::vector<Cell> way;
    for (int column = 0; column < grid.columns(); ++column)
        for (int step = 0; step < grid.rows(); ++step) {
            const Cell cell{column, column % 2 == 0 ? step : grid.rows() - 1 - step};
            if (grid.planned(cell)) way.push_back(cell);
        }
    return way;
}

}  // namespace

bool reachable(Millimetre x, Millimetre y, const std::vector<Obstacle>& obstacles) {
    return std::none_of(obstacles.begin(), obstacles.end(), [&](const Obstacle& o) {
        return x >= o.from_x && x <= o.to_x && y >= o.from_y && y <= o.to_y;
    });
}

void leaveOutUnreachable(Grid& grid, const std::vector<Obstacle>& obstacles) {
    for (int column = 0; column < grid.columns(); ++column)
        for (int row = 0; row < grid.rows(); ++row) {
            const auto at = pointOf(grid, {column, row});
            if (!reachable(Millimetre(at.x), Millimetre(at.y), obstacles))
                grid.left_out.push_back({column, row});
        }
    std::sort(grid.left_out.begin(), grid.left_out.end());
    grid.left_out.erase(std::unique(grid.left_out.begin(), grid.left_out.end()), grid.left_out.end());
}

double wayLength(const Grid& grid, const std::vector<Obstacle>& obstacles, const std::vector<Cell>& way) {
    double length = 0.0;
    for (std::size_t i = 1; i < way.size(); ++i)
        length += moveLength(obstacles, pointOf(grid, way[i - 1]), pointOf(grid, way[i]));
    return length;
}

std::vector<Cell> shortWay(const Grid& grid, const std::vector<Obstacle>& obstacles) {
    auto way = serpentine(grid);
    auto across = serpentineAlongWidth(grid);
    if (wayLength(grid, obstacles, across) < wayLength(grid, obstacles, way) - kWorthIt)
        way = std::move(across);
    if (obstacles.empty() && grid.left_out.empty()) return way;
    return Shortener(grid, obstacles, std::move(way)).run();
}

namespace {

/// Whether a plane is walked from the way's end: as it was begun, else against the plane above it.
bool goesBackward(const Run& run, std::size_t index, const std::vector<Cell>& way) {
    const auto& plane = run.planes[index];
    for (const auto& reading : plane.readings) {
        const auto cell =
            reading.counts() && plane.grid ? cellAt(*plane.grid, reading.x, reading.y) : std::nullopt;
        const auto at = cell ? std::find(way.begin(), way.end(), *cell) : way.end();
        if (at != way.end()) return (at - way.begin()) * 2 >= static_cast<std::ptrdiff_t>(way.size());
    }
    return index > 0 && !goesBackward(run, index - 1, way);
}

}  // namespace

std::vector<Cell> wayOf(const Bench& bench, const Run& run, const Plane& plane) {
    if (!plane.grid) return {};
    const auto* tank = byId(bench.tanks, run.tank);
    auto way = shortWay(*plane.grid, tank == nullptr ? std::vector<Obstacle>{} : tank->obstacles);
    const auto same = [&](const Plane& other) { return &other == &plane || other.depth == plane.depth; };
    const auto index = std::find_if(run.planes.begin(), run.planes.end(), same) - run.planes.begin();
    if (index < static_cast<std::ptrdiff_t>(run.planes.size()) &&
        goesBackward(run, static_cast<std::size_t>(index), way))
        std::reverse(way.begin(), way.end());
    return way;
}

std::optional<Cell> nextOnWay(const Bench& bench, const Run& run, const Plane& plane) {
    if (!plane.grid) return std::nullopt;
    return firstUnread(*plane.grid, plane.readings, wayOf(bench, run, plane));
}

}  // namespace glumet
