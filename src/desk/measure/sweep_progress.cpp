#include "desk/measure/sweep_progress.h"

#include <QMouseEvent>
#include <QPainter>

#include "core/bench/grid.h"

namespace glumet {

double planeProgress(const Plane& plane) {
    if (!plane.grid) return plane.readings.empty() ? 0.0 : 1.0;
    int done = 0;
    for (const int index : readingOfCell(*plane.grid, plane.readings)) done += index >= 0 ? 1 : 0;
    return plane.grid->plannedCells() == 0 ? 1.0 : static_cast<double>(done) / plane.grid->plannedCells();
}

SweepProgress::SweepProgress(Session& session) : session_(session) {
    setFixedHeight(74);
    setAccessibleName(tr("Progress of the sweep"));
    setCursor(Qt::PointingHandCursor);
}

QRectF SweepProgress::groupRect(int index, int count) const {
    const double pitch = std::min(96.0, static_cast<double>(width()) / std::max(count, 1));
    return {index * pitch, 0, pitch - 12, static_cast<double>(height())};
}

void SweepProgress::paintEvent(QPaintEvent* /*event*/) {
    const auto* sweep = session_.sweep();
    if (sweep == nullptr) return;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = session_.palette();
    const int count = static_cast<int>(sweep->runs.size());
    for (int i = 0; i < count; ++i) {
        const auto& run = session_.bench().run(sweep->runs[static_cast<std::size_t>(i)]);
        const QRectF group = groupRect(i, count);
        const bool chosen = session_.height() && run.height == *session_.height();
        double y = 2;
        for (const auto& plane : run.planes) {
            const QRectF bar(group.left(), y, group.width(), 9);
            const double share = planeProgress(plane);
            p.setPen(QPen(c.line, 1));
            p.setBrush(c.panel);
            p.drawRoundedRect(bar, 3, 3);
            p.setPen(Qt::NoPen);
            p.setBrush(chosen && session_.depth() && plane.depth == *session_.depth() ? c.accent : c.water);
            if (share > 0)
                p.drawRoundedRect(QRectF(bar.left(), bar.top(), bar.width() * share, bar.height()), 3, 3);
            y += 14;
        }
        p.setFont(houseFont(12, chosen));
        p.setPen(chosen ? c.accent : c.muted);
        p.drawText(QRectF(group.left(), std::max(y + 2, 46.0), group.width(), 18),
                   Qt::AlignLeft | Qt::AlignVCenter, session_.length(run.height));
    }
}

void SweepProgress::mousePressEvent(QMouseEvent* event) {
    const auto* sweep = session_.sweep();
    if (sweep == nullptr) return;
    const int count = static_cast<int>(sweep->runs.size());
    for (int i = 0; i < count; ++i) {
        if (!groupRect(i, count).contains(event->position())) continue;
        const auto& run = session_.bench().run(sweep->runs[static_cast<std::size_t>(i)]);
        session_.chooseHeight(run.height);
        const auto row = static_cast<std::size_t>(std::max(0.0, event->position().y() / 14.0));
        if (row < run.planes.size()) session_.chooseDepth(run.planes[row].depth);
    }
}

}  // namespace glumet
