#include "desk/bench/run_dialog.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <cmath>

#include "core/bench/grid.h"
#include "core/words/typed.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kUsualStepMm = 30.0;
constexpr double kFirstHeightMm = 150.0;
constexpr int kMostCells = 60;

Id chosenId(const QComboBox* combo) { return combo->currentData().toLongLong(); }

}  // namespace

template <class T>
QComboBox* RunDialog::makeChoice(const std::vector<T>& items, Id chosen, const QString& none) {
    auto* combo = new QComboBox;
    if (!none.isEmpty()) combo->addItem(none, 0LL);
    for (const auto& item : items) combo->addItem(text(item.name), static_cast<qlonglong>(item.id));
    combo->setCurrentIndex(qMax(0, combo->findData(static_cast<qlonglong>(chosen))));
    connect(combo, &QComboBox::currentIndexChanged, this, &RunDialog::check);
    return combo;
}

RunDialog::RunDialog(Session& session, const Run* like, QWidget* parent)
    : ScrolledDialog(parent, {430, 0}), session_(session) {
    setWindowTitle(tr("New run"));
    const auto& bench = session.bench();
    const Run start = like == nullptr ? Run{} : *like;
    const auto line = [this](const QString& value, const char* name) {
        auto* edit = new QLineEdit(value);
        edit->setObjectName(QLatin1String(name));
        connect(edit, &QLineEdit::textChanged, this, &RunDialog::check);
        return edit;
    };
    fixture_ = makeChoice(bench.fixtures, start.fixture, {});
    accessory_ = makeChoice(bench.accessories, start.accessory, tr("none"));
    tank_ = makeChoice(bench.tanks, start.tank, {});
    meter_ = makeChoice(bench.meters, start.meter, tr("not recorded"));
    water_ = new QComboBox;
    water_->addItems({tr("still, pumps off"), tr("moving"), tr("dry")});
    water_->setCurrentIndex(static_cast<int>(start.water));
    preset_ = line(text(presetName(bench, start)), "preset");
    level_ = line(start.level_pct ? QString::number(*start.level_pct) : QStringLiteral("100"), "level");
    count_ = line(QString::number(start.fixtures), "count");
    hours_ = line(start.hours ? QString::number(*start.hours) : QString(), "hours");
    turn_ = line(QString::number(start.turn_deg), "turn");
    height_ = line(session.length(like == nullptr ? Millimetre(kFirstHeightMm)
                                                  : like->height + Millimetre(kUsualStepMm)),
                   "height");
    QStringList depths;
    for (const auto& plane : start.planes) depths << session.figure(plane.depth);
    if (depths.isEmpty())
        depths << session.figure(Millimetre(150)) << session.figure(Millimetre(300))
               << session.figure(Millimetre(450));
    depths_ = line(depths.join(QStringLiteral("; ")), "depths");
    const bool has_grid = !start.planes.empty() && start.planes.front().grid;
    grid_ = line(QStringLiteral("%1 × %2")
                     .arg(has_grid ? start.planes.front().grid->columns() : bench.method.grid_columns)
                     .arg(has_grid ? start.planes.front().grid->rows() : bench.method.grid_rows),
                 "grid");
    dark_ = line({}, "dark");
    warm_up_ = line({}, "warmUp");
    layOut();
    check();
    height_->setFocus();
    height_->selectAll();
}

void RunDialog::layOut() {
    fault_ = makeLabel({}, TextRole::Problem);
    fault_->setWordWrap(true);
    make_ = new QPushButton(tr("Plan this run"));
    make_->setProperty("primary", true);
    make_->setDefault(true);
    auto* form = new QFormLayout;
    form->setHorizontalSpacing(14);
    form->setVerticalSpacing(6);
    const QString unit = text(unitName(session_.unit()));
    for (const auto& [name, widget] : {std::pair<QString, QWidget*>{tr("Fixture"), fixture_},
                                       {tr("Accessory"), accessory_},
                                       {tr("Channels"), preset_},
                                       {tr("Level, %"), level_},
                                       {tr("How many hang"), count_},
                                       {tr("Turned, °"), turn_},
                                       {tr("Height over water"), height_},
                                       {tr("Tank"), tank_},
                                       {tr("Water"), water_},
                                       {tr("Depths, %1").arg(unit), depths_},
                                       {tr("Grid"), grid_},
                                       {tr("Meter"), meter_},
                                       {tr("Dark reading"), dark_},
                                       {tr("Warm-up, min"), warm_up_},
                                       {tr("Lamp burnt, h"), hours_}}) {
        widget->setAccessibleName(name);
        form->addRow(makeLabel(name, TextRole::Muted), widget);
    }
    auto* buttons = new QHBoxLayout;
    auto* cancel = new QPushButton(tr("Cancel"));
    buttons->addWidget(fault_, 1);
    buttons->addWidget(cancel);
    buttons->addWidget(make_);
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 20, 22, 14);
    layout->setSpacing(14);
    layout->addLayout(form);
    auto* caution = makeLabel(tr("Never look into the emitters; nobody under a hanging load while it is "
                                 "raised; dry hands at the plug."),
                              TextRole::Muted);
    caution->setWordWrap(true);
    layout->addWidget(caution);
    addFoot(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(make_, &QPushButton::clicked, this, &QDialog::accept);
}

std::vector<Plane> RunDialog::planesFor(const Run& run) const {
    std::vector<Plane> planes;
    const auto counts = parseCounts(grid_->text().toStdString(), kMostCells);
    const auto* tank = byId(session_.bench().tanks, run.tank);
    if (!counts || tank == nullptr) return planes;
    for (const auto& word : depths_->text().split(QLatin1Char(';'), Qt::SkipEmptyParts)) {
        const auto depth = parseLength(word.toStdString(), session_.unit());
        if (!depth || depth->value() < 0.0 || *depth > tank->water_depth) return {};
        Plane plane;
        plane.depth = *depth;
        plane.grid = cellCentres(tank->length, tank->width, counts->first, counts->second);
        planes.push_back(plane);
    }
    std::sort(planes.begin(), planes.end(), [](const Plane& a, const Plane& b) { return a.depth < b.depth; });
    return planes;
}

Expected<NewRuns> RunDialog::runs() const {
    Run run;
    run.fixture = chosenId(fixture_);
    run.tank = chosenId(tank_);
    run.accessory = chosenId(accessory_);
    run.meter = chosenId(meter_);
    run.water = static_cast<WaterState>(water_->currentIndex());
    if (run.fixture == 0) return problem("", asWords(tr("Describe a fixture in Bench first")));
    if (run.tank == 0) return problem("", asWords(tr("Describe a tank in Bench first")));
    const auto height = parseLength(height_->text().toStdString(), session_.unit());
    if (!height || height->value() <= 0.0)
        return problem("", asWords(tr("The height must be a length above 0")));
    run.height = *height;
    run.level_pct = parseNumber(level_->text().toStdString());
    if (!run.level_pct || *run.level_pct < 0.0 || *run.level_pct > 100.0)
        return problem("", asWords(tr("The level is a percentage")));
    bool whole = false;
    run.fixtures = count_->text().toInt(&whole);
    if (!whole || run.fixtures < 1 || run.fixtures > 20)
        return problem("", asWords(tr("1 to 20 fixtures may hang")));
    const auto turn = parseNumber(turn_->text().toStdString());
    if (!turn || *turn < 0.0 || *turn > 360.0)
        return problem("", asWords(tr("A fixture is turned by 0 to 360 degrees")));
    run.turn_deg = *turn;
    const auto optional = [](const QLineEdit* edit, std::optional<double>& value) {
        if (edit->text().trimmed().isEmpty()) return true;
        value = parseNumber(edit->text().toStdString());
        return value && *value >= 0.0;
    };
    std::optional<double> dark;
    if (!optional(dark_, dark)) return problem("", asWords(tr("The dark reading is a number of 0 or more")));
    if (dark) run.dark_reading = Ppfd(*dark);
    if (!optional(warm_up_, run.warm_up_min))
        return problem("", asWords(tr("The warm-up is a number of minutes")));
    if (!optional(hours_, run.hours))
        return problem("", asWords(tr("What the lamp has burnt is a number of hours")));
    run.planes = planesFor(run);
    if (run.planes.empty())
        return problem(
            "", asWords(tr("Depths lie within the water, parted by semicolons; a grid is columns × rows")));
    const auto* fixture = byId(session_.bench().fixtures, run.fixture);
    run.label = QStringLiteral("%1 %2 %3")
                    .arg(session_.bench().runs.size() + 1, 2, 10, QLatin1Char('0'))
                    .arg(text(fixture->name), session_.length(run.height))
                    .toStdString();
    NewRuns added;
    run.preset = added.preset(session_.bench(), run.fixture, preset_->text().trimmed().toStdString());
    added.runs.push_back(std::move(run));
    return added;
}

void RunDialog::check() {
    if (make_ == nullptr || warm_up_ == nullptr) return;
    const auto made = runs();
    fault_->setText(made ? QString() : text(made.error().what, LengthUnit::Mm));
    make_->setEnabled(made.has_value());
}

}  // namespace glumet
