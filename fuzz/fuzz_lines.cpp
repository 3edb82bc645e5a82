// Throws bytes at what instruments send, cut anywhere: whatever the format, every value is one that light can
// have, and nothing is held beyond the longest line.
#include <cstdint>
#include <cstdlib>

#include "core/base/limits.h"
#include "meters/line_parser.h"
#include "meters/line_pattern.h"

namespace {

/// The first byte chooses how lines are read.
glumet::LineFormat formatOf(std::uint8_t choice) {
    glumet::LineFormat format;
    format.column = 1 + choice % 5;
    if (choice & 8U) format.pattern = QStringLiteral("PPFD=([-+0-9.,eE]+)");
    if (choice & 16U) format.factor = -2.5;
    if (choice & 32U) format.spectrum = glumet::SpectralSample{380.0, 5.0, {}, {}};
    return format;
}

}  // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 2) return 0;
    glumet::LineParser whole(formatOf(data[0]));
    glumet::LineParser cut(formatOf(data[0]));
    const QByteArrayView bytes(reinterpret_cast<const char*>(data) + 2, static_cast<qsizetype>(size - 2));
    const auto at = size == 2 ? 0 : static_cast<qsizetype>(data[1]) % (bytes.size() + 1);
    const auto values = whole.feed(bytes);
    auto in_two = cut.feed(bytes.first(at));
    for (const double value : cut.feed(bytes.sliced(at))) in_two.push_back(value);
    if (values != in_two) std::abort();
    for (const double value : values)
        if (!(value >= 0.0 && value <= glumet::limits::kPpfd * 1000)) std::abort();
    (void)cut.feed(bytes, 1);
    (void)glumet::patternAt(QString::fromUtf8(bytes), at);
    return 0;
}
