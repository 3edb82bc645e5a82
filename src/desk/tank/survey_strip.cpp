#include "desk/tank/survey_strip.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <cmath>

#include "core/living/ramp.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kStripMargin = 40.0;  // half a date
constexpr double kDot = 5.0;
constexpr double kReach = 14.0;
constexpr double kDateWidth = 78.0;

}  // namespace

SurveyStrip::SurveyStrip() {
    setFocusPolicy(Qt::StrongFocus);
    setObjectName(QStringLiteral("surveyStrip"));
    setAccessibleName(tr("The looks at the tank, along time"));
    setFixedHeight(sizeHint().height());
    setToolTip(tr("A click compares a look with the one before it; with Shift the later one stays"));
}

void SurveyStrip::setSurveys(const std::vector<TankSurvey>& surveys, const std::string& before,
                             const std::string& now, const Palette& palette) {
    palette_ = &palette;
    looks_.clear();
    const double whole = surveys.size() < 2
                             ? 1.0
                             : std::max(1, daysBetween(surveys.front().day, surveys.back().day).value_or(1));
    for (const auto& survey : surveys) {
        if (survey.day == before) before_ = looks_.size();
        if (survey.day == now) now_ = looks_.size();
        looks_.push_back({text(survey.day), daysBetween(surveys.front().day, survey.day).value_or(0) / whole,
                          static_cast<int>(survey.spots.size())});
    }
    update();
}

QPoint SurveyStrip::placeOf(std::size_t look) const {
    return QPointF(kStripMargin + (width() - 2 * kStripMargin) * looks_[look].at, 10.0).toPoint();
}

void SurveyStrip::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr || looks_.empty()) return;
    const auto& c = *palette_;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(c.line, 2.0));
    p.drawLine(placeOf(0), placeOf(looks_.size() - 1));
    if (before_ < now_) {
        p.setPen(QPen(c.accent, 2.0));
        p.drawLine(placeOf(before_), placeOf(now_));
    }
    p.setFont(houseFont(11));
    double free_from = -1e9;
    const auto date = [&](std::size_t i, const QColor& colour) {
        const double x = placeOf(i).x();
        if (x - kDateWidth / 2 < free_from) return;
        free_from = x + kDateWidth / 2;
        p.setPen(colour);
        p.drawText(QRectF(x - kDateWidth / 2, 20, kDateWidth, 16), Qt::AlignCenter, looks_[i].day);
    };
    for (std::size_t i = 0; i < looks_.size(); ++i) {
        const bool marked = i == now_ || (i == before_ && looks_.size() > 1);
        p.setPen(Qt::NoPen);
        p.setBrush(marked ? c.accent : c.muted);
        p.drawEllipse(QPointF(placeOf(i)), marked ? kDot + 2 : kDot - 1, marked ? kDot + 2 : kDot - 1);
    }
    // The two that are compared are named before others.
    date(before_, c.text);
    if (now_ != before_) date(now_, c.text);
    if (before_ != 0 && placeOf(before_).x() > kDateWidth) {
        free_from = -1e9;
        if (placeOf(before_).x() - placeOf(0).x() > kDateWidth) date(0, c.muted);
    }
    if (hasFocus()) {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.accent, 1.2, Qt::DotLine));
        p.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

void SurveyStrip::choose(std::size_t look, bool keep_later) {
    if (looks_.size() < 2) return;
    const std::size_t now = keep_later ? now_ : std::max<std::size_t>(look, 1);
    const std::size_t before = keep_later ? look : now - 1;
    if (before == now) return;
    emit compared(looks_[std::min(before, now)].day, looks_[std::max(before, now)].day);
    cellsTold(*this);
}

void SurveyStrip::mousePressEvent(QMouseEvent* event) {
    std::optional<std::size_t> nearest;
    double best = kReach;
    for (std::size_t i = 0; i < looks_.size(); ++i)
        if (const double away = std::abs(placeOf(i).x() - event->position().x()); away <= best) {
            best = away;
            nearest = i;
        }
    if (nearest) choose(*nearest, event->modifiers().testFlag(Qt::ShiftModifier));
}

void SurveyStrip::keyPressEvent(QKeyEvent* event) {
    const bool shift = event->modifiers().testFlag(Qt::ShiftModifier);
    const std::size_t at = shift ? before_ : now_;
    if (event->key() == Qt::Key_Left && at > 0)
        choose(at - 1, shift);
    else if (event->key() == Qt::Key_Right && at + 1 < looks_.size())
        choose(at + 1, shift);
    else
        QWidget::keyPressEvent(event);
}

std::vector<AccessibleCell> SurveyStrip::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (std::size_t i = 0; i < looks_.size(); ++i)
        cells.push_back({tr("%1, %2 spots").arg(looks_[i].day).arg(looks_[i].spots) +
                             (i == now_ || i == before_ ? tr(", compared") : QString()),
                         QRect(placeOf(i) - QPoint(10, 10), QSize(20, 20)), i == now_});
    return cells;
}

}  // namespace glumet
