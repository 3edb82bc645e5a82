#include "report/living_sheet.h"

#include <QCoreApplication>

#include "core/living/living_findings.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr QSize kPlanSize(640, 330);
constexpr int kNoteLetters = 70;
constexpr int kValueLetters = 24;

/// Room to write, as wide as so many letters: blanks that are not folded away.
Words room(int letters) {
    std::string blanks;
    for (int i = 0; i < letters; ++i) blanks += "\u00a0";
    return say("{}", blanks);
}

void addSteps(Document& out, const LivingSheetQuestion& q) {
    if (q.steps.empty()) return;
    out.blocks.push_back(Heading{2, prose(say(GLUMET_SAY("Core", "Brightening: {}"), q.plan))});
    DataTable table;
    table.caption = say(GLUMET_SAY("Core", "Tick each step once it is set; write what you saw before it"));
    table.columns = {{say(GLUMET_SAY("Core", "Day")), false},
                     {say(GLUMET_SAY("Core", "Level")), true},
                     {say(GLUMET_SAY("Core", "Set")), false},
                     {say(GLUMET_SAY("Core", "Seen before it")), false}};
    for (const auto& step : q.steps)
        table.rows.push_back({say("{}", step.day), say("{} %", Figure{step.level_pct, 0}),
                              step.held ? Words(say(GLUMET_SAY("Core", "hold"))) : Words(say("☐")),
                              room(kNoteLetters)});
    out.blocks.push_back(std::move(table));
}

void addSpots(Document& out, const LivingSheetQuestion& q) {
    out.blocks.push_back(Heading{2, prose(say(GLUMET_SAY("Core", "Spots")))});
    DataTable table;
    table.caption = say(GLUMET_SAY("Core", "What each had last, µmol·m⁻²·s⁻¹"));
    table.columns = {
        {say(GLUMET_SAY("Core", "Spot")), false},       {say(GLUMET_SAY("Core", "Who lives there")), false},
        {say(GLUMET_SAY("Core", "Under water")), true}, {say(GLUMET_SAY("Core", "Had")), true},
        {say(GLUMET_SAY("Core", "On")), false},         {say(GLUMET_SAY("Core", "Reads now")), false}};
    for (const auto& spot : q.bench->spots) {
        if (spot.tank != q.tank) continue;
        const auto* who = livesAt(*q.bench, spot.id);
        const auto* last = latestAt(spot);
        table.rows.push_back(
            {say("{}", spot.name), say("{}", who == nullptr ? std::string() : who->name),
             say("{}", spot.depth), last == nullptr ? Words(say("–")) : Words(say("{}", last->mean)),
             say("{}", last == nullptr ? std::string() : dateOf(last->time)), room(kValueLetters)});
    }
    out.blocks.push_back(std::move(table));
}

void addGuide(Document& out) {
    out.blocks.push_back(Heading{2, prose(say(GLUMET_SAY("Core", "Before each step")))});
    out.blocks.push_back(Bullets{
        {prose(say(GLUMET_SAY("Core", "Bleached, closed, shedding or melting: wait, or go a step back."))),
         prose(say(GLUMET_SAY("Core", "Growing, open, coloured as before: go on."))),
         prose(say(GLUMET_SAY("Core", "Change nothing else meanwhile: no diffuser, no height, no place."))),
         prose(say(GLUMET_SAY("Core", "Flow, food, water and pests look alike: look at them first.")))}});
    out.blocks.push_back(Paragraph{
        prose(say(GLUMET_SAY("Core",
                             "Plugs dry, residual-current protection on, nobody under a hanging lamp; local "
                             "code and a licensed electrician have the last word."))),
        ProseTone::Caution});
}

}  // namespace

Document livingSheet(const LivingSheetQuestion& q) {
    Document out;
    const auto* tank = byId(q.bench->tanks, q.tank);
    out.title = tank == nullptr ? QString() : text(tank->name);
    out.subject = QCoreApplication::translate("LivingSheet", "Spots and brightening, to write on");
    out.day = text(q.day);
    out.footer = QStringLiteral("%1, %2").arg(out.title, out.day);
    out.unit = q.unit;
    out.blocks.push_back(Heading{1, prose(say("{}", out.title.toStdString()))});
    PageFigure plan;
    plan.name = "tank";
    plan.caption = say(GLUMET_SAY("Core", "From above, front below; between the spots only what is known"));
    plan.alt = say(GLUMET_SAY("Core", "The tank from above with its spots and their light"));
    plan.size = kPlanSize;
    plan.paint = [figure = q.figure](QPainter& painter, const QRectF& area, LengthUnit) {
        paintTankPlan(painter, area, figure, paper());
    };
    out.blocks.push_back(FigureRow{{std::move(plan)}});
    addSteps(out, q);
    addGuide(out);
    addSpots(out, q);
    return out;
}

}  // namespace glumet
