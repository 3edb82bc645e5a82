#pragma once

#include <QModbusClient>
#include <QTcpSocket>
#include <QTimer>
#include <memory>

#include "meters/modbus_frames.h"

namespace glumet {

/// The way to a Modbus instrument: one question at a time. Life: open() → opened() → any number of ask(),
/// each followed by just one answered() or unanswered() → lost() or close(); after lost() it may be opened
/// again. Only an answer to the question under way counts: its transaction, protocol, unit, function and
/// length must all be right.
class RegisterLink : public QObject {
    Q_OBJECT

  public:
    using QObject::QObject;

    static constexpr int kAnswerMs = 500;  ///< a question waits so long

    virtual void open() = 0;
    virtual void close() = 0;
    virtual void ask(const RegisterQuestion& question) = 0;

    /// 8N1 on a serial line.
    static std::unique_ptr<RegisterLink> rtu(const QString& port, int baud);
    static std::unique_ptr<RegisterLink> tcp(const QString& host, int port);

  signals:
    void opened();
    void lost(const QString& reason);
    void answered(const QList<quint16>& words);
    /// `silent`: nothing came in time; else an answer came that is none.
    void unanswered(bool silent, const QString& reason);
};

/// Frames of Modbus over TCP.
class TcpRegisterLink : public RegisterLink {
    Q_OBJECT

  public:
    TcpRegisterLink(const QString& host, int port);
    void open() override;
    void close() override;
    void ask(const RegisterQuestion& question) override;

  private:
    void take();

    QString host_;
    int port_;
    QTcpSocket socket_;
    QTimer patience_;
    ModbusFrames frames_;
    bool wanted_ = false;
};

/// Modbus over a serial line.
class SerialRegisterLink : public RegisterLink {
    Q_OBJECT

  public:
    explicit SerialRegisterLink(std::unique_ptr<QModbusClient> client);
    ~SerialRegisterLink() override;
    void open() override;
    void close() override;
    void ask(const RegisterQuestion& question) override;

  private:
    void judge(QModbusReply* reply, const RegisterQuestion& question);

    std::unique_ptr<QModbusClient> client_;
    bool wanted_ = false;
};

}  // namespace glumet
