#include "desk/plan/method_store.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>

#include "core/base/limits.h"
#include "files/file_reader.h"
#include "files/file_writer.h"
#include "formats/method_json.h"
#include "report/text.h"

namespace glumet {

Expected<std::vector<SurveyMethod>> MethodStore::load() const {
    if (!QFile::exists(path_)) return std::vector<SurveyMethod>();
    const auto bytes = readFile(path_, limits::kJsonBytes);
    if (!bytes) return tl::make_unexpected(bytes.error());
    auto methods = readMethods(bytes->toStdString());
    if (!methods) return problem(path_.toStdString() + ", " + methods.error().where, methods.error().what);
    return methods;
}

Expected<bool> MethodStore::save(const std::vector<SurveyMethod>& methods) const {
    QDir().mkpath(QFileInfo(path_).absolutePath());
    return writeWhole(path_, QByteArray::fromStdString(writeMethods(methods)));
}

}  // namespace glumet
