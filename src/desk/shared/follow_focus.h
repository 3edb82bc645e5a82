#pragma once

class QScrollArea;

namespace glumet {

/// Scrolls whatever takes the focus into sight, also when the focus comes from outside the area, which the
/// area itself does not see.
void followFocus(QScrollArea& area);

}  // namespace glumet
