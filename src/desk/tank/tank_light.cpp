#include "desk/tank/tank_light.h"

#include <utility>

#include "core/fit/bench_scene.h"

namespace glumet {

void TankLight::hang(std::optional<LampsAsIf> lamps) {
    const auto before = std::exchange(lamps_, std::move(lamps));
    if (before && (!lamps_ || before->of != lamps_->of)) session_->forgoFitOf(before->of);
}

std::optional<TankLight::Source> TankLight::readOver(const Tank& tank) {
    const Sweep* over = nullptr;
    for (const auto& sweep : session_->sweeps())
        if (sweep.configuration.tank == tank.id) over = &sweep;
    if (over == nullptr) return std::nullopt;
    const auto& single = singleOf(session_->sweeps(), *over);
    session_->wantFitOf(single);
    const auto* fit = session_->fitOf(single);
    if (fit == nullptr || !*fit) return std::nullopt;
    const auto& result = **fit;
    auto stated = sceneByFit(result, session_->bench(), over->runs.back(), tank);
    auto scene = sceneWith(result.model, stated);
    if (!scene) return std::nullopt;
    return Source{&result, std::move(stated), std::move(*scene), result.model, single.configuration.read_by};
}

std::optional<TankLight::Source> TankLight::hungOver(const Tank& tank) {
    for (const auto& sweep : session_->sweeps()) {
        if (!(sweep.configuration == lamps_->of)) continue;
        session_->wantFitOf(sweep);
        const auto* fit = session_->fitOf(sweep);
        if (fit == nullptr || !*fit) return std::nullopt;
        auto model = (*fit)->model.elsewhere();
        auto stated = tankByFit(**fit, tank, false);
        hangInRow(stated, lamps_->count, lamps_->height, 1.0, {});
        auto scene = sceneWith(model, stated);
        if (!scene) return std::nullopt;
        return Source{&**fit, std::move(stated), std::move(*scene), std::move(model), lamps_->of.read_by};
    }
    return std::nullopt;
}

std::optional<TankLight::Source> TankLight::source(const Tank& tank) {
    return lamps_ ? hungOver(tank) : readOver(tank);
}

bool TankLight::settle(const Tank* tank) {
    auto found = tank == nullptr ? std::nullopt : source(*tank);
    if (found && wrongWith(found->scene)) found.reset();  // more lamps than can be reckoned, say
    if (!found) {
        const bool had = known();
        rocky_.reset();
        bare_.reset();
        return had;
    }
    auto rocky = found->scene;
    rocky.obstacles = rocksIn(session_->bench(), tank->id);
    if (wrongWith(rocky)) rocky.obstacles.clear();  // a rock that holds a lamp, say
    stated_ = std::move(found->stated);
    stated_.obstacles = rocky.obstacles;
    model_ = std::move(found->model);
    read_by_ = std::move(found->read_by);
    if (rocky_ != nullptr && rocky_->scene() == rocky) return false;
    with_values_.clear();
    without_values_.clear();
    bare_ = rocky.obstacles.empty() ? nullptr : std::make_unique<FastField>(std::move(found->scene));
    if (rocky_ == nullptr)
        rocky_ = std::make_unique<FastField>(std::move(rocky));
    else
        rocky_->setScene(std::move(rocky));
    return true;
}

QString TankLight::fixture() const { return known() ? text(model_.fixture) : QString(); }

double TankLight::valueAt(FastField& field, Values& values, double x, double y, double depth) {
    auto [at, fresh] = values.try_emplace({x, y, depth});
    const std::array<std::array<double, 2>, 1> place{{{x, y}}};
    if (fresh) at->second = field.onPlane(Millimetre(depth), place).front();
    return at->second;
}

ExpectedLight TankLight::with() {
    if (!known()) return {};
    return [this](double x, double y, double depth) { return valueAt(*rocky_, with_values_, x, y, depth); };
}

ExpectedLight TankLight::without() {
    if (bare_ == nullptr) return with();
    return [this](double x, double y, double depth) { return valueAt(*bare_, without_values_, x, y, depth); };
}

void TankLight::prepare(Millimetre depth, const std::vector<std::array<double, 2>>& places) {
    if (!known()) return;
    std::vector<std::array<double, 2>> fresh;
    for (const auto& [x, y] : places)
        if (!with_values_.contains({x, y, depth.value()})) fresh.push_back({x, y});
    if (fresh.empty()) return;
    const auto values = rocky_->onPlane(depth, fresh);
    for (std::size_t i = 0; i < fresh.size(); ++i)
        with_values_[{fresh[i][0], fresh[i][1], depth.value()}] = values[i];
}

std::vector<Predicted> TankLight::at(const std::vector<BasisField::Point>& places) const {
    return known() ? predict(model_, stated_, places) : std::vector<Predicted>();
}

}  // namespace glumet
