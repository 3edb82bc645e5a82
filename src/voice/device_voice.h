#pragma once

#include <QObject>
#include <memory>

#include "desk/shared/voice.h"

class QSoundEffect;
class QTextToSpeech;

namespace glumet {

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

class DeviceVoiceMaker : public QObject, public VoiceMaker {
    Q_OBJECT
    Q_PLUGIN_METADATA(IID "glumet.VoiceMaker/1")
    Q_INTERFACES(glumet::VoiceMaker)

  public:
    std::unique_ptr<Voice> make() override { return std::make_unique<DeviceVoice>(); }
};

}  // namespace glumet
