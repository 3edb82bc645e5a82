#pragma once

#include <QString>
#include <string>
#include <string_view>
#include <vector>

#include "core/bench/bench.h"
#include "core/compare/comparison.h"
#include "core/fit/fit.h"
#include "formats/zip_archive.h"

namespace glumet {

/// What a data package says of itself.
struct PackageAbout {
    QString created;                                      ///< ISO date, injected; empty: not said
    std::vector<std::pair<std::string, FitResult>> fits = {};  ///< models that go along, by configuration
    /// As the review has it: of what is reviewed, not of all that was read. None: it compares nothing.
    std::shared_ptr<const Comparison> comparison = {};
};

/// A bench as a data package: an open zip after the Frictionless Data Package specification (version 1).
/// datapackage.json names every file with its bytes and SHA-256, and for tables every column with type, unit
/// and meaning. Tables (UTF-8, comma, dot): readings, planes, fixtures, verdicts, spectra, ratings, and the
/// comparison. Besides: bench.json, from which with readings.csv an import makes the bench again; fitted models
/// as JSON and as LM-63; spectra as TM-27. The same bench and date give the same bytes.
Expected<std::string> dataPackageOf(const Bench& bench, const PackageAbout& about);

/// The two files of a package that an import takes.
struct PackageData {
    std::string readings;     ///< readings.csv
    std::string description;  ///< bench.json
    std::string title;
};

/// Refused with one sentence: no archive, no datapackage.json, a file that is named and not there, and one
/// whose bytes are not those that the package says.
Expected<PackageData> readDataPackage(std::string_view bytes);

/// SHA-256 in hexadecimal.
std::string sha256(std::string_view bytes);

}  // namespace glumet
