#pragma once

#include <QWidget>

#include "core/living/survey_history.h"
#include "desk/shared/accessible_cells.h"
#include "report/palette.h"

namespace glumet {

/// The looks at a tank along time; the two that are compared stand out. A click compares that look with the
/// one before it, a click with Shift keeps the later one; the arrows walk.
class SurveyStrip : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    SurveyStrip();
    void setSurveys(const std::vector<TankSurvey>& surveys, const std::string& before, const std::string& now,
                    const Palette& palette);
    QSize sizeHint() const override { return {300, 38}; }
    std::vector<AccessibleCell> accessibleCells() const override;
    /// Where a look stands, for tests.
    QPoint placeOf(std::size_t look) const;

  signals:
    void compared(const QString& before, const QString& now);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    struct Look {
        QString day;
        double at = 0.0;  ///< 0–1 along time
        int spots = 0;
    };
    void choose(std::size_t look, bool keep_later);

    std::vector<Look> looks_;
    std::size_t before_ = 0;
    std::size_t now_ = 0;
    const Palette* palette_ = nullptr;
};

}  // namespace glumet
