#include "desk/spectrum/spectrum_plot.h"

#include <QMouseEvent>
#include <QToolTip>

#include "core/words/wording.h"
#include "report/text.h"

namespace glumet {
SpectrumPlot::SpectrumPlot() {
    setAccessibleName(tr("Spectrum and bands"));
    setObjectName(QStringLiteral("spectrumPlot"));
    setMinimumSize(320, 190);
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
}

void SpectrumPlot::setFigure(SpectrumFigure figure, const Palette& palette) {
    figure_ = std::move(figure);
    palette_ = &palette;
    update();
}

std::vector<AccessibleCell> SpectrumPlot::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (std::size_t i = 0; i < figure_.bands.size() && i < figure_.shares.size(); ++i) {
        const auto& band = figure_.bands[i];
        const auto from = qRound(spectrumX(rect(), band.from_nm));
        const auto to = qRound(spectrumX(rect(), band.to_nm));
        cells.push_back({tr("%1, %2–%3 nm: %4")
                             .arg(text(band.name))
                             .arg(band.from_nm)
                             .arg(band.to_nm)
                             .arg(text(percentText(figure_.shares[i]))),
                         QRect(from, 0, to - from, height()), false});
    }
    return cells;
}

void SpectrumPlot::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    paintSpectrum(p, QRectF(rect()), figure_, *palette_);
}

void SpectrumPlot::mouseMoveEvent(QMouseEvent* event) {
    if (!figure_.main) return;
    const double share = (event->position().x() - spectrumX(rect(), kFigureFromNm)) /
                         (spectrumX(rect(), kFigureToNm) - spectrumX(rect(), kFigureFromNm));
    const double nm = kFigureFromNm + share * (kFigureToNm - kFigureFromNm);
    if (share < 0.0 || share > 1.0) return QToolTip::hideText();
    for (std::size_t i = 0; i < figure_.bands.size() && i < figure_.shares.size(); ++i)
        if (nm >= figure_.bands[i].from_nm && nm < figure_.bands[i].to_nm)
            QToolTip::showText(event->globalPosition().toPoint(),
                               tr("%1 nm, in %2 (%3–%4): %5 of the photons")
                                   .arg(qRound(nm))
                                   .arg(text(figure_.bands[i].name))
                                   .arg(figure_.bands[i].from_nm)
                                   .arg(figure_.bands[i].to_nm)
                                   .arg(text(percentText(figure_.shares[i]))),
                               this);
}

}  // namespace glumet
