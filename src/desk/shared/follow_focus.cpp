#include "desk/shared/follow_focus.h"

#include <QApplication>
#include <QEvent>
#include <QScrollArea>
#include <QTimer>
#include <functional>

namespace glumet {
namespace {

/// Does something whenever the widget it watches was laid out anew.
class Moved : public QObject {
  public:
    Moved(QScrollArea& area, std::function<void()> then) : QObject(&area), then_(std::move(then)) {}
    bool eventFilter(QObject* watched, QEvent* event) override {
        // After the layout has done its work.
        if (event->type() == QEvent::LayoutRequest || event->type() == QEvent::Resize)
            QTimer::singleShot(0, this, then_);
        return QObject::eventFilter(watched, event);
    }

  private:
    std::function<void()> then_;
};

}  // namespace

void followFocus(QScrollArea& area) {
    constexpr int kMargin = 20;  // a line edit counts as its cursor only
    const auto follow = [&area] {
        auto* now = QApplication::focusWidget();
        if (now != nullptr && area.widget()->isAncestorOf(now))
            area.ensureWidgetVisible(now, kMargin, kMargin);
    };
    QObject::connect(qApp, &QApplication::focusChanged, &area, follow);
    // An answer that arrives makes lines longer and moves the field at hand away.
    area.widget()->installEventFilter(new Moved(area, follow));
}

}  // namespace glumet
