#include "core/living/living_findings.h"

#include <algorithm>
#include <cmath>

namespace glumet {
namespace {

constexpr int kLookAgainDays = 30;
constexpr double kBeyondBand = 1.3;

class Finder {
  public:
    Finder(const Bench& bench, const LivingQuestion& question)
        : bench_(bench), q_(question), surveys_(surveysOf(bench, question.tank)) {}

    std::vector<Finding> find() {
        if (surveys_.empty()) {
            out_.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "Read the spots")),
                                   say(GLUMET_SAY("Core",
                                                  "Name places in the tank, and read the light at each: "
                                                  "today, and again after any change.")),
                                   EvidenceView::None));
            return std::move(out_);
        }
        lostLight();
        ramps();
        firstLevelOfNewLight();
        move();
        beyondTheBand();
        oneThing();
        next();
        return std::move(out_);
    }

  private:
    const TankSpot& spot(Id id) const { return *byId(bench_.spots, id); }
    void fact(Words title, Words body) {
        out_.push_back(finding(FindingKind::Fact, std::move(title), std::move(body), EvidenceView::None));
    }
    void doubt(Words title, Words body) {
        out_.push_back(finding(FindingKind::Doubt, std::move(title), std::move(body), EvidenceView::None));
    }

    void lostLight() {
        if (surveys_.size() < 2) return;
        const auto change = changeBetween(surveys_, surveys_[surveys_.size() - 2].day, surveys_.back().day);
        if (!change) return;
        for (const auto& one : change->spots)
            if (one.lost) {
                const auto* who = livesAt(bench_, one.spot);
                doubt(say(GLUMET_SAY("Core", "{} lost light by itself: {} instead of {}"),
                          spot(one.spot).name, one.now, Ppfd(one.before.value() * change->field)),
                      who == nullptr
                          ? say(GLUMET_SAY("Core",
                                           "The other spots stand at {} of what they had on {}. Something "
                                           "stands in its way."),
                                Share{change->field}, change->before)
                          : say(GLUMET_SAY("Core",
                                           "The other spots stand at {} of what they had on {}. Something "
                                           "grew or stands over {}: cut it back, or move it."),
                                Share{change->field}, change->before, who->name));
            }
    }

    void ramps() {
        for (const auto& ramp : bench_.ramps) {
            if (ramp.tank != 0 && ramp.tank != q_.tank) continue;
            const auto steps = datedSteps(ramp);
            if (!steps) {
                doubt(say(GLUMET_SAY("Core", "The plan \"{}\" cannot be kept"), ramp.name),
                      steps.error().where.empty() ? steps.error().what
                                                  : say("{} {}", steps.error().where, steps.error().what));
                continue;
            }
            const auto due = std::find_if(steps->begin(), steps->end(),
                                          [&](const DatedStep& step) { return step.day > q_.today; });
            const Figure now{levelOn(*steps, q_.today), 0};
            if (due != steps->end())
                fact(say(GLUMET_SAY("Core", "{}: {} % today, {} % on {}"), ramp.name, now,
                         Figure{due->level_pct, 0}, due->day),
                     say(GLUMET_SAY("Core",
                                    "Look first: bleached, closed or shedding means wait, or a step back.")));
            else
                fact(say(GLUMET_SAY("Core", "{}: {} %, at its end"), ramp.name, now),
                     steps->back().held
                         ? say(GLUMET_SAY("Core", "It is paused; it goes on when the pause is ended."))
                         : say(GLUMET_SAY("Core",
                                          "Keep it there for some weeks before anything else is changed.")));
        }
    }

    /// Only while no ramp is under way: then the new light's first level is what matters.
    void firstLevelOfNewLight() {
        if (surveys_.size() < 2 || underWay()) return;
        for (std::size_t i = surveys_.size() - 1; i > 0; --i) {
            const auto change = changeBetween(surveys_, surveys_[i - 1].day, surveys_[i].day);
            if (!change || change->field < 1.0 + q_.first_share) continue;
            if (const auto level = firstLevel(surveys_, surveys_[i - 1].day, surveys_[i].day, q_.first_share);
                level && level->level_pct < 100.0)
                fact(say(GLUMET_SAY("Core", "Begin at {} % of the light of {}"),
                         Figure{std::floor(level->level_pct), 0}, surveys_[i].day),
                     say(GLUMET_SAY("Core",
                                    "Then no spot has more than {} above what it had on {}; {} is the one "
                                    "that would gain most."),
                         Share{q_.first_share}, surveys_[i - 1].day, spot(level->limited_by).name));
            return;
        }
    }

    /// The one that is worst off and for which there is a better place.
    void move() {
        const Organism* worst = nullptr;
        double away = 0.0;
        for (const auto& organism : bench_.organisms) {
            const auto* at = byId(bench_.spots, organism.spot);
            if (at == nullptr || at->tank != q_.tank || organism.state == Wellbeing::Thriving) continue;
            const auto wanted = wantedBy(bench_, organism);
            const auto* reading = latestAt(*at);
            if (!wanted || reading == nullptr || !(reading->mean.value() > 0.0)) continue;
            double off = 0.0;
            if (reading->mean < wanted->band.low) off = std::log(wanted->band.low / reading->mean);
            if (reading->mean > wanted->band.high) off = std::log(reading->mean / wanted->band.high);
            if (organism.state == Wellbeing::Declining) off *= 2.0;
            if (off > away) {
                away = off;
                worst = &organism;
            }
        }
        if (worst == nullptr) return;
        const auto places = placesFor(bench_, *worst);
        if (places.empty() || !places.front().within) return;
        const auto& to = places.front();
        const auto wanted = wantedBy(bench_, *worst);
        const Words who = say(GLUMET_SAY("Core", "{} at {}"), worst->name, spot(worst->spot).name);
        Words body = say(
            GLUMET_SAY(
                "Core",
                "It has {} and is looked for {} ({}). Move one at a time, and look again after two weeks."),
            latestAt(spot(worst->spot))->mean, PpfdSpan{wanted->band.low, wanted->band.high},
            wanted->basis == WantedLight::Basis::Seen ? say(GLUMET_SAY("Core", "your own evidence"))
                                                      : say("{}", worst->goal.name));
        if (to.lives_there != 0)
            body +=
                say(GLUMET_SAY("Core", "{} lives there now."), byId(bench_.organisms, to.lives_there)->name);
        fact(say(GLUMET_SAY("Core", "{} would have {} at {}"), who, to.light, spot(to.spot).name),
             std::move(body));
    }

    void beyondTheBand() {
        for (const auto& organism : bench_.organisms) {
            const auto* at = byId(bench_.spots, organism.spot);
            if (at == nullptr || at->tank != q_.tank || organism.state != Wellbeing::Thriving ||
                organism.goal.name.empty())
                continue;
            const auto* reading = latestAt(*at);
            if (reading == nullptr) continue;
            const bool above = reading->mean.value() > kBeyondBand * organism.goal.band.high.value();
            const bool below = reading->mean.value() * kBeyondBand < organism.goal.band.low.value();
            if (!above && !below) continue;
            fact(say(GLUMET_SAY("Core", "{} thrives at {}, outside its band"), organism.name, reading->mean),
                 say(GLUMET_SAY("Core",
                                "The band of {} is {}. The broad-range school goes by what is seen: keep it "
                                "where it is, and keep it as evidence."),
                     organism.goal.name, PpfdSpan{organism.goal.band.low, organism.goal.band.high}));
            return;
        }
    }

    bool underWay() const {
        return std::any_of(bench_.ramps.begin(), bench_.ramps.end(), [&](const Acclimation& ramp) {
            const auto steps = datedSteps(ramp);
            return steps && !steps->empty() && steps->front().day <= q_.today &&
                   steps->back().day >= q_.today;
        });
    }

    void oneThing() {
        if (underWay())
            fact(say(GLUMET_SAY("Core", "Change one thing at a time")),
                 say(GLUMET_SAY("Core",
                                "While the light is raised leave diffusers, heights and places as they are: "
                                "else nobody knows what helped or hurt.")));
    }

    void next() {
        const auto since = daysBetween(surveys_.back().day, q_.today);
        if (since && *since >= kLookAgainDays)
            out_.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "Read the spots again")),
                                   say(GLUMET_SAY("Core", "The last look was {} days ago."), Count{*since}),
                                   EvidenceView::None));
        out_.push_back(
            finding(FindingKind::Next, say(GLUMET_SAY("Core", "Hands in the water")),
                    say(GLUMET_SAY("Core",
                                   "Plugs dry, residual-current protection on, nobody under a hanging lamp; "
                                   "local code and a licensed electrician have the last word. Light is one "
                                   "thing of many: flow, water and pests look alike.")),
                    EvidenceView::None));
    }

    const Bench& bench_;
    const LivingQuestion& q_;
    std::vector<TankSurvey> surveys_;
    std::vector<Finding> out_;
};

}  // namespace

const Organism* livesAt(const Bench& bench, Id spot) {
    for (const auto& organism : bench.organisms)
        if (organism.spot == spot) return &organism;
    return nullptr;
}

std::optional<LightSuits> suits(const Bench& bench, const TankSpot& spot) {
    const auto* who = livesAt(bench, spot.id);
    const auto* reading = latestAt(spot);
    if (who == nullptr || reading == nullptr) return std::nullopt;
    const auto wanted = wantedBy(bench, *who);
    if (!wanted) return std::nullopt;
    if (reading->mean < wanted->band.low) return LightSuits::Less;
    return reading->mean > wanted->band.high ? LightSuits::More : LightSuits::Right;
}

std::vector<Finding> livingFindings(const Bench& bench, const LivingQuestion& question) {
    return Finder(bench, question).find();
}

}  // namespace glumet
