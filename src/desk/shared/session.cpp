#include "desk/shared/session.h"

#include <algorithm>
#include <cmath>

#include "core/bench/part_of_bench.h"
#include "core/fit/fit_as_described.h"
#include "core/words/finding.h"
#include "report/plan_figure.h"

namespace glumet {
namespace {

template <class T>
std::optional<T> stepped(const std::vector<T>& values, std::optional<T> from, int by) {
    if (values.empty()) return std::nullopt;
    const auto at = from ? std::find(values.begin(), values.end(), *from) : values.end();
    if (at == values.end()) return values.front();
    const auto index = std::clamp<std::ptrdiff_t>(at - values.begin() + by, 0,
                                                  static_cast<std::ptrdiff_t>(values.size()) - 1);
    return values[static_cast<std::size_t>(index)];
}

std::optional<Millimetre> nearest(const std::vector<Millimetre>& values, std::optional<Millimetre> wanted) {
    if (values.empty()) return std::nullopt;
    if (!wanted) return values.front();
    return *std::min_element(values.begin(), values.end(), [&](Millimetre a, Millimetre b) {
        return std::abs((a - *wanted).value()) < std::abs((b - *wanted).value());
    });
}

/// Whether a channel's light is only shared out.
bool lacksChannels(const RunMix& mix) {
    return mix.channels.size() > 1 &&
           std::any_of(mix.channels.begin(), mix.channels.end(), [](const ChannelOfMix& channel) {
               return channel.basis == ChannelBasis::Even || channel.basis == ChannelBasis::Shares;
           });
}

}  // namespace

Session::Session(Clock clock, MonotonicClock meter_clock, QObject* parent)
    : QObject(parent), clock_(std::move(clock)), meter_clock_(std::move(meter_clock)) {
    connect(&answers_, &AnswerStore::changed, this, &Session::fitChanged);
    connect(&answers_, &AnswerStore::progressed, this, &Session::fitProgressed);
}
Session::~Session() = default;

const Bench& Session::bench() const {
    static const Bench empty;
    return project_ ? project_->bench() : empty;
}

void Session::setProject(std::unique_ptr<Project> project) {
    settle();
    answers_.forget();
    kept_ = std::make_shared<KeptFit>();
    project_ = std::move(project);
    configuration_.reset();
    height_.reset();
    depth_.reset();
    cell_.reset();
    if (project_)
        connect(project_.get(), &Project::changed, this, [this] {
            rebuild();
            emit dataChanged();
            if (!project_->inPlace())
                warn(tr("The project's file is no longer at %1: what is stored now is kept only until this "
                        "window closes. Save a copy (Ctrl+Shift+S).")
                         .arg(project_->path()));
        });
    rebuild();
    emit projectChanged();
}

void Session::rebuild() {
    sweeps_ = sweepsOf(bench());
    ++bench_revision_;
    answers_.stop();
    settleSelection();
}

AnswerKey Session::keyOf(const char* question) const {
    return {question, sweep() == nullptr ? Configuration{} : sweep()->configuration};
}

/// Keeps the choice where it still exists, else moves it to the nearest thing that does. A sweep opened for
/// the first time shows its recommended height.
void Session::settleSelection() {
    if (sweeps_.empty()) {
        configuration_.reset();
        height_.reset();
        depth_.reset();
        return;
    }
    if (sweep() == nullptr) {
        configuration_ = sweeps_.front().configuration;
        height_.reset();
    }
    std::vector<Millimetre> heights;
    for (const auto index : sweep()->runs) heights.push_back(bench().run(index).height);
    if (!height_ && verdict() != nullptr) height_ = verdict()->height;
    const auto& runs = sweep()->runs;
    const bool there = std::find(runs.begin(), runs.end(), run_) != runs.end();
    height_ = there && bench().run(run_).height == height_ ? height_ : nearest(heights, height_);
    if (!there || bench().run(run_).height != *height_) run_ = latestAt(*height_);
    std::vector<Millimetre> depths;
    if (run() != nullptr)
        for (const auto& plane : run()->planes) depths.push_back(plane.depth);
    depth_ = nearest(depths, depth_);
}

const Sweep* Session::sweep() const {
    for (const auto& sweep : sweeps_)
        if (configuration_ && sweep.configuration == *configuration_) return &sweep;
    return nullptr;
}

void Session::chooseConfiguration(const Configuration& configuration) {
    if (configuration_ == configuration) return;
    // What is stored now makes the bench anew, and it may be of the bench.
    auto chosen = configuration;
    settle();
    configuration_ = std::move(chosen);
    height_.reset();
    cell_.reset();
    settleSelection();
    emit selectionChanged();
}

Id Session::latestAt(Millimetre height) const {
    const auto& runs = sweep()->runs;
    for (auto id = runs.rbegin(); id != runs.rend(); ++id)
        if (bench().run(*id).height == height) return *id;
    return 0;
}

const Run* Session::run() const { return sweep() == nullptr ? nullptr : byId(bench().runs, run_); }

const Plane* Session::plane() const {
    const auto* chosen = run();
    return chosen == nullptr || !depth_ ? nullptr : planeAt(*chosen, *depth_);
}

void Session::chooseHeight(Millimetre height) {
    if (height_ == height) return;
    height_ = height;
    run_ = 0;
    settleSelection();
    emit selectionChanged();
}

void Session::chooseRun(Id id) {
    settle();
    const auto* wanted = byId(bench().runs, id);
    if (wanted == nullptr) return;
    chooseConfiguration(configurationOf(*wanted));
    if (run_ == id) return;
    run_ = id;
    height_ = wanted->height;
    settleSelection();
    emit selectionChanged();
}

void Session::chooseDepth(Millimetre depth) {
    if (depth_ == depth) return;
    depth_ = depth;
    settleSelection();
    emit selectionChanged();
}

void Session::stepHeight(int by) {
    if (sweep() == nullptr) return;
    std::vector<Millimetre> heights;
    for (const auto index : sweep()->runs) heights.push_back(bench().run(index).height);
    heights.erase(std::unique(heights.begin(), heights.end()), heights.end());
    if (const auto next = stepped(heights, height_, by)) chooseHeight(*next);
}

void Session::stepDepth(int by) {
    if (run() == nullptr) return;
    std::vector<Millimetre> depths;
    for (const auto& plane : run()->planes) depths.push_back(plane.depth);
    if (const auto next = stepped(depths, depth_, by)) chooseDepth(*next);
}

void Session::chooseCell(std::optional<Cell> cell) {
    if (cell_ == cell) return;
    cell_ = cell;
    emit selectionChanged();
}

QString Session::changeMethod(const std::function<void(Method&)>& change) {
    return edit([&](Project& project) {
        auto method = bench().method;
        change(method);
        return project.saveMethod(QString::fromStdString(bench().title), method);
    });
}

void Session::settle() {
    if (settling_) return;
    settling_ = true;
    emit settling();
    settling_ = false;
}

Band Session::band() const { return goal().band; }

const SpillLimitVerdict* Session::verdict() const {
    if (sweep() == nullptr) return nullptr;
    return &answers_.now<SpillLimitVerdict>(keyOf("spill limit"), byBench(), [&](const SpillLimitVerdict*) {
        auto options = spillLimitOptions(bench(), *sweep());
        return spillLimit(bench(), *sweep(), options);
    });
}

const std::vector<SchoolVerdict>& Session::schools() const {
    using Schools = std::vector<SchoolVerdict>;
    return answers_.now<Schools>(keyOf("schools"), byBench(), [&](const Schools*) {
        return sweep() == nullptr ? Schools{}
                                  : heightSchools(bench(), *sweep(), schoolOptions(bench(), *sweep()));
    });
}

const SchoolVerdict* Session::headline() const {
    for (const auto& school : schools())
        if (school.school == bench().method.school) return &school;
    return schools().empty() ? nullptr : &schools().front();
}

const Sweep* Session::fitSweep() const {
    const auto* chosen = sweep();
    return chosen == nullptr ? nullptr : &singleOf(sweeps_, *chosen);
}

const Expected<FitResult>* Session::fitOf(const Sweep& sweep) const {
    const auto* found = answers_.value<SweepFit>({"fit", sweep.configuration});
    return found == nullptr ? nullptr : &found->fit;
}

const Expected<FitResult>* Session::fit() const {
    return fitSweep() == nullptr ? nullptr : fitOf(*fitSweep());
}

const HeightKnowledge* Session::knowledge() const {
    const auto* found = answers_.value<SweepFit>(keyOf("fit"));
    return found != nullptr && found->knowledge ? &*found->knowledge : nullptr;
}

const std::vector<FittedHeight>* Session::fittedHeights() const {
    const auto* found = answers_.value<SweepFit>(keyOf("fit"));
    return found != nullptr && !found->heights.empty() ? &found->heights : nullptr;
}

/// What is looked at is asked what it knows of heights too.
void Session::wantFit(const Sweep& sweep, bool looked_at) {
    const AnswerKey key{"fit", sweep.configuration};
    if (answers_.wanted(key, byBench(looked_at ? 1 : 0))) return;
    answers_.want<SweepFit>(key, byBench(looked_at ? 1 : 0), looked_at,
                            [bench = partOf(bench(), runsForFit(bench(), sweep)), sweep, looked_at,
                             kept = kept_](const Asked& asked) -> Expected<SweepFit> {
                                return looked_at ? glumet::fitSweep(bench, sweep, *kept, asked)
                                                 : glumet::fitAlone(bench, sweep, asked);
                            });
}

void Session::forgoFitOf(const Configuration& configuration) {
    if (fitSweep() == nullptr || fitSweep()->configuration != configuration)
        answers_.forgo({"fit", configuration});
}

void Session::wantFit() {
    if (fitSweep() != nullptr) wantFit(*fitSweep(), true);
}

const std::vector<Id>& Session::doubtfulRuns() const {
    using Runs = std::vector<Id>;
    return answers_.now<Runs>(keyOf("doubtful runs"), byBench(), [&](const Runs*) {
        Runs doubtful;
        if (sweep() == nullptr) return doubtful;
        for (const auto id : sweep()->runs) {
            const auto findings = runDoubts(bench(), id);
            if (std::any_of(findings.begin(), findings.end(),
                            [](const Finding& f) { return f.kind == FindingKind::Doubt; }))
                doubtful.push_back(id);
        }
        return doubtful;
    });
}

const std::vector<PointDoubt>& Session::pointDoubts() const {
    using PointDoubts = std::vector<PointDoubt>;
    const auto* chosen = plane();
    return answers_.now<PointDoubts>(
        {"point doubts"}, revision(chosen == nullptr ? 0 : chosen->id), [&](const PointDoubts*) {
            const auto* fitted = fit();
            return chosen == nullptr
                       ? PointDoubts{}
                       : glumet::pointDoubts(bench(), *run(), *chosen,
                                             fitted != nullptr && *fitted ? &**fitted : nullptr);
        });
}

const Expected<RunMix>* Session::channelMix() const {
    const auto* of = run();
    const auto* at = plane();
    if (of == nullptr || at == nullptr) return nullptr;
    return &answers_.now<Expected<RunMix>>(
        {"channel mix", configurationOf(*of)}, revision(at->id), [&](Expected<RunMix>*) {
            auto mix = mixOf(bench(), *of, *at);
            if (!mix || !lacksChannels(*mix)) return mix;
            const auto* fixture = byId(bench().fixtures, of->fixture);
            ModelledChannels modelled(fixture->channels.size());
            for (const auto* sweep : channelSweeps(bench(), sweeps_, configurationOf(*of))) {
                const auto* fitted = fitOf(*sweep);
                if (fitted == nullptr || !*fitted) continue;
                const auto* channel = soleChannel(*fixture, sweep->configuration.preset);
                modelled[static_cast<std::size_t>(channel - fixture->channels.data())] =
                    modelledPoints(bench(), *of, **fitted);
            }
            return mixOf(bench(), *of, *at, modelled);
        });
}

void Session::wantChannelFits() {
    const auto* mix = channelMix();
    if (mix == nullptr || !*mix || !lacksChannels(**mix)) return;
    for (const auto* sweep : channelSweeps(bench(), sweeps_, configurationOf(*run()))) wantFitOf(*sweep);
}

double Session::fieldScaleTop() const {
    return answers_.now<double>(keyOf("scale top"), byBench(), [&](const double*) {
        return sweep() == nullptr ? 1.0 : scaleTop(bench(), sweep()->runs);
    });
}

Expected<DescribedModel>* Session::model() const {
    using Model = Expected<DescribedModel>;
    if (run() == nullptr) return nullptr;
    return &answers_.now<Model>({"model"}, revision(run_), [&](Model* before) {
        auto earlier = before != nullptr && *before ? (*before)->takeField() : nullptr;
        const auto* fitted = fit();
        return fitted != nullptr && *fitted
                   ? DescribedModel::fitted(bench(), run_, **fitted, std::move(earlier))
                   : DescribedModel::of(bench(), *run(), std::move(earlier));
    });
}

void Session::setUnit(LengthUnit unit) {
    if (unit_ == unit) return;
    unit_ = unit;
    emit wordsChanged();
}

void Session::setDark(bool dark) {
    if (dark_ == dark) return;
    dark_ = dark;
    emit wordsChanged();
}

void Session::setMeter(std::unique_ptr<Meter> meter) {
    meter_ = std::move(meter);
    emit meterChanged();
}

void Session::setPowerMeter(std::unique_ptr<Meter> meter) {
    power_meter_ = std::move(meter);
    draw_.reset();
    if (power_meter_) {
        connect(power_meter_.get(), &Meter::sampled, this, [this](double /*seconds*/, double watt) {
            draw_ = Watt(watt);
            emit drawChanged();
        });
        connect(power_meter_.get(), &Meter::stateChanged, this, [this](MeterState state) {
            if (state == MeterState::Lost) draw_.reset();
            if (state == MeterState::Lost) warn(power_meter_->trouble());
            emit drawChanged();
        });
        power_meter_->start();
    }
    emit drawChanged();
}

void Session::show(const Finding& finding) {
    chooseRun(finding.run);
    if (finding.depth) chooseDepth(*finding.depth);
    if (finding.cell) chooseCell(finding.cell);
    if (finding.view != EvidenceView::None) goTo(finding.view);
}

}  // namespace glumet
