#include "meters/line_parser.h"

#include <algorithm>
#include <cmath>

#include "core/base/limits.h"
#include "core/words/wording.h"

namespace glumet {

std::optional<Problem> LineFormat::invalid() const {
    if (!std::isfinite(factor) || factor == 0.0)
        return Problem{"factor", say(GLUMET_SAY("Core", "must be a number other than 0"))};
    if (!(most > 0.0 && most <= limits::kPpfd))
        return Problem{"reads up to",
                       say(GLUMET_SAY("Core", "must be above 0 and at most {}"), Figure{limits::kPpfd})};
    if (spectrum && !(spectrum->step_nm > 0.0 && spectrum->first_nm >= 200.0 && spectrum->first_nm <= 1100.0))
        return Problem{
            "spectrum",
            say(GLUMET_SAY("Core", "needs a first wavelength of 200 to 1100 nm and a step above 0"))};
    if (pattern.isEmpty()) {
        if (column < 1 || column > 99)
            return Problem{"column", say(GLUMET_SAY("Core", "must lie between 1 and 99"))};
        return std::nullopt;
    }
    const QRegularExpression expression(pattern);
    if (!expression.isValid())
        return Problem{"pattern", say(GLUMET_SAY("Core", "cannot be understood: {}"),
                                      expression.errorString().toStdString())};
    if (expression.captureCount() < 1)
        return Problem{"pattern", say(GLUMET_SAY("Core", "needs a group in parentheses for the value"))};
    return std::nullopt;
}

LineParser::LineParser(const LineFormat& format) : format_(format), pattern_(format.pattern) {}

void LineParser::restart() {
    line_.clear();
    skipping_ = false;
}

/// What is left of these bytes when all but the last lines are passed over.
QByteArrayView LineParser::lastLines(QByteArrayView bytes, qsizetype most) {
    const auto ends = std::count(bytes.begin(), bytes.end(), '\n');
    if (ends <= most) return bytes;
    counts_.passed_over += ends - most;
    restart();
    for (auto over = ends - most; over > 0; --over) bytes = bytes.sliced(bytes.indexOf('\n') + 1);
    return bytes;
}

std::vector<double> LineParser::feed(QByteArrayView bytes, qsizetype most) {
    std::vector<double> values;
    for (const char byte : lastLines(bytes, most)) {
        if (byte == '\n' || byte == '\r') {
            endLine(values);
        } else if (skipping_) {
            continue;
        } else if (line_.size() == longest()) {
            skipping_ = true;
        } else {
            line_.append(byte);
        }
    }
    return values;
}

void LineParser::endLine(std::vector<double>& values) {
    if (line_.isEmpty()) return;
    last_line_ = line_;
    if (skipping_) {
        ++counts_.overlong;
    } else if (const auto value = valueOf(line_)) {
        ++counts_.values;
        values.push_back(*value);
    } else {
        ++counts_.garbage;
    }
    restart();
}

std::optional<double> LineParser::spectrumOf(const QStringList& words) {
    auto sample = *format_.spectrum;
    sample.values.clear();
    for (qsizetype i = format_.column - 1; i < words.size(); ++i) {
        const auto value = parseNumber(words[i].toStdString());
        if (!value || !(std::abs(*value * format_.factor) <= limits::kPpfd)) return std::nullopt;
        sample.values.push_back(std::max(0.0, *value * format_.factor));  // noise about 0 is dark
    }
    if (sample.values.size() < static_cast<std::size_t>(kLeastWavelengths)) return std::nullopt;
    last_spectrum_ = sample;
    return sample.ppfd().value();
}

namespace {

/// A line's columns. A comma parts them too, unless another separator does or it stands alone between digits:
/// then it is a decimal comma.
QStringList columnsOf(const QString& text) {
    static const QRegularExpression blank(QStringLiteral("[;\\t ]+"));
    static const QRegularExpression decimal(QStringLiteral("^[+-]?\\d+,\\d+$"));
    auto words = text.split(blank, Qt::SkipEmptyParts);
    if (words.size() == 1 && !decimal.match(text).hasMatch())
        return text.split(QLatin1Char(','), Qt::SkipEmptyParts);
    for (auto& word : words)
        while (word.endsWith(QLatin1Char(','))) word.chop(1);
    return words;
}

}  // namespace

std::optional<double> LineParser::valueOf(const QByteArray& line) {
    const QString text = QString::fromUtf8(line).trimmed();
    if (format_.spectrum) return spectrumOf(columnsOf(text));
    QString word;
    if (!format_.pattern.isEmpty()) {
        const auto match = pattern_.match(text);
        if (!match.hasMatch()) return std::nullopt;
        word = match.captured(1);
    } else {
        word = columnsOf(text).value(format_.column - 1);
    }
    const auto number = parseNumber(word.toStdString());
    const double value = number.value_or(-1.0) * format_.factor;
    return number && value >= 0.0 && value <= format_.most ? std::optional(value) : std::nullopt;
}

}  // namespace glumet
