#include "desk/bench/bench_stage.h"

#include "core/meter/meter_correction.h"
#include "desk/bench/bench_parts.h"
#include "desk/bench/twin_dialog.h"
#include "desk/shared/described_row.h"

namespace glumet {

void BenchStage::fillMeterForm() {
    auto* add = quietButton(tr("new"));
    connect(add, &QPushButton::clicked, this, &BenchStage::newMeter);
    right_->addHeading(tr("Meter"), add);
    addDescribedRows<MeterProfile>(
        session(), *right_, [this]() -> const MeterProfile& { return meter(); },
        [this](const MeterProfile& m) { return keep(m); });
    right_->addText(
        tr("immersion ×"), [this] { return QString::number(meter().immersion_factor); },
        writer(&BenchStage::meter, [](MeterProfile& m, const QString& typed) -> QString {
            const auto factor = parseNumber(typed.toStdString());
            if (!factor || *factor < 0.5 || *factor > 2.0)
                return tr("An immersion factor lies between 0.5 and 2; about 1.1 is usual.");
            m.immersion_factor = *factor;
            return {};
        }));
    right_->addChoice(
        tr("applied by"), {tr("nobody"), tr("the meter's own mode"), tr("Glumet")},
        [this] { return static_cast<int>(meter().immersion_by); },
        [this](int index) {
            MeterProfile changed = meter();
            changed.immersion_by = static_cast<ImmersionBy>(index);
            return keep(changed);
        });
    right_->addText(
        tr("calibrated"), [this] { return text(meter().calibrated_on); },
        writer(&BenchStage::meter,
               [](MeterProfile& m, const QString& typed) {
                   m.calibrated_on = typed.trimmed().toStdString();
                   return QString();
               }),
        tr("year-month-day"));
}

/// How far the meter is to be believed, and what it is corrected by.
void BenchStage::fillMeterTruthRows() {
    const auto percent = [this](const QString& name, double MeterProfile::*member, const QString& hint) {
        return right_->addText(
            name,
            [this, member] { return meter().*member > 0.0 ? text(percentText(meter().*member)) : QString(); },
            writer(&BenchStage::meter,
                   [member](MeterProfile& m, const QString& typed) -> QString {
                       const QString bare = QString(typed).remove(QLatin1Char('%')).trimmed();
                       const auto value =
                           bare.isEmpty() ? std::optional(0.0) : parseNumber(bare.toStdString());
                       if (!value || *value < 0.0 || *value > 50.0)
                           return tr("That is a percentage from 0 to 50; 5 % is usual.");
                       m.*member = *value / 100.0;
                       return {};
                   }),
            hint);
    };
    right_->addFold(tr("How far the meter is to be believed"));
    percent(tr("calibration ±"), &MeterProfile::relative_uncertainty, tr("5 %"));
    percent(tr("cosine error"), &MeterProfile::cosine_error, tr("up to 60° off, if stated"));
    right_->addText(
        tr("response"), [this] { return text(responseText(meter().response)); },
        writer(&BenchStage::meter,
               [](MeterProfile& m, const QString& typed) -> QString {
                   auto response = parseResponse(typed.toStdString());
                   if (!response) return text(response.error()) + QLatin1Char('.');
                   m.response = std::move(*response);
                   return {};
               }),
        tr("400: 0.8, 450: 0.9, 550: 1"));
    auto* twin = quietButton(tr("twin reading…"));
    twin->setObjectName(QStringLiteral("twinReading"));
    connect(twin, &QPushButton::clicked, this, &BenchStage::twinReading);
    right_->addHeading(tr("Corrections"), twin);
    right_
        ->addText(
            tr("in use"),
            [this] {
                QStringList list;
                for (const auto& c : meter().corrections)
                    if (c.applied)
                        list << tr("%1 × %2 ± %3")
                                    .arg(c.channel.empty() ? tr("any") : text(c.channel))
                                    .arg(c.factor, 0, 'f', 3)
                                    .arg(text(percentText(c.uncertainty)));
                return list.join(QStringLiteral("; "));
            },
            writer(&BenchStage::meter,
                   [](MeterProfile& m, const QString& typed) -> QString {
                       if (!typed.trimmed().isEmpty())
                           return tr(
                               "Factors come from a twin reading; empty this field to stop using them.");
                       for (auto& c : m.corrections) c.applied = false;
                       return {};
                   }),
            tr("none"))
        ->setObjectName(QStringLiteral("meterCorrections"));
}

void BenchStage::twinReading() {
    if (session().project() == nullptr || session().bench().meters.empty())
        return session().warn(tr("Describe the meter first."));
    TwinDialog dialog(session(), meter(), this);
    if (dialog.exec() != QDialog::Accepted) return;
    const auto corrected = dialog.corrected();
    if (!corrected) return session().warn(text(corrected.error()));
    if (!keep(*corrected).isEmpty()) return;
    session().say(tr("Readings of %1 are corrected from now on; raw values stay beside them.")
                      .arg(text(corrected->name)));
}

}  // namespace glumet
