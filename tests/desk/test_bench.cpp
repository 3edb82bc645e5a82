#include <QComboBox>
#include <QLabel>
#include <QMenu>
#include <QPushButton>

#include "desk/bench/channel_rows.h"
#include "desk/bench/fixture_drawing.h"
#include "desk/bench/tank_drawing.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_bench {

using namespace glumet;
using glumet::testing::WindowFixture;

/// The bench is drawn: sizes at their lines, kinds on the walls, channels and presets in rows.
class TestBench : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        w_ = std::make_unique<WindowFixture>();
        QVERIFY(w_->createWithRuns({200}));
        w_->window.showStage(QStringLiteral("bench"));
        w_->settle();
    }
    void cleanup() { w_.reset(); }

    void sizesAreTypedAtTheirLines() {
        auto* drawing = w_->window.findChild<FixtureDrawing*>();
        auto* length = w_->find<QLineEdit>("fixture_length_mm");
        QCOMPARE(length->parentWidget(), drawing);
        type(length, "40");
        type(w_->find<QLineEdit>("fixture_width_mm"), "10 cm");
        QCOMPARE(fixture().length.value(), 400.0);
        QCOMPARE(fixture().width.value(), 100.0);
        type(w_->find<QLineEdit>("emitters"), "5 x 2");
        type(w_->find<QLineEdit>("emitterSpacing"), "60 x 50 mm");
        // To scale: four steps of 60 mm are 0.6 of 400 mm.
        const double across =
            drawing->emitterRect(4, 0).center().x() - drawing->emitterRect(0, 0).center().x();
        const double up = drawing->emitterRect(0, 1).center().y() - drawing->emitterRect(0, 0).center().y();
        QVERIFY(std::abs(across / up - 240.0 / 50.0) < 1e-9);
    }

    void anAccessoryHasAPrice() {
        auto* price = w_->find<QLineEdit>("accessoryPrice");
        type(price, "12");  // there is none yet: said, and nothing changes
        QVERIFY(w_->session.bench().accessories.empty());
        Accessory frost;
        frost.name = "frost";
        QVERIFY(w_->session.project()->save(frost));
        w_->settle();
        QCOMPARE(w_->find<QComboBox>("accessoryChoice")->currentText(), QStringLiteral("frost"));
        type(price, "24.5");
        QCOMPARE(w_->session.bench().accessories.front().price, 24.5);
        type(price, "-3");
        QCOMPARE(w_->session.bench().accessories.front().price, 24.5);
        type(w_->find<QLineEdit>("accessoryName"), "frost 2");
        QCOMPARE(w_->session.bench().accessories.front().name, std::string("frost 2"));
        QVERIFY(*w_->session.project()->undo());
        QVERIFY(*w_->session.project()->undo());
        QCOMPARE(w_->session.bench().accessories.front().price, 0.0);
    }

    void pricesAndLifeAreTypedInTheirRows() {
        type(w_->find<QLineEdit>("fixture_price"), "210");
        type(w_->find<QLineEdit>("fixture_life_h"), "40000");
        type(w_->find<QLineEdit>("fixture_noise_dba"), "31");
        QCOMPARE(fixture().price, 210.0);
        QCOMPARE(fixture().life_h, 40000.0);
        QCOMPARE(*fixture().noise_dba, 31.0);
    }

    void aWallIsChangedWhereItStands() {
        auto* drawing = w_->window.findChild<TankDrawing*>();
        const auto before = tank().wall(Side::Right).kind;
        QTest::mouseClick(drawing, Qt::LeftButton, {}, drawing->wallRect(Side::Right).center().toPoint());
        auto* menu = drawing->findChild<QMenu*>(QStringLiteral("wallKinds"));
        QVERIFY(menu != nullptr && menu->isVisible());
        QVERIFY(menu->actions()[static_cast<int>(before)]->isChecked());
        menu->actions()[2]->trigger();
        menu->close();
        w_->settle();
        QVERIFY(tank().wall(Side::Right).kind == WallKind::Opaque);
        QVERIFY(tank().wall(Side::Left).kind == WallKind::Glass);
        QVERIFY(*w_->session.project()->undo());
        QVERIFY(tank().wall(Side::Right).kind == before);
        // The water between the walls changes nothing.
        QTest::mouseClick(drawing, Qt::LeftButton, {},
                          drawing->wallRect(Side::Right).center().toPoint() - QPoint(40, 0));
        QVERIFY(drawing->findChild<QMenu*>(QStringLiteral("wallKinds")) == nullptr ||
                !drawing->findChild<QMenu*>(QStringLiteral("wallKinds"))->isVisible());
    }

    void whatIsSeldomWantedUnfolds() {
        auto* maker = w_->find<QLineEdit>("fixture_maker");
        QVERIFY(!maker->isVisible());
        for (auto* fold : w_->window.findChildren<QPushButton*>())
            if (fold->property("fold").toBool() &&
                fold->accessibleName().contains(QLatin1String("fixture"))) {
                fold->setFocus();
                w_->key(Qt::Key_Space);
            }
        QVERIFY(maker->isVisible());
        type(maker, "Moss & Daughters");
        QCOMPARE(fixture().maker, std::string("Moss & Daughters"));
    }

    void channelsSayTheirSharesAndPresetsTheirLevels() {
        Fixture f = fixture();
        setChannelNames(f, "white, red");
        f.presets.push_back({0, "evening", {}});
        QVERIFY(w_->session.edit([&](Project& project) { return project.save(f); }).isEmpty());
        w_->settle();
        type(w_->find<QLineEdit>("channelLight_0"), "70 %");
        type(w_->find<QLineEdit>("channelWatts_1"), "25");
        QCOMPARE(*fixture().channels[0].flux_share, 0.7);
        QCOMPARE(*fixture().channels[1].power_share, 0.25);
        type(w_->find<QLineEdit>("channelLight_0"), "170");
        QCOMPARE(*fixture().channels[0].flux_share, 0.7);
        type(w_->find<QLineEdit>("preset_0"), "white 30, red 100 %");
        QCOMPARE(fixture().presets[0].levels.size(), std::size_t{2});
        QCOMPARE(fixture().presets[0].levels[0].level_pct, 30.0);
        type(w_->find<QLineEdit>("preset_0"), "white 30, green 5");
        QCOMPARE(fixture().presets[0].levels.size(), std::size_t{2});
        QVERIFY(w_->lastWord().contains(QLatin1String("green")));
        QCOMPARE(w_->find<QLineEdit>("preset_0")->text(), QStringLiteral("white 30, green 5"));
    }

    void aRefusedTextStaysWithItsReasonUntilItIsMended() {
        auto* length = w_->find<QLineEdit>("tank_length_mm");
        type(length, "wide");
        QCOMPARE(length->text(), QStringLiteral("wide"));
        const auto* reason = length->parentWidget()->findChild<QLabel*>(QStringLiteral("refusal"));
        QVERIFY(reason != nullptr && reason->isVisible());
        QVERIFY(reason->text().contains(QLatin1String("wide")));
        // Another field stored does not take it away.
        type(w_->find<QLineEdit>("tank_width_mm"), "50");
        QCOMPARE(length->text(), QStringLiteral("wide"));
        QVERIFY(reason->isVisible());
        type(length, "90");
        QVERIFY(!reason->isVisible());
        QVERIFY(!length->property("wrong").toBool());
        QCOMPARE(tank().length.value(), 900.0);
        QVERIFY(w_->lastWord().isEmpty());
        type(length, "long");
        QTest::keyClick(length, Qt::Key_Escape);
        QCOMPARE(length->text(), QStringLiteral("90 cm"));
        QVERIFY(!reason->isVisible());
    }

    /// By the keyboard alone: what is tabbed into is selected, also when the last field was just stored.
    void tabbingInSelectsAlsoAfterAField() {
        auto* count = w_->find<QLineEdit>("emitters");
        auto* spacing = w_->find<QLineEdit>("emitterSpacing");
        count->setFocus(Qt::TabFocusReason);
        QTest::keyClicks(count, QStringLiteral("4x3"));
        QTest::keyClick(count, Qt::Key_Tab);
        w_->settle();
        auto* next = qobject_cast<QLineEdit*>(QApplication::focusWidget());
        QVERIFY(next != nullptr && next != count);
        QCOMPARE(next->selectedText(), next->text());
        spacing->setFocus(Qt::TabFocusReason);
        QTest::keyClicks(spacing, QStringLiteral("2x1"));
        QTest::keyClick(spacing, Qt::Key_Return);
        w_->settle();
        QCOMPARE(fixture().emitters.columns, 4);
        QCOMPARE(fixture().emitters.pitch_x.value(), 20.0);
        QCOMPARE(fixture().emitters.pitch_y.value(), 10.0);
    }

    void aNewcomerTypesIntoAnEmptyBench() {
        WindowFixture empty;
        QVERIFY(empty.create());
        empty.show();
        empty.window.showStage(QStringLiteral("bench"));
        empty.settle();
        auto* name = empty.find<QLineEdit>("fixture_name");
        name->setFocus(Qt::TabFocusReason);
        QTest::keyClicks(name, QStringLiteral("Reed 40"));
        QTest::keyClick(name, Qt::Key_Return);
        empty.settle();
        QCOMPARE(empty.session.bench().fixtures.size(), std::size_t{1});
        QCOMPARE(empty.session.bench().fixtures[0].name, std::string("Reed 40"));
    }

  private:
    const Fixture& fixture() const { return w_->session.bench().fixtures[0]; }
    const Tank& tank() const { return w_->session.bench().tanks[0]; }
    void type(QLineEdit* edit, const char* words) {
        edit->setFocus(Qt::TabFocusReason);
        edit->selectAll();
        QTest::keyClicks(edit, QString::fromUtf8(words));
        QTest::keyClick(edit, Qt::Key_Return);
        w_->settle();
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestBench, "desk_bench", Windows)

}  // namespace desk_bench

#include "test_bench.moc"
