#include "core/fit/posterior_draws.h"

#include <QTest>
#include <cmath>

#include "core/lamp_maker.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_posterior_draws {

using namespace glumet;
using glumet::testing::lamp;
using glumet::testing::over;

namespace {

/// The lamp with each coefficient and the height known so well.
LightModel unsure(double relative, double height_mm) {
    auto model = lamp();
    const std::size_t kSize = model.parameters();
    for (std::size_t k = 0; k + 1 < kSize; ++k)
        model.covariance[k * kSize + k] = std::pow(relative * model.beam[k], 2);
    model.covariance.back() = height_mm * height_mm;
    return model;
}

double widthOf(const SpacingVerdict& verdict) { return *verdict.high - *verdict.low; }

}  // namespace

class TestPosteriorDraws : public QObject {
    Q_OBJECT

  private slots:
    void drawsScatterAsTheFieldsOwnInterval() {
        const auto model = unsure(0.1, 4.0);
        auto scene = over(900).tank;
        hangAt(scene, {300, 600}, Millimetre(220), 1.0, {});
        const std::vector<BasisField::Point> points{{300, 300, 200}, {450, 250, 350}, {800, 80, 120}};
        const auto said = predict(model, scene, points);
        const DrawnField field(model, scene, points);
        PosteriorDraws draws(model, 7);
        std::vector<std::vector<double>> values(points.size());
        for (int draw = 0; draw < 2000; ++draw) {
            const auto lit = field.values(draws.next());
            for (std::size_t i = 0; i < lit.size(); ++i) values[i].push_back(lit[i]);
        }
        const auto fitted = field.values(draws.mean());
        for (std::size_t i = 0; i < points.size(); ++i) {
            QVERIFY(std::abs(fitted[i] / said[i].ppfd - 1.0) < 1e-9);
            const auto [low, high] = *middle95(values[i]);
            QVERIFY(std::abs((high - low) / (said[i].hi - said[i].lo) - 1.0) < 0.1);
        }
        QVERIFY(!middle95({}));
    }

    /// Of forty draws the second and the last but one would hold nine tenths only.
    void fortyDrawsGiveNineteenInTwenty() {
        std::mt19937_64 random(11);
        std::normal_distribution<double> normal;
        double held = 0.0;
        constexpr int kSets = 4000;
        for (int set = 0; set < kSets; ++set) {
            std::vector<double> draws;
            for (int i = 0; i < 40; ++i) draws.push_back(normal(random));
            const auto [low, high] = *middle95(draws);
            held += 0.5 * (std::erf(high / std::sqrt(2.0)) - std::erf(low / std::sqrt(2.0))) / kSets;
        }
        QVERIFY2(std::abs(held - 0.95) < 0.004, qPrintable(QString::number(held)));
        QCOMPARE(middle95({3.0, 1.0, 2.0}), (std::optional(std::pair{1.0, 3.0})));
    }

    void theSameSeedDrawsTheSame() {
        PosteriorDraws one(unsure(0.1, 1), 3);
        PosteriorDraws other(unsure(0.1, 1), 3);
        QCOMPARE(one.next(), other.next());
        QVERIFY(one.next() != one.mean());
    }

    void spacingSaysHowSureItIs() {
        auto question = over(1200);
        question.goal.band = {Ppfd(15), Ppfd(18)};
        const auto known = spacing(lamp(), question);
        const auto vague = spacing(unsure(0.05, 2.0), question);
        const auto vaguer = spacing(unsure(0.1, 4.0), question);
        for (std::size_t s = 0; s < known->schools.size(); ++s) {
            QVERIFY(known->schools[s].speaks());
            QVERIFY(widthOf(known->schools[s]) < 1e-3);
            const auto& verdict = vague->schools[s];
            QVERIFY(*verdict.low <= verdict.best && verdict.best <= *verdict.high);
            QVERIFY(widthOf(verdict) > 0.0);
            QVERIFY(widthOf(vaguer->schools[s]) > widthOf(verdict));
        }
        QVERIFY(english(vague->schools[0].reason).find("By the fit") != std::string::npos);
        QCOMPARE(known->asked.count, question.count);
        QCOMPARE(vague->used, unsure(0.05, 2.0));
    }

    void companionsShineWithinTheInterval() {
        auto question = over(1200);
        const auto alone = spacing(unsure(0.1, 0.0), question);
        // A strong neighbour that is known drowns what is not.
        auto strong = lamp();
        for (auto& k : strong.beam) k *= 30.0;
        question.companions = {{strong, 600, 120, 0, Millimetre(400), 1.0}};
        const auto beside = spacing(unsure(0.1, 0.0), question);
        QVERIFY(widthOf(beside->schools[0]) < 0.5 * widthOf(alone->schools[0]));
        QVERIFY(*beside->schools[0].low <= beside->schools[0].best);
    }

    void whoDoesNotAskGetsNoInterval() {
        auto question = over(1200);
        question.draws = 0;
        const auto answer = spacing(unsure(0.1, 1.0), question);
        QVERIFY(answer->schools[0].speaks());
        QVERIFY(!answer->schools[0].low);
    }
};

GLUMET_TEST(TestPosteriorDraws, "core_posterior_draws", Nothing)

}  // namespace core_posterior_draws

#include "test_posterior_draws.moc"
