#include <algorithm>

#include "core/compare/cost.h"
#include "report/review/light_map.h"
#include "report/review/sections.h"

namespace glumet {
namespace {

constexpr std::size_t kMostMaps = 4;

/// What all of them cost; nothing where a price is not stated or the currencies differ.
Words priceWords(const Bench& bench, const PlannedArray& plan) {
    double sum = 0.0;
    std::string currency;
    for (const auto& hung : plan.fixtures) {
        const auto price = priceOfOne(bench, hung.fixture, hung.accessory);
        const auto* fixture = byId(bench.fixtures, hung.fixture);
        const auto own = fixture == nullptr ? std::string() : fixture->currency;
        if (!price || (!currency.empty() && currency != own)) return say(GLUMET_SAY("Core", "not stated"));
        sum += *price;
        currency = own;
    }
    return say("{} {}", Figure{sum, 0}, currency);
}

Words bandShareWords(const PlannedLight& light) {
    return say(GLUMET_SAY("Core", "{} ({}–{})"), Share{light.share}, Figure{light.share_low * 100.0, 0},
               Figure{light.share_high * 100.0, 0});
}

/// "20 cm", or from the lowest to the highest.
Words heightWords(const PlannedArray& plan) {
    const auto [low, high] =
        std::minmax_element(plan.fixtures.begin(), plan.fixtures.end(),
                            [](const auto& a, const auto& b) { return a.height < b.height; });
    return low->height == high->height ? say("{}", low->height)
                                       : say("{}", LengthSpan{low->height, high->height});
}

/// What holds the plan back, where something does.
Words basisWords(const PlannedLight& light) {
    if (!light.ceiling_holds) return say(GLUMET_SAY("Core", "modelled; above the ceiling"));
    if (!light.floor_holds) return say(GLUMET_SAY("Core", "modelled; below the floor"));
    return say(GLUMET_SAY("Core", "modelled"));
}

std::vector<Words> rowOf(const Bench& bench, const FixtureReview::Planned& one) {
    const auto* tank = byId(bench.tanks, one.plan.tank);
    std::vector<Words> cells{tank == nullptr
                                 ? verbatim(one.plan.name)
                                 : Words(say(GLUMET_SAY("Core", "{}, over {}"), one.plan.name, tank->name)),
                             hungWords(bench, one.plan), heightWords(one.plan)};
    if (!one.light) {
        for (int cell = 0; cell < 4; ++cell) cells.emplace_back(say("–"));
        cells.push_back(one.light.error().what);
        return cells;
    }
    const auto& light = *one.light;
    cells.push_back(bandShareWords(light));
    cells.push_back(say("{}", light.mean));
    cells.push_back(say("{}", PpfdSpan{light.least, light.most}));
    cells.push_back(priceWords(bench, one.plan));
    cells.push_back(basisWords(light));
    return cells;
}

DataTable plannedTable(const FixtureReview& review) {
    DataTable table;
    const auto& goal = review.bench.method.goal;
    const PpfdSpan band{goal.band.low, goal.band.high};
    table.caption =
        say(GLUMET_SAY("Core",
                       "Arrays as the reviewer plans them, in the band {} at the levels planned. Nobody has "
                       "read them there; the intervals hold what the fits leave open."),
            band);
    table.columns = {{say(GLUMET_SAY("Core", "planned")), false}, {say(GLUMET_SAY("Core", "hung")), false},
                     {say(GLUMET_SAY("Core", "height"))},         {say(GLUMET_SAY("Core", "in the band"))},
                     {say(GLUMET_SAY("Core", "mean"))},           {say(GLUMET_SAY("Core", "least–most"))},
                     {say(GLUMET_SAY("Core", "price"))},          {say(GLUMET_SAY("Core", "basis")), false}};
    for (const auto& one : review.planned) table.rows.push_back(rowOf(review.bench, one));
    return table;
}

PageFigure mapOf(const FixtureReview& review, const FixtureReview::Planned& one, const std::string& stem) {
    const auto& tank = *byId(review.bench.tanks, one.plan.tank);
    const Millimetre depth(tank.water_depth / 2.0);
    auto figure = lightMap(*one.scene, tank, depth, 1.0, review.bench.method.goal.band);
    figure.name = stem + "-planned-" + fileStem(one.plan.name);
    figure.caption =
        say(GLUMET_SAY("Core", "{}: {} over {}, {} under water, µmol·m⁻²·s⁻¹. Modelled, not measured."),
            one.plan.name, hungWords(review.bench, one.plan), tank.name, depth);
    figure.alt = say(GLUMET_SAY("Core", "Map of the modelled light, {} of the points in {}."),
                     Share{one.light->share}, PpfdSpan{one.light->goal.band.low, one.light->goal.band.high});
    return figure;
}

}  // namespace

std::vector<Block> plannedBlocks(const SectionOf& of) {
    const auto& review = of.fixture();
    std::vector<Block> blocks;
    if (review.planned.empty()) return blocks;
    blocks.emplace_back(plannedTable(review));
    std::size_t maps = 0;
    for (const auto& one : review.planned) {
        if (!one.plan.note.empty())
            blocks.emplace_back(Paragraph{
                prose(say(GLUMET_SAY("Core", "{}: {}"), one.plan.name, one.plan.note)), ProseTone::Plain});
        if (one.light && one.scene && maps++ < kMostMaps)
            blocks.emplace_back(FigureRow{{mapOf(review, one, of.name)}});
    }
    return blocks;
}

}  // namespace glumet
