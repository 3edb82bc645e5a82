#pragma once

#include <QButtonGroup>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <array>

#include "core/compare/comparison.h"
#include "core/compare/rubric.h"
#include "desk/shared/session.h"

namespace glumet {

/// What no meter reads, scored by criteria with anchors in words: one reviewer's scores and reasons beside
/// another's, and how far the two agree. It stands by itself; no rank rests on it.
class ScoresPage : public QWidget {
    Q_OBJECT

  public:
    explicit ScoresPage(Session& session);

    void show(const Comparison& compared, std::size_t chosen);
    std::vector<QStringList> table() const;

  private:
    struct Row {
        QButtonGroup* scores = nullptr;
        QLineEdit* reason = nullptr;
        QLabel* other = nullptr;
        QPushButton* photo = nullptr;
    };
    QWidget* makeRows();
    bool eventFilter(QObject* watched, QEvent* event) override;
    std::string reviewer() const { return reviewer_->text().trimmed().toStdString(); }
    /// The reviewer's score of a criterion, or a fresh one.
    Rating ratingAt(std::size_t row) const;
    void refresh();
    void score(std::size_t row, int value);
    void keepReason(std::size_t row);
    void photo(std::size_t row);
    void store(Rating rating);
    void sayAnchors(std::size_t row);

    Session& session_;
    QLabel* whose_;
    QLineEdit* reviewer_;
    QComboBox* beside_;
    QLabel* anchors_;
    QLabel* agreement_;
    std::array<Row, kRubricCriteria.size()> rows_{};
    Id fixture_ = 0;
    Id accessory_ = 0;
};

}  // namespace glumet
