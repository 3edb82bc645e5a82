#include "report/compare_figure.h"

#include <QPainterPath>
#include <algorithm>
#include <cmath>
#include <map>

#include "core/base/interval.h"
#include "core/bench/grid.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kCompareGap = 8.0;
constexpr double kCardHeight = 112.0;
constexpr double kLowCard = 88.0;  // of two rows
constexpr double kNarrowCard = 124.0;
constexpr double kNameCard = 26.0;  // a name and a place
constexpr std::size_t kOneRow = 5;
constexpr double kAlikeRow = 17.0;
constexpr std::size_t kMostLines = 7;
constexpr double kAlikeHead = 20.0;
constexpr double kAlikeName = 168.0;
constexpr double kPip = 9.0;
constexpr double kPips = 62.0;
constexpr double kFigures = 132.0;

std::size_t columnsOf(std::size_t count) { return count <= kOneRow ? count : (count + 1) / 2; }

/// Means over the rows of a plane's grid, column by column; free points as they lie.
std::vector<CompareCard::Node> profileOf(const ComparedPlane& plane, double length_mm) {
    std::map<double, std::pair<double, int>> by_x;
    for (const auto& point : plane.points) {
        auto& sum = by_x[std::round(point.x_mm)];
        sum.first += point.ppfd;
        ++sum.second;
    }
    std::vector<CompareCard::Node> out;
    // Readings beyond a tank that is described too short still fit the card.
    if (!by_x.empty()) length_mm = std::max(length_mm, by_x.rbegin()->first + by_x.begin()->first);
    for (const auto& [x, sum] : by_x) {
        const double mean = sum.first / sum.second;
        const double error =
            kInterval95 * std::hypot(plane.point_error / std::sqrt(sum.second), plane.common_error);
        out.push_back(
            {length_mm > 0.0 ? x / length_mm : 0.5, mean, mean * (1.0 - error), mean * (1.0 + error)});
    }
    return out;
}

void paintProfile(QPainter& p, const QRectF& box, const CompareCard& card, double top, const Palette& c) {
    if (card.profile.empty() || top <= 0.0) return;
    const auto at = [&](double share, double ppfd) {
        return QPointF(box.left() + share * box.width(), box.bottom() - ppfd / top * box.height());
    };
    QPainterPath band;
    QPainterPath line;
    QPainterPath ground;
    double sum = 0.0;
    ground.moveTo(at(card.profile.front().share, 0.0));
    for (std::size_t i = 0; i < card.profile.size(); ++i) {
        const auto& node = card.profile[i];
        sum += node.ppfd;
        i == 0 ? band.moveTo(at(node.share, node.hi)) : band.lineTo(at(node.share, node.hi));
        i == 0 ? line.moveTo(at(node.share, node.ppfd)) : line.lineTo(at(node.share, node.ppfd));
        ground.lineTo(at(node.share, node.ppfd));
    }
    ground.lineTo(at(card.profile.back().share, 0.0));
    for (auto node = card.profile.rbegin(); node != card.profile.rend(); ++node)
        band.lineTo(at(node->share, node->lo));
    band.closeSubpath();
    QColor fill = tideColour(sum / static_cast<double>(card.profile.size()), top);
    fill.setAlphaF(0.45F);
    p.fillPath(ground, fill);
    QColor doubt = c.text;
    doubt.setAlphaF(0.35F);
    p.fillPath(band, doubt);
    QPen pen(c.text, 1.8);
    // What nobody read is dashed; what rests on others' means is dotted.
    if (card.basis == LightBasis::Modelled) pen.setStyle(Qt::DashLine);
    if (card.basis == LightBasis::Charted) pen.setStyle(Qt::DotLine);
    p.setPen(pen);
    p.drawPath(line);
}

void paintCard(QPainter& p, const QRectF& box, const CompareCard& card, double top, const Palette& c,
               bool low) {
    p.setPen(QPen(card.chosen    ? c.accent
                  : card.against ? c.text
                                 : c.line,
                  card.chosen || card.against ? 1.8 : 1.0, card.against ? Qt::DashLine : Qt::SolidLine));
    p.setBrush(c.panel);
    p.drawRoundedRect(box, 6, 6);
    p.setBrush(Qt::NoBrush);
    const auto inner = low ? box.adjusted(9, 4, -9, -2) : box.adjusted(9, 6, -9, -6);
    // A narrow card gives its head to the name: the place stands at its foot, the height goes.
    const bool narrow = !low && box.width() < kNarrowCard;
    p.setFont(houseFont(narrow ? 11 : 12, true));
    const QFontMetricsF bold(p.font());
    const double place = narrow || card.place.isEmpty() ? 0.0 : bold.horizontalAdvance(card.place) + 6;
    p.setPen(c.text);
    p.drawText(inner, Qt::AlignTop | Qt::AlignLeft,
               bold.elidedText(card.name, Qt::ElideRight, inner.width() - place));
    p.setPen(card.leads ? c.accent : c.text);
    p.drawText(inner, narrow ? Qt::AlignBottom | Qt::AlignLeft : Qt::AlignTop | Qt::AlignRight, card.place);
    if (low) return;
    const QRectF plot = inner.adjusted(0, 22, 0, -21);
    paintProfile(p, plot, card, top, c);
    p.setPen(QPen(c.line, 1.0));
    p.drawLine(QPointF(inner.left(), plot.bottom() + 1), QPointF(inner.right(), plot.bottom() + 1));
    p.setFont(houseFont(12));
    p.setPen(c.muted);
    if (!narrow) p.drawText(inner, Qt::AlignBottom | Qt::AlignLeft, card.height);
    p.setFont(houseFont(13, true));
    p.setPen(c.text);
    p.drawText(inner, Qt::AlignBottom | Qt::AlignRight, card.mean);
}

const ComparedPlane* shallowest(const Contender& contender) {
    return contender.planes.empty() ? nullptr : &contender.planes.front();
}

QString placeOf(const RankRow& row) {
    if (row.rank == 0) return {};
    return row.rank_lo == row.rank_hi ? QString::number(row.rank)
                                      : QStringLiteral("%1–%2").arg(row.rank_lo).arg(row.rank_hi);
}

void addDots(BoardLine& line, const Comparison& compared, const std::vector<std::size_t>& shown) {
    double worst = 0.0;
    double best = 0.0;
    bool any = false;
    for (const auto i : shown)
        if (const auto* figure = compared.board.figure(i, line.criterion)) {
            for (const double value : {figure->lo, figure->hi}) {
                const double at = goodness(line.criterion, value);
                worst = any ? std::min(worst, at) : at;
                best = any ? std::max(best, at) : at;
                any = true;
            }
        }
    const double span = best - worst;
    const auto place = [&](double value) {
        return span > 1e-9 ? (goodness(line.criterion, value) - worst) / span : 0.5;
    };
    for (const auto i : shown)
        if (const auto* figure = compared.board.figure(i, line.criterion))
            line.dots.push_back({i, place(figure->value), std::min(place(figure->lo), place(figure->hi)),
                                 std::max(place(figure->lo), place(figure->hi)), figure->assumed});
}

void paintPips(QPainter& p, const QRectF& box, double weight, const Palette& c) {
    for (int i = 0; i < kMostWeight; ++i) {
        const QRectF pip(box.left() + i * (kPip + 4), box.center().y() - kPip / 2, kPip, kPip);
        p.setPen(Qt::NoPen);
        p.setBrush(i < std::lround(weight) ? c.accent : c.raised);
        p.drawRoundedRect(pip, 2, 2);
    }
    p.setBrush(Qt::NoBrush);
}

void paintDot(QPainter& p, const QRectF& scale, const BoardLine::Dot& dot, int kind, const Palette& c) {
    const auto x = [&](double share) { return scale.left() + share * scale.width(); };
    const QPointF at(x(dot.at), scale.center().y());
    const QColor ink = kind == 2 ? c.accent : kind == 1 ? c.text : c.muted;
    p.setPen(QPen(ink, kind == 0 ? 1.4 : 3.0, dot.assumed ? Qt::DotLine : Qt::SolidLine, Qt::FlatCap));
    p.drawLine(QPointF(x(std::clamp(dot.lo, 0.0, 1.0)), at.y()),
               QPointF(x(std::clamp(dot.hi, 0.0, 1.0)), at.y()));
    p.setPen(QPen(ink, 1.8));
    if (kind == 1) {
        p.setBrush(c.ground);
        p.drawRect(QRectF(at.x() - 5, at.y() - 5, 10, 10));
    } else {
        p.setBrush(ink);
        const double r = kind == 2 ? 5.5 : 3.0;
        p.drawEllipse(at, r, r);
    }
    p.setBrush(Qt::NoBrush);
}

}  // namespace

std::vector<std::size_t> shownOf(const Comparison& compared, std::size_t chosen, std::size_t against) {
    const auto count = compared.judged.size();
    std::vector<std::size_t> shown;
    if (count <= kMostShown) {
        for (std::size_t i = 0; i < count; ++i) shown.push_back(i);
        return shown;
    }
    const auto add = [&](std::size_t i) {
        if (i < count && shown.size() < kMostShown && std::find(shown.begin(), shown.end(), i) == shown.end())
            shown.push_back(i);
    };
    add(chosen);
    add(against);
    for (const auto i : compared.board.order) add(i);
    for (std::size_t i = 0; i < count; ++i) add(i);
    std::sort(shown.begin(), shown.end());
    return shown;
}

std::vector<CompareCard> compareCards(const Comparison& compared, LengthUnit unit, std::size_t chosen,
                                      std::size_t against) {
    std::vector<CompareCard> out;
    const auto* tank = byId(compared.bench->tanks, compared.place.tank);
    for (const auto i : shownOf(compared, chosen, against)) {
        const auto& contender = compared.judged[i].contender;
        CompareCard card;
        card.contender = i;
        card.name = text(contender.name);
        card.height = tr("%1 up").arg(text(lengthText(contender.height, unit)));
        card.place = placeOf(compared.board.rows[i]);
        card.leads = compared.board.rows[i].rank_lo == 1;
        if (card.place.isEmpty()) card.place = tr("–");
        card.basis = contender.basis;
        card.chosen = i == chosen;
        card.against = i == against && i != chosen;
        if (const auto* plane = shallowest(contender)) {
            card.mean = text(ppfdFigure(Ppfd(plane->mean())));
            card.profile = profileOf(*plane, tank == nullptr ? 0.0 : tank->length.value());
        } else {
            card.mean = tr("not read there");
        }
        out.push_back(std::move(card));
    }
    return out;
}

double cardsHeight(std::size_t count, bool low) {
    const double rows = count <= kOneRow ? 1.0 : 2.0;
    const double height = low ? kNameCard : count <= kOneRow ? kCardHeight : kLowCard;
    return rows * height + (rows - 1.0) * (low ? kCompareGap / 2 : kCompareGap);
}

std::vector<QRectF> cardRects(const QRectF& area, std::size_t count, bool low) {
    std::vector<QRectF> out;
    if (count == 0) return out;
    const auto columns = columnsOf(count);
    const double height = low ? kNameCard : count <= kOneRow ? kCardHeight : kLowCard;
    const double width =
        (area.width() - kCompareGap * static_cast<double>(columns - 1)) / static_cast<double>(columns);
    const double step = height + (low ? kCompareGap / 2 : kCompareGap);
    for (std::size_t i = 0; i < count; ++i)
        out.emplace_back(area.left() + static_cast<double>(i % columns) * (width + kCompareGap),
                         area.top() + static_cast<double>(i / columns) * step, width, height);
    return out;
}

void paintCards(QPainter& painter, const QRectF& area, const std::vector<CompareCard>& cards,
                const Palette& palette, bool low) {
    painter.setRenderHint(QPainter::Antialiasing);
    double top = 0.0;
    for (const auto& card : cards)
        for (const auto& node : card.profile) top = std::max(top, node.hi);
    const auto rects = cardRects(area, cards.size(), low);
    for (std::size_t i = 0; i < cards.size(); ++i)
        paintCard(painter, rects[i].adjusted(1, 1, -1, -1), cards[i], top, palette, low);
}

AlikeTable alikeTable(const Comparison& compared, std::size_t chosen, std::size_t against) {
    AlikeTable out;
    std::vector<std::vector<ConditionRow>> all;
    for (const auto i : shownOf(compared, chosen, against)) {
        if (i == against) out.against = out.names.size();
        out.names.push_back(text(compared.judged[i].contender.name));
        all.push_back(compared.conditions(against, i));
    }
    for (const auto& [condition, word] : WordsOf<Condition>::value) {
        if (condition == Condition::Fixture) continue;  // the names say it
        const auto differs = [&, wanted = condition](const std::vector<ConditionRow>& rows) {
            return std::any_of(rows.begin(), rows.end(), [&](const ConditionRow& row) {
                return row.condition == wanted && row.state != ConditionState::Same;
            });
        };
        if (std::none_of(all.begin(), all.end(), differs)) {
            ++out.same;
            continue;
        }
        out.columns.push_back(condition);
        out.heads.push_back(text(conditionName(condition), LengthUnit::Mm));
    }
    std::vector<QString> names;
    const auto reference = out.against;
    for (std::size_t i = 0; i < all.size(); ++i) {
        std::vector<ConditionRow> line;
        for (const auto condition : out.columns) {
            ConditionRow found;
            found.condition = condition;
            for (const auto& row : all[i])
                if (row.condition == condition) found = row;
            line.push_back(std::move(found));
        }
        const bool alike = std::all_of(line.begin(), line.end(), [](const ConditionRow& row) {
            return row.state == ConditionState::Same;
        });
        // Of many, those that differ in nothing need no line each.
        if (alike && all.size() > kMostLines && i != reference) {
            ++out.alike;
            continue;
        }
        if (i == reference) out.against = names.size();
        names.push_back(out.names[i]);
        out.rows.push_back(std::move(line));
    }
    out.names = std::move(names);
    return out;
}

double alikeHeight(const AlikeTable& table) {
    return kAlikeHead + kAlikeRow * static_cast<double>(table.names.size());
}

QString stateMark(ConditionState state) {
    switch (state) {
        case ConditionState::Same:
            return QStringLiteral("=");
        case ConditionState::Corrected:
            return QStringLiteral("~");
        case ConditionState::OnPurpose:
            return QStringLiteral("○");
        case ConditionState::NotComparable:
            return QStringLiteral("▲");
    }
    return {};
}

QString stateName(ConditionState state) {
    switch (state) {
        case ConditionState::Same:
            return tr("same");
        case ConditionState::Corrected:
            return tr("corrected");
        case ConditionState::OnPurpose:
            return tr("on purpose");
        case ConditionState::NotComparable:
            return tr("not comparable");
    }
    return {};
}

QRectF alikeCell(const QRectF& area, const AlikeTable& table, std::size_t row, std::size_t column) {
    const auto columns = static_cast<double>(std::max<std::size_t>(table.columns.size(), 1));
    const double width = std::min(90.0, (area.width() - kAlikeName) / columns);
    return {area.left() + kAlikeName + static_cast<double>(column) * width,
            area.top() + kAlikeHead + static_cast<double>(row) * kAlikeRow, width, kAlikeRow};
}

void paintAlike(QPainter& p, const QRectF& area, const AlikeTable& table, const Palette& c) {
    p.setRenderHint(QPainter::Antialiasing);
    p.setFont(houseFont(12));
    p.setPen(c.muted);
    const QRectF head(area.left(), area.top(), kAlikeName, kAlikeHead);
    p.drawText(head, Qt::AlignLeft | Qt::AlignVCenter, tr("Alike?"));
    for (std::size_t column = 0; column < table.columns.size(); ++column) {
        auto cell = alikeCell(area, table, 0, column);
        cell.moveTop(area.top());
        p.drawText(cell, Qt::AlignCenter, table.heads[column]);
    }
    for (std::size_t row = 0; row < table.names.size(); ++row) {
        const bool reference = row == table.against;
        p.setFont(houseFont(12));
        p.setPen(reference ? c.muted : c.text);
        QRectF name = alikeCell(area, table, row, 0);
        name.setLeft(area.left());
        name.setWidth(kAlikeName - 8);
        p.drawText(name, Qt::AlignLeft | Qt::AlignVCenter,
                   QFontMetricsF(p.font()).elidedText(table.names[row], Qt::ElideRight, name.width()));
        for (std::size_t column = 0; column < table.columns.size(); ++column) {
            const auto& condition = table.rows[row][column];
            const auto cell = alikeCell(area, table, row, column);
            const bool unlike = condition.state == ConditionState::NotComparable;
            p.setFont(houseFont(12, unlike));
            p.setPen(unlike                                         ? c.accent
                     : condition.state == ConditionState::Corrected ? c.water
                     : condition.state == ConditionState::OnPurpose ? c.text
                                                                    : c.muted);
            p.drawText(cell, Qt::AlignCenter, reference ? QStringLiteral("·") : stateMark(condition.state));
        }
    }
}

QString figureText(Criterion criterion, double value) {
    const auto& info = infoOf(criterion);
    if (info.by_share) return text(percentText(value));
    const int decimals = std::abs(value) >= 100.0  ? 0
                         : std::abs(value) >= 10.0 ? 1
                         : std::abs(value) >= 0.1  ? 2
                                                   : 4;
    return QString::number(value, 'f', decimals);
}

std::vector<BoardLine> boardLines(const Comparison& compared, std::size_t chosen, std::size_t against,
                                  bool all) {
    std::vector<BoardLine> out;
    const auto& board = compared.board;
    const auto shown = shownOf(compared, chosen, against);
    const auto figureOf = [&](std::size_t contender, Criterion criterion) {
        if (contender >= compared.judged.size()) return QString();
        const auto* figure = board.figure(contender, criterion);
        return figure == nullptr ? tr("–") : figureText(criterion, figure->value);
    };
    for (const bool counting : {true, false}) {
        if (!counting && !all) break;
        for (std::size_t k = 0; k < board.criteria.size(); ++k) {
            if ((board.weights.size() > k && board.weights[k] > 0.0) != counting) continue;
            BoardLine line;
            line.criterion = board.criteria[k];
            const auto& info = infoOf(line.criterion);
            line.name = text(info.name, LengthUnit::Mm);
            if (!info.unit.empty()) line.name += QStringLiteral(", ") + text(info.unit, LengthUnit::Mm);
            line.weight = board.weights.size() > k ? board.weights[k] : 0.0;
            addDots(line, compared, shown);
            line.chosen = figureOf(chosen, line.criterion);
            line.against = figureOf(against, line.criterion);
            const auto* a = chosen < compared.judged.size() ? board.figure(chosen, line.criterion) : nullptr;
            const auto* b =
                against < compared.judged.size() ? board.figure(against, line.criterion) : nullptr;
            line.tie = a != nullptr && b != nullptr && a->lo <= b->hi && b->lo <= a->hi;
            out.push_back(std::move(line));
        }
    }
    return out;
}

BoardLayout boardLayout(const QRectF& area, std::size_t line) {
    const double top = area.top() + kBoardHead + static_cast<double>(line) * kBoardRow;
    const QRectF row(area.left(), top, area.width(), kBoardRow);
    BoardLayout out;
    out.name = QRectF(row.left(), row.top(), kAlikeName + 22, row.height());
    out.pips = QRectF(out.name.right(), row.top(), kPips, row.height());
    out.figures = QRectF(row.right() - kFigures, row.top(), kFigures, row.height());
    out.scale =
        QRectF(out.pips.right() + 10, row.top(), out.figures.left() - out.pips.right() - 24, row.height());
    return out;
}

void paintBoard(QPainter& p, const QRectF& area, const std::vector<BoardLine>& lines, std::size_t chosen,
                std::size_t against, int focus, const Palette& c) {
    p.setRenderHint(QPainter::Antialiasing);
    auto head = boardLayout(area, 0);
    for (auto* rect : {&head.name, &head.pips, &head.scale, &head.figures}) rect->moveTop(area.top());
    p.setFont(houseFont(12));
    p.setPen(c.muted);
    for (auto* rect : {&head.name, &head.pips, &head.scale, &head.figures}) rect->setHeight(kBoardHead);
    p.drawText(head.name, Qt::AlignLeft | Qt::AlignVCenter, tr("What counts"));
    p.drawText(head.pips, Qt::AlignLeft | Qt::AlignVCenter, tr("weight"));
    p.drawText(head.scale, Qt::AlignRight | Qt::AlignVCenter, tr("better →"));
    // Whose figures stand below, by the marks they have on the lines.
    const double middle = head.figures.center().x();
    p.setBrush(c.accent);
    p.setPen(Qt::NoPen);
    p.drawEllipse(QPointF(middle - 14, head.figures.center().y()), 5, 5);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(c.text, 1.8));
    p.drawRect(QRectF(head.figures.right() - 14, head.figures.center().y() - 5, 10, 10));
    for (std::size_t i = 0; i < lines.size(); ++i) {
        const auto& line = lines[i];
        const auto at = boardLayout(area, i);
        if (static_cast<int>(i) == focus) {
            p.setPen(Qt::NoPen);
            p.setBrush(c.raised);
            p.drawRoundedRect(QRectF(at.name.left() - 6, at.name.top() + 1, area.width() + 8, kBoardRow - 2),
                              4, 4);
            p.setBrush(Qt::NoBrush);
        }
        p.setFont(houseFont(12));
        p.setPen(line.weight > 0.0 ? c.text : c.muted);
        p.drawText(at.name, Qt::AlignLeft | Qt::AlignVCenter,
                   QFontMetricsF(p.font()).elidedText(line.name, Qt::ElideRight, at.name.width() - 6));
        paintPips(p, at.pips, line.weight, c);
        p.setPen(QPen(c.line, 1.0));
        p.drawLine(QPointF(at.scale.left(), at.scale.center().y()),
                   QPointF(at.scale.right(), at.scale.center().y()));
        for (const int kind : {0, 1, 2})
            for (const auto& dot : line.dots)
                if ((dot.contender == chosen ? 2 : dot.contender == against ? 1 : 0) == kind)
                    paintDot(p, at.scale, dot, kind, c);
        const QRectF left(at.figures.left(), at.figures.top(), at.figures.width() / 2 - 4,
                          at.figures.height());
        const QRectF right(at.figures.center().x(), at.figures.top(), at.figures.width() / 2,
                           at.figures.height());
        p.setFont(houseFont(12, true));
        p.setPen(c.accent);
        p.drawText(left, Qt::AlignRight | Qt::AlignVCenter, line.chosen);
        p.setFont(houseFont(12));
        p.setPen(c.text);
        p.drawText(right, Qt::AlignRight | Qt::AlignVCenter,
                   line.tie ? tr("tie %1").arg(line.against) : line.against);
    }
}

std::optional<PlanData> differencePlan(const Comparison& compared, const PairedPlane& plane,
                                       const Palette& palette) {
    const auto* tank = byId(compared.bench->tanks, compared.place.tank);
    if (tank == nullptr || !plane.grid) return std::nullopt;
    PlanData plan;
    plan.length = tank->length;
    plan.width = tank->width;
    plan.walls = tank->walls;
    plan.obstacles = tank->obstacles;
    plan.grid = *plane.grid;
    std::vector<Ppfd> other;
    for (const auto& point : plane.points) {
        plan.values.emplace_back(Ppfd(point.b));
        other.emplace_back(point.a);
    }
    plan.faces = differenceFaces(plan.values, other, palette);
    for (std::size_t i = 0; i < plan.faces.size(); ++i)
        if (plane.points[i].tie) plan.faces[i] = {QStringLiteral("="), palette.raised};
    return plan;
}

}  // namespace glumet
