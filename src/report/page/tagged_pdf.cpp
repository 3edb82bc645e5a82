#include "report/page/tagged_pdf.h"

#define POINTERHOLDER_TRANSITION 4  // qpdf's own pointers are gone from its interface
#include <QBuffer>
#include <QPageSize>
#include <QPdfWriter>
#include <qpdf/Buffer.hh>
#include <qpdf/JSON.hh>
#include <qpdf/QPDF.hh>
#include <qpdf/QPDFObjectHandle.hh>
#include <qpdf/QPDFPageDocumentHelper.hh>
#include <qpdf/QPDFWriter.hh>
#include <string>
#include <vector>

namespace glumet {
namespace {

constexpr int kFiner = 12;  // painter units are so many times finer in the file
constexpr double kPointsPerUnit = 72.0 / 96.0;

QPDFObjectHandle textOf(const QString& text) {
    return QPDFObjectHandle::newUnicodeString(text.toStdString());
}

QPDFObjectHandle nameOf(const std::string& name) { return QPDFObjectHandle::newName("/" + name); }

/// "D:20261127000000Z" of an ISO date; empty for anything else.
std::string pdfDate(const QString& day) {
    const std::string digits = QString(day).remove(QLatin1Char('-')).left(8).toStdString();
    return digits.size() == 8 ? "D:" + digits + "000000Z" : std::string();
}

}  // namespace

/// Every piece is painted onto a page of its own; finish() lays the pages of a page over each other, each
/// within the marks of its element. A page's streams begin and end by themselves, and names of their
/// resources are those of objects, the same throughout the file.
class TaggedPdf::Impl {
  public:
    Impl() : writer_(&buffer_) {
        buffer_.open(QIODevice::WriteOnly);
        writer_.setResolution(96 * kFiner);
        writer_.setPageSize(QPageSize(QPageSize::A4));
        writer_.setPageMargins(QMarginsF(0, 0, 0, 0));
        elements_.push_back({"Document", {}, 0, {}});
    }

    void newPage() { ++pages_; }
    int pages() const { return pages_; }

    void open(const char* tag, const Attributes& attributes) {
        elements_.push_back({tag, attributes, open_, {}});
        const std::size_t number = elements_.size() - 1;
        elements_[open_].kids.push_back({Kid::Element, number});
        open_ = number;
    }
    void close() { open_ = elements_[open_].parent; }

    void paintText(const std::function<void(QPainter&)>& work) {
        elements_[open_].kids.push_back({Kid::Piece, pieces_.size()});
        paint(pages_ - 1, open_, work);
    }

    void paint(int page, std::optional<std::size_t> element, const std::function<void(QPainter&)>& work) {
        pieces_.push_back({page, element});
        if (painter_ == nullptr)
            painter_ = std::make_unique<QPainter>(&writer_);
        else
            writer_.newPage();
        painter_->save();
        painter_->scale(kFiner, kFiner);
        painter_->setRenderHint(QPainter::Antialiasing);
        work(*painter_);
        painter_->restore();
    }

    void bookmark(int level, const QString& text, double y) {
        marks_.push_back({level, text, pages_ - 1, y});
    }

    /// An element of its own within the one whose text it lies on.
    void link(const QRectF& area, const QString& url) {
        open("Link", {url, nullptr});
        elements_[open_].kids.push_back({Kid::Place, links_.size()});
        links_.push_back({pages_ - 1, area, url, open_});
        close();
    }

    QByteArray finish(const About& about) {
        if (painter_ == nullptr) paint(0, std::nullopt, [](QPainter&) {});
        painter_->end();
        pdf_.processMemoryFile("page", buffer_.data().constData(), static_cast<std::size_t>(buffer_.size()));
        layPages();
        addLinks();
        tagElements();
        addMarks();
        describe(about);
        nameFonts();
        // Qt numbers fonts in the order of their places in memory. Written once, objects are numbered by
        // where the pages use them; only then may they be packed together, which goes by number.
        const auto plain = written(pdf_, qpdf_o_disable, false);
        QPDF numbered;
        numbered.processMemoryFile("page", plain.constData(), static_cast<std::size_t>(plain.size()));
        return written(numbered, qpdf_o_generate, true);
    }

  private:
    struct Kid {
        enum Kind { Element, Piece, Place } kind;  // a place of the page that leads somewhere
        std::size_t number;
    };
    struct Tagged {
        std::string tag;
        Attributes attributes;
        std::size_t parent;
        std::vector<Kid> kids;
        QPDFObjectHandle handle = {};
    };
    struct Painted {
        int page;
        std::optional<std::size_t> element;
        int mark = 0;  ///< its number on the page
    };
    struct Mark {
        int level;
        QString text;
        int page;
        double y;
        QPDFObjectHandle handle = {};
    };

    struct Link {
        int page;
        QRectF area;
        QString url;
        std::size_t element;
        QPDFObjectHandle handle = {};
    };

    static QByteArray written(QPDF& pdf, qpdf_object_stream_e packed, bool compressed) {
        QPDFWriter out(pdf);
        out.setOutputMemory();
        out.setDeterministicID(true);
        out.setObjectStreamMode(packed);
        out.setCompressStreams(compressed);
        out.write();
        const auto bytes = out.getBufferSharedPointer();
        return {reinterpret_cast<const char*>(bytes->getBuffer()), static_cast<qsizetype>(bytes->getSize())};
    }

    /// Adds what a piece uses to what its page uses.
    static void addResources(QPDFObjectHandle& page, QPDFObjectHandle piece) {
        for (const auto& kind : piece.getKeys()) {
            auto from = piece.getKey(kind);
            if (!from.isDictionary()) {
                if (!page.hasKey(kind)) page.replaceKey(kind, from);
                continue;
            }
            if (!page.hasKey(kind)) page.replaceKey(kind, QPDFObjectHandle::newDictionary());
            auto to = page.getKey(kind);
            for (const auto& name : from.getKeys()) to.replaceKey(name, from.getKey(name));
        }
    }

    std::string marked(Painted& piece, int& marks, QPDFObjectHandle page) {
        std::string stream;
        for (auto& part : page.getPageContents()) {
            const auto bytes = part.getStreamData(qpdf_dl_generalized);
            stream.append(reinterpret_cast<const char*>(bytes->getBuffer()), bytes->getSize());
            stream += '\n';
        }
        if (!piece.element) return "/Artifact BMC\nq\n" + stream + "Q\nEMC\n";
        piece.mark = marks++;
        return "/" + elements_[*piece.element].tag + " <</MCID " + std::to_string(piece.mark) +
               ">> BDC\nq\n" + stream + "Q\nEMC\n";
    }

    void layPages() {
        QPDFPageDocumentHelper helper(pdf_);
        auto painted = helper.getAllPages();
        const auto box = painted.front().getObjectHandle().getKey("/MediaBox");
        for (int number = 0; number < pages_; ++number) {
            std::string stream;
            auto resources = QPDFObjectHandle::newDictionary();
            int marks = 0;
            for (std::size_t i = 0; i < pieces_.size(); ++i) {
                if (pieces_[i].page != number) continue;
                auto page = painted[i].getObjectHandle();
                stream += marked(pieces_[i], marks, page);
                addResources(resources, page.getKey("/Resources"));
            }
            auto page = QPDFObjectHandle::newDictionary();
            page.replaceKey("/Type", nameOf("Page"));
            page.replaceKey("/MediaBox", box);
            page.replaceKey("/Resources", resources);
            page.replaceKey("/Contents", QPDFObjectHandle::newStream(&pdf_, stream));
            page.replaceKey("/StructParents", QPDFObjectHandle::newInteger(number));
            page.replaceKey("/Tabs", nameOf("S"));
            laid_.push_back(pdf_.makeIndirectObject(page));
        }
        // One for the other at once: page by page would cost the square of their number.
        auto tree = pdf_.getRoot().getKey("/Pages");
        auto kids = QPDFObjectHandle::newArray();
        for (auto& page : laid_) {
            page.replaceKey("/Parent", tree);
            kids.appendItem(page);
        }
        tree.replaceKey("/Kids", kids);
        tree.replaceKey("/Count", QPDFObjectHandle::newInteger(pages_));
        pdf_.updateAllPagesCache();
    }

    QPDFObjectHandle kidOf(const Kid& kid) {
        if (kid.kind == Kid::Element) return elements_[kid.number].handle;
        auto reference = QPDFObjectHandle::newDictionary();
        if (kid.kind == Kid::Place) {
            const auto& link = links_[kid.number];
            reference.replaceKey("/Type", nameOf("OBJR"));
            reference.replaceKey("/Pg", laid_[static_cast<std::size_t>(link.page)]);
            reference.replaceKey("/Obj", link.handle);
            return reference;
        }
        const auto& piece = pieces_[kid.number];
        reference.replaceKey("/Type", nameOf("MCR"));
        reference.replaceKey("/Pg", laid_[static_cast<std::size_t>(piece.page)]);
        reference.replaceKey("/MCID", QPDFObjectHandle::newInteger(piece.mark));
        return reference;
    }

    void tagElements() {
        auto root = pdf_.makeIndirectObject(QPDFObjectHandle::newDictionary());
        for (auto& element : elements_)
            element.handle = pdf_.makeIndirectObject(QPDFObjectHandle::newDictionary());
        for (std::size_t i = 0; i < elements_.size(); ++i) {
            auto& element = elements_[i];
            element.handle.replaceKey("/Type", nameOf("StructElem"));
            element.handle.replaceKey("/S", nameOf(element.tag));
            element.handle.replaceKey("/P", i == 0 ? root : elements_[element.parent].handle);
            auto kids = QPDFObjectHandle::newArray();
            for (const auto& kid : element.kids) kids.appendItem(kidOf(kid));
            element.handle.replaceKey("/K", kids);
            if (!element.attributes.alt.isEmpty())
                element.handle.replaceKey("/Alt", textOf(element.attributes.alt));
            if (element.attributes.scope != nullptr) {
                auto table = QPDFObjectHandle::newDictionary();
                table.replaceKey("/O", nameOf("Table"));
                table.replaceKey("/Scope", nameOf(element.attributes.scope));
                element.handle.replaceKey("/A", table);
            }
        }
        root.replaceKey("/Type", nameOf("StructTreeRoot"));
        root.replaceKey("/K", elements_.front().handle);
        root.replaceKey("/ParentTree", parentTree());
        root.replaceKey("/ParentTreeNextKey", QPDFObjectHandle::newInteger(keyOfLink(links_.size())));
        auto marked_up = QPDFObjectHandle::newDictionary();
        marked_up.replaceKey("/Marked", QPDFObjectHandle::newBool(true));
        pdf_.getRoot().replaceKey("/StructTreeRoot", root);
        pdf_.getRoot().replaceKey("/MarkInfo", marked_up);
    }

    /// Of a link in the tree of parents: they follow the pages.
    long long keyOfLink(std::size_t link) const { return pages_ + static_cast<long long>(link); }

    /// From the marks of each page, and from each link, to their elements.
    QPDFObjectHandle parentTree() {
        auto numbers = QPDFObjectHandle::newArray();
        for (int page = 0; page < pages_; ++page) {
            auto marks = QPDFObjectHandle::newArray();
            for (const auto& piece : pieces_)
                if (piece.page == page && piece.element) marks.appendItem(elements_[*piece.element].handle);
            numbers.appendItem(QPDFObjectHandle::newInteger(page));
            numbers.appendItem(pdf_.makeIndirectObject(marks));
        }
        for (std::size_t i = 0; i < links_.size(); ++i) {
            numbers.appendItem(QPDFObjectHandle::newInteger(keyOfLink(i)));
            numbers.appendItem(elements_[links_[i].element].handle);
        }
        auto tree = QPDFObjectHandle::newDictionary();
        tree.replaceKey("/Nums", numbers);
        return pdf_.makeIndirectObject(tree);
    }

    QPDFObjectHandle destination(const Mark& mark) {
        auto where = QPDFObjectHandle::newArray();
        where.appendItem(laid_[static_cast<std::size_t>(mark.page)]);
        where.appendItem(nameOf("XYZ"));
        where.appendItem(QPDFObjectHandle::newInteger(0));
        where.appendItem(QPDFObjectHandle::newReal((kPageHeight - mark.y) * kPointsPerUnit, 1));
        where.appendItem(QPDFObjectHandle::newNull());
        return where;
    }

    void addLinks() {
        for (std::size_t i = 0; i < links_.size(); ++i) {
            auto& link = links_[i];
            const auto across = [](double x) { return QPDFObjectHandle::newReal(x * kPointsPerUnit, 1); };
            const auto up = [](double y) {
                return QPDFObjectHandle::newReal((kPageHeight - y) * kPointsPerUnit, 1);
            };
            auto action = QPDFObjectHandle::newDictionary();
            action.replaceKey("/S", nameOf("URI"));
            action.replaceKey("/URI", QPDFObjectHandle::newString(link.url.toUtf8().toStdString()));
            auto place = QPDFObjectHandle::newDictionary();
            place.replaceKey("/Type", nameOf("Annot"));
            place.replaceKey("/Subtype", nameOf("Link"));
            place.replaceKey("/Rect",
                             QPDFObjectHandle::newArray({across(link.area.left()), up(link.area.bottom()),
                                                         across(link.area.right()), up(link.area.top())}));
            place.replaceKey("/Border", QPDFObjectHandle::parse("[0 0 0]"));
            place.replaceKey("/Contents", textOf(link.url));
            place.replaceKey("/A", action);
            place.replaceKey("/StructParent", QPDFObjectHandle::newInteger(keyOfLink(i)));
            link.handle = pdf_.makeIndirectObject(place);
            auto page = laid_[static_cast<std::size_t>(link.page)];
            if (!page.getKey("/Annots").isArray()) page.replaceKey("/Annots", QPDFObjectHandle::newArray());
            page.getKey("/Annots").appendItem(link.handle);
        }
    }

    /// The marks from `at` on that lie deeper than their parent, as its children; returns where they end.
    std::size_t addMarksUnder(QPDFObjectHandle parent, std::size_t at, int level) {
        QPDFObjectHandle last;
        int count = 0;
        while (at < marks_.size() && marks_[at].level >= level) {
            const int own = marks_[at].level;
            auto item = pdf_.makeIndirectObject(QPDFObjectHandle::newDictionary());
            item.replaceKey("/Title", textOf(marks_[at].text));
            item.replaceKey("/Parent", parent);
            item.replaceKey("/Dest", destination(marks_[at]));
            if (last.isInitialized()) {
                last.replaceKey("/Next", item);
                item.replaceKey("/Prev", last);
            } else {
                parent.replaceKey("/First", item);
            }
            last = item;
            ++count;
            at = addMarksUnder(item, at + 1, own + 1);
        }
        if (count > 0) {
            parent.replaceKey("/Last", last);
            parent.replaceKey("/Count", QPDFObjectHandle::newInteger(count));
        }
        return at;
    }

    void addMarks() {
        if (marks_.empty()) return;
        auto outlines = pdf_.makeIndirectObject(QPDFObjectHandle::newDictionary());
        outlines.replaceKey("/Type", nameOf("Outlines"));
        addMarksUnder(outlines, 0, 1);
        pdf_.getRoot().replaceKey("/Outlines", outlines);
        pdf_.getRoot().replaceKey("/PageMode", nameOf("UseOutlines"));
    }

    /// Subsets of fonts are told apart by six letters that Qt draws from their order in memory; one tag for
    /// all is enough where every font is embedded once.
    void nameFonts() {
        for (auto& object : pdf_.getAllObjects())
            for (const char* key : {"/FontName", "/BaseFont"}) {
                if (!object.isDictionary() || !object.getKey(key).isName()) continue;
                const auto name = object.getKey(key).getName();
                if (const auto plus = name.find('+'); plus != std::string::npos)
                    object.replaceKey(key, nameOf("GLUMET" + name.substr(plus)));
            }
    }

    void describe(const About& about) {
        auto root = pdf_.getRoot();
        root.removeKey("/Metadata");  // holds the moment of writing and a number drawn by lot
        root.removeKey("/OutputIntents");
        root.replaceKey("/Lang", textOf(about.language));
        auto viewer = QPDFObjectHandle::newDictionary();
        viewer.replaceKey("/DisplayDocTitle", QPDFObjectHandle::newBool(true));
        root.replaceKey("/ViewerPreferences", viewer);
        auto info = QPDFObjectHandle::newDictionary();
        info.replaceKey("/Title", textOf(about.title));
        if (!about.author.isEmpty()) info.replaceKey("/Author", textOf(about.author));
        if (!about.subject.isEmpty()) info.replaceKey("/Subject", textOf(about.subject));
        info.replaceKey("/Creator", textOf(QStringLiteral("Glumet")));
        if (const auto date = pdfDate(about.day); !date.empty())
            info.replaceKey("/CreationDate", QPDFObjectHandle::newString(date));
        pdf_.getTrailer().replaceKey("/Info", pdf_.makeIndirectObject(info));
    }

    QBuffer buffer_;
    QPdfWriter writer_;
    std::unique_ptr<QPainter> painter_;
    std::vector<Tagged> elements_;
    std::vector<Painted> pieces_;
    std::vector<Mark> marks_;
    std::vector<Link> links_;
    std::vector<QPDFObjectHandle> laid_;
    std::size_t open_ = 0;
    int pages_ = 0;
    QPDF pdf_;
};

TaggedPdf::TaggedPdf() : impl_(std::make_unique<Impl>()) { impl_->newPage(); }
TaggedPdf::~TaggedPdf() = default;
void TaggedPdf::newPage() { impl_->newPage(); }
int TaggedPdf::pages() const { return impl_->pages(); }
void TaggedPdf::open(const char* tag, const Attributes& attributes) { impl_->open(tag, attributes); }
void TaggedPdf::close() { impl_->close(); }
void TaggedPdf::paint(const std::function<void(QPainter&)>& work) { impl_->paintText(work); }
void TaggedPdf::paintArtifact(const std::function<void(QPainter&)>& work) {
    paintArtifact(impl_->pages() - 1, work);
}
void TaggedPdf::paintArtifact(int page, const std::function<void(QPainter&)>& work) {
    impl_->paint(page, std::nullopt, work);
}
void TaggedPdf::link(const QRectF& area, const QString& url) { impl_->link(area, url); }
void TaggedPdf::bookmark(int level, const QString& text, double y) { impl_->bookmark(level, text, y); }

Expected<QByteArray> TaggedPdf::finish(const About& about) {
    try {
        return impl_->finish(about);
    } catch (const std::exception& fault) {
        return problem("PDF", verbatim(fault.what()));
    }
}

}  // namespace glumet
