#pragma once

#include <QLabel>
#include <QPointer>
#include <QPushButton>

#include "core/bench/sweep.h"
#include "core/words/finding.h"
#include "desk/array/array_form.h"
#include "desk/array/array_panes.h"
#include "desk/array/array_view.h"
#include "desk/array/kept_plans.h"
#include "desk/shared/stage.h"

namespace glumet {

/// How many, how far apart, how bright: the fitted fixture over any described tank. Positions by three
/// schools, what stands behind them, and the field under the hand.
class ArrayStage : public Stage {
    Q_OBJECT

  public:
    explicit ArrayStage(Session& session);
    ~ArrayStage() override;

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return view_; }
    bool busy() const override { return session().answers().busy(key()); }

    QWidget* section() override { return side_; }
    ArrayView* view() { return view_; }
    ArrayView* side() { return side_; }
    ArrayLight& light() { return light_; }
    /// The verdicts there are; those of an earlier question stay until the next are ready.
    const ArrayVerdicts* verdicts() const;
    /// Hangs the fixtures where a school says.
    void hangBy(std::size_t school);

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void listen();
    void makeSchools();
    void ask();
    void take();
    QString fault() const;
    AnswerKey key() const;
    void hang();
    void showAll();
    void showFigures();
    void takeCount(const CountRow& row);
    QString shownName() const;
    std::optional<PlannedArray> shownPlan(const QString& name) const;
    void keepShown(const QString& name);
    void showPlan(Id plan);
    void showLevel();
    ArrayOrder order() const;
    ArrayQuestion question() const;
    void addBeside(ArrayQuestion& question) const;
    void addChannels(ArrayOrder& order) const;
    std::vector<Id> measuredRuns() const;
    std::vector<const Sweep*> fittedChannels() const;
    void wantFits();
    const Tank* tank() const;
    const FitResult* fit() const;
    QString reasonForNothing() const;

    QLabel* title_;
    QLabel* headline_;
    std::array<QPushButton*, 3> schools_{};
    QLabel* reason_;
    ArrayLight light_;
    ArrayView* view_;           ///< from above
    QPointer<ArrayView> side_;  ///< in the section's place
    QLabel* figures_;
    ArrayChoices choices_;
    ArrayForm* form_;
    KeptPlans* kept_;
    ArrayPanes* panes_;
    std::optional<Configuration> answer_of_;
    std::int64_t asking_ = 1;  ///< the question's number; another choice is another question
    std::int64_t shown_ = 0;   ///< of the answer that is shown
    std::size_t school_ = 0;
    bool by_hand_ = false;               ///< the fixtures were moved from where the school hangs them
    std::vector<double> centres_asked_;  ///< of a kept array that is to be shown; empty: none
    bool level_typed_ = false;           ///< since the question was last asked by hand
};

/// What the window is told of this stage.
StageEntry arrayEntry();

}  // namespace glumet
