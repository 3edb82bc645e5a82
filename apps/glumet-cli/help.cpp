#include "verbs.h"

namespace glumet::cli {

namespace {

struct Help {
    const char* verb;
    const char* text;
};

constexpr Help kHelp[] = {
    {"stats",
     "glumet-cli stats READINGS.csv [--band LO:HI] [--json]\n\n"
     "Statistics of every plane of every run in a readings file: number of points, mean, min, max, "
     "coefficient\n"
     "of variation (divisor n), ring means from the outermost ring inward where the points fill a grid, "
     "and with\n"
     "--band the share of points within LO…HI µmol·m⁻²·s⁻¹, both ends included.\n"
     "Readings flagged \"excluded\" are left out; of two readings of one point the later counts.\n"},
    {"height",
     "glumet-cli height READINGS.csv [--limit 15] [--depth-mm D] [--band LO:HI] [--ceiling PPFD] "
     "[--claim "
     "FIXTURE.json]\n"
     "                  [--school NAME] [--json]\n\n"
     "Recommended mounting height per configuration, school by school, from the readings alone:\n"
     "  spill-limit   the highest height at which the grid mean at a shallow depth has lost at most "
     "LIMIT percent of\n"
     "                that at the lowest; crossing_height_mm is where the monotone cubic through the "
     "losses meets it\n"
     "  flattest      the height at which centre and edge agree best over all depths\n"
     "  band-fill     the height that, at its best level, puts most points into the band (150:300)\n"
     "  peak-cap      the lowest height at which nothing exceeds the ceiling (default: the band's upper "
     "end)\n"
     "  makers-range  the maker's claim (--claim) against spill limit and peak cap, and where it fails\n"
     "lo_mm and hi_mm are 95 % intervals. A school that cannot speak has height_mm null and says why.\n"},
    {"shadow",
     "glumet-cli shadow [--model MODEL.json] SCENE.json [--json]\n\n"
     "For each depth, as means over the middle ring of the scene's grid (over all points where it has "
     "none):\n"
     "  shadow        light under an opaque disc of 100 mm hung 100 mm above, over light without it: 0 under "
     "a\n"
     "                point, near 1 under a wide sheet\n"
     "  shimmer       how much small ripple moves the light, against one point straight above: 1, less for "
     "wide\n"
     "                fixtures, more where light comes aslant\n"
     "  colour_flash  the same for the difference of two channels: 0 where they shine from the same places\n"
     "The surface's curvature has the autocorrelation exp(-r²/l²), l = 20 mm.\n"},
    {"compare",
     "glumet-cli compare PROJECT.glumet [--at own|HEIGHT_MM] [--tank NAME] [--json]\n\n"
     "Every configuration of one fixture that something was read of, in the tank that most were read in, "
     "each "
     "at the\n"
     "height its school recommends, or all at one height. What was not read there is modelled by its fit, "
     "and "
     "says so.\n"
     "  pairs  every condition as same, corrected, on purpose or not comparable, with what would have to be "
     "read again;\n"
     "         for each depth the ratio of the means, b over a, over the points both have. lo and hi hold "
     "repeatability,\n"
     "         placing and, with two meters, both calibrations, 95 times in 100; tie: within what chance "
     "does "
     "99 times.\n"
     "         Heights are taken as set: lo_with_heights and hi_with_heights have their setting error too\n"
     "  ranks  the criteria with their intervals, by the project's weights; rank_lo and rank_hi: where it "
     "stays 95 times\n"
     "         in 100 as readings move. Who lacks a figure that counts has rank null and says why\n"
     "  schools  the order under each school of height and of how much light\n"},
    {"spectrum",
     "glumet-cli spectrum SPD… [--response METER.csv] [--depth-m D] [--weights CURVE.csv]… [--json]\n\n"
     "Reads spectra from tables (wavelength_nm,value in W; a heading with photons or umol says photons), IES "
     "TM-27\n"
     "(.spdx) and JCAMP-DX, fixed or packed. For each: CIE 1931 x, y; 1976 u', v'; correlated colour "
     "temperature and\n"
     "distance from the Planckian locus (cct_k null farther than 0.05); Ra and R1…R14 by CIE 13.3 near a "
     "white; "
     "photon\n"
     "shares of 380–780 nm by band; peaks, widths, gaps; the width of the blue part above 10 and 50 %.\n"
     "  --response  wavelength_nm,response: correction_factor = ∫E dλ / ∫E·s dλ over 400–700 nm, E in "
     "photons, "
     "s as given\n"
     "  --depth-m   everything after so much pure water (Pope & Fry 1997), and the spectrum itself\n"
     "  --weights   share of the photons that a curve of wavelength and weight counts, beside PAR, extended "
     "PAR "
     "and the eye\n"
     "Of three spectra or more \"blend\" gives the distances from the middle one of the list and from their "
     "mean.\n"},
    {"fit",
     "glumet-cli fit READINGS.csv|RINGS.csv… --tank TANK.json [--fixture FIXTURE.json] [--preset NAME] "
     "-o MODEL.json [--json]\n\n"
     "A light model of the fixture from its readings: beam, level, height offset, attenuation, painted "
     "walls' "
     "reflectance,\n"
     "each with its error; readings that do not fit; what the readings cannot tell apart. The first "
     "configuration "
     "of the\n"
     "file is fitted, or that of --preset; read at fewer than 60 points or in one plane only, it leans\n"
     "on the configuration read most. TANK.json: \"tank\" and \"water\" of a scene. FIXTURE.json: "
     "\"emitters\" "
     "of a "
     "scene, or a "
     "lattice\n"
     "(emitter_columns, emitter_rows, emitter_pitch_x_mm, emitter_pitch_y_mm, emitter_size_mm), "
     "length_mm, width_mm,\n"
     "rated_power_w, optionally a shroud; without one the layout that fits best is taken and named. "
     "RINGS.csv holds\n"
     "means that others published (run,fixture,height_mm,depth_mm,nx,ny,ring,ppfd); they are counted as read "
     "by others.\n"},
    {"predict",
     "glumet-cli predict --model MODEL.json SCENE.json [--json]\n\n"
     "As field, for a scene whose fixtures say \"use\": \"model\" instead of emitters, plus lo and hi of "
     "the 95 % "
     "interval per\n"
     "point: what the fit does not know; the meter's calibration is not in it.\n"},
    {"spacing",
     "glumet-cli spacing --model MODEL.json --tank TANK.json --count N --height-mm H [--share 75] "
     "[--depth-mm D]\n"
     "  [--grid NXxNY] [--band LO:HI] [--ceiling C] [--floor F] [--crosswise] [--turned] [--spread] "
     "[--each] "
     "[--volume]\n"
     "  [--canopy-length-mm L] [--canopy-width-mm W] [--fewest-for PERCENT] [--json]\n\n"
     "Where to hang N fitted fixtures in a row: outward from equal division in 5 mm steps until the "
     "bodies meet "
     "the\n"
     "tank's ends or the canopy's. edge-share: the first step whose outer ring reaches SHARE percent of "
     "the "
     "innermost\n"
     "ring at depth D (half the water); smooth-seam: neither hump nor trough between neighbours; "
     "band-fill: most "
     "points\n"
     "(--volume: most of the volume) in the band at the best level that keeps ceiling and floor. "
     "--crosswise: the "
     "row runs\n"
     "along the width; --turned: each by 90 degrees; --spread: inner ones spread evenly; --each: seam "
     "and band "
     "fill move\n"
     "each by itself. --fewest-for adds the fewest fixtures that put so much into the band, every way "
     "tried.\n"},
    {"intensity",
     "glumet-cli intensity SCENE.json --model MODEL.json [--model MODEL.json …] --band LO:HI [--json]\n\n"
     "The overall level, 1 to 100 percent, that puts most of the scene's points into the band; "
     "plateau_pct is "
     "the range\n"
     "within two hundredths of that share. Several models are channels of one fixture: then also the "
     "level of "
     "each that\n"
     "together put most points into the band.\n"},
    {"import",
     "glumet-cli import FILE… --into PROJECT.glumet [--json]\n\n"
     "Adds readings files (.csv) and at most one bench description (.json), or a published data package "
     "(.zip), to a "
     "project, which is made "
     "if it does\n"
     "not exist. All or nothing: one bad row and the project stays as it was.\n"
     "A table without the readings' columns is read as a sheet of typed planes: blocks of numbers with a "
     "title line\n"
     "such as \"height 25 cm, depth 15 cm\" above. What it does not say is given by --run, --fixture, "
     "--tank,\n"
     "--height-mm, --depth-mm, --pitch-x-mm, --pitch-y-mm (or --length-mm, --width-mm), --unit, "
     "--front-row-first.\n"
     "Spectra (tables of wavelength_nm, TM-27, JCAMP-DX) are of --fixture NAME and, with --channel, of that "
     "channel.\n"},
    {"export",
     "glumet-cli export PROJECT.glumet --out DIR [--json]\n\n"
     "Writes readings.csv and bench.json. Importing both into a new project loses nothing.\n"},
    {"publish",
     "glumet-cli publish PROJECT.glumet… --out DIR [--fixture NAME]… [--all] [--template NAME|FILE.md]\n"
     "                   [--unit cm|mm|in] [--day YYYY-MM-DD] [--json]\n\n"
     "Writes the review of the configurations that the project marks for it, of those named, or of all: "
     "review.html,\n"
     "review.pdf, a card of each as HTML, PDF and PNG, every figure as SVG and PNG, and the data behind them "
     "(readings.csv,\n"
     "bench.json, data-package.zip, workbooks). --template: full, card, comparison, before-after, or a "
     "Markdown file in\n"
     "which <!-- glumet: field --> stands for a section; default: the project's own. Of several projects "
     "each "
     "goes into\n"
     "DIR/NAME. The same data, sections and day give the same bytes; an edition in DIR is followed by the "
     "next, with\n"
     "what has changed. What is there stays until all of it is written.\n"},
    {"spots",
     "glumet-cli spots PROJECT.glumet [--json]\n\n"
     "Named places of living tanks, each with its latest reading and swing.\n"},
    {"ramp",
     "glumet-cli ramp --from PCT --to PCT --weeks N [--by log|linear] [--cap PCT] [--ics FILE [--start "
     "DAY]] [--json]\n\n"
     "Levels week by week, the first at once and the last after N weeks: log adds the same percentage of "
     "what there was, linear the "
     "same points.\n"
     "--cap: per cent brighter that a week may be; where it forbids the plan, it is refused "
     "and the fewest weeks that "
     "would do\n"
     "are told. --ics writes a calendar with a day for each step.\n"},
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

}  // namespace

std::optional<std::string> helpOf(const std::string& verb) {
    for (const auto& help : kHelp)
        if (verb == help.verb) return help.text;
    return std::nullopt;
}

}  // namespace glumet::cli
