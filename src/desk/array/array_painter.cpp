#include "desk/array/array_painter.h"

#include <QObject>
#include <algorithm>
#include <array>
#include <cmath>

#include "report/text.h"

namespace glumet {
namespace {

constexpr double kValuePitchMm = 100.0;
constexpr double kValueWidth = 30.0;  // pixels a value needs
constexpr double kSeam = 0.6;         // cells overlap so far that no gap shows between them

class ArrayPainter {
  public:
    ArrayPainter(QPainter& painter, const ArrayGeometry& at, const ArrayLight& light, const ArrayMarks& marks,
                 const Palette& palette)
        : p_(painter), at_(at), light_(light), marks_(marks), c_(palette) {
        p_.setRenderHint(QPainter::Antialiasing);
    }

    void paintPlan() {
        paintSheet(light_.plan(), false);
        paintValues();
        paintObstacles();
        const QRectF r = at_.tank();
        wall(r.topLeft(), r.bottomLeft(), Side::Left);
        wall(r.topRight(), r.bottomRight(), Side::Right);
        wall(r.topLeft(), r.topRight(), Side::Back);
        wall(r.bottomLeft(), r.bottomRight(), Side::Front);
        for (std::size_t i = 0; i < light_.centres().size(); ++i) outline(at_.fromAbove(i), isChosen(i));
        for (const auto& companion : light_.what().question.companions) paintCompanion(companion, false);
    }

    void paintSide(const QRectF& area) {
        paintSheet(light_.slice(), true);
        const QRectF r = at_.tank();
        wall(QPointF(r.left(), r.top() - 10), r.bottomLeft(), Side::Left);
        wall(QPointF(r.right(), r.top() - 10), r.bottomRight(), Side::Right);
        p_.setPen(QPen(c_.line, 1.5));
        p_.drawLine(r.bottomLeft(), r.bottomRight());
        p_.setPen(QPen(c_.water, 2.0));
        p_.drawLine(r.topLeft(), r.topRight());
        paintDepths();
        paintRuler();
        for (std::size_t i = 0; i < light_.centres().size(); ++i) paintHanging(i);
        for (const auto& companion : light_.what().question.companions) paintCompanion(companion, true);
        paintHead(area);
        paintFoot(area);
    }

  private:
    bool isChosen(std::size_t i) const { return marks_.active && i == light_.chosen(); }

    void paintSheet(const ArrayLight::Sheet& sheet, bool downward) {
        const QRectF r = at_.tank();
        const double wide = r.width() / sheet.columns;
        const double tall = r.height() / sheet.rows;
        for (int row = 0; row < sheet.rows; ++row)
            for (int column = 0; column < sheet.columns; ++column) {
                const double y = downward ? r.top() + row * tall : r.bottom() - (row + 1) * tall;
                p_.fillRect(QRectF(r.left() + column * wide, y, wide + kSeam, tall + kSeam),
                            tideColour(sheet.at(column, row), light_.top()));
            }
    }

    /// Every second cell says its value where there is room; those in the band are bold and underlined.
    void paintValues() {
        const auto& plan = light_.plan();
        const QRectF r = at_.tank();
        const double wide = r.width() / plan.columns;
        const double tall = r.height() / plan.rows;
        const int every = std::max(
            1, static_cast<int>(std::lround(kValuePitchMm / (light_.tank().length_mm / plan.columns))));
        if (wide * every < kValueWidth) return;
        const auto& band = light_.what().question.goal.band;
        for (int row = every / 2; row < plan.rows; row += every)
            for (int column = every / 2; column < plan.columns; column += every) {
                const QPointF middle(r.left() + column * wide, r.bottom() - row * tall);
                if (crossed(middle)) continue;
                const double value = plan.at(column, row);
                const bool inside = band.contains(Ppfd(value));
                p_.setFont(houseFont(12, inside));
                p_.setPen(inkFor(tideColour(value, light_.top())));
                p_.drawText(QRectF(middle.x() - 24, middle.y() - 10, 48, 20), Qt::AlignCenter,
                            text(ppfdFigure(Ppfd(value))));
                if (inside)
                    p_.drawLine(QPointF(middle.x() - 10, middle.y() + 8),
                                QPointF(middle.x() + 10, middle.y() + 8));
            }
    }

    /// A value that an outline would cross is not written.
    bool crossed(const QPointF& middle) const {
        const QRectF words(middle.x() - 15, middle.y() - 9, 30, 19);
        for (std::size_t i = 0; i < light_.centres().size(); ++i) {
            const auto body = at_.fromAbove(i);
            if (body.intersects(words) && !body.contains(words)) return true;
        }
        return false;
    }

    void wall(const QPointF& from, const QPointF& to, Side side) {
        const bool clear = light_.tank().wall(side).clear();
        p_.setPen(QPen(clear ? c_.water : c_.muted, clear ? 1.8 : 4.0));
        p_.drawLine(from, to);
    }

    /// The depths that are judged, and that of the plan with its mean.
    void paintDepths() {
        const QRectF r = at_.tank();
        const QColor faint = c_.dark ? QColor(0, 0, 0, 130) : QColor(255, 255, 255, 160);
        p_.setPen(QPen(faint, 1.2, Qt::DashLine));
        const double y = at_.yOfDepth(light_.depthMm());
        p_.drawLine(QPointF(r.left(), y), QPointF(r.right(), y));
        label(r.left() - 6, y, light_.depthMm(), c_.muted, false);
        p_.setFont(houseFont(13, true));
        p_.setPen(c_.text);
        p_.drawText(QRectF(r.right() + 5, y - 11, 44, 22), Qt::AlignLeft | Qt::AlignVCenter,
                    text(ppfdFigure(Ppfd(light_.figures().mean))));
    }

    void paintObstacles() {
        const QRectF plan = at_.tank();
        for (const auto& o : light_.what().question.limits.obstacles) {
            const QRectF r(QPointF(at_.x(o.from_x.value()), at_.yInPlan(o.to_y.value())),
                           QPointF(at_.x(o.to_x.value()), at_.yInPlan(o.from_y.value())));
            p_.setPen(QPen(c_.text, 1.0));
            p_.setBrush(QBrush(c_.text, Qt::BDiagPattern));
            p_.drawRect(r.intersected(plan));
            p_.setBrush(Qt::NoBrush);
        }
    }

    void paintHead(const QRectF& area) {
        p_.setFont(houseFont(13));
        p_.setPen(c_.muted);
        const QRectF head(area.left() + 20, 14, area.width() - 41, 18);
        p_.drawText(head, Qt::AlignLeft | Qt::AlignVCenter, QObject::tr("Section of the array"));
        p_.drawText(head, Qt::AlignRight | Qt::AlignVCenter,
                    QObject::tr("to scale, %1").arg(text(unitName(marks_.unit))));
    }

    /// What each judged depth gets, in a table of its own.
    void paintFoot(const QRectF& area) {
        const auto& rows = light_.depthRows();
        const double pitch = std::min(20.0, 108.0 / static_cast<double>(rows.size() + 1));
        double y = area.bottom() - 34 - pitch * static_cast<double>(rows.size() + 1);
        const double left = area.left() + 20;
        const std::array columns{left, left + 92, left + 190};
        const auto line = [&](const QString& a, const QString& b, const QString& c) {
            p_.drawText(QRectF(columns[0], y, 90, pitch), Qt::AlignLeft | Qt::AlignVCenter, a);
            p_.drawText(QRectF(columns[1], y, 70, pitch), Qt::AlignRight | Qt::AlignVCenter, b);
            p_.drawText(QRectF(columns[2], y, 88, pitch), Qt::AlignRight | Qt::AlignVCenter, c);
            y += pitch;
        };
        p_.setFont(houseFont(12));
        p_.setPen(c_.muted);
        line(QObject::tr("judged at"), QObject::tr("mean"), QObject::tr("in band"));
        p_.setFont(houseFont(13, true));
        p_.setPen(c_.text);
        for (const auto& row : rows)
            line(text(lengthText(row.depth, marks_.unit)), text(ppfdFigure(Ppfd(row.mean))),
                 text(percentText(row.in_band)));
    }

    void label(double right, double y, double length_mm, const QColor& colour, bool bold) {
        p_.setFont(houseFont(bold ? 15 : 12, bold));
        p_.setPen(colour);
        p_.drawText(QRectF(right - 64, y - 12, 62, 24), Qt::AlignRight | Qt::AlignVCenter,
                    text(lengthFigure(Millimetre(length_mm), marks_.unit)));
    }

    /// The height as a line and a figure, with the recommended range as a bracket.
    void paintRuler() {
        const QRectF r = at_.tank();
        const double y = at_.yOfHeight(light_.height().value());
        p_.setPen(QPen(c_.accent, 1.2));
        p_.drawLine(QPointF(r.left(), y), QPointF(r.right() + 6, y));
        label(r.left() - 6, y, light_.height().value(), c_.accent, true);
        if (!marks_.recommended_low || !marks_.recommended_high) return;
        const double low = at_.yOfHeight(marks_.recommended_low->value());
        const double high = at_.yOfHeight(marks_.recommended_high->value());
        const double x = r.right() + 12;
        p_.setPen(QPen(c_.text, 1.8));
        p_.drawLine(QPointF(x, low), QPointF(x, high));
        for (const double end : {low, high}) p_.drawLine(QPointF(x - 6, end), QPointF(x, end));
    }

    void outline(const QRectF& body, bool chosen) {
        p_.setPen(QPen(c_.dark ? QColor(0, 0, 0, 160) : QColor(255, 255, 255, 200), 5));
        p_.drawRoundedRect(body, 4, 4);
        p_.setPen(QPen(chosen ? c_.accent : c_.text, 2.2, chosen ? Qt::SolidLine : Qt::DashLine));
        p_.drawRoundedRect(body, 4, 4);
    }

    void paintHanging(std::size_t i) {
        const QRectF body = at_.fromSide(i);
        p_.setPen(QPen(c_.muted, 1.0));
        for (const double x : {body.left() + body.width() * 0.2, body.right() - body.width() * 0.2})
            p_.drawLine(QPointF(x, body.top()), QPointF(x, 40.0));
        p_.setBrush(c_.raised);
        p_.setPen(QPen(isChosen(i) ? c_.accent : c_.text, 1.8));
        p_.drawRoundedRect(body, 3, 3);
        p_.setBrush(Qt::NoBrush);
    }

    void paintCompanion(const Companion& companion, bool from_side) {
        const bool across = std::abs(std::cos(companion.rotation_deg * M_PI / 180.0)) < 0.5;
        const double k = at_.pixelsPerMm();
        const double wide = (across ? companion.model.body_width_mm : companion.model.body_length_mm) * k;
        const double tall = (across ? companion.model.body_length_mm : companion.model.body_width_mm) * k;
        p_.setPen(QPen(c_.text, 1.6, Qt::DotLine));
        const double x = at_.x(companion.x_mm);
        if (from_side)
            p_.drawRect(QRectF(x - wide / 2, at_.yOfHeight(companion.height.value()) - 7, wide, 7));
        else
            p_.drawRect(QRectF(x - wide / 2, at_.yInPlan(companion.y_mm) - tall / 2, wide, tall));
    }

    QPainter& p_;
    const ArrayGeometry& at_;
    const ArrayLight& light_;
    const ArrayMarks& marks_;
    const Palette& c_;
};

}  // namespace

void paintArrayPlan(QPainter& painter, const ArrayGeometry& at, const ArrayLight& light,
                    const ArrayMarks& marks, const Palette& palette) {
    ArrayPainter(painter, at, light, marks, palette).paintPlan();
}

void paintArraySide(QPainter& painter, const QRectF& area, const ArrayGeometry& at, const ArrayLight& light,
                    const ArrayMarks& marks, const Palette& palette) {
    ArrayPainter(painter, at, light, marks, palette).paintSide(area);
}

}  // namespace glumet
