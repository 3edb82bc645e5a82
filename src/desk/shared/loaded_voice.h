#pragma once

#include "desk/shared/voice.h"

namespace glumet {

/// The machine's voice, loaded when it is first to be heard; silent where its library is missing.
class LoadedVoice : public Voice {
  public:
    void play(Tone tone) override;
    void say(const QString& words) override;
    /// Whether the library is there; loads it.
    bool available();

  private:
    Voice* voice();

    std::unique_ptr<Voice> voice_;
    bool tried_ = false;
};

}  // namespace glumet
