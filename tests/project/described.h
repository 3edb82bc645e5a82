#pragma once

#include <fmt/format.h>

#include <QCryptographicHash>
#include <QString>

#include <string>

#include "core/bench/bench.h"
#include "core/bench/grid.h"

namespace glumet {

/// Everything of a bench that edits can change, as text to compare.
inline std::string described(const Bench& bench) {
    std::string out = fmt::format("{} limit {}\n", bench.title, bench.method.spill_limit);
    for (const auto& t : bench.tanks) out += fmt::format("tank {} {} {}\n", t.id, t.name, t.length.value());
    for (const auto& f : bench.fixtures)
        out += fmt::format("fixture {} {} {} {}\n", f.id, f.name, f.maker,
                           f.rated_power ? f.rated_power->value() : -1.0);
    for (const auto& f : bench.fixtures) {
        for (const auto& c : f.channels) out += fmt::format(" channel {} {}\n", c.id, c.name);
        for (const auto& p : f.presets) {
            out += fmt::format(" preset {} {}\n", p.id, p.name);
            for (const auto& l : p.levels) out += fmt::format("  level {} {}\n", l.channel, l.level_pct);
        }
    }
    for (const auto& a : bench.accessories) out += fmt::format("accessory {} {}\n", a.id, a.name);
    for (const auto& m : bench.meters) out += fmt::format("meter {} {}\n", m.id, m.name);
    for (const auto& run : bench.runs) {
        out += fmt::format("run {} {} {} {} {} {} {} {}\n", run.id, run.label, run.fixture, run.tank,
                           run.preset, run.placement.text(), run.height.value(), run.level_pct.value_or(-1));
        for (const auto& plane : run.planes) {
            out += fmt::format(" plane {} {} {}\n", plane.id, plane.depth.value(),
                               plane.grid ? plane.grid->cells() : 0);
            for (const auto& r : plane.readings)
                out += fmt::format("  {} {} {} {} {} {} {}\n", r.id, r.x.value(), r.y.value(), r.mean.value(),
                                   r.flag.text(), r.superseded, r.extra.size());
        }
    }
    return out;
}

/// The same as one short word.
inline QString hashOf(const Bench& bench) {
    return QString::fromLatin1(
        QCryptographicHash::hash(QByteArray::fromStdString(described(bench)), QCryptographicHash::Sha1)
            .toHex());
}

}  // namespace glumet
