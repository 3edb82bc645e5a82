#include "desk/field/field_stage.h"

#include <qcustomplot.h>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

#include "core/bench/grid.h"
#include "core/plane/contour.h"
#include "core/plane/plane_statistics.h"
#include "core/spectrum/bands.h"
#include "core/survey/checks.h"
#include "core/survey/findings.h"
#include "core/words/finding.h"
#include "desk/shared/theme.h"
#include "report/chart_figure.h"
#include "report/text.h"

namespace glumet {
FieldStage::FieldStage(Session& session)
    : Stage(session),
      title_(makeLabel({}, TextRole::Title)),
      headline_(makeLabel({}, TextRole::Heading)),
      map_(new PlanMap),
      read_out_(makeLabel({}, TextRole::Body)),
      contours_(new QPushButton(tr("contours"))),
      views_(new QButtonGroup(this)),
      figures_(new PlaneFigures(session)),
      report_(new FitReport(session)),
      section_title_(makeLabel({}, TextRole::Muted)),
      section_(new QCustomPlot),
      sheet_(new PlaneSheetView(session)) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(8);
    auto* head = new QHBoxLayout;
    head->addWidget(title_, 1);
    head->addWidget(headline_);
    layout->addLayout(head);
    auto* body = new QHBoxLayout;
    body->setSpacing(22);
    body->addWidget(makeMapColumn(), 1);
    body->addWidget(figures_);
    body->addWidget(report_);
    report_->hide();
    layout->addLayout(body, 1);
    layout->addWidget(makeLowerRow());
    connect(map_, &PlanMap::cellChosen, this, [this](Cell cell) { this->session().chooseCell(cell); });
    connect(map_, &PlanMap::cellHovered, this, [this](Cell cell) { readOut(cell); });
    connect(map_, &PlanMap::hoverEnded, this, [this] { readOut(this->session().cell()); });
    connect(contours_, &QPushButton::toggled, this, &FieldStage::refreshMap);
}

QWidget* FieldStage::makeMapColumn() {
    auto* column = new QWidget;
    auto* layout = new QVBoxLayout(column);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(2);
    layout->addWidget(makeViews());
    layout->addWidget(map_);
    auto* foot = new QHBoxLayout;
    read_out_->setObjectName(QStringLiteral("cellReadOut"));
    read_out_->setMinimumHeight(24);
    read_out_->setTextFormat(Qt::PlainText);
    contours_->setCheckable(true);
    contours_->setProperty("quiet", true);
    foot->addWidget(read_out_, 1);
    foot->addWidget(contours_);
    layout->addLayout(foot);
    layout->addStretch(1);
    return column;
}

QWidget* FieldStage::makeViews() {
    auto* row = new QWidget;
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 4);
    layout->setSpacing(0);
    const std::array names{tr("read"),    tr("model"),     tr("off, %"),
                           tr("in band"), tr("shadow, %"), tr("colour")};
    const std::array whys{
        tr("What was read"),
        tr("The field by the model: fitted to the readings, or as the fixture is described until it is"),
        tr("How far the readings lie above or below the model"),
        tr("Between which depths each column lies in the band, by the model"),
        tr("How much of its light each point keeps under a hand's breadth of colony, by the model"),
        tr("How far each point's colour is from the middle's, in thousandths of u'v', by its channels")};
    for (int i = 0; i < static_cast<int>(names.size()); ++i) {
        auto* button = new QPushButton(names[static_cast<std::size_t>(i)]);
        button->setCheckable(true);
        button->setProperty("segment", true);
        button->setStatusTip(whys[static_cast<std::size_t>(i)]);
        button->setToolTip(button->statusTip());
        button->setChecked(i == 0);
        views_->addButton(button, i);
        layout->addWidget(button);
    }
    layout->addStretch(1);
    connect(views_, &QButtonGroup::idClicked, this, &FieldStage::viewChanged);
    return row;
}

QWidget* FieldStage::makeLowerRow() {
    auto* row = new QWidget;
    row->setFixedHeight(186);
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(22);
    auto* left = new QVBoxLayout;
    left->setSpacing(2);
    section_->setObjectName(QStringLiteral("crossSection"));
    section_->setAccessibleName(tr("Cross-section"));
    left->addWidget(section_title_);
    left->addWidget(section_, 1);
    layout->addLayout(left, 5);
    auto* right = new QVBoxLayout;
    right->setSpacing(4);
    sheet_title_ = makeLabel({}, TextRole::Muted);
    right->addWidget(sheet_title_);
    right->addWidget(sheet_, 1);
    layout->addLayout(right, 6);
    return row;
}

/// Views of the model can be chosen where there is one; elsewhere they say what is missing.
void FieldStage::offerViews() {
    auto* model = session().model();
    const bool there = model != nullptr && *model && (*model)->hasLevel();
    for (auto* button : views_->buttons()) {
        if (views_->id(button) == static_cast<int>(View::Readings)) continue;
        if (views_->id(button) == static_cast<int>(View::Colour)) {
            const QString why = whyNoColour();
            button->setEnabled(why.isEmpty());
            button->setToolTip(why.isEmpty() ? button->statusTip() : why);
            if (!why.isEmpty() && button->isChecked())
                views_->button(static_cast<int>(View::Readings))->setChecked(true);
            continue;
        }
        button->setEnabled(there);
        button->setToolTip(there              ? button->statusTip()
                           : model == nullptr ? tr("There is no run.")
                           : *model           ? tr("Neither a flux nor a reading says how bright it is.")
                                              : text(model->error().what, LengthUnit::Mm));
    }
    if (!there && view() != View::Colour) views_->button(static_cast<int>(View::Readings))->setChecked(true);
}

void FieldStage::nextView() {
    auto* model = session().model();
    if (model == nullptr) return;
    if (!*model) return session().say(tr("No model: %1.").arg(text(model->error().what, LengthUnit::Mm)));
    if (!(*model)->hasLevel())
        return session().say(tr("No model yet: neither a flux nor a reading says how bright it is."));
    const int count = static_cast<int>(views_->buttons().size());
    int next = (views_->checkedId() + 1) % count;
    while (!views_->button(next)->isEnabled()) next = (next + 1) % count;
    views_->button(next)->click();
}

void FieldStage::refresh() {
    // The fitted model takes the described one's place once it is there.
    if (const auto* described = session().model();
        view() != View::Readings || described == nullptr || !*described)
        session().wantFit();
    offerViews();
    const auto* run = session().run();
    const auto* plane = session().plane();
    if (run == nullptr || plane == nullptr) {
        title_->setText(tr("No plane chosen"));
        headline_->clear();
    } else {
        title_->setText(tr("Plane %1 under water, lamp at %2")
                            .arg(session().length(plane->depth), session().length(run->height)));
        const auto statistics = planeStatistics(*plane);
        headline_->setText(
            !plane->means.empty() && plane->readings.empty() ? tr("read by %1").arg(text(run->read_by))
            : statistics
                ? (view() == View::Readings ? tr("mean %1   peak %2") : tr("read: mean %1   peak %2"))
                      .arg(text(ppfdFigure(statistics->mean)), text(ppfdFigure(statistics->max)))
                : tr("not read yet"));
    }
    refreshMap();
    refreshFigures();
    refreshSection();
    sheet_title_->setText(session().sweep() == nullptr ? QString()
                                                       : tr("All planes: heights across, depths down"));
    sheet_->update();
    readOut(session().cell());
}

void FieldStage::refreshFigures() {
    const auto* fit = session().fit();
    const bool report = view() == View::Difference && fit != nullptr && *fit;
    figures_->setVisible(!report);
    report_->setVisible(report);
    if (report)
        report_->refresh(**fit);
    else
        figures_->refresh();
}

void FieldStage::refreshMap() {
    const auto* run = session().run();
    const auto* plane = session().plane();
    PlanData plan;
    contours_->setText(tr("contours"));
    if (run != nullptr && plane != nullptr) {
        plan = planOf(session().bench(), *run, *plane);
        plan.band = session().band();
        plan.scale_top = session().fieldScaleTop();
        plan.selected = session().cell();
        for (const auto& doubt : mirrorDoubts(*plane)) plan.doubtful.push_back(doubt.cell);
        showModel(plan);
        if (contours_->isChecked() && plan.faces.empty())
            if (const auto statistics = planeStatistics(*plane)) showContours(plan, *statistics);
    }
    map_->setHint(plane == nullptr ? tr("Readings appear here: measure them, or import a file (Ctrl+I).")
                                   : QString());
    map_->setPlan(plan, colours());
}

DescribedModel* FieldStage::shownModel() const {
    auto* model = session().model();
    const bool asked = view() != View::Readings && view() != View::Colour;
    return !asked || model == nullptr || !*model ? nullptr : &**model;
}

/// Puts what the chosen view shows in the place of the readings; a plane with free points keeps them.
void FieldStage::showModel(PlanData& plan) {
    if (view() == View::Colour && plan.grid.cells() > 0) return showColour(plan);
    auto* model = shownModel();
    if (model == nullptr || plan.grid.cells() == 0) return;
    if (view() == View::BandDepth) return showBandDepth(plan, *model);
    if (view() == View::Shadow) return showShadow(plan, *model);
    const auto values = model->onGrid(plan.grid, session().plane()->depth);
    if (view() == View::Difference && !plan.rings.empty()) {
        showRingDifferences(plan, values, colours());
        plan.band.reset();
        return;
    }
    plan.rings.clear();
    if (view() == View::Difference) {
        plan.faces = differenceFaces(plan.values, values, colours());
        plan.band.reset();
        return;
    }
    plan.doubtful.clear();
    plan.values.assign(values.begin(), values.end());
}

void FieldStage::showBandDepth(PlanData& plan, DescribedModel& model) {
    plan.band.reset();
    plan.doubtful.clear();
    plan.values.clear();
    plan.rings.clear();
    for (const auto& range : model.bandRangesOn(plan.grid, session().band())) {
        const QString figure = range.kind == BandRange::Kind::All ? tr("all")
                               : range.kind == BandRange::Kind::None
                                   ? tr("none")
                                   : tr("%1–%2").arg(wholeLength(range.from), wholeLength(range.to));
        plan.faces.push_back({figure, tideColour(range.share, 1.0)});
        plan.values.emplace_back(Ppfd(0));  // a cell is drawn where it has a value
    }
}

QString FieldStage::whyNoColour() const {
    const auto* mix = session().channelMix();
    if (mix == nullptr) return tr("No plane is chosen.");
    if (!*mix) return text((*mix).error().what, LengthUnit::Mm);
    if ((*mix)->cells.empty()) return tr("The plane has no grid that is read throughout.");
    if (!(*mix)->mix.at((*mix)->set_to).light) return tr("A channel has no spectrum.");
    return planeColours(**mix, (*mix)->set_to).distances.empty()
               ? tr("No channel was read alone here, and none is fitted yet: Spectrum has them fitted.")
               : QString();
}

/// How far each point's colour is from the middle's, in thousandths of u'v'; marked where it would show.
void FieldStage::showColour(PlanData& plan) {
    if (!whyNoColour().isEmpty()) return;
    const auto& mix = **session().channelMix();
    const auto distances = planeColours(mix, mix.set_to).distances;
    plan.band.reset();
    plan.rings.clear();
    plan.doubtful.clear();
    plan.faces.assign(static_cast<std::size_t>(plan.grid.cells()), {{}, colours().panel});
    constexpr double kTop = 0.02;  // Δu'v' of the cream end
    for (std::size_t i = 0; i < mix.cells.size(); ++i) {
        const auto cell = mix.cells[i];
        auto& face = plan.faces[static_cast<std::size_t>(cell.row * plan.grid.columns() + cell.column)];
        face = {QString::number(distances[i] * 1000.0, 'f', 1),
                tideColour(std::min(1.0, distances[i] / kTop), 1.0)};
        if (distances[i] > kColourShows) plan.doubtful.push_back(cell);
    }
}

void FieldStage::showShadow(PlanData& plan, DescribedModel& model) {
    plan.band.reset();
    plan.doubtful.clear();
    plan.values.clear();
    plan.rings.clear();
    for (const auto& share : model.shadowOn(plan.grid, session().plane()->depth)) {
        plan.faces.push_back({share ? QString::number(qRound(*share * 100.0)) : QString(),
                              tideColour(share.value_or(0.0), 1.0)});
        plan.values.emplace_back(Ppfd(0));
    }
}

/// In whole units: a column's band is no finer than that.
QString FieldStage::wholeLength(Millimetre length) const {
    return QString::number(qRound(inUnit(length, session().unit())));
}

void FieldStage::showContours(PlanData& plan, const PlaneStatistics& statistics) {
    plan.contour_levels = roundTicks(statistics.min.value(), statistics.max.value(), 6);
    if (plan.contour_levels.size() > 1)
        contours_->setText(tr("contours every %1").arg(plan.contour_levels[1] - plan.contour_levels[0]));
}

void FieldStage::addProfile(const std::vector<std::pair<double, double>>& points, const QString& name,
                            const QColor& colour, Qt::PenStyle style) {
    auto* graph = section_->addGraph();
    for (const auto& [x, y] : points) graph->addData(inUnit(Millimetre(x), session().unit()), y);
    graph->setName(name);
    graph->setPen(QPen(colour, 2.0, style));
    graph->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, colour, 5));
}

/// The model along the same row, fine enough to show its shape between the points.
void FieldStage::addModelProfile(const Grid& grid, Cell cell) {
    constexpr int kSteps = 60;
    auto* model = shownModel();
    if (model == nullptr) return;
    Grid fine;
    for (int i = 0; i <= kSteps; ++i)
        fine.xs_mm.push_back(grid.xs_mm.front() + (grid.xs_mm.back() - grid.xs_mm.front()) * i / kSteps);
    fine.ys_mm = {grid.ys_mm[static_cast<std::size_t>(cell.row)]};
    const auto values = model->onGrid(fine, session().plane()->depth);
    auto* graph = section_->addGraph();
    for (std::size_t i = 0; i < values.size(); ++i)
        graph->addData(inUnit(Millimetre(fine.xs_mm[i]), session().unit()), values[i].value());
    graph->setName(tr("model"));
    graph->setPen(QPen(colours().accent, 1.6));
}

void FieldStage::refreshSection() {
    section_->clearGraphs();
    section_->clearItems();
    dressPlot(*section_, colours());
    const auto* plane = session().plane();
    const auto surface = plane == nullptr ? std::nullopt : surfaceOf(*plane);
    section_->setVisible(surface.has_value());
    if (!surface) {
        section_title_->setText(plane == nullptr ? QString()
                                : plane->readings.empty() && !plane->means.empty()
                                    ? tr("Means of rings have no cross-section; the model has.")
                                    : tr("A cross-section needs every cell of the grid."));
        return;
    }
    const auto& grid = surface->grid;
    const Cell cell = session().cell().value_or(Cell{grid.columns() / 2, grid.rows() / 2});
    const int row = qBound(0, cell.row, grid.rows() - 1);
    const int column = qBound(0, cell.column, grid.columns() - 1);
    std::vector<std::pair<double, double>> along;
    std::vector<std::pair<double, double>> across;
    for (int i = 0; i < grid.columns(); ++i)
        along.emplace_back(grid.xs_mm[static_cast<std::size_t>(i)],
                           surface->values[static_cast<std::size_t>(row * grid.columns() + i)]);
    for (int j = 0; j < grid.rows(); ++j)
        across.emplace_back(grid.ys_mm[static_cast<std::size_t>(j)],
                            surface->values[static_cast<std::size_t>(j * grid.columns() + column)]);
    section_title_->setText((shownModel() == nullptr
                                 ? tr("Through %1: row (line) and column (dashed), %2")
                                 : tr("Through %1: row, column (dashed), model (thin), %2"))
                                .arg(text(cellName({column, row})), text(unitName(session().unit()))));
    for (const auto level : {session().band().low, session().band().high}) {
        auto* line = new QCPItemStraightLine(section_);
        line->setPen(QPen(colours().line, 1.5, Qt::DashLine));
        line->point1->setCoords(0, level.value());
        line->point2->setCoords(1, level.value());
    }
    addProfile(across, tr("column"), colours().muted, Qt::DashLine);
    addProfile(along, tr("row"), colours().water, Qt::SolidLine);
    addModelProfile(grid, {column, row});
    section_->rescaleAxes();
    section_->xAxis->scaleRange(1.08);
    section_->yAxis->setRange(0, section_->yAxis->range().upper * 1.1);
    section_->replot(QCustomPlot::rpQueuedReplot);
}

const Reading* FieldStage::readingAt(Cell cell) const {
    const auto& plan = map_->plan();
    const auto* plane = session().plane();
    if (plane == nullptr || cell.column >= plan.grid.columns() || cell.row >= plan.grid.rows())
        return nullptr;
    const int index = readingOfCell(
        plan.grid, plane->readings)[static_cast<std::size_t>(cell.row * plan.grid.columns() + cell.column)];
    return index < 0 ? nullptr : &plane->readings[static_cast<std::size_t>(index)];
}

QString FieldStage::colourAt(Cell cell, const Reading& reading) const {
    if (!whyNoColour().isEmpty()) return {};
    const auto& mix = **session().channelMix();
    const auto at = std::find(mix.cells.begin(), mix.cells.end(), cell);
    if (at == mix.cells.end()) return {};
    const auto state = stateAt(mix, mix.set_to, mix.from + static_cast<std::size_t>(at - mix.cells.begin()));
    if (!state.light) return {};
    const auto most =
        std::max_element(state.band_shares.begin(), state.band_shares.end()) - state.band_shares.begin();
    const auto& bands = bandsOr(session().bench().method.bands);
    QString line = tr("   %1 %2")
                       .arg(text(bands[static_cast<std::size_t>(most)].name),
                            text(percentText(state.band_shares[static_cast<std::size_t>(most)])));
    if (const auto* read = spectrumReadAt(session().bench(), *session().run(), session().plane()->depth,
                                          reading.x, reading.y))
        line +=
            tr("   the spectrum read here is Δu'v' %1 off")
                .arg(1000.0 * colourDistance(chromaticityOf(read->spectrum), chromaticityOf(*state.light)), 0,
                     'f', 1);
    return line;
}

void FieldStage::readOut(std::optional<Cell> cell) {
    const auto* reading = cell ? readingAt(*cell) : nullptr;
    if (reading == nullptr) {
        setRole(read_out_, TextRole::Muted);
        read_out_->setText(view() == View::Colour
                               ? tr("Δu'v' from the middle, in thousandths; about %1 shows (triangle).")
                                     .arg(kColourShows * 1000.0)
                               : tr("Point at a cell, or walk with the arrow keys."));
        return;
    }
    setRole(read_out_, TextRole::Body);
    QString line = tr("%1  %2").arg(text(cellName(*cell)), text(ppfdFigure(reading->mean)));
    if (reading->min && reading->max)
        line += tr(", swing %1–%2").arg(text(ppfdFigure(*reading->min)), text(ppfdFigure(*reading->max)));
    if (const auto error = reading->relativeStandardError())
        line += tr(", ± %1").arg(text(percentText(*error)));
    line += tr("   %1 | %2 %3")
                .arg(session().figure(reading->x), session().figure(reading->y),
                     text(unitName(session().unit())));
    if (auto* model = shownModel()) {
        const Grid point{{reading->x.value()}, {reading->y.value()}};
        line +=
            tr("   model %1").arg(text(ppfdFigure(model->onGrid(point, session().plane()->depth).front())));
    }
    if (view() == View::Shadow && shownModel() != nullptr)
        if (const auto shimmer = shownModel()->shimmerOn(reading->x, reading->y, session().plane()->depth)) {
            line += tr("   ripple moves it %1 × as much as one point's light").arg(*shimmer, 0, 'f', 2);
            if (reading->sd && reading->mean.value() > 0.0)
                line += tr(", read ± %1").arg(text(percentText(*reading->sd / reading->mean.value())));
        }
    if (view() == View::Colour) line += colourAt(*cell, *reading);
    if (!reading->flag.empty()) line += QStringLiteral("   ") + text(reading->flag.text());
    read_out_->setText(line);
    map_->setAccessibleDescription(line);
}

std::vector<Finding> FieldStage::findings() const {
    if (session().run() == nullptr || !session().depth()) return benchFindings(session().bench());
    if (view() != View::Readings)
        return modelFindings(session().bench(), session().runId(), *session().model(), session().band());
    return fieldFindings(session().bench(), session().runId(), *session().depth(), session().band());
}

void FieldStage::markCell(Mark mark) {
    const auto* reading = session().cell() ? readingAt(*session().cell()) : nullptr;
    if (reading == nullptr) return;
    const bool on = reading->flag != mark;
    const Id id = reading->id;
    session().edit([&](Project& project) { return project.setFlag(id, on ? mark : Mark::None); });
}

void FieldStage::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_D:
            markCell(Mark::Doubtful);
            break;
        case Qt::Key_X:
            markCell(Mark::Excluded);
            break;
        case Qt::Key_C:
            contours_->toggle();
            break;
        case Qt::Key_M:
            nextView();
            break;
        default:
            Stage::keyPressEvent(event);
    }
}

}  // namespace glumet
