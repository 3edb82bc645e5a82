#include "desk/spectrum/scan_dialog.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <cmath>

#include "core/spectrum/bands.h"
#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {

ScanDialog::ScanDialog(Session& session, const Fixture& fixture, QWidget* parent)
    : ScrolledDialog(parent, {760, 620}),
      session_(session),
      fixture_(fixture),
      plot_(new SpectrumPlot),
      count_(new QSpinBox),
      integration_(new QSpinBox),
      use_(new QComboBox),
      belongs_(new QComboBox),
      test_(new QLineEdit(tr("nine points in air"))),
      columns_(new QSpinBox),
      pitch_(new QLineEdit(session.length(Millimetre(200)))),
      height_(new QLineEdit),
      dark_button_(new QPushButton(tr("Dark"))),
      read_button_(new QPushButton(tr("Read"))),
      keep_button_(new QPushButton(tr("Keep"))),
      state_(makeLabel({}, TextRole::Body)),
      fault_(makeLabel({}, TextRole::Problem)) {
    setWindowTitle(tr("Read spectra of %1").arg(text(fixture.name)));
    layOut();
    auto* meter = session.meter();
    if (meter != nullptr) {
        connect(meter, &Meter::sampled, this, &ScanDialog::takeScan);
        meter->start();
        started_ = true;
    }
    SpectrumFigure nothing;
    nothing.empty = tr("What the spectrometer sends appears here.");
    plot_->setFigure(std::move(nothing), session.palette());
    say();
}

ScanDialog::~ScanDialog() {
    if (started_ && session_.meter() != nullptr) session_.meter()->stop();
}

/// How scans are averaged, and what they are kept as.
QFormLayout* ScanDialog::makeForm() {
    count_->setRange(1, 200);
    count_->setValue(5);
    count_->setObjectName(QStringLiteral("scanCount"));
    integration_->setRange(1, 60'000);
    integration_->setValue(100);
    integration_->setSuffix(tr(" ms"));
    integration_->setKeyboardTracking(false);
    integration_->setObjectName(QStringLiteral("scanIntegration"));
    integration_->setEnabled(session_.meter() != nullptr && session_.meter()->takesIntegration());
    connect(integration_, &QSpinBox::valueChanged, this, &ScanDialog::setIntegration);
    columns_->setRange(1, 20);
    columns_->setValue(3);
    use_->addItems({tr("a channel or a mix"), tr("the next point of a blending test"),
                    tr("moments: each scan by itself")});
    use_->setObjectName(QStringLiteral("scanUse"));
    for (const auto& channel : fixture_.channels)
        belongs_->addItem(text(channel.name), static_cast<qlonglong>(channel.id));
    belongs_->addItem(tr("all channels on"), 0);
    for (const auto& preset : fixture_.presets)
        belongs_->addItem(tr("preset %1").arg(text(preset.name)), -static_cast<qlonglong>(preset.id));
    belongs_->setObjectName(QStringLiteral("scanBelongs"));
    test_->setObjectName(QStringLiteral("scanTest"));
    height_->setObjectName(QStringLiteral("scanHeight"));
    dark_button_->setObjectName(QStringLiteral("scanDark"));
    read_button_->setObjectName(QStringLiteral("scanRead"));
    keep_button_->setObjectName(QStringLiteral("scanKeep"));
    state_->setObjectName(QStringLiteral("scanState"));
    state_->setWordWrap(true);
    auto* form = new QFormLayout;
    for (const auto& [name, field] : {std::pair<QString, QWidget*>{tr("Scans averaged"), count_},
                                      {tr("Integration time"), integration_},
                                      {tr("Kept as"), use_},
                                      {tr("Belongs to"), belongs_},
                                      {tr("Name of the test"), test_},
                                      {tr("Points in a row"), columns_},
                                      {tr("Distance between points"), pitch_},
                                      {tr("Emitters above the sensor"), height_}}) {
        field->setAccessibleName(name);
        form->addRow(makeLabel(name, TextRole::Muted), field);
    }
    return form;
}

void ScanDialog::layOut() {
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 20, 22, 12);
    layout->setSpacing(10);
    auto* caution = makeLabel(
        tr("Never look into the emitters; wear eye protection where violet or UV is on."), TextRole::Muted);
    caution->setWordWrap(true);
    layout->addWidget(caution);
    layout->addWidget(plot_, 1);
    layout->addWidget(state_);
    layout->addLayout(makeForm());
    auto* buttons = new QHBoxLayout;
    auto* close = new QPushButton(tr("Close"));
    read_button_->setProperty("primary", true);
    read_button_->setDefault(true);
    fault_->setWordWrap(true);
    buttons->addWidget(fault_, 1);
    for (auto* button : {dark_button_, read_button_, keep_button_, close}) buttons->addWidget(button);
    addFoot(buttons);
    connect(close, &QPushButton::clicked, this, &QDialog::accept);
    connect(dark_button_, &QPushButton::clicked, this, [this] { begin(Gathering::Dark); });
    connect(read_button_, &QPushButton::clicked, this, [this] { begin(Gathering::Light); });
    connect(keep_button_, &QPushButton::clicked, this, &ScanDialog::keep);
    connect(use_, &QComboBox::currentIndexChanged, this, [this] {
        if (use() == Use::Moments && test_->text() == tr("nine points in air"))
            test_->setText(tr("moving water"));
        say();
    });
    connect(test_, &QLineEdit::textChanged, this, &ScanDialog::say);
}

/// What was gathered before is of another time: dark and light alike.
void ScanDialog::setIntegration() {
    auto* meter = session_.meter();
    if (meter == nullptr || !meter->setIntegration(integration_->value()))
        return fault_->setText(tr("The spectrometer was not told: it is not connected."));
    fault_->clear();
    gathering_ = Gathering::Nothing;
    scans_.clear();
    dark_ = {};
    average_.reset();
    moments_.clear();
    say();
}

void ScanDialog::begin(Gathering what) {
    gathering_ = what;
    scans_.clear();
    if (what == Gathering::Light) {
        average_.reset();
        moments_.clear();
    }
    say();
}

void ScanDialog::takeScan() {
    const auto sample = session_.meter() == nullptr ? std::nullopt : session_.meter()->spectrum();
    if (deaf_ == sample.has_value()) {
        deaf_ = !sample;
        say();
    }
    if (!sample) return;
    const auto scan = spectrumOf(*sample);
    if (gathering_ == Gathering::Nothing) {
        if (!average_) plot(scan);
        return;
    }
    scans_.push_back(scan);
    if (static_cast<int>(scans_.size()) >= count_->value()) finishGathering();
    say();
}

void ScanDialog::finishGathering() {
    const auto made = averageOf(scans_, gathering_ == Gathering::Light ? dark_ : Spectrum{});
    const auto what = gathering_;
    gathering_ = Gathering::Nothing;
    fault_->clear();
    if (!made) {
        fault_->setText(text(made.error()));
        return;
    }
    if (what == Gathering::Dark) {
        dark_ = made->spectrum;
        return;
    }
    average_ = *made;
    for (const auto& scan : scans_)
        if (const auto one = averageOf({scan}, dark_)) moments_.push_back(one->spectrum);
    plot(average_->spectrum);
}

void ScanDialog::plot(const Spectrum& spectrum) {
    SpectrumFigure figure;
    figure.main = SpectrumFigure::Line{{}, spectrum};
    figure.peaks = peaksOf(spectrum);
    figure.bands = bandsOr(session_.bench().method.bands);
    figure.shares = bandShares(spectrum, figure.bands);
    plot_->setFigure(std::move(figure), session_.palette());
}

SpectrumRecord ScanDialog::blank() const {
    SpectrumRecord record;
    record.fixture = fixture_.id;
    record.origin = SpectrumOrigin::Read;
    record.scale = SpectralScale::Absolute;
    record.height = parseLength(height_->text().toStdString(), session_.unit());
    record.time = session_.now().toStdString();
    return record;
}

int ScanDialog::pointsKept() const {
    int kept = 0;
    for (const auto& record : session_.bench().spectra)
        kept += record.fixture == fixture_.id && record.test == test_->text().trimmed().toStdString() ? 1 : 0;
    return kept;
}

void ScanDialog::keep() {
    if (!average_) return;
    if (use() == Use::Moments) return keepMoments();
    auto record = blank();
    record.spectrum = average_->spectrum;
    record.sd_share = average_->sd_share;
    if (average_->saturated) record.note = "may be saturated";
    if (use() == Use::Channel) {
        const auto belongs = belongs_->currentData().toLongLong();
        record.name = belongs_->currentText().toStdString();
        if (belongs > 0) record.channel = belongs;
        if (belongs < 0) record.preset = -belongs;
    } else {
        const auto pitch = parseLength(pitch_->text().toStdString(), session_.unit());
        if (!pitch || test_->text().trimmed().isEmpty()) {
            fault_->setText(tr("A test needs a name and a distance between its points."));
            return;
        }
        const int at = pointsKept();
        const int columns = columns_->value();
        record.test = test_->text().trimmed().toStdString();
        record.name = tr("point %1").arg(at + 1).toStdString();
        record.x = *pitch * (at % columns - 0.5 * (columns - 1));
        record.y = *pitch * (0.5 * (columns - 1) - static_cast<double>(at / columns));
    }
    const QString fault = session_.edit([&](Project& project) { return project.save(record); });
    fault_->setText(fault);
    if (fault.isEmpty()) average_.reset();
    say();
}

void ScanDialog::keepMoments() {
    if (test_->text().trimmed().isEmpty()) return fault_->setText(tr("A test needs a name."));
    std::vector<SpectrumRecord> records;
    for (std::size_t i = 0; i < moments_.size(); ++i) {
        auto record = blank();
        record.test = test_->text().trimmed().toStdString();
        record.name = tr("moment %1").arg(i + 1).toStdString();
        record.spectrum = moments_[i];
        records.push_back(std::move(record));
    }
    const QString fault =
        session_.edit([&](Project& project) { return project.addSpectra(records, tr("moments")); });
    fault_->setText(fault);
    if (fault.isEmpty()) average_.reset();
    say();
}

void ScanDialog::say() {
    const auto* meter = session_.meter();
    const bool there = meter != nullptr;
    dark_button_->setEnabled(there && !deaf_ && gathering_ == Gathering::Nothing);
    read_button_->setEnabled(there && !deaf_ && gathering_ == Gathering::Nothing);
    keep_button_->setEnabled(average_.has_value());
    belongs_->setEnabled(use() == Use::Channel);
    test_->setEnabled(use() != Use::Channel);
    for (QWidget* field : {static_cast<QWidget*>(columns_), static_cast<QWidget*>(pitch_)})
        field->setEnabled(use() == Use::Point);
    QString words;
    if (!there)
        words = tr("No spectrometer: set one up under Instruments (Ctrl+L).");
    else if (deaf_)
        words = tr("%1 gives no spectra: use a spectrometer (Instruments, Ctrl+L).").arg(meter->name());
    else if (gathering_ != Gathering::Nothing)
        words = tr("%1 of %2 scans …").arg(scans_.size()).arg(count_->value());
    else if (average_)
        words =
            tr("%n scans, %1 µmol·m⁻²·s⁻¹, swing ±%2%3%4", nullptr, average_->scans)
                .arg(text(ppfdFigure(Ppfd(parOf(average_->spectrum)))), text(percentText(average_->sd_share)),
                     dark_.empty() ? tr(", dark not subtracted") : tr(", dark subtracted"),
                     average_->saturated ? tr(". Flat at its top: saturated? Shorten the integration time.")
                                         : QString());
    else
        words = dark_.empty() ? tr("Cover the sensor and press Dark, then uncover it and press Read.")
                              : tr("Dark kept. Read the light.");
    if (there && use() == Use::Point) words += QLatin1Char(' ') + tr("Next: point %1.").arg(pointsKept() + 1);
    state_->setText(words);
}

}  // namespace glumet
