#pragma once

#include <QWidget>
#include <vector>

#include "desk/shared/accessible_cells.h"
#include "report/palette.h"

namespace glumet {

/// The channels of a mix as beams lying on their side: each as long as the light it can give, filled as far
/// as it gives, hatched where it is paid for and turned down. Dragged by mouse; by keys up and down choose a
/// channel, left and right change it by 1 % (with Shift by 10), Home and End empty and fill it, digits type a
/// level.
class MixerView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    struct Beam {
        QString name;
        double level = 1.0;    ///< 0–1
        double output = 1.0;   ///< share of full output at that level
        double full = 0.0;     ///< µmol·m⁻²·s⁻¹ at full level
        QColor colour;         ///< the channel's own, a chip before its name; invalid: not known
        bool assumed = false;  ///< its light is a share, not read alone
    };

    MixerView();
    void setBeams(std::vector<Beam> beams, const Palette& palette);
    const std::vector<Beam>& beams() const { return beams_; }
    int chosen() const { return chosen_; }
    std::vector<AccessibleCell> accessibleCells() const override;
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override;
    /// Where a level of a beam lies, for tests.
    QPoint handleAt(int beam, double level) const;

  signals:
    /// While dragging `done` is false; true when the hand lets go or a key changed it.
    void levelChanged(int beam, double level, bool done);
    void undoWanted();

  protected:
    bool event(QEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

  private:
    QRectF trackOf(int beam) const;
    double levelUnder(int beam, double x) const;
    void paintBeam(QPainter& painter, int beam) const;
    void type(const QString& digit);
    void finishTyping();
    void change(double level, bool done);

    std::vector<Beam> beams_;
    const Palette* palette_ = nullptr;
    int chosen_ = 0;
    bool dragging_ = false;
    QString typed_;
};

}  // namespace glumet
