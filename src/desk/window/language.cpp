#include "desk/window/language.h"

#include <QCoreApplication>
#include <QTranslator>
#include <memory>

namespace glumet {
namespace {

bool install(const QString& language) {
    auto translator = std::make_unique<QTranslator>(QCoreApplication::instance());
    if (!translator->load(QStringLiteral(":/language/glumet_%1.qm").arg(language))) return false;
    return QCoreApplication::installTranslator(translator.release());
}

}  // namespace

bool speak(const QString& language) {
    const bool english = install(QStringLiteral("en"));
    return language == QLatin1String("en") ? english : install(language);
}

}  // namespace glumet
