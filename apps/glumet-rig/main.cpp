// The simulated bench as a process of its own, with the transports of real instruments.
#include <QCommandLineParser>
#include <QCoreApplication>
#include <QFile>
#include <QFileInfo>
#include <QTextStream>
#include <cstdio>

#include "core/base/limits.h"
#include "core/bench/grid.h"
#include "core/bench/reading_row.h"
#include "core/meter/meter_correction.h"
#include "core/simulation/demo_scenario.h"
#include "core/simulation/practice.h"
#include "core/words/sentence.h"
#include "files/file_reader.h"
#include "formats/readings_csv.h"
#include "formats/scene_json.h"
#include "servers.h"

namespace {

using namespace glumet;  // one small program

Expected<LightScene> sceneOfFile(const QString& name) {
    const auto bytes = readFile(name, limits::kJsonBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    const auto folder = QFileInfo(name).absolutePath();
    auto scene = readScene(bytes->toStdString(), [&](const std::string& beside) -> Expected<std::string> {
        const auto named =
            readFile(folder + QLatin1Char('/') + QString::fromStdString(beside), limits::kPhotometryBytes);
        if (!named) return tl::make_unexpected(named.error());
        return named->toStdString();
    });
    if (!scene) return problem(name.toStdString() + ", " + scene.error().where, scene.error().what);
    return scene->scene;
}

/// Cell centres of 6 × 6 in serpentine order at three depths.
std::vector<Place> routeOver(const LightScene& scene) {
    const auto grid = cellCentres(Millimetre(scene.length_mm), Millimetre(scene.width_mm), 6, 6);
    std::vector<Place> route;
    for (const double share : {0.27, 0.54, 0.8})
        for (const auto cell : serpentine(grid))
            route.push_back({grid.xs_mm[static_cast<std::size_t>(cell.column)],
                             grid.ys_mm[static_cast<std::size_t>(cell.row)], share * scene.water_depth_mm});
    return route;
}

int fail(const Problem& problem) {
    std::fprintf(stderr, "glumet-rig: %s\n", english(problem).c_str());
    return 1;
}

/// Each run of a readings file against the truth of the scene it was taken under, a line a run. The fixtures'
/// height is the scene's.
int score(const QString& name, const LightScene& scene) {
    const auto bytes = readFile(name, limits::kTableBytes);
    if (!bytes) return fail(bytes.error());
    const auto table =
        readReadings(std::string_view(bytes->constData(), static_cast<std::size_t>(bytes->size())));
    for (const auto& wrong : table.problems) fail(wrong);
    if (!table.problems.empty()) return 1;
    MergeReport merged;
    const Bench nothing;
    const auto bench = withRows(nothing, table.rows, merged);
    for (const auto& run : bench.runs)
        std::printf("%s: %s\n", run.label.c_str(), english(scoreOf(run, scene, {}).words()).c_str());
    return 0;
}

struct Options {
    QCommandLineParser parser;

    Options() {
        parser.setApplicationDescription(QStringLiteral(
            "Simulated instruments over a simulated tank, on pseudo-terminals and 127.0.0.1. Prints "
            "where each can be reached, one a line. Commands on the control port: probe X Y DEPTH, height H, "
            "fault NAME [VALUE], mend."));
        parser.addHelpOption();
        add("scene", "what shines (scene JSON); else the demonstration's first fixture", "FILE");
        add("seed", "of ripple and noise", "N", "1");
        add("tcp", "send lines on this port, 0 for a free one", "PORT");
        add("spectra", "send a spectrum a line on this port", "PORT");
        add("score", "compare a readings CSV with this scene's truth and exit", "FILE");
        add("response", "the sensor's spectral response, such as 400:0.8,450:0.9,550:1", "CURVE");
        add("scpi", "answer questions on this port", "PORT");
        add("control", "take commands on this port", "PORT");
        add("modbus-tcp", "serve registers on this port", "PORT");
        add("serial", "send lines on a pseudo-terminal");
        add("modbus-rtu", "serve registers on a pseudo-terminal");
        add("hand", "an automatic hand walks a 6 x 6 grid at three depths: human or fast", "PACE");
    }

    bool has(const char* name) const { return parser.isSet(QLatin1String(name)); }
    QString value(const char* name) const { return parser.value(QLatin1String(name)); }
    quint16 port(const char* name) const { return static_cast<quint16>(value(name).toUInt()); }

  private:
    void add(const char* name, const char* what, const char* value_name = "", const char* usual = "") {
        parser.addOption(
            {QLatin1String(name), QLatin1String(what), QLatin1String(value_name), QLatin1String(usual)});
    }
};

/// Where each instrument that was asked for can be reached; lines on a free port when none was.
std::vector<Expected<QString>> open(rig::Servers& servers, const Options& options) {
    std::vector<Expected<QString>> places;
    if (options.has("tcp")) places.push_back(servers.lines(options.port("tcp")));
    if (options.has("spectra")) places.push_back(servers.spectra(options.port("spectra")));
    if (options.has("scpi")) places.push_back(servers.scpi(options.port("scpi")));
    if (options.has("control")) places.push_back(servers.control(options.port("control")));
    if (options.has("modbus-tcp")) places.push_back(servers.modbusTcp(options.port("modbus-tcp")));
    if (options.has("serial")) places.push_back(servers.terminal());
    if (options.has("modbus-rtu")) places.push_back(servers.modbusRtu());
    if (places.empty()) places.push_back(servers.lines(0));
    return places;
}

}  // namespace

int main(int argc, char** argv) {
    QCoreApplication app(argc, argv);
    QCoreApplication::setApplicationName(QStringLiteral("glumet-rig"));
    Options options;
    options.parser.process(app);
    auto scene = options.has("scene") ? sceneOfFile(options.value("scene")) : demoScene();
    if (!scene) return fail(scene.error());
    if (options.has("score")) return score(options.value("score"), *scene);
    rig::Rig rig(*scene, options.value("seed").toULongLong());
    if (options.has("response")) {
        const auto curve = parseResponse(options.value("response").toStdString());
        if (!curve) return fail({"--response", curve.error().what});
        rig.setResponse(*curve);
    }
    if (options.has("hand")) {
        const bool fast = options.value("hand") == QLatin1String("fast");
        rig.setRoute(routeOver(*scene), {true, fast ? 16.0 : 30.0, fast ? 0.8 : 3.0});
    }
    rig::Servers servers(rig);
    for (const auto& place : open(servers, options)) {
        if (!place) return fail(place.error());
        std::printf("%s\n", qPrintable(*place));
    }
    std::fflush(stdout);
    rig.start(50);
    return QCoreApplication::exec();
}
