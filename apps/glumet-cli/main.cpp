#include <CLI/CLI.hpp>
#include <QDate>
#include <QGuiApplication>
#include <QTemporaryDir>
#include <cstdio>
#include <functional>
#include <optional>

#include "core/words/sentence.h"
#include "verbs.h"

namespace {

using namespace glumet;  // one small program
using Answer = std::function<Expected<cli::Output>()>;

struct Arguments {
    std::vector<std::string> files;
    std::string band;
    std::string into;
    std::string out;
    std::string verb;
    cli::HeightQuestion height;
    cli::FitQuestion fit;
    cli::SpacingQuestion spacing;
    std::vector<std::string> models;
    std::string model;
    std::string grid;
    double ceiling = 0.0;
    cli::PublishQuestion publish;
    double depth_mm = 0.0;
    cli::SpectrumQuestion spectrum;
    cli::CompareQuestion compare;
    double depth_m = 0.0;
    cli::RampVerbQuestion ramp;
    double cap = 0.0;
    cli::ImportQuestion import;
    std::string sheet_unit = "cm";
    bool front_row_first = false;
    bool json = false;
    bool budget = false;
};

constexpr int kManyFiles = 1000;

CLI::App* addVerb(CLI::App& app, const std::string& verb, const std::string& what, Arguments& arguments,
                  int files) {
    auto* sub = app.add_subcommand(verb, what);
    sub->add_option("FILE", arguments.files)->required()->expected(1, files);
    sub->add_flag("--json", arguments.json, "one JSON object on stdout");
    return sub;
}

/// What a sheet of typed planes does not say itself.
void addSheetOptions(CLI::App& verb, Arguments& a) {
    auto& sheet = a.import.sheet;
    const auto length = [&verb](const char* name, std::optional<Millimetre>& target, const char* what) {
        verb.add_option_function<double>(
            name, [&target](double mm) { target = Millimetre(mm); }, what);
    };
    verb.add_option("--run", sheet.run, "name of the run, for a sheet");
    verb.add_option("--fixture", sheet.fixture, "fixture, for a sheet");
    verb.add_option("--tank", sheet.tank, "tank, for a sheet");
    length("--height-mm", sheet.height, "mounting height of blocks that do not say it");
    length("--depth-mm", sheet.depth, "depth of blocks that do not say it");
    length("--pitch-x-mm", sheet.pitch_x, "distance between columns");
    length("--pitch-y-mm", sheet.pitch_y, "distance between rows");
    length("--length-mm", sheet.length, "length the columns fill evenly, instead of a pitch");
    length("--width-mm", sheet.width, "width the rows fill evenly, instead of a pitch");
    verb.add_option("--unit", a.sheet_unit, "unit of bare figures in titles: cm, mm or in")
        ->check(CLI::IsMember({"cm", "mm", "in"}));
    verb.add_flag("--front-row-first", a.front_row_first, "the top row of each block is the front");
}

/// What is wrong with a date, for the parser; empty: nothing.
std::string isoDay(const std::string& text) {
    return QDate::fromString(QString::fromStdString(text), Qt::ISODate).isValid()
               ? ""
               : "is a date such as 2026-11-27";
}

Expected<cli::Output> runImport(Arguments& a) {
    a.import.files = a.files;
    a.import.project = a.into;
    a.import.sheet_unit = cli::unitFrom(a.sheet_unit);
    a.import.sheet.top_row_is_back = !a.front_row_first;
    return cli::importFiles(a.import);
}

Expected<cli::Output> runStats(const Arguments& arguments) {
    std::optional<Band> band;
    if (!arguments.band.empty()) {
        const auto parsed = cli::bandFrom(arguments.band);
        if (!parsed) return tl::make_unexpected(parsed.error());
        band = *parsed;
    }
    return cli::stats(arguments.files.front(), band);
}

/// The band, if one was given; else the problem with it.
std::optional<Problem> takeBand(const Arguments& a, std::optional<Band>& band) {
    if (a.band.empty()) return std::nullopt;
    const auto parsed = cli::bandFrom(a.band);
    if (!parsed) return parsed.error();
    band = *parsed;
    return std::nullopt;
}

std::optional<Problem> takeGrid(Arguments& a) {
    if (a.grid.empty()) return std::nullopt;
    int used = 0;
    const bool fine =
        std::sscanf(a.grid.c_str(), "%dx%d%n", &a.spacing.columns, &a.spacing.rows, &used) == 2 &&
        used == static_cast<int>(a.grid.size()) && a.spacing.columns > 0 && a.spacing.rows > 0;
    return fine ? std::nullopt : std::optional(Problem{"--grid", verbatim("is NXxNY, such as 12x6")});
}

int help(const std::string& verb) {
    const auto text = cli::helpOf(verb);
    if (!text) {
        std::fprintf(stderr, "glumet-cli: there is no verb \"%s\"\n", verb.c_str());
        return 2;
    }
    std::fputs(text->c_str(), stdout);
    return 0;
}

int answer(const Answer& work, bool json) {
    Expected<cli::Output> output;
    try {
        output = work();
    } catch (const std::bad_alloc&) {
        output = problem("", verbatim("there is not enough memory for this"));
    } catch (const std::exception& fault) {
        output = problem("", verbatim(fault.what()));
    }
    if (!output) {
        std::fprintf(stderr, "glumet-cli: %s\n", english(output.error()).c_str());
        return 1;
    }
    std::fputs((json ? output->json + "\n" : output->text).c_str(), stdout);
    return 0;
}

/// Figures need fonts and so the graphical application, but no display; the rest needs neither.
std::unique_ptr<QCoreApplication> applicationFor(bool figures, int& argc, char** argv) {
    if (!figures) return std::make_unique<QCoreApplication>(argc, argv);
    qputenv("QT_QPA_PLATFORM", "offscreen");
    // Unset, Qt would choose a folder itself and say so on stderr.
    static const QTemporaryDir runtime;
    if (qEnvironmentVariableIsEmpty("XDG_RUNTIME_DIR"))
        qputenv("XDG_RUNTIME_DIR", runtime.path().toLocal8Bit());
    return std::make_unique<QGuiApplication>(argc, argv);
}

/// A verb with what it does once the arguments are there.
struct Verb {
    CLI::App* parsed_as;
    Answer run;
    bool figures = false;  ///< needs fonts
};
using Verbs = std::vector<Verb>;

std::string firstFile(const Arguments& a) { return a.files.empty() ? std::string() : a.files.front(); }

Expected<cli::Output> runHeight(Arguments& a, const CLI::Option& ceiling, const CLI::Option& depth) {
    a.height.file = firstFile(a);
    if (ceiling.count() > 0) a.height.ceiling = a.ceiling;
    if (const auto wrong = takeBand(a, a.height.band)) return tl::make_unexpected(*wrong);
    if (depth.count() > 0) a.height.depth_mm = a.depth_mm;
    return cli::height(a.height);
}

void addReadingVerbs(CLI::App& app, Arguments& a, Verbs& verbs) {
    auto* stats = addVerb(app, "stats", "statistics of every plane of a readings file", a, 1);
    stats->add_option("--band", a.band, "LO:HI in µmol·m⁻²·s⁻¹");
    verbs.push_back({stats, [&a] { return runStats(a); }});
    auto* height = addVerb(app, "height", "recommended mounting height from a readings file", a, 1);
    height->add_option("--limit", a.height.limit_pct, "loss allowed, percent");
    auto* depth = height->add_option("--depth-mm", a.depth_mm, "plane to judge by");
    height->add_option("--school", a.height.school, "one school alone");
    height->add_option("--band", a.band, "LO:HI, for band fill and the peak cap");
    auto* ceiling =
        height->add_option("--ceiling", a.ceiling, "of the peak cap; default: the band's upper end");
    height->add_option("--claim", a.height.fixture, "fixture file with the maker's claimed heights");
    verbs.push_back({height, [&a, ceiling, depth] { return runHeight(a, *ceiling, *depth); }});
}

void addSpectrumVerb(CLI::App& app, Arguments& a, Verbs& verbs) {
    auto* spectrum = addVerb(
        app, "spectrum", "colour, bands and blending of spectra, and a sensor's correction", a, kManyFiles);
    spectrum->add_option("--response", a.spectrum.response, "the sensor's response by wavelength");
    spectrum->add_option("--weights", a.spectrum.weights, "a curve to weigh photons by; may be given again")
        ->allow_extra_args(false);
    auto* depth =
        spectrum->add_option("--depth-m", a.depth_m, "metres of pure water that the light has passed")
            ->check(CLI::Range(0.0, 1000.0));
    verbs.push_back({spectrum, [&a, depth] {
                         a.spectrum.files = a.files;
                         if (depth->count() > 0) a.spectrum.depth_m = a.depth_m;
                         return cli::spectrum(a.spectrum);
                     }});
}

void addFitVerbs(CLI::App& app, Arguments& a, Verbs& verbs) {
    auto* fit = addVerb(app, "fit", "a light model of a fixture from readings or published ring means", a,
                        kManyFiles);
    fit->add_option("--tank", a.fit.tank, "tank file")->required();
    fit->add_option("--fixture", a.fit.fixture, "fixture file: its emitters");
    fit->add_option("--preset", a.fit.preset,
                    "fit the runs of this preset; read at few points they lean on the others");
    fit->add_option("-o,--out", a.fit.out, "model file to write");
    verbs.push_back({fit, [&a] {
                         a.fit.files = a.files;
                         return cli::fit(a.fit);
                     }});
    auto* predict =
        addVerb(app, "predict", "the field of a scene of fitted fixtures, with its interval", a, 1);
    predict->add_option("--model", a.model, "model file")->required();
    verbs.push_back({predict, [&a] { return cli::predicted(a.model, firstFile(a)); }});
    auto* intensity = addVerb(app, "intensity", "how bright to run a scene of fitted fixtures", a, 1);
    intensity->add_option("--model", a.models, "model file; several are channels of one fixture")
        ->required()
        ->allow_extra_args(false);
    intensity->add_option("--band", a.band, "LO:HI in µmol·m⁻²·s⁻¹")->required();
    verbs.push_back({intensity, [&a]() -> Expected<cli::Output> {
                         const auto band = cli::bandFrom(a.band);
                         if (!band) return tl::make_unexpected(band.error());
                         return cli::intensityVerb(a.models, firstFile(a), *band);
                     }});
}

Expected<cli::Output> runSpacing(Arguments& a, const CLI::Option& depth) {
    if (depth.count() > 0) a.spacing.depth_mm = a.depth_mm;
    if (const auto wrong = takeBand(a, a.spacing.band)) return tl::make_unexpected(*wrong);
    if (const auto wrong = takeGrid(a)) return tl::make_unexpected(*wrong);
    return cli::spacingVerb(a.spacing);
}

void addSpacingVerb(CLI::App& app, Arguments& a, Verbs& verbs) {
    auto* spacing = app.add_subcommand("spacing", "where to hang several fitted fixtures");
    spacing->add_flag("--json", a.json, "one JSON object");
    spacing->add_option("--model", a.spacing.model, "model file")->required();
    spacing->add_option("--tank", a.spacing.tank, "tank file")->required();
    spacing->add_option("--count", a.spacing.count, "how many")->required();
    spacing->add_option("--height-mm", a.spacing.height_mm, "of the emitters over the surface")->required();
    spacing->add_option("--share", a.spacing.share_pct, "of the centre's light at the edge, percent");
    auto* depth = spacing->add_option("--depth-mm", a.depth_mm, "default: half the water");
    spacing->add_option("--grid", a.grid, "NXxNY; default: cells of about 100 mm");
    spacing->add_option("--band", a.band, "LO:HI, for band fill");
    spacing->add_option("--ceiling", a.spacing.ceiling, "nothing above it, for band fill");
    spacing->add_option("--floor", a.spacing.floor, "nothing below it at the bottom, for band fill");
    spacing->add_flag("--crosswise", a.spacing.crosswise, "the row runs along the width");
    spacing->add_flag("--turned", a.spacing.turned, "each fixture turned by 90 degrees");
    spacing->add_flag("--spread", a.spacing.spread_inner, "inner ones stay evenly between the outermost");
    spacing->add_flag("--each", a.spacing.each, "seam and band fill move each fixture by itself");
    spacing->add_flag("--volume", a.spacing.volume, "band fill judges the whole volume");
    spacing->add_option("--canopy-length-mm", a.spacing.canopy_length_mm, "bodies stay within it");
    spacing->add_option("--canopy-width-mm", a.spacing.canopy_width_mm, "bodies stay within it");
    spacing->add_option("--fewest-for", a.spacing.fewest_pct,
                        "also the fewest fixtures that put so many percent into the band");
    verbs.push_back({spacing, [&a, depth] { return runSpacing(a, *depth); }});
}

void addProjectVerbs(CLI::App& app, Arguments& a, Verbs& verbs) {
    auto* import = addVerb(app, "import", "add files to a project", a, kManyFiles);
    import->add_option("--into", a.into, "project")->required();
    addSheetOptions(*import, a);
    import->add_option("--channel", a.import.channel, "channel that a spectrum is of, with --fixture");
    verbs.push_back({import, [&a] { return runImport(a); }});
    auto* exporting = addVerb(app, "export", "write a project as open formats", a, 1);
    exporting->add_option("--out", a.out, "folder")->required();
    verbs.push_back({exporting, [&a] { return cli::exportProject(firstFile(a), a.out); }});
    auto* publish = addVerb(app, "publish", "write the review", a, kManyFiles);
    publish->add_option("--out", a.out, "folder")->required();
    publish->add_option("--fixture", a.publish.fixtures, "fixture or configuration")->expected(1)->take_all();
    publish->add_flag("--all", a.publish.all, "every configuration with readings");
    publish->add_option("--template", a.publish.sections, "full, card, comparison, before-after, or a file");
    publish->add_option("--day", a.publish.day, "date on the review; default: today")->check(isoDay);
    publish->add_option("--unit", a.publish.unit, "cm, mm or in")->check(CLI::IsMember({"cm", "mm", "in"}));
    verbs.push_back({publish,
                     [&a] {
                         a.publish.projects = a.files;
                         a.publish.folder = a.out;
                         if (a.publish.day.empty())
                             a.publish.day = QDate::currentDate().toString(Qt::ISODate).toStdString();
                         return cli::publish(a.publish);
                     },
                     true});
    auto* spots = addVerb(app, "spots", "spots of living tanks with their latest readings", a, 1);
    verbs.push_back({spots, [&a] { return cli::spots(firstFile(a)); }});
    auto* ramp = app.add_subcommand("ramp", "raise a light slowly, week by week");
    ramp->add_flag("--json", a.json, "one JSON object on stdout");
    ramp->add_option("--from", a.ramp.from_pct, "level to begin with, percent")->required();
    ramp->add_option("--to", a.ramp.to_pct, "level to reach, percent")->required();
    ramp->add_option("--weeks", a.ramp.weeks, "it takes")->required();
    ramp->add_option("--by", a.ramp.by, "log (equal shares of the light) or linear")
        ->check(CLI::IsMember({"log", "linear"}));
    auto* cap = ramp->add_option("--cap", a.cap, "per cent brighter that a week may be");
    ramp->add_option("--ics", a.ramp.ics, "also as a calendar");
    ramp->add_option("--start", a.ramp.start, "first day of the calendar; default: today")->check(isoDay);
    verbs.push_back({ramp, [&a, cap] {
                         if (*cap) a.ramp.cap_pct_week = a.cap;
                         if (a.ramp.start.empty())
                             a.ramp.start = QDate::currentDate().toString(Qt::ISODate).toStdString();
                         return cli::ramp(a.ramp);
                     }});
    auto* check = addVerb(app, "check", "check a project file", a, 1);
    verbs.push_back({check, [&a] { return cli::check(firstFile(a)); }});
}

void addLightVerbs(CLI::App& app, Arguments& a, Verbs& verbs) {
    auto* field = addVerb(app, "field", "the exact light field of a described scene", a, 1);
    field->add_flag("--budget", a.budget, "also where the photons go");
    verbs.push_back({field, [&a] { return cli::field(firstFile(a), a.budget); }});
    auto* compare = addVerb(app, "compare", "what differs between fixtures, and who comes first", a, 1);
    compare->add_option("--at", a.compare.at, "\"own\", or one height for all, mm");
    compare->add_option("--tank", a.compare.tank, "tank they hang over");
    verbs.push_back({compare, [&a] {
                         a.compare.project = firstFile(a);
                         return cli::compare(a.compare);
                     }});
    auto* shadow = addVerb(app, "shadow", "how hard a scene is to shadow, and how it shimmers", a, 1);
    shadow->add_option("--model", a.model, "model file of its fitted fixtures");
    verbs.push_back({shadow, [&a] { return cli::shadow(a.model, firstFile(a)); }});
    auto* beam = addVerb(app, "beam", "a photometric file (LM-63) as a beam table", a, 1);
    beam->add_option("--out", a.out, "write it back as LM-63-2019");
    verbs.push_back({beam, [&a] { return cli::beam(firstFile(a), a.out); }});
}

}  // namespace

int main(int argc, char** argv) {
    Arguments a;
    CLI::App app{"Glumet without a window: statistics, verdicts, files. 'glumet-cli help VERB' tells more.",
                 "glumet-cli"};
    app.require_subcommand(1);
    Verbs verbs;
    for (const auto add :
         {addReadingVerbs, addFitVerbs, addSpectrumVerb, addSpacingVerb, addProjectVerbs, addLightVerbs})
        add(app, a, verbs);
    auto* help_verb = app.add_subcommand("help", "what a verb does");
    help_verb->add_option("VERB", a.verb)->required();
    try {
        app.parse(argc, argv);
    } catch (const CLI::CallForHelp&) {
        std::fputs(app.help().c_str(), stdout);
        return 0;
    } catch (const CLI::ParseError& error) {
        std::fprintf(stderr, "glumet-cli: %s\n", error.what());
        return 2;
    }
    if (help_verb->parsed()) return help(a.verb);
    for (const auto& verb : verbs)
        if (verb.parsed_as->parsed()) {
            const auto application = applicationFor(verb.figures, argc, argv);
            return answer(verb.run, a.json);
        }
    return 2;
}
