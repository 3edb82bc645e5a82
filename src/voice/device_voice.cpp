#include "device_voice.h"

#include <QAudioDevice>
#include <QMediaDevices>
#include <QSoundEffect>
#include <QTextToSpeech>
#include <QUrl>
#include <array>

namespace glumet {
namespace {

constexpr std::array kFiles{"settled", "taken", "doubtful"};

bool canBeHeard() { return !QMediaDevices::audioOutputs().isEmpty(); }

}  // namespace

DeviceVoice::DeviceVoice() = default;
DeviceVoice::~DeviceVoice() = default;

void DeviceVoice::play(Tone tone) {
    if (!canBeHeard()) return;
    auto& effect = tones_[static_cast<std::size_t>(tone)];
    if (effect == nullptr) {
        effect = std::make_unique<QSoundEffect>();
        effect->setSource(QUrl(
            QStringLiteral("qrc:/sounds/%1.wav").arg(QLatin1String(kFiles[static_cast<std::size_t>(tone)]))));
    }
    effect->play();
}

void DeviceVoice::say(const QString& words) {
    if (!canBeHeard()) return;
    if (speech_ == nullptr) speech_ = std::make_unique<QTextToSpeech>(QStringLiteral("flite"));
    speech_->stop();
    speech_->say(words);
}

}  // namespace glumet
