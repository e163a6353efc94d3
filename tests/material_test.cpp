#include <catch2/catch.hpp>

#include "core/heat/crystal.h"
#include "core/heat/slab.h"
#include "io/embedded_data.h"
#include "support.h"

using namespace uovo;

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
    const auto thin = *material::coating(dark, material::Temper::Tempered, material::Thinner::CocoaButter, 0.03, {}, lib.physics);
    CHECK(thin.viscosity40 == Approx(plain.viscosity40 * 0.9 * 0.9 * 0.9));
    CHECK(thin.yield40 < plain.yield40);
    const auto oily = *material::coating(dark, material::Temper::Tempered, material::Thinner::VegetableOil, 0.05, {}, lib.physics);
    CHECK(oily.growthRate < plain.growthRate);
    material::OwnFigures own;
    own.values = {{"workLow", 30.0}, {"workHigh", 30.5}, {"yield40", 12.0}};
    const auto mine = *material::coating(dark, material::Temper::Tempered, material::Thinner::None, 0, own, lib.physics);
    CHECK(mine.working() == Approx(30.25));
    CHECK(mine.yield40 == 12.0);
    CHECK_FALSE(material::coating(dark, material::Temper::Tempered, material::Thinner::CocoaButter, 0.5, {}, lib.physics));
}

TEST_CASE("label temperatures that contradict each other are refused") {
    const auto& dark = *io::library().find("dark");
    const auto says = [&](std::map<std::string, double> v) {
        const auto ok = material::checkOwnFigures(dark, {std::move(v)});
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
    CHECK(X == Approx(1));
    X = law.advance(X, 45, 1000);
    CHECK(X == Approx(law.floor).margin(1e-6));
    // one long step equals many short ones: the step is exact
    double many = 0.05;
    for (int i = 0; i < 100; ++i) many = law.advance(many, 22, 1);
    CHECK(law.advance(0.05, 22, 100) == Approx(many).epsilon(1e-9));
}

TEST_CASE("untempered chocolate sets later than tempered, compound sooner in the cold") {
    const auto minutes = [](const material::Coating& c) {
        setting::Wall w;
        w.coatTemperature = c.working();
        w.crystals = c.crystalsAtStart;
        return setting::settle(w, c, heat::CrystalLaw(c, io::library().physics), {}, {{6, 8, 0}});
    };
    const auto tempered = minutes(test::coating("dark")), raw = minutes(test::coating("dark", material::Temper::Untempered));
    CHECK(raw.set > tempered.set * 1.05);
    CHECK(raw.lock > tempered.lock * 1.2);
    for (const auto& t : {tempered, raw, minutes(test::coating("milk")), minutes(test::coating("compound"))}) {
        CHECK(t.lock < t.firm);
        CHECK(t.firm < t.set);
        CHECK(t.set < t.release);
    }
}

TEST_CASE("in a hot room chocolate does not set, and the answer says so") {
    const auto c = test::coating("milk");
    setting::Wall w;
    w.coatTemperature = 30;
    const heat::CrystalLaw law(c, io::library().physics);
    CHECK(std::isnan(setting::settle(w, c, law, {}, {{33, 8, 0}}).set));
    CHECK(setting::warmestSettingAir(law, {}) < 27);
    CHECK(setting::warmestSettingAir(law, {}) > 24);
}

TEST_CASE("a slab's heat and latent heat balance") {
    // Insulated: the enthalpy rho c T - rho L X stays what it was.
    heat::Slab s;
    s.T.assign(20, 24.0);
    s.X.assign(20, 0.05);
    for (size_t i = 0; i < 10; ++i) s.T[i] = 20;
    const heat::CrystalLaw law(test::coating("dark"), io::library().physics);
    const auto enthalpy = [&] {
        double sum = 0;
        for (size_t i = 0; i < s.T.size(); ++i) sum += s.heatCapacity * s.T[i] - s.latentHeat * s.X[i];
        return sum;
    };
    const double before = enthalpy();
    for (int i = 0; i < 500; ++i) heat::advance(s, law, {20, 0, 0}, 2);
    CHECK(enthalpy() == Approx(before).epsilon(1e-9));
    CHECK(s.X.front() > 0.05);
}
