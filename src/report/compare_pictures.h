#pragma once

#include <vector>

#include "core/compare/comparison.h"
#include "report/page/document.h"

namespace glumet {

/// A comparison as pictures that stand alone: the light across the tank of each on one scale, what differs
/// between them, and what counts. They refer to the comparison, which must outlive them; `chosen` and
/// `against` are numbers of contenders, whose figures are written out.
std::vector<PageFigure> comparePictures(const Comparison& compared, std::size_t chosen, std::size_t against);

/// Where one contender is brighter or dimmer than another, a map for every depth that both have.
std::vector<PageFigure> differencePictures(const Comparison& compared, std::size_t chosen,
                                           std::size_t against);

}  // namespace glumet
