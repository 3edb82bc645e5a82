#include "desk/shared/ring_name.h"

#include <QCoreApplication>

namespace glumet {
namespace {

struct Rings {
    Q_DECLARE_TR_FUNCTIONS(Rings)
};

}  // namespace

QString ringName(int ring, int count) {
    if (ring == 0) return Rings::tr("outer ring");
    if (ring + 1 == count) return Rings::tr("centre");
    return count == 3 ? Rings::tr("middle ring") : Rings::tr("ring %1").arg(ring + 1);
}

}  // namespace glumet
