#pragma once

#include <QScrollArea>
#include <QStackedWidget>
#include <QWidget>

namespace glumet {

/// Holds the stages for scrolling: no smaller than what the one shown can bear. What a map would like to be
/// high for its width is no reason to scroll.
class StageFrame : public QWidget {
  public:
    explicit StageFrame(QStackedWidget* stages);
    QSize minimumSizeHint() const override;

  protected:
    bool event(QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    QStackedWidget* stages_;
};

/// Section, stage and findings side by side. Where the window is too narrow for all three the findings give
/// way first, then the section; a stage larger than what is left scrolls.
class Columns : public QWidget {
    Q_OBJECT

  public:
    Columns(QWidget* section, QStackedWidget* stages, QWidget* findings);

    bool findingsShown() const;
    /// Shows the findings although the window is narrow, or takes them away again.
    void toggleFindings();

  signals:
    void findingsMoved();

  protected:
    void resizeEvent(QResizeEvent* event) override;

  private:
    void arrange();

    QWidget* section_;
    QScrollArea* stage_;
    QWidget* findings_;
    bool wanted_ = false;  ///< the findings, in a narrow window
};

}  // namespace glumet
