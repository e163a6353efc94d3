// What was said stays as it is spoken until the plan switches its units.
#include <catch2/catch.hpp>

#include "core/document/edits.h"
#include "io/data.h"

namespace uovo::switch_units_test {

TEST_CASE("words of the other system are told by their last unit") {
    for (const char* us : {"5 1/2 in", "3 tbsp", "2 cups", "114 °F", "1 lb", "7\"", "3 oz."})
        CHECK((isOfOther(us, UnitSystem::Metric) && !isOfOther(us, UnitSystem::US)));
    for (const char* metric : {"36 cm", "180 ml", "31.5 °C", "2 kg", "500g", "1 L"})
        CHECK((isOfOther(metric, UnitSystem::US) && !isOfOther(metric, UnitSystem::Metric)));
    for (const char* both : {"falls in a ribbon", "12 min", "20 %", "1 h 15", "two bars", ""})
        CHECK((!isOfOther(both, UnitSystem::US) && !isOfOther(both, UnitSystem::Metric)));
}

TEST_CASE("switching units keeps every figure and drops what was said in the old units") {
    Plan plan = io::demoPlan(20669L * 1440);
    auto& values = plan.pieces[0].shape.values;
    values["dip"] = Measure(0.0635);
    values["dip"].typed = "2 1/2 in";
    values["girth"] = Measure(0.36);
    values["girth"].typed = "36 cm";
    plan.kitchen.room = Measure(21);
    plan.kitchen.room.typed = "count to ten";
    form::Mesh mesh;
    mesh.points = {{0, 0, 0}, {1, 0, 0}, {0, 1, 0}};
    mesh.triangles = {{0, 1, 2}};
    plan.meshes["stone"] = std::make_shared<const form::Mesh>(mesh);
    Plan us = plan;
    switchUnits(us, UnitSystem::US);
    CHECK(us.units == UnitSystem::US);
    CHECK(us.pieces[0].shape.values.at("dip").typed == "2 1/2 in");
    CHECK(us.pieces[0].shape.values.at("girth").typed.empty());
    CHECK(us.pieces[0].shape.values.at("girth").value == 0.36);
    CHECK(us.kitchen.room.typed == "count to ten");
    CHECK(us.meshes.at("stone") == plan.meshes.at("stone"));  // not copied, let alone lost
    // but for the words and the units nothing is another
    const auto plain = [](Plan p) {
        switchUnits(p, UnitSystem::US);
        switchUnits(p, UnitSystem::Metric);
        return p;
    };
    CHECK(plain(us) == plain(plan));
    Plan same = plan;
    switchUnits(same, UnitSystem::Metric);
    CHECK(same == plan);  // it speaks metric already: words said in inches stay
}

}  // namespace uovo::switch_units_test
