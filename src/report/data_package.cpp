#include "report/data_package.h"

#include <fmt/format.h>

#include <QCryptographicHash>
#include <algorithm>
#include <nlohmann/json.hpp>

#include "core/bench/descriptions.h"
#include "core/plane/plane_statistics.h"
#include "core/verdicts/height_schools.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "formats/delimited_text.h"
#include "formats/json_text.h"
#include "formats/lm63.h"
#include "formats/model_json.h"
#include "formats/readings_csv.h"
#include "formats/spectrum_file.h"

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;

constexpr const char* kDescriptor = "datapackage.json";
constexpr const char* kReadings = "readings.csv";
constexpr const char* kBench = "bench.json";

/// A column of a table as the descriptor tells it.
struct Column {
    const char* name;
    const char* type;  ///< of the Table Schema: string, number, integer, boolean
    const char* unit;  ///< empty: none
    const char* what;
};

using Row = std::vector<std::string>;

std::string cell(double value) { return fmt::format("{}", value); }
std::string cell(const std::optional<double>& value) { return value ? cell(*value) : std::string(); }
std::string cell(int value) { return std::to_string(value); }
std::string cell(const std::string& text) { return cellOfText(text); }
template <class Unit>
std::string cell(Quantity<Unit> value) {
    return cell(value.value());
}
template <class Unit>
std::string cell(const std::optional<Quantity<Unit>>& value) {
    return value ? cell(value->value()) : std::string();
}

/// Files of a package and their part of the descriptor.
class Resources {
  public:
    void add(const std::string& path, std::string bytes, const char* format, const char* type,
             const char* what) {
        Json json{{"name", nameOf(path)},  {"path", path},
                  {"description", what},   {"format", format},
                  {"mediatype", type},     {"encoding", "utf-8"},
                  {"bytes", bytes.size()}, {"hash", "sha256:" + sha256(bytes)}};
        resources_.push_back(std::move(json));
        members_.push_back({path, std::move(bytes)});
    }

    template <std::size_t N>
    void addTable(const std::string& path, const std::array<Column, N>& columns, const std::vector<Row>& rows,
                  const char* what) {
        std::string bytes;
        Row head;
        for (const auto& column : columns) head.emplace_back(column.name);
        appendLine(bytes, head);
        for (const auto& row : rows) appendLine(bytes, row);
        addTable(path, std::move(bytes), schemaOf(columns), what);
    }
    void addTable(const std::string& path, std::string bytes, Json schema, const char* what) {
        add(path, std::move(bytes), "csv", "text/csv", what);
        auto& json = resources_.back();
        json["profile"] = "tabular-data-resource";
        json["dialect"] = {{"delimiter", ","},
                           {"quoteChar", "\""},
                           {"doubleQuote", true},
                           {"lineTerminator", "\n"},
                           {"header", true}};
        json["schema"] = std::move(schema);
    }

    template <class Columns>
    static Json schemaOf(const Columns& columns) {
        Json fields = Json::array();
        for (const auto& column : columns) {
            Json one{{"name", column.name}, {"type", column.type}, {"description", column.what}};
            if (*column.unit != '\0') one["unit"] = column.unit;
            fields.push_back(std::move(one));
        }
        return {{"fields", std::move(fields)}, {"missingValues", {""}}};
    }

    Json& json() { return resources_; }
    std::vector<ArchiveMember> take() { return std::move(members_); }

  private:
    /// Lower case, digits, dot, dash and underscore: what the specification lets a name be. Unique, as paths
    /// are.
    static std::string nameOf(const std::string& path) {
        std::string name;
        for (const char c : path.substr(0, path.rfind('.'))) {
            const auto byte = static_cast<unsigned char>(c);
            name += std::isalnum(byte) != 0 ? static_cast<char>(std::tolower(byte)) : '-';
        }
        const auto extension = path.substr(path.rfind('.') + 1);
        return extension == "csv" ? name : name + "-" + extension;
    }

    Json resources_ = Json::array();
    std::vector<ArchiveMember> members_;
};

constexpr std::array kReadingColumns{
    Column{"run", "string", "", "name of the run"},
    Column{"fixture", "string", "", "name of the fixture"},
    Column{"height_mm", "number", "mm", "emitters above the water"},
    Column{"depth_mm", "number", "mm", "sensor under water"},
    Column{"x_mm", "number", "mm", "along the tank, from the left"},
    Column{"y_mm", "number", "mm", "across the tank, from the front"},
    Column{"ppfd", "number", "µmol/m²/s", "mean of the settled reading"},
    Column{"ppfd_min", "number", "µmol/m²/s", "least sample"},
    Column{"ppfd_max", "number", "µmol/m²/s", "greatest sample"},
    Column{"samples", "number", "", "effective number of independent samples"},
    Column{"sd", "number", "µmol/m²/s", "standard deviation of single samples"},
    Column{"level_pct", "number", "%", "level of all channels"},
    Column{"power_w", "number", "W", "at the wall, while it was read"},
    Column{"fixtures", "integer", "", "how many hung"},
    Column{"turn_deg", "number", "°", "the fixture's length against the tank's"},
    Column{"hours", "number", "h", "that the lamp had burnt"}};

/// Columns of the readings table as it was written: known ones with unit and type, all others as text.
Json readingSchema(const std::string& bytes) {
    const auto split = splitDelimited(std::string_view(bytes).substr(0, bytes.find('\n') + 1));
    std::vector<Column> columns;
    if (split && !split->rows.empty())
        for (const auto& name : split->rows.front().cells) {
            const auto known = std::find_if(kReadingColumns.begin(), kReadingColumns.end(),
                                            [&](const Column& column) { return name == column.name; });
            columns.push_back(known != kReadingColumns.end()
                                  ? *known
                                  : Column{name.c_str(), "string", "", "as it was recorded"});
        }
    return Resources::schemaOf(columns);
}

constexpr std::array kPlaneColumns{
    Column{"run", "string", "", "name of the run"},
    Column{"configuration", "string", "", "fixture and what sets it apart"},
    Column{"height_mm", "number", "mm", "emitters above the water"},
    Column{"depth_mm", "number", "mm", "under water"},
    Column{"n", "integer", "", "readings that count"},
    Column{"mean", "number", "µmol/m²/s", "mean PPFD"},
    Column{"min", "number", "µmol/m²/s", "least"},
    Column{"max", "number", "µmol/m²/s", "greatest"},
    Column{"cv", "number", "", "standard deviation over the points / mean, divisor n"},
    Column{"centre_to_outer", "number", "", "innermost ring's mean / outermost's"},
    Column{"share_in_band", "number", "", "of the readings, in the goal's band"}};

std::vector<Row> planeRows(const Bench& bench) {
    std::vector<Row> rows;
    for (const auto& run : bench.runs)
        for (const auto& plane : run.planes)
            if (const auto s = planeStatistics(plane, bench.method.goal.band))
                rows.push_back({cell(run.label), cell(configurationName(bench, run)), cell(run.height),
                                cell(plane.depth), cell(s->n), cell(s->mean), cell(s->min), cell(s->max),
                                cell(s->cv), cell(s->centre_to_outer), cell(s->share_in_band)});
    return rows;
}

constexpr std::array kFixtureColumns{Column{"fixture", "string", "", "name"},
                                     Column{"maker", "string", "", "maker"},
                                     Column{"kind", "string", "", "in words"},
                                     Column{"length_mm", "number", "mm", "of the body"},
                                     Column{"width_mm", "number", "mm", "of the body"},
                                     Column{"channels", "string", "", "names"},
                                     Column{"rated_power_w", "number", "W", "as stated"},
                                     Column{"mass_kg", "number", "kg", "mass"},
                                     Column{"price", "number", "", "in its currency"},
                                     Column{"currency", "string", "", "of the price"},
                                     Column{"claimed_height_low_mm", "number", "mm", "the maker's claim"},
                                     Column{"claimed_height_high_mm", "number", "mm", "the maker's claim"}};

std::string stated(double value) { return value > 0.0 ? cell(value) : std::string(); }

std::vector<Row> fixtureRows(const Bench& bench) {
    std::vector<Row> rows;
    for (const auto& f : bench.fixtures)
        rows.push_back({cell(f.name), cell(f.maker), cell(f.kind), stated(f.length.value()),
                        stated(f.width.value()), cell(channelNames(f)), cell(f.rated_power),
                        stated(f.mass_kg), stated(f.price), cell(f.currency), cell(f.claimed_height_low),
                        cell(f.claimed_height_high)});
    return rows;
}

constexpr std::array kVerdictColumns{
    Column{"configuration", "string", "", "fixture and what sets it apart"},
    Column{"school", "string", "", "of mounting height"},
    Column{"height_mm", "number", "mm", "recommended, a height that was read; none: the school cannot speak"},
    Column{"crossing_mm", "number", "mm", "between heights, where the evidence carries it"},
    Column{"low_mm", "number", "mm", "95 % interval"},
    Column{"high_mm", "number", "mm", "95 % interval"},
    Column{"reason", "string", "", "in a sentence"}};

std::vector<Row> verdictRows(const Bench& bench, const std::vector<Sweep>& sweeps) {
    std::vector<Row> rows;
    for (const auto& sweep : sweeps)
        for (const auto& school : heightSchools(bench, sweep, schoolOptions(bench, sweep)))
            rows.push_back({cell(configurationName(bench, sweep.configuration)), wordOf(school.school),
                            cell(school.height), cell(school.crossing), cell(school.low), cell(school.high),
                            cell(english(school.reason))});
    return rows;
}

constexpr std::array kComparisonColumns{
    Column{"configuration", "string", "", "fixture and what sets it apart"},
    Column{"height_mm", "number", "mm", "at which it is judged"},
    Column{"criterion", "string", "", "name"},
    Column{"value", "number", "", "in its unit"},
    Column{"lo", "number", "", "95 % interval"},
    Column{"hi", "number", "", "95 % interval"},
    Column{"unit", "string", "", "of the value"},
    Column{"weight", "number", "", "0: it does not count"},
    Column{"rank", "integer", "", "of the configuration by all that counts; none: not ranked"},
    Column{"rank_lo", "integer", "", "within which it stays 95 times in 100"},
    Column{"rank_hi", "integer", "", "within which it stays 95 times in 100"}};

std::vector<Row> comparisonRows(const Comparison& compared) {
    std::vector<Row> rows;
    const auto rank = [](int value) { return value == 0 ? std::string() : cell(value); };
    for (std::size_t i = 0; i < compared.judged.size(); ++i) {
        const auto& row = compared.board.rows[i];
        for (std::size_t k = 0; k < row.figures.size(); ++k) {
            const auto& figure = row.figures[k];
            if (!figure.there) continue;
            rows.push_back({cell(compared.judged[i].contender.name),
                            cell(compared.judged[i].contender.height), wordOf(figure.criterion),
                            cell(figure.value), cell(figure.lo), cell(figure.hi),
                            cell(english(infoOf(figure.criterion).unit)), cell(compared.board.weights[k]),
                            rank(row.rank), rank(row.rank_lo), rank(row.rank_hi)});
        }
    }
    return rows;
}

constexpr std::array kRatingColumns{Column{"fixture", "string", "", "name"},
                                    Column{"accessory", "string", "", "put on while it was judged"},
                                    Column{"criterion", "string", "", "what no meter reads"},
                                    Column{"score", "integer", "", "1 to 5, more is better"},
                                    Column{"reason", "string", "", "in the reviewer's words"},
                                    Column{"by", "string", "", "reviewer"}};

std::vector<Row> ratingRows(const Bench& bench) {
    std::vector<Row> rows;
    for (const auto& rating : bench.ratings) {
        const auto* fixture = byId(bench.fixtures, rating.fixture);
        const auto* accessory = byId(bench.accessories, rating.accessory);
        rows.push_back({cell(fixture == nullptr ? std::string() : fixture->name),
                        cell(accessory == nullptr ? std::string() : accessory->name),
                        wordOf(rating.criterion), cell(rating.score), cell(rating.reason), cell(rating.by)});
    }
    return rows;
}

constexpr std::array kSpectrumColumns{Column{"spectrum", "integer", "", "number in this table, from 1"},
                                      Column{"fixture", "string", "", "name"},
                                      Column{"name", "string", "", "channel, mix or point"},
                                      Column{"wavelength_nm", "number", "nm", "wavelength"},
                                      Column{"photons", "number", "", "µmol/m²/s/nm, or a shape alone"},
                                      Column{"scale", "string", "", "absolute or relative"},
                                      Column{"origin", "string", "", "read, file or assumed"}};

std::vector<Row> spectrumRows(const Bench& bench) {
    std::vector<Row> rows;
    int number = 0;
    for (const auto& record : bench.spectra) {
        ++number;
        const auto* fixture = byId(bench.fixtures, record.fixture);
        for (std::size_t i = 0; i < record.spectrum.values.size(); ++i)
            rows.push_back({cell(number), cell(fixture == nullptr ? std::string() : fixture->name),
                            cell(record.name), cell(record.spectrum.wavelength_nm[i]),
                            cell(record.spectrum.values[i]), wordOf(record.scale), wordOf(record.origin)});
    }
    return rows;
}

/// "03-osier-60": what every file system takes.
std::string fileName(int number, const std::string& name) {
    std::string out = fmt::format("{:02}-", number);
    for (const char c : name.substr(0, 40)) {
        const auto byte = static_cast<unsigned char>(c);
        out += std::isalnum(byte) != 0 ? static_cast<char>(std::tolower(byte)) : '-';
    }
    return out;
}

void addSpectra(Resources& to, const Bench& bench) {
    if (bench.spectra.empty()) return;
    to.addTable("spectra.csv", kSpectrumColumns, spectrumRows(bench), "spectra, wavelength by wavelength");
    int number = 0;
    for (const auto& record : bench.spectra) {
        const NamedSpectrum named{record.name, record.scale, record.spectrum};
        to.add("spectra/" + fileName(++number, record.name) + ".spdx", writeTm27(named), "spdx",
               "application/xml", "a spectrum after IES TM-27");
    }
}

Expected<bool> addModels(Resources& to, const PackageAbout& about) {
    int number = 0;
    for (const auto& [name, fit] : about.fits) {
        const auto file = fileName(++number, name);
        to.add("models/" + file + ".json", writeModel(fit.model), "json", "application/json",
               "the light model fitted to this configuration's readings");
        const auto beam = fit.model.sceneBeam();
        if (!beam) return tl::make_unexpected(beam.error());
        to.add("models/" + file + ".ies", writeLm63(*beam, fit.model.flux(), name), "ies", "text/plain",
               "its beam after LM-63");
    }
    return true;
}

Json descriptorOf(const Bench& bench, const PackageAbout& about, Json resources) {
    Json json{{"profile", "data-package"},
              {"name", "glumet-review"},
              {"title", bench.title.empty() ? "Readings" : bench.title},
              {"description", bench.method.note},
              {"resources", std::move(resources)}};
    if (!about.created.isEmpty()) json["created"] = about.created.toStdString();
    if (!bench.method.licence.empty()) json["licenses"] = {{{"name", bench.method.licence}}};
    if (!bench.method.reviewer.empty())
        json["contributors"] = {{{"title", bench.method.reviewer}, {"role", "author"}}};
    Json sources = Json::array();
    for (const auto& run : bench.runs)
        if (run.byOthers() && std::none_of(sources.begin(), sources.end(),
                                           [&](const Json& known) { return known["title"] == run.read_by; }))
            sources.push_back({{"title", run.read_by}});
    if (!sources.empty()) json["sources"] = std::move(sources);
    return json;
}

const ArchiveMember* memberAt(const std::vector<ArchiveMember>& members, std::string_view name) {
    const auto found = std::find_if(members.begin(), members.end(),
                                    [&](const ArchiveMember& member) { return member.name == name; });
    return found == members.end() ? nullptr : &*found;
}

/// Why a file is not the one that its package speaks of; nothing when it is.
std::optional<Problem> liesAbout(const Json& resource, const std::vector<ArchiveMember>& members) {
    const auto path = resource.value("path", std::string());
    const auto* member = memberAt(members, path);
    if (member == nullptr)
        return Problem{path, say(GLUMET_SAY("Core", "is named in the package and not in it"))};
    const auto hash = resource.value("hash", std::string());
    if (!hash.empty() && hash != "sha256:" + sha256(member->bytes))
        return Problem{path, say(GLUMET_SAY("Core", "is not what the package says: its hash is another"))};
    return std::nullopt;
}

}  // namespace

std::string sha256(std::string_view bytes) {
    return QCryptographicHash::hash(
               QByteArray::fromRawData(bytes.data(), static_cast<qsizetype>(bytes.size())),
               QCryptographicHash::Sha256)
        .toHex()
        .toStdString();
}

Expected<std::string> dataPackageOf(const Bench& bench, const PackageAbout& about) {
    Resources resources;
    const auto sweeps = sweepsOf(bench);
    auto readings = writeReadings(rowsOf(bench));
    auto schema = readingSchema(readings);
    resources.addTable(kReadings, std::move(readings), std::move(schema),
                       "every reading, with what was set for it");
    resources.addTable("planes.csv", kPlaneColumns, planeRows(bench), "figures of every plane");
    resources.addTable("fixtures.csv", kFixtureColumns, fixtureRows(bench), "what was reviewed");
    resources.addTable("verdicts.csv", kVerdictColumns, verdictRows(bench, sweeps),
                       "mounting heights, school by school");
    if (about.comparison)
        resources.addTable("comparison.csv", kComparisonColumns, comparisonRows(*about.comparison),
                           "criteria with their intervals, and the rank by the reviewer's weights");
    if (!bench.ratings.empty())
        resources.addTable("ratings.csv", kRatingColumns, ratingRows(bench), "scores of what no meter reads");
    addSpectra(resources, bench);
    if (const auto done = addModels(resources, about); !done) return tl::make_unexpected(done.error());
    resources.add(kBench, writeBench(bench), "json", "application/json",
                  "the bench whole: with readings.csv an import makes it again");
    auto members = resources.take();
    members.insert(
        members.begin(),
        {kDescriptor, jsonText(descriptorOf(bench, about, std::move(resources.json())), 2) + "\n"});
    return zipOf(members);
}

Expected<PackageData> readDataPackage(std::string_view bytes) {
    const auto members = unzipped(bytes);
    if (!members) return tl::make_unexpected(members.error());
    const auto* descriptor = memberAt(*members, kDescriptor);
    if (descriptor == nullptr)
        return problem(kDescriptor, say(GLUMET_SAY("Core", "is missing: this is no data package")));
    const auto json = parsedJson(descriptor->bytes);
    if (!json || !json->is_object() || !json->contains("resources") || !(*json)["resources"].is_array())
        return problem(kDescriptor, say(GLUMET_SAY("Core", "is not understood")));
    try {
        for (const auto& resource : (*json)["resources"])
            if (auto lie = liesAbout(resource, *members)) return tl::make_unexpected(std::move(*lie));
        const auto* readings = memberAt(*members, kReadings);
        const auto* bench = memberAt(*members, kBench);
        for (const auto& [name, member] : {std::pair{kReadings, readings}, {kBench, bench}})
            if (member == nullptr)
                return problem(name,
                               say(GLUMET_SAY("Core", "is missing: the package was not made by Glumet")));
        return PackageData{readings->bytes, bench->bytes, json->value("title", std::string())};
    } catch (const nlohmann::json::exception&) {
        return problem(kDescriptor, say(GLUMET_SAY("Core", "is not understood")));
    }
}

}  // namespace glumet
