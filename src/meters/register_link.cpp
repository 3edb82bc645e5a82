#include "meters/register_link.h"

#include <QModbusReply>
#include <QModbusRtuSerialClient>
#include <QSerialPort>
#include <QVariant>
#include <QtEndian>

namespace glumet {
namespace {

// Head of a frame: transaction, protocol, length of what follows; then unit, function, data.
constexpr qsizetype kHead = 6;
constexpr qsizetype kLeastFrame = kHead + 3;
constexpr int kMostLength = 254;
constexpr qsizetype kMostHeld = 1 << 16;

quint16 wordAt(const QByteArray& bytes, qsizetype at) {
    return qFromBigEndian<quint16>(bytes.constData() + at);
}

void appendWord(QByteArray& bytes, int word) {
    bytes += static_cast<char>(word >> 8);
    bytes += static_cast<char>(word);
}

int functionOf(const RegisterQuestion& question) { return question.input ? 4 : 3; }

}  // namespace

std::unique_ptr<RegisterLink> RegisterLink::tcp(const QString& host, int port) {
    return std::make_unique<TcpRegisterLink>(host, port);
}

TcpRegisterLink::TcpRegisterLink(const QString& host, int port) : host_(host), port_(port) {
    socket_.setReadBufferSize(kMostHeld);
    patience_.setSingleShot(true);
    patience_.setInterval(kAnswerMs);
    connect(&patience_, &QTimer::timeout, this, [this] { refuse(true, tr("no answer came in time")); });
    connect(&socket_, &QTcpSocket::connected, this, &RegisterLink::opened);
    connect(&socket_, &QTcpSocket::readyRead, this, &TcpRegisterLink::take);
    connect(&socket_, &QTcpSocket::stateChanged, this, [this](QAbstractSocket::SocketState state) {
        if (state != QAbstractSocket::UnconnectedState || !wanted_) return;
        wanted_ = asked_ = false;
        patience_.stop();
        emit lost(socket_.errorString());
    });
}

void TcpRegisterLink::open() {
    wanted_ = true;
    asked_ = false;
    held_.clear();
    socket_.connectToHost(host_, static_cast<quint16>(port_));
}

void TcpRegisterLink::close() {
    wanted_ = asked_ = false;
    patience_.stop();
    socket_.abort();
}

void TcpRegisterLink::ask(const RegisterQuestion& question) {
    question_ = question;
    asked_ = true;
    QByteArray frame;
    appendWord(frame, ++transaction_);
    appendWord(frame, 0);
    appendWord(frame, 6);
    frame += static_cast<char>(question.unit);
    frame += static_cast<char>(functionOf(question));
    appendWord(frame, question.address);
    appendWord(frame, question.words);
    socket_.write(frame);
    patience_.start();
}

void TcpRegisterLink::refuse(bool silent, const QString& reason) {
    if (!asked_) return;
    asked_ = false;
    patience_.stop();
    emit unanswered(silent, reason);
}

/// Cuts the stream into frames by the length each names.
void TcpRegisterLink::take() {
    held_ += socket_.readAll();
    while (held_.size() >= kLeastFrame && wanted_) {
        const int length = wordAt(held_, 4);
        if (length < 3 || length > kMostLength) {
            held_.clear();
            return refuse(false, tr("what came is no Modbus"));
        }
        if (held_.size() < kHead + length) return;
        const QByteArray frame = held_.left(kHead + length);
        held_.remove(0, kHead + length);
        judge(frame);
    }
}

void TcpRegisterLink::judge(const QByteArray& frame) {
    // What answers another question, or none, is passed over; ours may still come.
    if (!asked_ || wordAt(frame, 0) != transaction_) return;
    if (wordAt(frame, 2) != 0) return refuse(false, tr("the answer is of another protocol"));
    if (static_cast<quint8>(frame[6]) != question_.unit)
        return refuse(false, tr("the answer is of another unit"));
    const int function = static_cast<quint8>(frame[7]);
    if (function == (functionOf(question_) | 0x80))
        return refuse(false,
                      tr("the instrument refuses the question (%1)").arg(static_cast<quint8>(frame[8])));
    if (function != functionOf(question_)) return refuse(false, tr("the answer is of another kind"));
    const qsizetype bytes = qsizetype{2} * question_.words;
    if (static_cast<quint8>(frame[8]) != bytes || frame.size() != kLeastFrame + bytes)
        return refuse(false, tr("the answer has the wrong length"));
    QList<quint16> words;
    for (qsizetype at = kLeastFrame; at < frame.size(); at += 2) words << wordAt(frame, at);
    asked_ = false;
    patience_.stop();
    emit answered(words);
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
        reply->rawResult().functionCode() == functionOf(question))
        emit answered(words);
    else
        emit unanswered(reply->error() == QModbusDevice::TimeoutError, reply->errorString());
}

}  // namespace glumet
