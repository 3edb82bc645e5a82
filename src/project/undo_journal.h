#pragma once

#include <vector>

#include "project/project_file.h"

namespace glumet {

/// Undo and redo of every edit, kept in the file by triggers and so surviving a restart. A step is whatever
/// was changed between begin() and the commit of the surrounding transaction. Undoing a step replays its old
/// values; the triggers record what that overwrites under the same step, which is what redo replays.
class UndoJournal {
  public:
    explicit UndoJournal(const ProjectFile& file) : file_(file) {}

    /// Starts a step inside an open transaction; steps that were undone are forgotten. Throws SqlFault.
    void begin(const QString& title) const;

    /// Does work that adds rows and does nothing else, and records them table by table when it is done: a
    /// million of them cost a fraction of what they do one by one. Throws SqlFault.
    template <class Work>
    void recordAdded(Work work) const {
        const auto last = lastRows();
        {
            const WithoutTriggers off(file_);
            work();
        }
        recordBeyond(last);
    }

    /// Title of the step that undo() or redo() would take; empty when there is none.
    QString undoTitle() const;
    QString redoTitle() const;

    /// Takes one step back or forward in a transaction of its own; false when there is none.
    bool undo() const;
    bool redo() const;

    /// Drops all steps; for a file that is to be handed on without its history. Throws SqlFault.
    void forget() const;

  private:
    struct Step {
        qlonglong id = 0;
        QString title;
    };
    Step lastDone() const;
    Step firstUndone() const;
    Step stepBy(const QString& condition) const;
    bool replay(const Step& step, bool undone) const;
    void revert(const QString& table, const QString& op, qlonglong row, qlonglong seq) const;
    void record(qlonglong step) const;
    /// Each row that fires one takes half as long again, even where nothing is to be recorded.
    class WithoutTriggers {
      public:
        explicit WithoutTriggers(const ProjectFile& file) : file_(file) { set(false); }
        WithoutTriggers(const WithoutTriggers&) = delete;
        WithoutTriggers& operator=(const WithoutTriggers&) = delete;
        ~WithoutTriggers() { set(true); }

      private:
        void set(bool on) const;
        const ProjectFile& file_;
    };
    /// The last row of each table, in their order.
    std::vector<qlonglong> lastRows() const;
    /// Records the rows after those as added by the step under way.
    void recordBeyond(const std::vector<qlonglong>& last) const;

    const ProjectFile& file_;
};

}  // namespace glumet
