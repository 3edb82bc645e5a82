#pragma once

#include <QLabel>
#include <QPushButton>

#include "core/survey/survey_method.h"
#include "desk/plan/method_store.h"
#include "desk/shared/form_column.h"
#include "desk/shared/plan_map.h"

namespace glumet {

/// Makes runs from a method: a ready one or the reviewer's own, edited here, applied to a fixture and a tank.
/// Shows at once how many runs, points and hours come of it, and the probe's way.
class MethodPage : public QWidget {
    Q_OBJECT

  public:
    MethodPage(Session& session, MethodStore store);

    void refresh();
    const SurveyMethod& method() const { return method_; }
    void choose(int index);
    /// Adds the runs to the project, as one undo step.
    void addRuns();
    void keepMethod();
    void removeMethod();

  signals:
    void runsAdded();

  private:
    void layOut();
    void makeForm();
    void addSubjectRows();
    void addMatrixRows();
    void addVariationRows();
    void offerMethods();
    const SurveyMethod& firstWithWork() const;
    void preview();
    void edited();
    FormColumn::Write lengths(std::vector<Millimetre> SurveyMethod::*member);
    FormColumn::Write words(std::vector<std::string> SurveyMethod::*member);
    SurveySubject subject() const;
    const Fixture* fixture() const;
    const Tank* tank() const;

    Session& session_;
    MethodStore store_;
    std::vector<SurveyMethod> ready_;
    std::vector<SurveyMethod> own_;
    SurveyMethod method_;
    Id fixture_ = 0;
    Id second_ = 0;
    Id tank_ = 0;
    Id meter_ = 0;
    QComboBox* methods_;
    QComboBox* fixtures_ = nullptr;
    QComboBox* seconds_ = nullptr;
    QComboBox* tanks_ = nullptr;
    QComboBox* meters_ = nullptr;
    QLabel* purpose_;
    FormColumn* form_;
    PlanMap* map_;
    QLabel* count_;
    QLabel* time_;
    QLabel* fault_;
    QPushButton* add_;
    QPushButton* remove_;
};

}  // namespace glumet
