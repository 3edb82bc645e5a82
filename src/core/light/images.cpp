#include "core/light/images.h"

#include <cmath>
#include <limits>

#include "core/base/angle.h"

namespace glumet {
namespace {

constexpr double kNothingLeft = 1e-9;

double leftByOpaque(const AxisImage& image, const SceneWall& low, const SceneWall& high) {
    double left = 1.0;
    if (!low.clear()) left *= std::pow(low.reflectance, image.low_crossings);
    if (!high.clear()) left *= std::pow(high.reflectance, image.high_crossings);
    return left;
}

}  // namespace

AxisImage axisImage(int index, double size_mm) {
    AxisImage image;
    image.index = index;
    const int crossings = std::abs(index);
    const bool odd = crossings % 2 == 1;
    image.sign = odd ? -1.0 : 1.0;
    image.offset = (odd ? index + 1 : index) * size_mm;
    // To the right the first wall met is the high one, to the left the low one; then they take turns.
    const int first = (crossings + 1) / 2;
    const int second = crossings / 2;
    image.high_crossings = index > 0 ? first : second;
    image.low_crossings = index > 0 ? second : first;
    return image;
}

std::vector<AxisImage> axisImages(double size_mm, double reach_mm, const SceneWall& low,
                                  const SceneWall& high) {
    std::vector<AxisImage> images{axisImage(0, size_mm)};
    for (const int direction : {1, -1})
        for (int away = 1; (away - 1) * size_mm <= reach_mm; ++away) {
            const auto image = axisImage(direction * away, size_mm);
            if (leftByOpaque(image, low, high) < kNothingLeft) break;
            images.push_back(image);
        }
    return images;
}

double waterReach(const Beam& beam, double h_mm, double d_mm, double n, double air_run_mm) {
    const double sine = std::sin(beam.lastAngle() * kDegree) / n;
    const double by_angle =
        sine < 1.0 ? d_mm * sine / std::sqrt(1.0 - sine * sine) : std::numeric_limits<double>::infinity();
    return std::min(by_angle, d_mm / (n * h_mm) * air_run_mm);
}

}  // namespace glumet
