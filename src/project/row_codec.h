#pragma once

#include <QSqlQuery>
#include <QVariantList>

#include "core/bench/run.h"

namespace glumet {

/// Values in the order of the table's columns in editableTables(), for writing.
QVariantList valuesOf(const Tank& tank);
QVariantList valuesOf(const Fixture& fixture);
QVariantList valuesOf(const Accessory& accessory);
QVariantList valuesOf(const MeterProfile& meter);
QVariantList valuesOf(const Run& run);
QVariantList valuesOf(const Plane& plane, Id run);
QVariantList valuesOf(const Reading& reading, Id plane);
QVariantList valuesOf(const CommissionCheck& check);
/// The project row: title, then the method.
QVariantList valuesOf(const QString& title, const Method& method);

/// The element on the current row of `SELECT id, <columns> FROM table`.
Tank tankFrom(const QSqlQuery& row);
Fixture fixtureFrom(const QSqlQuery& row);
Accessory accessoryFrom(const QSqlQuery& row);
MeterProfile meterFrom(const QSqlQuery& row);
Run runFrom(const QSqlQuery& row);
Plane planeFrom(const QSqlQuery& row);
/// Its words come as UTF-8 bytes, see allReadings().
Reading readingFrom(const QSqlQuery& row);
CommissionCheck checkFrom(const QSqlQuery& row);
Method methodFrom(const QSqlQuery& row);

}  // namespace glumet
