#include "report/review/publication.h"

#include <fmt/format.h>

#include <algorithm>
#include <mutex>
#include <set>

#include "core/base/parallel.h"
#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "formats/readings_csv.h"
#include "report/data_package.h"
#include "report/review/sections.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr std::size_t kShownHash = 12;
constexpr double kReviewsDone = 0.75;  // of the progress; the rest is the comparison

bool ofTheSame(const Configuration& a, const Configuration& b) {
    return a.fixture == b.fixture && a.preset == b.preset && a.accessory == b.accessory;
}

/// Whether one of the configurations hangs in it.
bool plannedOf(const PlannedArray& plan, const std::vector<Sweep>& sweeps,
               const std::vector<Configuration>& configurations) {
    return std::any_of(configurations.begin(), configurations.end(),
                       [&](const Configuration& one) { return hangsIn(plan, sweeps, one); });
}

/// The configurations, and those that speak for what hangs beside them in planned arrays.
std::vector<Configuration> withPlanned(const Bench& bench, std::vector<Configuration> configurations) {
    const auto sweeps = sweepsOf(bench);
    const auto chosen = configurations;
    for (const auto& plan : bench.plans) {
        if (!plannedOf(plan, sweeps, chosen)) continue;
        for (const auto& hung : plan.fixtures) {
            const auto* sweep = sweepOf(sweeps, hung);
            if (sweep != nullptr && std::find(configurations.begin(), configurations.end(),
                                              sweep->configuration) == configurations.end())
                configurations.push_back(sweep->configuration);
        }
    }
    return configurations;
}

bool belongs(const Run& run, const std::vector<Configuration>& configurations) {
    return std::any_of(configurations.begin(), configurations.end(), [&](const Configuration& one) {
        const auto& of = configurationOf(run);
        return of == one || (of.fixtures > 1 && ofTheSame(of, one));
    });
}

std::string hashOf(const Publication& publication) {
    return sha256(writeReadings(rowsOf(publication.bench)) + writeBench(publication.bench) +
                  textOf(publication.sections));
}

std::vector<NamedFigure> figuresOf(const Publication& publication) {
    std::vector<NamedFigure> out;
    for (const auto& review : publication.fixtures)
        for (const auto& [name, words] : publication.valuesOf(review))
            out.push_back({review.name + ", " + name, english(words)});
    for (const auto& review : publication.fixtures)
        for (const auto& one : review.planned)
            if (one.light)
                out.push_back({review.name + ", planned " + one.plan.name + ", share",
                               english(say("{}", Share{one.light->share}))});
    out.push_back({"readings", english(publication.valuesOfAll().at("readings"))});
    // What the reviewer holds against the height may change while every figure stays.
    if (const auto& dissent = publication.bench.method.dissent; !dissent.empty())
        out.push_back({"dissent", dissent});
    return out;
}

/// Reviews of all at the same time: what is slow is each fixture's fit.
Expected<std::vector<FixtureReview>> reviewsOf(const Bench& bench, const FitOf& fit_of,
                                               const PublicationQuestion& question) {
    std::vector<std::optional<FixtureReview>> reviews;
    for (const auto& configuration : question.configurations) {
        auto review = fixtureReviewOf(bench, configuration);
        if (!review) return tl::make_unexpected(review.error());
        reviews.emplace_back(std::move(*review));
    }
    std::mutex guard;
    std::size_t done = 0;
    forEachIndex(reviews.size(), 0, [&](std::size_t i) {
        addModelled(*reviews[i], bench, fit_of, question.stop);
        const std::scoped_lock lock(guard);
        question.progress(kReviewsDone * static_cast<double>(++done) / static_cast<double>(reviews.size()));
    });
    const auto sweeps = sweepsOf(bench);
    const auto planned = plannedArrays(bench, fit_of, question.configurations, question.stop);
    std::vector<FixtureReview> out;
    for (auto& review : reviews) {
        for (const auto& one : planned)
            if (hangsIn(one.plan, sweeps, review->sweep.configuration)) review->planned.push_back(one);
        out.push_back(std::move(*review));
    }
    return out;
}

Words titleFor(const Publication& publication) {
    if (publication.fixtures.size() == 1) return verbatim(publication.fixtures.front().name);
    const auto& title = publication.bench.title;
    const auto count = countOf(publication.fixtures.size());
    return title.empty() ? Words(say(GLUMET_SAY("Core", "{} configurations compared"), count))
                         : Words(say(GLUMET_SAY("Core", "{}: {} configurations"), title, count));
}

void addName(NamedValues& values, const char* name, Words words) {
    if (!words.empty()) values[name] = std::move(words);
}

/// Lays sections out one after the other; those of each fixture stand together, fixture by fixture.
class ContentLayout {
  public:
    explicit ContentLayout(const Publication& publication)
        : p_(publication), several_(p_.fixtures.size() > 1) {}

    LaidOut make() {
        auto& d = out_.document;
        d.title = p_.title;
        d.subject = text(p_.bench.title);
        d.author = text(p_.bench.method.reviewer);
        d.day = p_.day;
        d.unit = p_.unit;
        d.footer = QStringLiteral("%1 · %2").arg(p_.title, p_.provenance());
        add(Heading{1, prose(verbatim(heading()))});
        addWords(p_.sections.opening, 2, nullptr);
        standings();
        const auto& parts = p_.sections.parts;
        for (std::size_t i = 0; i < parts.size();) {
            if (!parts[i].shown) {
                ++i;
                continue;
            }
            if (!ofEachFixture(parts[i].section)) {
                addSection(parts[i], nullptr, 2, {});
                ++i;
                continue;
            }
            std::size_t end = i;
            while (end < parts.size() && (!parts[end].shown || ofEachFixture(parts[end].section))) ++end;
            addFixtures(i, end);
            i = end;
        }
        return std::move(out_);
    }

  private:
    void add(Block block) { out_.document.blocks.push_back(std::move(block)); }

    /// A card at the beginning names its fixture by itself.
    std::string heading() const {
        const auto& parts = p_.sections.parts;
        const auto first =
            std::find_if(parts.begin(), parts.end(), [](const auto& part) { return part.shown; });
        const bool named = !several_ && p_.sections.opening.empty() && first != parts.end() &&
                           first->section == ReviewSection::Card;
        return named && !p_.bench.title.empty() ? p_.bench.title : p_.title.toStdString();
    }

    void standings() {
        for (const auto& part : p_.sections.parts)
            if (part.shown) out_.standings.push_back({part.section, {}, 0});
    }

    void addFixtures(std::size_t from, std::size_t to) {
        const auto stems = fileStems(p_);
        for (std::size_t f = 0; f < p_.fixtures.size(); ++f) {
            const auto& review = p_.fixtures[f];
            if (several_) {
                if (f > 0) add(PageBreak{});
                add(Heading{2, prose(verbatim(review.name))});
            }
            for (std::size_t i = from; i < to; ++i)
                if (p_.sections.parts[i].shown)
                    addSection(p_.sections.parts[i], &review, several_ ? 3 : 2, stems[f]);
        }
    }

    void addSection(const ReviewPart& part, const FixtureReview* one, int level, const std::string& stem) {
        auto section = made(part.section, {p_, one, level + 1, stem});
        auto& standing = *std::find_if(out_.standings.begin(), out_.standings.end(),
                                       [&](const auto& known) { return known.section == part.section; });
        standing.doubts += section.doubts;
        if (!section.missing.empty()) standing.missing = section.missing;
        // The card says by itself what it is.
        if (part.section != ReviewSection::Card)
            add(Heading{level, prose(titleOf(part.section)), anchorOf(part.section, one)});
        addWords(part.words, level + 1, one);
        for (auto& block : section.blocks) add(std::move(block));
        if (!section.missing.empty())
            add(Paragraph{prose(say(GLUMET_SAY("Core", "Not in this review: {}."), section.missing)),
                          ProseTone::Muted});
    }

    /// "field", and of the second fixture "field-2".
    std::string anchorOf(ReviewSection section, const FixtureReview* one) const {
        const auto number = one == nullptr ? 0 : one - p_.fixtures.data();
        return number == 0 ? std::string(idOf(section)) : fmt::format("{}-{}", idOf(section), number + 1);
    }

    void addWords(const std::string& words, int level, const FixtureReview* one) {
        if (words.empty()) return;
        for (auto& block : markdownBlocks(words, level, p_.namedValues(one), &out_.unknown))
            add(std::move(block));
    }

    const Publication& p_;
    bool several_;
    LaidOut out_;
};

}  // namespace

NamedValues Publication::valuesOfAll() const {
    NamedValues values;
    int readings = 0;
    for (const auto& review : fixtures) readings += review.readings();
    addName(values, "project", verbatim(bench.title));
    addName(values, "edition", say("{}", Count{edition.number}));
    addName(values, "day", verbatim(day.toStdString()));
    addName(values, "readings", say("{}", Count{readings}));
    addName(values, "reviewer", verbatim(bench.method.reviewer));
    addName(values, "licence", verbatim(bench.method.licence));
    return values;
}

NamedValues Publication::valuesOf(const FixtureReview& one) const {
    NamedValues values;
    addName(values, "fixture", verbatim(one.name));
    if (const auto* tank = one.tank()) addName(values, "tank", verbatim(tank->name));
    if (const auto height = one.headlineHeight()) addName(values, "height", say("{}", *height));
    if (const auto* head = one.headline(); head != nullptr && head->low && head->high)
        addName(values, "interval", say("{}", LengthSpan{*head->low, *head->high}));
    addName(values, "school", verbatim(wordOf(bench.method.school)));
    addName(values, "limit", say("{}", Share{bench.method.spill_limit}));
    addName(values, "band", say("{}", PpfdSpan{one.band.low, one.band.high}));
    if (one.judged) {
        addName(values, "mean", say("{}", one.judged->mean));
        addName(values, "peak", say("{}", one.judged->max));
    }
    for (const auto& recommended : one.recommended) {
        if (!recommended.speaks() || recommended.tank != one.sweep.configuration.tank) continue;
        addName(values, "number", say("{}", Count{recommended.count}));
        addName(values, "intensity", say("{} %", Figure{recommended.level.best.level_pct, 0}));
        addName(values, "share", say("{}", Share{recommended.level.best.share}));
        addName(values, "dli", say("{}", Figure{recommended.dli, 1}));
        break;
    }
    return values;
}

NamedValues Publication::namedValues(const FixtureReview* one) const {
    auto values = valuesOfAll();
    if (one == nullptr && fixtures.size() == 1) one = &fixtures.front();
    if (one == nullptr) return values;
    values.merge(valuesOf(*one));
    // A figure that this fixture has not, because no school names a height say, is no slip of the pen.
    for (const char* name : {"fixture", "tank", "height", "interval", "school", "limit", "band", "mean",
                             "peak", "number", "intensity", "share", "dli"})
        values.try_emplace(name, say(GLUMET_SAY("Core", "(not known)")));
    return values;
}

QString Publication::provenance() const {
    return text(say(GLUMET_SAY("Core", "Glumet {}, edition {}, data {}"), std::string(GLUMET_VERSION),
                    Count{edition.number}, edition.hash.substr(0, kShownHash)),
                unit);
}

Bench benchOf(const Bench& bench, const std::vector<Configuration>& configurations) {
    Bench out = bench;
    std::erase_if(out.runs, [&](const Run& run) { return !belongs(run, configurations); });
    const auto sweeps = sweepsOf(bench);
    std::erase_if(out.plans,
                  [&](const PlannedArray& plan) { return !plannedOf(plan, sweeps, configurations); });
    return out;
}

std::vector<Configuration> chosenForReview(const Bench& bench) {
    std::vector<Configuration> out;
    for (const auto& sweep : sweepsOf(bench))
        if (std::any_of(sweep.runs.begin(), sweep.runs.end(),
                        [&](Id run) { return bench.run(run).in_review; }))
            out.push_back(sweep.configuration);
    return out;
}

Expected<Publication> publicationOf(const Bench& bench, const FitOf& fit_of,
                                    const PublicationQuestion& question) {
    if (question.configurations.empty())
        return problem("", say(GLUMET_SAY("Core", "there is nothing chosen to be published")));
    auto reviews = reviewsOf(bench, fit_of, question);
    if (!reviews) return tl::make_unexpected(reviews.error());
    Publication out;
    auto own = benchOf(bench, question.configurations);
    out.bench = benchOf(bench, withPlanned(bench, question.configurations));
    out.bench.plans = own.plans;
    out.fixtures = std::move(*reviews);
    out.sections = question.sections;
    out.unit = question.unit;
    out.day = question.day;
    if (out.fixtures.size() > 1) {
        CompareQuestion asked;
        asked.place.height = bench.method.compared_height;
        asked.stop = question.stop;
        out.comparison = std::make_shared<const Comparison>(
            compareAll(std::make_shared<const Bench>(std::move(own)), fit_of, asked));
    }
    if (question.stop.stop_requested()) return problem("", say(GLUMET_SAY("Core", "was cancelled")));
    out.title = text(titleFor(out), out.unit);
    out.edition =
        editionAfter(question.last ? &*question.last : nullptr, question.day.toStdString(), hashOf(out), {});
    out.edition = editionAfter(question.last ? &*question.last : nullptr, question.day.toStdString(),
                               out.edition.hash, figuresOf(out));
    question.progress(1.0);
    return out;
}

LaidOut laidOut(const Publication& publication) { return ContentLayout(publication).make(); }

Words titleOf(ReviewSection section) {
    switch (section) {
        case ReviewSection::Card:
            return say(GLUMET_SAY("Core", "Card"));
        case ReviewSection::Short:
            return say(GLUMET_SAY("Core", "In short"));
        case ReviewSection::Field:
            return say(GLUMET_SAY("Core", "The field"));
        case ReviewSection::Height:
            return say(GLUMET_SAY("Core", "Why this height"));
        case ReviewSection::Arrays:
            return say(GLUMET_SAY("Core", "How many, how far apart, how bright"));
        case ReviewSection::Spectrum:
            return say(GLUMET_SAY("Core", "Spectrum and blending"));
        case ReviewSection::Shadow:
            return say(GLUMET_SAY("Core", "Shadow and shimmer"));
        case ReviewSection::Cost:
            return say(GLUMET_SAY("Core", "What it costs"));
        case ReviewSection::Compare:
            return say(GLUMET_SAY("Core", "Side by side"));
        case ReviewSection::Change:
            return say(GLUMET_SAY("Core", "What has changed"));
        case ReviewSection::Rubric:
            return say(GLUMET_SAY("Core", "What no meter reads"));
        case ReviewSection::Method:
            return say(GLUMET_SAY("Core", "How it was measured"));
        case ReviewSection::Doubts:
            return say(GLUMET_SAY("Core", "Doubts and dissent"));
        case ReviewSection::Glossary:
            return say(GLUMET_SAY("Core", "Terms"));
        case ReviewSection::Data:
            return say(GLUMET_SAY("Core", "Data and edition"));
        case ReviewSection::Cautions:
            return say(GLUMET_SAY("Core", "Cautions"));
    }
    return {};
}

MadeSection made(ReviewSection section, const SectionOf& of) {
    static constexpr std::array makers{cardSection,    shortSection,    fieldSection,  heightSection,
                                       arraysSection,  spectrumSection, shadowSection, costSection,
                                       compareSection, changeSection,   rubricSection, methodSection,
                                       doubtsSection,  glossarySection, dataSection,   cautionsSection};
    static_assert(makers.size() == kReviewSections);
    return makers[static_cast<std::size_t>(section)](of);
}

std::vector<std::string> fileStems(const Publication& publication) {
    std::vector<std::string> out;
    for (const auto& review : publication.fixtures) {
        auto stem = fileStem(review.name);
        if (std::find(out.begin(), out.end(), stem) != out.end())
            stem = fmt::format("{}-{}", stem, out.size() + 1);
        out.push_back(std::move(stem));
    }
    return out;
}

std::string fileStem(const std::string& name) {
    std::string out;
    for (const char c : name) {
        const auto byte = static_cast<unsigned char>(c);
        if (byte < 128 && std::isalnum(byte) != 0)
            out += static_cast<char>(std::tolower(byte));
        else if (!out.empty() && out.back() != '-')
            out += '-';
        if (out.size() >= 40) break;
    }
    while (!out.empty() && out.back() == '-') out.pop_back();
    return out.empty() ? "fixture" : out;
}

}  // namespace glumet
