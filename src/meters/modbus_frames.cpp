#include "meters/modbus_frames.h"

#include <QCoreApplication>
#include <QtEndian>

namespace glumet {
namespace {

// Head of a frame: transaction, protocol, length of what follows; then unit, function, data.
constexpr qsizetype kHead = 6;
constexpr qsizetype kLeastFrame = kHead + 3;
constexpr int kMostLength = 254;

QString tr(const char* words) { return QCoreApplication::translate("RegisterLink", words); }

quint16 wordAt(const QByteArray& bytes, qsizetype at) {
    return qFromBigEndian<quint16>(bytes.constData() + at);
}

void appendWord(QByteArray& bytes, int word) {
    bytes += static_cast<char>(word >> 8);
    bytes += static_cast<char>(word);
}

}  // namespace

QByteArray ModbusFrames::ask(const RegisterQuestion& question) {
    question_ = question;
    asked_ = true;
    QByteArray frame;
    appendWord(frame, ++transaction_);
    appendWord(frame, 0);
    appendWord(frame, 6);
    frame += static_cast<char>(question.unit);
    frame += static_cast<char>(question.function());
    appendWord(frame, question.address);
    appendWord(frame, question.words);
    return frame;
}

void ModbusFrames::restart() {
    held_.clear();
    asked_ = false;
}

RegisterAnswer ModbusFrames::refuse(const QString& why) {
    asked_ = false;
    return {{}, why};
}

/// Cuts the stream into frames by the length each names.
std::optional<RegisterAnswer> ModbusFrames::take(const QByteArray& bytes) {
    std::optional<RegisterAnswer> answer;
    held_ += bytes;
    qsizetype at = 0;
    while (held_.size() - at >= kLeastFrame) {
        const int length = wordAt(held_, at + 4);
        if (length < 3 || length > kMostLength) {
            held_.clear();
            if (!asked_) return answer;
            return refuse(tr("what came is no Modbus"));
        }
        if (held_.size() - at < kHead + length) break;
        if (auto judged = judge(held_.mid(at, kHead + length))) answer = std::move(judged);
        at += kHead + length;
    }
    held_.remove(0, at);
    return answer;
}

std::optional<RegisterAnswer> ModbusFrames::judge(const QByteArray& frame) {
    // What answers another question, or none, is passed over; ours may still come.
    if (!asked_ || wordAt(frame, 0) != transaction_) return std::nullopt;
    if (wordAt(frame, 2) != 0) return refuse(tr("the answer is of another protocol"));
    if (static_cast<quint8>(frame[6]) != question_.unit) return refuse(tr("the answer is of another unit"));
    const int function = static_cast<quint8>(frame[7]);
    if (function == (question_.function() | 0x80))
        return refuse(tr("the instrument refuses the question (%1)").arg(static_cast<quint8>(frame[8])));
    if (function != question_.function()) return refuse(tr("the answer is of another kind"));
    const qsizetype bytes = qsizetype{2} * question_.words;
    if (static_cast<quint8>(frame[8]) != bytes || frame.size() != kLeastFrame + bytes)
        return refuse(tr("the answer has the wrong length"));
    RegisterAnswer answer;
    for (qsizetype at = kLeastFrame; at < frame.size(); at += 2) answer.words << wordAt(frame, at);
    asked_ = false;
    return answer;
}

}  // namespace glumet
