#include "desk/compare/compare_files.h"

#include "core/words/typed.h"
#include "formats/delimited_text.h"
#include "report/figure_files.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kWidth = 860;
constexpr int kMargin = 16;
constexpr int kMapSide = 420;

QRectF insideOf(const QSize& size) {
    return QRectF({0, 0}, QSizeF(size)).adjusted(kMargin, kMargin, -kMargin, -kMargin);
}

QSize sizeFor(double height) { return {kWidth, static_cast<int>(height) + 2 * kMargin}; }

/// A number as it is; a text so that no spreadsheet runs it.
std::string cellOf(const QString& cell) {
    const auto said = cell.toStdString();
    return parseNumber(said) ? said : cellOfText(said);
}

/// The chosen pair's difference at every depth they share, one map beside the other.
std::vector<ReviewFigure> maps(const Comparison& compared, LengthUnit unit, std::size_t chosen,
                               std::size_t against) {
    std::vector<ReviewFigure> out;
    const auto pair = compared.pairOf(against, chosen);
    for (const auto& plane : pair.planes) {
        const auto plan = differencePlan(compared, plane, paper());
        if (!plan) continue;
        const QSize size(kMapSide, kMapSide);
        out.push_back(
            {QStringLiteral("difference-%1").arg(qRound(plane.depth.value())),
             tr("%1 against %2, %3 under water, per cent")
                 .arg(text(compared.judged[chosen].contender.name),
                      text(compared.judged[against].contender.name), text(lengthText(plane.depth, unit))),
             size, [plan, size](QPainter& p) { paintPlan(p, insideOf(size), *plan, paper(), true); }});
    }
    return out;
}

std::vector<ReviewFigure> figuresOf(const Comparison& compared, LengthUnit unit, std::size_t chosen,
                                    std::size_t against) {
    const auto cards = compareCards(compared, unit, chosen, against);
    const auto alike = alikeTable(compared, chosen, against);
    const auto lines = boardLines(compared, chosen, against, true);
    const auto cards_size = sizeFor(cardsHeight(cards.size()));
    const auto alike_size = sizeFor(alikeHeight(alike));
    const auto board_size = sizeFor(kBoardHead + kBoardRow * static_cast<double>(lines.size()));
    std::vector<ReviewFigure> out{
        {QStringLiteral("fields"), tr("Light across the tank, one scale"), cards_size,
         [cards, cards_size](QPainter& p) { paintCards(p, insideOf(cards_size), cards, paper()); }},
        {QStringLiteral("alike"), tr("What is alike"), alike_size,
         [alike, alike_size](QPainter& p) { paintAlike(p, insideOf(alike_size), alike, paper()); }},
        {QStringLiteral("board"), tr("What counts, better to the right"), board_size,
         [lines, board_size, chosen, against](QPainter& p) {
             paintBoard(p, insideOf(board_size), lines, chosen, against, -1, paper());
         }}};
    for (auto& map : maps(compared, unit, chosen, against)) out.push_back(std::move(map));
    return out;
}

}  // namespace

QByteArray csvOf(const std::vector<QStringList>& rows) {
    std::string out;
    for (const auto& row : rows) {
        std::vector<std::string> cells;
        for (const auto& cell : row) cells.push_back(cellOf(cell));
        appendLine(out, cells);
    }
    return QByteArray::fromStdString(out);
}

QString tabbedOf(const std::vector<QStringList>& rows) {
    QString out;
    for (const auto& row : rows) {
        QStringList cells;
        for (const auto& cell : row) cells << text(cellOf(cell.simplified()));
        out += cells.join(QLatin1Char('\t')) + QLatin1Char('\n');
    }
    return out;
}

std::vector<EditionFile> compareFiles(
    const Comparison& compared, LengthUnit unit, std::size_t chosen, std::size_t against,
    const std::vector<std::pair<QString, std::vector<QStringList>>>& tables) {
    std::vector<EditionFile> files;
    for (const auto& figure : figuresOf(compared, unit, chosen, against)) {
        files.push_back({figure.name + QStringLiteral(".svg"), svgOf(figure)});
        files.push_back({figure.name + QStringLiteral(".png"), pngOf(figure)});
    }
    for (const auto& [name, rows] : tables) files.push_back({name + QStringLiteral(".csv"), csvOf(rows)});
    return files;
}

}  // namespace glumet
