#include <QSignalSpy>

#include "desk/shared/command_list.h"
#include "desk/shared/stage_bar.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_stage_list {

using namespace glumet;
using glumet::testing::onDialog;
using glumet::testing::WindowFixture;

namespace {

/// A stage that nobody wrote for the program.
class LanternStage : public Stage {
    Q_OBJECT

  public:
    using Stage::Stage;
    void refresh() override { ++refreshed; }
    std::vector<Finding> findings() const override { return {}; }
    void light() { lit = true; }
    int refreshed = 0;
    bool lit = false;
};

StageEntry lanternEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("lantern");
    entry.title = QStringLiteral("Lantern");
    entry.act = Act::Give;
    entry.make = [](Session& session) { return new LanternStage(session); };
    entry.commands = {{QStringLiteral("Light the lantern"), QStringLiteral("Ctrl+Alt+L"),
                       onStage<LanternStage>(&LanternStage::light)}};
    entry.keys = {{QStringLiteral("Y"), QStringLiteral("Lantern: brighter")}};
    entry.progress = [](const Session&) { return QStringLiteral("3/4"); };
    return entry;
}

}  // namespace

class TestStageList : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        auto stages = allStages();
        stages.back() = lanternEntry();  // the tenth: what comes after has no key
        w_ = std::make_unique<WindowFixture>(std::move(stages));
        QVERIFY(w_->createWithRuns({200}));
    }
    void cleanup() { w_.reset(); }

    void itStandsInTheBarAndIsShownByMouseAndKey() {
        auto* bar = w_->window.findChild<StageBar*>();
        const int index = static_cast<int>(w_->window.stages().size()) - 1;
        QTest::mouseClick(bar, Qt::LeftButton, {}, bar->rectOf(index).center());
        w_->settle();
        QCOMPARE(w_->window.stage(), QStringLiteral("lantern"));
        QVERIFY(lantern().refreshed > 0);
        w_->window.showStage(QStringLiteral("bench"));
        w_->key(index == 9 ? Qt::Key_0 : Qt::Key_1 + index, Qt::ControlModifier);  // the tenth by 0
        QCOMPARE(w_->window.stage(), QStringLiteral("lantern"));
    }

    void itsCommandIsAKeyAndInTheList() {
        w_->key(Qt::Key_L, Qt::ControlModifier | Qt::AltModifier);
        QCOMPARE(w_->window.stage(), QStringLiteral("lantern"));
        QVERIFY(lantern().lit);
        lantern().lit = false;
        onDialog<CommandList>([](CommandList& list) {
            QTest::keyClicks(list.findChild<QLineEdit*>(), QStringLiteral("lantern light"));
            QTest::keyClick(list.findChild<QLineEdit*>(), Qt::Key_Return);
        });
        w_->key(Qt::Key_K, Qt::ControlModifier);
        QVERIFY(lantern().lit);
    }

    void itsKeysStandOnTheKeySheet() {
        QStringList lines;
        onDialog<KeySheet>([&](KeySheet& sheet) {
            for (const auto* label : sheet.findChildren<QLabel*>()) lines << label->text();
        });
        w_->key(Qt::Key_F1);
        QVERIFY(lines.contains(QStringLiteral("Lantern: brighter")));
        QVERIFY(lines.contains(QStringLiteral("Light the lantern")));
    }

    /// Ten stages, a project and a configuration, in 1224 px and in half of that.
    void tenStagesFit() {
        auto stages = allStages();
        while (stages.size() < 10) {
            auto more = lanternEntry();
            more.commands.clear();
            more.id += QString::number(stages.size());
            stages.push_back(more);
        }
        w_ = std::make_unique<WindowFixture>(std::move(stages));
        QVERIFY(w_->openDemo());
        for (const int width : {1224, 640}) {
            w_->window.resize(width, 640);
            w_->settle();
            auto* bar = w_->window.findChild<StageBar*>();
            for (int i = 0; i < 10; ++i) {
                bar->setCurrent(i);
                QVERIFY2(bar->rectOf(i).right() < bar->width(), qPrintable(QString::number(i)));
            }
            QVERIFY(bar->mapTo(&w_->window, QPoint(bar->width(), 0)).x() <= w_->window.width());
            if (width == 1224)
                for (int i = 0; i < 10; ++i) QVERIFY(!bar->rectOf(i).isEmpty());
        }
    }

    /// Where even the names do not fit, the other acts close to theirs and open at the stage last shown in
    /// them.
    void aNarrowBarClosesTheOtherActs() {
        auto stages = allStages();
        StageBar bar(w_->session, stages);
        const auto index = [&](const char* id) {
            for (std::size_t i = 0; i < stages.size(); ++i)
                if (stages[i].id == QLatin1String(id)) return static_cast<int>(i);
            return -1;
        };
        bar.setCurrent(index("array"));
        bar.setCurrent(index("plan"));
        bar.resize(bar.minimumSizeHint());
        QVERIFY(!bar.rectOf(index("bench")).isEmpty());
        QVERIFY(bar.rectOf(index("array")).isEmpty());
        QSignalSpy chosen(&bar, &StageBar::chosen);
        QTest::mouseClick(&bar, Qt::LeftButton, {},
                          QPoint(bar.rectOf(index("measure")).right() + 30, bar.height() / 2));
        QCOMPARE(chosen.count(), 1);
        QCOMPARE(chosen.front().front().toInt(), index("array"));
    }

  private:
    LanternStage& lantern() {
        return *static_cast<LanternStage*>(w_->window.stageWidget(QStringLiteral("lantern")));
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestStageList, "desk_stage_list", Windows)

}  // namespace desk_stage_list

#include "test_stage_list.moc"
