#include "core/fit/fit.h"

#include <QTest>
#include <cmath>

#include "core/bench/grid.h"
#include "core/bench/placement.h"
#include "core/fit/bench_scene.h"
#include "core/fit/least_squares.h"
#include "core/fit_maker.h"
#include "core/light/exact_field.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_fit {

using namespace glumet;

using namespace glumet::testing;

namespace {

std::pair<double, double> predictionError(const Bench& bench, const Truth& truth, const LightModel& model,
                                          double* inside = nullptr) {
    const auto error = arrayError(bench, truth, model);
    if (inside != nullptr) *inside = error.inside;
    return {error.median, error.worst};
}

}  // namespace

class TestFit : public QObject {
    Q_OBJECT

  private slots:
    /// Two painted walls keep what tells them apart, and a dry tank has no water to fade in.
    void wallsAndWaterOfAFitAreThoseOfItsTanks() {
        Truth truth;
        auto bench = read(truth, 0.01, {150, 200, 250}, {150, 300, 450});
        auto& walls = bench.tanks.front().walls;
        walls[0].kind = WallKind::Opaque;
        walls[0].reflectance = 0.30;
        walls[3].kind = WallKind::Opaque;
        walls[3].reflectance = 0.05;
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        const auto scene = tankByFit(*fit, bench.tanks.front(), false);
        const auto change = fit->reflectance_change;
        QVERIFY(std::abs(scene.walls[0].reflectance - std::clamp(0.30 + change, 0.0, 1.0)) < 1e-12);
        QVERIFY(std::abs(scene.walls[3].reflectance - std::clamp(0.05 + change, 0.0, 1.0)) < 1e-12);
        QVERIFY(fit->attenuation_per_m > 0.0);
        QCOMPARE(scene.water.attenuation_per_m, fit->attenuation_per_m);
        const auto dry = tankByFit(*fit, bench.tanks.front(), true);
        QCOMPARE(dry.water, Water::none());
        // Nor where the light is computed bell by bell.
        auto hung = dry;
        hangAt(hung, {300}, Millimetre(200), 1.0, {});
        const std::vector<BasisField::Point> point{{200, 250, 300}};
        QCOMPARE(BasisField(hung, fit->model.emitters, 0.4).rows(point),
                 BasisField(hung, fit->model.emitters, 0.0).rows(point));
    }

    void bellsAreABeam() {
        // Equal coefficients are the same intensity everywhere, and their flux is that of half a sphere.
        for (const auto shape : {BeamShape::Round, BeamShape::TwoPlanes, BeamShape::Free}) {
            const std::vector<double> even(static_cast<std::size_t>(BeamBasis::size(shape)), 2.0);
            for (const double theta : {0.0, 13.0, 45.0, 88.0, 90.0})
                for (const double phi : {-7.0, -0.3, 0.0, 0.8, M_PI / 2, 2.1, M_PI, 4.0, 6.2})
                    QVERIFY(std::abs(BeamBasis::intensity(shape, even, theta, phi) - 2.0) < 1e-12);
            double flux = 0.0;
            for (const double f : BeamBasis::fluxes(shape)) flux += 2.0 * f;
            QVERIFY(std::abs(flux - 2.0 * 2.0 * M_PI) < 1e-4);
        }
    }

    /// Two planes of symmetry are kept, a free beam has none; the table of either is the beam, and gives the
    /// flux of its bells.
    void bellsTurnAboutTheAxis() {
        for (const auto shape : {BeamShape::TwoPlanes, BeamShape::Free}) {
            std::vector<double> beam;
            for (int i = 0; i < BeamBasis::size(shape); ++i) beam.push_back(1.0 + std::sin(0.7 * i));
            const auto at = [&](double phi) { return BeamBasis::intensity(shape, beam, 40.0, phi); };
            QVERIFY(std::abs(at(0.4) - at(0.4 + 2 * M_PI)) < 1e-9);
            const bool mirrored =
                std::abs(at(0.4) - at(-0.4)) < 1e-9 && std::abs(at(0.4) - at(M_PI - 0.4)) < 1e-9;
            QCOMPARE(mirrored, shape == BeamShape::TwoPlanes);
            // Over all directions the intensity adds up to the bells' fluxes.
            double summed = 0.0;
            constexpr int kSteps = 180;
            for (int i = 0; i < kSteps; ++i)
                for (int j = 0; j < kSteps; ++j) {
                    const double theta = (i + 0.5) * M_PI / 2.0 / kSteps;
                    summed += BeamBasis::intensity(shape, beam, theta * 180.0 / M_PI,
                                                   (j + 0.5) * 2 * M_PI / kSteps) *
                              std::sin(theta) * (M_PI / 2.0 / kSteps) * (2 * M_PI / kSteps);
                }
            double flux = 0.0;
            for (std::size_t i = 0; i < beam.size(); ++i) flux += beam[i] * BeamBasis::fluxes(shape)[i];
            QVERIFY(std::abs(summed / flux - 1.0) < 1e-4);
        }
    }

    void rowsTimesABeamAreTheExactField() {
        const auto bench = demoBench();
        const Truth truth;
        auto scene = truth.scene(bench, bench.tanks.front(), {210, 400}, 180);
        scene.fixtures[0].rotation_deg = 30.0;
        scene.fixtures[1].level = 0.6;
        // A beam that the bells can be: the sum of two of them.
        std::vector<double> beam(BeamBasis::kSize);
        for (std::size_t k = 0; k < beam.size(); ++k) beam[k] = std::exp(-0.03 * static_cast<double>(k * k));
        LightModel model;
        model.beam = beam;
        std::vector<ModelEmitter> emitters;
        for (const auto& e : latticeEmitters(bench.fixtures.front(), PhotonFlux(1.0), 0))
            emitters.push_back({e.dx_mm, e.dy_mm, e.flux_umol_s});
        std::vector<double> theta;
        std::vector<double> relative;
        for (double at = 0.0; at <= 90.0; at += 0.05) {
            theta.push_back(at);
            relative.push_back(BeamBasis::intensity(BeamShape::Round, beam, at, 0.0));
        }
        scene.beams = {*Beam::table(theta, relative)};
        for (auto& fixture : scene.fixtures)
            for (auto& emitter : fixture.emitters) emitter.flux_umol_s *= model.flux() / truth.flux;
        const ExactField exact(scene);
        const BasisField basis(scene, emitters, truth.attenuation);
        for (const auto& p :
             {BasisField::Point{80, 90, 150}, {300, 300, 300}, {560, 410, 500}, {31, 555, 420}}) {
            const auto row = basis.rows({p});
            double sum = 0.0;
            for (std::size_t k = 0; k < beam.size(); ++k) sum += row[k] * beam[k];
            const double known =
                exact.at(Millimetre(p.x_mm), Millimetre(p.y_mm), Millimetre(p.depth_mm)).value();
            QVERIFY2(std::abs(sum / known - 1.0) < 1e-3,
                     qPrintable(QStringLiteral("%1 %2").arg(sum).arg(known)));
        }
    }

    void boundsAreKeptAndTheRestIsBest() {
        Eigen::MatrixXd h(3, 3);
        h << 4, 1, 0, 1, 3, 1, 0, 1, 2;
        Eigen::VectorXd g(3);
        g << 1, -5, 2;
        const Eigen::VectorXd low = Eigen::VectorXd::Zero(3);
        const Eigen::VectorXd x = boundedMinimum(h, g, low);
        QCOMPARE(x(1), 0.0);
        QVERIFY(std::abs(x(0) - 0.25) < 1e-12 && std::abs(x(2) - 1.0) < 1e-12);
        QVERIFY((g - h * x)(1) <= 0.0);
    }

    void sweepsWithoutNoiseGiveTheFieldOfAnArrayElsewhere() {
        const Truth truth;
        const auto bench = read(truth, 0.0, {150, 210, 270}, {150, 300, 450});
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY2(fit, fit ? "" : english(fit.error()).c_str());
        const auto [median, worst] = predictionError(bench, truth, fit->model);
        QVERIFY2(median < 0.01 && worst < 0.05, qPrintable(QStringLiteral("%1 %2").arg(median).arg(worst)));
        QVERIFY(std::abs(fit->model.flux() / truth.flux - 1.0) < 0.06);
        QCOMPARE(fit->distrusted(), 0);
    }

    void noisyReadingsGiveItWithinTheirInterval() {
        const Truth truth;
        const auto bench = read(truth, 0.03, {150, 210, 270}, {150, 300, 450});
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        double inside = 0.0;
        const auto [median, worst] = predictionError(bench, truth, fit->model, &inside);
        QVERIFY2(median < 0.02 && worst < 0.10, qPrintable(QStringLiteral("%1 %2").arg(median).arg(worst)));
        QVERIFY2(inside > 0.8, qPrintable(QString::number(inside)));
        QVERIFY(fit->reduced_chi_square > 0.4 && fit->reduced_chi_square < 1.6);
        QVERIFY(fit->model.relative_residual > 0.02 && fit->model.relative_residual < 0.05);
    }

    void readingsThatComeOneByOneLeadToTheSameFit() {
        const Truth truth;
        const auto whole = read(truth, 0.02, {150, 210, 270}, {150, 300, 450});
        auto part = whole;
        auto& last = part.runs[2].planes[2];
        const auto rest = last.readings;
        last.readings.resize(6);
        auto stream = StreamingFit::begin(part, allRuns(part));
        QVERIFY(stream);
        const double before = stream->result().model.fluxError();
        for (std::size_t i = 6; i < rest.size(); ++i) QVERIFY(stream->add(3, last.depth, rest[i]));
        const auto fit = fitFixture(whole, allRuns(whole));
        QCOMPARE(stream->result().model.readings, fit->model.readings);
        QVERIFY(std::abs(stream->result().model.flux() / fit->model.flux() - 1.0) < 0.01);
        QVERIFY(stream->result().model.fluxError() < before);
        const auto [median, worst] = predictionError(whole, truth, stream->result().model);
        QVERIFY2(median < 0.02 && worst < 0.10, qPrintable(QStringLiteral("%1 %2").arg(median).arg(worst)));
        auto excluded = rest[0];
        excluded.flag = Mark::Excluded;
        QVERIFY(!stream->add(3, last.depth, excluded));
        QVERIFY(!stream->add(9, last.depth, rest[0]));
        QCOMPARE(stream->result().model.readings, fit->model.readings);
    }

    void badReadingsAreNamedAndDoNotCount() {
        const Truth truth;
        auto bench = read(truth, 0.02, {150, 210, 270}, {150, 300, 450});
        const auto clean = fitFixture(bench, allRuns(bench));
        bench.runs[1].planes[0].readings[8].mean = bench.runs[1].planes[0].readings[8].mean * 1.6;
        bench.runs[2].planes[2].readings[20].mean = bench.runs[2].planes[2].readings[20].mean * 0.5;
        const auto fit = fitFixture(bench, allRuns(bench));
        QVERIFY(fit);
        QVERIFY(fit->distrusted() >= 2 && fit->distrusted() <= 4);
        for (const auto& residual : fit->residuals)
            if (std::abs(residual.reading / residual.model - 1.0) > 0.3) QVERIFY(residual.distrusted);
        QVERIFY(std::abs(fit->model.flux() / clean->model.flux() - 1.0) < 0.01);
    }

    void whatCannotBeFittedIsSaidInWords() {
        const Truth truth;
        const auto bench = read(truth, 0.02, {150}, {150});
        const auto why = [](const Expected<FitResult>& fit) {
            return fit ? std::string("fitted") : english(fit.error());
        };
        QVERIFY(why(fitFixture(bench, {1})).find("one plane") != std::string::npos);
        QVERIFY(why(fitFixture(bench, {})).find("no run") != std::string::npos);
        auto few = bench;
        few.runs[0].planes[0].readings.resize(10);
        QVERIFY(why(fitFixture(few, {1})).find("too few") != std::string::npos);
        auto nowhere = bench;
        nowhere.tanks.clear();
        QVERIFY(why(fitFixture(nowhere, {1})).find("tank") != std::string::npos);
        auto dark = bench;
        for (auto& reading : dark.runs[0].planes[0].readings) reading.mean = Ppfd(0);
        QVERIFY(why(fitFixture(dark, {1})).find("no reading") != std::string::npos);
    }

    void aCancelledFitSaysSo() {
        const auto bench = read({}, 0.02, {150, 210}, {150, 300});
        std::stop_source source;
        FitOptions options;
        options.stop = source.get_token();
        source.request_stop();
        const auto fit = fitFixture(bench, allRuns(bench), options);
        QVERIFY(!fit);
        QVERIFY(english(fit.error()).find("cancelled") != std::string::npos);
    }

    void poorReadingsLeaveTheOffsetUntoldAndThatIsSaid() {
        const auto bench = read({}, 0.03, {200}, {150, 170});
        FitOptions options;
        options.unknown_noise = 0.3;
        const auto fit = fitFixture(bench, allRuns(bench), options);
        QVERIFY(fit);
        QVERIFY(saysOf(*fit, "do not tell"));
    }

    void aFitThatStillMovesSaysSo() {
        const auto bench = read({}, 0.0, {200}, {150, 170});
        FitOptions options;
        const auto settled = fitFixture(bench, allRuns(bench), options);
        QVERIFY(settled && !saysOf(*settled, "still moved"));
        options.most_iterations = 1;
        const auto moving = fitFixture(bench, allRuns(bench), options);
        QVERIFY(moving && saysOf(*moving, "still moved after 1 rounds"));
    }

    void ofTooManyReadingsAnEvenShareIsUsedAndThatIsSaid() {
        const Truth truth;
        const auto bench = read(truth, 0.0, {150, 210, 270}, {150, 300, 450});
        const auto all = fitFixture(bench, allRuns(bench));
        FitOptions options;
        options.most_readings = static_cast<std::size_t>(all->model.readings) / 2;
        const auto half = fitFixture(bench, allRuns(bench), options);
        QVERIFY(half);
        QVERIFY2(std::abs(half->model.readings - all->model.readings / 2) <= 3,
                 qPrintable(QString::number(half->model.readings)));
        QVERIFY(saysOf(*half, "spread evenly") && !saysOf(*all, "spread evenly"));
        QVERIFY(std::abs(half->model.flux() / all->model.flux() - 1.0) < 0.02);
        // Every run and plane keeps its share.
        std::map<std::pair<Id, double>, int> used;
        for (const auto& residual : half->residuals) ++used[{residual.run, residual.depth.value()}];
        QCOMPARE(used.size(), std::size_t{9});
        for (const auto& [plane, count] : used) QVERIFY(count >= 12);
    }

    void aUnitsMistakeIsSuspected() {
        QVERIFY(!unitSuspicion(120.0, Watt(62)));
        QCOMPARE(*unitSuspicion(1200.0, Watt(62)), 0.1);
        QVERIFY(std::abs(*unitSuspicion(0.18, Watt(62)) - 645.16) < 0.01);
        QVERIFY(!unitSuspicion(120.0, std::nullopt));
    }
};

GLUMET_TEST(TestFit, "core_fit", Application)

}  // namespace core_fit

#include "test_fit.moc"
