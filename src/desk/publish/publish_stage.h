#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

#include "core/words/finding.h"
#include "desk/shared/stage.h"
#include "report/publish.h"

namespace glumet {

/// The page as it will be published, and the button that writes it.
class PagePreview : public QWidget {
    Q_OBJECT

  public:
    explicit PagePreview(Session& session);
    /// Shows a review that outlives it, or the reason why there is none.
    void setReview(const Expected<Review>* review);

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    Session& session_;
    const Expected<Review>* review_ = nullptr;  ///< the stage's
};

class PublishStage : public Stage {
    Q_OBJECT

  public:
    explicit PublishStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override;
    QWidget* keyWidget() override { return publish_; }

    /// Writes the review into a folder and says where; also what the button does after asking for one.
    bool publishInto(const QString& folder);

  private:
    void askAndPublish();
    QWidget* makeSignature();
    void keepSignature();
    Expected<Review> makeReview() const;

    Expected<Review> review_;
    QLabel* title_;
    PagePreview* preview_;
    QPushButton* publish_;
    QLineEdit* reviewer_;
    QComboBox* licence_;
};

/// What the window is told of this stage.
StageEntry publishEntry();

}  // namespace glumet
