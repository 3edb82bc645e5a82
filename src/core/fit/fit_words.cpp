#include <cmath>

#include "core/fit/fit_means.h"
#include "core/fit/fitter.h"

namespace glumet {
namespace {

constexpr double kTwin = 0.95;  // correlation beyond which two parameters cannot be told apart
/// Standard errors between a fitted reflectance and the described one, from which the wall is doubted.
constexpr double kFarFromDescribed = 2.0;

/// Less than so many degrees nobody would see.
constexpr double kSeenLeaning = 2.0;

/// "the right and the back": of the fixture's own length and width.
Words toward(const Lean& lean) {
    constexpr double kAlso = 0.4;  // of the greater
    const Words along =
        lean[0] > 0 ? say(GLUMET_SAY("Core", "its right end")) : say(GLUMET_SAY("Core", "its left end"));
    const Words across =
        lean[1] > 0 ? say(GLUMET_SAY("Core", "its back")) : say(GLUMET_SAY("Core", "its front"));
    if (std::abs(lean[1]) < kAlso * std::abs(lean[0])) return along;
    if (std::abs(lean[0]) < kAlso * std::abs(lean[1])) return across;
    return say(GLUMET_SAY("Core", "{} and {}"), along, across);
}

}  // namespace

void Fitter::tellLean() {
    if (!leaning_) return;
    const double degrees = std::hypot(leaning_->lean[0], leaning_->lean[1]);
    if (degrees < kSeenLeaning) return;
    result_.cannot_tell.push_back(say(
        GLUMET_SAY("Core",
                   "Its light looks aside by {}° toward {}, as through lenses that do or because it hangs "
                   "out of level, which the readings do not tell: lay a level on it."),
        Figure{degrees, 0}, toward(leaning_->lean)));
}

void Fitter::addParameters(const Eigen::MatrixXd& covariance) {
    const auto add = [&](FitQuantity what, Words name, const char* unit, Eigen::Index j, double scale,
                         Id of_run = 0) {
        result_.parameters.push_back({what, of_run, std::move(name), unit, nuisance(j) * scale,
                                      std::sqrt(covariance(bells() + j, bells() + j)) * scale,
                                      priorError(j) * scale});
    };
    result_.parameters.push_back({FitQuantity::Flux, 0, say(GLUMET_SAY("Core", "flux")), "µmol/s",
                                  result_.model.flux(), result_.model.fluxError(), 1e9});
    add(FitQuantity::HeightOffset, say(GLUMET_SAY("Core", "height offset")), "mm", kHeight, 1.0);
    add(FitQuantity::PlaceAlong, say(GLUMET_SAY("Core", "place along")), "mm", kX, 1.0);
    add(FitQuantity::PlaceAcross, say(GLUMET_SAY("Core", "place across")), "mm", kY, 1.0);
    add(FitQuantity::Attenuation, say(GLUMET_SAY("Core", "attenuation")), "1/m", kAttenuation, 1.0);
    if (paintedWalls())
        add(FitQuantity::Reflectance, say(GLUMET_SAY("Core", "painted walls' reflectance")), "", kReflectance,
            1.0);
    if (matters(kUnevenAlong))
        add(FitQuantity::UnevenAlong, say(GLUMET_SAY("Core", "brighter at the right end")), "%", kUnevenAlong,
            100.0);
    if (matters(kUnevenAcross))
        add(FitQuantity::UnevenAcross, say(GLUMET_SAY("Core", "brighter at the back")), "%", kUnevenAcross,
            100.0);
    for (std::size_t run = 0; run < runs_.size(); ++run) {
        const auto at = kSharedCount + 2 * static_cast<Eigen::Index>(run);
        const auto& label = bench_.run(runs_[run].id).label;
        add(FitQuantity::RunHeight, say(GLUMET_SAY("Core", "height of {}"), label), "mm", at, 1.0,
            runs_[run].id);
        add(FitQuantity::RunLevel, say(GLUMET_SAY("Core", "level of {}"), label), "%", at + 1, 100.0,
            runs_[run].id);
    }
}

void Fitter::tellApart(const Eigen::MatrixXd& covariance) {
    tellLean();
    if (options_.shroud)
        result_.cannot_tell.push_back(
            say(GLUMET_SAY("Core",
                           "The light ends as within a shroud round the body that drops about {} below the "
                           "emitters, and none is described: it is taken so. Describe it in Bench."),
                Millimetre(options_.shroud->drop_mm)));
    if (options_.leans_on)
        result_.cannot_tell.push_back(sayCounted(
            GLUMET_SAY_N(
                "Core",
                "Read at {} points only, its light leans on that of {}: from there come height, place "
                "and walls, and its beam is taken to be like that one within a tenth."),
            Count{static_cast<int>(data_.size())}, options_.leans_on->model.configuration));
    if (result_.means > 0)
        result_.cannot_tell.push_back(sayCounted(
            GLUMET_SAY_N("Core",
                         "{} of the readings are means read by others: their meter and their heights are "
                         "taken as they say."),
            Count{result_.means}));
    if (restsOnMeans(result_))
        result_.cannot_tell.push_back(
            say(GLUMET_SAY("Core",
                           "Ring means do not tell whether the light is round: it is taken to be, and "
                           "predictions allow {} for it."),
                Share{result_.model.misfit}));
    for (const auto& p : result_.parameters)
        if ((p.what == FitQuantity::HeightOffset || p.what == FitQuantity::Attenuation ||
             p.what == FitQuantity::Reflectance) &&
            !options_.leans_on && p.untold())
            result_.cannot_tell.push_back(say(
                GLUMET_SAY("Core",
                           "The readings do not tell the {}: it stays what was believed before, ± {} {}."),
                p.name,
                Figure{p.error, p.error < 1.0    ? 3
                                : p.error < 10.0 ? 2
                                                 : 1},
                p.unit));
    // A wall is fitted as the beam is: far from what is described, it is the description that is doubted.
    for (const auto& p : result_.parameters)
        if (p.what == FitQuantity::Reflectance && std::abs(p.value - described_reflectance_) >
                                                      kFarFromDescribed * std::hypot(p.prior_error, p.error))
            result_.cannot_tell.push_back(say(
                GLUMET_SAY("Core",
                           "The painted walls reflect {} by the readings, and {} as described: look at the "
                           "walls in Bench."),
                Share{p.value}, Share{described_reflectance_}));
    // Flux against height offset: a brighter lamp higher up.
    Eigen::VectorXd by_flux = Eigen::VectorXd::Zero(covariance.rows());
    const auto& fluxes = BeamBasis::fluxes(shape_);
    by_flux.head(bells()) = Eigen::Map<const Eigen::VectorXd>(fluxes.data(), bells());
    const double both = by_flux.dot(covariance.col(bells() + kHeight));
    const double correlation = both / std::sqrt(by_flux.dot(covariance * by_flux) *
                                                covariance(bells() + kHeight, bells() + kHeight));
    if (std::abs(correlation) > kTwin)
        result_.cannot_tell.push_back(say(GLUMET_SAY("Core",
                                                     "A brighter fixture higher up would give the same "
                                                     "readings: level and height cannot be told apart.")));
}

}  // namespace glumet
