#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>

#include "core/bench/spectrum_record.h"
#include "core/spectrum/scan.h"
#include "desk/shared/scrolled_dialog.h"
#include "desk/shared/session.h"
#include "desk/spectrum/spectrum_plot.h"

class QFormLayout;

namespace glumet {

/// Spectra read from the connected spectrometer: dark subtracted, scans averaged, kept one by one as those of
/// a channel or mix, as the next point of a blending test, or each scan as a moment.
class ScanDialog : public ScrolledDialog {
    Q_OBJECT

  public:
    ScanDialog(Session& session, const Fixture& fixture, QWidget* parent);
    ~ScanDialog() override;

  private:
    enum class Use { Channel, Point, Moments };
    enum class Gathering { Nothing, Dark, Light };
    void layOut();
    QFormLayout* makeForm();
    void takeScan();
    void begin(Gathering what);
    void finishGathering();
    void setIntegration();
    void keep();
    void keepMoments();
    void plot(const Spectrum& spectrum);
    void say();
    Use use() const { return static_cast<Use>(use_->currentIndex()); }
    SpectrumRecord blank() const;
    /// Which point of the test is due, from those that are kept.
    int pointsKept() const;

    Session& session_;
    Fixture fixture_;
    SpectrumPlot* plot_;
    QSpinBox* count_;
    QSpinBox* integration_;
    QComboBox* use_;
    QComboBox* belongs_;
    QLineEdit* test_;
    QSpinBox* columns_;
    QLineEdit* pitch_;
    QLineEdit* height_;
    QPushButton* dark_button_;
    QPushButton* read_button_;
    QPushButton* keep_button_;
    QLabel* state_;
    QLabel* fault_;
    Gathering gathering_ = Gathering::Nothing;
    std::vector<Spectrum> scans_;
    std::vector<Spectrum> moments_;
    Spectrum dark_;
    std::optional<ScanAverage> average_;
    bool started_ = false;
    bool deaf_ = false;  ///< values come, and no spectrum behind them
};

}  // namespace glumet
