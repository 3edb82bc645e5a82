#pragma once

#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "core/base/value.h"
#include "core/verdicts/agreement.h"
#include "core/verdicts/array.h"
#include "desk/shared/answer_store.h"
#include "desk/shared/remembered_answers.h"

namespace glumet {

/// A measured run of several fixtures beside its prediction.
struct MeasuredArray {
    Id run = 0;
    Expected<ArrayAgreement> agreement = problem("", say(GLUMET_SAY("Core", "not compared")));
};

/// What the Array stage asks in one go.
struct ArrayOrder {
    GLUMET_VALUE(ArrayOrder);

    LightModel model;
    FitResult fit;  ///< that the model is of
    Bench bench;
    std::vector<Id> measured_runs;  ///< of several of this fixture
    ArrayQuestion question;
    double goal_share = 0.8;                 ///< that makes a number of fixtures enough
    std::optional<Goal> second;              ///< in the same tank
    std::vector<std::string> channels;       ///< names …
    std::vector<LightModel> channel_models;  ///< … and what each gives by itself
    std::vector<ChannelBand> channel_bands;  ///< what single ones are to give

    bool operator==(const ArrayOrder&) const = default;
};

/// All the answers. Whatever could not be asked is empty.
struct ArrayVerdicts {
    GLUMET_VALUE(ArrayVerdicts);

    SpacingAnswer spacing;
    std::vector<CountRow> counts;
    std::optional<SharedLevel> shared;
    std::optional<ChannelMix> mix;
    std::vector<MeasuredArray> measured;
};

RememberedAnswers<ArrayOrder, ArrayVerdicts>& rememberedArrays();

/// Level and mix are judged with the fixtures where the first school that speaks hangs them.
Expected<ArrayVerdicts> judgeArray(const ArrayOrder& order, const Asked& asked);

}  // namespace glumet
