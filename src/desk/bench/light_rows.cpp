// The rows of the fixture's form that describe its light: emitters, beam, flux.
#include <QFile>
#include <QFileDialog>
#include <QFileInfo>
#include <QRegularExpression>

#include "core/base/limits.h"
#include "core/words/typed.h"
#include "desk/bench/bench_stage.h"
#include "files/file_reader.h"
#include "formats/lm63.h"
#include "report/text.h"

namespace glumet {
namespace {

QString beamText(const std::optional<Beam>& beam) {
    if (!beam) return {};
    const double value = beam->parameters().front();
    switch (beam->kind()) {
        case Beam::Kind::HalfAngle:
            return BenchStage::tr("half at %1°").arg(value);
        case Beam::Kind::CosinePower:
            return BenchStage::tr("cosine to the power %1").arg(value);
        case Beam::Kind::Table:
            break;
    }
    const auto angles = BenchStage::tr("table of %1 angles").arg(beam->thetaDeg().size());
    return beam->round() ? angles : BenchStage::tr("%1 in %2 planes").arg(angles).arg(beam->planeCount());
}

QString takeEmitters(Fixture& f, const QString& typed) {
    constexpr int kMostAlong = 200;
    const auto counts = parseCounts(typed.toStdString(), kMostAlong);
    if (!counts) return BenchStage::tr("Give the emitters as columns × rows, such as 4 × 3.");
    f.emitters.columns = counts->first;
    f.emitters.rows = counts->second;
    return {};
}

QString takeSpacing(Fixture& f, const QString& typed, LengthUnit unit) {
    const auto apart = parseLengthPair(typed.toStdString(), unit);
    if (!apart)
        return BenchStage::tr("Give the distance between emitters along and across, such as 2.8 × 2.8 cm.");
    f.emitters.pitch_x = apart->first;
    f.emitters.pitch_y = apart->second;
    return {};
}

QString takeBeamText(Fixture& f, const QString& typed) {
    if (typed.trimmed().isEmpty()) {
        f.beam.reset();
        return {};
    }
    static const QRegularExpression figure(QStringLiteral("(\\d+(?:[.,]\\d+)?)\\s*°?\\s*$"));
    const auto match = figure.match(typed.trimmed());
    const auto degrees = match.hasMatch() ? parseNumber(match.captured(1).toStdString()) : std::nullopt;
    const auto beam = degrees ? Beam::halfAngle(*degrees) : problem("", {});
    if (!beam)
        return BenchStage::tr(
            "Give the angle from the axis at which the light has fallen to half, 1 to 89°; half "
            "of the maker's full beam angle.");
    f.beam = *beam;
    return {};
}

QString takeFlux(Fixture& f, const QString& typed) {
    f.flux.reset();
    if (typed.trimmed().isEmpty()) return {};
    const auto flux = parseNumber(typed.toStdString());
    if (!flux || *flux <= 0.0)
        return BenchStage::tr("\"%1\" is not a photon flux above 0 µmol/s.").arg(typed);
    f.flux = PhotonFlux(*flux);
    return {};
}

}  // namespace

void BenchStage::fillLightRows() {
    left_
        ->addText(
            tr("emitters"),
            [this] { return tr("%1 × %2").arg(fixture().emitters.columns).arg(fixture().emitters.rows); },
            fixtureWriter(takeEmitters), tr("columns × rows"))
        ->setObjectName(QStringLiteral("emitters"));
    left_
        ->addText(
            tr("their spacing"),
            [this] {
                return tr("%1 × %2").arg(session().figure(fixture().emitters.pitch_x),
                                         session().length(fixture().emitters.pitch_y));
            },
            fixtureWriter(
                [this](Fixture& f, const QString& typed) { return takeSpacing(f, typed, session().unit()); }))
        ->setObjectName(QStringLiteral("emitterSpacing"));
    left_
        ->addText(
            tr("size of each"), [this] { return session().length(fixture().emitters.size); },
            fixtureWriter([this](Fixture& f, const QString& typed) {
                const auto size = parseLength(typed.toStdString(), session().unit());
                constexpr double kWidestMm = 300.0;
                if (!size || size->value() < 0.0 || size->value() > kWidestMm)
                    return tr("Each emitter shines from a patch of 0 to %1.")
                        .arg(session().length(Millimetre(kWidestMm)));
                f.emitters.size = *size;
                return QString();
            }))
        ->setObjectName(QStringLiteral("emitterSize"));
    auto* beam = left_->addText(
        tr("beam"), [this] { return beamText(fixture().beam); }, fixtureWriter(takeBeamText),
        tr("angle to half, or a file"));
    beam->setObjectName(QStringLiteral("beam"));
    beam->setToolTip(
        tr("Angle from the axis at which the light has fallen to half. A photometric file (LM-63) can "
           "be dropped on the window instead."));
    left_
        ->addText(
            tr("flux, µmol/s"),
            [this] { return fixture().flux ? QString::number(fixture().flux->value()) : QString(); },
            fixtureWriter(takeFlux), tr("if it is stated"))
        ->setObjectName(QStringLiteral("flux"));
}

void BenchStage::chooseBeamFile() {
    const QString path = QFileDialog::getOpenFileName(this, tr("Beam from a photometric file"), {},
                                                      tr("Photometric files (*.ies *.IES);;All files (*)"));
    if (path.isEmpty()) return;
    const auto bytes = readFile(path, limits::kPhotometryBytes);
    if (!bytes) return session().warn(text(bytes.error()));
    takeBeam(QFileInfo(path).fileName(), *bytes);
}

void BenchStage::takeBeam(const QString& name, const QByteArray& bytes) {
    if (session().project() == nullptr) return session().warn(tr("Open or make a project first."));
    if (session().bench().fixtures.empty()) return session().warn(tr("Make a fixture first."));
    const auto read = readLm63(std::string_view(bytes.constData(), static_cast<std::size_t>(bytes.size())));
    if (!read) return session().warn(tr("%1: %2.").arg(name, text(read.error())));
    Fixture changed = fixture();
    changed.beam = read->beam;
    if (!session().edit([&](Project& project) { return project.save(changed); }).isEmpty()) return;
    QString said = tr("%1 has the beam of %2").arg(text(changed.name), name);
    if (!read->beam.round())
        said += tr("; its %1 planes differ by up to %2 and are kept")
                    .arg(read->beam.planeCount())
                    .arg(text(percentText(read->unevenness)));
    session().say(said + QLatin1Char('.'));
}

}  // namespace glumet
