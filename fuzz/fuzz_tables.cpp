// Throws bytes at every reader of foreign files: none may crash, hang or take a row that breaks its own
// rules.
#include <cstdint>
#include <cstdlib>

#include "core/bench/bench_rules.h"
#include "formats/bench_json.h"
#include "formats/day_log_csv.h"
#include "formats/plane_sheet.h"
#include "formats/readings_csv.h"
#include "formats/ring_csv.h"
#include "formats/spectrum_file.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    const std::string_view bytes(reinterpret_cast<const char*>(data), size);
    const auto table = glumet::readReadings(bytes);
    for (const auto& row : table.rows)
        if (!(row.run.height.value() > 0.0) || !(row.reading.mean.value() >= 0.0)) std::abort();
    if (table.problems.empty() && !table.rows.empty() &&
        glumet::readReadings(glumet::writeReadings(table.rows)).rows.size() != table.rows.size())
        std::abort();
    if (const auto text = glumet::splitDelimited(bytes)) {
        const auto sheet = glumet::readPlaneSheet(*text, glumet::LengthUnit::Cm);
        glumet::SheetAnswers answers;
        answers.run = answers.fixture = "x";
        answers.pitch_x = answers.pitch_y = answers.height = answers.depth = glumet::Millimetre(100);
        (void)glumet::rowsOfSheet(sheet, answers);
        const auto rings = glumet::readRings(*text);
        if (!glumet::faultsOf(rings.bench, 1).empty()) std::abort();
        if (const auto log = glumet::readDayLog(*text); log && glumet::faultOf(log->log)) std::abort();
    }
    if (const auto spectra = glumet::readSpectra(bytes))
        for (const auto& one : *spectra)
            if (glumet::spectrumFault(one.spectrum())) std::abort();
    (void)glumet::readBench(bytes);
    return 0;
}
