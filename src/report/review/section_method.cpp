#include <algorithm>
#include <set>

#include "core/survey/commission.h"
#include "report/review/sections.h"

namespace glumet {
namespace {

bool several(const SectionOf& of) { return of.all.fixtures.size() > 1; }

/// Checks before the first reading of every run that is published; the last of a kind and subject counts.
DataTable checkTable(const SectionOf& of) {
    DataTable table;
    table.caption = say(GLUMET_SAY("Core", "Checked before the first readings"));
    table.columns = {{say(GLUMET_SAY("Core", "run")), false},
                     {say(GLUMET_SAY("Core", "check")), false},
                     {say(GLUMET_SAY("Core", "found")), false},
                     {say(GLUMET_SAY("Core", "passed")), false}};
    const auto& bench = of.all.bench;
    std::set<std::string> seen;
    for (const auto& check : bench.checks) {
        const auto run = std::find_if(bench.runs.begin(), bench.runs.end(),
                                      [&](const Run& one) { return one.id == check.run; });
        if (run == bench.runs.end()) continue;
        Words passed =
            check.passed ? Words(say(GLUMET_SAY("Core", "yes"))) : Words(say(GLUMET_SAY("Core", "no")));
        if (!check.overruled.empty()) passed = say(GLUMET_SAY("Core", "no, overruled: {}"), check.overruled);
        // What passed alike at every height is said once.
        const auto* of_run = byId(bench.fixtures, run->fixture);
        const std::string fixture = of_run == nullptr ? std::string() : of_run->name;
        if (check.passed && !seen.insert(fixture + "|" + std::to_string(static_cast<int>(check.kind)) + "|" +
                                         check.subject + "|" + check.verdict)
                                 .second)
            continue;
        const Words what =
            check.subject.empty()
                ? checkName(check.kind)
                : Words(say(GLUMET_SAY("Core", "{}, {}"), checkName(check.kind), check.subject));
        table.rows.push_back({say(GLUMET_SAY("Core", "{} at {}"), fixture, run->height), what,
                              verbatim(check.verdict), passed});
    }
    return table;
}

struct Term {
    const char* name;
    const char* meaning;
};
constexpr Term kTerms[] = {
    {GLUMET_SAY("Core", "PPFD"), GLUMET_SAY("Core",
                                            "photosynthetic photon flux density: photons of 400–700 nm on an "
                                            "area in a second, in µmol·m⁻²·s⁻¹; often called PAR")},
    {GLUMET_SAY("Core", "DLI"),
     GLUMET_SAY("Core", "daily light integral: the PPFD added up over a day, in mol·m⁻²")},
    {GLUMET_SAY("Core", "mounting height"),
     GLUMET_SAY("Core", "from the water's surface up to the emitters")},
    {GLUMET_SAY("Core", "depth"), GLUMET_SAY("Core", "from the water's surface down to the sensor")},
    {GLUMET_SAY("Core", "ring"),
     GLUMET_SAY(
         "Core",
         "the points of a grid that are equally many steps from its border; the outermost ring is the edge")},
    {GLUMET_SAY("Core", "CV"), GLUMET_SAY("Core", "standard deviation over the points, against their mean")},
    {GLUMET_SAY("Core", "spill limit"),
     GLUMET_SAY("Core",
                "a school: the highest mounting height at which no more than a chosen share of the light is "
                "lost against the lowest one")},
    {GLUMET_SAY("Core", "flattest field"),
     GLUMET_SAY("Core", "a school: the height at which centre and edge agree best over the depths")},
    {GLUMET_SAY("Core", "band fill"),
     GLUMET_SAY(
         "Core",
         "a school: the height that, dimmed to its best level, puts most points into the band of the goal")},
    {GLUMET_SAY("Core", "peak cap"),
     GLUMET_SAY("Core", "a school: the lowest height at which nothing exceeds a ceiling")},
    {GLUMET_SAY("Core", "maker's range"),
     GLUMET_SAY("Core", "a school: what the maker claims, checked against the readings")},
    {GLUMET_SAY("Core", "95 % interval"),
     GLUMET_SAY("Core", "where the true figure lies 95 times in 100, if nothing is wrong that nobody saw")},
    {GLUMET_SAY("Core", "read"), GLUMET_SAY("Core", "a meter was there")},
    {GLUMET_SAY("Core", "modelled"),
     GLUMET_SAY("Core", "computed from the light field fitted to the readings; no meter was there")},
    {GLUMET_SAY("Core", "swing"),
     GLUMET_SAY("Core", "least and greatest value while one reading settled, under moving water")},
    {GLUMET_SAY("Core", "Δu'v'"),
     GLUMET_SAY("Core", "distance of two colours in CIE 1976 u', v'; about 0.004 is seen side by side")},
    {GLUMET_SAY("Core", "Ra"), GLUMET_SAY("Core",
                                          "general colour rendering index by CIE 13.3; 100 renders as "
                                          "daylight or a lamp of the same temperature does")},
};

Words changeWords(const ChangedFigure& change) {
    if (change.before.empty()) return say(GLUMET_SAY("Core", "{}: new, {}"), change.name, change.now);
    if (change.now.empty()) return say(GLUMET_SAY("Core", "{}: gone, was {}"), change.name, change.before);
    return say(GLUMET_SAY("Core", "{}: {} instead of {}"), change.name, change.now, change.before);
}

}  // namespace

MadeSection methodSection(const SectionOf& of) {
    MadeSection out;
    const auto& method = of.all.bench.method;
    for (const auto& review : of.all.fixtures) {
        if (several(of)) out.blocks.emplace_back(Heading{of.level, prose(verbatim(review.name))});
        out.blocks.emplace_back(FactList{review.conditions});
        for (const auto& fact : review.conditions) out.doubts += fact.missing ? 1 : 0;
    }
    if (auto checks = checkTable(of); !checks.rows.empty()) out.blocks.emplace_back(std::move(checks));
    std::vector<Fact> facts{
        {say(GLUMET_SAY("Core", "School")), verbatim(wordOf(method.school))},
        {say(GLUMET_SAY("Core", "Goal")),
         say("{}, {} h", PpfdSpan{method.goal.band.low, method.goal.band.high},
             Figure{method.goal.photoperiod_h})},
        {say(GLUMET_SAY("Core", "Settled")),
         say(GLUMET_SAY("Core", "a reading is taken when its mean is sure to {}, after {} at the latest"),
             Share{method.settled_relative_error}, method.longest_reading)},
        {say(GLUMET_SAY("Core", "Heights")), say(GLUMET_SAY("Core", "set to ± {}"), method.height_error)}};
    out.blocks.emplace_back(FactList{std::move(facts)});
    return out;
}

MadeSection doubtsSection(const SectionOf& of) {
    MadeSection out;
    for (const auto& review : of.all.fixtures) {
        if (review.doubts.empty() && review.provenance.empty()) continue;
        if (several(of)) out.blocks.emplace_back(Heading{of.level, prose(verbatim(review.name))});
        Bullets doubts;
        doubts.tone = ProseTone::Doubt;
        for (const auto& doubt : review.doubts) doubts.items.push_back(prose(doubt));
        out.doubts += static_cast<int>(doubts.items.size());
        if (!doubts.items.empty()) out.blocks.emplace_back(std::move(doubts));
        if (!review.provenance.empty())
            out.blocks.emplace_back(Paragraph{prose(review.provenance), ProseTone::Muted});
    }
    const auto& dissent = of.all.bench.method.dissent;
    if (!dissent.empty())
        out.blocks.emplace_back(Paragraph{
            prose(say(GLUMET_SAY("Core", "The reviewer's own opinion: {}"), dissent)), ProseTone::Opinion});
    if (out.blocks.empty())
        out.blocks.emplace_back(
            Paragraph{prose(say(GLUMET_SAY("Core", "No check found anything to doubt.")))});
    return out;
}

MadeSection glossarySection(const SectionOf& /*of*/) {
    FactList list;
    for (const auto& term : kTerms) list.facts.push_back({say(term.name), say(term.meaning)});
    return {{std::move(list)}, {}, 0};
}

MadeSection dataSection(const SectionOf& of) {
    const auto& all = of.all;
    MadeSection out;
    int readings = 0;
    for (const auto& review : all.fixtures) readings += review.readings();
    const auto& method = all.bench.method;
    std::vector<Fact> facts{
        {say(GLUMET_SAY("Core", "Edition")), say("{}, {}", Count{all.edition.number}, all.day.toStdString())},
        {say(GLUMET_SAY("Core", "Data")),
         say(GLUMET_SAY("Core", "{} readings; SHA-256 {}"), Count{readings}, all.edition.hash)},
        {say(GLUMET_SAY("Core", "In the package")),
         say(GLUMET_SAY("Core",
                        "every reading, figures of every plane, verdicts, models and spectra: "
                        "data-package.zip (Frictionless Data Package)"))},
        {say(GLUMET_SAY("Core", "Program")), say("Glumet {}", std::string(GLUMET_VERSION))}};
    facts.push_back({say(GLUMET_SAY("Core", "Published by")),
                     method.reviewer.empty() ? Words(say(GLUMET_SAY("Core", "not stated")))
                                             : Words(verbatim(method.reviewer)),
                     method.reviewer.empty()});
    facts.push_back({say(GLUMET_SAY("Core", "Licence")),
                     method.licence.empty()
                         ? Words(say(GLUMET_SAY("Core", "not stated: nobody may use the data")))
                         : Words(verbatim(method.licence)),
                     method.licence.empty()});
    out.doubts = (method.reviewer.empty() ? 1 : 0) + (method.licence.empty() ? 1 : 0);
    out.blocks.emplace_back(FactList{std::move(facts)});
    if (all.edition.since.empty()) return out;
    out.blocks.emplace_back(
        Heading{of.level + 1 > 4 ? 4 : of.level + 1,
                prose(say(GLUMET_SAY("Core", "Since edition {}"), Count{all.edition.number - 1}))});
    Bullets changes;
    for (const auto& change : all.edition.since) changes.items.push_back(prose(changeWords(change)));
    out.blocks.emplace_back(std::move(changes));
    return out;
}

MadeSection cautionsSection(const SectionOf& /*of*/) {
    Bullets cautions;
    cautions.tone = ProseTone::Caution;
    for (auto& words : usualCautions()) cautions.items.push_back(prose(std::move(words)));
    return {{std::move(cautions)}, {}, 0};
}

}  // namespace glumet
