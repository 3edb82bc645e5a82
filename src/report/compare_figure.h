#pragma once

#include <QPainter>
#include <QString>
#include <optional>
#include <vector>

#include "core/compare/comparison.h"
#include "core/words/wording.h"
#include "report/palette.h"
#include "report/plan_figure.h"

namespace glumet {

/// A contender as a small figure: its light across the tank at one depth, with its interval, on one scale for
/// all.
struct CompareCard {
    struct Node {
        double share = 0.0;  ///< of the tank's length, 0–1
        double ppfd = 0.0;
        double lo = 0.0;
        double hi = 0.0;
    };
    std::size_t contender = 0;  ///< its number in the comparison
    QString name;
    QString height;
    QString mean;        ///< at that depth
    QString place;       ///< "1", "1–2"; a dash: not ranked
    bool leads = false;  ///< the first place is among those
    std::vector<Node> profile;
    LightBasis basis = LightBasis::Read;
    bool chosen = false;   ///< the one that is looked at
    bool against = false;  ///< what it is compared with
};

/// As many as can be read side by side: all, or the first of the board and the pair that is looked at.
inline constexpr std::size_t kMostShown = 12;
std::vector<std::size_t> shownOf(const Comparison& compared, std::size_t chosen, std::size_t against);

/// Cards of those that are shown, each at its shallowest depth; `chosen` and `against` are numbers of
/// contenders.
std::vector<CompareCard> compareCards(const Comparison& compared, LengthUnit unit, std::size_t chosen,
                                      std::size_t against);

/// Where the cards stand in an area: one row up to five, else two. Low ones hold a name and a place alone.
std::vector<QRectF> cardRects(const QRectF& area, std::size_t count, bool low = false);
double cardsHeight(std::size_t count, bool low = false);
void paintCards(QPainter& painter, const QRectF& area, const std::vector<CompareCard>& cards,
                const Palette& palette, bool low = false);

/// Conditions of all contenders against one, those that differ anywhere.
struct AlikeTable {
    std::vector<QString> names;
    std::vector<Condition> columns;
    std::vector<QString> heads;
    std::vector<std::vector<ConditionRow>> rows;  ///< by contender, by column
    std::size_t against = 0;                      ///< row of the one they are held against
    std::size_t same = 0;                         ///< conditions that are the same for all
    std::size_t alike = 0;                        ///< contenders that are left out for differing in nothing
};
AlikeTable alikeTable(const Comparison& compared, std::size_t chosen, std::size_t against);
double alikeHeight(const AlikeTable& table);
void paintAlike(QPainter& painter, const QRectF& area, const AlikeTable& table, const Palette& palette);
QRectF alikeCell(const QRectF& area, const AlikeTable& table, std::size_t row, std::size_t column);

/// The four states by their marks: the same in every figure and table.
QString stateMark(ConditionState state);
QString stateName(ConditionState state);

/// One criterion of the board: where everybody stands, better to the right.
struct BoardLine {
    Criterion criterion = Criterion::Evenness;
    QString name;
    double weight = 0.0;
    struct Dot {
        std::size_t contender = 0;
        double at = 0.0;  ///< 0 worst – 1 best of all
        double lo = 0.0;
        double hi = 0.0;
        bool assumed = false;
    };
    std::vector<Dot> dots;
    QString chosen;    ///< the figure of the one that is looked at, or a dash
    QString against;   ///< … and of the other
    bool tie = false;  ///< those two cannot be told apart
};
/// `all`: also the criteria that do not count, after those that do.
std::vector<BoardLine> boardLines(const Comparison& compared, std::size_t chosen, std::size_t against,
                                  bool all);

struct BoardLayout {
    QRectF name;
    QRectF pips;
    QRectF scale;
    QRectF figures;
};
inline constexpr double kBoardRow = 25.0;
inline constexpr double kBoardHead = 20.0;
BoardLayout boardLayout(const QRectF& area, std::size_t line);
/// `focus`: the line that keys go to; −1: none.
void paintBoard(QPainter& painter, const QRectF& area, const std::vector<BoardLine>& lines,
                std::size_t chosen, std::size_t against, int focus, const Palette& palette);

/// Where b is brighter or dimmer than a, in per cent, point by point; a tie carries "=". Nothing for free
/// points or without a tank.
std::optional<PlanData> differencePlan(const Comparison& compared, const PairedPlane& plane,
                                       const Palette& palette);

/// A criterion's figure as it is written everywhere: "58 %", "1.48 µmol/J".
QString figureText(Criterion criterion, double value);

}  // namespace glumet
