#include "desk/array/array_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <algorithm>
#include <cmath>

#include "core/wording.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kMargin = 10.0;
constexpr double kCellMm = 50.0;
constexpr double kSnapMm = 12.0;
constexpr double kKeyStepMm = 5.0;
constexpr double kTextCellMm = 100.0;

}  // namespace

ArrayView::ArrayView(QWidget* parent) : QWidget(parent) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Fixtures over the tank"));
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Preferred);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
}

int ArrayView::heightForWidth(int width) const {
    if (!shown_) return 220;
    const auto& s = shown_->scene;
    return std::min(330, static_cast<int>((width - 2 * kMargin) * s.width_mm / s.length_mm + 2 * kMargin));
}

double ArrayView::scale() const {
    const auto& s = shown_->scene;
    return std::min((width() - 2 * kMargin) / s.length_mm, (height() - 2 * kMargin) / s.width_mm);
}

QRectF ArrayView::footprint() const {
    const auto& s = shown_->scene;
    const double k = scale();
    return {(width() - s.length_mm * k) / 2.0, kMargin, s.length_mm * k, s.width_mm * k};
}

void ArrayView::setEmpty(const QString& why, const Palette& palette) {
    shown_.reset();
    field_.reset();
    empty_ = why;
    palette_ = &palette;
    updateGeometry();
    update();
}

void ArrayView::setScene(const Scene& scene, const Palette& palette) {
    palette_ = &palette;
    const bool other_tank = !shown_ || shown_->scene.length_mm != scene.scene.length_mm ||
                            shown_->scene.width_mm != scene.scene.width_mm;
    shown_ = scene;
    centres_.clear();
    for (const auto& fixture : scene.scene.fixtures) centres_.push_back(fixture.x_mm);
    chosen_ = std::min(chosen_, centres_.empty() ? 0 : centres_.size() - 1);
    columns_ = std::max(2, static_cast<int>(std::lround(scene.scene.length_mm / kCellMm)));
    rows_ = std::max(2, static_cast<int>(std::lround(scene.scene.width_mm / kCellMm)));
    compute();
    if (other_tank) updateGeometry();
}

void ArrayView::setCentres(const std::vector<double>& centres) {
    if (!shown_ || centres.size() != shown_->scene.fixtures.size()) return;
    centres_ = centres;
    for (std::size_t i = 0; i < centres.size(); ++i) shown_->scene.fixtures[i].x_mm = centres[i];
    compute();
}

void ArrayView::compute() {
    if (field_ == nullptr)
        field_ = std::make_unique<FastField>(shown_->scene);
    else
        field_->setScene(shown_->scene);
    std::vector<std::array<double, 2>> points;
    for (int row = 0; row < rows_; ++row)
        for (int column = 0; column < columns_; ++column)
            points.push_back({(column + 0.5) * shown_->scene.length_mm / columns_,
                              (row + 0.5) * shown_->scene.width_mm / rows_});
    values_ = field_->onPlane(Millimetre(shown_->depth_mm), points);
    int inside = 0;
    figures_ = {0.0, 1e300, 0.0, 0.0};
    for (auto& value : values_) {
        value *= shown_->level;
        figures_.mean += value / static_cast<double>(values_.size());
        figures_.min = std::min(figures_.min, value);
        figures_.max = std::max(figures_.max, value);
        inside += shown_->band.contains(Ppfd(value)) ? 1 : 0;
    }
    figures_.in_band = static_cast<double>(inside) / static_cast<double>(values_.size());
    // The scale follows only while nothing is held: colours that jump under the hand say nothing.
    if (held_ < 0) top_ = figures_.max;
    update();
}

void ArrayView::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    if (!shown_) {
        p.setFont(houseFont(14));
        p.setPen(palette_->muted);
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, empty_);
        return;
    }
    const QRectF f = footprint();
    const double wide = f.width() / columns_;
    const double tall = f.height() / rows_;
    p.setPen(Qt::NoPen);
    for (int row = 0; row < rows_; ++row)
        for (int column = 0; column < columns_; ++column) {
            const double value = values_[static_cast<std::size_t>(row * columns_ + column)];
            const QRectF cell(f.left() + column * wide, f.bottom() - (row + 1) * tall, wide, tall);
            p.fillRect(cell.adjusted(0, 0, 0.6, 0.6), tideColour(value, top_));
        }
    // Values where there is room for them, every second cell.
    const int every = std::max(1, static_cast<int>(std::lround(kTextCellMm / kCellMm)));
    if (wide * every > 30.0)
        for (int row = every / 2; row < rows_; row += every)
            for (int column = every / 2; column < columns_; column += every) {
                const double value = values_[static_cast<std::size_t>(row * columns_ + column)];
                const QPointF at(f.left() + column * wide, f.bottom() - row * tall);
                if (underFixture(at)) continue;
                const bool inside = shown_->band.contains(Ppfd(value));
                p.setFont(houseFont(12, inside));
                p.setPen(inkFor(tideColour(value, top_)));
                p.drawText(QRectF(at.x() - 24, at.y() - 10, 48, 20), Qt::AlignCenter,
                           text(ppfdFigure(Ppfd(value))));
                if (!inside) continue;
                p.drawLine(QPointF(at.x() - 11, at.y() + 8), QPointF(at.x() + 11, at.y() + 8));
            }
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(palette_->water, 1.8));
    p.drawRect(f);
    paintFixtures(p);
}

QRectF ArrayView::bodyRect(std::size_t fixture) const {
    const QRectF f = footprint();
    const double k = scale();
    const double wide = std::max(40.0, shown_->body_length_mm) * k;
    const double tall = std::max(40.0, shown_->body_width_mm) * k;
    return {f.left() + centres_[fixture] * k - wide / 2, f.center().y() - tall / 2, wide, tall};
}

/// A value that an outline would cross is not written.
bool ArrayView::underFixture(const QPointF& at) const {
    const QRectF words(at.x() - 16, at.y() - 9, 32, 20);
    for (std::size_t i = 0; i < centres_.size(); ++i)
        if (bodyRect(i).intersects(words) && !bodyRect(i).contains(words)) return true;
    return false;
}

void ArrayView::paintFixtures(QPainter& p) {
    for (std::size_t i = 0; i < centres_.size(); ++i) {
        const QRectF body = bodyRect(i);
        const bool chosen = i == chosen_ && (hasFocus() || held_ >= 0);
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(palette_->dark ? QColor(0, 0, 0, 160) : QColor(255, 255, 255, 200), 5));
        p.drawRoundedRect(body, 5, 5);
        p.setPen(
            QPen(chosen ? palette_->accent : palette_->text, 2.2, chosen ? Qt::SolidLine : Qt::DashLine));
        p.drawRoundedRect(body, 5, 5);
    }
}

void ArrayView::move(std::size_t fixture, double x_mm) {
    const double half = 0.5 * std::max(40.0, shown_->body_length_mm);
    double low = half;
    double high = shown_->scene.length_mm - half;
    // Bodies do not pass through each other.
    if (fixture > 0) low = std::max(low, centres_[fixture - 1] + 2 * half);
    if (fixture + 1 < centres_.size()) high = std::min(high, centres_[fixture + 1] - 2 * half);
    if (low > high) return;
    for (const auto& snap : shown_->snaps)
        if (fixture < snap.size() && std::abs(snap[fixture] - x_mm) <= kSnapMm) x_mm = snap[fixture];
    auto centres = centres_;
    centres[fixture] = std::clamp(x_mm, low, high);
    if (centres == centres_) return;
    setCentres(centres);
    emit moved();
}

void ArrayView::mousePressEvent(QMouseEvent* event) {
    if (!shown_ || centres_.empty()) return;
    const double x = (event->position().x() - footprint().left()) / scale();
    const auto near = std::min_element(centres_.begin(), centres_.end(),
                                       [&](double a, double b) { return std::abs(a - x) < std::abs(b - x); });
    chosen_ = static_cast<std::size_t>(near - centres_.begin());
    held_ = static_cast<int>(chosen_);
    update();
}

void ArrayView::mouseMoveEvent(QMouseEvent* event) {
    if (!shown_ || held_ < 0) return;
    move(static_cast<std::size_t>(held_), (event->position().x() - footprint().left()) / scale());
}

void ArrayView::mouseReleaseEvent(QMouseEvent* /*event*/) {
    held_ = -1;
    if (shown_) compute();
}

void ArrayView::keyPressEvent(QKeyEvent* event) {
    if (!shown_ || centres_.empty()) return QWidget::keyPressEvent(event);
    const auto count = centres_.size();
    switch (event->key()) {
        case Qt::Key_Up:
            chosen_ = (chosen_ + 1) % count;
            return update();
        case Qt::Key_Down:
            chosen_ = (chosen_ + count - 1) % count;
            return update();
        case Qt::Key_Left:
        case Qt::Key_Right: {
            const double by = event->key() == Qt::Key_Left ? -kKeyStepMm : kKeyStepMm;
            // A snap must not hold a fixture that is moved in steps smaller than its reach.
            const auto snaps = std::move(shown_->snaps);
            shown_->snaps.clear();
            move(chosen_, centres_[chosen_] + by);
            shown_->snaps = snaps;
            return;
        }
        default:
            QWidget::keyPressEvent(event);
    }
}

void ArrayView::focusInEvent(QFocusEvent* /*event*/) { update(); }
void ArrayView::focusOutEvent(QFocusEvent* /*event*/) { update(); }

}  // namespace glumet
