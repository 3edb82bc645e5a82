#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "core/base/limits.h"
#include "core/base/problem.h"

namespace glumet {

/// A file of an archive, by its path in it.
struct ArchiveMember {
    std::string name;
    std::string bytes;

    bool operator==(const ArchiveMember&) const = default;
};

/// A zip archive of these, in this order, deflated. It holds no date: the same members give the same bytes.
Expected<std::string> zipOf(const std::vector<ArchiveMember>& members);

/// What an archive holds. Refused: what is no zip, paths that lead out of it, more than `most` bytes unpacked
/// or 10 000 members, and members that are damaged.
Expected<std::vector<ArchiveMember>> unzipped(std::string_view bytes, std::size_t most = limits::kTableBytes);

/// Whether bytes begin as a zip archive does.
bool looksLikeZip(std::string_view bytes);

}  // namespace glumet
