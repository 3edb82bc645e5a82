#include <QImage>
#include <QPainter>
#include <QProcess>
#include <QSvgRenderer>
#include <QTemporaryDir>
#include <QTest>
#include <QXmlStreamReader>

#include "core/words/sentence.h"
#include "report/page/card_painter.h"
#include "report/page/html_page.h"
#include "report/page/markdown.h"
#include "report/page/pdf_page.h"
#include "report/page/pictures.h"
#include "report/page/png.h"
#include "report/text.h"
#include "runner/registry.h"

namespace report_page {

using namespace glumet;

namespace {

QString said(const Prose& prose) {
    QString all;
    for (const auto& span : prose) all += text(span.words, LengthUnit::Cm);
    return all;
}

PageFigure square(const std::string& name) {
    PageFigure figure;
    figure.name = name;
    figure.caption = say("A square of {}", Millimetre(100));
    figure.alt = say("A square");
    figure.size = QSize(200, 100);
    figure.paint = [](QPainter& p, const QRectF& area, LengthUnit unit) {
        p.drawRect(area.adjusted(1, 1, -1, -1));
        p.drawText(area, unit == LengthUnit::Inch ? QStringLiteral("four") : QStringLiteral("ten"));
    };
    figure.spots = {{QRectF(0, 0, 50, 50), say("corner {}", Millimetre(50))}};
    return figure;
}

Document documentOf(std::vector<Block> blocks) {
    Document document;
    document.title = QStringLiteral("A lamp");
    document.author = QStringLiteral("Wren");
    document.day = QStringLiteral("2026-11-27");
    document.footer = QStringLiteral("at the foot");
    document.blocks.emplace_back(Heading{1, prose(verbatim("A lamp"))});
    for (auto& block : blocks) document.blocks.push_back(std::move(block));
    return document;
}

DataTable longTable(int rows) {
    DataTable table;
    table.columns = {{say("number"), false}, {say("its square")}};
    for (int i = 0; i < rows; ++i) table.rows.push_back({say("row {}", Count{i}), say("{}", Count{i * i})});
    return table;
}

/// What a program says of bytes; empty where it fails.
QString toldBy(const QString& program, const QStringList& arguments, const QByteArray& bytes,
               const char* name) {
    QTemporaryDir dir;
    const QString path = dir.filePath(QLatin1String(name));
    QFile file(path);
    if (!file.open(QIODevice::WriteOnly) || file.write(bytes) != bytes.size()) return {};
    file.close();
    QProcess process;
    process.setProcessChannelMode(QProcess::MergedChannels);
    auto all = arguments;
    all.replaceInStrings(QStringLiteral("FILE"), path);
    process.start(program, all);
    process.waitForFinished(-1);
    return QStringLiteral("%1|%2").arg(process.exitCode()).arg(QString::fromUtf8(process.readAll()));
}
QString pdfText(const QByteArray& pdf) {
    return toldBy(QStringLiteral("pdftotext"),
                  {QStringLiteral("-layout"), QStringLiteral("FILE"), QStringLiteral("-")}, pdf, "page.pdf");
}

}  // namespace

/// Documents as HTML, PDF and pictures, whatever they are of.
class TestPage : public QObject {
    Q_OBJECT

  private slots:
    // The reviewer's own words.

    void markdownBecomesBlocks() {
        const auto blocks = markdownBlocks(
            "# One\n\nSome *words* and **more**, [a place](https://example.org).\n\n"
            "1. first\n2. second\n\n> an opinion\n",
            2, {});
        QCOMPARE(blocks.size(), std::size_t{4});
        QCOMPARE(std::get<Heading>(blocks[0]).level, 2);
        const auto& text = std::get<Paragraph>(blocks[1]).text;
        QCOMPARE(said(text), QStringLiteral("Some words and more, a place."));
        QVERIFY(std::any_of(text.begin(), text.end(), [](const Span& s) { return s.emphasis; }));
        QVERIFY(std::any_of(text.begin(), text.end(),
                            [](const Span& s) { return s.link == "https://example.org"; }));
        QCOMPARE(std::get<Bullets>(blocks[2]).items.size(), std::size_t{2});
        QVERIFY(std::get<Bullets>(blocks[2]).ordered);
        QCOMPARE(std::get<Paragraph>(blocks[3]).tone, ProseTone::Opinion);
    }

    void figuresAreNamedAndKeepTheirUnit() {
        std::vector<std::string> unknown;
        const auto blocks = markdownBlocks("Hang it at {{height}}, {{nobody}}, {{ height", 2,
                                           {{"height", say("{}", Millimetre(210))}}, &unknown);
        const auto& prose = std::get<Paragraph>(blocks.front()).text;
        QCOMPARE(said(prose), QStringLiteral("Hang it at 21 cm, {{nobody}}, {{ height"));
        QString inches;
        for (const auto& span : prose) inches += text(span.words, LengthUnit::Inch);
        QVERIFY(inches.contains(QStringLiteral("8 1/4 in")));
        QCOMPARE(unknown, std::vector<std::string>{"nobody"});
    }

    void markupOfOthersIsText() {
        const auto blocks = markdownBlocks(
            "<script>alert(1)</script>\n\nand <b onclick=x>this</b>, [go](javascript:alert(1)), "
            "![seen](https://example.org/x.png)",
            2, {});
        for (const auto& block : blocks)
            for (const auto& span : std::get<Paragraph>(block).text) QVERIFY(span.link.empty());
        const auto html = htmlOf(documentOf(blocks));
        QVERIFY(!html.contains("<script"));
        QVERIFY(!html.contains("<b onclick"));
        QVERIFY(!html.contains("href=\"javascript"));
        QVERIFY(!html.contains("<img"));
        QVERIFY(html.contains("seen"));
    }

    void wordsWithoutEndOrDepthAreTaken() {
        const std::string deep(100'000, '>');
        markdownBlocks(deep + " deep", 2, {});
        markdownBlocks(std::string(50'000, '*') + "x" + std::string(50'000, '['), 2, {});
        using namespace std::string_literals;
        const auto bad = "bad \xff\xfe bytes and a \0 in it"s;
        QVERIFY(!markdownBlocks(bad, 2, {}).empty());
    }

    // HTML.

    void theHtmlIsValidAndAsksForNothing() {
        auto card = Card{};
        card.title = verbatim("A <lamp> & more");
        card.answer = say("{}", Millimetre(210));
        card.rows = {{say("3"), say("over {}", Millimetre(1200)), say("enough")}};
        card.name = "card";
        const auto html = htmlOf(documentOf({card, Heading{2, prose(say("A part")), "a-part"}, longTable(3),
                                             FigureRow{{square("one"), square("two")}},
                                             FactList{{{say("Name"), say("value"), true}}},
                                             Bullets{{prose(say("a caution"))}, false, ProseTone::Caution}}));
        QVERIFY(!html.contains("<lamp>"));
        for (const char* asking : {"src=\"http", "url(http", "<script", "<link", "@import"})
            QVERIFY2(!html.contains(asking), asking);
        const auto verdict = toldBy(
            QStringLiteral("tidy"),
            {QStringLiteral("-q"), QStringLiteral("-e"), QStringLiteral("-utf8"), QStringLiteral("FILE")},
            html, "page.html");
        QCOMPARE(verdict, QStringLiteral("0|"));
        QVERIFY(html.contains("href=\"#a-part\""));
        QVERIFY(html.contains("scope=\"row\"") && html.contains("scope=\"col\""));
        QVERIFY(html.contains("aria-label=\"A square\""));
        QVERIFY(html.contains("<title>corner 5 cm</title>"));
    }

    void bothUnitsStandInIt() {
        const auto html = QString::fromUtf8(htmlOf(documentOf(
            {Paragraph{prose(say("at {} and {}", Millimetre(210), Count{3}))}, FigureRow{{square("one")}}})));
        QVERIFY(html.contains(QStringLiteral("<span class=\"in-own\">at 21 cm and 3</span>")));
        QVERIFY(html.contains(QStringLiteral("<span class=\"in-other\">at 8 1/4 in and 3</span>")));
        QVERIFY(html.contains(QStringLiteral(">ten<")) && html.contains(QStringLiteral(">four<")));
    }

    // PDF.

    void theSameDocumentGivesTheSameBytes() {
        const auto document = documentOf({longTable(30), FigureRow{{square("one")}}});
        QCOMPARE(*pdfOf(document), *pdfOf(document));
        QCOMPARE(htmlOf(document), htmlOf(document));
        QCOMPARE(pngOf(square("one"), LengthUnit::Cm, {}), pngOf(square("one"), LengthUnit::Cm, {}));
    }

    /// On the screen a link is followed where it stands; one that wraps has a place on each line.
    void linksOfThePdfLeadSomewhere() {
        Prose words = prose(say("Told at length "));
        for (int i = 0; i < 12; ++i) words.push_back({say("word after word ")});
        words.push_back({say("where the method is explained to the end"), false, false, false,
                         "https://example.org/method"});
        words.push_back({say("mail"), false, false, false, "mailto:wren@example.org"});
        const auto pdf = *pdfOf(documentOf({Paragraph{words}, Bullets{{prose(say("none here"))}}}));
        const auto urls =
            toldBy(QStringLiteral("pdfinfo"), {QStringLiteral("-url"), QStringLiteral("FILE")}, pdf, "a.pdf");
        QVERIFY2(urls.count(QStringLiteral("https://example.org/method")) >= 1, qPrintable(urls));
        QCOMPARE(urls.count(QStringLiteral("mailto:wren@example.org")), 1);
        // Each place is an element within the words it lies on.
        const auto parts = toldBy(QStringLiteral("pdfinfo"),
                                  {QStringLiteral("-struct"), QStringLiteral("FILE")}, pdf, "a.pdf");
        QCOMPARE(parts.count(QStringLiteral("Link")), urls.count(QStringLiteral("example.org")));
        QVERIFY(parts.indexOf(QStringLiteral("Link")) < parts.indexOf(QStringLiteral("LI")));
        QVERIFY(
            toldBy(QStringLiteral("qpdf"), {QStringLiteral("--check"), QStringLiteral("FILE")}, pdf, "a.pdf")
                .startsWith(QLatin1String("0|")));
        QCOMPARE(*pdfOf(documentOf({Paragraph{words}, Bullets{{prose(say("none here"))}}})), pdf);
    }

    void thePdfSaysWhatItsPartsAre() {
        const auto pages =
            *pdfPagesOf(documentOf({Heading{2, prose(say("First")), "first"}, Paragraph{prose(say("Words."))},
                                    FigureRow{{square("one")}}, Heading{3, prose(say("Within")), "within"},
                                    longTable(2), Heading{2, prose(say("Second")), "second"}}));
        QVERIFY(toldBy(QStringLiteral("qpdf"), {QStringLiteral("--check"), QStringLiteral("FILE")},
                       pages.bytes, "a.pdf")
                    .startsWith(QLatin1String("0|")));
        const auto info = toldBy(QStringLiteral("pdfinfo"), {QStringLiteral("FILE")}, pages.bytes, "a.pdf");
        QVERIFY(info.contains(QStringLiteral("Tagged:          yes")));
        QVERIFY(info.contains(QStringLiteral("A lamp")) && info.contains(QStringLiteral("Wren")));
        QVERIFY(info.contains(QStringLiteral("2026")));
        const auto parts =
            toldBy(QStringLiteral("pdfinfo"), {QStringLiteral("-struct-text"), QStringLiteral("FILE")},
                   pages.bytes, "a.pdf");
        for (const char* part : {"H1", "H2", "H3", "Table", "TH", "TD", "Figure", "\"Words.\""})
            QVERIFY2(parts.contains(QLatin1String(part)), part);
        QCOMPARE(pages.marks.size(), std::size_t{3});
        QCOMPARE(pages.marks.front().anchor, std::string("first"));
        QVERIFY(pages.marks[2].y > pages.marks[0].y);
        const auto fonts = toldBy(QStringLiteral("pdffonts"), {QStringLiteral("FILE")}, pages.bytes, "a.pdf");
        const auto lines = fonts.split(QLatin1Char('\n'), Qt::SkipEmptyParts).mid(2);
        QVERIFY(!lines.isEmpty());
        for (const auto& line : lines)
            QVERIFY2(line.contains(QStringLiteral("Identity-H       yes ")), qPrintable(line));
        // Bookmarks, each leading somewhere.
        const auto json = toldBy(
            QStringLiteral("qpdf"),
            {QStringLiteral("--json=2"), QStringLiteral("--json-key=outlines"), QStringLiteral("FILE")},
            pages.bytes, "a.pdf");
        for (const char* title : {"First", "Second", "Within"})
            QVERIFY2(json.contains(QLatin1String(title)), title);
        QCOMPARE(json.count(QStringLiteral("\"destpageposfrom1\": 1")), 4);
    }

    /// A table over several pages: its head on each, every row whole, in order, once.
    void noRowIsCutAndHeadsAreRepeated() {
        const auto told = pdfText(*pdfOf(documentOf({longTable(150)})));
        const auto sheets = told.split(QLatin1Char('\f'), Qt::SkipEmptyParts);
        QVERIFY(sheets.size() >= 3);
        for (const auto& sheet : sheets) {
            QCOMPARE(sheet.count(QStringLiteral("its square")), 1);
            QVERIFY(sheet.contains(QStringLiteral("at the foot")));
        }
        QVERIFY(sheets.front().contains(QStringLiteral("1 of %1").arg(sheets.size())));
        for (int i = 0; i < 150; ++i) {
            const QRegularExpression row(QStringLiteral("row %1\\s+%2\\n").arg(i).arg(i * i));
            QCOMPARE(told.count(row), 1);
        }
    }

    void whatIsTallerThanAPageStaysOnPages() {
        std::string word;
        for (int i = 0; i < 4000; ++i) word += "word" + std::to_string(i) + " ";
        auto tall = square("tall");
        tall.size = QSize(100, 4000);
        const auto pdf = pdfOf(documentOf({Paragraph{prose(verbatim(word))}, FigureRow{{tall}},
                                           FactList{{{say("Name"), verbatim(word)}}}}));
        QVERIFY(pdf);
        const auto told = pdfText(*pdf);
        QCOMPARE(told.count(QStringLiteral("word3999")), 2);
        QCOMPARE(told.count(QStringLiteral("word2000")), 2);
    }

    // Pictures.

    void picturesStandAlone() {
        const auto svg =
            QString::fromUtf8(svgOf(square("one"), LengthUnit::Inch, QStringLiteral("from here")))
                .replace(QChar(0xa0), QLatin1Char(' '));
        QVERIFY(svg.contains(QStringLiteral("A square of 3 7/8 in")) &&
                svg.contains(QStringLiteral("from here")));
        // It brings the house font along, once, and stays well formed.
        QCOMPARE(svg.count(QStringLiteral("@font-face{font-family:'Glumet Text';font-weight:normal")), 1);
        QXmlStreamReader read(svg);
        while (!read.atEnd()) read.readNext();
        QVERIFY2(!read.hasError(), qPrintable(read.errorString()));
        const auto png = QImage::fromData(pngOf(square("one"), LengthUnit::Cm, QStringLiteral("from here")));
        QCOMPARE(png.width(), 400);
        QVERIFY(png.height() > 200);
    }

    /// A drawing is the picture, whatever pens, caps, joins, turns and shades it was made with, and names
    /// that look like figures stay as they are.
    void aDrawingIsThePicture() {
        auto figure = square("drawn");
        figure.caption = say("0.123456 <b> of 7.654321");
        figure.spots.clear();
        figure.paint = [](QPainter& p, const QRectF&, LengthUnit) {
            p.setPen(QPen(QColor(120, 20, 20), 9, Qt::SolidLine, Qt::FlatCap, Qt::MiterJoin));
            p.drawPolyline(QPolygonF({{20.123456, 80}, {40, 20.98765}, {60, 80}}));
            p.setPen(QPen(QColor(20, 120, 20), 9, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
            p.drawPolyline(QPolygonF({{80, 80}, {100, 20}, {120, 80}}));
            p.setPen(QPen(QColor(20, 20, 120, 90), 9));
            p.drawPolyline(QPolygonF({{140, 80}, {160, 20}, {180, 80}}));
            p.translate(100, 50);
            p.rotate(30);
            p.fillRect(QRectF(-8, -8, 16, 16), QColor(200, 160, 0, 120));
        };
        const auto svg = svgOf(figure, LengthUnit::Cm, {});
        QVERIFY(svg.contains("<title>0.123456 &lt;b&gt; of 7.654321</title>"));
        QVERIFY(svg.contains("20.12,80 ") && !svg.contains("20.1235"));
        const QSize size(200, 100);
        const auto painted = [&](const auto& paint) {
            QImage image(size, QImage::Format_RGB32);
            image.fill(Qt::white);
            QPainter p(&image);
            p.setRenderHint(QPainter::Antialiasing);
            paint(p);
            return image;
        };
        const auto direct =
            painted([&](QPainter& p) { figure.paint(p, QRectF(QPointF(), size), LengthUnit::Cm); });
        const auto drawn = painted([&](QPainter& p) {
            QSvgRenderer renderer(svg);
            renderer.setViewBox(QRect(QPoint(), size));
            renderer.render(&p, QRectF(QPointF(), size));
        });
        int apart = 0;
        int inked = 0;
        for (int y = 0; y < size.height(); ++y)
            for (int x = 0; x < size.width(); ++x) {
                apart += std::abs(qGray(direct.pixel(x, y)) - qGray(drawn.pixel(x, y))) > 40 ? 1 : 0;
                inked += qGray(direct.pixel(x, y)) < 240 ? 1 : 0;
            }
        QVERIFY2(apart * 50 < inked, qPrintable(QStringLiteral("%1 of %2").arg(apart).arg(inked)));
    }

    /// Every pixel comes back, in the colour it had; an empty picture is none.
    void aPackedPictureIsThePicture() {
        QImage picture(37, 23, QImage::Format_RGB32);
        for (int y = 0; y < picture.height(); ++y)
            for (int x = 0; x < picture.width(); ++x)
                picture.setPixel(x, y, qRgb(7 * x % 256, 11 * y % 256, (x * y) % 256));
        picture.setDotsPerMeterX(11811);
        picture.setDotsPerMeterY(11811);
        const auto back = QImage::fromData(packedPng(picture), "PNG");
        QCOMPARE(back.convertToFormat(QImage::Format_RGB32), picture);
        QCOMPARE(back.dotsPerMeterX(), 11811);
        QVERIFY(packedPng(QImage()).isEmpty());
    }

    void aCardIsAPictureOfItsSize() {
        Card card;
        card.title = verbatim(std::string(300, 'W'));
        for (int i = 0; i < 12; ++i)
            card.rows.push_back(
                {say("{}", Count{i}), verbatim(std::string(80, 'w')), verbatim(std::string(200, 'n'))});
        card.not_for = verbatim(std::string(900, 'x'));
        const auto png = QImage::fromData(pngOf(card, LengthUnit::Cm, 1));
        QCOMPARE(png.size(), QSize(1200, 630));
        // Whatever is in it, nothing is painted over the margin on the right.
        for (int y = 0; y < 630; ++y) QCOMPARE(png.pixel(1190, y), png.pixel(1190, 0));
        QCOMPARE(QImage::fromData(pngOf(card, LengthUnit::Cm, 3)).width(), 3600);
    }
};

GLUMET_TEST(TestPage, "report_page", Windows)

}  // namespace report_page

#include "test_page.moc"
