#include "meters/modbus_meter.h"

#include <QModbusReply>
#include <QModbusRtuSerialClient>
#include <QModbusTcpClient>
#include <QSerialPort>
#include <QVariant>
#include <bit>
#include <cmath>

#include "core/base/limits.h"

namespace glumet {
namespace {

constexpr int kAnswerMs = 500;
/// So many questions without an answer and the instrument counts as gone.
constexpr int kMostSilent = 3;

}  // namespace

double ModbusRegister::decode(const QList<quint16>& values) const {
    const quint32 first = values.value(0);
    const quint32 second = values.value(1);
    const quint32 both = swapped ? (second << 16U) | first : (first << 16U) | second;
    switch (type) {
        case Type::Unsigned16:
            return scale * first;
        case Type::Signed16:
            return scale * static_cast<qint16>(first);
        case Type::Unsigned32:
            return scale * both;
        case Type::Signed32:
            return scale * static_cast<qint32>(both);
        case Type::Float32:
            return scale * static_cast<double>(std::bit_cast<float>(both));
    }
    return 0.0;
}

std::unique_ptr<QModbusClient> ModbusMeter::tcp(const QString& host, int port) {
    auto client = std::make_unique<QModbusTcpClient>();
    client->setConnectionParameter(QModbusDevice::NetworkAddressParameter, host);
    client->setConnectionParameter(QModbusDevice::NetworkPortParameter, port);
    return client;
}

std::unique_ptr<QModbusClient> ModbusMeter::rtu(const QString& port, int baud) {
    auto client = std::make_unique<QModbusRtuSerialClient>();
    client->setConnectionParameter(QModbusDevice::SerialPortNameParameter, port);
    client->setConnectionParameter(QModbusDevice::SerialBaudRateParameter, baud);
    client->setConnectionParameter(QModbusDevice::SerialParityParameter, QSerialPort::NoParity);
    client->setConnectionParameter(QModbusDevice::SerialDataBitsParameter, QSerialPort::Data8);
    client->setConnectionParameter(QModbusDevice::SerialStopBitsParameter, QSerialPort::OneStop);
    return client;
}

ModbusMeter::ModbusMeter(QString name, std::unique_ptr<QModbusClient> client, const ModbusRegister& at,
                         int every_ms, MonotonicClock clock, QObject* parent)
    : ConnectedMeter(std::move(name), std::move(clock), parent), client_(std::move(client)), at_(at) {
    client_->setTimeout(kAnswerMs);
    client_->setNumberOfRetries(0);
    timer_.setInterval(every_ms);
    expectEvery(every_ms * 1e-3);
    connect(&timer_, &QTimer::timeout, this, &ModbusMeter::ask);
    connect(client_.get(), &QModbusClient::stateChanged, this, [this](QModbusDevice::State state) {
        if (state == QModbusDevice::ConnectedState) {
            unanswered_ = 0;
            asked_ = false;
            timer_.start();
            connectionOpened();
        } else if (state == QModbusDevice::UnconnectedState && !closing_) {
            timer_.stop();
            connectionLost(client_->errorString());
        }
    });
}

ModbusMeter::~ModbusMeter() {
    disconnect(client_.get(), nullptr, this, nullptr);
    client_->disconnectDevice();
}

void ModbusMeter::openTransport() {
    closing_ = false;
    if (client_->state() == QModbusDevice::UnconnectedState && !client_->connectDevice())
        connectionLost(client_->errorString());
}

void ModbusMeter::closeTransport() {
    closing_ = true;
    timer_.stop();
    client_->disconnectDevice();
}

void ModbusMeter::ask() {
    if (asked_) return;
    const auto kind = at_.input ? QModbusDataUnit::InputRegisters : QModbusDataUnit::HoldingRegisters;
    auto* reply = client_->sendReadRequest(
        QModbusDataUnit(kind, at_.address, static_cast<quint16>(at_.words())), at_.unit);
    if (reply == nullptr) return;
    asked_ = true;
    if (reply->isFinished()) return takeAnswer(reply);
    connect(reply, &QModbusReply::finished, this, [this, reply] { takeAnswer(reply); });
}

void ModbusMeter::takeAnswer(QModbusReply* reply) {
    reply->deleteLater();
    asked_ = false;
    if (!wanted() || closing_) return;
    const auto values = reply->result().values();
    const double value = at_.decode(values);
    if (reply->error() == QModbusDevice::NoError && values.size() >= at_.words() && value >= 0.0 &&
        value <= limits::kPpfd) {
        unanswered_ = 0;
        heard();
        deliver(value);
        return;
    }
    ++failures_;
    if (reply->error() != QModbusDevice::TimeoutError) {
        heard();
        return;
    }
    if (++unanswered_ < kMostSilent) return;
    // A line may be open with nobody at its other end: begin anew.
    const QString reason = reply->errorString();
    closing_ = true;
    timer_.stop();
    client_->disconnectDevice();
    connectionLost(reason);
}

QString ModbusMeter::trouble() const {
    const QString lost = ConnectedMeter::trouble();
    if (!lost.isEmpty() || failures_ == 0) return lost;
    return tr("%1 left %2 questions without a value").arg(name()).arg(failures_);
}

}  // namespace glumet
