#include "desk/window/stages.h"

#include "desk/array/array_stage.h"
#include "desk/bench/bench_stage.h"
#include "desk/compare/compare_stage.h"
#include "desk/field/field_stage.h"
#include "desk/height/height_stage.h"
#include "desk/measure/measure_stage.h"
#include "desk/plan/plan_stage.h"
#include "desk/publish/publish_stage.h"
#include "desk/spectrum/spectrum_stage.h"
#include "desk/tank/tank_stage.h"

namespace glumet {

std::vector<StageEntry> allStages() {
    return {benchEntry(),  planEntry(),  measureEntry(), fieldEntry(),   spectrumEntry(),
            heightEntry(), arrayEntry(), compareEntry(), publishEntry(), tankEntry()};
}

}  // namespace glumet
