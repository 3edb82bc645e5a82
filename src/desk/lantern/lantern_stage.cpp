#include "desk/lantern/lantern_stage.h"

#include <QVBoxLayout>

#include "desk/shared/theme.h"

namespace glumet {

LanternStage::LanternStage(Session& session) : Stage(session), count_(makeLabel({}, TextRole::Title)) {
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(count_);
}

void LanternStage::refresh() {
    count_->setText(tr("%1 fixtures").arg(session().bench().fixtures.size()));
}

StageEntry lanternEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("lantern");
    entry.title = LanternStage::tr("Lantern");
    entry.act = Act::Give;
    entry.make = [](Session& session) { return new LanternStage(session); };
    return entry;
}

}  // namespace glumet
