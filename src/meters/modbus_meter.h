#pragma once

#include <memory>

#include "core/base/limits.h"
#include "meters/connected_meter.h"
#include "meters/register_link.h"

namespace glumet {

/// Where a Modbus instrument keeps its value. Registers are counted from 0, high word first unless `swapped`.
struct ModbusRegister {
    enum class Type { Unsigned16, Signed16, Unsigned32, Signed32, Float32 };
    int unit = 1;        ///< 1…247
    int address = 0;     ///< 0…65535
    bool input = false;  ///< an input register; else a holding one
    Type type = Type::Unsigned16;
    bool swapped = false;         ///< low word first
    double scale = 1.0;           ///< from the register's number to the unit; finite, not 0
    double most = limits::kPpfd;  ///< the instrument's greatest value, scaled; more is a fault of its

    int words() const { return type == Type::Unsigned16 || type == Type::Signed16 ? 1 : 2; }
    /// The number that `words()` register values stand for, scaled.
    double decode(const QList<quint16>& values) const;
    bool operator==(const ModbusRegister&) const = default;
};

/// An instrument read by Modbus, RTU or TCP: asked every so often, one question at a time.
class ModbusMeter : public ConnectedMeter {
    Q_OBJECT

  public:
    ModbusMeter(QString name, std::unique_ptr<RegisterLink> link, const ModbusRegister& at, int every_ms,
                MonotonicClock clock, QObject* parent = nullptr);
    ~ModbusMeter() override;

    QString trouble() const override;
    /// Whether an answer is due.
    bool asking() const { return asked_; }
    /// Asks now unless an answer is due.
    void ask();

  protected:
    void openTransport() override;
    void closeTransport() override;

  private:
    void take(const QList<quint16>& words);
    void miss(bool silent, const QString& reason);
    void noteFailure();

    std::unique_ptr<RegisterLink> link_;
    ModbusRegister at_;
    QTimer timer_;
    bool asked_ = false;
    qint64 failures_ = 0;
    int unanswered_ = 0;  ///< questions in a row without an answer
};

}  // namespace glumet
