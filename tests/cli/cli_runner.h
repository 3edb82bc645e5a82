#pragma once

#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QProcess>
#include <QTemporaryDir>

namespace glumet::testing {

struct CliResult {
    int code = -1;
    QByteArray out;
    QString err;
    QJsonObject json() const { return QJsonDocument::fromJson(out).object(); }
};

/// Runs the command line program to its end.
inline CliResult runCli(const QStringList& arguments) {
    QProcess process;
    process.start(QStringLiteral(GLUMET_BINARY_DIR "/glumet-cli"), arguments);
    process.waitForFinished(-1);
    return {process.exitCode(), process.readAllStandardOutput(),
            QString::fromUtf8(process.readAllStandardError())};
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
