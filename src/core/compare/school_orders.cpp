#include "core/compare/school_orders.h"

#include <algorithm>
#include <cmath>

#include "core/verdicts/channel_mix.h"
#include "core/verdicts/goals.h"
#include "core/verdicts/spectrum_findings.h"

namespace glumet {
namespace {

constexpr std::array kHeightNames{GLUMET_SAY("Core", "spill limit"), GLUMET_SAY("Core", "flattest field"),
                                  GLUMET_SAY("Core", "band fill"), GLUMET_SAY("Core", "peak cap"),
                                  GLUMET_SAY("Core", "maker's range")};
constexpr std::array kLightNames{GLUMET_SAY("Core", "narrow band"), GLUMET_SAY("Core", "broad range"),
                                 GLUMET_SAY("Core", "sand bed"), GLUMET_SAY("Core", "gradient")};

constexpr std::array kHeightHeads{GLUMET_SAY("Core", "spill limit"), GLUMET_SAY("Core", "flattest field"),
                                  GLUMET_SAY("Core", "band fill"), GLUMET_SAY("Core", "peak cap"),
                                  GLUMET_SAY("Core", "maker's range")};
constexpr std::array kLightHeads{GLUMET_SAY("Core", "narrow band"), GLUMET_SAY("Core", "broad range"),
                                 GLUMET_SAY("Core", "sand bed"), GLUMET_SAY("Core", "gradient")};

class Orders {
  public:
    Orders(const Bench& bench, const std::vector<Sweep>& sweeps, const ComparePlace& place,
           const FitOf& fit_of, std::stop_token stop)
        : bench_(bench), sweeps_(sweeps), place_(place), fit_of_(fit_of), stop_(std::move(stop)) {}

    std::vector<SchoolOrder> all() {
        add(say(GLUMET_SAY("Core", "as chosen")), say(GLUMET_SAY("Core", "chosen")), place_,
            bench_.method.goal.band, false);
        if (!place_.height)
            for (std::size_t i = 0; i < kHeightSchools.size(); ++i) {
                auto place = place_;
                place.school = kHeightSchools[i];
                add(say(GLUMET_SAY("Core", "height by {}"), Words(say(kHeightNames[i]))),
                    say(kHeightHeads[i]), place, bench_.method.goal.band, false);
            }
        for (std::size_t i = 0; i < kLightSchools.size(); ++i) addLight(i);
        if (anyResponse())
            add(say(GLUMET_SAY("Core", "meters corrected for each spectrum")),
                say(GLUMET_SAY("Core", "meter corrected")), place_, bench_.method.goal.band, true);
        return std::move(out_);
    }

  private:
    void addLight(std::size_t i) {
        if (kLightSchools[i] == bench_.method.goal.school) return;
        const auto tank_id = place_.tank != 0 ? place_.tank : commonTank(comparedSweeps(bench_, sweeps_));
        const auto* tank = byId(bench_.tanks, tank_id);
        const auto depth = tank == nullptr ? Millimetre(0) : tank->water_depth;
        const auto goal = asReadBy(kLightSchools[i], bench_.method.goal, depth);
        if (goal.band == bench_.method.goal.band) return;  // it differs in zone or floor, not in the band
        add(say(GLUMET_SAY("Core", "how much light: {}"), Words(say(kLightNames[i]))), say(kLightHeads[i]),
            place_, goal.band, false);
    }

    /// What a meter under-reads of a contender's spectrum, as a factor; nothing where it is not known.
    std::optional<double> responseOf(const Contender& contender) const {
        const auto* meter = byId(bench_.meters, contender.configuration.meter);
        const auto& run = bench_.run(contender.run);
        if (meter == nullptr || run.planes.empty()) return std::nullopt;
        const auto mix = mixOf(bench_, run, run.planes.front());
        if (!mix) return std::nullopt;
        const auto correction =
            correctionByResponse(*meter, mix->mix.spectrumAt(mix->set_to), true, presetName(bench_, run));
        return correction ? std::optional(correction->factor) : std::nullopt;
    }

    bool anyResponse() const {
        return std::any_of(bench_.meters.begin(), bench_.meters.end(),
                           [](const MeterProfile& meter) { return !meter.response.empty(); });
    }

    void add(Words school, Words heading, const ComparePlace& place, const Band& band, bool by_response) {
        if (stop_.stop_requested()) return;
        auto contenders = contendersOf(bench_, sweeps_, place, fit_of_);
        if (by_response)
            for (auto& contender : contenders)
                if (const auto factor = responseOf(contender))
                    for (auto& plane : contender.planes)
                        for (auto& point : plane.points) point.ppfd *= *factor;
        JudgeQuestion asked;
        asked.tank = place.tank;
        asked.stop = stop_;
        asked.band = band;
        for (const auto& weight : weightsOf(bench_))
            if (weight.weight > 0.0) asked.wanted.insert(weight.criterion);
        asked.wanted.erase(Criterion::PriceForGoal);  // seconds a fixture, the same under every school
        std::vector<const FitResult*> fits;
        const bool by_fit =
            asked.wanted.contains(Criterion::RoomSpill) || asked.wanted.contains(Criterion::EyeLight);
        for (const auto* sweep : comparedSweeps(bench_, sweeps_))
            fits.push_back(fit_of_ && by_fit ? fit_of_(*sweep) : nullptr);
        const auto judged = judgeAll(bench_, std::move(contenders), fits, asked);
        RankQuestion question;
        question.weights = weightsFor(bench_, judged);
        std::erase_if(question.weights, [](const CriterionWeight& weight) {
            return weight.criterion == Criterion::PriceForGoal;
        });
        question.band = band;
        question.resamples = 1;
        keep(std::move(school), std::move(heading), judged, rankBoard(judged, question));
    }

    void keep(Words school, Words heading, const std::vector<Judged>& judged, const RankBoard& board) {
        SchoolOrder order;
        order.school = std::move(school);
        order.heading = std::move(heading);
        for (const auto at : board.order) {
            order.names.push_back(judged[at].contender.name);
            order.heights.push_back(judged[at].contender.height);
        }
        const auto& own = out_.empty() ? order.names : out_.front().names;
        for (std::size_t i = 0; i < order.names.size(); ++i) {
            const auto was = std::find(own.begin(), own.end(), order.names[i]);
            order.moved.push_back(
                was == own.end() ? 0 : static_cast<int>(was - own.begin()) - static_cast<int>(i));
        }
        if (!out_.empty()) sayWhy(order);
        out_.push_back(std::move(order));
    }

    /// The mover's height against its own height, where that is what changed.
    void sayWhy(SchoolOrder& order) const {
        const auto most = std::max_element(order.moved.begin(), order.moved.end(),
                                           [](int a, int b) { return std::abs(a) < std::abs(b); });
        if (most == order.moved.end() || *most == 0) return;
        const auto at = static_cast<std::size_t>(most - order.moved.begin());
        const auto& own = out_.front();
        const auto was = static_cast<std::size_t>(
            std::find(own.names.begin(), own.names.end(), order.names[at]) - own.names.begin());
        if (was < own.heights.size() && own.heights[was] != order.heights[at])
            order.why = say(GLUMET_SAY("Core", "{} hangs at {} instead of {}"), order.names[at],
                            order.heights[at], own.heights[was]);
        else
            order.why = say(GLUMET_SAY("Core", "{} has another share in the band"), order.names[at]);
    }

    const Bench& bench_;
    const std::vector<Sweep>& sweeps_;
    const ComparePlace& place_;
    const FitOf& fit_of_;
    std::stop_token stop_;
    std::vector<SchoolOrder> out_;
};

}  // namespace

bool SchoolOrder::changes() const {
    return std::any_of(moved.begin(), moved.end(), [](int by) { return by != 0; });
}

std::vector<SchoolOrder> schoolOrders(const Bench& bench, const std::vector<Sweep>& sweeps,
                                      const ComparePlace& place, const FitOf& fit_of, std::stop_token stop) {
    return Orders(bench, sweeps, place, fit_of, std::move(stop)).all();
}

}  // namespace glumet
