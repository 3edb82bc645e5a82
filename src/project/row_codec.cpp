#include "project/row_codec.h"

#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <array>

#include "project/goal_text.h"

namespace glumet {
namespace {

QString text(const std::string& value) { return QString::fromStdString(value); }

template <class Q>
QVariant optional(const std::optional<Q>& value) {
    if (!value) return {};
    if constexpr (std::is_same_v<Q, double>)
        return *value;
    else
        return value->value();
}

QVariant reference(Id id) { return id == 0 ? QVariant() : QVariant::fromValue(static_cast<qlonglong>(id)); }

QJsonArray arrayOf(const std::vector<double>& values) {
    QJsonArray array;
    for (const double value : values) array.append(value);
    return array;
}

std::vector<double> vectorOf(const QJsonValue& value) {
    std::vector<double> values;
    for (const auto& item : value.toArray()) values.push_back(item.toDouble());
    return values;
}

QString jsonText(const QJsonObject& object) {
    return QString::fromUtf8(QJsonDocument(object).toJson(QJsonDocument::Compact));
}

QString listText(const QJsonArray& list) {
    return list.isEmpty() ? QStringLiteral("")
                          : QString::fromUtf8(QJsonDocument(list).toJson(QJsonDocument::Compact));
}

QJsonArray listFrom(const QVariant& value) { return QJsonDocument::fromJson(value.toByteArray()).array(); }

QVariant gridText(const std::optional<Grid>& grid) {
    if (!grid) return {};
    QJsonObject object{{QStringLiteral("x_mm"), arrayOf(grid->xs_mm)},
                       {QStringLiteral("y_mm"), arrayOf(grid->ys_mm)}};
    QJsonArray left_out;
    for (const auto cell : grid->left_out) left_out.append(QJsonArray{cell.column, cell.row});
    if (!left_out.isEmpty()) object[QStringLiteral("left_out")] = left_out;
    QJsonArray names;
    for (const auto& [cell, name] : grid->names) names.append(QJsonArray{cell.column, cell.row, text(name)});
    if (!names.isEmpty()) object[QStringLiteral("names")] = names;
    return jsonText(object);
}

Cell cellFrom(const QJsonArray& entry) { return {entry[0].toInt(), entry[1].toInt()}; }

std::optional<Grid> gridFrom(const QVariant& value) {
    if (value.isNull()) return std::nullopt;
    const auto object = QJsonDocument::fromJson(value.toByteArray()).object();
    Grid grid;
    grid.xs_mm = vectorOf(object[QStringLiteral("x_mm")]);
    grid.ys_mm = vectorOf(object[QStringLiteral("y_mm")]);
    for (const auto& entry : object[QStringLiteral("left_out")].toArray())
        grid.left_out.push_back(cellFrom(entry.toArray()));
    for (const auto& entry : object[QStringLiteral("names")].toArray())
        grid.names[cellFrom(entry.toArray())] = entry.toArray()[2].toString().toStdString();
    return grid.cells() > 0 ? std::optional(grid) : std::nullopt;
}

constexpr std::array kBeamKinds{"half_angle", "cosine_power", "table"};  // in the order of Beam::Kind

QVariant beamText(const std::optional<Beam>& beam) {
    if (!beam) return {};
    return jsonText(
        {{QStringLiteral("kind"), QLatin1String(kBeamKinds[static_cast<std::size_t>(beam->kind())])},
         {QStringLiteral("theta_deg"), arrayOf(beam->thetaDeg())},
         {QStringLiteral("values"), arrayOf(beam->parameters())}});
}

/// Nothing for a beam that cannot be: the fixture then simply has none described.
std::optional<Beam> beamFrom(const QVariant& value) {
    if (value.isNull()) return std::nullopt;
    const auto object = QJsonDocument::fromJson(value.toByteArray()).object();
    const auto kind = object[QStringLiteral("kind")].toString();
    const auto values = vectorOf(object[QStringLiteral("values")]);
    if (values.empty()) return std::nullopt;
    const auto beam = kind == QLatin1String(kBeamKinds[0]) ? Beam::halfAngle(values.front())
                      : kind == QLatin1String(kBeamKinds[1])
                          ? Beam::cosinePower(values.front())
                          : Beam::table(vectorOf(object[QStringLiteral("theta_deg")]), values);
    return beam ? std::optional(*beam) : std::nullopt;
}

QString obstaclesText(const std::vector<Obstacle>& obstacles) {
    QJsonArray list;
    for (const auto& o : obstacles)
        list.append(
            QJsonArray{text(o.name), o.from_x.value(), o.to_x.value(), o.from_y.value(), o.to_y.value()});
    return listText(list);
}

std::vector<Obstacle> obstaclesFrom(const QVariant& value) {
    std::vector<Obstacle> obstacles;
    for (const auto& entry : listFrom(value)) {
        const auto o = entry.toArray();
        obstacles.push_back({o[0].toString().toStdString(), Millimetre(o[1].toDouble()),
                             Millimetre(o[2].toDouble()), Millimetre(o[3].toDouble()),
                             Millimetre(o[4].toDouble())});
    }
    return obstacles;
}

QString responseText(const std::vector<ResponsePoint>& response) {
    QJsonArray list;
    for (const auto& point : response) list.append(QJsonArray{point.wavelength_nm, point.relative});
    return listText(list);
}

std::vector<ResponsePoint> responseFrom(const QVariant& value) {
    std::vector<ResponsePoint> response;
    for (const auto& entry : listFrom(value))
        response.push_back({entry.toArray()[0].toDouble(), entry.toArray()[1].toDouble()});
    return response;
}

QString correctionsText(const std::vector<MeterCorrection>& corrections) {
    QJsonArray list;
    for (const auto& c : corrections)
        list.append(
            QJsonArray{text(c.channel), c.factor, c.uncertainty, text(c.source), text(c.time), c.applied});
    return listText(list);
}

std::vector<MeterCorrection> correctionsFrom(const QVariant& value) {
    std::vector<MeterCorrection> corrections;
    for (const auto& entry : listFrom(value)) {
        const auto c = entry.toArray();
        corrections.push_back({c[0].toString().toStdString(), c[1].toDouble(1.0), c[2].toDouble(),
                               c[3].toString().toStdString(), c[4].toString().toStdString(), c[5].toBool()});
    }
    return corrections;
}

QString extraText(const std::map<std::string, std::string>& extra) {
    if (extra.empty()) return QStringLiteral("");
    QJsonObject object;
    for (const auto& [name, value] : extra) object.insert(text(name), text(value));
    return jsonText(object);
}

std::map<std::string, std::string> extraFrom(const QVariant& value) {
    std::map<std::string, std::string> extra;
    const auto bytes = value.toByteArray();
    if (bytes.isEmpty()) return extra;
    const auto object = QJsonDocument::fromJson(bytes).object();
    for (auto item = object.begin(); item != object.end(); ++item)
        extra[item.key().toStdString()] = item.value().toString().toStdString();
    return extra;
}

/// Walks along the columns of the current row.
class Columns {
  public:
    explicit Columns(const QSqlQuery& row) : row_(row) {}

    QVariant next() { return row_.value(at_++); }
    std::string word() { return next().toString().toStdString(); }
    /// The same for a column that was read as UTF-8 bytes.
    std::string bytes() { return next().toByteArray().toStdString(); }
    double number() { return next().toDouble(); }
    int whole() { return next().toInt(); }
    Id id() { return next().toLongLong(); }
    Millimetre length() { return Millimetre(number()); }
    template <class Q>
    std::optional<Q> optional() {
        const auto value = next();
        if (value.isNull()) return std::nullopt;
        return Q(value.toDouble());
    }
    template <class Enum>
    Enum choice(Enum last) {
        const int value = whole();
        return value < 0 || value > static_cast<int>(last) ? Enum{} : static_cast<Enum>(value);
    }

  private:
    const QSqlQuery& row_;
    int at_ = 0;
};

}  // namespace

QVariantList valuesOf(const Tank& tank) {
    QVariantList values{text(tank.name), tank.length.value(), tank.width.value(), tank.water_depth.value()};
    for (const auto& wall : tank.walls) values << static_cast<int>(wall.kind) << wall.reflectance;
    return values << static_cast<int>(tank.water_kind) << static_cast<int>(tank.use)
                  << obstaclesText(tank.obstacles);
}

QVariantList valuesOf(const Fixture& f) {
    return {text(f.name),
            text(f.maker),
            text(f.kind),
            f.length.value(),
            f.width.value(),
            f.emitter_columns,
            f.emitter_rows,
            f.emitter_pitch_x.value(),
            f.emitter_pitch_y.value(),
            text(f.channels),
            optional(f.rated_power),
            f.mass_kg,
            f.price,
            text(f.currency),
            static_cast<int>(f.power_supply_inside),
            optional(f.claimed_height_low),
            optional(f.claimed_height_high),
            text(f.claimed_coverage),
            text(f.note),
            beamText(f.beam),
            optional(f.flux),
            f.emitter_size.value()};
}

QVariantList valuesOf(const Accessory& accessory) { return {text(accessory.name), text(accessory.note)}; }

QVariantList valuesOf(const MeterProfile& m) {
    return {text(m.name),           text(m.kind),
            m.immersion_factor,     static_cast<int>(m.immersion_by),
            m.relative_uncertainty, text(m.calibrated_on),
            text(m.note),           responseText(m.response),
            m.cosine_error,         correctionsText(m.corrections)};
}

QVariantList valuesOf(const Run& run) {
    return {text(run.label),
            reference(run.fixture),
            reference(run.accessory),
            reference(run.tank),
            reference(run.meter),
            text(run.preset),
            optional(run.level_pct),
            run.height.value(),
            run.fixtures,
            text(run.placement),
            static_cast<int>(run.water),
            optional(run.dark_reading),
            optional(run.warm_up_min),
            text(run.note)};
}

QVariantList valuesOf(const Plane& plane, Id run) {
    return {reference(run), plane.depth.value(), gridText(plane.grid)};
}

QVariantList valuesOf(const Reading& r, Id plane) {
    return {reference(plane),
            r.x.value(),
            r.y.value(),
            r.mean.value(),
            optional(r.min),
            optional(r.max),
            optional(r.sd),
            optional(r.samples),
            optional(r.power),
            text(r.flag),
            text(r.note),
            text(r.time),
            static_cast<int>(r.superseded),
            extraText(r.extra)};
}

QVariantList valuesOf(const CommissionCheck& check) {
    return {reference(check.run),
            static_cast<int>(check.kind),
            text(check.subject),
            check.value,
            static_cast<int>(check.passed),
            text(check.verdict),
            text(check.overruled),
            text(check.time)};
}

QVariantList valuesOf(const QString& title, const Method& m) {
    return {title,
            m.spill_limit,
            m.goal.band.low.value(),
            m.goal.band.high.value(),
            m.grid_columns,
            m.grid_rows,
            m.settled_relative_error,
            m.longest_reading.value(),
            m.height_error.value(),
            text(m.note),
            m.check_every,
            text(m.school),
            text(m.dissent),
            goalText(m.goal),
            goalsText(m.goals)};
}

Tank tankFrom(const QSqlQuery& row) {
    Columns c(row);
    Tank tank;
    tank.id = c.id();
    tank.name = c.word();
    tank.length = c.length();
    tank.width = c.length();
    tank.water_depth = c.length();
    for (auto& wall : tank.walls) {
        wall.kind = c.choice(WallKind::Opaque);
        wall.reflectance = c.number();
    }
    tank.water_kind = c.choice(WaterKind::Sea);
    tank.use = c.choice(TankUse::Living);
    tank.obstacles = obstaclesFrom(c.next());
    return tank;
}

Fixture fixtureFrom(const QSqlQuery& row) {
    Columns c(row);
    Fixture f;
    f.id = c.id();
    f.name = c.word();
    f.maker = c.word();
    f.kind = c.word();
    f.length = c.length();
    f.width = c.length();
    f.emitter_columns = c.whole();
    f.emitter_rows = c.whole();
    f.emitter_pitch_x = c.length();
    f.emitter_pitch_y = c.length();
    f.channels = c.word();
    f.rated_power = c.optional<Watt>();
    f.mass_kg = c.number();
    f.price = c.number();
    f.currency = c.word();
    f.power_supply_inside = c.whole() != 0;
    f.claimed_height_low = c.optional<Millimetre>();
    f.claimed_height_high = c.optional<Millimetre>();
    f.claimed_coverage = c.word();
    f.note = c.word();
    f.beam = beamFrom(c.next());
    f.flux = c.optional<PhotonFlux>();
    f.emitter_size = c.length();
    return f;
}

Accessory accessoryFrom(const QSqlQuery& row) {
    Columns c(row);
    return {c.id(), c.word(), c.word()};
}

MeterProfile meterFrom(const QSqlQuery& row) {
    Columns c(row);
    MeterProfile m;
    m.id = c.id();
    m.name = c.word();
    m.kind = c.word();
    m.immersion_factor = c.number();
    m.immersion_by = c.choice(ImmersionBy::Glumet);
    m.relative_uncertainty = c.number();
    m.calibrated_on = c.word();
    m.note = c.word();
    m.response = responseFrom(c.next());
    m.cosine_error = c.number();
    m.corrections = correctionsFrom(c.next());
    return m;
}

Run runFrom(const QSqlQuery& row) {
    Columns c(row);
    Run run;
    run.id = c.id();
    run.label = c.word();
    run.fixture = c.id();
    run.accessory = c.id();
    run.tank = c.id();
    run.meter = c.id();
    run.preset = c.word();
    run.level_pct = c.optional<double>();
    run.height = c.length();
    run.fixtures = c.whole();
    run.placement = c.word();
    run.water = c.choice(WaterState::Dry);
    run.dark_reading = c.optional<Ppfd>();
    run.warm_up_min = c.optional<double>();
    run.note = c.word();
    return run;
}

Plane planeFrom(const QSqlQuery& row) {
    Columns c(row);
    Plane plane;
    plane.id = c.id();
    c.next();  // the run, known to the caller
    plane.depth = c.length();
    plane.grid = gridFrom(c.next());
    return plane;
}

Reading readingFrom(const QSqlQuery& row) {
    Columns c(row);
    Reading r;
    r.id = c.id();
    c.next();  // the plane, known to the caller
    r.x = c.length();
    r.y = c.length();
    r.mean = Ppfd(c.number());
    r.min = c.optional<Ppfd>();
    r.max = c.optional<Ppfd>();
    r.sd = c.optional<double>();
    r.samples = c.optional<double>();
    r.power = c.optional<Watt>();
    r.flag = c.bytes();
    r.note = c.bytes();
    r.time = c.bytes();
    r.superseded = c.whole() != 0;
    r.extra = extraFrom(c.next());
    return r;
}

CommissionCheck checkFrom(const QSqlQuery& row) {
    Columns c(row);
    CommissionCheck check;
    check.id = c.id();
    check.run = c.id();
    check.kind = c.choice(CheckKind::MeterTruth);
    check.subject = c.word();
    check.value = c.number();
    check.passed = c.whole() != 0;
    check.verdict = c.word();
    check.overruled = c.word();
    check.time = c.word();
    return check;
}

Method methodFrom(const QSqlQuery& row) {
    Columns c(row);
    c.next();  // id
    c.next();  // title
    Method m;
    m.spill_limit = c.number();
    const double band_low = c.number();
    const double band_high = c.number();
    m.grid_columns = c.whole();
    m.grid_rows = c.whole();
    m.settled_relative_error = c.number();
    m.longest_reading = Second(c.number());
    m.height_error = c.length();
    m.note = c.word();
    m.check_every = c.whole();
    m.school = c.word();
    m.dissent = c.word();
    m.goal = goalFrom(c.next());
    m.goal.band = {Ppfd(band_low), Ppfd(band_high)};
    m.goals = goalsFrom(c.next());
    return m;
}

}  // namespace glumet
