#pragma once

#include <QStringList>
#include <optional>
#include <string>
#include <vector>

#include "core/plane_statistics.h"
#include "core/problem.h"
#include "core/wording.h"
#include "formats/plane_sheet.h"

namespace glumet::cli {

/// What a verb prints on success: one JSON object, and the same for a person.
struct Output {
    std::string json;
    std::string text;
};

Expected<Output> stats(const std::string& file, const std::optional<Band>& band);

struct HeightQuestion {
    std::string file;
    std::string school;
    double limit_pct = 15.0;
    std::optional<double> depth_mm;
};
Expected<Output> height(const HeightQuestion& question);

struct ImportQuestion {
    std::vector<std::string> files;
    std::string project;
    SheetAnswers sheet;  ///< for sheets of typed planes; an empty run takes the file's name
    LengthUnit sheet_unit = LengthUnit::Cm;
};
Expected<Output> importFiles(const ImportQuestion& question);
Expected<Output> exportProject(const std::string& project, const std::string& folder);

struct PublishQuestion {
    std::string project;
    std::string folder;
    std::string fixture;  ///< empty: the first configuration with readings
    std::string unit;
    std::string day;
};
Expected<Output> publish(const PublishQuestion& question);

Expected<Output> check(const std::string& project);

/// The exact light field of a scene file, and where its photons go.
Expected<Output> field(const std::string& scene, bool with_budget);
/// A photometric file as a beam table; `target` not empty: written back as LM-63-2019.
Expected<Output> beam(const std::string& file, const std::string& target);

/// What a verb does, asks and answers; nothing for an unknown one.
std::optional<std::string> helpOf(const std::string& verb);

/// "cm", "mm" or "in"; anything else is cm.
LengthUnit unitFrom(const std::string& name);

/// "LO:HI" with 0 ≤ LO ≤ HI.
Expected<Band> bandFrom(const std::string& text);

}  // namespace glumet::cli
