// Corners of houses: panels with thickness meet, and do not pass into each other, however they are joined.
#include <catch2/catch.hpp>
#include <random>

#include "core/assembly/contacts.h"
#include "core/form/bevel.h"

namespace uovo::corners_test {

using form::Vec3;

namespace {

constexpr double kCloses = 2e-4;  // m

/// m that edges of one part lie in another, at the most.
double depth(const form::Mesh& mesh, const form::NearMesh& other) {
    double worst = 0;
    const form::Box box = other.box();
    for (const auto& t : mesh.triangles)
        for (size_t i = 0; i < 3; ++i) {
            const Vec3 &a = mesh.points[size_t(t[i])], &b = mesh.points[size_t(t[(i + 1) % 3])];
            for (int k = 0; k < 8; ++k) {
                const Vec3 p = a + (b - a) * (k / 8.0);
                if (p.x < box.low.x || p.y < box.low.y || p.z < box.low.z || p.x > box.high.x || p.y > box.high.y ||
                    p.z > box.high.z)
                    continue;
                if (const auto hit = other.near(p, 0.02)) worst = std::max(worst, -hit->distance);
            }
        }
    return worst;
}

/// m between two parts where they are nearest, within a band across the corner: none wider than this is left open.
double gap(const form::Mesh& a, const form::NearMesh& b, int axis, double low, double high) {
    // slices along the corner: in each of them something of one lies near the other
    constexpr int kSlices = 7;
    double worst = 0;
    for (int k = 0; k < kSlices; ++k) {
        const double at = low + (high - low) * (k + 0.5) / kSlices;
        double least = 1;
        for (const auto& t : a.triangles)
            for (size_t i = 0; i < 3; ++i) {
                const Vec3 &p = a.points[size_t(t[i])], &q = a.points[size_t(t[(i + 1) % 3])];
                const double u = axis == 0 ? p.x : axis == 1 ? p.y : p.z, w = axis == 0 ? q.x : axis == 1 ? q.y : q.z;
                if ((u - at) * (w - at) > 0 || u == w) continue;
                if (const auto hit = b.near(p + (q - p) * ((at - u) / (w - u)), 0.02))
                    least = std::min(least, std::abs(hit->distance));
            }
        worst = std::max(worst, least);
    }
    return worst;
}

struct Closing {
    double open = 0, in = 0;
    std::string where;
};

Closing closing(const form::Part& part) {
    const auto built = form::build(part, {}, {300, 24});
    REQUIRE(built);
    std::vector<form::Mesh> solids;
    std::vector<form::NearMesh> near;
    for (const auto& item : built->items) {
        solids.push_back(form::placed(item.shape.solid(), item.pose));
        near.emplace_back(solids.back());
    }
    Closing out;
    for (const auto& joint : built->joints) {
        const bool corner = joint.words == "corner" || joint.words.find("gable on the") != std::string::npos,
                   ridge = joint.words == "ridge" || joint.words.find("on its wall") != std::string::npos;
        if (!corner && !ridge) continue;
        const auto a = form::bounds(solids[joint.a]), b = form::bounds(solids[joint.b]);
        const int axis = corner ? 2 : 0;
        const double low = axis == 0 ? std::max(a.low.x, b.low.x) : std::max(a.low.z, b.low.z),
                     high = axis == 0 ? std::min(a.high.x, b.high.x) : std::min(a.high.z, b.high.z);
        const double open = std::min(gap(solids[joint.a], near[joint.b], axis, low, high),
                                     gap(solids[joint.b], near[joint.a], axis, low, high));
        const double in = std::max(depth(solids[joint.a], near[joint.b]), depth(solids[joint.b], near[joint.a]));
        if (open > out.open || in > out.in) out.where = joint.words;
        out.open = std::max(out.open, open);
        out.in = std::max(out.in, in);
    }
    return out;
}

/// A house or tower with figures anywhere in its limits.
std::optional<form::Part> anyHouse(const std::string& family, const std::string& corners, std::mt19937& dice) {
    form::Part p = form::usual(family);
    for (const auto& f : form::family(family)->fields) {
        double v = std::uniform_real_distribution(f.low, f.high)(dice);
        if (f.dimension == Dimension::Count) v = std::floor(v);
        p.values[f.key] = Measure(v);
    }
    p.choices["corners"] = corners;
    return form::build(p, {}, {300, 24}) ? std::optional(p) : std::nullopt;
}

int closeWithin(int houses, unsigned seed) {
    std::mt19937 dice(seed);
    int looked = 0;
    for (int k = 0; looked < houses; ++k) {
        const std::string family = k % 2 ? "house" : "tower";
        const std::vector<std::string> styles = form::family(family)->choice("corners")->options;
        const auto house = anyHouse(family, styles[size_t(k / 2) % styles.size()], dice);
        if (!house) continue;
        ++looked;
        const auto c = closing(*house);
        std::string figures;
        for (const auto& [key, m] : house->values) figures += key + " " + std::to_string(m.value) + ", ";
        CAPTURE(family, house->choices.at("corners"), c.where, figures);
        CHECK(c.open < kCloses);
        CHECK(c.in < kCloses);
    }
    return looked;
}

}  // namespace

TEST_CASE("a bevelled plate is the prismatoid between its two outlines") {
    const form::Loop square{{-0.05, 0}, {0.05, 0}, {0.05, 0.08}, {-0.05, 0.08}};
    const form::Bevel bevel{45, 30, -20, 0};
    const double t = 0.004;
    const auto top = form::bevelled(square, bevel, t);
    REQUIRE(top.size() == 4);
    const double l = t, r = t * std::tan(M_PI / 6), u = -t * std::tan(M_PI / 9);
    CHECK(top[0][0] == Approx(-0.05 + l));
    CHECK(top[1][0] == Approx(0.05 - r));
    CHECK(top[2][1] == Approx(0.08 - u));
    CHECK(top[3][1] == Approx(0.08 - u));
    form::Part p = form::usual("sheet");
    p.choices["cut"] = "points";
    p.points = {square};
    p.values = {{"thickness", t}, {"bevelLeft", 45}, {"bevelRight", 30}, {"bevelTop", -20}};
    p.choices["sides"] = "bevelled sides";
    const auto built = form::build(p, {}, {4000, 64});
    REQUIRE(built);
    const auto& shape = built->items.front().shape;
    CHECK(form::inspect(shape.surface).sound());
    CHECK(form::volume(shape.surface) == Approx(shape.volume).epsilon(1e-6));
    // the prismatoid by integration: width and height are linear in z
    double sum = 0;
    for (int k = 0; k < 1000; ++k) {
        const double z = (k + 0.5) / 1000;
        sum += (0.1 - z * (l + r)) * (0.08 - z * u) * t / 1000;
    }
    CHECK(shape.volume == Approx(sum).epsilon(1e-6));
}

TEST_CASE("sides are only bevelled where something of the face is left, and say so") {
    form::Part p = form::usual("sheet");
    p.values = {{"length", 0.006}, {"width", 0.05}, {"thickness", 0.006}, {"bevelLeft", 45}, {"bevelRight", 45}};
    p.choices["sides"] = "bevelled sides";
    const auto built = form::build(p, {});
    REQUIRE_FALSE(built);
    CHECK(built.error().sentence.find("its sides meet") != std::string::npos);
    p.choices["sides"] = "square sides";  // what is not asked for does not count
    CHECK(form::build(p, {}));
}

TEST_CASE("panels cut square that should be mitred are seen to sit in each other") {
    auto part = form::opened(form::usual("tower"), {});
    REQUIRE(part);
    CHECK(closing(*part).in < kCloses);
    for (auto& item : part->items) item.part.choices.erase("sides");
    CHECK(closing(*part).in > 1e-3);
    auto house = *form::opened(form::usual("house"), {});
    CHECK(closing(house).open < kCloses);
    form::itemOf(house, "left")->at[1] = Measure(form::itemOf(house, "left")->at[1].value - 5e-4);
    form::itemOf(house, "left")->at[2] = Measure(-1e-3);
    CHECK(closing(house).open > kCloses);
}

TEST_CASE("houses and towers close at their corners in all three ways") { CHECK(closeWithin(45, 3) == 45); }

TEST_CASE("a thousand random houses close within 0.2 mm at every corner", "[long]") {
    CHECK(closeWithin(1000, 17) == 1000);
}

}  // namespace uovo::corners_test
