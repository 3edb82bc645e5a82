#include "project/sql_guard.h"

#include <sqlite3.h>

#include <QSqlDriver>
#include <QVariant>

#include "core/base/limits.h"

namespace glumet {
namespace {

/// Steps of SQLite's machine between two looks at the clock: some milliseconds.
constexpr int kStepsBetweenLooks = 100'000;

}  // namespace

sqlite3* handleOf(const QSqlDatabase& database) {
    const QVariant handle = database.driver()->handle();
    return *static_cast<sqlite3* const*>(handle.constData());
}

void SqlGuard::watch(const QSqlDatabase& database) {
    auto* handle = handleOf(database);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_TRUSTED_SCHEMA, 0, nullptr);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_DEFENSIVE, 1, nullptr);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_ENABLE_VIEW, 0, nullptr);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_DQS_DDL, 0, nullptr);
    sqlite3_db_config(handle, SQLITE_DBCONFIG_DQS_DML, 0, nullptr);
    sqlite3_limit(handle, SQLITE_LIMIT_LENGTH, static_cast<int>(16 * limits::kTextBytes));
    sqlite3_limit(handle, SQLITE_LIMIT_SQL_LENGTH, 100'000);
    sqlite3_limit(handle, SQLITE_LIMIT_COLUMN, 200);
    sqlite3_limit(handle, SQLITE_LIMIT_EXPR_DEPTH, 50);
    sqlite3_limit(handle, SQLITE_LIMIT_COMPOUND_SELECT, 10);
    sqlite3_limit(handle, SQLITE_LIMIT_FUNCTION_ARG, 10);
    sqlite3_limit(handle, SQLITE_LIMIT_TRIGGER_DEPTH, 4);
    sqlite3_progress_handler(handle, kStepsBetweenLooks, &SqlGuard::late, this);
}

int SqlGuard::late(void* guard) {
    return std::chrono::steady_clock::now() > static_cast<SqlGuard*>(guard)->until_ ? 1 : 0;
}

}  // namespace glumet
