#pragma once

#include <QObject>
#include <memory>

#include "desk/shared/session.h"
#include "desk/shared/voice.h"

namespace glumet {

/// Tells by ear what happens at the probe: settled, taken, doubtful; then the value kept and the next point.
/// Tones and speech are switched apart and remembered.
class Announcer : public QObject {
    Q_OBJECT

  public:
    /// Words after a value that was kept: where to go next.
    using Next = std::function<QString()>;
    Announcer(Session& session, Next next, std::unique_ptr<Voice> voice);

    bool tones() const { return tones_; }
    bool speech() const { return speech_; }
    void setTones(bool on);
    void setSpeech(bool on);
    void settled() { play(Tone::Settled); }
    void doubted() { play(Tone::Doubtful); }
    void taken(double ppfd, bool doubtful);
    void setVoice(std::unique_ptr<Voice> voice) { voice_ = std::move(voice); }

  private:
    void play(Tone tone);

    Session& session_;
    Next next_;
    std::unique_ptr<Voice> voice_;
    bool tones_ = true;
    bool speech_ = false;
};

}  // namespace glumet
