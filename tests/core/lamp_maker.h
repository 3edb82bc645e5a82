#pragma once

#include <cmath>

#include "core/fit/bench_scene.h"
#include "core/verdicts/array.h"

namespace glumet::testing {

/// A narrow lamp: one emitter, its beam as bells of 50°.
inline LightModel lamp() {
    LightModel model;
    model.fixture = "Fern 20";
    model.emitters = {{0, 0, 1}};
    model.body_length_mm = 120;
    model.body_width_mm = 100;
    const auto beam = *Beam::halfAngle(50.0);
    for (std::size_t k = 0; k < model.beam.size(); ++k)
        model.beam[k] =
            100.0 * beam.intensity(std::cos(std::min(90.0, 5.0 * static_cast<double>(k)) * M_PI / 180.0));
    model.covariance.assign(model.parameters() * model.parameters(), 0.0);
    return model;
}

inline ArrayQuestion over(double length_mm) {
    ArrayQuestion question;
    Tank tank;
    tank.length = Millimetre(length_mm);
    question.tank = emptyScene(tank, false);
    question.height = Millimetre(220);
    return question;
}

}  // namespace glumet::testing
