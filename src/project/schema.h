#pragma once

#include <QStringList>

#include "core/bench/descriptions.h"

namespace glumet {

class ProjectFile;

/// "GLMT": tells a Glumet project from any other SQLite file (PRAGMA application_id).
inline constexpr quint32 kApplicationId = 0x474C4D54;

/// Version of the tables (PRAGMA user_version). A file with a higher one is not opened.
///   1 (2026-11-24): first version.
///   2 (2026-11-25): fixture.beam, fixture.flux_umol_s and fixture.emitter_size_mm.
///   3 (2026-11-25): tank.obstacles; meter.response, .cosine_error and .corrections; project.check_every,
///                   .school and .dissent; table commission.
///   4 (2026-11-25): project.goal and .goals.
///   5 (2026-11-26): tables channel, preset and preset_level; run.preset names a preset; project.goal holds
///   the
///                   band.
///   6 (2026-11-26): checks "hanging" and "eyes-hands".
///   7 (2026-11-27): fixture.shroud_length_mm, .shroud_width_mm and .shroud_drop_mm.
///   8 (2026-11-27): table ring_mean; run.turn_deg and run.read_by.
///   9 (2026-11-27): tables spectrum, schedule, schedule_ramp and day_log; project.bands and .price_kwh.
///                   Spectra that stood in texts of channels and readings became rows.
///  10 (2026-11-27): table rating; run.hours and .eye_reading; fixture.mount_price, .lamp_price, .life_h and
///  .noise_dba;
///                   accessory.price; project.years, .weights, .on_purpose, .compared_height_mm,
///                   .eye_away_mm, .eye_above_mm, .reviewer and .licence.
///  11 (2026-11-27): run.in_review; project.review.
///  12 (2026-11-27): tables spot, spot_reading, organism and acclimation.
///  13 (2026-11-27): table rock.
///  14 (2026-11-28): tables planned_array and hung_fixture.
inline constexpr int kSchemaVersion = kBenchFormat;

/// Statements that make an empty project file of kSchemaVersion, undo triggers included.
QStringList schemaStatements();

/// Table of a table's old values, and the triggers that fill it.
QString oldValuesTable(const QString& table, const QStringList& columns);
QStringList undoTriggers(const QString& table, const QStringList& columns);

/// Brings a file of an older version up to kSchemaVersion, undo history included; within a transaction of the
/// caller's. Throws SqlFault.
void upgrade(const ProjectFile& file, int version);

}  // namespace glumet
