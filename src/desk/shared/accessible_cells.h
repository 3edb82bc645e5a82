#pragma once

#include <QAccessible>
#include <QRect>
#include <QString>
#include <QWidget>
#include <functional>
#include <vector>

namespace glumet {

/// One thing that a painted widget shows, as a screen reader is told of it.
struct AccessibleCell {
    QString name;  ///< where and what: "column 3, row 2: 243"
    QRect rect;    ///< in the widget
    bool chosen = false;
};

/// A widget that paints what it shows and can say it cell by cell. Inherit beside QWidget; call `cellsTold`
/// when another cell is chosen.
class AccessibleCells {
  public:
    virtual ~AccessibleCells() = default;
    virtual std::vector<AccessibleCell> accessibleCells() const = 0;
};

/// Makes screen readers find the cells. Once, at the start.
void installAccessibleCells();

/// Says to who listens that the chosen cell is another.
void cellsTold(QWidget& widget);

/// Says a warning aloud to who listens.
void announce(QWidget& widget);

/// Somebody else who is told what screen readers are told: for platforms that have none. Empty: nobody.
void listenToAccess(std::function<void(QAccessibleEvent&)> listener);

}  // namespace glumet
