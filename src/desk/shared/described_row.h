#pragma once

#include <QCoreApplication>

#include "core/bench/descriptions.h"
#include "core/words/wording.h"
#include "desk/shared/form_column.h"
#include "report/text.h"

/// Rows of a form from the description of an entity: label, hint, unit and range stand there.
namespace glumet {

template <class T>
inline constexpr bool kTypedNumber = std::is_arithmetic_v<T> && !std::is_same_v<T, bool>;
template <class Unit>
inline constexpr bool kTypedNumber<Quantity<Unit>> = true;
template <class T>
inline constexpr bool kTyped = kTypedNumber<T> || std::is_same_v<T, std::string>;
template <class T>
inline constexpr bool kTyped<std::optional<T>> = kTypedNumber<T>;

inline QString rowLabel(const char* label) { return QCoreApplication::translate("Described", label); }

/// A field's value as a form shows it: lengths in the reader's unit, nothing where it is not stated.
template <class Part, class Value>
QString shownValue(const Session& session, const Part& part, const Value& value) {
    if constexpr (requires { value.has_value(); }) {
        return value ? shownValue(session, part, *value) : QString();
    } else if constexpr (std::is_same_v<Value, std::string>) {
        return text(value);
    } else if constexpr (std::is_same_v<Value, Millimetre>) {
        return part.unstated && value.value() == 0.0 ? QString() : session.length(value);
    } else if constexpr (requires { value.value(); }) {
        return shownValue(session, part, value.value());
    } else {
        return part.unstated && value == 0 ? QString() : QString::number(value);
    }
}

/// What is wrong with a typed number, or nothing.
template <class Part>
QString numberFault(const Session& session, const Part& part, const QString& typed, bool is_length) {
    const QString least = is_length ? session.length(Millimetre(part.least)) : QString::number(part.least);
    if (is_length && !part.above)
        return FormColumn::tr("\"%1\" is not a length of %2 or more.").arg(typed, least);
    if (is_length) return FormColumn::tr("\"%1\" is not a length above %2.").arg(typed, least);
    return (part.above ? FormColumn::tr("\"%1\" is not a number above %2 (%3).")
                       : FormColumn::tr("\"%1\" is not a number of %2 or more (%3)."))
        .arg(typed, least, rowLabel(part.label));
}

/// Takes what was typed; the reason why it could not, or nothing. An empty text is "not stated" where that
/// can be.
template <class Part, class Value>
QString takeTyped(const Session& session, const Part& part, const QString& typed, Value& value) {
    const QString trimmed = typed.trimmed();
    if constexpr (std::is_same_v<Value, std::string>) {
        if (part.required && trimmed.isEmpty())
            return FormColumn::tr("It needs a value: %1.").arg(rowLabel(part.label));
        value = trimmed.toStdString();
        return {};
    } else if constexpr (requires { value.has_value(); }) {
        if (trimmed.isEmpty()) {
            value.reset();
            return {};
        }
        typename Value::value_type taken{};
        const QString fault = takeTyped(session, part, typed, taken);
        if (fault.isEmpty()) value = taken;
        return fault;
    } else {
        constexpr bool kLength = std::is_same_v<Value, Millimetre>;
        std::optional<double> number;
        if (trimmed.isEmpty() && part.unstated)
            number = 0.0;
        else if constexpr (kLength) {
            if (const auto length = parseLength(typed.toStdString(), session.unit()))
                number = length->value();
        } else {
            number = parseNumber(typed.toStdString());
        }
        if (!number || !part.holds(*number)) return numberFault(session, part, typed, kLength);
        value = static_cast<Value>(*number);
        return {};
    }
}

/// Which of an entity's rows are added.
enum class RowsOf { Usual, Seldom };

/// Adds a row for every field of an entity that has a label. `current()` is the entity that is shown;
/// `keep(entity)` stores it, and gives the reason why it could not, or nothing.
template <class Entity, class Current, class Keep>
void addDescribedRows(const Session& session, FormColumn& form, Current current, Keep keep,
                      RowsOf which = RowsOf::Usual) {
    forEachColumn(of<Entity>, [&](const auto& part) {
        if (part.label == nullptr || part.seldom != (which == RowsOf::Seldom)) return;
        using Value = ValueOf<Entity, std::decay_t<decltype(part)>>;
        if constexpr (kTyped<Value>) {
            form.addText(
                    rowLabel(part.label),
                    [&session, part, current] { return shownValue(session, part, part.access(current())); },
                    [&session, part, current, keep](const QString& typed) -> QString {
                        Entity changed = current();
                        const QString fault = takeTyped(session, part, typed, part.access(changed));
                        return fault.isEmpty() ? keep(changed) : fault;
                    },
                    *part.hint == '\0' ? QString() : rowLabel(part.hint))
                ->setObjectName(
                    QStringLiteral("%1_%2").arg(QLatin1String(tableOf(of<Entity>)), QLatin1String(part.key)));
        }
    });
}

}  // namespace glumet
