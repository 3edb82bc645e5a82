#pragma once

#include <QButtonGroup>
#include <QStackedWidget>

#include "core/words/finding.h"
#include "desk/plan/commission_page.h"
#include "desk/plan/matrix_view.h"
#include "desk/plan/method_page.h"
#include "desk/shared/stage.h"

namespace glumet {

/// What is to be read, in which order and how long it takes; and the checks before the first reading.
class PlanStage : public Stage {
    Q_OBJECT

  public:
    enum class View { Matrix, Method, Commission };

    explicit PlanStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override;
    bool listens() const override { return view() == View::Commission; }
    void showEvidence(EvidenceView evidence) override {
        if (evidence == EvidenceView::Commission) show(View::Commission);
    }

    void show(View view);
    View view() const;
    MethodPage* methodPage() { return method_; }
    CommissionPage* commissionPage() { return commission_; }
    /// Chooses the plane where work stopped and goes to Measure.
    void goOn();
    /// Asks for a file and writes the checklist and point sheets of the chosen sweep's unread planes.
    void printSheets();
    void printSheetsTo(const QString& path);

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    QWidget* makeMatrixPage();

    QLabel* title_;
    QLabel* headline_;
    QButtonGroup* views_;
    QStackedWidget* pages_;
    MatrixView* matrix_;
    QPushButton* go_on_;
    MethodPage* method_;
    CommissionPage* commission_;
};

/// What the window is told of this stage.
StageEntry planEntry();

}  // namespace glumet
