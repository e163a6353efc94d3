// Every family: closed, oriented, well-shaped meshes whose measures are those of the shape.
#include <catch2/catch.hpp>
#include <cstdlib>
#include <random>

#include "core/form/part.h"

namespace uovo::form::parts_test {

namespace {

/// A part with random figures inside its family's limits, near the usual ones.
Part random(const Family& f, std::mt19937& engine) {
    Part p = usual(f.id);
    const auto uniform = [&](double a, double b) {
        return a + (b - a) * std::uniform_real_distribution<double>(0, 1)(engine);
    };
    for (const auto& field : f.fields) {
        double v = field.value > 0 ? field.value * std::exp(uniform(-0.45, 0.45)) : field.value;
        v = std::clamp(v, field.low, field.high);
        if (field.dimension == Dimension::Count && field.whole) v = std::round(v);
        p.values[field.key] = Measure(v);
    }
    for (const auto& c : f.choices) do {
            p.choices[c.key] = c.options[engine() % c.options.size()];
        } while (p.choices[c.key] == "points");
    return p;
}

int shapesAFamily() {
    const char* n = std::getenv("UOVO_SHAPES");
    return n ? std::atoi(n) : 50;
}

}  // namespace

TEST_CASE("the usual part of every family can be built, and its solid is watertight") {
    for (const auto& f : families()) {
        if (fromFile(usual(f.id)) || f.meridian) continue;  // a bowl's wall comes from its coats
        INFO(f.id);
        const auto a = build(usual(f.id));
        REQUIRE(a);
        for (const auto& item : a->items) {
            INFO(item.key);
            const MeshReport surface = inspect(item.shape.surface), solid = inspect(item.shape.solid());
            INFO(inWords(surface) << " / " << inWords(solid));
            CHECK(surface.sound());
            CHECK(solid.sound());
            CHECK(volume(item.shape.solid()) > 0);
            CHECK(item.shape.chocolate() > 0);
            CHECK(item.shape.area > 0);
        }
        CHECK(a->chocolate() > 1e-7);
        CHECK(a->chocolate() < 3e-3);
    }
}

TEST_CASE("random shapes of every family: sound meshes, few needles, volume within half a percent", "[long]") {
    std::mt19937 engine(11);
    const char* only = std::getenv("UOVO_FAMILY");
    for (const auto& f : families()) {
        if (fromFile(usual(f.id)) || f.meridian || (only && f.id != only)) continue;
        int built = 0, refused = 0;
        for (int k = 0; k < (f.body == form::Body::Compound ? std::max(4, shapesAFamily() / 5) : shapesAFamily());
             ++k) {
            const Part p = random(f, engine);
            const auto a = build(p);
            if (!a) {
                ++refused;
                CHECK_FALSE(a.error().sentence.empty());
                continue;
            }
            ++built;
            for (const auto& item : a->items) {
                const Shape& s = item.shape;
                const MeshReport r = inspect(s.surface);
                INFO(f.id << "/" << item.key << " " << choice(p, "silhouette") << " " << k << ": " << inWords(r)
                          << " slivers " << r.slivers << " of " << r.triangles);
                REQUIRE(r.sound());
                REQUIRE(r.shells == 1);
                // parts of a compound get fewer triangles; the net of a sharp wave ends at its budget
                const bool coarse = f.body == form::Body::Compound || f.id == "wave";
                CHECK(double(r.slivers) <= 0.01 * double(r.triangles) + 2);
                CHECK(volume(s.surface) == Approx(s.volume).epsilon(coarse ? 0.01 : 0.005));
                CHECK(std::abs(bounds(s.surface).low.z) < 0.3);
                if (s.coverage == 1 && s.exact && s.areaLow == s.areaHigh) {
                    const double meshArea = s.body == form::Body::Wall
                                                ? area(s.surface)
                                                : area(s.surface, Mark::Wall) + area(s.surface, Mark::Lid);
                    CHECK(meshArea == Approx(s.area).epsilon(f.field("flutes") ? 0.03 : 0.012));
                }
            }
        }
        INFO(f.id << ": " << built << " built, " << refused << " refused");
        if (built + refused >= 10) CHECK(built > 0);
    }
}

TEST_CASE("strips, lace and drips cover the share that was asked for, with clean edges") {
    for (const char* pattern : {"lace", "strips", "drips"})
        for (const double share : {0.25, 0.5, 0.8}) {
            INFO(pattern << " " << share);
            Part p = usual("balloon-lace");
            REQUIRE(family("balloon-lace")->choice("pattern"));
            p.choices["pattern"] = pattern;
            p.values["coverage"] = Measure(share);
            const auto a = build(p);
            REQUIRE(a);
            const Shape& s = a->items[0].shape;
            const MeshReport r = inspect(s.surface), solid = inspect(s.solid());
            INFO(r.slivers << " of " << r.triangles << " / " << inWords(solid));
            CHECK(r.sound());
            CHECK(solid.sound());
            CHECK(double(r.slivers) <= 0.01 * double(r.triangles));
            CHECK(area(s.surface) / s.area == Approx(share).margin(0.03));
            CHECK(volume(s.solid()) == Approx(s.chocolate()).epsilon(0.1));
        }
}

TEST_CASE("the land where halves meet is as wide as told, and weighs its gusset") {
    // In spherical shells, dV = 2π (R − ρ)² cos φ dφ dρ: between the wall t and land − R sin φ, φ from the seam.
    const double R = 0.06, t = 0.003, land = 0.009;
    double gusset = 0;
    for (int i = 0; i < 2000; ++i) {
        const double phi = (i + 0.5) / 2000 * std::asin((land - t) / R), deep = land - R * std::sin(phi);
        gusset += 2 * 3.14159265358979 * std::cos(phi) * (std::pow(R - t, 3) - std::pow(R - deep, 3)) / 3 *
                  std::asin((land - t) / R) / 2000;
    }
    const auto chocolate = [&](const char* id, std::map<std::string, double> figures) {
        Part p = usual(id);
        for (const auto& [key, value] : figures) p.values[key] = Measure(value);
        const auto a = build(p, {}, kExport);
        REQUIRE(a);
        CHECK(inspect(a->items[0].shape.solid()).sound());
        return a->chocolate();
    };
    const double plain = chocolate("half-ball", {{"diameter", 2 * R}, {"depth", R}, {"wall", t}, {"seam", 0}});
    CHECK(chocolate("half-ball", {{"diameter", 2 * R}, {"depth", R}, {"wall", t}, {"seam", land}}) - plain ==
          Approx(gusset).epsilon(0.04));
    CHECK(chocolate("half-ball", {{"diameter", 2 * R}, {"depth", R}, {"wall", t}, {"seam", t / 2}}) ==
          Approx(plain).epsilon(1e-4));
    CHECK(chocolate("ball", {{"diameter", 2 * R}, {"wall", t}, {"seam", land}}) -
              chocolate("ball", {{"diameter", 2 * R}, {"wall", t}, {"seam", 0}}) ==
          Approx(2 * gusset).epsilon(0.04));
    CHECK(chocolate("egg", {{"seam", 0.008}}) > chocolate("egg", {{"seam", 0}}) * 1.01);
    CHECK(chocolate("figure-lathe", {{"seam", 0.008}}) > chocolate("figure-lathe", {{"seam", 0}}) * 1.01);
    // The rim itself: its inner edge lies `land` inside the outer one, in the plane of the seam.
    Part p = usual("half-ball");
    p.values["seam"] = Measure(0.008);
    const auto a = build(p);
    REQUIRE(a);
    const Mesh solid = a->items[0].shape.solid();
    double inner = 1;
    for (const auto& q : solid.points)
        if (std::abs(q.z - 0.035) < 1e-3) inner = std::min(inner, std::hypot(q.x, q.y));
    CHECK(inner == Approx(0.035 - 0.008).margin(3e-4));
}

TEST_CASE("a core takes its volume out of any cast, and no more than there is room for") {
    for (const auto& f : families()) {
        if (!f.field("core") || fromFile(usual(f.id))) continue;
        INFO(f.id);
        Part p = usual(f.id);
        const auto whole = build(p);
        REQUIRE(whole);
        p.values["core"] = Measure(whole->chocolate() / 4);
        const auto cored = build(p);
        REQUIRE(cored);
        CHECK(cored->chocolate() == Approx(0.75 * whole->chocolate()).epsilon(1e-9));
        p.values["core"] = Measure(whole->chocolate() * 0.95);
        const auto crammed = build(p);
        REQUIRE_FALSE(crammed);
        CHECK(crammed.error().where.find("core") != std::string::npos);
    }
}

TEST_CASE("a wall in a mold ends in the plane of its opening, and stays as thick as told up to there") {
    for (const char* id :
         {"half-ball", "tart", "case", "wrap-cone", "wrap-frustum", "bought", "profile-mold", "egg-half"}) {
        INFO(id);
        const auto a = build(usual(id));
        REQUIRE(a);
        const Shape& s = a->items[0].shape;
        const Box former = bounds(s.surface), solid = bounds(s.solid());
        CHECK(solid.high.z == Approx(former.high.z).margin(2e-4));
        CHECK(solid.high.x == Approx(former.high.x).margin(1e-9));
    }
    // A cone of wall t, cut level: volume of the frustum between the outer cone and the same cone shifted along its
    // axis.
    Part p = usual("wrap-cone");
    p.values["diameter"] = Measure(0.06);
    p.values["height"] = Measure(0.11);
    p.values["wall"] = Measure(0.003);
    const auto cone = build(p, {}, kExport);
    REQUIRE(cone);
    const double R = 0.03, h = 0.11, across = 0.003 * std::hypot(R, h) / h, r = R - across, inner = h * r / R;
    CHECK(volume(cone->items[0].shape.solid()) ==
          Approx(3.14159265358979 / 3 * (R * R * h - r * r * inner)).epsilon(0.004));
}

}  // namespace uovo::form::parts_test
