#include <fmt/format.h>

#include <algorithm>
#include <charconv>
#include <cmath>
#include <map>

#include "core/base/limits.h"
#include "core/base/trimmed.h"
#include "formats/spectrum_file.h"

namespace glumet {
namespace {

constexpr double kTruth = 1e-6;  // relative: how well a checked value or wavelength must agree
constexpr double kFirstMicrometres = 1000.0;

/// A label as JCAMP-DX compares them: capitals, without blanks, dashes, slashes and underscores.
std::string labelOf(std::string_view text) {
    std::string out;
    for (const char c : text)
        if (c != ' ' && c != '-' && c != '/' && c != '_')
            out += static_cast<char>(c >= 'a' && c <= 'z' ? c - 'a' + 'A' : c);
    return out;
}

std::optional<double> numberOf(const std::string& text) {
    double value = 0.0;
    const char* begin = text.data() + (!text.empty() && text[0] == '+' ? 1 : 0);
    const auto [end, fault] = std::from_chars(begin, text.data() + text.size(), value);
    if (fault != std::errc() || end != text.data() + text.size() || !std::isfinite(value))
        return std::nullopt;
    return value;
}

// ASCII squeezed digits: the first digit of a number, with its sign, as one letter.
constexpr std::string_view kSqueezed = "@ABCDEFGHI";
constexpr std::string_view kSqueezedMinus = "abcdefghi";
constexpr std::string_view kDifference = "%JKLMNOPQR";
constexpr std::string_view kDifferenceMinus = "jklmnopqr";
constexpr std::string_view kDuplicate = "STUVWXYZs";

/// The values of a line of XYDATA, and whether it ends in a difference: then the next one begins with a
/// check.
class PackedLine {
  public:
    /// False for what is no such line.
    bool read(std::string_view text, std::size_t most) {
        std::size_t at = 0;
        while (at < text.size()) {
            const char c = text[at];
            if (c == ' ' || c == '\t' || c == ',' || c == '\r') {
                ++at;
            } else if (!item(text, at) || values.size() > most) {
                return false;
            }
        }
        return true;
    }

    std::vector<double> values;
    bool ends_in_difference = false;

  private:
    enum class Kind { Plain, Difference };

    static std::string digitsFrom(std::string_view text, std::size_t& at) {
        const auto from = at;
        while (at < text.size() && ((text[at] >= '0' && text[at] <= '9') || text[at] == '.')) ++at;
        // An exponent counts only with digits behind it: E is a squeezed digit too.
        return std::string(text.substr(from, at - from));
    }

    bool item(std::string_view text, std::size_t& at) {
        const char c = text[at];
        if (const auto n = kDuplicate.find(c); n != std::string_view::npos) {
            ++at;
            return repeat(std::to_string(n + 1) + digitsFrom(text, at));
        }
        if (const auto n = kSqueezed.find(c); n != std::string_view::npos)
            return lead(text, at, "", n, Kind::Plain);
        if (const auto n = kSqueezedMinus.find(c); n != std::string_view::npos)
            return lead(text, at, "-", n + 1, Kind::Plain);
        if (const auto n = kDifference.find(c); n != std::string_view::npos)
            return lead(text, at, "", n, Kind::Difference);
        if (const auto n = kDifferenceMinus.find(c); n != std::string_view::npos)
            return lead(text, at, "-", n + 1, Kind::Difference);
        return plain(text, at);
    }

    bool lead(std::string_view text, std::size_t& at, const char* sign, std::size_t digit, Kind kind) {
        ++at;
        return add(sign + std::to_string(digit) + digitsFrom(text, at), kind);
    }

    bool plain(std::string_view text, std::size_t& at) {
        const auto from = at;
        if (text[at] == '+' || text[at] == '-') ++at;
        auto digits = digitsFrom(text, at);
        if (digits.empty()) return false;
        // AFFN may carry an exponent: E, a sign or not, digits.
        if (at + 1 < text.size() && (text[at] == 'E' || text[at] == 'e')) {
            auto end = at + 1;
            if (text[end] == '+' || text[end] == '-') ++end;
            const auto digit = end;
            while (end < text.size() && text[end] >= '0' && text[end] <= '9') ++end;
            if (end > digit && (text[at + 1] == '+' || text[at + 1] == '-')) at = end;
        }
        return add(std::string(text.substr(from, at - from)), Kind::Plain);
    }

    bool add(const std::string& text, Kind kind) {
        const auto number = numberOf(text);
        if (!number || (kind == Kind::Difference && values.empty())) return false;
        last_kind_ = kind;
        last_ = *number;
        values.push_back(kind == Kind::Plain ? *number : values.back() + *number);
        ends_in_difference = kind == Kind::Difference;
        return true;
    }

    bool repeat(const std::string& text) {
        const auto times = numberOf(text);
        if (!times || values.size() < 2 || *times < 1 ||
            *times > static_cast<double>(limits::kSpectrumPoints))
            return false;
        for (int i = 1; i < static_cast<int>(*times); ++i)
            values.push_back(last_kind_ == Kind::Plain ? last_ : values.back() + last_);
        return true;
    }

    Kind last_kind_ = Kind::Plain;
    double last_ = 0.0;
};

/// One block from ##TITLE to ##END.
class Block {
  public:
    void take(const std::string& label, const std::string& value, int line) {
        if (label == "XYDATA" || label == "XYPOINTS") {
            data_ = label;
            form_ = labelOf(value);
            data_line_ = line;
        } else if (label != "END") {
            said_[label] = value;
            in_data_ = false;
        }
        in_data_ = label == "XYDATA" || label == "XYPOINTS";
    }
    void takeData(const std::string& text, int line) {
        if (in_data_) rows_.emplace_back(line, text);
    }
    bool inData() const { return in_data_; }
    bool hasData() const { return !data_.empty(); }

    Expected<FileSpectrum> spectrum() const {
        FileSpectrum out;
        out.name = word("TITLE");
        double factor = 1.0;
        spectrum_file::takeUnit(word("YUNITS"), out, factor);
        std::vector<int> lines;
        auto fault = data_ == "XYDATA" ? readSteps(out, lines) : readPairs(out, lines);
        if (!fault) fault = checkCount(out);
        if (fault) return tl::make_unexpected(std::move(*fault));
        const auto unit = labelOf(word("XUNITS"));
        double to_nm = 1.0;
        if (unit.rfind("MICROM", 0) == 0)
            to_nm = kFirstMicrometres;
        else if (unit.rfind("NANOM", 0) != 0 && unit != "NM")
            return problem(
                "XUNITS", say(GLUMET_SAY("Core", "\"{}\" are not nanometres"), word("XUNITS").substr(0, 40)));
        for (double& nm : out.wavelength_nm) nm *= to_nm;
        for (double& value : out.values) value *= factor;
        return spectrum_file::cleaned(std::move(out), lines);
    }

  private:
    std::string word(const char* label) const {
        const auto at = said_.find(label);
        return at == said_.end() ? std::string() : at->second;
    }
    std::optional<double> number(const char* label) const { return numberOf(word(label)); }

    Problem at(int line, Words what) const { return {"line " + std::to_string(line), std::move(what)}; }
    Problem unreadable(int line) const {
        return at(line, say(GLUMET_SAY("Core", "is no line of a JCAMP-DX spectrum")));
    }

    std::optional<Problem> readSteps(FileSpectrum& out, std::vector<int>& lines) const {
        const auto first = number("FIRSTX");
        const auto last = number("LASTX");
        const auto count = number("NPOINTS");
        if (form_ != "(X++(Y..Y))" || !first || !last || !count || !(*count >= 2) ||
            *count > static_cast<double>(limits::kSpectrumPoints))
            return at(data_line_,
                      say(GLUMET_SAY("Core", "needs FIRSTX, LASTX and NPOINTS with (X++(Y..Y))")));
        const double y_factor = number("YFACTOR").value_or(1.0);
        const double x_factor = number("XFACTOR").value_or(1.0);
        const double step = (*last - *first) / (*count - 1.0);
        bool check = false;
        for (const auto& [line, text] : rows_) {
            PackedLine packed;
            if (!packed.read(text, limits::kSpectrumPoints) || packed.values.size() < 2)
                return unreadable(line);
            auto ys = packed.values.begin() + 1;
            if (check) {
                if (out.values.empty() || !alike(*ys * y_factor, out.values.back()))
                    return at(line, say(GLUMET_SAY(
                                        "Core",
                                        "does not go on where the line before ended: the file is damaged")));
                ++ys;
            }
            const double x = packed.values.front() * x_factor;
            const double due = *first + step * (static_cast<double>(out.values.size()) - (check ? 1.0 : 0.0));
            if (std::abs(x - due) > 0.5 * std::abs(step) + kTruth * std::abs(due))
                return at(line, say(GLUMET_SAY("Core", "begins at {} and not at {}: a line is missing"),
                                    Figure{x}, Figure{due}));
            for (; ys != packed.values.end(); ++ys) {
                out.wavelength_nm.push_back(*first + step * static_cast<double>(out.values.size()));
                out.values.push_back(*ys * y_factor);
                lines.push_back(line);
            }
            check = packed.ends_in_difference;
            if (out.values.size() > static_cast<std::size_t>(*count) + 1) break;
        }
        // A line of its own may hold nothing but the last value once more.
        if (out.values.size() == static_cast<std::size_t>(*count) + 1 && check) {
            out.values.pop_back();
            out.wavelength_nm.pop_back();
        }
        return std::nullopt;
    }

    std::optional<Problem> readPairs(FileSpectrum& out, std::vector<int>& lines) const {
        if (form_ != "(XY..XY)")
            return at(data_line_, say(GLUMET_SAY("Core", "needs pairs in the form (XY..XY)")));
        const double y_factor = number("YFACTOR").value_or(1.0);
        const double x_factor = number("XFACTOR").value_or(1.0);
        for (const auto& [line, text] : rows_) {
            std::vector<double> numbers;
            std::string part;
            for (const char c : text + ";") {
                if (c != ' ' && c != ',' && c != ';' && c != '\t' && c != '\r') {
                    part += c;
                    continue;
                }
                if (part.empty()) continue;
                const auto value = numberOf(part);
                if (!value) return unreadable(line);
                numbers.push_back(*value);
                part.clear();
            }
            if (numbers.size() % 2 != 0) return unreadable(line);
            for (std::size_t i = 0; i < numbers.size(); i += 2) {
                out.wavelength_nm.push_back(numbers[i] * x_factor);
                out.values.push_back(numbers[i + 1] * y_factor);
                lines.push_back(line);
            }
            if (out.values.size() > limits::kSpectrumPoints) break;
        }
        return std::nullopt;
    }

    std::optional<Problem> checkCount(const FileSpectrum& out) const {
        const auto count = number("NPOINTS");
        if (!count || *count == static_cast<double>(out.values.size())) return std::nullopt;
        return at(data_line_,
                  say(GLUMET_SAY("Core", "holds {} values where NPOINTS says {}: is the file cut short?"),
                      countOf(out.values.size()), Figure{*count}));
    }

    static bool alike(double a, double b) {
        return std::abs(a - b) <= kTruth * std::max({std::abs(a), std::abs(b), 1e-12});
    }

    std::map<std::string, std::string> said_;
    std::string data_;
    std::string form_;
    int data_line_ = 0;
    bool in_data_ = false;
    std::vector<std::pair<int, std::string>> rows_;
};

}  // namespace

FileSpectra readJcamp(std::string_view bytes) {
    std::vector<FileSpectrum> all;
    std::vector<Block> open;  // blocks stand in each other in a LINK file
    int line = 0;
    while (!bytes.empty()) {
        const auto end = bytes.find('\n');
        auto text = bytes.substr(0, end);
        bytes.remove_prefix(end == std::string_view::npos ? bytes.size() : end + 1);
        ++line;
        if (const auto note = text.find("$$"); note != std::string_view::npos) text = text.substr(0, note);
        const std::string row(trimmed(text));
        if (row.rfind("##", 0) == 0) {
            const auto equals = row.find('=');
            if (equals == std::string::npos)
                return problem("line " + std::to_string(line),
                               say(GLUMET_SAY("Core", "is no line of a JCAMP-DX spectrum")));
            const auto label = labelOf(std::string_view(row).substr(2, equals - 2));
            if (label == "TITLE") open.emplace_back();
            if (open.empty() || open.size() > static_cast<std::size_t>(limits::kNesting))
                return problem("line " + std::to_string(line),
                               say(GLUMET_SAY("Core", "needs a TITLE first")));
            open.back().take(label, std::string(trimmed(std::string_view(row).substr(equals + 1))), line);
            if (label != "END") continue;
            if (open.back().hasData()) {
                auto spectrum = open.back().spectrum();
                if (!spectrum) return tl::make_unexpected(spectrum.error());
                all.push_back(std::move(*spectrum));
            }
            open.pop_back();
        } else if (!open.empty() && !row.empty()) {
            open.back().takeData(row, line);
        }
    }
    for (const auto& block : open)
        if (block.hasData())
            return problem("", say(GLUMET_SAY("Core", "ends without ##END=: is the file cut short?")));
    if (all.empty()) return problem("", say(GLUMET_SAY("Core", "holds no spectrum")));
    return all;
}

namespace {

/// A whole number as squeezed or difference digits.
std::string packedDigit(long value, std::string_view plus, std::string_view minus) {
    const auto text = std::to_string(std::abs(value));
    const auto digit = static_cast<std::size_t>(text[0] - '0');
    const char lead = value < 0 ? minus[digit - 1] : plus[digit];
    return lead + text.substr(1);
}

bool equalSteps(const std::vector<double>& nm) {
    const double step = (nm.back() - nm.front()) / static_cast<double>(nm.size() - 1);
    for (std::size_t i = 0; i < nm.size(); ++i)
        if (std::abs(nm[i] - nm.front() - step * static_cast<double>(i)) > kTruth * step) return false;
    return true;
}

std::string packedRows(const std::vector<double>& nm, const std::vector<long>& whole) {
    constexpr std::size_t kPerLine = 12;
    std::string out;
    for (std::size_t from = 0; from < whole.size();) {
        // Each line repeats the last value of the one before, as a check.
        const auto first = from == 0 ? 0 : from - 1;
        const auto end = std::min(from + kPerLine, whole.size());
        out += fmt::format("{}{}", nm[first], packedDigit(whole[first], kSqueezed, kSqueezedMinus));
        for (auto i = first + 1; i < end; ++i)
            out += packedDigit(whole[i] - whole[i - 1], kDifference, kDifferenceMinus);
        out += "\n";
        from = end;
    }
    // A last line with the check alone.
    out += fmt::format("{}{}\n", nm.back(), packedDigit(whole.back(), kSqueezed, kSqueezedMinus));
    return out;
}

}  // namespace

std::string writeJcamp(const NamedSpectrum& one, bool packed) {
    const auto& nm = one.spectrum.wavelength_nm;
    const auto& values = one.spectrum.values;
    std::string title = one.name;
    std::replace_if(
        title.begin(), title.end(), [](unsigned char c) { return c < ' '; }, ' ');
    std::string out = fmt::format(
        "##TITLE={}\n##JCAMP-DX=4.24\n##DATA TYPE=EMISSION SPECTRUM\n##ORIGIN=Glumet\n##OWNER=\n"
        "##XUNITS=NANOMETERS\n##YUNITS={}\n",
        title, one.scale == SpectralScale::Absolute ? "MICROMOL/M2/S/NM PHOTONS" : "RELATIVE PHOTONS");
    if (!packed || !equalSteps(nm)) {
        out += fmt::format("##NPOINTS={}\n##XYPOINTS=(XY..XY)\n", nm.size());
        for (std::size_t i = 0; i < nm.size(); ++i) out += fmt::format("{}, {:.9g}\n", nm[i], values[i]);
        return out + "##END=\n";
    }
    constexpr double kWholeTop = 1e9;
    const double top = *std::max_element(values.begin(), values.end());
    const double factor = top > 0.0 ? top / kWholeTop : 1.0;
    std::vector<long> whole;
    for (const double value : values) whole.push_back(std::lround(value / factor));
    out += fmt::format(
        "##XFACTOR=1\n##YFACTOR={}\n##FIRSTX={}\n##LASTX={}\n##NPOINTS={}\n##FIRSTY={:.9g}\n"
        "##XYDATA=(X++(Y..Y))\n",
        factor, nm.front(), nm.back(), nm.size(), values.front());
    return out + packedRows(nm, whole) + "##END=\n";
}

}  // namespace glumet
