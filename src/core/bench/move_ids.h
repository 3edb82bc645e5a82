#pragma once

#include <type_traits>

#include "core/bench/descriptions.h"

namespace glumet {

/// Takes `by(table)` off an entity's id, off whatever it refers to, and off all that hangs below it: a bench
/// whose ids clash with no other's.
template <class Entity, class By>
void moveIds(Entity& entity, const By& by) {
    if constexpr (requires { entity.id; }) entity.id -= by(tableOf(of<Entity>));
    forEachPart(of<Entity>, [&](const auto& part) {
        using Part = std::decay_t<decltype(part)>;
        if constexpr (kIsChildren<Part>) {
            for (auto& child : part.access(entity)) moveIds(child, by);
        } else if constexpr (kIsField<Part>) {
            if constexpr (!std::is_void_v<typename Part::target>)
                if (part.access(entity) != 0) part.access(entity) -= by(tableOf(of<typename Part::target>));
        }
    });
}

}  // namespace glumet
