#include <map>

#include "verbs.h"

namespace glumet::cli {

std::optional<std::string> helpOf(const std::string& verb) {
    static const std::map<std::string, std::string> texts{
        {"stats",
         "glumet-cli stats READINGS.csv [--band LO:HI] [--json]\n\n"
         "Statistics of every plane of every run in a readings file: number of points, mean, min, max, "
         "coefficient\n"
         "of variation (divisor n), ring means from the outermost ring inward where the points fill a grid, "
         "and with\n"
         "--band the share of points within LO…HI µmol·m⁻²·s⁻¹, both ends included.\n"
         "Readings flagged \"excluded\" are left out; of two readings of one point the later counts.\n"},
        {"height",
         "glumet-cli height READINGS.csv [--limit 15] [--depth-mm D] [--school spill-limit] [--json]\n\n"
         "Recommended mounting height per configuration. Spill limit: the highest measured height at which "
         "the grid\n"
         "mean at a shallow depth (default: the shallowest that most heights share) has lost at most LIMIT "
         "percent of\n"
         "that at the lowest height; crossing_height_mm is where the monotone cubic through the losses meets "
         "the\n"
         "limit, lo_mm and hi_mm its 95 % interval from placing and ripple. A school that cannot speak says "
         "why.\n"},
        {"import",
         "glumet-cli import FILE… --into PROJECT.glumet [--json]\n\n"
         "Adds readings files (.csv) and at most one bench description (.json) to a project, which is made "
         "if it does\n"
         "not exist. All or nothing: one bad row and the project stays as it was.\n"
         "A table without the readings' columns is read as a sheet of typed planes: blocks of numbers with a "
         "title line\n"
         "such as \"height 25 cm, depth 15 cm\" above. What it does not say is given by --run, --fixture, "
         "--tank,\n"
         "--height-mm, --depth-mm, --pitch-x-mm, --pitch-y-mm (or --length-mm, --width-mm), --unit, "
         "--front-row-first.\n"},
        {"export",
         "glumet-cli export PROJECT.glumet --out DIR [--json]\n\n"
         "Writes readings.csv and bench.json. Importing both into a new project loses nothing.\n"},
        {"publish",
         "glumet-cli publish PROJECT.glumet --out DIR [--fixture NAME] [--unit cm|mm|in] [--json]\n\n"
         "Writes the review of one configuration (default: the first): review.html, review.pdf, the figures "
         "as SVG and\n"
         "PNG, and the data behind them (readings.csv, bench.json).\n"},
        {"check",
         "glumet-cli check PROJECT.glumet [--json]\n\n"
         "Checks a project file's integrity and format and counts what it holds. Nothing is changed.\n"},
        {"field",
         "glumet-cli field SCENE.json [--budget] [--json]\n\n"
         "PPFD of still water at every point and depth a scene asks for: direct light through the surface "
         "and "
         "light\n"
         "reflected at the walls, source by source, nothing tabulated. --budget adds where the photons go "
         "(spilled,\n"
         "reflected, absorbed, lost at each wall, delivered), µmol/s. The scene's format is in "
         "docs/file-formats.md;\n"
         "a scene that cannot be computed is refused by the key that is wrong.\n"},
        {"beam",
         "glumet-cli beam FILE [--out BEAM.ies] [--json]\n\n"
         "Reads a photometric file (IES LM-63-2002 or -2019, type C, TILT=NONE) as a rotationally symmetric "
         "beam\n"
         "table: the mean of its horizontal planes, 0…90° from straight down. Says how much light goes "
         "upward "
         "and how\n"
         "far the planes differ. --out writes the table back as LM-63-2019.\n"},
        {"help", "glumet-cli help VERB\n\nWhat a verb does, asks and answers.\n"},
    };
    const auto found = texts.find(verb);
    return found == texts.end() ? std::nullopt : std::optional(found->second);
}

}  // namespace glumet::cli
