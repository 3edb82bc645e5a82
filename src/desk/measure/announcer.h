#pragma once

#include <QObject>
#include <memory>

#include "desk/measure/reading_taker.h"
#include "desk/measure/voice.h"

namespace glumet {

/// Tells by ear what happens at the probe: settled, taken, doubtful; then the value kept and the next point.
/// Tones and speech are switched apart and remembered.
class Announcer : public QObject {
    Q_OBJECT

  public:
    Announcer(Session& session, ReadingTaker& taker, std::unique_ptr<Voice> voice);

    bool tones() const { return tones_; }
    bool speech() const { return speech_; }
    void setTones(bool on);
    void setSpeech(bool on);
    void setVoice(std::unique_ptr<Voice> voice) { voice_ = std::move(voice); }

  private:
    void sayNext(double kept);
    void play(Tone tone);

    Session& session_;
    ReadingTaker& taker_;
    std::unique_ptr<Voice> voice_;
    bool tones_ = true;
    bool speech_ = false;
};

}  // namespace glumet
