#include "desk/shared/section_view.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QTimer>

namespace glumet {
namespace {

constexpr int kHead = 40;
constexpr int kFoot = 126;

}  // namespace

SectionView::SectionView(Session& session) : session_(session) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Section of the bench"));
    setMinimumWidth(240);
    refresh();
}

void SectionView::setShowsRecommendation(bool shows) {
    if (recommends_ == shows) return;
    recommends_ = shows;
    refresh();
}

bool SectionView::hasTank() const {
    return session_.sweep() != nullptr || (session_.project() != nullptr && !session_.bench().tanks.empty());
}

/// What is described, before there is a run.
Sweep SectionView::described() const {
    Sweep sweep;
    sweep.configuration.tank = session_.bench().tanks.front().id;
    if (!session_.bench().fixtures.empty())
        sweep.configuration.fixture = session_.bench().fixtures.front().id;
    return sweep;
}

void SectionView::refresh() {
    data_ = {};
    if (const auto* sweep = session_.sweep())
        data_ =
            sectionOf(session_.bench(), *sweep, session_.height(), session_.depth(),
                      recommends_ ? session_.headline() : nullptr, session_.doubtfulRuns(), session_.unit());
    else if (hasTank())
        data_ = sectionOf(session_.bench(), described(), {}, {}, nullptr, {}, session_.unit());
    if (painted_) addBandLines();
    if (session_.height() && session_.depth())
        setAccessibleDescription(
            tr("Fixture at %1, plane %2 under water")
                .arg(session_.length(*session_.height()), session_.length(*session_.depth())));
    update();
    cellsTold(*this);
}

std::vector<AccessibleCell> SectionView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    if (!hasTank()) return cells;
    constexpr int kHalf = 8;
    const SectionLayout layout(figureArea(), data_);
    const auto strip = [&](double y) { return QRect(0, qRound(y) - kHalf, width(), 2 * kHalf); };
    for (const auto& mark : data_.heights) {
        QString words = tr("Fixture at %1, ").arg(session_.length(mark.height));
        words += mark.kind == MarkKind::Planned    ? tr("planned")
                 : mark.kind == MarkKind::Measured ? tr("measured")
                                                   : tr("doubtful");
        if (data_.height == mark.height) words += tr(", hangs there");
        if (data_.recommended == mark.height) words += tr(", recommended");
        cells.push_back({words, strip(layout.yOfHeight(mark.height)), false});
    }
    for (const auto& shelf : data_.shelves) {
        QString words = tr("Plane %1 under water").arg(session_.length(shelf.depth));
        if (shelf.mean) words += tr(", mean %1").arg(QString::fromStdString(ppfdFigure(*shelf.mean)));
        cells.push_back({words, strip(layout.yOfDepth(shelf.depth)), session_.depth() == shelf.depth});
    }
    return cells;
}

/// Where the band begins and ends in the water, by the described model; nothing where there is none.
void SectionView::addBandLines() {
    constexpr double kPitchMm = 20.0;
    auto* model = session_.model();
    if (model == nullptr || !*model || !(*model)->hasLevel()) return;
    auto& light = **model;
    const auto slice = light.slice(Millimetre(light.scene().width_mm / 2.0), Millimetre(kPitchMm));
    for (const auto level : {session_.band().low, session_.band().high})
        data_.iso_lines.push_back({level, contour(slice, level.value())});
}

QRectF SectionView::figureArea() const { return QRectF(rect()).adjusted(4, kHead, -4, -kFoot); }

QString SectionView::benchSentence() const {
    const auto* run = session_.run();
    const Id id = run != nullptr ? run->tank : hasTank() ? described().configuration.tank : 0;
    const auto* tank = byId(session_.bench().tanks, id);
    if (tank == nullptr) return tr("Tank not described");
    return tr("%1, %2 × %3 × %4")
        .arg(QString::fromStdString(tank->name), session_.figure(tank->length), session_.figure(tank->width),
             session_.length(tank->water_depth));
}

void SectionView::paintLegend(QPainter& p) const {
    const auto& c = session_.palette();
    const double top = height() - kFoot + 16;
    p.setFont(houseFont(12));
    p.setPen(c.muted);
    p.drawText(QRectF(20, top, width() - 40, 18), Qt::AlignLeft | Qt::AlignVCenter,
               p.fontMetrics().elidedText(benchSentence(), Qt::ElideRight, width() - 40));
    const std::array<std::pair<MarkKind, QString>, 3> marks{std::pair{MarkKind::Measured, tr("measured")},
                                                            {MarkKind::Planned, tr("planned")},
                                                            {MarkKind::Doubtful, tr("doubtful")}};
    for (std::size_t i = 0; i < marks.size(); ++i) {
        const double x = 26 + static_cast<double>(i % 2) * 130;
        const double y = top + 36 + static_cast<double>(i / 2) * 22;
        paintMark(p, {x, y}, marks[i].first, 9, c, false);
        p.setFont(houseFont(12));
        p.setPen(c.muted);
        p.drawText(QRectF(x + 12, y - 9, 110, 18), Qt::AlignLeft | Qt::AlignVCenter, marks[i].second);
    }
    paintBracket(p, 158, top + 52, top + 64, c);
    p.setPen(c.muted);
    p.drawText(QRectF(168, top + 49, 110, 18), Qt::AlignLeft | Qt::AlignVCenter, tr("recommended"));
    if (data_.iso_lines.empty()) return;
    p.setPen(QPen(c.text, 1.2));
    p.drawLine(QPointF(20, top + 80), QPointF(32, top + 80));
    p.setPen(c.muted);
    p.drawText(QRectF(38, top + 71, width() - 50, 18), Qt::AlignLeft | Qt::AlignVCenter,
               tr("band %1–%2, by the model")
                   .arg(QString::fromStdString(ppfdFigure(session_.band().low)),
                        QString::fromStdString(ppfdFigure(session_.band().high))));
}

void SectionView::paintEvent(QPaintEvent* /*event*/) {
    // The window is up before the model is computed for the first time.
    if (!painted_) QTimer::singleShot(0, this, &SectionView::refresh);
    painted_ = true;
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto& c = session_.palette();
    p.fillRect(rect(), c.panel);
    p.setFont(houseFont(12));
    p.setPen(hasFocus() ? c.accent : c.muted);
    p.drawText(QRectF(20, 14, 120, 18), Qt::AlignLeft | Qt::AlignVCenter, tr("Section"));
    p.setPen(c.muted);
    p.drawText(QRectF(20, 14, width() - 40, 18), Qt::AlignRight | Qt::AlignVCenter,
               tr("to scale, %1").arg(QString::fromStdString(unitName(session_.unit()))));
    if (!hasTank()) {
        p.drawText(figureArea().adjusted(30, 0, -30, 0), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("The tank and every height you measure at will stand here."));
        return;
    }
    paintSection(p, figureArea(), data_, c);
    paintLegend(p);
    if (hasFocus()) {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(c.accent, 1));
        p.drawRect(rect().adjusted(0, 0, -1, -1));
    }
}

void SectionView::mousePressEvent(QMouseEvent* event) {
    if (session_.sweep() == nullptr) return;
    const SectionLayout layout(figureArea(), data_);
    if (const auto depth = layout.depthNear(data_, event->position())) {
        session_.chooseDepth(*depth);
    } else if (const auto height = layout.heightNear(data_, event->position())) {
        session_.chooseHeight(*height);
    }
}

void SectionView::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Up:
            session_.stepHeight(1);
            break;
        case Qt::Key_Down:
            session_.stepHeight(-1);
            break;
        case Qt::Key_PageUp:
            session_.stepDepth(-1);
            break;
        case Qt::Key_PageDown:
            session_.stepDepth(1);
            break;
        default:
            QWidget::keyPressEvent(event);
    }
}

}  // namespace glumet
