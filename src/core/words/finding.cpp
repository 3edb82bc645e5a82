#include "core/words/finding.h"

#include <utility>

namespace glumet {

Finding finding(FindingKind kind, Words title, Words body, EvidenceView view,
                const std::optional<FindingPlace>& place) {
    Finding out;
    out.kind = kind;
    out.title = std::move(title);
    out.body = std::move(body);
    out.view = view;
    if (place) {
        out.run = place->run;
        out.depth = place->depth;
    }
    return out;
}

}  // namespace glumet
