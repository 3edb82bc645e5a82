#include "meters/instrument.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QSaveFile>
#include <QSerialPortInfo>
#include <array>
#include <cmath>

#include "meters/line_meter.h"

namespace glumet {
namespace {

constexpr std::array kTransports{"serial", "tcp", "modbus-tcp", "modbus-rtu", "log-file", "replay"};
constexpr std::array kMeasures{"light", "power", "spectrum"};
constexpr std::array kSpectralUnits{"W", "umol"};
constexpr std::array kTypes{"u16", "s16", "u32", "s32", "f32"};

template <class Enum, std::size_t N>
QString wordOf(const std::array<const char*, N>& words, Enum value) {
    return QLatin1String(words[static_cast<std::size_t>(value)]);
}

template <class Enum, std::size_t N>
std::optional<Enum> enumOf(const std::array<const char*, N>& words, const QString& word) {
    for (std::size_t i = 0; i < N; ++i)
        if (word == QLatin1String(words[i])) return static_cast<Enum>(i);
    return std::nullopt;
}

QJsonObject basicJsonOf(const InstrumentProfile& p) {
    return {{QStringLiteral("name"), p.name},
            {QStringLiteral("measures"), wordOf(kMeasures, p.measures)},
            {QStringLiteral("transport"), wordOf(kTransports, p.transport)},
            {QStringLiteral("place"), p.place},
            {QStringLiteral("number"), p.number},
            {QStringLiteral("column"), p.format.column},
            {QStringLiteral("pattern"), p.format.pattern},
            {QStringLiteral("factor"), p.format.factor},
            {QStringLiteral("question"), p.question},
            {QStringLiteral("every_ms"), p.every_ms},
            {QStringLiteral("unit"), p.modbus.unit},
            {QStringLiteral("address"), p.modbus.address},
            {QStringLiteral("input"), p.modbus.input},
            {QStringLiteral("type"), wordOf(kTypes, p.modbus.type)},
            {QStringLiteral("swapped"), p.modbus.swapped},
            {QStringLiteral("scale"), p.modbus.scale}};
}

QJsonObject jsonOf(const InstrumentProfile& p) {
    QJsonObject o = basicJsonOf(p);
    if (!p.format.spectrum) return o;
    o[QStringLiteral("first_nm")] = p.format.spectrum->first_nm;
    o[QStringLiteral("step_nm")] = p.format.spectrum->step_nm;
    o[QStringLiteral("spectral_unit")] = wordOf(kSpectralUnits, p.format.spectrum->unit);
    return o;
}

std::optional<InstrumentProfile> profileOf(const QJsonObject& o) {
    const auto text = [&](const char* key) { return o[QLatin1String(key)].toString(); };
    const auto measures = enumOf<Measures>(kMeasures, text("measures"));
    const auto transport = enumOf<Transport>(kTransports, text("transport"));
    const auto type = enumOf<ModbusRegister::Type>(kTypes, text("type"));
    if (!measures || !transport || !type) return std::nullopt;
    InstrumentProfile p;
    p.name = text("name");
    p.measures = *measures;
    p.transport = *transport;
    p.place = text("place");
    p.number = o[QStringLiteral("number")].toInt();
    p.format = {o[QStringLiteral("column")].toInt(1), text("pattern"),
                o[QStringLiteral("factor")].toDouble(1.0), std::nullopt};
    if (p.measures == Measures::Spectrum)
        p.format.spectrum = SpectralSample{
            o[QStringLiteral("first_nm")].toDouble(380.0),
            o[QStringLiteral("step_nm")].toDouble(5.0),
            enumOf<SpectralUnit>(kSpectralUnits, text("spectral_unit")).value_or(SpectralUnit{}),
            {}};
    p.question = text("question");
    p.every_ms = o[QStringLiteral("every_ms")].toInt(200);
    p.modbus = {o[QStringLiteral("unit")].toInt(1),    o[QStringLiteral("address")].toInt(),
                o[QStringLiteral("input")].toBool(),   *type,
                o[QStringLiteral("swapped")].toBool(), o[QStringLiteral("scale")].toDouble(1.0)};
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
    if (at.unit < 1 || at.unit > 247) return Problem{"unit", "must lie between 1 and 247"};
    if (at.address < 0 || at.address + at.words() > 65536)
        return Problem{"address", "must lie between 0 and 65535"};
    if (!std::isfinite(at.scale) || at.scale == 0.0) return Problem{"scale", "must be a number other than 0"};
    return std::nullopt;
}

}  // namespace

std::optional<Problem> InstrumentProfile::invalid() const {
    if (name.trimmed().isEmpty()) return Problem{"name", "is missing"};
    if (place.trimmed().isEmpty())
        return Problem{"place", isFile()     ? "needs a file"
                                : isSerial() ? "needs a serial port"
                                             : "needs a host"};
    if (isSerial() && (number < 300 || number > 4'000'000))
        return Problem{"baud", "must lie between 300 and 4000000"};
    if (!isSerial() && !isFile() && (number < 1 || number > 65535))
        return Problem{"port", "must lie between 1 and 65535"};
    if (every_ms < 20 || every_ms > 60'000) return Problem{"interval", "must lie between 20 and 60000 ms"};
    if (measures == Measures::Spectrum && isModbus())
        return Problem{"measures", "a spectrum comes in lines, not in registers"};
    if ((measures == Measures::Spectrum) != format.spectrum.has_value())
        return Problem{"spectrum", "needs its first wavelength and step"};
    return isModbus() ? invalidModbus(modbus) : format.invalid();
}

std::unique_ptr<ConnectedMeter> makeInstrument(const InstrumentProfile& p, const MonotonicClock& clock) {
    if (p.isModbus())
        return std::make_unique<ModbusMeter>(p.name,
                                             p.transport == Transport::ModbusTcp
                                                 ? ModbusMeter::tcp(p.place, p.number)
                                                 : ModbusMeter::rtu(p.place, p.number),
                                             p.modbus, p.every_ms, clock);
    return std::make_unique<LineMeter>(p.name, sourceOf(p), p.format,
                                       LineMeter::Question{p.question.toUtf8(), p.every_ms}, clock);
}

QStringList serialPorts() {
    QStringList names;
    for (const auto& port : QSerialPortInfo::availablePorts()) names << port.systemLocation();
    return names;
}

Expected<QList<InstrumentProfile>> InstrumentStore::load() const {
    QFile file(path_);
    if (!file.exists()) return QList<InstrumentProfile>();
    const auto wrong = [&](const QString& what) { return problem(path_.toStdString(), what.toStdString()); };
    if (!file.open(QIODevice::ReadOnly)) return wrong(file.errorString());
    const auto document = QJsonDocument::fromJson(file.readAll());
    if (!document.isArray()) return wrong(QStringLiteral("is not a list of instruments"));
    QList<InstrumentProfile> profiles;
    for (const auto& item : document.array()) {
        const auto profile = profileOf(item.toObject());
        if (!profile)
            return wrong(QStringLiteral("instrument %1 is not understood").arg(profiles.size() + 1));
        profiles << *profile;
    }
    return profiles;
}

Expected<bool> InstrumentStore::save(const QList<InstrumentProfile>& profiles) const {
    QDir().mkpath(QFileInfo(path_).absolutePath());
    QJsonArray list;
    for (const auto& profile : profiles) list.append(jsonOf(profile));
    QSaveFile file(path_);
    if (!file.open(QIODevice::WriteOnly) || file.write(QJsonDocument(list).toJson()) < 0 || !file.commit())
        return problem(path_.toStdString(), file.errorString().toStdString());
    return true;
}

}  // namespace glumet
