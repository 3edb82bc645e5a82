#pragma once

#include <QString>
#include <QtPlugin>
#include <memory>

namespace glumet {

enum class Tone { Settled, Taken, Doubtful };

/// Where announcements go; a stand-in in tests.
class Voice {
  public:
    virtual ~Voice() = default;
    virtual void play(Tone tone) = 0;
    virtual void say(const QString& words) = 0;
};

/// Makes the machine's voice. It lies in a library of its own that is loaded when something is first to be
/// heard: sound and speech bring libraries that the window's start need not wait for.
class VoiceMaker {
  public:
    virtual ~VoiceMaker() = default;
    virtual std::unique_ptr<Voice> make() = 0;
};

}  // namespace glumet

Q_DECLARE_INTERFACE(glumet::VoiceMaker, "glumet.VoiceMaker/1")
