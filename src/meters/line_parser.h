#pragma once

#include <QByteArray>
#include <QRegularExpression>
#include <QString>
#include <limits>
#include <optional>
#include <vector>

#include "core/base/limits.h"
#include "core/base/problem.h"
#include "core/spectrum/spectral_sample.h"

namespace glumet {

/// Where in a line of text an instrument's value stands.
struct LineFormat {
    int column = 1;   ///< counted from 1, between commas, semicolons, tabs or spaces; used without a pattern
    QString pattern;  ///< regular expression whose first group is the value; empty: the column
    double factor = 1.0;  ///< from the instrument's unit to µmol·m⁻²·s⁻¹ or W; finite, not 0
    /// Of a spectrometer: the line is one value a wavelength, from the column on; its value is their PPFD.
    std::optional<SpectralSample> spectrum = std::nullopt;
    double most = limits::kPpfd;  ///< the instrument's greatest value, factor applied; more is a fault of its

    bool operator==(const LineFormat&) const = default;
    /// Names the field that is wrong and why; nothing when it can be used.
    std::optional<Problem> invalid() const;
};

/// Cuts a stream of bytes into lines and lines into values. Nothing is guessed: a line without a value where
/// the format expects one is garbage, is counted, and yields nothing; a line longer than kLongestLine is
/// thrown away up to its end. A value below 0 or
/// beyond the instrument's greatest is no value either.
class LineParser {
  public:
    static constexpr qsizetype kLongestLine = limits::kInstrumentLine;
    static constexpr qsizetype kLongestSpectrum = limits::kSpectrumLine;
    static constexpr int kLeastWavelengths = 8;

    explicit LineParser(const LineFormat& format);

    struct Counts {
        qint64 values = 0;
        qint64 garbage = 0;
        qint64 overlong = 0;
        qint64 passed_over = 0;  ///< came faster than they were wanted
        qint64 lines() const { return values + garbage + overlong; }
    };

    /// Values of the lines that these bytes complete, in order, factor applied. Of more than `most` lines the
    /// last are read and the others passed over, which costs next to nothing.
    std::vector<double> feed(QByteArrayView bytes, qsizetype most = std::numeric_limits<qsizetype>::max());
    /// A stream that begins anew does not finish the line that was cut off.
    void restart();

    const Counts& counts() const { return counts_; }
    /// The last complete line as it came, cut to kLongestLine.
    const QByteArray& lastLine() const { return last_line_; }
    const std::optional<SpectralSample>& lastSpectrum() const { return last_spectrum_; }

  private:
    void endLine(std::vector<double>& values);
    QByteArrayView lastLines(QByteArrayView bytes, qsizetype most);
    qsizetype longest() const { return format_.spectrum ? kLongestSpectrum : kLongestLine; }
    std::optional<double> valueOf(const QByteArray& line);
    std::optional<double> spectrumOf(const QStringList& words);

    LineFormat format_;
    QRegularExpression pattern_;
    QByteArray line_;
    QByteArray last_line_;
    std::optional<SpectralSample> last_spectrum_;
    bool skipping_ = false;
    Counts counts_;
};

}  // namespace glumet
