#include "desk/publish/publish_stage.h"

namespace glumet {

StageEntry publishEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("publish");
    entry.title = PublishStage::tr("Publish");
    entry.act = Act::Give;
    entry.make = [](Session& session) { return new PublishStage(session); };
    entry.follows_fit = false;
    entry.recommends = true;
    return entry;
}

}  // namespace glumet
