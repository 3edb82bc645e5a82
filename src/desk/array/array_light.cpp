#include "desk/array/array_light.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr double kCellMm = 50.0;
constexpr double kSliceRowMm = 40.0;
constexpr double kSnapMm = 12.0;
constexpr double kHeightStepMm = 5.0;
constexpr double kLeastHeightMm = 10.0;
constexpr double kMostHeightMm = 2000.0;

int cellsOf(double length, double cell) { return std::max(2, static_cast<int>(std::lround(length / cell))); }

}  // namespace

bool ArrayLight::show(Shown shown) {
    auto lit = hung(shown.model, shown.question, shown.centres);
    if (!lit) {
        clear();
        return false;
    }
    // Tables of another beam or tank are of no use.
    if (field_ != nullptr && shown_ && shown_->model == shown.model)
        field_->setScene(std::move(*lit));
    else
        field_ = std::make_unique<FastField>(std::move(*lit));
    room_ = roomOf(shown.model, shown.question);
    shown_ = std::move(shown);
    compute();
    return true;
}

void ArrayLight::clear() {
    shown_.reset();
    field_.reset();
    emit changed();
}

double ArrayLight::depthMm() const {
    const auto& q = shown_->question;
    return q.depth ? q.depth->value() : 0.5 * q.tank.water_depth_mm;
}

void ArrayLight::hold(bool held) {
    held_ = held;
    if (held || !shown_) return;
    compute();
    emit letGo();
}

void ArrayLight::choose(std::size_t fixture) {
    if (!shown_ || fixture >= shown_->centres.size() || fixture == chosen_) return;
    chosen_ = fixture;
    emit changed();
}

void ArrayLight::compute() {
    chosen_ = std::min(chosen_, shown_->centres.size() - 1);
    computePlan();
    computeSlice();
    computeFigures();
    // The scale follows only while nothing is held: colours that jump under the hand say nothing.
    if (!held_) top_ = figures_.max;
    emit changed();
}

void ArrayLight::computePlan() {
    const auto& t = tank();
    plan_.columns = cellsOf(t.length_mm, kCellMm);
    plan_.rows = cellsOf(t.width_mm, kCellMm);
    std::vector<std::array<double, 2>> points;
    for (int row = 0; row < plan_.rows; ++row)
        for (int column = 0; column < plan_.columns; ++column)
            points.push_back(
                {(column + 0.5) * t.length_mm / plan_.columns, (row + 0.5) * t.width_mm / plan_.rows});
    plan_.values = field_->onPlane(Millimetre(depthMm()), points);
    for (auto& value : plan_.values) value *= shown_->level;
}

void ArrayLight::computeSlice() {
    const auto& t = tank();
    slice_.columns = cellsOf(t.length_mm, kCellMm);
    slice_.rows = cellsOf(t.water_depth_mm, kSliceRowMm);
    std::vector<Millimetre> depths;
    for (int row = 0; row < slice_.rows; ++row)
        depths.emplace_back((row + 0.5) * t.water_depth_mm / slice_.rows);
    std::vector<std::array<double, 2>> line;
    for (int column = 0; column < slice_.columns; ++column)
        line.push_back({(column + 0.5) * t.length_mm / slice_.columns, 0.5 * t.width_mm});
    slice_.values.clear();
    for (const auto& row : field_->onPlanes(depths, line))
        for (const double value : row) slice_.values.push_back(value * shown_->level);
}

void ArrayLight::computeFigures() {
    const auto& q = shown_->question;
    judged_ = litPoints(*field_, q, q.goal);
    const auto depths = judgedDepths(q.goal, Millimetre(q.tank.water_depth_mm), q.over);
    const auto of_plane = judged_.values.size() / depths.size();
    depth_rows_.clear();
    figures_.in_band = 0.0;
    for (std::size_t d = 0; d < depths.size(); ++d) {
        DepthRow row{depths[d]};
        for (std::size_t i = d * of_plane; i < (d + 1) * of_plane; ++i) {
            const double value = judged_.values[i] * shown_->level;
            row.mean += value / static_cast<double>(of_plane);
            row.in_band += (q.goal.band.contains(Ppfd(value)) ? 1.0 : 0.0) / static_cast<double>(of_plane);
        }
        figures_.in_band += row.in_band / static_cast<double>(depths.size());
        depth_rows_.push_back(row);
    }
    const auto [least, most] = std::minmax_element(plan_.values.begin(), plan_.values.end());
    figures_.min = *least;
    figures_.max = *most;
    figures_.mean = 0.0;
    for (const double v : plan_.values) figures_.mean += v / static_cast<double>(plan_.values.size());
}

bool ArrayLight::move(std::size_t fixture, double along_mm, bool snap) {
    if (!shown_ || fixture >= shown_->centres.size()) return false;
    if (snap)
        for (const auto& place : shown_->snaps)
            if (fixture < place.size() && std::abs(place[fixture] - along_mm) <= kSnapMm)
                along_mm = place[fixture];
    auto centres = shown_->centres;
    // Bodies do not pass through each other.
    double low = room_->low();
    double high = room_->high();
    if (fixture > 0) low = std::max(low, centres[fixture - 1] + room_->body());
    if (fixture + 1 < centres.size()) high = std::min(high, centres[fixture + 1] - room_->body());
    if (low > high) return false;
    const auto place = room_->nearest(std::clamp(along_mm, low, high));
    if (!place) return false;
    centres[fixture] = *place;
    if (centres == shown_->centres || !room_->allows(centres)) return false;
    shown_->centres = std::move(centres);
    auto scene = field_->scene();
    (lengthwise() ? scene.fixtures[fixture].x_mm : scene.fixtures[fixture].y_mm) = *place;
    field_->setScene(std::move(scene));
    compute();
    emit movedByHand();
    return true;
}

bool ArrayLight::raise(Millimetre height) {
    if (!shown_) return false;
    auto& q = shown_->question;
    const double low = q.limits.lowest ? q.limits.lowest->value() : kLeastHeightMm;
    const double high = q.limits.highest ? q.limits.highest->value() : kMostHeightMm;
    const Millimetre asked(
        std::clamp(std::round(height.value() / kHeightStepMm) * kHeightStepMm, low, std::max(low, high)));
    if (asked == q.height) return false;
    const double by = (asked - q.height).value();
    q.height = asked;
    auto scene = field_->scene();
    for (std::size_t i = 0; i < shown_->centres.size(); ++i) scene.fixtures[i].height_mm += by;
    field_->setScene(std::move(scene));
    compute();
    emit movedByHand();
    if (!held_) emit letGo();
    return true;
}

}  // namespace glumet
