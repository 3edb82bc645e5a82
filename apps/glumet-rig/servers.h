#pragma once

#include <QModbusServer>
#include <QSocketNotifier>
#include <QTcpServer>
#include <QTcpSocket>
#include <QTimer>
#include <memory>

#include "rig.h"

namespace glumet::rig {

/// Opens the rig's transports. Each returns where it can be reached, as one line of text, or what went wrong.
/// Everything is on this machine: pseudo-terminals and 127.0.0.1.
class Servers : public QObject {
    Q_OBJECT

  public:
    explicit Servers(Rig& rig);
    ~Servers() override;

    /// Lines to everybody who connects. Port 0 takes a free one.
    Expected<QString> lines(quint16 port);
    /// A spectrum a line, twice a second, to everybody who connects.
    Expected<QString> spectra(quint16 port);
    /// Answers the questions MEAS:PPFD?, MEAS:POW? and *IDN?.
    Expected<QString> scpi(quint16 port);
    /// The control line of Rig::command.
    Expected<QString> control(quint16 port);
    /// Lines on a pseudo-terminal.
    Expected<QString> terminal();
    /// Input registers 0–1 PPFD, 2–3 power, both 32-bit floats, high word first; unit 1.
    Expected<QString> modbusTcp(quint16 port);
    /// The same as RTU on a pseudo-terminal.
    Expected<QString> modbusRtu();

  private:
    Expected<QString> listen(QTcpServer& server, quint16 port, const char* name);
    Expected<QString> serve(std::unique_ptr<QModbusServer> server, const QString& where);
    void answer(QTcpServer& server, QString (Servers::*reply)(const QString&));
    void takeIntegration(const QByteArray& words);
    QString scpiReply(const QString& question);
    QString controlReply(const QString& line) { return rig_.command(line); }
    void sendLine(const QByteArray& line);
    void pullCable(bool pulled);
    void refreshRegisters();
    void bridge(int from, int to);

    Rig& rig_;
    QTcpServer lines_;
    QTcpServer scpi_;
    QTcpServer spectra_;
    QTimer spectra_timer_;
    QTcpServer control_;
    QList<QTcpSocket*> listeners_;
    quint16 lines_port_ = 0;
    int terminal_ = -1;
    std::vector<int> descriptors_;
    std::vector<std::unique_ptr<QModbusServer>> modbus_;
};

}  // namespace glumet::rig
