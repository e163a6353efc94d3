#include <catch2/catch.hpp>

#include "core/quantity/plural.h"

using uovo::plural;

TEST_CASE("pieces are many as people say them") {
    CHECK(plural("crater bowl") == "crater bowls");
    CHECK(plural("moon to break") == "moons to break");
    CHECK(plural("observatory") == "observatories");
    CHECK(plural("day") == "days");
    CHECK(plural("box") == "boxes");
    CHECK(plural("torch with a flame") == "torches with a flame");
    CHECK(plural("egg half") == "egg halves");
    CHECK(plural("Half of a ball") == "Halves of a ball");
    CHECK(plural("flat foot") == "flat feet");
    CHECK(plural("Leaf, large") == "Leaves, large");
    CHECK(plural("snowman") == "snowmen");
    CHECK(plural("little man") == "little men");
    CHECK(plural("caiman") == "caimans");
    CHECK(plural("fish") == "fish");
    CHECK(plural("roses") == "roses");
}
