// Own molds: what comes out and what is caught, the best way to draw a mold off, air that stays.
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>
#include <queue>

#include "cli/mold_case.h"
#include "core/form/rock.h"
#include "core/mold/air.h"
#include "core/words/mold_words.h"
#include "io/mesh_file.h"
#include "support.h"
#include "support_command.h"
#include "support_files.h"

namespace uovo::mold_test {
namespace {

using form::Mesh;
using form::Rays;
using form::Vec3;
using namespace mold;
constexpr double kPi = std::numbers::pi;

/// A closed body of revolution about z from points (r, z), bottom to top, both ends on the axis.
Mesh turned(const std::vector<std::array<double, 2>>& profile, int around = 96) {
    Mesh m;
    std::vector<int> first;
    for (const auto& [r, z] : profile) {
        first.push_back(int(m.points.size()));
        for (int k = 0; k < (r > 0 ? around : 1); ++k)
            m.points.push_back({r * std::cos(2 * kPi * k / around), r * std::sin(2 * kPi * k / around), z});
    }
    for (size_t i = 1; i < profile.size(); ++i)
        for (int k = 0; k < around; ++k) {
            const bool low = profile[i - 1][0] > 0, high = profile[i][0] > 0;
            const int a = first[i - 1] + (low ? k : 0), b = first[i - 1] + (low ? (k + 1) % around : 0),
                      c = first[i] + (high ? k : 0), d = first[i] + (high ? (k + 1) % around : 0);
            if (low) m.triangles.push_back({a, b, c});
            if (high) m.triangles.push_back({b, d, c});
        }
    return m;
}

Mesh ball(double r, int rings = 48) {
    std::vector<std::array<double, 2>> p;
    for (int k = 0; k <= rings; ++k) {
        const double a = kPi * k / rings;
        p.push_back({k == 0 || k == rings ? 0 : r * std::sin(a), -r * std::cos(a)});
    }
    return turned(p);
}

Mesh ring(double big, double small, int n = 64) {
    Mesh m;
    for (int i = 0; i < n; ++i)
        for (int j = 0; j < n; ++j) {
            const double a = 2 * kPi * i / n, b = 2 * kPi * j / n, r = big + small * std::cos(b);
            m.points.push_back({r * std::cos(a), r * std::sin(a), small * std::sin(b)});
        }
    for (int i = 0; i < n; ++i)
        for (int j = 0; j < n; ++j) {
            const int a = i * n + j, b = (i + 1) % n * n + j, c = i * n + (j + 1) % n,
                      d = (i + 1) % n * n + (j + 1) % n;
            m.triangles.push_back({a, b, c});
            m.triangles.push_back({b, d, c});
        }
    return m;
}

/// A letter T, 30 wide and 40 high in all, its stem 10 wide and 30 high, 8 deep; mm. The stem stands on z = 0.
Mesh letterT() {
    const double mm = 1e-3;
    const std::vector<std::array<double, 2>> p{{-5, 0},  {5, 0},    {5, 30},   {15, 30},
                                               {15, 40}, {-15, 40}, {-15, 30}, {-5, 30}};
    Mesh m;
    for (const double y : {-4.0, 4.0})
        for (const auto& [x, z] : p) m.points.push_back({x * mm, y * mm, z * mm});
    const std::array<form::Triangle, 6> front{{{0, 1, 2}, {0, 2, 7}, {7, 2, 5}, {2, 3, 4}, {2, 4, 5}, {6, 7, 5}}};
    for (const auto& t : front) {
        m.triangles.push_back(t);
        m.triangles.push_back({t[0] + 8, t[2] + 8, t[1] + 8});
    }
    for (int i = 0; i < 8; ++i) {
        const int j = (i + 1) % 8;
        m.triangles.push_back({i, i + 8, j});
        m.triangles.push_back({j, i + 8, j + 8});
    }
    return m;
}

Undercuts map(const Mesh& m, const Vec3& pull, int parts) { return undercuts(m, Rays(m), pull, parts); }

std::vector<Mesh> meshes() {
    std::vector<Mesh> out{ball(0.03), ring(0.03, 0.01), letterT()};
    for (unsigned seed = 1; seed <= 9; ++seed) out.push_back(form::rock(0.02 + 0.003 * seed, seed, 3));
    for (const char* family : {"spoon", "rope", "leg", "arch", "feather", "lid", "flame", "cone-solid"})
        out.push_back(form::build(form::usual(family))->items.front().shape.surface);
    return out;
}

/// The slow way: every triangle is asked.
bool metBySome(const Mesh& m, const Vec3& from, const Vec3& along) {
    for (const auto& t : m.triangles) {
        const Vec3 a = m.points[size_t(t[0])], b = m.points[size_t(t[1])], c = m.points[size_t(t[2])],
                   n = form::cross(b - a, c - a);
        const double down = form::dot(n, along);
        if (down == 0) continue;
        const double far = form::dot(n, a - from) / down;
        if (far < 0) continue;
        const Vec3 p = from + along * far;
        const double u = form::dot(form::cross(b - a, p - a), n), v = form::dot(form::cross(c - b, p - b), n),
                     w = form::dot(form::cross(a - c, p - c), n);
        if (u >= 0 && v >= 0 && w >= 0) return true;
    }
    return false;
}

}  // namespace

TEST_CASE("the meshes of these tests are sound") {
    for (const auto& m : {ball(0.03), ring(0.03, 0.01), letterT()}) {
        CHECK(form::inWords(form::inspect(m)).empty());
        CHECK(form::volume(m) > 0);
    }
    CHECK(form::volume(ring(0.03, 0.01, 200)) == Approx(2 * kPi * kPi * 0.03 * 1e-4).epsilon(1e-3));
}

TEST_CASE("half a ball is caught by a mold of one part, nothing by one of two that meet at its middle") {
    const double r = 0.03;
    const auto one = map(ball(r), {0, 0, 1}, 1);
    CHECK(one.caught == Approx(2 * kPi * r * r).epsilon(0.02));
    REQUIRE(one.trapped.size() == 1);
    CHECK(one.trapped[0].area == Approx(one.caught).epsilon(0.03));
    const auto two = map(ball(r), {0.3, -0.5, 1}, 2);
    CHECK(two.caught < 1e-3 * two.area);
    CHECK(two.area == Approx(4 * kPi * r * r).epsilon(0.01));
    CHECK(two.parting == Approx(0).margin(0.03 * r));
    CHECK(two.astray < 0.03 * two.area);
}

TEST_CASE("a ring comes out of two parts along its axis; across it the mold is caught in its hole") {
    const auto along = map(ring(0.03, 0.01), {0, 0, 1}, 2);
    CHECK(along.caught < 1e-3 * along.area);
    CHECK(along.parting == Approx(0).margin(2e-4));
    const auto across = map(ring(0.03, 0.01), {1, 0, 0}, 2);
    CHECK(across.caught > 0.1 * across.area);
    // by its mirror planes the map is symmetric
    const auto other = map(ring(0.03, 0.01), {0, 1, 0}, 2);
    CHECK(other.caught == Approx(across.caught).epsilon(0.02));
}

TEST_CASE("a cone on its base comes out with its own draft, on its point it is caught all round") {
    const double r = 0.02, h = 0.05;
    const Mesh up = turned({{0, 0}, {r, 0}, {0, h}});
    const auto one = map(up, {0, 0, 1}, 1);
    CHECK(one.caught == 0);
    CHECK(one.area == Approx(kPi * r * std::hypot(r, h)).epsilon(2e-3));
    for (size_t k = 0; k < up.triangles.size(); ++k)
        if (one.comes[k] == Comes::Along) CHECK(one.draft[k] == Approx(std::atan2(r, h)).epsilon(2e-3));
    CHECK(one.stretch == 0);
    const auto down = map(up, {0, 0, -1}, 1);
    CHECK(down.caught == Approx(kPi * r * std::hypot(r, h)).epsilon(2e-3));
}

TEST_CASE(
    "of a T the bar's underside and the stem's sides are caught upwards; sideways it lies on its back and is free") {
    const auto up = map(letterT(), {0, 0, 1}, 1);
    CHECK(up.caught == Approx((30 - 10) * 8e-6 + 2 * 30 * 8e-6).epsilon(1e-6));
    CHECK(up.trapped.size() == 2);
    CHECK(map(letterT(), {0, 1, 0}, 1).caught == 0);
    CHECK(map(letterT(), {0, 1, 0}, 2).caught == 0);
    CHECK(map(letterT(), {1, 0, 0}, 2).caught == 0);  // halves that meet along its stem
    const Mesh t = letterT();
    const auto best = bestPull(t, Rays(t), 1);
    REQUIRE(best);
    CHECK(best->caught == 0);
    CHECK(std::abs(best->pull.z) < 0.01);
    std::stop_source stopped;
    stopped.request_stop();
    CHECK_FALSE(bestPull(t, Rays(t), 1, 200, stopped.get_token()));
}

TEST_CASE("a ring of the mold must lengthen from the stem to the cap of a mushroom") {
    const Mesh mushroom = turned({{0, 0}, {0.01, 0}, {0.01, 0.03}, {0.018, 0.03}, {0.018, 0.036}, {0, 0.05}});
    CHECK(stretchAlong(mushroom, {0, 0, 1}) == Approx(0.8).epsilon(0.01));
    CHECK(stretchAlong(mushroom, {0, 0, -1}) > 0.8);  // the cap's own point goes first
    CHECK(stretchAlong(letterT(), {0, 0, 1}) == Approx((30.0 + 8) / (10 + 8) - 1).epsilon(0.01));
}

// Against rays cast the slow way, every triangle asked, on twenty meshes.
TEST_CASE("what is caught is what a ray to either side meets, on twenty meshes") {
    const auto all = meshes();
    REQUIRE(all.size() == 20);
    unsigned state = 7;
    const auto random = [&] { return double((state = state * 1664525U + 1013904223U) >> 8) / double(1 << 24) - 0.5; };
    for (size_t k = 0; k < all.size(); ++k) {
        const Mesh& m = all[k];
        const Rays rays(m);
        const double size = form::length(form::bounds(m).size());
        const Vec3 pull = form::unit({random(), random(), random() + 0.01});
        int unlike = 0, asked = 0;
        for (size_t t = 0; t < m.triangles.size(); t += 1 + m.triangles.size() / 150) {
            const auto& c = m.triangles[t];
            const Vec3 a = m.points[size_t(c[0])], b = m.points[size_t(c[1])], d = m.points[size_t(c[2])];
            const Vec3 from = (a + b + d) * (1.0 / 3) + form::unit(form::cross(b - a, d - a)) * (1e-5 * size);
            for (const double way : {1.0, -1.0}) {
                ++asked;
                unlike += metBySome(m, from, pull * way) != rays.blocked(from, pull * way);
            }
        }
        INFO(k << ": " << unlike << " of " << asked);
        CHECK(unlike * 200 <= asked);  // a ray through an edge may go either way
        const auto two = undercuts(m, rays, pull, 2);
        double caught = 0;
        for (const auto& patch : two.trapped) caught += patch.area;
        CHECK(caught <= two.caught + 1e-12);
        CHECK(two.caught <= two.area);
        const auto best = bestPull(m, rays, 2, 60);
        CHECK(best->caught <= two.caught + 0.01 * two.area);
    }
}

// By another way than the solver's: of each top the path to a higher one that goes down least (a widest path).
TEST_CASE("air stays under the tops that no path rises from, as deep as the way out lies below, on twenty meshes") {
    for (const auto& m : meshes()) {
        const Vec3 up = form::unit({0.2, -0.3, 1});
        const double opening = 1e-3, least = 3e-4;
        const size_t n = m.points.size();
        std::vector<double> h(n);
        std::vector<Vec3> outward(n);
        std::vector<std::vector<int>> beside(n);
        double top = -1e9, low = 1e9;
        for (const auto& t : m.triangles)
            for (size_t i = 0; i < 3; ++i) {
                const Vec3 a = m.points[size_t(t[0])];
                outward[size_t(t[i])] += form::cross(m.points[size_t(t[1])] - a, m.points[size_t(t[2])] - a);
                beside[size_t(t[i])].push_back(t[(i + 1) % 3]);
                beside[size_t(t[i])].push_back(t[(i + 2) % 3]);
            }
        for (size_t i = 0; i < n; ++i) h[i] = form::dot(m.points[i], up);
        for (size_t i = 0; i < n; ++i)
            if (!beside[i].empty()) top = std::max(top, h[i]), low = std::min(low, h[i]);
        const auto before = [&](int a, int b) {
            return h[size_t(a)] != h[size_t(b)] ? h[size_t(a)] > h[size_t(b)] : a < b;
        };
        std::vector<double> depths;
        for (size_t v = 0; v < n; ++v) {
            const int at = int(v);
            if (beside[v].empty() || h[v] > top - opening || form::dot(outward[v], up) <= 0) continue;
            if (std::any_of(beside[v].begin(), beside[v].end(), [&](int o) { return before(o, at); })) continue;
            std::vector<double> widest(n, -1e9);
            std::priority_queue<std::pair<double, int>> open;
            open.emplace(widest[v] = h[v], at);
            double way = low;
            while (!open.empty()) {
                const auto [w, i] = open.top();
                open.pop();
                if (before(i, at)) {
                    way = w;
                    break;
                }
                for (const int j : beside[size_t(i)])
                    if (const double next = std::min(w, h[size_t(j)]); next > widest[size_t(j)])
                        open.emplace(widest[size_t(j)] = next, j);
            }
            if (h[v] - way >= least) depths.push_back(h[v] - way);
        }
        std::sort(depths.rbegin(), depths.rend());
        const auto traps = airTraps(m, up, opening, least);
        REQUIRE(traps.size() == depths.size());
        for (size_t k = 0; k < depths.size(); ++k) CHECK(traps[k].depth == Approx(depths[k]).margin(1e-12));
    }
}

TEST_CASE("an M keeps air under its lower shoulder; a dent in the ground keeps none") {
    // two columns on a plate, one lower by 5 mm
    Mesh m = turned({{0, 0}, {0.01, 0}, {0.01, 0.03}, {0, 0.03}}, 32);
    CHECK(airTraps(m, {0, 0, 1}, 1e-3).empty());
    Mesh higher = turned({{0, 0}, {0.01, 0}, {0.01, 0.035}, {0, 0.035}}, 32);
    for (auto& p : higher.points) p.x += 0.03;
    form::append(m, higher);
    const auto traps = airTraps(m, {0, 0, 1}, 1e-3);
    REQUIRE(traps.size() == 1);
    CHECK(traps[0].at.z == Approx(0.03));
    CHECK(traps[0].depth == Approx(0.03));
    const Mesh dented = turned({{0, 0.004}, {0.008, 0}, {0.01, 0}, {0.01, 0.03}, {0, 0.03}}, 32);
    CHECK(airTraps(dented, {0, 0, 1}, 1e-3).empty());
    const Mesh crater = turned({{0, 0}, {0.02, 0}, {0.02, 0.02}, {0.012, 0.026}, {0, 0.02}}, 32);
    CHECK(airTraps(crater, {0, 0, 1}, 1e-3).empty());       // all of its ridge is the opening
    CHECK(airTraps(crater, {0, 0, -1}, 1e-3).size() <= 1);  // its hollow is filled from above
}

TEST_CASE(
    "a soft mold passes over a mushroom's cap as far as its silicone bears, then it is slit, then it is not one") {
    const auto& lib = io::library();
    CHECK(bearsStretch(20, lib) == Approx(0.5));
    CHECK(bearsStretch(35, lib) == Approx(0.25));
    const auto cap = [&](double over, double hardness) {
        const double r = 0.01, big = r * (1 + over);
        const Mesh m =
            turned({{0, 0}, {0.02, 0}, {0.02, 0.004}, {r, 0.008}, {r, 0.03}, {big, 0.034}, {big, 0.036}, {0, 0.046}});
        MoldOptions o;
        o.pull = Vec3{0, 0, 1};
        o.parts = 1;
        o.hardness = hardness;
        return ownMold(m, o, lib)->leaves;
    };
    CHECK(cap(0.0, 20) == Leaves::Freely);
    CHECK(cap(0.4, 20) == Leaves::Stretched);
    CHECK(cap(0.4, 35) == Leaves::Slit);
    CHECK(cap(0.8, 20) == Leaves::Slit);
    CHECK(cap(0.9, 40) == Leaves::InPieces);
    // left to itself it finds two halves that part along the stem
    MoldOptions free;
    free.hardness = 40;
    const Mesh m = turned({{0, 0}, {0.02, 0}, {0.02, 0.004}, {0.01, 0.008}, {0.01, 0.03}, {0.02, 0.034}, {0, 0.046}});
    const auto best = ownMold(m, free, lib);
    CHECK(best->leaves == Leaves::Freely);
    CHECK(best->map.parts == 2);
    CHECK(std::abs(best->map.pull.z) < 0.2);
    CHECK(best->box.silicone > 0);
    // as it stands the pull is upwards and it stands on its lowest point
    const auto box = form::bounds(form::placed(m, best->stands));
    CHECK(box.low.z == Approx(0).margin(1e-12));
    CHECK(best->box.inside.z == Approx(box.size().z + free.wall));
    const Vec3 turnedPull = best->stands(best->map.pull) - best->stands(Vec3{});
    CHECK(turnedPull.z == Approx(1));
    const auto said = moldWords(*best, UnitSystem::Metric);
    REQUIRE(said.size() >= 2);
    CHECK(said[0] == "It comes out of a mold of two parts by itself.");
    CHECK(said[1].find("The parts meet") == 0);
    // how it is held while it is filled is the way up with least air in it
    const auto filled = std::ranges::find_if(said, [](const auto& s) { return s.starts_with("Fill it "); });
    REQUIRE(filled != said.end());
    mold::OwnMold held = *best;
    for (const auto& [up, words] : {std::pair{Vec3{0, 0, 1}, "as the original stands"},
                                    {Vec3{0, 0, -1}, "top down"},
                                    {Vec3{1, 0, 0}, "lying on its side"},
                                    {Vec3{0, std::sin(0.7), std::cos(0.7)}, "tilted by 40°"}}) {
        held.fillUp = up;
        const auto all = moldWords(held, UnitSystem::Metric);
        CHECK(std::ranges::any_of(all, [&, w = words](const auto& s) { return s.find(w) != std::string::npos; }));
    }
}

TEST_CASE("the box is turned about the pull until it is small") {
    const double mm = 1e-3, a = 0.4;
    Mesh brick = letterT();
    for (auto& p : brick.points)
        p = {p.x * std::cos(a) - p.y * std::sin(a), p.x * std::sin(a) + p.y * std::cos(a), p.z};
    MoldOptions o;
    o.pull = Vec3{0, 0, 1};
    o.parts = 1;
    const auto m = ownMold(brick, o, io::library());
    const double longer = std::max(m->box.inside.x, m->box.inside.y),
                 shorter = std::min(m->box.inside.x, m->box.inside.y);
    CHECK(longer == Approx(30 * mm + 2 * o.wall).epsilon(0.03));  // in steps of five degrees
    CHECK(shorter == Approx(8 * mm + 2 * o.wall).epsilon(0.06));
    CHECK(m->box.inside.z == Approx(40 * mm + o.wall));
}

TEST_CASE("the command says how an original comes out, in sentences, and what it cannot take") {
    const test::Folder folder("mold");
    const auto piece =
        cli::moldCase({{"piece", {{"former", {{"kind", "cone-solid"}}}}}, {"pull", {0, 0, 1}}, {"parts", 1}});
    INFO((piece ? std::string() : piece.error().where + ": " + piece.error().sentence));
    REQUIRE(piece);
    CHECK((*piece)["leaves"] == "freely");
    CHECK((*piece)["says"][0].get<std::string>().find("comes out of a mold of one part by itself") !=
          std::string::npos);
    CHECK((*piece)["silicone"]["massA"].get<double>() > 0);
    const auto why = [](nlohmann::json given) {
        const auto out = cli::moldCase(given);
        return out ? std::string() : out.error().where;
    };
    CHECK(why(nlohmann::json::object()) == "case");
    CHECK(why({{"mesh", "/no/such/file.stl"}}) == "mesh");
    nlohmann::json cone{{"piece", {{"former", {{"kind", "cone-solid"}}}}}};
    for (const auto& [key, value] : std::initializer_list<std::pair<const char*, nlohmann::json>>{
             {"pull", {0, 0, 0}}, {"wall", 9}, {"hardness", -3}, {"parts", 3}}) {
        nlohmann::json wrong = cone;
        wrong[key] = value;
        CHECK(why(wrong) == key);
    }
    const std::string path = folder("original.stl");
    Mesh open = ball(0.02);  // a hole is closed; a fin that stands on the surface is refused
    open.triangles.pop_back();
    REQUIRE(io::writeMeshFile(path, open));
    CHECK(why({{"mesh", path}}).empty());
    Mesh crowded = ball(0.02);
    crowded.triangles.push_back(crowded.triangles.front());
    crowded.triangles.back()[2] = static_cast<int>(crowded.points.size());
    crowded.points.push_back({0.05, 0.05, 0.05});
    REQUIRE(io::writeMeshFile(path, crowded));
    CHECK(why({{"mesh", path}}) == "mesh");
    REQUIRE(io::writeMeshFile(path, ball(0.02)));
    const std::string file = folder.write("case.json", nlohmann::json{{"mesh", path}, {"parts", 2}}.dump());
    int code = 1;
    const auto said = nlohmann::json::parse(test::printedBy(std::string(UOVO_CLI) + " mold " + file, &code));
    CHECK(code == 0);
    CHECK(said["parts"] == 2);
    CHECK(said["undercut"].get<double>() < 1e-3 * said["area"].get<double>());
}

}  // namespace uovo::mold_test
