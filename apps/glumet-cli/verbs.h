#pragma once

#include <QStringList>
#include <optional>
#include <string>
#include <vector>

#include "core/base/problem.h"
#include "core/plane/plane_statistics.h"
#include "core/words/wording.h"
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
    std::optional<Band> band;
    std::optional<double> ceiling;
    std::string fixture;  ///< description, for the maker's claim
};
Expected<Output> height(const HeightQuestion& question);

struct ImportQuestion {
    std::vector<std::string> files;
    std::string project;
    SheetAnswers sheet;  ///< for sheets of typed planes; an empty run takes the file's name
    LengthUnit sheet_unit = LengthUnit::Cm;
    std::string channel;  ///< of the sheet's fixture, for spectra; empty: all on
};
Expected<Output> importFiles(const ImportQuestion& question);
Expected<Output> exportProject(const std::string& project, const std::string& folder);

struct PublishQuestion {
    std::vector<std::string> projects;
    std::string folder;
    std::vector<std::string> fixtures;  ///< empty: those chosen in the project, else the first with readings
    bool all = false;                   ///< every configuration with readings
    std::string sections;               ///< a ready template's name or a file; empty: the project's own
    std::string unit;
    std::string day;
};
/// Of several projects each goes into a folder of its own, named by its file, one after the other; progress
/// is told on stderr.
Expected<Output> publish(const PublishQuestion& question);

Expected<Output> check(const std::string& project);

/// The exact light field of a scene file, and where its photons go.
Expected<Output> field(const std::string& scene, bool with_budget);
/// A photometric file as a beam table; `target` not empty: written back as LM-63-2019.
Expected<Output> beam(const std::string& file, const std::string& target);

/// How hard a scene is to shadow, how it shimmers and how its colours flash; `model` for its fitted fixtures.
Expected<Output> shadow(const std::string& model, const std::string& scene);

struct SpectrumQuestion {
    std::vector<std::string> files;
    std::string response;              ///< curve of a sensor; empty: none
    std::optional<double> depth_m;     ///< of pure water that the light has passed
    std::vector<std::string> weights;  ///< curves to weigh by, beside the ready ones
};
/// Colour, bands, peaks, blending and correction of spectra.
Expected<Output> spectrum(const SpectrumQuestion& question);

struct CompareQuestion {
    std::string project;
    std::string at;    ///< "own": each at its own height; a height in mm; empty: as the project says
    std::string tank;  ///< empty: the one that most configurations were read in
};
/// What differs, pair by pair, and who comes first.
Expected<Output> compare(const CompareQuestion& question);

struct FitQuestion {
    std::vector<std::string> files;  ///< readings, or ring figures of others
    std::string tank;
    std::string fixture;  ///< empty: the layout is chosen by what fits
    std::string preset;   ///< of the runs to fit; empty: of the first configuration
    std::string out;
};
Expected<Output> fit(const FitQuestion& question);
Expected<Output> predicted(const std::string& model, const std::string& scene);

struct SpacingQuestion {
    std::string model;
    std::string tank;
    int count = 2;
    double height_mm = 200.0;
    double share_pct = 75.0;
    std::optional<double> depth_mm;
    int columns = 0;
    int rows = 0;
    std::optional<Band> band;
    std::optional<double> ceiling;
    std::optional<double> floor;
    bool crosswise = false;
    bool turned = false;
    bool spread_inner = false;
    bool each = false;
    bool volume = false;
    double canopy_length_mm = 0.0;
    double canopy_width_mm = 0.0;
    std::optional<double> fewest_pct;  ///< also the fewest fixtures that put so much into the band
};
Expected<Output> spacingVerb(const SpacingQuestion& question);
/// Several models are channels of one fixture; then the best mix is sought besides.
Expected<Output> intensityVerb(const std::vector<std::string>& models, const std::string& scene,
                               const Band& band);

/// What a verb does, asks and answers; nothing for an unknown one.
std::optional<std::string> helpOf(const std::string& verb);

/// "cm", "mm" or "in"; anything else is cm.
LengthUnit unitFrom(const std::string& name);

/// "LO:HI" with 0 ≤ LO ≤ HI.
Expected<Band> bandFrom(const std::string& text);

/// Spots of living tanks, each with its latest reading.
Expected<Output> spots(const std::string& project);

/// A light raised slowly, week by week; refused with its reason where the cap forbids it.
struct RampVerbQuestion {
    double from_pct = 0.0;
    double to_pct = 0.0;
    int weeks = 0;
    std::string by = "log";
    std::optional<double> cap_pct_week;  ///< per cent brighter
    std::string ics;                     ///< a calendar file; empty: none
    std::string start;                   ///< ISO date of its first day
};
Expected<Output> ramp(const RampVerbQuestion& question);

}  // namespace glumet::cli
