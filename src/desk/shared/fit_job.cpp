#include "desk/shared/fit_job.h"

#include <memory>
#include <set>

namespace glumet {
namespace {

/// A bare cluster is a guess where the emitters are not described; then layouts are tried.
bool layoutKnown(const Bench& bench, const std::vector<std::size_t>& runs) {
    const auto* fixture = byId(bench.fixtures, bench.runs[runs.front()].fixture);
    return fixture != nullptr &&
           (fixture->emitter_columns * fixture->emitter_rows > 1 || fixture->emitter_size.value() > 0.0);
}

/// What the fit knows of the spill-limit height, and which planned plane would tell most.
std::optional<HeightKnowledge> knowledgeOf(const Bench& bench, const std::vector<std::size_t>& runs,
                                           const FitResult& fit) {
    const auto& first = bench.runs[runs.front()];
    const auto* tank = byId(bench.tanks, first.tank);
    if (tank == nullptr || first.planes.empty() || !first.planes.front().grid || first.fixtures != 1)
        return std::nullopt;
    EnoughQuestion question;
    question.tank = emptyScene(*tank, first.water == WaterState::Dry);
    question.tank.water.attenuation_per_m = fit.attenuation_per_m;
    for (auto& wall : question.tank.walls)
        if (!wall.clear()) wall.reflectance = fit.reflectance;
    question.grid = *first.planes.front().grid;
    question.depth = first.planes.front().depth;
    question.lowest = first.height;
    question.limit = bench.method.spill_limit;
    std::set<double> depths;
    for (const auto run : runs) {
        question.heights.push_back(bench.runs[run].height);
        for (const auto& plane : bench.runs[run].planes) {
            depths.insert(plane.depth.value());
            if (!plane.readings.empty()) question.read.emplace_back(bench.runs[run].height, plane.depth);
        }
    }
    for (const double depth : depths) question.depths.emplace_back(depth);
    return whatTellsMost(fit.model, question);
}

}  // namespace

FitJob::~FitJob() { cancel(); }

void FitJob::start(const Bench& bench, const std::vector<std::size_t>& runs) {
    cancel();
    running_ = true;
    const int number = ++number_;
    thread_ = std::jthread([this, number, bench, runs](const std::stop_token& stop) {
        FitOptions options;
        options.stop = stop;
        const auto found =
            std::make_shared<Found>(Found{layoutKnown(bench, runs) ? fitFixture(bench, runs, options)
                                                                   : fitUnknownLayout(bench, runs, options),
                                          std::nullopt});
        if (found->fit && !stop.stop_requested()) found->knowledge = knowledgeOf(bench, runs, *found->fit);
        QMetaObject::invokeMethod(
            this,
            [this, number, found] {
                if (number != number_ || !running_) return;
                running_ = false;
                found_.emplace(std::move(*found));
                emit finished();
            },
            Qt::QueuedConnection);
    });
}

void FitJob::cancel() {
    running_ = false;
    ++number_;
    if (!thread_.joinable()) return;
    thread_.request_stop();
    thread_.join();
}

}  // namespace glumet
