#include "formats/bench_json.h"

#include <map>
#include <set>

#include "core/bench/bench_rules.h"
#include "core/spectrum/spectral_sample.h"
#include "formats/described_json.h"

namespace glumet {
namespace {

using described::Context;
using described::Fault;
using Json = described::Json;

constexpr const char* kName = "glumet bench";

/// Checks stand below their run; a run without any has no list.
void writeChecks(Json& run, const Bench& bench, Id id, const Context& context) {
    for (const auto& check : bench.checks) {
        if (check.run != id) continue;
        auto& json = run["checks"].emplace_back();
        described::write(json, check, context);
        json.erase("run");
    }
}

void readChecks(const Json& run, Bench& bench, Id id, Context& context) {
    if (!run.contains("checks")) return;
    for (auto json : run.at("checks")) {
        json["run"] = "";
        auto& check = bench.checks.emplace_back();
        described::read(json, check, context);
        check.id = 0;
        check.run = id;
    }
}

// Brings a description of an earlier format to the keys of this one; what is merely missing has its default.

/// Up to format 3 a method held the band alone.
void upgradeGoal(Json& method) {
    if (method.contains("goal")) return;
    Json goal;
    described::write(goal, Goal{}, Context{});
    for (const char* key : {"band_low_umol_m2_s", "band_high_umol_m2_s"}) goal[key] = method.at(key);
    method["goal"] = goal;
}

/// Up to format 4 a run's preset was a text, and no fixture listed its own.
void upgradePresets(Json& json) {
    std::map<std::string, std::set<std::string>> known;
    for (auto& fixture : json.at("fixtures")) fixture["presets"] = Json::array();
    for (const auto& run : json.at("runs")) {
        const auto name = run.at("preset").get<std::string>();
        const auto of = run.at("fixture").get<std::string>();
        if (name.empty() || !known[of].insert(name).second) continue;
        for (auto& fixture : json.at("fixtures"))
            if (fixture.at("name") == of)
                fixture["presets"].push_back({{"name", name}, {"levels", Json::array()}});
    }
}

/// Up to format 8 a channel's spectrum was a text of its own.
void upgradeSpectra(Json& json) {
    for (auto& fixture : json.at("fixtures")) {
        if (!fixture.contains("channel_list")) continue;
        for (auto& channel : fixture.at("channel_list")) {
            const auto sample = parseSpectralSample(channel.value("spectrum", ""));
            if (!sample) continue;
            SpectrumRecord record;
            record.spectrum = spectrumOf(*sample);
            Bench none;
            Context context;
            context.bench = &none;
            auto& row = json["spectra"].emplace_back();
            described::write(row, record, context);
            row["name"] = row["channel"] = channel.at("name");
            row["fixture"] = fixture.at("name");
        }
    }
}

void upgrade(Json& json, int format) {
    if (format < 4) upgradeGoal(json.at("method"));
    if (format < 5) upgradePresets(json);
    if (format < 9) upgradeSpectra(json);
}

Bench benchOf(Json json) {
    if (json.at("format").get<std::string>() != kName)
        throw Fault{"format", say(GLUMET_SAY("Core", "is not a Glumet bench description"))};
    Bench bench;
    Context context;
    context.bench = &bench;
    context.format = json.at("version").get<int>();
    if (context.format > kBenchFormat)
        throw Fault{"version", say(GLUMET_SAY("Core", "was written by a newer Glumet"))};
    upgrade(json, context.format);
    bench.title = json.at("title").get<std::string>();
    described::read(json.at("method"), bench.method, context);
    const auto& lists = entityType<Bench>();
    for (const auto& list : lists.parts) described::readPart(json, lists, &bench, list, context);
    for (auto& fixture : bench.fixtures) linkPresets(fixture);
    std::size_t at = 0;
    for (const auto& run : json.at("runs")) readChecks(run, bench, bench.runs.at(at++).id, context);
    return bench;
}

}  // namespace

std::string writeBench(const Bench& given) {
    Bench bench = given;
    for (auto& run : bench.runs)
        for (auto& plane : run.planes) plane.readings.clear();
    Context context;
    context.bench = &bench;
    Json json{{"format", kName}, {"version", kBenchFormat}, {"title", bench.title}};
    described::write(json["method"], bench.method, context);
    for (const auto& list : entityType<Bench>().parts) described::writePart(json, &bench, list, context);
    std::size_t at = 0;
    for (auto& run : json["runs"]) writeChecks(run, bench, bench.runs[at++].id, context);
    return jsonText(json, 2) + "\n";
}

Expected<Bench> readBench(std::string_view bytes) {
    auto json = parsedJson(bytes);
    if (!json) return tl::make_unexpected(json.error());
    try {
        auto bench = benchOf(std::move(*json));
        if (auto faults = faultsOf(bench, 1); !faults.empty())
            return tl::make_unexpected(std::move(faults[0]));
        return bench;
    } catch (const Fault& fault) {
        return problem(fault.key, fault.what);
    } catch (const nlohmann::json::exception& error) {
        // "[json.exception.out_of_range.403] key 'x' not found": the part after the bracket is the sentence.
        const std::string text = error.what();
        return problem("",
                       verbatim(text.substr(text.find("] ") == std::string::npos ? 0 : text.find("] ") + 2)));
    }
}

}  // namespace glumet
