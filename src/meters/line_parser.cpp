#include "meters/line_parser.h"

#include <cmath>

#include "core/wording.h"

namespace glumet {

std::optional<Problem> LineFormat::invalid() const {
    if (!std::isfinite(factor) || factor == 0.0) return Problem{"factor", "must be a number other than 0"};
    if (pattern.isEmpty()) {
        if (column < 1 || column > 99) return Problem{"column", "must lie between 1 and 99"};
        return std::nullopt;
    }
    const QRegularExpression expression(pattern);
    if (!expression.isValid())
        return Problem{"pattern", "cannot be understood: " + expression.errorString().toStdString()};
    if (expression.captureCount() < 1)
        return Problem{"pattern", "needs a group in parentheses for the value"};
    return std::nullopt;
}

LineParser::LineParser(const LineFormat& format) : format_(format), pattern_(format.pattern) {}

void LineParser::restart() {
    line_.clear();
    skipping_ = false;
}

std::vector<double> LineParser::feed(const QByteArray& bytes) {
    std::vector<double> values;
    for (const char byte : bytes) {
        if (byte == '\n' || byte == '\r') {
            endLine(values);
        } else if (skipping_) {
            continue;
        } else if (line_.size() == kLongestLine) {
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

std::optional<double> LineParser::valueOf(const QByteArray& line) const {
    const QString text = QString::fromUtf8(line).trimmed();
    QString word;
    if (!format_.pattern.isEmpty()) {
        const auto match = pattern_.match(text);
        if (!match.hasMatch()) return std::nullopt;
        word = match.captured(1);
    } else {
        static const QRegularExpression between(QStringLiteral("[,;\\t ]+"));
        word = text.split(between, Qt::SkipEmptyParts).value(format_.column - 1);
    }
    const auto number = parseNumber(word.toStdString());
    return number ? std::optional(*number * format_.factor) : std::nullopt;
}

}  // namespace glumet
