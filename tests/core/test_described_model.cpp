#include <QTest>
#include <cmath>

#include "core/bench/grid.h"
#include "core/fit/bench_scene.h"
#include "core/fit/described_model.h"
#include "core/fit/shadow_finding.h"
#include "core/light/exact_field.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/finding.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_described_model {

using namespace glumet;

namespace {

/// The demonstration's first fixture, read without any error at two depths: the described field times
/// `factor`.
Bench readBench(double factor) {
    Bench bench = demoBench();
    Run run;
    run.id = 1;
    run.fixture = bench.fixtures[0].id;
    run.tank = bench.tanks[0].id;
    run.height = Millimetre(210);
    const ExactField field(*describedScene(bench, run));
    for (const double depth : {150.0, 400.0}) {
        Plane plane;
        plane.depth = Millimetre(depth);
        plane.grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
        for (const auto cell : serpentine(*plane.grid)) {
            Reading reading;
            reading.x = Millimetre(plane.grid->xs_mm[static_cast<std::size_t>(cell.column)]);
            reading.y = Millimetre(plane.grid->ys_mm[static_cast<std::size_t>(cell.row)]);
            reading.mean = field.at(reading.x, reading.y, plane.depth) * factor;
            plane.readings.push_back(reading);
        }
        run.planes.push_back(plane);
    }
    bench.runs = {run};
    return bench;
}

const Finding* titled(const std::vector<Finding>& findings, const std::string& part) {
    for (const auto& finding : findings)
        if (english(finding.title).find(part) != std::string::npos) return &finding;
    return nullptr;
}

}  // namespace

class TestDescribedModel : public QObject {
    Q_OBJECT

  private slots:
    void aTrueDescriptionFitsAndTellsTheFlux() {
        const auto bench = readBench(0.8);
        auto model = DescribedModel::of(bench, bench.runs[0]);
        QVERIFY(model.has_value());
        QVERIFY(std::abs(model->factor() - 0.8) < 1e-4);
        QVERIFY(std::abs(model->impliedFlux().value() - 0.8 * 128.0) < 0.02);
        QCOMPARE(model->agreement().n, 72);
        QVERIFY(model->agreement().rms < 1e-3);
        const auto values = model->onGrid(*bench.runs[0].planes[1].grid, Millimetre(400));
        const auto index = static_cast<std::size_t>(
            readingOfCell(*bench.runs[0].planes[1].grid, bench.runs[0].planes[1].readings)[8]);
        QVERIFY(std::abs(values[8] / bench.runs[0].planes[1].readings[index].mean - 1.0) < 1e-3);
    }

    void aWrongReadingIsNamed() {
        auto bench = readBench(1.0);
        auto& reading = bench.runs[0].planes[0].readings[3];
        reading.mean = reading.mean * 1.5;
        auto model = DescribedModel::of(bench, bench.runs[0]);
        QVERIFY(model->agreement().worst > 0.4);
        const auto findings = modelFindings(bench, bench.runs[0].id, model, Band{Ppfd(150), Ppfd(300)});
        const auto* fits = titled(findings, "The description");
        QVERIFY(fits != nullptr && fits->cell.has_value());
        QCOMPARE(*fits->cell, *cellAt(*bench.runs[0].planes[0].grid, reading.x, reading.y));
        QVERIFY(titled(findings, "Readings imply"));
        QVERIFY(titled(findings, "of the water in 150–300"));
    }

    /// A wide panel is harder to shadow than a cluster in its place, and the finding says both.
    void theShadowOfAColonyIsSaid() {
        auto bench = readBench(1.0);
        auto shadow = [&] {
            const auto model = DescribedModel::of(bench, bench.runs[0]);
            return shadowFinding(bench, bench.runs[0].id, *model);
        };
        const auto cluster = shadow();
        QVERIFY(cluster.has_value());
        QVERIFY(english(cluster->title).find("leaves no light under it") != std::string::npos);
        QVERIFY(english(cluster->body).find("a single cluster") == std::string::npos);
        QVERIFY(english(cluster->body).find("28") != std::string::npos);
        bench.fixtures[0].emitters = {17, 9, Millimetre(60), Millimetre(60), Millimetre(0)};
        const auto panel = shadow();
        QVERIFY(english(panel->body).find("A single cluster in its place would keep") != std::string::npos);
        const auto title = english(panel->title);
        QVERIFY2(std::stod(title.substr(title.find("keeps ") + 6)) > 5.0, title.c_str());
        // So many emitters would keep a reader waiting.
        bench.fixtures[0].emitters = {30, 30, Millimetre(15), Millimetre(15), Millimetre(0)};
        QVERIFY(!shadow().has_value());
    }

    void aDescribedShroudIsInTheScene() {
        auto bench = readBench(1.0);
        bench.fixtures[0].shroud_length = Millimetre(120);
        bench.fixtures[0].shroud_width = Millimetre(90);
        bench.fixtures[0].shroud_drop = Millimetre(30);
        const auto scene = describedScene(bench, bench.runs[0]);
        QVERIFY(scene.has_value());
        QCOMPARE(scene->fixtures[0].shroud->drop_mm, 30.0);
        // One that would hang into the water is refused by name.
        bench.fixtures[0].shroud_drop = Millimetre(900);
        const auto drowned = describedScene(bench, bench.runs[0]);
        QVERIFY(!drowned && drowned.error().where.find("shroud") != std::string::npos);
    }

    void anotherBeamIsAnotherShape() {
        auto bench = readBench(1.0);
        bench.fixtures[0].beam = *Beam::halfAngle(20.0);
        auto model = DescribedModel::of(bench, bench.runs[0]);
        QVERIFY(model->agreement().rms > 0.1);
        QCOMPARE(titled(modelFindings(bench, bench.runs[0].id, model, {}), "off by")->kind,
                 FindingKind::Doubt);
    }

    void whatIsMissingIsSaid() {
        auto bench = readBench(1.0);
        const auto reason = [&] {
            auto model = DescribedModel::of(bench, bench.runs[0]);
            return model ? std::string() : english(model.error().what);
        };
        bench.runs[0].accessory = 1;
        QVERIFY(reason().find("accessory") != std::string::npos);
        bench.runs[0].accessory = 0;
        bench.fixtures[0].beam.reset();
        QVERIFY(reason().find("beam is not described") != std::string::npos);
        auto none = DescribedModel::of(bench, bench.runs[0]);
        QCOMPARE(modelFindings(bench, bench.runs[0].id, none, {}).front().kind, FindingKind::Next);
        bench.runs[0].tank = 0;
        QVERIFY(reason().find("tank") != std::string::npos);
    }

    void tablesOutliveAnEdit() {
        auto bench = readBench(1.0);
        auto first = DescribedModel::of(bench, bench.runs[0]);
        bench.runs[0].planes[0].readings.pop_back();
        auto field = first->takeField();
        const auto made = field->effort().evaluations;
        auto second = DescribedModel::of(bench, bench.runs[0], std::move(field));
        QCOMPARE(second->agreement().n, 71);
        QCOMPARE(second->takeField()->effort().evaluations, made);
    }

    void aPresetShinesWithItsChannelsShares() {
        auto bench = readBench(1.0);
        auto& fixture = bench.fixtures[0];
        fixture.flux = PhotonFlux(100);
        fixture.channels[0].flux_share = 0.25;
        fixture.channels[1].flux_share = 0.5;
        fixture.presets = {
            {7, "dawn", {{1, fixture.channels[0].id, 100.0}, {2, fixture.channels[1].id, 40.0}}},
            {8, "red alone", {{3, fixture.channels[2].id, 100.0}}}};
        const auto fluxAt = [&](Id preset) {
            bench.runs[0].preset = preset;
            double sum = 0.0;
            for (const auto& source : sourcesOf(*describedScene(bench, bench.runs[0])))
                sum += source.flux_umol_s;
            return sum;
        };
        QVERIFY(std::abs(fluxAt(0) - 100.0) < 1e-9);
        QVERIFY(std::abs(fluxAt(7) - 45.0) < 1e-9);
        QVERIFY(std::abs(fluxAt(8) - 100.0) < 1e-9);  // its share is not stated
    }

    void emittersOfSomeSizeAreSpread() {
        Fixture pair = demoBench().fixtures[3];
        const auto spread = latticeEmitters(pair, PhotonFlux(100), 0);
        QCOMPARE(spread.size(), std::size_t{2 * 16});
        double flux = 0.0;
        double left = 0.0;
        for (const auto& emitter : spread) {
            flux += emitter.flux_umol_s;
            left = std::min(left, emitter.dx_mm);
        }
        QVERIFY(std::abs(flux - 100.0) < 1e-9);
        // The outermost points lie inside the patch of 70 mm about −150 mm.
        QVERIFY(left > -185.0 && left < -170.0);
        pair.emitters.size = Millimetre(0);
        QCOMPARE(latticeEmitters(pair, PhotonFlux(100), 0).size(), std::size_t{2});
    }
};

GLUMET_TEST(TestDescribedModel, "core_described_model", Application)

}  // namespace core_described_model

#include "test_described_model.moc"
