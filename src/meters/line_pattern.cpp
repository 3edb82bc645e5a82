#include "meters/line_pattern.h"

#include <QRegularExpression>
#include <algorithm>
#include <optional>

namespace glumet {
namespace {

const QString kNumber = QStringLiteral("[-+]?\\d+(?:[.,]\\d+)?(?:[eE][-+]?\\d+)?");
constexpr qsizetype kLongestBefore = 24;

/// Short enough to be read: the signs that such a number is made of. A comma only where it is a decimal one.
QString likeIt(const QString& number) {
    return number.contains(QLatin1Char(',')) ? QStringLiteral("[-+0-9,eE]+") : QStringLiteral("[-+0-9.eE]+");
}

/// As it is, readable: only what a pattern gives a meaning is escaped.
QString plain(const QString& text) {
    QString out;
    for (const QChar c : text) {
        if (QStringLiteral("\\^$.|?*+()[]{}").contains(c)) out += QLatin1Char('\\');
        out += c;
    }
    return out;
}

qsizetype distance(qsizetype at, const QRegularExpressionMatch& number) {
    return std::max({qsizetype{0}, number.capturedStart() - at, at - number.capturedEnd()});
}

/// Whether nothing that divides fields stands between.
bool sameField(const QString& line, qsizetype at, const QRegularExpressionMatch& number) {
    const auto from = std::min(at, number.capturedEnd());
    const auto to = std::max(at, number.capturedStart());
    static const QRegularExpression divider(QStringLiteral("[;,\\s]"));
    return !line.mid(from, to - from).contains(divider);
}

}  // namespace

QString patternAt(const QString& line, qsizetype at) {
    static const QRegularExpression number(kNumber);
    std::optional<QRegularExpressionMatch> nearest;
    for (auto match = number.globalMatch(line); match.hasNext();) {
        const auto found = match.next();
        if (!sameField(line, at, found)) continue;
        if (!nearest || distance(at, found) < distance(at, *nearest)) nearest = found;
    }
    if (!nearest) return {};
    const QString all = line.left(nearest->capturedStart());
    const QString before = all.right(kLongestBefore);
    QString pattern = before.size() == all.size() ? QStringLiteral("^") : QString();
    qsizetype done = 0;
    for (auto other = number.globalMatch(before); other.hasNext();) {
        const auto value = other.next();
        pattern += plain(before.mid(done, value.capturedStart() - done)) + likeIt(value.captured());
        done = value.capturedEnd();
    }
    return pattern + plain(before.mid(done)) + QLatin1Char('(') + likeIt(nearest->captured()) +
           QLatin1Char(')');
}

}  // namespace glumet
