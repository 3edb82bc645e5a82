#include "core/bench/run.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <utility>

#include "core/bench/describe.h"

namespace glumet {

template <>
struct WordsOf<Mark> {
    static constexpr std::array value{std::pair{Mark::None, ""}, std::pair{Mark::Doubtful, "doubtful"},
                                      std::pair{Mark::Excluded, "excluded"},
                                      std::pair{Mark::Reference, "reference"},
                                      std::pair{Mark::Repeat, "repeat"}};
};

std::string Flag::text() const { return mark == Mark::None ? remark : wordOf(mark); }

Flag Flag::of(std::string text) {
    Flag flag;
    if (!readWord(text, flag.mark)) flag.remark = std::move(text);
    return flag;
}

std::string RingName::text() const {
    switch (number) {
        case kAll:
            return "all";
        case kLeast:
            return "min";
        case kGreatest:
            return "max";
        case kUnread:
            return "";
        default:
            return std::to_string(number);
    }
}

RingName RingName::of(const std::string& text) {
    for (const int named : {kAll, kLeast, kGreatest})
        if (text == RingName{named}.text()) return {named};
    int number = 0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), number);
    const bool whole = error == std::errc() && end == text.data() + text.size() && number >= 0;
    return {whole ? number : kUnread};
}

bool hasPoints(const RingMean& mean) {
    return mean.columns > 0 && mean.rows > 0 && mean.ring.isMean() &&
           mean.ring.number <= (std::min(mean.columns, mean.rows) - 1) / 2;
}

std::optional<double> Reading::relativeStandardError() const {
    if (!sd || !samples || *samples < 1.0 || mean.value() <= 0.0) return std::nullopt;
    return *sd / (mean.value() * std::sqrt(*samples));
}

std::optional<Watt> Run::power() const {
    double sum = 0.0;
    int count = 0;
    for (const auto& plane : planes)
        for (const auto& reading : plane.readings)
            if (reading.power && reading.counts()) {
                sum += reading.power->value();
                ++count;
            }
    if (count == 0) return std::nullopt;
    return Watt(sum / count);
}

bool Run::onlyMeans() const {
    bool some = false;
    for (const auto& plane : planes) {
        if (!plane.readings.empty()) return false;
        some = some || !plane.means.empty();
    }
    return some;
}

std::vector<double> hangingPlaces(const RunSettings& run, double length_mm) {
    auto centres = run.placement.centres;
    if (centres.size() != static_cast<std::size_t>(run.fixtures))
        centres = equalDivision(Millimetre(length_mm), run.fixtures);
    std::vector<double> places;
    for (const auto centre : centres) places.push_back(centre.value());
    return places;
}

}  // namespace glumet
