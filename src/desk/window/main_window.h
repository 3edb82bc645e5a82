#pragma once

#include <QDateTime>
#include <QMainWindow>
#include <QStackedWidget>
#include <QThreadPool>
#include <vector>

#include "core/bench/reading_row.h"
#include "desk/shared/findings_panel.h"
#include "desk/shared/ledger_line.h"
#include "desk/shared/section_view.h"
#include "desk/shared/stage.h"
#include "desk/shared/stage_bar.h"
#include "desk/window/columns.h"
#include "desk/window/remembered.h"
#include "desk/window/stages.h"
#include "meters/instrument.h"

class QPushButton;

namespace glumet {

/// The one window: section left, stage in the middle, findings right, ledger line below. Stages are made
/// when first shown.
class StartPage;

class MainWindow : public QMainWindow {
    Q_OBJECT

  public:
    /// `stages`: those of the program, unless a test brings its own.
    explicit MainWindow(Session& session, std::vector<StageEntry> stages = allStages());

    /// By the id of its entry; nothing where there is none of that id.
    void showStage(const QString& id);
    QString stage() const { return entries_[at()].id; }
    Stage* stageWidget(const QString& id);
    const std::vector<StageEntry>& stages() const { return entries_; }
    /// Whether the stage shown waits for work in the background.
    bool busy() { return stageAt(at())->busy(); }

    /// Opens a project file, or says why not and keeps the one that is open.
    bool openProject(const QString& path);
    bool createProject(const QString& path);
    /// Whether what is opened is offered again at the next start; a picture or a benchmark leaves no trace.
    void setRemembers(bool remembers) { remembers_ = remembers; }
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
    void importBench(const QString& name, std::string_view description, const std::vector<ReadingRow>& rows);
    void importPackage(const QString& name, std::string_view bytes);
    void askForNewProject();
    QWidget* makeTopBar();
    StartPage* makeStart();
    void askForProject();
    void askForCopy();
    bool takeOver(std::unique_ptr<Project> project, const QString& path);
    bool openToLook(const QString& path, const Problem& why);
    QString whatIsMissing(const Project& project) const;
    std::vector<Finding> findingsOf(const Stage& stage) const;
    void keepCopy(const QString& path);
    void keepCopyHourly();
    void showKeptCopies();
    QString copyName() const;
    void askForImport();
    QString lastInstrumentHint() const;
    std::optional<InstrumentProfile> lastInstrument() const;
    void connectLast();
    void useMeter();
    void askForReadings();
    void openDemonstration();
    QString inFolder(const QString& name) const;
    void makeCommands();
    void makeFileCommands();
    void makeStageCommands();
    void makeEditCommands();
    QAction* command(const QString& text, const QKeySequence& keys, std::function<void()> work);
    void inMenu(QAction* action) { in_menu_ << action; }
    std::size_t at() const { return static_cast<std::size_t>(bar_->current()); }
    Stage* stageAt(std::size_t index);
    void showAt(std::size_t index);
    void showEvidence(EvidenceView view);
    void refreshAll();
    void refreshHead();
    void offerFindings();
    void chooseSweep();
    void projectMenu();
    void scheduleRefresh();
    void fitScreen();
    void dress();
    void undo();
    void redo();
    void showCommandList();

    Session& session_;
    const std::vector<StageEntry> entries_;
    StageBar* bar_;
    QPushButton* project_;
    QPushButton* sweep_;
    QStackedWidget* left_;  ///< the section, or what a stage puts in its place
    SectionView* section_;
    FindingsPanel* findings_;
    LedgerLine* ledger_;
    QStackedWidget* middle_;
    Columns* columns_;
    StartPage* welcome_;
    Remembered remembered_;
    bool remembers_ = true;
    std::optional<Finding> only_looked_at_;  ///< why, of a project that is open to be looked at
    QString tried_;                          ///< the project that was opened last, or could not be
    QThreadPool keeping_;                    ///< writes copies that are kept aside; ends before the window
    QDateTime kept_at_;
    std::vector<Stage*> stages_;
    QList<QAction*> commands_;
    QList<QAction*> in_menu_;  ///< of the project's button
    bool fit_asked_ = false;   ///< by the command, and not ready yet
    const Palette* dressed_ = nullptr;
    bool refresh_due_ = false;
};

}  // namespace glumet
