#pragma once

/// What a value made of many others needs to be made, copied, moved and destroyed, declared within it. Its
/// .cpp says GLUMET_VALUE_COMPILED: left to themselves, compilers write all of it anew in every unit that
/// holds such a value, which was a quarter of the program's code. Such a value is filled field by field, not
/// from a list in braces.
#define GLUMET_VALUE(Type)            \
    Type();                           \
    Type(const Type&);                \
    Type(Type&&) noexcept;            \
    Type& operator=(const Type&);     \
    Type& operator=(Type&&) noexcept; \
    ~Type()

#define GLUMET_VALUE_COMPILED(Type)                   \
    Type::Type() = default;                           \
    Type::Type(const Type&) = default;                \
    Type::Type(Type&&) noexcept = default;            \
    Type& Type::operator=(const Type&) = default;     \
    Type& Type::operator=(Type&&) noexcept = default; \
    Type::~Type() = default
