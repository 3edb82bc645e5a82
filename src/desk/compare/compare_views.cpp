#include "desk/compare/compare_views.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>

#include "report/text.h"

namespace glumet {
namespace {

void paintFocus(QPainter& p, const QRectF& box, const Palette& c) {
    p.setPen(QPen(c.accent, 1.0, Qt::DotLine));
    p.setBrush(Qt::NoBrush);
    p.drawRoundedRect(box, 4, 4);
}

QString basisName(LightBasis basis) {
    switch (basis) {
        case LightBasis::Read:
            return tr("read");
        case LightBasis::Modelled:
            return tr("modelled");
        case LightBasis::Charted:
            return tr("by others' means");
    }
    return {};
}

}  // namespace

CompareCards::CompareCards() {
    setFocusPolicy(Qt::StrongFocus);
    setObjectName(QStringLiteral("compareCards"));
    setAccessibleName(tr("What is compared"));
}

void CompareCards::setCards(std::vector<CompareCard> cards, bool low, const Palette& palette) {
    cards_ = std::move(cards);
    low_ = low;
    palette_ = &palette;
    setFixedHeight(static_cast<int>(std::ceil(cardsHeight(cards_.size(), low_))));
    update();
}

QRectF CompareCards::rectOf(std::size_t card) const {
    return cardRects(QRectF(rect()), cards_.size(), low_)[card];
}

std::vector<AccessibleCell> CompareCards::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (std::size_t i = 0; i < cards_.size(); ++i)
        cells.push_back({tr("%1, %2, mean %3, place %4, %5")
                             .arg(cards_[i].name, cards_[i].height, cards_[i].mean, cards_[i].place,
                                  basisName(cards_[i].basis)),
                         rectOf(i).toRect(), cards_[i].chosen});
    return cells;
}

void CompareCards::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    paintCards(p, QRectF(rect()), cards_, *palette_, low_);
    if (!hasFocus()) return;
    for (std::size_t i = 0; i < cards_.size(); ++i)
        if (cards_[i].chosen) paintFocus(p, rectOf(i).adjusted(3, 3, -3, -3), *palette_);
}

void CompareCards::mousePressEvent(QMouseEvent* event) {
    for (std::size_t i = 0; i < cards_.size(); ++i)
        if (rectOf(i).contains(event->position())) {
            if (event->modifiers() & Qt::ShiftModifier || event->button() == Qt::RightButton)
                emit againstChosen(static_cast<int>(cards_[i].contender));
            else
                emit chosen(static_cast<int>(cards_[i].contender));
            return;
        }
}

void CompareCards::keyPressEvent(QKeyEvent* event) {
    const int count = static_cast<int>(cards_.size());
    const int by = event->key() == Qt::Key_Left ? -1 : event->key() == Qt::Key_Right ? 1 : 0;
    if (by == 0 || count == 0) return event->ignore();
    const bool shifted = event->modifiers() & Qt::ShiftModifier;
    int at = 0;
    for (int i = 0; i < count; ++i)
        if (shifted ? cards_[static_cast<std::size_t>(i)].against
                    : cards_[static_cast<std::size_t>(i)].chosen)
            at = i;
    const int next = (at + by + count) % count;
    const int contender = static_cast<int>(cards_[static_cast<std::size_t>(next)].contender);
    shifted ? emit againstChosen(contender) : emit chosen(contender);
    cellsTold(*this);
}

AlikeView::AlikeView() {
    setObjectName(QStringLiteral("alike"));
    setAccessibleName(tr("What is alike"));
    setMouseTracking(true);
}

void AlikeView::setTable(AlikeTable table, LengthUnit unit, const Palette& palette) {
    table_ = std::move(table);
    unit_ = unit;
    palette_ = &palette;
    setFixedHeight(static_cast<int>(std::ceil(alikeHeight(table_))));
    update();
}

QString AlikeView::cellText(std::size_t row, std::size_t column) const {
    const auto& condition = table_.rows[row][column];
    QString said = tr("%1, %2: %3")
                       .arg(table_.names[row], table_.heads[column],
                            condition.b.empty() ? tr("not recorded") : text(condition.b, unit_));
    if (row == table_.against) return said;
    said += tr(", against %1: %2")
                .arg(condition.a.empty() ? tr("not recorded") : text(condition.a, unit_),
                     stateName(condition.state));
    if (!condition.remedy.empty()) said += QStringLiteral(". ") + text(condition.remedy, unit_);
    return said;
}

std::vector<AccessibleCell> AlikeView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    for (std::size_t row = 0; row < table_.rows.size(); ++row)
        for (std::size_t column = 0; column < table_.columns.size(); ++column)
            cells.push_back(
                {cellText(row, column), alikeCell(QRectF(rect()), table_, row, column).toRect(), false});
    return cells;
}

void AlikeView::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    paintAlike(p, QRectF(rect()), table_, *palette_);
}

bool AlikeView::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    for (std::size_t row = 0; row < table_.rows.size(); ++row)
        for (std::size_t column = 0; column < table_.columns.size(); ++column)
            if (alikeCell(QRectF(rect()), table_, row, column).contains(help->pos())) {
                QToolTip::showText(help->globalPos(), cellText(row, column), this);
                return true;
            }
    QToolTip::hideText();
    return true;
}

BoardView::BoardView() {
    setFocusPolicy(Qt::StrongFocus);
    setObjectName(QStringLiteral("rankBoard"));
    setAccessibleName(tr("What counts"));
}

void BoardView::setLines(std::vector<BoardLine> lines, std::vector<QString> names, std::size_t chosen,
                         std::size_t against, const Palette& palette) {
    lines_ = std::move(lines);
    names_ = std::move(names);
    chosen_ = chosen;
    against_ = against;
    palette_ = &palette;
    focus_ = lines_.empty() ? 0 : std::min(focus_, lines_.size() - 1);
    setFixedHeight(static_cast<int>(kBoardHead + kBoardRow * static_cast<double>(lines_.size()) + 2));
    update();
}

QRectF BoardView::pipsOf(std::size_t line) const {
    return boardLayout(QRectF(rect()).adjusted(6, 0, -2, 0), line).pips;
}

std::vector<AccessibleCell> BoardView::accessibleCells() const {
    std::vector<AccessibleCell> cells;
    const auto nameOf = [&](std::size_t i) { return i < names_.size() ? names_[i] : QString(); };
    for (std::size_t i = 0; i < lines_.size(); ++i) {
        const auto& line = lines_[i];
        const auto at = boardLayout(QRectF(rect()).adjusted(6, 0, -2, 0), i);
        cells.push_back({tr("%1, weight %2 of 4: %3 %4, %5 %6%7")
                             .arg(line.name, QString::number(line.weight), nameOf(chosen_), line.chosen,
                                  nameOf(against_), line.against, line.tie ? tr(", a tie") : QString()),
                         at.name.united(at.figures).toRect(), i == focus_});
    }
    return cells;
}

void BoardView::paintEvent(QPaintEvent* /*event*/) {
    if (palette_ == nullptr) return;
    QPainter p(this);
    paintBoard(p, QRectF(rect()).adjusted(6, 0, -2, 0), lines_, chosen_, against_,
               hasFocus() ? static_cast<int>(focus_) : -1, *palette_);
}

void BoardView::set(std::size_t line, int weight) {
    if (line < lines_.size()) emit weightSet(lines_[line].criterion, std::clamp(weight, 0, kMostWeight));
}

void BoardView::mousePressEvent(QMouseEvent* event) {
    for (std::size_t i = 0; i < lines_.size(); ++i) {
        const auto row = boardLayout(QRectF(rect()).adjusted(6, 0, -2, 0), i);
        if (event->position().y() < row.name.top() || event->position().y() >= row.name.bottom()) continue;
        focus_ = i;
        update();
        const auto pips = pipsOf(i);
        if (event->position().x() < pips.left() - 6 || event->position().x() > pips.right()) return;
        const int pip =
            std::clamp(static_cast<int>((event->position().x() - pips.left()) / 13.0), 0, kMostWeight - 1) +
            1;
        // The square that is the last already is taken away again.
        set(i, std::lround(lines_[i].weight) == pip ? pip - 1 : pip);
        return;
    }
}

void BoardView::keyPressEvent(QKeyEvent* event) {
    const int by = event->key() == Qt::Key_Up ? -1 : event->key() == Qt::Key_Down ? 1 : 0;
    if (by != 0 && !lines_.empty()) {
        focus_ = static_cast<std::size_t>(
            std::clamp(static_cast<int>(focus_) + by, 0, static_cast<int>(lines_.size()) - 1));
        update();
        cellsTold(*this);
        return;
    }
    const bool plain = !(event->modifiers() & (Qt::ControlModifier | Qt::AltModifier));
    if (plain && event->key() >= Qt::Key_0 && event->key() <= Qt::Key_0 + kMostWeight)
        return set(focus_, event->key() - Qt::Key_0);
    event->ignore();
}

}  // namespace glumet
