#include "desk/shared/described_row.h"

#include <optional>

namespace glumet {
namespace {

QString shownValue(const Session& session, const PartType& field, const ValueType& type, const void* value) {
    if (type.kind == ValueKind::Optional) {
        const void* held = type.held(value);
        return held == nullptr ? QString() : shownValue(session, field, *type.inner, held);
    }
    if (type.kind == ValueKind::Text) return text(*static_cast<const std::string*>(value));
    if (type.kind == ValueKind::Whole)
        return field.unstated && type.whole(value) == 0 ? QString() : QString::number(type.whole(value));
    const double number = type.number(value);
    if (field.unstated && number == 0.0) return {};
    return type.is_length ? session.length(Millimetre(number)) : QString::number(number);
}

/// What is wrong with a typed number.
QString numberFault(const Session& session, const PartType& field, const QString& typed, bool is_length) {
    const QString least = is_length ? session.length(Millimetre(field.least)) : QString::number(field.least);
    if (is_length && !field.above)
        return FormColumn::tr("\"%1\" is not a length of %2 or more.").arg(typed, least);
    if (is_length) return FormColumn::tr("\"%1\" is not a length above %2.").arg(typed, least);
    return (field.above ? FormColumn::tr("\"%1\" is not a number above %2 (%3).")
                        : FormColumn::tr("\"%1\" is not a number of %2 or more (%3)."))
        .arg(typed, least, rowLabel(field.label));
}

std::optional<double> typedNumber(const Session& session, const QString& typed, bool is_length) {
    if (!is_length) {
        const auto number = parseNumber(typed.toStdString());
        return number ? std::optional(*number) : std::nullopt;
    }
    const auto length = parseLength(typed.toStdString(), session.unit());
    return length ? std::optional(length->value()) : std::nullopt;
}

QString takeNumber(const Session& session, const PartType& field, const ValueType& type, const QString& typed,
                   void* value) {
    const QString trimmed = typed.trimmed();
    const auto number = trimmed.isEmpty() && field.unstated ? std::optional(0.0)
                                                            : typedNumber(session, trimmed, type.is_length);
    if (!number || !field.holds(*number)) return numberFault(session, field, typed, type.is_length);
    if (type.kind == ValueKind::Whole)
        type.set_whole(value, static_cast<std::int64_t>(*number));
    else
        type.set_number(value, *number);
    return {};
}

}  // namespace

QString shownField(const Session& session, const PartType& field, const void* entity) {
    return shownValue(session, field, *field.type, field.of(entity));
}

QString takeTyped(const Session& session, const PartType& field, const QString& typed, void* entity) {
    const auto& type = *field.type;
    void* value = field.of(entity);
    const QString trimmed = typed.trimmed();
    if (type.kind == ValueKind::Text) {
        if (field.required && trimmed.isEmpty())
            return FormColumn::tr("It needs a value: %1.").arg(rowLabel(field.label));
        *static_cast<std::string*>(value) = trimmed.toStdString();
        return {};
    }
    if (type.kind != ValueKind::Optional) return takeNumber(session, field, type, typed, value);
    if (trimmed.isEmpty()) {
        type.reset(value);
        return {};
    }
    return takeNumber(session, field, *type.inner, typed, type.emplace(value));
}

bool canBeTyped(const PartType& field) {
    const auto& type = *field.type;
    const auto number = [](const ValueType& t) {
        return t.kind == ValueKind::Number || t.kind == ValueKind::Whole;
    };
    return type.kind == ValueKind::Text || number(type) ||
           (type.kind == ValueKind::Optional && number(*type.inner));
}

}  // namespace glumet
