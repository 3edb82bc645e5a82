#include "core/verdicts/enough.h"

#include <Eigen/Core>
#include <algorithm>
#include <cmath>

#include "core/base/interval.h"
#include "core/bench/grid.h"
#include "core/linear/linear.h"
#include "core/words/finding.h"

namespace glumet {
namespace {

constexpr double kHeightStepMm = 15.0;
constexpr double kUnplannedWorth = 0.8;
constexpr double kBeyondMm = 150.0;  // above the highest height that could be read

class Knowledge {
  public:
    Knowledge(const LightModel& model, const EnoughQuestion& question)
        : model_(model),
          q_(question),
          bells_(static_cast<Eigen::Index>(model.beam.size())),
          covariance_(Eigen::Map<const Eigen::MatrixXd>(model.covariance.data(), bells_ + 1, bells_ + 1)) {}

    HeightKnowledge find() {
        HeightKnowledge out;
        if (q_.heights.empty() || q_.depths.empty()) {
            out.reason = say(GLUMET_SAY("Core", "No height or depth is offered."));
            return out;
        }
        if (q_.verdict) {
            out.height = q_.verdict->height;
            slope_ = Eigen::Map<const Eigen::VectorXd>(q_.verdict->slope.data(), bells_ + 1);
        } else if (!leanOnCrossing(out)) {
            return out;
        }
        out.error_mm = errorWith(covariance_);
        out.enough = out.error_mm <= q_.tolerance.value();
        offer(out);
        out.reason =
            out.enough
                ? say(GLUMET_SAY("Core", "The height is known to ± {}: more readings will not move it."),
                      Millimetre(out.error_mm))
                : say(GLUMET_SAY("Core", "The height is known to ± {}; ± {} is wanted."),
                      Millimetre(out.error_mm), q_.tolerance);
        return out;
    }

  private:
    std::vector<BasisField::Point> points(double depth_mm) const {
        std::vector<BasisField::Point> out;
        for (const auto cell : serpentine(q_.grid))
            out.push_back({q_.grid.xs_mm[static_cast<std::size_t>(cell.column)],
                           q_.grid.ys_mm[static_cast<std::size_t>(cell.row)], depth_mm});
        return out;
    }

    std::vector<double> rowsAt(double height_mm, double depth_mm, double turn_deg = 0.0) const {
        auto scene = q_.tank;
        hangAt(scene, {scene.length_mm / 2.0}, Millimetre(std::max(5.0, height_mm)), 1.0, {});
        scene.fixtures.back().rotation_deg = turn_deg;
        return model_.over(scene, 0.0, scene.water.attenuation_per_m).rows(points(depth_mm));
    }

    /// By the spill limit; false when the loss does not reach it.
    bool leanOnCrossing(HeightKnowledge& out) {
        tabulateMeans();
        const auto crossing = crossingOf(parameters());
        if (!crossing) {
            out.reason = say(GLUMET_SAY("Core", "The modelled loss does not reach {} up to {}."),
                             Share{q_.limit}, Millimetre(heights_.back()));
            return false;
        }
        out.height = Millimetre(*crossing);
        slope_ = slopeOfCrossing(*crossing);
        return true;
    }

    /// Grid-mean rows over height, for interpolation.
    void tabulateMeans() {
        const double low = std::min(q_.lowest.value(), q_.heights.front().value()) - 2 * kHeightStepMm;
        const double high = q_.heights.back().value() + kBeyondMm;
        for (double h = std::max(10.0, low); h <= high; h += kHeightStepMm) {
            const auto rows = rowsAt(h, q_.depth.value());
            const auto count = static_cast<Eigen::Index>(rows.size()) / bells_;
            const Eigen::Map<const Eigen::Matrix<double, Eigen::Dynamic, Eigen::Dynamic, Eigen::RowMajor>>
                all(rows.data(), count, bells_);
            heights_.push_back(h);
            means_.emplace_back(all.colwise().mean().transpose());
        }
    }

    Eigen::VectorXd parameters() const {
        Eigen::VectorXd p(bells_ + 1);
        p << Eigen::Map<const Eigen::VectorXd>(model_.beam.data(), bells_), model_.height_offset_mm;
        return p;
    }

    double meanAt(const Eigen::VectorXd& p, double height_mm) const {
        const double u = std::clamp((height_mm + p(bells_) - heights_.front()) / kHeightStepMm, 0.0,
                                    static_cast<double>(heights_.size() - 1) - 1e-9);
        const auto i = static_cast<std::size_t>(u);
        const double t = u - static_cast<double>(i);
        const auto at = [&](std::size_t j) {
            return std::log(std::max(1e-12, means_[j].dot(p.head(bells_))));
        };
        // The logarithm is nearly straight over a step.
        return std::exp((1.0 - t) * at(i) + t * at(i + 1));
    }

    std::optional<double> crossingOf(const Eigen::VectorXd& p) const {
        const double wanted = (1.0 - q_.limit) * meanAt(p, q_.lowest.value());
        double low = q_.lowest.value();
        double high = heights_.back() - p(bells_) - kHeightStepMm;
        if (meanAt(p, high) > wanted) return std::nullopt;
        for (int i = 0; i < 40; ++i) {
            const double middle = 0.5 * (low + high);
            (meanAt(p, middle) > wanted ? low : high) = middle;
        }
        return 0.5 * (low + high);
    }

    Eigen::VectorXd slopeOfCrossing(double crossing) const {
        Eigen::VectorXd slope(bells_ + 1);
        const auto p = parameters();
        const double scale = p.head(bells_).maxCoeff();
        for (Eigen::Index k = 0; k <= bells_; ++k) {
            auto moved = p;
            const double step = k == bells_ ? 1.0 : 0.01 * scale;
            moved(k) += step;
            const auto there = crossingOf(moved);
            slope(k) = there ? (*there - crossing) / step : 0.0;
        }
        return slope;
    }

    double errorWith(const Eigen::MatrixXd& covariance) const {
        return kInterval95 * std::sqrt(std::max(0.0, slope_.dot(covariance * slope_)));
    }

    /// The covariance after a plane has been read.
    Eigen::MatrixXd narrowedBy(double height_mm, double depth_mm, double turn_deg) const {
        const auto now = rowsAt(height_mm + model_.height_offset_mm, depth_mm, turn_deg);
        const auto higher = rowsAt(height_mm + model_.height_offset_mm + 1.0, depth_mm, turn_deg);
        const auto count = static_cast<Eigen::Index>(now.size()) / bells_;
        const auto p = parameters();
        Eigen::MatrixXd x(count, bells_ + 1);
        Eigen::VectorXd noise(count);
        for (Eigen::Index i = 0; i < count; ++i) {
            const Eigen::Map<const Eigen::VectorXd> row(now.data() + i * bells_, bells_);
            const Eigen::Map<const Eigen::VectorXd> up(higher.data() + i * bells_, bells_);
            const double value = row.dot(p.head(bells_));
            x.row(i).head(bells_) = row.transpose();
            x(i, bells_) = up.dot(p.head(bells_)) - value;
            noise(i) = std::max(1e-9, q_.reading_noise * value);
        }
        Eigen::MatrixXd inner = x * covariance_ * x.transpose();
        inner.diagonal() += noise.cwiseAbs2();
        const Eigen::MatrixXd cross = x * covariance_;
        return covariance_ - cross.transpose() * Cholesky(inner).solve(cross);
    }

    bool isRead(Millimetre height, Millimetre depth, double turn_deg) const {
        return turn_deg == q_.turns_deg.front() &&
               std::any_of(q_.read.begin(), q_.read.end(), [&](const auto& plane) {
                   return std::abs((plane.first - height).value()) <= kSamePointMm &&
                          std::abs((plane.second - depth).value()) <= kSamePointMm;
               });
    }

    void offerAt(HeightKnowledge& out, Millimetre height, bool planned) const {
        for (const double turn : q_.turns_deg)
            for (const auto depth : q_.depths)
                if (!isRead(height, depth, turn))
                    out.offers.push_back({height, depth, turn,
                                          errorWith(narrowedBy(height.value(), depth.value(), turn)),
                                          planned && turn == q_.turns_deg.front()});
    }

    void offer(HeightKnowledge& out) const {
        for (const auto height : q_.heights) offerAt(out, height, true);
        for (const auto height : q_.further) offerAt(out, height, false);
        // What is planned costs nobody a thought: the rest must be worth its hanging.
        const auto cost = [](const PlaneOffer& o) {
            return o.error_after_mm * (o.planned ? kUnplannedWorth : 1.0);
        };
        std::stable_sort(out.offers.begin(), out.offers.end(),
                         [&](const PlaneOffer& a, const PlaneOffer& b) { return cost(a) < cost(b); });
    }

    const LightModel& model_;
    const EnoughQuestion& q_;
    Eigen::Index bells_;
    Eigen::MatrixXd covariance_;
    std::vector<double> heights_;
    std::vector<Eigen::VectorXd> means_;
    Eigen::VectorXd slope_;
};

}  // namespace

HeightKnowledge whatTellsMost(const LightModel& model, const EnoughQuestion& question) {
    return Knowledge(model, question).find();
}

std::vector<Finding> knowledgeFindings(const HeightKnowledge& knowledge) {
    std::vector<Finding> out;
    if (!knowledge.height) return out;
    Finding fact;
    fact.title =
        say(GLUMET_SAY("Core", "By the fit, {} ± {}"), *knowledge.height, Millimetre(knowledge.error_mm));
    fact.body = knowledge.enough
                    ? say(GLUMET_SAY("Core", "The school's height; more readings will hardly move it."))
                    : say(GLUMET_SAY("Core", "The school's height as the fitted model has it."));
    fact.view = EvidenceView::Height;
    out.push_back(fact);
    if (knowledge.enough || knowledge.offers.empty()) return out;
    const auto& best = knowledge.offers.front();
    Finding next;
    next.kind = FindingKind::Next;
    next.title =
        say(best.turn_deg == 0.0 ? GLUMET_SAY("Core", "Reading {} at {} deep tells most")
                                 : GLUMET_SAY("Core", "Reading {} at {} deep, turned a quarter, tells most"),
            best.height, best.depth);
    next.body =
        say(best.planned ? GLUMET_SAY("Core", "It would bring the height to ± {}.")
                         : GLUMET_SAY("Core",
                                      "It would bring the height to ± {}; no run is planned like that "
                                      "yet: Bench, New run."),
            Millimetre(best.error_after_mm));
    next.view = best.planned ? EvidenceView::Measure : EvidenceView::Bench;
    out.push_back(next);
    return out;
}

}  // namespace glumet
