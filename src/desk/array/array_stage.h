#pragma once

#include <QLabel>
#include <QPushButton>
#include <QTableWidget>

#include "core/verdicts/array.h"
#include "desk/array/array_view.h"
#include "desk/shared/form_column.h"
#include "desk/shared/stage.h"

class QCustomPlot;

namespace glumet {

/// How many, how far apart, how bright: the fitted fixture over any described tank. Positions by three
/// schools, the evidence step by step, and the field under the hand.
class ArrayStage : public Stage {
    Q_OBJECT

  public:
    explicit ArrayStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return view_; }
    ArrayView* view() { return view_; }
    const std::optional<SpacingAnswer>& answer() const { return answer_; }
    /// Hangs the fixtures where a school says.
    void hangBy(std::size_t school);

  private:
    void makeForm();
    void makeSchools();
    void judge();
    void show();
    void showFigures();
    void refreshChart();
    LightScene sceneNow(const std::vector<double>& centres) const;
    const Tank* tank() const;
    const LightModel* model() const;
    QString reasonForNothing() const;
    template <class Change>
    FormColumn::Write changing(Change change);

    QLabel* title_;
    QLabel* headline_;
    ArrayView* view_;
    FormColumn* form_;
    QComboBox* tanks_ = nullptr;
    std::array<QPushButton*, 3> schools_{};
    QLabel* reason_;
    QLabel* figures_;
    QCustomPlot* chart_;
    Id tank_ = 0;
    int count_ = 2;
    std::optional<Millimetre> height_;  ///< default: the headline's
    double share_ = 0.75;
    std::optional<SpacingAnswer> answer_;
    std::optional<Configuration> answer_of_;
    LengthUnit words_ = LengthUnit::Cm;
    std::size_t school_ = 0;
    double level_pct_ = 100.0;
};

}  // namespace glumet
