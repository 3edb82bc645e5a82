#include "core/spectrum/bands.h"

#include <fmt/format.h>

#include <algorithm>
#include <regex>
#include <set>

#include "core/base/leading_number.h"

namespace glumet {
namespace {}  // namespace

const std::vector<SpectralBand>& standardBands() {
    static const std::vector<SpectralBand> bands{
        {"near-UV", 380, 400},  {"violet", 400, 430}, {"royal blue", 430, 460}, {"blue", 460, 485},
        {"cyan", 485, 510},     {"green", 510, 570},  {"amber", 570, 610},      {"red", 610, 640},
        {"deep red", 640, 700}, {"far red", 700, 780}};
    return bands;
}

const std::vector<SpectralBand>& bandsOr(const std::vector<SpectralBand>& own) {
    return own.empty() ? standardBands() : own;
}

std::vector<double> bandShares(const Spectrum& spectrum, const std::vector<SpectralBand>& bands) {
    const double all = photonsIn(spectrum, kSeenFromNm, kSeenToNm);
    std::vector<double> shares;
    for (const auto& band : bands)
        shares.push_back(all > 0.0 ? photonsIn(spectrum, band.from_nm, band.to_nm) / all : 0.0);
    return shares;
}

double parOf(const Spectrum& spectrum) { return photonsIn(spectrum, kParFromNm, kParToNm); }
double extendedParOf(const Spectrum& spectrum) { return photonsIn(spectrum, kParFromNm, kEparToNm); }

std::string bandsText(const std::vector<SpectralBand>& bands) {
    std::string out;
    for (const auto& band : bands)
        out += fmt::format("{}{} {:g}–{:g}", out.empty() ? "" : ", ", band.name, band.from_nm, band.to_nm);
    return out;
}

Expected<std::vector<SpectralBand>> parseBands(const std::string& text) {
    static const std::regex one(
        "\\s*(.*\\S)\\s+([0-9.]+)\\s*(?:–|-|to|\\.\\.|…)\\s*([0-9.]+)\\s*(?:nm)?\\s*");
    std::vector<SpectralBand> bands;
    std::set<std::string> names;
    for (std::size_t from = 0; from <= text.size();) {
        const auto end = std::min(text.find(',', from), text.size());
        const auto part = text.substr(from, end - from);
        from = end + 1;
        if (part.find_first_not_of(" \t") == std::string::npos) continue;
        std::smatch found;
        if (part.size() > 200 || !std::regex_match(part, found, one))
            return problem("bands",
                           say(GLUMET_SAY("Core", "\"{}\" is no name with a span, like cyan 485–510"),
                               part.substr(0, 60)));
        SpectralBand band{found[1], 0, 0};
        const std::string from_text = found[2];
        const std::string to_text = found[3];
        std::string_view low = from_text;
        std::string_view high = to_text;
        band.from_nm = leadingNumber(low).value_or(0.0);
        band.to_nm = leadingNumber(high).value_or(0.0);
        if (!low.empty() || !high.empty()) band.to_nm = 0.0;
        if (!(band.from_nm >= kShortestNm && band.to_nm <= kLongestNm && band.from_nm < band.to_nm))
            return problem("bands", say(GLUMET_SAY("Core", "{} must end after it begins, within 200–1200 nm"),
                                        band.name));
        if (!names.insert(band.name).second)
            return problem("bands", say(GLUMET_SAY("Core", "{} is named twice"), band.name));
        bands.push_back(std::move(band));
    }
    if (bands.size() > 30) return problem("bands", say(GLUMET_SAY("Core", "are more than 30")));
    return bands;
}

}  // namespace glumet
