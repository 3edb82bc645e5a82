#include "core/fit/described_model.h"

#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/bench/sweep.h"
#include "core/fit/bench_scene.h"
#include "core/fit/shadow_finding.h"
#include "core/light/shadow.h"
#include "core/words/finding.h"

namespace glumet {
namespace {

constexpr double kUnstatedFlux = 100.0;
/// Layers of the columns in which the band is looked for.
constexpr double kLayerMm = 10.0;
constexpr double kVolumePitchMm = 30.0;
/// A description that is further off than this, rms, is not the fixture's.
constexpr double kFarOff = 0.10;

std::vector<std::array<double, 2>> pointsOf(const Grid& grid) {
    std::vector<std::array<double, 2>> points;
    for (const double y : grid.ys_mm)
        for (const double x : grid.xs_mm) points.push_back({x, y});
    return points;
}

}  // namespace

Expected<LightScene> describedScene(const Bench& bench, const Run& run) {
    const auto* fixture = byId(bench.fixtures, run.fixture);
    const auto* tank = byId(bench.tanks, run.tank);
    if (tank == nullptr) return problem("", say(GLUMET_SAY("Core", "the tank of this run is not described")));
    if (fixture == nullptr || !fixture->beam)
        return problem(
            "",
            say(GLUMET_SAY(
                "Core",
                "the fixture's beam is not described: give its half angle or a photometric file in Bench")));
    if (run.accessory != 0)
        return problem(
            "", say(GLUMET_SAY("Core",
                               "an accessory changes the beam, and only the bare fixture's is described")));
    auto scene = emptyScene(*tank, run.water == WaterState::Dry);
    scene.beams = {*fixture->beam};
    // A preset whose channels' shares are not known is taken at full flux; the readings then say its level.
    const auto flux =
        fixture->flux.value_or(PhotonFlux(kUnstatedFlux)) * fluxShare(*fixture, run.preset).value_or(1.0);
    const auto emitters = latticeEmitters(*fixture, flux, 0);
    hangRun(scene, run, run.height, run.level_pct.value_or(100.0) / 100.0, emitters);
    for (auto& hung : scene.fixtures) hung.shroud = sceneShroud(*fixture);
    if (const auto wrong = wrongWith(scene)) return tl::make_unexpected(*wrong);
    return scene;
}

Expected<DescribedModel> DescribedModel::of(const Bench& bench, const Run& run,
                                            std::unique_ptr<FastField> earlier) {
    auto scene = describedScene(bench, run);
    if (!scene) return tl::make_unexpected(scene.error());
    const auto* fixture = byId(bench.fixtures, run.fixture);
    if (earlier == nullptr)
        earlier = std::make_unique<FastField>(std::move(*scene));
    else if (earlier->scene() != *scene)
        earlier->setScene(std::move(*scene));
    DescribedModel model(std::move(earlier), fixture->flux.value_or(PhotonFlux(kUnstatedFlux)),
                         fixture->flux.has_value());
    model.compare(run);
    return model;
}

Expected<DescribedModel> DescribedModel::fitted(const Bench& bench, Id id, const FitResult& fit,
                                                std::unique_ptr<FastField> earlier) {
    const auto& run = bench.run(id);
    const auto* tank = byId(bench.tanks, run.tank);
    if (tank == nullptr) return problem("", say(GLUMET_SAY("Core", "the tank of this run is not described")));
    auto scene = sceneWith(fit.model, sceneByFit(fit, bench, id, *tank));
    if (!scene) return tl::make_unexpected(scene.error());
    if (const auto wrong = wrongWith(*scene)) return tl::make_unexpected(*wrong);
    if (earlier == nullptr)
        earlier = std::make_unique<FastField>(std::move(*scene));
    else if (earlier->scene() != *scene)
        earlier->setScene(std::move(*scene));
    DescribedModel model(std::move(earlier), PhotonFlux(fit.model.flux()), true);
    model.fitted_ = true;
    model.compare(run);
    model.factor_ = 1.0;
    return model;
}

void DescribedModel::compare(const Run& run) {
    struct Pair {
        const Reading* reading;
        Millimetre depth;
        double model;
    };
    std::vector<Pair> pairs;
    double measured = 0.0;
    double modelled = 0.0;
    for (const auto& plane : run.planes) {
        std::vector<std::array<double, 2>> points;
        std::vector<const Reading*> readings;
        for (const auto& reading : plane.readings) {
            const bool inside =
                reading.x.value() <= scene().length_mm && reading.y.value() <= scene().width_mm;
            if (!reading.counts() || !inside) continue;
            points.push_back({reading.x.value(), reading.y.value()});
            readings.push_back(&reading);
        }
        const auto values = field_->onPlane(plane.depth, points);
        for (std::size_t i = 0; i < values.size(); ++i) {
            pairs.push_back({readings[i], plane.depth, values[i]});
            measured += readings[i]->mean.value();
            modelled += values[i];
        }
    }
    if (measured > 0.0 && modelled > 0.0) factor_ = measured / modelled;
    double squares = 0.0;
    for (const auto& pair : pairs) {
        if (!(pair.model > 0.0)) continue;
        const double off = pair.reading->mean.value() / (pair.model * factor_) - 1.0;
        squares += off * off;
        ++agreement_.n;
        if (std::abs(off) <= std::abs(agreement_.worst)) continue;
        agreement_.worst = off;
        agreement_.worst_depth = pair.depth;
        agreement_.worst_x = pair.reading->x;
        agreement_.worst_y = pair.reading->y;
    }
    if (agreement_.n > 0) agreement_.rms = std::sqrt(squares / agreement_.n);
}

std::vector<Ppfd> DescribedModel::onGrid(const Grid& grid, Millimetre depth) {
    std::vector<Ppfd> values;
    for (const double value : field_->onPlane(depth, pointsOf(grid))) values.emplace_back(value * factor_);
    return values;
}

Surface DescribedModel::slice(Millimetre y, Millimetre pitch) {
    auto slice = verticalSlice(*field_, y, pitch);
    for (auto& value : slice.values) value *= factor_;
    return slice;
}

const std::vector<std::optional<double>>& DescribedModel::shadowOn(const Grid& grid, Millimetre depth) {
    if (shadow_.grid == grid && shadow_.depth == depth) return shadow_.shares;
    const auto points = pointsOf(grid);
    shadow_ = {grid, depth, std::vector<std::optional<double>>(points.size())};
    if (sourcesOf(scene()).size() <= kMostForShadow) shadow_.shares = shadowShares(scene(), depth, points);
    return shadow_.shares;
}

std::optional<double> DescribedModel::shimmerOn(Millimetre x, Millimetre y, Millimetre depth) const {
    const ExactField exact(scene());
    if (exact.sources().size() > kMostForShimmer) return std::nullopt;
    return shimmerAt(exact, x, y, depth);
}

std::vector<BandRange> DescribedModel::bandRangesOn(const Grid& grid, const Band& band) {
    LightVolume columns{grid.xs_mm, grid.ys_mm, {}, {}};
    const int layers = std::max(2, static_cast<int>(scene().water_depth_mm / kLayerMm));
    std::vector<Millimetre> depths;
    for (int i = 0; i < layers; ++i) {
        depths.emplace_back((i + 0.5) * scene().water_depth_mm / layers);
        columns.depths_mm.push_back(depths.back().value());
    }
    for (const auto& layer : field_->onPlanes(depths, pointsOf(grid)))
        columns.values.insert(columns.values.end(), layer.begin(), layer.end());
    for (auto& value : columns.values) value *= factor_;
    return bandRanges(columns, band);
}

Expected<double> DescribedModel::volumeShare(const Band& band, Millimetre pitch) {
    const auto volume = sampleVolume(*field_, pitch);
    if (!volume) return tl::make_unexpected(volume.error());
    return shareInBand(*volume, {band.low / factor_, band.high / factor_});
}

namespace {

Words agreementTitle(double rms, bool fitted) {
    if (fitted) return say(GLUMET_SAY("Core", "The fitted model is {} off"), Share{rms});
    return rms <= kFarOff ? say(GLUMET_SAY("Core", "The description fits to {}"), Share{rms})
                          : say(GLUMET_SAY("Core", "The description is off by {}"), Share{rms});
}

Finding agreementFinding(const Bench& bench, Id id, const DescribedModel& model) {
    const auto& agreement = model.agreement();
    Finding out;
    out.kind = agreement.rms <= kFarOff ? FindingKind::Fact : FindingKind::Doubt;
    out.title = agreementTitle(agreement.rms, model.isFitted());
    out.view = EvidenceView::Field;
    out.run = id;
    out.depth = agreement.worst_depth;
    Words place = say(GLUMET_SAY("Core", "{} along, {} across"), agreement.worst_x, agreement.worst_y);
    if (const auto* plane = planeAt(bench.run(id), agreement.worst_depth); plane != nullptr && plane->grid)
        if (const auto cell = cellAt(*plane->grid, agreement.worst_x, agreement.worst_y)) {
            out.cell = cell;
            place = verbatim(cellName(*cell));
        }
    const auto* message =
        agreement.worst < 0.0
            ? GLUMET_SAY_N("Core", "Root mean square over {} readings; the furthest is {} at {}, {} below.")
            : GLUMET_SAY_N("Core", "Root mean square over {} readings; the furthest is {} at {}, {} above.");
    out.body = sayCounted(message, Count{agreement.n}, place, agreement.worst_depth,
                          Share{std::abs(agreement.worst)});
    return out;
}

Finding fluxFinding(const DescribedModel& model) {
    Finding out;
    if (model.isFitted()) {
        out.title = say(GLUMET_SAY("Core", "It emits {} µmol/s"), Figure{model.impliedFlux().value(), 0});
        out.body = say(GLUMET_SAY(
            "Core", "By the fit to all readings of this configuration, walls and water included."));
        return out;
    }
    out.title =
        say(GLUMET_SAY("Core", "Readings imply {} µmol/s emitted"), Figure{model.impliedFlux().value(), 0});
    out.body =
        model.fluxWasDescribed()
            ? say(GLUMET_SAY("Core",
                             "That is {} of the flux described. Model values are scaled to the readings."),
                  Share{model.factor()})
            : say(GLUMET_SAY("Core", "No flux is described; model values are scaled to the readings."));
    return out;
}

}  // namespace

std::vector<Finding> modelFindings(const Bench& bench, Id run, Expected<DescribedModel>& model,
                                   const std::optional<Band>& band) {
    if (!model) {
        Finding missing;
        missing.kind = FindingKind::Next;
        missing.title = say(GLUMET_SAY("Core", "No model of this run"));
        missing.body = say(GLUMET_SAY("Core", "Reason: {}."), model.error().what);
        missing.view = EvidenceView::Bench;
        return {missing};
    }
    std::vector<Finding> out;
    if (model->agreement().n > 0) {
        out.push_back(agreementFinding(bench, run, *model));
        out.push_back(fluxFinding(*model));
    }
    if (band)
        if (const auto share = model->volumeShare(*band, Millimetre(kVolumePitchMm))) {
            Finding volume;
            volume.title = say(GLUMET_SAY("Core", "{} of the water in {}"), Share{*share},
                               PpfdSpan{band->low, band->high});
            volume.body =
                say(GLUMET_SAY("Core", "By the model, in cells of {}."), Millimetre(kVolumePitchMm));
            out.push_back(volume);
        }
    if (auto shadow = shadowFinding(bench, run, *model)) out.push_back(std::move(*shadow));
    return out;
}

}  // namespace glumet
