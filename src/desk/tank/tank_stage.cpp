#include "desk/tank/tank_stage.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

#include "core/living/ramp_by_readings.h"
#include "core/survey/point_doubts.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "files/file_writer.h"
#include "report/living_sheet.h"
#include "report/page/pdf_page.h"
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
constexpr double kNearShare = 0.5;  // of the water: what lives above that nears the lamps as it grows

/// A free name: A … Z, then S27.
std::string freeName(const std::vector<const TankSpot*>& spots) {
    for (int i = 0;; ++i) {
        const std::string name =
            i < 26 ? std::string(1, static_cast<char>('A' + i)) : "S" + std::to_string(i + 1);
        if (std::none_of(spots.begin(), spots.end(),
                         [&](const TankSpot* spot) { return spot->name == name; }))
            return name;
    }
}

/// "−49 %": a spot's light at the later of two looks against the earlier.
QString changeOf(const std::optional<SurveyChange>& change, Id spot) {
    if (change)
        for (const auto& one : change->spots)
            if (one.spot == spot) return text(say("{}", SignedShare{one.ratio - 1.0}), LengthUnit::Mm);
    return {};
}

}  // namespace

TankStage::TankStage(Session& session)
    : Stage(session),
      choice_(session),
      light_(session),
      walk_(session),
      title_(makeLabel(tr("Who should move, and how slowly to brighten"), TextRole::Title)),
      survey_(makeLabel({}, TextRole::Muted)),
      strip_(new SurveyStrip),
      view_(new TankView),
      depth_(new QSlider(Qt::Horizontal)),
      depth_name_(makeLabel({}, TextRole::Muted)),
      panel_(new WalkPanel(session, walk_)),
      ramp_name_(makeLabel({}, TextRole::Muted)),
      ramp_view_(new PaintedPanel(tr("Levels over the weeks"))),
      steps_(makeLabel({}, TextRole::Body)),
      histories_(new PaintedPanel(tr("What the spots had, survey by survey"))),
      side_view_(new PaintedPanel(tr("The tank from the front, with its spots"))),
      form_(new TankForm(session, choice_, light_)) {
    layOut();
    makeSide();
    listenToTheView();
    // Another project has tanks, spots and fixtures of the same numbers.
    connect(&session, &Session::projectChanged, this, [this] {
        choice_ = TankChoice(this->session());
        light_ = TankLight(this->session());
        depth_by_hand_ = false;
    });
    connect(depth_, &QSlider::valueChanged, this, [this] {
        depth_by_hand_ = true;
        showPictures();
    });
    connect(form_, &TankForm::chosen, this, [this] {
        form_->refreshAnew();
        depth_by_hand_ = false;
        emit viewChanged();
    });
    connect(form_, &TankForm::lampsChanged, this, &TankStage::viewChanged);
    connect(strip_, &SurveyStrip::compared, this, [this](const QString& before, const QString& now) {
        choice_.compare(before.toStdString(), now.toStdString());
        emit viewChanged();
    });
    // A fit that says the same as before, which follows every reading, is no reason to show all anew.
    connect(&session, &Session::fitChanged, this, [this] {
        if (isVisible() && light_.settle(choice_.tank())) emit viewChanged();
    });
    connect(&walk_, &SpotWalk::changed, this, &TankStage::followWalk);
    connect(&walk_, &SpotWalk::ended, this, &TankStage::followWalk);
}

void TankStage::listenToTheView() {
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
    connect(view_, &TankView::pointed, this, [this](double x, double y) { sayOfDepth(QPointF(x, y)); });
    connect(view_, &TankView::pointedAway, this, [this] { sayOfDepth({}); });
    connect(view_, &TankView::rockChosen, this, [this](Id rock) {
        choice_.chooseRock(rock);
        form_->refreshAnew();
    });
    connect(view_, &TankView::rockMoved, this, [this](const Rock& rock) {
        this->session().edit([&](Project& project) { return project.save(rock); });
    });
}

TankStage::~TankStage() { delete side_; }

QWidget* TankStage::keyWidget() {
    return walk_.walking() ? static_cast<QWidget*>(panel_) : static_cast<QWidget*>(view_);
}

void TankStage::layOut() {
    survey_->setObjectName(QStringLiteral("tankSurvey"));
    steps_->setObjectName(QStringLiteral("rampSteps"));
    ramp_name_->setObjectName(QStringLiteral("rampName"));
    depth_->setObjectName(QStringLiteral("mapDepth"));
    depth_->setAccessibleName(tr("Depth of the map"));
    depth_name_->setObjectName(QStringLiteral("mapSays"));
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(6);
    title_->setWordWrap(true);
    survey_->setWordWrap(true);
    layout->addWidget(title_);
    auto* head = new QHBoxLayout;
    head->addWidget(survey_);
    auto keeps_place = strip_->sizePolicy();
    keeps_place.setRetainSizeWhenHidden(true);
    strip_->setSizePolicy(keeps_place);
    head->addWidget(strip_, 1);
    walk_button_ = quietButton(tr("walk with the probe"));
    walk_button_->setObjectName(QStringLiteral("walkSpots"));
    connect(walk_button_, &QPushButton::clicked, this, &TankStage::walkOrEnd);
    head->addWidget(walk_button_);
    layout->addLayout(head);
    layout->addWidget(view_, 1);
    auto* deep = new QHBoxLayout;
    deep->addWidget(depth_name_);
    deep->addWidget(depth_, 1);
    auto* add = quietButton(tr("new spot"));
    add->setObjectName(QStringLiteral("newSpot"));
    deep->addWidget(add);
    connect(add, &QPushButton::clicked, this, &TankStage::addSpot);
    layout->addLayout(deep);
    below_ = makeBelow();
    layout->addWidget(below_);
    panel_->setMinimumHeight(below_->sizeHint().height());
    panel_->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    panel_->hide();
    layout->addWidget(panel_);
}

/// The plan to brighten with its steps, and what the spots had.
QWidget* TankStage::makeBelow() {
    auto* holder = new QWidget;
    auto* layout = new QVBoxLayout(holder);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(6);
    auto* plan_head = new QHBoxLayout;
    plan_head->addWidget(ramp_name_, 1);
    const auto button = [&](const char* name, const QString& text, auto work) {
        auto* made = quietButton(text);
        made->setObjectName(QLatin1String(name));
        plan_head->addWidget(made);
        connect(made, &QPushButton::clicked, this, work);
    };
    button("newRamp", tr("new plan"), [this] { form_->newRamp(); });
    button("rampCalendar", tr("calendar…"), [this] { askForCalendar(); });
    button("tankSheet", tr("sheet…"), [this] { askForSheet(); });
    layout->addLayout(plan_head);
    auto* plan = new QHBoxLayout;
    ramp_view_->setFixedHeight(kRampHeight);
    steps_->setFixedWidth(kStepsWidth);
    steps_->setAlignment(Qt::AlignTop);
    steps_->setWordWrap(true);
    plan->addWidget(ramp_view_, 1);
    plan->addWidget(steps_);
    layout->addLayout(plan);
    histories_name_ = makeLabel({}, TextRole::Muted);
    histories_name_->setObjectName(QStringLiteral("historiesSay"));
    layout->addWidget(histories_name_);
    histories_->setFixedHeight(kHistoriesHeight);
    layout->addWidget(histories_);
    return holder;
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
}

void TankStage::showEvent(QShowEvent* event) {
    walk_.setWatched(true);
    Stage::showEvent(event);
}

void TankStage::hideEvent(QHideEvent* event) {
    walk_.setWatched(false);
    Stage::hideEvent(event);
}

void TankStage::chooseSpot(Id spot) {
    session().settle();
    choice_.chooseSpot(spot);
    walk_.goTo(spot);
    form_->refreshAnew();
    depth_by_hand_ = false;
    emit viewChanged();
}

// What is done.

void TankStage::walkOrEnd() {
    if (walk_.walking()) return walk_.end();
    const auto* in = choice_.tank();
    if (in == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    walk_.start(in->id);
}

/// The walk's spot is the one that is looked at; its panel stands where the plan was.
void TankStage::followWalk() {
    const bool walking = walk_.walking();
    const bool began = walking && !panel_->isVisibleTo(this);
    below_->setVisible(!walking);
    panel_->setVisible(walking);
    walk_button_->setText(walking ? tr("end the walk") : tr("walk with the probe"));
    if (walking && walk_.spot() != spot()) {
        choice_.chooseSpot(walk_.spot());
        form_->refreshAnew();
        depth_by_hand_ = false;
    }
    if (began)
        panel_->setFocus();
    else if (!walking && isVisible())
        view_->setFocus();
    emit viewChanged();
}

void TankStage::addSpotAt(double x_mm, double y_mm) {
    const auto* in = choice_.tank();
    if (in == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    TankSpot made;
    made.tank = in->id;
    made.name = freeName(choice_.spots());
    made.x = Millimetre(x_mm);
    made.y = Millimetre(y_mm);
    made.depth = Millimetre(depth_->value());
    Id id = 0;
    session().edit([&](Project& project) {
        auto saved = project.save(made);
        if (saved) id = *saved;
        return saved;
    });
    if (id != 0) chooseSpot(id);
}

void TankStage::addSpot() {
    const auto* in = choice_.tank();
    if (in == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    addSpotAt(in->length.value() / 2.0, in->width.value() / 2.0);
}

void TankStage::noteOnRamp(RampEventKind kind) {
    if (choice_.ramp() == nullptr) return session().warn(tr("There is no plan."));
    auto changed = *choice_.ramp();
    changed.events.push_back({choice_.today(), kind, {}});
    session().edit([&](Project& project) { return project.save(changed); });
}

/// The plan as the readings ask.
std::vector<DatedStep> TankStage::steps() const {
    const auto* plan = choice_.ramp();
    if (plan == nullptr) return {};
    auto dated = datedSteps(*plan);
    return dated ? byReadings(std::move(*dated), choice_.surveys()) : std::vector<DatedStep>();
}

/// The plan's days, and when the spots are to be read next.
std::vector<CalendarDay> TankStage::calendar() const {
    const auto dated = steps();
    auto days = dated.empty() ? std::vector<CalendarDay>() : calendarDays(choice_.ramp()->name, dated);
    if (!choice_.surveys().empty())
        days.push_back(
            lookDay(choice_.tank()->name,
                    std::max(choice_.today(), daysAfter(choice_.surveys().back().day, kLookAgainDays))));
    return days;
}

void TankStage::askForCalendar() {
    if (calendar().empty()) return session().warn(tr("There is no plan, and no look to come back to."));
    const QString path = QFileDialog::getSaveFileName(
        this, tr("The plan as a calendar"), QStringLiteral("brightening.ics"), tr("Calendar (*.ics)"));
    if (!path.isEmpty()) writeCalendar(path);
}

void TankStage::writeCalendar(const QString& path) {
    const auto days = calendar();
    if (days.empty()) return session().warn(tr("There is no plan, and no look to come back to."));
    const auto written = calendarOf(days, choice_.today());
    if (!written) return session().warn(text(written.error()));
    if (const auto done = writeWhole(path, QByteArray::fromStdString(*written)); !done)
        return session().warn(text(done.error()));
    session().say(tr("%1 days in %2").arg(days.size()).arg(path));
}

void TankStage::askForSheet() {
    if (choice_.tank() == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    const QString path = QFileDialog::getSaveFileName(
        this, tr("A sheet to write on"), tr("%1.pdf").arg(text(choice_.tank()->name)), tr("PDF (*.pdf)"));
    if (!path.isEmpty()) writeSheet(path);
}

void TankStage::writeSheet(const QString& path) {
    const auto* in = choice_.tank();
    if (in == nullptr) return session().warn(tr("Describe a tank in Bench first."));
    const auto pdf = pdfOf(livingSheet({&session().bench(), in->id, steps(),
                                        choice_.ramp() == nullptr ? std::string() : choice_.ramp()->name,
                                        figure_, choice_.today(), session().unit()}));
    if (!pdf) return session().warn(text(pdf.error()));
    if (const auto done = writeWhole(path, *pdf); !done) return session().warn(text(done.error()));
    session().say(tr("The sheet is in %1").arg(path));
}

// What is shown.

void TankStage::showPictures() {
    const auto* in = choice_.tank();
    const Millimetre depth(depth_->value());
    if (in == nullptr) {
        map_ = {};
        figure_ = {};
        figure_.empty = tr("Describe a tank in Bench first");
    } else {
        for (const auto& plane : mapPlaces(session().bench(), *in, depth))
            light_.prepare(plane.depth, plane.places);
        // What was read under other lamps says nothing of these: then only the estimates at the spots stand.
        map_ = light_.asIf() ? TankMap() : mapOf(session().bench(), in->id, choice_.change(), light_.with());
        figure_ = tankFigure(session().bench(), *in, depth, spot(), map_);
        if (light_.asIf()) {
            figure_.move.reset();
            figure_.empty.clear();
            for (auto& mark : figure_.marks) mark.mark = SpotMark::Unread;
        }
        makeEstimate();
    }
    const auto& c = colours();
    sayOfDepth({});
    side_view_->setPaint([figure = figure_, &c](QPainter& p, const QRectF& area) {
        paintTankSide(p, area.adjusted(2, 4, -2, -2), figure, c);
    });
    view_->setFigure(figure_, c);
}

/// What the map rests on; under the pointer the light there, with its interval, or that it is not known.
void TankStage::sayOfDepth(std::optional<QPointF> at) {
    const auto* in = choice_.tank();
    const Millimetre depth(depth_->value());
    const QString deep = session().length(depth);
    if (in == nullptr) return depth_name_->setText({});
    if (!at || map_.readings() == 0)
        return depth_name_->setText(
            light_.asIf()          ? tr("as if %1 hung there, at the spots only").arg(light_.fixture())
            : map_.readings() == 0 ? tr("where nothing was read nothing is coloured")
            : light_.known()       ? tr("light at %1, between the spots by the fit").arg(deep)
                                   : tr("light at %1, between the spots as they tell it").arg(deep));
    const auto here = map_.at(at->x(), at->y(), depth.value());
    const auto figure = [](double ppfd) { return text(ppfdFigure(Ppfd(ppfd))); };
    depth_name_->setText(
        here.told ? tr("%1 deep here: about %2 (%3–%4)")
                        .arg(deep, figure(here.ppfd), figure(here.lo), figure(here.hi))
                  : tr("%1 deep here: not known, %2 to %3").arg(deep, figure(here.lo), figure(here.hi)));
}

/// Spots that nobody has read, and all of them under lamps as if, carry what the model says, marked as such.
void TankStage::makeEstimate() {
    estimate_.reset();
    std::vector<BasisField::Point> places;
    std::vector<std::size_t> marks;
    for (std::size_t i = 0; i < figure_.marks.size(); ++i) {
        const auto& mark = figure_.marks[i];
        if (!light_.asIf() && mark.mark != SpotMark::Unread) continue;
        places.push_back({mark.x_mm, mark.y_mm, mark.depth_mm});
        marks.push_back(i);
    }
    if (places.empty()) return;
    const auto said = light_.at(places);
    for (std::size_t i = 0; i < said.size(); ++i) {
        auto& mark = figure_.marks[marks[i]];
        const auto* known = byId(session().bench().spots, mark.spot);
        mark.name = tr("%1 ≈ %2").arg(text(known->name), text(ppfdFigure(Ppfd(said[i].ppfd))));
        if (mark.chosen) estimate_ = said[i];
    }
}

void TankStage::refresh() {
    choice_.settle();
    const auto* in = choice_.tank();
    light_.settle(in);
    {
        const QSignalBlocker quiet(depth_);
        depth_->setRange(0, in == nullptr ? 0 : static_cast<int>(in->water_depth.value()));
        depth_->setSingleStep(kDepthStepMm);
        depth_->setPageStep(5 * kDepthStepMm);
        if (!depth_by_hand_ && choice_.spot() != nullptr)
            depth_->setValue(static_cast<int>(choice_.spot()->depth.value()));
        else if (!depth_by_hand_)
            depth_->setValue(depth_->maximum() / 2);
    }
    form_->refresh();
    showPictures();
    const auto& surveys = choice_.surveys();
    survey_->setText(in == nullptr     ? QString()
                     : surveys.empty() ? tr("%1, not read yet").arg(text(in->name))
                                       : tr("%1, read %2").arg(text(in->name), text(surveys.back().day)));
    strip_->setVisible(surveys.size() > 1);
    strip_->setSurveys(surveys, choice_.before(), choice_.now(), colours());
    about_ = aboutThePlace();
    showRamp();
    showHistories();
    if (walk_.walking()) panel_->refresh();
}

void TankStage::showRamp() {
    const auto& c = colours();
    const auto* plan = choice_.ramp();
    const auto dated = steps();
    ramp_name_->setText(plan == nullptr ? tr("No light is being raised")
                                        : tr("Brightening: %1").arg(text(plan->name)));
    ramp_view_->setPaint([dated, today = session().now(), &c](QPainter& p, const QRectF& area) {
        paintRamp(p, area, dated, today, c);
    });
    QStringList lines;
    const std::string today = choice_.today();
    for (const auto& step : dated)
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
}

/// What each spot had, survey by survey; what lost its light by itself stands out.
void TankStage::showHistories() {
    const auto& c = colours();
    const auto& surveys = choice_.surveys();
    const auto change = choice_.change();
    const auto signedShare = [](double ratio) {
        return text(say("{}", SignedShare{ratio - 1.0}), LengthUnit::Mm);
    };
    histories_name_->setText(
        change ? tr("What the spots had, and what changed from %1 to %2, all in all %3")
                     .arg(text(change->before), text(change->now), signedShare(change->field))
               : tr("What the spots had"));
    const auto lost = [&](Id spot) {
        return change && std::any_of(change->spots.begin(), change->spots.end(),
                                     [&](const SpotChange& one) { return one.spot == spot && one.lost; });
    };
    // More than can be read side by side are left out, not those that were chosen or lost their light.
    auto shown = choice_.spots();
    if (shown.size() > kHistoriesShown) {
        std::stable_partition(shown.begin(), shown.end(),
                              [&](const TankSpot* one) { return one->id == spot() || lost(one->id); });
        shown.resize(kHistoriesShown);
    }
    std::vector<SpotHistory> histories;
    for (const auto* one : shown) {
        SpotHistory history{text(one->name), {}, lost(one->id), changeOf(change, one->id)};
        for (const auto& reading : one->readings) {
            const double day = daysBetween(surveys.front().day, reading.time).value_or(0);
            if (!history.points.empty() && history.points.back().first == day) history.points.pop_back();
            history.points.emplace_back(day, reading.mean.value());
        }
        if (!history.points.empty()) histories.push_back(std::move(history));
    }
    histories_->setPaint(
        [histories, &c](QPainter& p, const QRectF& area) { paintHistories(p, area, histories, c); });
}

Sentence TankStage::whereTheEstimateIsFrom() const {
    const auto fixture = light_.fixture().toStdString();
    const auto& by = light_.readBy();
    const auto from =
        by.empty() ? say(GLUMET_SAY("Core", "Estimated by the fit of {}, not read"), fixture)
                   : say(GLUMET_SAY("Core", "Estimated by what {} published of {}, not read"), by, fixture);
    return say(GLUMET_SAY("Core",
                          "{}: the interval is the fit's own, without your lamps' age, your water and what "
                          "stands in the way. Read it before livestock depends on it."),
               from);
}

/// What stands over the chosen spot, how much higher lamps would spare it, and the zones of its depth.
std::vector<Finding> TankStage::aboutThePlace() {
    const auto* at = choice_.spot();
    const auto* in = choice_.tank();
    if (at == nullptr || in == nullptr) return {};
    std::vector<Finding> out;
    const auto* last = latestAt(*at);
    if (estimate_)
        out.push_back(finding(FindingKind::Doubt,
                              say(GLUMET_SAY("Core", "{} would have about {} ({})"), at->name,
                                  Ppfd(estimate_->ppfd), PpfdSpan{Ppfd(estimate_->lo), Ppfd(estimate_->hi)}),
                              whereTheEstimateIsFrom(), EvidenceView::None));
    if (light_.known() && !light_.asIf()) {
        for (const auto& shade : shadesIn(session().bench(), in->id, light_.with(), light_.without()))
            if (shade.spot == at->id && shade.worthSaying())
                if (const auto said = shadeFinding(session().bench(), shade, reachOf(*at)))
                    out.push_back(*said);
        const bool near = at->depth.value() < in->water_depth.value() * kNearShare;
        if (last != nullptr && near && choice_.lives() != nullptr &&
            choice_.lives()->state != Wellbeing::Thriving &&
            suits(session().bench(), *at) == LightSuits::More)
            if (const auto& raise = raiseOf(*at, last->mean))
                out.push_back(raiseFinding(session().bench(), *at, *raise));
    }
    const auto* who = choice_.lives();
    const auto& goal = who != nullptr && !who->goal.name.empty() ? who->goal : session().goal();
    const Millimetre depth(depth_->value());
    if (auto zones = zoneFinding(zonesOf(map_, *in, depth, goal.band), depth, goal))
        out.push_back(std::move(*zones));
    return out;
}

/// Six fields of light are asked: only when the spot or the scene is another.
const ReachUnder& TankStage::reachOf(const TankSpot& spot) {
    const std::tuple place{spot.x.value(), spot.y.value(), spot.depth.value()};
    if (!reach_ || reach_of_ != place || reach_in_ != light_.scene()) {
        reach_of_ = place;
        reach_in_ = light_.scene();
        reach_ = reachUnder(light_.scene(), spot.x, spot.y, spot.depth);
    }
    return *reach_;
}

/// The same of twenty heights.
const std::optional<Raise>& TankStage::raiseOf(const TankSpot& spot, Ppfd read) {
    const Ppfd most = wantedBy(session().bench(), *choice_.lives())->band.high;
    const std::tuple asked{spot.id,      spot.x.value(), spot.y.value(), spot.depth.value(),
                           read.value(), most.value()};
    if (raise_of_ != asked || raise_in_ != light_.scene()) {
        raise_of_ = asked;
        raise_in_ = light_.scene();
        raise_ = raiseFor(light_.scene(), spot, read, most);
    }
    return raise_;
}

std::vector<Finding> TankStage::findings() const {
    const auto* in = choice_.tank();
    if (in == nullptr)
        return {finding(FindingKind::Next, say(GLUMET_SAY("Core", "Describe a tank")),
                        say(GLUMET_SAY("Core",
                                       "Its length, width and water in Bench; then spots are named here and "
                                       "read, today and after every change.")),
                        EvidenceView::Bench)};
    auto out = livingFindings(session().bench(),
                              {.tank = in->id,
                               .today = choice_.today(),
                               .spot = spot(),
                               .before = choice_.before(),
                               .now = choice_.now()},
                              choice_.surveys());
    addBeforeNext(out, about_);
    return out;
}

}  // namespace glumet
