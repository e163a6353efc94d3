// Relations that hold for every family however it is made: weighed, poured from its pots, laid out in the day.
#include <catch2/catch.hpp>

#include <cmath>
#include <set>

#include "core/form/rock.h"
#include "core/schedule/network.h"
#include "support_coats.h"

namespace uovo::families_test {

namespace {

/// Three of a family, of a model where it is of one.
Plan three(const form::Family& family, bool coated, bool filled) {
    Plan plan;
    plan.deadline = "2027-03-06T18:00";
    plan.kitchen.shelves = 4;
    Piece p = newPiece(plan, family.id);
    p.id = "p";
    p.count = 3;
    if (family.fromFile) {
        p.shape.mesh = "stone";
        plan.meshes["stone"] = test::modelFor(family.id);
        if (coated && family.id == "mesh") p.shape.choices["filled"] = "hollow";
    }
    if (coated) p.coatWith(usualCoats(p, plan, io::library()));
    if (filled) test::fill(plan, p, "Sweets", 1e-5, false).share = Measure(0.3);
    plan.pieces = {p};
    return plan;
}

void everyWay(const std::function<void(const Plan&, const form::Family&, bool)>& look) {
    for (const auto& family : form::families()) {
        if (!family.points.empty() && family.points == "outline" && family.choice("cut") == nullptr) continue;
        for (const bool coated : {false, true})
            for (const bool filled : {false, true}) {
                if (filled && family.former == form::Former::Itself) continue;  // there is no room in it
                Plan plan = three(family, coated || family.meridian, filled);
                if (coated && !plan.pieces[0].wallFromCoats()) continue;
                if (!coated && family.meridian) continue;
                if (filled && family.body != form::Body::Wall && family.body != form::Body::Compound && !family.gap)
                    continue;
                INFO(family.id << (coated ? ", coated" : "") << (filled ? ", filled" : ""));
                look(plan, family, coated);
            }
    }
}

}  // namespace

TEST_CASE("every family, cast or coated, empty or filled: its grams add up in its pots, its wall lies in its room",
          "[long]") {
    std::set<std::string> seen;
    everyWay([&](const Plan& plan, const form::Family& family, bool coated) {
        const Answers all = test::answersOf(plan, test::withoutDay());
        const auto& a = *all.pieces[0];
        UNSCOPED_INFO((all.problems.empty() ? "" : all.problems[0].sentence));
        if (!all.problems.empty()) {  // a profile of its own, drawn by a person, has no usual one
            CHECK(family.points == "profile");
            return;
        }
        seen.insert(family.id);
        REQUIRE(a.made);
        const Made& made = *a.made;
        CHECK(std::isfinite(made.mass));
        CHECK(made.mass > 0);
        CHECK(made.massLow <= made.mass * (1 + 1e-9));
        CHECK(made.massHigh >= made.mass * (1 - 1e-9));
        CHECK(made.capacity >= 0);
        CHECK(a.breaks.empty());
        const form::Vec3 size = made.box.size();
        CHECK(made.thickest <= std::max({size.x, size.y, size.z}) * (1 + 1e-6));
        const double chocolate =
            1 / (1 + io::library().decorating("syrupDark"));  // of what is modeled; syrup is the rest
        double items = 0, pots = 0, poured = 0;
        for (size_t k = 0; k < made.items.size(); ++k) {
            const bool modeled = made.assembly.items[k].shape.body == form::Body::Modeled;
            const double spare = k < a.spareParts.size() ? a.spareParts[k] : 0;
            items += made.items[k];
            poured += (modeled ? chocolate : 1) * made.items[k] * (a.make + spare);
        }
        for (const auto& pot : all.pots) {
            CHECK(std::isfinite(pot.melt));
            CHECK(pot.melt >= pot.pieces);
            CHECK(pot.consumed <= pot.melt + 1e-12);
            pots += pot.pieces;
        }
        CHECK(made.mass == Approx(items).epsilon(1e-9));
        CHECK(pots == Approx(poured + a.capMass * a.make).epsilon(1e-6));
        if (coated) {
            REQUIRE(made.wall);
            CHECK(made.wall->thinnest <= made.wall->mean * (1 + 1e-6));
            CHECK(made.wall->mean <= made.wall->thickest * (1 + 1e-6));
            CHECK(made.wall->error < 1e-6);
            double added = -made.wall->melted;
            for (const auto& c : made.wall->coats) added += c.added;
            double covered = 0;
            for (const size_t k : made.wall->items) covered += made.items[k];
            CHECK(covered == Approx(added).epsilon(1e-6));
        }
        if (!a.fills.empty() && made.capacity > 0) CHECK(a.fillEach == Approx(0.3 * made.capacity));
    });
    CHECK(seen.size() >= 40);
}

TEST_CASE("every family has a day: each step of its making is a task, and a separate checker finds nothing wrong",
          "[long]") {
    int days = 0;
    everyWay([&](const Plan& plan, const form::Family& family, bool coated) {
        const Answers all = test::answersOf(plan);
        if (!all.problems.empty()) return;
        REQUIRE(all.day);
        UNSCOPED_INFO(all.day->problem);
        CHECK(all.day->problem.empty());
        if (!all.day->problem.empty()) return;
        ++days;
        CHECK(schedule::check(all.day->network, all.day->layout).empty());
        std::set<std::string> ids, steps;
        for (const auto& t : all.day->network.tasks) {
            CHECK(ids.insert(t.id).second);
            if (t.piece == "p") steps.insert(t.step);
        }
        if (family.body == form::Body::Modeled)
            CHECK(std::ranges::none_of(all.day->network.tasks, [](const auto& t) {  // shaped at one go, into no fridge
                return t.piece == "p" && t.lane == "cold";
            }));
        for (const auto& step : plan.pieces[0].making) {
            if (std::holds_alternative<PlannedCoat>(step)) CHECK(steps.contains("coat-1"));
            if (std::holds_alternative<CastStep>(step) && !coated) CHECK(steps.contains("cast"));
            if (std::holds_alternative<ReleaseStep>(step))
                CHECK((steps.contains("release") || steps.contains("unmold") || steps.contains("uncast")));
            if (std::holds_alternative<JoinStep>(step)) CHECK(steps.contains("join"));
            if (std::holds_alternative<FillStep>(step)) CHECK(steps.contains("fill"));
            if (std::holds_alternative<StoreStep>(step)) CHECK(steps.contains("wrap"));
        }
    });
    CHECK(days > 60);
}

TEST_CASE("a solid in steps has the volume of its discs, a tapered one that of its frustum") {
    const auto mass = [](double top, double steps) {
        Plan plan;
        plan.pieces = {newPiece(plan, "stepped")};
        plan.pieces[0].shape.values = {
            {"baseDiameter", 0.08}, {"topDiameter", top}, {"height", 0.03}, {"steps", steps}};
        const Answers a = test::answersOf(plan, test::withoutDay());
        REQUIRE(a.pieces[0]->made);
        return a.pieces[0]->made->mass / a.pieces[0]->coating.densitySolid;
    };
    CHECK(mass(0.05, 1) == Approx(M_PI * 0.03 / 3 * (0.04 * 0.04 + 0.04 * 0.025 + 0.025 * 0.025)).epsilon(2e-3));
    CHECK(mass(0.04, 3) == Approx(M_PI * 0.01 * (0.04 * 0.04 + 0.03 * 0.03 + 0.02 * 0.02)).epsilon(2e-3));
    CHECK(mass(0.08, 1) == Approx(M_PI * 0.04 * 0.04 * 0.03).epsilon(2e-3));
}

TEST_CASE("a hollow foot weighs less than a solid one, and the rest of the pedestal stays") {
    Plan plan;
    plan.pieces = {newPiece(plan, "pedestal")};
    const auto solid = test::answersOf(plan, test::withoutDay());
    plan.pieces[0].shape.choices["footIs"] = "hollow";
    const auto hollow = test::answersOf(plan, test::withoutDay());
    REQUIRE(hollow.pieces[0]->made);
    const auto &a = *solid.pieces[0]->made, &b = *hollow.pieces[0]->made;
    CHECK(b.items[0] < 0.6 * a.items[0]);
    CHECK(b.items[0] > 0.05 * a.items[0]);
    for (size_t k = 1; k < a.items.size(); ++k) CHECK(b.items[k] == Approx(a.items[k]));
    CHECK(b.box.size().z == Approx(a.box.size().z).epsilon(0.01));
}

TEST_CASE("a strip over a balloon is as wide everywhere: near its rim, where a plane only grazes the wall, too") {
    // A line of 5 mm is 5 mm wide on the surface; where planes x = const graze the wall it once spread over 30 mm of
    // height.
    double widest = 0;
    for (double girth = 0.36; girth < 0.46; girth += 0.005) {  // the lines fall everywhere
        form::Part part = form::usual("balloon-lace");
        part.values = {{"girth", girth}, {"length", girth / M_PI}, {"dip", 0.5 * girth / M_PI},
                       {"pear", 0.0},    {"lineWidth", 0.005},     {"lineHeight", 0.003},
                       {"coverage", 0.4}};
        part.choices["pattern"] = "strips";
        const auto built = form::build(part, {}, form::Detail{6000, 60, false});
        REQUIRE(built);
        const auto& surface = built->items[0].shape.surface;
        std::set<long>
            rows;  // heights in mm that a strip of the other direction covers, between two strips of this one
        for (size_t k = 0; k < surface.triangles.size(); ++k) {
            if (surface.mark(k) != form::Mark::Wall) continue;
            form::Vec3 c;
            for (const int i : surface.triangles[k]) c += surface.points[static_cast<size_t>(i)] * (1.0 / 3);
            if (c.x > 0.8 * girth / (2 * M_PI) && c.y > 0.005 && c.y < 0.010) rows.insert(std::lround(c.z * 1e3));
        }
        double run = 0;
        long last = -10;
        for (const long z : rows) {
            run = z <= last + 2 ? run + double(z - last) * 1e-3 : 1e-3;
            last = z;
            widest = std::max(widest, run);
        }
    }
    CHECK(widest > 0.004);
    CHECK(widest < 0.014);
}

}  // namespace uovo::families_test
