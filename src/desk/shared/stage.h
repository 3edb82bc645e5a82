#pragma once

#include <QList>
#include <QWidget>
#include <functional>

#include "core/base/value.h"
#include "core/words/finding.h"
#include "desk/shared/session.h"

namespace glumet {

/// Property of a stage whose sentences wrap above fields: it is as high as they need.
inline constexpr const char* kWrapsText = "wrapsText";

/// One step of the work, shown in the middle of the window. A stage shows the session and never computes.
class Stage : public QWidget {
    Q_OBJECT

  public:
    explicit Stage(Session& session) : session_(session) {}

    /// Takes over whatever changed; called when shown and after every change while shown.
    virtual void refresh() = 0;
    /// Sentences for the column on the right.
    virtual std::vector<Finding> findings() const = 0;
    /// The widget that takes the keys when the stage is entered.
    virtual QWidget* keyWidget() { return this; }
    /// What stands in the section's place while it is shown; nullptr: the section of the bench.
    virtual QWidget* section() { return nullptr; }
    /// Whether work for it is under way in the background.
    virtual bool busy() const { return false; }
    /// Whether instruments speak while it is shown.
    virtual bool listens() const { return false; }
    /// Turns to the part that shows this evidence; the stage is shown already.
    virtual void showEvidence(EvidenceView /*view*/) {}

  signals:
    /// What is shown has changed without a change of the session: the window refreshes stage and findings.
    void viewChanged();

  protected:
    Session& session() const { return session_; }
    const Palette& colours() const { return session_.palette(); }

  private:
    Session& session_;
};

/// The three acts of the work: taking readings, judging them, handing on what was found.
enum class Act { Read, Judge, Give };
inline constexpr std::array kActs{Act::Read, Act::Judge, Act::Give};

/// A command of a stage, in the list of all commands and, with a key, on the key sheet.
struct StageCommand {
    QString text;
    QString keys;  ///< empty: none
    std::function<void(Stage&)> work;
};

/// A key that a stage takes by itself.
struct StageKey {
    QString keys;
    QString what;
};

/// A picture of a stage for the documents: its file's name is the stage's id and `suffix`.
struct StageShot {
    QString suffix;
    QString letters;  ///< pressed before
    QString options;  ///< of the command line
};

/// Everything the window, its bar, lists, pictures and tests know of a stage. Each stage's folder makes its
/// own; desk/window/stages.cpp lists them.
struct StageEntry {
    GLUMET_VALUE(StageEntry);

    QString id;  ///< on the command line and in file names: "bench"
    QString title;
    Act act = Act::Read;
    std::function<Stage*(Session&)> make;
    std::vector<EvidenceView> shows = {};  ///< evidence that leads here
    std::vector<StageCommand> commands = {};
    std::vector<StageKey> keys = {};
    std::function<QString(const Session&)> progress = {};  ///< beside the title; none: nothing
    /// Takes a photometric file: its name and bytes. Empty: the stage takes none.
    std::function<void(Stage&, const QString&, const QByteArray&)> takes_photometry;
    bool follows_fit = true;  ///< is refreshed when a fit has begun or is ready
    bool recommends = false;  ///< the section carries the recommendation
    bool resumes = false;     ///< a shown demonstration goes to the run that was broken off
    std::vector<StageShot> shots = {{}};
};

/// A command for a stage of that kind.
template <class StageType, class Work>
std::function<void(Stage&)> onStage(Work work) {
    return [work](Stage& stage) { std::invoke(work, static_cast<StageType&>(stage)); };
}

}  // namespace glumet
