#include "core/meter/meter_correction.h"

#include <fmt/format.h>

#include <cmath>
#include <cstdio>

#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr double kLeastRatio = 0.3;
constexpr double kMostRatio = 3.0;

}  // namespace

Expected<MeterCorrection> correctionFrom(const std::vector<TwinPair>& pairs, const std::string& channel,
                                         const std::string& twin_name, double twin_uncertainty) {
    if (pairs.size() < 2)
        return problem("pairs",
                       say(GLUMET_SAY("Core", "two or more are needed to tell how sure the factor is")));
    double mean = 0.0;
    std::vector<double> ratios;
    for (const auto& pair : pairs) {
        const double ratio = pair.own.value() > 0.0 ? pair.twin / pair.own : 0.0;
        if (!(ratio >= kLeastRatio && ratio <= kMostRatio))
            return problem(
                fmt::format("pair {}", ratios.size() + 1),
                say(GLUMET_SAY(
                    "Core",
                    "the two meters differ by more than three times: they did not see the same light")));
        ratios.push_back(ratio);
        mean += ratio / static_cast<double>(pairs.size());
    }
    double squares = 0.0;
    for (const double ratio : ratios) squares += (ratio - mean) * (ratio - mean);
    const auto n = static_cast<double>(ratios.size());
    const double scatter = std::sqrt(squares / (n - 1.0) / n) / mean;
    MeterCorrection out;
    out.channel = channel;
    out.factor = mean;
    out.uncertainty = std::hypot(scatter, twin_uncertainty);
    out.source = fmt::format("twin {}, {} pairs", twin_name, pairs.size());
    return out;
}

const MeterCorrection* correctionFor(const MeterProfile& meter, const std::string& preset) {
    const MeterCorrection* any = nullptr;
    // The newest comes last.
    for (auto correction = meter.corrections.rbegin(); correction != meter.corrections.rend(); ++correction) {
        if (!correction->applied) continue;
        if (!preset.empty() && correction->channel == preset) return &*correction;
        if (correction->channel.empty() && any == nullptr) any = &*correction;
    }
    return any;
}

void applyCorrection(Reading& reading, const MeterProfile& meter, const std::string& preset) {
    const auto* correction = correctionFor(meter, preset);
    if (correction == nullptr || reading.extra.contains(kBeforeCorrection)) return;
    reading.extra[kBeforeCorrection] = fmt::format("{}", reading.mean.value());
    reading.mean = reading.mean * correction->factor;
    if (reading.min) reading.min = *reading.min * correction->factor;
    if (reading.max) reading.max = *reading.max * correction->factor;
    if (reading.sd) reading.sd = *reading.sd * correction->factor;
}

Expected<std::vector<ResponsePoint>> parseResponse(const std::string& text) {
    std::vector<ResponsePoint> out;
    std::size_t from = 0;
    while (from < text.size()) {
        const auto end = std::min(text.find_first_of(",;\n", from), text.size());
        const auto piece = text.substr(from, end - from);
        from = end + 1;
        if (piece.find_first_not_of(" \t\r") == std::string::npos) continue;
        const auto colon = piece.find(':');
        const auto nm = parseNumber(piece.substr(0, colon));
        const auto value = colon == std::string::npos ? std::nullopt : parseNumber(piece.substr(colon + 1));
        if (!nm || !value || *nm < 200.0 || *nm > 1200.0 || *value < 0.0 || *value > 5.0)
            return problem(
                "", say(GLUMET_SAY(
                            "Core",
                            "\"{}\" is not understood: write wavelength: response, such as 400: 0.8, 550: 1"),
                        piece));
        if (!out.empty() && *nm <= out.back().wavelength_nm)
            return problem("", say(GLUMET_SAY("Core", "{} nm does not come after {} nm"), Figure{*nm},
                                   Figure{out.back().wavelength_nm}));
        out.push_back({*nm, *value});
    }
    return out;
}

std::string responseText(const std::vector<ResponsePoint>& response) {
    std::string text;
    for (const auto& point : response)
        text += fmt::format("{}{:g}: {:g}", text.empty() ? "" : ", ", point.wavelength_nm, point.relative);
    return text;
}

double UncertaintyParts::combined() const {
    return std::sqrt(calibration * calibration + correction * correction + cosine * cosine +
                     repeatability * repeatability + drift * drift);
}

}  // namespace glumet
