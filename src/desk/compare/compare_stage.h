#pragma once

#include <QButtonGroup>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QScrollArea>

#include "core/compare/comparison.h"
#include "desk/compare/compare_views.h"
#include "desk/compare/cost_page.h"
#include "desk/compare/pair_page.h"
#include "desk/compare/schools_page.h"
#include "desk/compare/scores_page.h"
#include "desk/shared/stage.h"

namespace glumet {

/// Fixtures side by side: the answer first, then what it rests on. Which of them is looked at is the window's
/// own choice of configuration; what it is compared with is chosen here.
class CompareStage : public Stage {
    Q_OBJECT

  public:
    explicit CompareStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override {
        return waiting_ ? static_cast<QWidget*>(pages_->checkedButton()) : cards_;
    }
    bool busy() const override { return session().answers().busy(key()); }

    void copyTable();
    void exportAll();
    void stepPair();
    void moreCriteria();
    void keepOnShelf();
    void openShelf();
    void readyWeights();
    void keepEyeReading();

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    enum Page { Board, Pair, Costs, Scores, Schools };

    static AnswerKey key() { return {"compare"}; }
    static AnswerKey schoolsKey() { return {"compare schools"}; }
    Revision revisionNow(bool all_figures) const;
    void layOut();
    QWidget* makeHead();
    void addPages();
    void ask();
    void askSchools();
    const Comparison* compared() const { return session().answers().value<Comparison>(key()); }
    std::shared_ptr<const Bench> benchToCompare();
    void settlePair(const Comparison& compared);
    void choose(int contender);
    void chooseAgainst(int contender);
    void setWeight(Criterion criterion, int weight);
    void setHeight();
    void showBoard(const Comparison& compared);
    void showPage();
    void showNothing(const QString& why);
    std::vector<QStringList> boardTable(const Comparison& compared) const;
    std::vector<QStringList> tableNow() const;

    QLabel* title_;
    QLabel* answer_;
    QLabel* nothing_;
    QButtonGroup* pages_;
    QLineEdit* height_;
    QWidget* body_ = nullptr;
    QWidget* board_page_ = nullptr;
    QScrollArea* scroll_ = nullptr;
    CompareCards* cards_;
    AlikeView* alike_;
    QLabel* alike_caption_;
    BoardView* board_;
    QPushButton* more_;
    PairPage* pair_;
    CostPage* costs_;
    ScoresPage* scores_;
    SchoolsPage* schools_;
    bool all_criteria_ = false;
    bool waiting_ = true;  ///< nothing is there yet that could take the keys
    std::size_t chosen_ = 0;
    std::size_t against_ = 0;
    std::string against_name_;  ///< kept over changes of the bench
    QStringList shelved_;       ///< folders of the shelf that are compared too
};

/// What the window is told of this stage.
StageEntry compareEntry();

}  // namespace glumet
