#include "desk/spectrum/spectrum_stage.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QKeyEvent>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "core/spectrum/bands.h"
#include "core/spectrum/generic_spectra.h"
#include "core/spectrum/pure_water.h"
#include "core/spectrum/sampled.h"
#include "core/verdicts/goal_level.h"
#include "core/verdicts/spectrum_findings.h"
#include "core/words/wording.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "desk/spectrum/scan_dialog.h"
#include "desk/spectrum/spectra_dialog.h"
#include "files/file_writer.h"
#include "formats/spectrum_file.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kOutcome = 226;
constexpr std::size_t kHistory = 200;

QLabel* figureLabel(const char* name, TextRole role = TextRole::Title) {
    auto* label = makeLabel({}, role);
    label->setObjectName(QLatin1String(name));
    label->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    return label;
}

/// All channels of another fixture as their spectra stand; nothing where one is missing.
std::optional<Spectrum> allOn(const Bench& bench, const Fixture& fixture) {
    std::vector<MixChannel> channels;
    for (const auto& channel : fixture.channels) {
        const auto standing = spectrumOf(bench, fixture.id, channel);
        if (standing.spectrum.empty()) return std::nullopt;
        const bool absolute = standing.record != nullptr && standing.record->scale == SpectralScale::Absolute;
        MixChannel one;
        one.spectrum = standing.spectrum;
        one.ppfd = absolute ? parOf(standing.spectrum) : channel.flux_share.value_or(1.0);
        channels.push_back(std::move(one));
    }
    if (channels.empty()) return std::nullopt;
    const std::vector<double> full(channels.size(), 1.0);
    return Mix(std::move(channels), standardBands()).spectrumAt(full);
}

/// "03 Osier 60 deep red": what a file system takes.
QString fileNameOf(const Fixture& fixture, const SpectrumRecord& record, int number) {
    QString name = QStringLiteral("%1 %2 %3")
                       .arg(number, 2, 10, QLatin1Char('0'))
                       .arg(text(fixture.name), text(record.name));
    if (!record.test.empty()) name += QLatin1Char(' ') + text(record.test);
    for (QChar& c : name)
        if (!c.isLetterOrNumber() && !QStringLiteral(" -_,()").contains(c)) c = QLatin1Char('_');
    return name.left(100).trimmed();
}

}  // namespace

SpectrumStage::SpectrumStage(Session& session)
    : Stage(session),
      title_(makeLabel({}, TextRole::Title)),
      pages_(new QButtonGroup(this)),
      against_(new QComboBox),
      scale_(new QComboBox),
      day_(new DayPage(session)),
      plot_(new SpectrumPlot),
      mixer_(new MixerView),
      presets_(new QComboBox),
      keep_(quietButton(tr("keep…"))),
      best_(quietButton(tr("fill the band"))),
      ppfd_(figureLabel("mixPpfd", TextRole::Figure)),
      ppfd_what_(makeLabel({}, TextRole::Muted)),
      watts_(figureLabel("mixWatts")),
      watts_what_(makeLabel({}, TextRole::Muted)),
      band_(figureLabel("mixBand")),
      band_what_(makeLabel({}, TextRole::Muted)),
      verdict_(makeLabel({}, TextRole::Body)),
      test_choice_(new QComboBox),
      test_what_(makeLabel({}, TextRole::Muted)),
      board_(new BlendingBoard),
      blend_(makeLabel({}, TextRole::Figure)),
      blend_what_(makeLabel({}, TextRole::Body)),
      here_(new ColourChip),
      edge_(new ColourChip),
      deep_(new ColourChip) {
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(24, 14, 20, 12);
    layout->setSpacing(8);
    layout->addWidget(makeHead());
    layout->addWidget(makeLightPage(), 1);
    layout->addWidget(day_, 1);
    day_->hide();
    connect(mixer_, &MixerView::levelChanged, this, [this](int beam, double level, bool done) {
        auto levels = levels_;
        if (beam < 0 || beam >= static_cast<int>(levels.size())) return;
        levels[static_cast<std::size_t>(beam)] = level;
        setLevels(std::move(levels), done);
    });
    connect(mixer_, &MixerView::undoWanted, this, &SpectrumStage::undoLevels);
    connect(board_, &BlendingBoard::pointChosen, this, &SpectrumStage::refreshPlot);
    connect(day_, &DayPage::viewChanged, this, &SpectrumStage::viewChanged);
    connect(keep_, &QPushButton::clicked, this, &SpectrumStage::keepAsPreset);
    connect(best_, &QPushButton::clicked, this, &SpectrumStage::bestMix);
    connect(presets_, &QComboBox::activated, this, &SpectrumStage::usePreset);
    connect(against_, &QComboBox::activated, this, &SpectrumStage::refreshPlot);
    connect(scale_, &QComboBox::activated, this, &SpectrumStage::refreshPlot);
    connect(test_choice_, &QComboBox::activated, this, [this] {
        test_ = test_choice_->currentData().toString().toStdString();
        board_->choose(std::nullopt);
        emit viewChanged();
    });
}

QWidget* SpectrumStage::makeHead() {
    auto* row = new QWidget;
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    layout->addWidget(title_, 1);
    against_->setObjectName(QStringLiteral("against"));
    against_->setAccessibleName(tr("Laid over it"));
    against_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    against_->setMinimumContentsLength(13);
    scale_->setObjectName(QStringLiteral("overlayScale"));
    scale_->setAccessibleName(tr("How spectra are laid over each other"));
    scale_->addItems({tr("same PPFD"), tr("same peak"), tr("as they are")});
    layout->addWidget(against_);
    layout->addSpacing(6);
    layout->addWidget(scale_);
    layout->addSpacing(14);
    int id = 0;
    for (const QString& name : {tr("light"), tr("day")}) {
        auto* button = new QPushButton(name);
        button->setCheckable(true);
        button->setProperty("segment", true);
        button->setChecked(id == 0);
        pages_->addButton(button, id++);
        layout->addWidget(button);
    }
    connect(pages_, &QButtonGroup::idClicked, this, &SpectrumStage::viewChanged);
    return row;
}

QWidget* SpectrumStage::makeLightPage() {
    light_page_ = new QWidget;
    auto* layout = new QVBoxLayout(light_page_);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(8);
    layout->addWidget(plot_, 5);
    layout->addWidget(makeMixRow());
    layout->addWidget(makeBlendingRow(), 3);
    return light_page_;
}

QWidget* SpectrumStage::makeMixRow() {
    auto* row = new QWidget;
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(20);
    auto* left = new QVBoxLayout;
    left->setSpacing(2);
    auto* caption = new QHBoxLayout;
    presets_->setObjectName(QStringLiteral("mixPreset"));
    presets_->setAccessibleName(tr("Preset"));
    keep_->setToolTip(tr("Keep these levels as a preset of the fixture"));
    best_->setToolTip(tr("The levels that put most of the run's points into the goal's band"));
    best_->setObjectName(QStringLiteral("bestMix"));
    keep_->setObjectName(QStringLiteral("keepMix"));
    presets_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    presets_->setMinimumContentsLength(10);
    caption->addWidget(presets_, 1);
    caption->addWidget(keep_);
    caption->addWidget(best_);
    left->addLayout(caption);
    left->addWidget(mixer_);
    left->addWidget(verdict_);
    verdict_->setWordWrap(true);
    verdict_->setObjectName(QStringLiteral("mixVerdict"));
    layout->addLayout(left, 1);
    auto* right = new QWidget;
    right->setFixedWidth(kOutcome);
    auto* figures = new QGridLayout(right);
    figures->setContentsMargins(0, 0, 0, 0);
    figures->setVerticalSpacing(2);
    figures->setColumnStretch(0, 1);
    int line = 0;
    for (const auto& [what, figure] :
         {std::pair{ppfd_what_, ppfd_}, {watts_what_, watts_}, {band_what_, band_}}) {
        figures->addWidget(what, line, 0);
        figures->addWidget(figure, line++, 1);
    }
    figures->setRowStretch(line, 1);
    layout->addWidget(right);
    return row;
}

QWidget* SpectrumStage::makeBlendingRow() {
    auto* row = new QWidget;
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(20);
    auto* left = new QVBoxLayout;
    left->setSpacing(4);
    auto* caption = new QHBoxLayout;
    test_choice_->setObjectName(QStringLiteral("blendingTest"));
    test_choice_->setAccessibleName(tr("Blending test"));
    auto* add = quietButton(tr("add spectra…"));
    add->setObjectName(QStringLiteral("addSpectra"));
    connect(add, &QPushButton::clicked, this, &SpectrumStage::addSpectra);
    test_choice_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    test_choice_->setMinimumContentsLength(12);
    caption->addWidget(test_choice_, 1);
    caption->addWidget(add);
    left->addLayout(caption);
    left->addWidget(board_, 1);
    layout->addLayout(left, 1);
    auto* right = new QWidget;
    right->setFixedWidth(kOutcome);
    auto* figures = new QVBoxLayout(right);
    figures->setContentsMargins(0, 0, 0, 0);
    figures->setSpacing(3);
    blend_->setObjectName(QStringLiteral("blendFigure"));
    blend_what_->setWordWrap(true);
    test_what_->setWordWrap(true);
    figures->addWidget(blend_);
    figures->addWidget(blend_what_);
    figures->addWidget(test_what_);
    figures->addSpacing(4);
    auto* chips = new QGridLayout;
    chips->setSpacing(6);
    chips->addWidget(here_, 0, 0);
    chips->addWidget(edge_, 0, 1);
    chips->addWidget(deep_, 1, 0, 1, 2);
    figures->addLayout(chips);
    figures->addStretch(1);
    layout->addWidget(right);
    return row;
}

/// That of the chosen run; without a run the first that is described.
const Fixture* SpectrumStage::shownFixture() const {
    const auto& fixtures = session().bench().fixtures;
    if (const auto* run = session().run()) return byId(fixtures, run->fixture);
    return fixtures.empty() ? nullptr : &fixtures.front();
}

const std::vector<BlendingTest>& SpectrumStage::tests() const {
    static const std::vector<BlendingTest> none;
    const auto* fixture = shownFixture();
    if (fixture == nullptr) return none;
    return session().answers().now<std::vector<BlendingTest>>(
        {"blending", {}}, session().revision(fixture->id),
        [&](std::vector<BlendingTest>*) { return blendingTests(session().bench(), fixture->id); });
}

const BlendingTest* SpectrumStage::test() const {
    for (const auto& one : tests())
        if (one.name == test_) return &one;
    return nullptr;
}

/// The levels that the run was set to, when another run's mix is looked at.
void SpectrumStage::takeLevels() {
    const auto* run = session().run();
    const auto* now = mix();
    if (run == nullptr || now == nullptr || !*now) {
        levels_.clear();
        levels_of_.reset();
        earlier_.clear();
        return;
    }
    const std::pair of{run->fixture, run->preset};
    if (levels_of_ == of && levels_.size() == (*now)->channels.size()) return;
    levels_ = (*now)->set_to;
    levels_of_ = of;
    earlier_.clear();
    before_drag_.clear();
}

void SpectrumStage::setLevels(std::vector<double> levels, bool done) {
    if (before_drag_.empty()) before_drag_ = levels_;
    levels_ = std::move(levels);
    if (done) {
        if (before_drag_ != levels_) earlier_.push_back(before_drag_);
        if (earlier_.size() > kHistory) earlier_.erase(earlier_.begin());
        before_drag_.clear();
        return emit viewChanged();
    }
    refreshPlot();
    refreshMixer();
    refreshOutcome();
}

void SpectrumStage::undoLevels() {
    if (earlier_.empty()) return session().say(tr("The mix is as it was when it was opened."));
    levels_ = earlier_.back();
    earlier_.pop_back();
    emit viewChanged();
}

QString SpectrumStage::titleNow() const {
    const auto* run = session().run();
    const auto* plane = session().plane();
    if (run == nullptr || plane == nullptr)
        return shownFixture() == nullptr ? tr("No fixture yet") : text(shownFixture()->name);
    if (const auto point = board_->chosen(); point && test() != nullptr)
        return tr("%1, %2").arg(text(test()->name), board_->points()[*point].name);
    return run->water == WaterState::Dry
               ? tr("This mix, %1 under the lamp").arg(session().length(run->height + plane->depth))
               : tr("This mix at %1").arg(session().length(plane->depth));
}

std::optional<SpectrumFigure::Line> SpectrumStage::against() const {
    const QString id = against_->currentData().toString();
    for (const auto& reference : referenceSpectra())
        if (text(reference.id) == id)
            return SpectrumFigure::Line{against_->currentText(), reference.spectrum};
    if (!id.startsWith(QLatin1String("fixture "))) return std::nullopt;
    const auto* fixture = byId(session().bench().fixtures, Id(id.mid(8).toLongLong()));
    if (fixture == nullptr) return std::nullopt;
    if (auto spectrum = allOn(session().bench(), *fixture))
        return SpectrumFigure::Line{against_->currentText(), std::move(*spectrum)};
    return std::nullopt;
}

/// The chosen point of the blending board.
std::optional<Spectrum> SpectrumStage::boardSpectrum() const {
    const auto* of = test();
    const auto point = board_->chosen();
    if (of == nullptr || !point || *point >= of->points.size()) return std::nullopt;
    return of->points[*point]->spectrum;
}

/// Between what the chosen test's moments lie, four out of five.
std::optional<SpectrumFigure::Span> SpectrumStage::momentsSpan(OverlayScale scale) const {
    const auto* of = test();
    if (of == nullptr || !of->over_time || of->points.size() < 3) return std::nullopt;
    std::vector<Spectrum> moments;
    for (const auto* point : of->points) moments.push_back(point->spectrum);
    const auto statistics = overlayStatistics(moments, scale);
    SpectrumFigure::Span span{tr("%1, 10–90 %").arg(text(of->name)), {}, {}};
    for (std::size_t i = 0; i < statistics.tenth.size(); ++i) {
        span.low.wavelength_nm.push_back(sampledNm(i));
        span.low.values.push_back(statistics.tenth[i]);
        span.high.values.push_back(statistics.ninetieth[i]);
    }
    span.high.wavelength_nm = span.low.wavelength_nm;
    return span;
}

void SpectrumStage::refreshPlot() {
    title_->setText(titleNow());
    SpectrumFigure figure;
    constexpr std::array kScales{OverlayScale::Par, OverlayScale::Peak, OverlayScale::Absolute};
    const auto scale = kScales[static_cast<std::size_t>(std::max(0, scale_->currentIndex()))];
    const auto& bands = bandsOr(session().bench().method.bands);
    std::optional<Spectrum> main = boardSpectrum();
    const auto* now = mix();
    if (!main && now != nullptr && *now) {
        const auto state = (*now)->mix.at(levels_);
        if (state.light) main = (*now)->mix.spectrumAt(levels_);
        figure.assumed = state.assumed;
    }
    // Without a reading: the channels as their spectra stand.
    if (const auto* fixture = shownFixture(); !main && (now == nullptr || !*now) && fixture != nullptr) {
        main = allOn(session().bench(), *fixture);
        figure.assumed =
            main && std::any_of(fixture->channels.begin(), fixture->channels.end(), [&](const Channel& c) {
                return spectrumOf(session().bench(), fixture->id, c).assumed;
            });
    }
    if (main) {
        figure.main = SpectrumFigure::Line{{}, scaledFor(*main, scale)};
        figure.peaks = peaksOf(figure.main->spectrum);
        figure.gaps = gapsOf(*main);
        figure.bands = bands;
        figure.shares = bandShares(*main, bands);
        if (auto other = against()) {
            figure.other_shares = bandShares(other->spectrum, bands);
            other->spectrum = scaledFor(std::move(other->spectrum), scale);
            figure.others.push_back(std::move(*other));
        }
        figure.span = momentsSpan(scale);
        if (const auto* of = test(); of != nullptr && boardSpectrum() && !of->over_time)
            figure.others.push_back({tr("the middle"), scaledFor(of->points[of->centre]->spectrum, scale)});
    } else {
        figure.empty =
            shownFixture() == nullptr || shownFixture()->channels.empty()
                ? tr("Describe a fixture and its channels in Bench: they make the spectrum.")
            : now == nullptr ? tr("Add the channels' spectra, or state their peaks in Bench.")
            : !*now          ? tr("No mix: %1.").arg(text((*now).error().what, LengthUnit::Mm))
            : levels_.empty() || std::all_of(levels_.begin(), levels_.end(), [](double l) { return l <= 0; })
                ? tr("Every channel is off.")
                : tr("A channel has no spectrum: add one from a file, or state its peak in Bench.");
    }
    plot_->setFigure(std::move(figure), colours());
}

void SpectrumStage::refreshMixer() {
    const auto* now = mix();
    std::vector<MixerView::Beam> beams;
    if (now != nullptr && *now && levels_.size() == (*now)->channels.size())
        for (std::size_t c = 0; c < levels_.size(); ++c) {
            const auto& channel = (*now)->mix.channels()[c];
            MixerView::Beam beam;
            beam.name = text(channel.name);
            beam.level = levels_[c];
            beam.output = channel.dimming.at(levels_[c]);
            beam.full = channel.ppfd;
            beam.assumed = (*now)->channels[c].basis != ChannelBasis::Read;
            if (!channel.spectrum.empty()) beam.colour = screenColour(chromaticityOf(channel.spectrum));
            beams.push_back(std::move(beam));
        }
    mixer_->setBeams(std::move(beams), colours());
}

void SpectrumStage::refreshOutcome() {
    const auto* now = mix();
    const bool there = now != nullptr && *now && !levels_.empty();
    for (auto* label : {ppfd_, watts_, band_}) label->setVisible(there);
    for (auto* label : {ppfd_what_, watts_what_, band_what_}) label->setVisible(there);
    verdict_->setVisible(there);
    if (!there) return;
    const auto state = (*now)->mix.at(levels_);
    // What rests on a share or on a fit is not shown as if it had been read.
    const auto& channels = (*now)->channels;
    const bool light_taken =
        levels_ != (*now)->set_to && std::any_of(channels.begin(), channels.end(),
                                                 [](const auto& c) { return c.basis != ChannelBasis::Read; });
    const bool watts_taken =
        std::any_of(channels.begin(), channels.end(), [](const auto& c) { return c.watt_shared; });
    const auto about = [](bool taken) { return taken ? QStringLiteral("≈ ") : QString(); };
    ppfd_->setText(about(light_taken) + text(ppfdFigure(Ppfd(state.ppfd))));
    ppfd_what_->setText(tr("PPFD, mean here"));
    watts_->setText(state.watt ? about(watts_taken) + tr("%1 W").arg(*state.watt, 0, 'f', 0) : tr("– W"));
    watts_what_->setText(
        !state.watt
            ? tr("draw not known")
            : tr("at the wall, %1 idle")
                  .arg(text(percentText(*state.idle_watt / std::max(1e-9, *state.watt + *state.idle_watt)))));
    const auto band = session().band();
    band_->setText(text(percentText(shareInBand(**now, levels_, band))));
    band_what_->setText(
        tr("in %1–%2, all planes").arg(text(ppfdFigure(band.low)), text(ppfdFigure(band.high))));
    const auto points = pointsAt(**now, levels_);
    const auto best = bestLevel(points, band);
    const double here = shareInBand(**now, levels_, band);
    verdict_->setText(best.share <= here + 0.005 ? tr("No dimming of this mix puts more into the band.")
                                                 : tr("Dimmed as a whole to %1 % it puts %2 into the band.")
                                                       .arg(qRound(best.level_pct))
                                                       .arg(text(percentText(best.share))));
    const auto middle = state.light ? std::optional(chromaticityOf(*state.light)) : std::nullopt;
    here_->setColour(middle, tr("here"), colours());
    const auto* plane = session().plane();
    const auto* run = session().run();
    std::optional<Chromaticity> deep;
    const auto deepest = run->planes.back().depth;
    if (state.light && run->water != WaterState::Dry)
        deep = chromaticityOf(afterPureWater((*now)->mix.spectrumAt(levels_),
                                             std::max(0.0, (deepest - plane->depth).value() / 1000.0)));
    deep_->setVisible(deep.has_value() && deepest > plane->depth);
    deep_->setColour(deep, tr("at %1, after the water").arg(session().length(deepest)), colours());
    const auto plane_colours = planeColours(**now, levels_);
    const auto& distances = plane_colours.distances;
    edge_->setVisible(!distances.empty());
    if (distances.empty()) return;
    const auto most = std::max_element(distances.begin(), distances.end());
    edge_->setColour(plane_colours.colours[static_cast<std::size_t>(most - distances.begin())],
                     tr("farthest, %1").arg(colourDistanceText(*most)), colours());
}

/// What the layout itself does under ripple, at the chosen plane's middle.
QString SpectrumStage::rippleText() const {
    auto* model = session().model();
    const auto* plane = session().plane();
    const auto* tank =
        session().run() == nullptr ? nullptr : byId(session().bench().tanks, session().run()->tank);
    if (model == nullptr || !*model || plane == nullptr || tank == nullptr) return {};
    const auto& shimmer = session().answers().now<std::optional<double>>(
        {"shimmer", configurationOf(*session().run())}, session().revision(plane->id),
        [&](std::optional<double>*) {
            return (*model)->shimmerOn(tank->length * 0.5, tank->width * 0.5, plane->depth);
        });
    return shimmer ? tr("Ripple moves its light %1 × as much as one point's").arg(*shimmer, 0, 'f', 2)
                   : QString();
}

void SpectrumStage::refreshBlending() {
    const auto& all = tests();
    if (test() == nullptr) test_ = all.empty() ? std::string() : all.front().name;
    test_choice_->clear();
    for (const auto& one : all) {
        test_choice_->addItem(text(one.name), text(one.name));
        if (one.name == test_) test_choice_->setCurrentIndex(test_choice_->count() - 1);
    }
    test_choice_->setVisible(!all.empty());
    const auto* of = test();
    blend_->setVisible(of != nullptr && !of->result.colour_from_mean.empty());
    blend_what_->setVisible(blend_->isVisibleTo(this));
    if (of == nullptr) {
        test_what_->setText(
            tr("No blending test yet: nine spectra under the lamp show how its channels mix."));
        board_->setFigure({}, colours());
        return;
    }
    const auto* first = of->points.front();
    test_what_->setText(of->over_time ? tr("%n moments", nullptr, static_cast<int>(of->points.size()))
                        : first->height
                            ? tr("%n points, %1 down", nullptr, static_cast<int>(of->points.size()))
                                  .arg(session().length(*first->height))
                            : tr("%n points", nullptr, static_cast<int>(of->points.size())));
    board_->setFigure(blendingFigure(*of), colours());
    if (of->result.colour_from_mean.empty()) return;
    blend_->setText(colourDistanceText(of->result.figure.value));
    blend_what_->setText(
        (of->over_time ? tr("×10⁻³ Δu'v' from their mean, %1–%2") : tr("×10⁻³ Δu'v' from the middle, %1–%2"))
            .arg(colourDistanceText(of->result.figure.low), colourDistanceText(of->result.figure.high)));
    if (const QString ripple = rippleText(); !ripple.isEmpty())
        test_what_->setText(test_what_->text() + QLatin1Char('\n') + ripple);
}

void SpectrumStage::fillChoices() {
    const QString before =
        against_->count() == 0 ? QStringLiteral("daylight-5500") : against_->currentData().toString();
    against_->clear();
    against_->addItem(tr("against nothing"), QString());
    for (const auto& reference : referenceSpectra())
        against_->addItem(text(say(reference.name), LengthUnit::Mm), text(reference.id));
    for (const auto& fixture : session().bench().fixtures)
        against_->addItem(text(fixture.name), QStringLiteral("fixture %1").arg(fixture.id));
    against_->setCurrentIndex(std::max(0, against_->findData(before)));
}

void SpectrumStage::fillPresets() {
    presets_->clear();
    const auto* fixture = shownFixture();
    if (fixture == nullptr) return;
    presets_->addItem(tr("as mixed here"), 0);
    const auto* now = mix();
    for (const auto& preset : fixture->presets) {
        presets_->addItem(text(preset.name), static_cast<qlonglong>(preset.id));
        if (now != nullptr && *now && levelsOf(**now, preset) == levels_)
            presets_->setCurrentIndex(presets_->count() - 1);
    }
}

void SpectrumStage::usePreset(int index) {
    const auto* now = mix();
    const auto* preset = presetById(session().bench(), Id(presets_->itemData(index).toLongLong()));
    if (now == nullptr || !*now || preset == nullptr) return;
    setLevels(levelsOf(**now, *preset), true);
}

void SpectrumStage::keepAsPreset() {
    const auto* run = session().run();
    const auto* now = mix();
    if (run == nullptr || now == nullptr || !*now) return session().warn(tr("There is no mix to keep."));
    bool accepted = false;
    const QString name = QInputDialog::getText(this, tr("Keep this mix"), tr("Name of the preset"),
                                               QLineEdit::Normal, {}, &accepted)
                             .trimmed();
    if (!accepted || name.isEmpty()) return;
    auto fixture = *byId(session().bench().fixtures, run->fixture);
    Preset preset;
    preset.name = name.toStdString();
    for (std::size_t c = 0; c < levels_.size(); ++c)
        if (levels_[c] > 0.0)
            preset.levels.push_back({0, (*now)->channels[c].channel, std::round(levels_[c] * 1000.0) / 10.0});
    for (const auto& known : fixture.presets)
        if (sameName(known.name, preset.name))
            return session().warn(tr("There is a preset called %1 already.").arg(name));
    fixture.presets.push_back(std::move(preset));
    session().edit([&](Project& project) { return project.save(fixture); });
}

void SpectrumStage::bestMix() {
    const auto* now = mix();
    if (now == nullptr || !*now) return session().warn(tr("There is no mix to set."));
    std::vector<std::string> names;
    std::vector<LitPoints> lit;
    for (const auto& channel : (*now)->channels) {
        names.push_back(channel.name);
        lit.push_back({channel.points, {}});
    }
    const auto best = channelMix(names, lit, session().goal());
    if (best.level_pct.size() != levels_.size()) return session().say(text(best.reason, session().unit()));
    std::vector<double> levels;
    for (const double percent : best.level_pct) levels.push_back(percent / 100.0);
    setLevels(std::move(levels), true);
    session().say(text(best.reason, session().unit()));
}

void SpectrumStage::addSpectra() {
    const auto* fixture = shownFixture();
    if (fixture == nullptr)
        return session().warn(tr("Describe a fixture in Bench first: spectra belong to it."));
    const auto paths = QFileDialog::getOpenFileNames(
        this, tr("Spectra of %1").arg(text(fixture->name)), {},
        tr("Spectra (*.csv *.tsv *.txt *.spdx *.xml *.jdx *.dx *.jcamp);;All files (*)"));
    if (paths.isEmpty()) return;
    SpectraDialog dialog(session(), *fixture, paths, this);
    if (!dialog.fault().isEmpty()) return session().warn(dialog.fault());
    if (dialog.exec() != QDialog::Accepted) return;
    const auto records = dialog.records();
    const QString fault = session().edit([&](Project& project) {
        return project.addSpectra(records, tr("%n spectra", nullptr, static_cast<int>(records.size())));
    });
    if (fault.isEmpty()) session().say(tr("%n spectra kept", nullptr, static_cast<int>(records.size())));
}

void SpectrumStage::readSpectra() {
    const auto* fixture = shownFixture();
    if (fixture == nullptr)
        return session().warn(tr("Describe a fixture in Bench first: spectra belong to it."));
    ScanDialog(session(), *fixture, this).exec();
}

void SpectrumStage::correctMeter() {
    const auto* run = session().run();
    const auto* now = mix();
    const auto* meter = run == nullptr ? nullptr : byId(session().bench().meters, run->meter);
    if (meter == nullptr || now == nullptr || !*now)
        return session().warn(tr("There is no meter or no mix."));
    // Of the mix that the run was set to, whatever the mixer shows.
    const auto& set_to = (*now)->set_to;
    const auto state = (*now)->mix.at(set_to);
    auto made = state.light ? correctionByResponse(*meter, (*now)->mix.spectrumAt(set_to), state.assumed,
                                                   presetName(session().bench(), *run))
                            : std::nullopt;
    if (!made)
        return session().warn(
            tr("%1 has no response stated, or the mix no spectrum.").arg(text(meter->name)));
    made->time = session().now().toStdString();
    auto changed = *meter;
    std::erase_if(changed.corrections, [&](const MeterCorrection& c) { return c.channel == made->channel; });
    changed.corrections.push_back(*made);
    const QString fault = session().edit([&](Project& project) { return project.save(changed); });
    if (fault.isEmpty())
        session().say(
            tr("From now on readings of %1 by %2 are multiplied by %3; raw values stay beside them.")
                .arg(text(made->channel), text(changed.name))
                .arg(made->factor, 0, 'f', 3));
}

void SpectrumStage::exportSpectra() {
    const QString folder = QFileDialog::getExistingDirectory(this, tr("Spectra to a folder"));
    if (!folder.isEmpty()) writeSpectra(folder);
}

void SpectrumStage::writeSpectra(const QString& folder) {
    const auto* fixture = shownFixture();
    if (fixture == nullptr)
        return session().warn(tr("Describe a fixture in Bench first: spectra belong to it."));
    std::vector<EditionFile> files;
    int count = 0;
    for (const auto& record : session().bench().spectra) {
        if (record.fixture != fixture->id) continue;
        const QString name = fileNameOf(*fixture, record, ++count);
        const NamedSpectrum one{name.toStdString(), record.scale, record.spectrum};
        for (const auto& [end, bytes] :
             {std::pair{".csv", writeSpectrumTable({one})}, std::pair{".spdx", writeTm27(one)},
              std::pair{".jdx", writeJcamp(one)}})
            files.push_back({name + QLatin1String(end), QByteArray::fromStdString(bytes)});
    }
    if (files.empty()) return session().warn(tr("%1 has no spectra yet.").arg(text(fixture->name)));
    const auto done = writeEdition(folder, files);
    done ? session().say(tr("%n spectra written to %1", nullptr, count).arg(folder))
         : session().warn(text(done.error()));
}

void SpectrumStage::editBands() {
    bool accepted = false;
    const QString typed = QInputDialog::getMultiLineText(
        this, tr("Bands of the spectrum"),
        tr("Names and spans in nm, with commas; nothing brings the ready ones back"),
        text(bandsText(bandsOr(session().bench().method.bands))), &accepted);
    if (!accepted) return;
    auto bands = parseBands(QString(typed).replace(QLatin1Char('\n'), QLatin1Char(',')).toStdString());
    if (!bands) return session().warn(text(bands.error()));
    if (*bands == standardBands()) bands->clear();
    session().changeMethod([&](Method& m) { m.bands = *bands; });
}

void SpectrumStage::nextPage() {
    pages_->button(day() ? 0 : 1)->click();
    refresh();
    // Keys go on to the stage, and not into the first field that happens to be there.
    keyWidget()->setFocus();
}

void SpectrumStage::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_D && event->modifiers() == Qt::NoModifier) return nextPage();
    Stage::keyPressEvent(event);
}

void SpectrumStage::refresh() {
    light_page_->setVisible(!day());
    day_->setVisible(day());
    for (QWidget* widget : {static_cast<QWidget*>(against_), static_cast<QWidget*>(scale_)})
        widget->setVisible(!day());
    session().wantChannelFits();
    takeLevels();
    const auto* now = mix();
    if (day()) {
        title_->setText(tr("Its day"));
        return day_->refresh(now != nullptr && *now ? &**now : nullptr);
    }
    fillChoices();
    fillPresets();
    const bool there = now != nullptr && *now;
    for (QWidget* widget :
         {static_cast<QWidget*>(presets_), static_cast<QWidget*>(keep_), static_cast<QWidget*>(best_),
          static_cast<QWidget*>(mixer_), static_cast<QWidget*>(here_)})
        widget->setVisible(there);
    if (!there) {
        edge_->hide();
        deep_->hide();
    }
    refreshMixer();
    refreshOutcome();
    refreshBlending();
    refreshPlot();
}

std::vector<Finding> SpectrumStage::findings() const {
    if (day()) return day_->findings();
    const auto* run = session().run();
    const auto* now = mix();
    SpectrumQuestion question;
    question.run = run;
    question.plane = session().plane();
    question.mix = now != nullptr && *now ? &**now : nullptr;
    question.levels = levels_;
    question.band = session().band();
    if (run == nullptr)
        return {
            finding(FindingKind::Next, asWords(tr("Read a run")),
                    asWords(tr("With readings the mix has its light, its watts and its share in the band.")),
                    EvidenceView::Plan)};
    return spectrumFindings(session().bench(), question, tests());
}

}  // namespace glumet
