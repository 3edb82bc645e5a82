#include "meters/line_meter.h"

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

void LineMeter::take(const QByteArray& bytes) {
    if (!wanted()) return;
    const auto before = parser_.counts();
    for (const double value : parser_.feed(bytes)) {
        open_questions_ = 0;
        deliver(value);
    }
    const auto& now = parser_.counts();
    if (now.values + now.garbage + now.overlong > before.values + before.garbage + before.overlong)
        emit lineSeen(parser_.lastLine());
    // From the first line that cannot be read on there is something to say.
    if (before.garbage + before.overlong == 0 && now.garbage + now.overlong > 0) emit stateChanged(state());
}

QString LineMeter::trouble() const {
    const QString lost = ConnectedMeter::trouble();
    if (!lost.isEmpty()) return lost;
    const auto& counts = parser_.counts();
    if (counts.garbage + counts.overlong == 0) return {};
    return tr("%1 sent %2 lines that could not be read").arg(name()).arg(counts.garbage + counts.overlong);
}

}  // namespace glumet
