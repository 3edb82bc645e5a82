#include "servers.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <pty.h>
#include <termios.h>
#include <unistd.h>

#include <QModbusRtuSerialServer>
#include <QModbusTcpServer>
#include <QSerialPort>
#include <QVariant>
#include <array>
#include <bit>

namespace glumet::rig {
namespace {

constexpr int kUnit = 1;
constexpr int kSpectrumMs = 500;

/// Both ends of a raw pseudo-terminal that never blocks; the name is the other end's.
struct Terminal {
    int master = -1;
    QString name;
};
Expected<Terminal> makeTerminal(std::vector<int>& descriptors) {
    std::array<char, 128> name{};
    int master = -1;
    int slave = -1;
    if (openpty(&master, &slave, name.data(), nullptr, nullptr) != 0)
        return problem("pseudo-terminal", verbatim("cannot be opened"));
    termios settings{};
    tcgetattr(slave, &settings);
    cfmakeraw(&settings);
    tcsetattr(slave, TCSANOW, &settings);
    fcntl(master, F_SETFL, fcntl(master, F_GETFL) | O_NONBLOCK);
    // The slave stays open here too, so that the line outlives whoever listens.
    descriptors.push_back(master);
    descriptors.push_back(slave);
    return Terminal{master, QString::fromLatin1(name.data())};
}

void putFloat(QModbusServer& server, quint16 address, double value) {
    const auto bits = std::bit_cast<quint32>(static_cast<float>(value));
    server.setData(QModbusDataUnit::InputRegisters, address, static_cast<quint16>(bits >> 16U));
    server.setData(QModbusDataUnit::InputRegisters, static_cast<quint16>(address + 1),
                   static_cast<quint16>(bits & 0xFFFFU));
}

}  // namespace

Servers::Servers(Rig& rig) : rig_(rig) {
    connect(&rig, &Rig::line, this, &Servers::sendLine);
    connect(&rig, &Rig::cablePulled, this, &Servers::pullCable);
}

Servers::~Servers() {
    // The servers delete their sockets after the list of listeners is gone.
    for (auto* socket : listeners_) socket->disconnect(this);
    for (const int descriptor : descriptors_) ::close(descriptor);
}

Expected<QString> Servers::listen(QTcpServer& server, quint16 port, const char* name) {
    if (!server.listen(QHostAddress::LocalHost, port))
        return problem(fmt::format("{} port {}", name, port), verbatim(server.errorString().toStdString()));
    return QStringLiteral("%1 127.0.0.1 %2").arg(QLatin1String(name)).arg(server.serverPort());
}

Expected<QString> Servers::lines(quint16 port) {
    connect(&lines_, &QTcpServer::newConnection, this, [this] {
        while (auto* socket = lines_.nextPendingConnection()) {
            listeners_ << socket;
            connect(socket, &QTcpSocket::disconnected, this, [this, socket] {
                listeners_.removeAll(socket);
                socket->deleteLater();
            });
        }
    });
    const auto where = listen(lines_, port, "tcp");
    lines_port_ = lines_.serverPort();
    return where;
}

void Servers::answer(QTcpServer& server, QString (Servers::*reply)(const QString&)) {
    connect(&server, &QTcpServer::newConnection, this, [this, &server, reply] {
        while (auto* socket = server.nextPendingConnection()) {
            connect(socket, &QTcpSocket::readyRead, this, [this, socket, reply] {
                while (socket->canReadLine()) {
                    const auto line = QString::fromUtf8(socket->readLine(512)).trimmed();
                    const auto said = (this->*reply)(line);
                    if (!said.isEmpty()) socket->write(said.toUtf8() + '\n');
                }
            });
            connect(socket, &QTcpSocket::disconnected, socket, &QObject::deleteLater);
        }
    });
}

Expected<QString> Servers::spectra(quint16 port) {
    connect(&spectra_, &QTcpServer::newConnection, this, [this] {
        while (auto* socket = spectra_.nextPendingConnection()) {
            connect(socket, &QTcpSocket::disconnected, socket, &QObject::deleteLater);
            connect(socket, &QTcpSocket::readyRead, this, [this, socket] {
                while (socket->canReadLine()) takeIntegration(socket->readLine(64).trimmed());
            });
        }
    });
    connect(&spectra_timer_, &QTimer::timeout, this, [this] {
        const auto line = rig_.spectrumLine() + "\r\n";
        for (auto* socket : spectra_.findChildren<QTcpSocket*>()) socket->write(line);
    });
    spectra_timer_.start(kSpectrumMs);
    return listen(spectra_, port, "spectra");
}

/// "INT 250": gather light for so many milliseconds.
void Servers::takeIntegration(const QByteArray& words) {
    bool number = false;
    const int milliseconds = words.mid(4).toInt(&number);
    if (words.startsWith("INT ") && number && milliseconds >= 1 && milliseconds <= 60'000)
        rig_.setIntegration(milliseconds);
}

Expected<QString> Servers::scpi(quint16 port) {
    answer(scpi_, &Servers::scpiReply);
    return listen(scpi_, port, "scpi");
}

Expected<QString> Servers::control(quint16 port) {
    answer(control_, &Servers::controlReply);
    return listen(control_, port, "control");
}

QString Servers::scpiReply(const QString& question) {
    const QString asked = question.toUpper();
    if (asked == QLatin1String("*IDN?")) return QStringLiteral("Glumet,rig,0,0.1");
    if (asked == QLatin1String("MEAS:PPFD?")) return QString::number(rig_.ppfd(), 'E', 4);
    if (asked == QLatin1String("MEAS:POW?")) return QString::number(rig_.watt(), 'E', 4);
    return {};
}

Expected<QString> Servers::terminal() {
    const auto made = makeTerminal(descriptors_);
    if (!made) return tl::make_unexpected(made.error());
    terminal_ = made->master;
    return QStringLiteral("serial %1").arg(made->name);
}

Expected<QString> Servers::serve(std::unique_ptr<QModbusServer> server, const QString& where) {
    QModbusDataUnitMap map;
    map.insert(QModbusDataUnit::InputRegisters, {QModbusDataUnit::InputRegisters, 0, 4});
    server->setMap(map);
    server->setServerAddress(kUnit);
    if (!server->connectDevice())
        return problem(where.toStdString(), verbatim(server->errorString().toStdString()));
    modbus_.push_back(std::move(server));
    connect(&rig_, &Rig::line, this, &Servers::refreshRegisters, Qt::UniqueConnection);
    return where;
}

Expected<QString> Servers::modbusTcp(quint16 port) {
    if (port == 0) {
        QTcpServer free;
        free.listen(QHostAddress::LocalHost);
        port = free.serverPort();
    }
    auto server = std::make_unique<QModbusTcpServer>();
    server->setConnectionParameter(QModbusDevice::NetworkAddressParameter, QStringLiteral("127.0.0.1"));
    server->setConnectionParameter(QModbusDevice::NetworkPortParameter, port);
    return serve(std::move(server), QStringLiteral("modbus-tcp 127.0.0.1 %1").arg(port));
}

Expected<QString> Servers::modbusRtu() {
    // A serial server wants a port of its own: two terminals, back to back.
    const auto inner = makeTerminal(descriptors_);
    const auto outer = makeTerminal(descriptors_);
    if (!inner || !outer) return tl::make_unexpected(inner ? outer.error() : inner.error());
    bridge(inner->master, outer->master);
    bridge(outer->master, inner->master);
    auto server = std::make_unique<QModbusRtuSerialServer>();
    server->setConnectionParameter(QModbusDevice::SerialPortNameParameter, inner->name);
    server->setConnectionParameter(QModbusDevice::SerialBaudRateParameter, QSerialPort::Baud115200);
    server->setConnectionParameter(QModbusDevice::SerialParityParameter, QSerialPort::NoParity);
    return serve(std::move(server), QStringLiteral("modbus-rtu %1").arg(outer->name));
}

void Servers::bridge(int from, int to) {
    auto* notifier = new QSocketNotifier(from, QSocketNotifier::Read, this);
    connect(notifier, &QSocketNotifier::activated, this, [from, to] {
        std::array<char, 512> buffer{};
        const auto count = ::read(from, buffer.data(), buffer.size());
        if (count > 0 && ::write(to, buffer.data(), static_cast<std::size_t>(count)) < 0) return;
    });
}

void Servers::refreshRegisters() {
    for (const auto& server : modbus_) {
        putFloat(*server, 0, rig_.ppfd());
        putFloat(*server, 2, rig_.watt());
    }
}

void Servers::sendLine(const QByteArray& line) {
    const QByteArray bytes = line + '\n';
    for (auto* socket : listeners_) socket->write(bytes);
    // A terminal nobody reads fills up; what does not fit is lost, as on a wire.
    if (terminal_ >= 0 && ::write(terminal_, bytes.constData(), static_cast<std::size_t>(bytes.size())) < 0)
        return;
}

void Servers::pullCable(bool pulled) {
    if (lines_port_ == 0) return;
    if (!pulled) {
        lines_.listen(QHostAddress::LocalHost, lines_port_);
        return;
    }
    lines_.close();
    const auto sockets = listeners_;
    for (auto* socket : sockets) socket->abort();
}

}  // namespace glumet::rig
