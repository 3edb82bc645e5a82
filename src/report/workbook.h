#pragma once

#include <QByteArray>
#include <QString>

#include "core/base/problem.h"
#include "report/review/fixture_review.h"

namespace glumet {

/// A review as an XLSX workbook for people with spreadsheets: readings as values; figures of every plane as
/// formulas over them, with their values; heights school by school; what each height keeps as a chart. The
/// day is given, so that the same review gives the same bytes.
Expected<QByteArray> workbookOf(const FixtureReview& review, const QString& day);

}  // namespace glumet
