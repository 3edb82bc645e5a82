#pragma once

#include <vector>

#include "core/living/living_findings.h"
#include "desk/shared/session.h"

namespace glumet {

/// What is looked at in the Tank stage: a living tank, and in it a spot, a rock and a plan; by id, so that
/// edits and undo may come between.
class TankChoice {
  public:
    explicit TankChoice(Session& session) : session_(&session) {}

    /// The project's tanks in which something lives or spots are named; without one of those its first.
    std::vector<const Tank*> tanks() const;
    const Tank* tank() const;
    std::vector<const TankSpot*> spots() const;
    std::vector<const Rock*> rocks() const;
    /// Plans of the tank, and those of no tank.
    std::vector<const Acclimation*> ramps() const;

    const TankSpot* spot() const;
    /// The spot's readings, the latest first.
    std::vector<const SpotReading*> readings() const;
    /// The chosen one; the latest unless another was chosen.
    const SpotReading* reading() const;
    /// Who lives at the spot.
    const Organism* lives() const;
    const Rock* rock() const;
    const Acclimation* ramp() const;

    void chooseTank(Id tank);
    void chooseSpot(Id spot);
    void chooseReading(Id reading) { reading_ = reading; }
    void chooseRock(Id rock) { rock_ = rock; }
    void chooseRamp(Id ramp) { ramp_ = ramp; }
    /// Moves what is gone to something that is there.
    void settle();

    /// The tank's looks, by the bench as it is now.
    const std::vector<TankSurvey>& surveys() const { return surveys_; }
    /// The two that are compared; the last two unless others were chosen.
    std::string before() const;
    std::string now() const;
    void compare(const std::string& before, const std::string& now);
    std::optional<SurveyChange> change() const { return comparedChange(surveys_, before_, now_); }
    std::string today() const;

  private:
    Session* session_;
    Id tank_ = 0;
    Id spot_ = 0;
    Id reading_ = 0;
    Id rock_ = 0;
    Id ramp_ = 0;
    std::string before_;
    std::string now_;
    std::vector<TankSurvey> surveys_;
};

}  // namespace glumet
