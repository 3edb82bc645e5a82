#include "meters/instrument.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QSerialPortInfo>
#include <array>
#include <cmath>
#include <nlohmann/json.hpp>

#include "files/file_reader.h"
#include "files/file_writer.h"
#include "formats/json_text.h"
#include "meters/line_meter.h"

namespace glumet {
namespace {

constexpr std::array kTransports{"serial", "tcp", "modbus-tcp", "modbus-rtu", "log-file", "replay"};
constexpr std::array kMeasures{"light", "power", "spectrum"};
constexpr std::array kSpectralUnits{"W", "umol"};
constexpr std::array kTypes{"u16", "s16", "u32", "s32", "f32"};

using Json = nlohmann::json;

template <class Enum, std::size_t N>
const char* wordOf(const std::array<const char*, N>& words, Enum value) {
    return words[static_cast<std::size_t>(value)];
}

template <class Enum, std::size_t N>
std::optional<Enum> enumOf(const std::array<const char*, N>& words, const std::string& word) {
    for (std::size_t i = 0; i < N; ++i)
        if (word == words[i]) return static_cast<Enum>(i);
    return std::nullopt;
}

Json jsonOf(const InstrumentProfile& p) {
    Json json{{"name", p.name.toStdString()},
              {"measures", wordOf(kMeasures, p.measures)},
              {"transport", wordOf(kTransports, p.transport)},
              {"place", p.place.toStdString()},
              {"number", p.number},
              {"column", p.format.column},
              {"pattern", p.format.pattern.toStdString()},
              {"factor", p.format.factor},
              {"question", p.question.toStdString()},
              {"every_ms", p.every_ms},
              {"integration", p.integration.toStdString()},
              {"unit", p.modbus.unit},
              {"address", p.modbus.address},
              {"input", p.modbus.input},
              {"type", wordOf(kTypes, p.modbus.type)},
              {"swapped", p.modbus.swapped},
              {"scale", p.modbus.scale},
              {"reads_up_to", p.isModbus() ? p.modbus.most : p.format.most}};
    if (!p.format.spectrum) return json;
    json["first_nm"] = p.format.spectrum->first_nm;
    json["step_nm"] = p.format.spectrum->step_nm;
    json["spectral_unit"] = wordOf(kSpectralUnits, p.format.spectrum->unit);
    return json;
}

/// Throws nlohmann's exceptions where a value is of the wrong kind.
std::optional<InstrumentProfile> profileOf(const Json& json) {
    const auto word = [&](const char* key) { return json.value(key, std::string()); };
    const auto text = [&](const char* key) { return QString::fromStdString(word(key)); };
    const auto measures = enumOf<Measures>(kMeasures, word("measures"));
    const auto transport = enumOf<Transport>(kTransports, word("transport"));
    const auto type = enumOf<ModbusRegister::Type>(kTypes, word("type"));
    if (!measures || !transport || !type) return std::nullopt;
    InstrumentProfile p;
    p.name = text("name");
    p.measures = *measures;
    p.transport = *transport;
    p.place = text("place");
    p.number = json.value("number", 0);
    p.format = {json.value("column", 1), text("pattern"), json.value("factor", 1.0), std::nullopt};
    if (p.measures == Measures::Spectrum)
        p.format.spectrum = SpectralSample{
            json.value("first_nm", 380.0),
            json.value("step_nm", 5.0),
            enumOf<SpectralUnit>(kSpectralUnits, word("spectral_unit")).value_or(SpectralUnit{}),
            {}};
    p.format.most = json.value("reads_up_to", limits::kPpfd);
    p.question = text("question");
    p.every_ms = json.value("every_ms", 200);
    p.integration = text("integration");
    p.modbus = {json.value("unit", 1),
                json.value("address", 0),
                json.value("input", false),
                *type,
                json.value("swapped", false),
                json.value("scale", 1.0),
                p.format.most};
    return p;
}

std::unique_ptr<LineSource> sourceOf(const InstrumentProfile& p) {
    switch (p.transport) {
        case Transport::Tcp:
            return std::make_unique<TcpSource>(p.place, static_cast<quint16>(p.number));
        case Transport::LogFile:
            return std::make_unique<LogFileSource>(p.place);
        case Transport::Replay:
            return std::make_unique<ReplaySource>(p.place);
        default:
            return std::make_unique<SerialSource>(p.place, p.number);
    }
}

std::optional<Problem> invalidModbus(const ModbusRegister& at) {
    if (at.unit < 1 || at.unit > 247)
        return Problem{"unit", say(GLUMET_SAY("Core", "must lie between 1 and 247"))};
    if (at.address < 0 || at.address + at.words() > 65536)
        return Problem{"address", say(GLUMET_SAY("Core", "must lie between 0 and 65535"))};
    if (!(at.most > 0.0 && at.most <= limits::kPpfd))
        return Problem{"reads up to",
                       say(GLUMET_SAY("Core", "must be above 0 and at most {}"), Figure{limits::kPpfd})};
    if (!std::isfinite(at.scale) || at.scale == 0.0)
        return Problem{"scale", say(GLUMET_SAY("Core", "must be a number other than 0"))};
    return std::nullopt;
}

}  // namespace

std::optional<Problem> InstrumentProfile::invalid() const {
    if (name.trimmed().isEmpty()) return Problem{"name", say(GLUMET_SAY("Core", "is missing"))};
    if (place.trimmed().isEmpty())
        return Problem{"place", isFile()     ? say(GLUMET_SAY("Core", "needs a file"))
                                : isSerial() ? say(GLUMET_SAY("Core", "needs a serial port"))
                                             : say(GLUMET_SAY("Core", "needs a host"))};
    if (isSerial() && (number < 300 || number > 4'000'000))
        return Problem{"baud", say(GLUMET_SAY("Core", "must lie between 300 and 4000000"))};
    if (!isSerial() && !isFile() && (number < 1 || number > 65535))
        return Problem{"port", say(GLUMET_SAY("Core", "must lie between 1 and 65535"))};
    if (every_ms < 20 || every_ms > 60'000)
        return Problem{"interval", say(GLUMET_SAY("Core", "must lie between 20 and 60000 ms"))};
    if (measures == Measures::Spectrum && isModbus())
        return Problem{"measures", say(GLUMET_SAY("Core", "a spectrum comes in lines, not in registers"))};
    if ((measures == Measures::Spectrum) != format.spectrum.has_value())
        return Problem{"spectrum", say(GLUMET_SAY("Core", "needs its first wavelength and step"))};
    if (!integration.isEmpty() && !integration.contains(QLatin1String("{ms}")))
        return Problem{"integration",
                       say(GLUMET_SAY("Core", "has {ms} where the milliseconds go, such as INT {ms}"))};
    return isModbus() ? invalidModbus(modbus) : format.invalid();
}

std::unique_ptr<ConnectedMeter> makeInstrument(const InstrumentProfile& p, const MonotonicClock& clock) {
    if (p.isModbus())
        return std::make_unique<ModbusMeter>(p.name,
                                             p.transport == Transport::ModbusTcp
                                                 ? RegisterLink::tcp(p.place, p.number)
                                                 : RegisterLink::rtu(p.place, p.number),
                                             p.modbus, p.every_ms, clock);
    auto meter = std::make_unique<LineMeter>(p.name, sourceOf(p), p.format,
                                             LineMeter::Question{p.question.toUtf8(), p.every_ms}, clock);
    meter->setIntegrationWords(p.integration.toUtf8());
    return meter;
}

QStringList serialPorts() {
    QStringList names;
    for (const auto& port : QSerialPortInfo::availablePorts()) names << port.systemLocation();
    return names;
}

Expected<QList<InstrumentProfile>> InstrumentStore::load() const {
    if (!QFile::exists(path_)) return QList<InstrumentProfile>();
    const auto wrong = [&](Words what) { return problem(path_.toStdString(), std::move(what)); };
    const auto bytes = readFile(path_, limits::kJsonBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    const auto parsed = parsedJson<Json>(bytes->toStdString());
    const Json json = parsed.value_or(Json());
    if (!json.is_array()) return wrong(say(GLUMET_SAY("Core", "is not a list of instruments")));
    QList<InstrumentProfile> profiles;
    const auto not_understood = [&] {
        return wrong(
            say(GLUMET_SAY("Core", "instrument {} is not understood"), std::to_string(profiles.size() + 1)));
    };
    try {
        for (const auto& item : json) {
            const auto profile = profileOf(item);
            if (!profile) return not_understood();
            profiles << *profile;
        }
    } catch (const Json::exception&) {
        return not_understood();
    }
    return profiles;
}

Expected<bool> InstrumentStore::save(const QList<InstrumentProfile>& profiles) const {
    QDir().mkpath(QFileInfo(path_).absolutePath());
    Json list = Json::array();
    for (const auto& profile : profiles) list.push_back(jsonOf(profile));
    return writeWhole(path_, QByteArray::fromStdString(jsonText(list, 4) + "\n"));
}

}  // namespace glumet
