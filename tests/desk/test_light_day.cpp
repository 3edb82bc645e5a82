#include <QInputDialog>

#include "core/spectrum/bands.h"
#include "core/spectrum/generic_spectra.h"
#include "desk/field/field_stage.h"
#include "desk/hands.h"
#include "desk/shared/findings_panel.h"
#include "desk/spectrum/day_log_dialog.h"
#include "desk/spectrum/scan_dialog.h"
#include "desk/spectrum/spectrum_stage.h"
#include "formats/spectrum_file.h"
#include "runner/registry.h"

namespace desk_light_day {

using namespace glumet;
using namespace glumet::testing;

/// The demonstration's light and its day, as a reviewer walks through them.
class TestLightDay : public QObject {
    Q_OBJECT

  private slots:
    void initTestCase() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->openDemo());
        hands_ = std::make_unique<Hands>(w_->window);
    }
    void init() {
        w_->session.chooseHeight(Millimetre(210));
        w_->session.chooseDepth(Millimetre(150));
        w_->window.showStage(QStringLiteral("spectrum"));
        WindowFixture::settle();
    }

    void everyFixtureHasItsSpectra() {
        for (const auto& fixture : bench().fixtures)
            for (const auto& channel : fixture.channels) {
                const auto standing = spectrumOf(bench(), fixture.id, channel);
                QVERIFY2(standing.record != nullptr && !standing.assumed, channel.name.c_str());
            }
    }

    void theMixIsTheRunAsItWasRead() {
        const auto& mix = **w_->session.channelMix();
        double mean = 0;
        for (const auto& reading : w_->session.plane()->readings)
            if (reading.counts()) mean += reading.mean.value() / 36.0;
        QVERIFY(std::abs(mix.mix.at(mix.set_to).ppfd / mean - 1.0) < 0.01);
        for (const auto& channel : mix.channels) QVERIFY(channel.basis == ChannelBasis::Read);
        QVERIFY(std::abs(mix.together - 1.0) < 0.03);
    }

    void anotherPlaneIsAskedForByKeys() {
        const double here = ppfd();
        w_->key(Qt::Key_PageDown);
        QVERIFY(ppfd() < here);
        QVERIFY((*w_->session.channelMix())->water_m > 0.29);
        w_->key(Qt::Key_PageUp);
        QCOMPARE(ppfd(), here);
    }

    void aHeightWithoutChannelRunsTakesTheirFits() {
        w_->session.chooseHeight(Millimetre(180));
        WindowFixture::settle();
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.answers().busy(), 120'000);
        WindowFixture::settle();
        const auto& mix = **w_->session.channelMix();
        for (const auto& channel : mix.channels) QVERIFY(channel.basis == ChannelBasis::Modelled);
        QVERIFY(std::abs(mix.together - 1.0) < 0.06);
        QVERIFY(findingSays(QStringLiteral("here their fits speak")));
        // As it was read the light is certain, its watts by channel are not; another mix is neither.
        const auto shown = [&](const char* name) {
            return w_->window.findChild<QLabel*>(QLatin1String(name))->text();
        };
        QVERIFY(!shown("mixPpfd").startsWith(QStringLiteral("≈")) &&
                shown("mixWatts").startsWith(QStringLiteral("≈")));
        auto* mixer = w_->window.findChild<MixerView*>();
        mixer->setFocus();
        QTest::keyClick(mixer, Qt::Key_Left);
        WindowFixture::settle();
        QVERIFY(shown("mixPpfd").startsWith(QStringLiteral("≈")));
        QTest::keyClick(mixer, Qt::Key_Z, Qt::ControlModifier);
        WindowFixture::settle();
    }

    void theBandIsFilledAndTakenBack() {
        auto* stage = w_->window.findChild<SpectrumStage*>();
        const auto before = stage->levels();
        const double share = shareInBand(**w_->session.channelMix(), before, w_->session.band());
        QVERIFY(hands_->click(w_->window.findChild<QPushButton*>(QStringLiteral("bestMix"))));
        QVERIFY(stage->levels() != before);
        QVERIFY(shareInBand(**w_->session.channelMix(), stage->levels(), w_->session.band()) > share);
        w_->window.findChild<MixerView*>()->setFocus();
        hands_->press(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(stage->levels(), before);
    }

    void aPresetIsChosenFromItsList() {
        auto* presets = w_->window.findChild<QComboBox*>(QStringLiteral("mixPreset"));
        const int at = presets->findText(QStringLiteral("deep red"));
        QVERIFY(at > 0);
        presets->setCurrentIndex(at);
        emit presets->activated(at);
        WindowFixture::settle();
        QCOMPARE(w_->window.findChild<SpectrumStage*>()->levels(), std::vector<double>({0.0, 0.0, 1.0}));
        QVERIFY(findingSays(QStringLiteral("Not a white")));
        const int all = presets->findText(QStringLiteral("all channels full"));
        emit presets->activated(all);
        WindowFixture::settle();
        QCOMPARE(w_->window.findChild<SpectrumStage*>()->levels(), std::vector<double>({1.0, 1.0, 1.0}));
    }

    void whatItIsLaidAgainstChangesTheFigureAlone() {
        auto* plot = w_->window.findChild<SpectrumPlot*>();
        auto* against = w_->window.findChild<QComboBox*>(QStringLiteral("against"));
        QCOMPARE(plot->figure().others.size(), std::size_t{1});
        for (int i = 0; i < against->count(); ++i) {
            against->setCurrentIndex(i);
            emit against->activated(i);
            WindowFixture::settle();
            QCOMPARE(plot->figure().others.size(), std::size_t(i == 0 ? 0 : 1));
            if (i > 0) QVERIFY(std::abs(parOf(plot->figure().others.front().spectrum) - 1.0) < 0.02);
        }
        against->setCurrentIndex(1);
    }

    void theTurnedEmitterIsFound() {
        const auto tests = blendingTests(bench(), bench().fixtures.front().id);
        QCOMPARE(tests.size(), std::size_t{2});
        const auto& distances = tests[0].result.colour_from_centre;
        QCOMPARE(std::max_element(distances.begin(), distances.end()) - distances.begin(), std::ptrdiff_t{8});
        QVERIFY(distances[8] > kColourShows);
        QVERIFY(findingSays(QStringLiteral("the channels show apart")));
        auto* board = w_->window.findChild<BlendingBoard*>();
        QTest::mouseClick(board, Qt::LeftButton, {}, board->rectOf(8).center());
        QCOMPARE(*board->chosen(), std::size_t{8});
        QCOMPARE(w_->window.findChild<SpectrumPlot*>()->figure().others.size(),
                 std::size_t{2});  // and the middle
        QTest::mouseClick(board, Qt::LeftButton, {}, board->rectOf(8).center());
        QVERIFY(!board->chosen());
    }

    void momentsAreShownAsASpan() {
        auto* tests = w_->window.findChild<QComboBox*>(QStringLiteral("blendingTest"));
        auto* plot = w_->window.findChild<SpectrumPlot*>();
        QVERIFY(!plot->figure().span);
        tests->setCurrentIndex(1);
        emit tests->activated(1);
        WindowFixture::settle();
        QVERIFY(plot->figure().span);
        for (std::size_t i = 0; i < plot->figure().span->low.values.size(); ++i)
            QVERIFY(plot->figure().span->low.values[i] <= plot->figure().span->high.values[i]);
        QCOMPARE(w_->window.findChild<BlendingBoard*>()->points().size(), std::size_t{24});
        tests->setCurrentIndex(0);
        emit tests->activated(0);
        WindowFixture::settle();
        QVERIFY(!plot->figure().span);
    }

    void screenReadersAreToldBeamsBandsAndPoints() {
        const auto cells = [&](const AccessibleCells& widget) { return widget.accessibleCells(); };
        const auto beams = cells(*w_->window.findChild<MixerView*>());
        QCOMPARE(beams.size(), std::size_t{3});
        QVERIFY(beams[0].name.startsWith(QStringLiteral("warm white: 100 %")));
        QCOMPARE(cells(*w_->window.findChild<SpectrumPlot*>()).size(), standardBands().size());
        const auto points = cells(*w_->window.findChild<BlendingBoard*>());
        QVERIFY(points.back().name.contains(QStringLiteral("it shows")));
    }

    void bandsAreNamedByTheReviewer() {
        const auto edit = [&](const QString& bands) {
            QTimer::singleShot(0, [bands] {
                auto* dialog = qobject_cast<QInputDialog*>(QApplication::activeModalWidget());
                if (dialog == nullptr) return;
                dialog->setTextValue(bands);
                dialog->accept();
            });
            w_->window.findChild<SpectrumStage*>()->editBands();
            WindowFixture::settle();
        };
        edit(QStringLiteral("short 400–500, long 500–700"));
        QCOMPARE(bench().method.bands.size(), std::size_t{2});
        QCOMPARE(w_->window.findChild<SpectrumPlot*>()->figure().shares.size(), std::size_t{2});
        edit(QStringLiteral("short 500–400"));
        QCOMPARE(bench().method.bands.size(), std::size_t{2});
        edit(QString());
        QVERIFY(bench().method.bands.empty());
    }

    void fieldShowsTheColour() {
        w_->window.showStage(QStringLiteral("field"));
        WindowFixture::settle();
        auto* map = w_->window.findChild<PlanMap*>();
        const auto readings = map->plan().values;
        const auto press = [&](int times) {
            for (int i = 0; i < times; ++i) QTest::keyClick(map, Qt::Key_M);
            WindowFixture::settle();
        };
        press(5);
        QCOMPARE(map->plan().faces.size(), std::size_t{36});
        QVERIFY(map->plan().faces[14].text.toDouble() < 3.0);
        press(1);
        QVERIFY(map->plan().faces.empty());
        // By the channels' fits it is there at other heights too.
        w_->session.chooseHeight(Millimetre(180));
        WindowFixture::settle();
        press(5);
        QCOMPARE(map->plan().faces.size(), std::size_t{36});
        press(1);
    }

    void theDayHasItsDoseAndItsDoubts() {
        w_->window.findChild<MixerView*>()->setFocus();
        hands_->press(Qt::Key_D);
        QVERIFY(
            w_->window.findChild<QLabel*>(QStringLiteral("dayDose"))->text().contains(QStringLiteral("mol")));
        QVERIFY(findingSays(QStringLiteral("The clocks run apart")));
        QVERIFY(findingSays(QStringLiteral("peaks at")));
        QVERIFY(findingSays(QStringLiteral("kWh a day")));
        hands_->press(Qt::Key_D);
        QVERIFY(w_->window.findChild<MixerView*>()->isVisible());
    }

    void aClockAndAPriceAreTypedOver() {
        w_->window.findChild<SpectrumStage*>()->nextPage();
        WindowFixture::settle();
        const auto type = [&](const char* name, const QString& typed) {
            auto* field = w_->window.findChild<QLineEdit*>(QLatin1String(name));
            field->setFocus();
            field->selectAll();
            QTest::keyClicks(field, typed);
            QTest::keyClick(field, Qt::Key_Return);
            WindowFixture::settle();
        };
        type("priceKwh", QStringLiteral("0.4"));
        QCOMPARE(bench().method.price_kwh, 0.4);
        type("priceKwh", QStringLiteral("-3"));
        QCOMPARE(bench().method.price_kwh, 0.4);
        type("scheduleLights", QStringLiteral("5"));
        QCOMPARE(bench().schedules.front().lights, 5);
        type("scheduleLights", QStringLiteral("none"));
        QCOMPARE(bench().schedules.front().lights, 5);
        type("scheduleDrift", QStringLiteral("-4.5"));
        QCOMPARE(bench().schedules.front().drift_s_day, -4.5);
        QVERIFY(hands_->click(w_->window.findChild<QPushButton*>(QStringLiteral("removeSchedule"))));
        QCOMPARE(bench().schedules.size(), std::size_t{1});
        QVERIFY(hands_->click(w_->window.findChild<QPushButton*>(QStringLiteral("removeLog"))));
        QVERIFY(bench().logs.empty());
        QVERIFY(!w_->window.findChild<QPushButton*>(QStringLiteral("removeLog"))->isEnabled());
        for (int i = 0; i < 5; ++i) QVERIFY(*w_->session.project()->undo());
        QCOMPARE(bench().logs.size(), std::size_t{1});
        QCOMPARE(bench().schedules.size(), std::size_t{2});
        QCOMPARE(bench().method.price_kwh, 0.32);
        w_->window.findChild<SpectrumStage*>()->nextPage();
    }

    void aLoggersFileIsLookedAtBeforeItIsKept() {
        QFile file(w_->path("log.csv"));
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write("time,ppfd\n");
        for (int i = 0; i <= 24 * 6; ++i)
            file.write(QStringLiteral("2026-11-08 %1:%2,%3\n")
                           .arg(i / 6 % 24, 2, 10, QLatin1Char('0'))
                           .arg(i % 6 * 10, 2, 10, QLatin1Char('0'))
                           .arg(i)
                           .toUtf8());
        file.close();
        DayLogDialog broken(w_->session, w_->path("nothing.csv"), nullptr);
        QVERIFY(!broken.fault().isEmpty());
        DayLogDialog backwards(w_->session, file.fileName(), nullptr);
        QVERIFY(
            backwards.fault().contains(QStringLiteral("runs back")));  // midnight of the same date comes last
    }

    void spectraAreWrittenAsFiles() {
        const QString folder = w_->path("spectra");
        w_->window.findChild<SpectrumStage*>()->writeSpectra(folder);
        const QDir dir(folder);
        QCOMPARE(dir.entryList({QStringLiteral("*.csv")}).size(), 36);
        QCOMPARE(dir.entryList({QStringLiteral("*.spdx")}).size(), 36);
        QCOMPARE(dir.entryList({QStringLiteral("*.jdx")}).size(), 36);
        QFile file(dir.filePath(dir.entryList({QStringLiteral("*deep red*.spdx")}).front()));
        QVERIFY(file.open(QIODevice::ReadOnly));
        const auto read = readSpectra(file.readAll().toStdString());
        QVERIFY(read);
        QVERIFY(std::abs(peaksOf(read->front().spectrum()).front().nm - 661) < 3);
    }

    void aMeterWithoutSpectraSaysSo() {
        auto meter = std::make_unique<HandMeter>();
        auto* hand = meter.get();
        w_->session.setMeter(std::move(meter));
        ScanDialog dialog(w_->session, bench().fixtures.front(), nullptr);
        hand->send(100, 0.2);
        QVERIFY(dialog.findChild<QLabel*>(QStringLiteral("scanState"))
                    ->text()
                    .contains(QStringLiteral("gives no spectra")));
        QVERIFY(!dialog.findChild<QPushButton*>(QStringLiteral("scanRead"))->isEnabled());
    }

  private:
    const Bench& bench() const { return w_->session.bench(); }
    double ppfd() const {
        const auto& mix = **w_->session.channelMix();
        return mix.mix.at(mix.set_to).ppfd;
    }
    bool findingSays(const QString& part) const {
        for (const auto* item : w_->window.findChildren<FindingItem*>())
            if (item->isVisible() &&
                (item->accessibleName() + QLatin1Char(' ') + item->accessibleDescription()).contains(part))
                return true;
        return false;
    }

    std::unique_ptr<WindowFixture> w_;
    std::unique_ptr<Hands> hands_;
};

GLUMET_TEST(TestLightDay, "desk_light_day", Windows)

}  // namespace desk_light_day

#include "test_light_day.moc"
