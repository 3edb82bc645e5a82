#include "desk/tank/tank_choice.h"

#include <algorithm>

namespace glumet {
namespace {

/// The chosen one of a list, else its first.
template <class Row>
const Row* chosenOf(const std::vector<const Row*>& rows, Id id) {
    for (const auto* row : rows)
        if (row->id == id) return row;
    return rows.empty() ? nullptr : rows.front();
}

template <class Row>
std::vector<const Row*> inTank(const std::vector<Row>& rows, const Tank* tank) {
    std::vector<const Row*> out;
    for (const auto& row : rows)
        if (tank != nullptr && row.tank == tank->id) out.push_back(&row);
    return out;
}

}  // namespace

std::vector<const Tank*> TankChoice::tanks() const {
    const auto& bench = session_->bench();
    std::vector<const Tank*> out;
    for (const auto& tank : bench.tanks) {
        const bool named = std::any_of(bench.spots.begin(), bench.spots.end(),
                                       [&](const TankSpot& spot) { return spot.tank == tank.id; });
        if (tank.use == TankUse::Living || named) out.push_back(&tank);
    }
    if (out.empty() && !bench.tanks.empty()) out.push_back(&bench.tanks.front());
    return out;
}

/// Without a choice the one with spots before others.
const Tank* TankChoice::tank() const {
    const auto all = tanks();
    if (const auto* chosen = byId(session_->bench().tanks, tank_))
        if (std::find(all.begin(), all.end(), chosen) != all.end()) return chosen;
    for (const auto* tank : all)
        for (const auto& spot : session_->bench().spots)
            if (spot.tank == tank->id) return tank;
    return all.empty() ? nullptr : all.front();
}

std::vector<const TankSpot*> TankChoice::spots() const { return inTank(session_->bench().spots, tank()); }
std::vector<const Rock*> TankChoice::rocks() const { return inTank(session_->bench().rocks, tank()); }

std::vector<const Acclimation*> TankChoice::ramps() const {
    std::vector<const Acclimation*> out;
    const auto* in = tank();
    for (const auto& ramp : session_->bench().ramps)
        if (ramp.tank == 0 || (in != nullptr && ramp.tank == in->id)) out.push_back(&ramp);
    return out;
}

const TankSpot* TankChoice::spot() const { return byId(session_->bench().spots, spot_); }

std::vector<const SpotReading*> TankChoice::readings() const {
    std::vector<const SpotReading*> out;
    if (spot() == nullptr) return out;
    for (const auto& reading : spot()->readings) out.push_back(&reading);
    // Of times that say the same the later in the list is the latest, as latestAt() has it.
    std::stable_sort(out.begin(), out.end(), [](const auto* a, const auto* b) { return a->time < b->time; });
    std::reverse(out.begin(), out.end());
    return out;
}

const SpotReading* TankChoice::reading() const {
    if (spot() == nullptr) return nullptr;
    const auto* chosen = byId(spot()->readings, reading_);
    return chosen != nullptr ? chosen : latestAt(*spot());
}

const Organism* TankChoice::lives() const { return livesAt(session_->bench(), spot_); }
const Rock* TankChoice::rock() const { return chosenOf(rocks(), rock_); }
const Acclimation* TankChoice::ramp() const { return chosenOf(ramps(), ramp_); }

void TankChoice::chooseSpot(Id spot) {
    if (spot != spot_) reading_ = 0;
    spot_ = spot;
}

void TankChoice::chooseTank(Id tank) {
    tank_ = tank;
    chooseSpot(0);
    before_.clear();
    now_.clear();
    settle();
}

void TankChoice::settle() {
    const auto* in = tank();
    if (spot() == nullptr || in == nullptr || spot()->tank != in->id)
        spot_ = spots().empty() ? 0 : spots().front()->id;
    surveys_ = in == nullptr ? std::vector<TankSurvey>() : surveysOf(session_->bench(), in->id);
    const auto gone = [&](const std::string& day) {
        return std::none_of(surveys_.begin(), surveys_.end(),
                            [&](const TankSurvey& survey) { return survey.day == day; });
    };
    if (gone(before_) || gone(now_)) {
        before_.clear();
        now_.clear();
    }
}

std::string TankChoice::before() const {
    if (!before_.empty()) return before_;
    return surveys_.size() < 2 ? std::string() : surveys_[surveys_.size() - 2].day;
}

std::string TankChoice::now() const {
    if (!now_.empty()) return now_;
    return surveys_.empty() ? std::string() : surveys_.back().day;
}

void TankChoice::compare(const std::string& before, const std::string& now) {
    before_ = std::min(before, now);
    now_ = std::max(before, now);
}

std::string TankChoice::today() const { return dateOf(session_->now().toStdString()); }

}  // namespace glumet
