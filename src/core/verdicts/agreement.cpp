#include "core/verdicts/agreement.h"

#include <algorithm>
#include <cmath>

#include "core/base/interval.h"

namespace glumet {
namespace {

constexpr double kAgreesChiSquare = 2.0;
constexpr double kAgreesMean = 0.03;
constexpr double kExplains = 0.5;  // of Σz², by one cause
constexpr double kSlopeStepMm = 2.0;
constexpr double kTwoErrors = 2.0;

/// A single thing that could be wrong: what one unit of it does to each reading.
struct Candidate {
    Cause what;
    int fixture;
    std::vector<double> effect;
};

class Overlay {
  public:
    Overlay(const FitResult& fit, const Bench& bench, Id run, const Tank& tank, const FitOptions& options)
        : fit_(fit), bench_(bench), index_(run), run_(bench.run(run)), tank_(tank), options_(options) {}

    Expected<ArrayAgreement> compare() {
        out_.asked = index_;
        out_.used = runsOf(fit_);
        scene_ = sceneByFit(fit_, bench_, index_, tank_);
        for (const auto& plane : run_.planes) collect(plane);
        if (out_.residuals.empty())
            return problem("run", say(GLUMET_SAY("Core", "holds no reading that counts")));
        weigh();
        judge();
        return std::move(out_);
    }

  private:
    void collect(const Plane& plane) {
        for (const auto& r : plane.readings) {
            if (!r.counts() || r.x > tank_.length || r.y > tank_.width) continue;
            out_.residuals.push_back({index_, plane.depth, r.x, r.y, r.mean.value(), 0, 0, false, {}});
            points_.push_back({r.x.value(), r.y.value(), plane.depth.value()});
            noise_.push_back(
                std::max(options_.least_noise, r.relativeStandardError().value_or(options_.unknown_noise)));
        }
    }

    std::vector<double> values(const LightScene& scene) const {
        std::vector<double> out;
        for (const auto& p : predict(model_, scene, points_)) out.push_back(p.ppfd);
        return out;
    }

    std::vector<double> slope(double dx, double dy, double dh) const {
        auto scene = scene_;
        for (auto& f : scene.fixtures) {
            f.x_mm += dx * kSlopeStepMm;
            f.y_mm += dy * kSlopeStepMm;
            f.height_mm += dh * kSlopeStepMm;
        }
        auto moved = values(scene);
        for (std::size_t i = 0; i < moved.size(); ++i)
            moved[i] = (moved[i] - out_.residuals[i].model) / kSlopeStepMm;
        return moved;
    }

    /// Each reading's standard error: its own noise, a probe placed a little off, and what the fit leaves
    /// open.
    void weigh() {
        const auto said = predict(model_, scene_, points_);
        for (std::size_t i = 0; i < said.size(); ++i) out_.residuals[i].model = said[i].ppfd;
        along_ = slope(1, 0, 0);
        across_ = slope(0, 1, 0);
        double read = 0.0;
        double predicted = 0.0;
        double squares = 0.0;
        double within = 0.0;
        double own_squares = 0.0;
        double common = 0.0;
        for (std::size_t i = 0; i < said.size(); ++i) {
            auto& r = out_.residuals[i];
            const double placing = options_.placing_mm * std::hypot(along_[i], across_[i]);
            unknown_.push_back((said[i].hi - said[i].lo) / (2.0 * kInterval95));
            own_squares += std::pow(noise_[i] * r.model, 2) + placing * placing;
            common += unknown_[i];
            error_.push_back(std::max(1e-9, std::hypot(noise_[i] * r.model, placing, unknown_[i])));
            r.standard_errors = (r.reading - r.model) / error_[i];
            read += r.reading;
            predicted += r.model;
            squares += r.model > 0.0 ? std::pow(r.reading / r.model - 1.0, 2) : 0.0;
            within += std::abs(r.standard_errors) <= kTwoErrors ? 1.0 : 0.0;
            chi_square_ += r.standard_errors * r.standard_errors;
        }
        const auto n = static_cast<double>(said.size());
        out_.mean_ratio = predicted > 0.0 ? read / predicted : 0.0;
        const double ratio_error =
            predicted > 0.0 ? std::hypot(std::sqrt(own_squares), common) / predicted : 0.0;
        out_.mean_ratio_low = out_.mean_ratio - kInterval95 * ratio_error;
        out_.mean_ratio_high = out_.mean_ratio + kInterval95 * ratio_error;
        out_.rms = std::sqrt(squares / n);
        out_.within = within / n;
        out_.reduced_chi_square = chi_square_ / n;
    }

    std::vector<Candidate> causes() const {
        std::vector<double> model;
        for (const auto& r : out_.residuals) model.push_back(r.model);
        std::vector<Candidate> all{{Cause::Level, 0, model},
                                   {Cause::Height, 0, slope(0, 0, 1)},
                                   {Cause::Along, 0, along_},
                                   {Cause::Across, 0, across_}};
        for (std::size_t f = 0; f < scene_.fixtures.size() && scene_.fixtures.size() > 1; ++f) {
            auto alone = scene_;
            alone.fixtures = {scene_.fixtures[f]};
            all.push_back({Cause::OneFixture, static_cast<int>(f) + 1, values(alone)});
        }
        return all;
    }

    void judge() {
        out_.agrees =
            out_.reduced_chi_square <= kAgreesChiSquare && std::abs(out_.mean_ratio - 1.0) <= kAgreesMean;
        out_.reason =
            say(GLUMET_SAY(
                    "Core",
                    "{} readings lie {} off the prediction in mean, {} of them within two standard errors."),
                Count{static_cast<int>(out_.residuals.size())}, SignedShare{out_.mean_ratio - 1.0},
                Share{out_.within});
        if (out_.agrees) return;
        if (!explain(causes())) {
            out_.cause = Cause::None;
            out_.reason +=
                say(GLUMET_SAY("Core", "No single cause explains it: the field differs in shape."));
            return;
        }
        out_.reason += explained();
    }

    /// Takes the cause that takes away most; false unless the scene with it really explains enough. A slope
    /// promises much far from where it was taken.
    bool explain(const std::vector<Candidate>& all) {
        double most = 0.0;
        double own = 0.0;
        double common = 0.0;
        for (const auto& cause : all) {
            double rc = 0.0;
            double cc = 0.0;
            double open = 0.0;
            for (std::size_t i = 0; i < cause.effect.size(); ++i) {
                const double c = cause.effect[i] / error_[i];
                rc += c * out_.residuals[i].standard_errors;
                cc += c * c;
                open += std::abs(c) * unknown_[i] / error_[i];
            }
            if (cc <= 0.0 || rc * rc / cc <= most) continue;
            most = rc * rc / cc;
            out_.cause = cause.what;
            out_.cause_fixture = cause.fixture;
            out_.cause_size = rc / cc;
            own = 1.0 / std::sqrt(cc);
            common = open / cc;
        }
        const double left = chiSquareIn(mended());
        const double widened = std::sqrt(std::max(1.0, left / static_cast<double>(error_.size())));
        const double half = kInterval95 * std::hypot(own * widened, common);
        out_.cause_low = out_.cause_size - half;
        out_.cause_high = out_.cause_size + half;
        return left < (1.0 - kExplains) * chi_square_;
    }

    /// The scene with the cause in it.
    LightScene mended() const {
        auto scene = scene_;
        for (std::size_t f = 0; f < scene.fixtures.size(); ++f) {
            auto& fixture = scene.fixtures[f];
            const bool meant = out_.cause == Cause::Level || static_cast<int>(f) + 1 == out_.cause_fixture;
            if (out_.cause == Cause::Height)
                fixture.height_mm = std::max(1.0, fixture.height_mm + out_.cause_size);
            else if (out_.cause == Cause::Along)
                fixture.x_mm += out_.cause_size;
            else if (out_.cause == Cause::Across)
                fixture.y_mm += out_.cause_size;
            else if (meant)
                fixture.level *= std::max(0.0, 1.0 + out_.cause_size);
        }
        return scene;
    }

    double chiSquareIn(const LightScene& scene) const {
        const auto light = values(scene);
        double sum = 0.0;
        for (std::size_t i = 0; i < light.size(); ++i)
            sum += std::pow((out_.residuals[i].reading - light[i]) / error_[i], 2);
        return sum;
    }

    /// Half the interval, as words that follow a length or a share.
    Words giveOrTake() const {
        const double half = 0.5 * (out_.cause_high - out_.cause_low);
        if (out_.cause == Cause::Level || out_.cause == Cause::OneFixture)
            return say(GLUMET_SAY("Core", "(give or take {})"), Share{half});
        return say(GLUMET_SAY("Core", "(give or take {})"), Millimetre(half));
    }

    Words explained() const {
        const double size = out_.cause_size;
        const Millimetre length(std::abs(size));
        const bool more = size > 0;
        switch (out_.cause) {
            case Cause::Level:
                return say(GLUMET_SAY("Core", "They read {} {} everywhere: output, meter or its mode."),
                           SignedShare{size}, giveOrTake());
            case Cause::Height:
                return say(more ? GLUMET_SAY("Core", "It fits with the lamps {} {} higher.")
                                : GLUMET_SAY("Core", "It fits with the lamps {} {} lower."),
                           length, giveOrTake());
            case Cause::Along:
                return say(more ? GLUMET_SAY("Core", "It fits with the row {} {} to the right.")
                                : GLUMET_SAY("Core", "It fits with the row {} {} to the left."),
                           length, giveOrTake());
            case Cause::Across:
                return say(more ? GLUMET_SAY("Core", "It fits with the row {} {} to the back.")
                                : GLUMET_SAY("Core", "It fits with the row {} {} to the front."),
                           length, giveOrTake());
            case Cause::OneFixture:
                return say(GLUMET_SAY("Core", "It fits if fixture {} from the left gives {} {}."),
                           std::to_string(out_.cause_fixture), SignedShare{size}, giveOrTake());
            case Cause::None:
                break;
        }
        return {};
    }

    const FitResult& fit_;
    const LightModel model_ = fit_.model.elsewhere();
    const Bench& bench_;
    Id index_;
    const Run& run_;
    const Tank& tank_;
    const FitOptions& options_;
    LightScene scene_;
    std::vector<BasisField::Point> points_;
    std::vector<double> noise_;
    std::vector<double> error_;
    std::vector<double> unknown_;  ///< what the fit leaves open, standard error
    std::vector<double> along_;
    std::vector<double> across_;
    double chi_square_ = 0.0;
    ArrayAgreement out_;
};

}  // namespace

Expected<ArrayAgreement> arrayAgreement(const FitResult& single, const Bench& bench, Id run,
                                        const FitOptions& options) {
    const auto* tank = byId(bench.tanks, bench.run(run).tank);
    if (tank == nullptr) return problem("run", say(GLUMET_SAY("Core", "names no tank")));
    return Overlay(single, bench, run, *tank, options).compare();
}

}  // namespace glumet
