#include <QSignalSpy>
#include <QTest>

#include "desk/tank/survey_strip.h"
#include "desk/tank/tank_view.h"
#include "runner/registry.h"

namespace desk_tank_view {

using namespace glumet;

namespace {

std::vector<TankSurvey> looks(const std::vector<std::string>& days) {
    std::vector<TankSurvey> out;
    for (const auto& day : days) out.push_back({day, {{1, nullptr}, {2, nullptr}}});
    return out;
}

TankFigure figureOf(int spots) {
    TankFigure figure;
    figure.length = Millimetre(1000);
    figure.width = Millimetre(500);
    for (int i = 0; i < spots; ++i) {
        TankFigure::Mark mark;
        mark.spot = i + 1;
        mark.name = QStringLiteral("S%1 100").arg(i + 1);
        mark.x_mm = 100.0 + 150.0 * i;
        mark.y_mm = 250.0;
        mark.mark = static_cast<SpotMark>(i % 5);
        mark.chosen = i == 0;
        figure.marks.push_back(mark);
    }
    return figure;
}

}  // namespace

/// The pictures of a living tank that are worked with: spots from above, and its looks along time.
class TestTankView : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        strip_ = std::make_unique<SurveyStrip>();
        strip_->resize(500, 38);
        view_ = std::make_unique<TankView>();
        view_->resize(600, 320);
        view_->setFigure(figureOf(5), dimRoom());
    }
    void cleanup() {
        strip_.reset();
        view_.reset();
    }

    // Looks.

    void looksStandByTheirDays() {
        show({"2026-01-01", "2026-01-11", "2026-02-20"}, 1, 2);
        const int first = strip_->placeOf(0).x();
        const int second = strip_->placeOf(1).x();
        const int third = strip_->placeOf(2).x();
        QVERIFY(first < second && second < third);
        // Ten of fifty days.
        QVERIFY(std::abs((second - first) / static_cast<double>(third - first) - 0.2) < 0.01);
        const auto cells = strip_->accessibleCells();
        QVERIFY(!cells[0].name.contains(QStringLiteral("compared")));
        QVERIFY(cells[1].name.contains(QStringLiteral("compared")) && !cells[1].chosen);
        QVERIFY(cells[2].chosen && cells[2].name.startsWith(QStringLiteral("2026-02-20, 2 spots")));
    }

    void aClickComparesALookWithTheOneBefore() {
        show({"2026-01-01", "2026-02-01", "2026-03-01", "2026-04-01"}, 2, 3);
        QSignalSpy compared(strip_.get(), &SurveyStrip::compared);
        click(1);
        QCOMPARE(compared.takeFirst(),
                 (QVariantList{QStringLiteral("2026-01-01"), QStringLiteral("2026-02-01")}));
        click(0);  // the first has none before it: it is what the second is compared with
        QCOMPARE(compared.takeFirst(),
                 (QVariantList{QStringLiteral("2026-01-01"), QStringLiteral("2026-02-01")}));
        click(0, Qt::ShiftModifier);
        QCOMPARE(compared.takeFirst(),
                 (QVariantList{QStringLiteral("2026-01-01"), QStringLiteral("2026-04-01")}));
        click(3, Qt::ShiftModifier);  // with itself: nothing
        QTest::mouseClick(strip_.get(), Qt::LeftButton, {},
                          (strip_->placeOf(0) + strip_->placeOf(1)) / 2);  // far from any
        QVERIFY(compared.isEmpty());
    }

    void theArrowsWalkAndStopAtTheEnds() {
        show({"2026-01-01", "2026-02-01", "2026-03-01"}, 1, 2);
        QSignalSpy compared(strip_.get(), &SurveyStrip::compared);
        QTest::keyClick(strip_.get(), Qt::Key_Right);
        QVERIFY(compared.isEmpty());
        QTest::keyClick(strip_.get(), Qt::Key_Left);
        QCOMPARE(compared.takeFirst()[1].toString(), QStringLiteral("2026-02-01"));
        QTest::keyClick(strip_.get(), Qt::Key_Left, Qt::ShiftModifier);
        QCOMPARE(compared.takeFirst(),
                 (QVariantList{QStringLiteral("2026-01-01"), QStringLiteral("2026-03-01")}));
        show({"2026-01-01"}, 0, 0);
        QTest::keyClick(strip_.get(), Qt::Key_Left);
        QTest::keyClick(strip_.get(), Qt::Key_Right);
        QVERIFY(compared.isEmpty());
    }

    /// Years of weekly looks stand in order within the strip, and the two that count are marked.
    void yearsOfLooksFitTheStrip() {
        std::vector<std::string> days;
        std::string day = "2022-01-03";
        for (int week = 0; week < 250; ++week) {
            days.push_back(day);
            day = daysAfter(day, 7);
        }
        show(days, 248, 249);
        QCOMPARE(strip_->accessibleCells().size(), std::size_t{250});
        for (std::size_t i = 1; i < days.size(); ++i)
            QVERIFY(strip_->placeOf(i).x() >= strip_->placeOf(i - 1).x());
        QVERIFY(strip_->rect().contains(strip_->placeOf(0)) && strip_->rect().contains(strip_->placeOf(249)));
        QImage image(strip_->size(), QImage::Format_RGB32);
        strip_->render(&image);
        QCOMPARE(image.pixelColor(strip_->placeOf(249)), dimRoom().accent);
        QCOMPARE(image.pixelColor(strip_->placeOf(0)), dimRoom().muted);
    }

    // Spots.

    void theArrowsGoRoundAndTellTheSpot() {
        QSignalSpy chosen(view_.get(), &TankView::spotChosen);
        QTest::keyClick(view_.get(), Qt::Key_Right);
        QCOMPARE(chosen.takeFirst()[0].value<Id>(), Id{2});
        QTest::keyClick(view_.get(), Qt::Key_Left);
        QCOMPARE(chosen.takeFirst()[0].value<Id>(), Id{5});  // round from the first
        view_->setFigure(figureOf(0), dimRoom());
        QTest::keyClick(view_.get(), Qt::Key_Right);
        QVERIFY(chosen.isEmpty());
    }

    void aSpotIsDraggedNoFartherThanTheGlass() {
        QSignalSpy moved(view_.get(), &TankView::spotMoved);
        const auto from = view_->placeOf(3);
        QTest::mousePress(view_.get(), Qt::LeftButton, {}, from);
        QTest::mouseMove(view_.get(), from + QPoint(2, 1));  // a trembling hand is no drag
        QTest::mouseRelease(view_.get(), Qt::LeftButton, {}, from + QPoint(2, 1));
        QVERIFY(moved.isEmpty());
        QTest::mousePress(view_.get(), Qt::LeftButton, {}, from);
        QTest::mouseMove(view_.get(), from + QPoint(100, 40));
        QTest::mouseMove(view_.get(), QPoint(599, 319));
        QTest::mouseRelease(view_.get(), Qt::LeftButton, {}, QPoint(599, 319));
        const auto to = moved.takeFirst();
        QCOMPARE(to[0].value<Id>(), Id{3});
        QCOMPARE(to[1].toDouble(), 1000.0);
        QCOMPARE(to[2].toDouble(), 0.0);
    }

    void aDoubleClickOnFreeWaterWantsASpot() {
        QSignalSpy wanted(view_.get(), &TankView::spotWanted);
        QTest::mouseDClick(view_.get(), Qt::LeftButton, {}, view_->placeOf(2));
        QVERIFY(wanted.isEmpty());  // one stands there
        const auto free = (view_->placeOf(2) + view_->placeOf(3)) / 2 + QPoint(0, 60);
        QTest::mouseDClick(view_.get(), Qt::LeftButton, {}, free);
        QVERIFY(std::abs(wanted.takeFirst()[0].toDouble() - 325.0) < 10.0);
    }

    void statesAreToldInWords() {
        const auto cells = view_->accessibleCells();
        QCOMPARE(cells.size(), std::size_t{5});
        QVERIFY(cells[0].chosen && !cells[1].chosen);
        QVERIFY(cells[1].name.contains(QStringLiteral("has what it asks")));
        QVERIFY(cells[2].name.contains(QStringLiteral("more than")));
        QVERIFY(cells[3].name.contains(QStringLiteral("less than")));
        QVERIFY(cells[4].name.contains(QStringLiteral("not read")));
        for (const auto& cell : cells) QVERIFY(view_->rect().contains(cell.rect.center()));
    }

  private:
    void show(const std::vector<std::string>& days, std::size_t before, std::size_t now) {
        strip_->setSurveys(looks(days), days[before], days[now], dimRoom());
    }
    void click(std::size_t look, Qt::KeyboardModifiers modifiers = {}) {
        QTest::mouseClick(strip_.get(), Qt::LeftButton, modifiers, strip_->placeOf(look));
    }

    std::unique_ptr<SurveyStrip> strip_;
    std::unique_ptr<TankView> view_;
};

GLUMET_TEST(TestTankView, "desk_tank_view", Windows)

}  // namespace desk_tank_view

#include "test_tank_view.moc"
