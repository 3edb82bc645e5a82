#include "desk/bench/chart_dialog.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <algorithm>

#include "core/words/typed.h"
#include "desk/shared/ring_name.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kPercent = 100.0;
constexpr std::size_t kMostRows = 60;  ///< of heights × depths: more is a file's work

tl::unexpected<Problem> wrong(const QString& why) { return problem("", asWords(why)); }

QString typed(const QTableWidget* table, int row, int column) {
    const auto* item = table->item(row, column);
    return item == nullptr ? QString() : item->text().trimmed();
}

}  // namespace

ChartDialog::ChartDialog(Session& session, QWidget* parent)
    : ScrolledDialog(parent, {660, 520}),
      session_(session),
      fixture_(new QComboBox),
      tank_(new QComboBox),
      means_(new QTableWidget),
      fault_(makeLabel({}, TextRole::Problem)),
      keep_(new QPushButton(tr("Keep the chart"))) {
    setWindowTitle(tr("A published chart"));
    const auto line = [this](const QString& value, const char* name) {
        auto* edit = new QLineEdit(value);
        edit->setObjectName(QLatin1String(name));
        connect(edit, &QLineEdit::textChanged, this, &ChartDialog::shapeTable);
        return edit;
    };
    const auto& bench = session.bench();
    fixture_->setEditable(true);
    fixture_->setObjectName(QStringLiteral("chartFixture"));
    for (const auto& fixture : bench.fixtures) fixture_->addItem(text(fixture.name));
    fixture_->setCurrentText({});
    tank_->setObjectName(QStringLiteral("chartTank"));
    for (const auto& tank : bench.tanks) tank_->addItem(text(tank.name), static_cast<qlonglong>(tank.id));
    source_ = line({}, "chartSource");
    level_ = line(QStringLiteral("100"), "chartLevel");
    grid_ = line(QStringLiteral("%1 × %2").arg(bench.method.grid_columns).arg(bench.method.grid_rows),
                 "chartGrid");
    error_ = line(QStringLiteral("3"), "chartError");
    const auto list = [&](std::initializer_list<double> lengths) {
        QStringList figures;
        for (const double mm : lengths) figures << session.figure(Millimetre(mm));
        return figures.join(QStringLiteral("; "));
    };
    heights_ = line(list({200.0, 300.0}), "chartHeights");
    depths_ = line(list({150.0, 300.0}), "chartDepths");
    layOut();
    connect(fixture_, &QComboBox::currentTextChanged, this, &ChartDialog::check);
    connect(tank_, &QComboBox::currentIndexChanged, this, &ChartDialog::check);
    connect(means_, &QTableWidget::cellChanged, this, &ChartDialog::check);
    shapeTable();
    fixture_->setFocus();
}

void ChartDialog::layOut() {
    fault_->setWordWrap(true);
    fault_->setObjectName(QStringLiteral("chartFault"));
    keep_->setProperty("primary", true);
    keep_->setDefault(true);
    keep_->setObjectName(QStringLiteral("keepChart"));
    const QString unit = text(unitName(session_.unit()));
    auto* left = new QFormLayout;
    auto* right = new QFormLayout;
    const auto row = [](QFormLayout* form, const QString& name, QWidget* widget) {
        widget->setAccessibleName(name);
        form->addRow(makeLabel(name, TextRole::Muted), widget);
    };
    for (auto* form : {left, right}) {
        form->setHorizontalSpacing(14);
        form->setVerticalSpacing(6);
    }
    row(left, tr("Fixture"), fixture_);
    row(left, tr("Tank"), tank_);
    row(left, tr("Read by"), source_);
    row(left, tr("Level, %"), level_);
    row(right, tr("Points, columns × rows"), grid_);
    row(right, tr("Each mean is good to ±, %"), error_);
    row(right, tr("Heights, %1").arg(unit), heights_);
    row(right, tr("Depths, %1").arg(unit), depths_);
    auto* top = new QHBoxLayout;
    top->setSpacing(26);
    top->addLayout(left, 1);
    top->addLayout(right, 1);
    means_->setObjectName(QStringLiteral("chartMeans"));
    means_->setAccessibleName(tr("Means of the rings, µmol/m²s"));
    means_->setTabKeyNavigation(false);
    means_->setCornerButtonEnabled(false);
    means_->setStyleSheet(
        QStringLiteral("QTableCornerButton::section { background: transparent; border: 0; }"));
    means_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    means_->verticalHeader()->setDefaultSectionSize(26);
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 20, 22, 14);
    layout->setSpacing(14);
    layout->addLayout(top);
    layout->addWidget(
        makeLabel(tr("Means of the rings, µmol/m²s. A cell left empty was not published."), TextRole::Muted));
    layout->addWidget(means_, 1);
    auto* buttons = new QHBoxLayout;
    auto* cancel = new QPushButton(tr("Cancel"));
    buttons->addWidget(fault_, 1);
    buttons->addWidget(cancel);
    buttons->addWidget(keep_);
    addFoot(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(keep_, &QPushButton::clicked, this, &QDialog::accept);
}

Expected<std::vector<Millimetre>> ChartDialog::lengths(const QLineEdit* edit, const QString& fault,
                                                       double least) const {
    std::vector<Millimetre> found;
    for (const auto& word : edit->text().split(QLatin1Char(';'), Qt::SkipEmptyParts)) {
        const auto length = parseLength(word.toStdString(), session_.unit());
        if (!length || length->value() < least) return wrong(fault);
        if (std::find(found.begin(), found.end(), *length) != found.end())
            return wrong(tr("%1 stands twice").arg(session_.length(*length)));
        found.push_back(*length);
    }
    if (found.empty()) return wrong(fault);
    return found;
}

void ChartDialog::shapeTable() {
    const auto counts = parseCounts(grid_->text().toStdString(), limits::kAlongRings);
    const auto heights = lengths(heights_, {}, 1.0);
    const auto depths = lengths(depths_, {}, 0.0);
    if (counts && heights && depths && heights->size() * depths->size() <= kMostRows) {
        const QSignalBlocker quiet(means_);
        const int rings = (std::min(counts->first, counts->second) + 1) / 2;
        QStringList heads;
        for (int ring = 0; ring < rings; ++ring) heads << ringName(ring, rings);
        heads << tr("all points");
        QStringList rows;
        for (const auto height : *heights)
            for (const auto depth : *depths)
                rows << tr("lamp at %1, %2 under water").arg(session_.length(height), session_.length(depth));
        means_->setColumnCount(static_cast<int>(heads.size()));
        means_->setRowCount(static_cast<int>(rows.size()));
        means_->setHorizontalHeaderLabels(heads);
        means_->setVerticalHeaderLabels(rows);
    }
    check();
}

Expected<Run> ChartDialog::runBlank() const {
    Run run;
    const auto* tank = byId(session_.bench().tanks, tank_->currentData().toLongLong());
    if (fixture_->currentText().trimmed().isEmpty()) return wrong(tr("Name the fixture"));
    if (tank == nullptr) return wrong(tr("Describe the tank it was read in first, in Bench"));
    run.read_by = source_->text().trimmed().toStdString();
    if (run.read_by.empty()) return wrong(tr("Say who read it"));
    run.level_pct = parseNumber(level_->text().toStdString());
    if (!run.level_pct || *run.level_pct <= 0.0 || *run.level_pct > kPercent)
        return wrong(tr("The level is a percentage above 0"));
    run.fixture = -1;
    run.tank = tank->id;
    return run;
}

Expected<std::vector<RingMean>> ChartDialog::meansOfRow(int row, double relative_sd) const {
    const auto counts = parseCounts(grid_->text().toStdString(), limits::kAlongRings);
    std::vector<RingMean> means;
    const int rings = means_->columnCount() - 1;
    for (int column = 0; column <= rings; ++column) {
        const auto cell = typed(means_, row, column);
        if (cell.isEmpty()) continue;
        const auto value = parseNumber(cell.toStdString());
        if (!value || *value < 0.0 || *value > limits::kPpfd)
            return wrong(tr("“%1” is no mean of 0 or more").arg(cell.left(20)));
        means.push_back({0,
                         counts->first,
                         counts->second,
                         {column == rings ? RingName::kAll : column},
                         Ppfd(*value),
                         relative_sd});
    }
    return means;
}

/// The planes of one height, whose rows of the table begin at `row`, which goes on behind them.
Expected<std::vector<Plane>> ChartDialog::planesAt(const Tank& tank, const std::vector<Millimetre>& depths,
                                                   double relative_sd, int& row) const {
    std::vector<Plane> planes;
    for (const auto depth : depths) {
        if (depth > tank.water_depth)
            return wrong(
                tr("%1 is deeper than the water of %2").arg(session_.length(depth), text(tank.name)));
        auto means = meansOfRow(row++, relative_sd);
        if (!means) return tl::make_unexpected(means.error());
        if (means->empty()) continue;
        Plane plane;
        plane.id = -1000 - row;
        plane.depth = depth;
        plane.means = std::move(*means);
        planes.push_back(std::move(plane));
    }
    std::sort(planes.begin(), planes.end(), [](const Plane& a, const Plane& b) { return a.depth < b.depth; });
    return planes;
}

Expected<Bench> ChartDialog::chart() const {
    const auto blank = runBlank();
    if (!blank) return tl::make_unexpected(blank.error());
    if (!parseCounts(grid_->text().toStdString(), limits::kAlongRings))
        return wrong(tr("Points are columns × rows, up to %1 each").arg(limits::kAlongRings));
    const auto error = parseNumber(error_->text().toStdString());
    if (!error || *error <= 0.0 || *error > kPercent)
        return wrong(tr("How good a mean is, is a percentage above 0"));
    const auto heights = lengths(heights_, tr("Heights are lengths above 0, parted by semicolons"), 1.0);
    if (!heights) return tl::make_unexpected(heights.error());
    const auto depths = lengths(depths_, tr("Depths are lengths of 0 or more, parted by semicolons"), 0.0);
    if (!depths) return tl::make_unexpected(depths.error());
    if (heights->size() * depths->size() > kMostRows)
        return wrong(tr("Up to %1 planes can be typed; import a file of more").arg(kMostRows));
    const auto& tank = *byId(session_.bench().tanks, blank->tank);
    Bench bench;
    bench.tanks = {tank};
    Fixture fixture;
    fixture.id = blank->fixture;
    fixture.name = fixture_->currentText().trimmed().toStdString();
    bench.fixtures = {fixture};
    int row = 0;
    for (const auto height : *heights) {
        Run run = *blank;
        run.id = -10 - static_cast<Id>(bench.runs.size());
        run.height = height;
        run.label =
            tr("%1 %2, %3").arg(text(fixture.name), session_.length(height), text(run.read_by)).toStdString();
        auto planes = planesAt(tank, *depths, *error / kPercent, row);
        if (!planes) return tl::make_unexpected(planes.error());
        run.planes = std::move(*planes);
        if (!run.planes.empty()) bench.runs.push_back(std::move(run));
    }
    if (bench.runs.empty()) return wrong(tr("Type the means into the table"));
    return bench;
}

void ChartDialog::check() {
    const auto made = chart();
    fault_->setText(made ? QString() : text(made.error().what, session_.unit()));
    keep_->setEnabled(made.has_value());
}

}  // namespace glumet
