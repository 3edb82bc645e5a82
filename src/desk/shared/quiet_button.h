#pragma once

#include <QPushButton>

namespace glumet {

/// A button without a ground of its own, for what is wanted seldom beside something larger.
inline QPushButton* quietButton(const QString& name) {
    auto* button = new QPushButton(name);
    button->setProperty("quiet", true);
    return button;
}

}  // namespace glumet
