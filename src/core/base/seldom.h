#pragma once

#include <memory>

namespace glumet {

/// A value that is nearly always empty, in the room of a pointer: of a million readings few have more than
/// their figures. Copies are deep; an empty one is as good as none.
template <class Value>
class Seldom {
  public:
    Seldom() = default;
    Seldom(const Seldom& other) { *this = other; }
    Seldom(Seldom&&) noexcept = default;
    Seldom& operator=(const Seldom& other) {
        if (this != &other) value_ = other.value_ ? std::make_unique<Value>(*other.value_) : nullptr;
        return *this;
    }
    Seldom& operator=(Seldom&&) noexcept = default;
    ~Seldom() = default;

    const Value& get() const {
        static const Value none{};
        return value_ ? *value_ : none;
    }
    /// To be written to.
    Value& make() {
        if (!value_) value_ = std::make_unique<Value>();
        return *value_;
    }
    bool operator==(const Seldom& other) const { return get() == other.get(); }

    // As of the map that it holds.
    using key_type = typename Value::key_type;
    using mapped_type = typename Value::mapped_type;
    auto begin() const { return get().begin(); }
    auto end() const { return get().end(); }
    auto find(const key_type& key) const { return get().find(key); }
    bool empty() const { return !value_ || value_->empty(); }
    std::size_t size() const { return get().size(); }
    const mapped_type& at(const key_type& key) const { return get().at(key); }
    bool contains(const key_type& key) const { return get().contains(key); }
    mapped_type& operator[](const key_type& key) { return make()[key]; }

  private:
    std::unique_ptr<Value> value_;
};

}  // namespace glumet
