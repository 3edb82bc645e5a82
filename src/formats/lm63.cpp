#include "formats/lm63.h"

#include <fmt/format.h>

#include <array>
#include <charconv>
#include <cmath>
#include <map>
#include <numbers>
#include <optional>
#include "core/base/angle.h"
#include "core/base/limits.h"
#include "core/base/trimmed.h"

namespace glumet {
namespace {

constexpr auto kMostBytes = limits::kPhotometryBytes;
constexpr double kMostAngles = limits::kAngles;
constexpr double kFootMm = 304.8;
constexpr double kAngleSlack = 1e-6;
/// Planes that differ by no more of the peak are one.
constexpr double kAlike = 1e-9;

/// Thrown at the first thing that is wrong, caught in readLm63.
struct PhotometryFault {
    Problem problem;
};
[[noreturn]] void fail(std::size_t line, Words what) {
    throw PhotometryFault{Problem{fmt::format("line {}", line), std::move(what)}};
}

/// Text by lines, then by numbers that may run on over any number of lines.
class Source {
  public:
    explicit Source(std::string_view bytes) : rest_(bytes) {}

    std::optional<std::string_view> line() {
        if (rest_.empty()) return std::nullopt;
        ++number_;
        const auto end = rest_.find('\n');
        const auto text = rest_.substr(0, end);
        rest_ = end == std::string_view::npos ? std::string_view{} : rest_.substr(end + 1);
        return trimmed(text);
    }
    double number(const Words& what) {
        while (line_.empty()) {
            const auto next = line();
            if (!next) fail(number_, say(GLUMET_SAY("Core", "the file ends before {}"), what));
            line_ = *next;
        }
        const auto end = line_.find_first_of(" \t,");
        const auto word = line_.substr(0, end);
        line_ = end == std::string_view::npos ? std::string_view{} : trimmed(line_.substr(end + 1));
        double value = 0.0;
        const auto digits = word.starts_with('+') ? word.substr(1) : word;
        const auto [stop, error] = std::from_chars(digits.data(), digits.data() + digits.size(), value);
        if (error != std::errc{} || stop != digits.data() + digits.size() ||
            !(std::abs(value) <= limits::kNumber))
            fail(number_, say(GLUMET_SAY("Core", "\"{}\" stands where {} should"),
                              std::string(word.substr(0, 20)), what));
        return value;
    }
    std::size_t lineNumber() const { return number_; }

  private:
    std::string_view rest_;
    std::string_view line_;
    std::size_t number_ = 0;
};

struct Header {
    double candela_factor = 1.0;
    int vertical = 0;
    int horizontal = 0;
};

int wholeNumber(Source& source, const Words& what, double least, double most) {
    const double value = source.number(what);
    if (!(value >= least && value <= most) || value != std::floor(value))
        fail(source.lineNumber(), say(GLUMET_SAY("Core", "{} must be a whole number from {} to {}, is {}"),
                                      what, Figure{least}, Figure{most}, Figure{value}));
    return static_cast<int>(value);
}

void readRevision(Source& source) {
    const auto first = source.line();
    if (!first) fail(1, say(GLUMET_SAY("Core", "the file is empty")));
    if (*first == "IESNA:LM-63-2002" || *first == "IES:LM-63-2019") return;
    if (first->starts_with("IES"))
        fail(1, say(GLUMET_SAY("Core", "revision \"{}\" is not read"), std::string(first->substr(0, 40))));
    fail(1, say(GLUMET_SAY("Core", "this is not an LM-63-2002 or LM-63-2019 file")));
}

void readKeywords(Source& source, Photometry& out) {
    while (const auto line = source.line()) {
        if (line->starts_with("TILT=")) {
            if (*line != "TILT=NONE")
                fail(source.lineNumber(), say(GLUMET_SAY("Core", "{} is not read, only TILT=NONE"),
                                              std::string(line->substr(0, 40))));
            return;
        }
        const auto end = line->find(']');
        if (!line->starts_with('[') || end == std::string_view::npos)
            fail(source.lineNumber(),
                 say(GLUMET_SAY("Core", "a keyword in square brackets or TILT= is expected")));
        if (std::string(line->substr(0, end + 1)) == "[LUMINAIRE]")
            out.name = trimmed(std::string(line->substr(end + 1)));
    }
    fail(source.lineNumber(), say(GLUMET_SAY("Core", "the file ends before TILT=")));
}

Header readHeader(Source& source, Photometry& out) {
    Header header;
    source.number(say(GLUMET_SAY("Core", "the number of lamps")));
    source.number(say(GLUMET_SAY("Core", "the lumens per lamp")));
    header.candela_factor = source.number(say(GLUMET_SAY("Core", "the candela multiplier")));
    header.vertical =
        wholeNumber(source, say(GLUMET_SAY("Core", "the number of vertical angles")), 2, kMostAngles);
    header.horizontal =
        wholeNumber(source, say(GLUMET_SAY("Core", "the number of horizontal angles")), 1, kMostAngles);
    const int type = wholeNumber(source, say(GLUMET_SAY("Core", "the photometric type")), 1, 3);
    if (type != 1)
        fail(source.lineNumber(),
             say(GLUMET_SAY("Core", "photometric type {} is not read, only type C"), type == 2 ? "B" : "A"));
    const double unit =
        wholeNumber(source, say(GLUMET_SAY("Core", "the unit of length")), 1, 2) == 1 ? kFootMm : 1000.0;
    // Negative sizes stand for round openings: their magnitude is the diameter.
    out.width_mm = std::abs(source.number(say(GLUMET_SAY("Core", "the width of the opening")))) * unit;
    out.length_mm = std::abs(source.number(say(GLUMET_SAY("Core", "the length of the opening")))) * unit;
    source.number(say(GLUMET_SAY("Core", "the height of the opening")));
    header.candela_factor *= source.number(say(GLUMET_SAY("Core", "the ballast factor")));
    source.number(say(GLUMET_SAY(
        "Core", "the file generation type")));  // once the ballast-lamp factor; neither shapes a beam
    out.watt = source.number(say(GLUMET_SAY("Core", "the input watts")));
    if (!(header.candela_factor > 0.0))
        fail(source.lineNumber(), say(GLUMET_SAY("Core", "the multiplier must be above 0")));
    return header;
}

std::vector<double> readAngles(Source& source, int count, const Words& what) {
    std::vector<double> angles;
    for (int i = 0; i < count; ++i) {
        angles.push_back(source.number(what));
        if (i > 0 && angles[angles.size() - 2] >= angles.back())
            fail(source.lineNumber(), say(GLUMET_SAY("Core", "{}s must ascend"), what));
    }
    return angles;
}

bool near(double a, double b) { return std::abs(a - b) < kAngleSlack; }

/// What is written as 89.9999999 is meant to be the horizontal.
double exact(double angle) {
    for (const double meant : {0.0, 90.0, 180.0})
        if (near(angle, meant)) return meant;
    return angle;
}

void checkVertical(const std::vector<double>& angles, std::size_t line) {
    const double first = angles.front();
    const double last = angles.back();
    if (near(first, 90.0))
        fail(line, say(GLUMET_SAY("Core", "the luminaire shines upward only: there is no light for a tank")));
    if (!near(first, 0.0) || !(near(last, 90.0) || near(last, 180.0)))
        fail(line, say(GLUMET_SAY("Core", "vertical angles {}…{} are not those of type C"), Figure{first},
                       Figure{last}));
}

void checkHorizontal(const std::vector<double>& angles, std::size_t line) {
    const double first = angles.front();
    const double last = angles.back();
    const bool from_zero = near(first, 0.0) &&
                           (angles.size() == 1 || near(last, 90.0) || near(last, 180.0) || near(last, 360.0));
    if (!from_zero && !(near(first, 90.0) && near(last, 270.0)))
        fail(line, say(GLUMET_SAY("Core", "horizontal angles {}…{} are not those of a symmetry of type C"),
                       Figure{first}, Figure{last}));
}

/// Half the way to the neighbours; a whole turn counts its first plane, which is also its last, once in all.
std::vector<double> planeWeights(const std::vector<double>& angles) {
    if (angles.size() == 1) return {1.0};
    std::vector<double> weights;
    for (std::size_t i = 0; i < angles.size(); ++i) {
        const double below = i == 0 ? angles[i] : angles[i - 1];
        const double above = i + 1 == angles.size() ? angles[i] : angles[i + 1];
        weights.push_back((above - below) / 2.0 / (angles.back() - angles.front()));
    }
    return weights;
}

struct Distribution {
    std::vector<double> vertical;
    std::vector<double> horizontal;
    std::vector<std::vector<double>> planes;
    std::vector<double> mean;
    double unevenness = 0.0;
};

/// Planes of 90…270° are symmetric about the y axis: the other half of the turn is theirs at 180° − φ.
void fillTheTurn(Distribution& d) {
    if (d.horizontal.size() < 2 || d.horizontal.front() != 90.0) return;
    std::map<double, std::vector<double>> turn;
    for (std::size_t i = 0; i < d.horizontal.size(); ++i) {
        const double phi = d.horizontal[i];
        turn[phi] = d.planes[i];
        turn[phi <= 180.0 ? 180.0 - phi : 540.0 - phi] = d.planes[i];
    }
    turn[360.0] = turn[0.0];
    d.horizontal.clear();
    d.planes.clear();
    for (auto& [phi, plane] : turn) {
        d.horizontal.push_back(phi);
        d.planes.push_back(std::move(plane));
    }
}

/// A whole turn ends where it began.
void closeTheTurn(Distribution& d) {
    if (d.horizontal.back() != 360.0) return;
    for (std::size_t i = 0; i < d.vertical.size(); ++i)
        d.planes.front()[i] = d.planes.back()[i] = (d.planes.front()[i] + d.planes.back()[i]) / 2.0;
}

Distribution readCandela(Source& source, const Header& header) {
    Distribution out;
    out.vertical = readAngles(source, header.vertical, say(GLUMET_SAY("Core", "a vertical angle")));
    checkVertical(out.vertical, source.lineNumber());
    for (double& angle : out.vertical) angle = exact(angle);
    out.horizontal = readAngles(source, header.horizontal, say(GLUMET_SAY("Core", "a horizontal angle")));
    checkHorizontal(out.horizontal, source.lineNumber());
    for (double& angle : out.horizontal) angle = exact(angle);
    const auto weights = planeWeights(out.horizontal);
    auto& planes = out.planes;
    double peak = 0.0;
    out.mean.assign(out.vertical.size(), 0.0);
    for (const double weight : weights) {
        auto& plane = planes.emplace_back();
        for (double& mean : out.mean) {
            const double value = source.number(say(GLUMET_SAY("Core", "a candela value")));
            if (value < 0.0)
                fail(source.lineNumber(), say(GLUMET_SAY("Core", "candela values must be 0 or more")));
            plane.push_back(value);
            mean += weight * value;
            peak = std::max(peak, value);
        }
    }
    if (!(peak > 0.0)) fail(source.lineNumber(), say(GLUMET_SAY("Core", "the file carries no light")));
    for (const auto& plane : planes)
        for (std::size_t i = 0; i < plane.size(); ++i)
            out.unevenness = std::max(out.unevenness, std::abs(plane[i] - out.mean[i]) / peak);
    fillTheTurn(out);
    closeTheTurn(out);
    return out;
}

/// ∫ 2π sin θ I dθ over the table's angles from `low` to `high` degrees, trapezia.
double fluxBetween(const Distribution& d, double low, double high) {
    double sum = 0.0;
    for (std::size_t i = 0; i + 1 < d.vertical.size(); ++i) {
        if (d.vertical[i] < low - kAngleSlack || d.vertical[i + 1] > high + kAngleSlack) continue;
        const double t0 = d.vertical[i] * kDegree;
        const double t1 = d.vertical[i + 1] * kDegree;
        sum += std::numbers::pi * (t1 - t0) * (d.mean[i] * std::sin(t0) + d.mean[i + 1] * std::sin(t1));
    }
    return sum;
}

void keepDownward(const Distribution& d, std::size_t line, Photometry& out) {
    std::vector<double> theta;
    for (std::size_t i = 0; i < d.vertical.size() && d.vertical[i] <= 90.0 + kAngleSlack; ++i)
        theta.push_back(std::min(d.vertical[i], 90.0));
    const std::size_t below = theta.size();
    if (theta.back() < 90.0) theta.push_back(90.0);
    const auto downward = [&](const std::vector<double>& values) {
        std::vector<double> kept(values.begin(), values.begin() + static_cast<std::ptrdiff_t>(below));
        if (below == theta.size()) return kept;
        // The table steps over the horizontal: the value there is between.
        const double share = (90.0 - d.vertical[below - 1]) / (d.vertical[below] - d.vertical[below - 1]);
        kept.push_back(values[below - 1] + share * (values[below] - values[below - 1]));
        return kept;
    };
    const auto beam = d.unevenness <= kAlike ? Beam::table(theta, downward(d.mean)) : [&] {
        std::vector<std::vector<double>> planes;
        for (const auto& plane : d.planes) planes.push_back(downward(plane));
        return Beam::planes(theta, d.horizontal, planes);
    }();
    if (!beam) fail(line, say(GLUMET_SAY("Core", "below the horizontal: {}"), beam.error().what));
    out.beam = *beam;
    const double down = fluxBetween(d, 0.0, 90.0);
    const double up = fluxBetween(d, 90.0, 180.0);
    out.upward_share = up / (up + down);
}

}  // namespace

Expected<Photometry> readLm63(std::string_view bytes) {
    if (bytes.size() > kMostBytes)
        return problem("", say(GLUMET_SAY("Core", "the file has {} bytes, at most {} are read"),
                               countOf(bytes.size()), countOf(kMostBytes)));
    if (bytes.find('\0') != std::string_view::npos)
        return problem("", say(GLUMET_SAY("Core", "the file is binary, not LM-63 text")));
    try {
        Photometry out{*Beam::cosinePower(1.0), {}};
        Source source(bytes);
        readRevision(source);
        readKeywords(source, out);
        const auto header = readHeader(source, out);
        const auto distribution = readCandela(source, header);
        out.unevenness = distribution.unevenness;
        keepDownward(distribution, source.lineNumber(), out);
        return out;
    } catch (const PhotometryFault& fault) {
        return tl::make_unexpected(fault.problem);
    }
}

std::string writeLm63(const Beam& beam, double flux_umol_s, const std::string& name) {
    std::vector<double> angles = beam.thetaDeg();
    if (angles.empty())
        for (int degree = 0; degree <= 90; ++degree) angles.push_back(degree);
    if (angles.front() > 0.0) angles.insert(angles.begin(), 0.0);
    if (angles.back() < 90.0) {
        // Zero beyond the last angle: a step as narrow as six figures can tell.
        if (angles.back() < 89.999) angles.push_back(angles.back() + 0.001);
        angles.push_back(90.0);
    }
    std::string clean = name;
    for (char& c : clean)
        if (static_cast<unsigned char>(c) < 0x20) c = ' ';
    std::string out = fmt::format(
        "IES:LM-63-2019\n[TEST] none\n[TESTLAB] none\n[ISSUEDATE] none\n[MANUFAC] none\n[LUMCAT] none\n"
        "[LUMINAIRE] {}\n[OTHER] values are photon intensities, umol/s/sr, not candela\n"
        "TILT=NONE\n1 -1 1 {} {} 1 2 0 0 0\n1 1.00000 0\n",
        clean, angles.size(), beam.planeCount());
    const auto wrap = [&](const std::vector<double>& list, auto&& figure) {
        for (std::size_t i = 0; i < list.size(); ++i)
            out += fmt::format("{}{}", figure(list[i]), i % 10 == 9 || i + 1 == list.size() ? "\n" : " ");
    };
    const auto plain = [](double angle) { return fmt::format("{:.6g}", angle); };
    wrap(angles, plain);
    wrap(beam.round() ? std::vector<double>{0.0} : beam.phiDeg(), plain);
    for (std::size_t plane = 0; plane < beam.planeCount(); ++plane)
        wrap(angles, [&](double angle) {
            const double cosine = std::cos(angle * kDegree);
            return fmt::format("{:.6g}", flux_umol_s * beam.planeIntensity(plane, cosine));
        });
    return out;
}

}  // namespace glumet
