#include "report/day_figure.h"

#include <algorithm>

#include "core/words/wording.h"
#include "report/chart_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kHours = 24.0;
constexpr double kLeft = 44.0;
constexpr double kDayBottom = 22.0;
constexpr double kDayTop = 20.0;
constexpr double kDayLabelSize = 12.0;

struct Scale {
    QRectF plot;
    double top = 1.0;
    QPointF at(double hour, double ppfd) const {
        return {plot.left() + plot.width() * hour / kHours, plot.bottom() - plot.height() * ppfd / top};
    }
};

double greatestOf(const DayFigure& figure) {
    double greatest = 0.0;
    if (!figure.lights.empty())
        for (std::size_t i = 0; i < figure.lights.front().hour.size(); ++i) {
            double sum = 0.0;
            for (const auto& light : figure.lights) sum += light.ppfd[i];
            greatest = std::max(greatest, sum);
        }
    for (const auto& day : figure.logged)
        for (const double ppfd : day.ppfd) greatest = std::max(greatest, ppfd);
    return greatest;
}

void paintGrid(QPainter& p, const Scale& s, const Palette& c) {
    p.setFont(houseFont(kDayLabelSize));
    for (int hour = 0; hour <= 24; hour += 3) {
        const double x = s.at(hour, 0).x();
        p.setPen(QPen(c.line, 1));
        p.drawLine(QPointF(x, s.plot.top()), QPointF(x, s.plot.bottom()));
        p.setPen(c.muted);
        p.drawText(QRectF(x - 24, s.plot.bottom() + 3, 48, kDayBottom), Qt::AlignHCenter | Qt::AlignTop,
                   QString::number(hour));
    }
    for (const double tick : roundTicks(0.0, s.top, 4)) {
        if (tick > s.top) continue;
        p.setPen(c.muted);
        p.drawText(QRectF(0, s.at(0, tick).y() - 9, kLeft - 8, 18), Qt::AlignRight | Qt::AlignVCenter,
                   QString::number(tick));
    }
}

/// Lights on each other, each a shade of its own and a line on top.
void paintLights(QPainter& p, const Scale& s, const DayFigure& figure, const Palette& c) {
    if (figure.lights.empty()) return;
    const auto& hours = figure.lights.front().hour;
    std::vector<double> below(hours.size(), 0.0);
    for (std::size_t k = 0; k < figure.lights.size(); ++k) {
        QPolygonF body;
        for (std::size_t i = hours.size(); i-- > 0;) body << s.at(hours[i], below[i]);
        QPolygonF line;
        for (std::size_t i = 0; i < hours.size(); ++i) {
            below[i] += figure.lights[k].ppfd[i];
            line << s.at(hours[i], below[i]);
        }
        QColor fill = c.water;
        fill.setAlphaF(k % 2 == 0 ? 0.42F : 0.22F);
        p.setPen(Qt::NoPen);
        p.setBrush(fill);
        p.drawPolygon(body + line);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.water, 1.4));
        p.drawPolyline(line);
    }
}

void paintLog(QPainter& p, const Scale& s, const DayFigure& figure, const Palette& c) {
    for (const auto& day : figure.logged) {
        QPolygonF line;
        for (std::size_t i = 0; i < day.hour.size(); ++i) line << s.at(day.hour[i], day.ppfd[i]);
        p.setPen(QPen(c.text, 1.6));
        p.drawPolyline(line);
    }
}

}  // namespace

void paintDay(QPainter& p, const QRectF& area, const DayFigure& figure, const Palette& c) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    Scale s;
    s.plot = area.adjusted(kLeft, kDayTop, -12, -kDayBottom);
    const double greatest = greatestOf(figure);
    s.top = greatest > 0.0 ? greatest * 1.12 : 1.0;
    paintGrid(p, s, c);
    for (const auto& peak : figure.short_peaks) {
        p.fillRect(QRectF(s.at(peak.from_h, s.top), s.at(peak.to_h, 0)), QBrush(c.accent, Qt::BDiagPattern));
        p.setPen(c.accent);
        p.setFont(houseFont(kDayLabelSize));
        p.drawText(QRectF(s.at(peak.to_h, s.top).x() + 5, s.plot.top(), 140, 16),
                   Qt::AlignLeft | Qt::AlignVCenter,
                   tr("short peak, %1 min").arg(qRound(peak.hours() * 60.0)));
    }
    paintLights(p, s, figure, c);
    paintLog(p, s, figure, c);
    if (figure.plateau > 0.0) {
        p.setPen(QPen(c.accent, 1.4, Qt::DashLine));
        const double y = s.at(0, figure.plateau).y();
        p.drawLine(QPointF(s.plot.left(), y), QPointF(s.plot.right(), y));
        p.setFont(houseFont(kDayLabelSize));
        p.drawText(QRectF(s.plot.left() + 4, y - 17, 200, 16), Qt::AlignLeft | Qt::AlignVCenter,
                   tr("plateau %1").arg(text(ppfdFigure(Ppfd(figure.plateau)))));
    }
    p.setPen(QPen(c.line, 1.5));
    p.drawLine(s.plot.bottomLeft(), s.plot.bottomRight());
    if (greatest <= 0.0 && !figure.empty.isEmpty()) {
        p.setPen(c.muted);
        p.setFont(houseFont(15));
        p.drawText(s.plot.adjusted(30, 0, -30, 0), Qt::AlignCenter | Qt::TextWordWrap, figure.empty);
    }
    p.restore();
}

}  // namespace glumet
