#pragma once

#include <memory>

#include "meters/connected_meter.h"
#include "meters/line_parser.h"
#include "meters/line_source.h"

namespace glumet {

/// An instrument that sends lines of text, by itself or, with a question, each time it is asked (SCPI and the
/// like).
class LineMeter : public ConnectedMeter {
    Q_OBJECT

  public:
    /// Lines are read no faster than this; what an instrument sends beyond it is passed over and counted.
    static constexpr int kLinesPerSecond = limits::kLinesPerSecond;

    /// How an instrument is asked that does not send by itself.
    struct Question {
        QByteArray words;    ///< sent with a line feed; empty: it sends by itself
        int every_ms = 200;  ///< between questions; a question waits for its answer, at most five times this
    };

    LineMeter(QString name, std::unique_ptr<LineSource> source, const LineFormat& format, Question question,
              MonotonicClock clock, QObject* parent = nullptr);
    ~LineMeter() override;

    QString trouble() const override;
    std::optional<SpectralSample> spectrum() const override { return parser_.lastSpectrum(); }
    const LineParser& parser() const { return parser_; }
    /// How the instrument is told its integration time: words with {ms} in them; empty: it cannot be.
    void setIntegrationWords(QByteArray words) { integration_words_ = std::move(words); }
    bool takesIntegration() const override { return integration_words_.contains("{ms}"); }
    bool setIntegration(int milliseconds) override;
    /// Asks now if no answer is open; called by a timer in the program.
    void ask();

  signals:
    /// A line as it came, for the preview of a connection being set up.
    void lineSeen(const QByteArray& line);

  protected:
    void openTransport() override;
    void closeTransport() override;

  private:
    void take(const QByteArray& bytes);
    qsizetype allowance();
    QStringList complaints() const;

    std::unique_ptr<LineSource> source_;
    LineParser parser_;
    Question question_;
    QByteArray integration_words_;
    QTimer timer_;
    int open_questions_ = 0;
    double allowance_ = kLinesPerSecond;  ///< lines that may still be read now
    double allowed_at_ = 0.0;
};

}  // namespace glumet
