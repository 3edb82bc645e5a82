#include "desk/shared/follow_focus.h"

#include <QApplication>
#include <QScrollArea>

namespace glumet {

void followFocus(QScrollArea& area) {
    constexpr int kMargin = 20;  // a line edit counts as its cursor only
    QObject::connect(qApp, &QApplication::focusChanged, &area, [&area](QWidget* /*before*/, QWidget* now) {
        if (now != nullptr && area.widget()->isAncestorOf(now))
            area.ensureWidgetVisible(now, kMargin, kMargin);
    });
}

}  // namespace glumet
