#pragma once

#include <QByteArray>

class QImage;

namespace glumet {

/// A picture as a PNG, 24 bits a pixel; of an opaque one nothing is lost. Empty for an empty picture.
/// Rows are packed as they are: choosing a filter for each takes twice the time that packing does, and drawn
/// pictures, mostly even, become larger by it.
QByteArray packedPng(const QImage& picture);

}  // namespace glumet
