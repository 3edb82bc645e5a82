#pragma once

namespace glumet {

class ProjectFile;

/// Up to format 4 a fixture's channels were one text. Makes a row of each, and tells the undo journal of the
/// rows that each step's change of that text would have added and removed, so that undo and redo go on as
/// before. Throws SqlFault.
void upgradeChannels(const ProjectFile& file);

}  // namespace glumet
