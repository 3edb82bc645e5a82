#pragma once

#include <QCoreApplication>
#include <QString>
#include <string>

#include "core/words/sentence.h"

namespace glumet {

/// For functions outside a class; lupdate files what they say under the namespace.
inline QString tr(const char* source) { return QCoreApplication::translate("glumet", source); }

/// The core's UTF-8 words as Qt's.
inline QString text(const std::string& utf8) { return QString::fromStdString(utf8); }

/// Sentences of the core in the reader's unit and language.
inline QString text(const Words& words, LengthUnit unit) {
    return text(spoken(words, unit, [](const char* message, int count) {
        return QCoreApplication::translate("Core", message, nullptr, count).toStdString();
    }));
}

/// What is wrong, in the reader's language.
inline QString text(const Problem& problem) {
    const QString what = text(problem.what, LengthUnit::Mm);
    return text(problemLine(problem.where, what.toStdString()));
}

/// A text that is in the reader's language already, for a place that takes sentences.
inline Words asWords(const QString& said) { return verbatim(said.toStdString()); }

}  // namespace glumet
