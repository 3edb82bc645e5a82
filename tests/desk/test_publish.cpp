#include <QComboBox>
#include <QFileInfo>
#include <QPlainTextEdit>
#include <QPushButton>

#include "desk/publish/publish_stage.h"
#include "desk/window_fixture.h"
#include "formats/zip_archive.h"
#include "report/review/sections.h"
#include "runner/registry.h"

namespace desk_publish {

using namespace glumet;
using glumet::testing::WindowFixture;

/// The Publish stage by keys and mouse.
class TestPublish : public QObject {
    Q_OBJECT

  private slots:
    void init() { w_ = std::make_unique<WindowFixture>(); }
    void cleanup() { w_.reset(); }

    void publishingWritesThePageAndItsData() {
        demo();
        auto* stage = this->stage();
        QVERIFY(w_->find<QPushButton>("publishButton")->isEnabled());
        stage->publishInto(w_->path("out"));
        ready();
        for (const char* name : {"review.html", "review.pdf", "osier-60-all-channels-full-map-150mm.svg",
                                 "osier-60-all-channels-full-card.png", "osier-60-all-channels-full-loss.svg",
                                 "readings.csv", "bench.json", "data-package.zip", "workbook.xlsx"})
            QVERIFY2(QFileInfo(w_->path("out") + QLatin1Char('/') + QLatin1String(name)).size() > 500, name);
        QFile html(w_->path("out") + QStringLiteral("/review.html"));
        QVERIFY(html.open(QIODevice::ReadOnly));
        const auto page = QString::fromUtf8(html.readAll());
        QVERIFY(page.contains(w_->session.length(*w_->session.verdict()->height)));
        QVERIFY(page.contains(QStringLiteral("licensed electrician")));
        QVERIFY(page.contains(QStringLiteral("Invented demonstration")));
    }

    void whoPublishesAndUnderWhatLicenceGoesAlong() {
        demo();
        auto* stage = this->stage();
        const auto doubts = [&] {
            int count = 0;
            for (const auto& finding : stage->findings())
                count += text(finding.title, LengthUnit::Cm) == QStringLiteral("No licence") ? 1 : 0;
            return count;
        };
        auto* licence = w_->find<QComboBox>("publishLicence");
        QCOMPARE(licence->currentText(), QStringLiteral("CC0-1.0"));
        QCOMPARE(doubts(), 0);
        licence->setFocus();
        licence->lineEdit()->clear();
        QTest::keyClick(licence, Qt::Key_Return);
        w_->settle();
        QVERIFY(w_->session.bench().method.licence.empty());
        QCOMPARE(doubts(), 1);
        licence->lineEdit()->setText(QStringLiteral("CC-BY-4.0"));
        QTest::keyClick(licence, Qt::Key_Return);
        auto* reviewer = w_->find<QLineEdit>("publishReviewer");
        reviewer->setFocus();
        reviewer->selectAll();
        QTest::keyClicks(reviewer, QStringLiteral("Wren"));
        QTest::keyClick(reviewer, Qt::Key_Return);
        w_->settle();
        QCOMPARE(w_->session.bench().method.licence, std::string("CC-BY-4.0"));
        QCOMPARE(w_->session.bench().method.reviewer, std::string("Wren"));
        stage->publishInto(w_->path("signed"));
        ready();
        QFile package(w_->path("signed/data-package.zip"));
        QVERIFY(package.open(QIODevice::ReadOnly));
        const auto members = unzipped(package.readAll().toStdString());
        QVERIFY(members);
        QVERIFY(members->front().bytes.find("CC-BY-4.0") != std::string::npos);
        QVERIFY(members->front().bytes.find("Wren") != std::string::npos);
        QVERIFY(*w_->session.project()->undo());
        QVERIFY(w_->session.bench().method.reviewer != "Wren");
        // Another window takes the package whole; a bent one not at all.
        WindowFixture other;
        QVERIFY(other.create());
        other.window.importFile(w_->path("signed/data-package.zip"));
        other.settle();
        QVERIFY(other.session.bench().runs.size() >
                w_->session.sweep()->runs.size());  // rows of two go along
        QVERIFY(readingCount(other.session.bench()) > 500);
        QVERIFY(*other.session.project()->undo());
        QVERIFY(other.session.bench().runs.empty());
        QFile bent(w_->path("signed/data-package.zip"));
        QVERIFY(bent.open(QIODevice::ReadWrite));
        bent.seek(bent.size() / 2);
        bent.write("bent");
        bent.close();
        other.window.importFile(w_->path("signed/data-package.zip"));
        other.settle();
        QVERIFY(other.session.bench().runs.empty());
    }

    void publishingIntoAnImpossiblePlaceIsSaid() {
        small();
        auto* stage = this->stage();
        QFile blocker(w_->path("file"));
        QVERIFY(blocker.open(QIODevice::WriteOnly));
        stage->publishInto(w_->path("file") + QStringLiteral("/inside"));
        ready();
        QVERIFY(w_->lastWord().contains(QStringLiteral("cannot be made")));
    }

    void thePagesAreThoseThatAreWritten() {
        small();
        QVERIFY(view()->pages() > 2);
        QVERIFY(w_->find<QLabel>("reviewWordsOf")->text().contains(QStringLiteral("beginning")));
        const auto cells = view()->accessibleCells();
        QCOMPARE(static_cast<int>(cells.size()), view()->pages());
        QVERIFY(cells.front().name.contains(QStringLiteral("Fern 20")));
        publish("out");
        QFile pdf(w_->path("out/review.pdf"));
        QVERIFY(pdf.open(QIODevice::ReadOnly));
        PagesView other;
        other.setPages(pdf.readAll(), paper());
        QCOMPARE(other.pages(), view()->pages());
    }

    void sectionsAreTickedAndMovedByKeys() {
        small();
        auto* list = parts();
        QCOMPARE(list->count(), static_cast<int>(kReviewSections) + 1);
        list->setFocus();
        list->setCurrentRow(2);  // in short
        QCOMPARE(list->chosen(), ReviewSection::Short);
        QTest::keyClick(list, Qt::Key_Space);
        w_->settle();
        QVERIFY(!part(ReviewSection::Short).shown);
        QTest::keyClick(list, Qt::Key_Down, Qt::ShiftModifier);
        w_->settle();
        QCOMPARE(sections().parts[1].section, ReviewSection::Field);
        QCOMPARE(sections().parts[2].section, ReviewSection::Short);
        QCOMPARE(list->chosen(), ReviewSection::Short);
        QVERIFY(*w_->session.project()->undo());
        QCOMPARE(sections().parts[1].section, ReviewSection::Short);
        QVERIFY(*w_->session.project()->undo());
        QVERIFY(part(ReviewSection::Short).shown);
        // What is always there cannot be ticked off.
        for (int row = 0; row < list->count(); ++row)
            if (list->item(row)->text() == QStringLiteral("Cautions")) list->setCurrentRow(row);
        QTest::keyClick(list, Qt::Key_Space);
        w_->settle();
        QVERIFY(part(ReviewSection::Cautions).shown);
    }

    void ownWordsStandOnThePage() {
        small();
        parts()->setCurrentRow(3);  // the field
        auto* words = w_->find<QPlainTextEdit>("reviewWords");
        words->setFocus();
        QTest::keyClicks(words, QStringLiteral("Best at "));
        auto* figures = w_->find<QComboBox>("reviewFigures");
        int height = -1;
        for (int i = 0; i < figures->count(); ++i)
            if (figures->itemData(i).toString() == QStringLiteral("height")) height = i;
        QVERIFY(height > 0);
        figures->setCurrentIndex(height);
        emit figures->activated(height);
        QTest::keyClick(words, Qt::Key_Return, Qt::ControlModifier);
        w_->settle();
        QCOMPARE(part(ReviewSection::Field).words, std::string("Best at {{height}}"));
        ready();
        QVERIFY(pageText().contains(QStringLiteral("Best at 18")));
        // Typed and left for another section, it is kept.
        QTest::keyClicks(words, QStringLiteral(" More."));
        parts()->setCurrentRow(4);
        w_->settle();
        QCOMPARE(part(ReviewSection::Field).words, std::string("Best at {{height}} More."));
        QCOMPARE(words->toPlainText(), QString());
        // A figure that there is not is told.
        words->setFocus();
        QTest::keyClicks(words, QStringLiteral("{{heigth}}"));
        w_->session.settle();
        ready();
        QVERIFY(told(QStringLiteral("{{heigth}}")));
    }

    void severalFixturesAreTickedIntoTheReview() {
        demo();
        auto* list = w_->find<QListWidget>("reviewFixtures");
        list->setFocus();
        for (const int row : {0, 1}) {
            list->setCurrentRow(row);
            QTest::keyClick(list, Qt::Key_Space);
            w_->settle();
        }
        QCOMPARE(chosenForReview(w_->session.bench()).size(), std::size_t{2});
        ready();
        QVERIFY(!told(QStringLiteral("Side by side is empty")));
        QVERIFY(*w_->session.project()->undo());
        QCOMPARE(chosenForReview(w_->session.bench()).size(), std::size_t{1});
    }

    void formsKeepTheWordsAndFilesBringThem() {
        small();
        auto* stage = this->stage();
        auto changed = sections();
        changed.parts[0].words = "Mine.";
        w_->session.changeMethod([&](Method& method) { method.review = textOf(changed); });
        auto* forms = w_->find<QComboBox>("reviewForm");
        forms->setCurrentIndex(1);
        emit forms->activated(1);
        w_->settle();
        QVERIFY(!part(ReviewSection::Field).shown);
        QCOMPARE(part(ReviewSection::Card).words, std::string("Mine."));
        stage->saveTemplate(w_->path("form.md"));
        forms->setCurrentIndex(0);
        emit forms->activated(0);
        w_->settle();
        QVERIFY(part(ReviewSection::Field).shown);
        stage->openTemplate(w_->path("form.md"));
        w_->settle();
        QVERIFY(!part(ReviewSection::Field).shown);
        QFile bad(w_->path("bad.md"));
        QVERIFY(bad.open(QIODevice::WriteOnly));
        bad.write("<!-- glumet: dance -->");
        bad.close();
        stage->openTemplate(w_->path("bad.md"));
        QVERIFY(w_->lastWord().contains(QStringLiteral("there is no section \"dance\"")));
        QVERIFY(!part(ReviewSection::Field).shown);
    }

    void anotherEditionIsTold() {
        small();
        publish("out");
        QVERIFY(w_->lastWord().contains(QStringLiteral("Edition 1")));
        w_->session.changeMethod([](Method& method) { method.spill_limit = 0.08; });
        ready();
        QVERIFY(told(QStringLiteral("Since edition 1")));
        publish("out");
        QVERIFY(w_->lastWord().contains(QStringLiteral("Edition 2")));
    }

    void anEmptyProjectHasNothingToPublish() {
        WindowFixture empty;
        QVERIFY(empty.create());
        empty.window.showStage(QStringLiteral("publish"));
        empty.settle();
        QVERIFY(empty.find<QLabel>("publishNothing")->text().contains(QStringLiteral("nothing to publish")));
        QVERIFY(!empty.find<QPushButton>("publishButton")->isEnabled());
    }

  private:
    /// A small bench, quick to lay out; the spill limit speaks for the third height.
    void small() {
        QVERIFY(w_->createRead({120, 150, 180, 210}, 300));
        w_->window.showStage(QStringLiteral("publish"));
        ready();
    }
    void demo() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("publish"));
        ready();
    }
    PublishStage* stage() {
        return static_cast<PublishStage*>(w_->window.stageWidget(QStringLiteral("publish")));
    }
    PartsList* parts() { return w_->find<PartsList>("reviewParts"); }
    PagesView* view() { return w_->window.findChild<PagesView*>(); }
    ReviewTemplate sections() { return templateOr(w_->session.bench().method.review); }
    ReviewPart part(ReviewSection section) {
        for (const auto& one : sections().parts)
            if (one.section == section) return one;
        return {};
    }
    void ready() {
        w_->settle();
        QTRY_VERIFY_WITH_TIMEOUT(!stage()->busy(), 60'000);
        w_->settle();
    }
    void publish(const char* folder) {
        stage()->publishInto(w_->path(folder));
        ready();
    }
    bool told(const QString& part) {
        for (const auto& finding : stage()->findings())
            if (text(finding.title, LengthUnit::Cm).contains(part)) return true;
        return false;
    }
    QString pageText() {
        QString all;
        for (const auto& cell : view()->accessibleCells()) all += cell.name;
        return all;
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestPublish, "desk_publish", Windows)

}  // namespace desk_publish

#include "test_publish.moc"
