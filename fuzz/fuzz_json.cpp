// Throws bytes at every reader of JSON but scenes: none may crash, hang or accept what cannot be.
#include <cstdint>
#include <cstdlib>

#include "core/bench/bench_rules.h"
#include "formats/bench_json.h"
#include "formats/method_json.h"
#include "formats/model_json.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    using namespace glumet;  // NOLINT: one small program
    const std::string_view bytes(reinterpret_cast<const char*>(data), size);
    if (const auto bench = readBench(bytes)) {
        if (!faultsOf(*bench).empty()) std::abort();
        const auto written = writeBench(*bench);
        const auto again = readBench(written);
        if (!again || writeBench(*again) != written) std::abort();
    }
    if (const auto methods = readMethods(bytes))
        if (!readMethods(writeMethods(*methods))) std::abort();
    if (const auto tank = readTank(bytes))
        if (!(tank->length_mm > 0.0)) std::abort();
    if (const auto fixture = readFixtureFile(bytes))
        if (faultOf(fixture->fixture)) std::abort();
    if (const auto model = readModel(bytes))
        if (!readModel(writeModel(*model))) std::abort();
    const auto none = [](const std::string& name) -> Expected<std::string> {
        return problem(name, verbatim("is not there"));
    };
    (void)readModelScene(bytes, none);
    return 0;
}
