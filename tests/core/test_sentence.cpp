#include <QTest>
#include <map>

#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_sentence {

using namespace glumet;

class TestSentence : public QObject {
    Q_OBJECT

  private slots:
    void figuresFollowTheReadersUnit() {
        const Words words = say("{} loses {}; the peak is {}.", Millimetre(210), Share{0.13}, Ppfd(504));
        QCOMPARE(english(words, LengthUnit::Cm), std::string("21 cm loses 13 %; the peak is 504."));
        QCOMPARE(english(words, LengthUnit::Mm), std::string("210 mm loses 13 %; the peak is 504."));
        QCOMPARE(english(words, LengthUnit::Inch), std::string("8 1/4 in loses 13 %; the peak is 504."));
        QCOMPARE(
            english(say("at {}", Lengths{Millimetre(120), Millimetre(150), Millimetre(180)}), LengthUnit::Cm),
            std::string("at 12, 15 and 18 cm"));
    }

    void sentencesFollowOneAnother() {
        Words words = say("First.");
        words += say("Then {}.", Count{2});
        QCOMPARE(english(words, LengthUnit::Cm), std::string("First. Then 2."));
        QVERIFY(Words().empty());
        QCOMPARE(english({}, LengthUnit::Cm), std::string());
    }

    /// Another language may turn the parts around and has its own plurals.
    void aTranslationOrdersThePartsItsOwnWay() {
        const Words words = sayCounted("{} of {} heights", Millimetre(210), Count{1});
        const auto german = [](const char*, int count) {
            return std::string(count == 1 ? "von {1} Höhe {0}" : "von {1} Höhen {0}");
        };
        QCOMPARE(spoken(words, LengthUnit::Cm, german), std::string("von 1 Höhe 21 cm"));
        // A count that decides nothing asks for no plural.
        QCOMPARE(spoken(say("{} of {} heights", Millimetre(210), Count{1}), LengthUnit::Cm, german),
                 std::string("von 1 Höhen 21 cm"));
        // Parts alone are the same in every language.
        QCOMPARE(spoken(say("{}, {}", Millimetre(210), Count{1}), LengthUnit::Cm, german),
                 std::string("21 cm, 1"));
        // One that names a part there is not leaves the English sentence standing.
        const auto wrong = [](const char*, int) { return std::string("{7}"); };
        QCOMPARE(spoken(words, LengthUnit::Cm, wrong), std::string("21 cm of 1 heights"));
    }
};

GLUMET_TEST(TestSentence, "core_sentence", Application)

}  // namespace core_sentence

#include "test_sentence.moc"
