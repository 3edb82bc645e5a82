#pragma once

#include <QByteArray>
#include <QPainter>
#include <QString>
#include <functional>
#include <memory>

#include "core/base/problem.h"

namespace glumet {

/// Size of the page in painter units: A4 at 96 per inch.
inline constexpr double kPageWidth = 794.0;
inline constexpr double kPageHeight = 1123.0;

/// A PDF that says what its parts are (ISO 32000-1, 14.7 and 14.8): a tree of tagged elements, each painted
/// in one or several pieces in the order of reading; bookmarks; title, author and date. Text is painted as
/// text, fonts are embedded. The same calls give the same bytes.
class TaggedPdf {
  public:
    /// Of an element, where it has any.
    struct Attributes {
        QString alt = {};             ///< what one sees, of a Figure
        const char* scope = nullptr;  ///< "Column" or "Row", of a TH
    };
    struct About {
        QString title;
        QString author;
        QString subject;
        QString language;
        QString day;  ///< ISO date
    };

    TaggedPdf();
    ~TaggedPdf();

    void newPage();
    int pages() const;
    /// Opens an element within the one that is open: "P", "H1", "Table", "Figure" …
    void open(const char* tag, const Attributes& attributes);
    void open(const char* tag) { open(tag, {}); }
    void close();
    /// Paints a piece of the element that is open onto the last page, in page units.
    void paint(const std::function<void(QPainter&)>& work);
    /// Paints what is not of the text: rules, repeated heads; onto the last page, or a page by its number
    /// from 0.
    void paintArtifact(const std::function<void(QPainter&)>& work);
    void paintArtifact(int page, const std::function<void(QPainter&)>& work);
    /// A place of the last page, in page units, that leads to an address when it is clicked; a Link within the
    /// element that is open.
    void link(const QRectF& area, const QString& url);
    /// Leads to that height of the last page; 1 is the outermost level.
    void bookmark(int level, const QString& text, double y);
    /// The whole file. Nothing is painted afterwards.
    Expected<QByteArray> finish(const About& about);

  private:
    class Impl;
    std::unique_ptr<Impl> impl_;
};

}  // namespace glumet
