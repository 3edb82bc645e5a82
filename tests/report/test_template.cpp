#include <QTemporaryDir>
#include <QTest>

#include "core/words/sentence.h"
#include "report/review/edition.h"
#include "report/review/template.h"
#include "runner/registry.h"

namespace report_template {

using namespace glumet;

namespace {

Edition first() { return editionAfter(nullptr, "2026-03-01", "aaa", {{"height", "21 cm"}, {"count", "3"}}); }

}  // namespace

/// What a review is made of, and its editions.
class TestTemplate : public QObject {
    Q_OBJECT

  private slots:
    void aTemplateReadsAsItWasWritten() {
        ReviewTemplate sections;
        sections.opening = "# My bench\n\nHung at {{height}}.";
        sections.parts = {{ReviewSection::Field, true, "Look at the *edge*."},
                          {ReviewSection::Height, false, {}},
                          {ReviewSection::Doubts, true, "I know."},
                          {ReviewSection::Cautions, true, {}}};
        const auto again = parseTemplate(textOf(sections));
        QVERIFY2(again, again ? "" : english(again.error()).c_str());
        QCOMPARE(*again, sections);
    }

    void whatEveryReviewHasCannotBeLeftOut() {
        for (const char* text : {"", "<!-- glumet: field -->\n", "<!-- glumet: doubts off -->\n"}) {
            const auto read = parseTemplate(text);
            QVERIFY(read);
            int doubts = 0;
            int cautions = 0;
            for (const auto& part : read->parts) {
                if (part.section == ReviewSection::Doubts) doubts += part.shown ? 1 : -9;
                if (part.section == ReviewSection::Cautions) cautions += part.shown ? 1 : -9;
            }
            QCOMPARE(doubts, 1);
            QCOMPARE(cautions, 1);
        }
    }

    void whatIsNoSectionIsRefusedByItsLine_data() {
        QTest::addColumn<QByteArray>("text");
        QTest::addColumn<QByteArray>("place");
        QTest::newRow("unknown") << QByteArray("words\n<!-- glumet: nonsense -->\n") << QByteArray("line 2");
        QTest::newRow("twice") << QByteArray("<!-- glumet: field -->\nx\n<!-- glumet: field -->\n")
                               << QByteArray("line 3");
        QTest::newRow("half") << QByteArray("<!-- glumet: field maybe -->\n") << QByteArray("line 1");
    }
    void whatIsNoSectionIsRefusedByItsLine() {
        QFETCH(QByteArray, text);
        QFETCH(QByteArray, place);
        const auto read = parseTemplate(text.toStdString());
        QVERIFY(!read);
        QVERIFY2(english(read.error()).find(place.toStdString()) != std::string::npos,
                 english(read.error()).c_str());
    }

    void theTemplatesThatShipAreSound() {
        QVERIFY(readyTemplates().size() >= 4);
        for (const auto& ready : readyTemplates()) {
            const auto read = parseTemplate(ready.text);
            QVERIFY2(read, ready.id.c_str());
            QVERIFY(read->parts.size() >= 2);
            QCOMPARE(templateOr(ready.text), *read);
        }
        QCOMPARE(templateOr("<!-- glumet: nonsense -->"), templateOr({}));
        for (std::size_t i = 0; i < kReviewSections; ++i) {
            const std::string id = idOf(static_cast<ReviewSection>(i));
            QVERIFY(parseTemplate("<!-- glumet: " + id + " -->\n"));
        }
    }

    // Editions.

    void theSameDataAreTheSameEdition() {
        const auto one = first();
        QCOMPARE(one.number, 1);
        QVERIFY(one.since.empty() && one.earlier.empty());
        const auto again = editionAfter(&one, "2026-04-01", "aaa", one.figures);
        QCOMPARE(again.number, 1);
        QCOMPARE(again.figures, one.figures);
        QVERIFY(again.since.empty() && again.earlier.empty());
    }

    void theNextEditionSaysWhatChanged() {
        const auto one = first();
        const auto two = editionAfter(&one, "2026-04-01", "bbb", {{"height", "24 cm"}, {"price", "90"}});
        QCOMPARE(two.number, 2);
        QCOMPARE(two.earlier.size(), std::size_t{1});
        QCOMPARE(two.earlier[0].hash, std::string("aaa"));
        const auto change = [&](const char* name) {
            for (const auto& one_change : two.since)
                if (one_change.name == name) return one_change;
            return ChangedFigure{};
        };
        QCOMPARE(two.since.size(), std::size_t{3});
        QCOMPARE(change("height"), (ChangedFigure{"height", "21 cm", "24 cm"}));
        QCOMPARE(change("price").before, std::string());
        QCOMPARE(change("count").now, std::string());
        const auto three = editionAfter(&two, "2026-05-01", "ccc", two.figures);
        QCOMPARE(three.number, 3);
        QVERIFY(three.since.empty());
        QCOMPARE(three.earlier.size(), std::size_t{2});
    }

    void anEditionIsReadBackAndAForeignFileIsNot() {
        const auto one = first();
        const auto two = editionAfter(&one, "2026-04-01", "bbb", {{"height", "24 \"cm\" <b>"}});
        const auto read = parseEdition(jsonOf(two));
        QVERIFY(read);
        QCOMPARE(*read, two);
        for (const char* foreign : {"", "{", "[]", "{\"number\": \"two\"}", "{\"number\": -1}"})
            QVERIFY2(!parseEdition(foreign), foreign);
        QTemporaryDir folder;
        QVERIFY(editionIn(folder.path()) && !*editionIn(folder.path()));
        QFile file(folder.filePath(QStringLiteral("edition.json")));
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write(jsonOf(two));
        file.close();
        QCOMPARE(**editionIn(folder.path()), two);
        QVERIFY(file.open(QIODevice::WriteOnly | QIODevice::Truncate));
        file.write("not ours");
        file.close();
        QVERIFY(!editionIn(folder.path()));
    }
};

GLUMET_TEST(TestTemplate, "report_template", Windows)

}  // namespace report_template

#include "test_template.moc"
