#include <QImage>
#include <QTest>

#include "core/spectrum/bands.h"
#include "core/spectrum/generic_spectra.h"
#include "report/day_figure.h"
#include "report/review/fixture_review.h"
#include "report/spectrum_figure.h"
#include "report/text.h"
#include "runner/registry.h"

namespace report_spectrum_figures {

using namespace glumet;

namespace {

constexpr QRect kArea(0, 0, 640, 320);

template <class Paint>
QImage painted(Paint paint) {
    QImage image(kArea.size(), QImage::Format_RGB32);
    image.fill(paper().ground);
    QPainter p(&image);
    paint(p);
    return image;
}

/// How many points of a column differ from the ground.
int inked(const QImage& image, int x, int from, int to) {
    int count = 0;
    for (int y = from; y < to; ++y) count += image.pixelColor(x, y) != paper().ground ? 1 : 0;
    return count;
}

SpectrumFigure figureOf(const Spectrum& spectrum) {
    SpectrumFigure figure;
    figure.main = SpectrumFigure::Line{QStringLiteral("one"), spectrum};
    figure.bands = standardBands();
    figure.shares = bandShares(spectrum, standardBands());
    return figure;
}

}  // namespace

/// Spectra and days on paper.
class TestSpectrumFigures : public QObject {
    Q_OBJECT

  private slots:
    void wavelengthsStandInTheirPlaces() {
        QVERIFY(spectrumX(kArea, kFigureFromNm) >= 0.0);
        QVERIFY(spectrumX(kArea, kFigureToNm) <= kArea.width());
        const double middle = spectrumX(kArea, 0.5 * (kFigureFromNm + kFigureToNm));
        QVERIFY(std::abs(middle - 320) < 1.0);
        for (double nm = kFigureFromNm; nm < kFigureToNm; nm += 10)
            QVERIFY(spectrumX(kArea, nm + 10) > spectrumX(kArea, nm));
    }

    void aLineStaysWithinItsRectangle() {
        const QRectF box(10, 20, 100, 50);
        for (const auto& spectrum :
             {ledSpectrum({{450, 20, 1}}), daylightPhase(6500), Spectrum{{300, 900}, {1, 3}}}) {
            const auto line = spectrumLine(box, spectrum, 0.5);
            QVERIFY(line.size() >= 2);
            for (const auto& point : line) QVERIFY(box.adjusted(-0.01, -0.01, 0.01, 0.01).contains(point));
        }
        QVERIFY(spectrumLine(box, {}, 1.0).isEmpty());
        QVERIFY(spectrumLine(box, daylightPhase(6500), 0.0).isEmpty());
    }

    void aPeakIsDrawnWhereItIs() {
        const auto spectrum = ledSpectrum({{450, 20, 1}});
        const auto image =
            painted([&](QPainter& p) { paintSpectrum(p, QRectF(kArea), figureOf(spectrum), paper()); });
        const int at = qRound(spectrumX(kArea, 450));
        const int beside = qRound(spectrumX(kArea, 610));
        QVERIFY(inked(image, at, 30, 200) > 100);
        QVERIFY(inked(image, beside, 30, 200) < 20);
    }

    void whatIsNotThereIsSaidAndDrawsNoBand() {
        SpectrumFigure nothing;
        nothing.empty = QStringLiteral("No spectrum");
        const auto image = painted([&](QPainter& p) { paintSpectrum(p, QRectF(kArea), nothing, paper()); });
        const auto full = painted(
            [&](QPainter& p) { paintSpectrum(p, QRectF(kArea), figureOf(daylightPhase(5500)), paper()); });
        int more = 0;
        for (int x = 0; x < kArea.width(); x += 7) more += inked(full, x, 0, 320) - inked(image, x, 0, 320);
        QVERIFY(more > 2000);
    }

    void oddFiguresArePaintedToo() {
        auto dark = figureOf({{400, 700}, {0, 0}});
        auto line = figureOf({{549.9, 550.0, 550.1}, {0, 1e12, 0}});
        auto beyond = figureOf({{200, 300}, {1, 1}});
        line.gaps = {{410, 690}};
        line.peaks = {{550, 1e12, {}}};
        line.others = {{QStringLiteral("other"), daylightPhase(5500)}, {QStringLiteral("none"), {}}};
        line.other_shares = std::vector<double>(3, 0.5);
        auto fewer = figureOf(daylightPhase(5500));
        fewer.shares.pop_back();
        for (const auto& figure : {dark, line, beyond, fewer, SpectrumFigure{}})
            for (const QRectF& area : {QRectF(kArea), QRectF(0, 0, 40, 30), QRectF(0, 0, 5000, 10)})
                QVERIFY(!painted([&](QPainter& p) { paintSpectrum(p, area, figure, dimRoom()); }).isNull());
    }

    void aDayIsStacked() {
        DayFigure figure;
        DayCurve flat;
        for (double hour = 0; hour <= 24; hour += 0.5) {
            flat.hour.push_back(hour);
            flat.ppfd.push_back(hour > 8 && hour < 18 ? 100 : 0);
        }
        figure.lights = {flat};
        const auto one = painted([&](QPainter& p) { paintDay(p, QRectF(kArea), figure, paper()); });
        figure.lights = {flat, flat};
        figure.logged = {flat};
        figure.plateau = 200;
        figure.short_peaks = {{12, 12.5}};
        const auto two = painted([&](QPainter& p) { paintDay(p, QRectF(kArea), figure, paper()); });
        QVERIFY(one != two);
        // By night there is nothing over the hours of day's middle height.
        QVERIFY(inked(one, 130, 40, 280) < inked(one, 330, 40, 280));
        figure = {};
        figure.empty = QStringLiteral("No clock");
        QVERIFY(!painted([&](QPainter& p) { paintDay(p, QRectF(kArea), figure, paper()); }).isNull());
    }

    void theReviewTellsTheMetersFactors() {
        Bench bench;
        Fixture fixture;
        fixture.id = 1;
        fixture.name = "Fern 20";
        fixture.presets = {{5, "deep red", {}}};
        bench.fixtures = {fixture};
        MeterProfile meter;
        meter.id = 2;
        meter.name = "Sensor";
        meter.corrections = {{"deep red", 1.061, 0.014, "twin", "", false},
                             {"", 1.02, 0.01, "twin", "", true},
                             {"blue", 1.3, 0.01, "twin", "", true}};
        bench.meters = {meter};
        Run run;
        run.id = 3;
        run.fixture = 1;
        run.meter = 2;
        run.preset = 5;
        run.height = Millimetre(200);
        run.planes.emplace_back();
        run.planes.front().depth = Millimetre(150);
        Reading reading;
        reading.mean = Ppfd(100);
        run.planes.front().readings = {reading};
        bench.runs = {run};
        const auto review = fixtureReviewOf(bench, run);
        QVERIFY(review);
        QString said;
        for (const auto& fact : review->conditions)
            said += text(fact.name, LengthUnit::Cm) + QLatin1Char(' ') + text(fact.value, LengthUnit::Cm);
        QVERIFY2(said.contains(QStringLiteral("deep red × 1.061")), qPrintable(said));
        QVERIFY(said.contains(QLatin1String("not applied")));
        QVERIFY(!said.contains(QLatin1String("blue")));
        QVERIFY(said.contains(QStringLiteral("any mix × 1.020")));
    }
};

GLUMET_TEST(TestSpectrumFigures, "report_spectrum_figures", Windows)

}  // namespace report_spectrum_figures

#include "test_spectrum_figures.moc"
