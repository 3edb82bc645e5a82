#include <fmt/format.h>

#include <QFileInfo>
#include <nlohmann/json.hpp>

#include "core/spectrum/bands.h"
#include "core/spectrum/blending.h"
#include "core/spectrum/colour.h"
#include "core/spectrum/correction_factor.h"
#include "core/spectrum/pure_water.h"
#include "core/spectrum/shape.h"
#include "core/spectrum/weighting.h"
#include "core/words/sentence.h"
#include "files.h"
#include "formats/spectrum_file.h"
#include "verbs.h"

namespace glumet::cli {
namespace {

using Json = nlohmann::ordered_json;

/// One spectrum that was asked about.
struct Asked {
    std::string file;
    std::string name;
    Spectrum spectrum;
    SpectralScale scale = SpectralScale::Relative;
    std::vector<Problem> notices;
};

Expected<bool> readAsked(const std::string& file, std::vector<Asked>& all) {
    const auto read = readAs(file, readSpectra);
    if (!read) return tl::make_unexpected(read.error());
    for (const auto& one : *read) {
        auto spectrum = one.spectrum();
        if (auto fault = spectrumFault(spectrum)) return tl::make_unexpected(inFile(file, *fault));
        all.push_back({file, one.name, std::move(spectrum), one.scale, one.notices});
    }
    return true;
}

Json bandsJson(const Spectrum& spectrum) {
    Json bands = Json::array();
    const auto shares = bandShares(spectrum, standardBands());
    for (std::size_t i = 0; i < shares.size(); ++i)
        bands.push_back({{"name", standardBands()[i].name},
                         {"from_nm", standardBands()[i].from_nm},
                         {"to_nm", standardBands()[i].to_nm},
                         {"photon_share", shares[i]}});
    return bands;
}

Json peaksJson(const Spectrum& spectrum) {
    Json peaks = Json::array();
    for (const auto& peak : peaksOf(spectrum))
        peaks.push_back({{"nm", peak.nm},
                         {"height", peak.height},
                         {"width_nm", peak.width_nm ? Json(*peak.width_nm) : Json()}});
    return peaks;
}

Json gapsJson(const Spectrum& spectrum) {
    Json gaps = Json::array();
    for (const auto& gap : gapsOf(spectrum)) gaps.push_back({{"from_nm", gap.from_nm}, {"to_nm", gap.to_nm}});
    return gaps;
}

Json weightedJson(const Spectrum& spectrum, const std::vector<WeightingCurve>& curves) {
    Json out = Json::array();
    for (const auto& curve : curves)
        out.push_back({{"name", curve.name},
                       {"source", curve.source},
                       {"photon_share", weighedShare(spectrum, curve)}});
    return out;
}

Json noticesJson(const Asked& asked) {
    Json notices = Json::array();
    for (const auto& notice : asked.notices) notices.push_back(english(notice));
    return notices;
}

Json spectrumJson(const Asked& asked, std::string& text) {
    const auto& s = asked.spectrum;
    const auto light = tristimulusOf(s);
    const auto colour = chromaticityOf(light);
    const auto temperature = temperatureOf(colour);
    const bool lit = !light.dark();
    const bool white = lit && temperature.meaningful();
    const auto rendering = renderingOf(s);
    text += fmt::format("{}{}\n  x {:.4f}, y {:.4f}", asked.file, asked.name.empty() ? "" : ", " + asked.name,
                        colour.x, colour.y);
    text += white ? fmt::format("; {:.0f} K, Duv {:+.4f}", temperature.kelvin, temperature.duv)
                  : std::string("; too far from any white for a colour temperature");
    text += rendering ? fmt::format("; Ra {:.0f}\n", rendering->general) : std::string("\n");
    const auto shares = bandShares(s, standardBands());
    for (std::size_t i = 0; i < shares.size(); ++i)
        text += fmt::format("  {:<12}{:>4.0f}–{:<4.0f}{:>6.1f} %\n", standardBands()[i].name,
                            standardBands()[i].from_nm, standardBands()[i].to_nm, 100.0 * shares[i]);
    for (const auto& notice : asked.notices) text += "  note: " + english(notice) + "\n";
    return {{"file", asked.file},
            {"name", asked.name},
            {"scale", asked.scale == SpectralScale::Absolute ? "absolute" : "relative"},
            {"x", lit ? Json(colour.x) : Json()},
            {"y", lit ? Json(colour.y) : Json()},
            {"u_prime", lit ? Json(colour.uPrime()) : Json()},
            {"v_prime", lit ? Json(colour.vPrime()) : Json()},
            {"cct_k", white ? Json(temperature.kelvin) : Json()},
            {"duv", lit ? Json(temperature.duv) : Json()},
            {"ra", rendering ? Json(rendering->general) : Json()},
            {"special", rendering ? Json(rendering->special) : Json()},
            {"par", parOf(s)},
            {"epar", extendedParOf(s)},
            {"bands", bandsJson(s)},
            {"peaks", peaksJson(s)},
            {"gaps", gapsJson(s)},
            {"blue_width_10_pct_nm", blueWidth(s, 0.1)},
            {"blue_width_50_pct_nm", blueWidth(s, 0.5)},
            {"notices", noticesJson(asked)}};
}

/// The middle one of an odd number stands in the centre, as files of a grid are listed row by row.
Json blendJson(const std::vector<Asked>& all) {
    std::vector<Spectrum> spectra;
    for (const auto& asked : all) spectra.push_back(asked.spectrum);
    const auto blend = blendingOf(spectra, (spectra.size() - 1) / 2, standardBands());
    // Fewer than three spectra say nothing of blending: the same keys, without a figure.
    if (blend.colour_from_centre.empty())
        return {{"centre", nullptr},
                {"du_v_from_centre", Json::array()},
                {"du_v_from_mean", Json::array()},
                {"angle_from_centre_deg", Json::array()},
                {"angle_from_mean_deg", Json::array()},
                {"figure", nullptr},
                {"lo", nullptr},
                {"hi", nullptr}};
    return {{"centre", (spectra.size() - 1) / 2},
            {"du_v_from_centre", blend.colour_from_centre},
            {"du_v_from_mean", blend.colour_from_mean},
            {"angle_from_centre_deg", blend.angle_from_centre},
            {"angle_from_mean_deg", blend.angle_from_mean},
            {"figure", blend.figure.value},
            {"lo", blend.figure.low},
            {"hi", blend.figure.high}};
}

}  // namespace

Expected<Output> spectrum(const SpectrumQuestion& question) {
    std::vector<Asked> all;
    for (const auto& file : question.files)
        if (auto done = readAsked(file, all); !done) return tl::make_unexpected(done.error());
    std::optional<Spectrum> response;
    if (!question.response.empty()) {
        auto curve = readAs(question.response, readResponse);
        if (!curve) return tl::make_unexpected(curve.error());
        response = std::move(*curve);
    }
    auto curves = readyWeightings();
    for (const auto& file : question.weights) {
        auto curve = readAs(file, readResponse);
        if (!curve) return tl::make_unexpected(curve.error());
        curves.push_back(
            {file, QFileInfo(path(file)).completeBaseName().toStdString(), file, std::move(*curve)});
    }
    Json spectra = Json::array();
    std::string text;
    for (auto& asked : all) {
        if (question.depth_m) asked.spectrum = afterPureWater(asked.spectrum, *question.depth_m);
        auto json = spectrumJson(asked, text);
        json["weighted"] = weightedJson(asked.spectrum, curves);
        if (question.depth_m) {
            json["depth_m"] = *question.depth_m;
            json["spectrum"] = {{"wavelength_nm", asked.spectrum.wavelength_nm},
                                {"photons", asked.spectrum.values}};
        }
        if (response) {
            const auto factor = correctionFactor(asked.spectrum, *response);
            if (!factor) return tl::make_unexpected(inFile(asked.file, factor.error()));
            json["correction_factor"] = *factor;
            text += fmt::format("  readings by this sensor × {:.4f}\n", *factor);
        }
        spectra.push_back(std::move(json));
    }
    return Output{jsonText(Json{{"spectra", spectra}, {"blend", blendJson(all)}}, 2), text};
}

}  // namespace glumet::cli
