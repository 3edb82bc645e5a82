#include "desk/array/array_stage.h"

namespace glumet {

StageEntry arrayEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("array");
    entry.title = ArrayStage::tr("Array");
    entry.act = Act::Judge;
    entry.make = [](Session& session) { return new ArrayStage(session); };
    entry.shows = {EvidenceView::Array};
    entry.keys = {{ArrayStage::tr("←, →"), ArrayStage::tr("Array: the chosen fixture along the row")},
                  {ArrayStage::tr("↑, ↓"), ArrayStage::tr("Array: all fixtures up or down")},
                  {ArrayStage::tr("1–9"), ArrayStage::tr("Array: choose a fixture")},
                  {ArrayStage::tr("S, P"), ArrayStage::tr("Array: next school, next pane")}};
    entry.recommends = true;
    entry.shots = {{}, {QStringLiteral("-measured"), QStringLiteral("PPPPPP"), {}}};
    return entry;
}

}  // namespace glumet
