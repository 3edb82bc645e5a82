#pragma once

#include "desk/shared/session.h"
#include "meters/instrument.h"

namespace glumet {

/// Connects the instrument of a sound profile and measures with it: light, or the draw at the wall.
inline void takeInstrument(Session& session, const InstrumentProfile& profile) {
    auto meter = makeInstrument(profile, session.meterClock());
    if (profile.measures == Measures::Power)
        session.setPowerMeter(std::move(meter));
    else
        session.setMeter(std::move(meter));
}

}  // namespace glumet
