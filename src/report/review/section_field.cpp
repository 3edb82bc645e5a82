#include <algorithm>
#include <cmath>

#include "core/bench/grid.h"
#include "core/plane/plane_statistics.h"
#include "report/chart_figure.h"
#include "report/palette.h"
#include "report/plan_figure.h"
#include "report/review/sections.h"
#include "report/section_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kMapWide = 340;
constexpr int kMapTall = 340;
constexpr int kChartWide = 560;
constexpr int kChartTall = 300;
constexpr double kSheetCell = 116.0;
constexpr double kSheetHead = 24.0;
constexpr double kSheetSide = 64.0;

/// Column by letters, row by number, as maps and findings name cells.
Words spotWords(const std::string& name, const Reading& reading) {
    if (reading.min && reading.max)
        return say(GLUMET_SAY("Core", "{}: {}, swing {}"), name, reading.mean,
                   PpfdSpan{*reading.min, *reading.max});
    return say(GLUMET_SAY("Core", "{}: {}"), name, reading.mean);
}

PageFigure mapFigure(const FixtureReview& review, const Plane& plane, const std::string& stem) {
    const auto& run = review.shown();
    auto plan = planOf(review.bench, run, plane);
    plan.band = review.band;
    plan.scale_top = review.scale_top;
    const auto statistics = planeStatistics(plane, review.band);
    PageFigure figure;
    figure.name = stem + "-map-" + std::to_string(std::lround(plane.depth.value())) + "mm";
    figure.caption = say(GLUMET_SAY("Core", "{} under water: mean {}, peak {}"), plane.depth,
                         statistics->mean, statistics->max);
    figure.alt = say(
        GLUMET_SAY(
            "Core",
            "Map of {} readings {} under water with the fixture at {}: mean {}, least {}, greatest {}."),
        Count{statistics->n}, plane.depth, run.height, statistics->mean, statistics->min, statistics->max);
    const double shape = plan.width.value() / plan.length.value();
    figure.size = QSize(kMapWide, static_cast<int>(std::clamp(kMapWide * shape, 120.0, 1.0 * kMapTall)));
    figure.paint = [plan](QPainter& p, const QRectF& area, LengthUnit) {
        paintPlan(p, area, plan, paper(), false);
    };
    if (plan.grid.cells() > 0) {
        const auto layout = planLayout(QRectF(QPointF(0, 0), figure.size), plan, false);
        for (const auto& reading : plane.readings) {
            const auto cell = cellAt(plan.grid, reading.x, reading.y);
            if (!reading.counts() || !cell) continue;
            figure.spots.push_back(
                {layout.cell(plan.grid, *cell), spotWords(cellName(plan.grid, *cell), reading)});
        }
    }
    return figure;
}

/// Every height and depth that was read, as small maps on one scale: heights across, depths down, in as many
/// bands as the heights take.
class SheetOfMaps {
  public:
    explicit SheetOfMaps(const FixtureReview& review) : depths_(depthsOf(review.bench, review.sweep)) {
        if (const auto* tank = review.tank()) shape_ = std::clamp(tank->width / tank->length, 0.25, 1.2);
        for (std::size_t r = 0; r < review.sweep.runs.size(); ++r) {
            const auto& run = review.bench.run(review.sweep.runs[r]);
            heights_.push_back(run.height);
            for (std::size_t d = 0; d < depths_.size(); ++d) {
                const auto* plane = planeAt(run, depths_[d]);
                if (plane == nullptr) continue;
                const auto statistics = planeStatistics(*plane);
                if (!statistics) continue;
                auto plan = planOf(review.bench, run, *plane);
                plan.scale_top = review.scale_top;
                small_.push_back(
                    {QRectF(left(r), top(r) + static_cast<double>(d) * step(), kSheetCell, cell()),
                     std::move(plan), text(ppfdFigure(statistics->mean))});
            }
        }
    }

    QSize size() const {
        const auto across = std::min(heights_.size(), kAcross);
        const auto bands = (heights_.size() + kAcross - 1) / kAcross;
        return {static_cast<int>(left(across - 1) + kSheetCell),
                static_cast<int>(std::ceil(top(bands * kAcross)))};
    }

    void paint(QPainter& p, LengthUnit unit) const {
        const auto& c = paper();
        for (const auto& one : small_) {
            paintSmallPlan(p, one.area, one.plan, c);
            p.setFont(houseFont(12));
            p.setPen(c.text);
            p.drawText(QRectF(one.area.left(), one.area.bottom() + 1, one.area.width(), 16), Qt::AlignLeft,
                       one.mean);
        }
        p.setFont(houseFont(13, true));
        p.setPen(c.text);
        for (std::size_t r = 0; r < heights_.size(); ++r) {
            p.drawText(QRectF(left(r), top(r) - kSheetHead, kSheetCell, kSheetHead),
                       Qt::AlignLeft | Qt::AlignVCenter, text(lengthText(heights_[r], unit)));
            if (r % kAcross != 0) continue;
            for (std::size_t d = 0; d < depths_.size(); ++d)
                p.drawText(QRectF(0, top(r) + static_cast<double>(d) * step(), kSheetSide - 8, cell()),
                           Qt::AlignRight | Qt::AlignVCenter, text(lengthText(depths_[d], unit)));
        }
    }

  private:
    static constexpr std::size_t kAcross = 9;
    struct Small {
        QRectF area;
        PlanData plan;
        QString mean;
    };
    double cell() const { return kSheetCell * shape_; }
    double step() const { return cell() + 22.0; }
    static double left(std::size_t height) {
        return kSheetSide + static_cast<double>(height % kAcross) * (kSheetCell + 10.0);
    }
    double top(std::size_t height) const {
        const auto band = static_cast<double>(height / kAcross);
        return kSheetHead + band * (static_cast<double>(depths_.size()) * step() + kSheetHead);
    }

    std::vector<Millimetre> depths_;
    std::vector<Millimetre> heights_;
    std::vector<Small> small_;
    double shape_ = 1.0;
};

std::optional<PageFigure> sheetFigure(const FixtureReview& review, const std::string& stem) {
    const auto depths = depthsOf(review.bench, review.sweep);
    if (review.sweep.runs.size() < 2 || depths.empty()) return std::nullopt;
    const auto sheet = std::make_shared<const SheetOfMaps>(review);
    PageFigure figure;
    figure.name = stem + "-heights";
    figure.caption = say(GLUMET_SAY("Core",
                                    "Every mounting height (across) and depth (down) that was read, on one "
                                    "scale; the mean of each below it"));
    figure.alt = say(
        GLUMET_SAY("Core", "Small maps of {} heights and {} depths; the table of planes has their figures."),
        countOf(review.sweep.runs.size()), countOf(depths.size()));
    figure.size = sheet->size();
    figure.paint = [sheet](QPainter& p, const QRectF&, LengthUnit unit) { sheet->paint(p, unit); };
    return figure;
}

/// Light along the tank's middle line at every depth of the shown run.
std::optional<PageFigure> crossSection(const FixtureReview& review, const std::string& stem) {
    struct Line {
        Millimetre depth;
        std::vector<std::pair<double, double>> points;
    };
    std::vector<Line> lines;
    for (const auto& plane : review.shown().planes) {
        const auto grid = readGrid(plane);
        if (!grid || grid->columns() < 3) continue;
        Line line{plane.depth, {}};
        for (int column = 0; column < grid->columns(); ++column) {
            double sum = 0.0;
            int count = 0;
            for (const auto& reading : plane.readings) {
                const auto cell = cellAt(*grid, reading.x, reading.y);
                if (!reading.counts() || !cell || cell->column != column) continue;
                const double from_middle = std::abs(cell->row - (grid->rows() - 1) / 2.0);
                if (from_middle > 0.6) continue;
                sum += reading.mean.value();
                ++count;
            }
            if (count > 0)
                line.points.emplace_back(grid->xs_mm[static_cast<std::size_t>(column)], sum / count);
        }
        if (line.points.size() >= 3) lines.push_back(std::move(line));
    }
    if (lines.empty()) return std::nullopt;
    PageFigure figure;
    figure.name = stem + "-section";
    figure.caption =
        say(GLUMET_SAY("Core", "Along the tank's middle, at {} over the water"), review.shown().height);
    figure.alt = say(GLUMET_SAY("Core", "Lines of light along the tank, one for each of {} depths."),
                     countOf(lines.size()));
    figure.size = QSize(kChartWide, kChartTall);
    figure.paint = [lines](QPainter& p, const QRectF& area, LengthUnit unit) {
        const auto& c = paper();
        const std::array colours{c.accent, c.text, c.water, c.muted};
        ChartData chart;
        chart.x_label = tr("from the left, %1").arg(text(unitName(unit)));
        chart.y_label = tr("µmol·m⁻²·s⁻¹");
        for (std::size_t i = 0; i < lines.size(); ++i) {
            ChartData::Series series{text(lengthText(lines[i].depth, unit)), colours[i % colours.size()], {}};
            for (const auto& [x, value] : lines[i].points)
                series.points.emplace_back(inUnit(Millimetre(x), unit), value);
            chart.series.push_back(std::move(series));
        }
        paintChart(p, inside(area), chart, c);
    };
    return figure;
}

Words ringsOf(const PlaneStatistics& s) {
    if (s.ring_means.empty()) return say("–");
    std::string all;
    for (const auto ring : s.ring_means) all += (all.empty() ? "" : " / ") + ppfdFigure(ring);
    return verbatim(std::move(all));
}

DataTable planeTable(const FixtureReview& review) {
    DataTable table;
    table.caption = say(GLUMET_SAY(
        "Core", "Every plane that was read, PPFD in µmol·m⁻²·s⁻¹; rings from the outermost to the centre"));
    table.columns = {{say(GLUMET_SAY("Core", "height"))}, {say(GLUMET_SAY("Core", "depth"))},
                     {say(GLUMET_SAY("Core", "points"))}, {say(GLUMET_SAY("Core", "mean"))},
                     {say(GLUMET_SAY("Core", "least"))},  {say(GLUMET_SAY("Core", "greatest"))},
                     {say(GLUMET_SAY("Core", "CV"))},     {say(GLUMET_SAY("Core", "least / mean"))},
                     {say(GLUMET_SAY("Core", "rings"))},  {say(GLUMET_SAY("Core", "in the band"))}};
    for (const auto& row : review.rows) {
        const auto& s = row.statistics;
        table.rows.push_back({say("{}", row.height), say("{}", row.depth), say("{}", Count{s.n}),
                              say("{}", s.mean), say("{}", s.min), say("{}", s.max), say("{}", Share{s.cv}),
                              say("{}", Figure{s.min_over_mean, 2}), ringsOf(s),
                              s.share_in_band ? say("{}", Share{*s.share_in_band}) : say("–")});
    }
    return table;
}

// Height.

struct HeightPoint {
    Millimetre height{0};
    double value = 0.0;
};
using HeightLine = std::vector<HeightPoint>;

std::vector<QPointF> onPaper(const HeightLine& line, LengthUnit unit) {
    std::vector<QPointF> points;
    for (const auto& point : line) points.emplace_back(inUnit(point.height, unit), point.value);
    return points;
}

void markAnswer(const SpillLimitVerdict& v, LengthUnit unit, ChartData& chart) {
    const auto at = v.crossing ? v.crossing : v.height;
    if (at) chart.mark = inUnit(*at, unit);
    if (v.low) chart.mark_low = inUnit(*v.low, unit);
    if (v.high) chart.mark_high = inUnit(*v.high, unit);
    chart.x_label = tr("fixture above water, %1").arg(text(unitName(unit)));
}

PageFigure lossFigure(const FixtureReview& review, const std::string& stem) {
    PageFigure figure;
    figure.name = stem + "-loss";
    figure.caption =
        say(GLUMET_SAY("Core", "What raising costs: loss of the grid mean against the lowest height"));
    figure.alt = say(GLUMET_SAY("Core", "A rising line of loss over height, with the limit of {}."),
                     Share{review.verdict.asked.limit});
    figure.size = QSize(kChartWide, kChartTall);
    figure.paint = [verdict = review.verdict](QPainter& p, const QRectF& area, LengthUnit unit) {
        const auto& c = paper();
        ChartData chart;
        markAnswer(verdict, unit, chart);
        chart.y_label = tr("loss of the grid mean, %");
        chart.level = verdict.asked.limit * 100.0;
        chart.level_name = tr("limit %1").arg(text(percentText(verdict.asked.limit)));
        HeightLine loss;
        for (const auto& row : verdict.evidence) loss.push_back({row.height, row.loss * 100.0});
        chart.series.push_back({tr("loss"), c.water, onPaper(loss, unit)});
        paintChart(p, inside(area), chart, c);
    };
    return figure;
}

PageFigure spreadFigure(const FixtureReview& review, const std::string& stem) {
    PageFigure figure;
    figure.name = stem + "-spread";
    figure.caption = say(GLUMET_SAY("Core", "Centre, mean and outer ring over the mounting height"));
    figure.alt = say(GLUMET_SAY("Core", "Three lines over height: centre, mean and outer ring."));
    figure.size = QSize(kChartWide, kChartTall);
    figure.paint = [verdict = review.verdict](QPainter& p, const QRectF& area, LengthUnit unit) {
        const auto& c = paper();
        ChartData chart;
        markAnswer(verdict, unit, chart);
        chart.y_label = tr("µmol·m⁻²·s⁻¹");
        HeightLine centre;
        HeightLine mean;
        HeightLine outer;
        for (const auto& row : verdict.evidence) {
            if (row.centre) centre.push_back({row.height, row.centre->value()});
            mean.push_back({row.height, row.grid_mean.value()});
            if (row.outer) outer.push_back({row.height, row.outer->value()});
        }
        for (const auto& [name, colour, line] :
             {std::tuple{tr("centre"), c.accent, centre}, std::tuple{tr("mean"), c.text, mean},
              std::tuple{tr("outer"), c.water, outer}})
            if (!line.empty()) chart.series.push_back({name, colour, onPaper(line, unit)});
        paintChart(p, inside(area), chart, c);
    };
    return figure;
}

PageFigure benchFigure(const FixtureReview& review, const std::string& stem) {
    PageFigure figure;
    figure.name = stem + "-bench";
    figure.caption = say(GLUMET_SAY("Core", "The bench in side view, to scale"));
    figure.alt = say(GLUMET_SAY("Core", "Side view of the tank with the fixture at {} over the water."),
                     review.shown().height);
    figure.size = QSize(330, 400);
    figure.paint = [&review](QPainter& p, const QRectF& area, LengthUnit unit) {
        paintSection(p, inside(area),
                     sectionOf(review.bench, review.sweep, review.shown().height, review.verdict.depth_used,
                               review.headline(), {}, unit),
                     paper());
    };
    return figure;
}

DataTable schoolTable(const FixtureReview& review) {
    DataTable table;
    table.caption = say(GLUMET_SAY("Core", "What each school says. The method of this review speaks by {}."),
                        wordOf(review.bench.method.school));
    table.columns = {{say(GLUMET_SAY("Core", "school")), false},
                     {say(GLUMET_SAY("Core", "height"))},
                     {say(GLUMET_SAY("Core", "between those read"))},
                     {say(GLUMET_SAY("Core", "95 % sure"))},
                     {say(GLUMET_SAY("Core", "reason")), false}};
    for (const auto& school : review.schools) {
        const bool sure = school.speaks() && school.low && school.high;
        table.rows.push_back(
            {verbatim(wordOf(school.school)),
             school.speaks() ? say("{}", *school.height) : say(GLUMET_SAY("Core", "cannot speak")),
             school.speaks() && school.crossing ? say("{}", *school.crossing) : say("–"),
             sure ? say("{}", LengthSpan{*school.low, *school.high}) : say("–"), school.reason});
    }
    return table;
}

DataTable evidenceTable(const SpillLimitVerdict& verdict) {
    DataTable table;
    if (verdict.depth_used)
        table.caption = say(GLUMET_SAY("Core", "Height by height, {} under water"), *verdict.depth_used);
    table.columns = {{say(GLUMET_SAY("Core", "height"))},    {say(GLUMET_SAY("Core", "mean"))},
                     {say(GLUMET_SAY("Core", "loss"))},      {say(GLUMET_SAY("Core", "± (k = 1)"))},
                     {say(GLUMET_SAY("Core", "peak"))},      {say(GLUMET_SAY("Core", "centre"))},
                     {say(GLUMET_SAY("Core", "outer ring"))}};
    const auto cell = [](const std::optional<Ppfd>& value) { return value ? say("{}", *value) : say("–"); };
    for (const auto& row : verdict.evidence)
        table.rows.push_back({say("{}", row.height), say("{}", row.grid_mean), say("{}", Share{row.loss}),
                              say("{}", Share{row.loss_error}), say("{}", row.peak), cell(row.centre),
                              cell(row.outer)});
    return table;
}

}  // namespace

MadeSection fieldSection(const SectionOf& of) {
    const auto& review = of.fixture();
    MadeSection out;
    out.blocks.emplace_back(
        Paragraph{prose(say(GLUMET_SAY("Core",
                                       "With the fixture at {}, µmol·m⁻²·s⁻¹, front below. A bar at a cell's "
                                       "foot: under {}; at its head: over {}."),
                            review.shown().height, review.band.low, review.band.high))});
    FigureRow maps;
    for (const auto& plane : review.shown().planes)
        if (planeStatistics(plane)) maps.figures.push_back(mapFigure(review, plane, of.name));
    out.blocks.emplace_back(std::move(maps));
    FigureRow sections{{benchFigure(review, of.name)}};
    if (auto figure = crossSection(review, of.name)) sections.figures.push_back(std::move(*figure));
    out.blocks.emplace_back(std::move(sections));
    if (auto figure = sheetFigure(review, of.name)) out.blocks.emplace_back(FigureRow{{std::move(*figure)}});
    out.blocks.emplace_back(planeTable(review));
    return out;
}

MadeSection heightSection(const SectionOf& of) {
    const auto& review = of.fixture();
    MadeSection out;
    out.blocks.emplace_back(schoolTable(review));
    if (review.verdict.evidence.size() < 2) {
        out.missing = say(GLUMET_SAY("Core", "it was read at one height only"));
        return out;
    }
    out.blocks.emplace_back(FigureRow{{lossFigure(review, of.name), spreadFigure(review, of.name)}});
    out.blocks.emplace_back(evidenceTable(review.verdict));
    if (!review.bench.method.dissent.empty())
        out.blocks.emplace_back(Paragraph{
            prose(say(GLUMET_SAY("Core", "The reviewer's own opinion: {}"), review.bench.method.dissent)),
            ProseTone::Opinion});
    return out;
}

}  // namespace glumet
