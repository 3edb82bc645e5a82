#include "desk/array/array_stage.h"

#include <qcustomplot.h>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <map>

#include "core/placement.h"
#include "desk/shared/theme.h"
#include "report/review_figures.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr std::array kNames{"edge share", "smooth seam", "band fill"};

}  // namespace

ArrayStage::ArrayStage(Session& session)
    : Stage(session),
      title_(makeLabel(tr("How many, how far apart, how bright"), TextRole::Title)),
      headline_(makeLabel({}, TextRole::Heading)),
      view_(new ArrayView),
      form_(new FormColumn(session)),
      reason_(makeLabel({}, TextRole::Body)),
      figures_(makeLabel({}, TextRole::Heading)),
      chart_(new QCustomPlot) {
    reason_->setObjectName(QStringLiteral("arrayReason"));
    figures_->setObjectName(QStringLiteral("arrayFigures"));
    reason_->setWordWrap(true);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(8);
    auto* head = new QHBoxLayout;
    head->addWidget(title_, 1);
    head->addWidget(headline_);
    layout->addLayout(head);
    makeSchools();
    auto* row = new QHBoxLayout;
    row->setSpacing(0);
    for (auto* button : schools_) row->addWidget(button);
    row->addStretch(1);
    layout->addLayout(row);
    layout->addWidget(reason_);
    layout->addWidget(view_);
    layout->addWidget(figures_);
    makeForm();
    auto* lower = new QHBoxLayout;
    lower->setSpacing(24);
    lower->addWidget(form_, 2);
    auto* plot = new QVBoxLayout;
    plot->setSpacing(2);
    plot->addWidget(makeLabel(tr("Centre and outer ring as the outer two move outward"), TextRole::Muted));
    plot->addWidget(chart_, 1);
    lower->addLayout(plot, 3);
    layout->addLayout(lower, 1);
    chart_->setAccessibleName(tr("Centre and edge against the spacing"));
    chart_->setMinimumHeight(150);
    connect(view_, &ArrayView::moved, this, [this] {
        reason_->setText(tr("Moved by hand. It snaps to the schools' positions."));
        showFigures();
    });
    connect(&session, &Session::fitChanged, this, [this] {
        answer_.reset();
        if (isVisible()) emit viewChanged();
    });
}

void ArrayStage::makeSchools() {
    for (std::size_t i = 0; i < kNames.size(); ++i) {
        auto* button = new QPushButton(QLatin1String(kNames[i]));
        button->setCheckable(true);
        button->setProperty("segment", true);
        button->setObjectName(QStringLiteral("arraySchool%1").arg(i));
        connect(button, &QPushButton::clicked, this, [this, i] { hangBy(i); });
        schools_[i] = button;
    }
}

template <class Change>
FormColumn::Write ArrayStage::changing(Change change) {
    return [this, change](const QString& typed) -> QString {
        const QString fault = change(typed);
        if (!fault.isEmpty()) return fault;
        answer_.reset();
        refresh();
        return {};
    };
}

void ArrayStage::makeForm() {
    tanks_ = form_->addChoice(
        tr("tank"), {}, [this] { return qMax(0, tanks_->findData(static_cast<qlonglong>(tank_))); },
        [this](int index) {
            tank_ = tanks_->itemData(index).toLongLong();
            answer_.reset();
            refresh();
            return QString();
        });
    tanks_->setObjectName(QStringLiteral("arrayTank"));
    form_
        ->addText(
            tr("how many"), [this] { return QString::number(count_); },
            changing([this](const QString& typed) -> QString {
                bool whole = false;
                const int count = typed.toInt(&whole);
                if (!whole || count < 1 || count > 12) return tr("1 to 12 fixtures may hang.");
                count_ = count;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayCount"));
    form_
        ->addText(
            tr("height"), [this] { return height_ ? session().length(*height_) : QString(); },
            changing([this](const QString& typed) -> QString {
                const auto height = parseLength(typed.toStdString(), session().unit());
                if (!height || height->value() < 10.0) return tr("The height must be a length above 1 cm.");
                height_ = *height;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayHeight"));
    form_
        ->addText(
            tr("edge share"), [this] { return text(percentText(share_)); },
            changing([this](const QString& typed) -> QString {
                const auto percent = parseNumber(QString(typed).remove(QLatin1Char('%')).toStdString());
                if (!percent || *percent < 10.0 || *percent > 120.0) return tr("70, 75 or 80 % are usual.");
                share_ = *percent / 100.0;
                return {};
            }))
        ->setObjectName(QStringLiteral("arrayShare"));
    form_
        ->addText(
            tr("level"), [this] { return text(percentText(level_pct_ / 100.0)); },
            [this](const QString& typed) -> QString {
                const auto percent = parseNumber(QString(typed).remove(QLatin1Char('%')).toStdString());
                if (!percent || *percent < 1.0 || *percent > 100.0) return tr("A level is 1 to 100 %.");
                level_pct_ = *percent;
                show();
                return {};
            })
        ->setObjectName(QStringLiteral("arrayLevel"));
    form_->addStretch();
}

const Tank* ArrayStage::tank() const { return byId(session().bench().tanks, tank_); }

const LightModel* ArrayStage::model() const {
    const auto* fit = session().fit();
    return fit != nullptr && *fit ? &(*fit)->model : nullptr;
}

QString ArrayStage::reasonForNothing() const {
    if (session().sweep() == nullptr) return tr("Measure one fixture first: two planes or more.");
    if (session().fitting()) return tr("Fitting the fixture to its readings …");
    const auto* fit = session().fit();
    if (fit != nullptr && !*fit) return tr("No model: %1.").arg(text(fit->error().sentence()));
    if (tank() == nullptr) return tr("Describe a tank in Bench first.");
    return tr("No model yet.");
}

void ArrayStage::refresh() {
    session().wantFit();
    const auto& bench = session().bench();
    if (tank() == nullptr && !bench.tanks.empty()) tank_ = bench.tanks.back().id;
    tanks_->clear();
    for (const auto& t : bench.tanks) tanks_->addItem(text(t.name), static_cast<qlonglong>(t.id));
    const auto configuration =
        session().sweep() == nullptr ? std::nullopt : std::optional(session().sweep()->configuration);
    if (words_ != session().unit()) answer_.reset();
    words_ = session().unit();
    if (answer_of_ != configuration) {
        answer_.reset();
        height_.reset();
        answer_of_ = configuration;
    }
    if (!height_) {
        const auto* headline = session().headline();
        height_ = headline != nullptr && headline->height ? headline->height : session().height();
    }
    dressPlot(*chart_, colours());
    if (!answer_) judge();
    form_->refresh();
    show();
}

void ArrayStage::judge() {
    if (model() == nullptr || tank() == nullptr || !height_) return;
    ArrayQuestion question;
    question.tank = emptyScene(*tank(), false);
    question.tank.water.attenuation_per_m = (*session().fit())->attenuation_per_m;
    question.count = count_;
    question.height = *height_;
    question.share = share_;
    question.band = session().band();
    question.words = session().unit();
    auto answer = spacing(*model(), question);
    if (!answer) return session().warn(text(answer.error().sentence()));
    answer_ = std::move(*answer);
    // The first school that can speak hangs them.
    for (std::size_t i = 0; i < answer_->schools.size(); ++i) {
        school_ = i;
        if (answer_->schools[i].speaks()) break;
    }
    level_pct_ = answer_->steps[answer_->schools[school_].step].level_pct;
}

LightScene ArrayStage::sceneNow(const std::vector<double>& centres) const {
    auto scene = emptyScene(*tank(), false);
    const double attenuation = (*session().fit())->attenuation_per_m;
    scene.water.attenuation_per_m = attenuation;
    for (auto& channel : scene.channels) channel.attenuation = Attenuation::grey(attenuation);
    hangAt(scene, centres, *height_, 1.0, {});
    auto lit = sceneWith(*model(), scene);
    return lit ? std::move(*lit) : scene;
}

void ArrayStage::show() {
    for (auto* button : schools_) button->setEnabled(answer_.has_value());
    if (!answer_ || model() == nullptr) {
        view_->setEmpty(reasonForNothing(), colours());
        headline_->clear();
        reason_->clear();
        figures_->clear();
        chart_->clearGraphs();
        chart_->clearItems();
        chart_->replot();
        return;
    }
    const auto& verdict = answer_->schools[school_];
    std::vector<double> centres = verdict.centres_mm;
    if (centres.empty())
        for (const auto centre : equalDivision(tank()->length, count_)) centres.push_back(centre.value());
    ArrayView::Scene scene;
    scene.scene = sceneNow(centres);
    scene.depth_mm = 0.5 * tank()->water_depth.value();
    scene.level = level_pct_ / 100.0;
    scene.band = session().band();
    scene.body_length_mm = model()->body_length_mm;
    scene.body_width_mm = model()->body_width_mm;
    for (const auto& school : answer_->schools) scene.snaps.push_back(school.centres_mm);
    view_->setScene(scene, colours());
    headline_->setText(tr("%1 × %2 over %3").arg(count_).arg(text(model()->fixture), text(tank()->name)));
    reason_->setText(text(verdict.reason));
    for (std::size_t i = 0; i < schools_.size(); ++i) schools_[i]->setChecked(i == school_);
    showFigures();
    refreshChart();
}

void ArrayStage::showFigures() {
    QStringList places;
    for (const double centre : view_->centres()) places << session().figure(Millimetre(centre));
    const auto& f = view_->figures();
    figures_->setText(tr("Centres at %1 %2; at half depth, %3 output: mean %4, %5–%6, %7 in %8–%9")
                          .arg(places.join(QStringLiteral(" | ")), text(unitName(session().unit())),
                               text(percentText(level_pct_ / 100.0)), text(ppfdFigure(Ppfd(f.mean))),
                               text(ppfdFigure(Ppfd(f.min))), text(ppfdFigure(Ppfd(f.max))),
                               text(percentText(f.in_band)), text(ppfdFigure(session().band().low)),
                               text(ppfdFigure(session().band().high))));
}

void ArrayStage::refreshChart() {
    chart_->clearGraphs();
    chart_->clearItems();
    auto* centre = chart_->addGraph();
    auto* edge = chart_->addGraph();
    centre->setPen(QPen(colours().accent, 2.2));
    edge->setPen(QPen(colours().water, 2.2));
    for (const auto& step : answer_->steps) {
        const double x = inUnit(Millimetre(step.outward_mm), session().unit());
        centre->addData(x, step.centre);
        edge->addData(x, step.edge);
    }
    chart_->rescaleAxes();
    chart_->yAxis->setRange(0, chart_->yAxis->range().upper * 1.15);
    const auto name = [&](const QString& words, double y, const QColor& colour) {
        auto* label = new QCPItemText(chart_);
        label->setText(words);
        label->setFont(houseFont(12));
        label->setColor(colour);
        label->setPositionAlignment(Qt::AlignLeft | Qt::AlignBottom);
        label->position->setCoords(chart_->xAxis->range().lower, y);
        label->setPadding(QMargins(4, 0, 0, 4));
    };
    name(tr("centre"), answer_->steps.front().centre, colours().accent);
    name(tr("outer ring"), answer_->steps.front().edge, colours().water);
    if (const auto& verdict = answer_->schools[school_]; verdict.speaks()) {
        auto* line = new QCPItemStraightLine(chart_);
        const double x = inUnit(Millimetre(answer_->steps[verdict.step].outward_mm), session().unit());
        line->setPen(QPen(colours().accent, 1.6, Qt::DashLine));
        line->point1->setCoords(x, 0);
        line->point2->setCoords(x, 1);
    }
    chart_->xAxis->setLabel(tr("outward of equal division, %1").arg(text(unitName(session().unit()))));
    chart_->replot(QCustomPlot::rpQueuedReplot);
}

void ArrayStage::hangBy(std::size_t school) {
    if (!answer_ || school >= answer_->schools.size()) return;
    school_ = school;
    if (answer_->schools[school].speaks())
        level_pct_ = answer_->steps[answer_->schools[school].step].level_pct;
    form_->refresh();
    show();
    emit viewChanged();
}

std::vector<Finding> ArrayStage::findings() const {
    std::vector<Finding> out;
    const auto add = [&](FindingKind kind, const QString& title, const QString& body) {
        Finding finding;
        finding.kind = kind;
        finding.title = title.toStdString();
        finding.body = body.toStdString();
        finding.view = EvidenceView::Field;
        out.push_back(std::move(finding));
    };
    const auto* fit = session().fit();
    if (!answer_ || fit == nullptr || !*fit) {
        add(FindingKind::Next, tr("No array yet"), reasonForNothing());
        return out;
    }
    const auto& result = **fit;
    add(FindingKind::Fact, tr("Fitted to %1 readings").arg(result.model.readings),
        tr("They lie %1 off it; it emits %2 ± %3 µmol/s.")
            .arg(text(percentText(result.model.relative_residual)))
            .arg(result.model.flux(), 0, 'f', 0)
            .arg(result.model.fluxError(), 0, 'f', 1));
    for (std::size_t i = 0; i < answer_->schools.size(); ++i)
        if (i != school_)
            add(FindingKind::Fact, tr("By %1").arg(QLatin1String(kNames[i])),
                text(answer_->schools[i].reason));
    std::map<std::size_t, std::pair<int, int>> of_run;  // distrusted, all
    for (const auto& residual : result.residuals) {
        of_run[residual.run].first += residual.distrusted ? 1 : 0;
        ++of_run[residual.run].second;
    }
    for (const auto& [run, count] : of_run) {
        if (count.first * 2 < count.second) continue;
        add(FindingKind::Doubt,
            tr("The run at %1 does not fit").arg(session().length(session().bench().runs[run].height)),
            tr("%1 of its %2 readings are off by more than four standard errors: its draw, mode or height "
               "was not what "
               "it says.")
                .arg(count.first)
                .arg(count.second));
        out.back().run = run;
    }
    if (const int bad = result.distrusted(); bad > 0) {
        const auto worst = std::max_element(
            result.residuals.begin(), result.residuals.end(), [](const FitResidual& a, const FitResidual& b) {
                return std::abs(a.standard_errors) < std::abs(b.standard_errors);
            });
        add(FindingKind::Doubt, tr("%1 readings do not fit").arg(bad),
            tr("The worst reads %1 where %2 is expected; they do not count.")
                .arg(text(ppfdFigure(Ppfd(worst->reading))), text(ppfdFigure(Ppfd(worst->model)))));
        out.back().run = worst->run;
        out.back().depth = worst->depth;
    }
    for (const auto& sentence : result.cannot_tell)
        add(FindingKind::Doubt, tr("Cannot be told"), text(sentence));
    return out;
}

}  // namespace glumet
