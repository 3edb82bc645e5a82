#include "desk/spectrum/spectrum_stage.h"

namespace glumet {

StageEntry spectrumEntry() {
    StageEntry entry;
    entry.id = QStringLiteral("spectrum");
    entry.title = SpectrumStage::tr("Spectrum");
    entry.act = Act::Judge;
    entry.make = [](Session& session) { return new SpectrumStage(session); };
    entry.shows = {EvidenceView::Spectrum};
    entry.commands = {
        {SpectrumStage::tr("Add spectra from files…"), SpectrumStage::tr("Ctrl+Shift+A"),
         onStage<SpectrumStage>(&SpectrumStage::addSpectra)},
        {SpectrumStage::tr("Read spectra from the spectrometer…"), SpectrumStage::tr("Ctrl+Shift+P"),
         onStage<SpectrumStage>(&SpectrumStage::readSpectra)},
        {SpectrumStage::tr("Keep this mix as a preset…"),
         {},
         onStage<SpectrumStage>(&SpectrumStage::keepAsPreset)},
        {SpectrumStage::tr("Set the mix that fills the band"),
         {},
         onStage<SpectrumStage>(&SpectrumStage::bestMix)},
        {SpectrumStage::tr("Edit the bands of the spectrum…"),
         {},
         onStage<SpectrumStage>(&SpectrumStage::editBands)},
        {SpectrumStage::tr("Write the spectra as files…"),
         {},
         onStage<SpectrumStage>(&SpectrumStage::exportSpectra)},
        {SpectrumStage::tr("Correct the meter by its response"),
         {},
         onStage<SpectrumStage>(&SpectrumStage::correctMeter)}};
    entry.keys = {
        {SpectrumStage::tr("↑, ↓"), SpectrumStage::tr("Spectrum: choose a channel of the mix")},
        {SpectrumStage::tr("←, →, digits"), SpectrumStage::tr("Spectrum: its level, with Shift by tens")},
        {SpectrumStage::tr("D"), SpectrumStage::tr("Spectrum: the light or its day")}};
    entry.shots = {{}, {QStringLiteral("-day"), QStringLiteral("D"), {}}};
    return entry;
}

}  // namespace glumet
