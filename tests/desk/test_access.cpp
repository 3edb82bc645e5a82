#include <QLineEdit>
#include <QPushButton>
#include <QScreen>
#include <QScrollArea>
#include <QScrollBar>
#include <QTableWidget>
#include <set>

#include "desk/array/array_view.h"
#include "desk/bench/run_dialog.h"
#include "desk/plan/matrix_view.h"
#include "desk/shared/accessible_cells.h"
#include "desk/shared/command_list.h"
#include "desk/shared/findings_panel.h"
#include "desk/shared/plan_map.h"
#include "desk/shared/section_view.h"
#include "desk/window_fixture.h"
#include "runner/registry.h"

namespace desk_access {

using namespace glumet;
using glumet::testing::onDialog;
using glumet::testing::WindowFixture;

namespace {

/// What a screen reader was told, by the name of what it was told of.
struct Told {
    QAccessible::Event event;
    QString name;
};
std::vector<Told> told;

void listen(QAccessibleEvent& event) {
    const auto* what = event.accessibleInterface();
    if (what != nullptr) told.push_back({event.type(), what->text(QAccessible::Name)});
}

bool wasTold(QAccessible::Event event, const QString& part) {
    return std::any_of(told.begin(), told.end(),
                       [&](const Told& t) { return t.event == event && t.name.contains(part); });
}

QStringList namesIn(QWidget* widget) {
    QStringList names;
    const auto* all = QAccessible::queryAccessibleInterface(widget);
    for (int i = 0; i < all->childCount(); ++i) names << all->child(i)->text(QAccessible::Name);
    return names;
}

QString chosenIn(QWidget* widget) {
    const auto* all = QAccessible::queryAccessibleInterface(widget);
    const auto* chosen = all->focusChild();
    return chosen == nullptr ? QString() : chosen->text(QAccessible::Name);
}

}  // namespace

/// The window without eyes, without a mouse, and in little room.
class TestAccess : public QObject {
    Q_OBJECT

  private slots:
    void initTestCase() { listenToAccess(&listen); }
    void cleanupTestCase() { listenToAccess({}); }
    void init() {
        told.clear();
        w_ = std::make_unique<WindowFixture>();
    }
    void cleanup() { w_.reset(); }

    void aMapSaysItsCells() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("field"));
        w_->settle();
        auto* map = stageWidget<PlanMap>();
        const auto names = namesIn(map);
        QCOMPARE(names.size(), w_->plane().grid->cells());
        QVERIFY(names.filter(QStringLiteral("in the band")).size() > 0);
        map->setFocus();
        w_->key(Qt::Key_Right);
        const auto here = chosenIn(map);
        w_->key(Qt::Key_Right);
        QVERIFY(!chosenIn(map).isEmpty());
        QVERIFY(chosenIn(map) != here);
        // The same as the project holds of that place.
        const auto cell = *w_->session.cell();
        const auto& plane = w_->plane();
        const auto reading =
            std::find_if(plane.readings.begin(), plane.readings.end(), [&](const Reading& r) {
                return r.counts() &&
                       std::abs(r.x.value() - plane.grid->xs_mm[std::size_t(cell.column)]) < kSamePointMm &&
                       std::abs(r.y.value() - plane.grid->ys_mm[std::size_t(cell.row)]) < kSamePointMm;
            });
        QVERIFY(reading != plane.readings.end());
        QVERIFY(chosenIn(map).contains(QString::fromStdString(ppfdFigure(reading->mean))));
        QVERIFY(wasTold(QAccessible::Focus, QString::fromStdString(cellName(*w_->plane().grid, cell))));
    }

    void aCellKnowsItsPlaceAndItsParent() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("field"));
        w_->settle();
        auto* map = stageWidget<PlanMap>();
        auto* all = QAccessible::queryAccessibleInterface(map);
        auto* second = all->child(1);
        QCOMPARE(second->parent(), all);
        QCOMPARE(all->indexOfChild(second), 1);
        QCOMPARE(second->role(), QAccessible::Cell);
        const auto middle = second->rect().center();
        QCOMPARE(all->childAt(middle.x(), middle.y()), second);
        QVERIFY(all->child(all->childCount()) == nullptr);
        QVERIFY(!second->state().invalid);
        // A plane that is gone leaves no cell that says what it was.
        w_->session.setProject(nullptr);
        map->setPlan({}, w_->session.palette());
        QVERIFY(second->state().invalid);
        QVERIFY(second->text(QAccessible::Name).isEmpty());
    }

    void theMatrixSaysWhatIsReadAndPlanned() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("plan"));
        w_->settle();
        auto* matrix = stageWidget<MatrixView>();
        QCOMPARE(namesIn(matrix).size(), static_cast<int>(w_->session.bench().runs.size()));
        QVERIFY(namesIn(matrix).first().contains(QStringLiteral("read")));
        matrix->setFocus();
        const auto before = chosenIn(matrix);
        w_->key(Qt::Key_Right);
        QVERIFY(chosenIn(matrix) != before);
        QVERIFY(wasTold(QAccessible::Focus, chosenIn(matrix)));
    }

    void theSectionSaysHeightsAndPlanes() {
        QVERIFY(w_->openDemo());
        auto* section = w_->window.findChild<SectionView*>();
        const auto names = namesIn(section);
        QVERIFY(names.filter(QStringLiteral("measured")).size() >= 3);
        QCOMPARE(names.filter(QStringLiteral("under water")).size(),
                 static_cast<int>(depthsOf(w_->session.bench(), *w_->session.sweep()).size()));
        QCOMPARE(names.filter(QStringLiteral("hangs there")).size(), 1);
        QVERIFY(names.filter(QStringLiteral("hangs there"))
                    .first()
                    .contains(w_->session.length(*w_->session.height())));
        QVERIFY(chosenIn(section).contains(w_->session.length(*w_->session.depth())));
    }

    void theArraySaysFixturesAndLight() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("array"));
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && !w_->window.busy(), 60'000);
        w_->settle();
        for (auto* view : w_->window.findChildren<ArrayView*>()) {
            const auto names = namesIn(view);
            QVERIFY(names.first().startsWith(QStringLiteral("Fixture 1 at")));
            QVERIFY(names.size() > 3);
        }
        auto* view = stageWidget<ArrayView>();
        view->setFocus();
        const auto before = chosenIn(view);
        w_->key(Qt::Key_Right);
        QVERIFY(!before.isEmpty() && chosenIn(view) != before);
        QVERIFY(wasTold(QAccessible::Focus, chosenIn(view)));
    }

    void warningsAreSaidAloud() {
        QVERIFY(w_->createWithRuns({200}));
        w_->session.warn(QStringLiteral("The line is broken."));
        QVERIFY(wasTold(QAccessible::Alert, QStringLiteral("The line is broken.")));
        told.clear();
        w_->session.say(QStringLiteral("All is well."));
        QVERIFY(!wasTold(QAccessible::Alert, QStringLiteral("All is well.")));
    }

    void aNewDoubtIsSaidOnce() {
        QVERIFY(w_->createWithRuns({200}));
        FindingsPanel panel(w_->session);
        const auto doubt =
            finding(FindingKind::Doubt, say("A cell is dark"), say("Look."), EvidenceView::Field);
        const auto fact = finding(FindingKind::Fact, say("Quiet"), say("Fine."), EvidenceView::Field);
        panel.setFindings({fact, doubt});
        QVERIFY(wasTold(QAccessible::Alert, QStringLiteral("A cell is dark")));
        QVERIFY(!wasTold(QAccessible::Alert, QStringLiteral("Quiet")));
        told.clear();
        panel.setFindings({doubt});
        QVERIFY(!wasTold(QAccessible::Alert, QStringLiteral("A cell is dark")));
    }

    void findingsKeepTheFocusOverARefresh() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("height"));
        FindingItem* item = nullptr;
        const auto last = [&] {
            for (auto* each : w_->window.findChildren<FindingItem*>())
                if (each->isVisible() && each->focusPolicy() != Qt::NoFocus) item = each;
            return item != nullptr;
        };
        // What is still being fitted would bring findings of its own meanwhile.
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.fitting() && last(), 60'000);
        const auto title = item->finding().title;
        item->setFocus();
        w_->session.setUnit(LengthUnit::Inch);  // every sentence is written anew
        w_->settle();
        auto* focused = qobject_cast<FindingItem*>(QApplication::focusWidget());
        QVERIFY(focused != nullptr);
        QCOMPARE(focused->finding().title, title);
    }

    void pageKeysScrollTheTableThatHasTheFocus() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("bench"));
        w_->settle();
        auto* table = w_->find<QTableWidget>("runTable");
        table->setFocus();
        table->setCurrentCell(0, 0);
        const auto depth = w_->session.depth();
        w_->key(Qt::Key_PageDown);
        QCOMPARE(w_->session.depth(), depth);
        QVERIFY(table->currentRow() > 0);
        w_->window.showStage(QStringLiteral("field"));
        w_->settle();
        w_->key(Qt::Key_PageDown);
        QVERIFY(w_->session.depth() != depth);
    }

    void tabLeavesEveryField() {
        QVERIFY(w_->openDemo());
        for (const auto& entry : w_->window.stages()) {
            w_->window.showStage(entry.id);
            w_->settle();
            std::set<QWidget*> seen;
            auto* first = QApplication::focusWidget();
            QVERIFY2(first != nullptr, qPrintable(entry.id));
            auto* at = first;
            do {
                seen.insert(at);
                w_->key(Qt::Key_Tab);
                auto* next = QApplication::focusWidget();
                QVERIFY2(next != at, qPrintable(entry.id + QStringLiteral(": ") + at->objectName()));
                at = next;
            } while (seen.count(at) == 0);
            QVERIFY2(at == first, qPrintable(entry.id));  // round, and nothing is left out for ever
        }
    }

    void aNarrowWindowHidesFindingsAndSaysHowMany() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("height"));
        w_->settle();
        auto* panel = w_->window.findChild<FindingsPanel*>();
        auto* section = w_->window.findChild<SectionView*>();
        auto* button = w_->find<QPushButton>("findingsButton");
        QVERIFY(panel->isVisible() && section->isVisible() && !button->isVisible());
        w_->window.resize(1000, 640);
        w_->settle();
        QCOMPARE(w_->window.width(), 1000);
        QVERIFY(!panel->isVisible() && section->isVisible() && button->isVisible());
        QVERIFY(button->text().contains(QString::number(panel->count())));
        QTest::mouseClick(button, Qt::LeftButton);
        w_->settle();
        QVERIFY(panel->isVisible());
        w_->key(Qt::Key_F6);
        QVERIFY(!panel->isVisible());
        w_->window.resize(640, 420);
        w_->settle();
        QCOMPARE(w_->window.size(), QSize(640, 420));
        QVERIFY(!panel->isVisible() && !section->isVisible());
        w_->window.resize(1280, 800);
        w_->settle();
        QVERIFY(panel->isVisible() && section->isVisible() && !button->isVisible());
    }

    /// At the size of the pictures nothing scrolls but what is a list.
    void stagesFitTheUsualWindow() {
        QVERIFY(w_->openDemo());
        auto* scroll = w_->find<QScrollArea>("stageScroll");
        // Lower than that it may scroll down, but no stage is wider than what is kept free for it.
        for (const auto& size : {QSize(1280, 800), QSize(1280, 720), QSize(1224, 640)})
            for (const auto& entry : w_->window.stages()) {
                w_->window.resize(size);
                w_->window.showStage(entry.id);
                w_->settle();
                QVERIFY(w_->window.findChild<FindingsPanel*>()->isVisible());
                if (size.height() >= 720)
                    QVERIFY2(scroll->verticalScrollBar()->maximum() == 0, qPrintable(entry.id));
                QVERIFY2(scroll->horizontalScrollBar()->maximum() == 0, qPrintable(entry.id));
            }
    }

    void whatDoesNotFitScrollsToTheFieldAtHand() {
        QVERIFY(w_->openDemo());
        w_->window.showStage(QStringLiteral("array"));
        w_->window.resize(640, 420);
        w_->settle();
        auto* scroll = w_->find<QScrollArea>("stageScroll");
        QTRY_VERIFY_WITH_TIMEOUT(w_->find<QLabel>("arrayFigures")->text().contains(QStringLiteral("Centres")),
                                 60'000);
        QTRY_VERIFY_WITH_TIMEOUT(!w_->session.answers().busy(), 60'000);
        w_->settle();
        QVERIFY(scroll->verticalScrollBar()->maximum() > 0);
        for (int tabs = 0; tabs < 40; ++tabs) {
            w_->key(Qt::Key_Tab);
            auto* field = QApplication::focusWidget();
            if (!scroll->widget()->isAncestorOf(field) || field->height() > scroll->viewport()->height())
                continue;
            const auto top = [&] { return field->mapTo(scroll->viewport(), QPoint(0, 0)).y(); };
            // An edit that was left may bring an answer, which lays the stage out anew.
            QTRY_VERIFY2(
                top() >= 0 && top() + field->height() <= scroll->viewport()->height(),
                qPrintable(QStringLiteral("%1 %2 at %3")
                               .arg(QLatin1String(field->metaObject()->className()), field->objectName())
                               .arg(top())));
        }
    }

    void dialogsScrollWhereTheScreenIsSmall() {
        QVERIFY(w_->openDemo());
        onDialog<KeySheet>([](KeySheet& sheet) {
            QVERIFY(sheet.screen()->availableGeometry().contains(sheet.rect()));
            sheet.fit({400, 300});
            WindowFixture::settle();
            QCOMPARE(sheet.size(), QSize(400, 300));
            auto* bar = sheet.findChild<QScrollArea*>()->verticalScrollBar();
            QVERIFY(bar->maximum() > 0);
            QTest::keyClick(&sheet, Qt::Key_PageDown);
            QVERIFY(bar->value() > 0);
        });
        w_->key(Qt::Key_F1);
        QVERIFY(QApplication::activeModalWidget() == nullptr);
        RunDialog dialog(w_->session, w_->session.run(), &w_->window);
        dialog.show();
        dialog.fit({360, 320});
        w_->settle();
        QCOMPARE(dialog.size(), QSize(360, 320));
        // The button stays in sight, and tab brings each field into it.
        for (auto* button : dialog.findChildren<QPushButton*>())
            QVERIFY(dialog.rect().contains(QRect(button->mapTo(&dialog, QPoint(0, 0)), button->size())));
        auto* scroll = dialog.findChild<QScrollArea*>();
        for (int tabs = 0; tabs < 16; ++tabs) {
            QTest::keyClick(QApplication::focusWidget(), Qt::Key_Tab);
            auto* field = QApplication::focusWidget();
            if (!scroll->widget()->isAncestorOf(field)) continue;
            const auto top = field->mapTo(scroll->viewport(), QPoint(0, 0)).y();
            QVERIFY2(top >= 0 && top < scroll->viewport()->height(), qPrintable(field->objectName()));
        }
    }

  private:
    template <class T>
    T* stageWidget() {
        return w_->window.stageWidget(w_->window.stage())->template findChild<T*>();
    }

    std::unique_ptr<WindowFixture> w_;
};

GLUMET_TEST(TestAccess, "desk_access", Windows)

}  // namespace desk_access

#include "test_access.moc"
