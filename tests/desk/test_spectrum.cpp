#include <QInputDialog>

#include "core/spectrum/generic_spectra.h"
#include "desk/hands.h"
#include "desk/spectrum/scan_dialog.h"
#include "desk/spectrum/spectra_dialog.h"
#include "desk/spectrum/spectrum_stage.h"
#include "formats/spectrum_file.h"
#include "runner/registry.h"

namespace desk_spectrum {

using namespace glumet;
using namespace glumet::testing;

namespace {

/// A spectrometer that sends what the test says.
class HandSpectrometer : public HandMeter {
  public:
    std::optional<SpectralSample> spectrum() const override { return sample; }
    bool takesIntegration() const override { return true; }
    bool setIntegration(int milliseconds) override {
        integration = milliseconds;
        return true;
    }
    int integration = 0;
    SpectralSample sample{
        400.0, 50.0, SpectralUnit::MicromolePerSquareMetreSecond, {0.1, 0.4, 0.3, 0.5, 0.2, 0.1, 0.0}};
};

}  // namespace

/// The spectrum stage, by keys and mouse, as far as the project knows of it.
class TestSpectrumStage : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->createWithRuns({150, 200}));
        auto fixture = bench().fixtures.front();
        setChannelNames(fixture, "cool white, deep red");
        QVERIFY(w_->session.project()->save(fixture));
        w_->session.chooseHeight(Millimetre(200));
        const auto* plane = w_->session.plane();
        for (const double y : plane->grid->ys_mm)
            for (const double x : plane->grid->xs_mm) {
                Reading reading;
                reading.x = Millimetre(x);
                reading.y = Millimetre(y);
                reading.mean = Ppfd(200);
                QVERIFY(w_->session.project()->take(w_->session.plane()->id, reading));
            }
        w_->window.showStage(QStringLiteral("spectrum"));
        WindowFixture::settle();
        hands_ = std::make_unique<Hands>(w_->window);
    }

    void levelsAreSetByKeysAndTakenBack() {
        QCOMPARE(stage()->levels(), std::vector<double>({1.0, 1.0}));
        auto* mixer = w_->window.findChild<MixerView*>();
        mixer->setFocus();
        hands_->press(Qt::Key_Left);
        QCOMPARE(stage()->levels()[0], 0.99);
        hands_->press(Qt::Key_Left, Qt::ShiftModifier);
        QCOMPARE(stage()->levels()[0], 0.89);
        hands_->press(Qt::Key_Down);
        hands_->type(QStringLiteral("40"));
        hands_->press(Qt::Key_Return);
        QCOMPARE(stage()->levels()[1], 0.4);
        hands_->press(Qt::Key_Home);
        QCOMPARE(stage()->levels()[1], 0.0);
        const auto undo = w_->session.project()->undoTitle();
        for (int i = 0; i < 3; ++i) hands_->press(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(stage()->levels(), std::vector<double>({0.99, 1.0}));
        QCOMPARE(w_->session.project()->undoTitle(), undo);  // the project's own steps stay
    }

    void aBeamIsDragged() {
        auto* mixer = w_->window.findChild<MixerView*>();
        QTest::mousePress(mixer, Qt::LeftButton, {}, mixer->handleAt(1, 1.0));
        QTest::mouseMove(mixer, mixer->handleAt(1, 0.5));
        QTest::mouseRelease(mixer, Qt::LeftButton, {}, mixer->handleAt(1, 0.5));
        WindowFixture::settle();
        QVERIFY(std::abs(stage()->levels()[1] - 0.5) <= 0.01);
        mixer->setFocus();
        hands_->press(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(stage()->levels()[1], 1.0);
    }

    void aMixIsKeptAsAPreset() {
        auto* mixer = w_->window.findChild<MixerView*>();
        mixer->setFocus();
        hands_->type(QStringLiteral("60"));
        hands_->press(Qt::Key_Return);
        QTimer::singleShot(0, [] {
            auto* dialog = qobject_cast<QInputDialog*>(QApplication::activeModalWidget());
            if (dialog == nullptr) return;
            dialog->setTextValue(QStringLiteral("evening"));
            dialog->accept();
        });
        QVERIFY(hands_->click(w_->window.findChild<QPushButton*>(QStringLiteral("keepMix"))));
        const auto& presets = bench().fixtures.front().presets;
        QCOMPARE(presets.back().name, std::string("evening"));
        QCOMPARE(presets.back().levels[0].level_pct, 60.0);
        QCOMPARE(presets.back().levels[1].level_pct, 100.0);
        QVERIFY(*w_->session.project()->undo());
    }

    void anotherRunBringsItsOwnMix() {
        auto* mixer = w_->window.findChild<MixerView*>();
        mixer->setFocus();
        hands_->press(Qt::Key_Home);
        QCOMPARE(stage()->levels()[0], 0.0);
        w_->session.chooseHeight(Millimetre(150));  // the same mix, higher: what was set stays
        WindowFixture::settle();
        QVERIFY(mixer->beams().empty());  // nothing was read there
        w_->session.chooseHeight(Millimetre(200));
        WindowFixture::settle();
        QCOMPARE(stage()->levels()[0], 1.0);
    }

    void filesBecomeSpectraOfTheirChannels() {
        const auto blue = write(
            "cool white.csv", writeSpectrumWatts({"", SpectralScale::Absolute, ledSpectrum({{450, 20, 1}})}));
        const auto red =
            write("red.spdx",
                  writeTm27({"Deep red at 48 cm", SpectralScale::Relative, ledSpectrum({{660, 20, 1}})}));
        SpectraDialog dialog(w_->session, bench().fixtures.front(), {blue, red}, nullptr);
        QVERIFY2(dialog.fault().isEmpty(), qPrintable(dialog.fault()));
        const auto records = dialog.records();
        QCOMPARE(records.size(), std::size_t{2});
        QCOMPARE(records[0].channel, bench().fixtures.front().channels[0].id);
        QCOMPARE(records[1].channel, bench().fixtures.front().channels[1].id);
        QVERIFY(w_->session.project()->addSpectra(records, QStringLiteral("two")));
        WindowFixture::settle();
        QVERIFY(!(*w_->session.channelMix())->mix.at({1, 1}).assumed);
    }

    void whatAFileDoesNotSayIsAsked() {
        const auto file = write("probe.csv", "nm,Probe 3\n400,0\n500,2\n600,0\n");
        SpectraDialog dialog(w_->session, bench().fixtures.front(), {file}, nullptr);
        auto* keep = dialog.findChild<QPushButton*>(QStringLiteral("keepSpectra"));
        QVERIFY(!keep->isEnabled());
        dialog.findChild<QComboBox*>(QStringLiteral("spectraUnit"))->setCurrentIndex(2);
        QVERIFY(keep->isEnabled());
        QCOMPARE(dialog.records().front().spectrum.values[1], 2.0);
        dialog.findChild<QComboBox*>(QStringLiteral("spectraUnit"))->setCurrentIndex(1);
        QVERIFY(std::abs(dialog.records().front().spectrum.values[1] - 2.0 * 500 * kMicromolesPerJouleNm) <
                1e-12);
        SpectraDialog broken(w_->session, bench().fixtures.front(),
                             {write("bad.csv", "nm,value\n400,1\n390\n")}, nullptr);
        QVERIFY(broken.fault().contains(QLatin1String("line 3")));
    }

    void ninePointsBecomeABlendingTest() {
        std::vector<NamedSpectrum> nine;
        for (int i = 0; i < 9; ++i)
            nine.push_back({std::to_string(i), SpectralScale::Absolute, daylightPhase(6000 + 100 * i)});
        SpectraDialog dialog(w_->session, bench().fixtures.front(),
                             {write("nine.csv", writeSpectrumTable(nine))}, nullptr);
        dialog.findChild<QComboBox*>(QStringLiteral("spectraUse"))->setCurrentIndex(1);
        const auto records = dialog.records();
        QCOMPARE(records.size(), std::size_t{9});
        QCOMPARE(records[0].x->value(), -200.0);
        QCOMPARE(records[0].y->value(), 200.0);
        QCOMPARE(records[8].x->value(), 200.0);
        QCOMPARE(records[8].y->value(), -200.0);
        QVERIFY(w_->session.project()->addSpectra(records, QStringLiteral("nine")));
        WindowFixture::settle();
        auto* board = w_->window.findChild<BlendingBoard*>();
        QCOMPARE(board->points().size(), std::size_t{9});
        QVERIFY(board->points()[4].centre);
        board->setFocus();
        hands_->press(Qt::Key_Right);
        hands_->press(Qt::Key_Down);
        QCOMPARE(*board->chosen(), std::size_t{3});
        hands_->press(Qt::Key_Escape);
        QVERIFY(!board->chosen());
    }

    void aSpectrometerIsReadWithItsDark() {
        auto meter = std::make_unique<HandSpectrometer>();
        auto* hand = meter.get();
        w_->session.setMeter(std::move(meter));
        ScanDialog dialog(w_->session, bench().fixtures.front(), nullptr);
        dialog.show();
        dialog.findChild<QSpinBox*>(QStringLiteral("scanCount"))->setValue(2);
        const auto press = [&](const char* name) {
            dialog.findChild<QPushButton*>(QLatin1String(name))->click();
        };
        const auto light = hand->sample;
        hand->sample.values.assign(7, 0.05);
        press("scanDark");
        hand->send(1, 0.1);
        hand->sample = light;
        press("scanRead");
        hand->send(100, 0.1);
        press("scanKeep");
        QCOMPARE(bench().spectra.size(), std::size_t{1});
        const auto& kept = bench().spectra.front();
        QVERIFY(kept.origin == SpectrumOrigin::Read);
        QCOMPARE(kept.channel, bench().fixtures.front().channels.front().id);
        QVERIFY(std::abs(kept.spectrum.values[1] - 0.35) < 1e-12);
        QCOMPARE(kept.spectrum.values[6], 0.0);
        dialog.findChild<QComboBox*>(QStringLiteral("scanUse"))->setCurrentIndex(2);
        press("scanRead");
        hand->send(100, 0.1);
        press("scanKeep");
        QCOMPARE(bench().spectra.size(), std::size_t{3});
        QCOMPARE(bench().spectra.back().test, std::string("moving water"));
        // Another integration time: what was gathered with the old one is gone, the dark too.
        press("scanRead");
        hand->send(100, 0.1);
        QVERIFY(dialog.findChild<QPushButton*>(QStringLiteral("scanKeep"))->isEnabled());
        dialog.findChild<QSpinBox*>(QStringLiteral("scanIntegration"))->setValue(40);
        QCOMPARE(hand->integration, 40);
        QVERIFY(!dialog.findChild<QPushButton*>(QStringLiteral("scanKeep"))->isEnabled());
        press("scanRead");
        hand->send(100, 0.1);
        QVERIFY(dialog.findChild<QLabel*>(QStringLiteral("scanState"))
                    ->text()
                    .contains(QStringLiteral("dark not subtracted")));
    }

    void aReadingKeepsTheSpectrumBehindIt() {
        auto meter = std::make_unique<HandSpectrometer>();
        auto* hand = meter.get();
        w_->session.setMeter(std::move(meter));
        w_->session.chooseHeight(Millimetre(150));
        w_->window.showStage(QStringLiteral("measure"));
        WindowFixture::settle();
        hand->send(100, 6);
        hands_->press(Qt::Key_Space);
        QCOMPARE(bench().spectra.size(), std::size_t{1});
        QCOMPARE(bench().spectra.front().height->value(), 150.0);
        QVERIFY(*w_->session.project()->undo());
        QVERIFY(bench().spectra.empty());
    }

    void peaksAreStatedInBench() {
        w_->window.showStage(QStringLiteral("bench"));
        WindowFixture::settle();
        auto* field = w_->window.findChild<QLineEdit*>(QStringLiteral("channelPeaks_1"));
        QVERIFY(field != nullptr);
        type(field, QStringLiteral("640/18"));
        QCOMPARE(bench().spectra.size(), std::size_t{1});
        QVERIFY(bench().spectra.front().origin == SpectrumOrigin::Assumed);
        QCOMPARE(bench().spectra.front().note, std::string("640/18"));
        type(field, QStringLiteral("red"));
        QCOMPARE(bench().spectra.front().note, std::string("640/18"));
        type(field, QString());
        QVERIFY(bench().spectra.empty());
    }

    void theMeterIsCorrectedByItsResponse() {
        MeterProfile meter;
        meter.name = "Sensor";
        meter.response = {{400, 0.8}, {700, 0.8}};
        const Id id = *w_->session.project()->save(meter);
        auto run = *w_->session.run();
        run.meter = id;
        QVERIFY(w_->session.project()->save(run));
        WindowFixture::settle();
        w_->session.chooseRun(run.id);
        WindowFixture::settle();
        stage()->correctMeter();
        const auto& corrections = bench().meters.front().corrections;
        QCOMPARE(corrections.size(), std::size_t{1});
        QVERIFY(std::abs(corrections.front().factor - 1.25) < 1e-9);
        QVERIFY(w_->find<QLabel>("lastWord")->toolTip().contains(QStringLiteral("by Sensor are multiplied")));
    }

    void aClockIsAddedTypedAndRemovedByUndo() {
        w_->window.findChild<MixerView*>()->setFocus();
        hands_->press(Qt::Key_D);
        QVERIFY(hands_->click(w_->window.findChild<QPushButton*>(QStringLiteral("newSchedule"))));
        QCOMPARE(bench().schedules.size(), std::size_t{1});
        auto* all = w_->window.findChild<QLineEdit*>(QStringLiteral("ramp_0"));
        type(all, QStringLiteral("8:00 0, 9:00 80, 18:00 80, 19:00 0"));
        QCOMPARE(bench().schedules.front().ramps.front().points[1].level_pct, 80.0);
        auto* red = w_->window.findChild<QLineEdit*>(QStringLiteral("ramp_2"));
        QVERIFY(red->isVisible());
        type(red, QStringLiteral("10:00 50, 12:00 50"));
        QCOMPARE(bench().schedules.front().ramps.back().channel, bench().fixtures.front().channels[1].id);
        type(all, QStringLiteral("9:00 80, 8:00 80"));
        QCOMPARE(bench().schedules.front().ramps.front().points.size(), std::size_t{4});
        type(red, QString());
        QCOMPARE(bench().schedules.front().ramps.size(), std::size_t{1});
        for (int i = 0; i < 4; ++i) QVERIFY(*w_->session.project()->undo());
        QVERIFY(bench().schedules.empty());
    }

    void anEmptyProjectSaysWhatToDo() {
        WindowFixture empty;
        QVERIFY(empty.create());
        empty.window.showStage(QStringLiteral("spectrum"));
        WindowFixture::settle();
        QVERIFY(!empty.window.findChild<SpectrumPlot*>()->figure().empty.isEmpty());
        // A fixture that nobody has read yet shows what its channels are taken for.
        Fixture fixture;
        fixture.name = "Fern 20";
        setChannelNames(fixture, "cool white, deep red");
        QVERIFY(empty.session.project()->save(fixture));
        WindowFixture::settle();
        const auto& figure = empty.window.findChild<SpectrumPlot*>()->figure();
        QVERIFY(figure.main && figure.assumed);
        for (const int key : {Qt::Key_D, Qt::Key_D, Qt::Key_Left, Qt::Key_5})
            QTest::keyClick(&empty.window, static_cast<Qt::Key>(key));
        WindowFixture::settle();
    }

  private:
    const Bench& bench() const { return w_->session.bench(); }
    SpectrumStage* stage() const { return w_->window.findChild<SpectrumStage*>(); }

    QString write(const char* name, const std::string& bytes) const {
        QFile file(w_->path(name));
        if (file.open(QIODevice::WriteOnly)) file.write(bytes.data(), static_cast<qint64>(bytes.size()));
        return file.fileName();
    }

    static void type(QLineEdit* field, const QString& text) {
        field->setFocus();
        field->selectAll();
        if (text.isEmpty())
            QTest::keyClick(field, Qt::Key_Delete);
        else
            QTest::keyClicks(field, text);
        QTest::keyClick(field, Qt::Key_Return);
        WindowFixture::settle();
    }

    std::unique_ptr<WindowFixture> w_;
    std::unique_ptr<Hands> hands_;
};

GLUMET_TEST(TestSpectrumStage, "desk_spectrum", Windows)

}  // namespace desk_spectrum

#include "test_spectrum.moc"
