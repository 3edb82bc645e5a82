#pragma once

#include <QString>

namespace glumet {

/// What a ring of a grid that has `count` of them is called; 0 is the outermost.
QString ringName(int ring, int count);

}  // namespace glumet
