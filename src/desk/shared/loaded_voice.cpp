#include "desk/shared/loaded_voice.h"

#include <QCoreApplication>
#include <QPluginLoader>

namespace glumet {

Voice* LoadedVoice::voice() {
    if (!tried_) {
        tried_ = true;
        QPluginLoader loader(QCoreApplication::applicationDirPath() + QStringLiteral("/libglumet_voice.so"));
        if (auto* maker = qobject_cast<VoiceMaker*>(loader.instance())) voice_ = maker->make();
    }
    return voice_.get();
}

bool LoadedVoice::available() { return voice() != nullptr; }

void LoadedVoice::play(Tone tone) {
    if (auto* there = voice()) there->play(tone);
}

void LoadedVoice::say(const QString& words) {
    if (auto* there = voice()) there->say(words);
}

}  // namespace glumet
