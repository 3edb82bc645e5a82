#include <fmt/format.h>

#include <algorithm>
#include <cmath>

#include "core/fit/described_model.h"
#include "core/fit/shadow_finding.h"
#include "core/spectrum/bands.h"
#include "core/verdicts/blending_tests.h"
#include "core/verdicts/channel_mix.h"
#include "core/verdicts/spectrum_findings.h"
#include "report/blending_figure.h"
#include "report/palette.h"
#include "report/review/sections.h"
#include "report/spectrum_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kSpectrumWide = 900;
constexpr int kSpectrumTall = 320;
constexpr int kBlendWide = 560;
constexpr int kBlendRow = 78;
constexpr double kThousand = 1000.0;

/// Findings as sentences of the page; what to do next is the reviewer's business.
void sayFindings(MadeSection& out, const std::vector<Finding>& findings) {
    for (const auto& one : findings) {
        if (one.kind == FindingKind::Next) continue;
        const bool doubt = one.kind == FindingKind::Doubt;
        out.doubts += doubt ? 1 : 0;
        Words said = say("{}. {}", one.title, one.body);
        if (one.body.empty()) said = say("{}.", one.title);
        out.blocks.emplace_back(
            Paragraph{prose(std::move(said)), doubt ? ProseTone::Doubt : ProseTone::Plain});
    }
}

PageFigure spectrumFigure(const SectionOf& of, const Spectrum& light, bool assumed) {
    SpectrumFigure drawn;
    drawn.main = SpectrumFigure::Line{{}, light};
    drawn.peaks = peaksOf(light);
    drawn.gaps = gapsOf(light);
    drawn.bands = bandsOr(of.fixture().bench.method.bands);
    drawn.shares = bandShares(light, drawn.bands);
    drawn.assumed = assumed;
    PageFigure figure;
    figure.name = of.name + "-spectrum";
    figure.caption = assumed ? say(GLUMET_SAY("Core",
                                              "Photons by wavelength, and their shares by band. Assumed from "
                                              "what is stated, not measured."))
                             : say(GLUMET_SAY("Core", "Photons by wavelength, and their shares by band"));
    figure.alt =
        say(GLUMET_SAY("Core", "Spectrum from 380 to 780 nm; the table has the share of each band."));
    figure.size = QSize(kSpectrumWide, kSpectrumTall);
    figure.paint = [drawn](QPainter& p, const QRectF& area, LengthUnit) {
        paintSpectrum(p, inside(area), drawn, paper());
    };
    return figure;
}

DataTable bandTable(const std::vector<SpectralBand>& bands, const std::vector<double>& shares) {
    DataTable table;
    table.columns = {{say(GLUMET_SAY("Core", "band")), false},
                     {say(GLUMET_SAY("Core", "nm"))},
                     {say(GLUMET_SAY("Core", "share of the photons"))}};
    for (std::size_t i = 0; i < bands.size() && i < shares.size(); ++i)
        table.rows.push_back({verbatim(bands[i].name),
                              say("{}–{}", Figure{bands[i].from_nm, 0}, Figure{bands[i].to_nm, 0}),
                              say("{}", Share{shares[i]})});
    return table;
}

/// How far each point's colour lies from the middle's, as the board of the test shows it.
DataTable blendingTable(const BlendingTest& test) {
    DataTable table;
    table.caption = say(GLUMET_SAY("Core", "Blending, {}: Δu'v' ×10⁻³ from the middle; {} shows"), test.name,
                        Figure{kColourShows * kThousand, 0});
    table.columns = {{say(GLUMET_SAY("Core", "point")), false},
                     {say("Δu'v' ×10⁻³")},
                     {say(GLUMET_SAY("Core", "spectral angle, °"))}};
    const auto& r = test.result;
    for (std::size_t i = 0; i < test.points.size() && i < r.colour_from_centre.size(); ++i)
        table.rows.push_back(
            {verbatim(test.points[i]->name.empty() ? std::to_string(i + 1) : test.points[i]->name),
             say("{}", Figure{r.colour_from_centre[i] * kThousand, 1}),
             say("{}", Figure{r.angle_from_centre[i], 1})});
    return table;
}

PageFigure blendingPicture(const SectionOf& of, const BlendingTest& test, std::size_t number) {
    const auto board = blendingFigure(test);
    PageFigure figure;
    figure.name = fmt::format("{}-blending-{}", of.name, number + 1);
    figure.caption =
        test.over_time
            ? say(GLUMET_SAY("Core", "Blending from moment to moment, {}: Δu'v' ×10⁻³ from the mean"),
                  test.name)
            : say(GLUMET_SAY("Core", "Blending from above, {}: Δu'v' ×10⁻³ from the middle"), test.name);
    figure.alt = say(GLUMET_SAY("Core",
                                "The spectra at their places; a corner marks where a difference from "
                                "the middle would show, beyond {}."),
                     Figure{kColourShows * kThousand, 0});
    figure.size = QSize(kBlendWide, kBlendRow * board.rows);
    figure.paint = [board](QPainter& p, const QRectF& area, LengthUnit) {
        paintBlending(p, inside(area), board, paper());
    };
    return figure;
}

void sayBlending(const SectionOf& of, MadeSection& out, const std::vector<BlendingTest>& tests) {
    std::size_t number = 0;
    for (const auto& test : tests) {
        if (test.result.colour_from_centre.empty() && test.result.colour_from_mean.empty()) continue;
        const auto& figure = test.result.figure;
        const Figure value{figure.value * kThousand, 1};
        const Figure low{figure.low * kThousand, 1};
        const Figure high{figure.high * kThousand, 1};
        out.blocks.emplace_back(Paragraph{prose(
            test.over_time
                ? say(GLUMET_SAY("Core",
                                 "Blending from moment to moment, {}: Δu'v' {} ×10⁻³ from the mean ({}–{})."),
                      test.name, value, low, high)
                : say(GLUMET_SAY("Core",
                                 "Blending over {} points, {}: Δu'v' {} ×10⁻³ from the middle ({}–{})."),
                      countOf(test.points.size()), test.name, value, low, high))});
        out.blocks.emplace_back(FigureRow{{blendingPicture(of, test, number++)}});
        if (!test.over_time) out.blocks.emplace_back(blendingTable(test));
    }
}

}  // namespace

MadeSection spectrumSection(const SectionOf& of) {
    const auto& review = of.fixture();
    const auto& bench = review.bench;
    const auto& run = review.shown();
    const auto* plane = shallowestRead(run);
    const auto tests = blendingTests(bench, run.fixture);
    MadeSection out;
    const auto mix = plane == nullptr ? problem("", Words()) : mixOf(bench, run, *plane);
    if (mix) {
        const auto light = mix->mix.spectrumAt(mix->set_to);
        const auto state = mix->mix.at(mix->set_to);
        if (state.light && !light.empty()) {
            out.blocks.emplace_back(FigureRow{{spectrumFigure(of, light, state.assumed)}});
            const auto& bands = bandsOr(bench.method.bands);
            out.blocks.emplace_back(bandTable(bands, state.band_shares));
            SpectrumQuestion asked{&run, plane, &*mix, mix->set_to, review.band};
            sayFindings(out, spectrumFindings(bench, asked, {}));
            if (state.assumed) {
                ++out.doubts;
                out.blocks.emplace_back(
                    Paragraph{prose(say(GLUMET_SAY("Core",
                                                   "At least one channel's spectrum is assumed: what is said "
                                                   "of colour is no measurement."))),
                              ProseTone::Doubt});
            }
        }
    }
    sayBlending(of, out, tests);
    if (out.blocks.empty()) out.missing = say(GLUMET_SAY("Core", "no spectrum was read, and none is stated"));
    return out;
}

MadeSection shadowSection(const SectionOf& of) {
    const auto& review = of.fixture();
    MadeSection out;
    auto model = review.fit ? DescribedModel::fitted(review.bench, review.shown_run, *review.fit)
                            : DescribedModel::of(review.bench, review.shown());
    if (!model) {
        out.missing = model.error().what;
        return out;
    }
    const auto found = shadowFinding(review.bench, review.shown_run, *model);
    if (!found) {
        out.missing = say(GLUMET_SAY("Core", "it has too many emitters for the shadow to be computed"));
        return out;
    }
    sayFindings(out, {*found});
    out.blocks.emplace_back(Paragraph{
        prose(review.fit ? say(GLUMET_SAY("Core", "Modelled by the fit to the readings, not measured."))
                         : say(GLUMET_SAY("Core", "Modelled by the beam as it is described, not measured."))),
        ProseTone::Muted});
    return out;
}

}  // namespace glumet
