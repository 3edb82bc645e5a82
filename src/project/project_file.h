#pragma once

#include <QSqlDatabase>
#include <QSqlQuery>
#include <QString>

#include "core/base/problem.h"

namespace glumet {

/// A failed statement; thrown inside the project layer, caught at Project's border.
struct SqlFault {
    QString text;
};

/// The SQLite connection of one project file, WAL, foreign keys on, every commit on the disk.
class ProjectFile {
  public:
    /// Makes a new empty project; refuses a path that exists.
    static Expected<ProjectFile> create(const QString& path, const QString& title);
    /// Opens an existing one. Foreign, damaged and newer files are told from their first bytes and a
    /// check-up on a read-only connection, and are left exactly as they were.
    static Expected<ProjectFile> open(const QString& path);

    ProjectFile(ProjectFile&& other) noexcept;
    ProjectFile(const ProjectFile&) = delete;
    ProjectFile& operator=(const ProjectFile&) = delete;
    ProjectFile& operator=(ProjectFile&&) = delete;
    ~ProjectFile();

    const QString& path() const { return path_; }

    /// Runs a statement with its values bound in order; throws SqlFault.
    QSqlQuery run(const QString& statement, const QVariantList& values = {}) const;
    /// Runs a prepared statement again with other values; throws SqlFault.
    static void runAgain(QSqlQuery& prepared, const QVariantList& values);
    QSqlQuery prepare(const QString& statement) const;

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

  private:
    ProjectFile(QString path, QString connection)
        : path_(std::move(path)), connection_(std::move(connection)) {}
    static ProjectFile connect(const QString& path);
    static void makeEmpty(const QString& path, const QString& title);
    QSqlDatabase database() const { return QSqlDatabase::database(connection_, false); }

    QString path_;
    QString connection_;
    bool without_log_ = false;
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
