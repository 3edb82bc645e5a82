#include <QTest>
#include <nlohmann/json.hpp>

#include "core/words/sentence.h"
#include "formats/model_json.h"
#include "runner/registry.h"

namespace formats_model_json {

using namespace glumet;
using Json = nlohmann::json;

namespace {

LightModel modelOf(BeamShape shape) {
    LightModel model;
    model.fixture = "Fern 20";
    model.configuration = "Fern 20, all channels full";
    model.emitters = {{-40.0, 0.0, 0.45}, {40.0, 5.0, 0.55}};
    model.shape = shape;
    model.beam.clear();
    for (int i = 0; i < BeamBasis::size(shape); ++i) model.beam.push_back(3.0 + 0.01 * i);
    model.height_offset_mm = 2.5;
    model.covariance.assign(model.parameters() * model.parameters(), 0.0);
    for (std::size_t i = 0; i < model.parameters(); ++i)
        model.covariance[i * (model.parameters() + 1)] = 0.04;
    model.own_offset_share = 0.36;
    model.ruler_mm = 4.0;
    model.misfit = 0.012;
    model.body_length_mm = 180.0;
    model.readings = 324;
    return model;
}

std::string refusal(const Json& json) {
    const auto model = readModel(json.dump());
    return model ? "a model" : english(model.error());
}

}  // namespace

class TestModelJson : public QObject {
    Q_OBJECT

  private slots:
    void everyShapeIsReadBackTheSame() {
        for (const auto shape : {BeamShape::Round, BeamShape::TwoPlanes, BeamShape::Free}) {
            auto model = modelOf(shape);
            if (shape == BeamShape::TwoPlanes) model.shroud = SceneShroud{200, 120, 40};
            const auto again = readModel(writeModel(model));
            QVERIFY2(again, again ? "" : english(again.error()).c_str());
            QVERIFY(*again == model);
            QVERIFY(again->elsewhere() == model.elsewhere());
        }
    }

    /// A model of the first version is round, and all of its offset goes along.
    void theFirstVersionIsRead() {
        auto json = Json::parse(writeModel(modelOf(BeamShape::Round)));
        json["version"] = 1;
        json["basis"].erase("azimuths");
        for (const char* key : {"own_offset_share", "ruler_mm", "misfit"}) json.erase(key);
        const auto model = readModel(json.dump());
        QVERIFY(model.has_value());
        QCOMPARE(model->shape, BeamShape::Round);
        QCOMPARE(model->elsewhere().height_offset_mm, 2.5);
        QCOMPARE(model->elsewhere().covariance, model->covariance);
        QCOMPARE(model->misfit, 0.0);
    }

    void whatDoesNotFitIsNamed() {
        auto json = Json::parse(writeModel(modelOf(BeamShape::Round)));
        json["basis"]["azimuths"] = "three-planes";
        QVERIFY(refusal(json).find("basis.azimuths") != std::string::npos);
        json["basis"]["azimuths"] = "two-planes";
        QVERIFY(refusal(json).find("beam_umol_s_sr") != std::string::npos);
        json = Json::parse(writeModel(modelOf(BeamShape::Free)));
        json["covariance"].erase(0);
        QVERIFY(refusal(json).find("covariance") != std::string::npos);
        json["version"] = 9;
        QVERIFY(refusal(json).find("newer") != std::string::npos);
    }
};

GLUMET_TEST(TestModelJson, "formats_model_json", Nothing)

}  // namespace formats_model_json

#include "test_model_json.moc"
