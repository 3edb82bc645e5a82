#include "report/review/publish.h"

#include "core/base/parallel.h"
#include "formats/bench_json.h"
#include "formats/readings_csv.h"
#include "report/data_package.h"
#include "report/page/html_page.h"
#include "report/page/pdf_page.h"
#include "report/page/pictures.h"
#include "report/review/sections.h"
#include "report/text.h"
#include "report/workbook.h"

namespace glumet {
namespace {

constexpr int kPrintScale = 2;  // of a card: 2400 pixels, 300 an inch at 203 mm

/// A card as a document of its own, with what a reader must not miss.
Document cardAlone(const Publication& publication, const Card& card) {
    Document out;
    out.title = text(card.title, publication.unit);
    out.subject = text(publication.bench.title);
    out.author = text(publication.bench.method.reviewer);
    out.day = publication.day;
    out.unit = publication.unit;
    out.footer = publication.provenance();
    out.blocks.emplace_back(Heading{1, prose(card.title)});
    out.blocks.emplace_back(card);
    Bullets cautions;
    cautions.tone = ProseTone::Caution;
    for (auto& words : usualCautions()) cautions.items.push_back(prose(std::move(words)));
    out.blocks.emplace_back(std::move(cautions));
    return out;
}

/// Every file by itself, to be made at the same time as others.
class Files {
  public:
    explicit Files(const Publication& publication)
        : p_(publication), laid_(laidOut(publication)), stems_(fileStems(publication)) {
        add("review.pdf", [this] { return pdfOf(laid_.document); });
        add("review.html", [this] { return Made(htmlOf(laid_.document)); });
        cards();
        figures();
        data();
    }

    Expected<std::vector<EditionFile>> make(const std::stop_token& stop) const {
        std::vector<Made> made(jobs_.size(), problem("", say(GLUMET_SAY("Core", "was cancelled"))));
        forEachIndex(jobs_.size(), 0, [&](std::size_t i) {
            if (!stop.stop_requested()) made[i] = jobs_[i].make();
        });
        std::vector<EditionFile> files;
        for (std::size_t i = 0; i < jobs_.size(); ++i) {
            if (!made[i]) return tl::make_unexpected(made[i].error());
            files.push_back({text(jobs_[i].name), std::move(*made[i])});
        }
        return files;
    }

  private:
    using Made = Expected<QByteArray>;
    struct Job {
        std::string name;
        std::function<Made()> make;
    };
    void add(const std::string& name, std::function<Made()> make) {
        jobs_.push_back({name, std::move(make)});
    }

    void cards() {
        for (std::size_t i = 0; i < p_.fixtures.size(); ++i) {
            auto section = made(ReviewSection::Card, {p_, &p_.fixtures[i], 3, stems_[i]});
            const auto card = std::make_shared<const Card>(std::get<Card>(std::move(section.blocks.front())));
            add(card->name + ".png", [this, card] { return Made(pngOf(*card, p_.unit, 1)); });
            add(card->name + "-print.png", [this, card] { return Made(pngOf(*card, p_.unit, kPrintScale)); });
            add(card->name + ".html", [this, card] { return Made(htmlOf(cardAlone(p_, *card))); });
            add(card->name + ".pdf", [this, card] { return pdfOf(cardAlone(p_, *card)); });
        }
    }

    void figures() {
        for (const auto& block : laid_.document.blocks)
            if (const auto* row = std::get_if<FigureRow>(&block))
                for (const auto& figure : row->figures) {
                    add(figure.name + ".svg",
                        [this, &figure] { return Made(svgOf(figure, p_.unit, p_.provenance())); });
                    add(figure.name + ".png",
                        [this, &figure] { return Made(pngOf(figure, p_.unit, p_.provenance())); });
                }
    }

    void data() {
        for (const auto& file : dataOf(p_.bench))
            add(file.name.toStdString(), [bytes = file.bytes] { return Made(bytes); });
        add("data-package.zip", [this]() -> Made {
            PackageAbout about{p_.day, {}, p_.comparison};
            for (const auto& review : p_.fixtures)
                if (review.fit) about.fits.emplace_back(review.name, *review.fit);
            auto package = dataPackageOf(p_.bench, about);
            if (!package) return tl::make_unexpected(package.error());
            return QByteArray::fromStdString(*package);
        });
        for (std::size_t i = 0; i < p_.fixtures.size(); ++i)
            add(p_.fixtures.size() == 1 ? "workbook.xlsx" : stems_[i] + "-workbook.xlsx",
                [this, i] { return workbookOf(p_.fixtures[i], p_.day); });
        add("edition.json", [this] { return Made(jsonOf(p_.edition)); });
    }

    const Publication& p_;
    LaidOut laid_;
    std::vector<std::string> stems_;
    std::vector<Job> jobs_;
};

}  // namespace

std::vector<EditionFile> dataOf(const Bench& bench) {
    return {{QStringLiteral("readings.csv"), QByteArray::fromStdString(writeReadings(rowsOf(bench)))},
            {QStringLiteral("bench.json"), QByteArray::fromStdString(writeBench(bench))}};
}

Expected<std::vector<EditionFile>> filesOf(const Publication& publication, const std::stop_token& stop) {
    return Files(publication).make(stop);
}

Expected<QStringList> publishTo(const QString& folder, const Publication& publication,
                                const std::stop_token& stop) {
    const auto files = filesOf(publication, stop);
    if (!files) return tl::make_unexpected(files.error());
    if (const auto done = writeEdition(folder, *files); !done) return tl::make_unexpected(done.error());
    QStringList names;
    for (const auto& file : *files) names << file.name;
    return names;
}

}  // namespace glumet
