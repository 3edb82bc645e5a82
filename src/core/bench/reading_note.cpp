#include "core/bench/reading_note.h"

namespace glumet {
namespace {

constexpr std::string_view kBetween = "; ";

}  // namespace

void remark(Reading& reading, std::string_view words) {
    if (!reading.note.empty()) reading.note += kBetween;
    reading.note += words;
}

bool isSimulated(const Reading& reading) {
    std::string_view rest = reading.note;
    while (!rest.empty()) {
        const auto end = rest.find(kBetween);
        if (rest.substr(0, end) == kSimulatedRemark) return true;
        rest.remove_prefix(end == std::string_view::npos ? rest.size() : end + kBetween.size());
    }
    return false;
}

}  // namespace glumet
