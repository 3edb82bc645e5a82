#pragma once

#include <QByteArray>

#include "report/page/document.h"

namespace glumet {

/// A document as one HTML page with its pictures and fonts inside: it asks nothing of any network and needs
/// no script. Lengths stand in both systems, of which the reader chooses; places of pictures say more when
/// they are pointed at. Whatever was typed or imported is escaped.
QByteArray htmlOf(const Document& document);

}  // namespace glumet
