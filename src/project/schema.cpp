#include "project/schema.h"

namespace glumet {
namespace {

QString commissionTable() {
    return QStringLiteral(
        "CREATE TABLE commission(id INTEGER PRIMARY KEY, run INTEGER NOT NULL REFERENCES run ON DELETE "
        "CASCADE, "
        "kind INTEGER NOT NULL, subject TEXT NOT NULL, value REAL NOT NULL, passed INTEGER NOT NULL, "
        "verdict TEXT NOT NULL, overruled TEXT NOT NULL, time TEXT NOT NULL) STRICT");
}

QStringList dataTables() {
    return {
        QStringLiteral(
            "CREATE TABLE project(id INTEGER PRIMARY KEY CHECK(id = 1), title TEXT NOT NULL, "
            "spill_limit REAL NOT NULL, band_low REAL NOT NULL, band_high REAL NOT NULL, "
            "grid_columns INTEGER NOT NULL, grid_rows INTEGER NOT NULL, settled_error REAL NOT NULL, "
            "longest_reading_s REAL NOT NULL, height_error_mm REAL NOT NULL, method_note TEXT NOT NULL, "
            "check_every INTEGER NOT NULL DEFAULT 0, school TEXT NOT NULL DEFAULT 'spill-limit', "
            "dissent TEXT NOT NULL DEFAULT '', goal TEXT NOT NULL DEFAULT '', goals TEXT NOT NULL DEFAULT "
            "'') "
            "STRICT"),
        QStringLiteral(
            "CREATE TABLE tank(id INTEGER PRIMARY KEY, name TEXT NOT NULL, length_mm REAL NOT NULL "
            "CHECK(length_mm > 0), "
            "width_mm REAL NOT NULL CHECK(width_mm > 0), water_depth_mm REAL NOT NULL CHECK(water_depth_mm > "
            "0), "
            "left_wall INTEGER NOT NULL, left_reflectance REAL NOT NULL, right_wall INTEGER NOT NULL, "
            "right_reflectance REAL NOT NULL, front_wall INTEGER NOT NULL, front_reflectance REAL NOT NULL, "
            "back_wall INTEGER NOT NULL, back_reflectance REAL NOT NULL, water_kind INTEGER NOT NULL, "
            "tank_use INTEGER NOT NULL, obstacles TEXT NOT NULL DEFAULT '') STRICT"),
        QStringLiteral(
            "CREATE TABLE fixture(id INTEGER PRIMARY KEY, name TEXT NOT NULL, maker TEXT NOT NULL, kind TEXT "
            "NOT NULL, "
            "length_mm REAL NOT NULL, width_mm REAL NOT NULL, emitter_columns INTEGER NOT NULL, "
            "emitter_rows INTEGER NOT NULL, emitter_pitch_x_mm REAL NOT NULL, emitter_pitch_y_mm REAL NOT "
            "NULL, "
            "channels TEXT NOT NULL, rated_power_w REAL, mass_kg REAL NOT NULL, price REAL NOT NULL, "
            "currency TEXT NOT NULL, power_supply_inside INTEGER NOT NULL, claimed_low_mm REAL, "
            "claimed_high_mm REAL, "
            "claimed_coverage TEXT NOT NULL, note TEXT NOT NULL, beam TEXT, flux_umol_s REAL, "
            "emitter_size_mm REAL NOT NULL DEFAULT 0) STRICT"),
        QStringLiteral(
            "CREATE TABLE accessory(id INTEGER PRIMARY KEY, name TEXT NOT NULL, note TEXT NOT NULL) STRICT"),
        QStringLiteral("CREATE TABLE meter(id INTEGER PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, "
                       "immersion_factor REAL NOT NULL, immersion_by INTEGER NOT NULL, relative_uncertainty "
                       "REAL NOT NULL, "
                       "calibrated_on TEXT NOT NULL, note TEXT NOT NULL, response TEXT NOT NULL DEFAULT '', "
                       "cosine_error REAL NOT NULL DEFAULT 0, corrections TEXT NOT NULL DEFAULT '') STRICT"),
        QStringLiteral(
            "CREATE TABLE run(id INTEGER PRIMARY KEY, label TEXT NOT NULL, fixture INTEGER NOT NULL "
            "REFERENCES fixture, "
            "accessory INTEGER REFERENCES accessory, tank INTEGER REFERENCES tank, meter INTEGER REFERENCES "
            "meter, "
            "preset TEXT NOT NULL, level_pct REAL, height_mm REAL NOT NULL, fixtures INTEGER NOT NULL, "
            "placement TEXT NOT NULL, water INTEGER NOT NULL, dark_reading REAL, warm_up_min REAL, "
            "note TEXT NOT NULL) STRICT"),
        QStringLiteral("CREATE TABLE plane(id INTEGER PRIMARY KEY, run INTEGER NOT NULL REFERENCES run ON "
                       "DELETE CASCADE, "
                       "depth_mm REAL NOT NULL CHECK(depth_mm >= 0), grid TEXT) STRICT"),
        commissionTable(),
        QStringLiteral(
            "CREATE TABLE reading(id INTEGER PRIMARY KEY, plane INTEGER NOT NULL REFERENCES plane ON DELETE "
            "CASCADE, "
            "x_mm REAL NOT NULL, y_mm REAL NOT NULL, ppfd REAL NOT NULL, ppfd_min REAL, ppfd_max REAL, sd "
            "REAL, "
            "samples REAL, power_w REAL, flag TEXT NOT NULL, note TEXT NOT NULL, time TEXT NOT NULL, "
            "superseded INTEGER NOT NULL, extra TEXT NOT NULL) STRICT"),
        QStringLiteral("CREATE INDEX plane_of_run ON plane(run)"),
        QStringLiteral("CREATE INDEX reading_of_plane ON reading(plane)"),
    };
}

/// The journal: one row per changed row, its old values beside it in undo_TABLE.
QStringList journalTables() {
    return {
        QStringLiteral("CREATE TABLE undo_step(id INTEGER PRIMARY KEY AUTOINCREMENT, title TEXT NOT NULL, "
                       "undone INTEGER NOT NULL DEFAULT 0) STRICT"),
        QStringLiteral(
            "CREATE TABLE undo_change(seq INTEGER PRIMARY KEY AUTOINCREMENT, step INTEGER NOT NULL, "
            "table_name TEXT NOT NULL, op TEXT NOT NULL, row_id INTEGER NOT NULL) STRICT"),
        QStringLiteral("CREATE INDEX undo_change_of_step ON undo_change(step)"),
        QStringLiteral("CREATE TABLE undo_recording(id INTEGER PRIMARY KEY CHECK(id = 1), step INTEGER NOT "
                       "NULL) STRICT"),
        QStringLiteral("INSERT INTO undo_recording VALUES(1, 0)"),
    };
}

QString journalRow(const EditableTable& table, const QString& op, const QString& row) {
    return QStringLiteral(
               "INSERT INTO undo_change(step, table_name, op, row_id) SELECT step, '%1', '%2', %3.id FROM "
               "undo_recording;")
        .arg(table.name, op, row);
}

QStringList triggersOf(const EditableTable& table) {
    const QString old = QStringLiteral("old.") + table.columns.join(QStringLiteral(", old."));
    const QString keep =
        QStringLiteral(" INSERT INTO undo_%1 SELECT last_insert_rowid(), %2;").arg(table.name, old);
    const auto trigger = [&](const QString& op, const QString& row, const QString& rest) {
        return QStringLiteral("CREATE TRIGGER undo_%1_%2 AFTER %2 ON %1 BEGIN %3%4 END")
            .arg(table.name, op, journalRow(table, op, row), rest);
    };
    return {trigger(QStringLiteral("insert"), QStringLiteral("new"), QString()),
            trigger(QStringLiteral("update"), QStringLiteral("old"), keep),
            trigger(QStringLiteral("delete"), QStringLiteral("old"), keep)};
}

QString oldValuesTable(const EditableTable& table) {
    return QStringLiteral("CREATE TABLE undo_%1(seq INTEGER PRIMARY KEY, %2)")
        .arg(table.name, table.columns.join(QStringLiteral(", ")));
}

/// Adds columns to a table and to what its journal keeps.
QStringList addColumns(const char* table, const QStringList& columns) {
    QStringList statements;
    for (const auto& column : columns) {
        statements += QStringLiteral("ALTER TABLE %1 ADD COLUMN %2").arg(QLatin1String(table), column);
        statements += QStringLiteral("ALTER TABLE undo_%1 ADD COLUMN %2")
                          .arg(QLatin1String(table), column.section(QLatin1Char(' '), 0, 0));
    }
    return statements;
}

/// Makes the journal's triggers anew, after all columns are there: they name every one.
QStringList renewTriggers() {
    QStringList statements;
    for (const auto& table : editableTables()) {
        for (const char* op : {"insert", "update", "delete"})
            statements +=
                QStringLiteral("DROP TRIGGER IF EXISTS undo_%1_%2").arg(table.name, QLatin1String(op));
        statements += triggersOf(table);
    }
    return statements;
}

QStringList toVersion3() {
    QStringList statements =
        addColumns("tank", {QStringLiteral("obstacles TEXT NOT NULL DEFAULT ''")}) +
        addColumns("meter", {QStringLiteral("response TEXT NOT NULL DEFAULT ''"),
                             QStringLiteral("cosine_error REAL NOT NULL DEFAULT 0"),
                             QStringLiteral("corrections TEXT NOT NULL DEFAULT ''")}) +
        addColumns("project", {QStringLiteral("check_every INTEGER NOT NULL DEFAULT 0"),
                               QStringLiteral("school TEXT NOT NULL DEFAULT 'spill-limit'"),
                               QStringLiteral("dissent TEXT NOT NULL DEFAULT ''")});
    statements += commissionTable();
    for (const auto& table : editableTables())
        if (table.name == QLatin1String("commission")) statements += oldValuesTable(table);
    return statements;
}

QStringList words(const char* text) { return QString::fromLatin1(text).split(QLatin1Char(' ')); }

}  // namespace

const QList<EditableTable>& editableTables() {
    static const QList<EditableTable> tables{
        {QStringLiteral("project"),
         words("title spill_limit band_low band_high grid_columns grid_rows settled_error "
               "longest_reading_s height_error_mm method_note check_every school dissent goal goals")},
        {QStringLiteral("tank"),
         words(
             "name length_mm width_mm water_depth_mm left_wall left_reflectance right_wall right_reflectance "
             "front_wall front_reflectance back_wall back_reflectance water_kind tank_use obstacles")},
        {QStringLiteral("fixture"),
         words("name maker kind length_mm width_mm emitter_columns emitter_rows emitter_pitch_x_mm "
               "emitter_pitch_y_mm channels rated_power_w mass_kg price currency power_supply_inside "
               "claimed_low_mm claimed_high_mm claimed_coverage note beam flux_umol_s emitter_size_mm")},
        {QStringLiteral("accessory"), words("name note")},
        {QStringLiteral("meter"),
         words("name kind immersion_factor immersion_by relative_uncertainty calibrated_on note response "
               "cosine_error corrections")},
        {QStringLiteral("run"),
         words("label fixture accessory tank meter preset level_pct height_mm fixtures placement water "
               "dark_reading warm_up_min note")},
        {QStringLiteral("plane"), words("run depth_mm grid")},
        {QStringLiteral("commission"), words("run kind subject value passed verdict overruled time")},
        {QStringLiteral("reading"),
         words("plane x_mm y_mm ppfd ppfd_min ppfd_max sd samples power_w flag note time superseded extra")},
    };
    return tables;
}

QStringList schemaStatements() {
    QStringList statements = dataTables() + journalTables();
    for (const auto& table : editableTables())
        statements += QStringList(oldValuesTable(table)) + triggersOf(table);
    statements += QStringLiteral("PRAGMA application_id = %1").arg(kApplicationId);
    statements += QStringLiteral("PRAGMA user_version = %1").arg(kSchemaVersion);
    return statements;
}

QStringList migrationStatements(int version) {
    QStringList statements;
    if (version < 2)
        statements += addColumns("fixture", {QStringLiteral("beam TEXT"), QStringLiteral("flux_umol_s REAL"),
                                             QStringLiteral("emitter_size_mm REAL NOT NULL DEFAULT 0")});
    if (version < 3) statements += toVersion3();
    if (version < 4)
        statements += addColumns("project", {QStringLiteral("goal TEXT NOT NULL DEFAULT ''"),
                                             QStringLiteral("goals TEXT NOT NULL DEFAULT ''")});
    statements += renewTriggers();
    statements += QStringLiteral("PRAGMA user_version = %1").arg(kSchemaVersion);
    return statements;
}

}  // namespace glumet
