#pragma once

#include "core/base/quantity.h"

namespace glumet {

/// A PPFD band, both ends inclusive.
struct Band {
    Ppfd low{0};
    Ppfd high{0};

    bool contains(Ppfd ppfd) const { return ppfd >= low && ppfd <= high; }
    bool operator==(const Band&) const = default;
};

}  // namespace glumet
