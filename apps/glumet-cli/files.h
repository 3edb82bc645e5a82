#pragma once

#include <QString>
#include <string>

#include "core/base/limits.h"
#include "core/base/problem.h"
#include "formats/json_text.h"
#include "formats/model_json.h"

namespace glumet::cli {

inline QString path(const std::string& file) { return QString::fromStdString(file); }

/// The whole of a file, or a problem that names it.
Expected<std::string> bytesOf(const std::string& name, std::size_t most = limits::kTableBytes);

/// A problem in that file.
Problem inFile(const std::string& name, const Problem& wrong);

/// A file of no more bytes as what `read` makes of them; most are descriptions.
template <class Read>
auto readAs(const std::string& name, Read read, std::size_t most = limits::kJsonBytes)
    -> decltype(read(std::string_view())) {
    const auto bytes = bytesOf(name, most);
    if (!bytes) return tl::make_unexpected(bytes.error());
    auto value = read(std::string_view(*bytes));
    if (!value) return tl::make_unexpected(inFile(name, value.error()));
    return value;
}

/// A scene of fitted fixtures; files that it names lie beside it.
Expected<ModelScene> modelScene(const std::string& name);

/// Replaces a file whole, or leaves it as it was.
Expected<bool> writeText(const QString& name, const std::string& text);

}  // namespace glumet::cli
