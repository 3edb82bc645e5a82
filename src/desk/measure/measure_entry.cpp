#include "desk/measure/measure_stage.h"
#include "desk/measure/sweep_progress.h"

namespace glumet {
namespace {

/// Complete planes of the chosen sweep, of all.
QString planesDone(const Session& session) {
    if (session.sweep() == nullptr) return {};
    int planes = 0;
    int complete = 0;
    for (const auto id : session.sweep()->runs)
        for (const auto& plane : session.bench().run(id).planes) {
            ++planes;
            complete += planeProgress(plane) >= 1.0 ? 1 : 0;
        }
    return QStringLiteral("%1/%2").arg(complete).arg(planes);
}

}  // namespace

StageEntry measureEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("measure");
    entry.title = MeasureStage::tr("Measure");
    entry.act = Act::Read;
    entry.make = [](Session& session) { return new MeasureStage(session); };
    entry.shows = {EvidenceView::Measure};
    entry.keys = {{MeasureStage::tr("Space"),
                   MeasureStage::tr("Measure: take the mean once settled; again: take it now")},
                  {MeasureStage::tr("0–9, Enter"), MeasureStage::tr("Measure: type a value and keep it")},
                  {MeasureStage::tr("Backspace"), MeasureStage::tr("Measure: one point back")},
                  {MeasureStage::tr("R"), MeasureStage::tr("Measure: read the last point again")},
                  {MeasureStage::tr("G"), MeasureStage::tr("Measure: go to the first doubtful point")},
                  {MeasureStage::tr("H"), MeasureStage::tr("Measure: hands free, or by hand")},
                  {MeasureStage::tr("Arrows"), MeasureStage::tr("Walk the grid")}};
    entry.progress = planesDone;
    entry.resumes = true;
    return entry;
}

}  // namespace glumet
