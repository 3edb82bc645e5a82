#pragma once

#include <QByteArray>
#include <QRegularExpression>
#include <QString>
#include <optional>
#include <vector>

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

    bool operator==(const LineFormat&) const = default;
    /// Names the field that is wrong and why; nothing when it can be used.
    std::optional<Problem> invalid() const;
};

/// Cuts a stream of bytes into lines and lines into values. Nothing is guessed: a line without a value where
/// the format expects one is garbage, is counted, and yields nothing; a line longer than kLongestLine is
/// thrown away up to its end.
class LineParser {
  public:
    static constexpr qsizetype kLongestLine = 512;
    static constexpr qsizetype kLongestSpectrum = 65536;
    static constexpr int kLeastWavelengths = 8;

    explicit LineParser(const LineFormat& format);

    struct Counts {
        qint64 values = 0;
        qint64 garbage = 0;
        qint64 overlong = 0;
    };

    /// Values of the lines that these bytes complete, in order, factor applied.
    std::vector<double> feed(const QByteArray& bytes);
    /// A stream that begins anew does not finish the line that was cut off.
    void restart();

    const Counts& counts() const { return counts_; }
    /// The last complete line as it came, cut to kLongestLine.
    const QByteArray& lastLine() const { return last_line_; }
    const std::optional<SpectralSample>& lastSpectrum() const { return last_spectrum_; }

  private:
    void endLine(std::vector<double>& values);
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
