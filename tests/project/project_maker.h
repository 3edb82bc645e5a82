#pragma once

#include <QDir>
#include <QFile>
#include <QSqlDatabase>
#include <QSqlError>
#include <QSqlQuery>
#include <map>

#include "core/bench/grid.h"
#include "core/words/sentence.h"
#include "project/project.h"

namespace glumet {

inline Reading readingAt(double x, double y, double ppfd) {
    Reading reading;
    reading.x = Millimetre(x);
    reading.y = Millimetre(y);
    reading.mean = Ppfd(ppfd);
    return reading;
}

inline Run plannedRun(Id fixture) {
    Run run;
    run.label = "first";
    run.fixture = fixture;
    run.height = Millimetre(200);
    Plane plane;
    plane.depth = Millimetre(150);
    plane.grid = cellCentres(Millimetre(600), Millimetre(600), 6, 6);
    run.planes = {plane};
    return run;
}

/// Changes a file behind our back; what went wrong, or nothing.
inline QString bentBy(const QString& path, const QString& sql) {
    QString wrong;
    {
        auto db = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), QStringLiteral("bend"));
        db.setDatabaseName(path);
        QSqlQuery query(db.open() ? db : QSqlDatabase());
        if (!query.exec(sql)) wrong = query.lastError().text();
    }
    QSqlDatabase::removeDatabase(QStringLiteral("bend"));
    return wrong;
}

/// A project of one fixture with one run that is planned.
inline std::unique_ptr<Project> projectWithRun(const QString& path) {
    auto project = Project::create(path, QStringLiteral("Test bench"));
    if (!project) return nullptr;
    Fixture fixture;
    fixture.name = "Fern 20";
    const auto id = (*project)->save(fixture);
    if (!id || !(*project)->save(plannedRun(*id))) return nullptr;
    return std::move(*project);
}

/// The same with every cell read.
inline std::unique_ptr<Project> projectWithReadings(const QString& path) {
    auto project = projectWithRun(path);
    const auto plane = project->bench().runs[0].planes[0];
    for (const double x : plane.grid->xs_mm)
        for (const double y : plane.grid->ys_mm) project->take(plane.id, readingAt(x, y, 100 + x / 10));
    return project;
}

/// What another program does to a file, minding no rule of ours; what SQLite said against it.
inline QString byForeignHand(const QString& path, const QStringList& statements) {
    QString said;
    {
        auto database = QSqlDatabase::addDatabase(QStringLiteral("QSQLITE"), QStringLiteral("foreign"));
        database.setDatabaseName(path);
        if (!database.open()) said = database.lastError().text();
        QSqlQuery query(database);
        query.exec(QStringLiteral("PRAGMA foreign_keys = OFF"));
        for (const auto& statement : statements)
            if (said.isEmpty() && !query.exec(statement)) said = query.lastError().text();
    }
    QSqlDatabase::removeDatabase(QStringLiteral("foreign"));
    return said;
}

inline QByteArray bytesOf(const QString& path) {
    QFile file(path);
    return file.open(QIODevice::ReadOnly) ? file.readAll() : QByteArray();
}

inline bool writeBytes(const QString& path, const QByteArray& bytes) {
    QFile file(path);
    return file.open(QIODevice::WriteOnly) && file.write(bytes) == bytes.size();
}

/// Names and bytes of everything in a folder.
inline std::map<QString, QByteArray> contentsOf(const QString& folder) {
    std::map<QString, QByteArray> contents;
    for (const auto& name : QDir(folder).entryList(QDir::Files | QDir::Hidden))
        contents[name] = bytesOf(QDir(folder).filePath(name));
    return contents;
}

inline QString said(const Problem& problem) { return QString::fromStdString(english(problem)); }

}  // namespace glumet
