#include "project/project_file.h"

#include <sqlite3.h>
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

#include "core/words/sentence.h"
#include "project/described_rows.h"
#include "project/kept_copies.h"
#include "project/log_check.h"
#include "project/schema.h"
#include "project/schema_check.h"
#include "project/still_copy.h"

namespace glumet {
namespace {

constexpr int kHeaderSize = 100;
constexpr int kJournalModeAt[] = {18, 19};  // to write, to read
constexpr char kWal = 2;
constexpr int kUserVersionAt = 60;
constexpr int kApplicationIdAt = 68;

QString newConnectionName() { return QUuid::createUuid().toString(QUuid::WithoutBraces); }

Problem problemAt(const QString& path, const QString& what) {
    return {path.toStdString(), verbatim(what.toStdString())};
}

/// Whether this file's own format, log included, is one to go on with.
std::optional<QString> formatFault(int version) {
    if (version > kSchemaVersion)
        return QStringLiteral("was written by a newer Glumet (format %1, this one reads up to %2)")
            .arg(version)
            .arg(kSchemaVersion);
    if (version < 1) return QStringLiteral("is damaged: its format number is %1").arg(version);
    return std::nullopt;
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
    return formatFault(qFromBigEndian<qint32>(head.constData() + kUserVersionAt));
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

struct CloseDatabase {
    void operator()(sqlite3* database) const { sqlite3_close(database); }
};

/// Page by page as they are at this moment, which asks nothing of what they hold. Throws SqlFault.
void copyPages(sqlite3* from, const QString& to) {
    sqlite3* opened = nullptr;
    sqlite3_open(QFile::encodeName(to).constData(), &opened);
    const std::unique_ptr<sqlite3, CloseDatabase> target(opened);
    auto* backup = sqlite3_backup_init(target.get(), "main", from, "main");
    if (backup != nullptr) sqlite3_backup_step(backup, -1);
    if (backup == nullptr || sqlite3_backup_finish(backup) != SQLITE_OK)
        throw SqlFault{QString::fromUtf8(sqlite3_errmsg(target.get()))};
}

/// A file of our tables with nothing in them, in WAL mode. Throws SqlFault.
QByteArray emptyTables() {
    sqlite3* opened = nullptr;
    sqlite3_open(":memory:", &opened);
    const std::unique_ptr<sqlite3, CloseDatabase> memory(opened);
    for (const auto& statement : schemaStatements())
        if (sqlite3_exec(memory.get(), statement.toUtf8().constData(), nullptr, nullptr, nullptr) !=
            SQLITE_OK)
            throw SqlFault{QString::fromUtf8(sqlite3_errmsg(memory.get()))};
    sqlite3_int64 size = 0;
    const std::unique_ptr<unsigned char, decltype(&sqlite3_free)> bytes(
        sqlite3_serialize(memory.get(), "main", &size, 0), &sqlite3_free);
    QByteArray out(reinterpret_cast<const char*>(bytes.get()), static_cast<qsizetype>(size));
    for (const int at : kJournalModeAt) out[at] = kWal;
    return out;
}

int formatOf(const ProjectFile& file) {
    auto version = file.run(QStringLiteral("PRAGMA user_version"));
    return nextRow(version) ? version.value(0).toInt() : 0;
}

/// The format that the first hundred bytes tell.
int headerFormat(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) return 0;
    const QByteArray head = file.read(kHeaderSize);
    return head.size() < kHeaderSize ? 0 : qFromBigEndian<qint32>(head.constData() + kUserVersionAt);
}

/// What a damaged log takes with it.
std::optional<QString> logFault(const QString& path) {
    QFile log(path + QStringLiteral("-wal"));
    if (!log.open(QIODevice::ReadOnly)) return std::nullopt;
    const int lost = lostEdits(log.readAll());
    if (lost == 0) return std::nullopt;
    return lost < 0 ? QStringLiteral("is damaged: the log of the last edits beside it cannot be read")
                    : QStringLiteral("is damaged: of the log beside it the last %1 edits cannot be read")
                          .arg(lost);
}

}  // namespace

bool nextRow(QSqlQuery& query) {
    if (query.next()) return true;
    if (query.lastError().isValid()) throw SqlFault{query.lastError().text()};
    return false;
}

ProjectFile::ProjectFile(ProjectFile&& other) noexcept
    : path_(std::move(other.path_)),
      connection_(std::move(other.connection_)),
      guard_(std::move(other.guard_)),
      copy_(std::move(other.copy_)),
      looked_at_(other.looked_at_),
      without_log_(other.without_log_),
      format_(other.format_),
      identity_(other.identity_) {
    other.connection_.clear();
}

ProjectFile::~ProjectFile() {
    if (connection_.isEmpty()) return;
    database().close();
    QSqlDatabase::removeDatabase(connection_);
}

void ProjectFile::openDatabase(const QString& name, const QString& options) {
    auto database = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), connection_);
    database.setConnectOptions(options);
    database.setDatabaseName(name);
    if (!database.open()) throw SqlFault{database.lastError().text()};
    guard_->watch(database);
}

ProjectFile ProjectFile::connect(const QString& path, std::chrono::milliseconds patience) {
    ProjectFile file(path, newConnectionName());
    file.openDatabase(path, QStringLiteral("QSQLITE_BUSY_TIMEOUT=%1").arg(patience.count()));
    file.run(QStringLiteral("PRAGMA foreign_keys = ON"));
    file.run(QStringLiteral("PRAGMA synchronous = FULL"));
    file.identity_ = identityOf(path).value_or(std::pair<quint64, quint64>{});
    file.format_ = formatOf(file);
    return file;
}

ProjectFile ProjectFile::connectToLook(const QString& path) {
    ProjectFile file(path, newConnectionName());
    file.looked_at_ = true;
    file.identity_ = identityOf(path).value_or(std::pair<quint64, quint64>{});
    if (!hasLog(path) && headerFormat(path) == kSchemaVersion) {
        const auto name = QString::fromUtf8(QUrl::toPercentEncoding(path, "/"));
        file.openDatabase(QStringLiteral("file:%1?immutable=1").arg(name),
                          QStringLiteral("QSQLITE_OPEN_URI;QSQLITE_OPEN_READONLY"));
    } else {
        file.copy_ = std::make_unique<QTemporaryDir>();
        const auto copy = file.copy_->filePath(QStringLiteral("looked-at.glumet"));
        if (const auto done = copyStill(path, copy); !done)
            throw SqlFault{QString::fromStdString(english(done.error().what))};
        file.openDatabase(copy, QString());
    }
    file.format_ = formatOf(file);
    return file;
}

std::optional<QString> ProjectFile::fault() const {
    if (auto wrong = formatFault(format_)) return wrong;
    if (copy_)
        if (auto wrong = logFault(path_)) return wrong;
    if (const auto foreign = foreignSchema(*this, format_))
        return QStringLiteral("holds the %1, which is not Glumet's; nothing of it was run").arg(*foreign);
    auto check = run(QStringLiteral("PRAGMA quick_check(1)"));
    if (!nextRow(check) || check.value(0).toString() != QLatin1String("ok"))
        return QStringLiteral("is damaged and cannot be read");
    run(QStringLiteral("SELECT title FROM project"));
    return std::nullopt;
}

QStringList ProjectFile::damage() const {
    QStringList found;
    for (auto row = run(QStringLiteral("PRAGMA integrity_check(20)")); nextRow(row);)
        for (const auto& line : row.value(0).toString().split(QLatin1Char('\n')))
            if (line != QLatin1String("ok") && !line.startsWith(QLatin1String("***"))) found << line;
    for (auto row = run(QStringLiteral("PRAGMA foreign_key_check")); nextRow(row) && found.size() < 40;)
        found << QStringLiteral("row %1 of %2 belongs to a %3 that is not there")
                     .arg(row.value(1).toString(), row.value(0).toString(), row.value(2).toString());
    return found;
}

/// All or nothing, so that a file is always of one version.
void ProjectFile::bringUpToDate() {
    if (format_ >= kSchemaVersion) return;
    Transaction transaction(*this);
    upgrade(*this, format_);
    transaction.commit();
}

bool ProjectFile::inPlace() const { return identityOf(path_) == identity_; }

void ProjectFile::mindPlace() {
    if (without_log_ || inPlace()) return;
    if (identityOf(path_))
        throw SqlFault{QCoreApplication::translate(
                           "ProjectFile", "another file has taken the place of %1; save a copy of this one")
                           .arg(path_)};
    // Not a journal on the disk: SQLite makes none for a file that is not where it was.
    try {
        run(QStringLiteral("PRAGMA journal_mode = MEMORY"));
        without_log_ = true;
    } catch (const SqlFault&) {
        // Others who have the file open write into the same log: it is left at a later edit, when they are
        // gone.
        if (sqlite3_errcode(handle()) != SQLITE_BUSY) throw;
    }
}

Expected<ProjectFile> ProjectFile::create(const QString& path, const QString& title,
                                          std::chrono::milliseconds patience) {
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
        return connect(path, patience);
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(problemAt(path, QStringLiteral("cannot be written: %1").arg(fault.text)));
    }
}

/// A whole, closed project without content.
void ProjectFile::makeEmpty(const QString& path, const QString& title) {
    static const QByteArray tables = emptyTables();
    QFile fresh(path);
    if (!fresh.open(QIODevice::WriteOnly | QIODevice::NewOnly) || fresh.write(tables) != tables.size() ||
        !fresh.flush())
        throw SqlFault{fresh.errorString()};
    fresh.close();
    const auto file = connect(path);
    Transaction transaction(file);
    const ProjectHead head{1, title.toStdString(), {}};
    const auto& type = entityType<ProjectHead>();
    file.run(described::insertStatement(described::tableFor(type)), described::valuesOf(type, &head, 0, {}));
    file.run(QStringLiteral("DELETE FROM undo_change"));
    transaction.commit();
}

Expected<ProjectFile> ProjectFile::look(const QString& path) {
    if (const auto fault = headerFault(path)) return tl::make_unexpected(problemAt(path, *fault));
    try {
        auto file = connectToLook(path);
        if (const auto fault = file.fault()) return tl::make_unexpected(problemAt(path, *fault));
        file.bringUpToDate();
        return file;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(
            problemAt(path, QStringLiteral("is damaged and cannot be read: %1").arg(fault.text)));
    }
}

Expected<ProjectFile> ProjectFile::lookThrough(const QString& path) {
    if (const auto fault = headerFault(path)) return tl::make_unexpected(problemAt(path, *fault));
    try {
        return connectToLook(path);
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(problemAt(path, QStringLiteral("cannot be read: %1").arg(fault.text)));
    }
}

Expected<bool> ProjectFile::copy(const QString& from, const QString& to) {
    try {
        const auto file = connect(from);
        copyPages(file.handle(), to);
        return true;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(problemAt(from, QStringLiteral("cannot be copied: %1").arg(fault.text)));
    }
}

Expected<ProjectFile> ProjectFile::open(const QString& path, std::chrono::milliseconds patience) {
    int format = kSchemaVersion;
    if (const auto seen = look(path); seen)
        format = seen->format();
    else
        return tl::make_unexpected(seen.error());
    if (format < kSchemaVersion)
        if (const auto kept = KeptCopies().keep(path, QDateTime::currentDateTime()); !kept)
            return tl::make_unexpected(kept.error());
    try {
        auto file = connect(path, patience);
        if (sqlite3_db_readonly(handleOf(file.database()), "main") == 1)
            return tl::make_unexpected(problemAt(path, QStringLiteral("may not be written")));
        file.run(QStringLiteral("SELECT title FROM project"));
        file.bringUpToDate();
        return file;
    } catch (const SqlFault& fault) {
        return tl::make_unexpected(problemAt(path, QStringLiteral("cannot be opened: %1").arg(fault.text)));
    }
}

QSqlQuery ProjectFile::prepare(const QString& statement) const {
    guard_->begin();
    QSqlQuery query(database());
    query.setForwardOnly(true);
    if (!query.prepare(statement)) throw SqlFault{query.lastError().text()};
    return query;
}

void ProjectFile::runAgain(QSqlQuery& prepared, const QVariantList& values) const {
    guard_->begin();
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
    return nextRow(query) ? query.value(0).toInt() : 0;
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
