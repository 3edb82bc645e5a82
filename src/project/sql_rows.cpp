#include "project/sql_rows.h"

#include <sqlite3.h>

#include <utility>

#include "project/project_file.h"

namespace glumet {

SqlStatement::SqlStatement(const ProjectFile& file, const QString& sql) : file_(file) {
    file.beginStatement();
    const QByteArray bytes = sql.toUtf8();
    if (sqlite3_prepare_v2(file.handle(), bytes.constData(), static_cast<int>(bytes.size()), &statement_,
                           nullptr) != SQLITE_OK)
        fail();
}

SqlStatement::SqlStatement(SqlStatement&& other) noexcept
    : file_(other.file_), statement_(std::exchange(other.statement_, nullptr)) {}

SqlStatement::~SqlStatement() { sqlite3_finalize(statement_); }

void SqlStatement::fail() const { throw SqlFault{QString::fromUtf8(sqlite3_errmsg(file_.handle()))}; }

bool SqlStatement::next() {
    const int code = sqlite3_step(statement_);
    if (code == SQLITE_ROW) return true;
    if (code != SQLITE_DONE) fail();
    return false;
}

bool SqlStatement::isNull(int column) const { return sqlite3_column_type(statement_, column) == SQLITE_NULL; }
double SqlStatement::number(int column) const { return sqlite3_column_double(statement_, column); }
qlonglong SqlStatement::whole(int column) const { return sqlite3_column_int64(statement_, column); }

std::string_view SqlStatement::text(int column) const {
    const auto* bytes = sqlite3_column_text(statement_, column);
    const auto size = static_cast<std::size_t>(sqlite3_column_bytes(statement_, column));
    return bytes == nullptr ? std::string_view()
                            : std::string_view(reinterpret_cast<const char*>(bytes), size);
}

void SqlStatement::bindNull(int at) { sqlite3_bind_null(statement_, at + 1); }
void SqlStatement::bind(int at, double value) { sqlite3_bind_double(statement_, at + 1, value); }
void SqlStatement::bind(int at, qlonglong value) { sqlite3_bind_int64(statement_, at + 1, value); }
void SqlStatement::bind(int at, std::string_view text) {
    // An empty view may point at nothing, which SQLite takes for NULL.
    const char* bytes = text.empty() ? "" : text.data();
    if (sqlite3_bind_text(statement_, at + 1, bytes, static_cast<int>(text.size()), SQLITE_STATIC) !=
        SQLITE_OK)
        fail();
}

qlonglong SqlStatement::run() {
    file_.beginStatement();
    const int code = sqlite3_step(statement_);
    // reset() reports the same once more.
    sqlite3_reset(statement_);
    if (code != SQLITE_DONE) fail();
    return sqlite3_last_insert_rowid(file_.handle());
}

}  // namespace glumet
