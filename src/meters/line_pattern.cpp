#include "meters/line_pattern.h"

#include <QRegularExpression>

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

}  // namespace

QString patternAt(const QString& line, qsizetype at) {
    static const QRegularExpression number(kNumber);
    for (auto match = number.globalMatch(line); match.hasNext();) {
        const auto found = match.next();
        if (at < found.capturedStart() || at > found.capturedEnd()) continue;
        const QString all = line.left(found.capturedStart());
        const QString before = all.right(kLongestBefore);
        QString pattern = before.size() == all.size() ? QStringLiteral("^") : QString();
        qsizetype done = 0;
        for (auto other = number.globalMatch(before); other.hasNext();) {
            const auto value = other.next();
            pattern += plain(before.mid(done, value.capturedStart() - done)) + likeIt(value.captured());
            done = value.capturedEnd();
        }
        return pattern + plain(before.mid(done)) + QLatin1Char('(') + likeIt(found.captured()) +
               QLatin1Char(')');
    }
    return {};
}

}  // namespace glumet
