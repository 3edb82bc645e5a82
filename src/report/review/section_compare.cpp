#include <algorithm>
#include <cmath>

#include "core/compare/compare_findings.h"
#include "core/compare/rubric.h"
#include "report/compare_figure.h"
#include "report/compare_pictures.h"
#include "report/review/sections.h"
#include "report/text.h"

namespace glumet {
namespace {

/// The leader, and the next; both 0 where nothing is ranked.
std::pair<std::size_t, std::size_t> firstTwo(const Comparison& compared) {
    const auto& order = compared.board.order;
    if (order.size() >= 2) return {order[0], order[1]};
    return {0, compared.judged.size() > 1 ? std::size_t{1} : std::size_t{0}};
}

Words rankWords(const RankRow& row) {
    if (row.rank == 0) return say(GLUMET_SAY("Core", "not ranked"));
    if (row.rank_lo == row.rank_hi) return say("{}", Count{row.rank});
    return say(GLUMET_SAY("Core", "{} ({}–{})"), Count{row.rank}, Count{row.rank_lo}, Count{row.rank_hi});
}

Words basisWords(LightBasis basis) {
    switch (basis) {
        case LightBasis::Read:
            return say(GLUMET_SAY("Core", "read"));
        case LightBasis::Modelled:
            return say(GLUMET_SAY("Core", "modelled"));
        case LightBasis::Charted:
            return say(GLUMET_SAY("Core", "by others' means"));
    }
    return {};
}

DataTable rankTable(const Comparison& compared) {
    DataTable table;
    table.caption = say(GLUMET_SAY(
        "Core", "Every figure that counts, with 95 % intervals in brackets; = : within chance of the best"));
    table.columns = {{say(GLUMET_SAY("Core", "fixture")), false},
                     {say(GLUMET_SAY("Core", "at"))},
                     {say(GLUMET_SAY("Core", "basis")), false},
                     {say(GLUMET_SAY("Core", "place"))}};
    std::vector<std::size_t> counting;
    for (std::size_t k = 0; k < compared.board.criteria.size(); ++k)
        if (compared.board.weights[k] > 0.0) counting.push_back(k);
    for (const auto k : counting) {
        const auto& info = infoOf(compared.board.criteria[k]);
        table.columns.push_back({info.unit.empty() ? info.name : say("{}, {}", info.name, info.unit)});
    }
    for (std::size_t i = 0; i < compared.judged.size(); ++i) {
        const auto& contender = compared.judged[i].contender;
        const auto& row = compared.board.rows[i];
        std::vector<Words> cells{verbatim(contender.name), say("{}", contender.height),
                                 contender.speaks() ? basisWords(contender.basis) : contender.missing,
                                 rankWords(row)};
        for (const auto k : counting) {
            const auto& figure = row.figures[k];
            const auto said = [&](double value) { return figureText(figure.criterion, value).toStdString(); };
            if (!figure.there)
                cells.push_back(say("–"));
            else
                cells.push_back(say(figure.tied ? "{} [{}–{}] =" : "{} [{}–{}]", said(figure.value),
                                    said(figure.lo), said(figure.hi)));
        }
        table.rows.push_back(std::move(cells));
    }
    return table;
}

}  // namespace

MadeSection compareSection(const SectionOf& of) {
    MadeSection out;
    if (!of.all.comparison || of.all.comparison->judged.size() < 2) {
        out.missing = say(GLUMET_SAY("Core", "one configuration by itself is compared with nothing"));
        return out;
    }
    const auto& compared = *of.all.comparison;
    const auto answer = compared.answer();
    out.blocks.emplace_back(Paragraph{prose(answer.title), ProseTone::Lead});
    out.blocks.emplace_back(Paragraph{prose(answer.body)});
    const auto [chosen, against] = firstTwo(compared);
    for (auto& figure : comparePictures(compared, chosen, against))
        out.blocks.emplace_back(FigureRow{{std::move(figure)}});
    out.blocks.emplace_back(rankTable(compared));
    std::vector<Prose> apart;
    for (std::size_t i = 0; i < compared.judged.size(); ++i)
        if (const auto& why = compared.board.rows[i].unranked; !why.empty())
            apart.push_back(prose(
                say(GLUMET_SAY("Core", "{} is not ranked: {}"), compared.judged[i].contender.name, why)));
    out.doubts = static_cast<int>(apart.size());
    if (!apart.empty()) out.blocks.emplace_back(Bullets{std::move(apart), false, ProseTone::Doubt});
    out.blocks.emplace_back(
        Paragraph{prose(say(GLUMET_SAY("Core",
                                       "Weights are the reviewer's and a matter of opinion; ranks in "
                                       "brackets are those that 95 of 100 re-readings allow."))),
                  ProseTone::Muted});
    return out;
}

namespace {

DataTable depthTable(const Paired& pair, const std::string& after, const std::string& before) {
    DataTable table;
    table.caption = say(GLUMET_SAY("Core", "{} against {}, depth by depth"), after, before);
    table.columns = {{say(GLUMET_SAY("Core", "depth"))},
                     {say(GLUMET_SAY("Core", "points"))},
                     {say(GLUMET_SAY("Core", "mean"))},
                     {say(GLUMET_SAY("Core", "95 % interval"))},
                     {say(GLUMET_SAY("Core", "difference"))},
                     {say(GLUMET_SAY("Core", "peak"))},
                     {say(GLUMET_SAY("Core", "told apart")), false}};
    for (const auto& plane : pair.planes)
        table.rows.push_back(
            {say("{}", plane.depth), say("{}", countOf(plane.points.size())),
             say("{}", SignedShare{plane.mean.value - 1.0}),
             say(GLUMET_SAY("Core", "{} to {}"), SignedShare{plane.mean.lo - 1.0},
                 SignedShare{plane.mean.hi - 1.0}),
             say("{}", Figure{plane.difference, 0, true}), say("{}", SignedShare{plane.peak.value - 1.0}),
             plane.mean.tie ? say(GLUMET_SAY("Core", "no: a tie")) : say(GLUMET_SAY("Core", "yes"))});
    return table;
}

/// Every condition that differs; `doubts` counts those that are not comparable.
DataTable differenceTable(const std::vector<ConditionRow>& rows, const std::string& before,
                          const std::string& after, int& doubts) {
    DataTable table;
    table.caption = say(GLUMET_SAY("Core", "What differs"));
    table.columns = {{say(GLUMET_SAY("Core", "condition")), false},
                     {verbatim(before), false},
                     {verbatim(after), false},
                     {say(GLUMET_SAY("Core", "so")), false}};
    const auto cell = [](const Words& words) {
        return words.empty() ? Words(say(GLUMET_SAY("Core", "not recorded"))) : words;
    };
    for (const auto& row : rows) {
        if (row.state == ConditionState::Same) continue;
        doubts += row.state == ConditionState::NotComparable ? 1 : 0;
        table.rows.push_back(
            {conditionName(row.condition), cell(row.a), cell(row.b), verbatim(wordOf(row.state))});
    }
    return table;
}

}  // namespace

MadeSection changeSection(const SectionOf& of) {
    MadeSection out;
    if (!of.all.comparison || of.all.comparison->judged.size() < 2) {
        out.missing = say(GLUMET_SAY("Core", "it takes two configurations: before, and after"));
        return out;
    }
    const auto& compared = *of.all.comparison;
    const auto pair = compared.pairOf(0, 1);
    const auto& before = compared.judged[0].contender.name;
    const auto& after = compared.judged[1].contender.name;
    if (!pair.speaks()) {
        out.missing = pair.refused;
        return out;
    }
    out.blocks.emplace_back(Paragraph{prose(pairWords(pair, after, before)), ProseTone::Lead});
    if (FigureRow maps{differencePictures(compared, 1, 0)}; !maps.figures.empty())
        out.blocks.emplace_back(std::move(maps));
    out.blocks.emplace_back(depthTable(pair, after, before));
    if (auto table = differenceTable(compared.conditions(0, 1), before, after, out.doubts);
        !table.rows.empty())
        out.blocks.emplace_back(std::move(table));
    if (pair.heightsCouldExplain()) {
        ++out.doubts;
        out.blocks.emplace_back(Paragraph{
            prose(say(GLUMET_SAY("Core", "Heights set as well as they are could explain the difference."))),
            ProseTone::Doubt});
    }
    return out;
}

namespace {

/// What is scored: a fixture, with what is put on.
struct Scored {
    Id fixture = 0;
    Id accessory = 0;

    bool operator==(const Scored&) const = default;
};

std::vector<Scored> scoredOf(const Publication& all) {
    std::vector<Scored> out;
    for (const auto& rating : all.bench.ratings) {
        const Scored one{rating.fixture, rating.accessory};
        const bool published = std::any_of(all.fixtures.begin(), all.fixtures.end(), [&](const auto& review) {
            return review.sweep.configuration.fixture == one.fixture;
        });
        if (published && std::find(out.begin(), out.end(), one) == out.end()) out.push_back(one);
    }
    return out;
}

/// A row a criterion, a column a reviewer.
DataTable scoreTable(const Bench& bench, const Scored& one, const std::vector<std::string>& by) {
    DataTable table;
    const auto* fixture = byId(bench.fixtures, one.fixture);
    const auto* accessory = byId(bench.accessories, one.accessory);
    const std::string name = fixture == nullptr ? std::string() : fixture->name;
    table.caption =
        accessory == nullptr
            ? say(GLUMET_SAY("Core", "{}: opinions, each with its reason; {} least, {} most"), name,
                  Count{kLeastScore}, Count{kMostScore})
            : say(GLUMET_SAY("Core", "{} with {}: opinions, each with its reason; {} least, {} most"), name,
                  accessory->name, Count{kLeastScore}, Count{kMostScore});
    table.columns = {{say(GLUMET_SAY("Core", "of what")), false}};
    for (const auto& reviewer : by)
        table.columns.push_back(
            {reviewer.empty() ? Words(say(GLUMET_SAY("Core", "unnamed"))) : Words(verbatim(reviewer)),
             false});
    for (const auto criterion : kRubricCriteria) {
        std::vector<Words> cells{anchorsOf(criterion).name};
        bool any = false;
        for (const auto& reviewer : by) {
            const auto* rating = ratingOf(bench, one.fixture, one.accessory, criterion, reviewer);
            any = any || rating != nullptr;
            if (rating == nullptr)
                cells.push_back(say("–"));
            else
                cells.push_back(rating->reason.empty() ? say("{}", Count{rating->score})
                                                       : say("{}: {}", Count{rating->score}, rating->reason));
        }
        if (any) table.rows.push_back(std::move(cells));
    }
    return table;
}

}  // namespace

MadeSection rubricSection(const SectionOf& of) {
    MadeSection out;
    const auto& bench = of.all.bench;
    const auto by = reviewersOf(bench);
    for (const auto& one : scoredOf(of.all)) out.blocks.emplace_back(scoreTable(bench, one, by));
    if (out.blocks.empty()) {
        out.missing = say(GLUMET_SAY("Core", "nobody scored what no meter reads"));
        return out;
    }
    for (std::size_t i = 1; i < by.size(); ++i)
        out.blocks.emplace_back(Paragraph{
            prose(agreementWords(rubricAgreement(bench, by[0], by[i]), by[0], by[i])), ProseTone::Opinion});
    return out;
}

}  // namespace glumet
