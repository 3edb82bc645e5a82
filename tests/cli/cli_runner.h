#pragma once

#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QTemporaryDir>

#include "files/started.h"

namespace glumet::testing {

struct CliResult {
    int code = -1;
    QByteArray out;
    QString err;
    QJsonObject json() const { return QJsonDocument::fromJson(out).object(); }
};

/// The command line program, for any number of runs.
inline Started& startedCli() {
    static Started started(QStringLiteral("glumet-cli"));
    return started;
}

/// Runs the command line program to its end.
inline CliResult runCli(const QStringList& arguments) {
    const auto ended = startedCli().run(arguments);
    return {ended.killed ? -1 : ended.code, ended.out, QString::fromUtf8(ended.err)};
}

inline QStringList cliWords(const QString& line) { return line.split(QLatin1Char(' ')); }

/// Writes a file into a folder; its path.
inline QString writtenIn(const QTemporaryDir& dir, const char* name, const QByteArray& bytes) {
    QFile file(dir.filePath(QLatin1String(name)));
    if (!file.open(QIODevice::WriteOnly)) return {};
    file.write(bytes);
    return file.fileName();
}

}  // namespace glumet::testing
