#pragma once

#include <QByteArray>
#include <string>
#include <vector>

#include "core/base/problem.h"
#include "report/page/document.h"

namespace glumet {

/// Where a heading with an anchor came to stand.
struct PdfMark {
    std::string anchor;
    int page = 0;    ///< from 0
    double y = 0.0;  ///< from the page's top, in units of kPageHeight
};
struct PdfPages {
    QByteArray bytes;
    std::vector<PdfMark> marks;
};

/// A document as a tagged PDF of A4 pages: bookmarks by its headings, page numbers, no row of a table and no
/// picture cut, heads of tables repeated on every page. The same document gives the same bytes.
Expected<PdfPages> pdfPagesOf(const Document& document);
Expected<QByteArray> pdfOf(const Document& document);

}  // namespace glumet
