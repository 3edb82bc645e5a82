#include "desk/measure/announcer.h"

#include <QSettings>
#include <QStandardPaths>

#include "core/bench/grid.h"
#include "core/words/wording.h"
#include "report/text.h"

namespace glumet {
namespace {

QSettings settings() {
    return QSettings(
        QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/measure.ini"),
        QSettings::IniFormat);
}

/// "C3" as it is spoken: letter and figure apart.
QString spoken(const QString& point) {
    if (point.size() > 3 || point.isEmpty() || !point.back().isDigit()) return point;
    QString apart;
    for (const QChar sign : point) apart += sign + QLatin1Char(' ');
    return apart.trimmed();
}

}  // namespace

Announcer::Announcer(Session& session, ReadingTaker& taker, std::unique_ptr<Voice> voice)
    : session_(session), taker_(taker), voice_(std::move(voice)) {
    tones_ = settings().value(QStringLiteral("tones"), true).toBool();
    speech_ = settings().value(QStringLiteral("speech"), false).toBool();
    connect(&taker, &ReadingTaker::settled, this, [this] { play(Tone::Settled); });
    connect(&taker, &ReadingTaker::doubted, this, [this] { play(Tone::Doubtful); });
    connect(&taker, &ReadingTaker::taken, this, [this](double ppfd, bool doubtful) {
        play(doubtful ? Tone::Doubtful : Tone::Taken);
        if (speech_) sayNext(ppfd);
    });
}

void Announcer::play(Tone tone) {
    if (tones_) voice_->play(tone);
}

void Announcer::sayNext(double kept) {
    const QString value = text(ppfdFigure(Ppfd(kept)));
    const auto* plane = session_.plane();
    if (!taker_.target() || plane == nullptr || !plane->grid)
        return voice_->say(tr("%1. Plane complete.").arg(value));
    const QString next = spoken(text(cellName(*plane->grid, *taker_.target())));
    const auto check = taker_.checking();
    if (!check) return voice_->say(tr("%1. Next, %2.").arg(value, next));
    voice_->say(*check == CheckPointKind::Reference ? tr("%1. Back to the reference, %2.").arg(value, next)
                                                    : tr("%1. Once more, %2.").arg(value, next));
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
