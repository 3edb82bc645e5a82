#include "desk/bench/bench_stage.h"

#include <QHBoxLayout>
#include <QInputDialog>
#include <QScrollArea>
#include <QVBoxLayout>

#include "core/survey/findings.h"
#include "desk/bench/bench_drawing.h"
#include "desk/bench/bench_parts.h"
#include "desk/bench/channel_rows.h"
#include "desk/shared/figure_table.h"

namespace glumet {

BenchStage::BenchStage(Session& session)
    : Stage(session),
      left_(new FormColumn(session)),
      right_(new FormColumn(session)),
      runs_(new FigureTable(tr("Runs"))) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(10);
    fillFixtureForm();
    fillTankForm();
    fillMethodForm();
    fillMeterForm();
    fillMeterTruthRows();
    fillReadingRows();
    fillCheckRows();
    layout->addWidget(makeForms(), 5);
    layout->addWidget(makeRuns(), 1);
}

/// A newcomer begins with the fixture's name.
QWidget* BenchStage::keyWidget() {
    auto* name = findChild<QLineEdit*>(QStringLiteral("fixture_name"));
    return session().bench().fixtures.empty() && name != nullptr ? static_cast<QWidget*>(name) : runs_;
}

QWidget* BenchStage::makeForms() {
    auto* holder = new QWidget;
    auto* columns = new QHBoxLayout(holder);
    columns->setContentsMargins(0, 0, 16, 0);
    columns->setSpacing(24);
    left_->addStretch();
    right_->addStretch();
    left_->letShrink();
    right_->letShrink();
    columns->addWidget(left_, 1);
    columns->addWidget(right_, 1);
    auto* scroll = new QScrollArea;
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setWidget(holder);
    return scroll;
}

const Fixture& BenchStage::fixture() const { return itemOr(session().bench().fixtures, fixture_); }
const Tank& BenchStage::tank() const { return itemOr(session().bench().tanks, tank_); }
const MeterProfile& BenchStage::meter() const { return itemOr(session().bench().meters, meter_); }
const Accessory& BenchStage::accessory() const { return itemOr(session().bench().accessories, accessory_); }

FormColumn::Write BenchStage::fixtureWriter(std::function<QString(Fixture&, const QString&)> change) {
    return writer(&BenchStage::fixture, std::move(change));
}

/// Texts that were refused for another one go with it.
void BenchStage::showFixture(Id id) {
    fixture_ = id;
    left_->refreshAnew();
}

void BenchStage::showTank(Id id) {
    tank_ = id;
    right_->refreshAnew();
}

void BenchStage::newFixture() {
    Fixture fresh;
    fresh.name = tr("New fixture %1").arg(session().bench().fixtures.size() + 1).toStdString();
    if (!keep(fresh).isEmpty()) return;
    showFixture(session().bench().fixtures.back().id);
    refresh();
}

void BenchStage::newTank() {
    Tank fresh;
    fresh.name = tr("New tank %1").arg(session().bench().tanks.size() + 1).toStdString();
    if (!keep(fresh).isEmpty()) return;
    showTank(session().bench().tanks.back().id);
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
    if (!keep(fresh).isEmpty()) return;
    accessory_ = session().bench().accessories.back().id;
    refresh();
}

void BenchStage::refresh() {
    const auto& bench = session().bench();
    // A newly chosen sweep brings its own fixture, tank and meter into the forms.
    if (const auto* sweep = session().sweep(); sweep != nullptr && sweep->configuration != shown_) {
        shown_ = sweep->configuration;
        showFixture(shown_.fixture);
        showTank(shown_.tank);
        meter_ = shown_.meter;
    }
    fill(*fixture_choice_, namesOf(bench.fixtures));
    fill(*tank_choice_, namesOf(bench.tanks));
    left_->refresh();
    right_->refresh();
    channels_->refresh();
    for (auto* drawing : findChildren<BenchDrawing*>()) drawing->update();
    refreshRuns();
}

std::vector<Finding> BenchStage::findings() const { return benchFindings(session().bench()); }

}  // namespace glumet
