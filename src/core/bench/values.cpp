#include "core/bench/bench.h"
#include "core/bench/check.h"
#include "core/bench/fixture.h"
#include "core/bench/living.h"
#include "core/bench/meter_profile.h"
#include "core/bench/method.h"
#include "core/bench/planned_array.h"
#include "core/bench/reading_row.h"
#include "core/bench/run.h"
#include "core/bench/schedule.h"
#include "core/bench/spectrum_record.h"
#include "core/bench/tank.h"

namespace glumet {

GLUMET_VALUE_COMPILED(Bench);
GLUMET_VALUE_COMPILED(Fixture);
GLUMET_VALUE_COMPILED(Run);
GLUMET_VALUE_COMPILED(Reading);
GLUMET_VALUE_COMPILED(Plane);
GLUMET_VALUE_COMPILED(Method);
GLUMET_VALUE_COMPILED(MeterProfile);
GLUMET_VALUE_COMPILED(TankSpot);
GLUMET_VALUE_COMPILED(Acclimation);
GLUMET_VALUE_COMPILED(Organism);
GLUMET_VALUE_COMPILED(Tank);
GLUMET_VALUE_COMPILED(SpectrumRecord);
GLUMET_VALUE_COMPILED(Schedule);
GLUMET_VALUE_COMPILED(DayLog);
GLUMET_VALUE_COMPILED(CommissionCheck);
GLUMET_VALUE_COMPILED(ReadingRow);
GLUMET_VALUE_COMPILED(PlannedArray);

}  // namespace glumet
