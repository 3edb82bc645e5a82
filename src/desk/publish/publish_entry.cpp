#include "desk/publish/publish_stage.h"

namespace glumet {

StageEntry publishEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("publish");
    entry.title = PublishStage::tr("Publish");
    entry.act = Act::Give;
    entry.make = [](Session& session) { return new PublishStage(session); };
    entry.recommends = true;
    entry.commands = {{PublishStage::tr("Open a form of review…"),
                       {},
                       onStage<PublishStage>(&PublishStage::askForTemplate)},
                      {PublishStage::tr("Save the form of this review…"),
                       {},
                       onStage<PublishStage>(&PublishStage::askWhereToSaveTemplate)}};
    entry.keys = {{PublishStage::tr("Space, Shift+↑, Shift+↓"),
                   PublishStage::tr("Publish: tick a section, move it up or down")},
                  {PublishStage::tr("Ctrl+Return"), PublishStage::tr("Publish: show the words on the page")}};
    return entry;
}

}  // namespace glumet
