#pragma once

#include "core/bench/sweep.h"
#include "core/verdicts/array.h"
#include "desk/shared/form_column.h"

namespace glumet {

/// What the reviewer asks of an array, as chosen in the form.
struct ArrayChoices {
    Id tank = 0;
    int count = 2;
    int way = 0;  ///< lengthwise, lengthwise turned, crosswise, crosswise turned
    bool spread_inner = false;
    bool each_by_itself = false;
    std::optional<Millimetre> height;  ///< default: the headline's
    ArrayLimits limits;                ///< obstacles come from the tank
    double share = 0.75;
    double goal_share = 0.8;
    Over over = Over::Points;
    std::optional<Goal> second;
    std::vector<ChannelBand> channel_bands;  ///< of single channels
    double level_pct = 100.0;
    std::optional<Configuration> beside;  ///< hangs along one side
    int side = 0;                         ///< front, back, left, right
    double beside_level = 1.0;            ///< against the row's: both are dimmed together
};

/// The rows of the Array stage: tank, number, way, limits, goals. Edits the choices and says so.
class ArrayForm : public QWidget {
    Q_OBJECT

  public:
    ArrayForm(Session& session, ArrayChoices& choices);
    void refresh();

  signals:
    void edited();       ///< what is asked
    void levelEdited();  ///< only how bright it is shown

  private:
    template <class Change>
    FormColumn::Write changing(Change change);
    template <class Change>
    FormColumn::WriteIndex choosing(Change change);
    void addRow();
    void addLimits();
    void addGoals();
    void addChannelBands();
    void addBeside();
    void offerTanks();
    void offerBeside();
    void offerGoals();

    Session& session_;
    ArrayChoices& choices_;
    FormColumn* row_;     ///< what hangs
    FormColumn* limits_;  ///< where it may
    FormColumn* goals_;   ///< what for
    QComboBox* tanks_ = nullptr;
    QComboBox* beside_ = nullptr;
    QComboBox* seconds_ = nullptr;
    std::vector<Goal> second_goals_;
    std::vector<Configuration> offered_;
};

}  // namespace glumet
