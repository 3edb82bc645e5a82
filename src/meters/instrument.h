#pragma once

#include <QList>
#include <QMetaType>
#include <memory>

#include "meters/connected_meter.h"
#include "meters/line_parser.h"
#include "meters/modbus_meter.h"

namespace glumet {

enum class Transport { Serial, Tcp, ModbusTcp, ModbusRtu, LogFile, Replay };

/// How an instrument is reached and read: everything that a reviewer sets once and keeps.
struct InstrumentProfile {
    QString name;
    Measures measures = Measures::Light;
    Transport transport = Transport::Serial;
    QString place;        ///< serial port, host, or file
    int number = 115200;  ///< baud of a serial line, or TCP port; no meaning for files
    LineFormat format;    ///< of lines; Modbus has its register instead
    QString question;    ///< sent for each value, such as a SCPI query; empty: the instrument sends by itself
    int every_ms = 200;  ///< between questions, 20…60 000
    QString integration;  ///< sent to set a spectrometer's integration time, {ms} in it; empty: it cannot be
    ModbusRegister modbus;

    bool isModbus() const { return transport == Transport::ModbusTcp || transport == Transport::ModbusRtu; }
    bool isFile() const { return transport == Transport::LogFile || transport == Transport::Replay; }
    bool isSerial() const { return transport == Transport::Serial || transport == Transport::ModbusRtu; }
    /// The field that is wrong and why; nothing when a connection can be tried.
    std::optional<Problem> invalid() const;
    bool operator==(const InstrumentProfile&) const = default;
};

/// The instrument, not started yet. The profile must be valid.
std::unique_ptr<ConnectedMeter> makeInstrument(const InstrumentProfile& profile, const MonotonicClock& clock);

/// Serial ports of this machine, names as `place` takes them.
QStringList serialPorts();

/// Profiles kept in a JSON file from one session to the next.
class InstrumentStore {
  public:
    explicit InstrumentStore(QString path) : path_(std::move(path)) {}

    /// Those of the file; none when it is missing, a problem when it cannot be understood.
    Expected<QList<InstrumentProfile>> load() const;
    /// Replaces the file whole.
    Expected<bool> save(const QList<InstrumentProfile>& profiles) const;

  private:
    QString path_;
};

}  // namespace glumet

Q_DECLARE_METATYPE(glumet::InstrumentProfile)
