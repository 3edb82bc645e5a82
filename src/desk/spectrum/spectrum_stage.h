#pragma once

#include <QButtonGroup>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <array>
#include <optional>
#include <vector>

#include "core/spectrum/overlay.h"
#include "core/verdicts/blending_tests.h"
#include "core/verdicts/channel_mix.h"
#include "desk/shared/stage.h"
#include "desk/spectrum/blending_board.h"
#include "desk/spectrum/colour_chip.h"
#include "desk/spectrum/day_page.h"
#include "desk/spectrum/mixer_view.h"
#include "desk/spectrum/spectrum_plot.h"

namespace glumet {

/// What the light is made of: the mix with its bands and watts, how its channels blend, and its day.
class SpectrumStage : public Stage {
    Q_OBJECT

  public:
    explicit SpectrumStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override {
        if (day()) return day_;
        return mixer_->isVisibleTo(this) ? static_cast<QWidget*>(mixer_) : plot_;
    }

    void keepAsPreset();
    void bestMix();
    void addSpectra();
    void readSpectra();
    void correctMeter();
    void editBands();
    void exportSpectra();
    /// Every spectrum of the chosen fixture as table, TM-27 and JCAMP-DX.
    void writeSpectra(const QString& folder);
    void nextPage();
    /// Levels of the mixer, 0–1.
    const std::vector<double>& levels() const { return levels_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QWidget* makeHead();
    QWidget* makeLightPage();
    QWidget* makeMixRow();
    QWidget* makeBlendingRow();
    bool day() const { return pages_->checkedId() == 1; }
    const Expected<RunMix>* mix() const { return session().channelMix(); }
    const std::vector<BlendingTest>& tests() const;
    const BlendingTest* test() const;
    const Fixture* shownFixture() const;
    void takeLevels();
    void setLevels(std::vector<double> levels, bool done);
    void undoLevels();
    void refreshPlot();
    void refreshMixer();
    void refreshOutcome();
    void refreshBlending();
    void fillChoices();
    void fillPresets();
    void usePreset(int index);
    std::optional<SpectrumFigure::Line> against() const;
    std::optional<Spectrum> boardSpectrum() const;
    std::optional<SpectrumFigure::Span> momentsSpan(OverlayScale scale) const;
    QString titleNow() const;
    QString rippleText() const;

    QLabel* title_;
    QButtonGroup* pages_;
    QComboBox* against_;
    QComboBox* scale_;
    QWidget* light_page_ = nullptr;
    DayPage* day_;
    SpectrumPlot* plot_;
    MixerView* mixer_;
    QComboBox* presets_;
    QPushButton* keep_;
    QPushButton* best_;
    QLabel* ppfd_;
    QLabel* ppfd_what_;
    QLabel* watts_;
    QLabel* watts_what_;
    QLabel* band_;
    QLabel* band_what_;
    QLabel* verdict_;
    QComboBox* test_choice_;
    QLabel* test_what_;
    BlendingBoard* board_;
    QLabel* blend_;
    QLabel* blend_what_;
    ColourChip* here_;
    ColourChip* edge_;
    ColourChip* deep_;

    std::vector<double> levels_;
    std::optional<std::pair<Id, Id>> levels_of_;  ///< fixture and preset that they were taken from
    std::vector<std::vector<double>> earlier_;    ///< levels before each change
    std::vector<double> before_drag_;
    std::string test_;
};

/// What the window is told of this stage.
StageEntry spectrumEntry();

}  // namespace glumet
