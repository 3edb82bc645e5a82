#pragma once

#include <QWidget>

#include "desk/shared/accessible_cells.h"
#include "report/compare_figure.h"

namespace glumet {

/// The contenders as cards. A click or the arrow keys choose one, with Shift the one it is compared with.
class CompareCards : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    CompareCards();
    /// Low: names and places alone, where the room is wanted for something else.
    void setCards(std::vector<CompareCard> cards, bool low, const Palette& palette);
    const std::vector<CompareCard>& cards() const { return cards_; }
    QRectF rectOf(std::size_t card) const;
    std::vector<AccessibleCell> accessibleCells() const override;

  signals:
    void chosen(int contender);
    void againstChosen(int contender);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    std::vector<CompareCard> cards_;
    bool low_ = false;
    const Palette* palette_ = nullptr;
};

/// What is alike and what is not, contender by contender; a cell's tip says what would have to be read again.
class AlikeView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    AlikeView();
    void setTable(AlikeTable table, LengthUnit unit, const Palette& palette);
    const AlikeTable& table() const { return table_; }
    std::vector<AccessibleCell> accessibleCells() const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    bool event(QEvent* event) override;

  private:
    QString cellText(std::size_t row, std::size_t column) const;

    AlikeTable table_;
    LengthUnit unit_ = LengthUnit::Cm;
    const Palette* palette_ = nullptr;
};

/// The rank board: a click on the squares, or a digit, sets what a criterion weighs.
class BoardView : public QWidget, public AccessibleCells {
    Q_OBJECT

  public:
    BoardView();
    void setLines(std::vector<BoardLine> lines, std::vector<QString> names, std::size_t chosen,
                  std::size_t against, const Palette& palette);
    const std::vector<BoardLine>& lines() const { return lines_; }
    QRectF pipsOf(std::size_t line) const;
    std::vector<AccessibleCell> accessibleCells() const override;

  signals:
    void weightSet(glumet::Criterion criterion, int weight);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void set(std::size_t line, int weight);

    std::vector<BoardLine> lines_;
    std::vector<QString> names_;
    std::size_t chosen_ = 0;
    std::size_t against_ = 0;
    std::size_t focus_ = 0;
    const Palette* palette_ = nullptr;
};

}  // namespace glumet
