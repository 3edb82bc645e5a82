#include "project/goal_text.h"

#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <vector>

namespace glumet {
namespace {

QJsonValue orNull(const std::optional<Ppfd>& value) {
    return value ? QJsonValue(value->value()) : QJsonValue();
}

std::optional<Ppfd> ppfdFrom(const QJsonValue& value) {
    return value.isDouble() ? std::optional(Ppfd(value.toDouble())) : std::nullopt;
}

QJsonObject objectOf(const Goal& goal) {
    return {{QStringLiteral("name"), QString::fromStdString(goal.name)},
            {QStringLiteral("school"), QString::fromStdString(goal.school)},
            {QStringLiteral("low"), goal.band.low.value()},
            {QStringLiteral("high"), goal.band.high.value()},
            {QStringLiteral("photoperiod_h"), goal.photoperiod_h},
            {QStringLiteral("ceiling"), orNull(goal.ceiling)},
            {QStringLiteral("floor"), orNull(goal.floor)},
            {QStringLiteral("zone_from_mm"), goal.zone_from.value()},
            {QStringLiteral("zone_to_mm"), goal.zone_to.value()}};
}

Goal goalOf(const QJsonObject& object) {
    Goal goal;
    goal.name = object[QStringLiteral("name")].toString().toStdString();
    goal.school = object[QStringLiteral("school")].toString(QStringLiteral("narrow-band")).toStdString();
    goal.band = {Ppfd(object[QStringLiteral("low")].toDouble()),
                 Ppfd(object[QStringLiteral("high")].toDouble())};
    goal.photoperiod_h = object[QStringLiteral("photoperiod_h")].toDouble(goal.photoperiod_h);
    goal.ceiling = ppfdFrom(object[QStringLiteral("ceiling")]);
    goal.floor = ppfdFrom(object[QStringLiteral("floor")]);
    goal.zone_from = Millimetre(object[QStringLiteral("zone_from_mm")].toDouble());
    goal.zone_to = Millimetre(object[QStringLiteral("zone_to_mm")].toDouble());
    return goal;
}

QString compact(const QJsonDocument& document) {
    return QString::fromUtf8(document.toJson(QJsonDocument::Compact));
}

}  // namespace

QString goalText(const Goal& goal) { return compact(QJsonDocument(objectOf(goal))); }

Goal goalFrom(const QVariant& value) { return goalOf(QJsonDocument::fromJson(value.toByteArray()).object()); }

QString goalsText(const std::vector<Goal>& goals) {
    if (goals.empty()) return QStringLiteral("");
    QJsonArray list;
    for (const auto& goal : goals) list.append(objectOf(goal));
    return compact(QJsonDocument(list));
}

std::vector<Goal> goalsFrom(const QVariant& value) {
    std::vector<Goal> goals;
    for (const auto& entry : QJsonDocument::fromJson(value.toByteArray()).array())
        goals.push_back(goalOf(entry.toObject()));
    return goals;
}

}  // namespace glumet
