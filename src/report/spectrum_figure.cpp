#include "report/spectrum_figure.h"

#include <algorithm>
#include <cmath>

#include "report/text.h"

namespace glumet {
namespace {

constexpr double kBandHeight = 26.0;
constexpr double kBandWords = 46.0;  ///< figures and two lines of names
constexpr double kAxis = 20.0;
constexpr double kSpectrumTop = 24.0;  ///< of the figures over peaks
constexpr double kHeadroom = 1.06;
constexpr double kLeastGapLabel = 70.0;
constexpr double kSpectrumLabelSize = 12.0;

struct SpectrumLayout {
    QRectF plot;
    QRectF bands;
    double top = 1.0;  ///< value at the plot's upper edge
};

SpectrumLayout layoutOf(const QRectF& area, const SpectrumFigure& figure) {
    SpectrumLayout out;
    const bool bands = !figure.bands.empty();
    const double below = kAxis + (bands ? kBandHeight + kBandWords : 0.0);
    out.plot = area.adjusted(4, kSpectrumTop, -4, -below);
    out.bands = QRectF(out.plot.left(), out.plot.bottom() + kAxis, out.plot.width(), kBandHeight);
    double greatest = 0.0;
    const auto take = [&](const SpectrumFigure::Line& line) {
        for (const double value : line.spectrum.values) greatest = std::max(greatest, value);
    };
    if (figure.main) take(*figure.main);
    for (const auto& line : figure.others) take(line);
    if (figure.span) take({{}, figure.span->high});
    out.top = greatest > 0.0 ? greatest * kHeadroom : 1.0;
    return out;
}

double xIn(const QRectF& plot, double nm) {
    return plot.left() + plot.width() * (nm - kFigureFromNm) / (kFigureToNm - kFigureFromNm);
}

void paintGrid(QPainter& p, const QRectF& plot, const Palette& c) {
    p.setFont(houseFont(kSpectrumLabelSize));
    for (int nm = 400; nm <= 750; nm += 50) {
        const double x = xIn(plot, nm);
        p.setPen(QPen(c.line, 1.0));
        p.drawLine(QPointF(x, plot.top()), QPointF(x, plot.bottom()));
        p.setPen(c.muted);
        p.drawText(QRectF(x - 30, plot.bottom() + 2, 60, kAxis - 2), Qt::AlignHCenter | Qt::AlignTop,
                   QString::number(nm));
    }
    p.setPen(QPen(c.line, 1.5));
    p.drawLine(plot.bottomLeft(), plot.bottomRight());
}

void paintMain(QPainter& p, const SpectrumLayout& at, const SpectrumFigure& figure, const Palette& c) {
    const auto line = spectrumLine(at.plot, figure.main->spectrum, at.top);
    if (line.isEmpty()) return;
    QPolygonF body = line;
    body.prepend(QPointF(line.first().x(), at.plot.bottom()));
    body.append(QPointF(line.last().x(), at.plot.bottom()));
    QColor fill = c.water;
    fill.setAlphaF(figure.assumed ? 0.16F : 0.34F);
    p.setPen(Qt::NoPen);
    p.setBrush(fill);
    p.drawPolygon(body);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(c.text, 1.8, figure.assumed ? Qt::DotLine : Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    p.drawPolyline(line);
}

void paintSpan(QPainter& p, const SpectrumLayout& at, const SpectrumFigure& figure, const Palette& c) {
    if (!figure.span) return;
    auto body = spectrumLine(at.plot, figure.span->high, at.top);
    auto low = spectrumLine(at.plot, figure.span->low, at.top);
    std::reverse(low.begin(), low.end());
    body += low;
    QColor fill = c.muted;
    fill.setAlphaF(0.45F);
    p.setPen(Qt::NoPen);
    p.setBrush(fill);
    p.drawPolygon(body);
    p.setBrush(Qt::NoBrush);
    p.setPen(c.muted);
    p.setFont(houseFont(kSpectrumLabelSize));
    p.drawText(QRectF(at.plot.right() - 240,
                      at.plot.top() + 2 + 18 * static_cast<double>(figure.others.size()), 240, 16),
               Qt::AlignRight | Qt::AlignVCenter, figure.span->name);
}

void paintOthers(QPainter& p, const SpectrumLayout& at, const SpectrumFigure& figure, const Palette& c) {
    static const std::array kWays{QVector<qreal>{6, 4}, QVector<qreal>{2, 3}, QVector<qreal>{10, 3, 2, 3}};
    double y = at.plot.top() + 2;
    for (std::size_t i = 0; i < figure.others.size(); ++i) {
        QPen pen(c.muted, 1.5);
        pen.setDashPattern(kWays[i % kWays.size()]);
        p.setPen(pen);
        p.drawPolyline(spectrumLine(at.plot, figure.others[i].spectrum, at.top));
        // Its name to the right, where spectra are low.
        p.setFont(houseFont(kSpectrumLabelSize));
        const QRectF name(at.plot.right() - 240, y, 208, 16);
        p.drawLine(QPointF(at.plot.right() - 26, y + 8), QPointF(at.plot.right(), y + 8));
        p.setPen(c.muted);
        p.drawText(name, Qt::AlignRight | Qt::AlignVCenter, figure.others[i].name);
        y += 18;
    }
}

void paintGaps(QPainter& p, const SpectrumLayout& at, const SpectrumFigure& figure, const Palette& c) {
    for (const auto& gap : figure.gaps) {
        const QRectF box(QPointF(xIn(at.plot, gap.from_nm), at.plot.bottom() - 34),
                         QPointF(xIn(at.plot, gap.to_nm), at.plot.bottom()));
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.accent, 1.4, Qt::DashLine));
        p.drawRoundedRect(box, 3, 3);
        if (box.width() < kLeastGapLabel) continue;
        p.setPen(c.accent);
        p.setFont(houseFont(kSpectrumLabelSize));
        p.drawText(box, Qt::AlignCenter, tr("gap %1–%2").arg(qRound(gap.from_nm)).arg(qRound(gap.to_nm)));
    }
}

void paintPeaks(QPainter& p, const SpectrumLayout& at, const SpectrumFigure& figure, const Palette& c) {
    p.setFont(houseFont(14, true));
    p.setPen(c.text);
    for (const auto& peak : figure.peaks) {
        const double y = at.plot.bottom() - at.plot.height() * peak.height / at.top;
        p.drawText(QRectF(xIn(at.plot, peak.nm) - 40, y - 20, 80, 18), Qt::AlignHCenter | Qt::AlignBottom,
                   QString::number(qRound(peak.nm)));
    }
}

void paintBand(QPainter& p, const QRectF& box, double share, double greatest, const Palette& c) {
    const QRectF inner = box.adjusted(1, 0, -1, 0);
    p.setPen(Qt::NoPen);
    p.setBrush(c.raised);
    p.drawRoundedRect(inner, 2, 2);
    const double height = greatest > 0.0 ? inner.height() * share / greatest : 0.0;
    p.setBrush(c.water);
    p.drawRect(QRectF(inner.left(), inner.bottom() - height, inner.width(), height));
}

void paintBands(QPainter& p, const SpectrumLayout& at, const SpectrumFigure& figure, const Palette& c) {
    if (figure.bands.size() != figure.shares.size()) return;
    const double greatest =
        figure.shares.empty() ? 0.0 : *std::max_element(figure.shares.begin(), figure.shares.end());
    bool low = false;
    for (std::size_t i = 0; i < figure.bands.size(); ++i) {
        const auto& band = figure.bands[i];
        const double from = std::max(xIn(at.plot, band.from_nm), at.plot.left());
        const double to = std::min(xIn(at.plot, band.to_nm), at.plot.right());
        if (to - from < 2.0) continue;
        const QRectF box(from, at.bands.top(), to - from, kBandHeight);
        paintBand(p, box, figure.shares[i], greatest, c);
        if (i < figure.other_shares.size() && greatest > 0.0) {
            const double y = box.bottom() - box.height() * std::min(1.0, figure.other_shares[i] / greatest);
            p.setPen(QPen(c.muted, 1.6, Qt::DashLine));
            p.drawLine(QPointF(box.left() + 2, y), QPointF(box.right() - 2, y));
        }
        const double middle = box.center().x();
        p.setPen(c.text);
        p.setFont(houseFont(13, true));
        p.drawText(QRectF(middle - 30, box.bottom() + 2, 60, 16), Qt::AlignCenter,
                   QString::number(qRound(100.0 * figure.shares[i])));
        p.setPen(c.muted);
        p.setFont(houseFont(11));
        // Names of narrow neighbours stand on two lines in turn.
        const double y = box.bottom() + 17 + (low ? 13 : 0);
        const double half = 0.5 * p.fontMetrics().horizontalAdvance(text(band.name)) + 1.0;
        const double at_x = std::clamp(middle, at.plot.left() + half, at.plot.right() - half);
        p.drawText(QRectF(at_x - 60, y, 120, 14), Qt::AlignCenter, text(band.name));
        low = !low;
    }
}

}  // namespace

double spectrumX(const QRectF& area, double nm) { return xIn(area.adjusted(4, 0, -4, 0), nm); }

QPolygonF spectrumLine(const QRectF& area, const Spectrum& spectrum, double top) {
    QPolygonF line;
    if (spectrum.empty() || !(top > 0.0)) return line;
    const auto add = [&](double nm, double value) {
        line << QPointF(xIn(area, nm), area.bottom() - area.height() * std::min(value, top) / top);
    };
    const auto& nm = spectrum.wavelength_nm;
    const double from = std::max(kFigureFromNm, nm.front());
    const double to = std::min(kFigureToNm, nm.back());
    add(from, valueAt(spectrum, from));
    for (std::size_t i = 0; i < nm.size(); ++i)
        if (nm[i] > from && nm[i] < to) add(nm[i], spectrum.values[i]);
    add(to, valueAt(spectrum, to));
    return line;
}

void paintSpectrum(QPainter& p, const QRectF& area, const SpectrumFigure& figure, const Palette& c) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    const auto at = layoutOf(area, figure);
    paintGrid(p, at.plot, c);
    if (figure.main) {
        paintOthers(p, at, figure, c);
        paintMain(p, at, figure, c);
        paintSpan(p, at, figure, c);
        paintGaps(p, at, figure, c);
        paintPeaks(p, at, figure, c);
        paintBands(p, at, figure, c);
    } else {
        p.setPen(c.muted);
        p.setFont(houseFont(15));
        p.drawText(at.plot.adjusted(30, 0, -30, 0), Qt::AlignCenter | Qt::TextWordWrap, figure.empty);
    }
    p.restore();
}

}  // namespace glumet
