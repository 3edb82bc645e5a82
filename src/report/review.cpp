#include "report/review.h"

#include <QCoreApplication>
#include <algorithm>
#include <cmath>

#include "core/bench/reading_note.h"
#include "core/meter/immersion.h"
#include "core/meter/meter_correction.h"
#include "core/survey/checks.h"
#include "core/survey/point_doubts.h"
#include "core/survey/repeatability.h"
#include "core/words/finding.h"
#include "report/plan_figure.h"
#include "report/text.h"

namespace glumet {
namespace {

QString tr(const char* source) { return QCoreApplication::translate("Review", source); }

QString wallWord(const Wall& wall) {
    switch (wall.kind) {
        case WallKind::Glass:
            return tr("clear glass");
        case WallKind::Acrylic:
            return tr("acrylic");
        case WallKind::Opaque:
            return tr("covered (reflects %1)").arg(text(percentText(wall.reflectance)));
    }
    return {};
}

QString wallsSentence(const Tank& tank) {
    const bool alike = std::all_of(tank.walls.begin(), tank.walls.end(),
                                   [&](const Wall& wall) { return wall == tank.walls.front(); });
    if (alike) return tr("all %1").arg(wallWord(tank.walls.front()));
    return tr("left %1, right %2, front %3, back %4")
        .arg(wallWord(tank.wall(Side::Left)), wallWord(tank.wall(Side::Right)),
             wallWord(tank.wall(Side::Front)), wallWord(tank.wall(Side::Back)));
}

QString waterSentence(const Tank* tank, WaterState water) {
    if (water == WaterState::Dry) return tr("dry");
    const QString kind =
        tank != nullptr && tank->water_kind == WaterKind::Sea ? tr("sea water") : tr("fresh water");
    return (water == WaterState::Moving ? tr("%1, moving") : tr("%1, pumps off")).arg(kind);
}

/// What Glumet was to do is said by what it has done: readings that came otherwise, from a file say, were not
/// touched.
QString immersionSentence(const MeterProfile& meter, const Run& run) {
    int applied = 0;
    int all = 0;
    for (const auto& plane : run.planes)
        for (const auto& reading : plane.readings) {
            if (!reading.counts()) continue;
            ++all;
            applied += immersionApplied(reading) ? 1 : 0;
        }
    switch (meter.immersion_by) {
        case ImmersionBy::Nobody:
            return tr("immersion factor not applied");
        case ImmersionBy::MeterMode:
            return tr("immersion ×%1 applied by the meter").arg(meter.immersion_factor);
        case ImmersionBy::Glumet:
            return applied == all ? tr("immersion ×%1 applied by Glumet").arg(meter.immersion_factor)
                                  : tr("immersion ×%1 applied by Glumet to %2 of %3 readings")
                                        .arg(meter.immersion_factor)
                                        .arg(applied)
                                        .arg(all);
    }
    return {};
}

QString powerSentence(const Run& run, const Fixture* fixture) {
    const auto power = run.power();
    if (!power) return {};
    QString sentence = tr("%1 W at the wall").arg(power->value(), 0, 'f', 1);
    if (fixture != nullptr && fixture->rated_power)
        sentence += tr(" of %1 W rated").arg(fixture->rated_power->value(), 0, 'f', 0);
    return sentence;
}

class ReviewMaker {
  public:
    ReviewMaker(const Bench& bench, const ReviewChoice& choice) : choice_(choice) {
        // Only what this review is about: its descriptions, and the runs of its sweep.
        r_.bench.title = bench.title;
        r_.bench.tanks = bench.tanks;
        r_.bench.fixtures = bench.fixtures;
        r_.bench.accessories = bench.accessories;
        r_.bench.meters = bench.meters;
        r_.bench.method = bench.method;
        r_.bench.checks = bench.checks;
        for (const auto& run : bench.runs)
            if (configurationOf(run) == choice.configuration) r_.bench.runs.push_back(run);
        r_.unit = choice.unit;
        r_.band = bench.method.goal.band;
    }

    Expected<Review> make() {
        const auto sweeps = sweepsOf(r_.bench);
        if (sweeps.empty())
            return problem("", say(GLUMET_SAY("Core", "there is no such configuration in the project")));
        r_.sweep = sweeps.front();
        rows();
        if (r_.rows.empty())
            return problem(configurationName(r_.bench, choice_.configuration),
                           say(GLUMET_SAY("Core", "has no reading to publish")));
        r_.title = text(configurationName(r_.bench, choice_.configuration));
        r_.subtitle = tr("%1, %2").arg(text(r_.bench.title), choice_.day);
        const auto asked = schoolOptions(r_.bench, r_.sweep);
        r_.verdict = spillLimit(r_.bench, r_.sweep, asked.spill);
        r_.scale_top = scaleTop(r_.bench, r_.sweep.runs);
        r_.schools = heightSchools(r_.bench, r_.sweep, asked);
        chooseRun();
        card();
        conditions();
        doubts();
        sweepDoubtsToo();
        dissent();
        r_.cautions = usualCautions();
        provenance();
        return std::move(r_);
    }

  private:
    const Run& shown() const { return r_.bench.run(r_.shown_run); }
    QString length(Millimetre value) const { return text(lengthText(value, r_.unit)); }

    void rows() {
        for (const auto index : r_.sweep.runs)
            for (const auto& plane : r_.bench.run(index).planes)
                if (auto statistics = planeStatistics(plane, r_.band))
                    r_.rows.push_back({r_.bench.run(index).height, plane.depth, *statistics});
    }

    void chooseRun() {
        r_.shown_run = r_.sweep.runs.front();
        for (const auto index : r_.sweep.runs)
            if (r_.headlineHeight() && r_.bench.run(index).height == *r_.headlineHeight())
                r_.shown_run = index;
    }

    void card() {
        const auto& v = r_.verdict;
        const auto* head = r_.headline();
        if (head != nullptr && head->school != HeightSchool::SpillLimit) {
            r_.card.push_back({tr("School"), text(wordOf(head->school))});
            if (head->crossing) r_.card.push_back({tr("Best at"), length(*head->crossing)});
        }
        r_.card.push_back(
            {head != nullptr && head->school != HeightSchool::SpillLimit ? tr("Beside it") : tr("School"),
             tr("spill limit, at most %1 lost").arg(text(percentText(v.limit_asked)))});
        if (v.depth_used) r_.card.push_back({tr("Judged"), tr("%1 under water").arg(length(*v.depth_used))});
        if (v.crossing) r_.card.push_back({tr("Limit met at"), length(*v.crossing)});
        if (v.low && v.high)
            r_.card.push_back({tr("95 % sure"), text(lengthRange(*v.low, *v.high, r_.unit))});
        if (const auto* plane = v.depth_used ? planeAt(shown(), *v.depth_used) : nullptr) output(*plane);
        const auto* fixture = byId(r_.bench.fixtures, r_.sweep.configuration.fixture);
        if (fixture != nullptr && fixture->claimed_height_low && fixture->claimed_height_high)
            r_.card.push_back({tr("Maker says"), text(lengthRange(*fixture->claimed_height_low,
                                                                  *fixture->claimed_height_high, r_.unit))});
    }

    /// What the other schools say, and the reviewer against them.
    void dissent() {
        QString others;
        for (const auto& school : r_.schools) {
            const QString said = school.speaks() ? length(*school.height) : tr("cannot speak");
            r_.opinions.push_back(
                {text(wordOf(school.school)), tr("%1. %2").arg(said, text(school.reason, r_.unit))});
            if (school.school != r_.bench.method.school && school.speaks())
                others += tr("%1%2 %3").arg(others.isEmpty() ? QString() : QStringLiteral(", "),
                                            text(wordOf(school.school)), said);
        }
        if (!others.isEmpty()) r_.card.push_back({tr("Other schools"), others});
        if (r_.bench.method.dissent.empty()) return;
        r_.opinions.push_back({tr("dissent"), text(r_.bench.method.dissent)});
        r_.card.push_back({tr("Dissent"), text(r_.bench.method.dissent)});
    }

    void output(const Plane& plane) {
        const auto statistics = planeStatistics(plane, r_.band);
        if (!statistics) return;
        r_.card.push_back({tr("Mean there"),
                           tr("%1 µmol·m⁻²·s⁻¹, peak %2")
                               .arg(text(ppfdFigure(statistics->mean)), text(ppfdFigure(statistics->max)))});
        r_.card.push_back(
            {tr("In %1–%2").arg(text(ppfdFigure(r_.band.low)), text(ppfdFigure(r_.band.high))),
             tr("%1 of %2 points").arg(text(percentText(*statistics->share_in_band))).arg(statistics->n)});
        const auto* tank = byId(r_.bench.tanks, r_.sweep.configuration.tank);
        if (tank == nullptr) return;
        const auto delivered = deliveredOutput(statistics->mean, tank->length, tank->width);
        QString line = tr("%1 µmol/s").arg(delivered.value(), 0, 'f', 0);
        if (const auto power = shown().power(); power && power->value() > 0)
            line += tr(", %1 µmol/J").arg(deliveredEfficacy(delivered, *power), 0, 'f', 2);
        r_.card.push_back({tr("Delivered"), line});
    }

    void conditions() {
        const auto& run = shown();
        const auto* tank = byId(r_.bench.tanks, run.tank);
        if (tank != nullptr)
            r_.conditions.push_back(
                {tr("Tank"), tr("%1, %2 × %3, %4 deep; walls %5")
                                 .arg(text(tank->name), text(lengthFigure(tank->length, r_.unit)),
                                      length(tank->width), length(tank->water_depth), wallsSentence(*tank))});
        else
            r_.conditions.push_back({tr("Tank"), tr("not described")});
        QString water = waterSentence(tank, run.water);
        if (tank != nullptr)
            water += tank->use == TankUse::Bench ? tr("; bare bench tank")
                                                 : tr("; living tank, an impression and no benchmark");
        r_.conditions.push_back({tr("Water"), water});
        if (const auto* meter = byId(r_.bench.meters, run.meter))
            r_.conditions.push_back(
                {tr("Meter"),
                 tr("%1, %2; %3; calibration ± %4")
                     .arg(text(meter->name), meter->kind.empty() ? tr("kind not stated") : text(meter->kind),
                          immersionSentence(*meter, run), text(percentText(meter->relative_uncertainty)))});
        else
            r_.conditions.push_back({tr("Meter"), tr("not recorded")});
        const auto power = powerSentence(run, byId(r_.bench.fixtures, run.fixture));
        if (!power.isEmpty()) r_.conditions.push_back({tr("Draw"), power});
        if (run.warm_up_min)
            r_.conditions.push_back({tr("Warm-up"), tr("%1 min").arg(*run.warm_up_min, 0, 'f', 0)});
        if (run.dark_reading)
            r_.conditions.push_back({tr("Dark reading"), text(ppfdFigure(*run.dark_reading))});
        checksMade();
        const auto repeats = repeatabilityOf(r_.bench, r_.sweep.runs);
        if (repeats.pairs > 0)
            r_.conditions.push_back(
                {tr("Repeats"), tr("%1 points read twice agree to %2%3")
                                    .arg(repeats.pairs)
                                    .arg(text(percentText(repeats.relative_sd)), driftText(repeats))});
        uncertainty(repeats);
        r_.conditions.push_back(
            {tr("Readings"), tr("means of settled readings, %1 in all; table gives spread over the points")
                                 .arg(readingCount())});
    }

    static QString driftText(const Repeatability& repeats) {
        if (repeats.returns < 3) return {};
        return tr("; drift %1 ± %2 % an hour")
            .arg(repeats.drift_per_hour * 100.0, 0, 'f', 1)
            .arg(repeats.drift_error * 100.0, 0, 'f', 1);
    }

    /// What a single absolute reading is worth, part by part.
    void uncertainty(const Repeatability& repeats) {
        const auto* meter = byId(r_.bench.meters, shown().meter);
        if (meter == nullptr) return;
        UncertaintyParts parts;
        parts.calibration = meter->relative_uncertainty;
        if (const auto* correction = correctionFor(*meter, presetName(r_.bench, shown())))
            parts.correction = correction->uncertainty;
        parts.cosine = meter->cosine_error / std::sqrt(3.0);
        parts.repeatability = repeats.relative_sd;
        parts.drift = repeats.largest_change / std::sqrt(3.0);
        r_.conditions.push_back(
            {tr("Sure to"),
             tr("± %1 for one reading in absolute terms (k = 1)").arg(text(percentText(parts.combined())))});
    }

    /// What was checked before the first reading of the runs, and what was overruled.
    void checksMade() {
        int made = 0;
        for (const auto index : r_.sweep.runs) {
            const auto& run = r_.bench.run(index);
            for (const auto& check : r_.bench.checks) {
                if (check.run != run.id) continue;
                ++made;
                if (!check.overruled.empty())
                    r_.doubts.push_back(
                        tr("At %1, overruled: %2 Reason given: %3")
                            .arg(length(run.height), text(check.verdict), text(check.overruled)));
            }
        }
        r_.conditions.push_back({tr("Checks"), made == 0
                                                   ? tr("none recorded before the first reading")
                                                   : tr("%1 recorded before the first readings").arg(made)});
    }

    int readingCount() const {
        int count = 0;
        for (const auto& row : r_.rows) count += row.statistics.n;
        return count;
    }

    void doubts() {
        for (const auto& doubt : r_.verdict.doubts) r_.doubts.push_back(text(doubt, r_.unit));
        for (const auto index : r_.sweep.runs)
            for (const auto& finding : runDoubts(r_.bench, index))
                if (finding.kind == FindingKind::Doubt)
                    r_.doubts.push_back(tr("At %1: %2. %3")
                                            .arg(length(r_.bench.run(index).height),
                                                 text(finding.title, r_.unit), text(finding.body, r_.unit)));
    }

    void sweepDoubtsToo() {
        for (const auto& finding : sweepDoubts(r_.bench, r_.sweep))
            if (finding.kind == FindingKind::Doubt)
                r_.doubts.push_back(
                    QStringLiteral("%1. %2").arg(text(finding.title, r_.unit), text(finding.body, r_.unit)));
    }

    void provenance() {
        bool simulated = false;
        for (const auto index : r_.sweep.runs)
            for (const auto& plane : r_.bench.run(index).planes)
                for (const auto& reading : plane.readings)
                    simulated |= reading.counts() && isSimulated(reading);
        if (simulated)
            r_.provenance =
                tr("Some readings come from the practice meter: they are simulated, not measured.");
        if (!r_.bench.method.note.empty())
            r_.provenance +=
                (r_.provenance.isEmpty() ? QString() : QStringLiteral(" ")) + text(r_.bench.method.note);
    }

    const ReviewChoice& choice_;
    Review r_;
};

}  // namespace

std::vector<QString> usualCautions() {
    return {tr("Mains over water: residual-current protection, drip loops, and a second tether for any "
               "housing that carries mains voltage. "
               "Local electrical code and a licensed electrician have the last word."),
            tr("A hanging load asks for anchors rated well above it; nobody stands or reaches under it while "
               "it is moved. Glass edges and braces carry no loads."),
            tr("Never look into bright blue, violet or ultraviolet emitters; wear eye protection while they "
               "are on. Housings get hot."),
            tr("Livestock: begin dim and raise over weeks, whatever the figures say.")};
}

Expected<Review> reviewOf(const Bench& bench, const ReviewChoice& choice) {
    return ReviewMaker(bench, choice).make();
}

}  // namespace glumet
