#include <QtGlobal>

#ifdef QT_WIDGETS_LIB
#include <QApplication>
using Windowed = QApplication;
#elif defined(QT_GUI_LIB)
#include <QGuiApplication>
using Windowed = QGuiApplication;
#else
#include <QCoreApplication>
using Windowed = QCoreApplication;
#endif

#include "runner/registry.h"

using namespace glumet::testing;

namespace {

std::unique_ptr<QCoreApplication> applicationBeside(Beside beside, int& argc, char** argv) {
    if (beside == Beside::Nothing) return nullptr;
    if (beside == Beside::Application) return std::make_unique<QCoreApplication>(argc, argv);
    QCoreApplication::setAttribute(Qt::AA_Use96Dpi, true);
    return std::make_unique<Windowed>(argc, argv);
}

/// Whether the program holds just these tests: one that the linker dropped, or that CMake forgot, is seen.
int compareWith(QStringList listed) {
    QStringList held;
    for (const auto& [name, test] : registry()) held << name;
    listed.sort();
    if (held == listed) return 0;
    qWarning() << "in the program:" << held << "known to ctest:" << listed;
    return 1;
}

int printNames() {
    for (const auto& [name, test] : registry()) puts(qPrintable(name));
    return 2;
}

}  // namespace

/// PROGRAM TEST [what Qt Test takes]: runs one; PROGRAM --listed TEST…: checks the list; else names them all.
int main(int argc, char** argv) {
    QStringList arguments;
    for (int i = 0; i < argc; ++i) arguments << QString::fromLocal8Bit(argv[i]);
    if (arguments.value(1) == QLatin1String("--listed")) return compareWith(arguments.mid(2));
    const auto found = registry().find(arguments.value(1));
    if (found == registry().end()) return printNames();
    const auto application = applicationBeside(found->second.beside, argc, argv);
    arguments.removeAt(1);
    return QTest::qExec(found->second.make().get(), arguments);
}
