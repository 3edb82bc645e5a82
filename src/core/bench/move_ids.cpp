#include "core/bench/move_ids.h"

namespace glumet {

void moveIds(const EntityType& type, void* entity, const std::function<Id(const char*)>& by) {
    if (type.numbered) type.id(entity) -= by(type.table);
    for (const auto& part : type.parts) {
        if (part.kind == PartKind::Children) {
            const auto& list = *part.type;
            for (std::size_t i = 0; i < list.size(part.of(entity)); ++i)
                moveIds(part.child(), list.mutableAt(part.of(entity), i), by);
        } else if (part.kind == PartKind::Field && part.isReference() && part.reference(entity) != 0) {
            part.reference(entity) -= by(part.target().table);
        }
    }
}

}  // namespace glumet
