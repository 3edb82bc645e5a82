#pragma once

#include <functional>

#include "core/bench/describe.h"

namespace glumet {

/// Takes `by(table)` off an entity's id, off whatever it refers to, and off all that hangs below it: a bench
/// whose ids clash with no other's.
void moveIds(const EntityType& type, void* entity, const std::function<Id(const char*)>& by);

template <class Entity>
void moveIds(Entity& entity, const std::function<Id(const char*)>& by) {
    moveIds(entityType<Entity>(), &entity, by);
}

}  // namespace glumet
