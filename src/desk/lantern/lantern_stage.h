#pragma once

#include "desk/shared/stage.h"

namespace glumet {

/// A stage that only says how many fixtures there are.
class LanternStage : public Stage {
    Q_OBJECT

  public:
    explicit LanternStage(Session& session);

    void refresh() override;
    std::vector<Finding> findings() const override { return {}; }

  private:
    QLabel* count_;
};

StageEntry lanternEntry();

}  // namespace glumet
