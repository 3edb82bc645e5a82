#pragma once

#include <QSqlDatabase>
#include <QSqlQuery>
#include <QString>
#include <QTemporaryDir>
#include <chrono>
#include <memory>

#include "core/base/problem.h"
#include "project/sql_guard.h"

namespace glumet {

/// A failed statement; thrown inside the project layer, caught at Project's border.
struct SqlFault {
    QString text;
};

/// The next row of a running statement; false after the last. Throws SqlFault where the file could not be
/// read further, which QSqlQuery::next() calls an end too.
bool nextRow(QSqlQuery& query);

/// The SQLite connection of one project file, WAL, foreign keys on, every commit on the disk.
class ProjectFile {
  public:
    static constexpr std::chrono::milliseconds kPatience{5000};

    /// Makes a new empty project; refuses a path that exists.
    static Expected<ProjectFile> create(const QString& path, const QString& title,
                                        std::chrono::milliseconds patience = kPatience);
    /// Opens an existing one; `patience`: how long an edit waits for another program's. What look() refuses
    /// is refused, and is left exactly as it was. A file of an earlier format is brought up to date after a
    /// copy of it has been kept (kept_copies.h).
    static Expected<ProjectFile> open(const QString& path, std::chrono::milliseconds patience = kPatience);
    /// Opens one to look at: no byte of it changes and nothing appears beside it. What has a log or is of an
    /// earlier format is looked at in a copy of this moment. Foreign, damaged and newer files are refused,
    /// and those that hold what another hand would have run.
    static Expected<ProjectFile> look(const QString& path);
    /// The same of a damaged one, for what can still be read of it.
    static Expected<ProjectFile> lookThrough(const QString& path);

    ProjectFile(ProjectFile&& other) noexcept;
    ProjectFile(const ProjectFile&) = delete;
    ProjectFile& operator=(const ProjectFile&) = delete;
    ProjectFile& operator=(ProjectFile&&) = delete;
    ~ProjectFile();

    const QString& path() const { return path_; }
    /// Whether it is open to be looked at only.
    bool lookedAt() const { return looked_at_; }
    /// Of the file as it was found, before it was brought up to date.
    int format() const { return format_; }
    /// Everything SQLite itself finds wrong: pages, types, indexes, references; empty for a sound file.
    QStringList damage() const;

    /// Runs a statement with its values bound in order; throws SqlFault.
    QSqlQuery run(const QString& statement, const QVariantList& values = {}) const;
    /// Runs a prepared statement again with other values; throws SqlFault.
    void runAgain(QSqlQuery& prepared, const QVariantList& values) const;
    QSqlQuery prepare(const QString& statement) const;
    /// For SqlStatement: SQLite's handle, and the word that a statement begins.
    sqlite3* handle() const { return handleOf(database()); }
    void beginStatement() const { guard_->begin(); }

    /// Whether the path still leads to the file that was opened.
    bool inPlace() const;
    /// To be asked before each edit: a file that was taken away is written without the log beside its old
    /// place, which another file there would mistake for its own; one whose place another has taken is not
    /// written any more, for the same reason. Throws SqlFault, saying so.
    void mindPlace();

    /// Changes when another process commits to the file.
    int dataVersion() const;

    /// Writes a compact copy to a path that does not exist yet.
    Expected<bool> copyTo(const QString& path) const;
    /// One page by page of a project that this program may have open. It must go by SQLite: when a program
    /// closes a file that it opened past SQLite, the system drops SQLite's locks on it too, and another
    /// program takes the log away.
    static Expected<bool> copy(const QString& from, const QString& to);

  private:
    ProjectFile(QString path, QString connection)
        : path_(std::move(path)), connection_(std::move(connection)) {}
    static ProjectFile connect(const QString& path, std::chrono::milliseconds patience = kPatience);
    static ProjectFile connectToLook(const QString& path);
    void openDatabase(const QString& name, const QString& options);
    /// Why it is not to be looked at, if anything.
    std::optional<QString> fault() const;
    void bringUpToDate();
    static void makeEmpty(const QString& path, const QString& title);
    QSqlDatabase database() const { return QSqlDatabase::database(connection_, false); }

    QString path_;
    QString connection_;
    std::unique_ptr<SqlGuard> guard_ = std::make_unique<SqlGuard>();
    std::unique_ptr<QTemporaryDir> copy_;  ///< what is looked at in place of the file
    bool looked_at_ = false;
    bool without_log_ = false;
    int format_ = 0;
    std::pair<quint64, quint64> identity_{};  ///< device and inode when it was opened
};

/// A transaction that is rolled back unless committed.
class Transaction {
  public:
    explicit Transaction(const ProjectFile& file);
    ~Transaction();
    Transaction(const Transaction&) = delete;
    Transaction& operator=(const Transaction&) = delete;
    void commit();

  private:
    const ProjectFile& file_;
    bool open_ = true;
};

}  // namespace glumet
