#include "core/living/living_findings.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "core/living/ramp_by_readings.h"
#include "core/verdicts/goals.h"
#include "core/words/wording.h"

namespace glumet {
namespace {

constexpr double kBeyondBand = 1.3;
constexpr double kAged = 0.93;  // of the field: more is the probe's own scatter
constexpr double kReaches = 0.8;

class Finder {
  public:
    Finder(const Bench& bench, const LivingQuestion& question, const std::vector<TankSurvey>& surveys)
        : bench_(bench), q_(question), surveys_(surveys) {}

    std::vector<Finding> find() {
        if (surveys_.empty()) {
            out_.push_back(finding(FindingKind::Next, say(GLUMET_SAY("Core", "Read the spots")),
                                   say(GLUMET_SAY("Core",
                                                  "Name places in the tank, and read the light at each: "
                                                  "today, and again after any change.")),
                                   EvidenceView::None));
            return std::move(out_);
        }
        dated();
        lostLight();
        slowly();
        ramps();
        firstLevelOfNewLight();
        move();
        beyondTheBand();
        theChosen();
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
        const auto change = comparedChange(surveys_, q_.before, q_.now);
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
            auto steps = datedSteps(ramp);
            if (!steps) {
                doubt(say(GLUMET_SAY("Core", "The plan \"{}\" cannot be kept"), ramp.name),
                      steps.error().where.empty() ? steps.error().what
                                                  : say("{} {}", steps.error().where, steps.error().what));
                continue;
            }
            cameOut(ramp, *steps);
            *steps = byReadings(std::move(*steps), surveys_);
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

    /// Whether the light rose as the level did.
    void cameOut(const Acclimation& ramp, const std::vector<DatedStep>& steps) {
        const auto outcome = outcomeOf(steps, surveys_);
        if (!outcome || !outcome->off()) return;
        doubt(
            say(GLUMET_SAY("Core", "{}: the light went to {} where {} was meant"), ramp.name,
                Share{outcome->read}, Share{outcome->meant}),
            outcome->exponent
                ? say(GLUMET_SAY("Core",
                                 "Between {} and {}, by the spots. The coming steps are worked out anew, so "
                                 "that the light rises as planned."),
                      outcome->from, outcome->to)
                : say(GLUMET_SAY("Core",
                                 "Between {} and {}, by the spots: not by the level, then. Look at lamps, "
                                 "covers, water and the probe before the next step."),
                      outcome->from, outcome->to));
    }

    /// A clock that was wrong, or a year mistyped.
    void dated() {
        if (q_.today.empty() || surveys_.back().day <= q_.today) return;
        doubt(say(GLUMET_SAY("Core", "A reading is dated {}, after today"), surveys_.back().day),
              say(GLUMET_SAY("Core",
                             "It counts as the last look: take it back, or read anew with the right date.")));
    }

    /// What others of the kind were seen at; of a bare place what would fit it.
    void theChosen() {
        const auto* at = byId(bench_.spots, q_.spot);
        const auto* reading = at == nullptr ? nullptr : latestAt(*at);
        if (reading == nullptr) return;
        if (const auto* who = livesAt(bench_, at->id))
            ofItsKind(*who);
        else
            fits(*at, reading->mean);
    }

    void ofItsKind(const Organism& who) {
        const auto kind = sameKind(bench_, who);
        if (kind.size() < 2) return;
        Listed seen;
        for (const auto& one : kind) {
            const auto& other = *byId(bench_.organisms, one.organism);
            seen.items.push_back(one.state == Wellbeing::Unknown
                                     ? say(GLUMET_SAY("Core", "{} at {}"), one.light, spot(other.spot).name)
                                     : say(GLUMET_SAY("Core", "{} at {} ({})"), one.light,
                                           spot(other.spot).name, stateOf(one.state)));
        }
        fact(say(GLUMET_SAY("Core", "{} is kept at {} levels"), who.name, countOf(kind.size())),
             say(GLUMET_SAY("Core",
                            "{}. The broad-range school goes by such evidence rather than one number."),
                 std::move(seen)));
    }

    static Words stateOf(Wellbeing state) {
        return state == Wellbeing::Thriving  ? say(GLUMET_SAY("Core", "thrives"))
               : state == Wellbeing::Holding ? say(GLUMET_SAY("Core", "holds"))
                                             : say(GLUMET_SAY("Core", "declines"));
    }

    void fits(const TankSpot& at, Ppfd light) {
        Listed goals;
        const auto add = [&](const Goal& goal) {
            if (zoneOf(light, goal.band) == LightZone::Middle) goals.items.push_back(verbatim(goal.name));
        };
        for (const auto& goal : bench_.method.goals) add(goal);
        for (const auto& goal : readyGoals()) add(goal);
        if (goals.items.empty())
            fact(say(GLUMET_SAY("Core", "No goal asks for the {} of {}"), light, at.name), {});
        else
            fact(say(GLUMET_SAY("Core", "{} has {}: it would suit {}"), at.name, light, std::move(goals)),
                 say(GLUMET_SAY(
                     "Core", "By its light alone; bands are starting points, and flow and room count too.")));
    }

    /// Lamps age and covers get dirty for all spots alike; what grows takes light from single ones.
    void slowly() {
        const auto slow = slowChange(surveys_);
        if (!slow || slow->field > kAged) return;
        fact(say(GLUMET_SAY("Core", "The whole tank lost {} of its light since {}"), Share{1.0 - slow->field},
                 slow->from),
             say(GLUMET_SAY("Core",
                            "All spots alike, so it is not growth: clean covers and panes and read again; "
                            "what stays lost is the lamps' age, {} a year."),
                 Share{-slow->per_year}));
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
        const auto& there = spot(to.spot);
        if (there.tank != q_.tank)
            body += say(GLUMET_SAY("Core", "That is in {}."), byId(bench_.tanks, there.tank)->name);
        fact(say(GLUMET_SAY("Core", "{} would have {} at {}"), who, to.light, there.name), std::move(body));
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
            out_.push_back(finding(
                FindingKind::Next, say(GLUMET_SAY("Core", "Change one thing at a time")),
                say(GLUMET_SAY("Core",
                               "While the light is raised leave diffusers, heights and places as they are: "
                               "else nobody knows what helped or hurt.")),
                EvidenceView::None));
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
    const std::vector<TankSurvey>& surveys_;
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

std::vector<Finding> livingFindings(const Bench& bench, const LivingQuestion& question,
                                    const std::vector<TankSurvey>& surveys) {
    return Finder(bench, question, surveys).find();
}

std::optional<SurveyChange> comparedChange(const std::vector<TankSurvey>& surveys, const std::string& before,
                                           const std::string& now) {
    if (surveys.size() < 2) return std::nullopt;
    return changeBetween(surveys, before.empty() ? surveys[surveys.size() - 2].day : before,
                         now.empty() ? surveys.back().day : now);
}

std::optional<Finding> shadeFinding(const Bench& bench, const SpotShade& shade, const ReachUnder& reach) {
    const auto* spot = byId(bench.spots, shade.spot);
    if (spot == nullptr || !shade.worthSaying()) return std::nullopt;
    Words title = shade.as_read
                      ? say(GLUMET_SAY("Core", "{} keeps {} of its light by the rocks as drawn, {} as read"),
                            spot->name, Share{shade.by_model}, Share{*shade.as_read})
                      : say(GLUMET_SAY("Core", "{} keeps {} of its light by the rocks as drawn"), spot->name,
                            Share{shade.by_model});
    if (shade.more_than_rocks)
        return finding(FindingKind::Doubt, std::move(title),
                       say(GLUMET_SAY("Core",
                                      "More is missing than the rocks take: something grew or stands there "
                                      "that is not drawn.")),
                       EvidenceView::None);
    struct From {
        std::optional<double> kept;
        Words from;
    };
    const std::array<From, 4> strips{From{reach.front, say(GLUMET_SAY("Core", "front"))},
                                     From{reach.back, say(GLUMET_SAY("Core", "back"))},
                                     From{reach.left, say(GLUMET_SAY("Core", "left"))},
                                     From{reach.right, say(GLUMET_SAY("Core", "right"))}};
    const auto best = std::max_element(strips.begin(), strips.end(), [](const From& a, const From& b) {
        return a.kept.value_or(0.0) < b.kept.value_or(0.0);
    });
    Words body = best->kept.value_or(0.0) < kReaches
                     ? say(GLUMET_SAY("Core", "No strip along an edge would reach under."))
                     : say(GLUMET_SAY("Core",
                                      "A strip along the {} edge would reach under with {} of its "
                                      "light."),
                           best->from, Share{*best->kept});
    if (reach.turned && *reach.turned > 1.1)
        body += say(GLUMET_SAY("Core", "The fixtures turned by 90° would give it {} of what they give now."),
                    Share{*reach.turned});
    return finding(FindingKind::Fact, std::move(title), std::move(body), EvidenceView::None);
}

Finding raiseFinding(const Bench& bench, const TankSpot& spot, const Raise& raise) {
    const auto* who = livesAt(bench, spot.id);
    return finding(
        FindingKind::Fact,
        say(GLUMET_SAY("Core", "{} higher, {} would have {}"), raise.by, spot.name, raise.there),
        say(GLUMET_SAY(
                "Core",
                "As {} nears the lamps they can go up with it; the middle of the floor then keeps {} of "
                "its light."),
            who == nullptr ? spot.name : who->name, Share{raise.others}),
        EvidenceView::None);
}

std::optional<Finding> zoneFinding(const TankZones& zones, Millimetre depth, const Goal& goal) {
    if (zones.here.told <= 0.0) return std::nullopt;
    const PpfdSpan band{goal.band.low, goal.band.high};
    const Words whom = goal.name.empty() ? say("{}", band) : say("{} ({})", goal.name, band);
    Words body = say(GLUMET_SAY("Core", "For {}, over the {} of this depth whose light is told."), whom,
                     Share{zones.here.told});
    if (goal.school == LightSchool::Gradient)
        body += say(GLUMET_SAY("Core", "The gradient school wants all three."));
    if (zones.seam)
        body += say(
            GLUMET_SAY("Core", "Where the fixtures meet, {} from the left, {} of the lower hump is left."),
            Millimetre(zones.seam->x_mm), Share{zones.seam->share});
    if (!zones.unlit.empty()) {
        const auto& darkest =
            *std::min_element(zones.unlit.begin(), zones.unlit.end(),
                              [](const UnlitCorner& a, const UnlitCorner& b) { return a.share < b.share; });
        body += say(GLUMET_SAY("Core", "The {} {} corner has {} of the brightest place."),
                    darkest.back ? say(GLUMET_SAY("Core", "back")) : say(GLUMET_SAY("Core", "front")),
                    darkest.right ? say(GLUMET_SAY("Core", "right")) : say(GLUMET_SAY("Core", "left")),
                    Share{darkest.share});
    }
    if (goal.floor && zones.floor_least)
        body +=
            *zones.floor_least < goal.floor->value()
                ? say(GLUMET_SAY("Core",
                                 "The sand-bed rule asks {} at the bottom and is not held: {} is told."),
                      *goal.floor, Ppfd(*zones.floor_least))
                : say(GLUMET_SAY("Core", "The sand-bed rule asks {} at the bottom and is held: {} at least."),
                      *goal.floor, Ppfd(*zones.floor_least));
    return finding(FindingKind::Fact,
                   say(GLUMET_SAY("Core", "At {}: {} dim, {} in band, {} bright"), depth,
                       Share{zones.here.dim}, Share{zones.here.middle}, Share{zones.here.bright}),
                   std::move(body), EvidenceView::None);
}

}  // namespace glumet
