#pragma once

#include <QListWidget>

#include "report/palette.h"
#include "report/review/publication.h"

namespace glumet {

/// What goes into a review, in its order: each section with a tick, moved by the mouse or with Shift and the
/// arrows, and how it stands. The row before them is for the words at the beginning.
class PartsList : public QListWidget {
    Q_OBJECT

  public:
    PartsList();

    void setParts(const std::vector<ReviewPart>& parts, const std::vector<SectionStanding>& standings,
                  const Palette& palette);
    /// As ticked and ordered, each with the words that it was given with.
    std::vector<ReviewPart> parts() const;
    /// The section that is chosen; nothing for the words at the beginning.
    std::optional<ReviewSection> chosen() const;

  signals:
    void partsChanged();  ///< by hand: another order, or a tick

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    void dropEvent(QDropEvent* event) override;

  private:
    void moveBy(int rows);

    const Palette* palette_ = &dimRoom();
    std::vector<ReviewPart> given_;
};

}  // namespace glumet
