// Throws bytes at the reader of Modbus answers: none but the one that was asked for counts, however the
// stream is cut.
#include <cstdint>
#include <cstdlib>

#include "meters/modbus_meter.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    if (size < 3) return 0;
    glumet::ModbusFrames frames;
    glumet::ModbusRegister at;
    at.unit = 1 + data[0] % 3;
    at.type = static_cast<glumet::ModbusRegister::Type>(data[1] % 5);
    const auto question = frames.ask({at.unit, 7, at.words(), (data[0] & 4U) != 0});
    const QByteArray bytes(reinterpret_cast<const char*>(data) + 3, static_cast<qsizetype>(size - 3));
    const auto step = std::max<qsizetype>(1, data[2]);
    for (qsizetype from = 0; from < bytes.size(); from += step) {
        const auto answer = frames.take(bytes.mid(from, step));
        if (!answer || !answer->refusal.isEmpty()) continue;
        if (answer->words.size() != at.words() || frames.asked()) std::abort();
        if (!bytes.contains(question.left(2))) std::abort();
        (void)at.decode(answer->words);
    }
    return 0;
}
