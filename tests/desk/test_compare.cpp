#include <QClipboard>
#include <QImage>
#include <QTableWidget>

#include "core/compare/shelved.h"
#include "desk/compare/compare_files.h"
#include "desk/compare/compare_stage.h"
#include "desk/compare/shelf_dialog.h"
#include "desk/hands.h"
#include "desk/shared/findings_panel.h"
#include "desk/shared/photo.h"
#include "runner/registry.h"

namespace desk_compare {

using namespace glumet;
using namespace glumet::testing;

/// The demonstration's fixtures side by side, as a reviewer judges them.
class TestCompare : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("compare"));
        compared();
    }
    void cleanup() { w_.reset(); }

    void theAnswerComesFirst() {
        QVERIFY(label("compareAnswer").startsWith(QStringLiteral("Osier 60 ")));
        QVERIFY(label("compareHolds").contains(QStringLiteral("of 100 re-readings")));
        QCOMPARE(cards()->cards().size(), std::size_t{7});
        QVERIFY(cards()->cards()[0].chosen);
        QCOMPARE(cards()->cards()[0].place, QStringLiteral("1"));
        // The aged lamp is compared with itself, not ranked with the others.
        QCOMPARE(cards()->cards()[6].place, QStringLiteral("–"));
        QVERIFY(findingSays(QStringLiteral("Osier 60, 9000 h is not ranked")));
        QVERIFY(findingSays(QStringLiteral("Maintenance factor 0.8")));
    }

    void weightsAreSetByMouseAndKeysAndTakenBack() {
        auto* board = w_->window.findChild<BoardView*>();
        QCOMPARE(board->lines().size(), std::size_t{5});
        const auto pips = board->pipsOf(0);  // evenness, 3
        QTest::mouseClick(board, Qt::LeftButton, {},
                          QPoint(qRound(pips.left()) + 3 * 13 + 4, qRound(pips.center().y())));
        compared();
        QCOMPARE(weight(Criterion::Evenness), 4.0);
        QTest::mouseClick(board, Qt::LeftButton, {},
                          QPoint(qRound(pips.left()) + 3 * 13 + 4, qRound(pips.center().y())));
        compared();
        QCOMPARE(weight(Criterion::Evenness), 3.0);
        board->setFocus();
        QTest::keyClick(board, Qt::Key_Down);
        QTest::keyClick(board, Qt::Key_0);
        compared();
        QCOMPARE(weight(Criterion::Efficacy), 0.0);
        QCOMPARE(board->lines().size(), std::size_t{4});
        w_->window.findChild<CompareStage*>()->readyWeights();
        compared();
        QVERIFY(bench().method.weights.empty());
        QVERIFY(*w_->session.project()->undo());
        compared();
        QCOMPARE(weight(Criterion::Efficacy), 0.0);
    }

    void otherWeightsMakeAnotherOrder() {
        QVERIFY(w_->session.changeMethod([](Method& method) {
                               method.weights = {{Criterion::Evenness, 1}};
                           })
                    .isEmpty());
        compared();
        QVERIFY2(label("compareAnswer").startsWith(QStringLiteral("Rushlight 2T")),
                 qPrintable(label("compareAnswer")));
        QVERIFY(w_->session.changeMethod([](Method& method) {
                               method.weights = {{Criterion::Noise, 1}};
                           })
                    .isEmpty());
        compared();
        QVERIFY(findingSays(QStringLiteral("Sallow 110 is not ranked")));
    }

    void pairsAreWalkedThroughByKeys() {
        cards()->setFocus();
        QTest::keyClick(cards(), Qt::Key_Right);
        compared();
        QVERIFY(cards()->cards()[1].chosen);
        // The window's own choice goes along: section and other stages show the same.
        QVERIFY(w_->session.sweep()->configuration.accessory != 0);
        QCOMPARE(*w_->session.height(), Millimetre(160));
        QTest::keyClick(cards(), Qt::Key_Left);
        compared();
        const auto before = against();
        QTest::keyClick(cards(), Qt::Key_Right, Qt::ShiftModifier);
        WindowFixture::settle();
        QVERIFY(against() != before);
        QTest::keyClick(cards(), Qt::Key_N);
        WindowFixture::settle();
        QVERIFY(against() != before && against() != 0);
    }

    void aPairSaysWhatChangesAndWhatIsUnfair() {
        press("page_pair");
        QTest::mouseClick(cards(), Qt::LeftButton, Qt::ShiftModifier, cards()->rectOf(6).center().toPoint());
        WindowFixture::settle();
        QTest::mouseClick(cards(), Qt::LeftButton, {}, cards()->rectOf(3).center().toPoint());
        compared();
        QVERIFY(label("pairCaption")
                    .startsWith(QStringLiteral("Sedge Panel gives 18 % more than Osier 60, 9000 h")));
        QVERIFY(findingSays(QStringLiteral("Not comparable: age")));
        auto* conditions = w_->window.findChild<QTableWidget*>(QStringLiteral("pairConditions"));
        QCOMPARE(conditions->item(0, 0)->text(), QStringLiteral("age"));
        conditions->setCurrentCell(0, 0);
        press("onPurpose");
        compared();
        QCOMPARE(bench().method.on_purpose, std::vector{Condition::Age});
        QVERIFY(!findingSays(QStringLiteral("Not comparable: age")));
        QVERIFY(findingSays(QStringLiteral("2 things differ at once")));
        // Meant, it is ranked with the others.
        QVERIFY(cards()->cards()[6].place != QStringLiteral("–"));
        QVERIFY(*w_->session.project()->undo());
        compared();
        QCOMPARE(cards()->cards()[6].place, QStringLiteral("–"));
    }

    void whatWasNotReadAtOneHeightIsModelled() {
        auto* height = w_->window.findChild<QLineEdit*>(QStringLiteral("comparedHeight"));
        height->setFocus();
        QTest::keyClicks(height, QStringLiteral("nonsense"));
        QTest::keyClick(height, Qt::Key_Return);
        WindowFixture::settle();
        QVERIFY(!bench().method.compared_height);
        height->selectAll();
        QTest::keyClicks(height, QStringLiteral("24 cm"));
        QTest::keyClick(height, Qt::Key_Return);
        compared();
        QCOMPARE(*bench().method.compared_height, Millimetre(240));
        for (const auto& card : cards()->cards())
            QVERIFY2(card.height.startsWith(QStringLiteral("24 cm")), qPrintable(card.height));
        QCOMPARE(cards()->cards()[0].basis, LightBasis::Read);
        QCOMPARE(cards()->cards()[3].basis, LightBasis::Modelled);  // Sedge was read at 20 and 25 cm
        QVERIFY(label("compareHolds").startsWith(QStringLiteral("All at 24 cm")));
        height->setFocus();
        height->clear();
        QTest::keyClick(height, Qt::Key_Return);
        compared();
        QVERIFY(!bench().method.compared_height);
    }

    void lightAtTheEyeMayBeRead() {
        auto* stage = w_->window.findChild<CompareStage*>();
        answering([](QWidget* dialog) {
            dialog->findChild<QLineEdit*>()->setText(QStringLiteral("7.5"));
            qobject_cast<QDialog*>(dialog)->accept();
        });
        stage->keepEyeReading();
        compared();
        QCOMPARE(*w_->session.run()->eye_reading, Ppfd(7.5));
        const auto& now = *w_->session.answers().value<Comparison>({"compare"});
        QCOMPARE(now.board.figure(0, Criterion::EyeLight)->value, 7.5);
        answering([](QWidget* dialog) {
            dialog->findChild<QLineEdit*>()->setText(QStringLiteral("bright"));
            qobject_cast<QDialog*>(dialog)->accept();
        });
        stage->keepEyeReading();
        QCOMPARE(*w_->session.run()->eye_reading, Ppfd(7.5));
        QVERIFY(*w_->session.project()->undo());
        QVERIFY(!w_->session.run()->eye_reading);
    }

    void costsAreReckonedWithWhatIsTyped() {
        QTest::keyClick(cards(), Qt::Key_C);
        WindowFixture::settle();
        auto* costs = w_->window.findChild<QTableWidget*>(QStringLiteral("costs"));
        QCOMPARE(costs->rowCount(), 7);
        const auto total = costs->item(0, 6)->text().toDouble();
        auto* price = w_->window.findChild<QLineEdit*>(QStringLiteral("costKwh"));
        price->setFocus();
        price->selectAll();
        QTest::keyClicks(price, QStringLiteral("0.64"));
        QTest::keyClick(price, Qt::Key_Return);
        compared();
        QCOMPARE(bench().method.price_kwh, 0.64);
        QVERIFY(costs->item(0, 6)->text().toDouble() > total + 300);
        price->setFocus();
        price->selectAll();
        QTest::keyClicks(price, QStringLiteral("-1"));
        QTest::keyClick(price, Qt::Key_Return);
        WindowFixture::settle();
        QCOMPARE(bench().method.price_kwh, 0.64);
        QVERIFY(label("ageing").contains(QStringLiteral("Look again after")));
    }

    void scoresAreGivenWithTheirReasons() {
        press("page_scores");
        auto* reviewer = w_->window.findChild<QLineEdit*>(QStringLiteral("reviewer"));
        QCOMPARE(reviewer->text(), QStringLiteral("Wren"));
        QVERIFY(label("agreement").contains(QStringLiteral("Weighted kappa")));
        const auto ratings = bench().ratings.size();
        reviewer->setFocus();
        reviewer->clear();
        press("score_noise_5");
        QCOMPARE(bench().ratings.size(), ratings);  // nobody's score is none
        reviewer->setFocus();
        QTest::keyClicks(reviewer, QStringLiteral("Teal"));
        QTest::keyClick(reviewer, Qt::Key_Return);
        WindowFixture::settle();
        press("score_noise_5");
        QCOMPARE(bench().ratings.size(), ratings + 1);
        QCOMPARE(bench().ratings.back().by, std::string("Teal"));
        QCOMPARE(bench().ratings.back().score, 5);
        auto* reason = w_->window.findChild<QLineEdit*>(QStringLiteral("reason_noise"));
        reason->setFocus();
        QVERIFY(label("anchors").contains(QStringLiteral("heard across the room")));
        QTest::keyClicks(reason, QStringLiteral("no fan"));
        QTest::keyClick(reason, Qt::Key_Return);
        WindowFixture::settle();
        QCOMPARE(bench().ratings.back().reason, std::string("no fan"));
        press("score_noise_4");
        QCOMPARE(bench().ratings.size(), ratings + 1);  // the same score, changed
        QCOMPARE(bench().ratings.back().score, 4);
        for (int i = 0; i < 3; ++i) QVERIFY(*w_->session.project()->undo());
        QCOMPARE(bench().ratings.size(), ratings);
        // No rank rests on them.
        compared();
        QVERIFY(label("compareAnswer").startsWith(QStringLiteral("Osier 60 ")));
    }

    void photosAreMadeSmall() {
        QImage large(3000, 1500, QImage::Format_RGB32);
        large.fill(Qt::darkGreen);
        const auto path = w_->path("large.png");
        QVERIFY(large.save(path));
        const auto kept = QImage::fromData(QByteArray::fromBase64(QByteArray::fromStdString(photoOf(path))));
        QCOMPARE(kept.size(), QSize(1024, 512));
        QVERIFY(photoOf(w_->path("none.png")).empty());
    }

    void schoolsStandSideBySide() {
        QTest::keyClick(cards(), Qt::Key_O);
        compared();
        QTRY_VERIFY_WITH_TIMEOUT(schools()->rowCount() == 6, 120'000);
        QVERIFY(schools()->columnCount() >= 7);
        QCOMPARE(schools()->item(0, 1)->text(), QStringLiteral("1"));
        bool moved = false;
        for (int row = 0; row < schools()->rowCount(); ++row)
            for (int column = 1; column < schools()->columnCount(); ++column)
                moved = moved || schools()->item(row, column)->text().contains(QStringLiteral("▲"));
        QVERIFY(moved);
    }

    void theTableGoesToTheClipboardAndFiles() {
        auto* stage = w_->window.findChild<CompareStage*>();
        stage->copyTable();
        const auto lines = QApplication::clipboard()->text().trimmed().split(QLatin1Char('\n'));
        QCOMPARE(lines.size(), 8);
        QVERIFY(lines[1].startsWith(QStringLiteral("Osier 60\t")));
        const auto& compared = *w_->session.answers().value<Comparison>({"compare"});
        const auto files =
            compareFiles(compared, LengthUnit::Cm, 0, 4,
                         {{QStringLiteral("t"), {{QStringLiteral("=1+1"), QStringLiteral("-2.5")}}}});
        QCOMPARE(files.size(), std::size_t{3 * 2 + 3 * 2 + 1});
        for (const auto& file : files) QVERIFY2(file.bytes.size() > 8, qPrintable(file.name));
        QCOMPARE(files.back().bytes, QByteArray("'=1+1,-2.5\n"));
        QVERIFY(files.front().bytes.contains("<svg"));
    }

    void anotherProjectsFixturesComeFromTheShelf() {
        auto* stage = w_->window.findChild<CompareStage*>();
        stage->keepOnShelf();
        const auto entries = shelfEntries(ShelfDialog::place());
        QCOMPARE(entries.size(), std::size_t{1});
        QVERIFY(entries[0].own && !entries[0].wrong);
        QCOMPARE(entries[0].fixtures.size(), 5);
        const auto shelved = fromShelf(entries[0]);
        QVERIFY(shelved.has_value());
        const auto both = withShelved(bench(), {*shelved});
        QCOMPARE(both.runs.size(), 2 * bench().runs.size());
        QCOMPARE(both.tanks.size(), bench().tanks.size());  // described alike: the same
        answering([](QWidget* dialog) {
            auto* list = dialog->findChild<QListWidget*>(QStringLiteral("shelfList"));
            list->item(0)->setCheckState(Qt::Checked);
            dialog->findChild<QPushButton*>(QStringLiteral("shelfCompare"))->click();
        });
        stage->openShelf();
        compared();
        QCOMPARE(cards()->cards().size(), kMostShown);
        // The same lamp read once is a tie with itself.
        const auto& compared = *w_->session.answers().value<Comparison>({"compare"});
        QCOMPARE(compared.judged.size(), std::size_t{14});
        QVERIFY(text(compared.judged[7].contender.name).contains(QStringLiteral("Nursery raceway lamps")));
        QVERIFY(compared.pairOf(0, 7).all.tie);
        QCOMPARE(compared.pairOf(0, 7).all.value, 1.0);
    }

    void aShelfThatLiesIsRefused() {
        w_->window.findChild<CompareStage*>()->keepOnShelf();
        const auto entry = shelfEntries(ShelfDialog::place()).front();
        QFile readings(entry.folder + QStringLiteral("/readings.csv"));
        QVERIFY(readings.open(QIODevice::ReadWrite));
        auto bytes = readings.readAll();
        bytes.replace("100", "900");
        readings.seek(0);
        readings.write(bytes);
        readings.close();
        const auto damaged = shelfEntries(ShelfDialog::place()).front();
        QVERIFY(damaged.wrong.has_value());
        QVERIFY(text(*damaged.wrong).contains(QStringLiteral("its hash is another")));
        QVERIFY(!fromShelf(damaged));
        QVERIFY(!takeOntoShelf(ShelfDialog::place(), damaged.folder, {}));
        QVERIFY(!takeOntoShelf(ShelfDialog::place(), w_->path("nowhere"), {}));
    }

    void anEmptyProjectIsToldWhatToDo() {
        QVERIFY(w_->create());
        w_->window.showStage(QStringLiteral("compare"));
        compared();
        QVERIFY(label("compareNothing").contains(QStringLiteral("Two fixtures")));
    }

  private:
    const Bench& bench() const { return w_->session.bench(); }
    CompareCards* cards() const { return w_->window.findChild<CompareCards*>(); }
    QTableWidget* schools() const {
        return w_->window.findChild<QTableWidget*>(QStringLiteral("schoolOrders"));
    }
    QString label(const char* name) const {
        return w_->window.findChild<QLabel*>(QLatin1String(name))->text();
    }
    double weight(Criterion criterion) const { return weightOf(weightsOf(bench()), criterion); }
    std::size_t against() const {
        for (std::size_t i = 0; i < cards()->cards().size(); ++i)
            if (cards()->cards()[i].against) return i;
        return 99;
    }
    void press(const char* name) {
        auto* button = w_->window.findChild<QPushButton*>(QLatin1String(name));
        QVERIFY2(button != nullptr, name);
        QTest::mouseClick(button, Qt::LeftButton);
        WindowFixture::settle();
    }
    bool findingSays(const QString& words) const {
        for (const auto& finding : w_->window.findChild<CompareStage*>()->findings())
            if ((text(finding.title, LengthUnit::Cm) + QLatin1Char(' ') + text(finding.body, LengthUnit::Cm))
                    .contains(words))
                return true;
        return false;
    }
    /// What is under way has come, and is shown.
    void compared() {
        WindowFixture::settle();
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.answers().busy(), 120'000);
        WindowFixture::settle();
    }
    static void answering(std::function<void(QWidget*)> answer) {
        QTimer::singleShot(0, [answer = std::move(answer)] {
            if (auto* dialog = QApplication::activeModalWidget()) answer(dialog);
        });
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestCompare, "desk_compare", Windows)

}  // namespace desk_compare

#include "test_compare.moc"
