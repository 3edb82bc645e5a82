#include "desk/bench/bench_drawing.h"

#include <QPainter>

#include "report/palette.h"

namespace glumet {
namespace {

constexpr int kTick = 4;
constexpr int kFieldHeight = 24;

}  // namespace

BenchDrawing::BenchDrawing(Session& session) : session_(session) {
    setObjectName(QStringLiteral("formColumn"));  // its fields look as those of a form
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

QRectF BenchDrawing::fitted(const QRectF& area, double length, double width) {
    const double scale = std::min(area.width() / length, area.height() / width);
    QRectF out(0, 0, length * scale, width * scale);
    out.moveCenter(area.center());
    return out;
}

void BenchDrawing::paintAlong(QPainter& p, double from, double to, double y, const QRect& field) const {
    p.setPen(QPen(session_.palette().muted, 1));
    p.drawLine(QPointF(from, y - kTick), QPointF(from, y + kTick));
    p.drawLine(QPointF(to, y - kTick), QPointF(to, y + kTick));
    if (field.left() > from) p.drawLine(QPointF(from, y), QPointF(field.left(), y));
    if (field.right() < to) p.drawLine(QPointF(field.right(), y), QPointF(to, y));
}

void BenchDrawing::paintAcross(QPainter& p, double x, double from, double to, const QRect& field) const {
    p.setPen(QPen(session_.palette().muted, 1));
    p.drawLine(QPointF(x - kTick, from), QPointF(x + kTick, from));
    p.drawLine(QPointF(x - kTick, to), QPointF(x + kTick, to));
    if (field.top() > from) p.drawLine(QPointF(x, from), QPointF(x, field.top()));
    if (field.bottom() < to) p.drawLine(QPointF(x, field.bottom()), QPointF(x, to));
}

QLineEdit* BenchDrawing::take(QLineEdit* field, int width) {
    field->setParent(this);
    field->setFixedSize(width, kFieldHeight);
    field->setAlignment(Qt::AlignCenter);
    field->setFont(houseFont(13, true));
    field->show();
    return field;
}

void BenchDrawing::place(QLineEdit* field, const QPointF& middle) {
    field->move(qRound(middle.x() - field->width() / 2.0), qRound(middle.y() - field->height() / 2.0));
}

}  // namespace glumet
