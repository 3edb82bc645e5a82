#include "desk/shared/announcer.h"

#include <QSettings>
#include <QStandardPaths>

#include "core/words/wording.h"
#include "report/text.h"

namespace glumet {
namespace {

QSettings settings() {
    return QSettings(
        QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/measure.ini"),
        QSettings::IniFormat);
}

}  // namespace

Announcer::Announcer(Session& session, Next next, std::unique_ptr<Voice> voice)
    : session_(session), next_(std::move(next)), voice_(std::move(voice)) {
    tones_ = settings().value(QStringLiteral("tones"), true).toBool();
    speech_ = settings().value(QStringLiteral("speech"), false).toBool();
}

void Announcer::taken(double ppfd, bool doubtful) {
    play(doubtful ? Tone::Doubtful : Tone::Taken);
    if (speech_) voice_->say(tr("%1. %2").arg(text(ppfdFigure(Ppfd(ppfd))), next_()));
}

void Announcer::play(Tone tone) {
    if (tones_) voice_->play(tone);
}

void Announcer::setTones(bool on) {
    tones_ = on;
    settings().setValue(QStringLiteral("tones"), on);
    session_.say(on ? tr("Tones on.") : tr("Tones off."));
}

void Announcer::setSpeech(bool on) {
    speech_ = on;
    settings().setValue(QStringLiteral("speech"), on);
    session_.say(on ? tr("The next point is spoken.") : tr("Speech off."));
}

}  // namespace glumet
