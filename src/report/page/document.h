#pragma once

#include <QColor>
#include <QPainter>
#include <QRectF>
#include <QSize>
#include <QString>
#include <functional>
#include <optional>
#include <string>
#include <variant>
#include <vector>

#include "core/base/sentence.h"
#include "core/words/wording.h"

/// A publication as values: what is said and drawn, in order, before anybody knows whether it becomes HTML,
/// PDF or a picture. Lengths stay lengths until a renderer knows the reader's unit.
namespace glumet {

/// A piece of running text.
struct Span {
    Words words;
    bool strong = false;
    bool emphasis = false;
    bool code = false;
    std::string link = {};  ///< where it leads; empty: nowhere
};
/// Running text. Spans follow each other without a blank between.
using Prose = std::vector<Span>;
inline Prose prose(Words words) { return {{std::move(words)}}; }

struct Heading {
    int level = 2;  ///< 1: the publication's title, 2: a fixture or part, 3: a section, 4: within one
    Prose text;
    std::string anchor = {};  ///< by which others lead here; of a document each once; may be empty
};

/// What a text is, so that a reader can tell what was read from what is thought.
enum class ProseTone { Plain, Lead, Muted, Doubt, Caution, Opinion, Own };

struct Paragraph {
    Prose text;
    ProseTone tone = ProseTone::Plain;
};

struct Bullets {
    std::vector<Prose> items;
    bool ordered = false;
    ProseTone tone = ProseTone::Plain;
};

struct Fact {
    Words name;
    Words value;
    bool missing = false;  ///< nobody recorded or described it
};
struct FactList {
    std::vector<Fact> facts;
};

/// Rows under named columns. A cell that is a figure stands to the right.
struct DataTable {
    struct Column {
        Words head;
        bool figures = true;
    };
    Words caption;
    std::vector<Column> columns;
    std::vector<std::vector<Words>> rows;  ///< as many as columns; the first cell names the row
};

/// A picture that stands alone: with its caption, its scale and where it comes from.
struct PageFigure {
    /// A place of the picture that says more when it is pointed at.
    struct Spot {
        QRectF area;
        Words words;
    };
    std::string name;  ///< of its files; of one publication each once
    Words caption;
    Words alt;  ///< what one sees, in words
    QSize size;
    std::function<void(QPainter&, const QRectF&, LengthUnit)> paint;
    std::vector<Spot> spots = {};
};

/// Pictures beside each other where there is room.
struct FigureRow {
    std::vector<PageFigure> figures;
};

/// The recommendation at a glance (core/verdicts/recommendation.h brings its figures).
struct Card {
    struct Row {
        Words figure;     ///< large: "3", "81 %"
        Words text;       ///< what it is of
        Words note = {};  ///< what it gives, smaller
    };
    Words title;
    Words subtitle;
    Words over_answer;  ///< "Hang it over the water"
    Words answer;       ///< largest: "21 cm"; empty: no height can be named
    Words under_answer;
    std::vector<Row> rows;
    Words not_for;
    Words provenance;
    std::function<void(QPainter&, const QRectF&)> map;  ///< may be empty
    Words map_alt;
    std::string name;  ///< of its files
};

/// Begins a page of its own where there are pages.
struct PageBreak {};

using Block = std::variant<Heading, Paragraph, Bullets, FactList, DataTable, FigureRow, Card, PageBreak>;

struct Document {
    QString title;
    QString subject;  ///< what it is of, in a line, for those who list documents
    QString author;   ///< empty: not stated
    QString language = QStringLiteral("en");
    QString day;     ///< ISO date
    QString footer;  ///< at the foot of every page
    LengthUnit unit = LengthUnit::Cm;
    std::vector<Block> blocks;
};

/// The other system of units: inches for who reads centimetres or millimetres, centimetres for inches.
constexpr LengthUnit otherUnit(LengthUnit unit) {
    return unit == LengthUnit::Inch ? LengthUnit::Cm : LengthUnit::Inch;
}

}  // namespace glumet
