#pragma once

#include <QObject>
#include <QSettings>
#include <array>
#include <functional>
#include <memory>
#include <optional>

#include "core/bench/sweep.h"
#include "core/fit/described_model.h"
#include "core/survey/findings.h"
#include "core/survey/point_doubts.h"
#include "core/verdicts/channel_mix.h"
#include "core/verdicts/height_schools.h"
#include "core/verdicts/spill_limit.h"
#include "core/words/finding.h"
#include "desk/shared/answer_store.h"
#include "desk/shared/fit_job.h"
#include "meters/connected_meter.h"
#include "project/project.h"
#include "report/palette.h"
#include "report/text.h"

namespace glumet {

/// What all parts of the window share: the open project, what is chosen in it, units and theme, and the
/// instrument. Widgets read it and ask it to change; each change is told once. Nothing here paints.
class Session : public QObject {
    Q_OBJECT

  public:
    /// ISO date and time of a reading; injected so that tests need no clock.
    using Clock = std::function<QString()>;

    /// `meter_clock`: seconds as instruments stamp their values.
    explicit Session(Clock clock, MonotonicClock meter_clock = machineClock(), QObject* parent = nullptr);
    ~Session() override;

    /// Takes over a project, or none.
    void setProject(std::unique_ptr<Project> project);
    Project* project() const { return project_.get(); }
    const Bench& bench() const;

    /// Sweeps of the project, and the chosen one; nullptr while there is no run.
    const std::vector<Sweep>& sweeps() const { return sweeps_; }
    const Sweep* sweep() const;
    void chooseConfiguration(const Configuration& configuration);

    /// The chosen mounting height's run and the chosen plane in it.
    const Run* run() const;
    Id runId() const { return run() == nullptr ? 0 : run()->id; }
    const Plane* plane() const;
    std::optional<Millimetre> height() const { return height_; }
    std::optional<Millimetre> depth() const { return depth_; }
    /// Of two runs at one height the latest, as verdicts count it.
    void chooseHeight(Millimetre height);
    /// A run of any configuration; nothing when it is gone.
    void chooseRun(Id run);
    void chooseDepth(Millimetre depth);
    /// Next or previous mark up and down the section; +1 raises, or goes deeper.
    void stepHeight(int by);
    void stepDepth(int by);

    /// The cell looked at in Field and marked in the plan.
    std::optional<Cell> cell() const { return cell_; }
    void chooseCell(std::optional<Cell> cell);

    /// The one way to edit the project: commits what is being typed elsewhere, then does `work(Project&) →
    /// Expected`, one undo step. A failure is said in the ledger line; its sentence is returned, empty when
    /// it was done.
    template <class Work>
    QString edit(Work work) {
        settle();
        if (!project_) return failed(tr("Open or make a project first."));
        const auto done = work(*project_);
        return done ? QString() : failed(text(done.error()));
    }
    /// Commits a field that is being typed in to the row it was opened for; before anything else is chosen,
    /// opened or closed.
    void settle();
    /// Changes how is measured and judged, as one step.
    QString changeMethod(const std::function<void(Method&)>& change);
    const Goal& goal() const { return bench().method.goal; }
    Band band() const;
    /// The spill-limit verdict of the chosen sweep, by the project's method; computed when first asked.
    const SpillLimitVerdict* verdict() const;
    /// Runs of the chosen sweep that carry a doubt; computed when first asked.
    const std::vector<Id>& doubtfulRuns() const;
    /// What is doubtful on the chosen plane; computed when first asked.
    const std::vector<PointDoubt>& pointDoubts() const;
    double fieldScaleTop() const;
    /// The chosen run's channels at its points, or what is missing; computed when first asked. nullptr while
    /// no plane is chosen.
    const Expected<RunMix>* channelMix() const;
    /// Has the channels' own sweeps fitted in the background where the chosen run does not hold them one by
    /// one.
    void wantChannelFits();
    /// All height schools on the chosen sweep; computed when first asked.
    const std::vector<SchoolVerdict>& schools() const;
    /// The one the reviewer speaks by; nullptr while there is no sweep.
    const SchoolVerdict* headline() const;

    /// The light model fitted to the chosen sweep's readings, or why there is none; nullptr until it has been
    /// asked for and is ready. Of several fixtures: that of one of them, where it was read by itself. A fit
    /// of earlier readings stays until the next is ready.
    const Expected<FitResult>* fit() const;
    /// The same of any sweep.
    const Expected<FitResult>* fitOf(const Sweep& sweep) const;
    /// What that fit knows of the spill-limit height; nullptr where there is none.
    const HeightKnowledge* knowledge() const;
    /// The schools' heights by that fit; nullptr where there are none.
    const std::vector<FittedHeight>* fittedHeights() const;
    bool fitting() const { return answers_.busy(); }
    /// How far the question under way has come, "40 %".
    QString progress() const { return text(percentText(std::round(answers_.progress() * 20.0) / 20.0)); }
    /// Fits the chosen sweep in the background unless that has been done; fitChanged() follows.
    void wantFit();
    /// The same of another sweep, after it.
    void wantFitOf(const Sweep& sweep) { wantFit(sweep, false); }
    /// Nobody looks at that fit any more; the chosen sweep's goes on.
    void forgoFitOf(const Configuration& configuration);
    /// Breaks off all work in the background.
    void cancelWork() { answers_.cancel(); }
    /// Where stages ask what takes long.
    AnswerStore& answers() { return answers_; }
    const AnswerStore& answers() const { return answers_; }
    /// What an answer by bench and fits depends on now.
    Revision revision(std::int64_t subject = 0, std::int64_t detail = 0) const {
        return {bench_revision_, answers_.serialOf("fit"), subject, detail};
    }
    /// The sweep whose fit speaks for the chosen one; nullptr while there is no run.
    const Sweep* fitSweep() const;

    /// The light field of the chosen run as its fixture is described, or what is missing; computed when first
    /// asked. nullptr while there is no run.
    Expected<DescribedModel>* model() const;

    LengthUnit unit() const { return unit_; }
    void setUnit(LengthUnit unit);
    const Palette& palette() const { return dark_ ? dimRoom() : paper(); }
    bool dark() const { return dark_; }
    void setDark(bool dark);

    Meter* meter() const { return meter_.get(); }
    void setMeter(std::unique_ptr<Meter> meter);
    /// A power meter at the wall, if one is connected; it runs from the moment it is set.
    Meter* powerMeter() const { return power_meter_.get(); }
    void setPowerMeter(std::unique_ptr<Meter> meter);
    /// Its last value; nothing while it is lost or has not spoken.
    std::optional<Watt> draw() const { return draw_; }

    QString now() const { return clock_(); }
    /// What instruments stamp their values with.
    const MonotonicClock& meterClock() const { return meter_clock_; }
    /// Length in the chosen unit, with its name.
    QString length(Millimetre value) const { return QString::fromStdString(lengthText(value, unit_)); }
    QString figure(Millimetre value) const { return QString::fromStdString(lengthFigure(value, unit_)); }

    /// Shows a sentence in the ledger line; problems stay until the next.
    void say(const QString& sentence) { emit said(sentence, false); }
    void warn(const QString& sentence) { emit said(sentence, true); }
    /// Shows the evidence of a finding: its stage, run, plane and cell.
    void show(const Finding& finding);
    /// Goes to the stage that shows such evidence.
    void goTo(EvidenceView view) { emit evidenceWanted(view); }

  signals:
    void settling();        ///< fields: commit what is typed
    void projectChanged();  ///< another project, or none
    void dataChanged();     ///< an edit of this project
    void selectionChanged();
    void wordsChanged();  ///< unit or theme
    void meterChanged();
    void fitChanged();     ///< begun, ready or given up
    void fitProgressed();  ///< the question under way has come further
    void drawChanged();    ///< the power meter's value or state
    void said(const QString& sentence, bool problem);
    void evidenceWanted(glumet::EvidenceView view);

  private:
    QString failed(const QString& why) {
        warn(why);
        return why;
    }
    void rebuild();
    void wantFit(const Sweep& sweep, bool looked_at);
    AnswerKey keyOf(const char* question) const;
    /// By bench, goal and unit, whatever fits say.
    Revision byBench(std::int64_t detail = 0) const { return {bench_revision_, 0, 0, detail}; }
    void settleSelection();
    Id latestAt(Millimetre height) const;

    Clock clock_;
    MonotonicClock meter_clock_;
    std::unique_ptr<Project> project_;
    std::unique_ptr<Meter> meter_;
    std::unique_ptr<Meter> power_meter_;
    std::optional<Watt> draw_;
    std::vector<Sweep> sweeps_;
    std::optional<Configuration> configuration_;
    std::optional<Millimetre> height_;
    Id run_ = 0;
    std::optional<Millimetre> depth_;
    std::optional<Cell> cell_;
    /// The last fit, to take further readings; the work's while one is under way.
    std::shared_ptr<KeptFit> kept_ = std::make_shared<KeptFit>();
    mutable AnswerStore answers_;
    std::int64_t bench_revision_ = 0;
    bool settling_ = false;
    LengthUnit unit_ = LengthUnit::Cm;
    bool dark_ = true;
};

}  // namespace glumet
