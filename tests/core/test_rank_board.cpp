#include "core/compare/rank_board.h"

#include <QTest>
#include <cmath>
#include <random>

#include "core/bench_maker.h"
#include "core/compare/compare_findings.h"
#include "core/compare/school_orders.h"
#include "core/verdicts/goal_level.h"
#include "core/words/sentence.h"
#include "runner/registry.h"

namespace core_rank_board {

using namespace glumet;
using glumet::testing::planeOfValues;

namespace {

/// A fixture of a bench that is made for ranking.
struct Lamp {
    const char* name;
    double mean;
    double edge;  ///< of the outermost cells, against the mean
    double watt;
    double price;
    const char* currency = "¤";
};

Bench benchOf(const std::vector<Lamp>& lamps) {
    Bench bench;
    Tank tank;
    tank.id = 1;
    bench.tanks = {tank};
    for (const auto& lamp : lamps) {
        Fixture fixture;
        fixture.id = static_cast<Id>(bench.fixtures.size()) + 1;
        fixture.name = lamp.name;
        fixture.price = lamp.price;
        fixture.currency = lamp.currency;
        if (lamp.watt > 0.0) fixture.rated_power = Watt(lamp.watt);
        bench.fixtures.push_back(fixture);
        Run run;
        run.id = fixture.id;
        run.fixture = fixture.id;
        run.tank = 1;
        run.height = Millimetre(200);
        run.planes.push_back(planeOfValues(150, 6, 6, [&](int i, int j) {
            const bool outer = i == 0 || j == 0 || i == 5 || j == 5;
            return lamp.mean * (outer ? lamp.edge : 1.2);
        }));
        bench.runs.push_back(run);
    }
    return bench;
}

std::vector<Judged> judgedOf(const Bench& bench) {
    JudgeQuestion question;
    for (const auto criterion : allCriteria()) question.wanted.insert(criterion);
    question.wanted.erase(Criterion::PriceForGoal);
    return judgeAll(bench, contendersOf(bench, sweepsOf(bench), {}, {}), {}, question);
}

RankQuestion asked(const Bench& bench) {
    RankQuestion question;
    question.weights = weightsOf(bench);
    question.shown = allCriteria();
    question.band = bench.method.goal.band;
    return question;
}

}  // namespace

class TestRankBoard : public QObject {
    Q_OBJECT

  private slots:
    void theBetterInEverythingComesFirst() {
        const auto bench =
            benchOf({{"Dim", 100, 0.4, 60, 300}, {"Best", 200, 0.9, 60, 100}, {"Mid", 150, 0.6, 60, 200}});
        const auto judged = judgedOf(bench);
        const auto board = rankBoard(judged, asked(bench));
        QCOMPARE(board.order, (std::vector<std::size_t>{1, 2, 0}));
        QCOMPARE(board.rows[1].rank, 1);
        QCOMPARE(board.rows[1].rank_hi, 1);
        QVERIFY(board.first_holds > 0.99 && board.first_holds_weights > 0.99);
        const auto* efficacy = board.figure(1, Criterion::Efficacy);
        // 200·(20·0.9 + 16·1.2)/36 × 0.36 m² / 60 W
        const double expected = 200.0 * (20 * 0.9 + 16 * 1.2) / 36.0 * 0.36 / 60.0;
        QVERIFY(std::abs(efficacy->value - expected) < 1e-9);
        QVERIFY(efficacy->lo < expected && efficacy->hi > expected && efficacy->assumed);
    }

    void whatIsWonAndWhatIsLostIsInTheAnswer() {
        const auto bench = benchOf({{"Even", 100, 0.95, 60, 200}, {"Bright", 190, 0.5, 60, 200}});
        auto with = bench;
        with.method.weights = {{Criterion::Evenness, 3}, {Criterion::Efficacy, 3}};
        const auto judged = judgedOf(with);
        const auto board = rankBoard(judged, asked(with));
        const auto answer = english(compareAnswer(judged, board).title);
        QVERIFY2(answer == "Even spreads better, Bright gives more for its watts" ||
                     answer == "Bright gives more for its watts, Even spreads better",
                 answer.c_str());
    }

    void equalFixturesShareTheirPlaces() {
        const auto bench =
            benchOf({{"A", 150, 0.7, 60, 200}, {"B", 150, 0.7, 60, 200}, {"C", 60, 0.3, 60, 400}});
        const auto judged = judgedOf(bench);
        const auto board = rankBoard(judged, asked(bench));
        for (const std::size_t i : {0, 1}) {
            QCOMPARE(board.rows[i].rank_lo, 1);
            QCOMPARE(board.rows[i].rank_hi, 2);
        }
        QCOMPARE(board.rows[2].rank_lo, 3);
        QVERIFY(board.first_holds > 0.4 && board.first_holds < 0.6);
        QVERIFY(board.figure(0, Criterion::Evenness)->tied || board.figure(1, Criterion::Evenness)->tied);
        const auto title = english(compareAnswer(judged, board).title);
        QVERIFY2(title.find("A tie at the top") == 0, title.c_str());
    }

    void whoLacksWhatCountsIsNotRanked() {
        const auto bench =
            benchOf({{"A", 150, 0.7, 60, 0}, {"B", 150, 0.7, 0, 200}, {"C", 60, 0.3, 60, 400}});
        const auto board = rankBoard(judgedOf(bench), asked(bench));
        QCOMPARE(board.order, std::vector<std::size_t>{2});
        QVERIFY(english(board.rows[0].unranked).find("price is not stated") != std::string::npos);
        QVERIFY(english(board.rows[1].unranked).find("watts") != std::string::npos);
        // Without weight on prices and watts they are.
        auto question = asked(bench);
        question.weights = {{Criterion::Evenness, 1}};
        QCOMPARE(rankBoard(judgedOf(bench), question).order.size(), std::size_t{3});
        question.weights = {};
        QVERIFY(rankBoard(judgedOf(bench), question).order.empty());
    }

    void whatNobodyHasDoesNotCountUnlessItWasChosen() {
        auto bench = benchOf({{"A", 150, 0.7, 60, 0}, {"B", 150, 0.9, 60, 0}});
        QCOMPARE(weightOf(weightsFor(bench, judgedOf(bench)), Criterion::PricePerOutput), 0.0);
        QCOMPARE(weightOf(weightsFor(bench, judgedOf(bench)), Criterion::Evenness), 3.0);
        bench.method.weights = {{Criterion::PricePerOutput, 2}};
        QCOMPARE(weightOf(weightsFor(bench, judgedOf(bench)), Criterion::PricePerOutput), 2.0);
    }

    void whatWasReadAtTheEyeIsNotModelled() {
        auto bench = benchOf({{"A", 150, 0.7, 60, 100}, {"B", 150, 0.7, 60, 100}});
        bench.runs[0].eye_reading = Ppfd(12);
        const auto judged = judgedOf(bench);
        QCOMPARE(judged[0].known.at(Criterion::EyeLight).value, 12.0);
        QVERIFY(judged[0].known.at(Criterion::EyeLight).error > 0.0);
        QVERIFY(!judged[1].known.contains(Criterion::EyeLight));
    }

    void twoCurrenciesAreNotMixed() {
        const auto bench =
            benchOf({{"A", 150, 0.7, 60, 100}, {"B", 150, 0.7, 60, 100}, {"C", 150, 0.7, 60, 100, "§"}});
        const auto judged = judgedOf(bench);
        const auto board = rankBoard(judged, asked(bench));
        QCOMPARE(board.order.size(), std::size_t{2});
        const auto why = english(board.rows[2].unranked);
        QVERIFY2(why.find("\"§\"") != std::string::npos && why.find("\"¤\"") != std::string::npos,
                 why.c_str());
        QVERIFY(board.figure(2, Criterion::Evenness) != nullptr);
    }

    /// The share that resampling finds by bins is the one of the best whole level.
    void sharesInTheBandHoldTheirOwnValue() {
        const auto bench = benchOf({{"A", 300, 0.3, 60, 100}, {"B", 90, 0.7, 60, 100}});
        const auto board = rankBoard(judgedOf(bench), asked(bench));
        for (const std::size_t i : {0, 1}) {
            std::vector<double> values;
            for (const auto& reading : bench.runs[i].planes[0].readings)
                values.push_back(reading.mean.value());
            const auto* figure = board.figure(i, Criterion::ShareInBand);
            QCOMPARE(figure->value, bestLevel(values, bench.method.goal.band).share);
            QVERIFY(figure->lo <= figure->value && figure->hi >= figure->value);
        }
    }

    /// Of a known scatter the intervals of figures hold what they say.
    void intervalsOfFiguresHold() {
        constexpr int kTimes = 200;
        int held = 0;
        std::mt19937_64 random(5);
        std::normal_distribution<double> normal;
        const auto truth = benchOf({{"A", 200, 0.7, 60, 100}});
        const double mean = 200.0 * (20 * 0.7 + 16 * 1.2) / 36.0 * 0.36;
        for (int i = 0; i < kTimes; ++i) {
            auto bench = truth;
            for (auto& reading : bench.runs[0].planes[0].readings)
                reading.mean = reading.mean * (1.0 + 0.03 * normal(random));
            auto judged = judgedOf(bench);
            judged[0].contender.planes[0].point_error = 0.03;
            auto question = asked(bench);
            question.seed = static_cast<std::uint64_t>(i);
            const auto board = rankBoard(judged, question);
            const auto* figure = board.figure(0, Criterion::Output);
            held += figure->lo <= mean && figure->hi >= mean ? 1 : 0;
        }
        QVERIFY2(held >= 0.91 * kTimes && held <= 0.99 * kTimes, qPrintable(QString::number(held)));
    }

    void aStoppedBoardSaysSo() {
        const auto bench = benchOf({{"A", 150, 0.7, 60, 100}, {"B", 150, 0.7, 60, 100}});
        std::stop_source stop;
        stop.request_stop();
        auto question = asked(bench);
        question.stop = stop.get_token();
        QVERIFY(rankBoard(judgedOf(bench), question).cancelled);
        QVERIFY(rankBoard({}, question).rows.empty());
    }

    void costAddsUp() {
        auto bench = benchOf({{"A", 200, 0.7, 50, 100}});
        bench.fixtures[0].mount_price = 20;
        bench.fixtures[0].life_h = 9000;
        bench.fixtures[0].lamp_price = 30;
        bench.accessories = {{1, "frost", "", 10.0}};
        CostQuestion q;
        q.count = 2;
        q.power = Watt(50);
        q.level = 0.8;
        q.hours_day = 10;
        q.price_kwh = 0.25;
        q.years = 5;
        q.delivered = PhotonFlux(100);
        const auto cost = costOf(bench, 1, 1, q);
        QCOMPARE(*cost.buying, 260.0);
        QCOMPARE(*cost.kwh_year, 2 * 50 * 0.8 * 10 * 365 / 1000.0);
        QCOMPARE(*cost.energy_year, 73.0);
        QCOMPARE(cost.replacements, 2);  // 18 250 h of burning
        QCOMPARE(*cost.lamps, 120.0);
        QCOMPARE(*cost.total, 260.0 + 120.0 + 5 * 73.0);
        QCOMPARE(*cost.moles_year, 100 * 0.8 * 10 * 3600 * 365 / 1e6);
        QVERIFY(std::abs(*cost.per_mole - *cost.total / 5 / *cost.moles_year) < 1e-12);
        QVERIFY(std::abs(*cost.idle_price - 52.0) < 1e-9);
        q.price_kwh = 0;
        q.power.reset();
        const auto unknown = costOf(bench, 1, 0, q);
        QVERIFY(!unknown.total && unknown.missing.size() == 1);
        bench.fixtures[0].price = 0;
        QVERIFY(!costOf(bench, 1, 0, q).buying);
        // Nothing is bought on the last day.
        bench.fixtures[0].price = 100;
        bench.fixtures[0].life_h = 18250;
        q.power = Watt(50);
        QCOMPARE(costOf(bench, 1, 0, q).replacements, 0);
    }

    void schoolsOrderTheSameFixtures() {
        auto bench = benchOf({{"A", 200, 0.7, 60, 100}, {"B", 120, 0.8, 60, 150}});
        for (auto& run : std::vector<Run>(bench.runs)) {
            run.id += 10;
            run.height = Millimetre(300);
            for (auto& plane : run.planes)
                for (auto& reading : plane.readings) reading.mean = reading.mean * 0.6;
            bench.runs.push_back(run);
        }
        const auto orders = schoolOrders(bench, sweepsOf(bench), {}, {});
        QVERIFY(orders.size() >= 6);
        QVERIFY(!orders.front().changes());
        for (const auto& order : orders) QCOMPARE(order.names.size(), std::size_t{2});
    }
};

GLUMET_TEST(TestRankBoard, "core_rank_board", Nothing)

}  // namespace core_rank_board

#include "test_rank_board.moc"
