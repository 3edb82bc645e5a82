#include "desk/compare/cost_page.h"

#include <qcustomplot.h>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <cmath>

#include "core/words/typed.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kCostRowHeight = 22;
constexpr int kCostNameWidth = 150;
constexpr int kPlotHeight = 170;
constexpr double kMostYears = 100.0;
constexpr double kMostPrice = 1e6;
constexpr double kHoursADay = 24.0;

QString money(const std::optional<double>& value) {
    return value ? QString::number(*value, 'f', *value < 10.0 ? 2 : 0) : CostPage::tr("–");
}

}  // namespace

CostPage::CostPage(Session& session)
    : session_(session),
      form_(new FormColumn(session)),
      cheapest_(makeLabel({}, TextRole::Body)),
      costs_(new FigureTable(tr("What they cost"))),
      missing_(makeLabel({}, TextRole::Muted)),
      ageing_words_(makeLabel({}, TextRole::Body)),
      ageing_(new QCustomPlot) {
    for (auto* label : {cheapest_, missing_, ageing_words_}) label->setWordWrap(true);
    cheapest_->setObjectName(QStringLiteral("cheapest"));
    costs_->setObjectName(QStringLiteral("costs"));
    ageing_words_->setObjectName(QStringLiteral("ageing"));
    ageing_->setAccessibleName(tr("Output against hours burnt"));
    ageing_->setFixedHeight(kPlotHeight);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(8);
    layout->addWidget(cheapest_);
    layout->addWidget(costs_);
    layout->addWidget(missing_);
    addFields();
    auto* below = new QHBoxLayout;
    below->setSpacing(18);
    form_->setFixedWidth(230);
    below->addWidget(form_, 0, Qt::AlignTop);
    auto* age = new QVBoxLayout;
    age->addWidget(ageing_words_);
    age->addWidget(ageing_);
    age->addStretch(1);
    below->addLayout(age, 1);
    layout->addLayout(below, 1);
}

QLineEdit* CostPage::addNumber(const QString& name, const char* object,
                               std::function<double(const Method&)> read,
                               std::function<void(Method&, double)> write, double most) {
    auto* edit = form_->addText(
        name,
        [this, read] {
            const double value = read(session_.bench().method);
            return value > 0.0 ? QString::number(value) : QString();
        },
        [this, name, write, most](const QString& typed) -> QString {
            const auto value =
                typed.trimmed().isEmpty() ? std::optional(0.0) : parseNumber(typed.toStdString());
            if (!value || *value < 0.0 || *value > most)
                return tr("\"%1\" is not a number from 0 to %2 (%3).")
                    .arg(typed, QString::number(most), name);
            return session_.changeMethod([&](Method& method) { write(method, *value); });
        });
    edit->setObjectName(QLatin1String(object));
    return edit;
}

void CostPage::addFields() {
    form_->addHeading(tr("Reckoned with"));
    addNumber(
        tr("price a kWh"), "costKwh", [](const Method& m) { return m.price_kwh; },
        [](Method& m, double value) { m.price_kwh = value; }, kMostPrice);
    addNumber(
        tr("years"), "costYears", [](const Method& m) { return m.years; },
        [](Method& m, double value) { m.years = value > 0.0 ? value : Method().years; }, kMostYears);
    addNumber(
        tr("hours a day"), "costHours", [](const Method& m) { return m.goal.photoperiod_h; },
        [](Method& m, double value) { m.goal.photoperiod_h = value; }, kHoursADay);
}

void CostPage::show(const Comparison& compared, std::size_t chosen) {
    form_->refresh();
    showCosts(compared, chosen);
    showAgeing(compared);
}

void CostPage::showCosts(const Comparison& compared, std::size_t chosen) {
    costs_->setHeads({tr("fixture"), tr("×"), tr("to buy"), tr("kWh/a"), tr("energy/a"), tr("lamps"),
                      tr("%1 years").arg(compared.bench->method.years), tr("a mole"), tr("idle")});
    table_rows_.clear();
    QStringList lacking;
    const Judged* cheapest = nullptr;
    for (const auto& judged : compared.judged) {
        const auto& cost = judged.cost;
        table_rows_.push_back({text(judged.contender.name),
                               judged.counted ? QString::number(cost.count) : tr("1"), money(cost.buying),
                               money(cost.kwh_year), money(cost.energy_year),
                               cost.replacements > 0 ? money(cost.lamps) : tr("–"), money(cost.total),
                               cost.per_mole ? QString::number(*cost.per_mole, 'f', 3) : tr("–"),
                               cost.idle_share > 0.005 ? text(percentText(cost.idle_share)) : tr("–")});
        for (const auto& what : cost.missing)
            lacking << tr("%1: %2").arg(text(judged.contender.name), text(what, session_.unit()));
        if (cost.total && judged.unlike.empty() &&
            (cheapest == nullptr || *cost.total < *cheapest->cost.total))
            cheapest = &judged;
    }
    const bool counted = std::any_of(compared.judged.begin(), compared.judged.end(),
                                     [](const Judged& judged) { return judged.counted.has_value(); });
    costs_->setRows(table_rows_, static_cast<int>(chosen), session_.palette());
    for (int row = 0; row < costs_->rowCount(); ++row) {
        costs_->item(row, 0)->setTextAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        costs_->item(row, 0)->setToolTip(costs_->item(row, 0)->text());
    }
    costs_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    costs_->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Fixed);
    costs_->setColumnWidth(0, kCostNameWidth);
    costs_->setFixedHeight(33 + kCostRowHeight * std::clamp(static_cast<int>(table_rows_.size()), 1, 12));
    cheapest_->setText(cheapest == nullptr
                           ? tr("Nothing can be added up yet: state prices and the price of a kilowatt-hour.")
                           : tr("%1 costs least over %2 years: %3 %4 in all, %5 a year.")
                                 .arg(text(cheapest->contender.name),
                                      QString::number(compared.bench->method.years),
                                      money(cheapest->cost.total), text(cheapest->cost.currency),
                                      money(cheapest->cost.per_year)));
    const QString number =
        counted ? tr("So many as the goal needs in this tank.")
                : tr("One of each; give \"price for the goal\" a weight for the number it takes.");
    missing_->setText(
        lacking.isEmpty() ? number : tr("%1 Missing: %2.").arg(number, lacking.join(QStringLiteral("; "))));
}

void CostPage::showAgeing(const Comparison& compared) {
    dressPlot(*ageing_, session_.palette());
    ageing_->clearPlottables();
    ageing_->clearItems();
    ageing_->setVisible(!compared.ageings.empty());
    if (compared.ageings.empty()) {
        ageing_words_->setText(
            tr("Ageing: read the same fixture again after some thousand hours, with the hours "
               "in the run's \"Lamp burnt\", and its maintenance factor stands here."));
        return;
    }
    QStringList said;
    const auto& c = session_.palette();
    double last = 0.0;
    for (const auto& ageing : compared.ageings) {
        const auto* fixture = byId(compared.bench->fixtures, ageing.fixture);
        said << tr("%1: %2").arg(fixture == nullptr ? QString() : text(fixture->name),
                                 text(ageing.reason, session_.unit()));
        auto* dots = ageing_->addGraph();
        dots->setLineStyle(QCPGraph::lsNone);
        dots->setScatterStyle(QCPScatterStyle(QCPScatterStyle::ssDisc, c.accent, 8));
        auto* bars = new QCPErrorBars(ageing_->xAxis, ageing_->yAxis);
        bars->setDataPlottable(dots);
        bars->setPen(QPen(c.accent, 1.6));
        dots->addData(ageing.from_hours, 100.0);
        bars->addData(0.0);
        for (const auto& point : ageing.points) {
            dots->addData(point.hours, 100.0 * point.output.value);
            bars->addData(50.0 * (point.output.hi - point.output.lo));
            last = std::max(last, point.hours);
        }
        auto* line = ageing_->addGraph();
        line->setPen(QPen(c.text, 1.6, Qt::DashLine));
        constexpr int kSteps = 60;
        for (int i = 0; i <= kSteps; ++i) {
            const double hours = ageing.from_hours + (1.3 * last - ageing.from_hours) * i / kSteps;
            line->addData(hours, 100.0 * std::exp(-ageing.rate * (hours - ageing.from_hours)));
        }
    }
    ageing_words_->setText(said.join(QLatin1Char('\n')));
    ageing_->xAxis->setLabel(tr("hours burnt; dashed: a steady rate, which is assumed"));
    ageing_->yAxis->setLabel(tr("output, %"));
    ageing_->rescaleAxes();
    ageing_->yAxis->setRange(std::max(0.0, ageing_->yAxis->range().lower - 5.0), 105.0);
    ageing_->replot(QCustomPlot::rpQueuedReplot);
}

}  // namespace glumet
