#pragma once

#include <QObject>
#include <memory>
#include <optional>
#include <vector>

#include "core/verdicts/array.h"

namespace glumet {

/// The light under fixtures that are being moved by hand: in plan at one depth, and in the upright plane
/// along the tank's middle. Everything is at the level shown. Nothing here paints.
class ArrayLight : public QObject {
    Q_OBJECT

  public:
    struct Shown {
        LightModel model;
        ArrayQuestion question;
        std::vector<double> centres;             ///< along the row, mm
        double level = 1.0;                      ///< dims everything
        std::vector<std::vector<double>> snaps;  ///< centres worth snapping to, one list a position
    };
    /// Shows these; false and nothing shown where they cannot be lit.
    bool show(Shown shown);
    void clear();

    bool shown() const { return shown_.has_value(); }
    const Shown& what() const { return *shown_; }
    const LightScene& tank() const { return shown_->question.tank; }
    const std::vector<double>& centres() const { return shown_->centres; }
    Millimetre height() const { return shown_->question.height; }
    double depthMm() const;  ///< of the plan
    bool lengthwise() const { return shown_->question.along == RowAlong::Length; }

    /// A grid of light, row by row: from the front, or from the surface down.
    struct Sheet {
        int columns = 0;
        int rows = 0;
        std::vector<double> values;
        double at(int column, int row) const {
            return values[static_cast<std::size_t>(row * columns + column)];
        }
    };
    const Sheet& plan() const { return plan_; }
    const Sheet& slice() const { return slice_; }
    double top() const { return top_; }  ///< of the colours; stays while something is held

    struct Figures {
        double mean = 0.0;  ///< of the plan
        double min = 0.0;
        double max = 0.0;
        double in_band = 0.0;  ///< share of what is judged, in the goal's band
    };
    const Figures& figures() const { return figures_; }
    /// What is judged of the question's goal, at full level.
    const LitPoints& judged() const { return judged_; }
    /// The fixture that keys move.
    std::size_t chosen() const { return chosen_; }
    void choose(std::size_t fixture);
    /// Mean and share in the goal's band at each depth that is judged, at the level shown.
    struct DepthRow {
        Millimetre depth{0};
        double mean = 0.0;
        double in_band = 0.0;
    };
    const std::vector<DepthRow>& depthRows() const { return depth_rows_; }

    /// Moves one fixture along the row as far as the limits allow; near a place worth having it snaps to it.
    bool move(std::size_t fixture, double along_mm, bool snap);
    /// Hangs all at another height, in whole steps of 5 mm within the limits.
    bool raise(Millimetre height);
    void hold(bool held);

  signals:
    void changed();      ///< the light
    void movedByHand();  ///< what hangs where
    void letGo();        ///< a move by hand is over

  private:
    void compute();
    void computePlan();
    void computeSlice();
    void computeFigures();

    std::optional<Shown> shown_;
    std::unique_ptr<FastField> field_;
    std::optional<RowRoom> room_;
    Sheet plan_;
    Sheet slice_;
    Figures figures_;
    LitPoints judged_;
    std::vector<DepthRow> depth_rows_;
    std::size_t chosen_ = 0;
    double top_ = 1.0;
    bool held_ = false;
};

}  // namespace glumet
