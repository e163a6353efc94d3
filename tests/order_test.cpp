// Putting together: what touches, what stands, and in which order.
#include <catch2/catch.hpp>
#include <numbers>

#include "core/assembly/order.h"
#include "core/form/block.h"
#include "support.h"

namespace uovo::assembly::order_test {

using form::Vec3;

namespace {

Body at(const char* name, form::Mesh mesh, const form::Pose& pose) {
    Body b;
    b.name = name;
    b.solid = form::placed(std::move(mesh), pose);
    b.centre = form::centroid(b.solid);
    b.mass = form::volume(b.solid) * 1270;
    return b;
}
Body boxAt(const char* name, const Vec3& low, const Vec3& size) {
    form::Pose p;
    p.at = low;
    return at(name, form::block({}, size), p);
}

std::vector<Glue> gluesOf(const std::vector<Contact>& contacts, double strength = 20) {
    std::vector<Glue> out;
    for (const auto& c : contacts)
        if (c.b != kTable) out.push_back({c.a, c.b, strength, 40, 900});
    return out;
}

/// Parts of a piece of the plan at their places.
std::vector<Body> bodiesOf(const form::Part& part) {
    std::vector<Body> out;
    const auto built = form::build(part, {}, kRigid);
    REQUIRE(built);
    double low = 1e9;
    for (const auto& i : built->items) {
        Body b;
        b.name = i.key;
        b.solid = form::placed(i.shape.solid(), i.pose);
        b.mass = form::volume(b.solid) * 1270;
        b.centre = form::centroid(b.solid);
        low = std::min(low, form::bounds(b.solid).low.z);
        out.push_back(std::move(b));
    }
    for (auto& b : out) {
        form::Pose down;
        down.at = {0, 0, -low};
        b.solid = form::placed(b.solid, down);
        b.centre.z -= low;
    }
    return out;
}

const Contact* between(const Contacts& all, size_t a, size_t b) {
    for (const auto& c : all.contacts)
        if ((c.a == a && c.b == b) || (c.a == b && c.b == a)) return &c;
    return nullptr;
}

/// Every part once, each on what is there.
void checkOrder(const Order& o, size_t parts) {
    CHECK(o.stuck == kTable);
    std::vector<int> seen(parts, 0);
    for (const auto& s : o.steps)
        for (const size_t p : s.parts) ++seen[p];
    for (const int n : seen) CHECK(n == 1);
    for (size_t k = 0; k < o.steps.size(); ++k) {
        CHECK((o.steps[k].way == OrderStep::Way::Prop) == !o.steps[k].props.empty());
        for (const auto& p : o.steps[k].props) {
            CHECK(p.until >= k);
            CHECK(p.until <= o.steps.size());
            CHECK(form::length(p.push) == Approx(1));
        }
    }
}

}  // namespace

TEST_CASE("the nearest place of a surface, with its sign, against a ball and a block") {
    form::Part ball = form::usual("ball-solid");
    ball.values["diameter"] = Measure(0.06);
    const auto built = form::build(ball, {}, {20000, 96, true});
    REQUIRE(built);
    const form::Mesh mesh = built->solid();
    const form::NearMesh near(mesh);
    const Vec3 middle = form::centroid(mesh);
    for (const double r : {0.02, 0.029, 0.031, 0.036}) {
        const auto hit = near.near(middle + form::unit({0.3, -0.5, 0.7}) * r, 0.03);
        REQUIRE(hit);
        CHECK(hit->distance == Approx(r - 0.03).margin(5e-5));
        CHECK(form::dot(hit->outward, form::unit({0.3, -0.5, 0.7})) > 0.999);
        CHECK(hit->smooth);
    }
    CHECK_FALSE(near.near(middle, 0.01));
    const form::NearMesh block(form::block({}, {0.02, 0.03, 0.04}));
    CHECK(block.near({0.01, 0.015, 0.0395}, 0.01)->distance == Approx(-5e-4));
    CHECK(block.near({0.03, 0.04, 0.05}, 0.03)->distance == Approx(std::sqrt(3e-4)));
    CHECK_FALSE(block.near({0.03, 0.015, 0.02}, 0.02)->distance < 0);
    CHECK_FALSE(block.near({0.02, 0.03, 0.02}, 0.02)->smooth);
    CHECK(block.edge(1, 2).triangles.size() == 2);
}

TEST_CASE("what touches is found: a face, an edge, a ring, two feet, a seat, and what floats and what cuts is told") {
    SECTION("a block on a block") {
        const auto c =
            contactsOf({boxAt("low", {0, 0, 0}, {0.06, 0.04, 0.02}), boxAt("up", {0.02, 0, 0.02}, {0.06, 0.04, 0.02})});
        REQUIRE(c.contacts.size() == 2);
        const auto* face = between(c, 0, 1);
        REQUIRE(face);
        CHECK(face->area == Approx(0.04 * 0.04).epsilon(0.05));
        CHECK(face->isPatch());
        for (const auto& t : face->touches) CHECK(std::abs(t.normal.z) == Approx(1).margin(1e-9));
        CHECK(c.contacts.back().b == kTable);
        CHECK(c.contacts.back().a == 0);
        CHECK(c.cuts.empty());
        CHECK(c.afloat.empty());
    }
    SECTION("two walls of a house in a corner: a line as long as they are high") {
        const auto c = contactsOf(
            {boxAt("front", {0, 0, 0}, {0.1, 0.004, 0.08}), boxAt("side", {0, 0.004, 0}, {0.004, 0.1, 0.08})});
        const auto* line = between(c, 0, 1);
        REQUIRE(line);
        CHECK(line->length == Approx(0.08).epsilon(0.03));
        CHECK(line->width == Approx(0.004).epsilon(0.1));
        CHECK_FALSE(line->isPatch());
    }
    SECTION("a gap of 0.4 mm is glued, one of 0.6 mm is none") {
        for (const double gap : {4e-4, 6e-4}) {
            const auto c = contactsOf(
                {boxAt("low", {0, 0, 0}, {0.06, 0.04, 0.02}), boxAt("up", {0, 0, 0.02 + gap}, {0.06, 0.04, 0.02})});
            CHECK((between(c, 0, 1) != nullptr) == (gap < 5e-4));
            CHECK(c.afloat.size() == (gap < 5e-4 ? 0 : 1));
        }
    }
    SECTION("a seat of 2 mm is a contact, 6 mm cut into each other") {
        for (const double depth : {2e-3, 6e-3}) {
            const auto c = contactsOf({boxAt("base", {0, 0, 0}, {0.06, 0.06, 0.012}),
                                       boxAt("post", {0.02, 0.02, 0.012 - depth}, {0.02, 0.02, 0.05})});
            CHECK(between(c, 0, 1));
            CHECK(c.cuts.size() == (depth > 3e-3 ? 1 : 0));
            if (!c.cuts.empty()) CHECK(c.cuts[0].depth == Approx(depth).epsilon(0.05));
        }
    }
    SECTION("edge on edge: two panels that lean on each other") {
        const double s = std::sqrt(0.5);
        form::Pose left{{s, 0, s}, {0, 1, 0}, {-s, 0, s}, {-0.1 * s, 0, 0}};
        form::Pose right{{-s, 0, s}, {0, -1, 0}, {s, 0, s}, {0.1 * s, 0.06, 0}};
        const auto c = contactsOf({at("left", form::block({}, {0.1, 0.06, 0.004}), left),
                                   at("right", form::block({}, {0.1, 0.06, 0.004}), right)});
        const auto* ridge = between(c, 0, 1);
        REQUIRE(ridge);
        CHECK(ridge->length == Approx(0.06).epsilon(0.03));
        CHECK(ridge->area == 0);
        for (const auto& t : ridge->touches) CHECK(t.normal.x == Approx(-1).margin(1e-6));
    }
}

TEST_CASE("the ready-made compounds touch where they are glued") {
    for (const char* family : {"basket", "house", "tower", "pedestal", "cup-saucer", "upright", "dip-bowl"}) {
        INFO(family);
        const form::Part part = form::usual(family);
        const auto built = form::build(part);
        REQUIRE(built);
        const auto bodies = bodiesOf(part);
        const auto found = contactsOf(bodies);
        for (const auto& j : built->joints) {
            INFO(built->items[j.a].key << " and " << built->items[j.b].key << ": " << j.words);
            const auto* c = between(found, j.a, j.b);
            CHECK(c);
            if (c) CHECK(c->length > 0.2 * j.length);
        }
        for (const size_t p : found.afloat) {
            INFO(bodies[p].name << " floats");
            CHECK(false);
        }
    }
}

TEST_CASE("a dome on its disc touches in a ring as long as its rim") {
    const form::Part part = form::usual("pedestal");
    const auto found = contactsOf(bodiesOf(part));
    const auto* ring = between(found, 2, 3);
    REQUIRE(ring);
    CHECK(ring->length == Approx(std::numbers::pi * form::figure(part, "dome")).epsilon(0.08));
    CHECK(ring->places == 1);
    const auto basket = contactsOf(bodiesOf(form::usual("basket")));
    REQUIRE(between(basket, 0, 1));
    CHECK(between(basket, 0, 1)->places == 2);  // the two feet of its handle
}

TEST_CASE("forces balance: what stands carries its weight, what does not is told with the way it tips") {
    const double g = 9.80665;
    const std::vector<Rigid> one{{0.2, {0, 0, 0.05}}};
    std::vector<Support> feet;
    for (const double x : {-0.02, 0.02})
        for (const double y : {-0.01, 0.01}) feet.push_back({0, 1, {x, y, 0}, {0, 0, 1}, 0.4, 0});
    auto b = balance(one, feet, {0, 0, -g});
    CHECK(b.stands);
    double up = 0;
    for (const auto& f : b.forces) up += f.z;
    CHECK(up == Approx(0.2 * g));
    b = balance({{0.2, {0.03, 0, 0.05}}}, feet, {0, 0, -g});
    CHECK_FALSE(b.stands);
    CHECK(b.turning[0].y > 0);  // to +x
    // glue holds what hangs, up to its strength
    const std::vector<Support> hung{{0, 1, {0, 0, 0.05}, {0, 0, -1}, 0.4, std::sqrt(3.0) * 0.2 * g * 1.01}};
    CHECK(balance(one, hung, {0, 0, -g}).stands);
    auto weak = hung;
    weak[0].glue *= 0.98;
    CHECK_FALSE(balance(one, weak, {0, 0, -g}).stands);
    // a push that is too much for its friction
    CHECK(balance(one, feet, {0, 0, -g}, {{0, {0, 0, 0.01}, {0.39 * 0.2 * g, 0, 0}}}).stands);
    CHECK_FALSE(balance(one, feet, {0, 0, -g}, {{0, {0, 0, 0.01}, {0.41 * 0.2 * g, 0, 0}}}).stands);
}

TEST_CASE("an order is found for every compound, and every state of it stands") {
    for (const char* family : {"basket", "house", "tower", "pedestal", "cup-saucer", "upright"}) {
        INFO(family);
        const auto bodies = bodiesOf(form::usual(family));
        const auto found = contactsOf(bodies);
        const auto glues = gluesOf(found.contacts);
        const Order o = orderOf(bodies, found.contacts, glues);
        CHECK(o.stands);
        checkOrder(o, bodies.size());
        std::vector<size_t> flat;
        for (const auto& s : o.steps) flat.insert(flat.end(), s.parts.begin(), s.parts.end());
        if (o.groups.empty() && o.side == Side::Upright) {  // as a person would ask for it: the same verdicts
            const Order asked = judge(flat, bodies, found.contacts, glues);
            REQUIRE(asked.steps.size() == o.steps.size());
            for (size_t k = 0; k < o.steps.size(); ++k) CHECK(asked.steps[k].way == o.steps[k].way);
        }
    }
}

TEST_CASE("a cook's sense: the base first, thin walls held, steep roofs held, the decoration last") {
    const auto house = bodiesOf(form::usual("house"));
    const auto touch = contactsOf(house).contacts;
    const Order o = orderOf(house, touch, gluesOf(touch));
    CHECK(house[o.steps.front().parts.front()].name.find("roof") == std::string::npos);
    for (size_t k = 4; k < o.steps.size(); ++k) CHECK(house[o.steps[k].parts.front()].name.find("roof") == 0);
    CHECK(o.steps.front().way == OrderStep::Way::Prop);  // a wall of 4 mm does not stand by itself
    for (const auto& p : o.steps.front().props) CHECK(p.until < o.steps.size());
    for (const auto& s : o.steps)
        if (house[s.parts.front()].name.find("roof") == 0) CHECK(s.way != OrderStep::Way::Free);

    auto tower = std::vector<Body>{boxAt("base", {0, 0, 0}, {0.1, 0.1, 0.02}),
                                   boxAt("bead", {0.01, 0.01, 0.02}, {0.01, 0.01, 0.01}),
                                   boxAt("block", {0.04, 0.04, 0.02}, {0.05, 0.05, 0.05})};
    tower[1].decoration = true;
    const auto c = contactsOf(tower).contacts;
    const Order steps = orderOf(tower, c, gluesOf(c));
    CHECK(steps.steps.front().parts.front() == 0);
    CHECK(steps.steps.back().parts.front() == 1);
    for (const auto& s : steps.steps) CHECK(s.way == OrderStep::Way::Free);
}

TEST_CASE("what never stands is told with the edge it tips over and how far its weight lies outside") {
    const std::vector<Body> bodies{boxAt("foot", {0, 0, 0}, {0.02, 0.06, 0.05}),
                                   boxAt("arm", {0, 0, 0.05}, {0.2, 0.06, 0.02})};
    const auto c = contactsOf(bodies).contacts;
    const Order o = orderOf(bodies, c, gluesOf(c, 50));
    CHECK_FALSE(o.stands);
    CHECK(o.tipsTo.x == Approx(1).margin(1e-6));
    CHECK(o.tipsOver.x == Approx(0.02).margin(1e-6));
    const double middle = (bodies[0].mass * 0.01 + bodies[1].mass * 0.1) / (bodies[0].mass + bodies[1].mass);
    CHECK(o.beyond == Approx(middle - 0.02).margin(1e-6));
}

TEST_CASE(
    "an arm on one side needs something under it until its counterweight is on, glue that is young is waited for") {
    const std::vector<Body> bodies{boxAt("post", {-0.01, 0, 0}, {0.02, 0.04, 0.06}),
                                   boxAt("left", {-0.11, 0, 0.06}, {0.11, 0.04, 0.01}),
                                   boxAt("right", {0, 0, 0.06}, {0.11, 0.04, 0.01})};
    const auto c = contactsOf(bodies).contacts;
    const auto glues = gluesOf(c, 8);
    OrderOptions plain;
    plain.groups = plain.turned = false;
    const Order o = orderOf(bodies, c, glues, plain);
    checkOrder(o, 3);
    REQUIRE(o.steps.size() == 3);
    CHECK(o.steps[1].way == OrderStep::Way::Prop);
    REQUIRE(o.steps[1].props.size() == 1);
    CHECK(o.steps[1].props[0].below());
    CHECK(o.steps[1].props[0].height == Approx(0.06).margin(1e-6));
    CHECK(o.steps[1].props[0].until == 2);
}

TEST_CASE("a table is built upside down, and a lid gets its knob before it goes on the tub") {
    std::vector<Body> table{boxAt("top", {0, 0, 0.06}, {0.12, 0.12, 0.006})};
    int n = 0;
    const char* names[]{"leg 1", "leg 2", "leg 3", "leg 4"};
    for (const double x : {0.005, 0.111})
        for (const double y : {0.005, 0.111}) table.push_back(boxAt(names[n++], {x, y, 0}, {0.004, 0.004, 0.06}));
    const auto c = contactsOf(table).contacts;
    const Order o = orderOf(table, c, gluesOf(c));
    CHECK(o.side == Side::UpsideDown);
    CHECK(o.steps.front().parts.front() == 0);
    checkOrder(o, 5);

    const std::vector<Body> tub{boxAt("tub", {0, 0, 0}, {0.06, 0.06, 0.05}),
                                boxAt("lid", {0, 0, 0.05}, {0.06, 0.06, 0.005}),
                                boxAt("knob", {0.025, 0.025, 0.055}, {0.01, 0.01, 0.01})};
    const auto t = contactsOf(tub).contacts;
    const Order lidded = orderOf(tub, t, gluesOf(t));
    REQUIRE(lidded.groups.size() == 0);  // three parts: nothing is saved by a group of two
    const std::vector<Body> cup{tub[0], tub[1], tub[2], boxAt("saucer", {-0.02, -0.02, -0.005}, {0.1, 0.1, 0.005})};
    const auto k = contactsOf(cup, {.table = -0.005}).contacts;
    const Order grouped = orderOf(cup, k, gluesOf(k));
    checkOrder(grouped, 4);
    CHECK_FALSE(grouped.groups.empty());
}

TEST_CASE("an order a person wants is judged: what hangs in the air is refused, what may not be held is propped") {
    const std::vector<Body> bodies{boxAt("low", {0, 0, 0}, {0.06, 0.06, 0.02}),
                                   boxAt("middle", {0, 0, 0.02}, {0.06, 0.06, 0.02}),
                                   boxAt("top", {0, 0, 0.04}, {0.06, 0.06, 0.02})};
    const auto c = contactsOf(bodies).contacts;
    const auto glues = gluesOf(c);
    CHECK(judge({0, 1, 2}, bodies, c, glues).stuck == kTable);
    const Order bad = judge({0, 2, 1}, bodies, c, glues);
    CHECK(bad.stuck == 1);
    CHECK(bad.tips == 2);
    const auto house = bodiesOf(form::usual("house"));
    const auto touch = contactsOf(house).contacts;
    OrderOptions shy;
    for (size_t i = 0; i < house.size(); ++i) shy.untouched.push_back(i);
    shy.turned = shy.groups = false;
    for (const auto& s : orderOf(house, touch, gluesOf(touch), shy).steps) CHECK(s.way != OrderStep::Way::Hold);
}

TEST_CASE("moving one part finds its contacts again and keeps the others") {
    std::vector<Body> bodies{boxAt("a", {0, 0, 0}, {0.06, 0.06, 0.02}), boxAt("b", {0, 0, 0.02}, {0.06, 0.06, 0.02}),
                             boxAt("c", {0.1, 0, 0}, {0.02, 0.02, 0.02})};
    ContactFinder finder(bodies);
    CHECK(finder.find().contacts.size() == 3);
    finder.move(2, boxAt("c", {0.06, 0, 0}, {0.02, 0.02, 0.02}));
    CHECK(between(finder.find(), 0, 2));
    finder.move(2, boxAt("c", {0.02, 0.02, 0.04}, {0.02, 0.02, 0.02}));
    const auto& now = finder.find();
    CHECK_FALSE(between(now, 0, 2));
    CHECK(between(now, 1, 2));
    bodies[2] = finder.bodies()[2];
    const auto fresh = contactsOf(bodies);
    REQUIRE(fresh.contacts.size() == now.contacts.size());
    for (size_t i = 0; i < fresh.contacts.size(); ++i)
        CHECK(fresh.contacts[i].length == Approx(now.contacts[i].length));
}

}  // namespace uovo::assembly::order_test
