#include "meters/line_meter.h"

#include <algorithm>

namespace glumet {
namespace {

constexpr int kMostPatience = 5;

}  // namespace

LineMeter::LineMeter(QString name, std::unique_ptr<LineSource> source, const LineFormat& format,
                     Question question, MonotonicClock clock, QObject* parent)
    : ConnectedMeter(std::move(name), std::move(clock), parent),
      source_(std::move(source)),
      parser_(format),
      question_(std::move(question)) {
    connect(source_.get(), &LineSource::opened, this, [this] {
        parser_.restart();
        open_questions_ = 0;
        if (!question_.words.isEmpty()) timer_.start();
        connectionOpened();
    });
    connect(source_.get(), &LineSource::arrived, this, &LineMeter::take);
    connect(source_.get(), &LineSource::lost, this, [this](const QString& reason) {
        timer_.stop();
        connectionLost(reason);
    });
    timer_.setInterval(question_.every_ms);
    if (!question_.words.isEmpty()) expectEvery(question_.every_ms * 1e-3);
    connect(&timer_, &QTimer::timeout, this, &LineMeter::ask);
}

LineMeter::~LineMeter() {
    // A connection that ends with its meter is no loss to tell anybody of.
    disconnect(source_.get(), nullptr, this, nullptr);
    source_->close();
}

void LineMeter::openTransport() { source_->open(); }

void LineMeter::closeTransport() {
    timer_.stop();
    source_->close();
}

void LineMeter::ask() {
    // An answer that does not come is given up after a while: instruments forget questions.
    if (open_questions_ > 0 && ++open_questions_ <= kMostPatience) return;
    open_questions_ = 1;
    source_->write(question_.words + '\n');
}

bool LineMeter::setIntegration(int milliseconds) {
    if (!takesIntegration() || state() != MeterState::Live) return false;
    auto words = integration_words_;
    source_->write(words.replace("{ms}", QByteArray::number(milliseconds)) + '\n');
    return true;
}

/// So many lines as the time since the last allows.
qsizetype LineMeter::allowance() {
    const double now = seconds();
    const double grown = allowance_ + std::max(0.0, now - allowed_at_) * kLinesPerSecond;
    allowance_ = std::min<double>(kLinesPerSecond, grown);
    allowed_at_ = now;
    return static_cast<qsizetype>(allowance_);
}

void LineMeter::take(const QByteArray& bytes) {
    if (!wanted()) return;
    const auto before = parser_.counts();
    const auto most = allowance();
    for (const double value : parser_.feed(bytes, most)) {
        open_questions_ = 0;
        deliver(value);
    }
    const auto& now = parser_.counts();
    allowance_ -= static_cast<double>(now.lines() - before.lines());
    if (now.lines() > before.lines()) {
        heard();
        emit lineSeen(parser_.lastLine());
    }
    // From the first line that cannot be read or is not wanted on there is something to say.
    const auto unread = [](const LineParser::Counts& counts) { return counts.garbage + counts.overlong; };
    if ((unread(before) == 0 && unread(now) > 0) || (before.passed_over == 0 && now.passed_over > 0))
        emit stateChanged(state());
}

QStringList LineMeter::complaints() const {
    QStringList said;
    const auto& counts = parser_.counts();
    if (const auto unread = counts.garbage + counts.overlong; unread > 0)
        said << tr("%1 sent %2 lines that could not be read").arg(name()).arg(unread);
    if (counts.passed_over > 0)
        said << tr("%1 sends more than %2 lines a second; %3 were passed over")
                    .arg(name())
                    .arg(kLinesPerSecond)
                    .arg(counts.passed_over);
    return said;
}

QString LineMeter::trouble() const {
    const QString lost = ConnectedMeter::trouble();
    return lost.isEmpty() ? complaints().join(QStringLiteral("; ")) : lost;
}

}  // namespace glumet
