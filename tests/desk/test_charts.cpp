#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QTableWidget>

#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"
#include "desk/bench/chart_dialog.h"
#include "desk/field/field_stage.h"
#include "desk/hands.h"
#include "desk/window/import_dialog.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_charts {

using namespace glumet;
using glumet::testing::Hands;
using glumet::testing::onDialog;
using glumet::testing::WindowFixture;

namespace {

const std::vector<double> kHeights{150, 200, 250, 300};
constexpr double kDepth = 300.0;

/// A made-up chart: what a plain lamp of 60° would give in rings, to a round figure.
QString meanOf(std::size_t height, int ring) {
    static const char* const chart[4][3] = {
        {"61", "118", "171"}, {"59", "103", "141"}, {"56", "91", "119"}, {"53", "80", "102"}};
    return QLatin1String(chart[height][ring]);
}

}  // namespace

/// Charts that others published, from the keyboard and from files.
class TestCharts : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->create());
        Tank tank;
        tank.name = "Cube";
        tank.length = tank.width = Millimetre(600);
        tank.water_depth = Millimetre(560);
        QVERIFY(w_->session.project()->save(tank));
        w_->show();
    }
    void cleanup() { w_.reset(); }

    void aChartIsTypedByKeysAlone() {
        Hands hands(w_->window);
        w_->window.showStage(QStringLiteral("bench"));
        onDialog<ChartDialog>([&](ChartDialog& dialog) {
            hands.type(QStringLiteral("Sorrel 90"));
            QVERIFY(hands.fillByKeys("chartSource", QStringLiteral("a reader")));
            QVERIFY(hands.fillByKeys("chartGrid", QStringLiteral("6x6")));
            QVERIFY(hands.fillByKeys("chartError", QStringLiteral("2")));
            QVERIFY(hands.fillByKeys("chartHeights", QStringLiteral("150 mm; 200 mm; 250 mm; 300 mm")));
            QVERIFY(hands.fillByKeys("chartDepths", QStringLiteral("300 mm")));
            QVERIFY(hands.tabTo("chartMeans"));
            auto* table = dialog.findChild<QTableWidget*>(QStringLiteral("chartMeans"));
            QCOMPARE(table->rowCount(), 4);
            QCOMPARE(table->columnCount(), 4);
            QVERIFY(!dialog.chart());
            auto* depths = dialog.findChild<QLineEdit*>(QStringLiteral("chartDepths"));
            for (const char* bad : {"300 mm; 300 mm", "3 m", "deep", ""}) {
                depths->setText(QString::fromLatin1(bad));
                table->setItem(0, 0, new QTableWidgetItem(QStringLiteral("61")));
                QVERIFY2(!dialog.chart(), bad);
                QVERIFY(!dialog.findChild<QLabel*>(QStringLiteral("chartFault"))->text().isEmpty());
            }
            depths->setText(QStringLiteral("300 mm"));
            typeMeans(hands, *table);
            const auto chart = dialog.chart();
            QVERIFY2(chart, chart ? "" : english(chart.error()).c_str());
            QVERIFY(hands.tabTo("keepChart"));
            hands.press(Qt::Key_Space);
        });
        hands.press(Qt::Key_R, Qt::ControlModifier | Qt::ShiftModifier);
        const auto& bench = w_->session.bench();
        QCOMPARE(bench.runs.size(), std::size_t{4});
        QCOMPARE(bench.runs[2].height, Millimetre(250));
        QCOMPARE(bench.runs[2].planes.at(0).means.at(1).ppfd, Ppfd(91));
        QCOMPARE(bench.runs[2].planes[0].means[1].relative_sd, 0.02);
        QCOMPARE(bench.runs[2].read_by, std::string("a reader"));
        QVERIFY(bench.runs[2].onlyMeans());
        QCOMPARE(bench.fixtures.front().name, std::string("Sorrel 90"));
        hands.press(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(w_->session.bench().runs.empty());
        QVERIFY(w_->session.bench().fixtures.empty());
    }

    void ringsAreShownAndAnswerByTheirFit() {
        importRings(chartFile());
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{4});
        QVERIFY(w_->session.run()->byOthers());  // what was imported is what is shown
        w_->window.showStage(QStringLiteral("field"));
        w_->settle();
        const auto& plan = w_->window.findChild<PlanMap*>()->plan();
        QCOMPARE(plan.rings.size(), std::size_t{3});
        QCOMPARE(plan.rings[0].points, 20);
        QVERIFY(std::none_of(plan.values.begin(), plan.values.end(), [](const auto& v) { return v; }));
        w_->window.showStage(QStringLiteral("height"));
        QTRY_VERIFY_WITH_TIMEOUT(w_->session.fittedHeights() != nullptr, 60'000);
        w_->settle();
        QVERIFY(w_->session.fit() != nullptr && *w_->session.fit());
        QCOMPARE((*w_->session.fit())->means, 12);
        QVERIFY(w_->find<QLabel>("heightReason")->text().contains(QStringLiteral("a reader")));
        QVERIFY(w_->session.verdict() == nullptr || !w_->session.verdict()->speaks());
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(w_->find<QLabel>("arrayFigures")->text().contains(QStringLiteral("Centres")),
                                 60'000);
    }

    void whatDoesNotFitIsRefusedBeforeAnythingIsKept_data() {
        QTest::addColumn<QString>("row");
        QTest::addColumn<QString>("said");
        QTest::newRow("no such ring") << "A,Sorrel 90,200,300,6,6,3,80,a reader"
                                      << "must lie within 0…2";
        QTest::newRow("contradiction") << "A,Sorrel 90,150,300,6,6,0,150,a reader"
                                       << "contradicts 61";
    }
    void whatDoesNotFitIsRefusedBeforeAnythingIsKept() {
        QFETCH(QString, row);
        QFETCH(QString, said);
        ImportDialog dialog(w_->session, QStringLiteral("chart.csv"), chartFile() + row.toUtf8() + "\n",
                            &w_->window);
        const auto problems = dialog.findChild<QPlainTextEdit*>(QStringLiteral("importProblems"));
        QVERIFY2(problems->toPlainText().contains(said), qPrintable(problems->toPlainText()));
        QVERIFY(!dialog.findChild<QPushButton*>(QStringLiteral("importButton"))->isEnabled());
        QVERIFY(w_->session.bench().runs.empty());
    }

    /// The same chart again brings nothing twice, another ring is added, and one that contradicts is refused.
    void aChartGrowsAndContradictsItselfNowhere() {
        importRings(chartFile());
        importRings(chartFile());
        const auto means = [&] { return w_->session.bench().runs.at(0).planes.at(0).means.size(); };
        QCOMPARE(means(), std::size_t{3});
        importRings(head() + "A,Sorrel 90,150,300,6,6,all,92,a reader\n");
        QCOMPARE(means(), std::size_t{4});
        QCOMPARE(w_->session.bench().runs.size(), std::size_t{4});
        importRings(head() + "A,Sorrel 90,150,300,6,6,0,99,a reader\n");
        QCOMPARE(means(), std::size_t{4});
        QCOMPARE(w_->session.bench().runs[0].planes[0].means[0].ppfd, Ppfd(61));
    }

    /// A chart in another unit: ten times what the lamp's power allows.
    void aChartInAnotherUnitIsCaught() {
        importRings(chartFile("0"));
        auto fixture = w_->session.bench().fixtures.front();
        fixture.rated_power = Watt(30);
        QVERIFY(w_->session.project()->save(fixture));
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && w_->session.fit() != nullptr, 60'000);
        w_->settle();
        QString said;
        for (const auto& finding : w_->window.stageWidget(w_->window.stage())->findings())
            said += QString::fromStdString(english(finding.title) + english(finding.body));
        QVERIFY2(said.contains(QStringLiteral("unit")), qPrintable(said));
    }

  private:
    static QByteArray head() { return "run,fixture,height_mm,depth_mm,nx,ny,ring,ppfd,source\n"; }
    static QByteArray chartFile(const char* more = "") {
        QByteArray out = head();
        for (std::size_t h = 0; h < kHeights.size(); ++h)
            for (int ring = 0; ring < 3; ++ring)
                out += QStringLiteral("A,Sorrel 90,%1,%2,6,6,%3,%4%5,a reader\n")
                           .arg(kHeights[h])
                           .arg(kDepth)
                           .arg(ring)
                           .arg(meanOf(h, ring), QLatin1String(more))
                           .toUtf8();
        return out;
    }

    /// Through the dialog, as the window does it; what it refuses stays out.
    void importRings(const QByteArray& bytes) {
        ImportDialog dialog(w_->session, QStringLiteral("chart.csv"), bytes, &w_->window);
        dialog.findChild<QPushButton*>(QStringLiteral("importButton"))->click();
        w_->settle();
    }

    static void typeMeans(Hands& hands, QTableWidget& table) {
        for (int row = 0; row < 4; ++row)
            for (int ring = 0; ring < 3; ++ring) {
                table.setCurrentCell(row, ring);
                // The first figure opens the cell, which then has the focus.
                for (const auto figure : meanOf(static_cast<std::size_t>(row), ring))
                    hands.type(QString(figure));
                hands.press(Qt::Key_Return);
            }
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestCharts, "desk_charts", Windows)

}  // namespace desk_charts

#include "test_charts.moc"
