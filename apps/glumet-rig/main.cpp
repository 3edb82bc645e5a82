// The simulated bench as a process of its own, with the transports of real instruments.
#include <QCommandLineParser>
#include <QCoreApplication>
#include <QFile>
#include <QFileInfo>
#include <QTextStream>
#include <cstdio>

#include "core/bench/grid.h"
#include "core/bench/reading_row.h"
#include "core/meter/meter_correction.h"
#include "core/simulation/demo_scenario.h"
#include "core/simulation/practice.h"
#include "formats/readings_csv.h"
#include "formats/scene_json.h"
#include "servers.h"

namespace {

using namespace glumet;  // one small program

Expected<LightScene> sceneOfFile(const QString& name) {
    QFile file(name);
    if (!file.open(QIODevice::ReadOnly)) return problem(name.toStdString(), file.errorString().toStdString());
    const auto folder = QFileInfo(name).absolutePath();
    auto scene =
        readScene(file.readAll().toStdString(), [&](const std::string& beside) -> Expected<std::string> {
            QFile named(folder + QLatin1Char('/') + QString::fromStdString(beside));
            if (!named.open(QIODevice::ReadOnly)) return problem(beside, named.errorString().toStdString());
            return named.readAll().toStdString();
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
    std::fprintf(stderr, "glumet-rig: %s\n", problem.sentence().c_str());
    return 1;
}

/// Each run of a readings file against the truth of the scene it was taken under, a line a run. The fixtures'
/// height is the scene's.
int score(const QString& name, const LightScene& scene) {
    QFile file(name);
    if (!file.open(QIODevice::ReadOnly)) return fail({name.toStdString(), file.errorString().toStdString()});
    const auto table = readReadings(std::string_view(file.readAll().toStdString()));
    for (const auto& wrong : table.problems) fail(wrong);
    if (!table.problems.empty()) return 1;
    MergeReport merged;
    const Bench nothing;
    const auto bench = withRows(nothing, table.rows, merged);
    for (const auto& run : bench.runs)
        std::printf("%s: %s\n", run.label.c_str(), scoreOf(run, scene, {}).sentence().c_str());
    return 0;
}

}  // namespace

int main(int argc, char** argv) {
    QCoreApplication app(argc, argv);
    QCoreApplication::setApplicationName(QStringLiteral("glumet-rig"));
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral(
        "Simulated instruments over a simulated tank, on pseudo-terminals and 127.0.0.1. Prints where each "
        "can be "
        "reached, one a line. Commands on the control port: probe X Y DEPTH, fault NAME [VALUE], mend."));
    parser.addHelpOption();
    const auto option = [&](const char* name, const char* what, const char* value = "",
                            const char* usual = "") {
        const QCommandLineOption made{QLatin1String(name), QLatin1String(what), QLatin1String(value),
                                      QLatin1String(usual)};
        parser.addOption(made);
        return made;
    };
    const auto scene_option =
        option("scene", "what shines (scene JSON); else the demonstration's first fixture", "FILE");
    const auto seed = option("seed", "of ripple and noise", "N", "1");
    const auto tcp = option("tcp", "send lines on this port, 0 for a free one", "PORT");
    const auto spectra = option("spectra", "send a spectrum a line on this port", "PORT");
    const auto scored = option("score", "compare a readings CSV with this scene's truth and exit", "FILE");
    const auto response =
        option("response", "the sensor's spectral response, such as 400:0.8,450:0.9,550:1", "CURVE");
    const auto scpi = option("scpi", "answer questions on this port", "PORT");
    const auto control = option("control", "take commands on this port", "PORT");
    const auto modbus = option("modbus-tcp", "serve registers on this port", "PORT");
    const auto serial = option("serial", "send lines on a pseudo-terminal");
    const auto rtu = option("modbus-rtu", "serve registers on a pseudo-terminal");
    const auto hand =
        option("hand", "an automatic hand walks a 6 x 6 grid at three depths: human or fast", "PACE");
    parser.process(app);
    auto scene = parser.isSet(scene_option) ? sceneOfFile(parser.value(scene_option)) : demoScene();
    if (!scene) return fail(scene.error());
    if (parser.isSet(scored)) return score(parser.value(scored), *scene);
    rig::Rig rig(*scene, parser.value(seed).toULongLong());
    if (parser.isSet(response)) {
        const auto curve = parseResponse(parser.value(response).toStdString());
        if (!curve) return fail({"--response", curve.error().what});
        rig.setResponse(*curve);
    }
    if (parser.isSet(hand)) {
        const bool fast = parser.value(hand) == QLatin1String("fast");
        rig.setRoute(routeOver(*scene), {true, fast ? 16.0 : 30.0, fast ? 0.8 : 3.0});
    }
    rig::Servers servers(rig);
    std::vector<Expected<QString>> places;
    const auto port = [&](const QCommandLineOption& of) {
        return static_cast<quint16>(parser.value(of).toUInt());
    };
    if (parser.isSet(tcp)) places.push_back(servers.lines(port(tcp)));
    if (parser.isSet(spectra)) places.push_back(servers.spectra(port(spectra)));
    if (parser.isSet(scpi)) places.push_back(servers.scpi(port(scpi)));
    if (parser.isSet(control)) places.push_back(servers.control(port(control)));
    if (parser.isSet(modbus)) places.push_back(servers.modbusTcp(port(modbus)));
    if (parser.isSet(serial)) places.push_back(servers.terminal());
    if (parser.isSet(rtu)) places.push_back(servers.modbusRtu());
    if (places.empty()) places.push_back(servers.lines(0));
    for (const auto& place : places) {
        if (!place) return fail(place.error());
        std::printf("%s\n", qPrintable(*place));
    }
    std::fflush(stdout);
    rig.start(50);
    return QCoreApplication::exec();
}
