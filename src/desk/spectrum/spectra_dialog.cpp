#include "desk/spectrum/spectra_dialog.h"

#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

#include "core/spectrum/bands.h"
#include "core/spectrum/shape.h"
#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "files/file_reader.h"
#include "report/text.h"

namespace glumet {
namespace {

/// What a spectrum belongs to, in a combo: channels count up from 1, presets down from −1, 0 is all on.
constexpr qlonglong kAllOn = 0;

QString peaksText(const Spectrum& spectrum) {
    QStringList peaks;
    for (const auto& peak : peaksOf(spectrum)) peaks << QString::number(qRound(peak.nm));
    return peaks.mid(0, 4).join(QStringLiteral(", "));
}

}  // namespace

SpectraDialog::SpectraDialog(Session& session, const Fixture& fixture, const QStringList& paths,
                             QWidget* parent)
    : ScrolledDialog(parent, {720, 520}),
      session_(session),
      fixture_(fixture),
      // The dialog's own: of a file that is refused nothing is laid out.
      table_(new QTableWidget(this)),
      unit_(new QComboBox(this)),
      use_(new QComboBox(this)),
      test_(new QLineEdit(tr("nine points in air"), this)),
      columns_(new QLineEdit(this)),
      pitch_(new QLineEdit(this)),
      height_(new QLineEdit(this)),
      wrong_(makeLabel({}, TextRole::Problem, this)),
      keep_(new QPushButton(tr("Keep the spectra"), this)) {
    setWindowTitle(tr("Spectra of %1").arg(text(fixture.name)));
    read(paths);
    if (fault_.isEmpty()) layOut();
}

void SpectraDialog::read(const QStringList& paths) {
    for (const auto& path : paths) {
        const auto bytes = readFile(path, limits::kSpectrumBytes);
        const auto spectra =
            bytes ? readSpectra(std::string_view(bytes->constData(), static_cast<std::size_t>(bytes->size())))
                  : FileSpectra(tl::make_unexpected(bytes.error()));
        if (!spectra) {
            fault_ = tr("%1: %2").arg(QFileInfo(path).fileName(), text(spectra.error()));
            return;
        }
        for (const auto& one : *spectra) rows_.push_back({QFileInfo(path).completeBaseName(), one, nullptr});
    }
    if (rows_.size() > 500) fault_ = tr("These are %1 spectra: take 500 at a time.").arg(rows_.size());
}

QComboBox* SpectraDialog::makeBelongs(const QString& name) {
    auto* combo = new QComboBox;
    for (const auto& channel : fixture_.channels)
        combo->addItem(text(channel.name), static_cast<qlonglong>(channel.id));
    combo->addItem(tr("all channels on"), kAllOn);
    for (const auto& preset : fixture_.presets)
        combo->addItem(tr("preset %1").arg(text(preset.name)), -static_cast<qlonglong>(preset.id));
    // A file that is called like a channel is that channel's.
    int best = static_cast<int>(fixture_.channels.size());
    qsizetype longest = 0;
    for (std::size_t i = 0; i < fixture_.channels.size(); ++i) {
        const auto channel = text(fixture_.channels[i].name);
        if (channel.size() > longest && name.contains(channel, Qt::CaseInsensitive)) {
            best = static_cast<int>(i);
            longest = channel.size();
        }
    }
    combo->setCurrentIndex(best);
    combo->setAccessibleName(tr("%1 belongs to").arg(name));
    return combo;
}

/// The files' spectra, one row each; what was noticed about them.
QStringList SpectraDialog::fillTable() {
    table_->setColumnCount(4);
    table_->setHorizontalHeaderLabels({tr("spectrum"), tr("range, nm"), tr("peaks, nm"), tr("belongs to")});
    table_->setRowCount(static_cast<int>(rows_.size()));
    table_->verticalHeader()->hide();
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table_->horizontalHeader()->setStretchLastSection(true);
    table_->setTabKeyNavigation(false);
    table_->setAccessibleName(tr("Spectra in the files"));
    QStringList notices;
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        auto& row = rows_[i];
        const QString name = row.read.name.empty() ? row.file : text(row.read.name);
        const QStringList cells{
            name,
            QStringLiteral("%1–%2").arg(row.read.wavelength_nm.front()).arg(row.read.wavelength_nm.back()),
            peaksText(row.read.spectrum())};
        for (int c = 0; c < cells.size(); ++c)
            table_->setItem(static_cast<int>(i), c, new QTableWidgetItem(cells[c]));
        row.belongs = makeBelongs(name);
        row.belongs->setObjectName(QStringLiteral("belongs_%1").arg(i));
        table_->setCellWidget(static_cast<int>(i), 3, row.belongs);
        for (const auto& notice : row.read.notices)
            notices << tr("%1: %2").arg(name, text(notice.what, LengthUnit::Mm));
    }
    return notices;
}

bool SpectraDialog::asksUnit() const {
    return std::any_of(rows_.begin(), rows_.end(), [](const Row& row) { return !row.read.unit; });
}

/// What the files do not say.
QFormLayout* SpectraDialog::makeForm() {
    unit_->addItems({tr("say which …"), tr("power (W)"), tr("photons (µmol)")});
    use_->addItems({tr("spectra of channels or mixes"),
                    tr("points of a blending test, row by row from the back left"),
                    tr("moments at one place, under moving water")});
    columns_->setText(QString::number(qRound(std::sqrt(static_cast<double>(rows_.size())))));
    pitch_->setText(session_.length(Millimetre(200)));
    auto* form = new QFormLayout;
    const auto row = [&](const QString& name, QWidget* field, const char* object_name) {
        field->setAccessibleName(name);
        field->setObjectName(QLatin1String(object_name));
        form->addRow(makeLabel(name, TextRole::Muted), field);
    };
    if (asksUnit()) row(tr("The files do not say whether values are"), unit_, "spectraUnit");
    unit_->setVisible(asksUnit());
    row(tr("They are"), use_, "spectraUse");
    row(tr("Name of the test"), test_, "testName");
    row(tr("Points in a row"), columns_, "testColumns");
    row(tr("Distance between points"), pitch_, "testPitch");
    row(tr("Emitters above the sensor"), height_, "spectraHeight");
    return form;
}

void SpectraDialog::layOut() {
    const auto notices = fillTable();
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 20, 22, 12);
    layout->setSpacing(12);
    layout->addWidget(table_, 1);
    if (!notices.isEmpty()) {
        auto* said = makeLabel(notices.mid(0, 6).join(QLatin1Char('\n')), TextRole::Accent);
        said->setObjectName(QStringLiteral("spectraNotices"));
        said->setWordWrap(true);
        layout->addWidget(said);
    }
    layout->addLayout(makeForm());
    auto* buttons = new QHBoxLayout;
    auto* cancel = new QPushButton(tr("Cancel"));
    keep_->setProperty("primary", true);
    keep_->setDefault(true);
    keep_->setObjectName(QStringLiteral("keepSpectra"));
    wrong_->setWordWrap(true);
    buttons->addWidget(wrong_, 1);
    buttons->addWidget(cancel);
    buttons->addWidget(keep_);
    addFoot(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(keep_, &QPushButton::clicked, this, &QDialog::accept);
    connect(unit_, &QComboBox::currentIndexChanged, this, &SpectraDialog::check);
    connect(use_, &QComboBox::currentIndexChanged, this, [this] {
        if (use_->currentIndex() == 2 && test_->text() == tr("nine points in air"))
            test_->setText(tr("moving water"));
        check();
    });
    for (auto* edit : {test_, columns_, pitch_, height_})
        connect(edit, &QLineEdit::textChanged, this, &SpectraDialog::check);
    check();
}

void SpectraDialog::check() {
    const int columns = columns_->text().toInt();
    QString why;
    if (asksUnit() && unit_->currentIndex() == 0)
        why = tr("Say whether the values are power or photons.");
    else if (use_->currentIndex() > 0 && test_->text().trimmed().isEmpty())
        why = tr("A test needs a name.");
    else if (use_->currentIndex() > 0 && rows_.size() < 3)
        why = tr("A test needs three spectra or more.");
    else if (isTest() && (columns < 1 || columns > static_cast<int>(rows_.size())))
        why = tr("How many points stand in a row: a whole number.");
    else if (isTest() && !parseLength(pitch_->text().toStdString(), session_.unit()))
        why = tr("The distance between points is a length.");
    else if (!height_->text().trimmed().isEmpty() &&
             !parseLength(height_->text().toStdString(), session_.unit()))
        why = tr("The height above the sensor is a length, or nothing.");
    wrong_->setText(why);
    keep_->setEnabled(why.isEmpty());
    for (auto* field : {test_, columns_, pitch_}) field->setEnabled(use_->currentIndex() > 0);
    for (auto* field : {columns_, pitch_}) field->setEnabled(isTest());
    for (auto& row : rows_) row.belongs->setEnabled(use_->currentIndex() == 0);
}

std::vector<SpectrumRecord> SpectraDialog::records() const {
    std::vector<SpectrumRecord> out;
    const auto assumed = unit_->currentIndex() == 2 ? SpectralUnit::MicromolePerSquareMetreSecond
                                                    : SpectralUnit::WattPerSquareMetre;
    const int columns = std::max(1, columns_->text().toInt());
    const auto pitch = parseLength(pitch_->text().toStdString(), session_.unit()).value_or(Millimetre(0));
    const int rows = (static_cast<int>(rows_.size()) + columns - 1) / columns;
    for (std::size_t i = 0; i < rows_.size(); ++i) {
        const auto& row = rows_[i];
        SpectrumRecord record;
        record.name = row.read.name.empty() ? row.file.toStdString() : row.read.name;
        record.fixture = fixture_.id;
        record.height = parseLength(height_->text().toStdString(), session_.unit());
        record.scale = row.read.scale;
        record.spectrum = row.read.spectrum(assumed);
        record.time = session_.now().toStdString();
        const auto belongs = row.belongs->currentData().toLongLong();
        if (use_->currentIndex() == 0) {
            if (belongs > 0) record.channel = belongs;
            if (belongs < 0) record.preset = -belongs;
        } else {
            record.test = test_->text().trimmed().toStdString();
        }
        if (isTest()) {
            const int column = static_cast<int>(i) % columns;
            const int line = static_cast<int>(i) / columns;
            record.x = pitch * (column - 0.5 * (columns - 1));
            record.y = pitch * (0.5 * (rows - 1) - line);
        }
        out.push_back(std::move(record));
    }
    return out;
}

}  // namespace glumet
