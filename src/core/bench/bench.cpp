#include "core/bench/bench.h"

#include <algorithm>

namespace glumet {

const Run& Bench::run(Id id) const {
    static const Run gone;
    const auto* found = byId(runs, id);
    return found == nullptr ? gone : *found;
}

std::size_t readingCount(const Bench& bench) {
    std::size_t count = 0;
    for (const auto& run : bench.runs)
        for (const auto& plane : run.planes) count += plane.readings.size();
    return count;
}

const Preset* presetById(const Bench& bench, Id id) {
    for (const auto& fixture : bench.fixtures)
        if (const auto* preset = byId(fixture.presets, id)) return preset;
    return nullptr;
}

std::string presetName(const Bench& bench, const RunSettings& run) {
    const auto* fixture = byId(bench.fixtures, run.fixture);
    const auto* preset = fixture == nullptr ? nullptr : byId(fixture->presets, run.preset);
    return preset == nullptr ? std::string() : preset->name;
}

Id NewRuns::preset(const Bench& bench, Id fixture, const std::string& name) {
    if (name.empty()) return 0;
    if (const auto* known = byId(bench.fixtures, fixture))
        for (const auto& preset : known->presets)
            if (preset.name == name) return preset.id;
    for (const auto& [of, preset] : presets)
        if (of == fixture && preset.name == name) return preset.id;
    presets.emplace_back(fixture, Preset{-1 - static_cast<Id>(presets.size()), name, {}});
    return presets.back().second.id;
}

}  // namespace glumet
