#include "desk/array/array_stage.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>
#include <algorithm>
#include <utility>

#include "core/bench/sweep.h"
#include "core/survey/checks.h"
#include "core/words/finding.h"
#include "desk/array/array_findings.h"
#include "desk/array/plan_of_array.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kFiguresHeight = 38;

}  // namespace

ArrayStage::ArrayStage(Session& session)
    : Stage(session),
      title_(makeLabel(tr("How many, how far apart, how bright"), TextRole::Title)),
      headline_(makeLabel({}, TextRole::Heading)),
      reason_(makeLabel({}, TextRole::Body)),
      view_(new ArrayView(light_, ArrayPart::Plan)),
      side_(new ArrayView(light_, ArrayPart::Side)),
      figures_(makeLabel({}, TextRole::Heading)),
      form_(new ArrayForm(session, choices_)),
      kept_(new KeptPlans(session)),
      panes_(new ArrayPanes(session, form_, kept_)) {
    reason_->setObjectName(QStringLiteral("arrayReason"));
    figures_->setObjectName(QStringLiteral("arrayFigures"));
    reason_->setWordWrap(true);
    figures_->setWordWrap(true);
    figures_->setFixedHeight(kFiguresHeight);  // the pictures keep their size while figures change
    figures_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(6);
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
    layout->addWidget(view_, 1);
    layout->addWidget(figures_);
    layout->addWidget(panes_);
    listen();
}

void ArrayStage::listen() {
    setProperty(kWrapsText, true);
    connect(&light_, &ArrayLight::movedByHand, this, [this] {
        by_hand_ = true;
        for (auto* school : schools_) school->setChecked(false);
        reason_->setText(tr("Moved by hand. It snaps to the schools' positions."));
        showFigures();
    });
    connect(&light_, &ArrayLight::letGo, this, [this] {
        if (light_.height() == choices_.height) return;
        choices_.height = light_.height();
        ++asking_;
        emit viewChanged();
    });
    connect(form_, &ArrayForm::edited, this, [this] {
        ++asking_;
        by_hand_ = false;
        level_typed_ = false;
        centres_asked_.clear();
        emit viewChanged();
    });
    connect(form_, &ArrayForm::levelEdited, this, &ArrayStage::showLevel);
    connect(panes_, &ArrayPanes::countChosen, this, &ArrayStage::takeCount);
    connect(kept_, &KeptPlans::keepAsked, this, &ArrayStage::keepShown);
    connect(kept_, &KeptPlans::showAsked, this, &ArrayStage::showPlan);
    // Tanks, fixtures and answers of another project may have the same ids.
    connect(&session(), &Session::projectChanged, this, [this] {
        choices_ = {};
        answer_of_.reset();
        light_.clear();
        by_hand_ = false;
        level_typed_ = false;
        shown_ = 0;
    });
    connect(&session(), &Session::fitProgressed, this, [this] {
        if (isVisible() && verdicts() == nullptr) showAll();
    });
    connect(&session(), &Session::fitChanged, this, [this] {
        take();
        if (isVisible()) emit viewChanged();
    });
}

ArrayStage::~ArrayStage() {
    // The window may have put it elsewhere.
    delete side_;
}

void ArrayStage::makeSchools() {
    constexpr std::array kNames{"edge share", "smooth seam", "band fill"};
    for (std::size_t i = 0; i < kNames.size(); ++i) {
        auto* button = new QPushButton(QLatin1String(kNames[i]));
        button->setCheckable(true);
        button->setProperty("segment", true);
        button->setObjectName(QStringLiteral("arraySchool%1").arg(i));
        connect(button, &QPushButton::clicked, this, [this, i] { hangBy(i); });
        schools_[i] = button;
    }
}

const Tank* ArrayStage::tank() const { return byId(session().bench().tanks, choices_.tank); }

const FitResult* ArrayStage::fit() const {
    const auto* found = session().fit();
    return found != nullptr && *found ? &**found : nullptr;
}

QString ArrayStage::reasonForNothing() const {
    if (session().sweep() == nullptr) return tr("Measure one fixture first: two planes or more.");
    const auto* found = session().fit();
    if (found == nullptr && session().fitting())
        return tr("Fitting the fixture to its readings … %1").arg(session().progress());
    if (found != nullptr && !*found) return tr("No model: %1.").arg(text(found->error()));
    if (tank() == nullptr) return tr("Describe a tank in Bench first.");
    if (found == nullptr) return tr("No model yet.");
    if (const auto why = refusal(**found, session().bench()); !why.isEmpty()) return why;
    return fault().isEmpty() ? tr("Judging … %1").arg(session().progress()) : fault();
}

std::vector<const Sweep*> ArrayStage::fittedChannels() const {
    const auto* mine = session().fitSweep();
    if (mine == nullptr) return {};
    return channelSweeps(session().bench(), session().sweeps(), mine->configuration);
}

void ArrayStage::wantFits() {
    session().wantFit();
    for (const auto* sweep : fittedChannels()) session().wantFitOf(*sweep);
    if (choices_.beside)
        for (const auto& sweep : session().sweeps())
            if (sweep.configuration == *choices_.beside) session().wantFitOf(sweep);
}

void ArrayStage::refresh() {
    const auto& bench = session().bench();
    if (tank() == nullptr && !bench.tanks.empty()) choices_.tank = bench.tanks.back().id;
    const auto* sweep = session().fitSweep();
    const auto configuration = sweep == nullptr ? std::nullopt : std::optional(sweep->configuration);
    if (answer_of_ != configuration) {
        light_.clear();
        choices_.height.reset();
        by_hand_ = false;
        level_typed_ = false;
        shown_ = 0;
        answer_of_ = configuration;
    }
    if (!choices_.height) {
        const auto* headline = session().headline();
        choices_.height = headline != nullptr && headline->height ? headline->height : session().height();
    }
    wantFits();
    form_->refresh();
    ask();
    take();
    showAll();
}

ArrayQuestion ArrayStage::question() const {
    ArrayQuestion q;
    q.tank = tankByFit(*fit(), *tank(), false);
    q.count = choices_.count;
    q.height = *choices_.height;
    q.along = choices_.way < 2 ? RowAlong::Length : RowAlong::Width;
    q.turned = choices_.way % 2 == 1;
    q.inner = choices_.spread_inner ? InnerOnes::Spread : InnerOnes::Stay;
    q.symmetric = !choices_.each_by_itself;
    q.share = choices_.share;
    q.goal = session().goal();
    q.over = choices_.over;
    q.limits = choices_.limits;
    q.limits.obstacles = tank()->obstacles;
    addBeside(q);
    return q;
}

/// The other fixture along one side, at the same height.
void ArrayStage::addBeside(ArrayQuestion& q) const {
    if (!choices_.beside) return;
    for (const auto& sweep : session().sweeps()) {
        if (!(sweep.configuration == *choices_.beside)) continue;
        const auto* found = session().fitOf(sweep);
        if (found == nullptr || !*found) return;
        Companion companion;
        companion.model = (*found)->model.elsewhere();
        companion.height = q.height;
        companion.level = choices_.beside_level;
        const auto place =
            besidePlace(q.tank.length_mm, q.tank.width_mm, companion.model.body_width_mm, choices_.side);
        companion.rotation_deg = place.turned ? 90.0 : 0.0;
        companion.x_mm = place.x_mm;
        companion.y_mm = place.y_mm;
        q.companions.push_back(std::move(companion));
        return;
    }
}

void ArrayStage::addChannels(ArrayOrder& order) const {
    for (const auto* sweep : fittedChannels()) {
        const auto* found = session().fitOf(*sweep);
        if (found == nullptr || !*found) continue;
        order.channels.push_back(presetName(session().bench(), sweep->configuration));
        order.channel_models.push_back((*found)->model);
    }
    // One channel of several says nothing of a mix.
    if (order.channels.size() < fittedChannels().size()) order.channels.clear();
    if (order.channels.size() < 2) order.channel_models.clear();
}

ArrayOrder ArrayStage::order() const {
    ArrayOrder order;
    order.model = fit()->model.elsewhere();
    order.fit = *fit();
    order.measured_runs = measuredRuns();
    if (!order.measured_runs.empty()) {
        order.bench = session().bench();
        order.bench.plans.clear();  // which no verdict asks
    }
    order.question = question();
    order.goal_share = choices_.goal_share;
    order.second = choices_.second;
    order.channel_bands = choices_.channel_bands;
    addChannels(order);
    return order;
}

void ArrayStage::ask() {
    if (fit() == nullptr || tank() == nullptr || !choices_.height) return;
    if (!refusal(*fit(), session().bench()).isEmpty()) return;
    auto& answers = session().answers();
    const auto revision = session().revision(asking_, static_cast<int>(session().unit()));
    if (answers.wanted(key(), revision)) return;
    // Judged by the first fit there is, and again when all that were asked for are there.
    auto by_these_fits = answers.revisionOf(key());
    by_these_fits.fits = revision.fits;
    if (verdicts() != nullptr && by_these_fits == revision && answers.busy("fit")) return;
    answers.want<ArrayVerdicts>(key(), revision, true,
                                [order = order()](const Asked& asked) { return judgeArray(order, asked); });
}

AnswerKey ArrayStage::key() const { return {"array", answer_of_.value_or(Configuration{})}; }

const ArrayVerdicts* ArrayStage::verdicts() const {
    const auto& answers = session().answers();
    return answers.failure(key()) != nullptr ? nullptr : answers.value<ArrayVerdicts>(key());
}

/// Why the last question had no answer.
QString ArrayStage::fault() const {
    const auto* failure = session().answers().failure(key());
    return failure == nullptr ? QString() : text(*failure);
}

/// Takes over an answer that has come since the last.
void ArrayStage::take() {
    const auto serial = session().answers().serialOf(key());
    if (serial == shown_) return;
    const bool first = shown_ == 0;
    shown_ = serial;
    if (const auto* found = verdicts()) {
        const auto& schools = found->spacing.schools;
        // The first school that can speak hangs them; a chosen one stays chosen.
        if (first || !schools[school_].speaks())
            for (school_ = 0; school_ + 1 < schools.size() && !schools[school_].speaks();) ++school_;
        if (!by_hand_ && !level_typed_) choices_.level_pct = schools[school_].level_pct;
    } else if (!fault().isEmpty()) {
        session().warn(fault());
    }
    hang();
    form_->refresh();
}

/// Shows the fixtures where the chosen school hangs them.
void ArrayStage::hang() {
    if (fit() == nullptr || verdicts() == nullptr || tank() == nullptr) return light_.clear();
    ArrayLight::Shown shown;
    shown.model = fit()->model.elsewhere();
    shown.question = question();
    // What was moved by hand stays there, whatever is judged anew.
    const bool keep = by_hand_ && light_.shown() && light_.centres().size() == std::size_t(choices_.count);
    const auto asked = std::exchange(centres_asked_, {});
    shown.centres = !asked.empty() ? asked
                    : keep         ? light_.centres()
                                   : verdicts()->spacing.schools[school_].centres_mm;
    if (shown.centres.empty()) shown.centres = equallyHung(shown.model, shown.question);
    shown.level = choices_.level_pct / 100.0;
    for (const auto& school : verdicts()->spacing.schools) shown.snaps.push_back(school.centres_mm);
    if (shown.centres.empty()) return light_.clear();
    light_.show(std::move(shown));
}

void ArrayStage::showAll() {
    ArrayMarks marks;
    marks.unit = session().unit();
    if (const auto* headline = session().headline(); headline != nullptr) {
        marks.recommended_low = headline->low;
        marks.recommended_high = headline->high;
    }
    if (fit() == nullptr) light_.clear();
    for (auto* view : {view_, side_.data()}) view->dress(marks, colours(), reasonForNothing());
    for (std::size_t i = 0; i < schools_.size(); ++i) {
        schools_[i]->setEnabled((verdicts() != nullptr));
        schools_[i]->setChecked((verdicts() != nullptr) && i == school_ && !by_hand_);
    }
    ArrayPanes::Shown shown;
    if (verdicts() != nullptr && light_.shown()) {
        shown.verdicts = verdicts();
        shown.school = school_;
        shown.at_full = light_.judged();
        shown.level_pct = choices_.level_pct;
        shown.goal_share = choices_.goal_share;
        const QString reader = text(session().sweep()->configuration.read_by);
        headline_->setText(
            tr("%1 × %2 over %3").arg(choices_.count).arg(text(fit()->model.fixture), text(tank()->name)) +
            (reader.isEmpty() ? QString() : tr(", read by %1").arg(reader)));
        if (!by_hand_) {
            auto words = verdicts()->spacing.schools[school_].reason;
            words += seamWords(verdicts()->spacing, school_);
            reason_->setText(text(words, session().unit()));
        }
    } else {
        headline_->clear();
        reason_->clear();
    }
    panes_->show(shown);
    kept_->refresh(shownPlan(shownName()));
    showFigures();
}

void ArrayStage::showFigures() {
    if (!light_.shown()) return figures_->clear();
    QStringList places;
    for (const double centre : light_.centres()) places << session().figure(Millimetre(centre));
    const auto& f = light_.figures();
    const auto& band = session().band();
    figures_->setText(
        tr("Centres %1 %2, %3 up, %4 output: %5 of what is judged in %6–%7; half way down mean %8, %9")
            .arg(places.join(QStringLiteral(" | ")), text(unitName(session().unit())),
                 session().length(light_.height()), text(percentText(choices_.level_pct / 100.0)),
                 text(percentText(f.in_band)), text(ppfdFigure(band.low)), text(ppfdFigure(band.high)),
                 text(ppfdFigure(Ppfd(f.mean))),
                 tr("%1 to %2").arg(text(ppfdFigure(Ppfd(f.min))), text(ppfdFigure(Ppfd(f.max))))));
    if (verdicts() != nullptr) panes_->showBrightness(light_.judged(), choices_.level_pct);
}

void ArrayStage::hangBy(std::size_t school) {
    if (verdicts() == nullptr || school >= verdicts()->spacing.schools.size()) return;
    school_ = school;
    by_hand_ = false;
    level_typed_ = false;
    centres_asked_.clear();
    if (verdicts()->spacing.schools[school].speaks())
        choices_.level_pct = verdicts()->spacing.schools[school].level_pct;
    hang();
    form_->refresh();
    emit viewChanged();
}

void ArrayStage::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_P:
            panes_->next();
            break;
        case Qt::Key_S:
            hangBy((school_ + 1) % schools_.size());
            break;
        default:
            Stage::keyPressEvent(event);
    }
}

void ArrayStage::takeCount(const CountRow& row) {
    choices_.count = row.count;
    choices_.way = (row.along == RowAlong::Width ? 2 : 0) + (row.turned ? 1 : 0);
    ++asking_;
    emit viewChanged();
}

/// What the array that hangs now is called; empty while nothing hangs.
QString ArrayStage::shownName() const {
    if (!light_.shown() || fit() == nullptr || tank() == nullptr) return {};
    const QString row = tr("%1 × %2 over %3")
                            .arg(light_.centres().size())
                            .arg(text(fit()->model.fixture), text(tank()->name));
    const auto& companions = light_.what().question.companions;
    return companions.empty() ? row : tr("%1, %2 beside").arg(row, text(companions.front().model.fixture));
}

/// What hangs now as an array of that name; nothing while none hangs.
std::optional<PlannedArray> ArrayStage::shownPlan(const QString& name) const {
    const auto* sweep = session().fitSweep();
    if (!light_.shown() || sweep == nullptr || name.isEmpty()) return std::nullopt;
    return planOf(light_.what(), choices_, sweep->configuration, name.toStdString());
}

/// Keeps what hangs for the review; of that name over that tank there is one.
void ArrayStage::keepShown(const QString& name) {
    auto plan = shownPlan(name);
    if (!plan) return;
    for (const auto& known : session().bench().plans)
        if (known.name == plan->name && known.tank == plan->tank) {
            plan->id = known.id;
            plan->note = known.note;
        }
    if (session().edit([&](Project& project) { return project.save(*plan); }).isEmpty())
        session().say(tr("Kept for the review: %1.").arg(name));
}

/// Hangs a kept array as it was kept.
void ArrayStage::showPlan(Id id) {
    const auto* plan = byId(session().bench().plans, id);
    const auto* sweep = session().fitSweep();
    const auto* over = plan == nullptr ? nullptr : byId(session().bench().tanks, plan->tank);
    if (over == nullptr || sweep == nullptr) return;
    auto chosen =
        chosenPlan(*plan, *over, session().bench(), session().sweeps(), sweep->configuration, choices_);
    if (!chosen)
        return session().warn(
            tr("%1 cannot be hung here: choose the fixture of its row first.").arg(text(plan->name)));
    choices_ = std::move(chosen->choices);
    centres_asked_ = std::move(chosen->centres_mm);
    by_hand_ = true;
    level_typed_ = true;
    reason_->setText(tr("Hung as it was kept: %1.").arg(text(plan->name)));
    ++asking_;
    hang();
    emit viewChanged();
}

/// Another level changes what is shown, not what was judged.
void ArrayStage::showLevel() {
    level_typed_ = true;
    if (!light_.shown()) return;
    auto shown = light_.what();
    shown.level = choices_.level_pct / 100.0;
    light_.show(std::move(shown));
    showFigures();
}

/// Measured runs of several of this fixture, in any tank.
std::vector<Id> ArrayStage::measuredRuns() const {
    std::vector<Id> out;
    for (const auto& sweep : session().sweeps()) {
        if (sweep.configuration.fixtures < 2 || &singleOf(session().sweeps(), sweep) != session().fitSweep())
            continue;
        for (const auto run : sweep.runs)
            if (const auto& planes = session().bench().run(run).planes;
                std::any_of(planes.begin(), planes.end(), [](const Plane& p) { return !p.readings.empty(); }))
                out.push_back(run);
    }
    return out;
}

std::vector<Finding> ArrayStage::findings() const {
    if (verdicts() == nullptr || fit() == nullptr) return {nothingYet(reasonForNothing())};
    return arrayFindings(session(), *fit(), *verdicts(), school_, choices_);
}

}  // namespace glumet
