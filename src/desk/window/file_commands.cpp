#include <QDir>
#include <QFileDialog>
#include <QFileInfo>
#include <QStandardPaths>

#include "core/base/limits.h"
#include "core/bench/reading_row.h"
#include "desk/shared/ledger_line.h"
#include "desk/window/copies_dialog.h"
#include "desk/window/demonstration.h"
#include "desk/window/import_dialog.h"
#include "desk/window/main_window.h"
#include "desk/window/start_page.h"
#include "files/file_reader.h"
#include "files/file_writer.h"
#include "formats/bench_json.h"
#include "formats/readings_csv.h"
#include "formats/spreadsheet.h"
#include "project/kept_copies.h"
#include "report/data_package.h"
#include "report/review/publish.h"
#include "report/text.h"

/// What the window does with files: its dialogs, and what follows from a choice.
namespace glumet {
namespace {

/// An edit waits so long for another program that holds the file; then it is refused in words.
constexpr std::chrono::milliseconds kPatience{100};

const QString kFilter = QStringLiteral("Glumet (*.glumet)");

QString readingsFilter() {
    return MainWindow::tr(
        "Tables, workbooks, bench descriptions, data packages, photometric files (*.csv *.txt *.tsv *.xlsx "
        "*.ods *.json *.zip *.ies);;All files "
        "(*)");
}

/// A project beside a file of readings, under its name; numbered where there is one.
QString projectBeside(const QString& readings) {
    const QFileInfo info(readings);
    const QString stem = info.absoluteDir().filePath(info.completeBaseName());
    QString path = stem + QStringLiteral(".glumet");
    for (int number = 2; QFileInfo::exists(path); ++number)
        path = QStringLiteral("%1 %2.glumet").arg(stem).arg(number);
    return path;
}

}  // namespace

StartPage* MainWindow::makeStart() {
    auto* page = new StartPage;
    connect(page, &StartPage::demonstrationWanted, this, &MainWindow::openDemonstration);
    connect(page, &StartPage::newBenchWanted, this, &MainWindow::askForNewProject);
    connect(page, &StartPage::readingsWanted, this, &MainWindow::askForReadings);
    connect(page, &StartPage::projectWanted, this, &MainWindow::askForProject);
    connect(page, &StartPage::recentWanted, this, &MainWindow::openProject);
    return page;
}

QString MainWindow::inFolder(const QString& name) const { return QDir(remembered_.folder()).filePath(name); }

void MainWindow::askForProject() {
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Open a project"), remembered_.folder(), kFilter);
    if (!path.isEmpty()) openProject(path);
}

/// Without a project one is made beside the file first.
void MainWindow::askForReadings() {
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Import readings"), remembered_.folder(), readingsFilter());
    if (!path.isEmpty() && createProject(projectBeside(path))) importFile(path);
}

void MainWindow::openDemonstration() { openProject(demonstrationCopy(kShippedDemonstration, false)); }

void MainWindow::makeFileCommands() {
    inMenu(command(tr("New project…"), QKeySequence(tr("Ctrl+N")), [this] { askForNewProject(); }));
    inMenu(command(tr("Open a project…"), QKeySequence(tr("Ctrl+O")), [this] { askForProject(); }));
    inMenu(command(tr("Save a copy as…"), QKeySequence(tr("Ctrl+Shift+S")), [this] { askForCopy(); }));
    inMenu(command(tr("Earlier copies…"), {}, [this] { showKeptCopies(); }));
    inMenu(command(tr("Import readings…"), QKeySequence(tr("Ctrl+I")), [this] { askForImport(); }));
    inMenu(command(tr("Export readings and bench…"), QKeySequence(tr("Ctrl+E")), [this] {
        const QString folder =
            QFileDialog::getExistingDirectory(this, tr("Export to a folder"), remembered_.folder());
        if (!folder.isEmpty()) exportTo(folder);
    }));
    inMenu(command(tr("Quit"), QKeySequence(tr("Ctrl+Q")), [this] { close(); }));
}

/// A rescued project's copy is called so.
QString MainWindow::copyName() const {
    const auto* project = session_.project();
    if (!project->lookedAt()) return tr("copy.glumet");
    return tr("%1 rescued.glumet").arg(QFileInfo(project->path()).completeBaseName());
}

void MainWindow::askForCopy() {
    if (session_.project() == nullptr) return;
    const QString path = QFileDialog::getSaveFileName(this, tr("Save a copy as"), inFolder(copyName()),
                                                      kFilter, nullptr, QFileDialog::DontConfirmOverwrite);
    if (path.isEmpty()) return;
    const auto done = session_.project()->copyTo(path);
    done ? session_.say(tr("Copied to %1").arg(path)) : session_.warn(text(done.error()));
}

void MainWindow::askForImport() {
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Import readings"), remembered_.folder(), readingsFilter());
    if (!path.isEmpty()) importFile(path);
}

bool MainWindow::openProject(const QString& path) {
    tried_ = path;
    // Looking at a file that is open here would drop its locks (project_file.h).
    const auto* open = session_.project();
    if (open != nullptr && !open->lookedAt() && open->inPlace() &&
        QFileInfo(open->path()) == QFileInfo(path)) {
        session_.say(tr("%1 is open already").arg(text(session_.bench().title)) + lastInstrumentHint());
        return true;
    }
    auto project = Project::open(path, kPatience);
    return project ? takeOver(std::move(*project), path) : openToLook(path, project.error());
}

bool MainWindow::takeOver(std::unique_ptr<Project> project, const QString& path) {
    const bool looked_at = project->lookedAt();
    if (!looked_at) only_looked_at_.reset();
    session_.setProject(std::move(project));
    if (remembers_) remembered_.opened(path);
    if (looked_at) return true;
    keepCopy(path);
    session_.say(tr("Opened %1").arg(text(session_.bench().title)) + lastInstrumentHint());
    return true;
}

/// What cannot be opened for work is shown as far as it can be; what is no project at all is not.
bool MainWindow::openToLook(const QString& path, const Problem& why) {
    if (auto seen = Project::look(path)) {
        only_looked_at_ = finding(FindingKind::Doubt, asWords(tr("Open to be looked at only")),
                                  asWords(tr("%1. Save a copy (Ctrl+Shift+S) to work on.").arg(text(why))),
                                  EvidenceView::None);
        takeOver(std::move(*seen), path);
        session_.warn(tr("Open to be looked at only; edits are refused."));
        return true;
    }
    auto rescued = Project::rescue(path);
    if (!rescued) {
        session_.warn(text(why));
        return false;
    }
    only_looked_at_ = finding(FindingKind::Doubt, asWords(tr("Damaged: what can be read is shown")),
                              asWords(whatIsMissing(**rescued)), EvidenceView::None);
    takeOver(std::move(*rescued), path);
    session_.warn(tr("The project is damaged; what can be read is shown."));
    return true;
}

QString MainWindow::whatIsMissing(const Project& project) const {
    constexpr std::size_t kNamed = 4;
    const auto& missing = project.missing();
    QStringList said;
    for (std::size_t i = 0; i < missing.size() && i < kNamed; ++i) said << text(missing[i]);
    if (missing.size() > kNamed)
        said << tr("and %n more", nullptr, static_cast<int>(missing.size() - kNamed));
    QString out = said.isEmpty() ? tr("Nothing seems to be missing.")
                                 : tr("Missing: %1.").arg(said.join(QStringLiteral("; ")));
    out += QLatin1Char(' ') + tr("Save a copy (Ctrl+Shift+S): it is a sound project to work on.");
    if (!KeptCopies().of(project.path()).isEmpty())
        out += QLatin1Char(' ') + tr("Earlier copies are in the project's menu.");
    return out;
}

/// Beside the window's work; a failure is said.
void MainWindow::keepCopy(const QString& path) {
    if (!remembers_) return;
    kept_at_ = QDateTime::fromString(session_.now(), Qt::ISODate);
    keeping_.start([this, path, now = kept_at_] {
        const auto kept = KeptCopies().keep(path, now);
        if (kept) return;
        QMetaObject::invokeMethod(
            this, [this, why = text(kept.error())] { session_.warn(why); }, Qt::QueuedConnection);
    });
}

void MainWindow::keepCopyHourly() {
    const auto* project = session_.project();
    if (project == nullptr || project->lookedAt() || !project->inPlace()) return;
    const auto now = QDateTime::fromString(session_.now(), Qt::ISODate);
    if (kept_at_.isValid() && kept_at_.secsTo(now) < KeptCopies::kSecondsBetween) return;
    keepCopy(project->path());
}

void MainWindow::showKeptCopies() {
    const auto* project = session_.project();
    const QString path = project != nullptr ? project->path() : tried_;
    const auto copies = KeptCopies().of(path);
    if (copies.isEmpty()) return session_.say(tr("No earlier copy is kept yet."));
    CopiesDialog dialog(QFileInfo(path).fileName(), copies, this);
    if (dialog.exec() != QDialog::Accepted) return;
    const auto chosen = dialog.chosen();
    const QString suggested = QFileInfo(path).absoluteDir().filePath(
        tr("%1 as of %2.glumet")
            .arg(QFileInfo(path).completeBaseName(),
                 chosen.time.toString(QStringLiteral("yyyy-MM-dd HH.mm"))));
    const QString target = QFileDialog::getSaveFileName(this, tr("Restore as"), suggested, kFilter, nullptr,
                                                        QFileDialog::DontConfirmOverwrite);
    if (target.isEmpty()) return;
    const auto seen = Project::look(chosen.path);
    if (!seen) return session_.warn(text(seen.error()));
    if (const auto done = (*seen)->copyTo(target); !done) return session_.warn(text(done.error()));
    openProject(target);
}

/// Who measured before goes on with one key.
QString MainWindow::lastInstrumentHint() const {
    const auto last = session_.meter() == nullptr && remembers_ ? lastInstrument() : std::nullopt;
    return last ? tr(". Ctrl+Shift+L connects %1.").arg(last->name) : QString();
}

/// A project that is there already is never written over: create() says so.
void MainWindow::askForNewProject() {
    const QString path = QFileDialog::getSaveFileName(this, tr("New project"), inFolder(tr("bench.glumet")),
                                                      kFilter, nullptr, QFileDialog::DontConfirmOverwrite);
    if (!path.isEmpty()) createProject(path);
}

bool MainWindow::createProject(const QString& chosen) {
    const QString path =
        chosen.endsWith(QLatin1String(".glumet")) ? chosen : chosen + QStringLiteral(".glumet");
    auto project = Project::create(path, QFileInfo(path).completeBaseName(), kPatience);
    if (!project) {
        session_.warn(text(project.error()));
        return false;
    }
    only_looked_at_.reset();
    session_.setProject(std::move(*project));
    tried_ = path;
    if (remembers_) remembered_.opened(path);
    showAt(0);
    return true;
}

void MainWindow::importFile(const QString& path) {
    if (session_.project() == nullptr) return session_.warn(tr("Open or make a project first."));
    // Closing a file of our own drops the locks that the project holds on it.
    if (QFileInfo(path) == QFileInfo(session_.project()->path()))
        return session_.warn(tr("This is the project that is open."));
    const auto read = readFile(path, limits::kTableBytes);
    if (!read) return session_.warn(text(read.error()));
    const QByteArray& bytes = *read;
    const QString name = QFileInfo(path).fileName();
    if (path.endsWith(QLatin1String(".ies"), Qt::CaseInsensitive)) {
        for (std::size_t i = 0; i < entries_.size(); ++i)
            if (entries_[i].takes_photometry) {
                showAt(i);
                entries_[i].takes_photometry(*stageAt(i), name, bytes);
            }
        return;
    }
    const std::string_view whole(bytes.constData(), static_cast<std::size_t>(bytes.size()));
    if (looksLikeSpreadsheet(whole)) {
        const auto table = tableOfSpreadsheet(whole);
        if (!table) return session_.warn(tr("%1: %2").arg(name, text(table.error())));
        ImportDialog(session_, name, QByteArray::fromStdString(*table), this).exec();
        return;
    }
    if (looksLikeZip(whole)) return importPackage(name, whole);
    if (!path.endsWith(QLatin1String(".json"))) {
        ImportDialog(session_, name, bytes, this).exec();
        return;
    }
    importBench(name, whole, {});
}

/// A bench description and the readings that came with it.
void MainWindow::importBench(const QString& name, std::string_view description,
                             const std::vector<ReadingRow>& rows) {
    const auto bench = readBench(description);
    if (!bench) return session_.warn(tr("%1: %2").arg(name, text(bench.error())));
    if (session_.edit([&](Project& project) { return project.importBench(*bench, rows, name); }).isEmpty())
        session_.say(rows.empty() ? tr("%1 imported").arg(name)
                                  : tr("%1 imported, with %2 readings").arg(name).arg(rows.size()));
}

/// What others published as a data package.
void MainWindow::importPackage(const QString& name, std::string_view bytes) {
    const auto package = readDataPackage(bytes);
    if (!package) return session_.warn(tr("%1: %2").arg(name, text(package.error())));
    const auto table = readReadings(package->readings);
    if (!table.problems.empty()) return session_.warn(tr("%1: %2").arg(name, text(table.problems.front())));
    importBench(name, package->description, table.rows);
}

void MainWindow::exportTo(const QString& folder) {
    if (session_.project() == nullptr) return;
    if (const auto done = writeEdition(folder, dataOf(session_.bench())); !done)
        return session_.warn(text(done.error()));
    const auto readings = readingCount(session_.bench());
    session_.say(tr("%1 readings and the bench exported to %2").arg(readings).arg(folder));
}

}  // namespace glumet
