#include <fmt/format.h>

#include <algorithm>
#include <set>

#include "core/base/limits.h"
#include "formats/spectrum_file.h"

namespace glumet {
namespace {

bool isNumbers(const DelimitedText& text, const TextRow& row) {
    return row.cells.size() >= 2 && cellNumber(text, row.cells.front()).has_value();
}

/// The first row of numbers; rows().size() without one.
std::size_t firstNumbers(const DelimitedText& text) {
    std::size_t at = 0;
    while (at < text.rows.size() && !isNumbers(text, text.rows[at])) ++at;
    return at;
}

/// The nearest row of words above that has as many cells.
const TextRow* headingOf(const DelimitedText& text, std::size_t first) {
    for (auto at = first; at-- > 0;)
        if (text.rows[at].cells.size() >= 2) return &text.rows[at];
    return nullptr;
}

bool namesNothing(const std::string& heading) {
    for (const char* word : {"value", "photons", "response", "weight", "relative", "w", "umol", "µmol"})
        if (heading == word) return true;
    return false;
}

}  // namespace

FileSpectra readSpectrumTable(const DelimitedText& text) {
    const auto first = firstNumbers(text);
    if (first == text.rows.size())
        return problem("", say(GLUMET_SAY("Core", "holds no row of a wavelength and a value")));
    const auto* heading = headingOf(text, first);
    const auto columns = text.rows[first].cells.size();
    if (columns - 1 > limits::kSpectra)
        return problem(
            "", sayCounted(GLUMET_SAY_N("Core", "holds more than {} spectra"), countOf(limits::kSpectra)));
    std::vector<FileSpectrum> all(columns - 1);
    std::vector<double> factors(columns - 1, 1.0);
    for (std::size_t c = 0; c + 1 < columns; ++c) {
        if (heading == nullptr || heading->cells.size() <= c + 1) continue;
        const auto words = textOfCell(heading->cells[c + 1]);
        spectrum_file::takeUnit(words, all[c], factors[c]);
        if (!namesNothing(words)) all[c].name = words;
    }
    std::vector<int> lines;
    for (auto at = first; at < text.rows.size(); ++at) {
        const auto& row = text.rows[at];
        const auto where = "line " + std::to_string(row.line);
        const auto nm = cellNumber(text, row.cells.front());
        if (!nm || row.cells.size() != columns)
            return problem(
                where,
                say(GLUMET_SAY("Core", "is no row of a wavelength and {} values: is the file cut short?"),
                    countOf(columns - 1)));
        for (std::size_t c = 0; c + 1 < columns; ++c) {
            const auto value = cellNumber(text, row.cells[c + 1]);
            if (!value)
                return problem(
                    where, say(GLUMET_SAY("Core", "\"{}\" is no number"), row.cells[c + 1].substr(0, 40)));
            all[c].wavelength_nm.push_back(*nm);
            all[c].values.push_back(*value * factors[c]);
        }
        lines.push_back(row.line);
    }
    for (auto& one : all) {
        auto clean = spectrum_file::cleaned(std::move(one), lines);
        if (!clean) return tl::make_unexpected(clean.error());
        one = std::move(*clean);
    }
    return all;
}

std::string writeSpectrumTable(const std::vector<NamedSpectrum>& spectra) {
    std::set<double> wavelengths;
    for (const auto& one : spectra)
        wavelengths.insert(one.spectrum.wavelength_nm.begin(), one.spectrum.wavelength_nm.end());
    std::string out = "wavelength_nm";
    for (const auto& one : spectra) {
        std::string name = cellOfText(one.name);
        for (char& c : name)
            if (c == '"' || c == ',' || c == '\n' || c == '\r') c = ' ';
        const char* unit = one.scale == SpectralScale::Absolute ? "photons" : "photons relative";
        out += fmt::format(",{}{}{}", name, name.empty() ? "" : " ", unit);
    }
    out += "\n";
    for (const double nm : wavelengths) {
        out += fmt::format("{}", nm);
        for (const auto& one : spectra) out += fmt::format(",{:.9g}", valueAt(one.spectrum, nm));
        out += "\n";
    }
    return out;
}

std::string writeSpectrumWatts(const NamedSpectrum& one) {
    const auto watts = wattsFromPhotons(one.spectrum.wavelength_nm, one.spectrum.values);
    std::string out =
        one.scale == SpectralScale::Absolute ? "wavelength_nm,value\n" : "wavelength_nm,W/m2 relative\n";
    for (std::size_t i = 0; i < watts.size(); ++i)
        out += fmt::format("{},{:.9g}\n", one.spectrum.wavelength_nm[i], watts[i]);
    return out;
}

}  // namespace glumet
