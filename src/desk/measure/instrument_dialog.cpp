#include "desk/measure/instrument_dialog.h"
#include "desk/measure/arrived_lines.h"
#include "desk/measure/take_instrument.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "meters/line_meter.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kPreviewLines = 200;

InstrumentProfile freshProfile(int number) {
    InstrumentProfile profile;
    profile.name = InstrumentDialog::tr("Instrument %1").arg(number);
    profile.place = serialPorts().value(0);
    return profile;
}

QSpinBox* makeSpin(int low, int high, int value, const char* name) {
    auto* spin = new QSpinBox;
    spin->setRange(low, high);
    spin->setValue(value);
    spin->setObjectName(QLatin1String(name));
    spin->setButtonSymbols(QAbstractSpinBox::NoButtons);
    return spin;
}

/// For what instruments send and for patterns: the house font's round brackets look like square ones.
void dressAsCode(QWidget* widget) {
    widget->setStyleSheet(QStringLiteral("font-family: \"DejaVu Sans Mono\", monospace; font-size: 12px;"));
}

QLineEdit* makeEdit(const char* name) {
    auto* edit = new QLineEdit;
    edit->setObjectName(QLatin1String(name));
    return edit;
}

QComboBox* makeCombo(const QStringList& items, const char* name) {
    auto* combo = new QComboBox;
    combo->addItems(items);
    combo->setObjectName(QLatin1String(name));
    return combo;
}

}  // namespace

InstrumentDialog::InstrumentDialog(Session& session, const InstrumentStore& store, QWidget* parent)
    : ScrolledDialog(parent, {940, 600}), session_(session), store_(store) {
    setWindowTitle(tr("Instruments"));
    setObjectName(QStringLiteral("instrumentDialog"));
    auto* rows = new QVBoxLayout(body());
    rows->setContentsMargins(24, 18, 24, 8);
    rows->setSpacing(12);
    rows->addWidget(makeLabel(tr("Instruments"), TextRole::Title));
    auto* columns = new QHBoxLayout;
    columns->setSpacing(24);
    columns->addWidget(makeList());
    columns->addWidget(makeFields(), 1);
    columns->addWidget(makePreview(), 1);
    rows->addLayout(columns, 1);
    fault_ = makeLabel({}, TextRole::Problem);
    fault_->setObjectName(QStringLiteral("instrumentFault"));
    fault_->setMinimumHeight(20);
    rows->addWidget(fault_);
    auto* foot = new QHBoxLayout;
    foot->addStretch(1);
    auto* close = new QPushButton(tr("Close"));
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    auto* use_button = new QPushButton(tr("Use this instrument"));
    use_button->setProperty("primary", true);
    use_button->setObjectName(QStringLiteral("useInstrument"));
    connect(use_button, &QPushButton::clicked, this, &InstrumentDialog::use);
    foot->addWidget(close);
    foot->addWidget(use_button);
    addFoot(foot);
    const auto known = store_.load();
    if (known)
        profiles_ = *known;
    else
        fault_->setText(text(known.error()));
    if (profiles_.isEmpty()) profiles_ << freshProfile(1);
    for (const auto& profile : profiles_) list_->addItem(profile.name);
    connect(list_, &QListWidget::currentRowChanged, this, &InstrumentDialog::showChosen);
    list_->setCurrentRow(0);
}

void InstrumentDialog::choose(const QString& name) {
    for (int row = 0; row < profiles_.size(); ++row)
        if (profiles_[row].name == name) list_->setCurrentRow(row);
}

InstrumentDialog::~InstrumentDialog() { endTest(); }

QWidget* InstrumentDialog::makeList() {
    auto* column = new QWidget;
    column->setFixedWidth(190);
    auto* layout = new QVBoxLayout(column);
    layout->setContentsMargins(0, 0, 0, 0);
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("instrumentList"));
    list_->setAccessibleName(tr("Instruments"));
    layout->addWidget(list_, 1);
    auto* buttons = new QHBoxLayout;
    auto* add_button = new QPushButton(tr("New"));
    auto* remove_button = new QPushButton(tr("Remove"));
    add_button->setObjectName(QStringLiteral("newInstrument"));
    for (auto* button : {add_button, remove_button}) {
        button->setProperty("quiet", true);
        button->setAutoDefault(false);
    }
    connect(add_button, &QPushButton::clicked, this, &InstrumentDialog::add);
    connect(remove_button, &QPushButton::clicked, this, &InstrumentDialog::remove);
    buttons->addWidget(add_button);
    buttons->addWidget(remove_button);
    layout->addLayout(buttons);
    look_ = new QPushButton(tr("Look for instruments"));
    look_->setObjectName(QStringLiteral("lookForInstruments"));
    look_->setAutoDefault(false);
    connect(look_, &QPushButton::clicked, this, [this] { discovery_ ? endLook() : look(); });
    layout->addWidget(look_);
    return column;
}

QWidget* InstrumentDialog::makeFields() {
    auto* column = new QWidget;
    form_ = new QFormLayout(column);
    form_->setContentsMargins(0, 0, 0, 0);
    form_->setVerticalSpacing(7);
    name_ = makeEdit("instrumentName");
    measures_ =
        makeCombo({tr("light (PPFD)"), tr("power at the wall"), tr("spectrum")}, "instrumentMeasures");
    first_nm_ = makeEdit("instrumentFirstNm");
    step_nm_ = makeEdit("instrumentStepNm");
    spectral_unit_ = makeCombo({tr("W/m² per nm"), tr("µmol/m²/s per nm")}, "instrumentSpectralUnit");
    transport_ = makeCombo({tr("serial line"), tr("TCP lines"), tr("Modbus TCP"), tr("Modbus RTU"),
                            tr("log file that grows"), tr("recorded session")},
                           "instrumentTransport");
    place_ = makeCombo({}, "instrumentPlace");
    place_->setEditable(true);
    number_ = makeSpin(1, 4'000'000, 115200, "instrumentNumber");
    column_ = makeSpin(1, 99, 1, "instrumentColumn");
    pattern_ = makeEdit("instrumentPattern");
    pattern_->setPlaceholderText(tr("PPFD=([0-9.]+), instead of a column"));
    factor_ = makeEdit("instrumentFactor");
    most_ = makeEdit("instrumentMost");
    most_->setPlaceholderText(tr("any light"));
    question_ = makeEdit("instrumentQuestion");
    question_->setPlaceholderText(tr("MEAS?, if it must be asked"));
    integration_ = makeEdit("instrumentIntegration");
    integration_->setPlaceholderText(tr("INT {ms}, if it takes one"));
    for (auto* edit : {pattern_, question_, integration_}) dressAsCode(edit);
    interval_ = makeSpin(20, 60'000, 200, "instrumentInterval");
    interval_->setSuffix(tr(" ms"));
    unit_ = makeSpin(1, 247, 1, "instrumentUnit");
    address_ = makeSpin(0, 65535, 0, "instrumentAddress");
    type_ =
        makeCombo({tr("16 bit"), tr("16 bit signed"), tr("32 bit"), tr("32 bit signed"), tr("32 bit float")},
                  "instrumentType");
    input_ = new QCheckBox(tr("input register"));
    swapped_ = new QCheckBox(tr("low word first"));
    addFieldRows();
    connect(measures_, &QComboBox::currentIndexChanged, this,
            [this] { showFieldsOf(static_cast<Transport>(transport_->currentIndex())); });
    connect(transport_, &QComboBox::currentIndexChanged, this,
            [this](int index) { showFieldsOf(static_cast<Transport>(index)); });
    return column;
}

void InstrumentDialog::addFieldRows() {
    const auto row = [this](const QString& name, QWidget* field) {
        field->setAccessibleName(name);
        form_->addRow(makeLabel(name, TextRole::Muted), field);
    };
    row(tr("name"), name_);
    row(tr("measures"), measures_);
    row(tr("by"), transport_);
    row(tr("serial port"), place_);
    row(tr("baud rate"), number_);
    row(tr("value in column"), column_);
    row(tr("or by pattern"), pattern_);
    row(tr("question"), question_);
    row(tr("integration time"), integration_);
    row(tr("asked every"), interval_);
    row(tr("unit"), unit_);
    row(tr("register"), address_);
    row(tr("number"), type_);
    form_->addRow(QString(), input_);
    form_->addRow(QString(), swapped_);
    row(tr("first wavelength, nm"), first_nm_);
    row(tr("step, nm"), step_nm_);
    row(tr("values are"), spectral_unit_);
    row(tr("times"), factor_);
    row(tr("reads up to"), most_);
}

QWidget* InstrumentDialog::makePreview() {
    auto* column = new QWidget;
    auto* layout = new QVBoxLayout(column);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(6);
    test_ = new QPushButton(tr("Test the connection"));
    test_->setObjectName(QStringLiteral("testInstrument"));
    connect(test_, &QPushButton::clicked, this, [this] { tested_ ? endTest() : test(); });
    layout->addWidget(test_, 0, Qt::AlignLeft);
    state_ = makeLabel(tr("Not connected"), TextRole::Muted);
    state_->setObjectName(QStringLiteral("testState"));
    state_->setWordWrap(true);
    layout->addWidget(state_);
    value_ = makeLabel(QStringLiteral("–"), TextRole::Figure);
    value_->setObjectName(QStringLiteral("testValue"));
    value_->setFont(houseFont(38, true));
    value_->setStyleSheet(QStringLiteral("font-size: 38px; font-weight: bold;"));
    layout->addWidget(value_);
    layout->addWidget(
        makeLabel(tr("What it sends. Click the number that is meant, or ← → and Enter"), TextRole::Muted));
    auto* arrived = new ArrivedLines;
    lines_ = arrived;
    lines_->setObjectName(QStringLiteral("arrivedLines"));
    connect(arrived, &ArrivedLines::numberChosen, this, [this](const QString& pattern) {
        pattern_->setText(pattern);
        pattern_->setCursorPosition(0);
        if (!tested_) return;
        endTest();  // and seen at once
        test();
    });
    dressAsCode(lines_);
    lines_->setMaximumBlockCount(kPreviewLines);
    lines_->setAccessibleName(tr("Lines as they come"));
    layout->addWidget(lines_, 1);
    return column;
}

void InstrumentDialog::showFieldsOf(Transport transport) {
    InstrumentProfile probe;
    probe.transport = transport;
    const auto show = [this](QWidget* field, bool on) { form_->setRowVisible(field, on); };
    show(number_, !probe.isFile());
    for (QWidget* field : {static_cast<QWidget*>(column_), static_cast<QWidget*>(pattern_)})
        show(field, !probe.isModbus());
    const bool spectrum = measures_->currentIndex() == static_cast<int>(Measures::Spectrum);
    if (spectrum) show(pattern_, false);
    for (QWidget* field : {static_cast<QWidget*>(first_nm_), static_cast<QWidget*>(step_nm_),
                           static_cast<QWidget*>(spectral_unit_)})
        show(field, spectrum);
    show(question_, !probe.isModbus() && !probe.isFile());
    show(integration_, spectrum && !probe.isModbus() && !probe.isFile());
    show(interval_, !probe.isFile());
    for (QWidget* field :
         {static_cast<QWidget*>(unit_), static_cast<QWidget*>(address_), static_cast<QWidget*>(type_),
          static_cast<QWidget*>(input_), static_cast<QWidget*>(swapped_)})
        show(field, probe.isModbus());
    const auto name = [this](QWidget* field, const QString& words) {
        field->setAccessibleName(words);
        if (auto* label = qobject_cast<QLabel*>(form_->labelForField(field))) label->setText(words);
    };
    name(place_, probe.isFile() ? tr("file") : probe.isSerial() ? tr("serial port") : tr("host"));
    name(number_, probe.isSerial() ? tr("baud rate") : tr("TCP port"));
    QString kept = place_->currentText();
    // A port of this machine is no host.
    if (!probe.isSerial() && !probe.isFile() && kept.startsWith(QLatin1Char('/'))) kept.clear();
    place_->clear();
    if (probe.isSerial()) place_->addItems(serialPorts());
    place_->setEditText(kept);
    if (probe.isSerial() && number_->value() < 300) number_->setValue(115200);
    if (!probe.isSerial() && !probe.isFile() && number_->value() > 65535)
        number_->setValue(probe.isModbus() ? 502 : 5025);
}

void InstrumentDialog::fill(const InstrumentProfile& p) {
    name_->setText(p.name);
    measures_->setCurrentIndex(static_cast<int>(p.measures));
    transport_->setCurrentIndex(static_cast<int>(p.transport));
    number_->setValue(p.number);
    showFieldsOf(p.transport);
    place_->setEditText(p.place);
    column_->setValue(p.format.column);
    pattern_->setText(p.format.pattern);
    factor_->setText(QString::number(p.isModbus() ? p.modbus.scale : p.format.factor));
    const double most = p.isModbus() ? p.modbus.most : p.format.most;
    most_->setText(most < limits::kPpfd ? QString::number(most) : QString());
    const auto spectrum = p.format.spectrum.value_or(SpectralSample{});
    first_nm_->setText(QString::number(spectrum.first_nm));
    step_nm_->setText(QString::number(spectrum.step_nm));
    spectral_unit_->setCurrentIndex(static_cast<int>(spectrum.unit));
    question_->setText(p.question);
    integration_->setText(p.integration);
    interval_->setValue(p.every_ms);
    unit_->setValue(p.modbus.unit);
    address_->setValue(p.modbus.address);
    type_->setCurrentIndex(static_cast<int>(p.modbus.type));
    input_->setChecked(p.modbus.input);
    swapped_->setChecked(p.modbus.swapped);
}

InstrumentProfile InstrumentDialog::profile() const {
    InstrumentProfile p;
    p.name = name_->text().trimmed();
    p.measures = static_cast<Measures>(measures_->currentIndex());
    p.transport = static_cast<Transport>(transport_->currentIndex());
    p.place = place_->currentText().trimmed();
    p.number = number_->value();
    // A factor that is no number becomes 0, which invalid() names.
    const double factor = parseNumber(factor_->text().toStdString()).value_or(0.0);
    p.format = {column_->value(), pattern_->text(), p.isModbus() ? 1.0 : factor, std::nullopt};
    if (p.measures == Measures::Spectrum)
        p.format.spectrum = SpectralSample{parseNumber(first_nm_->text().toStdString()).value_or(0.0),
                                           parseNumber(step_nm_->text().toStdString()).value_or(0.0),
                                           static_cast<SpectralUnit>(spectral_unit_->currentIndex()),
                                           {}};
    // Empty is any light; what is no number becomes 0, which invalid() names.
    p.format.most = most_->text().trimmed().isEmpty()
                        ? limits::kPpfd
                        : parseNumber(most_->text().toStdString()).value_or(0.0);
    p.question = question_->text().trimmed();
    if (p.measures == Measures::Spectrum) p.integration = integration_->text().trimmed();
    p.every_ms = interval_->value();
    p.modbus = {unit_->value(),        address_->value(),
                input_->isChecked(),   static_cast<ModbusRegister::Type>(type_->currentIndex()),
                swapped_->isChecked(), p.isModbus() ? factor : 1.0,
                p.format.most};
    return p;
}

void InstrumentDialog::showChosen(int row) {
    endTest();
    if (row >= 0 && row < profiles_.size()) fill(profiles_[row]);
}

void InstrumentDialog::add() {
    profiles_ << freshProfile(static_cast<int>(profiles_.size()) + 1);
    list_->addItem(profiles_.last().name);
    list_->setCurrentRow(list_->count() - 1);
    name_->setFocus();
    name_->selectAll();
}

void InstrumentDialog::look() {
    endTest();
    discovery_ =
        std::make_unique<Discovery>(discoveryCandidates(serialPorts(), profiles_), session_.meterClock());
    connect(discovery_.get(), &Discovery::found, this, [this](const InstrumentProfile& found, double value) {
        const auto known = std::find_if(profiles_.begin(), profiles_.end(),
                                        [&](const InstrumentProfile& p) { return p.name == found.name; });
        if (known == profiles_.end()) {
            profiles_ << found;
            list_->addItem(found.name);
            list_->setCurrentRow(list_->count() - 1);
        } else {
            list_->setCurrentRow(static_cast<int>(known - profiles_.begin()));
        }
        fault_->setText(tr("%1 sends %2.").arg(found.name).arg(value, 0, 'f', 1));
    });
    connect(discovery_.get(), &Discovery::finished, this, [this] {
        if (fault_->text().isEmpty()) fault_->setText(tr("Nothing that can be read was heard."));
        QTimer::singleShot(0, this, &InstrumentDialog::endLook);
    });
    fault_->clear();
    look_->setText(tr("Stop looking"));
    discovery_->start();
}

void InstrumentDialog::endLook() {
    discovery_.reset();
    look_->setText(tr("Look for instruments"));
}

void InstrumentDialog::remove() {
    const int row = list_->currentRow();
    if (row < 0) return;
    profiles_.removeAt(row);
    delete list_->takeItem(row);
    if (const auto saved = store_.save(profiles_); !saved) fault_->setText(text(saved.error()));
}

/// Keeps what stands in the fields as the chosen profile.
void InstrumentDialog::keep() {
    const int row = list_->currentRow();
    if (row < 0) return;
    profiles_[row] = profile();
    list_->item(row)->setText(profiles_[row].name);
    if (const auto saved = store_.save(profiles_); !saved) fault_->setText(text(saved.error()));
}

void InstrumentDialog::test() {
    const auto wanted = profile();
    fault_->clear();
    if (const auto wrong = wanted.invalid()) return fault_->setText(text(*wrong));
    lines_->clear();
    values_ = 0;
    tested_ = makeInstrument(wanted, session_.meterClock());
    connect(tested_.get(), &Meter::stateChanged, this, &InstrumentDialog::showState);
    connect(tested_.get(), &Meter::sampled, this, [this](double /*seconds*/, double value) {
        ++values_;
        value_->setText(QString::number(value, 'f', 1));
        showState();
    });
    if (auto* lines = qobject_cast<LineMeter*>(tested_.get()))
        connect(lines, &LineMeter::lineSeen, this, [this](const QByteArray& line) {
            lines_->appendPlainText(QString::fromUtf8(line));
            showState();
        });
    test_->setText(tr("End the test"));
    tested_->start();
    showState();
}

void InstrumentDialog::endTest() {
    if (!tested_) return;
    tested_->stop();
    tested_.reset();
    test_->setText(tr("Test the connection"));
    state_->setText(tr("Not connected"));
    value_->setText(QStringLiteral("–"));
}

void InstrumentDialog::showState() {
    if (!tested_) return;
    const QString trouble = tested_->trouble();
    const QString state =
        tested_->state() == MeterState::Live ? tr("Live, %1 values").arg(values_) : tr("Connecting");
    state_->setText(trouble.isEmpty()                      ? state
                    : tested_->state() == MeterState::Live ? tr("%1; %2").arg(state, trouble)
                                                           : trouble);
}

void InstrumentDialog::use() {
    const auto wanted = profile();
    fault_->clear();
    if (const auto wrong = wanted.invalid()) return fault_->setText(text(*wrong));
    keep();
    endTest();
    takeInstrument(session_, wanted);
    accept();
}

}  // namespace glumet
