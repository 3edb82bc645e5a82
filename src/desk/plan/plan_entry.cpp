#include "desk/plan/plan_stage.h"

namespace glumet {

StageEntry planEntry() {
    const auto view = [](PlanStage::View shown) {
        return onStage<PlanStage>([shown](PlanStage& stage) { stage.show(shown); });
    };
    StageEntry entry;
    entry.id = QStringLiteral("plan");
    entry.title = PlanStage::tr("Plan");
    entry.act = Act::Read;
    entry.make = [](Session& session) { return new PlanStage(session); };
    entry.shows = {EvidenceView::Plan, EvidenceView::Commission};
    entry.commands = {{PlanStage::tr("Go on where it stopped"), PlanStage::tr("Ctrl+G"),
                       onStage<PlanStage>(&PlanStage::goOn)},
                      {PlanStage::tr("Plan: add runs from a method"), PlanStage::tr("Ctrl+P"),
                       view(PlanStage::View::Method)},
                      {PlanStage::tr("Plan: checks before the first reading"), PlanStage::tr("Ctrl+B"),
                       view(PlanStage::View::Commission)},
                      {PlanStage::tr("Plan: checklist and point sheets on paper…"),
                       {},
                       onStage<PlanStage>(&PlanStage::printSheets)}};
    entry.shots = {{},
                   {QStringLiteral("-method"), QStringLiteral("M"), {}},
                   {QStringLiteral("-checks"), QStringLiteral("MM"), {}}};
    return entry;
}

}  // namespace glumet
