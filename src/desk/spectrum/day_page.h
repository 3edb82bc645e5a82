#pragma once

#include <QComboBox>
#include <QLabel>
#include <QPushButton>

#include "core/verdicts/channel_mix.h"
#include "core/verdicts/day_findings.h"
#include "desk/shared/form_column.h"
#include "report/day_figure.h"

namespace glumet {

class DayView;

/// The light through a day: the clocks of the fixture over the chosen plane, what they add up to, and what a
/// logger saw.
class DayPage : public QWidget {
    Q_OBJECT

  public:
    explicit DayPage(Session& session);

    /// `mix`: of the chosen run; nullptr where there is none.
    void refresh(const RunMix* mix);
    std::vector<Finding> findings() const;
    void addSchedule();
    void addLog();

  signals:
    void viewChanged();

  private:
    void layOut();
    void fillForm();
    void ask(const RunMix* mix);
    std::vector<const Schedule*> schedules() const;
    const Schedule& schedule() const;
    const DayLog* log() const;
    FormColumn::Write writer(std::function<QString(Schedule&, const QString&)> change);
    void addClockRows();
    void addRampRows();
    void addPriceRow();
    void removeSchedule();
    void refreshFigures();

    Session& session_;
    DayView* view_;
    FormColumn* form_;
    QComboBox* choice_ = nullptr;
    QComboBox* log_choice_;
    QPushButton* remove_log_ = nullptr;
    QLabel* dose_;
    QLabel* dose_what_;
    QLabel* figures_;
    QLabel* caption_;
    std::vector<QLineEdit*> ramps_;
    std::vector<QLabel*> ramp_names_;
    Id schedule_ = 0;
    Id log_ = 0;
    DayQuestion question_;
    std::optional<DoseSpan> span_;
    std::vector<DayCurve> curves_;
    std::vector<DayCurve> logged_;
};

}  // namespace glumet
