#pragma once

#include <map>
#include <string>
#include <string_view>
#include <vector>

#include "core/base/problem.h"
#include "report/page/document.h"

namespace glumet {

/// What a reviewer's words may name as {{name}}: figures of the project, as they are said.
using NamedValues = std::map<std::string, Words>;

/// Markdown (CommonMark) as blocks: headings (from `top_level` down), paragraphs, lists, quotes, emphasis,
/// code and links to http, https and mailto. Markup of other languages stands as the text it is. {{name}}
/// becomes the value of that name; one that there is none of stays as it stands and is told in `unknown`.
std::vector<Block> markdownBlocks(std::string_view markdown, int top_level, const NamedValues& values,
                                  std::vector<std::string>* unknown = nullptr);

}  // namespace glumet
