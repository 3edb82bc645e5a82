#pragma once

#include <QObject>
#include <optional>
#include <thread>

#include "core/fit/fit.h"
#include "core/verdicts/enough.h"

namespace glumet {

/// One fit at a time off the interface thread. Each has its own stop token and number; what a job that was
/// cancelled or replaced still brings is dropped.
class FitJob : public QObject {
    Q_OBJECT

  public:
    FitJob() = default;
    ~FitJob() override;

    /// Begins a fit of these runs, in place of the one that is under way.
    void start(const Bench& bench, const std::vector<std::size_t>& runs);
    void cancel();
    bool running() const { return running_; }
    /// What the last job that finished found; to be asked once, after finished().
    struct Found {
        Expected<FitResult> fit;
        std::optional<HeightKnowledge> knowledge;  ///< which plane of the sweep tells most next
    };
    Found take() { return std::move(*found_); }

  signals:
    void finished();

  private:
    std::jthread thread_;
    int number_ = 0;
    bool running_ = false;
    std::optional<Found> found_;
};

}  // namespace glumet
