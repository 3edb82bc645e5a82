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
    double turn_deg = 0.0;        ///< of the fixture's length against the tank's
    double error_after_mm = 0.0;  ///< 95 % half width of the recommended height
    bool planned = true;
};

/// A recommended height, and how it leans on the fit's parameters (LightModel::parameters() of them, the last
/// the height offset): its change a unit of each.
struct LeaningHeight {
    Millimetre height{0};
    std::vector<double> slope;
};

/// What is known of the recommended height from a fit, and which plane would tell most.
struct HeightKnowledge {
    std::optional<Millimetre> height;  ///< the school's; by the spill limit where the modelled loss meets it
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
    std::vector<Millimetre> further;  ///< heights that are not planned and could be
    std::vector<Millimetre> depths;
    /// How the fixture may hang; a beam that is not round is told along its other axis by a turned one.
    std::vector<double> turns_deg{0.0};
    std::vector<std::pair<Millimetre, Millimetre>> read;  ///< (height, depth) that are, by the first turn
    std::optional<LeaningHeight> verdict;                 ///< what is to be narrowed; else the spill limit
    double reading_noise = 0.03;                          ///< relative, of one more reading
    Millimetre tolerance{10};
};

/// By linear design of experiments (Chaloner & Verdinelli 1995, Statistical Science 10:273): the posterior
/// covariance of the fit, narrowed by each plane that could be read, projected on the height's slope by the
/// fit's parameters. Loss by the model: 1 − mean(h)/mean(lowest) over the grid at the depth. A height that is
/// not planned is offered when it would leave less than four fifths of the error that the best planned one
/// leaves.
HeightKnowledge whatTellsMost(const LightModel& model, const EnoughQuestion& question);

/// That as sentences: how well the height is known, and where to read next or that it is enough.
std::vector<Finding> knowledgeFindings(const HeightKnowledge& knowledge);

}  // namespace glumet
