#pragma once

#include <QFile>
#include <QObject>
#include <QSerialPort>
#include <QTcpSocket>
#include <QTimer>
#include <deque>

namespace glumet {

/// Something that sends bytes. Life: open() → opened() → any number of arrived() → lost() or close(); after
/// lost() it may be opened again. Nothing is sent after close() or lost().
class LineSource : public QObject {
    Q_OBJECT

  public:
    using QObject::QObject;

    virtual void open() = 0;
    virtual void close() = 0;
    /// Sends a question; sources that cannot be written to ignore it.
    virtual void write(const QByteArray& /*bytes*/) {}

  signals:
    void opened();
    void arrived(const QByteArray& bytes);
    void lost(const QString& reason);
};

/// A serial line, 8N1.
class SerialSource : public LineSource {
    Q_OBJECT

  public:
    SerialSource(const QString& port, int baud, QObject* parent = nullptr);
    void open() override;
    void close() override;
    void write(const QByteArray& bytes) override { port_.write(bytes); }

  private:
    void fail(QSerialPort::SerialPortError error);
    QSerialPort port_;
    bool failing_ = false;
};

/// A TCP stream.
class TcpSource : public LineSource {
    Q_OBJECT

  public:
    TcpSource(const QString& host, quint16 port, QObject* parent = nullptr);
    void open() override;
    void close() override;
    void write(const QByteArray& bytes) override { socket_.write(bytes); }

  private:
    QString host_;
    quint16 port_;
    QTcpSocket socket_;
    bool wanted_ = false;
};

/// A log that another program writes: what is appended after open(). A log that became shorter was begun anew
/// and is read from its start.
class LogFileSource : public LineSource {
    Q_OBJECT

  public:
    explicit LogFileSource(const QString& path, QObject* parent = nullptr);
    void open() override;
    void close() override;
    /// Reads what has come; called by a timer in the program, by hand in tests.
    void look();

  private:
    QFile file_;
    QTimer timer_;
};

/// A recorded session, "seconds<tab>line" per line, seconds ascending, played at its own pace: by a timer in
/// the program, by advance() in tests. When it has ended the source is lost with that reason.
class ReplaySource : public LineSource {
    Q_OBJECT

  public:
    explicit ReplaySource(const QString& path, QObject* parent = nullptr);
    void open() override;
    void close() override;
    void advance(double seconds);

  private:
    QString path_;
    std::deque<std::pair<double, QByteArray>> left_;
    QTimer timer_;
    double clock_s_ = 0.0;
};

}  // namespace glumet
