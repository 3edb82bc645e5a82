#include "meters/modbus_meter.h"

#include <bit>

#include "core/base/limits.h"

namespace glumet {
namespace {

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

ModbusMeter::ModbusMeter(QString name, std::unique_ptr<RegisterLink> link, const ModbusRegister& at,
                         int every_ms, MonotonicClock clock, QObject* parent)
    : ConnectedMeter(std::move(name), std::move(clock), parent), link_(std::move(link)), at_(at) {
    timer_.setInterval(every_ms);
    expectEvery(every_ms * 1e-3);
    connect(&timer_, &QTimer::timeout, this, &ModbusMeter::ask);
    connect(link_.get(), &RegisterLink::opened, this, [this] {
        unanswered_ = 0;
        asked_ = false;
        timer_.start();
        connectionOpened();
    });
    connect(link_.get(), &RegisterLink::lost, this, [this](const QString& reason) {
        timer_.stop();
        connectionLost(reason);
    });
    connect(link_.get(), &RegisterLink::answered, this, &ModbusMeter::take);
    connect(link_.get(), &RegisterLink::unanswered, this, &ModbusMeter::miss);
}

ModbusMeter::~ModbusMeter() {
    // A connection that ends with its meter is no loss to tell anybody of.
    disconnect(link_.get(), nullptr, this, nullptr);
    link_->close();
}

void ModbusMeter::openTransport() { link_->open(); }

void ModbusMeter::closeTransport() {
    timer_.stop();
    asked_ = false;
    link_->close();
}

void ModbusMeter::ask() {
    if (asked_ || state() != MeterState::Live) return;
    asked_ = true;
    link_->ask({at_.unit, at_.address, at_.words(), at_.input});
}

void ModbusMeter::take(const QList<quint16>& words) {
    asked_ = false;
    unanswered_ = 0;
    heard();
    const double value = at_.decode(words);
    if (value >= 0.0 && value <= at_.most)
        deliver(value);
    else
        noteFailure();
}

void ModbusMeter::noteFailure() {
    // From the first on there is something to say.
    if (++failures_ == 1) emit stateChanged(state());
}

void ModbusMeter::miss(bool silent, const QString& reason) {
    asked_ = false;
    noteFailure();
    if (!silent) return heard();
    if (++unanswered_ < kMostSilent) return;
    // A line may be open with nobody at its other end: begin anew.
    timer_.stop();
    link_->close();
    connectionLost(reason);
}

QString ModbusMeter::trouble() const {
    const QString lost = ConnectedMeter::trouble();
    if (!lost.isEmpty() || failures_ == 0) return lost;
    return tr("%1 left %2 questions without a value").arg(name()).arg(failures_);
}

}  // namespace glumet
