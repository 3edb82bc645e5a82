#include "desk/window/main_window.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QScreen>
#include <QStandardPaths>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>

#include "core/base/limits.h"
#include "core/base/utf8.h"
#include "core/bench/sweep.h"
#include "desk/measure/instrument_dialog.h"
#include "desk/measure/take_instrument.h"
#include "desk/shared/accessible_cells.h"
#include "desk/shared/command_list.h"
#include "desk/shared/elided_button.h"
#include "desk/shared/theme.h"
#include "desk/window/start_page.h"
#include "meters/simulated_meter.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr QSize kLeastSize(600, 360);  // columns and stages give way down to this
constexpr std::uint64_t kPracticeSeed = 7;

}  // namespace

MainWindow::MainWindow(Session& session, std::vector<StageEntry> stages)
    : session_(session),
      entries_(std::move(stages)),
      bar_(new StageBar(session, entries_)),
      project_(new ElidedButton),
      sweep_(new ElidedButton),
      left_(new QStackedWidget),
      section_(new SectionView(session)),
      findings_(new FindingsPanel(session)),
      ledger_(new LedgerLine(session)),
      middle_(new QStackedWidget),
      columns_(new Columns(left_, middle_, findings_)),
      welcome_(makeStart()),
      stages_(entries_.size(), nullptr) {
    installAccessibleCells();
    setAcceptDrops(true);
    setMinimumSize(kLeastSize);
    fitScreen();
    auto* centre = new QWidget;
    auto* rows = new QVBoxLayout(centre);
    rows->setContentsMargins(0, 0, 0, 0);
    rows->setSpacing(0);
    left_->addWidget(section_);
    middle_->setObjectName(QStringLiteral("stageArea"));
    middle_->addWidget(welcome_);
    rows->addWidget(makeTopBar());
    rows->addWidget(columns_, 1);
    rows->addWidget(ledger_);
    setCentralWidget(centre);
    makeCommands();
    connect(bar_, &StageBar::chosen, this, [this](int index) { showAt(static_cast<std::size_t>(index)); });
    connect(columns_, &Columns::findingsMoved, this, &MainWindow::offerFindings);
    connect(ledger_, &LedgerLine::instrumentsWanted, this, &MainWindow::showInstruments);
    connect(ledger_, &LedgerLine::findingsWanted, columns_, &Columns::toggleFindings);
    connect(&session_, &Session::evidenceWanted, this, &MainWindow::showEvidence);
    connect(&session_, &Session::projectChanged, this, &MainWindow::scheduleRefresh);
    connect(&session_, &Session::fitChanged, this, [this] {
        if (fit_asked_ && !session_.fitting()) {
            fit_asked_ = false;
            const auto* fit = session_.fit();
            if (fit != nullptr && !*fit)
                session_.warn(text(fit->error().what, session_.unit()));
            else
                session_.say(tr("The fit is up to date."));
        }
        if (entries_[at()].follows_fit) scheduleRefresh();
    });
    connect(&session_, &Session::dataChanged, this, &MainWindow::scheduleRefresh);
    connect(&session_, &Session::dataChanged, this, &MainWindow::keepCopyHourly);
    connect(&session_, &Session::selectionChanged, this, &MainWindow::scheduleRefresh);
    connect(&session_, &Session::wordsChanged, this, [this] {
        dress();
        scheduleRefresh();
    });
    dress();
    refreshAll();
}

/// As it was left, else as large as its pictures, and never larger than the screen leaves room for.
void MainWindow::fitScreen() {
    constexpr int kTitleBar = 40;
    const auto* screen = QGuiApplication::primaryScreen();
    const QSize room = screen == nullptr ? QSize(1280, 800) : screen->availableSize() - QSize(0, kTitleBar);
    resize(QSize(1280, 800).boundedTo(room));
}

void MainWindow::dress() {
    if (dressed_ == &session_.palette()) return;  // a change of units alone
    dressed_ = &session_.palette();
    if (auto* application = qobject_cast<QApplication*>(QCoreApplication::instance()))
        applyTheme(*application, *this, session_.palette());
}

QWidget* MainWindow::makeTopBar() {
    auto* top = new QWidget;
    top->setObjectName(QStringLiteral("topBar"));
    top->setAttribute(Qt::WA_StyledBackground);
    top->setFixedHeight(48);
    auto* layout = new QHBoxLayout(top);
    layout->setContentsMargins(12, 0, 20, 0);
    layout->setSpacing(6);
    for (auto* button : {project_, sweep_}) {
        // They give way to the stages; the whole name is in the tip.
        button->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
        button->setProperty("quiet", true);
        button->setCursor(Qt::PointingHandCursor);
    }
    project_->setStyleSheet(QStringLiteral("font-size: 14px; font-weight: bold; text-align: left;"));
    project_->setAccessibleName(tr("Project"));
    project_->setObjectName(QStringLiteral("projectButton"));
    sweep_->setStyleSheet(QStringLiteral("font-size: 14px; text-align: left;"));
    sweep_->setAccessibleName(tr("Fixture and configuration"));
    sweep_->setObjectName(QStringLiteral("sweepButton"));
    connect(project_, &QPushButton::clicked, this, &MainWindow::projectMenu);
    connect(sweep_, &QPushButton::clicked, this, &MainWindow::chooseSweep);
    layout->addWidget(project_);
    layout->addWidget(sweep_);
    layout->addStretch(1);
    layout->addWidget(bar_);
    return top;
}

QAction* MainWindow::command(const QString& name, const QKeySequence& keys, std::function<void()> work) {
    auto* action = new QAction(name, this);
    action->setShortcut(keys);
    connect(action, &QAction::triggered, this, std::move(work));
    addAction(action);
    commands_ << action;
    return action;
}

void MainWindow::makeCommands() {
    makeFileCommands();
    makeStageCommands();
    makeEditCommands();
}

/// "Go to" each, then what each can do.
void MainWindow::makeStageCommands() {
    for (std::size_t i = 0; i < entries_.size(); ++i)
        command(tr("Go to %1").arg(entries_[i].title),
                i < 10 ? QKeySequence(tr("Ctrl+%1").arg((i + 1) % 10)) : QKeySequence(),
                [this, i] { showAt(i); });
    for (std::size_t i = 0; i < entries_.size(); ++i)
        for (const auto& offered : entries_[i].commands)
            command(offered.text, QKeySequence(offered.keys), [this, i, work = offered.work] {
                if (session_.project() == nullptr) return session_.warn(tr("Open or make a project first."));
                showAt(i);
                work(*stageAt(i));
            });
    command(tr("Choose fixture and configuration"), QKeySequence(tr("Ctrl+F")), [this] { chooseSweep(); });
    command(tr("Next height up"), QKeySequence(tr("Ctrl+Up")), [this] { session_.stepHeight(1); });
    command(tr("Next height down"), QKeySequence(tr("Ctrl+Down")), [this] { session_.stepHeight(-1); });
    command(tr("Plane above"), QKeySequence(tr("PgUp")), [this] { session_.stepDepth(-1); });
    command(tr("Plane below"), QKeySequence(tr("PgDown")), [this] { session_.stepDepth(1); });
}

void MainWindow::showEvidence(EvidenceView view) {
    for (std::size_t i = 0; i < entries_.size(); ++i) {
        const auto& shows = entries_[i].shows;
        if (std::find(shows.begin(), shows.end(), view) == shows.end()) continue;
        showAt(i);
        if (session_.project() != nullptr) stageAt(i)->showEvidence(view);
    }
}

void MainWindow::makeEditCommands() {
    command(tr("Undo"), QKeySequence::Undo, [this] { undo(); });
    command(tr("Redo"), QKeySequence(tr("Ctrl+Shift+Z")), [this] { redo(); });
    inMenu(command(tr("Instruments…"), QKeySequence(tr("Ctrl+L")), [this] { showInstruments(); }));
    command(tr("Connect the last instrument"), QKeySequence(tr("Ctrl+Shift+L")), [this] { connectLast(); });
    command(tr("Disconnect the instruments"), {}, [this] {
        session_.setMeter(nullptr);
        session_.setPowerMeter(nullptr);
        session_.say(tr("Disconnected: readings are typed."));
    });
    command(tr("Practice meter on or off"), QKeySequence(tr("Ctrl+M")), [this] { togglePractice(); });
    command(tr("Lengths in centimetres"), {}, [this] { session_.setUnit(LengthUnit::Cm); });
    command(tr("Lengths in millimetres"), {}, [this] { session_.setUnit(LengthUnit::Mm); });
    command(tr("Lengths in inches"), {}, [this] { session_.setUnit(LengthUnit::Inch); });
    command(tr("Fit the fixture to its readings"), QKeySequence(tr("Ctrl+J")), [this] {
        session_.wantFit();
        fit_asked_ = session_.fitting();
        session_.say(fit_asked_ ? tr("Fitting …") : tr("The fit is up to date."));
    });
    command(tr("Stop work in the background"), {}, [this] { session_.cancelWork(); });
    command(tr("Findings in a narrow window"), QKeySequence(tr("F6")),
            [this] { columns_->toggleFindings(); });
    command(tr("Dim room or paper"), QKeySequence(tr("Ctrl+T")),
            [this] { session_.setDark(!session_.dark()); });
    inMenu(command(tr("All commands"), QKeySequence(tr("Ctrl+K")), [this] { showCommandList(); }));
    inMenu(
        command(tr("Keys"), QKeySequence(tr("F1")), [this] { KeySheet(entries_, commands_, this).exec(); }));
}

void MainWindow::showCommandList() { CommandList(commands_, this).exec(); }

Stage* MainWindow::stageAt(std::size_t index) {
    auto& stage = stages_[index];
    if (stage != nullptr) return stage;
    stage = entries_[index].make(session_);
    connect(stage, &Stage::viewChanged, this, &MainWindow::scheduleRefresh);
    middle_->addWidget(stage);
    if (auto* section = stage->section(); section != nullptr) left_->addWidget(section);
    return stage;
}

Stage* MainWindow::stageWidget(const QString& id) {
    for (std::size_t i = 0; i < entries_.size(); ++i)
        if (entries_[i].id == id) return stageAt(i);
    return nullptr;
}

void MainWindow::showStage(const QString& id) {
    for (std::size_t i = 0; i < entries_.size(); ++i)
        if (entries_[i].id == id) showAt(i);
}

void MainWindow::showAt(std::size_t index) {
    session_.settle();
    bar_->setCurrent(static_cast<int>(index));
    if (session_.project() == nullptr) return;
    section_->setShowsRecommendation(entries_[index].recommends);
    auto* stage = stageAt(index);
    if (session_.meter() != nullptr) stage->listens() ? session_.meter()->start() : session_.meter()->stop();
    refreshAll();
    auto* section = stage->section();
    left_->setCurrentWidget(section == nullptr ? section_ : section);
    stage->keyWidget()->setFocus();
}

/// Several changes of one event are shown once, when control returns to the loop.
void MainWindow::scheduleRefresh() {
    if (refresh_due_) return;
    refresh_due_ = true;
    QTimer::singleShot(0, this, [this] {
        if (refresh_due_) refreshAll();
    });
}

void MainWindow::refreshAll() {
    refresh_due_ = false;
    refreshHead();
    section_->refresh();
    ledger_->refresh();
    if (session_.project() == nullptr) {
        middle_->setCurrentWidget(welcome_);
        if (welcome_->isVisible()) welcome_->refresh();
        findings_->setFindings({});
        return offerFindings();
    }
    auto* stage = stageAt(at());
    middle_->setCurrentWidget(stage);
    stage->refresh();
    findings_->setFindings(findingsOf(*stage));
    offerFindings();
}

/// Why a project is open to be looked at only comes before what a stage has found.
std::vector<Finding> MainWindow::findingsOf(const Stage& stage) const {
    auto findings = stage.findings();
    if (only_looked_at_) findings.insert(findings.begin(), *only_looked_at_);
    return findings;
}

/// Findings that a narrow window hides are told in the ledger.
void MainWindow::offerFindings() {
    ledger_->offerFindings(columns_->findingsShown() ? 0 : findings_->count(), findings_->doubts());
}

void MainWindow::refreshHead() {
    const auto& bench = session_.bench();
    const auto* project = session_.project();
    QString title = project == nullptr ? tr("Glumet") : text(bench.title);
    if (project != nullptr && project->lookedAt()) title = tr("%1 (read only)").arg(title);
    project_->setText(title);
    setWindowTitle(project == nullptr ? title : tr("%1 – Glumet").arg(title));
    sweep_->setText(session_.sweep() == nullptr
                        ? QString()
                        : text(configurationName(bench, session_.sweep()->configuration)) +
                              QStringLiteral(" ▾"));
    sweep_->setVisible(session_.sweep() != nullptr);
    for (auto* button : {project_, sweep_}) button->setToolTip(button->text());
    for (std::size_t i = 0; i < entries_.size(); ++i)
        if (entries_[i].progress) bar_->setProgress(static_cast<int>(i), entries_[i].progress(session_));
}

void MainWindow::projectMenu() {
    QMenu menu(this);
    menu.addActions(in_menu_);
    menu.exec(project_->mapToGlobal(QPoint(0, project_->height())));
}

void MainWindow::chooseSweep() {
    QMenu menu(this);
    for (const auto& sweep : session_.sweeps()) {
        const auto name = configurationName(session_.bench(), sweep.configuration);
        auto* action = menu.addAction(text(shownText(name, limits::kShownName)));
        action->setCheckable(true);
        action->setChecked(session_.sweep() != nullptr &&
                           sweep.configuration == session_.sweep()->configuration);
        const auto configuration = sweep.configuration;
        connect(action, &QAction::triggered, this,
                [this, configuration] { session_.chooseConfiguration(configuration); });
    }
    if (menu.isEmpty()) return session_.say(tr("There is no run yet."));
    menu.exec(sweep_->mapToGlobal(QPoint(0, sweep_->height())));
}

QString MainWindow::instrumentFile() {
    return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) +
           QStringLiteral("/instruments.json");
}

void MainWindow::showInstruments() {
    auto* before = session_.meter();
    InstrumentDialog dialog(session_, InstrumentStore(instrumentFile()), this);
    dialog.choose(session_.meter() != nullptr ? session_.meter()->name() : remembered_.instrument());
    dialog.exec();
    if (session_.meter() != before) useMeter();
    scheduleRefresh();
}

/// The instrument that was just connected: it speaks where somebody listens, and is offered again next time.
void MainWindow::useMeter() {
    const auto* meter = session_.meter();
    if (meter == nullptr) return;
    if (remembers_ && !meter->simulated()) remembered_.keepInstrument(meter->name());
    if (session_.project() != nullptr && stageAt(at())->listens()) session_.meter()->start();
}

std::optional<InstrumentProfile> MainWindow::lastInstrument() const {
    const auto profiles = InstrumentStore(instrumentFile()).load();
    const auto name = remembered_.instrument();
    if (!profiles || name.isEmpty()) return std::nullopt;
    for (const auto& profile : *profiles)
        if (profile.name == name && !profile.invalid()) return profile;
    return std::nullopt;
}

void MainWindow::connectLast() {
    const auto profile = lastInstrument();
    if (!profile) return session_.warn(tr("No instrument was used before: set one up in Instruments."));
    takeInstrument(session_, *profile);
    useMeter();
    session_.say(tr("%1 is being connected.").arg(profile->name));
}

void MainWindow::togglePractice() {
    if (session_.meter() != nullptr && !session_.meter()->simulated())
        return session_.warn(
            tr("%1 is connected; Instruments disconnects it.").arg(session_.meter()->name()));
    if (session_.meter() != nullptr) {
        session_.meter()->stop();
        session_.setMeter(nullptr);
        session_.say(tr("Practice meter off: readings are typed."));
    } else {
        auto practice = std::make_unique<SimulatedMeter>(kPracticeSeed);
        practice->setPlants(true);
        session_.setMeter(std::move(practice));
        useMeter();
        session_.say(
            tr("Practice meter on: simulated and marked so; now and then the probe slips. Find it."));
    }
    scheduleRefresh();
}

void MainWindow::undo() {
    session_.edit([this](Project& project) {
        const QString title = project.undoTitle();
        auto done = project.undo();
        if (done) session_.say(*done ? tr("Undone: %1").arg(title) : tr("Nothing to undo."));
        return done;
    });
}

void MainWindow::redo() {
    session_.edit([this](Project& project) {
        const QString title = project.redoTitle();
        auto done = project.redo();
        if (done) session_.say(*done ? tr("Done again: %1").arg(title) : tr("Nothing to do again."));
        return done;
    });
}

void MainWindow::closeEvent(QCloseEvent* event) {
    session_.settle();
    if (session_.meter() != nullptr) session_.meter()->stop();
    event->accept();
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    for (const auto& url : event->mimeData()->urls()) {
        const QString path = url.toLocalFile();
        path.endsWith(QLatin1String(".glumet")) ? static_cast<void>(openProject(path)) : importFile(path);
    }
}

}  // namespace glumet
