#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

#include "core/survey/commission.h"
#include "desk/shared/session.h"

namespace glumet {

/// One check before the first reading: what to do, where its value is typed or comes from the instrument, the
/// verdict, and the way past it with a reason.
class CheckRow : public QWidget {
    Q_OBJECT

  public:
    CheckRow(Session& session, CheckKind kind);

    void refresh(const CommissionState& state);
    /// What the instrument says at this moment, offered in the field; empty: nothing.
    void offerLive(const QString& value);
    /// A measured rate, judged with its error when nothing is typed.
    void offerRate(const std::optional<WarmUpRate>& rate) { rate_ = rate; }
    QLineEdit* valueField() const { return value_; }
    QComboBox* choice() const { return choice_; }
    /// Judges what stands in the fields (or what is offered) and keeps it with the project.
    void record();
    /// Keeps why work goes on although the check failed.
    void overrule(const QString& reason);

  private:
    void fillChoice();
    std::optional<CheckVerdict> judge(double& value, std::string& subject);
    CheckVerdict judgeSeen(double& value) const;
    double fixtureMass() const;
    CheckVerdict judgeDrawNow(double value, const std::string& subject) const;
    std::optional<double> typedNumber() const;
    const MeterProfile& meter() const;

    Session& session_;
    CheckKind kind_;
    QLabel* mark_;
    QLabel* name_;
    QLabel* verdict_;
    QComboBox* choice_ = nullptr;
    QLineEdit* value_ = nullptr;
    QLineEdit* expected_ = nullptr;
    QPushButton* record_;
    QPushButton* overrule_;
    QString live_;
    std::optional<WarmUpRate> rate_;
    std::optional<CommissionCheck> latest_;
};

}  // namespace glumet
