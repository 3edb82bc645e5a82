#include <QImage>
#include <QTest>

#include "project/shipped_demo.h"
#include "report/compare_figure.h"
#include "runner/registry.h"

namespace report_compare_figures {

using namespace glumet;

namespace {

/// The demonstration compared, once.
const Comparison& compared() {
    static const Comparison one = [] {
        CompareQuestion question;
        question.resamples = 100;
        return compareAll(std::make_shared<const Bench>(testing::shippedDemo()), {}, question);
    }();
    return one;
}

/// The same fixtures so many times.
Comparison many(std::size_t count) {
    auto out = compared();
    const auto one = out.judged.front();
    const auto row = out.board.rows.front();
    out.judged.assign(count, one);
    out.board.rows.assign(count, row);
    out.board.order.clear();
    for (std::size_t i = 0; i < count; ++i) {
        out.judged[i].contender.name = "lamp " + std::to_string(i);
        out.board.order.push_back(count - 1 - i);
    }
    return out;
}

template <class Paint>
QImage painted(const QSize& size, Paint paint) {
    QImage image(size, QImage::Format_RGB32);
    image.fill(paper().ground);
    QPainter p(&image);
    paint(p);
    return image;
}

bool inked(const QImage& image, const QRectF& box) {
    const QRect inside = box.toAlignedRect() & image.rect();
    for (int y = inside.top(); y <= inside.bottom(); ++y)
        for (int x = inside.left(); x <= inside.right(); ++x)
            if (image.pixelColor(x, y) != paper().ground) return true;
    return false;
}

}  // namespace

/// What Compare draws, in the window and on paper.
class TestCompareFigures : public QObject {
    Q_OBJECT

  private slots:
    void cardsShareOneScaleAndStayInTheirPlaces() {
        const auto cards = compareCards(compared(), LengthUnit::Cm, 0, 4);
        QCOMPARE(cards.size(), compared().judged.size());
        QVERIFY(cards[0].chosen && cards[4].against && !cards[4].chosen);
        QCOMPARE(cards[0].height, QStringLiteral("21 cm up"));
        QCOMPARE(cards[0].profile.size(), std::size_t{6});
        for (const auto& card : cards)
            for (const auto& node : card.profile) {
                QVERIFY(node.lo <= node.ppfd && node.ppfd <= node.hi);
                QVERIFY(node.share > 0.0 && node.share < 1.0);
            }
        const QRectF area(0, 0, 640, cardsHeight(cards.size()));
        const auto rects = cardRects(area, cards.size());
        for (std::size_t i = 0; i < rects.size(); ++i) {
            QVERIFY(area.adjusted(-1, -1, 1, 1).contains(rects[i]));
            for (std::size_t k = 0; k < i; ++k) QVERIFY(!rects[i].intersects(rects[k]));
        }
        const auto image = painted({640, 300}, [&](QPainter& p) { paintCards(p, area, cards, paper()); });
        for (const auto& rect : rects) QVERIFY(inked(image, rect));
        QVERIFY(!inked(image, QRectF(0, area.bottom() + 4, 640, 300 - area.bottom() - 8)));
    }

    void twelveAreShownOfMany() {
        const auto one = many(40);
        const auto shown = shownOf(one, 3, 7);
        QCOMPARE(shown.size(), kMostShown);
        QVERIFY(std::is_sorted(shown.begin(), shown.end()));
        // The pair, and the first of the board, which are the last here.
        for (const std::size_t i : {3, 7, 39, 38, 30})
            QVERIFY(std::find(shown.begin(), shown.end(), i) != shown.end());
        QCOMPARE(shownOf(one, 500, 7).size(), kMostShown);
        const auto cards = compareCards(one, LengthUnit::Inch, 3, 7);
        QCOMPARE(cards[0].contender, std::size_t{3});
        for (const bool low : {false, true})
            for (std::size_t count : {1U, 2U, 5U, 6U, 12U})
                QCOMPARE(cardRects(QRectF(0, 0, 640, cardsHeight(count, low)), count, low).size(), count);
    }

    void whatIsAlikeForAllNeedsNoColumn() {
        const auto table = alikeTable(compared(), 0, 4);
        QCOMPARE(table.names.size(), compared().judged.size());
        QVERIFY(std::find(table.columns.begin(), table.columns.end(), Condition::Age) != table.columns.end());
        QVERIFY(std::find(table.columns.begin(), table.columns.end(), Condition::Tank) ==
                table.columns.end());
        QCOMPARE(table.columns.size() + table.same, std::size(WordsOf<Condition>::value) - 1);
        for (const auto& row : table.rows) QCOMPARE(row.size(), table.columns.size());
        QCOMPARE(table.names[table.against], QStringLiteral("Twin Alder"));
        // Of many, those that differ in nothing have no line.
        const auto short_table = alikeTable(many(12), 0, 4);
        QCOMPARE(short_table.names.size(), std::size_t{1});
        QCOMPARE(short_table.alike, std::size_t{11});
        const QRectF area(0, 0, 640, alikeHeight(table));
        const auto image = painted({640, 200}, [&](QPainter& p) { paintAlike(p, area, table, paper()); });
        QVERIFY(inked(image, alikeCell(area, table, 6, table.columns.size() - 1)));
    }

    void everyStateHasItsOwnMark() {
        std::set<QString> marks;
        std::set<QString> names;
        for (const auto& [state, word] : WordsOf<ConditionState>::value) {
            marks.insert(stateMark(state));
            names.insert(stateName(state));
        }
        QCOMPARE(marks.size(), std::size_t{4});
        QCOMPARE(names.size(), std::size_t{4});
    }

    void betterStandsToTheRight() {
        for (const auto& line : boardLines(compared(), 0, 4, true)) {
            const auto& info = infoOf(line.criterion);
            for (const auto& dot : line.dots)
                for (const auto& other : line.dots) {
                    const double a = compared().board.figure(dot.contender, line.criterion)->value;
                    const double b = compared().board.figure(other.contender, line.criterion)->value;
                    if (info.more_is_better ? a > b : a < b)
                        QVERIFY2(dot.at >= other.at, qPrintable(line.name));
                    QVERIFY(dot.lo <= dot.at + 1e-9 && dot.hi >= dot.at - 1e-9);
                }
        }
        const auto counting = boardLines(compared(), 0, 4, false);
        QCOMPARE(counting.size(), std::size_t{5});
        for (const auto& line : counting) QVERIFY(line.weight > 0.0);
        // What counts comes first.
        const auto all = boardLines(compared(), 0, 4, true);
        QCOMPARE(all.size(), allCriteria().size());
        QVERIFY(all[4].weight > 0.0 && all[5].weight == 0.0);
    }

    void figuresAreWrittenAsTheyAreRead() {
        QCOMPARE(figureText(Criterion::Evenness, 0.58), QStringLiteral("58 %"));
        QCOMPARE(figureText(Criterion::Efficacy, 1.476), QStringLiteral("1.48"));
        QCOMPARE(figureText(Criterion::LifeCost, 1651.7), QStringLiteral("1652"));
        QCOMPARE(figureText(Criterion::Noise, 31.04), QStringLiteral("31.0"));
        QCOMPARE(figureText(Criterion::Blending, 0.00123), QStringLiteral("0.0012"));
    }

    void theBoardIsPaintedWithinItself() {
        const auto lines = boardLines(compared(), 0, 4, false);
        const QRectF area(10, 10, 620, kBoardHead + kBoardRow * static_cast<double>(lines.size()));
        const auto image =
            painted({640, 260}, [&](QPainter& p) { paintBoard(p, area, lines, 0, 4, 1, paper()); });
        for (std::size_t i = 0; i < lines.size(); ++i) {
            const auto at = boardLayout(area, i);
            for (const auto& box : {at.name, at.pips, at.scale, at.figures}) QVERIFY(inked(image, box));
        }
        QVERIFY(!inked(image, QRectF(0, area.bottom() + 6, 640, 250 - area.bottom())));
    }
};

GLUMET_TEST(TestCompareFigures, "report_compare_figures", Windows)

}  // namespace report_compare_figures

#include "test_compare_figures.moc"
