#include <QImage>
#include <QTemporaryDir>
#include <QTest>

#include "core/compare/kept_fits.h"
#include "core/fit/fit_as_described.h"
#include "core/simulation/demo_scenario.h"
#include "core/words/sentence.h"
#include "formats/zip_archive.h"
#include "project/shipped_demo.h"
#include "report/page/html_page.h"
#include "report/review/publish.h"
#include "report/review/sections.h"
#include "report/text.h"
#include "runner/registry.h"

namespace report_publication {

using namespace glumet;

namespace {

/// The demonstration with its fits, made once.
struct Demo {
    Bench bench = testing::shippedDemo();
    std::vector<Sweep> sweeps = sweepsOf(bench);
    KeptFits fits{[this](const Sweep& sweep) { return fitAsDescribed(bench, sweep); }};

    Configuration of(const std::string& name) const {
        for (const auto& sweep : sweeps)
            if (configurationName(bench, sweep.configuration) == name) return sweep.configuration;
        return {};
    }
};
Demo& demo() {
    static Demo made;
    return made;
}

const char* kOsier = "Osier 60, all channels full";
const char* kSedge = "Sedge Panel, all channels full";

PublicationQuestion questionOf(std::vector<Configuration> configurations, const std::string& form = "full") {
    PublicationQuestion question;
    question.configurations = std::move(configurations);
    for (const auto& ready : readyTemplates())
        if (ready.id == form) question.sections = *parseTemplate(ready.text);
    question.day = QStringLiteral("2026-11-27");
    return question;
}

Publication publicationFor(const PublicationQuestion& question, const Bench& bench = demo().bench) {
    auto made = publicationOf(bench, demo().fits.asked(), question);
    if (!made) qFatal("%s", english(made.error()).c_str());
    return std::move(*made);
}

const Publication& ofOne() {
    static const auto made = publicationFor(questionOf({demo().of(kOsier)}));
    return made;
}

QString pageOf(const Publication& publication) {
    return QString::fromUtf8(htmlOf(laidOut(publication).document));
}

template <class T>
int countIn(const Document& document) {
    return static_cast<int>(
        std::count_if(document.blocks.begin(), document.blocks.end(),
                      [](const Block& block) { return std::holds_alternative<T>(block); }));
}

QString heads(const Document& document) {
    QStringList all;
    for (const auto& block : document.blocks)
        if (const auto* heading = std::get_if<Heading>(&block); heading != nullptr && heading->level == 2)
            all << text(heading->text.front().words, LengthUnit::Cm);
    return all.join(QLatin1Char('|'));
}

}  // namespace

/// The published review, from what was read to what is written.
class TestPublication : public QObject {
    Q_OBJECT

  private slots:
    // Templates.

    void aTemplateIsTextAndBack() {
        const std::string text =
            "Some words.\n\n<!-- glumet: field -->\nThe *field*.\n\n<!-- glumet: cost off -->\n<!-- glumet: "
            "doubts -->\n"
            "<!-- glumet: cautions -->\n";
        const auto made = *parseTemplate(text);
        QCOMPARE(made.opening, std::string("Some words."));
        QCOMPARE(made.parts.size(), std::size_t{4});
        QCOMPARE(made.parts[0].words, std::string("The *field*."));
        QVERIFY(!made.parts[1].shown);
        QCOMPARE(*parseTemplate(textOf(made)), made);
        for (const auto& ready : readyTemplates()) {
            const auto form = parseTemplate(ready.text);
            QVERIFY2(form, ready.id.c_str());
            QCOMPARE(form->parts.size(), kReviewSections);
        }
    }

    void doubtsAndCautionsCannotBeLeftOut() {
        for (const char* text : {"", "<!-- glumet: doubts off -->\n<!-- glumet: cautions off -->"}) {
            const auto made = *parseTemplate(text);
            int always = 0;
            for (const auto& part : made.parts)
                always += part.shown && (part.section == ReviewSection::Doubts ||
                                         part.section == ReviewSection::Cautions)
                              ? 1
                              : 0;
            QCOMPARE(always, 2);
        }
    }

    void whatNoSectionIsCalledIsRefusedByItsLine() {
        const auto unknown = parseTemplate("words\n\n<!-- glumet: dance -->\n");
        QVERIFY(!unknown);
        QCOMPARE(english(unknown.error()), std::string("line 3: there is no section \"dance\""));
        QVERIFY(!parseTemplate("<!-- glumet: field -->\n<!-- glumet: field -->"));
    }

    // What is said.

    void theReviewHoldsWhatTheVerdictSays() {
        const auto& review = ofOne().fixtures.front();
        QVERIFY(review.verdict.speaks());
        QCOMPARE(review.shown().height.value(), review.verdict.height->value());
        QVERIFY(text(review.provenance, LengthUnit::Cm).contains(QStringLiteral("Invented")));
        std::size_t planes = 0;
        for (const auto& run : review.bench.runs)
            for (const auto& plane : run.planes) planes += plane.readings.empty() ? 0 : 1;
        QCOMPARE(review.rows.size(), planes);
        QVERIFY(review.fit.has_value());
        QCOMPARE(review.recommended.size(), demo().bench.tanks.size());
        QVERIFY(!review.measured.empty());
    }

    void everySectionIsThereInItsOrder() {
        const auto laid = laidOut(ofOne());
        QCOMPARE(heads(laid.document),
                 QStringLiteral(
                     "In short|The field|Why this height|How many, how far apart, how bright|Spectrum and "
                     "blending|Shadow and shimmer|What it costs|Side by side|What no meter reads|How it was "
                     "measured|Doubts and dissent|Data and edition|Terms|Cautions"));
        QCOMPARE(countIn<Card>(laid.document), 1);
        QVERIFY(countIn<FigureRow>(laid.document) >= 6);
        const auto page = pageOf(ofOne());
        for (const char* part :
             {"licensed electrician", "Invented demonstration", "E3 disagrees with its mirror",
              "Modelled, not measured", "Weighted kappa", "61.4 W of 62 W rated", "Prices in"})
            QVERIFY2(page.contains(QLatin1String(part)), part);
        for (const auto& standing : laid.standings)
            QCOMPARE(standing.missing.empty(), standing.section != ReviewSection::Compare);
    }

    void sectionsMoveGoAndCarryTheReviewersWords() {
        auto question = questionOf({demo().of(kOsier)});
        question.sections = *parseTemplate(
            "Read at {{height}} in the {{tank}}.\n<!-- glumet: cost -->\n<!-- glumet: field off -->\n"
            "<!-- glumet: short -->\nIt **shines** at {{nothing}}.");
        const auto made = publicationFor(question);
        const auto laid = laidOut(made);
        QCOMPARE(heads(laid.document), QStringLiteral("What it costs|In short|Doubts and dissent|Cautions"));
        QCOMPARE(laid.unknown, std::vector<std::string>{"nothing"});
        const auto page = pageOf(made);
        QVERIFY(page.contains(QStringLiteral("Bench cube 60")));
        QVERIFY(page.contains(QStringLiteral("<strong>shines</strong>")));
        QVERIFY(page.contains(QStringLiteral("<span class=\"in-own\">21 cm</span>")));
    }

    /// In every fixture's part that hangs in it, and its readings go along.
    void whatIsPlannedIsTold() {
        const auto& planned = ofOne().fixtures.front().planned;
        QCOMPARE(planned.size(), std::size_t{1});
        QVERIFY(planned.front().light && planned.front().scene);
        const auto page = pageOf(ofOne());
        for (const char* part :
             {"Two clusters, tubes behind, over Raceway 120", "2 × Osier 60, all channels full at 80 %",
              "Rushlight 2T, all channels full at 100 %", "Nobody has read them there", "488 ¤",
              "for the evening when the clusters are out"})
            QVERIFY2(page.contains(QString::fromUtf8(part)), part);
        const auto& runs = ofOne().bench.runs;
        QVERIFY(std::any_of(runs.begin(), runs.end(), [](const Run& run) {
            return configurationName(demo().bench, run) == "Rushlight 2T, all channels full";
        }));
        QVERIFY(std::none_of(runs.begin(), runs.end(),
                             [](const Run& run) { return configurationName(demo().bench, run) == kSedge; }));
        const auto& figures = ofOne().edition.figures;
        QVERIFY(std::any_of(figures.begin(), figures.end(), [](const NamedFigure& figure) {
            return figure.name.find("planned Two clusters, tubes behind, share") != std::string::npos;
        }));
        // Of another fixture nothing of it.
        const auto other = publicationFor(questionOf({demo().of(kSedge)}));
        QVERIFY(other.fixtures.front().planned.empty());
        QVERIFY(other.bench.plans.empty());
    }

    void whatNoFitSpeaksForIsSaid() {
        Bench bench = demo().bench;
        std::erase_if(bench.runs, [](const Run& run) {
            return configurationName(demo().bench, run) == "Rushlight 2T, all channels full";
        });
        const auto made = publicationFor(questionOf({demo().of(kOsier)}), bench);
        QVERIFY(!made.fixtures.front().planned.front().light);
        QVERIFY(pageOf(made).contains(QStringLiteral("no fit speaks for Rushlight 2T")));
        // Nor does a tank that is gone take the page with it.
        bench.plans.front().tank = 99;
        QVERIFY(pageOf(publicationFor(questionOf({demo().of(kOsier)}), bench))
                    .contains(QStringLiteral("Two clusters, tubes behind")));
    }

    void severalAreComparedAndEachHasItsPart() {
        const auto made = publicationFor(questionOf({demo().of(kOsier), demo().of(kSedge)}, "comparison"));
        const auto laid = laidOut(made);
        QVERIFY(
            heads(laid.document)
                .startsWith(
                    QStringLiteral("Side by side|%1|%2").arg(QLatin1String(kOsier), QLatin1String(kSedge))));
        QCOMPARE(countIn<Card>(laid.document), 2);
        QVERIFY(made.comparison && made.comparison->judged.size() == 2);
        const auto answer = made.comparison->answer();
        QVERIFY(pageOf(made).contains(text(answer.title, LengthUnit::Cm).toHtmlEscaped()));
        std::set<std::string> names;
        for (const auto& block : laid.document.blocks)
            if (const auto* row = std::get_if<FigureRow>(&block))
                for (const auto& figure : row->figures)
                    QVERIFY2(names.insert(figure.name).second, figure.name.c_str());
    }

    void beforeAndAfterAreLaidSideBySide() {
        const auto made = publicationFor(
            questionOf({demo().of(kOsier), demo().of("Osier 60, with frost diffuser, all channels full")},
                       "before-after"));
        const auto pair = made.comparison->pairOf(0, 1);
        QVERIFY(pair.speaks());
        const auto page = pageOf(made);
        QVERIFY(page.startsWith(QStringLiteral("<!DOCTYPE html>")));
        QVERIFY(page.contains(QStringLiteral("What has changed")));
        QVERIFY(page.contains(QStringLiteral("Map of the difference")));
        QVERIFY(page.contains(QStringLiteral("on purpose")));
    }

    void aConfigurationWithoutReadingsIsNotPublished() {
        Bench bench = demoBench();
        Run run;
        run.id = 1;
        run.fixture = 1;
        run.planes = {Plane{}};
        bench.runs = {run};
        const auto made = publicationOf(bench, demo().fits.asked(), questionOf({configurationOf(run)}));
        QVERIFY(!made);
        QVERIFY(english(made.error()).find("no reading") != std::string::npos);
        QVERIFY(!publicationOf(bench, demo().fits.asked(), questionOf({})));
    }

    void aSilentSchoolNamesNoHeight() {
        Bench bench = demo().bench;
        std::erase_if(bench.runs, [&](const Run& run) { return run.id != bench.runs.front().id; });
        KeptFits none([](const Sweep&) -> Expected<FitResult> { return problem("", say("none")); });
        const auto made =
            publicationOf(bench, none.asked(), questionOf({configurationOf(bench.runs.front())}));
        QVERIFY(made);
        const auto card = std::get<Card>(sectionMade(*made, ReviewSection::Card).blocks.front());
        QVERIFY(card.answer.empty());
        QCOMPARE(english(made->namedValues(nullptr).at("height")), std::string("(not known)"));
        QVERIFY(!made->valuesOf(made->fixtures.front()).contains("height"));
        QVERIFY(!sectionMade(*made, ReviewSection::Height).missing.empty());
        // Nothing is said of several that no fit speaks for.
        for (const auto& one : made->fixtures.front().recommended) QVERIFY(one.read || !one.speaks());
    }

    void whateverWasTypedIsEscaped() {
        Bench bench = demo().bench;
        const std::string bad = "<script>alert('1')</script>";
        bench.title = bad;
        bench.fixtures[0].name = bad;
        for (auto& tank : bench.tanks) tank.name = bad;
        bench.plans[0].name = bad;
        bench.plans[0].note = bad;
        bench.method.reviewer = bad;
        bench.method.dissent = bad;
        bench.method.licence = bad;
        for (auto& rating : bench.ratings) rating.reason = bad;
        auto question = questionOf({configurationOf(bench.runs.front())});
        question.sections.opening = bad + " {{project}}";
        const auto made = publicationFor(question, bench);
        const auto files = *filesOf(made);
        for (const auto& file : files)
            if (file.name.endsWith(QLatin1String(".html")) || file.name.endsWith(QLatin1String(".svg")))
                QVERIFY2(!file.bytes.contains("<script"), qPrintable(file.name));
        for (const auto& file : files) QVERIFY(!file.name.contains(QLatin1Char('/')));
    }

    void overruledChecksArePrinted() {
        Bench bench = demo().bench;
        CommissionCheck check;
        check.id = 9999;
        check.run = bench.runs.front().id;
        check.kind = CheckKind::Draw;
        check.verdict = "Draws half.";
        check.overruled = "in a hurry";
        bench.checks.push_back(check);
        auto question = questionOf({configurationOf(bench.runs.front())}, "card");
        const auto page = pageOf(publicationFor(question, bench));
        QVERIFY(page.contains(QStringLiteral("Draws half.")) && page.contains(QStringLiteral("in a hurry")));
    }

    // What is written.

    void filesAreTheSameTwice() {
        const auto once = *filesOf(ofOne());
        const auto again = *filesOf(publicationFor(questionOf({demo().of(kOsier)})));
        QCOMPARE(once.size(), again.size());
        for (std::size_t i = 0; i < once.size(); ++i) {
            QCOMPARE(once[i].name, again[i].name);
            QVERIFY2(once[i].bytes == again[i].bytes, qPrintable(once[i].name));
        }
        QStringList names;
        for (const auto& file : once) names << file.name;
        for (const char* name :
             {"review.html", "review.pdf", "osier-60-all-channels-full-card.png",
              "osier-60-all-channels-full-card.pdf", "osier-60-all-channels-full-card.html",
              "data-package.zip", "workbook.xlsx", "edition.json", "readings.csv", "bench.json",
              "osier-60-all-channels-full-map-150mm.svg"})
            QVERIFY2(names.contains(QLatin1String(name)), name);
        QCOMPARE(names.removeDuplicates(), 0);
        for (const auto& file : once) {
            if (file.name == QLatin1String("osier-60-all-channels-full-card.png"))
                QCOMPARE(QImage::fromData(file.bytes).size(), QSize(1200, 630));
            if (file.name != QLatin1String("data-package.zip")) continue;
            const auto members = *unzipped(file.bytes.toStdString());
            QVERIFY(std::any_of(members.begin(), members.end(),
                                [](const auto& member) { return member.name.ends_with(".ies"); }));
            // What only hangs beside goes along with its readings; it is not compared.
            QVERIFY(std::none_of(members.begin(), members.end(),
                                 [](const auto& member) { return member.name == "comparison.csv"; }));
        }
    }

    void anotherEditionTellsWhatChanged() {
        QTemporaryDir dir;
        const auto folder = dir.filePath(QStringLiteral("out"));
        QVERIFY(publishTo(folder, ofOne()));
        auto question = questionOf({demo().of(kOsier)});
        question.last = **editionIn(folder);
        QCOMPARE(question.last->number, 1);
        QVERIFY(question.last->since.empty());
        // The same data are the same edition, whatever the day.
        question.day = QStringLiteral("2026-12-01");
        QCOMPARE(publicationFor(question).edition.number, 1);
        Bench bench = demo().bench;
        bench.method.spill_limit = 0.08;
        const auto next = publicationFor(question, bench);
        QCOMPARE(next.edition.number, 2);
        QCOMPARE(next.edition.earlier.size(), std::size_t{1});
        QCOMPARE(next.edition.earlier.front().hash, question.last->hash);
        bool height = false;
        for (const auto& change : next.edition.since) {
            QVERIFY(change.before != change.now);
            height = height || (change.name == std::string(kOsier) + ", height" && change.before == "210 mm");
        }
        QVERIFY(height);
        QVERIFY(pageOf(next).contains(QStringLiteral("Since edition 1")));
        QVERIFY(publishTo(folder, next));
        QCOMPARE((*editionIn(folder))->number, 2);
        // A height that is contested in other words is a change, though no figure moves.
        question.last = **editionIn(folder);
        bench.method.dissent = "The corners matter more.";
        const auto contested = publicationFor(question, bench);
        QCOMPARE(contested.edition.number, 3);
        const std::vector<ChangedFigure> wanted{{"dissent", "", "The corners matter more."}};
        QCOMPARE(contested.edition.since, wanted);
    }

    void aStrangeEditionIsNotWrittenOver() {
        QTemporaryDir dir;
        QVERIFY(!*editionIn(dir.path()));
        for (const char* bad :
             {"", "{}", "[1]", "{\"format\":\"glumet-edition\",\"version\":9}", "nothing"}) {
            QVERIFY(writeWhole(dir.filePath(QStringLiteral("edition.json")), bad));
            const auto read = editionIn(dir.path());
            QVERIFY2(!read, bad);
        }
        const auto edition = ofOne().edition;
        QCOMPARE(*parseEdition(jsonOf(edition)), edition);
    }

    void beingStoppedWritesNothing() {
        std::stop_source stop;
        stop.request_stop();
        QVERIFY(!filesOf(ofOne(), stop.get_token()));
        auto question = questionOf({demo().of(kOsier)});
        question.stop = stop.get_token();
        QVERIFY(!publicationOf(demo().bench, demo().fits.asked(), question));
    }

    void onlyWhatIsPublishedGoesAlong() {
        const auto bench = benchOf(demo().bench, {demo().of(kSedge)});
        QVERIFY(!bench.runs.empty());
        for (const auto& run : bench.runs)
            QCOMPARE(byId(bench.fixtures, run.fixture)->name, std::string("Sedge Panel"));
        // Rows of several of it are what its modelled numbers are checked by.
        int several = 0;
        for (const auto& run : benchOf(demo().bench, {demo().of(kOsier)}).runs)
            several += run.fixtures > 1 ? 1 : 0;
        QVERIFY(several > 0);
    }

  private:
    static MadeSection sectionMade(const Publication& publication, ReviewSection section) {
        return made(section, {publication, &publication.fixtures.front(), 3, "x"});
    }
};

GLUMET_TEST(TestPublication, "report_publication", Windows)

}  // namespace report_publication

#include "test_publication.moc"
