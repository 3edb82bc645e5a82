#pragma once

#include <QWidget>

#include "core/light/fast_field.h"
#include "core/plane_statistics.h"
#include "report/palette.h"

namespace glumet {

/// A tank from above with fixtures over it and the light they give at one depth. Fixtures are dragged along
/// the tank, or moved by the arrow keys; near a position worth having they snap to it.
class ArrayView : public QWidget {
    Q_OBJECT

  public:
    explicit ArrayView(QWidget* parent = nullptr);

    struct Scene {
        LightScene scene;  ///< with the model's emitters in it
        double depth_mm = 200.0;
        double level = 1.0;  ///< dims everything
        Band band;
        double body_length_mm = 0.0;
        double body_width_mm = 0.0;
        std::vector<std::vector<double>> snaps;  ///< centres worth snapping to, one list a position
    };
    void setScene(const Scene& scene, const Palette& palette);
    void setEmpty(const QString& why, const Palette& palette);
    const std::vector<double>& centres() const { return centres_; }
    void setCentres(const std::vector<double>& centres);
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override;
    QSize sizeHint() const override { return {640, heightForWidth(640)}; }

    /// Means and share of the cells shown, undimmed values times the level.
    struct Figures {
        double mean = 0.0;
        double min = 0.0;
        double max = 0.0;
        double in_band = 0.0;
    };
    const Figures& figures() const { return figures_; }

  signals:
    void moved();  ///< a fixture was moved by hand

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

  private:
    QRectF footprint() const;
    double scale() const;
    QRectF bodyRect(std::size_t fixture) const;
    bool underFixture(const QPointF& at) const;
    void move(std::size_t fixture, double x_mm);
    void compute();
    void paintFixtures(QPainter& painter);

    std::optional<Scene> shown_;
    std::unique_ptr<FastField> field_;
    std::vector<double> centres_;
    std::vector<double> values_;  ///< row by row from the front
    int columns_ = 0;
    int rows_ = 0;
    double top_ = 1.0;
    Figures figures_;
    QString empty_;
    const Palette* palette_ = nullptr;
    int held_ = -1;
    std::size_t chosen_ = 0;
};

}  // namespace glumet
