#pragma once

#include <QRectF>
#include <string>
#include <vector>

#include "report/review/publication.h"

namespace glumet {

/// A section as it is made: its blocks, or why there are none.
struct MadeSection {
    std::vector<Block> blocks;
    Words missing;   ///< "not measured: …"
    int doubts = 0;  ///< that it says
};

/// What a section is of: the publication, and one fixture of it for those said of each.
struct SectionOf {
    const Publication& all;
    const FixtureReview* one = nullptr;
    int level = 3;          ///< of headings within it
    std::string name = {};  ///< of its pictures' files: "osier-60"

    const FixtureReview& fixture() const { return *one; }
};

MadeSection cardSection(const SectionOf& of);
MadeSection shortSection(const SectionOf& of);
MadeSection fieldSection(const SectionOf& of);
MadeSection heightSection(const SectionOf& of);
MadeSection arraysSection(const SectionOf& of);
MadeSection spectrumSection(const SectionOf& of);
MadeSection shadowSection(const SectionOf& of);
MadeSection costSection(const SectionOf& of);
MadeSection compareSection(const SectionOf& of);
MadeSection changeSection(const SectionOf& of);
MadeSection rubricSection(const SectionOf& of);
MadeSection methodSection(const SectionOf& of);
MadeSection doubtsSection(const SectionOf& of);
MadeSection glossarySection(const SectionOf& of);
MadeSection dataSection(const SectionOf& of);
MadeSection cautionsSection(const SectionOf& of);

/// Planned arrays in which the fixture hangs: a table, what is noted of them, and maps; nothing without one.
std::vector<Block> plannedBlocks(const SectionOf& of);

/// A picture's figure within its frame: kPicturePad on all sides.
inline constexpr double kPicturePad = 8.0;
inline QRectF inside(const QRectF& area) {
    return area.adjusted(kPicturePad, kPicturePad, -kPicturePad, -kPicturePad);
}

/// A section's heading on the page.
Words titleOf(ReviewSection section);
MadeSection made(ReviewSection section, const SectionOf& of);

/// "osier-60-all-channels-full": what every file system takes.
std::string fileStem(const std::string& name);
/// Of each fixture of a publication, each once.
std::vector<std::string> fileStems(const Publication& publication);

}  // namespace glumet
