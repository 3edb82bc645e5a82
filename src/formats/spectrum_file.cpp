#include "formats/spectrum_file.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/base/limits.h"
#include "core/base/utf8.h"

namespace glumet {
namespace {

constexpr double kNoiseShare = 0.02;  // of the greatest value: below 0 by more is no noise
constexpr double kCutShare = 0.05;    // of the greatest value at an end: the light goes on beyond
constexpr std::size_t kFlatTop = 3;   // equal greatest values on end

std::string lower(std::string_view text) {
    std::string out(text);
    for (char& c : out)
        if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
    return out;
}

bool has(const std::string& text, std::string_view part) { return text.find(part) != std::string::npos; }

std::string lineName(const std::vector<int>& lines, std::size_t i) {
    return i < lines.size() ? "line " + std::to_string(lines[i]) : std::string();
}

/// Puts descending wavelengths the other way round.
void turned(FileSpectrum& s, std::vector<int>& lines) {
    if (s.wavelength_nm.size() < 2 || s.wavelength_nm.front() <= s.wavelength_nm.back()) return;
    std::reverse(s.wavelength_nm.begin(), s.wavelength_nm.end());
    std::reverse(s.values.begin(), s.values.end());
    std::reverse(lines.begin(), lines.end());
}

std::optional<Problem> notAscending(const FileSpectrum& s, const std::vector<int>& lines) {
    for (std::size_t i = 1; i < s.wavelength_nm.size(); ++i)
        if (!(s.wavelength_nm[i] > s.wavelength_nm[i - 1]))
            return Problem{lineName(lines, i),
                           say(GLUMET_SAY("Core", "wavelengths go to and fro: {} nm after {} nm"),
                               Figure{s.wavelength_nm[i]}, Figure{s.wavelength_nm[i - 1]})};
    return std::nullopt;
}

/// Leaves out what is beyond 200…1200 nm.
void clipWavelengths(FileSpectrum& s, std::vector<int>& lines) {
    FileSpectrum kept;
    std::vector<int> kept_lines;
    for (std::size_t i = 0; i < s.wavelength_nm.size(); ++i) {
        if (s.wavelength_nm[i] < kShortestNm || s.wavelength_nm[i] > kLongestNm) continue;
        kept.wavelength_nm.push_back(s.wavelength_nm[i]);
        kept.values.push_back(s.values[i]);
        kept_lines.push_back(i < lines.size() ? lines[i] : 0);
    }
    const auto gone = s.wavelength_nm.size() - kept.wavelength_nm.size();
    if (gone == 0) return;
    s.wavelength_nm = std::move(kept.wavelength_nm);
    s.values = std::move(kept.values);
    lines = std::move(kept_lines);
    s.notices.push_back(
        {s.name,
         sayCounted(GLUMET_SAY_N("Core", "{} wavelengths beyond 200–1200 nm are left out"), countOf(gone))});
}

std::optional<Problem> clipNegative(FileSpectrum& s, const std::vector<int>& lines) {
    const double top = *std::max_element(s.values.begin(), s.values.end());
    std::size_t clipped = 0;
    for (std::size_t i = 0; i < s.values.size(); ++i) {
        if (s.values[i] >= 0.0) continue;
        if (-s.values[i] > kNoiseShare * top)
            return Problem{
                lineName(lines, i),
                say(GLUMET_SAY("Core", "{} at {} nm is far below 0: subtract the dark spectrum again"),
                    Figure{s.values[i]}, Figure{s.wavelength_nm[i]})};
        s.values[i] = 0.0;
        ++clipped;
    }
    if (clipped > 0)
        s.notices.push_back(
            {s.name, sayCounted(GLUMET_SAY_N("Core", "{} values a little below 0 are taken for 0"),
                                countOf(clipped))});
    return std::nullopt;
}

void doubt(FileSpectrum& s) {
    const double top = *std::max_element(s.values.begin(), s.values.end());
    if (!(top > 0.0)) return;
    std::size_t flat = 0;
    for (std::size_t i = 0; i < s.values.size(); ++i) {
        flat = s.values[i] == top ? flat + 1 : 0;
        if (flat == kFlatTop && s.values.size() > 2 * kFlatTop) {
            s.notices.push_back(
                {s.name, say(GLUMET_SAY("Core",
                                        "flat at the top near {} nm: the instrument may have been "
                                        "saturated; read it again with a shorter integration time"),
                             Figure{s.wavelength_nm[i]})});
            break;
        }
    }
    const auto cut = [&](double nm, double value) {
        if (value > kCutShare * top && nm > kParFromNm - 20.0 && nm < kParToNm + 50.0)
            s.notices.push_back(
                {s.name,
                 say(GLUMET_SAY("Core", "cut off at {} nm, where there is still light"), Figure{nm})});
    };
    cut(s.wavelength_nm.front(), s.values.front());
    cut(s.wavelength_nm.back(), s.values.back());
}

}  // namespace

namespace spectrum_file {

void takeUnit(std::string_view words, FileSpectrum& spectrum, double& factor) {
    const auto text = lower(words);
    const bool micro = has(text, "µw") || has(text, "μw") || has(text, "uw/") || has(text, "microw");
    const bool per_cm = has(text, "cm");
    if (has(text, "photon") || has(text, "umol") || has(text, "µmol") || has(text, "μmol") ||
        has(text, "micromol")) {
        spectrum.unit = SpectralUnit::MicromolePerSquareMetreSecond;
        spectrum.scale = SpectralScale::Absolute;
    } else if (micro || has(text, "mw/") || has(text, "w/m") || has(text, "watt") || has(text, "w/cm") ||
               has(text, "w·m") || has(text, "w m") || has(text, "irradiance") || text == "w" ||
               text == "value") {
        spectrum.unit = SpectralUnit::WattPerSquareMetre;
        spectrum.scale = SpectralScale::Absolute;
        factor = (micro ? 1e-6 : has(text, "mw/") ? 1e-3 : 1.0) * (per_cm ? 1e4 : 1.0);
    }
    if (has(text, "relative") || has(text, "normali") || has(text, "a.u.") || has(text, "arb") ||
        has(text, "count"))
        spectrum.scale = SpectralScale::Relative;
}

Expected<FileSpectrum> cleaned(FileSpectrum s, const std::vector<int>& from_lines) {
    auto lines = from_lines;
    for (std::size_t i = 0; i < s.values.size(); ++i)
        if (!std::isfinite(s.values[i]) || !std::isfinite(s.wavelength_nm[i]) ||
            std::abs(s.values[i]) > limits::kNumber)
            return problem(lineName(lines, i), say(GLUMET_SAY("Core", "is no number")));
    turned(s, lines);
    if (auto fault = notAscending(s, lines)) return tl::make_unexpected(std::move(*fault));
    clipWavelengths(s, lines);
    if (s.wavelength_nm.size() < 2)
        return problem("", say(GLUMET_SAY("Core", "holds no two wavelengths within 200–1200 nm")));
    if (s.wavelength_nm.size() > limits::kSpectrumPoints)
        return problem("", sayCounted(GLUMET_SAY_N("Core", "holds more than {} wavelengths"),
                                      countOf(limits::kSpectrumPoints)));
    if (auto fault = clipNegative(s, lines)) return tl::make_unexpected(std::move(*fault));
    doubt(s);
    return s;
}

}  // namespace spectrum_file

Spectrum FileSpectrum::spectrum(SpectralUnit assumed) const {
    const bool watts = unit.value_or(assumed) == SpectralUnit::WattPerSquareMetre;
    return {wavelength_nm, watts ? photonsFromWatts(wavelength_nm, values) : values};
}

FileSpectra readSpectra(std::string_view bytes) {
    if (bytes.size() > limits::kSpectrumBytes)
        return problem("", say(GLUMET_SAY("Core", "is larger than 10 MB")));
    if (!isUtf8(std::string(bytes))) return problem("", say(GLUMET_SAY("Core", "is not UTF-8 text")));
    const auto begin = bytes.find_first_not_of(" \t\r\n\xEF\xBB\xBF");
    const auto text = begin == std::string_view::npos ? std::string_view() : bytes.substr(begin);
    if (text.substr(0, 2) == "##") return readJcamp(text);
    if (text.substr(0, 1) == "<") return readTm27(text);
    const auto table = splitDelimited(bytes);
    if (!table) return tl::make_unexpected(table.error());
    return readSpectrumTable(*table);
}

Expected<Spectrum> readResponse(std::string_view bytes) {
    const auto read = readSpectra(bytes);
    if (!read) return tl::make_unexpected(read.error());
    if (read->size() != 1) return problem("", say(GLUMET_SAY("Core", "holds more than one curve")));
    const Spectrum curve{read->front().wavelength_nm, read->front().values};
    constexpr double kGreatest = 5.0;
    for (const double value : curve.values)
        if (value > kGreatest) return problem("", say(GLUMET_SAY("Core", "a response goes from 0 to 5")));
    return curve;
}

}  // namespace glumet
