#pragma once

#include <QAbstractItemView>
#include <QComboBox>
#include <QFileDialog>
#include <QLineEdit>
#include <QPushButton>

#include "desk/shared/command_list.h"
#include "desk/window_fixture.h"

namespace glumet::testing {

/// What a person does at the window: real events only, counted. What is needed for one thing and what not is
/// for the reader of the counts.
class Hands {
  public:
    explicit Hands(QWidget& window) : window_(window) {}

    int keys = 0;
    int clicks = 0;

    QWidget* focus() {
        wake();
        auto* modal = QApplication::activeModalWidget();
        auto* focused = QApplication::focusWidget();
        return focused != nullptr ? focused : modal != nullptr ? modal : &window_;
    }
    /// A key to whatever has the focus.
    void press(int key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) {
        ++keys;
        QTest::keyClick(focus(), static_cast<Qt::Key>(key), modifiers);
        WindowFixture::settle();
    }
    void type(const QString& text) {
        keys += static_cast<int>(text.size());
        QTest::keyClicks(focus(), text);
        WindowFixture::settle();
    }
    /// Tab until the field of that name has the focus; false when it comes round without.
    bool tabTo(const char* name) {
        for (int tabs = 0; tabs < 120; ++tabs) {
            if (focus()->objectName() == QLatin1String(name)) return true;
            press(Qt::Key_Tab);
        }
        return false;
    }
    /// Tabs to a field, types over what stands there and leaves it.
    bool fillByKeys(const char* name, const QString& text) {
        if (!tabTo(name)) return false;
        type(text);
        press(Qt::Key_Tab);
        return true;
    }

    /// A click in the middle of what can be seen and is under nothing else.
    bool click(QWidget* widget) {
        if (widget == nullptr || !widget->isVisible() || !widget->isEnabled()) return false;
        return clickAt(widget, widget->rect().center());
    }
    bool clickAt(QWidget* widget, const QPoint& at) {
        wake();
        if (!widget->visibleRegion().contains(at)) return false;
        ++clicks;
        QTest::mouseClick(widget, Qt::LeftButton, {}, at);
        WindowFixture::settle();
        return true;
    }
    /// Three clicks choose what stands in a field; typing replaces it, and the next click leaves it.
    bool fillByMouse(QLineEdit* field, const QString& text) {
        wake();
        if (field == nullptr || !field->visibleRegion().contains(field->rect().center())) return false;
        clicks += 3;
        QTest::mouseClick(field, Qt::LeftButton);
        QTest::mouseDClick(field, Qt::LeftButton);
        QTest::mouseClick(field, Qt::LeftButton);
        WindowFixture::settle();
        if (!field->text().isEmpty() && field->selectedText() != field->text()) return false;
        keys += static_cast<int>(text.size());
        QTest::keyClicks(field, text);
        WindowFixture::settle();
        return true;
    }
    /// Opens a choice and clicks on an item of it.
    bool chooseByMouse(QComboBox* choice, int item) {
        // A list takes no release that could be the second half of the click that opened it.
        const int usual = QApplication::doubleClickInterval();
        QApplication::setDoubleClickInterval(1);
        const bool opened = click(choice);
        QApplication::setDoubleClickInterval(usual);
        auto* list = choice->view();
        if (!opened || !QTest::qWaitFor([list] { return list->isVisible(); })) return false;
        ++clicks;
        // Again until it is taken: how long a list refuses is its own affair.
        return QTest::qWaitFor([=] {
            const auto place = list->visualRect(list->model()->index(item, 0));
            if (list->isVisible()) QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, place.center());
            return choice->currentIndex() == item;
        });
    }

    /// Types a file's name into a dialog and clicks on Save.
    void saveAs(QFileDialog& dialog, const char* name) {
        type(QLatin1String(name));
        for (auto* button : dialog.findChildren<QPushButton*>())
            if (button->isVisible() && button->text().contains(QStringLiteral("Save"))) {
                click(button);
                return;
            }
    }
    /// A command by its name in the list of all; `then` before it is taken.
    void command(
        const char* words, const std::function<void()>& then = [] {}) {
        onDialog<CommandList>([this, words, then](CommandList&) {
            type(QLatin1String(words));
            then();
            press(Qt::Key_Return);
        });
        press(Qt::Key_K, Qt::ControlModifier);
        WindowFixture::settle();
    }

  private:
    /// The platform of the tests gives the focus back to no window when a dialog closes.
    void wake() {
        if (QApplication::activeModalWidget() != nullptr || QApplication::activeWindow() == &window_) return;
        window_.activateWindow();
        WindowFixture::settle();
    }

    QWidget& window_;
};

}  // namespace glumet::testing
