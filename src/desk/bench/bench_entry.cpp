#include "desk/bench/bench_stage.h"

namespace glumet {

StageEntry benchEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("bench");
    entry.title = BenchStage::tr("Bench");
    entry.act = Act::Read;
    entry.make = [](Session& session) { return new BenchStage(session); };
    entry.shows = {EvidenceView::Bench};
    entry.commands = {
        {BenchStage::tr("New run…"), BenchStage::tr("Ctrl+R"), onStage<BenchStage>(&BenchStage::newRun)},
        {BenchStage::tr("Type a published chart…"), BenchStage::tr("Ctrl+Shift+R"),
         onStage<BenchStage>(&BenchStage::typeChart)},
        {BenchStage::tr("Remove the chosen run"), {}, onStage<BenchStage>(&BenchStage::removeRun)},
        {BenchStage::tr("New fixture"), {}, onStage<BenchStage>(&BenchStage::newFixture)},
        {BenchStage::tr("Beam from a photometric file…"),
         {},
         onStage<BenchStage>(&BenchStage::chooseBeamFile)},
        {BenchStage::tr("New tank"), {}, onStage<BenchStage>(&BenchStage::newTank)},
        {BenchStage::tr("New meter"), {}, onStage<BenchStage>(&BenchStage::newMeter)},
        {BenchStage::tr("New accessory…"), {}, onStage<BenchStage>(&BenchStage::newAccessory)}};
    entry.takes_photometry = [](Stage& stage, const QString& name, const QByteArray& bytes) {
        static_cast<BenchStage&>(stage).takeBeam(name, bytes);
    };
    entry.follows_fit = false;
    return entry;
}

}  // namespace glumet
