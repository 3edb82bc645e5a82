#include "desk/shared/session.h"

#include <algorithm>
#include <cmath>

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

}  // namespace

Session::Session(Clock clock, QObject* parent) : QObject(parent), clock_(std::move(clock)) {
    connect(&fits_, &FitShelf::changed, this, [this] {
        point_doubts_.reset();
        model_is_current_ = false;
        emit fitChanged();
    });
}
Session::~Session() = default;

const Bench& Session::bench() const {
    static const Bench empty;
    return project_ ? project_->bench() : empty;
}

void Session::setProject(std::unique_ptr<Project> project) {
    fits_.forget();
    project_ = std::move(project);
    configuration_.reset();
    height_.reset();
    depth_.reset();
    cell_.reset();
    if (project_)
        connect(project_.get(), &Project::changed, this, [this] {
            rebuild();
            emit dataChanged();
        });
    rebuild();
    emit projectChanged();
}

void Session::rebuild() {
    sweeps_ = sweepsOf(bench());
    forgetVerdict();
    point_doubts_.reset();
    model_is_current_ = false;
    fits_.outdate();
    settleSelection();
}

void Session::forgetVerdict() {
    verdict_.reset();
    schools_.reset();
    doubtful_.reset();
    scale_top_.reset();
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
        forgetVerdict();
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
    configuration_ = configuration;
    height_.reset();
    cell_.reset();
    forgetVerdict();
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

bool Session::changeMethod(const std::function<void(Method&)>& change) {
    if (project_ == nullptr) return false;
    auto method = bench().method;
    change(method);
    const auto done = project_->saveMethod(QString::fromStdString(bench().title), method);
    if (!done) warn(QString::fromStdString(done.error().sentence()));
    return done.has_value();
}

Band Session::band() const { return goal().band; }

const SpillLimitVerdict* Session::verdict() const {
    if (sweep() == nullptr) return nullptr;
    if (!verdict_) {
        auto options = spillLimitOptions(bench(), *sweep());
        options.words = unit_;
        verdict_ = spillLimit(bench(), *sweep(), options);
    }
    return &*verdict_;
}

const std::vector<SchoolVerdict>& Session::schools() const {
    if (!schools_) {
        schools_.emplace();
        if (sweep() != nullptr)
            schools_ = heightSchools(bench(), *sweep(), schoolOptions(bench(), *sweep(), unit_));
    }
    return *schools_;
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
    const auto* found = fits_.of(sweep.configuration);
    return found == nullptr ? nullptr : &found->fit;
}

const Expected<FitResult>* Session::fit() const {
    return fitSweep() == nullptr ? nullptr : fitOf(*fitSweep());
}

const HeightKnowledge* Session::knowledge() const {
    if (sweep() == nullptr) return nullptr;
    const auto* found = fits_.of(sweep()->configuration);
    return found != nullptr && found->knowledge ? &*found->knowledge : nullptr;
}

const std::vector<FittedHeight>* Session::fittedHeights() const {
    if (sweep() == nullptr) return nullptr;
    const auto* found = fits_.of(sweep()->configuration);
    return found != nullptr && !found->heights.empty() ? &found->heights : nullptr;
}

void Session::wantFit() {
    if (fitSweep() != nullptr) fits_.want(bench(), *fitSweep(), true);
}

const std::vector<Id>& Session::doubtfulRuns() const {
    if (!doubtful_) {
        doubtful_.emplace();
        if (sweep() != nullptr)
            for (const auto index : sweep()->runs) {
                const auto findings = runDoubts(bench(), index, findingContext());
                if (std::any_of(findings.begin(), findings.end(),
                                [](const Finding& f) { return f.kind == FindingKind::Doubt; }))
                    doubtful_->push_back(index);
            }
    }
    return *doubtful_;
}

const std::vector<PointDoubt>& Session::pointDoubts() const {
    const auto* chosen = plane();
    const Id id = chosen == nullptr ? 0 : chosen->id;
    if (!point_doubts_ || point_doubts_of_ != id) {
        const auto* fitted = fit();
        point_doubts_ = chosen == nullptr
                            ? std::vector<PointDoubt>{}
                            : glumet::pointDoubts(bench(), *run(), *chosen,
                                                  fitted != nullptr && *fitted ? &**fitted : nullptr);
        point_doubts_of_ = id;
    }
    return *point_doubts_;
}

double Session::fieldScaleTop() const {
    if (!scale_top_) scale_top_ = sweep() == nullptr ? 1.0 : scaleTop(bench(), sweep()->runs);
    return *scale_top_;
}

Expected<DescribedModel>* Session::model() const {
    if (run() == nullptr) return nullptr;
    if (!model_ || !model_is_current_ || model_run_ != run_) {
        auto earlier = model_ && *model_ ? (*model_)->takeField() : nullptr;
        const auto* fitted = fit();
        model_.emplace(fitted != nullptr && *fitted
                           ? DescribedModel::fitted(bench(), run_, **fitted, std::move(earlier))
                           : DescribedModel::of(bench(), *run(), std::move(earlier)));
        model_run_ = run_;
        model_is_current_ = true;
    }
    return &*model_;
}

void Session::setUnit(LengthUnit unit) {
    if (unit_ == unit) return;
    unit_ = unit;
    forgetVerdict();
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
