#include "report/data_package.h"

#include <QTest>
#include <nlohmann/json.hpp>
#include <set>

#include "core/bench/reading_row.h"
#include "core/compare/comparison.h"
#include "core/fit/fit_as_described.h"
#include "core/verdicts/height_schools.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "formats/delimited_text.h"
#include "formats/lm63.h"
#include "formats/model_json.h"
#include "formats/readings_csv.h"
#include "formats/spectrum_file.h"
#include "project/shipped_demo.h"
#include "runner/registry.h"

namespace report_data_package {

using namespace glumet;

namespace {

const Bench& demo() {
    static const Bench bench = [] {
        auto made = testing::shippedDemo();
        made.method.licence = "CC-BY-4.0";
        made.method.reviewer = "Wren and Lark";
        return made;
    }();
    return bench;
}

PackageAbout about(const QString& day) {
    static const auto compared =
        std::make_shared<const Comparison>(compareAll(std::make_shared<const Bench>(demo()), {}, {}));
    return {day, {}, compared};
}

const std::string& package() {
    static const std::string bytes = *dataPackageOf(demo(), about(QStringLiteral("2026-11-24")));
    return bytes;
}

nlohmann::json descriptor(const std::string& bytes = package()) {
    const auto members = *unzipped(bytes);
    for (const auto& member : members)
        if (member.name == "datapackage.json") return nlohmann::json::parse(member.bytes);
    return {};
}

std::string bytesOf(const std::vector<ArchiveMember>& members, const std::string& name) {
    for (const auto& member : members)
        if (member.name == name) return member.bytes;
    return {};
}

/// The package with one member changed.
std::string with(const std::string& name, const std::function<void(std::string&)>& change) {
    auto members = *unzipped(package());
    for (auto& member : members)
        if (member.name == name) change(member.bytes);
    return *zipOf(members);
}

std::string refusal(const std::string& bytes) {
    const auto read = readDataPackage(bytes);
    return read ? std::string() : english(read.error());
}

bool isNumber(const std::string& text) {
    if (text.empty()) return true;  // a missing value
    char* end = nullptr;
    std::strtod(text.c_str(), &end);
    return *end == '\0';
}

}  // namespace

/// The open data package, held against the rules of the Data Package and Table Schema specifications.
class TestDataPackage : public QObject {
    Q_OBJECT

  private slots:
    /// Data Package: a resource has a name (lower case, digits, . _ -), unique, and a path that is a POSIX
    /// path within; bytes, hash and encoding as they are; licences and contributors are lists of objects.
    void theDescriptorKeepsTheRules() {
        const auto members = *unzipped(package());
        QCOMPARE(members.front().name, std::string("datapackage.json"));
        const auto json = descriptor();
        QCOMPARE(json["profile"].get<std::string>(), std::string("data-package"));
        QCOMPARE(json["created"].get<std::string>(), std::string("2026-11-24"));
        QCOMPARE(json["licenses"][0]["name"].get<std::string>(), std::string("CC-BY-4.0"));
        QCOMPARE(json["contributors"][0]["title"].get<std::string>(), std::string("Wren and Lark"));
        std::set<std::string> names;
        std::set<std::string> paths;
        for (const auto& resource : json["resources"]) {
            const auto name = resource["name"].get<std::string>();
            QVERIFY2(name.find_first_not_of("abcdefghijklmnopqrstuvwxyz0123456789._-") == std::string::npos,
                     name.c_str());
            QVERIFY2(names.insert(name).second, name.c_str());
            const auto path = resource["path"].get<std::string>();
            QVERIFY(paths.insert(path).second);
            QVERIFY(path.front() != '/' && path.find("..") == std::string::npos);
            const auto bytes = bytesOf(members, path);
            QVERIFY2(!bytes.empty(), path.c_str());
            QCOMPARE(resource["bytes"].get<std::size_t>(), bytes.size());
            QCOMPARE(resource["hash"].get<std::string>(), "sha256:" + sha256(bytes));
            QCOMPARE(resource["encoding"].get<std::string>(), std::string("utf-8"));
        }
        // Nothing lies in the archive that nobody speaks of.
        QCOMPARE(paths.size() + 1, members.size());
        for (const char* path : {"readings.csv", "planes.csv", "fixtures.csv", "verdicts.csv",
                                 "comparison.csv", "spectra.csv", "ratings.csv", "bench.json"})
            QVERIFY2(paths.contains(path), path);
    }

    /// Table Schema: as many fields as columns, of the same names in the same order, and every value of its
    /// type.
    void everyTableIsWhatItsSchemaSays() {
        const auto members = *unzipped(package());
        int tables = 0;
        const auto json = descriptor();
        for (const auto& resource : json["resources"]) {
            if (resource["format"] != "csv") continue;
            ++tables;
            QCOMPARE(resource["profile"].get<std::string>(), std::string("tabular-data-resource"));
            const auto text = splitDelimited(bytesOf(members, resource["path"]));
            QVERIFY(text);
            const auto& fields = resource["schema"]["fields"];
            QCOMPARE(text->rows.front().cells.size(), fields.size());
            for (std::size_t i = 0; i < fields.size(); ++i) {
                QCOMPARE(text->rows.front().cells[i], fields[i]["name"].get<std::string>());
                QVERIFY(!fields[i]["description"].get<std::string>().empty());
            }
            for (std::size_t row = 1; row < text->rows.size(); ++row)
                for (std::size_t i = 0; i < fields.size(); ++i) {
                    const auto& value = text->rows[row].cells.at(i);
                    const auto type = fields[i]["type"].get<std::string>();
                    QVERIFY(type == "string" || type == "number" || type == "integer");
                    if (type != "string") QVERIFY2(isNumber(value), value.c_str());
                    if (type == "integer") QVERIFY2(value.find('.') == std::string::npos, value.c_str());
                }
        }
        QCOMPARE(tables, 7);
    }

    void theSameBenchGivesTheSameBytes() {
        QCOMPARE(*dataPackageOf(demo(), about(QStringLiteral("2026-11-24"))), package());
        QVERIFY(*dataPackageOf(demo(), about(QStringLiteral("2026-11-25"))) != package());
        auto bare = demo();
        bare.method.licence.clear();
        QVERIFY(!descriptor(*dataPackageOf(bare, {})).contains("licenses"));
        QVERIFY(!descriptor(*dataPackageOf(bare, {})).contains("created"));
    }

    /// Another Glumet says the same of it, to the last digit.
    void verdictsComeOutTheSame() {
        const auto data = readDataPackage(package());
        QVERIFY2(data, data ? "" : english(data.error()).c_str());
        QCOMPARE(data->title, demo().title);
        auto description = readBench(data->description);
        QVERIFY(description);
        const auto table = readReadings(data->readings);
        QVERIFY(table.problems.empty());
        MergeReport report;
        const auto again = withRows(std::move(*description), table.rows, report);
        QCOMPARE(readingCount(again), readingCount(demo()));
        const auto theirs = sweepsOf(again);
        const auto ours = sweepsOf(demo());
        QCOMPARE(theirs.size(), ours.size());
        for (std::size_t i = 0; i < ours.size(); ++i) {
            const auto a = heightSchools(demo(), ours[i], schoolOptions(demo(), ours[i]));
            const auto b = heightSchools(again, theirs[i], schoolOptions(again, theirs[i]));
            for (std::size_t k = 0; k < a.size(); ++k) {
                QCOMPARE(b[k].height, a[k].height);
                QCOMPARE(b[k].crossing, a[k].crossing);
                QCOMPARE(b[k].low, a[k].low);
                QCOMPARE(english(b[k].reason), english(a[k].reason));
            }
        }
        const auto compared = [](const Bench& bench) {
            return compareAll(std::make_shared<const Bench>(bench), {}, {});
        };
        const auto first = compared(demo());
        const auto second = compared(again);
        QCOMPARE(english(second.answer().title), english(first.answer().title));
        QCOMPARE(second.board.order, first.board.order);
        for (std::size_t i = 0; i < first.board.rows.size(); ++i)
            QCOMPARE(second.board.rows[i].score, first.board.rows[i].score);
        QVERIFY(again.method == demo().method);
    }

    void spectraAndModelsGoAlong() {
        const auto members = *unzipped(package());
        const auto spectrum = std::find_if(members.begin(), members.end(), [](const ArchiveMember& member) {
            return member.name.starts_with("spectra/") && member.name.ends_with(".spdx");
        });
        QVERIFY(spectrum != members.end());
        QVERIFY(readTm27(spectrum->bytes));
        const auto sweep = sweepsOf(demo()).front();
        PackageAbout about;
        about.fits = {{"Osier 60", *fitAsDescribed(demo(), sweep)}};
        const auto with_model = *unzipped(*dataPackageOf(demo(), about));
        const auto model = readModel(bytesOf(with_model, "models/01-osier-60.json"));
        QVERIFY(model);
        QCOMPARE(model->flux(), about.fits[0].second.model.flux());
        const auto beam = readLm63(bytesOf(with_model, "models/01-osier-60.ies"));
        QVERIFY(beam);
        QVERIFY(std::abs(beam->beam.intensity(1.0) / about.fits[0].second.model.sceneBeam()->intensity(1.0) -
                         1.0) < 0.01);
    }

    void aPackageThatLiesIsRefused() {
        QCOMPARE(refusal(package()), std::string());
        const auto changed = with("readings.csv", [](std::string& bytes) { bytes[bytes.size() - 5] ^= 1; });
        QVERIFY2(refusal(changed).find("readings.csv") != std::string::npos &&
                     refusal(changed).find("hash is another") != std::string::npos,
                 refusal(changed).c_str());
        // Also where the lie is about a file that no import needs.
        QVERIFY(refusal(with("planes.csv", [](std::string& bytes) { bytes += "\n"; })).find("planes.csv") !=
                std::string::npos);
        auto members = *unzipped(package());
        std::erase_if(members, [](const ArchiveMember& member) { return member.name == "bench.json"; });
        QVERIFY(refusal(*zipOf(members)).find("bench.json") != std::string::npos);
        std::erase_if(members, [](const ArchiveMember& member) { return member.name == "datapackage.json"; });
        QVERIFY(refusal(*zipOf(members)).find("no data package") != std::string::npos);
    }

    void whatIsNoPackageIsRefused_data() {
        QTest::addColumn<QByteArray>("bytes");
        QTest::newRow("nothing") << QByteArray();
        QTest::newRow("text") << QByteArray("run,fixture\n");
        QTest::newRow("a zip's head") << QByteArray("PK\x03\x04garbage garbage garbage");
        QTest::newRow("cut") << QByteArray::fromStdString(package().substr(0, package().size() / 2));
        QTest::newRow("no object") << QByteArray::fromStdString(*zipOf({{"datapackage.json", "[1]"}}));
        QTest::newRow("no list") << QByteArray::fromStdString(
            *zipOf({{"datapackage.json", R"({"resources":5})"}}));
        QTest::newRow("no path") << QByteArray::fromStdString(
            *zipOf({{"datapackage.json", R"({"resources":[{}]})"}}));
        QTest::newRow("odd path") << QByteArray::fromStdString(
            *zipOf({{"datapackage.json", R"({"resources":[{"path":[1]}]})"}}));
        QTest::newRow("nested") << QByteArray::fromStdString(
            *zipOf({{"datapackage.json",
                     R"({"resources":[)" + std::string(300, '[') + std::string(300, ']') + "]}"}}));
    }
    void whatIsNoPackageIsRefused() {
        QFETCH(QByteArray, bytes);
        QVERIFY(!refusal(bytes.toStdString()).empty());
    }

    void archivesStayWithinThemselves() {
        for (const char* name : {"../out", "/etc/passwd", "a/../../b", "c:\\x", ""})
            QVERIFY2(!zipOf({{name, "x"}}), name);
        QVERIFY(zipOf({{"a/b..c/d", "x"}}));
        const auto made = *zipOf({{"a", std::string(100'000, 'x')}, {"b", ""}});
        QVERIFY(made.size() < 2'000);
        QCOMPARE(unzipped(made)->size(), std::size_t{2});
        QCOMPARE((*unzipped(made))[0].bytes.size(), std::size_t{100'000});
        // More than one is ready to unpack.
        QVERIFY(!unzipped(made, 99'999));
        auto damaged = made;
        damaged[40] ^= 0x55;
        QVERIFY(!unzipped(damaged));
    }
};

GLUMET_TEST(TestDataPackage, "report_data_package", Application)

}  // namespace report_data_package

#include "test_data_package.moc"
