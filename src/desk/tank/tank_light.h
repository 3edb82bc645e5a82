#pragma once

#include <map>
#include <memory>
#include <tuple>

#include "core/living/shade.h"
#include "desk/shared/session.h"

namespace glumet {

/// Lamps that nobody has read over this tank, hung in a row along its middle, by the fit of a fixture that
/// was read elsewhere: an estimate for who has no meter.
struct LampsAsIf {
    Configuration of;
    int count = 2;
    Millimetre height{200};

    bool operator==(const LampsAsIf&) const = default;
};

/// The light of the lamps over a living tank by a fit, with its rocks and without: of the last run that was
/// read over it, or of lamps as if they hung there.
class TankLight {
  public:
    explicit TankLight(Session& session) : session_(&session) {}

    void hang(std::optional<LampsAsIf> lamps);
    const std::optional<LampsAsIf>& lamps() const { return lamps_; }
    /// Takes over what has changed: asks for the fit it needs, and makes the fields anew where it is another;
    /// whether it was.
    bool settle(const Tank* tank);
    bool known() const { return rocky_ != nullptr; }
    /// Nothing was read under these lamps: what they give is an estimate.
    bool asIf() const { return known() && lamps_.has_value(); }
    /// The fixtures with the rocks; only while known().
    const LightScene& scene() const { return rocky_->scene(); }
    /// The name of the fixture that speaks.
    QString fixture() const;
    /// Whoever published the readings it speaks by; empty for one's own.
    const std::string& readBy() const { return read_by_; }

    /// Empty while nothing is known.
    ExpectedLight with();
    ExpectedLight without();
    /// Works out many places of one depth at once, for with() to know.
    void prepare(Millimetre depth, const std::vector<std::array<double, 2>>& places);
    /// Light at places (x, y, depth) with its 95 % interval by what the fit does not know; empty while
    /// nothing is known.
    std::vector<Predicted> at(const std::vector<BasisField::Point>& places) const;

  private:
    using Values = std::map<std::tuple<double, double, double>, double>;
    struct Source {
        const FitResult* fit = nullptr;
        LightScene stated;  ///< fixtures without emitters, for predict()
        LightScene scene;
        LightModel model;
        std::string read_by;
    };
    std::optional<Source> source(const Tank& tank);
    std::optional<Source> readOver(const Tank& tank);
    std::optional<Source> hungOver(const Tank& tank);
    static double valueAt(FastField& field, Values& values, double x, double y, double depth);

    Session* session_;
    std::optional<LampsAsIf> lamps_;
    LightScene stated_;
    LightModel model_;
    std::string read_by_;
    std::unique_ptr<FastField> rocky_;
    std::unique_ptr<FastField> bare_;  ///< nullptr without rocks: the same
    Values with_values_;
    Values without_values_;
};

}  // namespace glumet
