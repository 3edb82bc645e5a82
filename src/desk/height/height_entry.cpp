#include "desk/height/height_stage.h"

namespace glumet {

StageEntry heightEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("height");
    entry.title = HeightStage::tr("Height");
    entry.act = Act::Judge;
    entry.make = [](Session& session) { return new HeightStage(session); };
    entry.shows = {EvidenceView::Height};
    entry.recommends = true;
    return entry;
}

}  // namespace glumet
