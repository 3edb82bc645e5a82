#include "desk/bench/bench_stage.h"

#include "core/survey/lengths_text.h"
#include "desk/bench/bench_parts.h"
#include "desk/bench/tank_drawing.h"
#include "desk/shared/described_row.h"

namespace glumet {

void BenchStage::fillTankForm() {
    auto* add = quietButton(tr("new"));
    connect(add, &QPushButton::clicked, this, &BenchStage::newTank);
    right_->addHeading(tr("Tank"), add);
    tank_choice_ = right_->addHeadingChoice(
        tr("Tank shown"), [this] { return indexOfId(session().bench().tanks, tank_); },
        [this](int index) -> QString {
            session().settle();
            showTank(session().bench().tanks[static_cast<std::size_t>(index)].id);
            for (auto* drawing : findChildren<BenchDrawing*>()) drawing->update();
            return {};
        });
    tank_choice_->setObjectName(QStringLiteral("tankChoice"));
    auto* sheet = addSheet(*right_);
    addDescribedRows<Tank>(
        session(), *right_, [this]() -> const Tank& { return tank(); },
        [this](const Tank& t) { return keep(t); });
    sheet->addWidget(new TankDrawing(
        session(), *right_, [this]() -> const Tank& { return tank(); },
        [this]() -> const Fixture& { return fixture(); }, [this](const Tank& t) { return keep(t); }));
    right_->addFold(tr("More of the tank"));
    const std::array names{tr("left wall"), tr("right wall"), tr("front wall"), tr("back wall")};
    for (const auto side : kSides)
        right_->addChoice(
            names[static_cast<std::size_t>(side)], wallKindNames(),
            [this, side] { return static_cast<int>(tank().wall(side).kind); },
            [this, side](int index) {
                Tank changed = tank();
                changed.wall(side).kind = static_cast<WallKind>(index);
                return keep(changed);
            });
    right_
        ->addText(
            tr("in the way"), [this] { return text(obstaclesText(tank().obstacles, session().unit())); },
            writer(&BenchStage::tank,
                   [this](Tank& t, const QString& typed) -> QString {
                       auto obstacles = parseObstacles(typed.toStdString(), session().unit(), t);
                       if (!obstacles) return text(obstacles.error()) + QLatin1Char('.');
                       t.obstacles = std::move(*obstacles);
                       return {};
                   }),
            tr("brace 28–32 × 0–60"))
        ->setObjectName(QStringLiteral("tankObstacles"));
    right_->addChoice(
        tr("use"), {tr("bare bench tank"), tr("living tank")},
        [this] { return static_cast<int>(tank().use); },
        [this](int index) {
            Tank changed = tank();
            changed.use = static_cast<TankUse>(index);
            return keep(changed);
        });
}

}  // namespace glumet
