#pragma once

#include "project/project.h"

namespace glumet::testing {

/// The demonstration as it is shipped: to make it anew takes a hundred times as long as to open it.
inline Bench shippedDemo() {
    return (*Project::look(QStringLiteral(GLUMET_SOURCE_DIR "/data/demo/nursery.glumet")))->bench();
}

}  // namespace glumet::testing
