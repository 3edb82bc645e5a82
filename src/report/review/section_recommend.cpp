#include <algorithm>

#include "core/compare/cost.h"
#include "core/plane/plane_statistics.h"
#include "report/palette.h"
#include "report/plan_figure.h"
#include "report/review/light_map.h"
#include "report/review/sections.h"

namespace glumet {
namespace {

constexpr std::size_t kMostCardRows = 4;
constexpr double kPercent = 100.0;

Words tankWords(const Tank& tank) {
    return say(GLUMET_SAY("Core", "{}, {} × {}"), tank.name, BareLength{tank.length}, tank.width);
}

/// The goal's name with its band, or the band alone.
Words goalWords(const Goal& goal) {
    const PpfdSpan band{goal.band.low, goal.band.high};
    return goal.name.empty() ? say("{}", band) : say(GLUMET_SAY("Core", "{} ({})"), goal.name, band);
}

Figure whole(double value) { return {value, 0}; }

Words intensity(const GoalLevel& level) {
    const auto& best = level.best;
    if (best.plateau_low_pct == best.plateau_high_pct)
        return say(GLUMET_SAY("Core", "{} %"), whole(best.level_pct));
    return say(GLUMET_SAY("Core", "{} % ({}–{} as good)"), whole(best.level_pct), whole(best.plateau_low_pct),
               whole(best.plateau_high_pct));
}

Words shareWords(const Recommendation& one) {
    const Share share{one.level.best.share};
    if (!one.share_low || !one.share_high) return say("{}", share);
    return say(GLUMET_SAY("Core", "{} ({}–{})"), share, whole(*one.share_low * kPercent),
               whole(*one.share_high * kPercent));
}

Words wayWords(const Recommendation& one) {
    if (one.count == 1) return one.turned ? say(GLUMET_SAY("Core", "turned by 90°")) : say("–");
    if (one.along == RowAlong::Width)
        return one.turned ? say(GLUMET_SAY("Core", "across the tank, each turned"))
                          : say(GLUMET_SAY("Core", "across the tank"));
    return one.turned ? say(GLUMET_SAY("Core", "along the tank, each turned"))
                      : say(GLUMET_SAY("Core", "along the tank"));
}

/// "3, 38 cm apart"
Words apartWords(const Recommendation& one) {
    const auto apart = one.spacing();
    return apart ? say("{}", *apart) : say("–");
}

std::optional<double> priceOf(const FixtureReview& review, const Recommendation& one) {
    const auto price =
        priceOfOne(review.bench, review.sweep.configuration.fixture, review.sweep.configuration.accessory);
    if (!price) return std::nullopt;
    return *price * one.count;
}

std::string currencyOf(const FixtureReview& review) {
    const auto* fixture = review.fixture();
    return fixture == nullptr ? std::string() : fixture->currency;
}

Words basisWords(const Recommendation& one) {
    return one.read ? say(GLUMET_SAY("Core", "read")) : say(GLUMET_SAY("Core", "modelled"));
}

Card::Row rowOf(const FixtureReview& review, const Recommendation& one) {
    const auto& tank = *byId(review.bench.tanks, one.tank);
    Card::Row row;
    row.figure = say("{}", Count{one.count});
    row.text = one.spacing() ? say(GLUMET_SAY("Core", "over {}, {} apart, at {} %"), tankWords(tank),
                                   *one.spacing(), whole(one.level.best.level_pct))
                             : say(GLUMET_SAY("Core", "over {}, at {} %"), tankWords(tank),
                                   whole(one.level.best.level_pct));
    // Where no school names a height, it must be said which one the figures are of.
    if (!review.headlineHeight()) row.text = say(GLUMET_SAY("Core", "{}, hung at {}"), row.text, one.height);
    row.note = say(GLUMET_SAY("Core", "{} of the points in {}, {} mol·m⁻² a day; {}"),
                   Share{one.level.best.share}, goalWords(one.goal), Figure{one.dli, 1}, basisWords(one));
    if (!one.enough) row.note = say(GLUMET_SAY("Core", "{}, and not enough"), row.note);
    if (const auto price = priceOf(review, one))
        row.note = say(GLUMET_SAY("Core", "{}; {} {} to buy"), row.note, whole(*price), currencyOf(review));
    return row;
}

/// Which classes of livestock one of it does not serve.
Words notFor(const FixtureReview& review) {
    Listed names;
    for (const auto& level : review.goals.not_served) names.items.push_back(goalWords(level.asked));
    if (names.items.empty()) return {};
    return say(
        GLUMET_SAY("Core",
                   "One alone at this height is not for {}: however it is dimmed, fewer than half of the "
                   "points lie in the band."),
        std::move(names));
}

Words underAnswer(const FixtureReview& review) {
    const auto* head = review.headline();
    if (head == nullptr || !head->speaks()) return review.headlineReason();
    Words school = verbatim(wordOf(head->school));
    if (head->school == HeightSchool::SpillLimit)
        school = say(GLUMET_SAY("Core", "spill limit, at most {} lost"), Share{review.verdict.asked.limit});
    if (head->crossing && head->low && head->high)
        return say(GLUMET_SAY("Core", "{} between the heights read, 95 % sure of {}; {}"), *head->crossing,
                   LengthSpan{*head->low, *head->high}, school);
    return school;
}

/// Where the fixtures of a recommendation hang over the tank, with the light it models there.
std::optional<PageFigure> arrayFigure(const FixtureReview& review, const Recommendation& one,
                                      const std::string& stem) {
    if (!review.fit || one.read || one.centres_mm.empty()) return std::nullopt;
    const auto* tank = byId(review.bench.tanks, one.tank);
    ArrayQuestion asked;
    asked.tank = tankByFit(*review.fit, *tank, review.sweep.configuration.water == WaterState::Dry);
    asked.height = one.height;
    asked.along = one.along;
    asked.turned = one.turned;
    asked.count = one.count;
    const auto model = review.fit->model.elsewhere();
    auto scene = hung(model, asked, one.centres_mm);
    if (!scene) return std::nullopt;
    const Millimetre depth(tank->water_depth / 2.0);
    auto figure =
        lightMap(std::move(*scene), *tank, depth, one.level.best.level_pct / kPercent, one.goal.band);
    figure.name = stem + "-array-" + fileStem(tank->name);
    figure.caption = say(
        GLUMET_SAY("Core", "{} over {} at {}, {} under water, µmol·m⁻²·s⁻¹ at {} %. Modelled, not measured."),
        Count{one.count}, tankWords(*tank), one.height, depth, whole(one.level.best.level_pct));
    figure.alt = say(GLUMET_SAY("Core", "Map of the modelled light, {} of the points in {}."),
                     Share{one.level.best.share}, goalWords(one.goal));
    return figure;
}

Words priceCell(const FixtureReview& review, const Recommendation& one) {
    const auto price = priceOf(review, one);
    return price ? say("{} {}", whole(*price), currencyOf(review)) : say(GLUMET_SAY("Core", "not stated"));
}

/// A column of the table of recommendations: what it says of one that speaks.
struct RecommendationColumn {
    DataTable::Column column;
    std::function<Words(const Recommendation&)> cell;
};

DataTable recommendationTable(const FixtureReview& review) {
    const auto& all = review.recommended;
    const auto differ = [&](const auto& of) {
        return std::any_of(all.begin(), all.end(),
                           [&](const auto& one) { return of(one) != of(all.front()); });
    };
    const auto tank_of = [&](const Recommendation& one) {
        return tankWords(*byId(review.bench.tanks, one.tank));
    };
    const auto goal_of = [](const Recommendation& one) { return goalWords(one.goal); };
    std::vector<RecommendationColumn> columns{{{say(GLUMET_SAY("Core", "tank")), false}, tank_of}};
    if (differ(goal_of)) columns.push_back({{say(GLUMET_SAY("Core", "goal")), false}, goal_of});
    columns.push_back(
        {{say(GLUMET_SAY("Core", "number"))}, [](const auto& one) { return say("{}", Count{one.count}); }});
    if (std::any_of(all.begin(), all.end(), [](const auto& one) { return one.count > 1 || one.turned; })) {
        columns.push_back({{say(GLUMET_SAY("Core", "row")), false}, wayWords});
        columns.push_back({{say(GLUMET_SAY("Core", "apart"))}, apartWords});
    }
    columns.push_back(
        {{say(GLUMET_SAY("Core", "intensity"))}, [](const auto& one) { return intensity(one.level); }});
    columns.push_back({{say(GLUMET_SAY("Core", "in the band"))}, shareWords});
    columns.push_back(
        {{say(GLUMET_SAY("Core", "mean"))}, [](const auto& one) { return say("{}", one.mean); }});
    columns.push_back({{say(GLUMET_SAY("Core", "mol·m⁻² a day"))}, [](const auto& one) {
                           return say("{}", Figure{one.dli, 1});
                       }});
    columns.push_back(
        {{say(GLUMET_SAY("Core", "price"))}, [&](const auto& one) { return priceCell(review, one); }});
    columns.push_back({{say(GLUMET_SAY("Core", "basis")), false}, [](const auto& one) {
                           return one.enough
                                      ? basisWords(one)
                                      : Words(say(GLUMET_SAY("Core", "{}; not enough"), basisWords(one)));
                       }});
    DataTable table;
    table.caption = say(
        GLUMET_SAY("Core",
                   "At {} over the water, for {}. A number is enough when {} of the points lie in the band."),
        review.shown().height, goalWords(all.front().goal), Share{RecommendationQuestion{}.goal_share});
    for (const auto& column : columns) table.columns.push_back(column.column);
    for (const auto& one : all) {
        std::vector<Words> cells;
        for (std::size_t c = 0; c < columns.size(); ++c)
            cells.push_back(one.speaks() || c == 0    ? columns[c].cell(one)
                            : c + 1 == columns.size() ? one.missing
                                                      : Words(say("–")));
        table.rows.push_back(std::move(cells));
    }
    return table;
}

}  // namespace

MadeSection cardSection(const SectionOf& of) {
    const auto& review = of.fixture();
    Card card;
    card.name = of.name + "-card";
    card.title = verbatim(review.name);
    const auto* tank = review.tank();
    const std::string edition =
        of.all.edition.number > 1 ? std::to_string(of.all.edition.number) : std::string("1");
    card.subtitle = tank == nullptr
                        ? say(GLUMET_SAY("Core", "{}, edition {}, {}"), of.all.bench.title, edition,
                              of.all.day.toStdString())
                        : say(GLUMET_SAY("Core", "{}; read in {}; edition {}, {}"), of.all.bench.title,
                              tankWords(*tank), edition, of.all.day.toStdString());
    if (const auto height = review.headlineHeight()) {
        card.over_answer = say(GLUMET_SAY("Core", "Hang it this high over the water"));
        card.answer = say("{}", *height);
    } else {
        card.over_answer = say(GLUMET_SAY("Core", "No height can be named"));
    }
    card.under_answer = underAnswer(review);
    for (const auto& one : review.recommended)
        if (one.speaks() && card.rows.size() < kMostCardRows) card.rows.push_back(rowOf(review, one));
    card.not_for = notFor(review);
    card.provenance = verbatim(of.all.provenance().toStdString());
    if (const auto* plane = shallowestRead(review.shown())) {
        auto plan = planOf(review.bench, review.shown(), *plane);
        plan.band = review.band;
        plan.scale_top = review.scale_top;
        card.map = [plan](QPainter& p, const QRectF& area) { paintPlan(p, area, plan, paper(), false); };
        card.map_alt = say(GLUMET_SAY("Core", "Map of the light {} under water."), plane->depth);
    }
    return {{card}, {}, 0};
}

MadeSection shortSection(const SectionOf& of) {
    const auto& review = of.fixture();
    MadeSection out;
    out.blocks.emplace_back(Paragraph{prose(review.headlineReason()), ProseTone::Lead});
    out.blocks.emplace_back(FactList{review.short_facts});
    if (!review.goals.served.empty()) {
        Listed names;
        for (const auto& level : review.goals.served)
            names.items.push_back(
                say(GLUMET_SAY("Core", "{} at {} %"), goalWords(level.asked), whole(level.best.level_pct)));
        out.blocks.emplace_back(Paragraph{prose(
            say(GLUMET_SAY("Core",
                           "One alone, as read here, puts four fifths of the points into the band of {}."),
                std::move(names)))});
    }
    if (auto words = notFor(review); !words.empty())
        out.blocks.emplace_back(Paragraph{prose(std::move(words))});
    out.blocks.emplace_back(Paragraph{
        prose(say(GLUMET_SAY(
            "Core", "Bands are starting points in round figures; reviewers and keepers differ about them."))),
        ProseTone::Muted});
    return out;
}

MadeSection arraysSection(const SectionOf& of) {
    const auto& review = of.fixture();
    MadeSection out;
    const bool any = std::any_of(review.recommended.begin(), review.recommended.end(),
                                 [](const auto& one) { return one.speaks(); });
    if (!any && review.planned.empty()) {
        out.missing = review.recommended.empty() ? say(GLUMET_SAY("Core", "no tank is described"))
                                                 : review.recommended.front().missing;
        return out;
    }
    if (any) out.blocks.emplace_back(recommendationTable(review));
    for (const auto& one : review.recommended)
        if (auto figure = one.speaks() ? arrayFigure(review, one, of.name) : std::nullopt) {
            out.blocks.emplace_back(FigureRow{{std::move(*figure)}});
            break;
        }
    for (const auto& measured : review.measured) {
        const auto& agreement = measured.agreement;
        const bool agrees = agreement && agreement->agrees;
        out.doubts += agrees ? 0 : 1;
        const Words said = agreement ? agreement->reason : agreement.error().what;
        out.blocks.emplace_back(
            Paragraph{prose(say(GLUMET_SAY("Core", "Measured, {}: {}"), measured.name, said)),
                      agrees ? ProseTone::Plain : ProseTone::Doubt});
    }
    if (review.measured.empty())
        out.blocks.emplace_back(
            Paragraph{prose(say(GLUMET_SAY(
                          "Core", "No row of several was measured: what is said of several is modelled."))),
                      ProseTone::Muted});
    for (auto& block : plannedBlocks(of)) out.blocks.push_back(std::move(block));
    return out;
}

MadeSection costSection(const SectionOf& of) {
    const auto& review = of.fixture();
    MadeSection out;
    const auto& configuration = review.sweep.configuration;
    const auto& method = review.bench.method;
    DataTable table;
    table.columns = {{say(GLUMET_SAY("Core", "tank")), false},
                     {say(GLUMET_SAY("Core", "number"))},
                     {say(GLUMET_SAY("Core", "buying"))},
                     {say(GLUMET_SAY("Core", "kWh a year"))},
                     {say(GLUMET_SAY("Core", "energy a year"))},
                     {say(GLUMET_SAY("Core", "over {} years"), Figure{method.years})}};
    std::vector<Words> missing;
    const auto cell = [](const std::optional<double>& value) {
        return value ? Words(say("{}", whole(*value))) : Words(say(GLUMET_SAY("Core", "not stated")));
    };
    for (const auto& one : review.recommended) {
        if (!one.speaks() || one.goal != method.goal) continue;
        CostQuestion asked;
        asked.count = one.count;
        asked.power = review.shown().power();
        asked.level = one.level.best.level_pct / kPercent;
        asked.hours_day = one.goal.photoperiod_h;
        asked.price_kwh = method.price_kwh;
        asked.years = method.years;
        const auto cost = costOf(review.bench, configuration.fixture, configuration.accessory, asked);
        table.rows.push_back({tankWords(*byId(review.bench.tanks, one.tank)), say("{}", Count{one.count}),
                              cell(cost.buying), cell(cost.kwh_year), cell(cost.energy_year),
                              cell(cost.total)});
        missing = cost.missing;
    }
    if (table.rows.empty()) {
        out.missing = say(GLUMET_SAY("Core", "no number of fixtures could be named"));
        return out;
    }
    table.caption = say(
        GLUMET_SAY("Core",
                   "Prices in {}; {} h a day at the recommended intensity; watts are taken to rise with it."),
        currencyOf(review).empty() ? std::string("–") : currencyOf(review),
        Figure{method.goal.photoperiod_h});
    out.blocks.emplace_back(std::move(table));
    if (!missing.empty())
        out.blocks.emplace_back(
            Paragraph{prose(say(GLUMET_SAY("Core", "Not in it: {}."), Listed{missing})), ProseTone::Muted});
    return out;
}

}  // namespace glumet
