#include "cli/verify_asks.h"

#include <cmath>
#include <functional>
#include <map>
#include <numbers>

#include <nlohmann/json.hpp>

#include "cli/assembly_case.h"
#include "cli/case_words.h"
#include "cli/coat_case.h"
#include "cli/practice.h"
#include "cli/shell_case.h"
#include "cli/verify_film.h"
#include "cli/verify_mesh_film.h"
#include "core/answers/answers.h"
#include "core/batch/batch.h"
#include "core/form/former.h"
#include "core/heat/body.h"
#include "core/heat/dew.h"
#include "core/heat/pot.h"
#include "core/mold/box_pour.h"
#include "core/setting/cold_stress.h"
#include "core/setting/setting.h"
#include "core/shell/verdict.h"
#include "core/temper/heat_balance.h"
#include "io/data.h"

namespace uovo::cli {
namespace {

using nlohmann::json;
using Ask = std::function<tl::expected<double, Problem>(const json&)>;

double num(const json& j, const char* key) { return j.at(key).get<double>(); }

/// Case files hold a piece with the keys of a plan; the plan's own reader reads it.
tl::expected<Piece, Problem> askedPiece(const json& given) {
    auto read = casePlan(given);
    if (!read) return tl::unexpected(read.error());
    return read->pieces.front();
}

tl::expected<form::Meridian, Problem> meridianOf(const json& given) {
    if (given.contains("cap"))
        return form::sphereCap(num(given["cap"], "radius"), num(given["cap"], "height"), form::Side::Outside);
    auto piece = askedPiece(given);
    if (!piece) return tl::unexpected(piece.error());
    if (!piece->alongMeridian()) return tl::unexpected(Problem{"This case needs a balloon or a cup."});
    return given.value("whole", false) ? form::wholeMeridian(form::balloonOf(piece->shape))
                                       : form::meridian(piece->shape);
}

/// Answers of one piece with the rest of the plan as it comes.
tl::expected<Answers, Problem> answersOf(const json& given) {
    auto read = casePlan(given);
    if (!read) return tl::unexpected(read.error());
    Plan& plan = *read;
    if (given.contains("room")) plan.kitchen.room = num(given, "room");
    Cache cache;
    AnswerOptions o;
    o.day = o.ways = o.bands = false;
    auto a = answer(plan, io::library(), cache, o);
    if (!a->problems.empty()) return tl::unexpected(a->problems.front());
    return *a;
}

/// One measure of a built part: "volume", "area", "rim", "seam", "chocolate", "enclosed", "patternInner",
/// "patternOuter", "patternAngle", "patternWidth", "fillHeight", or "mesh": volume of the exported mesh against the
/// part's own, relative.
tl::expected<double, Problem> partMeasure(const json& g) {
    const auto piece = askedPiece(g);
    if (!piece) return tl::unexpected(piece.error());
    const form::Part* part = &piece->shape;
    const std::string what = g.at("what");
    const auto built = form::build(*part, {}, what == "mesh" ? form::kExport : form::kScreen);
    if (!built) return tl::unexpected(built.error());
    const form::Shape& s = built->items.front().shape;
    if (what == "volume") return s.volume;
    if (what == "area") return s.area;
    if (what == "rim") return s.rim;
    if (what == "seam") return s.seam;
    if (what == "chocolate") return built->chocolate();
    if (what == "enclosed") return built->enclosed;
    if (what == "mesh") return form::volume(s.surface) / s.volume - 1;
    if (what == "fillHeight") return form::levelOf(s.surface, num(g, "volume"));
    if (what == "repeats") return std::floor(s.rim / num(g, "pitch"));
    if (!s.pattern) return tl::unexpected(Problem{"This part has no flat pattern."});
    if (what == "patternInner") return s.pattern->inner;
    if (what == "patternOuter") return s.pattern->outer;
    if (what == "patternAngle") return s.pattern->angle * 180 / std::numbers::pi;
    if (what == "patternWidth") return s.pattern->width;
    return tl::unexpected(Problem{"“" + what + "” is not a measure of a part"});
}

/// The first answer of a coat case.
tl::expected<double, Problem> caseAnswer(const json& g) {
    const auto done = answerCase(g);
    if (!done) return tl::unexpected(done.error());
    if (done->answers.empty()) return tl::unexpected(Problem{"This case asks for nothing."});
    return done->answers.front().value;
}

/// The chocolate of a case, dark where it names none, tempered.
material::Coating temperedCoating(const json& g) {
    const auto& lib = io::library();
    return *material::coating(*lib.find(g.value("chocolate", "dark")), material::Temper::Tempered,
                              material::Thinner::None, 0, {}, lib.physics);
}

const heat::CrystalLaw kNoCrystals = [] {
    heat::CrystalLaw law;
    law.rate = law.remelt = 0;
    return law;
}();

/// A wall without crystals, 1 everywhere. @param thickness m
heat::Body plainWall(double thickness, size_t nodes) {
    heat::Body s;
    s.width.assign(nodes, thickness / double(nodes));
    s.density = 1270;
    s.heatCapacity = 1600;
    s.conductivity = 0.25;
    s.latentHeat = 0;
    s.T.assign(nodes, 1.0);
    s.X.assign(nodes, 0.0);
    return s;
}

double slabCentre(double Bi, double Fo) {
    // Half wall of thickness L: insulated at the middle, convection outside, no crystals.
    heat::Body s = plainWall(0.005, 200);
    const double h = Bi * s.conductivity / s.thickness();
    const double seconds = Fo * s.thickness() * s.thickness() * s.density * s.heatCapacity / s.conductivity;
    const int steps = 4000;
    for (int i = 0; i < steps; ++i) heat::advance(s, kNoCrystals, {0, h, 0}, seconds / steps);
    return s.T.front();
}

/// Temperature at a depth of a wall so thick that its back feels nothing, its face held at 0 from 1.
double semiInfinite(double depth, double seconds) {
    constexpr size_t kNodes = 600;
    heat::Body s = plainWall(0.06, kNodes);
    constexpr int kSteps = 6000;
    for (int i = 0; i < kSteps; ++i) heat::advance(s, kNoCrystals, {0, 1e7, 0}, seconds / kSteps);
    const double node = s.thickness() / kNodes, at = (s.thickness() - depth) / node - 0.5;
    const auto k = static_cast<size_t>(at);
    return s.T[k] + (at - double(k)) * (s.T[k + 1] - s.T[k]);
}

material::Coating temperCoating(const json& g) {
    auto c = temperedCoating(g);
    if (g.value("noLatentHeat", false)) {
        c.latentHeat = 0;
        c.heatCapacitySolid = c.heatCapacityLiquid;
    }
    return c;
}

temper::Seeding seeding(const json& g) {
    temper::Seeding s;
    s.melt = num(g, "melt");
    s.celsius = g.value("celsius", 45.0);
    s.seed = g.value("seed", 0.0);
    s.seedCelsius = g.value("seedCelsius", 20.0);
    s.bowl = {g.value("bowl", 0.0), g.value("bowlCelsius", 20.0)};
    return s;
}

/// Long because it is a table: one entry for each thing that a case may ask.
const std::map<std::string, Ask>& asks() {
    static const std::map<std::string, Ask> table{
        {"film.flux.casson",
         [](const json& g) { return film::fluxError(true, num(g, "G"), num(g, "h"), num(g, "tau0"), num(g, "eta")); }},
        {"film.flux.bingham",
         [](const json& g) { return film::fluxError(false, num(g, "G"), num(g, "h"), num(g, "tau0"), num(g, "eta")); }},
        {"film.plate.jeffreys", [](const json& g) { return film::jeffreysError(g.at("cells")); }},
        {"film.plate.order",
         [](const json&) { return std::log2(film::jeffreysError(100) / film::jeffreysError(200)); }},
        {"film.plate.casson", [](const json&) { return film::cassonPlateMiddle(); }},
        {"film.hemisphere.pole", [](const json& g) { return film::hemispherePole(g.at("curvature")); }},
        {"film.hemisphere.profile", [](const json&) { return film::hemisphereProfileError(); }},
        {"film.puddle", [](const json&) { return film::puddleError(); }},
        {"mesh.hemisphere.pole",
         [](const json& g) { return film::meshHemispherePole(num(g, "triangles"), g.at("curvature")); }},
        {"mesh.plate.casson", [](const json&) { return film::meshCassonPlateMiddle(); }},
        {"mesh.cylinder", [](const json& g) { return film::rotatingCylinderFlux(g.value("range", false)); }},
        {"mesh.cylinder.full", [](const json&) { return film::overloadedCylinderFlux(); }},
        {"mesh.ball", [](const json& g) { return film::meshBallThickness(num(g, "share")); }},
        {"mesh.mass", [](const json& g) { return film::meshMassError(g.at("schedules")); }},
        {"mesh.least", [](const json& g) { return film::meshLeastFilm(g.at("schedules")); }},
        {"mesh.turned", [](const json&) { return film::meshTurnedTogether(); }},
        {"coat", [](const json& g) { return caseAnswer(g); }},
        {"coat.ratio",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto a = caseAnswer(g.at("first")), b = caseAnswer(g.at("second"));
             if (!a) return a;
             return b ? tl::expected<double, Problem>(*a / *b) : b;
         }},
        {"film.mass",
         [](const json& g) {
             double worst = 0;
             for (int seed = 0; seed < g.at("schedules").get<int>(); ++seed)
                 worst = std::max(worst, film::massError(seed));
             return worst;
         }},
        {"film.least", [](const json& g) { return film::leastFilm(g.at("schedules")); }},
        {"film.ball", [](const json& g) { return film::ballThickness(num(g, "share")); }},
        {"piece.thinner",
         [](const json& g)
             -> tl::expected<double, Problem> {  // wall of the first minus that of the second, middle cell, m
             const auto a = answersOf({{"piece", g.at("first")}}), b = answersOf({{"piece", g.at("second")}});
             if (!a) return tl::unexpected(a.error());
             if (!b) return tl::unexpected(b.error());
             const auto at = [&](const Answers& x) {
                 const auto& wall = x.pieces[0]->made->meridian->coats.wall;
                 return g.value("rim", false) ? wall[wall.size() - 3] : wall[wall.size() / 2];
             };
             return at(*a) > at(*b) ? 1.0 : 0.0;
         }},
        {"piece.lockFalls",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto a = answersOf(g);
             if (!a) return tl::unexpected(a.error());
             const auto& c = a->pieces[0]->made->wall->coats;
             return c[1].lockTypical < c[0].lockTypical ? 1.0 : 0.0;
         }},
        {"piece.mass",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto a = answersOf(g);
             if (!a) return tl::unexpected(a.error());
             return a->pieces[0]->made->mass;
         }},
        {"form.volume",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto m = meridianOf(g);
             if (!m) return tl::unexpected(m.error());
             return m->volume();
         }},
        {"form.area",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto m = meridianOf(g);
             if (!m) return tl::unexpected(m.error());
             return m->area();
         }},
        {"form.rim",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto m = meridianOf(g);
             if (!m) return tl::unexpected(m.error());
             return m->profile(50).faceR.back();
         }},
        {"form.widest",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto m = meridianOf(g);
             if (!m) return tl::unexpected(m.error());
             return 2 * m->widest();
         }},
        {"form.fillHeight",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto m = meridianOf(g);
             if (!m) return tl::unexpected(m.error());
             return m->levelOf(num(g, "volume"));
         }},
        {"form.pearRadius", [](const json& g) { return form::pearRadius(num(g, "girth"), num(g, "pear")); }},
        {"part", [](const json& g) { return partMeasure(g); }},
        {"mold",
         [](const json& g) -> tl::expected<double, Problem> {
             mold::Silicone s;
             s.densityA = num(g, "densityA");
             s.densityB = num(g, "densityB");
             s.spare = g.value("spare", 0.0);
             s.byMass = g.value("byMass", true);
             const auto b =
                 mold::boxPour({num(g, "x"), num(g, "y"), num(g, "z")}, num(g, "volume"), g.value("wall", 0.0), s);
             const std::string what = g.at("what");
             return what == "silicone" ? b.silicone
                    : what == "massA"  ? b.massA
                    : what == "shareA" ? b.volumeA / (b.volumeA + b.volumeB)
                                       : b.massA + b.massB;
         }},
        {"quantity",
         [](const json& g) -> tl::expected<double, Problem> {
             TypingContext c;
             const std::string d = g.at("dimension");
             c.dimension = d == "length"        ? Dimension::Length
                           : d == "mass"        ? Dimension::Mass
                           : d == "volume"      ? Dimension::Volume
                           : d == "temperature" ? Dimension::Temperature
                                                : Dimension::Duration;
             c.bareUnit = g.value("bare", "");
             const auto m = parseMeasure(g.at("text").get<std::string>(), c);
             if (!m) return tl::unexpected(Problem{m.error().sentence});
             return m->value;
         }},
        {"dew.point", [](const json& g) { return heat::dewPoint(num(g, "air"), num(g, "humidity")); }},
        {"dew.pressure", [](const json& g) { return heat::vapourPressure(num(g, "air"), num(g, "humidity")); }},
        {"dew.wet",
         [](const json& g) {
             heat::ColdWall w;
             w.thickness = num(g, "thickness");
             w.density = 1270;
             w.temperature = num(g, "wall");
             const auto c = heat::condensation(w, num(g, "air"), num(g, "humidity"), 9,
                                               0);  // the reference had one figure for both
             const std::string what = g.at("what");
             return what == "film" ? c.film : what == "dry" ? c.drySeconds : c.wetSeconds;
         }},
        {"spares", [](const json& g) { return double(batch::piecesToMake(g.at("needed"), num(g, "p"))); }},
        {"spares.log",
         [](const json& g) { return double(batch::piecesToMakeFromLog(g.at("needed"), g.at("good"), g.at("bad"))); }},
        {"practice.strength", [](const json& g) { return practiceStrength(g); }},
        {"practice.setting", [](const json& g) { return practiceSetting(g); }},
        {"temper.settles", [](const json& g) { return temper::settles(temperCoating(g), seeding(g)); }},
        {"temper.melted", [](const json& g) { return temper::seedMelted(temperCoating(g), seeding(g)); }},
        {"temper.most",
         [](const json& g) {
             const auto s = seeding(g);
             const double most = temper::mostMelted(temperCoating(g), s);
             return most / (s.melt + most);
         }},
        {"temper.extra",
         [](const json& g) {
             temper::Seeding s = seeding(g);
             const double target = num(g, "target");
             s.celsius = target + num(g, "tooWarm");
             return temper::seedFor(temperCoating(g), s, target);
         }},
        {"temper.heat",
         [](const json& g) {
             return temper::heatUp(temperCoating(g), num(g, "mass"), num(g, "from"), num(g, "to"), {});
         }},
        {"temper.cools",
         [](const json& g) {
             return temper::coolsIn(temperCoating(g), io::library().physics, num(g, "mass"), {}, num(g, "from"),
                                    num(g, "to"), num(g, "room"), g.value("stirred", true)) /
                    60;
         }},
        {"shell",
         [](const json& g) -> tl::expected<double, Problem> {
             const auto out = shellCase(g);
             if (!out) return tl::unexpected(out.error());
             const auto& value = out->at("answers").at(0).at("value");
             return value.is_null() ? std::nan("") : value.get<double>() * g.value("times", 1.0);
         }},
        {"assembly.limit", [](const json& g) { return assemblyLimit(g); }},
        {"shell.bar",
         [](const json& g) -> tl::expected<double, Problem> {
             shell::Strength s;
             s.mean = g.value("mean", 1e6);
             s.modulus = g.value("modulus", 8.0);
             s.barLength = num(g, "length");
             s.barWidth = num(g, "width");
             s.barThickness = num(g, "thickness");
             const std::string what = g.at("what");
             return what == "volume"   ? s.barVolume()
                    : what == "cracks" ? shell::cracksAt(num(g, "stress"), s)
                                       : shell::stressThatCracks(num(g, "probability"), s);
         }},
        {"slab.semi", [](const json& g) { return semiInfinite(num(g, "depth"), num(g, "seconds")); }},
        {"setting.held",
         [](const json& g) {
             return setting::heldStress(num(g, "modulus"), num(g, "expansion"), num(g, "poisson"), num(g, "kelvin"));
         }},
        {"slab.centre", [](const json& g) { return slabCentre(num(g, "Bi"), num(g, "Fo")); }},
        {"batch.window",
         [](const json& g) {
             const auto& lib = io::library();
             const auto c = temperedCoating(g);
             return heat::batchWindow(c, lib.physics, num(g, "mass"), 0, c.working(), num(g, "room")) / 60;
         }},
    };
    return table;
}

}  // namespace

tl::expected<double, Problem> answerAsk(const std::string& ask, const nlohmann::json& given) {
    const auto it = asks().find(ask);
    if (it == asks().end()) return tl::unexpected(Problem{"nothing here answers “" + ask + "”"});
    return it->second(given);
}

std::vector<std::string> knownAsks() {
    std::vector<std::string> out;
    for (const auto& [name, ask] : asks()) out.push_back(name);
    return out;
}

}  // namespace uovo::cli
