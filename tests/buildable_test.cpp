// What can be built is said before anything is computed: the check, the answers and the limits that are offered are one
// story.
#include <catch2/catch.hpp>

#include <random>

#include "support_coats.h"

namespace uovo::buildable_test {

namespace {

Plan planOf(const char* family, std::initializer_list<std::pair<const char*, double>> values) {
    Plan plan;
    plan.pieces = {newPiece(plan, family)};
    for (const auto& [key, value] : values) plan.pieces[0].shape.values[key] = Measure(value);
    return plan;
}

}  // namespace

TEST_CASE("a compound is built within the limits that it offers, whatever its parts offer by themselves") {
    // a basket of 130 mm at its base is wider than any paper case is sold
    for (const auto& [base, top] : {std::pair{0.13, 0.15}, std::pair{0.3, 0.4}, std::pair{0.06, 0.08}}) {
        const Plan plan = planOf("basket", {{"baseDiameter", base}, {"topDiameter", top}});
        INFO(base);
        CHECK(problems(plan, io::library()).empty());
        CHECK(test::answersOf(plan, test::withoutDay()).problems.empty());
    }
}

TEST_CASE("what a compound's part cannot be is said of a figure the person set") {
    const auto one = [](const Plan& plan) {
        const auto found = problems(plan, io::library());
        REQUIRE(found.size() == 1);
        return found[0];
    };
    const auto basket = one(planOf("basket", {{"baseDiameter", 0.2}, {"topDiameter", 0.1}}));
    CHECK(basket.where.ends_with("/former/topDiameter"));
    CHECK(basket.sentence.starts_with("Basket: "));
    const auto saucer = one(planOf("cup-saucer", {{"handle", 0.012}, {"handleThickness", 0.02}}));
    CHECK(saucer.where.ends_with("/former/handleThickness"));
    const auto dip = one(planOf("dip-bowl", {{"small", 0.015}, {"wall", 0.02}}));
    CHECK(dip.where.ends_with("/former/wall"));
    CHECK(dip.sentence.find("Dip bowl: A wall of 20 mm") != std::string::npos);
    // a part's own figure is said at the part
    Plan own = planOf("basket", {});
    own.pieces[0].shape.own["handle"]["width"] = Measure(5);
    CHECK(one(own).where.ends_with("/former/own/handle/width"));
    CHECK(one(own).sentence.find("must be between") != std::string::npos);
}

TEST_CASE("an assumed wall never fills more than its room, and the most that is told does fit") {
    for (const char* family :
         {"half-ball", "wrap-cone", "case", "egg-half", "tart", "fluted-dome", "wrap-tube", "bought"}) {
        Plan plan = planOf(family, {{"wall", 0.02}});
        auto& part = plan.pieces[0].shape;
        INFO(family);
        double low = 0.0005, high = 0.02;
        const auto fits = [&](double wall) {
            part.values["wall"] = Measure(wall);
            return problems(plan, io::library()).empty();
        };
        if (fits(high)) continue;
        for (int k = 0; k < 10; ++k) (fits(0.5 * (low + high)) ? low : high) = 0.5 * (low + high);
        CHECK(fits(low));
        const auto a = test::only(plan);
        CHECK(a->made->mass > 0);
        CHECK(a->made->capacity >= 0);
        CHECK(a->made->volumes[0] < a->made->assembly.items[0].shape.volume);
    }
}

TEST_CASE("a feather whose quill is wider than its ends is refused at the quill, and all others are built") {
    std::mt19937 random(7);
    std::uniform_real_distribution<double> any(0, 1);
    int refused = 0;
    for (int k = 0; k < 40; ++k) {
        const double length = 0.02 * std::pow(20, any(random)), width = 0.006 * std::pow(33, any(random));
        const Plan plan = planOf("feather", {{"length", length},
                                             {"width", width},
                                             {"quill", 0.02 * any(random)},
                                             {"thickness", 0.0006 + 0.007 * any(random)}});
        const auto found = problems(plan, io::library());
        for (const auto& p : found) CHECK(p.where.ends_with("/quill"));
        refused += !found.empty();
        CHECK(test::sentences(test::answersOf(plan, test::withoutDay()).problems) == test::sentences(found));
    }
    CHECK(refused > 0);
    CHECK(refused < 40);
}

TEST_CASE(
    "the check refuses what the answers refuse, with the same sentences: every family, every figure at and between its "
    "limits",
    "[long]") {
    std::mt19937 random(11);
    std::uniform_real_distribution<double> any(0, 1);
    int built = 0, all = 0;
    for (const auto& f : form::families()) {
        for (int k = 0; k < 5; ++k) {
            Plan plan;
            plan.pieces = {newPiece(plan, f.id)};
            auto& part = plan.pieces[0].shape;
            if (form::fromFile(form::usual(f.id))) continue;
            for (const auto& field : f.fields) {
                const double u = k == 0 ? 0 : k == 1 ? 1 : any(random);
                double v = field.low > 0 ? field.low * std::pow(field.high / field.low, u)
                                         : field.low + (field.high - field.low) * u;
                if (field.dimension == Dimension::Count && field.whole) v = std::round(v);
                part.values[field.key] = Measure(std::clamp(v, field.low, field.high));
            }
            const auto found = test::sentences(problems(plan, io::library()));
            const auto answered = test::answersOf(plan, test::withoutDay());
            INFO(f.id << " " << k << (found.empty() ? "" : " " + found[0])
                      << (answered.problems.empty() ? "" : " | " + answered.problems[0].sentence));
            CHECK(test::sentences(answered.problems) == found);
            for (const auto& p : found)
                CHECK((p.find("/former/") != std::string::npos ||
                       p.find("/pot:") != std::string::npos));  // of a balloon too deep for every pot
            if (found.empty()) CHECK(answered.pieces[0]->made->mass > 0);
            built += found.empty();
            ++all;
        }
    }
    CHECK(built > all / 4);
}

}  // namespace uovo::buildable_test
