#include "desk/bench/goal_rows.h"

#include <algorithm>

#include "core/verdicts/goals.h"
#include "core/words/typed.h"
#include "report/text.h"

namespace glumet {
namespace {

/// Writes the goal as one undo step, unless it is wrong.
class GoalWriter {
  public:
    explicit GoalWriter(Session& session) : session_(&session) {}

    template <class Change>
    FormColumn::Write text(Change change) const {
        return [session = session_, change](const QString& typed) -> QString {
            auto goal = session->goal();
            if (const QString fault = change(goal, typed); !fault.isEmpty()) return fault;
            return put(*session, goal);
        };
    }

    static QString put(Session& session, const Goal& goal) {
        if (const auto wrong = wrongWith(goal)) return glumet::text(*wrong);
        return session.changeMethod([&](Method& m) { m.goal = goal; });
    }

  private:
    Session* session_;
};

QString bandText(const Band& band) {
    return QStringLiteral("%1–%2").arg(text(ppfdFigure(band.low)), text(ppfdFigure(band.high)));
}

QString ppfdOrEmpty(const std::optional<Ppfd>& value) { return value ? text(ppfdFigure(*value)) : QString(); }

/// An optional PPFD; empty takes it away.
std::optional<QString> readPpfd(const QString& typed, std::optional<Ppfd>& value) {
    value.reset();
    if (typed.trimmed().isEmpty()) return std::nullopt;
    const auto number = parseNumber(typed.toStdString());
    if (!number || *number < 0.0) return tr("Give a PPFD in µmol·m⁻²·s⁻¹, or nothing.");
    value = Ppfd(*number);
    return std::nullopt;
}

/// Ready ones first, then the reviewer's own.
std::vector<Goal> allGoals(const Session& session) {
    auto goals = readyGoals();
    const auto& own = session.bench().method.goals;
    goals.insert(goals.end(), own.begin(), own.end());
    return goals;
}

/// Where the project's goal is in the list; behind the last when it is none of them.
int indexOf(const Session& session) {
    const auto goals = allGoals(session);
    const auto& mine = session.goal();
    const auto at = std::find_if(goals.begin(), goals.end(), [&](const Goal& goal) {
        return goal.band == mine.band && (mine.name.empty() || goal.name == mine.name);
    });
    return static_cast<int>(at - goals.begin());
}

void addGoalChoice(Session& session, FormColumn& form) {
    auto* combo = form.addChoice(
        tr("goal, to begin with"), {}, [&session] { return indexOf(session); },
        [&session](int index) -> QString {
            const auto goals = allGoals(session);
            if (index >= static_cast<int>(goals.size())) return {};
            return GoalWriter::put(session, goals[static_cast<std::size_t>(index)]);
        });
    combo->setObjectName(QStringLiteral("goalChoice"));
    form.onRefresh([&session, combo] {
        combo->clear();
        for (const auto& goal : allGoals(session))
            combo->addItem(QStringLiteral("%1, %2").arg(text(goal.name), bandText(goal.band)));
        combo->addItem(tr("as edited below"));
    });
}

void addSchoolChoice(Session& session, FormColumn& form) {
    form.addChoice(
            tr("read by"),
            {tr("narrow band"), tr("broad range"), tr("sand-bed floor"), tr("gradient, bright on top")},
            [&session] {
                const auto at = std::find(kLightSchools.begin(), kLightSchools.end(), session.goal().school);
                return at == kLightSchools.end() ? 0 : static_cast<int>(at - kLightSchools.begin());
            },
            [&session](int index) -> QString {
                // The school reads the ready or kept goal it began with, not what another school made of it.
                Goal from = session.goal();
                for (const auto& goal : allGoals(session))
                    if (goal.name == from.name) from = goal;
                const auto& tanks = session.bench().tanks;
                const auto depth = tanks.empty() ? Millimetre(500) : tanks.front().water_depth;
                return GoalWriter::put(session,
                                       asReadBy(kLightSchools[static_cast<std::size_t>(index)], from, depth));
            })
        ->setObjectName(QStringLiteral("goalSchool"));
}

void addBand(Session& session, FormColumn& form) {
    const GoalWriter write(session);
    form.addText(
            tr("target band"), [&session] { return bandText(session.band()); },
            write.text([](Goal& goal, const QString& typed) -> QString {
                const auto ends = parseNumberRange(typed.toStdString());
                if (!ends) return tr("Give the band as low–high, such as 150–300.");
                goal.band = {Ppfd(ends->first), Ppfd(ends->second)};
                return {};
            }))
        ->setObjectName(QStringLiteral("targetBand"));
}

void addLevels(Session& session, FormColumn& form) {
    const GoalWriter write(session);
    form.addText(
            tr("ceiling"), [&session] { return ppfdOrEmpty(session.goal().ceiling); },
            write.text([](Goal& goal, const QString& typed) {
                return readPpfd(typed, goal.ceiling).value_or(QString());
            }),
            tr("none"))
        ->setObjectName(QStringLiteral("goalCeiling"));
    form.addText(
            tr("floor at the bottom"), [&session] { return ppfdOrEmpty(session.goal().floor); },
            write.text([](Goal& goal, const QString& typed) {
                return readPpfd(typed, goal.floor).value_or(QString());
            }),
            tr("none"))
        ->setObjectName(QStringLiteral("goalFloor"));
}

void addZoneAndDay(Session& session, FormColumn& form) {
    const GoalWriter write(session);
    form.addText(
            tr("depth zone"),
            [&session] {
                const auto& g = session.goal();
                return g.zoned() ? text(lengthRange(g.zone_from, g.zone_to, session.unit())) : QString();
            },
            write.text([&session](Goal& goal, const QString& typed) -> QString {
                goal.zone_from = goal.zone_to = Millimetre(0);
                if (typed.trimmed().isEmpty()) return {};
                const auto ends = parseLengthRange(typed.toStdString(), session.unit());
                if (!ends) return tr("Give the zone as depths from–to, such as 0–20 cm, or nothing.");
                goal.zone_from = ends->first;
                goal.zone_to = ends->second;
                return {};
            }),
            tr("all of it"))
        ->setObjectName(QStringLiteral("goalZone"));
    form.addText(
            tr("photoperiod"),
            [&session] {
                const auto& g = session.goal();
                return tr("%1 h, DLI %2–%3")
                    .arg(g.photoperiod_h)
                    .arg(dailyLightIntegral(g.band.low, g.photoperiod_h), 0, 'f', 1)
                    .arg(dailyLightIntegral(g.band.high, g.photoperiod_h), 0, 'f', 1);
            },
            write.text([](Goal& goal, const QString& typed) -> QString {
                const auto hours = parseNumber(typed.trimmed().section(QLatin1Char(' '), 0, 0).toStdString());
                if (!hours) return tr("Give the photoperiod in hours, 0 to 24.");
                goal.photoperiod_h = *hours;
                return {};
            }))
        ->setObjectName(QStringLiteral("goalPhotoperiod"));
}

bool isOwn(const Session& session, const std::string& name) {
    const auto& own = session.bench().method.goals;
    return std::any_of(own.begin(), own.end(), [&](const Goal& g) { return g.name == name; });
}

/// Keeps the goal as edited under a name; an emptied name gives it up.
void addKeep(Session& session, FormColumn& form) {
    form.addText(
            tr("keep it as"),
            [&session] {
                return isOwn(session, session.goal().name) ? text(session.goal().name) : QString();
            },
            [&session](const QString& typed) -> QString {
                const auto name = typed.trimmed().toStdString();
                if (std::any_of(readyGoals().begin(), readyGoals().end(),
                                [&](const Goal& g) { return g.name == name; }))
                    return tr("A ready goal has that name.");
                return session.changeMethod([&](Method& m) {
                    const auto old = name.empty() ? m.goal.name : name;
                    std::erase_if(m.goals, [&](const Goal& g) { return g.name == old; });
                    m.goal.name = name;
                    if (!name.empty()) m.goals.push_back(m.goal);
                });
            },
            tr("a name keeps it as yours"))
        ->setObjectName(QStringLiteral("goalName"));
}

}  // namespace

void addGoalRows(Session& session, FormColumn& form) {
    addGoalChoice(session, form);
    addBand(session, form);
    form.addFold(tr("The goal in full"));
    addSchoolChoice(session, form);
    addLevels(session, form);
    addZoneAndDay(session, form);
    addKeep(session, form);
}

}  // namespace glumet
