#include "report/compare_pictures.h"

#include <algorithm>
#include <cmath>

#include "report/compare_figure.h"
#include "report/palette.h"
#include "report/plan_figure.h"

namespace glumet {
namespace {

constexpr int kCompareWide = 860;
constexpr double kMapSide = 340.0;
constexpr double kLowestMap = 120.0;
constexpr double kFramePad = 10.0;

QRectF withinFrame(const QRectF& area) { return area.adjusted(kFramePad, kFramePad, -kFramePad, -kFramePad); }
QSize sizeFor(double height) { return {kCompareWide, static_cast<int>(std::ceil(height + 2 * kFramePad))}; }

PageFigure fieldsPicture(const Comparison& compared, std::size_t chosen, std::size_t against) {
    PageFigure figure;
    figure.name = "comparison-fields";
    figure.caption = say(GLUMET_SAY("Core", "Light across the tank, all on one scale"));
    figure.alt = say(GLUMET_SAY("Core", "A small profile of each fixture's light across the tank."));
    figure.size = sizeFor(cardsHeight(shownOf(compared, chosen, against).size()));
    figure.paint = [&compared, chosen, against](QPainter& p, const QRectF& area, LengthUnit unit) {
        paintCards(p, withinFrame(area), compareCards(compared, unit, chosen, against), paper());
    };
    return figure;
}

PageFigure alikePicture(const Comparison& compared, std::size_t chosen, std::size_t against) {
    const auto table = alikeTable(compared, chosen, against);
    PageFigure figure;
    figure.name = "comparison-alike";
    figure.caption = say(GLUMET_SAY("Core",
                                    "What is alike: = same, ~ corrected, ○ on purpose, ▲ not comparable; {} "
                                    "more are the same for all"),
                         countOf(table.same));
    figure.alt = say(GLUMET_SAY("Core", "A table of conditions: a mark for each fixture and condition."));
    figure.size = sizeFor(alikeHeight(table));
    figure.paint = [table](QPainter& p, const QRectF& area, LengthUnit) {
        paintAlike(p, withinFrame(area), table, paper());
    };
    return figure;
}

PageFigure boardPicture(const Comparison& compared, std::size_t chosen, std::size_t against) {
    const auto lines = boardLines(compared, chosen, against, true);
    PageFigure figure;
    figure.name = "comparison-board";
    figure.caption = say(GLUMET_SAY("Core",
                                    "What counts, and where everybody stands, better to the right; figures "
                                    "are those of {} and of {}"),
                         compared.judged[chosen].contender.name, compared.judged[against].contender.name);
    figure.alt = say(GLUMET_SAY("Core", "A row of marks for each criterion; the table has the figures."));
    figure.size = sizeFor(kBoardHead + kBoardRow * static_cast<double>(lines.size()));
    figure.paint = [lines, chosen, against](QPainter& p, const QRectF& area, LengthUnit) {
        paintBoard(p, withinFrame(area), lines, chosen, against, -1, paper());
    };
    return figure;
}

}  // namespace

std::vector<PageFigure> comparePictures(const Comparison& compared, std::size_t chosen, std::size_t against) {
    return {fieldsPicture(compared, chosen, against), alikePicture(compared, chosen, against),
            boardPicture(compared, chosen, against)};
}

std::vector<PageFigure> differencePictures(const Comparison& compared, std::size_t chosen,
                                           std::size_t against) {
    std::vector<PageFigure> out;
    const auto& name = compared.judged[chosen].contender.name;
    const auto& other = compared.judged[against].contender.name;
    for (const auto& plane : compared.pairOf(against, chosen).planes) {
        const auto plan = differencePlan(compared, plane, paper());
        if (!plan) continue;
        PageFigure map;
        map.name = "difference-" + std::to_string(std::lround(plane.depth.value())) + "mm";
        map.caption = say(
            GLUMET_SAY("Core",
                       "{} against {}, {} under water, per cent brighter or dimmer; = cannot be told apart"),
            name, other, plane.depth);
        map.alt = say(GLUMET_SAY("Core", "Map of the difference {} under water: {} on average."), plane.depth,
                      SignedShare{plane.mean.value - 1.0});
        map.size = QSize(
            static_cast<int>(kMapSide),
            static_cast<int>(std::clamp(kMapSide * (plan->width / plan->length), kLowestMap, kMapSide)));
        map.paint = [plan = *plan](QPainter& p, const QRectF& area, LengthUnit) {
            paintPlan(p, area, plan, paper(), false);
        };
        out.push_back(std::move(map));
    }
    return out;
}

}  // namespace glumet
