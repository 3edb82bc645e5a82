#pragma once

#include <QAbstractButton>
#include <QVBoxLayout>
#include <QWidget>

#include "core/words/finding.h"
#include "desk/shared/session.h"

namespace glumet {

/// One finding: a title, its reason, and on activation its evidence.
class FindingItem : public QAbstractButton {
    Q_OBJECT

  public:
    FindingItem(const Session& session, Finding finding, QWidget* parent);

    const Finding& finding() const { return finding_; }
    QSize sizeHint() const override;
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void enterEvent(QEnterEvent* event) override;
    void leaveEvent(QEvent* event) override;
    /// As high as its words at this width: a layout that has too little room would cut them.
    void resizeEvent(QResizeEvent* event) override;

  private:
    QString title() const;
    QRect titleRect(int width) const;
    QRect bodyRect(int width, int top) const;

    const Session& session_;
    Finding finding_;
};

/// The column on the right: what the stage found, then doubts, then the next step.
class FindingsPanel : public QWidget {
    Q_OBJECT

  public:
    explicit FindingsPanel(Session& session);

    /// Shows these; what is the same keeps its place and the focus.
    void setFindings(const std::vector<Finding>& findings);
    int count() const { return static_cast<int>(shown_.size()); }
    int doubts() const;

  private:
    void clear();
    void add(const Finding& finding);
    std::optional<Finding> focusedFinding() const;
    void focusLike(const Finding& finding);
    void announceNew(const std::vector<Finding>& before);

    Session& session_;
    std::vector<Finding> shown_;  ///< in the order of the column
    LengthUnit unit_ = LengthUnit::Cm;
    QVBoxLayout* list_;
    QWidget* holder_;
};

}  // namespace glumet
