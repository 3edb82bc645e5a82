#include "desk/plan/method_store.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>

#include "files/file_writer.h"
#include "formats/method_json.h"
#include "report/text.h"

namespace glumet {

Expected<std::vector<SurveyMethod>> MethodStore::load() const {
    QFile file(path_);
    if (!file.exists()) return std::vector<SurveyMethod>();
    if (!file.open(QIODevice::ReadOnly)) return problem(path_.toStdString(), asWords(file.errorString()));
    auto methods = readMethods(file.readAll().toStdString());
    if (!methods) return problem(path_.toStdString() + ", " + methods.error().where, methods.error().what);
    return methods;
}

Expected<bool> MethodStore::save(const std::vector<SurveyMethod>& methods) const {
    QDir().mkpath(QFileInfo(path_).absolutePath());
    return writeWhole(path_, QByteArray::fromStdString(writeMethods(methods)));
}

}  // namespace glumet
