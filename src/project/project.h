#pragma once

#include <QObject>
#include <QString>
#include <memory>

#include "core/bench/reading_row.h"
#include "project/project_file.h"
#include "project/undo_journal.h"

namespace glumet {

/// A `.glumet` project: the bench as values in memory and the same on disk. Every edit is one transaction
/// and one undo step; when a call returns without a problem the change is on the disk, and when it returns
/// with one neither the file nor the bench has changed. changed() follows each successful edit.
class Project : public QObject {
    Q_OBJECT

  public:
    static Expected<std::unique_ptr<Project>> create(
        const QString& path, const QString& title,
        std::chrono::milliseconds patience = ProjectFile::kPatience);
    /// Refuses what cannot be: a damaged or foreign file, values outside their ranges. `patience`: how long
    /// an edit waits for another program that holds the file.
    static Expected<std::unique_ptr<Project>> open(
        const QString& path, std::chrono::milliseconds patience = ProjectFile::kPatience);
    /// Opens one to look at, judge, export and copy; edits are refused. Changes and makes nothing, needs no
    /// right to write, and waits for nobody.
    static Expected<std::unique_ptr<Project>> look(const QString& path);
    /// The same of a damaged one as far as it is sound: what is missing is named in missing(). A copy of it
    /// is a sound project.
    static Expected<std::unique_ptr<Project>> rescue(const QString& path);

    const Bench& bench() const { return bench_; }
    const QString& path() const { return shown_path_.isEmpty() ? file_.path() : shown_path_; }
    /// Whether it is open to be looked at only.
    bool lookedAt() const { return file_.lookedAt() || !shown_path_.isEmpty(); }
    /// Of a rescued project: what could not be read.
    const std::vector<Problem>& missing() const { return missing_; }
    /// The format of the file as it was found.
    int format() const { return file_.format(); }
    /// Everything that is wrong with the file and with what it holds.
    std::vector<Problem> faults() const;

    /// Adds what has no id yet, else replaces what has it. The id is returned. A run is saved without its
    /// planes' readings; planes it does not have yet are added.
    Expected<Id> save(const Tank& tank);
    Expected<Id> save(const Fixture& fixture);
    Expected<Id> save(const Accessory& accessory);
    Expected<Id> save(const MeterProfile& meter);
    Expected<Id> save(const Run& run);
    /// Several runs, and the presets they need, as one undo step; the id of the first.
    Expected<Id> addRuns(const NewRuns& added, const QString& title);
    /// Keeps a check, or what was said of one that has an id.
    Expected<Id> save(const CommissionCheck& check);
    Expected<Id> save(const SpectrumRecord& record);
    Expected<Id> save(const Schedule& schedule);
    Expected<Id> save(const DayLog& log);
    Expected<Id> save(const Rating& rating);
    /// With its readings.
    Expected<Id> save(const TankSpot& spot);
    Expected<Id> save(const Rock& rock);
    /// One more reading at a spot.
    Expected<Id> readSpot(Id spot, const SpotReading& reading);
    Expected<Id> save(const Organism& organism);
    Expected<Id> save(const Acclimation& ramp);
    /// With all that hangs.
    Expected<Id> save(const PlannedArray& plan);
    /// Several spectra as one undo step; the id of the first.
    Expected<Id> addSpectra(const std::vector<SpectrumRecord>& records, const QString& title);
    Expected<Id> saveMethod(const QString& title, const Method& method);

    /// Keeps a reading at its point of a plane; an earlier value there is superseded, not lost.
    /// A spectrum that was read along with it becomes a row of its own, in the same step.
    Expected<Id> take(Id plane, const Reading& reading, const Spectrum* spectrum = nullptr);
    Expected<Id> setFlag(Id reading, const Flag& flag);
    /// Whether the configurations of these runs go into the review.
    Expected<Id> markForReview(const std::vector<Id>& runs, bool in_review);
    Expected<Id> removeRun(Id run);
    Expected<Id> removeSpectra(const std::vector<Id>& records);
    Expected<Id> removeSchedule(Id schedule);
    Expected<Id> removeLog(Id log);
    Expected<Id> removeRating(Id rating);
    Expected<Id> removeSpot(Id spot);
    Expected<Id> removeRock(Id rock);
    Expected<Id> removeSpotReading(Id reading);
    Expected<Id> removeOrganism(Id organism);
    Expected<Id> removeRamp(Id ramp);
    Expected<Id> removePlan(Id plan);

    /// All rows or none, as one undo step.
    Expected<MergeReport> importRows(const std::vector<ReadingRow>& rows, const QString& source);
    /// A bench description and its readings, as one undo step. What has a name the project knows already
    /// stays as it is; title and method are taken only by a project without runs.
    Expected<MergeReport> importBench(const Bench& description, const std::vector<ReadingRow>& rows,
                                      const QString& source);

    /// The same of readings that have been gathered in a bench of their own, which costs a fraction of their
    /// rows; `gathered`: what was found while gathering.
    Expected<MergeReport> importReadings(const Bench& description, Bench readings,
                                         const MergeReport& gathered, const QString& source);

    static int schemaVersion();
    QString undoTitle() const { return journal_.undoTitle(); }
    QString redoTitle() const { return journal_.redoTitle(); }
    /// Takes one step back or forward; false when there is none.
    Expected<bool> undo();
    Expected<bool> redo();

    Expected<bool> copyTo(const QString& path) const { return file_.copyTo(path); }

    /// Whether the file still lies where it was opened: not removed, moved away or replaced by another. What
    /// is stored when it does not is kept by this program alone, until a copy is written.
    bool inPlace() const { return file_.inPlace(); }

  signals:
    void changed();
    /// After take(), before changed(): the reading is on the disk.
    void readingTaken(qlonglong id);

  private:
    explicit Project(ProjectFile file);

    Expected<bool> replay(bool (UndoJournal::*step)() const);
    template <class Work>
    Expected<Id> edit(const QString& title, Work work);
    template <class Work>
    Expected<Id> rewrite(const QString& title, Work work);
    Expected<Id> remove(const char* table, const std::vector<Id>& rows, const QString& title);
    template <class T>
    Expected<Id> saveOne(const T& item, const QString& title);
    template <class AddRows>
    Expected<MergeReport> import(const Bench& description, const QString& source, MergeReport report,
                                 AddRows add_rows);
    void storeAdded(Bench& after, const std::vector<Id>& superseded);
    void readWhole();
    Expected<bool> reload();

    static Expected<std::unique_ptr<Project>> read(Expected<ProjectFile> file);

    std::unique_ptr<QTemporaryDir> rescued_in_;
    ProjectFile file_;
    QString shown_path_;  ///< of a rescued project: the damaged file's
    std::vector<Problem> missing_;
    UndoJournal journal_;
    Bench bench_;
    int seen_version_ = 0;
};

/// Reads a whole project file's bench; throws SqlFault.
Bench loadBench(const ProjectFile& file);

}  // namespace glumet
