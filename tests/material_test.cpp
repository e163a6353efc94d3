#include <catch2/catch.hpp>

#include "core/heat/dew.h"

#include "core/heat/body.h"
#include "core/heat/crystal.h"
#include "io/embedded_data.h"
#include "support.h"

namespace uovo::material_test {

TEST_CASE("every constant of data/ has a range round its value, a unit and a source") {
    const auto& lib = io::library();
    const auto check = [](const material::Constants& constants) {
        for (const auto& [name, c] : constants) {
            INFO(name);
            CHECK(c.low <= c.value);
            CHECK(c.value <= c.high);
            CHECK_FALSE(c.unit.empty());
            CHECK_FALSE(c.source.empty());
        }
    };
    check(lib.physics);
    check(lib.formers);
    check(lib.kitchen);
    for (const auto& c : lib.chocolates) check(c.constants);
    CHECK(lib.chocolates.size() == 4);
    for (const auto& [name, t] : lib.tasks) CHECK_FALSE(t.seconds.source.empty());
}

TEST_CASE("a damaged library is refused with the file's name") {
    std::map<std::string, std::string> files;
    for (const auto& f : io::embeddedFiles()) files[f.name] = f.text;
    files["physics.json"] = "{";
    const auto lib = material::readLibrary(files);
    REQUIRE_FALSE(lib);
    CHECK(lib.error().sentence.find("physics.json") != std::string::npos);
}

TEST_CASE("thinning lowers viscosity and yield stress, a person's own figures win") {
    const auto& lib = io::library();
    const auto& dark = *lib.find("dark");
    const auto plain = test::coating("dark");
    const auto thin =
        *material::coating(dark, material::Temper::Tempered, material::Thinner::CocoaButter, 0.03, {}, lib.physics);
    CHECK(thin.viscosity40 == Approx(plain.viscosity40 * 0.9 * 0.9 * 0.9));
    CHECK(thin.yield40 < plain.yield40);
    const auto oily =
        *material::coating(dark, material::Temper::Tempered, material::Thinner::VegetableOil, 0.05, {}, lib.physics);
    CHECK(oily.growthRate < plain.growthRate);
    material::OwnFigures own;
    own.values = {{"workLow", 30.0}, {"workHigh", 30.5}, {"yield40", 12.0}};
    const auto mine =
        *material::coating(dark, material::Temper::Tempered, material::Thinner::None, 0, own, lib.physics);
    CHECK(mine.working() == Approx(30.25));
    CHECK(mine.yield40 == 12.0);
    CHECK_FALSE(
        material::coating(dark, material::Temper::Tempered, material::Thinner::CocoaButter, 0.5, {}, lib.physics));
}

TEST_CASE("label temperatures that contradict each other are refused") {
    const auto& dark = *io::library().find("dark");
    const auto says = [&](std::map<std::string, double> v) {
        const auto ok = material::checkOwnFigures(dark, {std::move(v), {}});
        return ok ? std::string() : ok.error().sentence;
    };
    CHECK(says({{"workLow", 33}, {"workHigh", 31}}).find("above the upper") != std::string::npos);
    CHECK(says({{"workHigh", 57}}).find("scorches") != std::string::npos);
    CHECK(says({{"workLow", 3}}).find("No chocolate is worked") != std::string::npos);
    CHECK(says({{"fatShare", -1}}).find("more than nothing") != std::string::npos);
    CHECK(says({{"sparkle", 1}}).find("not a figure") != std::string::npos);
    CHECK(says({{"fatShare", std::nan("")}}).find("not a number") != std::string::npos);
    CHECK(says({}).empty());
}

TEST_CASE("warmer chocolate is thinner, crystals thicken it") {
    const auto c = test::coating("dark");
    CHECK(material::viscosity(c, 31, 0.05) > material::viscosity(c, 33, 0.05));
    CHECK(material::yieldStress(c, 31, 0.05) > material::yieldStress(c, 40, 0.05));
    CHECK(material::viscosity(c, 31, 0.3) > 2 * material::viscosity(c, 31, 0.05));
    CHECK(material::viscosity(c, 40, 0) == Approx(c.viscosity40));
    CHECK(material::yieldStress(c, 40, 0) == Approx(c.yield40));
}

TEST_CASE("crystals grow in the cold, melt in the heat, and never leave 0 to 1") {
    const heat::CrystalLaw law(test::coating("dark"), io::library().physics);
    CHECK(heat::meltedShare(20, 0) == 0);
    CHECK(heat::meltedShare(31, 0) == Approx(0.55));
    CHECK(heat::meltedShare(40, 0) == 1);
    CHECK(heat::meltedShare(29, -2) == Approx(0.55));
    double X = 0.05;
    for (int i = 0; i < 2000; ++i) {
        const double next = law.advance(X, 18, 5);
        CHECK(next >= X);
        X = next;
    }
    CHECK(X > 0.98);
    CHECK(X <= 1);
    X = law.advance(X, 45, 1000);
    CHECK(X == Approx(law.floor).margin(1e-6));
    // long steps come near what short ones give: one factor (1 − X/X_eq) is frozen over a step
    double many = 0.05;
    for (int i = 0; i < 100; ++i) many = law.advance(many, 22, 1);
    double some = 0.05;
    for (int i = 0; i < 10; ++i) some = law.advance(some, 22, 10);
    CHECK(some == Approx(many).epsilon(0.01));
}

TEST_CASE("untempered chocolate sets later than tempered, compound sooner in the cold") {
    const auto minutes = [](const material::Coating& c) {
        setting::Wall w;
        w.coatTemperature = c.working();
        w.crystals = c.crystalsAtStart;
        return setting::settle(setting::cast(w, c), heat::CrystalLaw(c, io::library().physics), {}, {{6, 11, 0}});
    };
    const auto tempered = minutes(test::coating("dark")),
               raw = minutes(test::coating("dark", material::Temper::Untempered));
    CHECK(raw.set > tempered.set * 1.05);
    CHECK(raw.lock > tempered.lock * 1.2);
    for (const auto& t : {tempered, raw, minutes(test::coating("milk")), minutes(test::coating("compound"))}) {
        CHECK(t.lock < t.firm);
        CHECK(t.firm < t.set);
        CHECK(t.set <= t.release);
    }
}

TEST_CASE("untempered dark is firm in minutes in the fridge, in hours at 21 °C, never at 24 °C") {
    // common practice, no source: hours or never at 21 °C (wall of 2 mm)
    const auto raw = test::coating("dark", material::Temper::Untempered);
    const auto firm = [&](double air) {
        setting::Wall w;
        w.coatTemperature = 34;
        w.crystals = raw.crystalsAtStart;
        return setting::settle(setting::cast(w, raw), heat::CrystalLaw(raw, io::library().physics), {}, {{air, 11, 0}})
                   .firm /
               60;
    };
    CHECK(firm(6) > 8);
    CHECK(firm(6) < 16);
    CHECK(firm(21) > 120);
    CHECK((std::isnan(firm(24)) || firm(24) > 600));
}

TEST_CASE("six nodes or forty, two seconds or ten: the same minutes within 2 %") {
    const auto c = test::coating("milk");
    const heat::CrystalLaw law(c, io::library().physics);
    setting::Wall wall{.coat = 0.004,
                       .shell = 0.003,
                       .coatTemperature = 29.5,
                       .shellTemperature = 12,
                       .crystals = c.crystalsAtStart,
                       .former = {2200, 0, -1},
                       .shut = false,
                       .tray = 0};
    setting::Chunk chunk{
        .half = 0.015, .volumeOverArea = 0.0072, .temperature = 29.5, .crystals = c.crystalsAtStart, .core = {}};
    const std::vector<setting::Stay> stays{{21, 11, 400}, {6, 11, 0}};
    const auto near = [](const setting::Times& a, const setting::Times& b) {
        CHECK(a.lock == Approx(b.lock).epsilon(0.02));
        CHECK(a.firm == Approx(b.firm).epsilon(0.02));
        CHECK(a.set == Approx(b.set).epsilon(0.02));
        CHECK(a.release == Approx(b.release).epsilon(0.03));
    };
    const auto usualWall = setting::settle(setting::cast(wall, c), law, {}, stays),
               usualChunk = setting::settle(setting::cast(chunk, c), law, {}, stays);
    for (const size_t nodes : {6, 40}) {
        near(setting::settle(setting::cast(wall, c, nodes), law, {}, stays), usualWall);
        near(setting::settle(setting::cast(chunk, c, nodes), law, {}, stays), usualChunk);
    }
    for (const double step : {2.0, 10.0}) {
        near(setting::settle(setting::cast(wall, c), law, {}, stays, step), usualWall);
        near(setting::settle(setting::cast(chunk, c), law, {}, stays, step), usualChunk);
    }
}

TEST_CASE("a closed ball, a biscuit, silicone and a heavier form each set slower, a tray that is cold sooner") {
    const auto c = test::coating("dark");
    const heat::CrystalLaw law(c, io::library().physics);
    const auto release = [&](const setting::Wall& w) {
        return setting::settle(setting::cast(w, c), law, {}, {{6, 11, 0}}).release;
    };
    setting::Wall usual;
    usual.coat = 0.004;
    const double plain = release(usual);
    setting::Wall w = usual;
    w.shut = true;
    CHECK(release(w) > 1.3 * plain);
    w = usual;
    w.former = {3500, 0.0125, -1};
    const double silicone = release(w);
    CHECK(silicone > plain);
    w.former = {7000, 0.0125, -1};
    CHECK(release(w) > silicone);
    w = usual;
    w.shell = 0.004;
    w.shellTemperature = 6;
    CHECK(release(w) < plain);  // on a cold shell
    w = usual;
    w.coat = 0.006;
    CHECK(release(w) > plain);
    setting::Chunk chunk{.half = 0.008, .volumeOverArea = 0.004, .temperature = 31.5, .crystals = 0.06, .core = {}};
    const double solid = setting::settle(setting::cast(chunk, c), law, {}, {{6, 11, 0}}).release;
    chunk.half = chunk.volumeOverArea;
    const double flat = setting::settle(setting::cast(chunk, c), law, {}, {{6, 11, 0}}).release;
    CHECK(flat < solid);  // the same faces for the same volume, but a shorter way out
    chunk.core = {7200, 0, 31.5};
    CHECK(setting::settle(setting::cast(chunk, c), law, {}, {{6, 11, 0}}).release > flat);
}

TEST_CASE("the temper is lost over a degree, not at a stroke") {
    const auto c = test::coating("dark");
    CHECK(material::temperKept(c, c.loses - 0.6) == 1);
    CHECK(material::temperKept(c, c.loses + 0.6) == 0);
    CHECK(material::temperKept(c, c.loses) == Approx(0.5));
    double before = material::crystalsAt(c, 33);
    for (double T = 33; T < 35; T += 0.05) {
        CHECK(material::crystalsAt(c, T) <= before + 1e-12);
        CHECK(before / material::crystalsAt(c, T) < 1.25);
        before = material::crystalsAt(c, T);
    }
    CHECK(material::temperKept(test::coating("compound"), 45) == 1);
    CHECK(material::temperKept(test::coating("dark", material::Temper::Untempered), 25) == 0);
}

TEST_CASE("in a hot room chocolate does not set, and the answer says so") {
    const auto c = test::coating("milk");
    setting::Wall w;
    w.coatTemperature = 30;
    const heat::CrystalLaw law(c, io::library().physics);
    CHECK(std::isnan(setting::settle(setting::cast(w, c), law, {}, {{33, 11, 0}}).set));
    CHECK(setting::warmestSettingAir(law, {}) < 27.5);
    CHECK(setting::warmestSettingAir(law, {}) > 24);
}

TEST_CASE("a body's heat and latent heat balance") {
    // Insulated: the enthalpy rho c T - rho L X stays what it was.
    heat::Body s;
    s.width.assign(20, 1.5e-4);
    s.T.assign(20, 24.0);
    s.X.assign(20, 0.05);
    for (size_t i = 0; i < 10; ++i) s.T[i] = 20;
    const heat::CrystalLaw law(test::coating("dark"), io::library().physics);
    const auto enthalpy = [&] {
        double sum = 0;
        for (size_t i = 0; i < s.T.size(); ++i)
            sum += s.density * s.volume(i) * (s.heatCapacity * s.T[i] - s.latentHeat * s.X[i]);
        return sum + s.inner.capacity * s.inner.T + s.outer.capacity * s.outer.T;
    };
    for (const double spread : {0.0, 1.3}) {
        s.spread = spread;
        s.inner = {spread > 0 ? 0.0 : 800.0, 0.01, 12};
        s.outer = {spread > 0 ? 0.0 : 300.0, 0, 30};
        const double before = enthalpy();
        for (int i = 0; i < 500; ++i) heat::advance(s, law, {20, 0, 0}, 2);
        CHECK(enthalpy() == Approx(before).epsilon(1e-9));
    }
    CHECK(s.X.front() > 0.05);
}

TEST_CASE("radiation warms a cold wall but carries no vapour") {
    heat::ColdWall cold;
    cold.temperature = 5;
    const auto by = [&](double transfer, double radiation) {
        return heat::condensation(cold, 22, 0.6, transfer, radiation);
    };
    const auto air = by(11, 0), both = by(11, 5), none = by(11, 11);
    CHECK(air.wet);
    CHECK(none.wet);
    CHECK(none.film == 0);  // warmed by radiation alone no water comes to it
    CHECK(both.film < air.film);
    CHECK(both.film > 0.3 * air.film);  // six of eleven parts, a little longer
    CHECK(both.film < 0.75 * air.film);
    CHECK(none.wetSeconds > 0.9 * heat::drySurfaceTime(cold, 22, 0.6, 11));
    CHECK(none.wetSeconds ==
          Approx(heat::drySurfaceTime(cold, 22, 0.6, 11)).epsilon(0.02));  // closed form without condensation
    CHECK_FALSE(heat::condensation({0.003, 1300, 1650, 15, 2}, 22, 0.5, 11, 5).wet);  // dew point 11.1 °C
}

}  // namespace uovo::material_test
