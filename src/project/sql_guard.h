#pragma once

#include <QSqlDatabase>
#include <chrono>

struct sqlite3;

namespace glumet {

/// Holds a connection to what Glumet's own statements need: views and functions that a file brings do not
/// run, texts and statements have the lengths of limits.h, and a statement that does not end is ended.
class SqlGuard {
  public:
    explicit SqlGuard(std::chrono::milliseconds longest = std::chrono::seconds(60)) : longest_(longest) {}
    SqlGuard(const SqlGuard&) = delete;
    SqlGuard& operator=(const SqlGuard&) = delete;

    /// From now on; the guard outlives the connection.
    void watch(const QSqlDatabase& database);
    /// A statement begins.
    void begin() { until_ = std::chrono::steady_clock::now() + longest_; }

  private:
    static int late(void* guard);

    std::chrono::milliseconds longest_;
    std::chrono::steady_clock::time_point until_ = std::chrono::steady_clock::time_point::max();
};

/// SQLite's own handle of an open connection.
sqlite3* handleOf(const QSqlDatabase& database);

}  // namespace glumet
