#pragma once

#include <functional>
#include <map>
#include <mutex>
#include <optional>
#include <utility>

#include "core/compare/contender.h"

namespace glumet {

/// Fits of sweeps, each made by `fit` when it is first wanted; one that fails is not tried again. Asked from
/// several threads, different sweeps are fitted at the same time and each once.
class KeptFits {
  public:
    using Fit = std::function<Expected<FitResult>(const Sweep&)>;
    explicit KeptFits(Fit fit) : fit_(std::move(fit)) {}

    const FitResult* of(const Sweep& sweep) {
        auto& kept = keptFor(sweep.configuration);
        std::call_once(kept.once, [&] {
            if (auto fit = fit_(sweep)) kept.fit = std::move(*fit);
        });
        return kept.fit ? &*kept.fit : nullptr;
    }
    /// For the functions that ask; this outlives it.
    FitOf asked() {
        return [this](const Sweep& sweep) { return of(sweep); };
    }

  private:
    struct Kept {
        std::once_flag once;
        std::optional<FitResult> fit;
    };
    Kept& keptFor(const Configuration& configuration) {
        const std::scoped_lock lock(guard_);
        return made_[configuration];
    }

    Fit fit_;
    std::mutex guard_;
    std::map<Configuration, Kept> made_;
};

}  // namespace glumet
