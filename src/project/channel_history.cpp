#include "project/channel_history.h"

#include <map>

#include "project/described_rows.h"

namespace glumet {
namespace {

/// A fixture's channels at one time, by name.
using Names = std::vector<std::string>;

Names namesIn(const std::string& text) {
    Fixture fixture;
    setChannelNames(fixture, text);
    Names names;
    for (const auto& channel : fixture.channels) names.push_back(channel.name);
    return names;
}

bool has(const Names& names, const std::string& name) {
    for (const auto& other : names)
        if (sameName(other, name)) return true;
    return false;
}

/// One row of the journal that keeps a fixture as it was, or tells that it was not there.
struct ChannelChange {
    qlonglong step;
    qlonglong fixture;
    bool inserted;  ///< undoing removes the fixture
    std::string channels;
};

class ChannelHistory {
  public:
    explicit ChannelHistory(const ProjectFile& file) : file_(file) {}

    void upgrade() {
        for (auto row = file_.run(QStringLiteral("SELECT id, channels FROM fixture ORDER BY id"));
             nextRow(row);)
            now_[row.value(0).toLongLong()] = namesIn(row.value(1).toString().toStdString());
        const auto present = now_;
        for (const auto& [fixture, names] : present)
            for (const auto& name : names) insertChannel(fixture, name);
        // Undo walks back from the present, redo forward from it.
        for (const auto& change : changes(QStringLiteral("undone = 0"), QStringLiteral("DESC")))
            follow(change);
        now_ = present;
        for (const auto& change : changes(QStringLiteral("undone = 1"), QStringLiteral("ASC")))
            follow(change);
        for (const char* table : {"fixture", "undo_fixture"})
            file_.run(QStringLiteral("ALTER TABLE %1 DROP COLUMN channels").arg(QLatin1String(table)));
    }

  private:
    std::vector<ChannelChange> changes(const QString& condition, const QString& order) const {
        std::vector<ChannelChange> all;
        for (auto row =
                 file_.run(QStringLiteral(
                               "SELECT c.step, c.row_id, c.op, coalesce(u.channels, '') FROM undo_change "
                               "c JOIN undo_step s ON s.id = c.step LEFT JOIN undo_fixture u ON u.seq = "
                               "c.seq WHERE c.table_name = 'fixture' AND s.%1 ORDER BY c.step %2, c.seq DESC")
                               .arg(condition, order));
             nextRow(row);)
            all.push_back({row.value(0).toLongLong(), row.value(1).toLongLong(),
                           row.value(2).toString() == QLatin1String("insert"),
                           row.value(3).toString().toStdString()});
        return all;
    }

    /// What replaying a change does to the fixture's channels, told to the journal of its step.
    void follow(const ChannelChange& change) {
        auto& now = now_[change.fixture];
        const auto then = change.inserted ? Names{} : namesIn(change.channels);
        for (const auto& name : now)
            if (!has(then, name)) note(change, "insert", name);
        for (const auto& name : then)
            if (!has(now, name)) note(change, "delete", name);
        now = then;
    }

    void note(const ChannelChange& change, const char* op, const std::string& name) {
        const auto added =
            file_.run(QStringLiteral(
                          "INSERT INTO undo_change(step, table_name, op, row_id) VALUES(?, 'channel', ?, ?)"),
                      {change.step, QString::fromLatin1(op), idOf(change.fixture, name)});
        if (std::string_view(op) == "insert") return;
        file_.run(QStringLiteral("INSERT INTO undo_channel(seq, fixture, name) VALUES(?, ?, ?)"),
                  {added.lastInsertId(), change.fixture, QString::fromStdString(name)});
    }

    void insertChannel(qlonglong fixture, const std::string& name) {
        file_.run(QStringLiteral("INSERT INTO channel(id, fixture, name) VALUES(?, ?, ?)"),
                  {idOf(fixture, name), fixture, QString::fromStdString(name)});
    }

    qlonglong idOf(qlonglong fixture, std::string name) {
        for (const auto& [key, id] : ids_)
            if (key.first == fixture && sameName(key.second, name)) return id;
        return ids_[{fixture, std::move(name)}] = ++last_;
    }

    const ProjectFile& file_;
    std::map<qlonglong, Names> now_;
    std::map<std::pair<qlonglong, std::string>, qlonglong> ids_;
    qlonglong last_ = 0;
};

}  // namespace

void upgradeChannels(const ProjectFile& file) { ChannelHistory(file).upgrade(); }

}  // namespace glumet
