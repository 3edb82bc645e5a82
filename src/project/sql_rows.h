#pragma once

#include <QString>
#include <string_view>

struct sqlite3_stmt;

namespace glumet {

class ProjectFile;

/// A statement by SQLite's own calls, for the many rows of a project: no value is wrapped on its way. Columns
/// and values are counted from 0. Throws SqlFault.
class SqlStatement {
  public:
    SqlStatement(const ProjectFile& file, const QString& sql);
    ~SqlStatement();
    SqlStatement(SqlStatement&& other) noexcept;
    SqlStatement(const SqlStatement&) = delete;
    SqlStatement& operator=(const SqlStatement&) = delete;
    SqlStatement& operator=(SqlStatement&&) = delete;

    // Rows: next() until it is false; texts are valid until then.
    bool next();
    bool isNull(int column) const;
    double number(int column) const;
    qlonglong whole(int column) const;
    std::string_view text(int column) const;

    // Values, then run(), any number of times.
    void bindNull(int at);
    void bind(int at, double value);
    void bind(int at, qlonglong value);
    /// The text must stay until run().
    void bind(int at, std::string_view text);
    /// Runs to the end and forgets nothing that was bound; the number of the row it inserted.
    qlonglong run();

  private:
    [[noreturn]] void fail() const;

    const ProjectFile& file_;
    sqlite3_stmt* statement_ = nullptr;
};

}  // namespace glumet
