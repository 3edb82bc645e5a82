#pragma once

#include <QLabel>
#include <QPushButton>

#include "desk/shared/stage.h"
#include "report/publish.h"

namespace glumet {

/// The page as it will be published, and the button that writes it.
class PagePreview : public QWidget {
    Q_OBJECT

  public:
    explicit PagePreview(Session& session);
    void setReview(std::optional<Review> review, const QString& reason);
    bool hasReview() const { return review_.has_value(); }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    Session& session_;
    std::optional<Review> review_;
    QString reason_;
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
    Expected<Review> review() const;

    QLabel* title_;
    PagePreview* preview_;
    QPushButton* publish_;
};

}  // namespace glumet
