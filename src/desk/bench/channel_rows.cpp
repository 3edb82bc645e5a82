#include "desk/bench/channel_rows.h"

#include <QPainter>
#include <QRegularExpression>

#include "core/spectrum/generic_spectra.h"
#include "core/verdicts/channel_mix.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kShareWidth = 50;
constexpr int kBarWidth = 22;
constexpr int kPeaksWidth = 66;
constexpr int kPresetName = 118;

QString percentOf(const std::optional<double>& share) {
    return share ? text(percentText(*share)) : QString();
}

}  // namespace

QString presetLevelsText(const Fixture& fixture, const Preset& preset) {
    QStringList levels;
    for (const auto& level : preset.levels)
        if (const auto* channel = byId(fixture.channels, level.channel))
            levels << QStringLiteral("%1 %2").arg(text(channel->name)).arg(level.level_pct);
    return levels.join(QStringLiteral(", "));
}

QString takePresetLevels(const Fixture& fixture, const QString& typed, Preset& preset) {
    std::vector<PresetLevel> levels;
    static const QRegularExpression level(QStringLiteral("^\\s*(.+?)\\s+(\\d+(?:\\.\\d+)?)\\s*%?\\s*$"));
    for (const auto& piece : typed.split(QLatin1Char(','), Qt::SkipEmptyParts)) {
        const auto match = level.match(piece);
        const auto name = match.captured(1).toStdString();
        const auto at = std::find_if(fixture.channels.begin(), fixture.channels.end(),
                                     [&](const Channel& c) { return c.name == name; });
        const double percent = match.captured(2).toDouble();
        if (!match.hasMatch() || at == fixture.channels.end() || percent > 100.0)
            return ChannelRows::tr("\"%1\" is not a channel of this fixture and its level, such as %2 50.")
                .arg(piece.trimmed(), fixture.channels.empty() ? ChannelRows::tr("deep red")
                                                               : text(fixture.channels.front().name));
        levels.push_back({0, at->id, percent});
    }
    preset.levels = std::move(levels);
    return {};
}

ChannelRows::ChannelRows(Session& session, Shown shown, Keep keep)
    : session_(session),
      shown_(std::move(shown)),
      keep_(std::move(keep)),
      grid_(new QGridLayout),
      preset_grid_(new QGridLayout),
      light_head_(makeLabel(tr("light"), TextRole::Muted)),
      watts_head_(makeLabel(tr("watts"), TextRole::Muted)),
      peaks_head_(makeLabel(tr("peaks, nm"), TextRole::Muted)) {
    setObjectName(QStringLiteral("formColumn"));
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 6, 0, 4);
    layout->setSpacing(4);
    layout->addLayout(grid_);
    layout->addLayout(preset_grid_);
    preset_grid_->setHorizontalSpacing(8);
    preset_grid_->setVerticalSpacing(1);
    preset_grid_->setColumnStretch(1, 1);
    grid_->setHorizontalSpacing(8);
    grid_->setVerticalSpacing(1);
    grid_->setColumnStretch(0, 1);
    grid_->setColumnMinimumWidth(2, kBarWidth);
    grid_->addWidget(light_head_, 0, 1, 1, 2);
    grid_->addWidget(watts_head_, 0, 3);
    grid_->addWidget(peaks_head_, 0, 4);
    connect(&session, &Session::settling, this, [this] {
        for (auto* field : findChildren<QLineEdit*>())
            if (field->isModified()) emit field->editingFinished();
    });
}

QLineEdit* ChannelRows::makeShare(const char* name, std::size_t index,
                                  std::optional<double> Channel::*share) {
    auto* field = new QLineEdit;
    field->setObjectName(QStringLiteral("%1_%2").arg(QLatin1String(name)).arg(index));
    field->setFixedWidth(kShareWidth);
    field->setAlignment(Qt::AlignRight);
    field->setPlaceholderText(QStringLiteral("–"));
    field->setToolTip(tr("not stated: taken as of the whole fixture"));
    connect(field, &QLineEdit::editingFinished, this,
            [this, field, index, share] { takeShare(field, index, share); });
    return field;
}

QLineEdit* ChannelRows::makePeaks(std::size_t index) {
    auto* field = new QLineEdit;
    field->setObjectName(QStringLiteral("channelPeaks_%1").arg(index));
    field->setFixedWidth(kPeaksWidth);
    connect(field, &QLineEdit::editingFinished, this, [this, field, index] { takePeaks(field, index); });
    return field;
}

/// What was stated; where it was measured, that; else what such a channel usually is, faint.
void ChannelRows::refreshPeaks(QLineEdit& field, const Channel& channel) {
    const auto standing = spectrumOf(session_.bench(), shown_().id, channel);
    const bool measured = standing.record != nullptr && !standing.assumed;
    const auto usual = usualBins(channel.name);
    field.setReadOnly(measured);
    field.setPlaceholderText(measured        ? QString()
                             : usual.empty() ? QStringLiteral("450/20")
                                             : text(binsText(usual)));
    field.setToolTip(
        measured ? tr("Spectrum shows it. What is measured goes before stated peaks.")
                 : tr("Peak and width of each diode, 450/20; several as 450/20 0.3, 560/120 0.7. Taken for "
                      "an assumption until a spectrum is measured."));
    if (field.isModified()) return;
    field.setText(measured && standing.record->origin == SpectrumOrigin::Read ? tr("read")
                  : measured                                                  ? tr("file")
                  : standing.record != nullptr                                ? text(standing.record->note)
                                                                              : QString());
}

/// Stated peaks are a spectrum that is assumed.
void ChannelRows::takePeaks(QLineEdit* field, std::size_t index) {
    if (!field->isModified()) return;
    field->setModified(false);
    const auto& channels = shown_().channels;
    if (index >= channels.size()) return;
    const auto& channel = channels[index];
    const auto standing = spectrumOf(session_.bench(), shown_().id, channel);
    const QString typed = field->text().trimmed();
    if (typed.isEmpty()) {
        if (standing.record != nullptr)
            session_.edit(
                [id = standing.record->id](Project& project) { return project.removeSpectra({id}); });
        return refresh();
    }
    const auto bins = parseBins(typed.toStdString());
    if (!bins) {
        session_.warn(text(bins.error()));
        return refresh();
    }
    auto record = standing.record != nullptr ? *standing.record : SpectrumRecord{};
    record.name = channel.name;
    record.fixture = shown_().id;
    record.channel = channel.id;
    record.origin = SpectrumOrigin::Assumed;
    record.spectrum = ledSpectrum(*bins);
    record.note = binsText(*bins);
    session_.edit([&](Project& project) { return project.save(record); });
    refresh();
}

ChannelRows::Row& ChannelRows::rowOf(std::size_t index) {
    while (rows_.size() <= index) {
        const auto at = rows_.size();
        rows_.push_back({makeLabel({}, TextRole::Body), makeShare("channelLight", at, &Channel::flux_share),
                         makeShare("channelWatts", at, &Channel::power_share), makePeaks(at)});
        const int row = static_cast<int>(at) + 1;
        grid_->addWidget(rows_.back().name, row, 0);
        grid_->addWidget(rows_.back().light, row, 1);
        grid_->addWidget(rows_.back().watts, row, 3);
        grid_->addWidget(rows_.back().peaks, row, 4);
    }
    return rows_[index];
}

void ChannelRows::refresh() {
    const auto& channels = shown_().channels;
    for (std::size_t i = 0; i < std::max(rows_.size(), channels.size()); ++i) {
        auto& row = rowOf(i);
        const bool there = i < channels.size();
        row.name->setVisible(there);
        row.light->setVisible(there);
        row.watts->setVisible(there);
        row.peaks->setVisible(there);
        if (!there) continue;
        const QString name = text(channels[i].name);
        row.name->setText(name);
        row.light->setAccessibleName(tr("%1, share of light").arg(name));
        row.watts->setAccessibleName(tr("%1, share of the watts").arg(name));
        if (!row.light->isModified()) row.light->setText(percentOf(channels[i].flux_share));
        if (!row.watts->isModified()) row.watts->setText(percentOf(channels[i].power_share));
        row.peaks->setAccessibleName(tr("%1, peaks and widths in nm").arg(name));
        refreshPeaks(*row.peaks, channels[i]);
    }
    for (auto* head : {light_head_, watts_head_, peaks_head_}) head->setVisible(!channels.empty());
    refreshPresets();
    update();
}

QLineEdit* ChannelRows::presetField(std::size_t index) {
    while (presets_.size() <= index) {
        const auto at = presets_.size();
        auto* field = new QLineEdit;
        field->setObjectName(QStringLiteral("preset_%1").arg(at));
        field->setPlaceholderText(tr("levels are not known"));
        connect(field, &QLineEdit::editingFinished, this, [this, field, at] { takePreset(field, at); });
        presets_.emplace_back(makeLabel({}, TextRole::Muted), field);
        presets_.back().first->setFixedWidth(kPresetName);
        preset_grid_->addWidget(presets_.back().first, static_cast<int>(at), 0);
        preset_grid_->addWidget(field, static_cast<int>(at), 1);
    }
    return presets_[index].second;
}

void ChannelRows::refreshPresets() {
    const auto& fixture = shown_();
    for (std::size_t i = 0; i < std::max(presets_.size(), fixture.presets.size()); ++i) {
        auto* field = presetField(i);
        const bool there = i < fixture.presets.size() && !fixture.channels.empty();
        field->setVisible(there);
        presets_[i].first->setVisible(there);
        if (!there) continue;
        const auto& preset = fixture.presets[i];
        auto* name = presets_[i].first;
        name->setText(name->fontMetrics().elidedText(text(preset.name), Qt::ElideRight, kPresetName));
        name->setToolTip(text(preset.name));
        field->setAccessibleName(tr("Levels of the preset %1, %").arg(text(preset.name)));
        if (!field->isModified()) field->setText(presetLevelsText(fixture, preset));
    }
}

void ChannelRows::takeShare(QLineEdit* field, std::size_t index, std::optional<double> Channel::*share) {
    Fixture changed = shown_();
    if (!field->isModified() || index >= changed.channels.size()) return;
    field->setModified(false);
    auto& into = changed.channels[index].*share;
    const QString bare = QString(field->text()).remove(QLatin1Char('%')).trimmed();
    const auto percent = parseNumber(bare.toStdString());
    if (!bare.isEmpty() && (!percent || *percent < 0.0 || *percent > 100.0))
        session_.warn(tr("\"%1\" is not a share from 0 to 100 %.").arg(field->text()));
    else {
        into = bare.isEmpty() ? std::nullopt : std::optional(*percent / 100.0);
        const QString fault = keep_(changed);
        if (!fault.isEmpty()) session_.warn(fault);
    }
    refresh();
}

void ChannelRows::takePreset(QLineEdit* field, std::size_t index) {
    Fixture changed = shown_();
    if (!field->isModified() || index >= changed.presets.size()) return;
    const QString fault = takePresetLevels(changed, field->text(), changed.presets[index]);
    if (!fault.isEmpty()) return session_.warn(fault);  // the text stays to be mended
    field->setModified(false);
    const QString failed = keep_(changed);
    if (!failed.isEmpty()) session_.warn(failed);
    refresh();
}

void ChannelRows::paintEvent(QPaintEvent* /*event*/) {
    QPainter p(this);
    const auto& channels = shown_().channels;
    for (std::size_t i = 0; i < std::min(rows_.size(), channels.size()); ++i) {
        if (!channels[i].flux_share) continue;
        const QRect beside = rows_[i].light->geometry();
        const QRect all(beside.right() + 8, beside.center().y() - 4, kBarWidth, 8);
        p.setPen(Qt::NoPen);
        p.setBrush(session_.palette().raised);
        p.drawRoundedRect(all, 3, 3);
        p.setBrush(session_.palette().water);
        p.drawRoundedRect(QRectF(all.left(), all.top(), all.width() * *channels[i].flux_share, all.height()),
                          3, 3);
    }
}

}  // namespace glumet
