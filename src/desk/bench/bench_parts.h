#pragma once

#include <QComboBox>
#include <QPushButton>
#include <QStringList>
#include <QVBoxLayout>
#include <vector>

#include "core/bench/bench.h"
#include "desk/shared/form_column.h"
#include "desk/shared/quiet_button.h"
#include "report/text.h"

namespace glumet {

/// The item of that id, else the first, else a blank to read from.
template <class T>
const T& itemOr(const std::vector<T>& items, Id id) {
    static const T blank;
    if (const auto* item = byId(items, id)) return *item;
    return items.empty() ? blank : items.front();
}

template <class T>
QStringList namesOf(const std::vector<T>& items) {
    QStringList names;
    for (const auto& item : items) names << text(item.name);
    return names;
}

template <class T>
int indexOfId(const std::vector<T>& items, Id id) {
    for (std::size_t i = 0; i < items.size(); ++i)
        if (items[i].id == id) return static_cast<int>(i);
    return items.empty() ? -1 : 0;
}

inline void fill(QComboBox& choice, const QStringList& names) {
    choice.clear();
    choice.addItems(names);
}

/// Room for a drawing over both columns, before its fields are there.
inline QVBoxLayout* addSheet(FormColumn& form) {
    auto* holder = new QWidget;
    auto* sheet = new QVBoxLayout(holder);
    sheet->setContentsMargins(0, 4, 0, 4);
    form.addWide(holder);
    return sheet;
}

}  // namespace glumet
