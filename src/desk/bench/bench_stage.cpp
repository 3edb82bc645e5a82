#include "desk/bench/bench_stage.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QInputDialog>
#include <QScrollArea>
#include <QVBoxLayout>
#include <cmath>

#include "core/bench/sweep.h"
#include "core/survey/findings.h"
#include "core/survey/lengths_text.h"
#include "core/words/finding.h"
#include "core/words/typed.h"
#include "desk/bench/goal_rows.h"
#include "desk/bench/run_dialog.h"
#include "desk/bench/twin_dialog.h"
#include "desk/measure/sweep_progress.h"
#include "desk/shared/described_row.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

/// The item of that id, else the first, else a blank to read from.
template <class T>
const T& itemOr(const std::vector<T>& items, Id id) {
    static const T blank;
    if (const auto* item = byId(items, id)) return *item;
    return items.empty() ? blank : items.front();
}

template <class T>
QStringList namesOf(const std::vector<T>& items) {
    QStringList names;
    for (const auto& item : items) names << text(item.name);
    return names;
}

template <class T>
int indexOfId(const std::vector<T>& items, Id id) {
    for (std::size_t i = 0; i < items.size(); ++i)
        if (items[i].id == id) return static_cast<int>(i);
    return items.empty() ? -1 : 0;
}

QPushButton* quietButton(const QString& text) {
    auto* button = new QPushButton(text);
    button->setProperty("quiet", true);
    return button;
}

}  // namespace

BenchStage::BenchStage(Session& session)
    : Stage(session),
      left_(new FormColumn(session)),
      right_(new FormColumn(session)),
      runs_(new QTableWidget) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(10);
    layout->addWidget(makeLabel(tr("The bench"), TextRole::Title));
    fillFixtureForm();
    fillTankForm();
    fillMethodForm();
    fillCheckRows();
    fillMeterForm();
    fillMeterTruthRows();
    layout->addWidget(makeForms(), 5);
    layout->addWidget(makeRuns(), 2);
}

QWidget* BenchStage::makeForms() {
    auto* holder = new QWidget;
    auto* columns = new QHBoxLayout(holder);
    columns->setContentsMargins(0, 0, 8, 0);
    columns->setSpacing(28);
    left_->addStretch();
    right_->addStretch();
    columns->addWidget(left_, 1);
    columns->addWidget(right_, 1);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setWidget(holder);
    return scroll;
}

QWidget* BenchStage::makeRuns() {
    auto* holder = new QWidget;
    auto* layout = new QVBoxLayout(holder);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(4);
    auto* head = new QHBoxLayout;
    head->addWidget(makeLabel(tr("Runs of this configuration"), TextRole::Heading), 1);
    auto* remove = quietButton(tr("Remove"));
    remove->setObjectName(QStringLiteral("removeRun"));
    connect(remove, &QPushButton::clicked, this, &BenchStage::removeRun);
    auto* add = new QPushButton(tr("New run…"));
    add->setObjectName(QStringLiteral("newRun"));
    connect(add, &QPushButton::clicked, this, &BenchStage::newRun);
    head->addWidget(remove);
    head->addWidget(add);
    layout->addLayout(head);
    runs_->setObjectName(QStringLiteral("runTable"));
    runs_->setAccessibleName(tr("Runs"));
    runs_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    runs_->setSelectionBehavior(QAbstractItemView::SelectRows);
    runs_->setSelectionMode(QAbstractItemView::SingleSelection);
    runs_->setShowGrid(false);
    runs_->setFont(houseFont(12));
    runs_->setTabKeyNavigation(false);
    runs_->horizontalHeader()->setHighlightSections(false);
    runs_->verticalHeader()->hide();
    runs_->verticalHeader()->setDefaultSectionSize(23);
    runs_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    connect(runs_, &QTableWidget::currentCellChanged, this, [this](int row) {
        const auto* sweep = session().sweep();
        if (sweep != nullptr && row >= 0 && row < static_cast<int>(sweep->runs.size()))
            session().chooseRun(sweep->runs[static_cast<std::size_t>(row)]);
    });
    layout->addWidget(runs_, 1);
    return holder;
}

const Fixture& BenchStage::fixture() const { return itemOr(session().bench().fixtures, fixture_); }
const Tank& BenchStage::tank() const { return itemOr(session().bench().tanks, tank_); }
const MeterProfile& BenchStage::meter() const { return itemOr(session().bench().meters, meter_); }

template <class T>
QString BenchStage::keep(const T& item) {
    return session().edit([&](Project& project) { return project.save(item); });
}

template <class T, class Change>
FormColumn::Write BenchStage::writer(const T& (BenchStage::*current)() const, Change change) {
    return [this, current, change](const QString& typed) -> QString {
        T item = (this->*current)();
        const QString fault = change(item, typed);
        return fault.isEmpty() ? keep(item) : fault;
    };
}

FormColumn::Write BenchStage::fixtureWriter(std::function<QString(Fixture&, const QString&)> change) {
    return writer(&BenchStage::fixture, std::move(change));
}

void BenchStage::fillFixtureForm() {
    auto* add = quietButton(tr("new"));
    connect(add, &QPushButton::clicked, this, &BenchStage::newFixture);
    left_->addHeading(tr("Fixture"), add);
    left_
        ->addHeadingChoice(
            tr("Fixture shown"), [this] { return indexOfId(session().bench().fixtures, fixture_); },
            [this](int index) -> QString {
                session().settle();
                fixture_ = session().bench().fixtures[static_cast<std::size_t>(index)].id;
                left_->refresh();
                return {};
            })
        ->setObjectName(QStringLiteral("fixtureChoice"));
    addDescribedRows<Fixture>(
        session(), *left_, [this]() -> const Fixture& { return fixture(); },
        [this](const Fixture& f) { return keep(f); });
    left_->addText(
        tr("maker's height"),
        [this] {
            const auto& f = fixture();
            return f.claimed_height_low && f.claimed_height_high
                       ? text(lengthRange(*f.claimed_height_low, *f.claimed_height_high, session().unit()))
                       : QString();
        },
        writer(&BenchStage::fixture,
               [this](Fixture& f, const QString& typed) -> QString {
                   f.claimed_height_low.reset();
                   f.claimed_height_high.reset();
                   if (typed.trimmed().isEmpty()) return {};
                   const auto ends = parseLengthRange(typed.toStdString(), session().unit());
                   if (!ends || ends->first.value() <= 0.0)
                       return tr("Give the maker's height as a range, such as 13–18.");
                   f.claimed_height_low = ends->first;
                   f.claimed_height_high = ends->second;
                   return {};
               }),
        tr("13–18"));
    left_->addText(
        tr("channels"), [this] { return text(channelNames(fixture())); },
        writer(&BenchStage::fixture, [](Fixture& f, const QString& typed) {
            setChannelNames(f, typed.toStdString());
            return QString();
        }));
    fillLightRows();
}

void BenchStage::fillTankForm() {
    auto* add = quietButton(tr("new"));
    connect(add, &QPushButton::clicked, this, &BenchStage::newTank);
    right_->addHeading(tr("Tank"), add);
    right_
        ->addHeadingChoice(
            tr("Tank shown"), [this] { return indexOfId(session().bench().tanks, tank_); },
            [this](int index) -> QString {
                session().settle();
                tank_ = session().bench().tanks[static_cast<std::size_t>(index)].id;
                right_->refresh();
                return {};
            })
        ->setObjectName(QStringLiteral("tankChoice"));
    addDescribedRows<Tank>(
        session(), *right_, [this]() -> const Tank& { return tank(); },
        [this](const Tank& t) { return keep(t); });
    const std::array names{tr("left wall"), tr("right wall"), tr("front wall"), tr("back wall")};
    for (const auto side : kSides)
        right_->addChoice(
            names[static_cast<std::size_t>(side)],
            {tr("clear glass"), tr("acrylic"), tr("painted or covered")},
            [this, side] { return static_cast<int>(tank().wall(side).kind); },
            [this, side](int index) {
                Tank changed = tank();
                changed.wall(side).kind = static_cast<WallKind>(index);
                return keep(changed);
            });
    right_
        ->addText(
            tr("in the way"), [this] { return text(obstaclesText(tank().obstacles, session().unit())); },
            writer(&BenchStage::tank,
                   [this](Tank& t, const QString& typed) -> QString {
                       auto obstacles = parseObstacles(typed.toStdString(), session().unit(), t);
                       if (!obstacles) return text(obstacles.error()) + QLatin1Char('.');
                       t.obstacles = std::move(*obstacles);
                       return {};
                   }),
            tr("brace 28–32 × 0–60"))
        ->setObjectName(QStringLiteral("tankObstacles"));
    right_->addChoice(
        tr("use"), {tr("bare bench tank"), tr("living tank")},
        [this] { return static_cast<int>(tank().use); },
        [this](int index) {
            Tank changed = tank();
            changed.use = static_cast<TankUse>(index);
            return keep(changed);
        });
}

void BenchStage::fillMeterForm() {
    auto* add = quietButton(tr("new"));
    connect(add, &QPushButton::clicked, this, &BenchStage::newMeter);
    right_->addHeading(tr("Meter"), add);
    addDescribedRows<MeterProfile>(
        session(), *right_, [this]() -> const MeterProfile& { return meter(); },
        [this](const MeterProfile& m) { return keep(m); });
    right_->addText(
        tr("immersion ×"), [this] { return QString::number(meter().immersion_factor); },
        writer(&BenchStage::meter, [](MeterProfile& m, const QString& typed) -> QString {
            const auto factor = parseNumber(typed.toStdString());
            if (!factor || *factor < 0.5 || *factor > 2.0)
                return tr("An immersion factor lies between 0.5 and 2; about 1.1 is usual.");
            m.immersion_factor = *factor;
            return {};
        }));
    right_->addChoice(
        tr("applied by"), {tr("nobody"), tr("the meter's own mode"), tr("Glumet")},
        [this] { return static_cast<int>(meter().immersion_by); },
        [this](int index) {
            MeterProfile changed = meter();
            changed.immersion_by = static_cast<ImmersionBy>(index);
            return keep(changed);
        });
    right_->addText(
        tr("calibrated"), [this] { return text(meter().calibrated_on); },
        writer(&BenchStage::meter,
               [](MeterProfile& m, const QString& typed) {
                   m.calibrated_on = typed.trimmed().toStdString();
                   return QString();
               }),
        tr("year-month-day"));
}

/// How far the meter is to be believed, and what it is corrected by.
void BenchStage::fillMeterTruthRows() {
    const auto percent = [this](const QString& name, double MeterProfile::*member, const QString& hint) {
        return right_->addText(
            name,
            [this, member] { return meter().*member > 0.0 ? text(percentText(meter().*member)) : QString(); },
            writer(&BenchStage::meter,
                   [member](MeterProfile& m, const QString& typed) -> QString {
                       const QString bare = QString(typed).remove(QLatin1Char('%')).trimmed();
                       const auto value =
                           bare.isEmpty() ? std::optional(0.0) : parseNumber(bare.toStdString());
                       if (!value || *value < 0.0 || *value > 50.0)
                           return tr("That is a percentage from 0 to 50; 5 % is usual.");
                       m.*member = *value / 100.0;
                       return {};
                   }),
            hint);
    };
    percent(tr("calibration ±"), &MeterProfile::relative_uncertainty, tr("5 %"));
    percent(tr("cosine error"), &MeterProfile::cosine_error, tr("up to 60° off, if stated"));
    right_->addText(
        tr("response"), [this] { return text(responseText(meter().response)); },
        writer(&BenchStage::meter,
               [](MeterProfile& m, const QString& typed) -> QString {
                   auto response = parseResponse(typed.toStdString());
                   if (!response) return text(response.error()) + QLatin1Char('.');
                   m.response = std::move(*response);
                   return {};
               }),
        tr("400: 0.8, 450: 0.9, 550: 1"));
    auto* twin = quietButton(tr("twin reading…"));
    twin->setObjectName(QStringLiteral("twinReading"));
    connect(twin, &QPushButton::clicked, this, &BenchStage::twinReading);
    right_->addHeading(tr("Corrections"), twin);
    right_
        ->addText(
            tr("in use"),
            [this] {
                QStringList list;
                for (const auto& c : meter().corrections)
                    if (c.applied)
                        list << tr("%1 × %2 ± %3")
                                    .arg(c.channel.empty() ? tr("any") : text(c.channel))
                                    .arg(c.factor, 0, 'f', 3)
                                    .arg(text(percentText(c.uncertainty)));
                return list.join(QStringLiteral("; "));
            },
            writer(&BenchStage::meter,
                   [](MeterProfile& m, const QString& typed) -> QString {
                       if (!typed.trimmed().isEmpty())
                           return tr(
                               "Factors come from a twin reading; empty this field to stop using them.");
                       for (auto& c : m.corrections) c.applied = false;
                       return {};
                   }),
            tr("none"))
        ->setObjectName(QStringLiteral("meterCorrections"));
}

FormColumn::Write BenchStage::methodWriter(std::function<QString(Method&, const QString&)> change) {
    return [this, change = std::move(change)](const QString& typed) -> QString {
        Method method = session().bench().method;
        const QString fault = change(method, typed);
        if (!fault.isEmpty()) return fault;
        return session().edit(
            [&](Project& project) { return project.saveMethod(text(session().bench().title), method); });
    };
}

void BenchStage::fillMethodForm() {
    right_->addHeading(tr("Method"));
    right_->addText(
        tr("title"), [this] { return text(session().bench().title); },
        [this](const QString& typed) -> QString {
            return session().edit([&](Project& project) {
                return project.saveMethod(typed.trimmed(), session().bench().method);
            });
        });
    addGoalRows(session(), *right_);
    right_->addText(
        tr("settled within"),
        [this] { return text(percentText(session().bench().method.settled_relative_error)); },
        methodWriter([](Method& m, const QString& typed) -> QString {
            const auto percent = parseNumber(QString(typed).remove(QLatin1Char('%')).toStdString());
            if (!percent || *percent <= 0.0 || *percent > 20.0)
                return tr("A reading settles within 0.1 to 20 %; 2 % is usual.");
            m.settled_relative_error = *percent / 100.0;
            return {};
        }));
}

void BenchStage::fillCheckRows() {
    right_
        ->addText(
            tr("check point every"),
            [this] {
                const int every = session().bench().method.check_every;
                return every == 0 ? QString() : tr("%1 readings").arg(every);
            },
            methodWriter([](Method& m, const QString& typed) -> QString {
                const auto word = typed.trimmed().section(QLatin1Char(' '), 0, 0);
                bool whole = true;
                const int every = word.isEmpty() ? 0 : word.toInt(&whole);
                if (!whole || every < 0 || every > 1000 || every == 1)
                    return tr("A number of readings from 2 to 1000, or nothing for no check points.");
                m.check_every = every;
                return {};
            }),
            tr("never"))
        ->setObjectName(QStringLiteral("checkEvery"));
}

void BenchStage::twinReading() {
    if (session().project() == nullptr || session().bench().meters.empty())
        return session().warn(tr("Describe the meter first."));
    TwinDialog dialog(session(), meter(), this);
    if (dialog.exec() != QDialog::Accepted) return;
    const auto corrected = dialog.corrected();
    if (!corrected) return session().warn(text(corrected.error()));
    if (!keep(*corrected).isEmpty()) return;
    session().say(tr("Readings of %1 are corrected from now on; raw values stay beside them.")
                      .arg(text(corrected->name)));
}

void BenchStage::newFixture() {
    Fixture fresh;
    fresh.name = tr("New fixture %1").arg(session().bench().fixtures.size() + 1).toStdString();
    if (!keep(fresh).isEmpty()) return;
    fixture_ = session().bench().fixtures.back().id;
    refresh();
}

void BenchStage::newTank() {
    Tank fresh;
    fresh.name = tr("New tank %1").arg(session().bench().tanks.size() + 1).toStdString();
    if (!keep(fresh).isEmpty()) return;
    tank_ = session().bench().tanks.back().id;
    refresh();
}

void BenchStage::newMeter() {
    MeterProfile fresh;
    fresh.name = tr("New meter %1").arg(session().bench().meters.size() + 1).toStdString();
    if (!keep(fresh).isEmpty()) return;
    meter_ = session().bench().meters.back().id;
    refresh();
}

void BenchStage::newAccessory() {
    const QString name =
        QInputDialog::getText(this, tr("New accessory"), tr("Name, such as \"frost diffuser\"")).trimmed();
    if (name.isEmpty()) return;
    Accessory fresh;
    fresh.name = name.toStdString();
    keep(fresh);
}

void BenchStage::newRun() {
    if (session().project() == nullptr) return session().warn(tr("Open or make a project first."));
    const Run* like =
        session().sweep() == nullptr ? nullptr : &session().bench().run(session().sweep()->runs.back());
    RunDialog dialog(session(), like, this);
    if (dialog.exec() != QDialog::Accepted) return;
    const auto runs = dialog.runs();
    if (!runs) return session().warn(text(runs.error().what, LengthUnit::Mm));
    Id first = 0;
    const QString fault = session().edit([&](Project& project) {
        const auto saved = project.addRuns(*runs, tr("run %1").arg(text(runs->runs.front().label)));
        first = saved.value_or(0);
        return saved;
    });
    if (!fault.isEmpty()) return;
    session().chooseRun(first);
    session().say(tr("Run planned; Measure shows its first point."));
}

void BenchStage::removeRun() {
    const auto* run = session().run();
    if (run == nullptr) return;
    const QString name = text(run->label);
    const Id id = run->id;
    if (!session().edit([&](Project& project) { return project.removeRun(id); }).isEmpty()) return;
    session().say(tr("%1 removed; Ctrl+Z brings it back.").arg(name));
}

void BenchStage::refresh() {
    const auto& bench = session().bench();
    // A newly chosen sweep brings its own fixture, tank and meter into the forms.
    if (const auto* sweep = session().sweep(); sweep != nullptr && sweep->configuration != shown_) {
        shown_ = sweep->configuration;
        fixture_ = shown_.fixture;
        tank_ = shown_.tank;
        meter_ = shown_.meter;
    }
    for (auto* combo : findChildren<QComboBox*>()) {
        if (combo->objectName() != QLatin1String("fixtureChoice") &&
            combo->objectName() != QLatin1String("tankChoice"))
            continue;
        combo->clear();
        combo->addItems(combo->objectName() == QLatin1String("fixtureChoice") ? namesOf(bench.fixtures)
                                                                              : namesOf(bench.tanks));
    }
    left_->refresh();
    right_->refresh();
    refreshRuns();
}

void BenchStage::refreshRuns() {
    const QSignalBlocker quiet(runs_);
    const auto* sweep = session().sweep();
    const QStringList heads{tr("height"), tr("planes"), tr("read"), tr("draw, W"), tr("dark"), tr("warm-up")};
    runs_->setColumnCount(static_cast<int>(heads.size()));
    runs_->setHorizontalHeaderLabels(heads);
    runs_->setRowCount(sweep == nullptr ? 0 : static_cast<int>(sweep->runs.size()));
    if (sweep == nullptr) return;
    for (int row = 0; row < runs_->rowCount(); ++row) {
        const auto index = sweep->runs[static_cast<std::size_t>(row)];
        const auto& run = session().bench().run(index);
        double done = 0;
        for (const auto& plane : run.planes) done += planeProgress(plane);
        const bool doubtful = std::find(session().doubtfulRuns().begin(), session().doubtfulRuns().end(),
                                        index) != session().doubtfulRuns().end();
        const QStringList cells{
            (doubtful ? QStringLiteral("▲ ") : QString()) + session().length(run.height),
            QString::number(run.planes.size()),
            text(percentText(run.planes.empty() ? 0.0 : done / static_cast<double>(run.planes.size()))),
            run.power() ? QString::number(run.power()->value(), 'f', 1) : QStringLiteral("–"),
            run.dark_reading ? text(ppfdFigure(*run.dark_reading)) : QStringLiteral("–"),
            run.warm_up_min ? tr("%1 min").arg(*run.warm_up_min, 0, 'f', 0) : QStringLiteral("–")};
        for (int column = 0; column < cells.size(); ++column) {
            auto* item = new QTableWidgetItem(cells[column]);
            item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            if (doubtful && column == 0) item->setForeground(colours().accent);
            runs_->setItem(row, column, item);
        }
        if (run.id == session().runId()) runs_->selectRow(row);
    }
}

std::vector<Finding> BenchStage::findings() const { return benchFindings(session().bench()); }

}  // namespace glumet
