#include "formats/scene_json.h"

#include <fmt/format.h>

#include <cmath>
#include <map>
#include <nlohmann/json.hpp>

#include "core/bench/grid.h"
#include "core/words/sentence.h"
#include "formats/beam_json.h"
#include "formats/json_text.h"
#include "formats/lm63.h"

namespace glumet {
namespace {

using Json = nlohmann::ordered_json;

constexpr auto kMostDepths = limits::kDepths;
constexpr auto kMostPoints = static_cast<double>(limits::kPoints);
constexpr std::array kSideWords{"left", "right", "front", "back"};

/// Thrown at the first thing that is wrong, caught in readScene.
struct Fault {
    Problem problem;
};
[[noreturn]] void fail(const std::string& key, Words what) { throw Fault{Problem{key, std::move(what)}}; }

/// A JSON value with the path that leads to it.
class Node {
  public:
    Node(const Json& json, std::string path) : json_(&json), path_(std::move(path)) {}

    const std::string& path() const { return path_; }
    const Json& json() const { return *json_; }
    bool has(const char* key) const { return json_->is_object() && json_->contains(key); }
    bool isNull() const { return json_->is_null(); }

    Node at(const char* key) const {
        requireObject();
        const auto found = json_->find(key);
        if (found == json_->end()) fail(join(key), say(GLUMET_SAY("Core", "is missing")));
        return {*found, join(key)};
    }
    std::vector<Node> items() const {
        if (!json_->is_array()) fail(path_, say(GLUMET_SAY("Core", "must be a list")));
        std::vector<Node> list;
        list.reserve(json_->size());
        for (std::size_t i = 0; i < json_->size(); ++i)
            list.emplace_back((*json_)[i], fmt::format("{}[{}]", path_, i));
        return list;
    }
    double number() const {
        if (!json_->is_number()) fail(path_, say(GLUMET_SAY("Core", "must be a number")));
        const auto value = json_->get<double>();
        if (!std::isfinite(value)) fail(path_, say(GLUMET_SAY("Core", "must be a finite number")));
        return value;
    }
    double number(const char* key) const { return at(key).number(); }
    double number(const char* key, double otherwise) const { return has(key) ? number(key) : otherwise; }
    bool truth(const char* key) const {
        if (!has(key)) return false;
        const auto node = at(key);
        if (!node.json_->is_boolean()) fail(node.path_, say(GLUMET_SAY("Core", "must be true or false")));
        return node.json_->get<bool>();
    }
    std::string word(const char* key) const {
        const auto node = at(key);
        if (!node.json_->is_string()) fail(node.path_, say(GLUMET_SAY("Core", "must be a text")));
        return node.json_->get<std::string>();
    }
    std::vector<double> numbers(const char* key) const {
        std::vector<double> values;
        for (const auto& item : at(key).items()) values.push_back(item.number());
        return values;
    }
    std::array<double, 3> triple(const char* key) const {
        const auto values = numbers(key);
        if (values.size() != 3)
            fail(join(key), say(GLUMET_SAY("Core", "must be three numbers [x, y, depth]")));
        return {values[0], values[1], values[2]};
    }
    int count(const char* key) const {
        const double value = number(key);
        if (!(value >= 1.0 && value <= kMostPoints) || value != std::floor(value))
            fail(join(key),
                 say(GLUMET_SAY("Core", "must be a whole number from 1 to {}"), Figure{kMostPoints, 0}));
        return static_cast<int>(value);
    }
    template <class See>
    void forEachKey(See see) const {
        requireObject();
        for (auto item = json_->begin(); item != json_->end(); ++item)
            see(item.key(), Node(item.value(), join(item.key())));
    }

  private:
    void requireObject() const {
        if (!json_->is_object())
            fail(path_.empty() ? "scene" : path_, say(GLUMET_SAY("Core", "must be an object")));
    }
    std::string join(const std::string& key) const { return path_.empty() ? key : path_ + "." + key; }

    const Json* json_;
    std::string path_;
};

template <class T>
T orFail(Expected<T> value, const std::string& path) {
    if (value) return std::move(*value);
    const auto& wrong = value.error();
    fail(wrong.where.empty() ? path : path + "." + wrong.where, wrong.what);
}

SceneWall wallOf(const Node& node) {
    const auto kind = node.word("kind");
    if (kind == "glass") return SceneWall::glass(node.number("refractive_index", 1.52));
    if (kind == "acrylic") return SceneWall::acrylic(node.number("refractive_index", 1.49));
    if (kind == "opaque") return SceneWall::opaque(node.number("reflectance"));
    fail(node.path() + ".kind", say(GLUMET_SAY("Core", "\"{}\" is not glass, acrylic or opaque"), kind));
}

class SceneReader {
  public:
    explicit SceneReader(const OpenNamed& open) : open_(open) {}

    SceneFile read(const Node& root) {
        readTank(root.at("tank"));
        readWater(root.at("water"));
        if (root.has("channels")) readChannels(root.at("channels"));
        for (const auto& fixture : root.at("fixtures").items()) readFixture(fixture);
        if (root.has("obstacles"))
            for (const auto& obstacle : root.at("obstacles").items())
                file_.scene.obstacles.push_back(obstacleOf(obstacle));
        if (const auto wrong = wrongWith(file_.scene)) fail(wrong->where, wrong->what);
        readDepths(root.at("depths_mm"));
        readPoints(root);
        return std::move(file_);
    }

  private:
    void readTank(const Node& tank) {
        auto& scene = file_.scene;
        scene.length_mm = tank.number("length_mm");
        scene.width_mm = tank.number("width_mm");
        scene.water_depth_mm = tank.number("water_depth_mm");
        const auto walls = tank.at("walls");
        for (const auto side : kSides) {
            const auto index = static_cast<std::size_t>(side);
            scene.walls[index] = wallOf(walls.at(kSideWords[index]));
        }
    }

    void readWater(const Node& water) {
        auto& scene = file_.scene;
        if (water.isNull()) {
            scene.water = Water::none();
        } else {
            scene.water.refractive_index = water.number("refractive_index", 1.333);
            scene.water.attenuation_per_m = water.number("attenuation_per_m", 0.0);
            scene.water.absorbs = water.truth("absorbs");
            scene.water.yellow_440_per_m = water.number("yellow_440_per_m", 0.0);
        }
        scene.channels.front().attenuation = orFail(attenuationOf(scene.water, nullptr), water.path());
    }

    void readChannels(const Node& channels) {
        channels.forEachKey([&](const std::string& name, const Node& node) {
            SceneChannel channel{name, {}};
            Spectrum spectrum;
            const bool known = node.has("spectrum");
            if (known) {
                const auto table = node.at("spectrum");
                spectrum = {table.numbers("wavelength_nm"), table.numbers("relative")};
            }
            auto attenuation = attenuationOf(file_.scene.water, known ? &spectrum : nullptr);
            if (!attenuation && attenuation.error().where == "values") attenuation.error().where = "relative";
            channel.attenuation = orFail(std::move(attenuation), node.path() + ".spectrum");
            channel_of_[name] = file_.scene.channels.size();
            file_.scene.channels.push_back(std::move(channel));
        });
    }

    void readFixture(const Node& node) {
        SceneFixture fixture;
        fixture.x_mm = node.number("x_mm");
        fixture.y_mm = node.number("y_mm");
        fixture.height_mm = node.number("height_mm");
        fixture.rotation_deg = node.number("rotation_deg", 0.0);
        fixture.level = node.number("level", 1.0);
        fixture.channel_levels.assign(file_.scene.channels.size(), 1.0);
        if (node.has("channel_levels"))
            node.at("channel_levels").forEachKey([&](const std::string& name, const Node& level) {
                fixture.channel_levels[channelNamed(name, level.path())] = level.number();
            });
        for (const auto& emitter : node.at("emitters").items())
            fixture.emitters.push_back(emitterOf(emitter));
        if (fixture.emitters.empty())
            fail(node.path() + ".emitters", say(GLUMET_SAY("Core", "needs one emitter or more")));
        if (node.has("shroud")) {
            const auto shroud = node.at("shroud");
            fixture.shroud = {shroud.number("length_mm"), shroud.number("width_mm"),
                              shroud.number("drop_mm")};
        }
        file_.scene.fixtures.push_back(std::move(fixture));
    }

    static SceneObstacle obstacleOf(const Node& node) {
        const auto kind = node.word("kind");
        const double transmittance = node.number("transmittance", 0.0);
        if (kind == "box")
            return SceneObstacle::box(node.triple("from_mm"), node.triple("to_mm"), transmittance);
        if (kind == "disc")
            return SceneObstacle::disc(node.triple("centre_mm"), node.number("diameter_mm"), transmittance);
        fail(node.path() + ".kind", say(GLUMET_SAY("Core", "\"{}\" is not box or disc"), kind));
    }

    SceneEmitter emitterOf(const Node& node) {
        SceneEmitter emitter;
        emitter.dx_mm = node.number("dx_mm", 0.0);
        emitter.dy_mm = node.number("dy_mm", 0.0);
        emitter.flux_umol_s = node.number("flux_umol_s");
        if (node.has("channel"))
            emitter.channel = channelNamed(node.word("channel"), node.path() + ".channel");
        emitter.beam = beamIndex(node.at("beam"));
        return emitter;
    }

    std::size_t channelNamed(const std::string& name, const std::string& path) const {
        const auto found = channel_of_.find(name);
        if (found == channel_of_.end())
            fail(path, say(GLUMET_SAY("Core", "no channel is named \"{}\""), name));
        return found->second;
    }

    /// Equal beams share a place, so that they share tables too.
    std::size_t beamIndex(const Node& node) {
        auto beam = beamOf(node);
        auto& beams = file_.scene.beams;
        for (std::size_t i = beams.size(); i-- > 0;)
            if (beams[i] == beam) return i;
        beams.push_back(std::move(beam));
        return beams.size() - 1;
    }

    Beam beamOf(const Node& node) {
        if (node.word("kind") == "lm63") return photometricBeam(node);
        return orFail(beamFromJson(node.json()), node.path());
    }

    Beam photometricBeam(const Node& node) {
        const auto name = node.word("file");
        const auto known = files_.find(name);
        if (known != files_.end()) return known->second;
        const auto key = node.path() + ".file";
        const auto bytes = open_(name);
        if (!bytes) fail(key, verbatim(english(bytes.error())));
        const auto photometry = readLm63(*bytes);
        if (!photometry) fail(key, verbatim(name + ", " + english(photometry.error())));
        files_.emplace(name, photometry->beam);
        return photometry->beam;
    }

    void readDepths(const Node& node) {
        for (const auto& item : node.items()) {
            const double depth = item.number();
            if (!(depth >= 0.0 && depth <= file_.scene.water_depth_mm))
                fail(item.path(), say(GLUMET_SAY("Core", "must lie within the water, 0…{}, is {}"),
                                      Figure{file_.scene.water_depth_mm}, Figure{depth}));
            file_.depths.emplace_back(depth);
        }
        if (file_.depths.empty()) fail(node.path(), say(GLUMET_SAY("Core", "needs one depth or more")));
        if (file_.depths.size() > kMostDepths)
            fail(node.path(), say(GLUMET_SAY("Core", "holds more than {} depths"), countOf(kMostDepths)));
    }

    void readPoints(const Node& root) {
        const auto& scene = file_.scene;
        if (root.has("points")) {
            for (const auto& item : root.at("points").items()) file_.points.push_back(pointOf(item));
            if (file_.points.empty()) fail("points", say(GLUMET_SAY("Core", "needs one point or more")));
            return;
        }
        const auto grid = root.at("grid");
        const int nx = grid.count("nx");
        const int ny = grid.count("ny");
        if (static_cast<double>(nx) * ny > kMostPoints)
            fail("grid", say(GLUMET_SAY("Core", "asks for more than {} points"), Figure{kMostPoints, 0}));
        const auto centres = cellCentres(Millimetre(scene.length_mm), Millimetre(scene.width_mm), nx, ny);
        for (const double y : centres.ys_mm)
            for (const double x : centres.xs_mm) file_.points.push_back({x, y});
        file_.columns = nx;
        file_.rows = ny;
    }

    std::array<double, 2> pointOf(const Node& node) const {
        const auto pair = node.items();
        if (pair.size() != 2) fail(node.path(), say(GLUMET_SAY("Core", "must be a pair [x, y]")));
        const std::array point{pair[0].number(), pair[1].number()};
        if (!(point[0] >= 0.0 && point[0] <= file_.scene.length_mm && point[1] >= 0.0 &&
              point[1] <= file_.scene.width_mm))
            fail(node.path(), say(GLUMET_SAY("Core", "lies outside the tank")));
        return point;
    }

    const OpenNamed& open_;
    SceneFile file_;
    std::map<std::string, std::size_t> channel_of_;
    std::map<std::string, Beam> files_;
};

Json jsonOf(const SceneWall& wall) {
    if (wall.kind == WallKind::Opaque) return {{"kind", "opaque"}, {"reflectance", wall.reflectance}};
    return {{"kind", wall.kind == WallKind::Acrylic ? "acrylic" : "glass"},
            {"refractive_index", wall.refractive_index}};
}

Json jsonOf(const SceneObstacle& obstacle) {
    if (obstacle.kind == SceneObstacle::Kind::Disc)
        return {{"kind", "disc"},
                {"centre_mm", obstacle.centre_mm},
                {"diameter_mm", obstacle.diameter_mm},
                {"transmittance", obstacle.transmittance}};
    return {{"kind", "box"},
            {"from_mm", obstacle.from_mm},
            {"to_mm", obstacle.to_mm},
            {"transmittance", obstacle.transmittance}};
}

}  // namespace

Expected<SceneFile> readScene(std::string_view bytes, const OpenNamed& open) {
    const auto json = parsedJson<Json>(bytes);
    if (!json) return problem("scene", json.error().what);
    try {
        return SceneReader(open).read(Node(*json, ""));
    } catch (const Fault& fault) {
        return tl::make_unexpected(fault.problem);
    }
}

std::string writeScene(const SceneFile& file) {
    const auto& scene = file.scene;
    Json walls;
    for (const auto side : kSides)
        walls[kSideWords[static_cast<std::size_t>(side)]] = jsonOf(scene.wall(side));
    Json water = nullptr;
    if (scene.water != Water::none())
        water = {{"refractive_index", scene.water.refractive_index},
                 {"attenuation_per_m", scene.water.attenuation_per_m}};
    Json fixtures = Json::array();
    for (const auto& fixture : scene.fixtures) {
        Json emitters = Json::array();
        for (const auto& e : fixture.emitters)
            emitters.push_back({{"dx_mm", e.dx_mm},
                                {"dy_mm", e.dy_mm},
                                {"flux_umol_s", e.flux_umol_s},
                                {"beam", jsonOfBeam(scene.beams[e.beam])}});
        Json out{{"x_mm", fixture.x_mm},           {"y_mm", fixture.y_mm},
                 {"height_mm", fixture.height_mm}, {"rotation_deg", fixture.rotation_deg},
                 {"level", fixture.level},         {"emitters", emitters}};
        if (fixture.shroud)
            out["shroud"] = {{"length_mm", fixture.shroud->length_mm},
                             {"width_mm", fixture.shroud->width_mm},
                             {"drop_mm", fixture.shroud->drop_mm}};
        fixtures.push_back(std::move(out));
    }
    Json depths = Json::array();
    for (const auto depth : file.depths) depths.push_back(depth.value());
    Json out{{"tank",
              {{"length_mm", scene.length_mm},
               {"width_mm", scene.width_mm},
               {"water_depth_mm", scene.water_depth_mm},
               {"walls", walls}}},
             {"water", water},
             {"fixtures", fixtures},
             {"depths_mm", depths},
             {"points", file.points}};
    if (!scene.obstacles.empty()) {
        Json obstacles = Json::array();
        for (const auto& obstacle : scene.obstacles) obstacles.push_back(jsonOf(obstacle));
        out["obstacles"] = std::move(obstacles);
    }
    return jsonText(out, 1);
}

}  // namespace glumet
