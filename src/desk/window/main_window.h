#pragma once

#include <QMainWindow>
#include <QStackedWidget>
#include <array>

#include "desk/plan/plan_stage.h"
#include "desk/shared/findings_panel.h"
#include "desk/shared/ledger_line.h"
#include "desk/shared/section_view.h"
#include "desk/shared/stage.h"
#include "desk/shared/stage_bar.h"

class QPushButton;

namespace glumet {

/// The one window: section left, stage in the middle, findings right, ledger line below. Stages are made
/// when first shown.
class MainWindow : public QMainWindow {
    Q_OBJECT

  public:
    explicit MainWindow(Session& session);

    void showStage(StageId stage);
    StageId stage() const { return bar_->current(); }
    Stage* stageWidget(StageId stage);
    /// Whether the stage shown waits for work in the background.
    bool busy() { return stageWidget(bar_->current())->busy(); }

    /// Opens a project file, or says why not and keeps the one that is open.
    bool openProject(const QString& path);
    bool createProject(const QString& path);
    /// Shows the import dialog for a file; a .json bench description is taken at once.
    void importFile(const QString& path);
    /// Writes readings.csv and bench.json into a folder.
    void exportTo(const QString& folder);
    void togglePractice();
    void showInstruments();
    static QString instrumentFile();

  protected:
    void closeEvent(QCloseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

  private:
    QWidget* makeTopBar();
    QWidget* makeWelcome();
    void makeCommands();
    void makeFileCommands();
    void makeStageCommands();
    void makeEditCommands();
    QAction* command(const QString& text, const QKeySequence& keys, std::function<void()> work);
    template <class StageType, class Work>
    auto onStage(StageId id, Work work);
    void showPlan(PlanStage::View view);
    void refreshAll();
    void refreshHead();
    void chooseSweep();
    void projectMenu();
    void scheduleRefresh();
    void dress();
    void undo();
    void redo();
    void showCommandList();

    Session& session_;
    StageBar* bar_;
    QPushButton* project_;
    QPushButton* sweep_;
    QStackedWidget* left_;  ///< the section, or what a stage puts in its place
    SectionView* section_;
    FindingsPanel* findings_;
    LedgerLine* ledger_;
    QStackedWidget* middle_;
    QWidget* welcome_;
    std::array<Stage*, kStages.size()> stages_{};
    QList<QAction*> commands_;
    const Palette* dressed_ = nullptr;
    bool refresh_due_ = false;
};

}  // namespace glumet
