#pragma once

#include <QCoreApplication>

#include "core/bench/descriptions.h"
#include "core/words/wording.h"
#include "desk/shared/form_column.h"
#include "report/text.h"

/// Rows of a form from the description of an entity: label, hint, unit and range stand there.
namespace glumet {

inline QString rowLabel(const char* label) { return QCoreApplication::translate("Described", label); }

/// A field's value as a form shows it: lengths in the reader's unit, nothing where it is not stated. `entity`
/// is what the field is of.
QString shownField(const Session& session, const PartType& field, const void* entity);

/// Takes what was typed; the reason why it could not, or nothing. An empty text is "not stated" where that
/// can be.
QString takeTyped(const Session& session, const PartType& field, const QString& typed, void* entity);

/// Whether a field can be typed: numbers, quantities, texts.
bool canBeTyped(const PartType& field);

/// Which of an entity's rows are added.
enum class RowsOf { Usual, Seldom };

/// Adds a row for every field of an entity that has a label. `current()` is the entity that is shown;
/// `keep(entity)` stores it, and gives the reason why it could not, or nothing.
template <class Entity, class Current, class Keep>
void addDescribedRows(const Session& session, FormColumn& form, Current current, Keep keep,
                      RowsOf which = RowsOf::Usual) {
    for (const auto& part : entityType<Entity>().parts) {
        if (!part.inTable() || part.label == nullptr || part.seldom != (which == RowsOf::Seldom)) continue;
        if (!canBeTyped(part)) continue;
        form.addText(
                rowLabel(part.label),
                [&session, &part, current] {
                    const Entity& shown = current();
                    return shownField(session, part, &shown);
                },
                [&session, &part, current, keep](const QString& typed) -> QString {
                    Entity changed = current();
                    const QString fault = takeTyped(session, part, typed, &changed);
                    return fault.isEmpty() ? keep(changed) : fault;
                },
                *part.hint == '\0' ? QString() : rowLabel(part.hint))
            ->setObjectName(
                QStringLiteral("%1_%2").arg(QLatin1String(tableOf(of<Entity>)), QLatin1String(part.key)));
    }
}

}  // namespace glumet
