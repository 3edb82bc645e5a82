#include "verbs.h"

#include <fmt/format.h>

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <algorithm>
#include <nlohmann/json.hpp>

#include "core/bench/sweep.h"
#include "core/plane/plane_statistics.h"
#include "core/verdicts/height_schools.h"
#include "core/verdicts/spill_limit.h"
#include "core/words/sentence.h"
#include "files.h"
#include "formats/bench_json.h"
#include "formats/model_json.h"
#include "formats/plane_sheet.h"
#include "formats/readings_csv.h"
#include "formats/ring_csv.h"
#include "formats/spectrum_file.h"
#include "formats/spreadsheet.h"
#include "project/project.h"
#include "report/data_package.h"
#include "report/review/publish.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

/// "3 more" is said when one line cannot hold all that is wrong.
Problem firstOf(const std::string& file, const std::vector<Problem>& problems) {
    Problem first{file + (problems.front().where.empty() ? "" : ", " + problems.front().where),
                  problems.front().what};
    if (problems.size() > 1)
        first.what = verbatim(fmt::format("{} (and {} more)", english(first.what), problems.size() - 1));
    return first;
}

/// Adds the rows of a readings file; none where one of them is unsound.
Expected<bool> addReadings(const std::string& name, std::string_view bytes, RowMerge& merge) {
    std::size_t rows = 0;
    const auto table = streamReadings(bytes, [&](ReadingRow&& row) {
        ++rows;
        merge.add(std::move(row));
    });
    if (!table.problems.empty()) return tl::make_unexpected(firstOf(name, table.problems));
    if (rows == 0) return problem(name, verbatim("holds no reading"));
    return true;
}

Expected<Bench> benchOfFile(const std::string& name) {
    const auto bytes = bytesOf(name);
    if (!bytes) return tl::make_unexpected(bytes.error());
    MergeReport report;
    RowMerge merge({}, report);
    if (const auto done = addReadings(name, *bytes, merge); !done) return tl::make_unexpected(done.error());
    return merge.finish();
}

template <class T>
Json optional(const std::optional<T>& value) {
    if (!value) return nullptr;
    if constexpr (std::is_same_v<T, double>)
        return *value;
    else
        return value->value();
}

std::string nameOf(const Bench& bench, Id fixture) {
    const auto* known = byId(bench.fixtures, fixture);
    return known == nullptr ? "" : known->name;
}

Json planeJson(const Plane& plane, const std::optional<Band>& band) {
    const auto s = planeStatistics(plane, band);
    if (!s) return {{"depth_mm", plane.depth.value()}, {"n", 0}};
    Json rings = Json::array();
    for (const auto ring : s->ring_means) rings.push_back(ring.value());
    return {{"depth_mm", plane.depth.value()},
            {"n", s->n},
            {"mean", s->mean.value()},
            {"min", s->min.value()},
            {"max", s->max.value()},
            {"cv", s->cv},
            {"min_over_mean", s->min_over_mean},
            {"max_over_mean", s->max_over_mean},
            {"ring_means", rings},
            {"centre_to_outer", optional(s->centre_to_outer)},
            {"share_in_band", optional(s->share_in_band)}};
}

std::string planeText(const Plane& plane, const std::optional<Band>& band) {
    const auto s = planeStatistics(plane, band);
    if (!s) return "";
    auto line = fmt::format(
        "  {:>7.0f} mm {:>4} points  mean {:>7.1f}  min {:>7.1f}  max {:>7.1f}  CV {:>5.1f} %",
        plane.depth.value(), s->n, s->mean.value(), s->min.value(), s->max.value(), s->cv * 100.0);
    if (s->share_in_band) line += fmt::format("  in band {}", percentText(*s->share_in_band));
    return line + "\n";
}

Json evidenceJson(const SpillLimitVerdict& verdict) {
    Json rows = Json::array();
    for (const auto& row : verdict.evidence)
        rows.push_back({{"height_mm", row.height.value()},
                        {"grid_mean", row.grid_mean.value()},
                        {"loss_pct", row.loss * 100.0},
                        {"loss_error_pct", row.loss_error * 100.0},
                        {"within", row.within},
                        {"peak", row.peak.value()},
                        {"centre", optional(row.centre)},
                        {"outer", optional(row.outer)}});
    return rows;
}

Json englishOf(const std::vector<Words>& list) {
    Json out = Json::array();
    for (const auto& words : list) out.push_back(english(words, LengthUnit::Mm));
    return out;
}

Json labelsOf(const Bench& bench, const std::vector<Id>& runs) {
    Json labels = Json::array();
    for (const auto run : runs) labels.push_back(bench.run(run).label);
    return labels;
}

Json verdictJson(const Bench& bench, const Sweep& sweep, const SpillLimitVerdict& v) {
    return {{"school", "spill-limit"},
            {"fixture", nameOf(bench, sweep.configuration.fixture)},
            {"configuration", configurationName(bench, sweep.configuration)},
            {"limit_pct", v.asked.limit * 100.0},
            {"depth_mm", optional(v.depth_used)},
            {"height_mm", optional(v.height)},
            {"next_height_mm", optional(v.next_height)},
            {"crossing_height_mm", optional(v.crossing)},
            {"lo_mm", optional(v.low)},
            {"hi_mm", optional(v.high)},
            {"status", wordOf(v.status())},
            {"used_runs", labelsOf(bench, v.used())},
            {"reason", english(v.reason, LengthUnit::Mm)},
            {"doubts", englishOf(v.doubts)},
            {"evidence", evidenceJson(v)}};
}

/// What files asked to be imported hold, before anything is stored.
struct Incoming {
    Bench description;
    MergeReport report;
    RowMerge readings{{}, report};
    int means = 0;  ///< that others published
    int spectra = 0;

    bool described() const {
        return !description.title.empty() || !description.runs.empty() || !description.spectra.empty();
    }
};

Expected<bool> addRings(const std::string& name, const DelimitedText& text, Incoming& incoming) {
    auto rings = readRings(text);
    if (!rings.problems.empty()) return tl::make_unexpected(firstOf(name, rings.problems));
    if (rings.means == 0) return problem(name, verbatim("holds no mean"));
    if (incoming.described())
        return problem(name, verbatim("others' means are imported by themselves; give one such file"));
    incoming.description = std::move(rings.bench);
    incoming.means = rings.means;
    return true;
}

/// Whether bytes begin as a file of spectra does.
bool looksLikeSpectra(std::string_view bytes) {
    const auto begin = bytes.find_first_not_of(" \t\r\n\xEF\xBB\xBF");
    if (begin == std::string_view::npos) return false;
    const auto text = bytes.substr(begin, 12);
    return text.starts_with("##") || text.starts_with("<") || text.starts_with("wavelength") ||
           text.starts_with("nm,");
}

/// Spectra of the fixture that was named, and of the channel, or of one called as the spectrum is.
Expected<bool> addSpectra(const std::string& name, std::string_view bytes, const ImportQuestion& question,
                          Incoming& incoming) {
    if (question.sheet.fixture.empty())
        return problem(name, verbatim("is a spectrum: whose? give --fixture NAME"));
    const auto spectra = readSpectra(bytes);
    if (!spectra) return tl::make_unexpected(inFile(name, spectra.error()));
    auto& bench = incoming.description;
    if (bench.fixtures.empty()) {
        Fixture fixture;
        fixture.id = -1;
        fixture.name = question.sheet.fixture;
        bench.fixtures.push_back(std::move(fixture));
    }
    auto& fixture = bench.fixtures.front();
    if (fixture.name != question.sheet.fixture)
        return problem(name, verbatim("is a spectrum; give spectra without a bench description"));
    for (const auto& one : *spectra) {
        SpectrumRecord record;
        record.id = -1 - static_cast<Id>(bench.spectra.size()) - 1;
        record.name = one.name.empty() ? QFileInfo(path(name)).completeBaseName().toStdString() : one.name;
        record.fixture = fixture.id;
        record.scale = one.scale;
        record.spectrum = one.spectrum();
        if (!question.channel.empty()) {
            if (fixture.channels.empty())
                fixture.channels.push_back({-1'000'000, question.channel, {}, {}, {}, {}});
            record.channel = fixture.channels.front().id;
        }
        bench.spectra.push_back(std::move(record));
        ++incoming.spectra;
    }
    return true;
}

Expected<bool> addTable(const std::string& name, const ImportQuestion& question, Incoming& incoming) {
    auto& merge = incoming.readings;
    auto bytes = bytesOf(name);
    if (!bytes) return tl::make_unexpected(bytes.error());
    if (looksLikeSpreadsheet(*bytes)) {
        bytes = tableOfSpreadsheet(*bytes);
        if (!bytes) return tl::make_unexpected(inFile(name, bytes.error()));
    }
    if (looksLikeSpectra(*bytes)) return addSpectra(name, *bytes, question, incoming);
    const auto head = splitDelimited(std::string_view(*bytes).substr(0, bytes->find('\n')));
    if (head && looksLikeRings(*head)) {
        const auto whole = splitDelimited(*bytes);
        if (!whole) return problem(name, whole.error().what);
        return addRings(name, *whole, incoming);
    }
    if (head && looksLikeReadings(*head)) return addReadings(name, *bytes, merge);
    const auto text = splitDelimited(*bytes);
    if (!text || looksLikeReadings(*text)) return addReadings(name, *bytes, merge);
    auto answers = question.sheet;
    if (answers.run.empty()) answers.run = QFileInfo(path(name)).completeBaseName().toStdString();
    const auto rows = rowsOfSheet(readPlaneSheet(*text, question.sheet_unit), answers);
    if (!rows) return tl::make_unexpected(firstOf(name, rows.error()));
    for (const auto& row : *rows) merge.add(row);
    return true;
}

Expected<bool> addDescription(const std::string& name, std::string_view bytes, Incoming& incoming) {
    auto bench = readBench(bytes);
    if (!bench)
        return problem(name + (bench.error().where.empty() ? "" : ", " + bench.error().where),
                       bench.error().what);
    if (incoming.described()) return problem(name, verbatim("is the second bench description; give one"));
    incoming.description = std::move(*bench);
    return true;
}

/// The bench and its readings out of a published data package.
Expected<bool> addPackage(const std::string& name, std::string_view bytes, Incoming& incoming) {
    const auto package = readDataPackage(bytes);
    if (!package) return tl::make_unexpected(inFile(name, package.error()));
    if (const auto done = addDescription(name, package->description, incoming); !done) return done;
    return addReadings(name, package->readings, incoming.readings);
}

Expected<bool> readInto(const std::string& name, const ImportQuestion& question, Incoming& incoming) {
    const auto suffix = QFileInfo(path(name)).suffix().toLower();
    if (suffix != QLatin1String("json") && suffix != QLatin1String("zip"))
        return addTable(name, question, incoming);
    const auto bytes = bytesOf(name);
    if (!bytes) return tl::make_unexpected(bytes.error());
    return suffix == QLatin1String("zip") ? addPackage(name, *bytes, incoming)
                                          : addDescription(name, *bytes, incoming);
}

}  // namespace

LengthUnit unitFrom(const std::string& name) {
    if (name == "mm") return LengthUnit::Mm;
    return name == "in" ? LengthUnit::Inch : LengthUnit::Cm;
}

Expected<Band> bandFrom(const std::string& text) {
    const auto colon = text.find(':');
    const auto low = parseNumber(text.substr(0, colon));
    const auto high = colon == std::string::npos ? std::nullopt : parseNumber(text.substr(colon + 1));
    if (!low || !high || *low < 0.0 || *high < *low)
        return problem("--band", verbatim("\"" + text + "\" is not LO:HI with 0 ≤ LO ≤ HI"));
    return Band{Ppfd(*low), Ppfd(*high)};
}

Expected<Output> stats(const std::string& file, const std::optional<Band>& band) {
    const auto bench = benchOfFile(file);
    if (!bench) return tl::make_unexpected(bench.error());
    Json runs = Json::array();
    std::string text;
    for (const auto& run : bench->runs) {
        Json planes = Json::array();
        text +=
            fmt::format("{}, {} at {:g} mm\n", run.label, nameOf(*bench, run.fixture), run.height.value());
        for (const auto& plane : run.planes) {
            planes.push_back(planeJson(plane, band));
            text += planeText(plane, band);
        }
        runs.push_back({{"run", run.label},
                        {"fixture", nameOf(*bench, run.fixture)},
                        {"height_mm", run.height.value()},
                        {"planes", planes}});
    }
    return Output{jsonText(Json{{"runs", runs}}, 2), text};
}

namespace {

Json schoolJson(const Bench& bench, const Sweep& sweep, const SchoolVerdict& verdict) {
    Json evidence = Json::array();
    for (const auto& row : verdict.evidence)
        evidence.push_back({{"height_mm", row.height.value()},
                            {"figure", row.figure},
                            {"words", english(row.words, LengthUnit::Mm)}});
    return {{"school", wordOf(verdict.school)},
            {"fixture", nameOf(bench, sweep.configuration.fixture)},
            {"configuration", configurationName(bench, sweep.configuration)},
            {"height_mm", optional(verdict.height)},
            {"crossing_height_mm", optional(verdict.crossing)},
            {"lo_mm", optional(verdict.low)},
            {"hi_mm", optional(verdict.high)},
            {"status", wordOf(verdict.status())},
            {"used_runs", labelsOf(bench, verdict.used())},
            {"reason", english(verdict.reason, LengthUnit::Mm)},
            {"evidence", evidence}};
}

std::string schoolText(const std::string& school, const std::optional<Millimetre>& height,
                       const std::string& reason) {
    return fmt::format("  {:<14}{:<14}{}\n", school,
                       height ? fmt::format("{:g} mm", height->value()) : "cannot speak", reason);
}

/// The maker's claim of a fixture file for all fixtures of a readings file.
Expected<bool> addClaim(Bench& bench, const std::string& file) {
    const auto bytes = bytesOf(file, limits::kJsonBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    const auto described = readFixtureFile(*bytes);
    if (!described) return problem(file + ", " + described.error().where, described.error().what);
    for (auto& fixture : bench.fixtures) {
        fixture.claimed_height_low = described->fixture.claimed_height_low;
        fixture.claimed_height_high = described->fixture.claimed_height_high;
    }
    return true;
}

}  // namespace

Expected<Output> height(const HeightQuestion& question) {
    HeightSchool asked{};
    if (!question.school.empty() && !readWord(question.school, asked))
        return problem(
            "--school",
            verbatim("\"" + question.school +
                     "\" is not a school: spill-limit, flattest, band-fill, peak-cap, makers-range"));
    SchoolOptions options;
    options.spill.limit = question.limit_pct / 100.0;
    if (question.depth_mm) options.spill.depth = Millimetre(*question.depth_mm);
    if (const auto wrong = options.spill.invalid()) return problem("--" + wrong->where, wrong->what);
    if (question.band) options.band = *question.band;
    if (question.ceiling) options.ceiling = Ppfd(*question.ceiling);
    auto bench = benchOfFile(question.file);
    if (!bench) return tl::make_unexpected(bench.error());
    if (!question.fixture.empty())
        if (const auto done = addClaim(*bench, question.fixture); !done)
            return tl::make_unexpected(done.error());
    Json schools = Json::array();
    std::string text;
    for (const auto& sweep : sweepsOf(*bench)) {
        text += configurationName(*bench, sweep.configuration) + "\n";
        for (const auto& school : heightSchools(*bench, sweep, options)) {
            if (!question.school.empty() && school.school != asked) continue;
            if (school.school == HeightSchool::SpillLimit)
                schools.push_back(verdictJson(*bench, sweep, spillLimit(*bench, sweep, options.spill)));
            else
                schools.push_back(schoolJson(*bench, sweep, school));
            text += schoolText(wordOf(school.school), school.height, english(school.reason, LengthUnit::Mm));
        }
    }
    return Output{jsonText(Json{{"schools", schools}}, 2), text};
}

namespace {

/// Several may want to make it at once: one does, the others go on with it.
Expected<std::unique_ptr<Project>> openOrMake(const QString& target) {
    if (QFile::exists(target)) return Project::open(target);
    auto made = Project::create(target, QFileInfo(target).completeBaseName());
    return !made && QFile::exists(target) ? Project::open(target) : std::move(made);
}

}  // namespace

Expected<Output> importFiles(const ImportQuestion& question) {
    const auto& target = question.project;
    Incoming incoming;
    for (const auto& file : question.files)
        if (const auto done = readInto(file, question, incoming); !done)
            return tl::make_unexpected(done.error());
    auto project = openOrMake(path(target));
    if (!project) return tl::make_unexpected(project.error());
    const auto report =
        (*project)->importReadings(incoming.description, incoming.readings.finish(), incoming.report,
                                   QFileInfo(path(question.files.front())).fileName());
    if (!report) return problem(target, verbatim(english(report.error())));
    const Json json{{"project", target},
                    {"added", report->added},
                    {"already_there", report->already_there},
                    {"superseding", report->superseding},
                    {"read_by_others", incoming.means},
                    {"spectra", incoming.spectra}};
    if (incoming.spectra > 0 && report->added == 0)
        return Output{jsonText(json, 2), fmt::format("{} spectra added\n", incoming.spectra)};
    if (incoming.means > 0)
        return Output{jsonText(json, 2), fmt::format("{} means that others read added\n", incoming.means)};
    return Output{jsonText(json, 2),
                  fmt::format("{} readings added, {} were there already, {} replace an earlier value\n",
                              report->added, report->already_there, report->superseding)};
}

Expected<Output> exportProject(const std::string& source, const std::string& folder) {
    const auto project = Project::look(path(source));
    if (!project) return tl::make_unexpected(project.error());
    const auto& bench = (*project)->bench();
    const auto readings = readingCount(bench);
    if (const auto done = writeEdition(path(folder), dataOf(bench)); !done)
        return tl::make_unexpected(done.error());
    const Json json{{"folder", folder}, {"files", {"readings.csv", "bench.json"}}, {"readings", readings}};
    return Output{jsonText(json, 2),
                  fmt::format("{} readings in {}/readings.csv, the bench in bench.json\n", readings, folder)};
}

Expected<Output> check(const std::string& name) {
    const auto project = Project::look(path(name));
    if (!project) return tl::make_unexpected(project.error());
    if (const auto faults = (*project)->faults(); !faults.empty()) {
        const auto more =
            faults.size() == 1 ? std::string() : fmt::format(" (and {} more)", faults.size() - 1);
        return problem(name, verbatim("is damaged: " + english(faults[0]) + more));
    }
    const auto& bench = (*project)->bench();
    std::size_t planes = 0;
    for (const auto& run : bench.runs) planes += run.planes.size();
    const auto readings = readingCount(bench);
    const Json json{{"project", name},
                    {"integrity", "ok"},
                    {"schema_version", (*project)->format()},
                    {"title", bench.title},
                    {"tanks", bench.tanks.size()},
                    {"fixtures", bench.fixtures.size()},
                    {"runs", bench.runs.size()},
                    {"planes", planes},
                    {"readings", readings}};
    return Output{
        jsonText(json, 2),
        fmt::format("{}: sound, format {}, {} fixtures, {} runs, {} planes, {} readings\n", name,
                    (*project)->format(), bench.fixtures.size(), bench.runs.size(), planes, readings)};
}

}  // namespace glumet::cli
