#include "desk/shared/photo.h"

#include <QBuffer>
#include <QImageReader>

#include "core/base/limits.h"

namespace glumet {
namespace {

constexpr int kPhotoSide = 1024;
constexpr int kPhotoQuality = 80;

}  // namespace

std::string photoOf(const QString& path) {
    QImageReader reader(path);
    reader.setAutoTransform(true);
    auto picture = reader.read();
    if (picture.isNull()) return {};
    if (picture.width() > kPhotoSide || picture.height() > kPhotoSide)
        picture = picture.scaled(kPhotoSide, kPhotoSide, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    if (!picture.save(&buffer, "JPEG", kPhotoQuality)) return {};
    const auto text = bytes.toBase64();
    return static_cast<std::size_t>(text.size()) > limits::kTextBytes ? std::string() : text.toStdString();
}

}  // namespace glumet
