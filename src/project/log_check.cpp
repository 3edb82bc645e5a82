#include "project/log_check.h"

#include <QtEndian>

namespace glumet {
namespace {

constexpr qsizetype kHead = 32;
constexpr qsizetype kFrameHead = 24;
constexpr quint32 kMagic = 0x377F0682;  ///< its last bit tells the order of the checksum's words

/// SQLite's running checksum over words of 32 bits.
class Checksum {
  public:
    explicit Checksum(bool big_endian) : big_endian_(big_endian) {}
    void add(const char* bytes, qsizetype size) {
        for (qsizetype i = 0; i + 8 <= size; i += 8) {
            first_ += word(bytes + i) + second_;
            second_ += word(bytes + i + 4) + first_;
        }
    }
    bool holds(const char* stored) const {
        return qFromBigEndian<quint32>(stored) == first_ && qFromBigEndian<quint32>(stored + 4) == second_;
    }

  private:
    quint32 word(const char* bytes) const {
        return big_endian_ ? qFromBigEndian<quint32>(bytes) : qFromLittleEndian<quint32>(bytes);
    }
    bool big_endian_;
    quint32 first_ = 0;
    quint32 second_ = 0;
};

}  // namespace

int lostEdits(const QByteArray& log) {
    if (log.size() <= kHead) return 0;
    const char* head = log.constData();
    const auto magic = qFromBigEndian<quint32>(head);
    if ((magic & ~1U) != kMagic) return -1;
    Checksum sum((magic & 1U) != 0);
    sum.add(head, kHead - 8);
    if (!sum.holds(head + kHead - 8)) return -1;
    const auto page = static_cast<qsizetype>(qFromBigEndian<quint32>(head + 8));
    if (page < 512 || page > 65536) return -1;
    const QByteArrayView salt(head + 16, 8);
    bool sound = true;
    int lost = 0;
    for (qsizetype at = kHead; at + kFrameHead + page <= log.size(); at += kFrameHead + page) {
        const char* frame = head + at;
        const bool of_this_log = QByteArrayView(frame + 8, 8) == salt;
        if (sound) {
            sum.add(frame, 8);
            sum.add(frame + kFrameHead, page);
            sound = of_this_log && sum.holds(frame + 16);
        }
        const bool ends_edit = qFromBigEndian<quint32>(frame + 4) != 0;
        if (!sound && of_this_log && ends_edit) ++lost;
    }
    return lost >= 2 ? lost : 0;
}

}  // namespace glumet
