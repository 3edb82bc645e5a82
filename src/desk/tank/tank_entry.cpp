#include "desk/tank/tank_stage.h"

namespace glumet {

StageEntry tankEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("tank");
    entry.title = TankStage::tr("Tank");
    entry.act = Act::Give;
    entry.follows_fit = false;
    entry.make = [](Session& session) { return new TankStage(session); };
    const auto note = [](RampEventKind kind) {
        return onStage<TankStage>([kind](TankStage& stage) { stage.noteOnRamp(kind); });
    };
    entry.commands = {
        {TankStage::tr("A new spot in the tank"), {}, onStage<TankStage>(&TankStage::addSpot)},
        {TankStage::tr("A new plan to brighten"), {}, onStage<TankStage>([](TankStage& stage) {
             stage.form().newRamp();
         })},
        {TankStage::tr("A new rock or colony in the tank"), {}, onStage<TankStage>([](TankStage& stage) {
             stage.form().newRock();
         })},
        {TankStage::tr("Walk from spot to spot with the probe, or end it"), TankStage::tr("Ctrl+Shift+W"),
         onStage<TankStage>(&TankStage::walkOrEnd)},
        {TankStage::tr("A sheet of the tank to write on…"), {}, onStage<TankStage>(&TankStage::askForSheet)},
        {TankStage::tr("Pause the brightening"), {}, note(RampEventKind::Pause)},
        {TankStage::tr("Go on brightening"), {}, note(RampEventKind::Resume)},
        {TankStage::tr("Brightening: a step back"), {}, note(RampEventKind::StepBack)},
        {TankStage::tr("The brightening as a calendar…"),
         {},
         onStage<TankStage>(&TankStage::askForCalendar)}};
    entry.keys = {{TankStage::tr("←, →"), TankStage::tr("Tank: another spot")},
                  {TankStage::tr("N, D, A"), TankStage::tr("Tank, walking: pass over; in the way; turned")}};
    return entry;
}

}  // namespace glumet
