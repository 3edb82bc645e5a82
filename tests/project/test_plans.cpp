#include <QTemporaryDir>
#include <QTest>

#include "core/words/sentence.h"
#include "formats/bench_json.h"
#include "project/project.h"
#include "runner/registry.h"

namespace project_plans {

using namespace glumet;

/// Planned arrays in the project's file.
class TestPlans : public QObject {
    Q_OBJECT

  private slots:
    void init() {
        dir_ = std::make_unique<QTemporaryDir>();
        project_ = fresh("one");
        Tank tank;
        tank.name = "Pond";
        tank_ = *project_->save(tank);
        for (const char* name : {"Fern", "Reed"}) {
            Fixture fixture;
            fixture.name = name;
            fixture.presets = {{0, "full", {}}};
            fixtures_.push_back(*project_->save(fixture));
        }
    }
    void cleanup() {
        fixtures_.clear();
        project_.reset();
        dir_.reset();
    }

    void aPlanIsStoredChangedAndUndone() {
        auto plan = planned();
        plan.id = *project_->save(plan);
        const Bench before = bench();
        project_.reset();
        project_ = std::move(*Project::open(path("one")));
        QCOMPARE(bench(), before);
        QCOMPARE(bench().plans[0].fixtures[1].read_by, std::string("a friend"));
        QCOMPARE(bench().plans[0].fixtures[1].turn_deg, 90.0);
        plan = bench().plans[0];
        plan.fixtures.pop_back();
        QVERIFY(project_->save(plan));
        QCOMPARE(bench().plans[0].fixtures.size(), std::size_t{1});
        QVERIFY(*project_->undo());
        QCOMPARE(bench(), before);
        QVERIFY(project_->removePlan(plan.id));
        QVERIFY(bench().plans.empty());
        QVERIFY(*project_->undo());
        QCOMPARE(bench(), before);
    }

    void whatCannotHangIsRefused() {
        auto plan = planned();
        plan.fixtures[0].x = Millimetre(90'000);
        const auto refused = project_->save(plan);
        QVERIFY(!refused);
        QCOMPARE(english(refused.error().what), std::string("hangs beside its tank"));
        QVERIFY(bench().plans.empty());
    }

    /// By its description into another project, whose ids are others; twice is once.
    void aDescriptionBringsItAlong() {
        QVERIFY(project_->save(planned()));
        const auto read = readBench(writeBench(bench()));
        QVERIFY(read);
        QCOMPARE(read->plans.size(), std::size_t{1});
        auto other = fresh("other");
        Fixture first;
        first.name = "in the way";
        QVERIFY(other->save(first));
        for (int time = 0; time < 2; ++time)
            QVERIFY(other->importBench(*read, {}, QStringLiteral("bench.json")));
        const auto& got = other->bench();
        QCOMPARE(got.plans.size(), std::size_t{1});
        const auto& hung = got.plans[0].fixtures[1];
        QCOMPARE(byId(got.fixtures, hung.fixture)->name, std::string("Reed"));
        QCOMPARE(byId(byId(got.fixtures, hung.fixture)->presets, hung.preset)->name, std::string("full"));
        QCOMPARE(hung.y.value(), 250.0);
    }

  private:
    QString path(const char* name) const {
        return dir_->filePath(QLatin1String(name) + QLatin1String(".glumet"));
    }
    std::unique_ptr<Project> fresh(const char* name) {
        return std::move(*Project::create(path(name), QLatin1String(name)));
    }
    const Bench& bench() const { return project_->bench(); }
    PlannedArray planned() const {
        PlannedArray plan;
        plan.tank = tank_;
        plan.name = "both";
        plan.note = "of an evening";
        for (std::size_t i = 0; i < 2; ++i) {
            HungFixture hung;
            hung.fixture = fixtures_[i];
            hung.preset = byId(bench().fixtures, fixtures_[i])->presets.front().id;
            hung.x = Millimetre(100.0 + 100.0 * static_cast<double>(i));
            hung.y = Millimetre(250);
            hung.level_pct = 60;
            plan.fixtures.push_back(hung);
        }
        plan.fixtures[1].read_by = "a friend";
        plan.fixtures[1].turn_deg = 90;
        return plan;
    }

    std::unique_ptr<QTemporaryDir> dir_;
    std::unique_ptr<Project> project_;
    Id tank_ = 0;
    std::vector<Id> fixtures_;
};

GLUMET_TEST(TestPlans, "project_plans", Application)

}  // namespace project_plans

#include "test_plans.moc"
