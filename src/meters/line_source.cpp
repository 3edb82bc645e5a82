#include "meters/line_source.h"

#include <cmath>

#include "core/base/limits.h"

namespace glumet {
namespace {

constexpr int kLookMs = 100;
/// Bytes held of what has come and is not read yet.
constexpr qint64 kMostHeld = 1 << 16;

}  // namespace

SerialSource::SerialSource(const QString& port, int baud, QObject* parent) : LineSource(parent) {
    port_.setPortName(port);
    port_.setBaudRate(baud);
    port_.setReadBufferSize(kMostHeld);
    connect(&port_, &QSerialPort::readyRead, this, [this] { emit arrived(port_.readAll()); });
    connect(&port_, &QSerialPort::errorOccurred, this, &SerialSource::fail);
}

void SerialSource::open() {
    failing_ = false;
    if (port_.open(QIODevice::ReadWrite)) emit opened();
}

void SerialSource::close() {
    failing_ = true;
    port_.close();
}

void SerialSource::fail(QSerialPort::SerialPortError error) {
    // A pulled cable reports without end until the port is closed, which must not happen inside the report.
    if (error == QSerialPort::NoError || failing_) return;
    failing_ = true;
    const QString reason = port_.errorString();
    QMetaObject::invokeMethod(
        this,
        [this, reason] {
            port_.close();
            emit lost(reason);
        },
        Qt::QueuedConnection);
}

TcpSource::TcpSource(const QString& host, quint16 port, QObject* parent)
    : LineSource(parent), host_(host), port_(port) {
    socket_.setReadBufferSize(kMostHeld);
    connect(&socket_, &QTcpSocket::connected, this, &TcpSource::opened);
    connect(&socket_, &QTcpSocket::readyRead, this, [this] { emit arrived(socket_.readAll()); });
    connect(&socket_, &QTcpSocket::stateChanged, this, [this](QAbstractSocket::SocketState state) {
        if (state != QAbstractSocket::UnconnectedState || !wanted_) return;
        wanted_ = false;
        emit lost(socket_.errorString());
    });
}

void TcpSource::open() {
    wanted_ = true;
    socket_.connectToHost(host_, port_);
}

void TcpSource::close() {
    wanted_ = false;
    socket_.abort();
}

LogFileSource::LogFileSource(const QString& path, QObject* parent) : LineSource(parent), file_(path) {
    timer_.setInterval(kLookMs);
    connect(&timer_, &QTimer::timeout, this, &LogFileSource::look);
}

void LogFileSource::open() {
    if (!file_.open(QIODevice::ReadOnly)) {
        const QString reason = file_.errorString();
        QMetaObject::invokeMethod(
            this, [this, reason] { emit lost(reason); }, Qt::QueuedConnection);
        return;
    }
    file_.seek(file_.size());
    timer_.start();
    emit opened();
}

void LogFileSource::close() {
    timer_.stop();
    file_.close();
}

void LogFileSource::look() {
    if (!file_.isOpen()) return;
    if (!file_.exists()) {
        close();
        emit lost(tr("the file is gone"));
        return;
    }
    if (file_.size() < file_.pos()) file_.seek(0);
    constexpr int kMostBlocks = 100;
    for (int block = 0; block < kMostBlocks; ++block) {
        const QByteArray bytes = file_.read(kMostHeld);
        if (bytes.isEmpty()) return;
        emit arrived(bytes);
        if (!file_.isOpen()) return;
    }
}

ReplaySource::ReplaySource(const QString& path, QObject* parent) : LineSource(parent), path_(path) {
    timer_.setInterval(kLookMs);
    connect(&timer_, &QTimer::timeout, this, [this] { advance(kLookMs * 1e-3); });
}

void ReplaySource::open() {
    QFile file(path_);
    left_.clear();
    clock_s_ = 0.0;
    QString reason;
    if (!file.open(QIODevice::ReadOnly)) {
        reason = file.errorString();
    } else {
        while (!file.atEnd() && left_.size() < limits::kReadings) {
            const QByteArray line = file.readLine(limits::kSpectrumLine);
            if (line.isEmpty()) break;
            bool fine = false;
            const double seconds = line.left(line.indexOf('\t')).toDouble(&fine);
            if (fine && std::isfinite(seconds)) left_.emplace_back(seconds, line.mid(line.indexOf('\t') + 1));
        }
        if (left_.empty()) reason = tr("the file holds no recorded line");
    }
    if (!reason.isEmpty()) {
        QMetaObject::invokeMethod(
            this, [this, reason] { emit lost(reason); }, Qt::QueuedConnection);
        return;
    }
    timer_.start();
    emit opened();
}

void ReplaySource::close() {
    timer_.stop();
    left_.clear();
}

void ReplaySource::advance(double seconds) {
    if (left_.empty()) return;
    clock_s_ += seconds;
    while (!left_.empty() && left_.front().first <= clock_s_) {
        const QByteArray line = left_.front().second;
        left_.pop_front();
        emit arrived(line.endsWith('\n') ? line : line + '\n');
    }
    if (!left_.empty()) return;
    timer_.stop();
    emit lost(tr("the recording has ended"));
}

}  // namespace glumet
