#include "desk/bench/twin_dialog.h"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QRegularExpression>
#include <QVBoxLayout>
#include <set>

#include "core/words/wording.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {

TwinDialog::TwinDialog(Session& session, const MeterProfile& meter, QWidget* parent)
    : ScrolledDialog(parent, {470, 480}),
      session_(session),
      meter_(meter),
      channel_(new QComboBox),
      twin_(new QLineEdit),
      uncertainty_(new QLineEdit(QStringLiteral("5"))),
      pairs_(new QPlainTextEdit),
      result_(makeLabel({}, TextRole::Figure)),
      fault_(makeLabel({}, TextRole::Problem)),
      keep_(new QPushButton(tr("Use this factor"))) {
    setWindowTitle(tr("Twin reading of %1").arg(text(meter.name)));
    channel_->setObjectName(QStringLiteral("twinChannel"));
    channel_->setEditable(true);
    channel_->addItem(tr("any channel mix"));
    std::set<std::string> presets;
    for (const auto& fixture : session.bench().fixtures)
        for (const auto& preset : fixture.presets) presets.insert(preset.name);
    for (const auto& preset : presets) channel_->addItem(text(preset));
    twin_->setObjectName(QStringLiteral("twinName"));
    pairs_->setObjectName(QStringLiteral("twinPairs"));
    pairs_->setPlaceholderText(tr("own  twin\n214  223\n198  207\n…"));
    pairs_->setTabChangesFocus(true);
    pairs_->setAccessibleName(tr("Pairs of readings"));
    fault_->setWordWrap(true);
    keep_->setProperty("primary", true);
    keep_->setDefault(true);
    auto* form = new QFormLayout;
    for (const auto& [name, widget] : {std::pair<QString, QWidget*>{tr("Holds for"), channel_},
                                       {tr("The other meter"), twin_},
                                       {tr("Its calibration, ± %"), uncertainty_},
                                       {tr("Pairs, own then twin"), pairs_}}) {
        widget->setAccessibleName(name);
        form->addRow(makeLabel(name, TextRole::Muted), widget);
    }
    auto* buttons = new QHBoxLayout;
    auto* cancel = new QPushButton(tr("Cancel"));
    buttons->addWidget(fault_, 1);
    buttons->addWidget(cancel);
    buttons->addWidget(keep_);
    auto* layout = new QVBoxLayout(body());
    layout->setContentsMargins(22, 20, 22, 12);
    layout->setSpacing(12);
    auto* how = makeLabel(
        tr("Hold both sensors at the same place and depth, one channel mix at a time, and write down "
           "what each shows. Raw values stay beside the corrected ones."),
        TextRole::Muted);
    how->setWordWrap(true);
    layout->addWidget(how);
    layout->addLayout(form);
    layout->addWidget(result_);
    addFoot(buttons);
    connect(cancel, &QPushButton::clicked, this, &QDialog::reject);
    connect(keep_, &QPushButton::clicked, this, &QDialog::accept);
    for (auto* line : {twin_, uncertainty_}) connect(line, &QLineEdit::textChanged, this, &TwinDialog::check);
    connect(pairs_, &QPlainTextEdit::textChanged, this, &TwinDialog::check);
    connect(channel_, &QComboBox::currentTextChanged, this, &TwinDialog::check);
    check();
    twin_->setFocus();
}

Expected<std::vector<TwinPair>> TwinDialog::pairs() const {
    std::vector<TwinPair> out;
    int line_number = 0;
    for (const auto& line : pairs_->toPlainText().split(QLatin1Char('\n'))) {
        ++line_number;
        const auto words = line.split(QRegularExpression(QStringLiteral("[\\s;]+")), Qt::SkipEmptyParts);
        if (words.isEmpty()) continue;
        const auto own = parseNumber(words.value(0).toStdString());
        const auto twin = parseNumber(words.value(1).toStdString());
        if (words.size() != 2 || !own || !twin)
            return problem(tr("line %1").arg(line_number).toStdString(),
                           asWords(tr("two numbers are wanted: own, then twin")));
        out.push_back({Ppfd(*own), Ppfd(*twin)});
    }
    return out;
}

Expected<MeterProfile> TwinDialog::corrected() const {
    const auto read = pairs();
    if (!read) return tl::make_unexpected(read.error());
    if (twin_->text().trimmed().isEmpty()) return problem("", asWords(tr("Name the other meter")));
    const auto percent = parseNumber(uncertainty_->text().toStdString());
    if (!percent || *percent < 0.0 || *percent > 50.0)
        return problem("", asWords(tr("The calibration is a percentage from 0 to 50")));
    const QString channel = channel_->currentIndex() == 0 && channel_->currentText() == channel_->itemText(0)
                                ? QString()
                                : channel_->currentText().trimmed();
    auto correction =
        correctionFrom(*read, channel.toStdString(), twin_->text().trimmed().toStdString(), *percent / 100.0);
    if (!correction) return tl::make_unexpected(correction.error());
    correction->time = session_.now().toStdString();
    auto meter = meter_;
    meter.corrections.push_back(*correction);
    return meter;
}

void TwinDialog::check() {
    const auto meter = corrected();
    keep_->setEnabled(meter.has_value());
    fault_->setText(meter || pairs_->toPlainText().isEmpty() ? QString() : text(meter.error()));
    if (!meter) return result_->setText(QStringLiteral("× –"));
    const auto& correction = meter->corrections.back();
    result_->setText(
        tr("× %1 ± %2").arg(correction.factor, 0, 'f', 3).arg(text(percentText(correction.uncertainty))));
}

}  // namespace glumet
