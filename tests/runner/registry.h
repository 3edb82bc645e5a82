#pragma once

#include <QTest>
#include <functional>
#include <map>
#include <memory>

/// The test classes of a program. Each is a line of ctest of its own, run in a process of its own:
/// `core_tests core_fit`, and `core_tests core_fit works:two` as Qt Test has it.
namespace glumet::testing {

/// What runs beside a test.
enum class Beside {
    Nothing,      ///< no application object
    Application,  ///< one without windows
    Windows,      ///< one with windows, where the program has them
};

struct TestClass {
    Beside beside = Beside::Nothing;
    std::function<std::unique_ptr<QObject>()> make;
};

/// By the name that ctest knows.
inline std::map<QString, TestClass>& registry() {
    static std::map<QString, TestClass> all;
    return all;
}

template <class Test>
struct Enrol {
    Enrol(const char* name, Beside beside) {
        const auto [at, fresh] = registry().try_emplace(
            QString::fromLatin1(name), TestClass{beside, [] { return std::make_unique<Test>(); }});
        if (!fresh) qFatal("two tests are named %s", name);
    }
};

}  // namespace glumet::testing

/// Stands after a test class, inside the file's own namespace.
#define GLUMET_TEST(Class, name, beside) \
    static const ::glumet::testing::Enrol<Class> enrolled{name, ::glumet::testing::Beside::beside};
