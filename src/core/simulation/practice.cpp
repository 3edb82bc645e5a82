#include "core/simulation/practice.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/survey/pace.h"
#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr double kRight = 0.05;
constexpr double kToldRuler = 0.5;  // mm

bool at(const PlantedSlip& slip, const Plane& plane, const Reading& reading) {
    return std::abs((slip.depth - plane.depth).value()) <= kSamePointMm &&
           std::abs((slip.x - reading.x).value()) <= kSamePointMm &&
           std::abs((slip.y - reading.y).value()) <= kSamePointMm;
}

}  // namespace

Words PracticeScore::words() const {
    Words out =
        sayCounted(GLUMET_SAY_N("Core", "{} points, {} from the truth."), Count{points}, Share{rms_error});
    if (planted > 0)
        out += say(GLUMET_SAY("Core", "{} of {} planted slips found."), Count{mended}, Count{planted});
    if (std::abs(ruler_mm) >= kToldRuler)
        out += say(ruler_mm > 0.0 ? GLUMET_SAY("Core", "The lamp hung {} mm higher than the ruler says.")
                                  : GLUMET_SAY("Core", "The lamp hung {} mm lower than the ruler says."),
                   Figure{std::abs(ruler_mm), 0});
    if (seconds_per_point > 0.0)
        out += say(GLUMET_SAY("Core", "{} s a point."), Figure{seconds_per_point, 0});
    return out;
}

PracticeScore scoreOf(const Run& run, LightScene truth, const std::vector<PlantedSlip>& planted,
                      double ruler_mm) {
    PracticeScore score;
    score.ruler_mm = ruler_mm;
    FastField field(std::move(truth));
    double squares = 0.0;
    Bench timed;
    timed.runs.push_back(run);
    for (const auto& plane : run.planes) {
        for (const auto& reading : plane.readings) {
            if (!reading.counts()) continue;
            const std::array<double, 2> point{reading.x.value(), reading.y.value()};
            const double known = field.onPlane(plane.depth, {&point, 1}).front();
            if (known <= 0.0) continue;
            const double off = reading.mean.value() / known - 1.0;
            squares += off * off;
            ++score.points;
            const bool slipped = std::any_of(planted.begin(), planted.end(), [&](const PlantedSlip& slip) {
                return at(slip, plane, reading);
            });
            score.planted += slipped ? 1 : 0;
            score.mended += slipped && std::abs(off) <= kRight ? 1 : 0;
            if (std::abs(off) <= std::abs(score.worst_error)) continue;
            score.worst_error = off;
            score.worst_depth = plane.depth;
            if (plane.grid) score.worst_cell = cellAt(*plane.grid, reading.x, reading.y).value_or(Cell{});
        }
    }
    if (score.points > 0) score.rms_error = std::sqrt(squares / score.points);
    if (const auto pace = paceOf(timed); pace.points_timed > 0) score.seconds_per_point = pace.point.value();
    return score;
}

}  // namespace glumet
