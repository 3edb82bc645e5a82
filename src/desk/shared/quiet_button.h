#pragma once

#include <QPushButton>

namespace glumet {

/// A button without a ground of its own, for what is wanted seldom beside something larger.
inline QPushButton* quietButton(const QString& name) {
    auto* button = new QPushButton(name);
    button->setProperty("quiet", true);
    return button;
}

/// The key that does something, for the hand that has no key; it takes no focus from who types.
inline QPushButton* keyButton(const QString& key, const QString& what) {
    auto* button = new QPushButton(key);
    button->setProperty("key", true);
    button->setFocusPolicy(Qt::NoFocus);
    button->setAccessibleName(what);
    return button;
}

}  // namespace glumet
