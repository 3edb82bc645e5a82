#include "report/shelf.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <algorithm>
#include <nlohmann/json.hpp>

#include "core/bench/reading_row.h"
#include "files/file_reader.h"
#include "files/file_writer.h"
#include "formats/bench_json.h"
#include "formats/json_text.h"
#include "formats/readings_csv.h"
#include "report/data_package.h"
#include "report/review/publish.h"

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;
constexpr const char* kAbout = "shelf.json";
constexpr std::array kData{"readings.csv", "bench.json"};

Expected<QByteArray> bytesIn(const QString& folder, const char* name) {
    auto bytes = readFile(QDir(folder).filePath(QLatin1String(name)), limits::kTableBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    return std::move(*bytes);
}

std::string hashOf(const QByteArray& bytes) {
    return sha256({bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

/// What shelf.json of a folder says; an object without it.
Json aboutOf(const QString& folder) {
    const auto bytes = bytesIn(folder, kAbout);
    if (!bytes) return Json::object();
    const auto json = parsedJson(bytes->toStdString());
    return json && json->is_object() ? *json : Json::object();
}

QString saying(const Json& about, const char* key) {
    const auto at = about.find(key);
    return at != about.end() && at->is_string() ? QString::fromStdString(at->get<std::string>()) : QString();
}

/// The bench of two files as an export writes them.
Expected<Bench> benchOf(const QByteArray& readings, const QByteArray& description) {
    auto bench = readBench(description.toStdString());
    if (!bench) return problem("bench.json, " + bench.error().where, bench.error().what);
    const auto table = readReadings(readings.toStdString());
    if (!table.problems.empty())
        return problem("readings.csv, " + table.problems.front().where, table.problems.front().what);
    MergeReport report;
    return withRows(std::move(*bench), table.rows, report);
}

/// The same two out of a data package.
Expected<std::vector<EditionFile>> packagedFiles(const QString& path) {
    const auto bytes = readFile(path, limits::kTableBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    const auto package = readDataPackage({bytes->constData(), static_cast<std::size_t>(bytes->size())});
    if (!package) return tl::make_unexpected(package.error());
    return std::vector<EditionFile>{
        {QLatin1String(kData[0]), QByteArray::fromStdString(package->readings)},
        {QLatin1String(kData[1]), QByteArray::fromStdString(package->description)}};
}

/// Both files of a folder, each as shelf.json says it was, where that says anything; or those of a package.
Expected<std::vector<EditionFile>> soundFiles(const QString& folder) {
    if (QFileInfo(folder).isFile()) return packagedFiles(folder);
    std::vector<EditionFile> files;
    const auto about = aboutOf(folder);
    for (const char* name : kData) {
        auto bytes = bytesIn(folder, name);
        if (!bytes) return tl::make_unexpected(bytes.error());
        const auto said = about.find("sha256");
        if (said != about.end() && said->is_object() && said->contains(name) &&
            (*said)[name] != hashOf(*bytes))
            return problem(QDir(folder).filePath(QLatin1String(name)).toStdString(),
                           say(GLUMET_SAY("Core", "is not what was kept: its hash is another")));
        files.push_back({QLatin1String(name), std::move(*bytes)});
    }
    return files;
}

/// A folder name that every file system takes, the same for the same title.
QString folderName(const QString& title) {
    QString name;
    for (const QChar c : title.left(40)) name += c.isLetterOrNumber() ? c : QLatin1Char('_');
    return name + QLatin1Char('-') + QString::fromStdString(hashOf(title.toUtf8())).left(8);
}

Expected<ShelfEntry> store(const QString& shelf, std::vector<EditionFile> files, ShelfEntry about) {
    const auto bench = benchOf(files[0].bytes, files[1].bytes);
    if (!bench) return tl::make_unexpected(bench.error());
    if (bench->runs.empty())
        return problem(about.from.toStdString(), say(GLUMET_SAY("Core", "holds no reading to compare with")));
    about.fixtures.clear();
    Json names = Json::array();
    for (const auto& fixture : bench->fixtures) {
        about.fixtures << QString::fromStdString(fixture.name);
        names.push_back(fixture.name);
    }
    about.folder = QDir(shelf).filePath(folderName(about.title));
    Json json{{"format", "glumet shelf"},
              {"version", 1},
              {"title", about.title.toStdString()},
              {"from", about.from.toStdString()},
              {"kept", about.kept.toStdString()},
              {"own", about.own},
              {"fixtures", names},
              {"sha256", {{kData[0], hashOf(files[0].bytes)}, {kData[1], hashOf(files[1].bytes)}}}};
    files.push_back({QLatin1String(kAbout), QByteArray::fromStdString(jsonText(json, 2) + "\n")});
    if (!QDir().mkpath(shelf)) return problem(shelf.toStdString(), say(GLUMET_SAY("Core", "cannot be made")));
    if (const auto done = writeEdition(about.folder, files); !done) return tl::make_unexpected(done.error());
    return about;
}

ShelfEntry entryOf(const QString& folder) {
    const auto about = aboutOf(folder);
    ShelfEntry entry;
    entry.folder = folder;
    entry.title = saying(about, "title");
    if (entry.title.isEmpty()) entry.title = QFileInfo(folder).fileName();
    entry.from = saying(about, "from");
    entry.kept = saying(about, "kept");
    entry.own = about.value("own", Json(false)) == Json(true);
    if (const auto at = about.find("fixtures"); at != about.end() && at->is_array())
        for (const auto& name : *at)
            if (name.is_string()) entry.fixtures << QString::fromStdString(name.get<std::string>());
    if (!about.contains("sha256"))
        entry.wrong =
            Problem{folder.toStdString(), say(GLUMET_SAY("Core", "has no shelf.json that says what it is"))};
    else if (const auto files = soundFiles(folder); !files)
        entry.wrong = files.error();
    return entry;
}

}  // namespace

std::vector<ShelfEntry> shelfEntries(const QString& shelf) {
    std::vector<ShelfEntry> entries;
    for (const auto& info : QDir(shelf).entryInfoList(QDir::Dirs | QDir::NoDotAndDotDot))
        entries.push_back(entryOf(info.absoluteFilePath()));
    std::sort(entries.begin(), entries.end(),
              [](const ShelfEntry& a, const ShelfEntry& b) { return a.title < b.title; });
    return entries;
}

Expected<ShelfEntry> keepOnShelf(const QString& shelf, const Bench& bench, const ShelfEntry& about) {
    return store(shelf, dataOf(bench), about);
}

Expected<ShelfEntry> takeOntoShelf(const QString& shelf, const QString& folder, const QString& time) {
    auto files = soundFiles(folder);
    if (!files) return tl::make_unexpected(files.error());
    const auto bench = readBench((*files)[1].bytes.toStdString());
    if (!bench) return problem("bench.json, " + bench.error().where, bench.error().what);
    ShelfEntry about;
    about.title = bench->title.empty() ? QFileInfo(folder).fileName() : QString::fromStdString(bench->title);
    about.from = folder;
    about.kept = time;
    return store(shelf, std::move(*files), about);
}

Expected<Shelved> fromShelf(const ShelfEntry& entry) {
    if (entry.wrong) return tl::make_unexpected(*entry.wrong);
    const auto files = soundFiles(entry.folder);
    if (!files) return tl::make_unexpected(files.error());
    auto bench = benchOf((*files)[0].bytes, (*files)[1].bytes);
    if (!bench) return tl::make_unexpected(bench.error());
    return Shelved{std::move(*bench), entry.title.toStdString(), entry.own};
}

bool removeFromShelf(const ShelfEntry& entry) { return QDir(entry.folder).removeRecursively(); }

}  // namespace glumet
