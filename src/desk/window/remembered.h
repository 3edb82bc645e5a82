#pragma once

#include <QByteArray>
#include <QStringList>

#include "core/words/wording.h"

namespace glumet {

/// What the program knows from one start to the next; kept in a file of the user's, written at once.
class Remembered {
  public:
    /// Projects opened last, the latest first; only those that still are there.
    QStringList recent() const;
    void opened(const QString& project);

    /// Where file dialogs begin: beside the project opened last.
    QString folder() const;

    QByteArray geometry() const;
    void keepGeometry(const QByteArray& geometry);
    /// Profile of the instrument for light that was used last; empty: none was.
    QString instrument() const;
    void keepInstrument(const QString& profile);
    LengthUnit unit() const;
    bool dark() const;
    void keepLook(LengthUnit unit, bool dark);
};

}  // namespace glumet
