#pragma once

#include <functional>

#include "desk/bench/bench_drawing.h"
#include "desk/shared/form_column.h"

namespace glumet {

/// The fixture in plan: its body and its emitters on their lattice. What is not stated is drawn dashed, as
/// the guess it is.
class FixtureDrawing : public BenchDrawing {
    Q_OBJECT

  public:
    using Shown = std::function<const Fixture&()>;
    /// Lifts the fields of sizes and emitters out of `form`.
    FixtureDrawing(Session& session, FormColumn& form, Shown shown);

    /// Where the emitter of this column and row is drawn, for tests.
    QRectF emitterRect(int column, int row) const;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    double bodyLength() const;
    double bodyWidth() const;
    QRectF body() const;
    QString latticeWords() const;

    Shown shown_;
    QLineEdit* length_;
    QLineEdit* width_;
    QLineEdit* count_;
    QLineEdit* spacing_;
    QLineEdit* size_;
};

}  // namespace glumet
