#include "report/point_sheets.h"

#include <QBuffer>
#include <QCoreApplication>
#include <QPageSize>
#include <QPainter>
#include <QPdfWriter>

#include "core/bench/grid.h"
#include "core/survey/commission.h"
#include "core/survey/pace.h"
#include "core/survey/route.h"
#include "files/file_writer.h"
#include "report/palette.h"
#include "report/plan_figure.h"
#include "report/review/fixture_review.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kSheetWide = 794.0;  // A4 at 96 dpi
constexpr double kTall = 1123.0;
constexpr double kSheetMargin = 48.0;
constexpr int kDpi = 300;

const Palette& printed() {
    static const Palette palette = [] {
        Palette p = paper();
        p.ground = p.raised = p.panel = QColor(Qt::white);
        return p;
    }();
    return palette;
}

class Sheets {
    Q_DECLARE_TR_FUNCTIONS(glumet::Sheets)
  public:
    Sheets(const Bench& bench, const Sweep& sweep, LengthUnit unit, QPdfWriter& writer)
        : bench_(bench), sweep_(sweep), unit_(unit), writer_(writer), p_(&writer) {
        p_.scale(kDpi / 96.0, kDpi / 96.0);
        p_.setRenderHint(QPainter::Antialiasing);
    }

    int write() {
        checklist();
        for (const auto index : sweep_.runs)
            for (const auto& plane : bench_.run(index).planes)
                if (plane.grid && nextOnWay(bench_, bench_.run(index), plane))
                    sheet(bench_.run(index), plane);
        p_.end();
        return pages_;
    }

  private:
    QString length(Millimetre value) const { return text(lengthText(value, unit_)); }

    double words(const QRectF& room, const QString& value, double size, bool bold, bool muted = false) {
        p_.setFont(houseFont(size, bold));
        p_.setPen(muted ? printed().muted : printed().text);
        QRectF used;
        p_.drawText(room, Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, value, &used);
        return used.height();
    }

    double heading(const QString& title, const QString& below) {
        if (pages_++ > 0) {
            writer_.newPage();
        }
        double y = kSheetMargin;
        y += words({kSheetMargin, y, kSheetWide - 2 * kSheetMargin, 60}, title, 20, true) + 2;
        y += words({kSheetMargin, y, kSheetWide - 2 * kSheetMargin, 40}, below, 11, false, true) + 8;
        p_.setPen(QPen(printed().text, 1.2));
        p_.drawLine(QPointF(kSheetMargin, y), QPointF(kSheetWide - kSheetMargin, y));
        return y + 14;
    }

    void box(double x, double y, double wide, double tall) {
        p_.setPen(QPen(printed().muted, 0.8));
        p_.setBrush(Qt::NoBrush);
        p_.drawRect(QRectF(x, y, wide, tall));
    }

    void checklist() {
        const auto name = text(configurationName(bench_, sweep_.configuration));
        double y = heading(tr("Before the first reading"), name);
        for (const auto kind : kCheckKinds) {
            box(kSheetMargin, y + 2, 13, 13);
            const QString check = text(checkName(kind), unit_);
            words({kSheetMargin + 24, y, 330, 20}, check.left(1).toUpper() + check.mid(1), 13, true);
            box(kSheetWide - kSheetMargin - 250, y - 3, 170, 24);
            words({kSheetWide - kSheetMargin - 70, y, 80, 20}, text(checkUnit(kind)), 11, false, true);
            y += 36;
        }
        y = runsTable(y + 6);
        for (const auto& caution : usualCautions())
            y += words({kSheetMargin, y, kSheetWide - 2 * kSheetMargin, 60}, text(caution, unit_), 10, false,
                       true) +
                 5;
    }

    double runsTable(double y) {
        std::vector<Run> left;
        for (const auto index : sweep_.runs) left.push_back(bench_.run(index));
        const auto time = estimateOf(left, paceOf(bench_));
        y += words({kSheetMargin, y, kSheetWide - 2 * kSheetMargin, 20},
                   tr("%1 points on %2 planes, about %3")
                       .arg(time.points)
                       .arg(time.planes)
                       .arg(text(durationText(time.usual))),
                   13, true) +
             6;
        for (const auto& run : left) {
            QStringList depths;
            for (const auto& plane : run.planes)
                if (plane.grid && nextOnWay(bench_, run, plane))
                    depths << text(lengthFigure(plane.depth, unit_));
            if (depths.isEmpty() || y > kTall - 260) continue;
            box(kSheetMargin, y + 2, 11, 11);
            y += words({kSheetMargin + 24, y, kSheetWide - 2 * kSheetMargin - 24, 20},
                       tr("Lamp at %1; planes %2 %3 under water")
                           .arg(length(run.height), depths.join(QStringLiteral(", ")), text(unitName(unit_))),
                       12, false) +
                 5;
        }
        return y + 12;
    }

    void sheet(const Run& run, const Plane& plane) {
        double y = heading(
            tr("Lamp at %1, plane %2 under water").arg(length(run.height), length(plane.depth)),
            tr("%1. Walk the numbers; write each mean in its box. Type them in by Measure in the same order.")
                .arg(text(configurationName(bench_, configurationOf(run)))));
        auto plan = planOf(bench_, run, plane);
        plan.way = wayOf(bench_, run, plane);
        plan.route = plan.numbers = true;
        for (const auto& value : plan.values)
            plan.faces.push_back({value ? text(ppfdFigure(*value)) : QString(), printed().ground});
        const QRectF area(kSheetMargin, y, kSheetWide - 2 * kSheetMargin, 470);
        paintPlan(p_, area, plan, printed(), true);
        const double used =
            (kSheetWide - 2 * kSheetMargin - 36) * plan.width.value() / plan.length.value() + 40;
        y += std::min(470.0, used) + 16;
        table(run, plane, plan.way, y);
    }

    /// The points in the order of the way: number, name, place, room for a value.
    void table(const Run& run, const Plane& plane, const std::vector<Cell>& way, double top) {
        constexpr double kColumn = 174.0;
        constexpr double kRow = 19.0;
        double x = kSheetMargin;
        double y = top;
        int number = 0;
        const auto read = readingOfCell(*plane.grid, plane.readings);
        for (const auto cell : way) {
            ++number;
            if (read[static_cast<std::size_t>(cell.row * plane.grid->columns() + cell.column)] >= 0) continue;
            if (y + kRow > kTall - kSheetMargin) {
                y = top;
                x += kColumn;
            }
            if (x + kColumn > kSheetWide - kSheetMargin + 4) {
                heading(tr("More points"), text(configurationName(bench_, configurationOf(run))));
                top = y = kSheetMargin + 70;
                x = kSheetMargin;
            }
            words({x, y + 3, 26, 16}, QString::number(number), 9, false, true);
            words({x + 24, y + 2, 66, 16}, text(cellName(*plane.grid, cell)), 11, true);
            box(x + 92, y, 68, 17);
            y += kRow;
        }
    }

    const Bench& bench_;
    const Sweep& sweep_;
    LengthUnit unit_;
    QPdfWriter& writer_;
    QPainter p_;
    int pages_ = 0;
};

}  // namespace

Expected<int> writePointSheets(const Bench& bench, const Sweep& sweep, LengthUnit unit, const QString& path) {
    QBuffer buffer;
    buffer.open(QIODevice::WriteOnly);
    int pages = 0;
    {
        QPdfWriter writer(&buffer);
        writer.setPageSize(QPageSize(QPageSize::A4));
        writer.setPageMargins({0, 0, 0, 0});
        writer.setResolution(kDpi);
        writer.setTitle(tr("Point sheets"));
        pages = Sheets(bench, sweep, unit, writer).write();
    }
    if (const auto done = writeWhole(path, buffer.data()); !done) return tl::make_unexpected(done.error());
    return pages;
}

}  // namespace glumet
