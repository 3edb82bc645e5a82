#include <QTest>
#include <set>
#include <string>

#include "core/bench/descriptions.h"
#include "runner/registry.h"

namespace core_descriptions {

using namespace glumet;

const EntityType& typeOf(const char* name) {
#define GLUMET_NAMED(Entity) \
    if (std::string_view(name) == #Entity) return entityType<Entity>();
    GLUMET_BENCH_ENTITIES(GLUMET_NAMED)
#undef GLUMET_NAMED
    return entityType<Bench>();
}

std::vector<const char*> names() {
#define GLUMET_NAME(Entity) #Entity,
    return {GLUMET_BENCH_ENTITIES(GLUMET_NAME)};
#undef GLUMET_NAME
}

class TestDescriptions : public QObject {
    Q_OBJECT
  private slots:
    void noTwoPartsOfAnEntityHaveOneKey() {
        for (const char* name : names()) {
            std::set<std::string> keys;
            for (const auto& part : typeOf(name).parts)
                QVERIFY2(keys.insert(std::string(part.key) + (part.inTable() ? "" : " in JSON")).second,
                         qPrintable(QString::fromLatin1(name) + QLatin1Char(' ') + QLatin1String(part.key)));
        }
    }

    void aBlankEntityLiesWithinItsRanges() {
        for (const char* name : names()) {
            const auto& type = typeOf(name);
            for (const auto& part : type.parts) {
                if (part.kind != PartKind::Field || part.type->kind != ValueKind::Number || part.above)
                    continue;
                QVERIFY2(part.holds(part.type->number(part.of(type.blank))),
                         qPrintable(QString::fromLatin1(name) + QLatin1Char(' ') + QLatin1String(part.key)));
            }
        }
    }

    void aFieldIsItsMember() {
        Reading reading;
        const auto& type = entityType<Reading>();
        const auto* x = type.field("x_mm");
        QVERIFY(x != nullptr);
        x->type->set_number(x->of(static_cast<void*>(&reading)), 12.5);
        QCOMPARE(reading.x.value(), 12.5);
        type.id(&reading) = 7;
        QCOMPARE(reading.id, Id{7});
        QVERIFY(type.field("no such") == nullptr);
    }

    /// A run's settings are its base; a field of them counts from the run all the same.
    void aFieldOfABaseIsItsMember() {
        Run run;
        const auto* fixture = entityType<Run>().field("fixture");
        QVERIFY(fixture != nullptr);
        fixture->reference(static_cast<void*>(&run)) = 3;
        QCOMPARE(run.fixture, Id{3});
        QVERIFY(fixture->target().table == entityType<Fixture>().table);
    }

    void whatHasRowsBelowItSaysSo() {
        QVERIFY(entityType<Plane>().hasChildren());
        QVERIFY(!entityType<Reading>().hasChildren());
        QVERIFY(&entityType<Plane>().list("readings").child() == &entityType<Reading>());
    }

    void aWordThatIsNotKnownChangesNothing() {
        const auto kind = WallKind::Opaque;
        auto read = kind;
        QVERIFY(!readWord("brick", read));
        QVERIFY(read == kind);
        QVERIFY(readWord("acrylic", read));
        QVERIFY(read == WallKind::Acrylic);
    }
};

GLUMET_TEST(TestDescriptions, "core_descriptions", Nothing)

}  // namespace core_descriptions

#include "test_descriptions.moc"
