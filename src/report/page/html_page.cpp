#include "report/page/html_page.h"

#include <ctemplate/template.h>

#include <QFile>
#include <set>

#include "report/page/page_fonts.h"
#include "report/page/pictures.h"
#include "report/palette.h"
#include "report/text.h"

namespace glumet {
namespace {

using Dictionary = ctemplate::TemplateDictionary;

QString resource(const char* name) {
    QFile file{QString::fromLatin1(name)};
    return file.open(QIODevice::ReadOnly) ? QString::fromUtf8(file.readAll()) : QString();
}

const char* classOf(ProseTone tone) {
    switch (tone) {
        case ProseTone::Plain:
            return "plain";
        case ProseTone::Lead:
            return "lead";
        case ProseTone::Muted:
            return "muted";
        case ProseTone::Doubt:
            return "doubt";
        case ProseTone::Caution:
            return "caution";
        case ProseTone::Opinion:
            return "opinion";
        case ProseTone::Own:
            return "own-words";
    }
    return "";
}

class HtmlWriter {
    Q_DECLARE_TR_FUNCTIONS(glumet::HtmlWriter)
  public:
    explicit HtmlWriter(const Document& document) : d_(document), root_("page") {}

    QByteArray write() {
        plain(root_, "LANGUAGE", d_.language);
        plain(root_, "TITLE", d_.title);
        plain(root_, "SUBJECT", d_.subject);
        plain(root_, "FOOTER", d_.footer);
        plain(root_, "OWN_UNIT", text(unitName(d_.unit)));
        plain(root_, "OTHER_UNIT", text(unitName(otherUnit(d_.unit))));
        if (!d_.author.isEmpty()) plain(*root_.AddSectionDictionary("AUTHOR"), "NAME", d_.author);
        for (const auto& block : d_.blocks) std::visit([this](const auto& it) { put(it); }, block);
        markup(root_, "STYLE", styleSheet());
        const QByteArray source = resource(":/publish/page.tpl").toUtf8();
        const std::unique_ptr<ctemplate::Template> page(ctemplate::Template::StringToTemplate(
            source.constData(), static_cast<std::size_t>(source.size()), ctemplate::DO_NOT_STRIP));
        std::string out;
        page->Expand(&out, &root_);
        return QByteArray::fromStdString(out);
    }

  private:
    QString styleSheet() const {
        QString all = fontFaces(true) + resource(":/publish/page.css");
        for (const int wide : widths_)
            all += QStringLiteral("figure.w%1{flex:1 1 %2px;max-width:%1px}\n").arg(wide).arg(wide * 3 / 4);
        return all;
    }

    /// What is no markup of ours is escaped, here and nowhere else.
    static void plain(Dictionary& in, const char* name, const QString& value) {
        markup(in, name, value.toHtmlEscaped());
    }
    static void markup(Dictionary& in, const char* name, const QString& value) {
        in.SetValue(name, value.toStdString());
    }

    /// A sentence in both systems of units, where they differ.
    QString html(const Words& words) const {
        const QString own = text(words, d_.unit).toHtmlEscaped();
        const QString other = text(words, otherUnit(d_.unit)).toHtmlEscaped();
        return inBoth(own, other, "span");
    }
    static QString inBoth(const QString& own, const QString& other, const char* tag) {
        if (own == other) return own;
        return QStringLiteral("<%1 class=\"in-own\">%2</%1><%1 class=\"in-other\">%3</%1>")
            .arg(QLatin1String(tag), own, other);
    }

    QString html(const Prose& prose) const {
        QString all;
        for (const auto& span : prose) {
            QString one = html(span.words);
            const auto within = [&](const char* tag) {
                one = QStringLiteral("<%1>%2</%1>").arg(QLatin1String(tag), one);
            };
            if (span.code) within("code");
            if (span.emphasis) within("em");
            if (span.strong) within("strong");
            if (!span.link.empty())
                one = QStringLiteral("<a href=\"%1\">%2</a>").arg(text(span.link).toHtmlEscaped(), one);
            all += one;
        }
        return all;
    }

    Dictionary& block(const char* kind) {
        return *root_.AddSectionDictionary("BLOCK")->AddSectionDictionary(kind);
    }

    void put(const PageBreak&) {}

    void put(const Heading& heading) {
        static constexpr std::array names{"H1", "H2", "H3", "H4"};
        const auto level = static_cast<std::size_t>(std::clamp(heading.level, 1, 4));
        auto& in = block(names[level - 1]);
        plain(in, "ID", idOf(heading, ++headings_));
        markup(in, "TEXT", html(heading.text));
        if (level == 1) contents();
    }

    static QString idOf(const Heading& heading, int number) {
        return heading.anchor.empty() ? QStringLiteral("part-%1").arg(number) : text(heading.anchor);
    }

    /// The parts below the title, each with a way to it.
    void contents() {
        Dictionary* nav = nullptr;
        int number = 0;
        for (const auto& it : d_.blocks) {
            const auto* heading = std::get_if<Heading>(&it);
            if (heading == nullptr) continue;
            ++number;
            if (heading->level != 2) continue;
            if (nav == nullptr) {
                nav = &block("CONTENTS");
                plain(*nav, "LABEL", tr("Contents"));
            }
            auto& entry = *nav->AddSectionDictionary("ENTRY");
            plain(entry, "ID", idOf(*heading, number));
            markup(entry, "TEXT", html(heading->text));
        }
    }

    void put(const Paragraph& paragraph) {
        auto& in = block("PARAGRAPH");
        plain(in, "TONE", QLatin1String(classOf(paragraph.tone)));
        markup(in, "TEXT", html(paragraph.text));
    }

    void put(const Bullets& bullets) {
        if (bullets.items.empty()) return;
        auto& in = block(bullets.ordered ? "ORDERED" : "LIST");
        plain(in, "TONE", QLatin1String(classOf(bullets.tone)));
        for (const auto& item : bullets.items) markup(*in.AddSectionDictionary("ITEM"), "TEXT", html(item));
    }

    void put(const FactList& list) {
        if (list.facts.empty()) return;
        auto& in = block("FACTS");
        for (const auto& fact : list.facts) {
            auto& one = *in.AddSectionDictionary("FACT");
            markup(one, "KEY", html(fact.name));
            markup(one, "VALUE", html(fact.value));
            if (fact.missing) one.ShowSection("MISSING");
        }
    }

    void put(const DataTable& table) {
        if (table.columns.empty() || table.rows.empty()) return;
        auto& in = block("TABLE");
        const auto cell = [&](Dictionary& of, const char* kind, std::size_t column, const Words& words) {
            auto& one = *of.AddSectionDictionary(kind);
            if (!table.columns[column].figures) one.ShowSection("WORDS");
            markup(one, "TEXT", html(words));
        };
        if (!table.caption.empty()) markup(*in.AddSectionDictionary("CAPTION"), "TEXT", html(table.caption));
        for (std::size_t c = 0; c < table.columns.size(); ++c) cell(in, "HEAD", c, table.columns[c].head);
        for (const auto& row : table.rows) {
            auto& line = *in.AddSectionDictionary("ROW");
            for (std::size_t c = 0; c < table.columns.size(); ++c)
                cell(line, c == 0 ? "FIRST" : "CELL", c, row[c]);
        }
    }

    void put(const FigureRow& row) {
        if (row.figures.empty()) return;
        auto& in = block("FIGURES");
        for (const auto& figure : row.figures) {
            auto& one = *in.AddSectionDictionary("FIGURE");
            plain(one, "WIDTH", QString::number(figure.size.width()));
            widths_.insert(figure.size.width());
            markup(one, "PICTURE",
                   inBoth(inlineSvg(figure, d_.unit), inlineSvg(figure, otherUnit(d_.unit)), "div"));
            markup(one, "TEXT", html(figure.caption));
        }
    }

    void put(const Card& card) {
        auto& in = block("CARD");
        plain(in, "LABEL", tr("Recommendation: %1").arg(text(card.title, d_.unit)));
        markup(in, "CARD_TITLE", html(card.title));
        const auto line = [&](const char* name, const Words& words) {
            if (!words.empty()) markup(*in.AddSectionDictionary(name), "TEXT", html(words));
        };
        line("SUBTITLE", card.subtitle);
        line("OVER", card.over_answer);
        if (!card.answer.empty()) markup(*in.AddSectionDictionary("ANSWERED"), "ANSWER", html(card.answer));
        line("UNDER", card.under_answer);
        for (const auto& row : card.rows) {
            auto& one = *in.AddSectionDictionary("CARD_ROW");
            markup(one, "KEY", html(row.figure));
            markup(one, "VALUE", html(row.text));
            if (!row.note.empty()) markup(*one.AddSectionDictionary("NOTE"), "TEXT", html(row.note));
        }
        if (card.map) {
            PageFigure map;
            map.alt = card.map_alt;
            map.size = QSize(280, 300);
            map.paint = [&card](QPainter& p, const QRectF& area, LengthUnit) { card.map(p, area); };
            markup(*in.AddSectionDictionary("MAP"), "PICTURE", inlineSvg(map, d_.unit));
        }
        line("NOT_FOR", card.not_for);
        line("PROVENANCE", card.provenance);
    }

    const Document& d_;
    Dictionary root_;
    std::set<int> widths_;
    int headings_ = 0;
};

}  // namespace

QByteArray htmlOf(const Document& document) { return HtmlWriter(document).write(); }

}  // namespace glumet
