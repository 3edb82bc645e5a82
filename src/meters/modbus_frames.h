#pragma once

#include <QByteArray>
#include <QList>
#include <QString>
#include <optional>

namespace glumet {

/// Registers that are asked for: function 3 (holding) or 4 (input), counted from 0.
struct RegisterQuestion {
    int unit = 1;
    int address = 0;
    int words = 1;
    bool input = false;

    int function() const { return input ? 4 : 3; }
};

/// What became of a question: words, or why what came is no answer.
struct RegisterAnswer {
    QList<quint16> words;
    QString refusal;  ///< empty: the words are the answer
};

/// Modbus over TCP as bytes: frames of questions, and answers cut out of a stream. Only an answer to the
/// question under way counts: its transaction, protocol, unit, function and length must all be right.
class ModbusFrames {
  public:
    /// The bytes of a question, which is under way from now on.
    QByteArray ask(const RegisterQuestion& question);
    /// No question is under way any more, and nothing of the stream is held.
    void restart();
    void giveUp() { asked_ = false; }
    bool asked() const { return asked_; }

    /// Takes what came; the answer or refusal, if these bytes complete one. At most one, for one is asked
    /// for.
    std::optional<RegisterAnswer> take(const QByteArray& bytes);

    static constexpr qsizetype kMostHeld = 1 << 16;

  private:
    std::optional<RegisterAnswer> judge(const QByteArray& frame);
    RegisterAnswer refuse(const QString& why);

    QByteArray held_;
    RegisterQuestion question_;
    quint16 transaction_ = 0;
    bool asked_ = false;
};

}  // namespace glumet
