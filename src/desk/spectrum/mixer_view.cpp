#include "desk/spectrum/mixer_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "core/words/wording.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kRow = 32;
constexpr int kName = 118;
constexpr int kFigures = 128;  ///< level and light, right of the longest beam
constexpr double kThick = 18.0;
constexpr double kKnob = 9.0;
constexpr double kLeastTrack = 0.25;  ///< of the longest: a weak channel stays to be held
constexpr int kChip = 12;

}  // namespace

MixerView::MixerView() {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The mix"));
    setToolTip(
        tr("Each beam is as long as the light its channel can give; hatched is what is paid for and turned "
           "down. ≈: the channel was not read alone."));
    setObjectName(QStringLiteral("mixer"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void MixerView::setBeams(std::vector<Beam> beams, const Palette& palette) {
    const bool resized = beams.size() != beams_.size();
    beams_ = std::move(beams);
    palette_ = &palette;
    chosen_ = std::clamp(chosen_, 0, std::max(0, static_cast<int>(beams_.size()) - 1));
    if (resized) updateGeometry();
    update();
}

QSize MixerView::sizeHint() const { return {480, kRow * std::max(1, static_cast<int>(beams_.size()))}; }
QSize MixerView::minimumSizeHint() const { return {300, sizeHint().height()}; }

QRectF MixerView::trackOf(int beam) const {
    double longest = 0.0;
    for (const auto& one : beams_) longest = std::max(longest, one.full);
    const double share = longest > 0.0 ? beams_[static_cast<std::size_t>(beam)].full / longest : 1.0;
    const double room = width() - kName - kFigures - kKnob;
    return {double(kName), beam * kRow + (kRow - kThick) / 2.0, room * std::max(kLeastTrack, share), kThick};
}

QPoint MixerView::handleAt(int beam, double level) const {
    const auto track = trackOf(beam);
    return QPointF(track.left() + level * track.width(), track.center().y()).toPoint();
}

double MixerView::levelUnder(int beam, double x) const {
    const auto track = trackOf(beam);
    return std::round(std::clamp((x - track.left()) / track.width(), 0.0, 1.0) * 100.0) / 100.0;
}

std::vector<AccessibleCell> MixerView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (int i = 0; i < static_cast<int>(beams_.size()); ++i) {
        const auto& beam = beams_[static_cast<std::size_t>(i)];
        cells.push_back({tr("%1: %2 %, %3 µmol/m²/s")
                             .arg(beam.name)
                             .arg(qRound(beam.level * 100))
                             .arg(text(ppfdFigure(Ppfd(beam.full * beam.output)))),
                         QRect(0, i * kRow, width(), kRow), i == chosen_});
    }
    return cells;
}

void MixerView::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    for (int i = 0; i < static_cast<int>(beams_.size()); ++i) paintBeam(p, i);
}

void MixerView::paintBeam(QPainter& p, int i) const {
    const auto& c = *palette_;
    const auto& beam = beams_[static_cast<std::size_t>(i)];
    const auto track = trackOf(i);
    const bool held = i == chosen_ && hasFocus();
    const double y = i * kRow;
    if (beam.colour.isValid()) {
        p.setPen(QPen(c.line, 1));
        p.setBrush(beam.colour);
        p.drawRoundedRect(QRectF(1, y + (kRow - kChip) / 2.0, kChip, kChip), 3, 3);
    }
    p.setPen(held ? c.accent : c.text);
    p.setFont(houseFont(14));
    const QRectF name(kChip + 7, y, kName - kChip - 12, kRow);
    p.drawText(name, Qt::AlignVCenter | Qt::AlignLeft,
               p.fontMetrics().elidedText(beam.name, Qt::ElideRight, static_cast<int>(name.width())));
    p.setPen(QPen(c.line, 1));
    p.setBrush(c.panel);
    p.drawRoundedRect(track, 4, 4);
    p.setBrush(QBrush(c.line, Qt::BDiagPattern));
    p.setPen(Qt::NoPen);
    p.drawRoundedRect(track, 4, 4);
    QRectF lit = track;
    lit.setWidth(track.width() * beam.output);
    p.setBrush(c.water);
    p.drawRoundedRect(lit, 4, 4);
    const QPointF knob(track.left() + track.width() * beam.level, track.center().y());
    p.setPen(QPen(held ? c.accent : c.text, 2.2));
    p.setBrush(c.ground);
    p.drawEllipse(knob, kKnob, kKnob);
    const double right = std::max(track.right(), knob.x()) + kKnob + 8;
    p.setPen(held ? c.accent : c.text);
    p.setFont(houseFont(15, true));
    const QString level =
        held && !typed_.isEmpty() ? typed_ + QStringLiteral("_") : tr("%1 %").arg(qRound(beam.level * 100));
    p.drawText(QRectF(right, y, 52, kRow), Qt::AlignVCenter | Qt::AlignLeft, level);
    p.setPen(c.muted);
    p.setFont(houseFont(13));
    p.drawText(
        QRectF(right + 54, y, kFigures, kRow), Qt::AlignVCenter | Qt::AlignLeft,
        (beam.assumed ? QStringLiteral("≈ ") : QString()) + text(ppfdFigure(Ppfd(beam.full * beam.output))));
}

void MixerView::change(double level, bool done) {
    level = std::clamp(level, 0.0, 1.0);
    emit levelChanged(chosen_, level, done);
    if (done) cellsTold(*this);
}

void MixerView::mousePressEvent(QMouseEvent* event) {
    if (beams_.empty() || event->button() != Qt::LeftButton) return;
    finishTyping();
    chosen_ =
        std::clamp(static_cast<int>(event->position().y()) / kRow, 0, static_cast<int>(beams_.size()) - 1);
    const auto track = trackOf(chosen_);
    if (event->position().x() < track.left() - kKnob || event->position().x() > track.right() + kKnob) {
        update();
        return;
    }
    dragging_ = true;
    change(levelUnder(chosen_, event->position().x()), false);
}

void MixerView::mouseMoveEvent(QMouseEvent* event) {
    if (dragging_) change(levelUnder(chosen_, event->position().x()), false);
}

void MixerView::mouseReleaseEvent(QMouseEvent* event) {
    if (!dragging_) return;
    dragging_ = false;
    change(levelUnder(chosen_, event->position().x()), true);
}

bool MixerView::event(QEvent* event) {
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const bool digit = key->text().size() == 1 && key->text()[0].isDigit();
        const bool walks = key->key() == Qt::Key_Up || key->key() == Qt::Key_Down ||
                           key->key() == Qt::Key_Left || key->key() == Qt::Key_Right ||
                           key->key() == Qt::Key_Home || key->key() == Qt::Key_End;
        if (key->matches(QKeySequence::Undo) || digit ||
            (walks && !(key->modifiers() & Qt::ControlModifier)) ||
            (!typed_.isEmpty() && (key->key() == Qt::Key_Return || key->key() == Qt::Key_Backspace))) {
            event->accept();
            return true;
        }
    }
    return QWidget::event(event);
}

void MixerView::type(const QString& digit) {
    if (typed_.size() < 3) typed_ += digit;
    update();
}

void MixerView::finishTyping() {
    if (typed_.isEmpty()) return;
    const double level = typed_.toDouble() / 100.0;
    typed_.clear();
    change(level, true);
}

void MixerView::keyPressEvent(QKeyEvent* event) {
    if (beams_.empty()) return event->ignore();
    const auto level = beams_[static_cast<std::size_t>(chosen_)].level;
    const double step = event->modifiers() & Qt::ShiftModifier ? 0.10 : 0.01;
    const auto walk = [&](int by) {
        finishTyping();
        chosen_ = std::clamp(chosen_ + by, 0, static_cast<int>(beams_.size()) - 1);
        update();
        cellsTold(*this);
    };
    if (event->matches(QKeySequence::Undo)) return emit undoWanted();
    if (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier)) return event->ignore();
    switch (event->key()) {
        case Qt::Key_Up:
            return walk(-1);
        case Qt::Key_Down:
            return walk(1);
        case Qt::Key_Left:
            return change(std::round((level - step) * 100.0) / 100.0, true);
        case Qt::Key_Right:
            return change(std::round((level + step) * 100.0) / 100.0, true);
        case Qt::Key_Home:
            return change(0.0, true);
        case Qt::Key_End:
            return change(1.0, true);
        case Qt::Key_Return:
        case Qt::Key_Enter:
            return finishTyping();
        case Qt::Key_Escape:
            if (typed_.isEmpty()) return event->ignore();
            typed_.clear();
            return update();
        case Qt::Key_Backspace:
            if (typed_.isEmpty()) return event->ignore();
            typed_.chop(1);
            return update();
        default:
            break;
    }
    if (event->text().size() == 1 && event->text()[0].isDigit()) return type(event->text());
    event->ignore();
}

void MixerView::focusOutEvent(QFocusEvent* event) {
    finishTyping();
    QWidget::focusOutEvent(event);
    update();
}

}  // namespace glumet
