#include "desk/tank/tank_stage.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

#include "core/living/living_findings.h"
#include "core/verdicts/goals.h"
#include "core/words/typed.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "files/file_writer.h"
#include "formats/calendar.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kSideHeight = 132;
constexpr int kRampHeight = 150;
constexpr int kStepsWidth = 150;
constexpr int kHistoriesHeight = 96;
constexpr int kDepthStepMm = 10;
constexpr std::size_t kStepsShown = 6;
constexpr std::size_t kHistoriesShown = 15;
constexpr int kDateLetters = 10;

QString number(double value) { return QString::number(value, 'g', 4); }

QString notANumber(const QString& typed) { return TankStage::tr("\"%1\" is not a number.").arg(typed); }

/// A free name: A … Z, then S27.
std::string freeName(const Bench& bench, Id tank) {
    for (int i = 0;; ++i) {
        const std::string name =
            i < 26 ? std::string(1, static_cast<char>('A' + i)) : "S" + std::to_string(i + 1);
        const bool taken = std::any_of(bench.spots.begin(), bench.spots.end(), [&](const TankSpot& spot) {
            return spot.tank == tank && spot.name == name;
        });
        if (!taken) return name;
    }
}

}  // namespace

TankStage::TankStage(Session& session)
    : Stage(session),
      title_(makeLabel(tr("Who should move, and how slowly to brighten"), TextRole::Title)),
      survey_(makeLabel({}, TextRole::Muted)),
      view_(new TankView),
      depth_(new QSlider(Qt::Horizontal)),
      depth_name_(makeLabel({}, TextRole::Muted)),
      ramp_name_(makeLabel({}, TextRole::Muted)),
      ramp_view_(new PaintedPanel(tr("Levels over the weeks"))),
      steps_(makeLabel({}, TextRole::Body)),
      histories_(new PaintedPanel(tr("What the spots had, survey by survey"))),
      side_view_(new PaintedPanel(tr("The tank from the front, with its spots"))),
      form_(new FormColumn(session)) {
    layOut();
    makeSide();
    connect(view_, &TankView::spotChosen, this, &TankStage::chooseSpot);
    connect(view_, &TankView::spotWanted, this, &TankStage::addSpotAt);
    connect(view_, &TankView::spotMoved, this, [this](Id id, double x, double y) {
        const auto* known = byId(this->session().bench().spots, id);
        if (known == nullptr) return;
        auto spot = *known;
        spot.x = Millimetre(x);
        spot.y = Millimetre(y);
        this->session().edit([&](Project& project) { return project.save(spot); });
    });
    connect(depth_, &QSlider::valueChanged, this, [this] {
        depth_by_hand_ = true;
        showPictures();
    });
}

TankStage::~TankStage() { delete side_; }

void TankStage::layOut() {
    survey_->setObjectName(QStringLiteral("tankSurvey"));
    steps_->setObjectName(QStringLiteral("rampSteps"));
    ramp_name_->setObjectName(QStringLiteral("rampName"));
    depth_->setObjectName(QStringLiteral("mapDepth"));
    depth_->setAccessibleName(tr("Depth of the map"));
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(6);
    title_->setWordWrap(true);
    survey_->setWordWrap(true);
    layout->addWidget(title_);
    layout->addWidget(survey_);
    layout->addWidget(view_, 1);
    auto* deep = new QHBoxLayout;
    deep->addWidget(depth_name_);
    deep->addWidget(depth_, 1);
    auto* add = quietButton(tr("new spot"));
    add->setObjectName(QStringLiteral("newSpot"));
    deep->addWidget(add);
    connect(add, &QPushButton::clicked, this, &TankStage::addSpot);
    layout->addLayout(deep);
    auto* plan_head = new QHBoxLayout;
    plan_head->addWidget(ramp_name_, 1);
    const auto button = [&](const char* name, const QString& text, void (TankStage::*work)()) {
        auto* made = quietButton(text);
        made->setObjectName(QLatin1String(name));
        plan_head->addWidget(made);
        connect(made, &QPushButton::clicked, this, work);
    };
    button("newRamp", tr("new plan"), &TankStage::newRamp);
    button("rampCalendar", tr("into a calendar…"), &TankStage::askForCalendar);
    layout->addLayout(plan_head);
    auto* plan = new QHBoxLayout;
    ramp_view_->setFixedHeight(kRampHeight);
    steps_->setFixedWidth(kStepsWidth);
    steps_->setAlignment(Qt::AlignTop);
    plan->addWidget(ramp_view_, 1);
    plan->addWidget(steps_);
    layout->addLayout(plan);
    layout->addWidget(makeLabel(tr("What the spots had"), TextRole::Muted));
    histories_->setFixedHeight(kHistoriesHeight);
    layout->addWidget(histories_);
}

void TankStage::makeSide() {
    side_ = new QWidget;
    auto* layout = new QVBoxLayout(side_);
    layout->setContentsMargins(12, 12, 8, 12);
    layout->setSpacing(6);
    side_view_->setFixedHeight(kSideHeight);
    layout->addWidget(side_view_);
    layout->addWidget(makeLabel(tr("● has what it asks   ▲ more   ▼ less   ○ bare"), TextRole::Muted));
    auto* scroll = new QScrollArea;
    scroll->setAccessibleName(tr("The spot, who lives there, and the brightening"));
    scroll->setWidget(form_);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    layout->addWidget(scroll, 1);
    form_->letShrink();
    addSpotRows();
    addOrganismRows();
    addRampRows();
    form_->addStretch();
}

// What is looked at.

/// The project's living tank; the one with spots before others.
const Tank* TankStage::tank() const {
    const auto& bench = session().bench();
    const Tank* first = nullptr;
    for (const auto& tank : bench.tanks) {
        const bool has = std::any_of(bench.spots.begin(), bench.spots.end(),
                                     [&](const TankSpot& spot) { return spot.tank == tank.id; });
        if (has) return &tank;
        if (first == nullptr || (first->use != TankUse::Living && tank.use == TankUse::Living)) first = &tank;
    }
    return first;
}

std::vector<const TankSpot*> TankStage::spots() const {
    std::vector<const TankSpot*> out;
    const auto* in = tank();
    for (const auto& spot : session().bench().spots)
        if (in != nullptr && spot.tank == in->id) out.push_back(&spot);
    return out;
}

const TankSpot* TankStage::chosen() const { return byId(session().bench().spots, spot_); }
const Organism* TankStage::lives() const { return livesAt(session().bench(), spot_); }

const Acclimation* TankStage::ramp() const {
    const auto* in = tank();
    for (const auto& ramp : session().bench().ramps)
        if (ramp.tank == 0 || (in != nullptr && ramp.tank == in->id)) return &ramp;
    return nullptr;
}

void TankStage::chooseSpot(Id spot) {
    session().settle();
    spot_ = spot;
    form_->refreshAnew();
    depth_by_hand_ = false;
    emit viewChanged();
}

// Rows.

FormColumn::Write TankStage::spotWriter(std::function<QString(TankSpot&, const QString&)> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (chosen() == nullptr) return typed.isEmpty() ? QString() : tr("Choose a spot first.");
        auto spot = *chosen();
        if (auto wrong = change(spot, typed); !wrong.isEmpty()) return wrong;
        return session().edit([&](Project& project) { return project.save(spot); });
    };
}

FormColumn::Write TankStage::organismWriter(std::function<QString(Organism&, const QString&)> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (chosen() == nullptr) return typed.isEmpty() ? QString() : tr("Choose a spot first.");
        Organism organism;
        organism.spot = spot_;
        organism.since = session().now().left(kDateLetters).toStdString();
        if (lives() != nullptr) organism = *lives();
        if (auto wrong = change(organism, typed); !wrong.isEmpty()) return wrong;
        if (organism.name.empty())
            return lives() == nullptr ? QString() : session().edit([&](Project& project) {
                return project.removeOrganism(organism.id);
            });
        return session().edit([&](Project& project) { return project.save(organism); });
    };
}

FormColumn::Write TankStage::rampWriter(std::function<QString(Acclimation&, const QString&)> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (ramp() == nullptr) return typed.isEmpty() ? QString() : tr("Make a new plan first.");
        auto changed = *ramp();
        if (auto wrong = change(changed, typed); !wrong.isEmpty()) return wrong;
        if (const auto steps = datedSteps(changed); !steps)
            return text(say("{} {}", steps.error().where, steps.error().what), session().unit());
        return session().edit([&](Project& project) { return project.save(changed); });
    };
}

QString TankStage::typeReading(const QString& typed) {
    if (typed.trimmed().isEmpty()) return {};
    if (chosen() == nullptr) return tr("Choose a spot first.");
    const auto value = parseNumber(typed.toStdString());
    if (!value || *value < 0.0) return tr("\"%1\" is not a PPFD of 0 or more.").arg(typed);
    SpotReading reading;
    reading.mean = Ppfd(*value);
    reading.time = session().now().toStdString();
    return session().edit([&](Project& project) { return project.readSpot(spot_, reading); });
}

void TankStage::addSpotRows() {
    auto* remove = quietButton(tr("remove"));
    remove->setObjectName(QStringLiteral("removeSpot"));
    connect(remove, &QPushButton::clicked, this, &TankStage::removeSpot);
    form_->addHeading(tr("Spot"), remove);
    const auto named = [](QLineEdit* edit, const char* name) { edit->setObjectName(QLatin1String(name)); };
    named(form_->addText(
              tr("name"), [this] { return chosen() == nullptr ? QString() : text(chosen()->name); },
              spotWriter([](TankSpot& spot, const QString& typed) {
                  if (typed.trimmed().isEmpty()) return tr("A spot needs a name.");
                  spot.name = typed.trimmed().toStdString();
                  return QString();
              })),
          "spotName");
    named(form_->addText(
              tr("reading now"), [] { return QString(); },
              [this](const QString& typed) { return typeReading(typed); }, tr("µmol·m⁻²·s⁻¹")),
          "spotReading");
    const auto length = [&](const QString& name, const char* object, Millimetre TankSpot::*member) {
        named(form_->addText(
                  name,
                  [this, member] {
                      return chosen() == nullptr ? QString() : session().length(chosen()->*member);
                  },
                  spotWriter([this, member](TankSpot& spot, const QString& typed) {
                      const auto value = parseLength(typed.toStdString(), session().unit());
                      if (!value) return tr("\"%1\" is not a length.").arg(typed);
                      spot.*member = *value;
                      return QString();
                  })),
              object);
    };
    length(tr("under water"), "spotDepth", &TankSpot::depth);
    length(tr("from the left"), "spotX", &TankSpot::x);
    length(tr("from the front"), "spotY", &TankSpot::y);
    form_->addChoice(
        tr("flow"), {tr("not known"), tr("low"), tr("medium"), tr("high")},
        [this] { return chosen() == nullptr ? 0 : static_cast<int>(chosen()->flow); },
        [this](int index) {
            return spotWriter([index](TankSpot& spot, const QString&) {
                spot.flow = static_cast<SpotFlow>(index);
                return QString();
            })(QStringLiteral("x"));
        });
}

void TankStage::addOrganismRows() {
    form_->addHeading(tr("Who lives there"));
    form_
        ->addText(
            tr("species"), [this] { return lives() == nullptr ? QString() : text(lives()->name); },
            organismWriter([](Organism& organism, const QString& typed) {
                organism.name = typed.trimmed().toStdString();
                return QString();
            }),
            tr("nobody"))
        ->setObjectName(QStringLiteral("organismName"));
    addGoalRow();
    form_
        ->addText(
            tr("seen at"),
            [this] {
                const auto* who = lives();
                return who == nullptr || !who->seen_low || !who->seen_high
                           ? QString()
                           : QStringLiteral("%1–%2").arg(text(ppfdFigure(*who->seen_low)),
                                                         text(ppfdFigure(*who->seen_high)));
            },
            organismWriter([](Organism& organism, const QString& typed) {
                organism.seen_low.reset();
                organism.seen_high.reset();
                if (typed.trimmed().isEmpty()) return QString();
                const auto range = typedRange(typed.toStdString());
                const auto low = range ? parseNumber(range->first) : std::nullopt;
                const auto high = range ? parseNumber(range->second) : std::nullopt;
                if (!low || !high) return tr("\"%1\" is not a span such as 80–200.").arg(typed);
                organism.seen_low = Ppfd(*low);
                organism.seen_high = Ppfd(*high);
                return QString();
            }),
            tr("your own evidence"))
        ->setObjectName(QStringLiteral("organismSeen"));
    form_->addChoice(
        tr("does"), {tr("not known"), tr("thrive"), tr("hold"), tr("decline")},
        [this] { return lives() == nullptr ? 0 : static_cast<int>(lives()->state); },
        [this](int index) {
            if (lives() == nullptr) return tr("Say first who lives there.");
            return organismWriter([index](Organism& organism, const QString&) {
                organism.state = static_cast<Wellbeing>(index);
                return QString();
            })({});
        });
}

/// The ready goals; those that the reviewer wrote are kept by the method.
void TankStage::addGoalRow() {
    QStringList goals{tr("none")};
    for (const auto& goal : readyGoals()) goals << text(goal.name);
    form_->addChoice(
        tr("goal"), goals,
        [this] {
            if (lives() == nullptr) return 0;
            const auto& ready = readyGoals();
            for (std::size_t i = 0; i < ready.size(); ++i)
                if (ready[i].name == lives()->goal.name) return static_cast<int>(i) + 1;
            return 0;
        },
        [this](int index) {
            if (lives() == nullptr) return tr("Say first who lives there.");
            return organismWriter([index](Organism& organism, const QString&) {
                organism.goal = index == 0 ? Goal{} : readyGoals()[static_cast<std::size_t>(index - 1)];
                return QString();
            })({});
        });
}

void TankStage::addRampRows() {
    auto* remove = quietButton(tr("remove"));
    remove->setObjectName(QStringLiteral("removeRamp"));
    connect(remove, &QPushButton::clicked, this, &TankStage::removeRamp);
    form_->addHeading(tr("Brightening"), remove);
    const auto figure = [&](const QString& name, const char* object, double Acclimation::*member) {
        form_
            ->addText(
                name, [this, member] { return ramp() == nullptr ? QString() : number(ramp()->*member); },
                rampWriter([member](Acclimation& changed, const QString& typed) {
                    const auto value = parseNumber(typed.toStdString());
                    if (!value) return notANumber(typed);
                    changed.*member = *value;
                    return QString();
                }))
            ->setObjectName(QLatin1String(object));
    };
    figure(tr("from, %"), "rampFrom", &Acclimation::from_pct);
    figure(tr("to, %"), "rampTo", &Acclimation::to_pct);
    figure(tr("weeks"), "rampWeeks", &Acclimation::weeks);
    form_
        ->addText(
            tr("at most, % a week"),
            [this] {
                return ramp() == nullptr || !ramp()->cap_pct_week ? QString() : number(*ramp()->cap_pct_week);
            },
            rampWriter([](Acclimation& changed, const QString& typed) {
                changed.cap_pct_week.reset();
                if (typed.trimmed().isEmpty()) return QString();
                const auto value = parseNumber(typed.toStdString());
                if (!value) return notANumber(typed);
                changed.cap_pct_week = *value;
                return QString();
            }),
            tr("brighter"))
        ->setObjectName(QStringLiteral("rampCap"));
    form_
        ->addText(
            tr("begins"), [this] { return ramp() == nullptr ? QString() : text(ramp()->start); },
            rampWriter([](Acclimation& changed, const QString& typed) {
                changed.start = typed.trimmed().toStdString();
                return QString();
            }))
        ->setObjectName(QStringLiteral("rampStart"));
    form_->addChoice(
        tr("rises by"), {tr("equal points"), tr("equal shares")},
        [this] { return ramp() == nullptr ? 1 : static_cast<int>(ramp()->by); },
        [this](int index) {
            return rampWriter([index](Acclimation& changed, const QString&) {
                changed.by = static_cast<RampBy>(index);
                return QString();
            })(QStringLiteral("x"));
        });
}

// What is done.

void TankStage::addSpotAt(double x_mm, double y_mm) {
    const auto* in = tank();
    if (in == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    TankSpot spot;
    spot.tank = in->id;
    spot.name = freeName(session().bench(), in->id);
    spot.x = Millimetre(x_mm);
    spot.y = Millimetre(y_mm);
    spot.depth = Millimetre(depth_->value());
    Id made = 0;
    session().edit([&](Project& project) {
        auto saved = project.save(spot);
        if (saved) made = *saved;
        return saved;
    });
    if (made != 0) chooseSpot(made);
}

void TankStage::addSpot() {
    const auto* in = tank();
    if (in == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    addSpotAt(in->length.value() / 2.0, in->width.value() / 2.0);
}

void TankStage::removeSpot() {
    if (chosen() == nullptr) return session().warn(tr("Choose a spot first."));
    const Id gone = spot_;
    chooseSpot(0);
    session().edit([&](Project& project) { return project.removeSpot(gone); });
}

void TankStage::newRamp() {
    const auto* in = tank();
    if (in == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    if (ramp() != nullptr) return session().warn(tr("One plan at a time: remove the one there is first."));
    Acclimation made;
    made.tank = in->id;
    made.name = "new light";
    made.start = session().now().left(kDateLetters).toStdString();
    const auto surveys = surveysOf(session().bench(), in->id);
    if (surveys.size() >= 2)
        if (const auto first = firstLevel(surveys, surveys[surveys.size() - 2].day, surveys.back().day, 0.2);
            first && first->level_pct < 100.0)
            made.from_pct = std::max(1.0, std::floor(first->level_pct));
    session().edit([&](Project& project) { return project.save(made); });
}

void TankStage::removeRamp() {
    if (ramp() == nullptr) return session().warn(tr("There is no plan."));
    const Id gone = ramp()->id;
    session().edit([&](Project& project) { return project.removeRamp(gone); });
}

void TankStage::noteOnRamp(RampEventKind kind) {
    if (ramp() == nullptr) return session().warn(tr("There is no plan."));
    auto changed = *ramp();
    changed.events.push_back({session().now().left(kDateLetters).toStdString(), kind, {}});
    session().edit([&](Project& project) { return project.save(changed); });
}

void TankStage::askForCalendar() {
    if (ramp() == nullptr) return session().warn(tr("There is no plan."));
    const QString path = QFileDialog::getSaveFileName(
        this, tr("The plan as a calendar"), QStringLiteral("brightening.ics"), tr("Calendar (*.ics)"));
    if (!path.isEmpty()) writeCalendar(path);
}

void TankStage::writeCalendar(const QString& path) {
    if (ramp() == nullptr) return session().warn(tr("There is no plan."));
    const auto steps = datedSteps(*ramp());
    if (!steps) return session().warn(text(steps.error()));
    const auto calendar =
        calendarOf(calendarDays(ramp()->name, *steps), session().now().left(kDateLetters).toStdString());
    if (!calendar) return session().warn(text(calendar.error()));
    if (const auto done = writeWhole(path, QByteArray::fromStdString(*calendar)); !done)
        return session().warn(text(done.error()));
    session().say(tr("%1 days in %2").arg(steps->size()).arg(path));
}

// What is shown.

/// What the fixtures over the tank would give without anything in the way: of the last run that was read in
/// it, by the fit of one of them.
ExpectedLight TankStage::expectedLight() {
    const auto* in = tank();
    const Sweep* over = nullptr;
    for (const auto& sweep : session().sweeps())
        if (in != nullptr && sweep.configuration.tank == in->id) over = &sweep;
    if (over == nullptr) return {};
    const auto& single = singleOf(session().sweeps(), *over);
    session().wantFitOf(single);
    const auto* fit = session().fitOf(single);
    if (fit == nullptr || !*fit) return {};
    if (const Id run = over->runs.back(); run != field_run_ || !field_fit_ || *field_fit_ != **fit) {
        field_values_.clear();
        field_.reset();
        field_run_ = run;
        field_fit_ = **fit;
        if (auto model = DescribedModel::fitted(session().bench(), run, **fit)) field_ = model->takeField();
    }
    if (field_ == nullptr) return {};
    return [this](double x, double y, double depth) {
        auto [at, fresh] = field_values_.try_emplace({x, y, depth});
        const std::array<std::array<double, 2>, 1> place{{{x, y}}};
        if (fresh) at->second = field_->onPlane(Millimetre(depth), place).front();
        return at->second;
    };
}

void TankStage::showPictures() {
    const auto* in = tank();
    figure_ = in == nullptr
                  ? TankFigure{}
                  : tankFigure(session().bench(), *in, Millimetre(depth_->value()), spot_, expectedLight());
    if (in == nullptr) figure_.empty = tr("Describe a tank in Bench first");
    const auto& c = colours();
    const QString deep = session().length(Millimetre(depth_->value()));
    depth_name_->setText(field_ == nullptr ? tr("light at %1, between the spots as they tell it").arg(deep)
                                           : tr("light at %1, between the spots by the fit").arg(deep));
    side_view_->setPaint([figure = figure_, &c](QPainter& p, const QRectF& area) {
        paintTankSide(p, area.adjusted(2, 4, -2, -2), figure, c);
    });
    view_->setFigure(figure_, c);
}

void TankStage::refresh() {
    const auto* in = tank();
    if (chosen() == nullptr || in == nullptr || chosen()->tank != in->id)
        spot_ = spots().empty() ? 0 : spots().front()->id;
    {
        const QSignalBlocker quiet(depth_);
        depth_->setRange(0, in == nullptr ? 0 : static_cast<int>(in->water_depth.value()));
        depth_->setSingleStep(kDepthStepMm);
        depth_->setPageStep(5 * kDepthStepMm);
        if (!depth_by_hand_ && chosen() != nullptr)
            depth_->setValue(static_cast<int>(chosen()->depth.value()));
    }
    form_->refresh();
    showPictures();
    const auto surveys = in == nullptr ? std::vector<TankSurvey>() : surveysOf(session().bench(), in->id);
    survey_->setText(in == nullptr     ? QString()
                     : surveys.empty() ? tr("%1, not read yet").arg(text(in->name))
                                       : tr("%1, read %2, %3 spots")
                                             .arg(text(in->name), text(surveys.back().day))
                                             .arg(surveys.back().spots.size()));
    showRamp();
    showHistories(surveys);
}

void TankStage::showRamp() {
    const auto& c = colours();
    const auto* plan = ramp();
    const auto steps =
        plan == nullptr ? std::vector<DatedStep>() : datedSteps(*plan).value_or(std::vector<DatedStep>());
    ramp_name_->setText(plan == nullptr ? tr("No light is being raised")
                                        : tr("Brightening: %1").arg(text(plan->name)));
    ramp_view_->setPaint([steps, today = session().now(), &c](QPainter& p, const QRectF& area) {
        paintRamp(p, area, steps, today, c);
    });
    QStringList lines;
    const std::string today = session().now().left(kDateLetters).toStdString();
    for (const auto& step : steps)
        if (step.day > today && static_cast<std::size_t>(lines.size()) < kStepsShown)
            lines << QStringLiteral("%1   <b>%2 %</b>%3")
                         .arg(text(step.day), QString::number(qRound(step.level_pct)),
                              step.held ? tr("  hold") : QString());
    steps_->setText(
        lines.isEmpty()
            ? (plan == nullptr
                   ? tr("A new light begins dim and is raised over weeks, so that nothing bleaches.")
                   : tr("At its end."))
            : lines.join(QStringLiteral("<br>")));
    steps_->setWordWrap(true);
}

/// What each spot had, survey by survey; what lost its light by itself stands out.
void TankStage::showHistories(const std::vector<TankSurvey>& surveys) {
    const auto& c = colours();
    const auto change = surveys.size() < 2
                            ? std::nullopt
                            : changeBetween(surveys, surveys[surveys.size() - 2].day, surveys.back().day);
    const auto lost = [&](Id spot) {
        return change && std::any_of(change->spots.begin(), change->spots.end(),
                                     [&](const SpotChange& one) { return one.spot == spot && one.lost; });
    };
    // More than can be read side by side are left out, not those that were chosen or lost their light.
    auto shown = spots();
    if (shown.size() > kHistoriesShown) {
        std::stable_partition(shown.begin(), shown.end(),
                              [&](const TankSpot* spot) { return spot->id == spot_ || lost(spot->id); });
        shown.resize(kHistoriesShown);
    }
    std::vector<SpotHistory> histories;
    for (const auto* spot : shown) {
        SpotHistory one{text(spot->name), {}, lost(spot->id)};
        for (const auto& reading : spot->readings) {
            const double day = daysBetween(surveys.front().day, reading.time).value_or(0);
            if (!one.points.empty() && one.points.back().first == day) one.points.pop_back();
            one.points.emplace_back(day, reading.mean.value());
        }
        if (!one.points.empty()) histories.push_back(std::move(one));
    }
    histories_->setPaint(
        [histories, &c](QPainter& p, const QRectF& area) { paintHistories(p, area, histories, c); });
}

std::vector<Finding> TankStage::findings() const {
    const auto* in = tank();
    if (in == nullptr) return {};
    return livingFindings(session().bench(),
                          {in->id, session().now().left(kDateLetters).toStdString(), spot_});
}

}  // namespace glumet
