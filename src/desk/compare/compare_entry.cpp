#include "desk/compare/compare_stage.h"

namespace glumet {

StageEntry compareEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("compare");
    entry.title = CompareStage::tr("Compare");
    entry.act = Act::Judge;
    entry.make = [](Session& session) { return new CompareStage(session); };
    entry.shows = {EvidenceView::Compare};
    entry.commands = {{CompareStage::tr("Copy the comparison as a table"), CompareStage::tr("Ctrl+Shift+C"),
                       onStage<CompareStage>(&CompareStage::copyTable)},
                      {CompareStage::tr("Write the comparison as figures and tables…"),
                       {},
                       onStage<CompareStage>(&CompareStage::exportAll)},
                      {CompareStage::tr("Compare by the ready weights"),
                       {},
                       onStage<CompareStage>(&CompareStage::readyWeights)},
                      {CompareStage::tr("Keep what was read at the viewer's eye…"),
                       {},
                       onStage<CompareStage>(&CompareStage::keepEyeReading)},
                      {CompareStage::tr("Keep these fixtures on the shelf of this machine…"),
                       {},
                       onStage<CompareStage>(&CompareStage::keepOnShelf)},
                      {CompareStage::tr("Compare with fixtures from the shelf…"),
                       {},
                       onStage<CompareStage>(&CompareStage::openShelf)}};
    entry.keys = {
        {CompareStage::tr("←, →"),
         CompareStage::tr("Compare: another fixture, with Shift what it is compared with")},
        {CompareStage::tr("↑, ↓, 0–4"),
         CompareStage::tr("Compare: a criterion of the board, and its weight")},
        {CompareStage::tr("B, P, C, S, O"), CompareStage::tr("Compare: board, pair, cost, scores, schools")},
        {CompareStage::tr("N, M"), CompareStage::tr("Compare: the next pair, more criteria")}};
    entry.shots = {{}, {QStringLiteral("-pair"), QStringLiteral("P"), {}}};
    return entry;
}

}  // namespace glumet
