#pragma once

#include <functional>
#include <map>
#include <optional>
#include <utility>

#include "core/compare/contender.h"

namespace glumet {

/// Fits of sweeps, each made by `fit` when it is first wanted; one that fails is not tried again.
class KeptFits {
  public:
    using Fit = std::function<Expected<FitResult>(const Sweep&)>;
    explicit KeptFits(Fit fit) : fit_(std::move(fit)) {}

    const FitResult* of(const Sweep& sweep) {
        auto [at, fresh] = made_.try_emplace(sweep.configuration);
        if (fresh)
            if (auto fit = fit_(sweep)) at->second = std::move(*fit);
        return at->second ? &*at->second : nullptr;
    }
    /// For the functions that ask; this outlives it.
    FitOf asked() {
        return [this](const Sweep& sweep) { return of(sweep); };
    }

  private:
    Fit fit_;
    std::map<Configuration, std::optional<FitResult>> made_;
};

}  // namespace glumet
