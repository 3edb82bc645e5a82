#include "desk/array/array_findings.h"

#include <QCoreApplication>
#include <map>

#include "core/fit/fit_means.h"
#include "core/verdicts/goals.h"
#include "core/words/finding.h"
#include "report/text.h"

namespace glumet {
namespace {

constexpr double kPoorFit = 4.0;  // reduced chi-square above which nothing is recommended

class Sentences {
  public:
    void add(FindingKind kind, const QString& title, const QString& body) { add(kind, title, asWords(body)); }
    void add(FindingKind kind, const QString& title, const Words& body) {
        out_.push_back(finding(kind, asWords(title), body, EvidenceView::Field));
    }
    Finding& last() { return out_.back(); }
    std::vector<Finding> take() { return std::move(out_); }

  private:
    std::vector<Finding> out_;
};

void addCount(Sentences& say, const ArrayVerdicts& verdicts, const ArrayChoices& choices) {
    if (verdicts.counts.empty()) return;
    const auto& last = verdicts.counts.back();
    const auto goal = text(percentText(choices.goal_share));
    if (last.keeps && last.share >= choices.goal_share)
        say.add(FindingKind::Fact, last.count == 1 ? tr("1 is enough") : tr("%1 are enough").arg(last.count),
                tr("%1 reach %2 in the band, %3 asked; enter on its row in “how many” hangs them.")
                    .arg(last.count)
                    .arg(text(percentText(last.share)), goal));
    else
        say.add(FindingKind::Fact, tr("No number is enough"),
                tr("Up to %1 were tried; the best share is %2 where %3 is asked.")
                    .arg(last.count)
                    .arg(text(percentText(last.share)), goal));
}

void addGoalWords(Sentences& say, const Session& session) {
    const auto& goal = session.goal();
    if (goal.photoperiod_h <= 0.0) return;
    say.add(FindingKind::Fact, tr("A day of it"),
            tr("%1–%2 for %3 h is %4–%5 mol·m⁻²·d⁻¹; speaking: %6.")
                .arg(text(ppfdFigure(goal.band.low)), text(ppfdFigure(goal.band.high)))
                .arg(goal.photoperiod_h)
                .arg(dailyLightIntegral(goal.band.low, goal.photoperiod_h), 0, 'f', 1)
                .arg(dailyLightIntegral(goal.band.high, goal.photoperiod_h), 0, 'f', 1)
                .arg(text(wordOf(goal.school))));
}

void addMeasured(Sentences& say, const Session& session, const std::vector<MeasuredArray>& measured) {
    for (const auto& m : measured) {
        const auto& run = session.bench().run(m.run);
        const bool fine = m.agreement && m.agreement->agrees;
        say.add(fine ? FindingKind::Fact : FindingKind::Doubt,
                fine ? tr("%1 agrees").arg(text(run.label)) : tr("%1 differs").arg(text(run.label)),
                m.agreement ? m.agreement->reason : m.agreement.error().what);
        say.last().run = m.run;
    }
}

void addDistrust(Sentences& say, const Session& session, const FitResult& fit) {
    std::map<std::size_t, std::pair<int, int>> of_run;  // distrusted, all
    for (const auto& residual : fit.residuals) {
        of_run[residual.run].first += residual.distrusted ? 1 : 0;
        ++of_run[residual.run].second;
    }
    for (const auto& [run, count] : of_run) {
        if (count.first * 2 < count.second) continue;
        say.add(
            FindingKind::Doubt,
            tr("The run at %1 does not fit").arg(session.length(session.bench().run(run).height)),
            tr("%1 of its %2 readings are off by more than four standard errors: its draw, mode or height "
               "was not what it says.")
                .arg(count.first)
                .arg(count.second));
        say.last().run = run;
    }
    const int bad = fit.distrusted();
    if (bad == 0) return;
    const auto worst = std::max_element(fit.residuals.begin(), fit.residuals.end(),
                                        [](const FitResidual& a, const FitResidual& b) {
                                            return std::abs(a.standard_errors) < std::abs(b.standard_errors);
                                        });
    say.add(FindingKind::Doubt, tr("%1 readings do not fit").arg(bad),
            tr("The worst reads %1 where %2 is expected; they do not count.")
                .arg(text(ppfdFigure(Ppfd(worst->reading))), text(ppfdFigure(Ppfd(worst->model)))));
    say.last().run = worst->run;
    say.last().depth = worst->depth;
}

}  // namespace

Words seamWords(const SpacingAnswer& spacing, std::size_t school) {
    const auto& chosen = spacing.schools[school];
    if (!chosen.uneven()) return {};
    const double level = chosen.level_pct / 100.0;
    Words words = say(GLUMET_SAY("Core", "Half way between two lamps there is {} where {} is under them."),
                      Ppfd(chosen.between * level), Ppfd(chosen.under * level));
    const auto& smooth = spacing.schools[static_cast<std::size_t>(SpacingSchool::SmoothSeam)];
    if (smooth.speaks() && !smooth.uneven())
        words +=
            say(GLUMET_SAY("Core", "Smooth seam would not leave it: {} apart there."), Share{smooth.best});
    else
        words += say(GLUMET_SAY("Core", "No spacing of so many avoids it: more lamps, or higher."));
    return words;
}

QString refusal(const FitResult& fit, const Bench& bench) {
    if (fit.residuals.empty()) return {};
    const auto* fixture = byId(bench.fixtures, bench.run(fit.residuals.front().run).fixture);
    if (const auto factor =
            unitSuspicion(fit.model.flux(), fixture == nullptr ? std::nullopt : fixture->rated_power))
        return tr("%1 µmol/s from %2 W cannot be: a unit seems off by a factor of %3. Mend the readings or "
                  "the "
                  "rating; nothing is recommended from them.")
            .arg(fit.model.flux(), 0, 'f', 0)
            .arg(fixture->rated_power->value(), 0, 'f', 0)
            .arg(*factor, 0, 'g', 3);
    if (fit.reduced_chi_square > kPoorFit)
        return tr("The readings do not fit the fixture and tank as described (reduced chi-square %1): "
                  "nothing is "
                  "recommended from them. Look at Field, difference.")
            .arg(fit.reduced_chi_square, 0, 'f', 1);
    return {};
}

Finding nothingYet(const QString& why) {
    Sentences say;
    say.add(FindingKind::Next, tr("No array yet"), why);
    return say.last();
}

std::vector<Finding> arrayFindings(const Session& session, const FitResult& fit,
                                   const ArrayVerdicts& verdicts, std::size_t school,
                                   const ArrayChoices& choices) {
    const std::array names{tr("edge share"), tr("smooth seam"), tr("band fill")};
    Sentences list;
    const auto& chosen = verdicts.spacing.schools[school];
    if (chosen.uneven())
        list.add(
            FindingKind::Doubt,
            chosen.between < chosen.under ? tr("A trough between the lamps") : tr("A hump between the lamps"),
            seamWords(verdicts.spacing, school));
    addMeasured(list, session, verdicts.measured);
    for (std::size_t i = 0; i < verdicts.spacing.schools.size(); ++i)
        if (i != school)
            list.add(FindingKind::Fact, tr("By %1").arg(names[i]), verdicts.spacing.schools[i].reason);
    addCount(list, verdicts, choices);
    if (verdicts.shared) list.add(FindingKind::Fact, tr("Two goals"), verdicts.shared->reason);
    if (verdicts.mix) list.add(FindingKind::Fact, tr("Channel by channel"), verdicts.mix->reason);
    addGoalWords(list, session);
    const QString reader =
        session.sweep() == nullptr ? QString() : text(session.sweep()->configuration.read_by);
    list.add(FindingKind::Fact,
             restsOnMeans(fit) ? tr("Fitted to %1 means that %2 read").arg(fit.means).arg(reader)
                               : tr("Fitted to %1 readings").arg(fit.model.readings),
             tr("They lie %1 off it; it emits %2 ± %3 µmol/s.")
                 .arg(text(percentText(fit.model.relative_residual)))
                 .arg(fit.model.flux(), 0, 'f', 0)
                 .arg(fit.model.fluxError(), 0, 'f', 1));
    addDistrust(list, session, fit);
    for (const auto& sentence : fit.cannot_tell) list.add(FindingKind::Doubt, tr("Cannot be told"), sentence);
    return list.take();
}

}  // namespace glumet
