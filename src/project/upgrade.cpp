#include <set>

#include "core/bench/bench_rules.h"
#include "core/spectrum/spectral_sample.h"
#include "formats/described_json.h"
#include "project/channel_history.h"
#include "project/described_rows.h"
#include "project/schema.h"

namespace glumet {
namespace {

using described::Column;
using described::Json;
using described::Table;

void dropTriggers(const ProjectFile& file) {
    QStringList names;
    for (auto row = file.run(QStringLiteral("SELECT name FROM sqlite_master WHERE type = 'trigger'"));
         nextRow(row);)
        names << row.value(0).toString();
    for (const auto& name : names) file.run(QStringLiteral("DROP TRIGGER %1").arg(name));
}

/// Adds a column to a table and, with the same default, to what its journal keeps.
void addColumn(const ProjectFile& file, const Table& table, const Column& column) {
    file.run(
        QStringLiteral("ALTER TABLE %1 ADD COLUMN %2 %3").arg(table.name, column.name, column.declaration));
    file.run(QStringLiteral("ALTER TABLE undo_%1 ADD COLUMN %2%3")
                 .arg(table.name, column.name,
                      column.standard.isEmpty() ? QString() : QStringLiteral(" DEFAULT ") + column.standard));
}

/// Columns and tables that came with formats after `version`.
void addWhatIsNew(const ProjectFile& file, int version) {
    for (const auto& table : described::allTables()) {
        if (table.since > version) {
            file.run(table.statement());
            if (!table.parent.isEmpty())
                file.run(QStringLiteral("CREATE INDEX %1_of_%2 ON %1(%2)").arg(table.name, table.parent));
            file.run(oldValuesTable(table.name, table.columnNames()));
            continue;
        }
        QStringList there;
        for (auto row = file.run(QStringLiteral("PRAGMA table_info(%1)").arg(table.name)); nextRow(row);)
            there << row.value(1).toString();
        for (const auto& column : table.columns) {
            if (!there.contains(column.name)) addColumn(file, table, column);
            // Journals of files that were brought up to date before have nothing where a default belongs.
            else if (column.since > table.since && !column.standard.isEmpty())
                file.run(QStringLiteral("UPDATE undo_%1 SET %2 = %3 WHERE %2 IS NULL")
                             .arg(table.name, column.name, column.standard));
        }
    }
}

/// Up to format 4 the band had columns of its own and the goal kept the rest under other keys.
Goal earlierGoal(const std::string& text, double low, double high) {
    Goal goal;
    const auto json = parsedJson(text).value_or(Json::object());
    if (json.is_object()) {
        goal.name = json.value("name", "");
        readWord(json.value("school", ""), goal.school);
        goal.photoperiod_h = json.value("photoperiod_h", goal.photoperiod_h);
        goal.zone_from = Millimetre(json.value("zone_from_mm", 0.0));
        goal.zone_to = Millimetre(json.value("zone_to_mm", 0.0));
        const auto optional = [&](const char* key, std::optional<Ppfd>& value) {
            if (json.contains(key) && json[key].is_number()) value = Ppfd(json[key].get<double>());
        };
        optional("ceiling", goal.ceiling);
        optional("floor", goal.floor);
        low = json.value("low", low);
        high = json.value("high", high);
    }
    goal.band = {Ppfd(low), Ppfd(high)};
    return goal;
}

std::vector<Goal> earlierGoals(const std::string& text) {
    std::vector<Goal> goals;
    const auto json = parsedJson(text).value_or(Json::array());
    if (json.is_array())
        for (const auto& item : json) goals.push_back(earlierGoal(jsonText(item), 0.0, 0.0));
    return goals;
}

void upgradeGoals(const ProjectFile& file, const QString& table, const QString& key) {
    struct Row {
        qlonglong key;
        double low, high;
        std::string goal, goals;
    };
    std::vector<Row> rows;
    for (auto row =
             file.run(QStringLiteral("SELECT %1, band_low, band_high, goal, goals FROM %2").arg(key, table));
         nextRow(row);)
        rows.push_back({row.value(0).toLongLong(), row.value(1).toDouble(), row.value(2).toDouble(),
                        row.value(3).toString().toStdString(), row.value(4).toString().toStdString()});
    for (const auto& row : rows) {
        auto goal = earlierGoal(row.goal, row.low, row.high);
        goal.band = {Ppfd(row.low), Ppfd(row.high)};
        file.run(QStringLiteral("UPDATE %1 SET goal = ?, goals = ? WHERE %2 = ?").arg(table, key),
                 {QString::fromStdString(described::textOf(goal)),
                  QString::fromStdString(described::textOf(earlierGoals(row.goals))), row.key});
    }
    for (const char* column : {"band_low", "band_high"})
        file.run(QStringLiteral("ALTER TABLE %1 DROP COLUMN %2").arg(table, QLatin1String(column)));
}

/// A preset row for every name that runs of a fixture have or had.
void upgradePresets(const ProjectFile& file) {
    file.run(
        QStringLiteral("INSERT INTO preset(fixture, name) SELECT DISTINCT fixture, preset_name FROM ("
                       "SELECT fixture, preset_name FROM run UNION SELECT fixture, preset_name FROM "
                       "undo_run) WHERE preset_name <> '' AND fixture IN (SELECT id FROM fixture) ORDER "
                       "BY fixture, preset_name"));
    for (const char* table : {"run", "undo_run"}) {
        const QLatin1String name(table);
        file.run(QStringLiteral("UPDATE %1 SET preset = (SELECT id FROM preset WHERE preset.fixture = "
                                "%1.fixture AND preset.name = %1.preset_name)")
                     .arg(name));
        file.run(QStringLiteral("ALTER TABLE %1 DROP COLUMN preset_name").arg(name));
    }
}

/// Presets that are called like a channel are that channel alone.
void linkAllPresets(const ProjectFile& file) {
    Bench bench;
    described::loadAll(file, entityType<Bench>().list("fixtures"), &bench);
    described::StoredIds ids;
    for (auto& fixture : bench.fixtures) {
        linkPresets(fixture);
        described::storeNew(file, entityType<Fixture>().list("presets"), static_cast<const void*>(&fixture),
                            fixture.id, ids);
    }
}

/// Format 5 made rows of what had been texts.
void upgradeTexts(const ProjectFile& file) {
    upgradeGoals(file, QStringLiteral("project"), QStringLiteral("id"));
    upgradeGoals(file, QStringLiteral("undo_project"), QStringLiteral("seq"));
    upgradePresets(file);
    upgradeChannels(file);
    linkAllPresets(file);
}

/// A spectrum that stood as a text, as a row; nothing of a text that is none.
void storeSpectrum(const ProjectFile& file, const std::string& text, SpectrumRecord record) {
    const auto sample = parseSpectralSample(text);
    if (!sample) return;
    record.spectrum = spectrumOf(*sample);
    if (faultOf(record)) return;
    described::StoredIds ids;
    described::store(file, record, 0, ids);
}

/// Format 9 made rows of the spectra that had been texts of channels …
void upgradeChannelSpectra(const ProjectFile& file) {
    struct Text {
        SpectrumRecord record;
        std::string text;
    };
    std::vector<Text> texts;
    for (auto row =
             file.run(QStringLiteral("SELECT id, fixture, name, spectrum FROM channel WHERE spectrum <> ''"));
         nextRow(row);) {
        Text text;
        text.record.channel = row.value(0).toLongLong();
        text.record.fixture = row.value(1).toLongLong();
        text.record.name = row.value(2).toString().toStdString();
        text.text = row.value(3).toString().toStdString();
        texts.push_back(std::move(text));
    }
    for (auto& text : texts) storeSpectrum(file, text.text, std::move(text.record));
    for (const char* table : {"channel", "undo_channel"})
        file.run(QStringLiteral("ALTER TABLE %1 DROP COLUMN spectrum").arg(QLatin1String(table)));
}

/// … and of readings, whose own columns stay as they are.
void upgradeReadingSpectra(const ProjectFile& file) {
    std::vector<std::pair<SpectrumRecord, std::string>> texts;
    for (auto row = file.run(QStringLiteral(
             "SELECT r.fixture, r.preset, r.tank, r.water, r.height_mm, p.depth_mm, e.x_mm, e.y_mm, e.time, "
             "e.extra FROM reading e JOIN plane p ON p.id = e.plane JOIN run r ON r.id = p.run WHERE "
             "e.superseded = 0 AND e.extra LIKE '%\"spectrum\"%'"));
         nextRow(row);) {
        SpectrumRecord record;
        record.fixture = row.value(0).toLongLong();
        record.preset = row.value(1).toLongLong();
        record.tank = row.value(2).toLongLong();
        record.height = Millimetre(row.value(4).toDouble());
        record.depth = Millimetre(row.value(5).toDouble());
        record.x = Millimetre(row.value(6).toDouble());
        record.y = Millimetre(row.value(7).toDouble());
        record.time = row.value(8).toString().toStdString();
        record.scale = SpectralScale::Absolute;
        record.origin = SpectrumOrigin::Read;
        const auto extra = parsedJson(row.value(9).toString().toStdString());
        if (!extra || !extra->is_object() || !extra->contains(kSpectrumColumn)) continue;
        const auto& text = extra->at(kSpectrumColumn);
        if (text.is_string()) texts.emplace_back(std::move(record), text.get<std::string>());
    }
    for (auto& [record, text] : texts) storeSpectrum(file, text, std::move(record));
}

}  // namespace

void upgrade(const ProjectFile& file, int version) {
    dropTriggers(file);
    const bool has_texts = version < 5;
    if (has_texts)
        for (const char* table : {"run", "undo_run"})
            file.run(QStringLiteral("ALTER TABLE %1 RENAME COLUMN preset TO preset_name")
                         .arg(QLatin1String(table)));
    addWhatIsNew(file, version);
    if (has_texts) upgradeTexts(file);
    if (version >= 5 && version < 9) upgradeChannelSpectra(file);
    if (version < 9) upgradeReadingSpectra(file);
    for (const auto& table : described::allTables())
        for (const auto& statement : undoTriggers(table.name, table.columnNames())) file.run(statement);
    file.run(QStringLiteral("PRAGMA user_version = %1").arg(kSchemaVersion));
}

}  // namespace glumet
