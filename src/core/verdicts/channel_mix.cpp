#include "core/verdicts/channel_mix.h"

#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/fit/described_model.h"
#include "core/plane/plane_statistics.h"
#include "core/spectrum/bands.h"
#include "core/spectrum/generic_spectra.h"
#include "core/spectrum/pure_water.h"

namespace glumet {
namespace {

constexpr double kReadThereMm = 5.0;
constexpr int kCommonPlaces = 4;  // of a dimming curve: readings that both levels have

bool standsFor(const SpectrumRecord& record, Id fixture, Id channel) {
    return record.fixture == fixture && record.channel == channel && record.test.empty();
}

/// Which of two speaks: what was read before files, both before what was assumed; then the later.
bool better(const SpectrumRecord& a, const SpectrumRecord& b) {
    if (a.origin != b.origin) return a.origin < b.origin;
    if (a.depth.value_or(Millimetre(0)) != b.depth.value_or(Millimetre(0)))
        return a.depth.value_or(Millimetre(0)) < b.depth.value_or(Millimetre(0));
    return a.time != b.time ? a.time > b.time : a.id > b.id;
}

/// The same but for the preset and the level.
bool sameSetting(const Run& a, const Run& b) {
    return a.fixture == b.fixture && a.accessory == b.accessory && a.tank == b.tank && a.meter == b.meter &&
           a.fixtures == b.fixtures && a.placement == b.placement && a.water == b.water &&
           a.turn_deg == b.turn_deg && a.read_by == b.read_by &&
           std::abs((a.height - b.height).value()) <= kSamePointMm;
}

double levelOf(const Run& run) { return run.level_pct.value_or(100.0) / 100.0; }

struct PlacedValue {
    Millimetre depth;
    const Reading* reading;
};

std::vector<PlacedValue> placedValuesOf(const Run& run) {
    std::vector<PlacedValue> all;
    for (const auto& plane : run.planes)
        for (const auto& reading : plane.readings)
            if (reading.counts()) all.push_back({plane.depth, &reading});
    return all;
}

/// A run's value at a place, at full level.
std::optional<double> valueAt(const Run& run, const PlacedValue& place) {
    const auto* plane = planeAt(run, place.depth);
    if (plane == nullptr || levelOf(run) <= 0.0) return std::nullopt;
    for (const auto& reading : plane->readings)
        if (reading.counts() && std::abs((reading.x - place.reading->x).value()) <= kSamePlaceMm &&
            std::abs((reading.y - place.reading->y).value()) <= kSamePlaceMm)
            return reading.mean.value() / levelOf(run);
    return std::nullopt;
}

/// A run of that channel alone that has a value wherever `run` has one, in its order.
struct ReadAlone {
    const Run* run = nullptr;
    std::vector<double> points;
};
ReadAlone readAlone(const Bench& bench, const Run& run, const std::vector<PlacedValue>& places,
                    const Fixture& fixture, Id channel) {
    ReadAlone found;
    for (const auto& other : bench.runs) {
        const auto* sole = soleChannel(fixture, other.preset);
        if (sole == nullptr || sole->id != channel || !sameSetting(other, run)) continue;
        // The brightest says most of full level, of equal ones the later.
        if (found.run != nullptr && levelOf(other) < levelOf(*found.run)) continue;
        ReadAlone out{&other, {}};
        for (const auto& place : places) {
            const auto value = valueAt(other, place);
            if (!value) break;
            out.points.push_back(*value);
        }
        if (out.points.size() == places.size()) found = std::move(out);
    }
    return found;
}

double sum(const std::vector<double>& values) {
    double out = 0.0;
    for (const double value : values) out += value;
    return out;
}

/// Levels of the run: of its preset, dimmed by its own level.
std::vector<double> levelsOf(const Fixture& fixture, const Run& run) {
    const auto* preset = byId(fixture.presets, run.preset);
    std::vector<double> levels(fixture.channels.size(), 1.0);
    if (preset != nullptr && !preset->levels.empty())
        for (std::size_t c = 0; c < levels.size(); ++c) {
            levels[c] = 0.0;
            for (const auto& level : preset->levels)
                if (level.channel == fixture.channels[c].id) levels[c] = level.level_pct / 100.0;
        }
    for (double& level : levels) level *= levelOf(run);
    return levels;
}

bool knownAlone(const ChannelOfMix& channel) {
    return channel.basis == ChannelBasis::Read || channel.basis == ChannelBasis::Modelled;
}

/// What channels that were not read alone share of what the run has beside those that were.
void shareOut(RunMix& out, const Fixture& fixture, const std::vector<double>& read) {
    std::vector<std::size_t> open;
    bool stated = true;
    for (std::size_t c = 0; c < out.channels.size(); ++c)
        if (!knownAlone(out.channels[c]) && out.set_to[c] > 0.0) {
            open.push_back(c);
            stated = stated && fixture.channels[c].flux_share.has_value();
        }
    if (open.empty()) return;
    double weights = 0.0;
    for (const auto c : open) weights += out.set_to[c] * (stated ? *fixture.channels[c].flux_share : 1.0);
    for (const auto c : open) {
        const double share = weights > 0.0 ? (stated ? *fixture.channels[c].flux_share : 1.0) / weights : 0.0;
        out.channels[c].basis = stated ? ChannelBasis::Shares : ChannelBasis::Even;
        for (std::size_t i = 0; i < read.size(); ++i) {
            double left = read[i];
            for (std::size_t other = 0; other < out.channels.size(); ++other)
                if (knownAlone(out.channels[other]))
                    left -= out.set_to[other] * out.channels[other].points[i];
            out.channels[c].points.push_back(std::max(0.0, left) * share);
        }
    }
}

/// What a channel draws at full level: read with it alone, else its share of the rating, else of the light.
void giveWatts(MixChannel& channel, ChannelOfMix& of, const Fixture& fixture, const Channel& described,
               const Run* alone, double light_share) {
    if (alone != nullptr)
        if (const auto watt = alone->power(); watt && levelOf(*alone) > 0.0) {
            channel.watt = watt->value() / levelOf(*alone);
            return;
        }
    if (!fixture.rated_power) return;
    of.watt_shared = true;
    channel.watt = fixture.rated_power->value() * described.power_share.value_or(light_share);
}

/// The preset that is that channel alone.
const Preset* soleOf(const Fixture& fixture, Id channel) {
    for (const auto& preset : fixture.presets)
        if (const auto* sole = soleChannel(fixture, preset.id); sole != nullptr && sole->id == channel)
            return &preset;
    return nullptr;
}

/// Marks the chosen plane's points among all; what was read at each.
std::vector<double> takePlaces(RunMix& out, const std::vector<PlacedValue>& places, const Plane& plane) {
    std::vector<double> read;
    for (const auto& place : places) {
        const bool here = place.depth == plane.depth;
        if (here && out.to == 0) out.from = read.size();
        read.push_back(place.reading->mean.value());
        if (!here) continue;
        out.to = read.size();
        if (const auto cell =
                plane.grid ? cellAt(*plane.grid, place.reading->x, place.reading->y) : std::nullopt)
            out.cells.push_back(*cell);
    }
    if (out.cells.size() != out.to - out.from) out.cells.clear();
    return read;
}

/// The channels as the mixer takes them, by their means on the chosen plane.
std::vector<MixChannel> mixedChannels(const Bench& bench, const Run& run, const Fixture& fixture, RunMix& of,
                                      const std::vector<const Run*>& alone) {
    std::vector<MixChannel> mixed;
    double all_light = 0.0;
    for (std::size_t c = 0; c < of.channels.size(); ++c) {
        const auto& channel = fixture.channels[c];
        auto standing = spectrumOf(bench, fixture.id, channel);
        MixChannel one;
        one.name = channel.name;
        // A spectrum that was read under water has passed it already.
        const bool in_water = standing.record != nullptr && standing.record->depth.has_value();
        one.spectrum = of.water_m > 0.0 && !in_water ? afterPureWater(standing.spectrum, of.water_m)
                                                     : std::move(standing.spectrum);
        one.assumed = standing.assumed;
        for (auto i = of.from; i < of.to; ++i)
            one.ppfd += of.channels[c].points[i] / static_cast<double>(of.to - of.from);
        all_light += one.ppfd;
        if (const auto* preset = soleOf(fixture, channel.id))
            if (auto curve = dimmingOf(bench, run, preset->id)) one.dimming = std::move(*curve);
        mixed.push_back(std::move(one));
    }
    for (std::size_t c = 0; c < mixed.size(); ++c)
        giveWatts(mixed[c], of.channels[c], fixture, fixture.channels[c], alone[c],
                  all_light > 0.0 ? mixed[c].ppfd / all_light : 0.0);
    return mixed;
}

/// Whether a cell is the middle one of so many, or one of the two.
bool isMiddle(int at, int count) { return std::abs(2 * at + 1 - count) <= 1; }

/// The light of the cells nearest to the plan's middle; of all points where there are no cells.
Tristimulus middleOf(const RunMix& mix, const std::vector<Tristimulus>& lights) {
    int columns = 0;
    int rows = 0;
    for (const auto cell : mix.cells) {
        columns = std::max(columns, cell.column + 1);
        rows = std::max(rows, cell.row + 1);
    }
    Tristimulus middle;
    for (std::size_t i = 0; i < lights.size(); ++i)
        if (mix.cells.empty() || (isMiddle(mix.cells[i].column, columns) && isMiddle(mix.cells[i].row, rows)))
            middle = middle + lights[i];
    return middle;
}

}  // namespace

StandingSpectrum spectrumOf(const Bench& bench, Id fixture, const Channel& channel) {
    StandingSpectrum out;
    for (const auto& record : bench.spectra)
        if (standsFor(record, fixture, channel.id) && (out.record == nullptr || better(record, *out.record)))
            out.record = &record;
    if (out.record != nullptr) {
        out.spectrum = out.record->spectrum;
        out.assumed = out.record->origin == SpectrumOrigin::Assumed;
        return out;
    }
    if (const auto bins = usualBins(channel.name); !bins.empty()) {
        out.spectrum = ledSpectrum(bins);
        out.assumed = true;
    }
    return out;
}

std::vector<const Sweep*> channelSweeps(const Bench& bench, const std::vector<Sweep>& sweeps,
                                        const Configuration& of) {
    std::vector<const Sweep*> out;
    const auto* fixture = byId(bench.fixtures, of.fixture);
    if (fixture == nullptr) return out;
    for (const auto& sweep : sweeps) {
        const auto& c = sweep.configuration;
        if (c.fixture == fixture->id && c.fixtures == 1 && c.accessory == of.accessory &&
            soleChannel(*fixture, c.preset) != nullptr)
            out.push_back(&sweep);
    }
    return out;
}

std::vector<double> modelledPoints(const Bench& bench, const Run& run, const FitResult& fit) {
    std::vector<double> out;
    auto model = DescribedModel::fitted(bench, run.id, fit);
    if (!model || levelOf(run) <= 0.0) return out;
    for (const auto& place : placedValuesOf(run)) {
        const Grid point{{place.reading->x.value()}, {place.reading->y.value()}};
        out.push_back(model->onGrid(point, place.depth).front().value() / levelOf(run));
    }
    return out;
}

Expected<RunMix> mixOf(const Bench& bench, const Run& run, const Plane& plane,
                       const ModelledChannels& modelled) {
    const auto* fixture = byId(bench.fixtures, run.fixture);
    if (fixture == nullptr || fixture->channels.empty())
        return problem("channels", say(GLUMET_SAY("Core", "the fixture has no channels described")));
    RunMix out;
    const auto places = placedValuesOf(run);
    const auto read = takePlaces(out, places, plane);
    if (out.to == out.from)
        return problem("readings", say(GLUMET_SAY("Core", "the plane has no reading yet")));
    out.set_to = levelsOf(*fixture, run);
    if (run.water != WaterState::Dry) out.water_m = plane.depth.value() / 1000.0;
    std::vector<const Run*> alone;
    for (const auto& channel : fixture->channels) {
        auto found = readAlone(bench, run, places, *fixture, channel.id);
        auto basis = found.run != nullptr ? ChannelBasis::Read : ChannelBasis::Even;
        const auto at = out.channels.size();
        if (found.run == nullptr && at < modelled.size() && modelled[at].size() == places.size()) {
            basis = ChannelBasis::Modelled;
            found.points = modelled[at];
        }
        out.channels.push_back({channel.id, channel.name, basis, false, std::move(found.points)});
        alone.push_back(found.run);
    }
    shareOut(out, *fixture, read);
    for (auto& channel : out.channels)
        if (channel.points.empty()) channel.points.assign(read.size(), 0.0);
    if (sum(read) > 0.0) out.together = sum(pointsAt(out, out.set_to)) / sum(read);
    // Together they are the run as it was read, so that all stages say the same of it.
    if (out.together > 0.0)
        for (auto& channel : out.channels)
            for (double& point : channel.points) point /= out.together;
    out.mix = Mix(mixedChannels(bench, run, *fixture, out, alone), bandsOr(bench.method.bands));
    return out;
}

std::vector<double> pointsAt(const RunMix& mix, const std::vector<double>& levels) {
    std::vector<double> out;
    for (std::size_t c = 0; c < mix.channels.size(); ++c) {
        const auto& channel = mix.channels[c];
        if (out.empty()) out.assign(channel.points.size(), 0.0);
        const double output =
            mix.mix.channels().empty() ? levels[c] : mix.mix.channels()[c].dimming.at(levels[c]);
        for (std::size_t i = 0; i < channel.points.size() && i < out.size(); ++i)
            out[i] += output * channel.points[i];
    }
    return out;
}

double shareInBand(const RunMix& mix, const std::vector<double>& levels, const Band& band) {
    const auto points = pointsAt(mix, levels);
    if (points.empty()) return 0.0;
    const auto inside = std::count_if(points.begin(), points.end(), [&](double ppfd) {
        return ppfd >= band.low.value() && ppfd <= band.high.value();
    });
    return static_cast<double>(inside) / static_cast<double>(points.size());
}

std::vector<double> levelsOf(const RunMix& mix, const Preset& preset) {
    std::vector<double> levels(mix.channels.size(), preset.levels.empty() ? 1.0 : 0.0);
    for (const auto& level : preset.levels)
        for (std::size_t c = 0; c < levels.size(); ++c)
            if (mix.channels[c].channel == level.channel) levels[c] = level.level_pct / 100.0;
    return levels;
}

PlaneColours planeColours(const RunMix& mix, const std::vector<double>& levels) {
    PlaneColours out;
    if (!mix.mix.at(levels).light) return out;
    if (std::none_of(mix.channels.begin(), mix.channels.end(), knownAlone)) return out;
    std::vector<Tristimulus> lights;
    for (auto i = mix.from; i < mix.to; ++i)
        lights.push_back(stateAt(mix, levels, i).light.value_or(Tristimulus{}));
    const auto middle = middleOf(mix, lights);
    if (middle.dark()) return out;
    const auto from = chromaticityOf(middle);
    for (const auto& light : lights) {
        out.colours.push_back(light.dark() ? from : chromaticityOf(light));
        out.distances.push_back(colourDistance(out.colours.back(), from));
    }
    return out;
}

MixState stateAt(const RunMix& mix, const std::vector<double>& levels, std::size_t point) {
    std::vector<double> ppfds;
    for (std::size_t c = 0; c < mix.channels.size(); ++c)
        ppfds.push_back(mix.mix.channels()[c].dimming.at(levels[c]) * mix.channels[c].points[point]);
    return mix.mix.ofLight(ppfds);
}

const SpectrumRecord* spectrumReadAt(const Bench& bench, const Run& run, Millimetre depth, Millimetre x,
                                     Millimetre y) {
    const auto near = [](const std::optional<Millimetre>& a, Millimetre b) {
        return a && std::abs((*a - b).value()) <= kReadThereMm;
    };
    const SpectrumRecord* found = nullptr;
    for (const auto& record : bench.spectra) {
        const bool here = record.fixture == run.fixture && record.channel == 0 && record.tank == run.tank &&
                          record.tank != 0 && near(record.height, run.height) && near(record.depth, depth) &&
                          near(record.x, x) && near(record.y, y);
        if (here && (found == nullptr || record.time >= found->time)) found = &record;
    }
    return found;
}

std::optional<DimmingCurve> dimmingOf(const Bench& bench, const Run& like, Id preset) {
    std::vector<const Run*> runs;
    const Run* full = nullptr;
    for (const auto& run : bench.runs) {
        if (run.preset != preset || !sameSetting(run, like) || !run.level_pct) continue;
        runs.push_back(&run);
        if (levelOf(run) >= 1.0) full = &run;
    }
    if (full == nullptr || runs.size() < 2) return std::nullopt;
    std::vector<std::pair<double, double>> readings{{1.0, 1.0}};
    for (const auto* run : runs) {
        if (levelOf(*run) >= 1.0) continue;
        double here = 0.0;
        double at_full = 0.0;
        int common = 0;
        for (const auto& place : placedValuesOf(*run))
            if (const auto value = valueAt(*full, place)) {
                here += place.reading->mean.value();
                at_full += *value;
                ++common;
            }
        if (common >= kCommonPlaces && at_full > 0.0) readings.emplace_back(levelOf(*run), here / at_full);
    }
    return dimmingCurve(std::move(readings));
}

}  // namespace glumet
