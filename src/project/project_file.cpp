#include "project/project_file.h"

#include <sys/stat.h>
#include <unistd.h>

#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QScopeGuard>
#include <QSqlError>
#include <QUrl>
#include <QUuid>
#include <QtEndian>
#include <cerrno>
#include <cstring>

#include "project/described_rows.h"
#include "project/schema.h"

namespace glumet {
namespace {

constexpr int kHeaderSize = 100;
constexpr int kUserVersionAt = 60;
constexpr int kApplicationIdAt = 68;

QString newConnectionName() { return QUuid::createUuid().toString(QUuid::WithoutBraces); }

Problem problemAt(const QString& path, const QString& what) {
    return {path.toStdString(), verbatim(what.toStdString())};
}

/// What the first hundred bytes forbid, if anything.
std::optional<QString> headerFault(const QString& path) {
    QFile file(path);
    if (!file.exists()) return QStringLiteral("there is no such file");
    if (!file.open(QIODevice::ReadOnly)) return QStringLiteral("cannot be read: %1").arg(file.errorString());
    const QByteArray head = file.read(kHeaderSize);
    if (!head.startsWith(QByteArrayLiteral("SQLite format 3")) || head.size() < kHeaderSize)
        return QStringLiteral("is not a Glumet project");
    if (qFromBigEndian<quint32>(head.constData() + kApplicationIdAt) != kApplicationId)
        return QStringLiteral("is a database of another program, not a Glumet project");
    const auto version = qFromBigEndian<qint32>(head.constData() + kUserVersionAt);
    if (version > kSchemaVersion)
        return QStringLiteral("was written by a newer Glumet (format %1, this one reads up to %2)")
            .arg(version)
            .arg(kSchemaVersion);
    if (version < 1) return QStringLiteral("is damaged: its format number is %1").arg(version);
    return std::nullopt;
}

/// SQLite's own check-up on a connection that cannot write; a log of unfinished work next to the file
/// needs the ordinary connection instead, which replays it.
std::optional<QString> damage(const QString& path) {
    const QFileInfo log(path + QStringLiteral("-wal"));
    if (log.exists() && log.size() > 0) return std::nullopt;
    const QString name = newConnectionName();
    std::optional<QString> found = QStringLiteral("is damaged and cannot be read");
    {
        auto database = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), name);
        database.setConnectOptions(QStringLiteral("QSQLITE_OPEN_URI;QSQLITE_OPEN_READONLY"));
        database.setDatabaseName(
            QStringLiteral("file:%1?immutable=1").arg(QString::fromUtf8(QUrl::toPercentEncoding(path, "/"))));
        if (database.open()) {
            QSqlQuery check(database);
            if (check.exec(QStringLiteral("PRAGMA quick_check(1)")) && check.next() &&
                check.value(0).toString() == QLatin1String("ok") &&
                check.exec(QStringLiteral("SELECT title FROM project")) && check.next())
                found.reset();
        }
        database.close();
    }
    QSqlDatabase::removeDatabase(name);
    return found;
}

/// A name beside a path that nothing else has.
QString hiddenBeside(const QString& path) {
    const QFileInfo info(path);
    return info.absoluteDir().filePath(QStringLiteral(".%1.%2").arg(info.fileName(), newConnectionName()));
}

/// Device and inode of what lies at a path; nothing where nothing does.
std::optional<std::pair<quint64, quint64>> identityOf(const QString& path) {
    struct stat seen {};
    if (::stat(QFile::encodeName(path).constData(), &seen) != 0) return std::nullopt;
    return std::pair<quint64, quint64>{seen.st_dev, seen.st_ino};
}

/// All or nothing, so that a file is always of one version.
void migrate(const ProjectFile& file) {
    auto version = file.run(QStringLiteral("PRAGMA user_version"));
    if (!version.next() || version.value(0).toInt() >= kSchemaVersion) return;
    const int from = version.value(0).toInt();
    version.finish();
    Transaction transaction(file);
    upgrade(file, from);
    transaction.commit();
}

}  // namespace

ProjectFile::ProjectFile(ProjectFile&& other) noexcept
    : path_(std::move(other.path_)),
      connection_(std::move(other.connection_)),
      without_log_(other.without_log_),
      identity_(other.identity_) {
    other.connection_.clear();
}

ProjectFile::~ProjectFile() {
    if (connection_.isEmpty()) return;
    database().close();
    QSqlDatabase::removeDatabase(connection_);
}

ProjectFile ProjectFile::connect(const QString& path) {
    ProjectFile file(path, newConnectionName());
    auto database = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), file.connection_);
    database.setDatabaseName(path);
    if (!database.open()) throw SqlFault{database.lastError().text()};
    file.run(QStringLiteral("PRAGMA busy_timeout = 5000"));
    file.run(QStringLiteral("PRAGMA foreign_keys = ON"));
    file.run(QStringLiteral("PRAGMA synchronous = FULL"));
    file.identity_ = identityOf(path).value_or(std::pair<quint64, quint64>{});
    return file;
}

bool ProjectFile::inPlace() const { return identityOf(path_) == identity_; }

void ProjectFile::mindPlace() {
    if (without_log_ || inPlace()) return;
    if (identityOf(path_))
        throw SqlFault{QCoreApplication::translate(
                           "ProjectFile", "another file has taken the place of %1; save a copy of this one")
                           .arg(path_)};
    // Not a journal on the disk: SQLite makes none for a file that is not where it was.
    run(QStringLiteral("PRAGMA journal_mode = MEMORY"));
    without_log_ = true;
}

Expected<ProjectFile> ProjectFile::create(const QString& path, const QString& title) {
    if (QFile::exists(path)) return tl::make_unexpected(problemAt(path, QStringLiteral("exists already")));
    const QFileInfo log(path + QStringLiteral("-wal"));
    if (log.exists() && log.size() > 0)
        return tl::make_unexpected(
            problemAt(log.filePath(),
                      QStringLiteral("belongs to a project that was moved away; put it beside that one")));
    const auto fresh = hiddenBeside(path);
    const auto swept = qScopeGuard([&] {
        for (const char* end : {"", "-wal", "-shm", "-journal"}) QFile::remove(fresh + QLatin1String(end));
    });
    try {
        makeEmpty(fresh, title);
        // Two that make the same project at once: one is first, and nobody ever sees half of it.
        if (::link(QFile::encodeName(fresh).constData(), QFile::encodeName(path).constData()) != 0) {
            const bool there = errno == EEXIST;
            return tl::make_unexpected(problemAt(
                path, there ? QStringLiteral("exists already")
                            : QStringLiteral("cannot be written: %1").arg(QLatin1String(strerror(errno)))));
        }
        QFile::remove(fresh);
        return connect(path);
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(problemAt(path, QStringLiteral("cannot be written: %1").arg(fault.text)));
    }
}

/// A whole, closed project without content.
void ProjectFile::makeEmpty(const QString& path, const QString& title) {
    const auto file = connect(path);
    // The tables are made before the switch to WAL, so that the header on the disk names the format.
    Transaction transaction(file);
    for (const auto& statement : schemaStatements()) file.run(statement);
    const auto& project = described::tableNamed(QStringLiteral("project"));
    file.run(described::insertStatement(project),
             described::valuesOf(ProjectHead{1, title.toStdString(), {}}, 0, {}));
    file.run(QStringLiteral("DELETE FROM undo_change"));
    transaction.commit();
    file.run(QStringLiteral("PRAGMA journal_mode = WAL"));
}

Expected<ProjectFile> ProjectFile::open(const QString& path) {
    if (const auto fault = headerFault(path)) return tl::make_unexpected(problemAt(path, *fault));
    if (const auto fault = damage(path)) return tl::make_unexpected(problemAt(path, *fault));
    try {
        auto file = connect(path);
        file.run(QStringLiteral("SELECT title FROM project"));
        migrate(file);
        return file;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(problemAt(path, QStringLiteral("cannot be opened: %1").arg(fault.text)));
    }
}

QSqlQuery ProjectFile::prepare(const QString& statement) const {
    QSqlQuery query(database());
    query.setForwardOnly(true);
    if (!query.prepare(statement)) throw SqlFault{query.lastError().text()};
    return query;
}

void ProjectFile::runAgain(QSqlQuery& prepared, const QVariantList& values) {
    for (qsizetype i = 0; i < values.size(); ++i) prepared.bindValue(static_cast<int>(i), values[i]);
    if (!prepared.exec()) throw SqlFault{prepared.lastError().text()};
}

QSqlQuery ProjectFile::run(const QString& statement, const QVariantList& values) const {
    auto query = prepare(statement);
    runAgain(query, values);
    return query;
}

int ProjectFile::dataVersion() const {
    auto query = run(QStringLiteral("PRAGMA data_version"));
    return query.next() ? query.value(0).toInt() : 0;
}

Expected<bool> ProjectFile::copyTo(const QString& path) const {
    if (QFile::exists(path)) return tl::make_unexpected(problemAt(path, QStringLiteral("exists already")));
    try {
        run(QStringLiteral("VACUUM INTO ?"), {path});
        return true;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(problemAt(path, QStringLiteral("cannot be written: %1").arg(fault.text)));
    }
}

Transaction::Transaction(const ProjectFile& file) : file_(file) {
    file_.run(QStringLiteral("BEGIN IMMEDIATE"));
}

Transaction::~Transaction() {
    if (!open_) return;
    try {
        file_.run(QStringLiteral("ROLLBACK"));
    } catch (const SqlFault&) {
        // SQLite has rolled back by itself already.
    }
}

void Transaction::commit() {
    file_.run(QStringLiteral("COMMIT"));
    open_ = false;
}

}  // namespace glumet
