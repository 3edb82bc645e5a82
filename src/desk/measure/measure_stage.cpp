#include "desk/measure/measure_stage.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPushButton>
#include <QVBoxLayout>

#include "core/bench/grid.h"
#include "core/bench/reading_note.h"
#include "core/simulation/demo_scenario.h"
#include "core/simulation/practice.h"
#include "core/survey/findings.h"
#include "core/survey/plan_findings.h"
#include "core/words/finding.h"
#include "core/words/wording.h"
#include "desk/shared/loaded_voice.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "meters/simulated_meter.h"
#include "report/text.h"

namespace glumet {
namespace {

/// Pixel size of the live value: B612's digits stand 0.72 of it high, so 75 px.
constexpr int kMeasureLivePixels = 104;
constexpr double kMeasureStripSeconds = 12.0;
constexpr int kLeastScored = 6;  // points; fewer say nothing about a hand

/// "C3" as it is spoken: letter and figure apart.
QString spoken(const QString& point) {
    if (point.size() > 3 || point.isEmpty() || !point.back().isDigit()) return point;
    QString apart;
    for (const QChar sign : point) apart += sign + QLatin1Char(' ');
    return apart.trimmed();
}

}  // namespace

MeasureStage::MeasureStage(Session& session)
    : Stage(session),
      taker_(session),
      announcer_(
          session, [this] { return spokenNext(); }, std::make_unique<LoadedVoice>()),
      title_(makeLabel({}, TextRole::Title)),
      counter_(makeLabel({}, TextRole::Muted)),
      map_(new PlanMap),
      last_(makeLabel({}, TextRole::Muted)),
      point_(new QLabel),
      place_(makeLabel({}, TextRole::Muted)),
      live_(new QLabel),
      unit_(makeLabel({}, TextRole::Muted)),
      typed_(new QLineEdit),
      strip_(new ValueStrip(session, kMeasureStripSeconds)),
      strip_note_(makeLabel({}, TextRole::Muted)),
      rule_note_(makeLabel({}, TextRole::Muted)),
      sound_(makeLabel({}, TextRole::Muted)),
      progress_(new ThinBar),
      sweep_(new SweepProgress(session)) {
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("Measure"));
    map_->installEventFilter(this);
    typed_->installEventFilter(this);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(8);
    auto* head = new QHBoxLayout;
    head->addWidget(title_, 1);
    head->addWidget(counter_);
    layout->addLayout(head);
    auto* body = new QHBoxLayout;
    body->setSpacing(18);
    auto* left = new QVBoxLayout;
    left->setSpacing(2);
    left->addWidget(map_);
    last_->setObjectName(QStringLiteral("lastKept"));
    last_->setMinimumHeight(22);
    left->addWidget(last_);
    left->addStretch(1);
    body->addLayout(left, 1);
    body->addWidget(makeSide());
    layout->addLayout(body, 1);
    layout->addWidget(makeKeys());
    sweep_title_ = makeLabel({}, TextRole::Muted);
    layout->addWidget(sweep_title_);
    layout->addWidget(sweep_);
    listenToTheTaker();
}

void MeasureStage::listenToTheTaker() {
    connect(map_, &PlanMap::cellChosen, this, [this](Cell cell) { taker_.aim(cell); });
    connect(&taker_, &ReadingTaker::changed, this, [this] {
        strip_->clear();
        if (!isVisible()) return;  // another stage walks the planes; refresh() follows when this is shown
        updatePlan();
        showTarget();
        showLive();
    });
    connect(&taker_, &ReadingTaker::settled, &announcer_, &Announcer::settled);
    connect(&taker_, &ReadingTaker::doubted, &announcer_, &Announcer::doubted);
    connect(&taker_, &ReadingTaker::taken, &announcer_, &Announcer::taken);
    connect(&taker_, &ReadingTaker::sampled, this,
            [this](double seconds, double ppfd) { strip_->add(seconds, ppfd); });
    connect(&taker_, &ReadingTaker::looked, this, &MeasureStage::showLive);
    connect(typed_, &QLineEdit::returnPressed, this, &MeasureStage::finishTyping);
}

QWidget* MeasureStage::makeSide() {
    auto* side = new QWidget;
    side->setFixedWidth(254);
    auto* layout = new QVBoxLayout(side);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(4);
    layout->addWidget(makeLabel(tr("Probe at"), TextRole::Muted));
    auto* row = new QHBoxLayout;
    row->setSpacing(16);
    point_->setObjectName(QStringLiteral("targetPoint"));
    row->addWidget(point_);
    row->addWidget(place_, 1);
    layout->addLayout(row);
    live_->setObjectName(QStringLiteral("liveValue"));
    live_->setAccessibleName(tr("Live mean"));
    live_->setFixedHeight(kMeasureLivePixels + 8);
    typed_->setObjectName(QStringLiteral("typedValue"));
    typed_->setAccessibleName(tr("Typed value"));
    typed_->setFixedHeight(kMeasureLivePixels + 8);
    typed_->hide();
    layout->addWidget(live_);
    layout->addWidget(typed_);
    layout->addWidget(unit_);
    layout->addSpacing(6);
    strip_->setFramed(true);
    strip_->setFixedHeight(74);
    layout->addWidget(strip_);
    layout->addWidget(strip_note_);
    layout->addSpacing(8);
    rule_note_->setWordWrap(true);
    layout->addWidget(rule_note_);
    progress_->setAccessibleName(tr("How near to settled"));
    layout->addWidget(progress_);
    layout->addSpacing(6);
    layout->addWidget(sound_);
    layout->addStretch(1);
    return side;
}

QWidget* MeasureStage::makeKeys() {
    auto* holder = new QWidget;
    auto* layout = new QHBoxLayout(holder);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(5);
    const auto add = [&](const QString& key, const QString& what, auto work) {
        auto* button = keyButton(key, what);
        connect(button, &QPushButton::clicked, this, work);
        layout->addWidget(button);
        layout->addWidget(makeLabel(what, TextRole::Muted));
        layout->addSpacing(3);
    };
    add(tr("space"), tr("take"), [this] { arm(); });
    add(tr("0–9"), tr("type"), [this] { startTyping({}); });
    add(tr("back"), tr("one back"), [this] { taker_.stepBack(); });
    add(tr("R"), tr("again"), [this] { taker_.readAgain(); });
    add(tr("G"), tr("doubt"), [this] { goToDoubt(); });
    add(tr("H"), tr("hands free"), [this] { taker_.setHandsFree(!taker_.handsFree()); });
    layout->addStretch(1);
    return holder;
}

void MeasureStage::refresh() {
    // A complete plane is worth a fit: it tells which plane to read next, and when to stop.
    if (const auto* plane = session().plane();
        plane != nullptr && plane->grid && !plane->readings.empty() && !taker_.target())
        session().wantFit();
    sweep_title_->setText(session().sweep() == nullptr ? QString() : tr("This sweep"));
    const auto& c = colours();
    point_->setStyleSheet(
        QStringLiteral("font-size: 34px; font-weight: bold; color: %1;").arg(c.accent.name()));
    for (QWidget* big : {static_cast<QWidget*>(live_), static_cast<QWidget*>(typed_)})
        big->setStyleSheet(
            QStringLiteral("font-size: %1px; font-weight: bold; padding: 0;").arg(kMeasureLivePixels));
    progress_->setColours(c);
    const auto* run = session().run();
    title_->setText(run == nullptr || !session().depth()
                        ? tr("Nothing to measure yet")
                        : tr("Lamp at %1, plane %2 under water")
                              .arg(session().length(run->height), session().length(*session().depth())));
    updatePlan();
    showTarget();
    showLive();
    showSound();
    sweep_->update();
}

void MeasureStage::showEvent(QShowEvent* event) {
    taker_.setWatched(true);
    Stage::showEvent(event);
}

void MeasureStage::hideEvent(QHideEvent* event) {
    taker_.setWatched(false);
    Stage::hideEvent(event);
}

std::vector<Finding> MeasureStage::findings() const {
    if (session().run() == nullptr || !session().depth()) {
        Finding first;
        first.kind = FindingKind::Next;
        first.title = asWords(tr("Plan a run first"));
        first.body = asWords(tr("Plan makes runs from a method: heights, depths and the grid."));
        first.view = EvidenceView::Plan;
        return {first};
    }
    const auto& bench = session().bench();
    const auto run = session().runId();
    auto out = measureFindings(bench, run, *session().depth());
    if (session().plane() != nullptr)
        addBeforeNext(out, doubtFindings(session().pointDoubts(), *session().plane(), run));
    addBeforeNext(out, sweepDoubts(bench, *session().sweep()));
    addBeforeNext(out, commissionFindings(bench, run, session().now().toStdString()));
    addBeforeNext(out, practiceFindings());
    if (session().knowledge() != nullptr) addBeforeNext(out, knowledgeFindings(*session().knowledge()));
    return out;
}

/// How a practice run compares with what the simulator knows.
std::vector<Finding> MeasureStage::practiceFindings() const {
    const auto* practice = dynamic_cast<const SimulatedMeter*>(session().meter());
    if (practice == nullptr || !practice->plants()) return {};
    Run taken = *session().run();
    for (auto& plane : taken.planes)
        std::erase_if(plane.readings, [](const Reading& reading) { return !isSimulated(reading); });
    const auto score =
        scoreOf(taken, sceneOf(session().bench(), taken), practice->planted(), practice->rulerMm());
    if (score.points < kLeastScored) return {};
    Finding out;
    out.title = asWords(tr("Practice: %1 from the truth").arg(text(percentText(score.rms_error))));
    out.body = score.words();
    return {out};
}

void MeasureStage::updatePlan() {
    const auto* run = session().run();
    const auto* plane = session().plane();
    PlanData plan;
    if (run != nullptr && plane != nullptr) {
        plan = planOf(session().bench(), *run, *plane);
        plan.scale_top = session().fieldScaleTop();
        plan.route = true;
        plan.next = taker_.target();
        plan.next_progress = taker_.progress();
        plan.way = taker_.way();
        for (const auto& doubt : session().pointDoubts()) plan.doubtful.push_back(doubt.cell);
    }
    showLast();
    map_->setHint(run == nullptr ? tr("Plan a run, or import readings.") : QString());
    map_->setPlan(plan, colours());
}

/// What was kept last on this plane, so that a glance back confirms it.
void MeasureStage::showLast() {
    const auto* plane = session().plane();
    if (plane == nullptr || plane->readings.empty() || !plane->grid) {
        last_->clear();
        return;
    }
    const auto& reading = plane->readings.back();
    const auto cell = cellAt(*plane->grid, reading.x, reading.y);
    QString line =
        tr("Kept last: %1 %2")
            .arg(cell ? text(cellName(*plane->grid, *cell)) : QString(), text(ppfdFigure(reading.mean)));
    if (reading.min && reading.max)
        line += tr(", swing %1–%2").arg(text(ppfdFigure(*reading.min)), text(ppfdFigure(*reading.max)));
    if (const auto error = reading.relativeStandardError())
        line += tr(", ± %1").arg(text(percentText(*error)));
    last_->setText(line);
}

void MeasureStage::showTarget() {
    const auto* plane = session().plane();
    const auto target = taker_.target();
    if (plane == nullptr || !plane->grid) {
        counter_->clear();
        point_->setText(QStringLiteral("–"));
        place_->setText(plane == nullptr ? QString() : tr("free points: import them"));
        return;
    }
    const auto done = qRound(planeProgress(*plane) * plane->grid->plannedCells());
    counter_->setText(tr("%1 of %2 points").arg(done).arg(plane->grid->plannedCells()));
    if (!target) {
        point_->setText(tr("done"));
        place_->setText(tr("arrows choose a\npoint to read again"));
        return;
    }
    point_->setText(text(cellName(*plane->grid, *target)));
    if (const auto kind = taker_.checking()) {
        place_->setText(*kind == CheckPointKind::Reference ? tr("the reference point\nonce more")
                                                           : tr("read before,\nonce more"));
        return;
    }
    const auto x = plane->grid->xs_mm[static_cast<std::size_t>(target->column)];
    const auto y = plane->grid->ys_mm[static_cast<std::size_t>(target->row)];
    place_->setText(tr("%1 from left\n%2 from front")
                        .arg(session().length(Millimetre(x)), session().length(Millimetre(y))));
}

void MeasureStage::showLive() {
    const auto now = taker_.state();
    live_->setText(now ? text(ppfdFigure(now->mean)) : QString());
    // Until the probe has moved, what was kept stays to be read.
    if (taker_.awaited() && taker_.lastKept()) {
        live_->setText(text(ppfdFigure(*taker_.lastKept())));
        unit_->setText(tr("µmol·m⁻²·s⁻¹, kept"));
    } else if (now && now->mean.value() > 0.0) {
        const QString state = now->left_out > 0 && !now->settled() ? tr("a shadow left out")
                              : now->within_error                  ? tr("settled")
                              : now->timed_out                     ? tr("time is up")
                              : taker_.armed()                     ? tr("taken when settled")
                                                                   : tr("settling");
        unit_->setText(tr("µmol·m⁻²·s⁻¹ ± %1, %2")
                           .arg(text(percentText(now->standard_error / now->mean.value())), state));
    } else {
        unit_->setText(tr("µmol·m⁻²·s⁻¹"));
    }
    const auto swing = strip_->swing();
    strip_note_->setText(swing ? tr("last %1 s, swing %2–%3")
                                     .arg(strip_->seconds(), 0, 'f', 0)
                                     .arg(swing->first, 0, 'f', 0)
                                     .arg(swing->second, 0, 'f', 0)
                         : session().meter() == nullptr ? tr("no meter; digits type a value")
                                                        : tr("waiting for the meter"));
    rule_note_->setText(ruleNote());
    progress_->setShare(taker_.progress());
    if (!taker_.target()) return;
    constexpr double kSeen = 0.02;  // of a ring; less is not worth painting the map
    if (std::abs(taker_.progress() - map_->plan().next_progress) < kSeen) return;
    auto plan = map_->plan();
    plan.next_progress = taker_.progress();
    map_->setPlan(plan, colours());
}

QString MeasureStage::ruleNote() const {
    const QString limit = text(percentText(taker_.rule().relative_error));
    if (const auto awaited = taker_.awaited())
        return *awaited == MovementWatch::State::Resting
                   ? tr("taken; move the probe to the next point, or press space there")
                   : tr("moving; it goes on once the light is calm");
    if (taker_.handsFree()) return tr("hands free: taken at ± %1").arg(limit);
    if (taker_.armed()) return tr("will be taken at ± %1; space again takes it now").arg(limit);
    return tr("settled when the mean is sure to %1").arg(limit);
}

void MeasureStage::arm() {
    taker_.take();
    showLive();
}

void MeasureStage::showSound() {
    const auto word = [](bool on) { return on ? tr("on") : tr("off"); };
    sound_->setText(tr("T tones %1, S speech %2").arg(word(announcer_.tones()), word(announcer_.speech())));
}

QString MeasureStage::spokenNext() const {
    const auto* plane = session().plane();
    if (!taker_.target() || plane == nullptr || !plane->grid) return tr("Plane complete.");
    const QString next = spoken(text(cellName(*plane->grid, *taker_.target())));
    const auto check = taker_.checking();
    if (!check) return tr("Next, %1.").arg(next);
    return *check == CheckPointKind::Reference ? tr("Back to the reference, %1.").arg(next)
                                               : tr("Once more, %1.").arg(next);
}

void MeasureStage::goToDoubt() {
    const auto* plane = session().plane();
    if (plane == nullptr) return;
    const auto& doubts = session().pointDoubts();
    if (doubts.empty())
        session().say(tr("No point of this plane is in doubt."));
    else
        taker_.aim(doubts.front().cell);
}

void MeasureStage::startTyping(const QString& first) {
    if (!taker_.target()) return;
    live_->hide();
    typed_->show();
    typed_->setText(first);
    typed_->setFocus();
}

void MeasureStage::finishTyping() {
    const auto value = parseNumber(typed_->text().toStdString());
    if (!value) {
        session().warn(tr("\"%1\" is not a number.").arg(typed_->text()));
        typed_->selectAll();
        return;
    }
    if (!taker_.keepTyped(*value)) return;
    typed_->hide();
    live_->show();
    setFocus();
}

bool MeasureStage::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() != QEvent::KeyPress) return Stage::eventFilter(watched, event);
    auto* key = static_cast<QKeyEvent*>(event);
    if (watched == typed_ && key->key() == Qt::Key_Escape) {
        typed_->hide();
        live_->show();
        setFocus();
        return true;
    }
    return watched == map_ && handleKey(key);
}

bool MeasureStage::handleKey(QKeyEvent* event) {
    if (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier)) return false;
    switch (event->key()) {
        case Qt::Key_Space:
            arm();
            return true;
        case Qt::Key_Backspace:
            taker_.stepBack();
            return true;
        case Qt::Key_R:
            taker_.readAgain();
            return true;
        case Qt::Key_G:
            goToDoubt();
            return true;
        case Qt::Key_H:
            taker_.setHandsFree(!taker_.handsFree());
            return true;
        case Qt::Key_T:
            announcer_.setTones(!announcer_.tones());
            showSound();
            return true;
        case Qt::Key_S:
            announcer_.setSpeech(!announcer_.speech());
            showSound();
            return true;
        default:
            break;
    }
    const QString typed = event->text();
    if (typed.isEmpty() || !typed.front().isDigit()) return false;
    startTyping(typed);
    return true;
}

void MeasureStage::keyPressEvent(QKeyEvent* event) {
    if (handleKey(event)) return;
    const bool arrow = event->key() >= Qt::Key_Left && event->key() <= Qt::Key_Down;
    if (arrow && event->modifiers() == Qt::NoModifier) {
        map_->setFocus();
        QCoreApplication::sendEvent(map_, event);
        return;
    }
    Stage::keyPressEvent(event);
}

}  // namespace glumet
