#include <QTest>
#include <cmath>
#include <numbers>

#include "core/words/sentence.h"
#include "formats/lm63.h"
#include "runner/registry.h"

namespace formats_lm63 {

using namespace glumet;

namespace {

/// A file of the given angles whose candela value is `value(vertical, horizontal)`.
template <class Value>
std::string fileOf(const std::vector<double>& vertical, const std::vector<double>& horizontal, Value value,
                   const std::string& revision = "IES:LM-63-2019") {
    std::string out = revision + "\n[TEST] invented\n[LUMINAIRE] Reed 4\nTILT=NONE\n1 1000 2.0 " +
                      std::to_string(vertical.size()) + " " + std::to_string(horizontal.size()) +
                      " 1 2 0.1 0.2 0\n1.0 1.0 42\n";
    const auto add = [&](double number) { out += std::to_string(number) + " "; };
    for (const double v : vertical) add(v);
    out += "\n";
    for (const double h : horizontal) add(h);
    out += "\n";
    for (const double h : horizontal) {
        for (const double v : vertical) add(value(v, h));
        out += "\r\n";
    }
    return out;
}

const std::vector<double> kDown{0, 15, 30, 45, 60, 75, 90};
double cosineLaw(double v, double /*h*/) { return 100.0 * std::cos(v * std::numbers::pi / 180.0); }
double lopsided(double v, double h) {
    return cosineLaw(v, h) * (1.0 + 0.3 * std::cos(2.0 * h * std::numbers::pi / 180.0));
}

QString refusal(const std::string& text) {
    const auto read = readLm63(text);
    return read ? QStringLiteral("read") : QString::fromStdString(english(read.error()));
}

std::string replaced(std::string text, const std::string& what, const std::string& by) {
    text.replace(text.find(what), what.size(), by);
    return text;
}

}  // namespace

class TestLm63 : public QObject {
    Q_OBJECT

  private slots:
    void bothRevisionsAndEverySymmetry() {
        for (const char* revision : {"IESNA:LM-63-2002", "IES:LM-63-2019"})
            for (const auto& horizontal : {std::vector<double>{0},
                                           {0, 45, 90},
                                           {0, 60, 120, 180},
                                           {0, 90, 180, 270, 360},
                                           {90, 180, 270}}) {
                const auto read = readLm63(fileOf(kDown, horizontal, cosineLaw, revision));
                QVERIFY2(read.has_value(),
                         qPrintable(refusal(fileOf(kDown, horizontal, cosineLaw, revision))));
                QCOMPARE(read->beam.thetaDeg(), kDown);
                QVERIFY(std::abs(read->beam.relative()[2] - cosineLaw(30, 0)) < 1e-4);
                QVERIFY(read->unevenness < 1e-6);
                QCOMPARE(read->watt, 42.0);
                QCOMPARE(read->length_mm, 200.0);
                QCOMPARE(QString::fromStdString(read->name), QStringLiteral("Reed 4"));
            }
    }

    void planesAreKeptAndTheirMeanWeighsEachByItsAngle() {
        // The cosine of twice the angle averages out over a quadrant, a half and a whole turn alike.
        for (const auto& horizontal :
             {std::vector<double>{0, 22.5, 45, 67.5, 90}, {0, 45, 90, 135, 180}, {0, 90, 180, 270, 360}}) {
            const auto read = readLm63(fileOf(kDown, horizontal, lopsided));
            QCOMPARE(read->beam.phiDeg(), horizontal);
            const double mean = read->beam.intensity(std::cos(std::numbers::pi / 6.0));
            QVERIFY(std::abs(mean / read->beam.intensity(1.0) - cosineLaw(30, 0) / cosineLaw(0, 0)) < 1e-3);
            QVERIFY(std::abs(read->unevenness - 0.3 / 1.3) < 1e-3);
            for (std::size_t plane = 0; plane < horizontal.size(); ++plane)
                QVERIFY(std::abs(read->beam.planeRelative(plane)[2] - lopsided(30, horizontal[plane])) <
                        1e-4);
        }
    }

    /// Symmetry about the other axis becomes a whole turn.
    void planesOfTheFarHalfAreMirrored() {
        const auto leaning = [](double vertical, double horizontal) {
            return 100.0 - vertical / 2.0 + 10.0 * std::sin(horizontal * std::numbers::pi / 180.0);
        };
        const auto read = readLm63(fileOf(kDown, {90, 135, 180, 225, 270}, leaning));
        QVERIFY(read.has_value());
        QCOMPARE(read->beam.phiDeg(), (std::vector<double>{0, 45, 90, 135, 180, 225, 270, 315, 360}));
        for (std::size_t plane = 0; plane < read->beam.planeCount(); ++plane)
            QVERIFY(std::abs(read->beam.planeRelative(plane)[2] - leaning(30, read->beam.phiDeg()[plane])) <
                    1e-4);
    }

    void planesAreWrittenBack() {
        for (const auto& horizontal :
             {std::vector<double>{0, 30, 90}, {0, 45, 90, 135, 180}, {0, 90, 180, 270, 360}}) {
            const auto read = readLm63(fileOf(kDown, horizontal, lopsided));
            const auto again = readLm63(writeLm63(read->beam, 80.0, "Reed 4"));
            QVERIFY(again.has_value());
            QCOMPARE(again->beam.phiDeg(), horizontal);
            for (const double phi : {0.0, 0.4, 2.0, 5.9})
                for (const double cosine : {1.0, 0.9, 0.5, 0.2})
                    QVERIFY(std::abs(again->beam.intensity({cosine, phi}) -
                                     read->beam.intensity({cosine, phi})) < 1e-5);
        }
    }

    void lightThatGoesUpIsLeftOutAndSaid() {
        std::vector<double> all;
        for (int degree = 0; degree <= 180; degree += 5) all.push_back(degree);
        const auto read = readLm63(fileOf(all, {0}, [](double, double) { return 10.0; }));
        QCOMPARE(read->beam.lastAngle(), 90.0);
        QVERIFY(std::abs(read->upward_share - 0.5) < 1e-9);
        // A table that steps over the horizontal ends there all the same.
        const auto stepping =
            readLm63(fileOf({0, 40, 80, 120, 180}, {0}, [](double v, double) { return 180 - v; }));
        QCOMPARE(stepping->beam.lastAngle(), 90.0);
        QVERIFY(std::abs(stepping->beam.relative().back() - 90.0) < 1e-9);
    }

    void writtenBackItIsTheSameBeam() {
        for (const auto& beam :
             {*Beam::halfAngle(38.0), *Beam::table({0, 10, 35, 60}, {0.4, 1.0, 0.7, 0.2})}) {
            const auto text = writeLm63(beam, 80.0, "Reed 4\nTILT=HACK");
            const auto read = readLm63(text);
            QVERIFY2(read.has_value(), qPrintable(refusal(text)));
            for (const double degrees : {0.0, 7.0, 33.0, 59.0, 80.0}) {
                const double cosine = std::cos(degrees * std::numbers::pi / 180.0);
                QVERIFY(std::abs(read->beam.intensity(cosine) - beam.intensity(cosine)) <
                        2e-3 * beam.intensity(1.0));
            }
        }
    }

    /// Figures may bear a sign, and the last angle may all but be the horizontal.
    void figuresWithASignAreFigures() {
        const auto plain = fileOf(kDown, {0}, cosineLaw);
        auto with_sign = plain;
        for (const char* angle : {"15.000000", "45.000000", "90.000000"})
            with_sign = replaced(with_sign, std::string(" ") + angle,
                                 std::string(" +") + angle + "000000000000000000");
        const auto read = readLm63(with_sign);
        QVERIFY2(read, qPrintable(refusal(with_sign)));
        QVERIFY(read->beam == readLm63(plain)->beam);
        const auto nearly = readLm63(replaced(plain, " 90.000000", " 89.9999999"));
        QVERIFY(nearly && nearly->beam == readLm63(plain)->beam);
    }

    void othersAreRefusedByName() {
        const auto good = fileOf(kDown, {0}, cosineLaw);
        QVERIFY(
            refusal(replaced(good, "IES:LM-63-2019", "IESNA:LM-63-1995")).contains(QLatin1String("1995")));
        QVERIFY(refusal(replaced(good, "IES:LM-63-2019", "hello")).contains(QLatin1String("not an LM-63")));
        QVERIFY(refusal(replaced(good, "TILT=NONE", "TILT=INCLUDE")).contains(QLatin1String("TILT=INCLUDE")));
        QVERIFY(refusal(replaced(good, "7 1 1 2 0.1", "7 1 2 2 0.1")).contains(QLatin1String("type B")));
        QVERIFY(refusal(replaced(good, "7 1 1 2 0.1", "7 1 3 2 0.1")).contains(QLatin1String("type A")));
        QVERIFY(refusal(fileOf({90, 120, 180}, {0}, cosineLaw)).contains(QLatin1String("upward")));
        QVERIFY(refusal(fileOf({0, 30, 60}, {0}, cosineLaw)).contains(QStringLiteral("0…60")));
        QVERIFY(refusal(fileOf(kDown, {0, 30}, cosineLaw)).contains(QStringLiteral("0…30")));
    }

    void damagedFilesSayWhereAndWhy() {
        const auto good = fileOf(kDown, {0, 45, 90}, cosineLaw);
        for (std::size_t cut = 0; cut + 30 < good.size(); cut += 7)
            QVERIFY2(!readLm63(std::string_view(good).substr(0, cut)), qPrintable(QString::number(cut)));
        QVERIFY(refusal(replaced(good, "7 3 1 2", "2000 2000 1 2")).startsWith(QLatin1String("line ")));
        QVERIFY(
            refusal(replaced(good, "7 3 1 2", "2000000000 3 1 2")).contains(QLatin1String("whole number")));
        QVERIFY(refusal(replaced(good, "7 3 1 2", "-7 3 1 2")).contains(QLatin1String("whole number")));
        QVERIFY(refusal(replaced(good, "15.000000", "nan")).contains(QLatin1String("nan")));
        QVERIFY(refusal(replaced(good, "45.000000", "5.000000")).contains(QLatin1String("ascend")));
        QVERIFY(refusal(replaced(good, "1000 2.0", "1000 0")).contains(QLatin1String("multiplier")));
        QVERIFY(refusal(fileOf(kDown, {0}, [](double, double) {
                    return 0.0;
                })).contains(QLatin1String("no light")));
        QVERIFY(refusal(fileOf(kDown, {0}, [](double, double) {
                    return -1.0;
                })).contains(QLatin1String("0 or more")));
        QVERIFY(refusal(std::string("IES:LM-63-2019\n\0\1\2", 18)).contains(QLatin1String("binary")));
        QVERIFY(refusal(std::string(11'000'000, ' ')).contains(QLatin1String("bytes")));
        QVERIFY(!readLm63(""));
    }
};

GLUMET_TEST(TestLm63, "formats_lm63", Application)

}  // namespace formats_lm63

#include "test_lm63.moc"
