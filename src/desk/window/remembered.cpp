#include "desk/window/remembered.h"

#include <QDir>
#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>

namespace glumet {
namespace {

constexpr qsizetype kMostRecent = 6;
const QString kRecent = QStringLiteral("recent");
const QString kFolder = QStringLiteral("folder");
const QString kGeometry = QStringLiteral("geometry");
const QString kInstrument = QStringLiteral("instrument");
const QString kUnit = QStringLiteral("unit");
const QString kDark = QStringLiteral("dark");

QSettings file() {
    return QSettings(
        QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/window.ini"),
        QSettings::IniFormat);
}

/// The program's own corner, where the demonstration's copy lies, is no place for a user's files.
void keepFolder(QSettings& settings, const QString& used) {
    const QString folder = QFileInfo(used).absolutePath();
    if (folder != QStandardPaths::writableLocation(QStandardPaths::AppDataLocation))
        settings.setValue(kFolder, folder);
}

}  // namespace

QStringList Remembered::recent() const {
    auto paths = file().value(kRecent).toStringList();
    paths.removeIf([](const QString& path) { return !QFileInfo::exists(path); });
    return paths;
}

void Remembered::opened(const QString& project) {
    const QString path = QFileInfo(project).absoluteFilePath();
    auto settings = file();
    auto paths = settings.value(kRecent).toStringList();
    if (paths.value(0) == path) return;  // as at most starts: nothing to write
    paths.removeAll(path);
    paths.prepend(path);
    settings.setValue(kRecent, QStringList(paths.mid(0, kMostRecent)));
    keepFolder(settings, path);
}

QString Remembered::folder() const {
    const QString folder = file().value(kFolder).toString();
    return QFileInfo(folder).isDir() ? folder : QDir::homePath();
}

QByteArray Remembered::geometry() const { return file().value(kGeometry).toByteArray(); }
void Remembered::keepGeometry(const QByteArray& geometry) { file().setValue(kGeometry, geometry); }

QString Remembered::instrument() const { return file().value(kInstrument).toString(); }
void Remembered::keepInstrument(const QString& profile) { file().setValue(kInstrument, profile); }

LengthUnit Remembered::unit() const {
    const int kept = file().value(kUnit, 0).toInt();
    return kept >= 0 && kept <= static_cast<int>(LengthUnit::Inch) ? static_cast<LengthUnit>(kept)
                                                                   : LengthUnit::Cm;
}
bool Remembered::dark() const { return file().value(kDark, true).toBool(); }
void Remembered::keepLook(LengthUnit unit, bool dark) {
    auto settings = file();
    settings.setValue(kUnit, static_cast<int>(unit));
    settings.setValue(kDark, dark);
}

}  // namespace glumet
