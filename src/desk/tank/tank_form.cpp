#include "desk/tank/tank_form.h"

#include <QFileDialog>
#include <QPixmap>
#include <algorithm>
#include <cmath>

#include "core/living/ramp.h"
#include "core/verdicts/goals.h"
#include "core/words/typed.h"
#include "desk/shared/photo.h"
#include "desk/shared/quiet_button.h"
#include "desk/shared/theme.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr int kPhotoWidth = 220;
constexpr int kMostReadings = 6;   // without scrolling
constexpr double kRockMm = 120.0;  // of a new rock, either way

/// Takes what was typed, without the blanks about it.
template <class Row>
auto typedInto(std::string Row::*member) {
    return [member](Row& row, const QString& typed) {
        row.*member = typed.trimmed().toStdString();
        return QString();
    };
}

QString number(double value) { return QString::number(value, 'g', 4); }

/// "2026-11-16 18:00" of an ISO time.
QString whenText(const std::string& time) {
    constexpr int kToTheMinute = 16;
    return text(time).left(kToTheMinute).replace(QLatin1Char('T'), QLatin1Char(' '));
}

QString notANumber(const QString& typed) { return TankForm::tr("\"%1\" is not a number.").arg(typed); }

/// Two figures such as 80–200; nothing for anything else.
std::optional<std::pair<double, double>> spanOf(const QString& typed) {
    const auto range = typedRange(typed.toStdString());
    const auto low = range ? parseNumber(range->first) : std::nullopt;
    const auto high = range ? parseNumber(range->second) : std::nullopt;
    if (!low || !high) return std::nullopt;
    return std::pair{*low, *high};
}

QString spanText(const std::optional<Ppfd>& low, const std::optional<Ppfd>& high) {
    return !low || !high ? QString()
                         : QStringLiteral("%1–%2").arg(text(ppfdFigure(*low)), text(ppfdFigure(*high)));
}

}  // namespace

TankForm::TankForm(Session& session, TankChoice& choice, TankLight& light)
    : FormColumn(session), session_(session), choice_(choice), light_(light) {
    letShrink();
    addTankRow();
    addSpotRows();
    addReadingRows();
    addOrganismRows();
    addRockRows();
    addRampRows();
    addLampRows();
    addStretch();
}

void TankForm::headed(const QString& heading, const char* object, const QString& text,
                      void (TankForm::*work)()) {
    auto* button = quietButton(text);
    button->setObjectName(QLatin1String(object));
    connect(button, &QPushButton::clicked, this, work);
    addHeading(heading, button);
}

QLineEdit* TankForm::named(QLineEdit* edit, const char* object) {
    edit->setObjectName(QLatin1String(object));
    return edit;
}

/// Which of a list is chosen; −1: none.
template <class Row>
FormColumn::ReadIndex TankForm::indexIn(Rows<Row> rows, const Row* (TankChoice::*row)() const) {
    return [this, rows, row] {
        const auto all = (choice_.*rows)();
        const auto at = std::find(all.begin(), all.end(), (choice_.*row)());
        return at == all.end() ? -1 : static_cast<int>(at - all.begin());
    };
}

template <class Row>
FormColumn::WriteIndex TankForm::choosing(Rows<Row> rows, void (TankChoice::*choose)(Id)) {
    return [this, rows, choose](int index) {
        const auto all = (choice_.*rows)();
        if (index < 0 || index >= static_cast<int>(all.size())) return QString();
        (choice_.*choose)(all[static_cast<std::size_t>(index)]->id);
        emit chosen();
        return QString();
    };
}

/// A list that holds the names of what there is now.
template <class Row>
void TankForm::pick(QComboBox* combo, const char* object, Rows<Row> rows) {
    combo->setObjectName(QLatin1String(object));
    onRefresh([this, combo, rows] {
        const QSignalBlocker quiet(combo);
        combo->clear();
        for (const auto* row : (choice_.*rows)()) combo->addItem(text(row->name));
    });
}

void TankForm::addTankRow() {
    addHeading(tr("Tank"));
    pick(addHeadingChoice(tr("Which tank"), indexIn(&TankChoice::tanks, &TankChoice::tank),
                          choosing(&TankChoice::tanks, &TankChoice::chooseTank)),
         "livingTank", &TankChoice::tanks);
}

FormColumn::Write TankForm::spotWriter(Change<TankSpot> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (choice_.spot() == nullptr) return typed.isEmpty() ? QString() : tr("Choose a spot first.");
        auto spot = *choice_.spot();
        if (auto wrong = change(spot, typed); !wrong.isEmpty()) return wrong;
        return session_.edit([&](Project& project) { return project.save(spot); });
    };
}

void TankForm::addSpotRows() {
    headed(tr("Spot"), "removeSpot", tr("remove"), &TankForm::removeSpot);
    named(
        addText(
            tr("name"), [this] { return choice_.spot() == nullptr ? QString() : text(choice_.spot()->name); },
            spotWriter([](TankSpot& spot, const QString& typed) {
                if (typed.trimmed().isEmpty()) return tr("A spot needs a name.");
                spot.name = typed.trimmed().toStdString();
                return QString();
            })),
        "spotName");
    named(addText(
              tr("reading now"), [] { return QString(); },
              [this](const QString& typed) { return typeReading(typed); }, tr("µmol·m⁻²·s⁻¹")),
          "spotReading");
    const auto length = [&](const QString& name, const char* object, Millimetre TankSpot::*member) {
        named(addText(
                  name,
                  [this, member] {
                      const auto* spot = choice_.spot();
                      return spot == nullptr ? QString() : session_.length(spot->*member);
                  },
                  spotWriter([this, member](TankSpot& spot, const QString& typed) {
                      const auto value = parseLength(typed.toStdString(), session_.unit());
                      if (!value) return tr("\"%1\" is not a length.").arg(typed);
                      spot.*member = *value;
                      return QString();
                  })),
              object);
    };
    length(tr("under water"), "spotDepth", &TankSpot::depth);
    length(tr("from the left"), "spotX", &TankSpot::x);
    length(tr("from the front"), "spotY", &TankSpot::y);
    addChoice(
        tr("flow"), {tr("not known"), tr("low"), tr("medium"), tr("high")},
        [this] { return choice_.spot() == nullptr ? 0 : static_cast<int>(choice_.spot()->flow); },
        [this](int index) {
            return spotWriter([index](TankSpot& spot, const QString&) {
                spot.flow = static_cast<SpotFlow>(index);
                return QString();
            })(QStringLiteral("x"));
        });
}

FormColumn::Write TankForm::readingWriter(Change<SpotReading> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (choice_.reading() == nullptr) return typed.isEmpty() ? QString() : tr("Read the spot first.");
        auto spot = *choice_.spot();
        auto* reading = byId(spot.readings, choice_.reading()->id);
        if (auto wrong = change(*reading, typed); !wrong.isEmpty()) return wrong;
        return session_.edit([&](Project& project) { return project.save(spot); });
    };
}

/// Every reading of the spot by its date; the rows below speak of the chosen one. Folded away.
void TankForm::addReadingRows() {
    addFold(tr("its readings"));
    addReadingsTable();
    named(addText(
              tr("read on"),
              [this] { return choice_.reading() == nullptr ? QString() : whenText(choice_.reading()->time); },
              readingWriter([](SpotReading& reading, const QString& typed) {
                  const auto time = typed.trimmed().replace(QLatin1Char(' '), QLatin1Char('T')).toStdString();
                  if (daysAfter(time, 0).empty())
                      return tr("\"%1\" is not a date such as 2026-11-24.").arg(typed);
                  reading.time = time;
                  return QString();
              }),
              tr("year-month-day")),
          "readingTime");
    addHowReadRows();
    addPhotoRows();
}

void TankForm::addReadingsTable() {
    readings_ = new FigureTable(tr("Readings of the spot"));
    readings_->setObjectName(QStringLiteral("spotReadings"));
    readings_->setHeads({tr("day"), tr("PPFD"), tr("noted")});
    const auto choose = [this](int row) {
        const auto all = choice_.readings();
        if (row < 0 || row >= static_cast<int>(all.size())) return;
        choice_.chooseReading(all[static_cast<std::size_t>(row)]->id);
        emit chosen();
    };
    // Queued: the table is filled anew by it, which it must not be while it tells of the move.
    connect(readings_, &QTableWidget::currentCellChanged, this, choose, Qt::QueuedConnection);
    connect(readings_, &FigureTable::shown, this, &TankForm::showReadings);
    addWide(readings_);
    onRefresh([this] { showReadings(); });
}

/// Years of readings are listed only where they are in sight.
void TankForm::showReadings() {
    if (readings_->isHidden()) return;
    const auto all = choice_.readings();
    std::vector<QStringList> rows;
    for (const auto* reading : all) {
        QStringList noted;
        if (reading->shaded) noted << tr("in the way");
        if (reading->tilt_deg > 0.0) noted << tr("turned %1°").arg(reading->tilt_deg);
        if (!reading->note.empty()) noted << text(reading->note);
        rows.push_back(
            {text(dateOf(reading->time)), text(ppfdFigure(reading->mean)), noted.join(QStringLiteral(", "))});
    }
    const auto at = std::find(all.begin(), all.end(), choice_.reading());
    const int row = at == all.end() ? -1 : static_cast<int>(at - all.begin());
    readings_->setRows(rows, row, session_.palette());
    const QSignalBlocker quiet(readings_);
    readings_->setCurrentCell(row, 0);
    readings_->showAtMost(kMostReadings);
}

/// How the chosen reading was taken.
void TankForm::addHowReadRows() {
    named(addText(
              tr("swing"),
              [this] {
                  const auto* last = choice_.reading();
                  return last == nullptr ? QString() : spanText(last->min, last->max);
              },
              readingWriter([](SpotReading& reading, const QString& typed) {
                  reading.min.reset();
                  reading.max.reset();
                  if (typed.trimmed().isEmpty()) return QString();
                  const auto span = spanOf(typed);
                  if (!span || span->first > reading.mean.value() || span->second < reading.mean.value())
                      return tr("\"%1\" is not a span about the mean, such as 80–200.").arg(typed);
                  reading.min = Ppfd(span->first);
                  reading.max = Ppfd(span->second);
                  return QString();
              }),
              tr("least–most")),
          "readingSwing");
    named(
        addText(
            tr("turned, °"),
            [this] { return choice_.reading() == nullptr ? QString() : number(choice_.reading()->tilt_deg); },
            readingWriter([](SpotReading& reading, const QString& typed) {
                const auto value = typed.trimmed().isEmpty() ? 0.0 : parseNumber(typed.toStdString());
                if (!value) return notANumber(typed);
                reading.tilt_deg = *value;
                return QString();
            }),
            tr("0: level")),
        "readingTilt");
    addChoice(
        tr("in the way"), {tr("nothing"), tr("something")},
        [this] { return choice_.reading() != nullptr && choice_.reading()->shaded ? 1 : 0; },
        [this](int index) {
            return readingWriter([index](SpotReading& reading, const QString&) {
                reading.shaded = index == 1;
                return QString();
            })(QStringLiteral("x"));
        })
        ->setObjectName(QStringLiteral("readingShaded"));
    named(addText(
              tr("noted"),
              [this] { return choice_.reading() == nullptr ? QString() : text(choice_.reading()->note); },
              readingWriter(typedInto(&SpotReading::note))),
          "readingNote");
    addPhotoRows();
}

/// The reading taken back, and what the place looks like.
void TankForm::addPhotoRows() {
    auto* take_back = quietButton(tr("take this reading back"));
    take_back->setObjectName(QStringLiteral("removeReading"));
    connect(take_back, &QPushButton::clicked, this, [this] {
        if (choice_.reading() == nullptr) return session_.warn(tr("The spot was not read yet."));
        const Id gone = choice_.reading()->id;
        session_.edit([&](Project& project) { return project.removeSpotReading(gone); });
    });
    addWide(take_back);
    auto* photo = quietButton(tr("a photo of the spot…"));
    photo->setObjectName(QStringLiteral("spotPhoto"));
    connect(photo, &QPushButton::clicked, this, [this] { choosePhoto({}); });
    addWide(photo);
    photo_ = new QLabel;
    photo_->setAccessibleName(tr("Photo of the spot"));
    addWide(photo_);
    onRefresh([this] { showPhoto(); });
}

void TankForm::showPhoto() {
    const std::string photo = choice_.spot() == nullptr ? std::string() : choice_.spot()->photo;
    if (photo == shown_photo_) return;
    shown_photo_ = photo;
    QPixmap picture;
    picture.loadFromData(QByteArray::fromBase64(QByteArray::fromStdString(photo)));
    if (picture.isNull())
        photo_->clear();
    else
        photo_->setPixmap(picture.scaledToWidth(kPhotoWidth, Qt::SmoothTransformation));
}

void TankForm::choosePhoto(const QString& named_path) {
    if (choice_.spot() == nullptr) return session_.warn(tr("Choose a spot first."));
    const QString path = named_path.isEmpty()
                             ? QFileDialog::getOpenFileName(this, tr("A photo of the spot"), {},
                                                            tr("Pictures (*.jpg *.jpeg *.png)"))
                             : named_path;
    if (path.isEmpty()) return;
    auto spot = *choice_.spot();
    spot.photo = photoOf(path);
    if (spot.photo.empty()) return session_.warn(tr("%1 is no picture that can be read.").arg(path));
    session_.edit([&](Project& project) { return project.save(spot); });
}

QString TankForm::typeReading(const QString& typed) {
    if (typed.trimmed().isEmpty()) return {};
    if (choice_.spot() == nullptr) return tr("Choose a spot first.");
    const auto value = parseNumber(typed.toStdString());
    if (!value || *value < 0.0) return tr("\"%1\" is not a PPFD of 0 or more.").arg(typed);
    SpotReading reading;
    reading.mean = Ppfd(*value);
    reading.time = session_.now().toStdString();
    const Id spot = choice_.spot()->id;
    return session_.edit([&](Project& project) {
        auto stored = project.readSpot(spot, reading);
        if (stored) choice_.chooseReading(*stored);
        return stored;
    });
}

FormColumn::Write TankForm::organismWriter(Change<Organism> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (choice_.spot() == nullptr) return typed.isEmpty() ? QString() : tr("Choose a spot first.");
        Organism organism;
        organism.spot = choice_.spot()->id;
        organism.since = choice_.today();
        if (choice_.lives() != nullptr) organism = *choice_.lives();
        if (auto wrong = change(organism, typed); !wrong.isEmpty()) return wrong;
        if (organism.name.empty())
            return choice_.lives() == nullptr
                       ? QString()
                       : session_.edit([&](Project& project) { return project.removeOrganism(organism.id); });
        return session_.edit([&](Project& project) { return project.save(organism); });
    };
}

void TankForm::addOrganismRows() {
    addHeading(tr("Who lives there"));
    named(addText(
              tr("species"),
              [this] { return choice_.lives() == nullptr ? QString() : text(choice_.lives()->name); },
              organismWriter(typedInto(&Organism::name)), tr("nobody")),
          "organismName");
    addGoalRow();
    named(addText(
              tr("seen at"),
              [this] {
                  const auto* who = choice_.lives();
                  return who == nullptr ? QString() : spanText(who->seen_low, who->seen_high);
              },
              organismWriter([](Organism& organism, const QString& typed) {
                  organism.seen_low.reset();
                  organism.seen_high.reset();
                  if (typed.trimmed().isEmpty()) return QString();
                  const auto span = spanOf(typed);
                  if (!span) return tr("\"%1\" is not a span such as 80–200.").arg(typed);
                  organism.seen_low = Ppfd(span->first);
                  organism.seen_high = Ppfd(span->second);
                  return QString();
              }),
              tr("your own evidence")),
          "organismSeen");
    addChoice(
        tr("does"), {tr("not known"), tr("thrive"), tr("hold"), tr("decline")},
        [this] { return choice_.lives() == nullptr ? 0 : static_cast<int>(choice_.lives()->state); },
        [this](int index) {
            if (choice_.lives() == nullptr) return tr("Say first who lives there.");
            return organismWriter([index](Organism& organism, const QString&) {
                organism.state = static_cast<Wellbeing>(index);
                return QString();
            })({});
        });
}

/// The ready goals; those that the reviewer wrote are kept by the method.
void TankForm::addGoalRow() {
    QStringList goals{tr("none")};
    for (const auto& goal : readyGoals()) goals << text(goal.name);
    addChoice(
        tr("goal"), goals,
        [this] {
            if (choice_.lives() == nullptr) return 0;
            const auto& ready = readyGoals();
            for (std::size_t i = 0; i < ready.size(); ++i)
                if (ready[i].name == choice_.lives()->goal.name) return static_cast<int>(i) + 1;
            return 0;
        },
        [this](int index) {
            if (choice_.lives() == nullptr) return tr("Say first who lives there.");
            return organismWriter([index](Organism& organism, const QString&) {
                organism.goal = index == 0 ? Goal{} : readyGoals()[static_cast<std::size_t>(index - 1)];
                return QString();
            })({});
        });
}

FormColumn::Write TankForm::rockWriter(Change<Rock> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (choice_.rock() == nullptr) return typed.isEmpty() ? QString() : tr("Make a new one first.");
        auto rock = *choice_.rock();
        if (auto wrong = change(rock, typed); !wrong.isEmpty()) return wrong;
        return session_.edit([&](Project& project) { return project.save(rock); });
    };
}

/// Roughly drawn boxes: rock, wood, grown colonies.
void TankForm::addRockRows() {
    addFold(tr("Rocks and colonies"));
    auto* fresh = quietButton(tr("a new one"));
    fresh->setObjectName(QStringLiteral("newRock"));
    connect(fresh, &QPushButton::clicked, this, &TankForm::newRock);
    addWide(fresh);
    pick(addChoice(tr("which"), {}, indexIn(&TankChoice::rocks, &TankChoice::rock),
                   choosing(&TankChoice::rocks, &TankChoice::chooseRock)),
         "whichRock", &TankChoice::rocks);
    named(addText(
              tr("called"),
              [this] { return choice_.rock() == nullptr ? QString() : text(choice_.rock()->name); },
              rockWriter(typedInto(&Rock::name))),
          "rockName");
    const auto span = [&](const QString& name, const char* object, Millimetre Rock::*from,
                          Millimetre Rock::*to) {
        named(addText(
                  name,
                  [this, from, to] {
                      const auto* rock = choice_.rock();
                      return rock == nullptr ? QString()
                                             : QStringLiteral("%1–%2").arg(session_.figure(rock->*from),
                                                                           session_.length(rock->*to));
                  },
                  rockWriter([this, from, to](Rock& rock, const QString& typed) {
                      const auto range = typedRange(typed.toStdString());
                      const auto low = range ? parseLength(range->first, session_.unit()) : std::nullopt;
                      const auto high = range ? parseLength(range->second, session_.unit()) : std::nullopt;
                      if (!low || !high) return tr("\"%1\" is not a span such as 20–35.").arg(typed);
                      rock.*from = *low;
                      rock.*to = *high;
                      return QString();
                  })),
              object);
    };
    span(tr("from the left"), "rockX", &Rock::from_x, &Rock::to_x);
    span(tr("from the front"), "rockY", &Rock::from_y, &Rock::to_y);
    span(tr("under water"), "rockDepth", &Rock::top, &Rock::bottom);
    named(addText(
              tr("lets through, %"),
              [this] {
                  return choice_.rock() == nullptr ? QString()
                                                   : number(100.0 * choice_.rock()->transmittance);
              },
              rockWriter([](Rock& rock, const QString& typed) {
                  const auto value = parseNumber(typed.toStdString());
                  if (!value) return notANumber(typed);
                  rock.transmittance = *value / 100.0;
                  return QString();
              }),
              tr("0: stone")),
          "rockThrough");
    auto* remove = quietButton(tr("remove this one"));
    remove->setObjectName(QStringLiteral("removeRock"));
    connect(remove, &QPushButton::clicked, this, &TankForm::removeRock);
    addWide(remove);
}

FormColumn::Write TankForm::rampWriter(Change<Acclimation> change) {
    return [this, change = std::move(change)](const QString& typed) {
        if (choice_.ramp() == nullptr) return typed.isEmpty() ? QString() : tr("Make a new plan first.");
        auto changed = *choice_.ramp();
        if (auto wrong = change(changed, typed); !wrong.isEmpty()) return wrong;
        if (const auto steps = datedSteps(changed); !steps)
            return text(say("{} {}", steps.error().where, steps.error().what), session_.unit());
        return session_.edit([&](Project& project) { return project.save(changed); });
    };
}

void TankForm::addRampRows() {
    headed(tr("Brightening"), "removeRamp", tr("remove"), &TankForm::removeRamp);
    pick(addChoice(tr("plan"), {}, indexIn(&TankChoice::ramps, &TankChoice::ramp),
                   choosing(&TankChoice::ramps, &TankChoice::chooseRamp)),
         "whichRamp", &TankChoice::ramps);
    named(addText(
              tr("called"),
              [this] { return choice_.ramp() == nullptr ? QString() : text(choice_.ramp()->name); },
              rampWriter(typedInto(&Acclimation::name))),
          "rampCalled");
    addChannelRow();
    addRampFigures();
}

/// From where to where, how fast and since when.
void TankForm::addRampFigures() {
    const auto figure = [&](const QString& name, const char* object, double Acclimation::*member) {
        named(addText(
                  name,
                  [this, member] {
                      return choice_.ramp() == nullptr ? QString() : number(choice_.ramp()->*member);
                  },
                  rampWriter([member](Acclimation& changed, const QString& typed) {
                      const auto value = parseNumber(typed.toStdString());
                      if (!value) return notANumber(typed);
                      changed.*member = *value;
                      return QString();
                  })),
              object);
    };
    figure(tr("from, %"), "rampFrom", &Acclimation::from_pct);
    figure(tr("to, %"), "rampTo", &Acclimation::to_pct);
    figure(tr("weeks"), "rampWeeks", &Acclimation::weeks);
    named(addText(
              tr("at most, % a week"),
              [this] {
                  const auto* ramp = choice_.ramp();
                  return ramp == nullptr || !ramp->cap_pct_week ? QString() : number(*ramp->cap_pct_week);
              },
              rampWriter([](Acclimation& changed, const QString& typed) {
                  changed.cap_pct_week.reset();
                  if (typed.trimmed().isEmpty()) return QString();
                  const auto value = parseNumber(typed.toStdString());
                  if (!value) return notANumber(typed);
                  changed.cap_pct_week = *value;
                  return QString();
              }),
              tr("brighter")),
          "rampCap");
    named(addText(
              tr("begins"),
              [this] { return choice_.ramp() == nullptr ? QString() : text(choice_.ramp()->start); },
              rampWriter(typedInto(&Acclimation::start))),
          "rampStart");
    addChoice(
        tr("rises by"), {tr("equal points"), tr("equal shares")},
        [this] { return choice_.ramp() == nullptr ? 1 : static_cast<int>(choice_.ramp()->by); },
        [this](int index) {
            return rampWriter([index](Acclimation& changed, const QString&) {
                changed.by = static_cast<RampBy>(index);
                return QString();
            })(QStringLiteral("x"));
        });
}

/// Every channel of every fixture may be raised by itself.
void TankForm::addChannelRow() {
    auto* of = addChoice(
        tr("of"), {},
        [this] {
            if (choice_.ramp() == nullptr) return 0;
            const auto at = std::find(channels_.begin(), channels_.end(), choice_.ramp()->channel);
            return at == channels_.end() ? 0 : static_cast<int>(at - channels_.begin());
        },
        [this](int index) {
            if (index < 0 || index >= static_cast<int>(channels_.size())) return QString();
            return rampWriter(
                [channel = channels_[static_cast<std::size_t>(index)]](Acclimation& changed, const QString&) {
                    changed.channel = channel;
                    return QString();
                })(QStringLiteral("x"));
        });
    of->setObjectName(QStringLiteral("rampChannel"));
    onRefresh([this, of] {
        const QSignalBlocker quiet(of);
        of->clear();
        channels_ = {0};
        of->addItem(tr("all of the light"));
        for (const auto& fixture : session_.bench().fixtures)
            for (const auto& channel : fixture.channels) {
                channels_.push_back(channel.id);
                of->addItem(tr("%1, %2").arg(text(channel.name), text(fixture.name)));
            }
    });
}

/// For who has no meter: what another's fit says these lamps would give here.
void TankForm::addLampRows() {
    addFold(tr("Without a meter"));
    auto* lamps = addChoice(
        tr("lamps as if"), {},
        [this] {
            if (!light_.lamps()) return 0;
            const auto at = std::find(offered_.begin(), offered_.end(), light_.lamps()->of);
            return at == offered_.end() ? 0 : static_cast<int>(at - offered_.begin()) + 1;
        },
        [this](int index) {
            if (index <= 0 || index > static_cast<int>(offered_.size())) {
                light_.hang(std::nullopt);
            } else {
                auto as_if = light_.lamps().value_or(LampsAsIf{});
                as_if.of = offered_[static_cast<std::size_t>(index - 1)];
                light_.hang(as_if);
            }
            refresh();
            emit lampsChanged();
            return QString();
        });
    lamps->setObjectName(QStringLiteral("lampsAsIf"));
    onRefresh([this, lamps] {
        const QSignalBlocker quiet(lamps);
        lamps->clear();
        offered_.clear();
        lamps->addItem(tr("as they hang"));
        for (const auto& sweep : session_.sweeps()) {
            if (!(singleOf(session_.sweeps(), sweep).configuration == sweep.configuration)) continue;
            offered_.push_back(sweep.configuration);
            lamps->addItem(text(configurationName(session_.bench(), sweep.configuration)));
        }
    });
    addLampFigures();
}

/// How many of them, and how high.
void TankForm::addLampFigures() {
    const auto change = [this](auto work) {
        return [this, work](const QString& typed) {
            if (!light_.lamps()) return typed.isEmpty() ? QString() : tr("Choose the lamps first.");
            auto as_if = *light_.lamps();
            if (auto wrong = work(as_if, typed); !wrong.isEmpty()) return wrong;
            light_.hang(as_if);
            emit lampsChanged();
            return QString();
        };
    };
    named(addText(
              tr("how many"),
              [this] { return light_.lamps() ? QString::number(light_.lamps()->count) : QString(); },
              change([](LampsAsIf& as_if, const QString& typed) {
                  bool whole = false;
                  const int count = typed.trimmed().toInt(&whole);
                  if (!whole || count < 1 || count > limits::kFixtures)
                      return tr("1 to %1 lamps.").arg(limits::kFixtures);
                  as_if.count = count;
                  return QString();
              })),
          "lampsCount");
    named(addText(
              tr("over water"),
              [this] { return light_.lamps() ? session_.length(light_.lamps()->height) : QString(); },
              change([this](LampsAsIf& as_if, const QString& typed) {
                  const auto height = parseLength(typed.toStdString(), session_.unit());
                  if (!height || !(height->value() > 0.0)) return tr("\"%1\" is not a height.").arg(typed);
                  as_if.height = *height;
                  return QString();
              })),
          "lampsHeight");
}

void TankForm::removeSpot() {
    if (choice_.spot() == nullptr) return session_.warn(tr("Choose a spot first."));
    const Id gone = choice_.spot()->id;
    choice_.chooseSpot(0);
    emit chosen();
    session_.edit([&](Project& project) { return project.removeSpot(gone); });
}

void TankForm::newRock() {
    const auto* in = choice_.tank();
    if (in == nullptr) return session_.warn(tr("Describe a tank in Bench first."));
    Rock rock;
    rock.tank = in->id;
    rock.name = tr("rock").toStdString();
    const auto middle = [](Millimetre size) { return Millimetre(std::round(size.value() / 2.0)); };
    const auto half = [](Millimetre size) { return Millimetre(std::min(kRockMm, size.value()) / 2.0); };
    rock.from_x = middle(in->length) - half(in->length);
    rock.to_x = middle(in->length) + half(in->length);
    rock.from_y = middle(in->width) - half(in->width);
    rock.to_y = middle(in->width) + half(in->width);
    rock.top = middle(in->water_depth);
    rock.bottom = in->water_depth;
    session_.edit([&](Project& project) {
        auto saved = project.save(rock);
        if (saved) choice_.chooseRock(*saved);
        return saved;
    });
    emit chosen();
}

void TankForm::removeRock() {
    if (choice_.rock() == nullptr) return session_.warn(tr("There is no rock."));
    const Id gone = choice_.rock()->id;
    session_.edit([&](Project& project) { return project.removeRock(gone); });
}

void TankForm::newRamp() {
    const auto* in = choice_.tank();
    if (in == nullptr) return session_.warn(tr("Describe a tank in Bench first."));
    Acclimation made;
    made.tank = in->id;
    made.name = tr("new light").toStdString();
    made.start = choice_.today();
    const auto first = firstLevel(choice_.surveys(), choice_.before(), choice_.now(), kFirstShare);
    if (first && first->level_pct < 100.0) made.from_pct = std::max(1.0, std::floor(first->level_pct));
    session_.edit([&](Project& project) {
        auto saved = project.save(made);
        if (saved) choice_.chooseRamp(*saved);
        return saved;
    });
    emit chosen();
}

void TankForm::removeRamp() {
    if (choice_.ramp() == nullptr) return session_.warn(tr("There is no plan."));
    const Id gone = choice_.ramp()->id;
    session_.edit([&](Project& project) { return project.removeRamp(gone); });
}

}  // namespace glumet
