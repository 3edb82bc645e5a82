#pragma once

#include <QObject>
#include <memory>

#include "desk/measure/reading_taker.h"

class QSoundEffect;
class QTextToSpeech;

namespace glumet {

enum class Tone { Settled, Taken, Doubtful };

/// Where announcements go; a stand-in in tests.
class Voice {
  public:
    virtual ~Voice() = default;
    virtual void play(Tone tone) = 0;
    virtual void say(const QString& words) = 0;
};

/// The machine's loudspeaker: short tones, and speech by the engine that needs no service. Both are made when
/// first asked for, and silent where there is no sound device.
class DeviceVoice : public Voice {
  public:
    DeviceVoice();
    ~DeviceVoice() override;
    void play(Tone tone) override;
    void say(const QString& words) override;

  private:
    std::unique_ptr<QSoundEffect> tones_[3];
    std::unique_ptr<QTextToSpeech> speech_;
};

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
