#pragma once

#include "core/fit/fit.h"
#include "core/survey/findings.h"
#include "core/verdicts/array.h"
#include "core/words/finding.h"

namespace glumet {

/// A plane that could be read next, and what would be known then.
struct PlaneOffer {
    Millimetre height{0};
    Millimetre depth{0};
    double error_after_mm = 0.0;  ///< 95 % half width of the recommended height
};

/// What is known of the spill-limit height from a fit, and which plane would tell most.
struct HeightKnowledge {
    std::optional<Millimetre> height;  ///< where the modelled loss meets the limit
    double error_mm = 0.0;             ///< 95 % half width
    std::vector<PlaneOffer> offers;    ///< the most telling first
    bool enough = false;               ///< it will not move by more than `tolerance`
    Words reason;
};

/// What is asked of a bench.
struct EnoughQuestion {
    LightScene tank;  ///< of the bench, without fixtures
    Grid grid;
    Millimetre depth{150};   ///< at which the spill limit is judged
    Millimetre lowest{120};  ///< the height to which losses are referred
    double limit = 0.15;
    std::vector<Millimetre> heights;  ///< that could be read, ascending
    std::vector<Millimetre> depths;
    std::vector<std::pair<Millimetre, Millimetre>> read;  ///< (height, depth) that are
    double reading_noise = 0.03;                          ///< relative, of one more reading
    Millimetre tolerance{10};
};

/// By linear design of experiments (Chaloner & Verdinelli 1995, Statistical Science 10:273): the posterior
/// covariance of the fit, narrowed by each plane that could be read, projected on the height's slope by the
/// fit's parameters. Loss by the model: 1 − mean(h)/mean(lowest) over the grid at the depth.
HeightKnowledge whatTellsMost(const LightModel& model, const EnoughQuestion& question);

/// That as sentences: how well the height is known, and where to read next or that it is enough.
std::vector<Finding> knowledgeFindings(const HeightKnowledge& knowledge);

}  // namespace glumet
