#include "desk/shared/stage.h"

namespace glumet {

GLUMET_VALUE_COMPILED(StageEntry);

}  // namespace glumet
