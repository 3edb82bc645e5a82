#include "meters/register_link.h"

#include <QModbusReply>
#include <QModbusRtuSerialClient>
#include <QSerialPort>
#include <QVariant>

namespace glumet {
std::unique_ptr<RegisterLink> RegisterLink::tcp(const QString& host, int port) {
    return std::make_unique<TcpRegisterLink>(host, port);
}

TcpRegisterLink::TcpRegisterLink(const QString& host, int port) : host_(host), port_(port) {
    socket_.setReadBufferSize(ModbusFrames::kMostHeld);
    patience_.setSingleShot(true);
    patience_.setInterval(kAnswerMs);
    connect(&patience_, &QTimer::timeout, this, [this] {
        frames_.giveUp();
        emit unanswered(true, tr("no answer came in time"));
    });
    connect(&socket_, &QTcpSocket::connected, this, &RegisterLink::opened);
    connect(&socket_, &QTcpSocket::readyRead, this, &TcpRegisterLink::take);
    connect(&socket_, &QTcpSocket::stateChanged, this, [this](QAbstractSocket::SocketState state) {
        if (state != QAbstractSocket::UnconnectedState || !wanted_) return;
        wanted_ = false;
        frames_.restart();
        patience_.stop();
        emit lost(socket_.errorString());
    });
}

void TcpRegisterLink::open() {
    wanted_ = true;
    frames_.restart();
    socket_.connectToHost(host_, static_cast<quint16>(port_));
}

void TcpRegisterLink::close() {
    wanted_ = false;
    frames_.restart();
    patience_.stop();
    socket_.abort();
}

void TcpRegisterLink::ask(const RegisterQuestion& question) {
    socket_.write(frames_.ask(question));
    patience_.start();
}

void TcpRegisterLink::take() {
    const auto answer = frames_.take(socket_.readAll());
    if (!answer) return;
    patience_.stop();
    if (answer->refusal.isEmpty())
        emit answered(answer->words);
    else
        emit unanswered(false, answer->refusal);
}

std::unique_ptr<RegisterLink> RegisterLink::rtu(const QString& port, int baud) {
    auto client = std::make_unique<QModbusRtuSerialClient>();
    client->setConnectionParameter(QModbusDevice::SerialPortNameParameter, port);
    client->setConnectionParameter(QModbusDevice::SerialBaudRateParameter, baud);
    client->setConnectionParameter(QModbusDevice::SerialParityParameter, QSerialPort::NoParity);
    client->setConnectionParameter(QModbusDevice::SerialDataBitsParameter, QSerialPort::Data8);
    client->setConnectionParameter(QModbusDevice::SerialStopBitsParameter, QSerialPort::OneStop);
    return std::make_unique<SerialRegisterLink>(std::move(client));
}

SerialRegisterLink::SerialRegisterLink(std::unique_ptr<QModbusClient> client) : client_(std::move(client)) {
    client_->setTimeout(kAnswerMs);
    client_->setNumberOfRetries(0);
    connect(client_.get(), &QModbusClient::stateChanged, this, [this](QModbusDevice::State state) {
        if (state == QModbusDevice::ConnectedState) emit opened();
        if (state == QModbusDevice::UnconnectedState && wanted_) emit lost(client_->errorString());
    });
}

SerialRegisterLink::~SerialRegisterLink() {
    disconnect(client_.get(), nullptr, this, nullptr);
    client_->disconnectDevice();
}

void SerialRegisterLink::open() {
    wanted_ = true;
    if (client_->state() == QModbusDevice::UnconnectedState && !client_->connectDevice())
        emit lost(client_->errorString());
}

void SerialRegisterLink::close() {
    wanted_ = false;
    client_->disconnectDevice();
}

void SerialRegisterLink::ask(const RegisterQuestion& question) {
    const auto kind = question.input ? QModbusDataUnit::InputRegisters : QModbusDataUnit::HoldingRegisters;
    auto* reply = client_->sendReadRequest(
        QModbusDataUnit(kind, question.address, static_cast<quint16>(question.words)), question.unit);
    if (reply == nullptr) {
        emit unanswered(false, client_->errorString());
        return;
    }
    if (reply->isFinished()) return judge(reply, question);
    connect(reply, &QModbusReply::finished, this, [this, reply, question] { judge(reply, question); });
}

void SerialRegisterLink::judge(QModbusReply* reply, const RegisterQuestion& question) {
    reply->deleteLater();
    if (!wanted_) return;
    const auto words = reply->result().values();
    if (reply->error() == QModbusDevice::NoError && words.size() == question.words &&
        reply->rawResult().functionCode() == question.function())
        emit answered(words);
    else
        emit unanswered(reply->error() == QModbusDevice::TimeoutError, reply->errorString());
}

}  // namespace glumet
