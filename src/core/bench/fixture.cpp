#include "core/bench/fixture.h"

#include <algorithm>
#include <cctype>

#include "core/base/trimmed.h"

namespace glumet {
namespace {

std::vector<std::string_view> listed(std::string_view names) {
    std::vector<std::string_view> list;
    while (!names.empty()) {
        const auto comma = names.find(',');
        if (const auto name = trimmed(names.substr(0, comma)); !name.empty()) list.push_back(name);
        names = comma == std::string_view::npos ? std::string_view() : names.substr(comma + 1);
    }
    return list;
}

const Preset* presetOf(const Fixture& fixture, Id id) {
    for (const auto& preset : fixture.presets)
        if (preset.id == id) return &preset;
    return nullptr;
}

/// Σ share × level over the channels.
std::optional<double> shareAt(const Fixture& fixture, Id id, std::optional<double> Channel::*share) {
    const auto* preset = presetOf(fixture, id);
    if (preset == nullptr || preset->levels.empty()) return 1.0;
    double sum = 0.0;
    for (const auto& level : preset->levels) {
        const auto channel = std::find_if(fixture.channels.begin(), fixture.channels.end(),
                                          [&](const Channel& c) { return c.id == level.channel; });
        if (level.level_pct == 0.0) continue;
        if (channel == fixture.channels.end() || !((*channel).*share)) return std::nullopt;
        sum += *((*channel).*share) * level.level_pct / 100.0;
    }
    return sum;
}

}  // namespace

bool sameName(std::string_view a, std::string_view b) {
    a = trimmed(a);
    b = trimmed(b);
    return std::equal(a.begin(), a.end(), b.begin(), b.end(), [](char x, char y) {
        return std::tolower(static_cast<unsigned char>(x)) == std::tolower(static_cast<unsigned char>(y));
    });
}

std::string channelNames(const Fixture& fixture) {
    std::string names;
    for (const auto& channel : fixture.channels) names += (names.empty() ? "" : ", ") + channel.name;
    return names;
}

void setChannelNames(Fixture& fixture, std::string_view names) {
    Id next = 0;
    for (const auto& channel : fixture.channels) next = std::min(next, channel.id);
    for (const auto& preset : fixture.presets) next = std::min(next, preset.id);
    std::vector<Channel> channels;
    for (const auto name : listed(names)) {
        const auto same = [&](const Channel& c) { return sameName(c.name, name); };
        if (std::any_of(channels.begin(), channels.end(), same)) continue;
        const auto known = std::find_if(fixture.channels.begin(), fixture.channels.end(), same);
        channels.push_back(known == fixture.channels.end() ? Channel{} : *known);
        channels.back().name = std::string(name);
        if (channels.back().id == 0) channels.back().id = --next;
    }
    fixture.channels = std::move(channels);
    for (auto& preset : fixture.presets)
        std::erase_if(preset.levels, [&](const PresetLevel& level) {
            return std::none_of(fixture.channels.begin(), fixture.channels.end(),
                                [&](const Channel& c) { return c.id == level.channel; });
        });
    linkPresets(fixture);
}

const Channel* soleChannel(const Fixture& fixture, Id id) {
    const auto* preset = presetOf(fixture, id);
    if (preset == nullptr) return nullptr;
    Id only = 0;
    for (const auto& level : preset->levels) {
        if (level.level_pct <= 0.0) continue;
        if (only != 0) return nullptr;
        only = level.channel;
    }
    for (const auto& channel : fixture.channels)
        if (channel.id == only) return &channel;
    return nullptr;
}

void linkPresets(Fixture& fixture) {
    constexpr std::string_view kAlone = " alone";
    for (auto& preset : fixture.presets) {
        if (!preset.levels.empty()) continue;
        std::string_view name = preset.name;
        if (name.ends_with(kAlone)) name.remove_suffix(kAlone.size());
        for (const auto& channel : fixture.channels)
            if (sameName(name, channel.name)) preset.levels = {{0, channel.id, 100.0}};
    }
}

std::optional<double> fluxShare(const Fixture& fixture, Id preset) {
    return shareAt(fixture, preset, &Channel::flux_share);
}

std::optional<double> powerShare(const Fixture& fixture, Id preset) {
    return shareAt(fixture, preset, &Channel::power_share);
}

}  // namespace glumet
