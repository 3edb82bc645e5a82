#include "desk/field/plane_figures.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include "core/bench/sweep.h"
#include "desk/shared/ring_name.h"
#include "report/plan_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kPlaneRowHeight = 43.0;
constexpr double kHeightLabel = 18.0;
constexpr double kPlaneTop = 3.0;

}  // namespace

PlaneFigures::PlaneFigures(Session& session) : session_(session) {
    setFixedWidth(206);
    setAccessibleName(tr("Figures of the plane"));
}

void PlaneFigures::addRings(const PlaneStatistics& s) {
    for (std::size_t ring = s.ring_means.size(); ring-- > 0;)
        rows_.push_back({ringName(static_cast<int>(ring), static_cast<int>(s.ring_means.size())),
                         text(ppfdFigure(s.ring_means[ring])),
                         {},
                         s.ring_means[ring].value()});
}

void PlaneFigures::addSpread(const PlaneStatistics& s) {
    const auto band = session_.band();
    rows_.push_back({tr("in band %1–%2").arg(text(ppfdFigure(band.low)), text(ppfdFigure(band.high))),
                     text(percentText(*s.share_in_band)),
                     tr("%1 of %2").arg(s.n - s.below_band - s.above_band).arg(s.n), -1, true});
    rows_.push_back({tr("min / mean"), QString::number(s.min_over_mean, 'f', 2),
                     tr("max / mean %1").arg(s.max_over_mean, 0, 'f', 2)});
    rows_.push_back({tr("CV over the points"), text(percentText(s.cv)),
                     tr("%1 to %2").arg(text(ppfdFigure(s.min)), text(ppfdFigure(s.max)))});
    const auto* run = session_.run();
    const auto* tank = byId(session_.bench().tanks, run->tank);
    if (tank == nullptr) return;
    const auto delivered = deliveredOutput(s.mean, tank->length, tank->width);
    QString per_watt;
    if (const auto power = run->power(); power && power->value() > 0)
        per_watt = tr("%1 µmol/J").arg(deliveredEfficacy(delivered, *power), 0, 'f', 2);
    rows_.push_back({tr("delivered, µmol/s"), QString::number(delivered.value(), 'f', 0), per_watt});
}

/// What others published of the plane, with their uncertainty.
void PlaneFigures::addMeans(const Plane& plane) {
    int rings = 0;
    for (const auto& mean : plane.means) rings = std::max(rings, mean.ring.number + 1);
    const auto name = [&](const RingMean& mean) {
        switch (mean.ring.number) {
            case RingName::kAll:
                return tr("all points");
            case RingName::kLeast:
                return tr("least");
            case RingName::kGreatest:
                return tr("greatest");
            default:
                return ringName(mean.ring.number, rings);
        }
    };
    for (auto mean = plane.means.rbegin(); mean != plane.means.rend(); ++mean) {
        const bool bar = mean->ring.number >= 0;
        rows_.push_back({name(*mean), text(ppfdFigure(mean->ppfd)), {}, bar ? mean->ppfd.value() : -1.0});
    }
    const auto& first = plane.means.front();
    rows_.push_back({tr("read by %1").arg(text(session_.run()->read_by)),
                     tr("± %1").arg(text(percentText(first.relative_sd))),
                     tr("of %1 × %2 points").arg(first.columns).arg(first.rows), -1, true});
}

void PlaneFigures::refresh() {
    rows_.clear();
    if (const auto* plane = session_.plane();
        plane != nullptr && plane->readings.empty() && !plane->means.empty())
        addMeans(*plane);
    else if (plane != nullptr)
        if (const auto statistics = planeStatistics(*plane, session_.band())) {
            addRings(*statistics);
            addSpread(*statistics);
        }
    QStringList words;
    for (const auto& row : rows_) words << row.name + QLatin1Char(' ') + row.value;
    setAccessibleDescription(words.join(QStringLiteral(", ")));
    update();
}

void PlaneFigures::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = session_.palette();
    const double top = session_.fieldScaleTop();
    double y = 2;
    const double pitch = std::min(
        kPlaneRowHeight, (height() - 14.0) / std::max<double>(static_cast<double>(rows_.size()), 1.0));
    for (const auto& row : rows_) {
        if (row.gap) y += 8;
        p.setFont(houseFont(12));
        p.setPen(c.muted);
        p.drawText(QRectF(0, y, width(), 15), Qt::AlignLeft | Qt::AlignVCenter, row.name);
        p.setFont(houseFont(21, true));
        p.setPen(c.text);
        p.drawText(QRectF(0, y + 14, 96, 25), Qt::AlignLeft | Qt::AlignVCenter, row.value);
        if (row.bar >= 0) {
            p.setPen(QPen(c.line, 1));
            p.setBrush(tideColour(row.bar, top));
            p.drawRoundedRect(QRectF(84, y + 20, std::min(1.0, row.bar / top) * (width() - 90), 12), 3, 3);
        } else {
            p.setFont(houseFont(12));
            p.setPen(c.muted);
            p.drawText(QRectF(84, y + 16, width() - 84, 22), Qt::AlignLeft | Qt::AlignVCenter, row.note);
        }
        y += pitch;
    }
}

PlaneSheetView::PlaneSheetView(Session& session) : session_(session) {
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
    setAccessibleName(tr("All planes of this sweep"));
    setMinimumHeight(130);
    for (auto signal : {&Session::projectChanged, &Session::dataChanged, &Session::wordsChanged})
        connect(&session_, signal, this, [this] { maps_ = QPixmap(); });
}

double PlaneSheetView::depthGutter() const {
    const QFontMetricsF metrics(houseFont(12, true));
    double widest = 0.0;
    for (const auto depth : depthsOf(session_.bench(), *session_.sweep()))
        widest = std::max(widest, metrics.horizontalAdvance(session_.figure(depth)));
    return widest + 8.0;
}

QRectF PlaneSheetView::mapRect(int column, int row) const {
    const auto* sweep = session_.sweep();
    const int columns = std::max<int>(1, static_cast<int>(sweep->runs.size()));
    const int rows = std::max<int>(1, static_cast<int>(depthsOf(session_.bench(), *sweep).size()));
    const double left = depthGutter();
    const double pitch =
        std::min({(width() - left) / columns, (height() - kHeightLabel - kPlaneTop) / rows, 70.0});
    return {left + column * pitch, kPlaneTop + row * pitch, pitch - 5, pitch - 5};
}

/// The maps alone change only with the readings: choosing another plane draws them from here.
void PlaneSheetView::renderMaps() {
    const auto* sweep = session_.sweep();
    const auto& c = session_.palette();
    maps_ = QPixmap(size() * devicePixelRatioF());
    maps_.setDevicePixelRatio(devicePixelRatioF());
    maps_.fill(Qt::transparent);
    maps_of_ = sweep->configuration;
    QPainter p(&maps_);
    const auto depths = depthsOf(session_.bench(), *sweep);
    for (int column = 0; column < static_cast<int>(sweep->runs.size()); ++column) {
        const auto& run = session_.bench().run(sweep->runs[static_cast<std::size_t>(column)]);
        for (int row = 0; row < static_cast<int>(depths.size()); ++row) {
            const auto rect = mapRect(column, row);
            const auto* plane = planeAt(run, depths[static_cast<std::size_t>(row)]);
            if (plane != nullptr && (!plane->readings.empty() || !plane->means.empty())) {
                auto plan = planOf(session_.bench(), run, *plane);
                plan.scale_top = session_.fieldScaleTop();
                paintSmallPlan(p, rect, plan, c);
            } else {
                p.setPen(QPen(c.line, 1));
                p.setBrush(Qt::NoBrush);
                p.drawRect(rect);
            }
        }
    }
}

void PlaneSheetView::paintEvent(QPaintEvent* /*event*/) {
    const auto* sweep = session_.sweep();
    if (sweep == nullptr) return;
    QPainter p(this);
    if (maps_.isNull() || maps_.deviceIndependentSize() != QSizeF(size()) || maps_of_ != sweep->configuration)
        renderMaps();
    p.drawPixmap(0, 0, maps_);
    const auto& c = session_.palette();
    const auto depths = depthsOf(session_.bench(), *sweep);
    for (int row = 0; row < static_cast<int>(depths.size()); ++row) {
        const auto depth = depths[static_cast<std::size_t>(row)];
        const bool chosen_row = session_.depth() && planeAt(*session_.run(), depth) == session_.plane();
        p.setFont(houseFont(12, chosen_row));
        p.setPen(chosen_row ? c.accent : c.muted);
        const auto first = mapRect(0, row);
        p.drawText(QRectF(0, first.top(), first.left() - 6, first.height()),
                   Qt::AlignRight | Qt::AlignVCenter, session_.figure(depth));
    }
    for (int column = 0; column < static_cast<int>(sweep->runs.size()); ++column) {
        const auto& run = session_.bench().run(sweep->runs[static_cast<std::size_t>(column)]);
        const bool chosen_column = session_.height() && run.height == *session_.height();
        for (int row = 0; row < static_cast<int>(depths.size()); ++row) {
            const auto* plane = planeAt(run, depths[static_cast<std::size_t>(row)]);
            if (plane == nullptr || plane != session_.plane()) continue;
            const auto rect = mapRect(column, row);
            p.setPen(QPen(c.accent, 2.5));
            p.setBrush(Qt::NoBrush);
            p.drawRoundedRect(rect.adjusted(-2, -2, 2, 2), 3, 3);
        }
        const auto last = mapRect(column, static_cast<int>(depths.size()) - 1);
        p.setFont(houseFont(12, chosen_column));
        // Figures that would run into their neighbours are left to the chosen column and its distance.
        const double wide = QFontMetricsF(houseFont(12, true)).horizontalAdvance(session_.figure(run.height));
        const bool crowded = wide > last.width() && !chosen_column &&
                             (column % 2 == 1 || std::abs(column - chosenColumn()) == 1);
        if (crowded) continue;
        p.setPen(chosen_column ? c.accent : c.muted);
        p.drawText(QRectF(last.left() - 6, last.bottom() + 4, last.width() + 12, kHeightLabel),
                   Qt::AlignCenter, session_.figure(run.height));
    }
    if (!hasFocus()) return;
    p.setPen(QPen(c.accent, 1, Qt::DotLine));
    p.setBrush(Qt::NoBrush);
    p.drawRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5));
}

int PlaneSheetView::chosenColumn() const {
    const auto& runs = session_.sweep()->runs;
    for (std::size_t i = 0; i < runs.size(); ++i)
        if (session_.height() && session_.bench().run(runs[i]).height == *session_.height())
            return static_cast<int>(i);
    return -2;
}

void PlaneSheetView::mousePressEvent(QMouseEvent* event) {
    const auto* sweep = session_.sweep();
    if (sweep == nullptr) return;
    const auto depths = depthsOf(session_.bench(), *sweep);
    for (int column = 0; column < static_cast<int>(sweep->runs.size()); ++column)
        for (int row = 0; row < static_cast<int>(depths.size()); ++row) {
            if (!mapRect(column, row).adjusted(-2, -2, 3, 3).contains(event->position())) continue;
            session_.chooseHeight(session_.bench().run(sweep->runs[static_cast<std::size_t>(column)]).height);
            session_.chooseDepth(depths[static_cast<std::size_t>(row)]);
            return;
        }
}

void PlaneSheetView::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Left:
            session_.stepHeight(-1);
            break;
        case Qt::Key_Right:
            session_.stepHeight(1);
            break;
        case Qt::Key_Up:
            session_.stepDepth(-1);
            break;
        case Qt::Key_Down:
            session_.stepDepth(1);
            break;
        default:
            QWidget::keyPressEvent(event);
    }
}

}  // namespace glumet
