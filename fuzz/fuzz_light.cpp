// Throws bytes at the readers of scenes and photometric files: none may crash, hang, allocate by a lying
// count, or accept what cannot be computed.
#include <cstdint>
#include <cstdlib>

#include "formats/lm63.h"
#include "formats/scene_json.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string_view bytes(reinterpret_cast<const char*>(data), size);
    if (const auto photometry = glumet::readLm63(bytes)) {
        if (!(photometry->beam.lastAngle() <= 90.0)) std::abort();
        if (!glumet::readLm63(glumet::writeLm63(photometry->beam, 1.0, photometry->name))) std::abort();
    }
    const auto none = [](const std::string& name) -> glumet::Expected<std::string> {
        return glumet::problem(name, glumet::verbatim("is not there"));
    };
    if (const auto scene = glumet::readScene(bytes, none))
        if (glumet::wrongWith(scene->scene)) std::abort();
    return 0;
}
