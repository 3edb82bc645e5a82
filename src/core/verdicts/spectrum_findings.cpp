#include "core/verdicts/spectrum_findings.h"

#include <algorithm>
#include <cmath>

#include "core/spectrum/bands.h"
#include "core/spectrum/correction_factor.h"
#include "core/spectrum/generic_spectra.h"
#include "core/spectrum/pure_water.h"
#include "core/spectrum/shape.h"
#include "core/verdicts/spectrum_finding.h"
#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr double kWorthSaying = 0.01;      // of a meter's error
constexpr double kIdleWorthSaying = 0.05;  // of the watts paid for
constexpr double kFadeWorthSaying = 0.03;
constexpr double kTogetherApart = 0.04;
constexpr double kAssumedDoubt = 0.5;
constexpr double kMeasuredDoubt = 0.1;
constexpr double kFarRedShare = 0.03;
constexpr double kRedNm = 660.0;
constexpr double kBlueNm = 450.0;

Figure whole(double value) { return {value, 0}; }
Figure thousandths(double value) { return {value * 1000.0, 1}; }

/// The band that a gap lies in most, with what it holds here and in daylight.
std::optional<Words> gapAgainstDaylight(const Spectrum& light, const SpectralGap& gap,
                                        const std::vector<SpectralBand>& bands) {
    const SpectralBand* most = nullptr;
    double overlap = 0.0;
    for (const auto& band : bands) {
        const double common = std::min(band.to_nm, gap.to_nm) - std::max(band.from_nm, gap.from_nm);
        if (common <= overlap) continue;
        overlap = common;
        most = &band;
    }
    if (most == nullptr) return std::nullopt;
    const auto here = bandShares(light, {*most}).front();
    static const auto day = daylightPhase(5500);
    return Words(say(GLUMET_SAY("Core", "{} holds {} of the photons; daylight has {}."), most->name,
                     Share{here}, Share{bandShares(day, {*most}).front()}))
        .capitalised();
}

void sayCoverage(std::vector<Finding>& out, const Spectrum& light, const std::vector<SpectralBand>& bands) {
    const auto gaps = gapsOf(light);
    if (gaps.empty()) {
        out.push_back(spectrumFact(
            say(GLUMET_SAY("Core", "No gap from 410 to 690 nm")),
            say(GLUMET_SAY("Core", "The blue part is {} nm wide at half its height, {} at a tenth."),
                whole(blueWidth(light, 0.5)), whole(blueWidth(light, 0.1)))));
        return;
    }
    const auto widest = *std::max_element(gaps.begin(), gaps.end(), [](const auto& a, const auto& b) {
        return a.to_nm - a.from_nm < b.to_nm - b.from_nm;
    });
    Words body;
    if (auto words = gapAgainstDaylight(light, widest, bands)) body += *words;
    if (gaps.size() > 1)
        body += Words(sayCounted(GLUMET_SAY_N("Core", "{} gaps in all."), countOf(gaps.size())));
    out.push_back(
        spectrumFact(say(GLUMET_SAY("Core", "A gap at {}–{} nm"), whole(widest.from_nm), whole(widest.to_nm)),
                     std::move(body)));
}

void sayColour(std::vector<Finding>& out, const Spectrum& light, const MixState& state) {
    const auto temperature = temperatureOf(chromaticityOf(*state.light));
    const Figure away{std::abs(temperature.duv), 4};
    const Words side =
        temperature.duv < 0.0 ? say(GLUMET_SAY("Core", "below")) : say(GLUMET_SAY("Core", "above"));
    if (const auto rendering = renderingOf(light)) {
        out.push_back(
            spectrumFact(say(GLUMET_SAY("Core", "White of {} K, renders colours {} of 100"),
                             whole(std::round(temperature.kelvin / 10.0) * 10.0), whole(rendering->general)),
                         say(GLUMET_SAY("Core",
                                        "Ra by CIE 13.3, saturated red (R9) {}; it lies {} {} the black "
                                        "body's locus."),
                             whole(rendering->special[8]), away, side)));
        return;
    }
    out.push_back(spectrumFact(
        say(GLUMET_SAY("Core", "Not a white")),
        temperature.meaningful()
            ? say(GLUMET_SAY("Core",
                             "It lies {} {} the black body's locus (CIE 1960), nearest to {} K: colour "
                             "rendering is defined within 0.0054."),
                  away, side, whole(std::round(temperature.kelvin / 100.0) * 100.0))
            : say(GLUMET_SAY("Core",
                             "It lies {} {} the black body's locus (CIE 1960): a colour temperature would "
                             "mean nothing."),
                  away, side)));
}

void sayFarRed(std::vector<Finding>& out, const Spectrum& light) {
    const double par = parOf(light);
    const double beyond = extendedParOf(light) / par - 1.0;
    if (!(par > 0.0) || beyond < kFarRedShare) return;
    out.push_back(
        spectrumFact(say(GLUMET_SAY("Core", "Far red adds {} to extended PAR"), SignedShare{beyond}),
                     say(GLUMET_SAY("Core", "700–750 nm, which PPFD and most meters do not count."))));
}

void sayWatts(std::vector<Finding>& out, const MixState& state) {
    if (!state.watt || !state.idle_watt) return;
    const double all = *state.watt + *state.idle_watt;
    if (!(all > 0.0) || *state.idle_watt < kIdleWorthSaying * all) return;
    out.push_back(
        spectrumFact(say(GLUMET_SAY("Core", "{} of the watts sleep"), Share{*state.idle_watt / all}),
                     say(GLUMET_SAY("Core",
                                    "{} of {} W are used by this mix; the rest was paid for and is "
                                    "turned down."),
                         whole(*state.watt), whole(all))));
}

/// All channels full, which is what was paid for, against this mix.
void sayAgainstAllOn(std::vector<Finding>& out, const SpectrumQuestion& q, const MixState& state) {
    const auto full = q.mix->mix.at(std::vector<double>(q.levels.size(), 1.0));
    if (!(full.ppfd > 0.0) || std::abs(state.ppfd / full.ppfd - 1.0) < kWorthSaying) return;
    const bool coloured = state.light && full.light;
    const double away =
        coloured ? colourDistance(chromaticityOf(*state.light), chromaticityOf(*full.light)) : 0.0;
    out.push_back(spectrumFact(
        say(GLUMET_SAY("Core", "{} of what all channels full give"), Share{state.ppfd / full.ppfd}),
        coloured ? say(GLUMET_SAY("Core", "Its colour lies Δu'v' {} ×10⁻³ from theirs; {} shows."),
                       thousandths(away), whole(kColourShows * 1000.0))
                 : say(GLUMET_SAY("Core", "Without all spectra its colour cannot be compared."))));
}

void sayMeter(std::vector<Finding>& out, const Bench& bench, const SpectrumQuestion& q, const Spectrum& light,
              const MixState& state) {
    const auto* meter = byId(bench.meters, q.run->meter);
    if (meter == nullptr) return;
    if (meter->response.empty()) {
        auto next = finding(
            FindingKind::Next, say(GLUMET_SAY("Core", "How {} sees colours is not stated"), meter->name),
            say(GLUMET_SAY("Core", "With its response in Bench, this mix gets its correction.")),
            EvidenceView::Bench);
        out.push_back(std::move(next));
        return;
    }
    const auto preset = presetName(bench, *q.run);
    const auto by_response = correctionByResponse(*meter, light, state.assumed, preset);
    if (!by_response) return;
    const double low = by_response->factor - 1.0;
    if (std::abs(low) < kWorthSaying) {
        out.push_back(
            spectrumFact(say(GLUMET_SAY("Core", "The meter tells this mix as it is")),
                         say(GLUMET_SAY("Core", "By its response, within {}."), Share{kWorthSaying})));
        return;
    }
    Words body =
        say(GLUMET_SAY("Core", "By its response and this mix × {}: {}, not {}."),
            Figure{by_response->factor, 3}, Ppfd(state.ppfd * by_response->factor), Ppfd(state.ppfd));
    if (q.band.high > Ppfd(0)) {
        const auto& band = q.band;
        const double by = by_response->factor;
        const Band as_read{band.low / by, band.high / by};
        body += Words(say(GLUMET_SAY("Core", "Then {} lie in the band, not {}."),
                          Share{shareInBand(*q.mix, q.levels, as_read)},
                          Share{shareInBand(*q.mix, q.levels, band)}));
    }
    for (const auto& known : meter->corrections) {
        // Twins were read under the run's own mix.
        if (known.channel != preset || q.levels != q.mix->set_to) continue;
        const double apart = std::abs(known.factor / by_response->factor - 1.0);
        const double reach = 2.0 * std::hypot(known.uncertainty, by_response->uncertainty);
        body += Words(
            apart <= reach
                ? say(GLUMET_SAY("Core", "Readings beside another meter say × {}: the two agree."),
                      Figure{known.factor, 3})
                : say(GLUMET_SAY("Core", "Readings beside another meter say × {}: the two do not agree."),
                      Figure{known.factor, 3}));
    }
    out.push_back(spectrumDoubt(
        low > 0.0
            ? say(GLUMET_SAY("Core", "The meter reads {} low here"), Share{1.0 - 1.0 / by_response->factor})
            : say(GLUMET_SAY("Core", "The meter reads {} high here"), Share{1.0 / by_response->factor - 1.0}),
        std::move(body)));
}

/// What the water has taken at the deepest plane.
void sayWater(std::vector<Finding>& out, const SpectrumQuestion& q) {
    if (q.run->water == WaterState::Dry || q.run->planes.empty()) return;
    const auto depth = q.run->planes.back().depth;
    const double metres = depth.value() / 1000.0;
    const double red = 1.0 - std::exp(-pureWaterAbsorption(kRedNm) * metres);
    if (red < kFadeWorthSaying) return;
    out.push_back(
        spectrumFact(say(GLUMET_SAY("Core", "Red fades first")),
                     say(GLUMET_SAY("Core",
                                    "At {} pure water has taken {} of 660 nm and {} of 450 nm, on the "
                                    "straight way down."),
                         depth, Share{red}, Share{1.0 - std::exp(-pureWaterAbsorption(kBlueNm) * metres)})));
}

void sayBlending(std::vector<Finding>& out, const std::vector<BlendingTest>& tests) {
    for (const auto& test : tests) {
        const auto& all = test.over_time ? test.result.colour_from_mean : test.result.colour_from_centre;
        if (all.empty()) continue;
        const double worst = *std::max_element(all.begin(), all.end());
        const auto body =
            say(GLUMET_SAY("Core", "Δu'v' {} ×10⁻³ in the mean ({}–{}), {} at worst; {} shows."),
                thousandths(test.result.figure.value), thousandths(test.result.figure.low),
                thousandths(test.result.figure.high), thousandths(worst), whole(kColourShows * 1000.0));
        const bool shows = worst > kColourShows;
        const auto title = test.over_time
                               ? (shows ? say(GLUMET_SAY("Core", "{}: the colour moves"), test.name)
                                        : say(GLUMET_SAY("Core", "{}: the colour holds still"), test.name))
                               : (shows ? say(GLUMET_SAY("Core", "{}: the channels show apart"), test.name)
                                        : say(GLUMET_SAY("Core", "{}: the channels blend"), test.name));
        out.push_back(spectrumFact(Words(title).capitalised(), body));
    }
}

void sayBasis(std::vector<Finding>& out, const RunMix& mix, const MixState& state) {
    Listed assumed;
    Listed even;
    Listed modelled;
    for (std::size_t c = 0; c < mix.channels.size(); ++c) {
        if (mix.mix.channels()[c].assumed) assumed.items.push_back(verbatim(mix.channels[c].name));
        if (mix.channels[c].basis == ChannelBasis::Modelled)
            modelled.items.push_back(verbatim(mix.channels[c].name));
        if (mix.channels[c].basis == ChannelBasis::Even && mix.channels.size() > 1)
            even.items.push_back(verbatim(mix.channels[c].name));
    }
    if (!modelled.items.empty())
        out.push_back(spectrumFact(
            say(GLUMET_SAY("Core", "Channels by their fits")),
            say(GLUMET_SAY("Core", "{} were read alone at other heights; here their fits speak."),
                modelled)));
    if (!even.items.empty())
        out.push_back(
            spectrumDoubt(say(GLUMET_SAY("Core", "Nothing tells the channels apart")),
                          say(GLUMET_SAY("Core",
                                         "{} are taken for equal: read each alone once, or state its share "
                                         "of the light in Bench."),
                              even)));
    if (std::abs(mix.together - 1.0) > kTogetherApart)
        out.push_back(
            spectrumDoubt(say(GLUMET_SAY("Core", "The channels do not add up")),
                          say(GLUMET_SAY("Core",
                                         "Read one by one they give {} of what was read with all of them: a "
                                         "supply that holds back, or a setting that was not the same."),
                              Share{mix.together})));
    if (!state.light)
        out.push_back(
            finding(FindingKind::Next, say(GLUMET_SAY("Core", "A channel has no spectrum")),
                    say(GLUMET_SAY("Core", "Add one from a file, read it, or state its peak in Bench.")),
                    EvidenceView::Bench));
    else if (!assumed.items.empty())
        out.push_back(finding(
            FindingKind::Next, say(GLUMET_SAY("Core", "Spectra that nobody measured")),
            say(GLUMET_SAY("Core", "{}: as such channels usually are. Add a file, or read them."), assumed),
            EvidenceView::Spectrum));
}

}  // namespace

std::optional<MeterCorrection> correctionByResponse(const MeterProfile& meter, const Spectrum& light,
                                                    bool assumed, const std::string& preset) {
    if (meter.response.empty() || light.empty()) return std::nullopt;
    Spectrum response;
    for (const auto& point : meter.response) {
        response.wavelength_nm.push_back(point.wavelength_nm);
        response.values.push_back(point.relative);
    }
    const auto factor = correctionFactor(light, response);
    if (!factor) return std::nullopt;
    MeterCorrection out;
    out.channel = preset;
    out.factor = *factor;
    out.uncertainty = std::abs(*factor - 1.0) * (assumed ? kAssumedDoubt : kMeasuredDoubt);
    out.source = assumed ? "its response and an assumed spectrum" : "its response and the spectrum";
    return out;
}

std::vector<Finding> spectrumFindings(const Bench& bench, const SpectrumQuestion& q,
                                      const std::vector<BlendingTest>& tests) {
    std::vector<Finding> out;
    if (q.mix != nullptr) {
        const auto state = q.mix->mix.at(q.levels);
        const auto light = q.mix->mix.spectrumAt(q.levels);
        if (state.light) {
            sayCoverage(out, light, bandsOr(bench.method.bands));
            sayMeter(out, bench, q, light, state);
        }
        sayWatts(out, state);
        sayAgainstAllOn(out, q, state);
        if (state.light) {
            sayColour(out, light, state);
            sayFarRed(out, light);
        }
        sayWater(out, q);
        sayBasis(out, *q.mix, state);
    }
    sayBlending(out, tests);
    return out;
}

}  // namespace glumet
