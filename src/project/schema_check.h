#pragma once

#include <QString>
#include <optional>

namespace glumet {

class ProjectFile;

/// What of a file's schema no Glumet wrote, by name: a view, a trigger, a table or index of another hand, a
/// column that computes; nothing where all is ours. Runs nothing of what it looks at. Throws SqlFault.
std::optional<QString> foreignSchema(const ProjectFile& file, int version);

}  // namespace glumet
