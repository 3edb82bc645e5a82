#include "desk/tank/walk_panel.h"

#include <QGridLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QVBoxLayout>

#include "core/living/living_findings.h"
#include "core/words/typed.h"
#include "desk/shared/loaded_voice.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kLivePixels = 104;
constexpr int kSideWidth = 250;
constexpr int kKeysInARow = 3;
constexpr int kNamePixels = 34;
constexpr int kStripHeight = 56;
constexpr double kStripSeconds = 12.0;
/// Probes are held level, or turned to the animal in steps that a hand can keep.
constexpr double kTiltStep = 30.0;
constexpr double kMostTilt = 90.0;

}  // namespace

WalkPanel::WalkPanel(Session& session, SpotWalk& walk)
    : session_(session),
      walk_(walk),
      announcer_(
          session, [this] { return spokenNext(); }, std::make_unique<LoadedVoice>()),
      name_(new QLabel),
      who_(makeLabel({}, TextRole::Muted)),
      live_(new QLabel),
      typed_(new QLineEdit),
      unit_(makeLabel({}, TextRole::Muted)),
      held_(makeLabel({}, TextRole::Muted)),
      strip_(new ValueStrip(session, kStripSeconds)),
      progress_(new ThinBar) {
    setFocusPolicy(Qt::StrongFocus);
    setObjectName(QStringLiteral("walkPanel"));
    setAccessibleName(tr("The walk from spot to spot"));
    name_->setObjectName(QStringLiteral("walkSpot"));
    name_->setFixedHeight(kNamePixels + 8);
    live_->setObjectName(QStringLiteral("walkLive"));
    live_->setAccessibleName(tr("Live mean"));
    typed_->setObjectName(QStringLiteral("walkTyped"));
    typed_->setAccessibleName(tr("Typed value"));
    typed_->installEventFilter(this);
    held_->setObjectName(QStringLiteral("walkHeld"));
    progress_->setAccessibleName(tr("How near to settled"));
    live_->setFixedHeight(kLivePixels + 8);
    typed_->setFixedHeight(kLivePixels + 8);
    typed_->hide();
    strip_->setFramed(true);
    strip_->setFixedHeight(kStripHeight);
    layOut();
    connect(&walk_, &SpotWalk::changed, this, [this] {
        strip_->clear();
        refresh();
    });
    connect(&walk_, &SpotWalk::taken, &announcer_, &Announcer::taken);
    connect(&walk_.probe(), &ProbeReading::settled, &announcer_, &Announcer::settled);
    connect(&walk_.probe(), &ProbeReading::sampled, this,
            [this](double seconds, double ppfd) { strip_->add(seconds, ppfd); });
    connect(&walk_.probe(), &ProbeReading::looked, this, &WalkPanel::showLive);
    connect(typed_, &QLineEdit::returnPressed, this, &WalkPanel::finishTyping);
}

/// Where the probe is to the left, its value to the right.
void WalkPanel::layOut() {
    auto* rows = new QVBoxLayout(this);
    rows->setContentsMargins(0, 6, 0, 0);
    auto* body = new QHBoxLayout;
    body->setSpacing(24);
    auto* left = new QVBoxLayout;
    left->setSpacing(4);
    left->addWidget(makeLabel(tr("Probe at"), TextRole::Muted));
    left->addWidget(name_);
    left->addWidget(who_);
    left->addWidget(held_);
    left->addStretch(1);
    left->addWidget(makeKeys());
    body->addLayout(left, 1);
    auto* value = new QVBoxLayout;
    value->addWidget(live_);
    value->addWidget(typed_);
    value->addWidget(unit_);
    value->addWidget(strip_);
    value->addWidget(progress_);
    auto* side = new QWidget;
    side->setFixedWidth(kSideWidth);
    side->setLayout(value);
    value->setContentsMargins(0, 0, 0, 0);
    body->addWidget(side);
    value->addStretch(1);
    rows->addLayout(body, 1);
    who_->setWordWrap(true);
    held_->setWordWrap(true);
    unit_->setWordWrap(true);
}

QWidget* WalkPanel::makeKeys() {
    auto* holder = new QWidget;
    auto* layout = new QGridLayout(holder);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setHorizontalSpacing(6);
    layout->setVerticalSpacing(4);
    int count = 0;
    const auto add = [&](const QString& key, const QString& what, auto work) {
        auto* button = keyButton(key, what);
        connect(button, &QPushButton::clicked, this, work);
        const int column = 2 * (count % kKeysInARow);
        layout->addWidget(button, count / kKeysInARow, column);
        layout->addWidget(makeLabel(what, TextRole::Muted), count / kKeysInARow, column + 1);
        layout->setColumnStretch(column + 1, 1);
        ++count;
    };
    add(tr("space"), tr("take"), [this] { walk_.take(); });
    add(tr("0–9"), tr("type"), [this] { startTyping({}); });
    add(tr("back"), tr("one back"), [this] { walk_.step(-1); });
    add(tr("N"), tr("pass over"), [this] { walk_.step(1); });
    add(tr("D"), tr("in the way"), [this] { walk_.setHeld(walk_.tilt(), !walk_.shaded()); });
    add(tr("A"), tr("turned"), [this] {
        walk_.setHeld(walk_.tilt() >= kMostTilt ? 0.0 : walk_.tilt() + kTiltStep, walk_.shaded());
    });
    add(tr("H"), tr("hands free"), [this] { walk_.probe().setHandsFree(!walk_.probe().handsFree()); });
    add(tr("Esc"), tr("end"), [this] { walk_.end(); });
    return holder;
}

void WalkPanel::refresh() {
    const auto& c = session_.palette();
    name_->setStyleSheet(QStringLiteral("font-size: %1px; font-weight: bold; color: %2;")
                             .arg(kNamePixels)
                             .arg(c.accent.name()));
    for (QWidget* big : {static_cast<QWidget*>(live_), static_cast<QWidget*>(typed_)})
        big->setStyleSheet(
            QStringLiteral("font-size: %1px; font-weight: bold; padding: 0;").arg(kLivePixels));
    progress_->setColours(c);
    const auto* spot = byId(session_.bench().spots, walk_.spot());
    name_->setText(spot == nullptr ? QString() : text(spot->name));
    if (spot != nullptr) {
        const auto* who = livesAt(session_.bench(), spot->id);
        const auto* last = latestAt(*spot);
        QStringList lines;
        if (who != nullptr) lines << text(who->name);
        lines << tr("%1 under water, %2 from left, %3 from front")
                     .arg(session_.length(spot->depth), session_.length(spot->x), session_.length(spot->y));
        if (last != nullptr)
            lines << tr("last %1, %2").arg(text(ppfdFigure(last->mean)), text(last->time).left(10));
        lines << tr("spot %1 of %2").arg(walk_.place() + 1).arg(walk_.count());
        who_->setText(lines.join(QLatin1Char('\n')));
    }
    QStringList held;
    held << (walk_.tilt() > 0.0 ? tr("probe turned by %1°").arg(walk_.tilt()) : tr("probe level"));
    if (walk_.shaded()) held << tr("something in the way");
    if (walk_.probe().handsFree()) held << tr("hands free");
    held_->setText(held.join(QStringLiteral(", ")));
    showLive();
}

void WalkPanel::showLive() {
    const auto now = walk_.probe().state();
    live_->setText(now ? text(ppfdFigure(now->mean)) : QStringLiteral("–"));
    progress_->setShare(walk_.probe().progress());
    if (const auto awaited = walk_.probe().awaited())
        unit_->setText(*awaited == MovementWatch::State::Resting ? tr("kept; move the probe to the next spot")
                                                                 : tr("moving; it goes on once it is calm"));
    else if (now && now->mean.value() > 0.0)
        unit_->setText(tr("µmol·m⁻²·s⁻¹ ± %1, %2")
                           .arg(text(percentText(now->standard_error / now->mean.value())),
                                now->settled()          ? tr("settled")
                                : walk_.probe().armed() ? tr("taken when settled")
                                                        : tr("settling")));
    else
        unit_->setText(session_.meter() == nullptr ? tr("no meter; digits type a value")
                                                   : tr("waiting for the meter"));
}

QString WalkPanel::spokenNext() const {
    const auto* spot = byId(session_.bench().spots, walk_.spot());
    if (spot == nullptr) return tr("All spots are read.");
    const auto* who = livesAt(session_.bench(), spot->id);
    return who == nullptr ? tr("Next, %1.").arg(text(spot->name))
                          : tr("Next, %1, %2.").arg(text(spot->name), text(who->name));
}

void WalkPanel::startTyping(const QString& first) {
    live_->hide();
    typed_->show();
    typed_->setText(first);
    typed_->setFocus();
}

void WalkPanel::endTyping() {
    typed_->hide();
    live_->show();
    setFocus();
}

void WalkPanel::finishTyping() {
    const auto value = parseNumber(typed_->text().toStdString());
    if (!value) {
        session_.warn(tr("\"%1\" is not a number.").arg(typed_->text()));
        typed_->selectAll();
        return;
    }
    if (walk_.keepTyped(*value)) endTyping();
}

bool WalkPanel::eventFilter(QObject* watched, QEvent* event) {
    if (watched == typed_ && event->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        endTyping();
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

bool WalkPanel::handleKey(QKeyEvent* event) {
    if (!walk_.walking() || (event->modifiers() & (Qt::ControlModifier | Qt::AltModifier))) return false;
    const int key = event->key();
    if (key >= Qt::Key_0 && key <= Qt::Key_9) {
        startTyping(event->text());
        return true;
    }
    switch (key) {
        case Qt::Key_Space:
            walk_.take();
            showLive();
            return true;
        case Qt::Key_Backspace:
            walk_.step(-1);
            return true;
        case Qt::Key_N:
            walk_.step(1);
            return true;
        case Qt::Key_D:
            walk_.setHeld(walk_.tilt(), !walk_.shaded());
            return true;
        case Qt::Key_A:
            walk_.setHeld(walk_.tilt() >= kMostTilt ? 0.0 : walk_.tilt() + kTiltStep, walk_.shaded());
            return true;
        case Qt::Key_H:
            walk_.probe().setHandsFree(!walk_.probe().handsFree());
            return true;
        case Qt::Key_T:
            announcer_.setTones(!announcer_.tones());
            return true;
        case Qt::Key_S:
            announcer_.setSpeech(!announcer_.speech());
            return true;
        case Qt::Key_Escape:
            walk_.end();
            return true;
        default:
            return false;
    }
}

void WalkPanel::keyPressEvent(QKeyEvent* event) {
    if (!handleKey(event)) QWidget::keyPressEvent(event);
}

}  // namespace glumet
