#include <QTest>
#include <random>

#include "meters/line_parser.h"
#include "runner/registry.h"

namespace meters_line_chunks {

using namespace glumet;

namespace {

struct Read {
    std::vector<double> values;
    LineParser::Counts counts;
};

bool same(const Read& a, const Read& b) {
    return a.values == b.values && a.counts.values == b.counts.values &&
           a.counts.garbage == b.counts.garbage && a.counts.overlong == b.counts.overlong;
}

Read whole(const LineFormat& format, const QByteArray& stream) {
    LineParser parser(format);
    auto values = parser.feed(stream);
    return {std::move(values), parser.counts()};
}

/// The same bytes as a cable brings them: a few at a time.
Read inPieces(const LineFormat& format, const QByteArray& stream, std::uint32_t seed) {
    LineParser parser(format);
    std::mt19937 random(seed);
    Read read;
    for (qsizetype at = 0; at < stream.size();) {
        const qsizetype size = 1 + static_cast<qsizetype>(random() % 40);
        for (const double value :
             parser.feed(QByteArrayView(stream).sliced(at).first(std::min(size, stream.size() - at))))
            read.values.push_back(value);
        at += size;
    }
    read.counts = parser.counts();
    return read;
}

/// Lines of values, nonsense, signs of other alphabets and lines without end.
QByteArray stream(std::uint32_t seed) {
    std::mt19937 random(seed);
    QByteArray bytes;
    for (int line = 0; line < 120; ++line) {
        switch (random() % 7) {
            case 0:
                bytes += "PPFD=" + QByteArray::number(static_cast<int>(random() % 900)) + ";x";
                break;
            case 1:
                bytes += QByteArray::number(static_cast<int>(random() % 90'000) / 100.0) + "\tok";
                break;
            case 2:
                bytes += "-5";
                break;
            case 3:
                for (int i = 0; i < 30; ++i) bytes += static_cast<char>(random() % 256);
                break;
            case 4:
                bytes += QByteArray(static_cast<qsizetype>(random() % 1200), '9');
                break;
            case 5:
                break;
            default:
                bytes += "1e400, 12";
        }
        bytes += random() % 3 == 0 ? "\r\n" : "\n";
    }
    return bytes;
}

}  // namespace

/// However a cable cuts them, the same lines give the same values.
class TestLineChunks : public QObject {
    Q_OBJECT

  private slots:
    void piecesGiveWhatTheWholeGives_data() {
        QTest::addColumn<QString>("pattern");
        QTest::newRow("first column") << QString();
        QTest::newRow("pattern") << QStringLiteral("PPFD=([0-9.]+)");
    }
    void piecesGiveWhatTheWholeGives() {
        QFETCH(QString, pattern);
        LineFormat format;
        format.pattern = pattern;
        for (std::uint32_t seed = 1; seed <= 40; ++seed) {
            const auto bytes = stream(seed);
            const auto at_once = whole(format, bytes);
            QVERIFY(at_once.counts.lines() > 60);
            QVERIFY(same(inPieces(format, bytes, seed), at_once));
            for (const double value : at_once.values)
                QVERIFY(value >= 0.0 && value <= format.most && std::isfinite(value));
        }
    }

    void whatWasCutOffIsNotFinishedByAnotherStream() {
        LineParser parser({});
        QVERIFY(parser.feed("12").empty());
        parser.restart();
        QCOMPARE(parser.feed("34\n"), std::vector<double>{34.0});
        QVERIFY(parser.feed(QByteArray(LineParser::kLongestLine + 5, '7')).empty());
        parser.restart();
        QCOMPARE(parser.feed("56\n"), std::vector<double>{56.0});
    }

    void ofAFloodTheLastLinesAreRead() {
        QByteArray flood;
        for (int i = 0; i < 1000; ++i) flood += QByteArray::number(i) + '\n';
        LineParser parser({});
        const auto values = parser.feed(flood, 10);
        QVERIFY(values.size() <= 11);
        QCOMPARE(values.back(), 999.0);
        QCOMPARE(parser.counts().passed_over + parser.counts().lines(), qint64{1000});
    }
};

GLUMET_TEST(TestLineChunks, "meters_line_chunks", Application)

}  // namespace meters_line_chunks

#include "test_line_chunks.moc"
