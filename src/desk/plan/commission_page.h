#pragma once

#include "core/meter/settled_mean.h"
#include "desk/plan/check_row.h"

namespace glumet {

/// The checks before the first reading of the chosen run, in the order in which they are made. While the page
/// is shown it listens to the instruments and offers what they say.
class CommissionPage : public QWidget {
    Q_OBJECT

  public:
    explicit CommissionPage(Session& session);

    void refresh();
    CheckRow* row(CheckKind kind) { return rows_[static_cast<std::size_t>(kind)]; }

  protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

  private:
    void listen();
    void onSample(double seconds, double ppfd);
    void offer();

    Session& session_;
    QLabel* title_;
    std::array<CheckRow*, kCheckKinds.size()> rows_{};
    SettledMean mean_;
    WarmUpWatch warm_up_;
    double offered_s_ = -1.0;
    QMetaObject::Connection samples_;
};

}  // namespace glumet
