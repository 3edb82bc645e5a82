// Throws text at what reviewers write: Markdown with figures by name, and templates of reviews. A template
// that is taken is written as one that reads the same.
#include <cstdint>
#include <cstdlib>

#include "report/page/markdown.h"
#include "report/review/template.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string_view text(reinterpret_cast<const char*>(data), size);
    std::vector<std::string> unknown;
    (void)glumet::markdownBlocks(text, 3, {{"height", glumet::verbatim("21 cm")}}, &unknown);
    const auto parts = glumet::parseTemplate(text);
    if (!parts) return 0;
    const auto again = glumet::parseTemplate(glumet::textOf(*parts));
    if (!again || !(*again == *parts)) std::abort();
    return 0;
}
