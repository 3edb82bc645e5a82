#include "desk/field/field_stage.h"

namespace glumet {
namespace {

/// Planes of the chosen sweep that hold readings.
QString planesRead(const Session& session) {
    if (session.sweep() == nullptr) return {};
    int begun = 0;
    for (const auto id : session.sweep()->runs)
        for (const auto& plane : session.bench().run(id).planes) begun += plane.readings.empty() ? 0 : 1;
    return QString::number(begun);
}

}  // namespace

StageEntry fieldEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("field");
    entry.title = FieldStage::tr("Field");
    entry.act = Act::Judge;
    entry.make = [](Session& session) { return new FieldStage(session); };
    entry.shows = {EvidenceView::Field};
    entry.keys = {
        {FieldStage::tr("D, X, C"), FieldStage::tr("Field: doubtful, excluded, contours")},
        {FieldStage::tr("M"), FieldStage::tr("Field: readings, model, difference, band depths, shadow")}};
    entry.progress = planesRead;
    entry.shots = {{},
                   {QStringLiteral("-paper-inches"), {}, QStringLiteral("--paper --unit in")},
                   {QStringLiteral("-difference"), QStringLiteral("MM"), {}},
                   {QStringLiteral("-shadow"), QStringLiteral("MMMM"), {}}};
    return entry;
}

}  // namespace glumet
