#include "report/page/page_fonts.h"

#include <QFile>

namespace glumet {
namespace {

QString faceOf(const char* file, const char* weight) {
    QFile font(QStringLiteral(":/fonts/%1.otf").arg(QLatin1String(file)));
    if (!font.open(QIODevice::ReadOnly)) return {};
    return QStringLiteral(
               "@font-face{font-family:'Glumet Text';font-weight:%1;src:url(data:font/otf;base64,%2)}")
        .arg(QLatin1String(weight), QString::fromLatin1(font.readAll().toBase64()));
}

}  // namespace

QString fontFaces(bool bold) {
    static const QString regular = faceOf("GlumetText-Regular", "normal");
    static const QString both = regular + faceOf("GlumetText-Bold", "bold");
    return bold ? both : regular;
}

}  // namespace glumet
