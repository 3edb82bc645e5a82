#include "desk/bench/bench_stage.h"

#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>

#include "desk/bench/bench_parts.h"
#include "desk/bench/chart_dialog.h"
#include "desk/bench/run_dialog.h"
#include "desk/measure/sweep_progress.h"
#include "desk/shared/theme.h"

namespace glumet {

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
    auto* chart = quietButton(tr("Type a chart…"));
    chart->setObjectName(QStringLiteral("typeChart"));
    chart->setToolTip(tr("Means that somebody else published, instead of readings"));
    connect(chart, &QPushButton::clicked, this, &BenchStage::typeChart);
    head->addWidget(remove);
    head->addWidget(chart);
    head->addWidget(add);
    layout->addLayout(head);
    runs_->setObjectName(QStringLiteral("runTable"));
    connect(runs_, &QTableWidget::currentCellChanged, this, [this](int row) {
        const auto* sweep = session().sweep();
        if (sweep != nullptr && row >= 0 && row < static_cast<int>(sweep->runs.size()))
            session().chooseRun(sweep->runs[static_cast<std::size_t>(row)]);
    });
    layout->addWidget(runs_, 1);
    return holder;
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

void BenchStage::typeChart() {
    if (session().project() == nullptr) return session().warn(tr("Open or make a project first."));
    ChartDialog dialog(session(), this);
    if (dialog.exec() != QDialog::Accepted) return;
    const auto chart = dialog.chart();
    if (!chart) return session().warn(text(chart.error().what, session().unit()));
    const auto& first = chart->runs.front();
    const QString fault = session().edit([&](Project& project) {
        return project.importBench(*chart, {}, tr("a chart by %1").arg(text(first.read_by)));
    });
    if (!fault.isEmpty()) return;
    for (const auto& run : session().bench().runs)
        if (run.label == first.label && run.read_by == first.read_by) session().chooseRun(run.id);
    session().say(tr("The chart is kept; Field shows its rings."));
}

void BenchStage::removeRun() {
    const auto* run = session().run();
    if (run == nullptr) return;
    const QString name = text(run->label);
    const Id id = run->id;
    if (!session().edit([&](Project& project) { return project.removeRun(id); }).isEmpty()) return;
    session().say(tr("%1 removed; Ctrl+Z brings it back.").arg(name));
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
            run.onlyMeans()
                ? tr("means")
                : text(percentText(run.planes.empty() ? 0.0 : done / static_cast<double>(run.planes.size()))),
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

}  // namespace glumet
